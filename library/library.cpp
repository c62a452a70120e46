#include "library/library.h"

#include "library/case_json.h"

#include <QCryptographicHash>
#include <QSqlDatabase>
#include <QSqlError>
#include <QSqlQuery>
#include <QString>
#include <QUuid>
#include <QVariant>

#include <algorithm>
#include <cerrno>
#include <cstring>
#include <fstream>

namespace riflesso {
namespace {

namespace fs = std::filesystem;
constexpr int kApplicationId = 0x5249464C; // "RIFL": tells our file from any other SQLite file

QString q(const std::string& s) {
    return QString::fromStdString(s);
}

QByteArray packTimes(const std::vector<double>& times) {
    QByteArray bytes(static_cast<qsizetype>(times.size() * sizeof(double)), Qt::Uninitialized);
    std::memcpy(bytes.data(), times.data(), static_cast<std::size_t>(bytes.size()));
    return bytes;
}

std::vector<double> unpackTimes(const QByteArray& bytes) {
    std::vector<double> times(static_cast<std::size_t>(bytes.size()) / sizeof(double));
    std::memcpy(times.data(), bytes.constData(), times.size() * sizeof(double));
    return times;
}

QByteArray packPath(const CameraPath& path) {
    std::vector<double> flat;
    for (const auto& h : path)
        flat.insert(flat.end(), h.data(), h.data() + 9);
    return packTimes(flat);
}

CameraPath unpackPath(const QByteArray& bytes) {
    const auto flat = unpackTimes(bytes);
    CameraPath path;
    for (std::size_t i = 0; i + 9 <= flat.size(); i += 9)
        path.emplace_back(Eigen::Map<const Eigen::Matrix3d>(flat.data() + i));
    return path;
}

// What format 1 lacked.
const char* const kFromFormat1[] = {
    "CREATE TABLE links (id INTEGER PRIMARY KEY, case_id INTEGER NOT NULL REFERENCES cases(id), body TEXT NOT NULL)",
    "ALTER TABLE takes ADD COLUMN camera BLOB",
};

// What format 2 lacked.
const char* const kFromFormat2[] = {
    "CREATE TABLE repeats (id INTEGER PRIMARY KEY, case_id INTEGER NOT NULL REFERENCES cases(id), body TEXT NOT NULL)",
};

const char* const kSchema[] = {
    "CREATE TABLE cases (id INTEGER PRIMARY KEY, blueprint TEXT NOT NULL, brief TEXT NOT NULL)",
    "CREATE TABLE takes (id INTEGER PRIMARY KEY, case_id INTEGER NOT NULL REFERENCES cases(id), body TEXT NOT NULL, "
    "times BLOB NOT NULL, camera BLOB)",
    "CREATE TABLE reps (id INTEGER PRIMARY KEY, take_id INTEGER NOT NULL REFERENCES takes(id) DEFERRABLE INITIALLY "
    "DEFERRED, body TEXT NOT NULL)",
    "CREATE TABLE blocks (id INTEGER PRIMARY KEY, case_id INTEGER NOT NULL REFERENCES cases(id), body TEXT NOT NULL)",
    "CREATE TABLE marks (take_id INTEGER NOT NULL REFERENCES takes(id) DEFERRABLE INITIALLY DEFERRED, frame INTEGER "
    "NOT NULL, landmark TEXT NOT NULL, "
    "x REAL NOT NULL, y REAL NOT NULL, sigma REAL NOT NULL, how TEXT NOT NULL, PRIMARY KEY (take_id, frame, landmark)) "
    "WITHOUT ROWID",
    "CREATE TABLE links (id INTEGER PRIMARY KEY, case_id INTEGER NOT NULL REFERENCES cases(id), body TEXT NOT NULL)",
    "CREATE TABLE repeats (id INTEGER PRIMARY KEY, case_id INTEGER NOT NULL REFERENCES cases(id), body TEXT NOT NULL)",
    "CREATE INDEX takes_of_case ON takes(case_id)",
    "CREATE INDEX reps_of_take ON reps(take_id)",
    "CREATE INDEX blocks_of_case ON blocks(case_id)",
};

template <typename T> std::optional<std::string> bodyOf(const std::optional<T>& value) {
    return value ? std::optional(toJson(*value)) : std::nullopt;
}

} // namespace

void applyTo(CaseData& data, const Edit& edit) {
    const auto put = [](auto& map, const auto& e) {
        if (e.after)
            map[e.key] = *e.after;
        else
            map.erase(e.key);
    };
    struct Visitor {
        CaseData& d;
        decltype(put)& p;
        void operator()(const BriefEdit& e) const {
            if (e.after)
                d.brief = *e.after;
        }
        void operator()(const TakeEdit& e) const { p(d.takes, e); }
        void operator()(const RepEdit& e) const { p(d.reps, e); }
        void operator()(const BlockEdit& e) const { p(d.blocks, e); }
        void operator()(const LinkEdit& e) const { p(d.links, e); }
        void operator()(const RepeatEdit& e) const { p(d.repeats, e); }
        void operator()(const MarkEdit& e) const {
            auto& tracks = d.marks[e.key.take];
            auto& track = tracks[e.key.landmark];
            if (e.after)
                track[e.key.frame] = *e.after;
            else
                track.erase(e.key.frame);
            if (track.empty())
                tracks.erase(e.key.landmark);
            if (tracks.empty())
                d.marks.erase(e.key.take);
        }
    };
    std::visit(Visitor{data, put}, edit);
}

Edit reversed(const Edit& edit) {
    return std::visit(
        [](auto e) -> Edit {
            std::swap(e.before, e.after);
            return e;
        },
        edit);
}

struct Library::Impl {
    fs::path folder;
    QString connection;
    Id nextId = 1;

    ~Impl() {
        {
            QSqlDatabase db = QSqlDatabase::database(connection, false);
            db.close();
        }
        QSqlDatabase::removeDatabase(connection);
    }

    [[nodiscard]] QSqlDatabase db() const { return QSqlDatabase::database(connection, false); }

    [[nodiscard]] Error failed(const QSqlError& e, const std::string& doing) const {
        const std::string code = e.nativeErrorCode().toStdString();
        std::string what = doing + " failed (" + e.databaseText().toStdString() + ")";
        std::string advice;
        if (code == "13") {
            what = doing + " failed: the disk is full";
            advice = "make room and do it again";
        } else if (code == "8" || code == "1544" || code == "1032") {
            what = doing + " failed: the library is write-protected";
            advice = "copy the library to a place you may write to";
        } else if (code == "14") {
            what = doing + " failed: the library's folder is write-protected or cannot be reached";
            advice = "copy the library to a place you may write to";
        } else if (code == "5" || code == "6") {
            what = doing + " failed: another program is using the library";
            advice = "close the other program and do it again";
        } else if (code == "11" || code == "26") {
            what = "the library is damaged or is no library";
        }
        return {what, "library.sqlite", "the library is as it was before", advice};
    }

    Status run(const QString& sql) const {
        QSqlQuery query(db());
        if (!query.exec(sql))
            return failed(query.lastError(), "writing");
        return Done{};
    }

    Status connect() {
        connection = QUuid::createUuid().toString();
        QSqlDatabase base = QSqlDatabase::addDatabase("QSQLITE", connection);
        if (!base.isValid())
            return Error{"Qt's SQLite driver is not installed (package libqt6sql6-sqlite)", {}, {}, {}};
        base.setDatabaseName(QString::fromStdString((folder / "library.sqlite").string()));
        base.setConnectOptions("QSQLITE_BUSY_TIMEOUT=3000");
        if (!base.open())
            return failed(base.lastError(), "opening the library");
        for (const char* pragma : {"PRAGMA foreign_keys = ON", "PRAGMA synchronous = FULL"})
            if (auto s = run(pragma); !s)
                return s;
        return Done{};
    }

    [[nodiscard]] Result<int> number(const QString& sql) const {
        QSqlQuery query(db());
        if (!query.exec(sql) || !query.next())
            return failed(query.lastError(), "reading the library");
        return query.value(0).toInt();
    }

    // One edit as SQL. `table` rows carry their body as JSON.
    bool write(QSqlQuery& query, Id caseId, const Edit& edit) const {
        const auto erase = [&](const char* table, Id id) {
            query.prepare(QString("DELETE FROM %1 WHERE id = ?").arg(table));
            query.addBindValue(QVariant::fromValue<qlonglong>(id));
            return query.exec();
        };
        struct Visitor {
            QSqlQuery& query;
            Id caseId;
            decltype(erase)& remove;
            static QVariant id(Id i) { return QVariant::fromValue<qlonglong>(i); }
            bool operator()(const BriefEdit& e) const {
                if (!e.after)
                    return true;
                query.prepare("UPDATE cases SET brief = ? WHERE id = ?");
                query.addBindValue(q(toJson(*e.after)));
                query.addBindValue(id(caseId));
                return query.exec();
            }
            bool operator()(const TakeEdit& e) const {
                if (!e.after)
                    return remove("takes", e.key);
                // No REPLACE: it would delete the row, and with it what refers to it.
                query.prepare("INSERT INTO takes (id, case_id, body, times, camera) VALUES (?, ?, ?, ?, ?) "
                              "ON CONFLICT(id) DO UPDATE SET body = excluded.body, times = excluded.times, camera = "
                              "excluded.camera");
                query.addBindValue(id(e.key));
                query.addBindValue(id(caseId));
                query.addBindValue(q(toJson(*e.after)));
                query.addBindValue(packTimes(e.after->times));
                query.addBindValue(packPath(e.after->camera));
                return query.exec();
            }
            bool operator()(const RepEdit& e) const {
                if (!e.after)
                    return remove("reps", e.key);
                query.prepare("INSERT OR REPLACE INTO reps (id, take_id, body) VALUES (?, ?, ?)");
                query.addBindValue(id(e.key));
                query.addBindValue(id(e.after->take));
                query.addBindValue(q(toJson(*e.after)));
                return query.exec();
            }
            // Rows of a case that are a number and a body.
            bool row(const char* table, Id key, const std::optional<std::string>& body) const {
                if (!body)
                    return remove(table, key);
                query.prepare(QString("INSERT OR REPLACE INTO %1 (id, case_id, body) VALUES (?, ?, ?)").arg(table));
                query.addBindValue(id(key));
                query.addBindValue(id(caseId));
                query.addBindValue(q(*body));
                return query.exec();
            }
            bool operator()(const BlockEdit& e) const { return row("blocks", e.key, bodyOf(e.after)); }
            bool operator()(const LinkEdit& e) const { return row("links", e.key, bodyOf(e.after)); }
            bool operator()(const RepeatEdit& e) const { return row("repeats", e.key, bodyOf(e.after)); }
            bool operator()(const MarkEdit& e) const {
                if (!e.after) {
                    query.prepare("DELETE FROM marks WHERE take_id = ? AND frame = ? AND landmark = ?");
                } else {
                    query.prepare("INSERT OR REPLACE INTO marks (take_id, frame, landmark, x, y, sigma, how) VALUES "
                                  "(?, ?, ?, ?, ?, ?, ?)");
                }
                query.addBindValue(id(e.key.take));
                query.addBindValue(e.key.frame.value);
                query.addBindValue(q(e.key.landmark));
                if (e.after) {
                    query.addBindValue(e.after->at.x);
                    query.addBindValue(e.after->at.y);
                    query.addBindValue(e.after->sigma);
                    query.addBindValue(q(std::string(name(e.after->how))));
                }
                return query.exec();
            }
        };
        return std::visit(Visitor{query, caseId, erase}, edit);
    }
};

Library::Library(std::unique_ptr<Impl> impl) : m_impl(std::move(impl)) {}
Library::~Library() = default;
fs::path Library::folder() const {
    return m_impl->folder;
}

fs::path Library::filmOf(const Take& take) const {
    const fs::path film(take.film);
    return film.is_absolute() ? film : media() / film;
}

Result<std::unique_ptr<Library>> Library::create(const fs::path& folder) {
    std::error_code ec;
    if (fs::exists(folder / "library.sqlite", ec))
        return Error{"there is a library already", folder.filename().string(), "nothing was changed",
                     "open it, or choose another folder"};
    fs::create_directories(folder / "media", ec);
    if (ec)
        return Error{
            "the folder cannot be made (" + ec.message() + ")", folder.filename().string(), "nothing was changed", {}};
    auto impl = std::make_unique<Impl>();
    impl->folder = folder;
    const auto abandon = [&](const Error& e) {
        impl.reset();
        fs::remove(folder / "library.sqlite", ec);
        return e;
    };
    if (auto s = impl->connect(); !s)
        return abandon(s.error());
    // WAL: readers and a killed writer never see half a change.
    if (auto s = impl->run("PRAGMA journal_mode = WAL"); !s)
        return abandon(s.error());
    impl->db().transaction();
    for (const char* sql : kSchema)
        if (auto s = impl->run(sql); !s)
            return abandon(s.error());
    if (auto s = impl->run(QString("PRAGMA user_version = %1").arg(kFormat)); !s)
        return abandon(s.error());
    if (auto s = impl->run(QString("PRAGMA application_id = %1").arg(kApplicationId)); !s)
        return abandon(s.error());
    if (!impl->db().commit())
        return abandon(impl->failed(impl->db().lastError(), "making the library"));
    return std::unique_ptr<Library>(new Library(std::move(impl)));
}

Result<std::unique_ptr<Library>> Library::open(const fs::path& folder) {
    std::error_code ec;
    if (!fs::exists(folder / "library.sqlite", ec))
        return Error{"there is no library in this folder", folder.filename().string(), "nothing was changed",
                     "choose another folder or make a new library"};
    auto impl = std::make_unique<Impl>();
    impl->folder = folder;
    if (auto s = impl->connect(); !s)
        return s.error();
    const auto application = impl->number("PRAGMA application_id");
    if (!application)
        return application.error();
    const auto format = impl->number("PRAGMA user_version");
    if (!format)
        return format.error();
    if (*application != kApplicationId)
        return Error{"the file is not a library of Riflesso", "library.sqlite", "nothing was changed", {}};
    if (*format > kFormat)
        return Error{"the library was written by a newer Riflesso (format " + std::to_string(*format) +
                         ", this one knows up to " + std::to_string(kFormat) + ")",
                     folder.filename().string(), "nothing was changed", "open it with the newer program"};
    fs::create_directories(folder / "media", ec);
    if (*format < kFormat) {
        if (!impl->db().transaction())
            return impl->failed(impl->db().lastError(), "bringing the library up to date");
        std::vector<const char*> steps;
        if (*format < 2)
            steps.insert(steps.end(), std::begin(kFromFormat1), std::end(kFromFormat1));
        steps.insert(steps.end(), std::begin(kFromFormat2), std::end(kFromFormat2));
        for (const char* sql : steps)
            if (auto s = impl->run(sql); !s) {
                impl->db().rollback();
                return s.error();
            }
        if (auto s = impl->run(QString("PRAGMA user_version = %1").arg(kFormat)); !s) {
            impl->db().rollback();
            return s.error();
        }
        if (!impl->db().commit())
            return impl->failed(impl->db().lastError(), "bringing the library up to date");
    }
    const auto last =
        impl->number("SELECT max(coalesce((SELECT max(id) FROM takes), 0), coalesce((SELECT max(id) FROM reps), 0), "
                     "coalesce((SELECT max(id) FROM blocks), 0), coalesce((SELECT max(id) FROM links), 0), "
                     "coalesce((SELECT max(id) FROM repeats), 0))");
    if (!last)
        return last.error();
    impl->nextId = *last + 1;
    return std::unique_ptr<Library>(new Library(std::move(impl)));
}

Result<std::vector<CaseSummary>> Library::cases() {
    QSqlQuery query(m_impl->db());
    if (!query.exec("SELECT id, blueprint, brief FROM cases ORDER BY id"))
        return m_impl->failed(query.lastError(), "reading the cases");
    std::vector<CaseSummary> out;
    while (query.next()) {
        CaseSummary s{query.value(0).toLongLong(), {}, query.value(1).toString().toStdString(), {}};
        if (const auto brief = briefFromJson(query.value(2).toString().toStdString())) {
            s.athlete = brief->athlete.name;
            s.goal = brief->goal;
        }
        out.push_back(std::move(s));
    }
    return out;
}

Result<Id> Library::addCase(const std::string& blueprintId, const Brief& brief) {
    QSqlQuery query(m_impl->db());
    query.prepare("INSERT INTO cases (blueprint, brief) VALUES (?, ?)");
    query.addBindValue(q(blueprintId));
    query.addBindValue(q(toJson(brief)));
    if (!query.exec())
        return m_impl->failed(query.lastError(), "adding the case");
    return static_cast<Id>(query.lastInsertId().toLongLong());
}

Result<CaseData> Library::load(Id caseId) {
    CaseData data;
    data.id = caseId;
    const QVariant id = QVariant::fromValue<qlonglong>(caseId);
    QSqlQuery query(m_impl->db());
    query.setForwardOnly(true);
    const auto select = [&](const char* sql) {
        query.prepare(sql);
        query.addBindValue(id);
        return query.exec();
    };
    const auto failed = [&] { return m_impl->failed(query.lastError(), "reading the case"); };
    if (!select("SELECT blueprint, brief FROM cases WHERE id = ?"))
        return failed();
    if (!query.next())
        return Error{"there is no case " + std::to_string(caseId), m_impl->folder.filename().string(), {}, {}};
    data.blueprintId = query.value(0).toString().toStdString();
    const auto brief = briefFromJson(query.value(1).toString().toStdString());
    if (!brief)
        return brief.error();
    data.brief = *brief;
    if (!select("SELECT id, body, times, camera FROM takes WHERE case_id = ?"))
        return failed();
    while (query.next()) {
        auto take = takeFromJson(query.value(1).toString().toStdString());
        if (!take)
            return take.error();
        take->id = query.value(0).toLongLong();
        take->times = unpackTimes(query.value(2).toByteArray());
        take->camera = unpackPath(query.value(3).toByteArray());
        data.takes[take->id] = *take;
    }
    if (!select("SELECT reps.id, take_id, reps.body FROM reps JOIN takes ON takes.id = take_id WHERE case_id = ?"))
        return failed();
    while (query.next()) {
        auto rep = repFromJson(query.value(2).toString().toStdString());
        if (!rep)
            return rep.error();
        rep->id = query.value(0).toLongLong();
        rep->take = query.value(1).toLongLong();
        data.reps[rep->id] = *rep;
    }
    // Rows that are a number and a body.
    std::optional<Error> problem;
    const auto rows = [&](const char* sql, auto parse, auto& into) {
        if (problem || !select(sql)) {
            problem = problem ? problem : failed();
            return;
        }
        while (query.next()) {
            auto value = parse(query.value(1).toString().toStdString());
            if (!value) {
                problem = value.error();
                return;
            }
            value->id = query.value(0).toLongLong();
            into[value->id] = *value;
        }
    };
    rows("SELECT id, body FROM blocks WHERE case_id = ?", blockFromJson, data.blocks);
    rows("SELECT id, body FROM links WHERE case_id = ?", linkFromJson, data.links);
    rows("SELECT id, body FROM repeats WHERE case_id = ?", repeatFromJson, data.repeats);
    if (problem)
        return *problem;
    if (!select("SELECT take_id, frame, landmark, x, y, sigma, how FROM marks JOIN takes ON takes.id = take_id WHERE "
                "case_id = ?"))
        return failed();
    while (query.next()) {
        const auto how = howFromName(query.value(6).toString().toStdString());
        data.marks[query.value(0).toLongLong()][query.value(2).toString().toStdString()]
                  [FrameIndex(query.value(1).toInt())] = Mark{
            {query.value(3).toDouble(), query.value(4).toDouble()}, query.value(5).toDouble(), how.value_or(How::hand)};
    }
    return data;
}

Status Library::apply(Id caseId, const std::vector<Edit>& edits) {
    QSqlDatabase db = m_impl->db();
    if (!db.transaction())
        return m_impl->failed(db.lastError(), "saving");
    QSqlQuery query(db);
    for (const auto& edit : edits)
        if (!m_impl->write(query, caseId, edit)) {
            const Error e = m_impl->failed(query.lastError(), "saving");
            query.finish();
            db.rollback();
            return e;
        }
    query.finish();
    if (!db.commit()) {
        const Error e = m_impl->failed(db.lastError(), "saving");
        db.rollback();
        return e;
    }
    return Done{};
}

Id Library::freshId() {
    return m_impl->nextId++;
}

Result<std::map<std::string, std::string>> Library::knownFilms() {
    QSqlQuery query(m_impl->db());
    if (!query.exec("SELECT body FROM takes"))
        return m_impl->failed(query.lastError(), "reading the takes");
    std::map<std::string, std::string> out;
    while (query.next())
        if (const auto take = takeFromJson(query.value(0).toString().toStdString()); take && !take->checksum.empty())
            out[take->checksum] = take->film;
    return out;
}

Result<std::string> checksumOf(const fs::path& film, const FileProgress& progress) {
    std::error_code ec;
    std::vector<fs::path> files;
    if (fs::is_directory(film, ec)) {
        for (fs::directory_iterator it(film, ec), end; !ec && it != end; it.increment(ec))
            if (it->is_regular_file(ec))
                files.push_back(it->path());
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
                return Error{"bringing it in was cancelled", film.filename().string(), "nothing was changed", {}};
        }
    }
    return sum.result().toHex().toStdString();
}

Result<std::string> Library::bringIn(const fs::path& film, const FileProgress& progress) const {
    std::error_code ec;
    const fs::path base = film.filename().empty() ? film.parent_path() : film;
    fs::path name = base.filename();
    for (int n = 2; fs::exists(media() / name, ec); ++n)
        name = base.stem().string() + "-" + std::to_string(n) + base.extension().string();
    fs::path part = media() / name;
    part += ".part";
    const auto fail = [&](const std::string& why) {
        fs::remove_all(part, ec);
        return Error{"the film cannot be copied into the library (" + why + ")", base.filename().string(),
                     "the film and the library are as they were", "is the disk full or write-protected?"};
    };
    const auto cancelled = [&] {
        fs::remove_all(part, ec);
        return Error{"bringing it in was cancelled", base.filename().string(), "nothing was changed", {}};
    };
    if (fs::is_directory(film, ec)) {
        fs::create_directories(part, ec);
        for (fs::directory_iterator it(film, ec), end; !ec && it != end; it.increment(ec)) {
            if (it->is_regular_file(ec))
                fs::copy_file(it->path(), part / it->path().filename(), ec);
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
        ec.clear();
    }
    fs::rename(part, media() / name, ec);
    if (ec)
        return fail(ec.message());
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

void Library::limitPagesForTests(int pages) {
    m_impl->run(QString("PRAGMA max_page_count = %1").arg(pages > 0 ? pages : 1073741823));
}

} // namespace riflesso
