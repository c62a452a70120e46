#include "library/library.h"

#include "core/words/say.h"
#include "library/case_json.h"
#include "library/copies.h"
#include "library/database.h"
#include "library/rows.h"

#include <QTemporaryDir>
#include <QVariant>

#include <algorithm>

#include <sys/stat.h>
#include <unistd.h>

namespace riflesso {
namespace {

namespace fs = std::filesystem;
constexpr int kIdsAtOnce = 64;

Day todayHere() {
    return std::chrono::floor<std::chrono::days>(std::chrono::system_clock::now());
}

// Tells one file from another that took its name.
std::pair<dev_t, ino_t> identityOf(const fs::path& file) {
    struct stat about {};
    return ::stat(file.c_str(), &about) == 0 ? std::pair{about.st_dev, about.st_ino} : std::pair<dev_t, ino_t>{};
}

} // namespace

struct Library::Impl {
    fs::path folder;
    std::unique_ptr<QTemporaryDir> aside; // of a library that can only be read
    std::unique_ptr<Database> database;
    std::unique_ptr<Rows> rows;
    std::optional<Error> readOnly;
    std::optional<Error> noIds;
    std::pair<dev_t, ino_t> identity;
    Id nextId = 0, idsEnd = 0;
    qint64 seen = 0; // PRAGMA data_version
    int failIn = 0;

    Status connect(const fs::path& file) {
        rows.reset();
        database = std::make_unique<Database>(file);
        rows = std::make_unique<Rows>(*database);
        identity = identityOf(file);
        return database->connect();
    }

    [[nodiscard]] Error notWritable() const {
        Error e = *readOnly;
        e.untouched = "nothing was saved";
        return e;
    }

    // Runs `writing` in a transaction of its own.
    template <typename F> Status inTransaction(F&& writing) {
        if (readOnly)
            return notWritable();
        if (identityOf(database->file()) != identity)
            return Error{"the library was replaced by another one meanwhile", folder.filename().string(),
                         "nothing was saved", "close the library and open it again", ErrorKind::conflict};
        Transaction transaction(*database);
        if (!transaction.begun())
            return transaction.begun();
        if (Status s = writing(); !s)
            return s;
        return transaction.done();
    }

    Status exec(const char* sql, std::initializer_list<QVariant> values, const char* doing, Id* made = nullptr) const {
        QSqlQuery query(database->db());
        query.prepare(sql);
        for (const auto& v : values)
            query.addBindValue(v);
        if (!query.exec())
            return database->failed(query.lastError(), doing);
        if (made)
            *made = query.lastInsertId().toLongLong();
        return Done{};
    }

    Status upgrade(int format) {
        if (auto s = keepCopyBeforeFormat(folder, kFormat, todayHere()); !s)
            return s;
        return inTransaction([&]() -> Status {
            // Another program may have done it while this one waited.
            if (const auto now = database->number("PRAGMA user_version"); !now || *now != format)
                return now ? Status(Done{}) : Status(now.error());
            for (const char* sql : stepsFrom(format))
                if (auto s = database->run(sql); !s)
                    return s;
            return database->run(QString("PRAGMA user_version = %1").arg(kFormat));
        });
    }

    // Everything between connecting and being a library of the newest format.
    Status prepare() {
        const auto application = database->number("PRAGMA application_id");
        if (!application)
            return application.error();
        const auto format = database->number("PRAGMA user_version");
        if (!format)
            return format.error();
        if (*application != kApplicationId)
            return Error{"the file is not a library of Riflesso", "library.sqlite", "nothing was changed", {}};
        if (*format > kFormat)
            return Error{
                fill(say("error", "the library was written by a newer Riflesso (format %1, this one knows up to %2)"),
                     {std::to_string(*format), std::to_string(kFormat)}),
                folder.filename().string(), "nothing was changed", "open it with the newer program", ErrorKind::newer};
        if (*format < kFormat)
            if (auto s = upgrade(static_cast<int>(*format)); !s)
                return s;
        const auto version = database->number("PRAGMA data_version");
        if (!version)
            return version.error();
        seen = *version;
        return Done{};
    }

    // Opens a copy beside which nothing need be written.
    Status openAside(const Error& why) {
        aside = std::make_unique<QTemporaryDir>();
        if (!aside->isValid())
            return why;
        const fs::path copy = fs::path(aside->path().toStdString()) / "library.sqlite";
        std::error_code ec;
        for (const char* tail : {"", "-wal"}) {
            const fs::path from = folder / (std::string("library.sqlite") + tail), to = copy.string() + tail;
            if (!fs::exists(from, ec))
                continue;
            fs::copy_file(from, to, ec);
            fs::permissions(to, fs::perms::owner_read | fs::perms::owner_write, ec);
        }
        if (ec)
            return why;
        if (auto s = connect(copy); !s)
            return s;
        const fs::path real = std::exchange(folder, copy.parent_path()); // a change of format is the copy's alone
        const Status s = prepare();
        folder = real;
        readOnly = why;
        return s;
    }
};

Library::Library(std::unique_ptr<Impl> impl) : m_impl(std::move(impl)) {}

Library::~Library() = default;

fs::path Library::folder() const {
    return m_impl->folder;
}

const std::optional<Error>& Library::readOnly() const {
    return m_impl->readOnly;
}

fs::path Library::filmOf(const Take& take) const {
    const fs::path film(take.film);
    return film.is_absolute() ? film : media() / film;
}

Result<std::unique_ptr<Library>> Library::create(const fs::path& folder) {
    const Error already{"there is a library already", folder.filename().string(), "nothing was changed",
                        "open it, or choose another folder"};
    std::error_code ec;
    if (fs::exists(folder / "library.sqlite", ec))
        return already;
    const bool ours = !fs::exists(folder, ec);
    fs::create_directories(folder / "media", ec);
    if (ec)
        return Error{fill(say("error", "the folder cannot be made (%1)"), {ec.message()}),
                     folder.filename().string(),
                     "nothing was changed",
                     {}};
    // What athletes look like is nobody else's business.
    if (ours)
        fs::permissions(folder, fs::perms::owner_all, ec);
    fs::permissions(folder / "media", fs::perms::owner_all, ec);
    const fs::path half = folder / ("making-" + std::to_string(::getpid()) + ".sqlite");
    const auto cleaned = [&](const Error& e) {
        fs::remove(half, ec);
        return e;
    };
    {
        Database database(half);
        if (auto s = database.connect(); !s)
            return cleaned(s.error());
        Transaction transaction(database);
        if (!transaction.begun())
            return cleaned(transaction.begun().error());
        for (const char* sql : schema())
            if (auto s = database.run(sql); !s)
                return cleaned(s.error());
        for (const auto& pragma : {QString("PRAGMA user_version = %1").arg(kFormat),
                                   QString("PRAGMA application_id = %1").arg(kApplicationId)})
            if (auto s = database.run(pragma); !s)
                return cleaned(s.error());
        if (auto s = transaction.done(); !s)
            return cleaned(s.error());
    }
    fs::permissions(half, fs::perms::owner_read | fs::perms::owner_write, ec);
    // A link, unlike a renaming, never takes another's place.
    if (::link(half.c_str(), (folder / "library.sqlite").c_str()) != 0)
        return cleaned(
            errno == EEXIST
                ? already
                : Error{"the library cannot be made", folder.filename().string(), "nothing was changed", {}});
    fs::remove(half, ec);
    return open(folder);
}

Result<std::unique_ptr<Library>> Library::open(const fs::path& folder, Access access) {
    std::error_code ec;
    if (!fs::exists(folder / "library.sqlite", ec))
        return Error{"there is no library in this folder", folder.filename().string(), "nothing was changed",
                     "choose another folder or make a new library", ErrorKind::missing};
    auto impl = std::make_unique<Impl>();
    impl->folder = folder;
    Status s = Error{"the library is open to be read only", folder.filename().string(), {}, {}, ErrorKind::denied};
    if (access == Access::write) {
        s = impl->connect(folder / "library.sqlite");
        // WAL: readers and a killed writer never see half a change.
        if (s && ::access((folder / "library.sqlite").c_str(), W_OK) != 0)
            s = Error{"the library is write-protected", folder.filename().string(), "nothing was changed",
                      "copy the library to a place you may write to", ErrorKind::denied};
        if (s)
            s = impl->database->run("PRAGMA journal_mode = WAL");
        if (s)
            s = impl->prepare();
        fs::create_directories(folder / "media", ec);
    }
    if (!s && (s.error().kind == ErrorKind::denied || s.error().kind == ErrorKind::full))
        s = impl->openAside(s.error());
    if (!s)
        return s.error();
    return std::unique_ptr<Library>(new Library(std::move(impl)));
}

Result<std::vector<CaseSummary>> Library::cases() {
    QSqlQuery query(m_impl->database->db());
    query.setForwardOnly(true);
    if (!query.exec(
            "SELECT c.id, c.blueprint, json_extract(c.brief, '$.goal'), c.athlete, c.card, json_extract(a.body, "
            "'$.name') FROM cases c LEFT JOIN athletes a ON a.id = c.athlete ORDER BY c.id"))
        return m_impl->database->failed(query.lastError(), "reading the cases");
    std::vector<CaseSummary> out;
    const auto text = [&](int column) { return query.value(column).toString().toStdString(); };
    while (query.next())
        out.push_back({query.value(0).toLongLong(), text(5), text(1), text(2), query.value(3).toLongLong(), text(4)});
    if (query.lastError().isValid())
        return m_impl->database->failed(query.lastError(), "reading the cases");
    return out;
}

Result<std::optional<std::string>> Library::blueprintOf(Id caseId) {
    QSqlQuery query(m_impl->database->db());
    query.prepare("SELECT blueprint FROM cases WHERE id = ?");
    query.addBindValue(static_cast<qlonglong>(caseId));
    if (!query.exec())
        return m_impl->database->failed(query.lastError(), "reading a case");
    return query.next() ? std::optional(query.value(0).toString().toStdString()) : std::nullopt;
}

Result<std::vector<AthleteSummary>> Library::athletes() {
    // Without what cases() looks up in each brief: a shelf of thousands waits for this.
    QSqlQuery query(m_impl->database->db());
    query.setForwardOnly(true);
    if (!query.exec("SELECT id, blueprint, athlete, card FROM cases ORDER BY id"))
        return m_impl->database->failed(query.lastError(), "reading the cases");
    std::vector<CaseSummary> all;
    while (query.next())
        all.push_back({query.value(0).toLongLong(),
                       {},
                       query.value(1).toString().toStdString(),
                       {},
                       query.value(2).toLongLong(),
                       query.value(3).toString().toStdString()});
    if (query.lastError().isValid())
        return m_impl->database->failed(query.lastError(), "reading the cases");
    if (!query.exec("SELECT id, body FROM athletes"))
        return m_impl->database->failed(query.lastError(), "reading the athletes");
    std::map<Id, AthleteSummary> byId;
    while (query.next()) {
        const Id id = query.value(0).toLongLong();
        auto athlete = athleteFromJson(query.value(1).toString().toStdString());
        if (!athlete)
            return athlete.error();
        byId[id] = {id, std::move(*athlete), {}};
    }
    if (query.lastError().isValid())
        return m_impl->database->failed(query.lastError(), "reading the athletes");
    for (auto& c : all)
        if (const auto it = byId.find(c.athleteId); it != byId.end()) {
            c.athlete = it->second.athlete.name;
            it->second.cases.push_back(std::move(c));
        }
    std::vector<AthleteSummary> out;
    out.reserve(byId.size());
    for (auto& [id, a] : byId)
        out.push_back(std::move(a));
    std::stable_sort(out.begin(), out.end(),
                     [](const auto& a, const auto& b) { return a.athlete.name < b.athlete.name; });
    return out;
}

Result<Id> Library::addCase(const std::string& blueprintId, const Brief& brief) {
    return addCase(blueprintId, brief, 0);
}

Result<Id> Library::addCase(const std::string& blueprintId, const Brief& brief, Id athlete) {
    Id id = 0;
    const auto s = m_impl->inTransaction([&]() -> Status {
        const QByteArray person = QByteArray::fromStdString(toJson(brief.athlete));
        const QByteArray body = QByteArray::fromStdString(toJson(brief));
        if (athlete == 0)
            if (auto made = m_impl->exec("INSERT INTO athletes (body, sum) VALUES (?, ?)",
                                         {QString::fromUtf8(person), sumOf({person})}, "adding the athlete", &athlete);
                !made)
                return made;
        return m_impl->exec("INSERT INTO cases (blueprint, brief, sum, athlete) VALUES (?, ?, ?, ?)",
                            {QString::fromStdString(blueprintId), QString::fromUtf8(body), sumOf({body}),
                             QVariant::fromValue<qlonglong>(athlete)},
                            "adding the case", &id);
    });
    if (!s)
        return s.error();
    return id;
}

Status Library::setAthlete(Id athlete, const Athlete& value) {
    const QByteArray body = QByteArray::fromStdString(toJson(value));
    return m_impl->inTransaction([&] {
        return m_impl->exec("UPDATE athletes SET body = ?, sum = ?, version = version + 1 WHERE id = ?",
                            {QString::fromUtf8(body), sumOf({body}), QVariant::fromValue<qlonglong>(athlete)},
                            "saving the athlete");
    });
}

Status Library::setBlueprint(Id caseId, const std::string& blueprintId) {
    return m_impl->inTransaction([&]() -> Status {
        const auto used = m_impl->database->number(
            QString("SELECT (SELECT count(*) FROM marks JOIN takes ON takes.id = take_id WHERE case_id = %1) + (SELECT "
                    "count(*) FROM blocks WHERE case_id = %1) + (SELECT count(*) FROM reps JOIN takes ON takes.id = "
                    "take_id "
                    "WHERE case_id = %1 AND json_extract(reps.body, '$.positions') NOT IN ('{}', 'null', '[]'))")
                .arg(caseId));
        if (!used)
            return used.error();
        if (*used > 0)
            return Error{"the technique cannot be changed any more: something has been marked, placed or practised",
                         {},
                         "nothing was changed",
                         "begin another technique for this athlete",
                         ErrorKind::wrongUse};
        return m_impl->exec("UPDATE cases SET blueprint = ? WHERE id = ?",
                            {QString::fromStdString(blueprintId), QVariant::fromValue<qlonglong>(caseId)}, "saving");
    });
}

Result<std::map<Day, double>> Library::minutesElsewhere(Id caseId, Day from) const {
    std::map<Day, double> out;
    QSqlQuery query(m_impl->database->db());
    query.prepare(
        "SELECT p.body FROM planned p JOIN cases c ON c.id = p.case_id WHERE c.id <> ? AND c.athlete = (SELECT "
        "athlete FROM cases WHERE id = ?)");
    query.addBindValue(QVariant::fromValue<qlonglong>(caseId));
    query.addBindValue(QVariant::fromValue<qlonglong>(caseId));
    if (!query.exec())
        return m_impl->database->failed(query.lastError(), "reading the plans");
    while (query.next()) {
        const auto block = plannedFromJson(query.value(0).toString().toStdString());
        if (!block)
            return block.error();
        if (block->day >= from && block->state != BlockState::dropped && block->state != BlockState::missed)
            out[block->day] += block->minutes;
    }
    return out;
}

Status Library::setCard(Id caseId, const std::string& card) {
    return m_impl->inTransaction([&] {
        return m_impl->exec("UPDATE cases SET card = ? WHERE id = ?",
                            {QString::fromStdString(card), QVariant::fromValue<qlonglong>(caseId)}, "saving");
    });
}

Status Library::mergeAthletes(Id athlete, Id other) {
    const auto here = [&](Id id) {
        const auto n = m_impl->database->number(QString("SELECT count(*) FROM athletes WHERE id = %1").arg(id));
        return n && *n == 1;
    };
    if (athlete == other || !here(athlete) || !here(other))
        return Error{
            "two different athletes of this library are made one", {}, "nothing was changed", {}, ErrorKind::wrongUse};
    return m_impl->inTransaction([&]() -> Status {
        if (auto done = m_impl->exec("UPDATE cases SET athlete = ?, version = version + 1 WHERE athlete = ?",
                                     {QVariant::fromValue<qlonglong>(athlete), QVariant::fromValue<qlonglong>(other)},
                                     "making two entries one");
            !done)
            return done;
        return m_impl->exec("DELETE FROM athletes WHERE id = ?", {QVariant::fromValue<qlonglong>(other)},
                            "making two entries one");
    });
}

Result<std::vector<std::string>> Library::belongingsOf(Id athlete) {
    const auto all = athletes();
    if (!all)
        return all.error();
    std::vector<std::string> out;
    for (const auto& a : *all) {
        if (a.id != athlete)
            continue;
        for (const auto& c : a.cases) {
            const auto data = load(c.id);
            if (!data)
                return data.error();
            std::size_t marks = 0;
            for (const auto& [take, tracks] : data->marks)
                for (const auto& [name, track] : tracks)
                    marks += track.size();
            out.push_back(
                fill(say("library", "case %1 (%2): %3 takes, %4 reps, %5 marks, %6 blocks of practice"),
                     {std::to_string(c.id), c.blueprintId, std::to_string(data->takes.size()),
                      std::to_string(data->reps.size()), std::to_string(marks), std::to_string(data->blocks.size())}));
            for (const auto& [id, take] : data->takes)
                out.push_back(fill(fs::path(take.film).is_absolute() ? say("library", "stays where it is: %1")
                                                                     : say("library", "film %1"),
                                   {fs::path(take.film).filename().string()}));
            std::error_code ec;
            if (fs::exists(folder() / "reviews" / ("case-" + std::to_string(c.id)), ec))
                out.push_back(fill(say("library", "the recorded review of case %1"), {std::to_string(c.id)}));
            if (fs::exists(practiceClips(c.id), ec))
                out.push_back(fill(say("library", "the films of reps in practice of case %1"), {std::to_string(c.id)}));
        }
    }
    return out;
}

Status Library::eraseAthlete(Id athlete) {
    const auto before = filmNames();
    if (!before)
        return before.error();
    std::vector<Id> gone;
    if (const auto all = cases(); !all)
        return all.error();
    else
        for (const auto& c : *all)
            if (c.athleteId == athlete)
                gone.push_back(c.id);
    const auto s = m_impl->inTransaction([&]() -> Status {
        for (const char* sql : {"DELETE FROM marks WHERE take_id IN (SELECT t.id FROM takes t JOIN cases c ON c.id = "
                                "t.case_id WHERE c.athlete = ?)",
                                "DELETE FROM reps WHERE take_id IN (SELECT t.id FROM takes t JOIN cases c ON c.id = "
                                "t.case_id WHERE c.athlete = ?)",
                                "DELETE FROM links WHERE case_id IN (SELECT id FROM cases WHERE athlete = ?)",
                                "DELETE FROM repeats WHERE case_id IN (SELECT id FROM cases WHERE athlete = ?)",
                                "DELETE FROM blocks WHERE case_id IN (SELECT id FROM cases WHERE athlete = ?)",
                                "DELETE FROM decisions WHERE case_id IN (SELECT id FROM cases WHERE athlete = ?)",
                                "DELETE FROM notes WHERE case_id IN (SELECT id FROM cases WHERE athlete = ?)",
                                "DELETE FROM planned WHERE case_id IN (SELECT id FROM cases WHERE athlete = ?)",
                                "DELETE FROM takes WHERE case_id IN (SELECT id FROM cases WHERE athlete = ?)",
                                "DELETE FROM cases WHERE athlete = ?", "DELETE FROM athletes WHERE id = ?"})
            if (auto done = m_impl->exec(sql, {QVariant::fromValue<qlonglong>(athlete)}, "deleting the athlete"); !done)
                return done;
        return Done{};
    });
    if (!s)
        return s;
    const auto after = filmNames();
    if (!after)
        return after.error();
    for (const auto& film : *before)
        if (!after->contains(film) && !fs::path(film).is_absolute())
            if (auto removed = removeFilm(film); !removed)
                return removed;
    std::error_code ec; // voices and pictures of them go, too
    for (const Id id : gone) {
        fs::remove_all(folder() / "reviews" / ("case-" + std::to_string(id)), ec);
        fs::remove_all(practiceClips(id), ec);
        fs::remove(folder() / "stills" / (std::to_string(id) + ".jpg"), ec);
    }
    return Done{};
}

Result<CaseData> Library::load(Id caseId) {
    // One view of the file from the first row to the last, and the version of just that view.
    if (auto s = m_impl->database->run("BEGIN"); !s)
        return s.error();
    const auto version = m_impl->database->number("PRAGMA data_version");
    auto data = m_impl->rows->load(caseId);
    m_impl->database->rollback();
    if (!version)
        return version.error();
    if (data)
        m_impl->seen = *version;
    return data;
}

Status Library::apply(Id caseId, const std::vector<Edit>& edits) {
    if (m_impl->noIds)
        return *std::exchange(m_impl->noIds, std::nullopt);
    if (m_impl->failIn > 0 && --m_impl->failIn == 0)
        return Error{"saving failed: the disk is full", "library.sqlite", "the library is as it was before",
                     "make room and do it again", ErrorKind::full};
    const auto s = m_impl->inTransaction([&]() -> Status {
        for (const auto& edit : edits)
            if (auto written = m_impl->rows->write(caseId, edit); !written)
                return written;
        return Done{};
    });
    if (s)
        m_impl->rows->keep();
    else
        m_impl->rows->forget();
    return s;
}

bool Library::changedElsewhere() {
    const auto version = m_impl->database->number("PRAGMA data_version");
    if (!version || *version == m_impl->seen)
        return false;
    m_impl->seen = *version;
    return true;
}

Id Library::freshId() {
    auto& impl = *m_impl;
    if (impl.nextId == impl.idsEnd) {
        qint64 next = 0;
        const auto s = impl.inTransaction([&]() -> Status {
            const auto kept = impl.database->number("SELECT next FROM ids");
            if (!kept)
                return kept.error();
            next = *kept;
            return impl.database->run(QString("UPDATE ids SET next = %1").arg(next + kIdsAtOnce));
        });
        if (!s) {
            impl.noIds = s.error();
            return 0;
        }
        impl.nextId = next;
        impl.idsEnd = next + kIdsAtOnce;
    }
    return impl.nextId++;
}

Result<std::map<std::string, std::string>> Library::knownFilms() {
    QSqlQuery query(m_impl->database->db());
    query.setForwardOnly(true);
    if (!query.exec("SELECT json_extract(body, '$.checksum'), json_extract(body, '$.film') FROM takes"))
        return m_impl->database->failed(query.lastError(), "reading the takes");
    std::map<std::string, std::string> out;
    while (query.next())
        if (const auto sum = query.value(0).toString().toStdString(); !sum.empty())
            out[sum] = query.value(1).toString().toStdString();
    if (query.lastError().isValid())
        return m_impl->database->failed(query.lastError(), "reading the takes");
    return out;
}

Result<std::set<std::string>> Library::filmNames() {
    QSqlQuery query(m_impl->database->db());
    query.setForwardOnly(true);
    if (!query.exec("SELECT json_extract(body, '$.film') FROM takes"))
        return m_impl->database->failed(query.lastError(), "reading the takes");
    std::set<std::string> out;
    while (query.next())
        out.insert(query.value(0).toString().toStdString());
    if (query.lastError().isValid())
        return m_impl->database->failed(query.lastError(), "reading the takes");
    return out;
}

void Library::limitPagesForTests(int pages) {
    (void)m_impl->database->run(QString("PRAGMA max_page_count = %1").arg(pages > 0 ? pages : 1073741823));
}

void Library::failForTests(int nth) {
    m_impl->failIn = nth;
}

} // namespace riflesso
