#include "footage/film_pieces.h"

#include "files/write_file.h"

#include <algorithm>

namespace riflesso {
namespace fs = std::filesystem;

namespace {
constexpr const char* kKey = "key";

// "12.mp4", or the half of one.
bool isPiece(fs::path path) {
    if (isHalf(path))
        path.replace_extension();
    const std::string name = path.stem().string();
    return path.extension() == ".mp4" && !name.empty() &&
           std::all_of(name.begin(), name.end(), [](char c) { return c >= '0' && c <= '9'; });
}
} // namespace

fs::path FilmPieces::folder() const {
    fs::path out = m_file;
    return out.replace_extension(".pieces");
}

fs::path FilmPieces::piece(int index) const {
    return folder() / (std::to_string(index + 1) + ".mp4");
}

Result<FilmPieces> FilmPieces::open(const fs::path& file, const FilmWriterOptions& as, std::string key) {
    FilmPieces out(file, as);
    key += "\n";
    const fs::path folder = out.folder();
    std::error_code ec;
    if (fs::exists(folder, ec)) {
        const auto before = readFile(folder / kKey, 4096);
        if (before && *before == key)
            return out;
        const bool ours = before || fs::is_empty(folder, ec);
        if (!ours || ec)
            return Error{"a folder is in the way", folder.filename().string(), "no film was written",
                         "choose another name", ErrorKind::conflict};
        out.clear(); // of another film, or of this one as it was
    }
    fs::create_directory(folder, ec);
    if (ec)
        return Error{"the film could not be written", file.filename().string(), "no film was written",
                     "is the disk full or write-protected?", ErrorKind::denied};
    if (auto s = writeFile(folder / kKey, key); !s)
        return s.error();
    return out;
}

Status FilmPieces::make(int index, const std::function<Status(FilmWriter&)>& add) {
    std::error_code ec;
    if (fs::exists(piece(index), ec))
        return Done{};
    FilmWriterOptions alone = m_as;
    alone.soundRate = 0.0;
    alone.chapters.clear();
    alone.captureRateTag.reset();
    Status done = Done{};
    {
        auto writer = FilmWriter::create(piece(index), alone);
        done = writer ? add(**writer) : Status(writer.error());
        if (done)
            done = (*writer)->finish();
    }
    if (!done && done.error().kind != ErrorKind::cancelled) // a full disk: the pieces would only be in the way
        clear();
    return done;
}

Result<std::unique_ptr<FilmWriter>> FilmPieces::joined(int pieces, const std::vector<std::vector<float>>& sound) const {
    auto writer = FilmWriter::create(m_file, m_as);
    for (int i = 0; i < pieces && writer; ++i) {
        auto s = (*writer)->addFilm(piece(i));
        if (const auto k = static_cast<std::size_t>(i); s && k < sound.size() && !sound[k].empty())
            s = (*writer)->addSound(sound[k]);
        if (!s)
            writer = s.error();
    }
    if (!writer)
        clear();
    return writer;
}

void FilmPieces::clear() const {
    std::error_code ec;
    std::vector<fs::path> ours;
    for (const auto& entry : fs::directory_iterator(folder(), ec))
        if (isPiece(entry.path()))
            ours.push_back(entry.path());
    for (const auto& path : ours)
        fs::remove(path, ec);
    fs::remove(folder() / kKey, ec);
    fs::remove(folder(), ec); // stays when somebody has put something else there
}

} // namespace riflesso
