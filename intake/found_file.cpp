#include "intake/found_file.h"

#include "core/statistics/numbers.h"
#include "files/write_file.h"

#include <cstdio>
#include <sstream>

namespace riflesso {
namespace {

constexpr const char* kHead = "riflesso-found 1";

std::string lineOf(FrameIndex frame, const FoundFrame& f) {
    std::string line = std::to_string(frame.value);
    const auto put = [&line](double v, int digits) { line += ' ' + fixed(v, digits); };
    put(f.presence, 4);
    put(f.height, 3);
    put(f.likeness, 4);
    put(f.next.x, 3);
    put(f.next.y, 3);
    put(f.nextSize, 3);
    put(f.nextTurn, 5);
    for (const auto& name : standardLandmarks()) {
        const auto p = f.points.find(name);
        if (p == f.points.end()) {
            line += " -";
            continue;
        }
        for (const double v : {p->second.at.x, p->second.at.y, p->second.apart.x, p->second.apart.y})
            put(v, 3);
        put(p->second.visibility, 4);
        put(p->second.flowMiss, 3);
    }
    return line + " .\n"; // the full stop says that the line is whole
}

bool readLine(const std::string& line, FoundFrames& into) {
    std::istringstream in(line);
    in.imbue(std::locale::classic());
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
        const auto x = numberFrom(word);
        if (!x)
            return false;
        p.at.x = *x;
        if (!(in >> p.at.y >> p.apart.x >> p.apart.y >> p.visibility >> p.flowMiss))
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
    std::string text = std::string(kHead) + '\n';
    for (const auto& [frame, found] : known)
        text += lineOf(frame, found);
    if (!writeFile(path, text))
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
