#include "footage/film_pieces.h"

#include "files/write_file.h"

#include <algorithm>
#include <fcntl.h>
#include <sys/file.h>
#include <unistd.h>

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

// The open file with a lock that ends with the program, however it ends; null when it is not there or another has it.
std::shared_ptr<const int> heldFile(const fs::path& path) {
    const int file = ::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NOFOLLOW);
    if (file < 0)
        return nullptr;
    if (::flock(file, LOCK_EX | LOCK_NB) != 0) {
        ::close(file);
        return nullptr;
    }
    return {new int(file), [](const int* held) {
                ::close(*held);
                delete held;
            }};
}
} // namespace

fs::path FilmPieces::folderOf(const fs::path& file) {
    fs::path out = file;
    return out.replace_extension(".pieces");
}

fs::path FilmPieces::piece(int index) const {
    return folderOf(m_file) / (std::to_string(index + 1) + ".mp4");
}

Result<FilmPieces> FilmPieces::open(const fs::path& file, const FilmWriterOptions& as, std::string key) {
    FilmPieces out(file, as);
    key += "\n";
    const fs::path folder = folderOf(file);
    const auto error = [&](const char* what, const char* advice, ErrorKind kind) {
        return Error{what, folder.filename().string(), "no film was written", advice, kind};
    };
    std::error_code ec;
    if (fs::exists(folder, ec)) {
        out.m_held = heldFile(folder / kKey);
        if (!out.m_held && fs::exists(folder / kKey, ec))
            return error("another program is writing this film", "wait until it is done, or choose another name",
                         ErrorKind::conflict);
        const auto before = readFile(folder / kKey, 4096);
        if (before && *before == key)
            return out;
        if (!before && !fs::is_empty(folder, ec))
            return error("a folder is in the way", "choose another name", ErrorKind::conflict);
        out.clear(); // of another film, or of this one as it was
    }
    const bool made = fs::create_directory(folder, ec);
    if (!made && !ec) // somebody has made it just now, or has put something of theirs into it
        return error("a folder is in the way", "choose another name", ErrorKind::conflict);
    if (ec)
        return error("the film could not be written", "is the disk full or write-protected?", ErrorKind::denied);
    if (auto s = writeFile(folder / kKey, key); !s)
        return s.error();
    out.m_held = heldFile(folder / kKey);
    if (!out.m_held)
        return error("another program is writing this film", "wait until it is done, or choose another name",
                     ErrorKind::conflict);
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
    for (const auto& entry : fs::directory_iterator(folderOf(m_file), ec))
        if (isPiece(entry.path()))
            ours.push_back(entry.path());
    for (const auto& path : ours)
        fs::remove(path, ec);
    fs::remove(folderOf(m_file) / kKey, ec);
    fs::remove(folderOf(m_file), ec); // stays when somebody has put something else there
}

} // namespace riflesso
