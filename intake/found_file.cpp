#include "intake/found_file.h"

#include <cstdio>
#include <sstream>

namespace riflesso {
namespace {

constexpr const char* kHead = "riflesso-found 1";

std::string lineOf(FrameIndex frame, const FoundFrame& f) {
    char text[256];
    std::snprintf(text, sizeof text, "%d %.4f %.3f %.4f %.3f %.3f %.3f %.5f", frame.value, f.presence, f.height,
                  f.likeness, f.next.x, f.next.y, f.nextSize, f.nextTurn);
    std::string line = text;
    for (const auto& name : standardLandmarks()) {
        const auto p = f.points.find(name);
        if (p == f.points.end()) {
            line += " -";
            continue;
        }
        std::snprintf(text, sizeof text, " %.3f %.3f %.3f %.3f %.4f %.3f", p->second.at.x, p->second.at.y,
                      p->second.apart.x, p->second.apart.y, p->second.visibility, p->second.flowMiss);
        line += text;
    }
    return line + " .\n"; // the full stop says that the line is whole
}

bool readLine(const std::string& line, FoundFrames& into) {
    std::istringstream in(line);
    int frame = 0;
    FoundFrame f;
    if (!(in >> frame >> f.presence >> f.height >> f.likeness >> f.next.x >> f.next.y >> f.nextSize >> f.nextTurn) ||
        frame < 0)
        return false;
    std::string word;
    for (const auto& name : standardLandmarks()) {
        if (!(in >> word))
            return false;
        if (word == "-")
            continue;
        FoundPoint p;
        std::istringstream x(word);
        if (!(x >> p.at.x) || !(in >> p.at.y >> p.apart.x >> p.apart.y >> p.visibility >> p.flowMiss))
            return false;
        f.points[name] = p;
    }
    if (!(in >> word) || word != ".")
        return false;
    into[FrameIndex(frame)] = std::move(f);
    return true;
}

} // namespace

FoundFrames FoundFile::read(const std::filesystem::path& path) {
    FoundFrames frames;
    std::ifstream in(path);
    std::string line;
    if (!std::getline(in, line) || line != kHead)
        return frames;
    while (std::getline(in, line))
        readLine(line, frames);
    return frames;
}

Result<FoundFile> FoundFile::begin(const std::filesystem::path& path, const FoundFrames& known) {
    const Error cannot{"what is found cannot be kept", path.filename().string(), "nothing else was changed",
                       "make room on the disk, or unlock the folder"};
    std::error_code ec;
    std::filesystem::create_directories(path.parent_path(), ec);
    // Whole or not at all: what was there stays until the new file is.
    const std::filesystem::path fresh = path.string() + ".new";
    {
        std::ofstream out(fresh, std::ios::trunc);
        out << kHead << '\n';
        for (const auto& [frame, found] : known)
            out << lineOf(frame, found);
        out.flush();
        if (!out)
            return cannot;
    }
    std::filesystem::rename(fresh, path, ec);
    if (ec)
        return cannot;
    FoundFile file;
    file.m_path = path;
    file.m_out.open(path, std::ios::app);
    if (!file.m_out)
        return cannot;
    return file;
}

Status FoundFile::add(FrameIndex frame, const FoundFrame& found) {
    m_out << lineOf(frame, found);
    m_out.flush();
    if (!m_out)
        return Error{"what is found cannot be kept: the disk is full", m_path.filename().string(),
                     "the frames before are kept", "make room and do it again"};
    return Done{};
}

} // namespace riflesso
