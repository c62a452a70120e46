#include "core/words/say.h"
#include "files/write_file.h"
#include "library/library.h"

#include <QCryptographicHash>

#include <algorithm>
#include <cerrno>
#include <chrono>
#include <cstring>
#include <fstream>
#include <set>

#include <sys/stat.h>

namespace riflesso {

namespace fs = std::filesystem;

Result<std::string> checksumOf(const fs::path& film, const FileProgress& progress) {
    std::error_code ec;
    std::vector<fs::path> files;
    if (fs::is_directory(film, ec)) {
        for (fs::directory_iterator it(film, ec), end; !ec && it != end; it.increment(ec))
            if (it->is_regular_file(ec))
                files.push_back(it->path());
        if (ec)
            return Error{fill(say("error", "the folder cannot be read (%1)"), {ec.message()}),
                         film.filename().string(),
                         "nothing was changed",
                         {}};
        std::sort(files.begin(), files.end());
    } else {
        files.push_back(film);
    }
    double all = 0.0, done = 0.0;
    for (const auto& f : files)
        all += static_cast<double>(fs::file_size(f, ec));
    QCryptographicHash sum(QCryptographicHash::Sha256);
    std::string block(1u << 20, '\0');
    for (const auto& f : files) {
        std::ifstream in(f, std::ios::binary);
        if (!in)
            return Error{"the film cannot be read", film.filename().string(), "nothing was changed",
                         "is it on a disk that was taken out?"};
        while (in) {
            in.read(block.data(), static_cast<std::streamsize>(block.size()));
            sum.addData(QByteArrayView(block.data(), static_cast<qsizetype>(in.gcount())));
            done += static_cast<double>(in.gcount());
            if (progress && !progress(all > 0.0 ? done / all : 1.0))
                return Error{"bringing it in was cancelled",
                             film.filename().string(),
                             "nothing was changed",
                             {},
                             ErrorKind::cancelled};
        }
        if (in.bad())
            return Error{"the film cannot be read to its end", film.filename().string(), "nothing was changed", {}};
    }
    return sum.result().toHex().toStdString();
}

Result<std::string> Library::bringIn(const fs::path& film, const FileProgress& progress) const {
    std::error_code ec;
    const fs::path base = film.filename().empty() ? film.parent_path() : film;
    const bool folder = fs::is_directory(film, ec);
    // A name that nobody has, nor is about to have: two programs may bring in films of one name at once.
    fs::path name = base.filename();
    Status reserved = Done{};
    for (int n = 2;; ++n) {
        reserved = reserveHalf(media() / name, folder);
        if (reserved || reserved.error().kind != ErrorKind::conflict)
            break;
        name = base.stem().string() + "-" + std::to_string(n) + base.extension().string();
    }
    if (!reserved)
        return Error{fill(say("error", "the film cannot be copied into the library (%1)"), {reserved.error().said()}),
                     base.filename().string(), "the film and the library are as they were",
                     "is the disk full or write-protected?"};
    const fs::path part = halfOf(media() / name);
    ec.clear();
    const auto fail = [&](const std::string& why) {
        fs::remove_all(part, ec);
        return Error{fill(say("error", "the film cannot be copied into the library (%1)"), {why}),
                     base.filename().string(), "the film and the library are as they were",
                     "is the disk full or write-protected?"};
    };
    const auto cancelled = [&] {
        fs::remove_all(part, ec);
        return Error{
            "bringing it in was cancelled", base.filename().string(), "nothing was changed", {}, ErrorKind::cancelled};
    };
    if (folder) {
        for (fs::directory_iterator it(film, ec), end; !ec && it != end; it.increment(ec)) {
            if (it->is_regular_file(ec)) {
                std::error_code copying;
                fs::copy_file(it->path(), part / it->path().filename(), copying);
                if (copying)
                    return fail(
                        fill(say("error", "picture %1: %2"), {it->path().filename().string(), copying.message()}));
            }
            if (progress && !progress(0.5))
                return cancelled();
        }
        if (ec)
            return fail(ec.message());
    } else {
        std::ifstream in(film, std::ios::binary);
        std::ofstream out(part, std::ios::binary);
        if (!in || !out)
            return fail(std::strerror(errno));
        const double all = std::max(1.0, static_cast<double>(fs::file_size(film, ec)));
        double done = 0.0;
        std::string block(1u << 20, '\0');
        while (in) {
            in.read(block.data(), static_cast<std::streamsize>(block.size()));
            out.write(block.data(), in.gcount());
            if (!out)
                return fail(std::strerror(errno));
            done += static_cast<double>(in.gcount());
            if (progress && !progress(done / all))
                return cancelled();
        }
        out.close();
        if (!out || in.bad())
            return fail(std::strerror(errno));
        const auto time = fs::last_write_time(film, ec);
        fs::last_write_time(part, time, ec);
        fs::permissions(part, fs::perms::owner_read | fs::perms::owner_write, ec);
    }
    if (const auto s = finishHalf(media() / name); !s)
        return fail(s.error().said());
    return name.string();
}

std::optional<fs::path> Library::findMoved(const Take& take, const fs::path& under,
                                           const FileProgress& progress) const {
    if (take.checksum.empty())
        return std::nullopt;
    // Files of the same name first: the disk is read through only when names do not help.
    std::error_code ec;
    std::vector<fs::path> named, others;
    const fs::path name = fs::path(take.film).filename();
    for (fs::recursive_directory_iterator it(under, fs::directory_options::skip_permission_denied, ec), end;
         !ec && it != end; it.increment(ec)) {
        if (it.depth() > 6)
            it.disable_recursion_pending();
        if (!it->is_regular_file(ec))
            continue;
        if (it->path().filename() == name)
            named.push_back(it->path());
        else if (it->path().extension() == name.extension())
            others.push_back(it->path());
        if (progress && !progress(0.0))
            return std::nullopt;
    }
    named.insert(named.end(), others.begin(), others.end());
    for (const auto& f : named)
        if (const auto sum = checksumOf(f, progress); sum && *sum == take.checksum)
            return f;
    return std::nullopt;
}

Result<std::vector<std::string>> Library::strayFilms() {
    const auto known = filmNames();
    if (!known)
        return known.error();
    std::vector<std::string> strays;
    std::error_code ec;
    const auto now = std::chrono::system_clock::to_time_t(std::chrono::system_clock::now());
    for (fs::directory_iterator it(media(), ec), end; !ec && it != end; it.increment(ec)) {
        // By the time of its last change of any sort: a film that is being copied or recorded right now has no take
        // yet.
        struct stat about {};
        if (::lstat(it->path().c_str(), &about) != 0 || now - about.st_ctime < m_strayAfter.count())
            continue;
        if (!known->contains(it->path().filename().string()))
            strays.push_back(it->path().filename().string());
    }
    if (ec)
        return Error{fill(say("error", "the films' folder cannot be read (%1)"), {ec.message()}),
                     "media",
                     "nothing was changed",
                     {}};
    std::sort(strays.begin(), strays.end());
    return strays;
}

Status Library::removeFilm(const std::string& name) {
    const fs::path plain = fs::path(name).filename();
    if (plain.empty() || plain != fs::path(name)) // films outside the library are their owner's
        return Error{"only films inside the library are deleted", name, "nothing was changed", {}, ErrorKind::wrongUse};
    const auto known = filmNames();
    if (!known)
        return known.error();
    if (known->contains(name))
        return Error{"a take still uses this film", name, "nothing was changed", {}, ErrorKind::wrongUse};
    std::error_code ec;
    fs::remove_all(media() / plain, ec);
    if (ec)
        return Error{fill(say("error", "the film could not be deleted (%1)"), {ec.message()}), name, {}, {}};
    return Done{};
}

} // namespace riflesso
