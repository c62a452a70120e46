#include "library/copies.h"

#include "core/words/say.h"
#include "files/write_file.h"
#include "library/rows.h"

#include <QVariant>

#include <algorithm>

namespace riflesso {
namespace {

namespace fs = std::filesystem;

// VACUUM INTO writes a whole, compact copy of one instant, also while others write: sqlite.org/lang_vacuum.html.
Status copyTo(const fs::path& library, const fs::path& target) {
    std::error_code ec;
    fs::create_directories(target.parent_path(), ec);
    fs::permissions(target.parent_path(), fs::perms::owner_all, ec);
    const fs::path half = halfOf(target);
    fs::remove(half, ec);
    Database database(library / "library.sqlite");
    if (auto s = database.connect(); !s)
        return s;
    {
        QSqlQuery query(database.db());
        query.prepare("VACUUM INTO ?");
        query.addBindValue(QString::fromStdString(half.string()));
        if (!query.exec()) {
            const Error e = database.failed(query.lastError(), "copying the library");
            fs::remove(half, ec);
            return e;
        }
    }
    fs::permissions(half, fs::perms::owner_read | fs::perms::owner_write, ec);
    return finishHalf(target);
}

// The newest \p keep of those whose name begins so stay.
void thinOut(const fs::path& library, const std::string& beginning, std::size_t keep) {
    std::vector<fs::path> files;
    std::error_code ec;
    for (const auto& entry : fs::directory_iterator(library / "copies", ec))
        if (entry.path().filename().string().starts_with(beginning) && !isHalf(entry.path()))
            files.push_back(entry.path());
    std::sort(files.begin(), files.end(), std::greater<>());
    for (std::size_t i = keep; i < files.size(); ++i)
        fs::remove(files[i], ec);
}

} // namespace

std::vector<LibraryCopy> copiesOf(const fs::path& library) {
    std::vector<LibraryCopy> out;
    std::error_code ec;
    for (const auto& entry : fs::directory_iterator(library / "copies", ec)) {
        const std::string stem = entry.path().stem().string();
        if (entry.path().extension() != ".sqlite")
            continue;
        if (stem.starts_with("day-"))
            out.push_back({entry.path(), stem.substr(4)});
        else if (stem.starts_with("format-") && stem.size() > 18) // format-DATE-before-N
            out.push_back({entry.path(), fill(say("library", "before format %1, %2"),
                                              {stem.substr(stem.rfind('-') + 1), stem.substr(7, 10)})});
    }
    std::sort(out.begin(), out.end(), [](const auto& a, const auto& b) {
        return a.file.filename().string().substr(a.file.filename().string().find('-')) >
               b.file.filename().string().substr(b.file.filename().string().find('-'));
    });
    return out;
}

Status keepDailyCopy(const fs::path& library, Day today) {
    const fs::path target = library / "copies" / ("day-" + isoDate(today) + ".sqlite");
    std::error_code ec;
    if (fs::exists(target, ec))
        return Done{};
    if (auto s = copyTo(library, target); !s)
        return s;
    thinOut(library, "day-", 7);
    return Done{};
}

Status keepCopyBeforeFormat(const fs::path& library, int format, Day today) {
    if (auto s = copyTo(library, library / "copies" /
                                     ("format-" + isoDate(today) + "-before-" + std::to_string(format) + ".sqlite"));
        !s)
        return s;
    thinOut(library, "format-", 3);
    return Done{};
}

Status restoreCopy(const fs::path& library, const LibraryCopy& copy) {
    const fs::path file = library / "library.sqlite";
    std::error_code ec;
    const fs::path half = halfOf(file);
    fs::remove(half, ec);
    fs::copy_file(copy.file, half, ec);
    if (ec)
        return Error{fill(say("error", "the copy cannot be read (%1)"), {ec.message()}),
                     copy.file.filename().string(),
                     "the library is as it was before",
                     {}};
    {
        Database database(half);
        if (auto s = database.connect(); !s)
            return s;
        if (const auto id = database.number("PRAGMA application_id"); !id || *id != kApplicationId)
            return Error{
                "this is no copy of a library", copy.file.filename().string(), "the library is as it was before", {}};
    }
    { // What is still in the log goes into the file that is put aside.
        Database database(file);
        if (database.connect())
            (void)database.run("PRAGMA wal_checkpoint(TRUNCATE)");
    }
    int n = 1;
    const auto aside = [&] { return library / "copies" / ("replaced-" + std::to_string(n) + ".sqlite"); };
    while (fs::exists(aside(), ec))
        ++n;
    fs::copy_file(file, aside(), ec);
    if (ec && fs::exists(file))
        return Error{fill(say("error", "the present library cannot be put aside (%1)"), {ec.message()}),
                     file.filename().string(),
                     "the library is as it was before",
                     {}};
    fs::remove(library / "library.sqlite-wal", ec);
    fs::remove(library / "library.sqlite-shm", ec);
    return finishHalf(file);
}

Status moveLibrary(const fs::path& library, const fs::path& to, const std::function<bool(double)>& goOn) {
    const char* const stays = "the library stays where it was";
    std::error_code ec;
    const fs::path from = fs::canonical(library, ec);
    if (ec)
        return Error{"there is no library", library.filename().string(), stays, {}, ErrorKind::missing};
    const fs::path target = fs::weakly_canonical(to, ec);
    if (const auto [end, nothing] = std::mismatch(from.begin(), from.end(), target.begin(), target.end());
        end == from.end())
        return Error{"the new place lies within the library", to.filename().string(), stays, "choose another folder",
                     ErrorKind::wrongUse};
    if (fs::exists(target, ec) && !(fs::is_directory(target, ec) && fs::is_empty(target, ec)))
        return Error{"there is something at the new place already", to.filename().string(), stays,
                     "choose another name", ErrorKind::wrongUse};
    { // What is still in the log goes into the file.
        Database database(from / "library.sqlite");
        if (auto s = database.connect(); !s)
            return s;
        if (auto s = database.run("PRAGMA wal_checkpoint(TRUNCATE)"); !s)
            return s;
    }
    fs::create_directories(target.parent_path(), ec);
    fs::remove(target, ec); // an empty folder
    fs::rename(from, target, ec);
    if (!ec)
        return Done{};
    // Another disc.
    const fs::path half = halfOf(target);
    const auto failed = [&](Error e) -> Status {
        std::error_code gone;
        fs::remove_all(half, gone);
        return e;
    };
    fs::remove_all(half, ec);
    if (auto s = reserveHalf(target, true); !s)
        return s;
    std::uintmax_t all = 0, done = 0;
    for (fs::recursive_directory_iterator it(from, ec), end; !ec && it != end; it.increment(ec))
        if (it->is_regular_file(ec))
            all += it->file_size(ec);
    if (ec)
        return failed({"the library cannot be read (" + ec.message() + ")", from.filename().string(), stays, {}});
    for (fs::recursive_directory_iterator it(from, ec), end; !ec && it != end; it.increment(ec)) {
        const fs::path there = half / fs::relative(it->path(), from, ec);
        if (it->is_directory(ec)) {
            fs::create_directories(there, ec);
        } else if (it->is_regular_file(ec)) {
            fs::copy_file(it->path(), there, ec);
            done += it->file_size(ec);
        }
        if (ec)
            return failed({"a file cannot be copied (" + ec.message() + ")", it->path().filename().string(), stays,
                           "is the disk full?",
                           ec == std::errc::no_space_on_device ? ErrorKind::full : ErrorKind::denied});
        if (goOn && !goOn(all > 0 ? static_cast<double>(done) / static_cast<double>(all) : 1.0))
            return failed(
                {"moving the library was cancelled", from.filename().string(), stays, {}, ErrorKind::cancelled});
    }
    if (ec)
        return failed({"the library cannot be read (" + ec.message() + ")", from.filename().string(), stays, {}});
    if (auto s = checkLibrary(half); !s)
        return failed(s.error());
    if (auto s = finishHalf(target); !s)
        return failed(s.error());
    fs::remove_all(from, ec);
    if (ec)
        return Error{fill(say("error", "the library is at its new place, but the old one cannot be cleared (%1)"),
                          {ec.message()}),
                     from.filename().string(), "both hold the same", "delete the old folder by hand",
                     ErrorKind::denied};
    return Done{};
}

Status checkLibrary(const fs::path& library) {
    Database database(library / "library.sqlite");
    if (auto s = database.connect(); !s)
        return s;
    {
        QSqlQuery query(database.db());
        if (!query.exec("PRAGMA quick_check(1)") || !query.next())
            return database.failed(query.lastError(), "looking through the library");
        if (const auto said = query.value(0).toString(); said != "ok")
            return Error{fill(say("error", "the library's file is damaged (%1)"), {said.toStdString()}),
                         library.filename().string(), "nothing was changed", "restore an earlier copy (menu Library)",
                         ErrorKind::damaged};
    }
    return Rows(database).check();
}

} // namespace riflesso
