#include "library/rows.h"

#include "core/words/say.h"
#include "library/case_json.h"

#include <QVariant>

#include <cstring>

namespace riflesso {
namespace {

QString text(const std::string& s) {
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

QVariant number(Id id) {
    return QVariant::fromValue<qlonglong>(id);
}

qint64 sumOfMark(double x, double y, double sigma, const QByteArray& how) {
    const double values[] = {x, y, sigma};
    return sumOf({QByteArray(reinterpret_cast<const char*>(values), sizeof values), how});
}

// NULL in rows that an earlier format wrote.
bool sumAgrees(const QVariant& kept, qint64 is) {
    return kept.isNull() || kept.toLongLong() == is;
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

// What format 3 lacked: athletes as persons of their own (cases of one name and hand are one person's), versions and
// sums of rows, ids from a table, what a case's card on the shelf shows.
const char* const kFromFormat3[] = {
    "CREATE TABLE athletes (id INTEGER PRIMARY KEY, body TEXT NOT NULL, version INTEGER NOT NULL DEFAULT 1, sum "
    "INTEGER)",
    "ALTER TABLE cases ADD COLUMN athlete INTEGER NOT NULL DEFAULT 0",
    "ALTER TABLE cases ADD COLUMN card TEXT",
    "UPDATE cases SET athlete = CASE WHEN coalesce(json_extract(brief, '$.athlete.name'), '') = '' THEN id ELSE "
    "(SELECT min(c.id) FROM cases c WHERE json_extract(c.brief, '$.athlete.name') = json_extract(cases.brief, "
    "'$.athlete.name') AND json_extract(c.brief, '$.athlete.handedness') = json_extract(cases.brief, "
    "'$.athlete.handedness')) END",
    "INSERT INTO athletes (id, body) SELECT id, coalesce(json_extract(brief, '$.athlete'), '{}') FROM cases WHERE "
    "athlete "
    "= id",
    "UPDATE cases SET brief = json_remove(brief, '$.athlete')",
    "ALTER TABLE cases ADD COLUMN version INTEGER NOT NULL DEFAULT 1",
    "ALTER TABLE cases ADD COLUMN sum INTEGER",
    "ALTER TABLE takes ADD COLUMN version INTEGER NOT NULL DEFAULT 1",
    "ALTER TABLE takes ADD COLUMN sum INTEGER",
    "ALTER TABLE reps ADD COLUMN version INTEGER NOT NULL DEFAULT 1",
    "ALTER TABLE reps ADD COLUMN sum INTEGER",
    "ALTER TABLE blocks ADD COLUMN version INTEGER NOT NULL DEFAULT 1",
    "ALTER TABLE blocks ADD COLUMN sum INTEGER",
    "ALTER TABLE links ADD COLUMN version INTEGER NOT NULL DEFAULT 1",
    "ALTER TABLE links ADD COLUMN sum INTEGER",
    "ALTER TABLE repeats ADD COLUMN version INTEGER NOT NULL DEFAULT 1",
    "ALTER TABLE repeats ADD COLUMN sum INTEGER",
    "ALTER TABLE marks ADD COLUMN sum INTEGER",
    "CREATE INDEX cases_of_athlete ON cases(athlete)",
    "CREATE TABLE ids (next INTEGER NOT NULL)",
    "INSERT INTO ids SELECT 1 + max(coalesce((SELECT max(id) FROM takes), 0), coalesce((SELECT max(id) FROM reps), 0), "
    "coalesce((SELECT max(id) FROM blocks), 0), coalesce((SELECT max(id) FROM links), 0), "
    "coalesce((SELECT max(id) FROM repeats), 0))",
};

// What format 4 lacked: decisions on findings and the plan that stands.
const char* const kFromFormat4[] = {
    "CREATE TABLE decisions (id INTEGER PRIMARY KEY, case_id INTEGER NOT NULL REFERENCES cases(id), body TEXT NOT "
    "NULL, version INTEGER NOT NULL DEFAULT 1, sum INTEGER)",
    "CREATE INDEX decisions_of_case ON decisions(case_id)",
    "CREATE TABLE planned (id INTEGER PRIMARY KEY, case_id INTEGER NOT NULL REFERENCES cases(id), body TEXT NOT NULL, "
    "version INTEGER NOT NULL DEFAULT 1, sum INTEGER)",
    "CREATE INDEX planned_of_case ON planned(case_id)",
};

// What format 5 lacked: notes on frames.
const char* const kFromFormat5[] = {
    "CREATE TABLE notes (id INTEGER PRIMARY KEY, case_id INTEGER NOT NULL REFERENCES cases(id), body TEXT NOT NULL, "
    "version INTEGER NOT NULL DEFAULT 1, sum INTEGER)",
    "CREATE INDEX notes_of_case ON notes(case_id)",
};

// Format 3. A new library goes the same way as an old one.
const char* const kFormat3[] = {
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

Error damaged(const std::string& table, Id id) {
    return {"a row is damaged: what it holds is not what was written",
            say("error", table.c_str()) + " " + std::to_string(id), "nothing was changed",
            "restore an earlier copy (menu Library)", ErrorKind::damaged};
}

// One row of marks: take, frame, landmark, x, y, sigma, how, sum.
std::optional<Error> takeMark(const QSqlQuery& row, CaseData& data) {
    const Id take = row.value(0).toLongLong();
    const QByteArray how = row.value(6).toString().toUtf8();
    const Mark mark{{row.value(3).toDouble(), row.value(4).toDouble()},
                    row.value(5).toDouble(),
                    howFromName(how.toStdString()).value_or(How::hand)};
    data.marks[take][row.value(2).toString().toStdString()][FrameIndex(row.value(1).toInt())] = mark;
    if (!sumAgrees(row.value(7), sumOfMark(mark.at.x, mark.at.y, mark.sigma, how)))
        return damaged("marks of take", take);
    return std::nullopt;
}

} // namespace

const std::vector<const char*>& schema() {
    static const std::vector<const char*> all = [] {
        std::vector<const char*> s(std::begin(kFormat3), std::end(kFormat3));
        s.insert(s.end(), std::begin(kFromFormat3), std::end(kFromFormat3));
        s.insert(s.end(), std::begin(kFromFormat4), std::end(kFromFormat4));
        s.insert(s.end(), std::begin(kFromFormat5), std::end(kFromFormat5));
        return s;
    }();
    return all;
}

std::vector<const char*> stepsFrom(int format) {
    std::vector<const char*> steps;
    if (format < 2)
        steps.insert(steps.end(), std::begin(kFromFormat1), std::end(kFromFormat1));
    if (format < 3)
        steps.insert(steps.end(), std::begin(kFromFormat2), std::end(kFromFormat2));
    if (format < 4)
        steps.insert(steps.end(), std::begin(kFromFormat3), std::end(kFromFormat3));
    if (format < 5)
        steps.insert(steps.end(), std::begin(kFromFormat4), std::end(kFromFormat4));
    if (format < 6)
        steps.insert(steps.end(), std::begin(kFromFormat5), std::end(kFromFormat5));
    return steps;
}

qint64 sumOf(std::initializer_list<QByteArray> parts) {
    quint64 h = 14695981039346656037ull;
    for (const auto& part : parts) {
        for (const char c : part)
            h = (h ^ static_cast<unsigned char>(c)) * 1099511628211ull;
        h = (h ^ 0xffu) * 1099511628211ull; // so that a byte cannot move from one part to the next unseen
    }
    return static_cast<qint64>(h);
}

const char* Rows::nameOf(Table table) {
    static constexpr const char* names[] = {"cases", "athletes", "takes",     "reps",    "blocks",
                                            "links", "repeats",  "decisions", "planned", "notes"};
    return names[static_cast<int>(table)];
}

int Rows::knownVersion(Row row) const {
    for (auto it = m_pending.rbegin(); it != m_pending.rend(); ++it)
        if (it->first == row)
            return it->second;
    const auto it = m_versions.find(row);
    return it == m_versions.end() ? 0 : it->second;
}

int Rows::nextVersion(Row row) const {
    return knownVersion(row) + 1; // also of a row that comes back: who knew it before it went must not take it for his
}

Error Rows::overtaken(Row row) const {
    return {"another program has changed or removed this meanwhile",
            say("error", nameOf(row.first)) + " " + std::to_string(row.second), "nothing was overwritten",
            "look at what is there now, then do it again", ErrorKind::conflict};
}

void Rows::keep() {
    for (const auto& [row, version] : m_pending)
        m_versions[row] = version;
    m_pending.clear();
}

// Runs a prepared UPDATE or DELETE that must touch one row.
Status Rows::changed(QSqlQuery& query, Row row, const char* doing) {
    if (!query.exec())
        return m_database.failed(query.lastError(), doing);
    if (query.numRowsAffected() != 1)
        return overtaken(row);
    m_pending.emplace_back(row, nextVersion(row));
    return Done{};
}

namespace {
// The condition that the row is still what this program knows. A row that was neither read nor written here is taken as
// it is.
QString still(int known) {
    return known > 0 ? QString(" AND version = %1").arg(known) : QString();
}
} // namespace

Status Rows::erase(Table table, Id id) {
    QSqlQuery query(m_database.db());
    query.prepare(QString("DELETE FROM %1 WHERE id = ?").arg(nameOf(table)) + still(knownVersion({table, id})));
    query.addBindValue(number(id));
    return changed(query, {table, id}, "saving");
}

Status Rows::writeBody(Table table, Id id, const char* parent, Id parentId, const std::optional<std::string>& body,
                       bool fresh) {
    if (!body)
        return erase(table, id);
    const Row row{table, id};
    QSqlQuery query(m_database.db());
    const QByteArray bytes = QByteArray::fromStdString(*body);
    if (fresh) {
        query.prepare(
            QString("INSERT INTO %1 (id, %2, body, version, sum) VALUES (?, ?, ?, ?, ?)").arg(nameOf(table), parent));
        query.addBindValue(number(id));
        query.addBindValue(number(parentId));
        query.addBindValue(QString::fromUtf8(bytes));
        query.addBindValue(nextVersion(row));
        query.addBindValue(sumOf({bytes}));
    } else {
        query.prepare(QString("UPDATE %1 SET %2 = ?, body = ?, version = version + 1, sum = ? WHERE id = ?")
                          .arg(nameOf(table), parent) +
                      still(knownVersion(row)));
        query.addBindValue(number(parentId));
        query.addBindValue(QString::fromUtf8(bytes));
        query.addBindValue(sumOf({bytes}));
        query.addBindValue(number(id));
    }
    return changed(query, row, "saving");
}

Status Rows::writeTake(Id caseId, const TakeEdit& e) {
    if (!e.after)
        return erase(Table::takes, e.key);
    const Row row{Table::takes, e.key};
    QSqlQuery query(m_database.db());
    const QByteArray body = QByteArray::fromStdString(toJson(*e.after)), times = packTimes(e.after->times),
                     camera = packPath(e.after->camera);
    if (!e.before) {
        query.prepare(
            "INSERT INTO takes (case_id, body, times, camera, sum, version, id) VALUES (?, ?, ?, ?, ?, ?, ?)");
    } else {
        query.prepare(
            "UPDATE takes SET case_id = ?, body = ?, times = ?, camera = ?, sum = ?, version = ? WHERE id = ?" +
            still(knownVersion(row)));
    }
    query.addBindValue(number(caseId));
    query.addBindValue(QString::fromUtf8(body));
    query.addBindValue(times);
    query.addBindValue(camera);
    query.addBindValue(sumOf({body, times, camera}));
    query.addBindValue(nextVersion(row));
    query.addBindValue(number(e.key));
    return changed(query, row, "saving");
}

Status Rows::writeMark(const MarkEdit& e) {
    QSqlQuery query(m_database.db());
    if (!e.after)
        query.prepare("DELETE FROM marks WHERE take_id = ? AND frame = ? AND landmark = ?");
    else if (!e.before)
        query.prepare(
            "INSERT INTO marks (x, y, sigma, how, sum, take_id, frame, landmark) VALUES (?, ?, ?, ?, ?, ?, ?, ?)");
    else
        query.prepare("UPDATE marks SET x = ?, y = ?, sigma = ?, how = ?, sum = ? WHERE take_id = ? AND frame = ? AND "
                      "landmark = ? AND x = ? AND y = ? AND sigma = ?");
    const auto bind = [&query](const Mark& m) {
        query.addBindValue(m.at.x);
        query.addBindValue(m.at.y);
        query.addBindValue(m.sigma);
    };
    if (e.after) {
        const QByteArray how = QByteArray::fromStdString(std::string(name(e.after->how)));
        bind(*e.after);
        query.addBindValue(QString::fromUtf8(how));
        query.addBindValue(sumOfMark(e.after->at.x, e.after->at.y, e.after->sigma, how));
    }
    query.addBindValue(number(e.key.take));
    query.addBindValue(e.key.frame.value);
    query.addBindValue(text(e.key.landmark));
    if (e.after && e.before)
        bind(*e.before);
    const auto overtakenMark = [&] {
        Error error = overtaken({Table::takes, e.key.take});
        error.where = fill(say("error", "%1 on frame %2"), {spoken(e.key.landmark), std::to_string(e.key.frame.value)});
        return error;
    };
    if (!query.exec())
        return query.lastError().nativeErrorCode() == "1555" || query.lastError().nativeErrorCode() == "2067"
                   ? Status(overtakenMark()) // another program has marked it first
                   : Status(m_database.failed(query.lastError(), "saving"));
    return query.numRowsAffected() == 1 ? Status(Done{}) : Status(overtakenMark());
}

Status Rows::writeBrief(Id caseId, const BriefEdit& e) {
    if (!e.after)
        return Done{};
    QSqlQuery query(m_database.db());
    const QByteArray body = QByteArray::fromStdString(toJson(*e.after));
    query.prepare("UPDATE cases SET brief = ?, sum = ?, version = version + 1 WHERE id = ?" +
                  still(knownVersion({Table::cases, caseId})));
    query.addBindValue(QString::fromUtf8(body));
    query.addBindValue(sumOf({body}));
    query.addBindValue(number(caseId));
    if (auto s = changed(query, {Table::cases, caseId}, "saving"); !s)
        return s;
    if (e.before && e.before->athlete == e.after->athlete)
        return Done{};
    const auto athlete = m_database.number(QString("SELECT athlete FROM cases WHERE id = %1").arg(caseId));
    if (!athlete)
        return athlete.error();
    const QByteArray person = QByteArray::fromStdString(toJson(e.after->athlete));
    query.prepare("UPDATE athletes SET body = ?, sum = ?, version = version + 1 WHERE id = ?" +
                  still(knownVersion({Table::athletes, *athlete})));
    query.addBindValue(QString::fromUtf8(person));
    query.addBindValue(sumOf({person}));
    query.addBindValue(number(*athlete));
    return changed(query, {Table::athletes, *athlete}, "saving");
}

Status Rows::write(Id caseId, const Edit& edit) {
    struct Visitor {
        Rows& rows;
        Id caseId;
        Status operator()(const BriefEdit& e) const { return rows.writeBrief(caseId, e); }
        Status operator()(const TakeEdit& e) const { return rows.writeTake(caseId, e); }
        Status operator()(const RepEdit& e) const {
            return rows.writeBody(Table::reps, e.key, "take_id", e.after ? e.after->take : 0, bodyOf(e.after),
                                  !e.before);
        }
        Status operator()(const BlockEdit& e) const {
            return rows.writeBody(Table::blocks, e.key, "case_id", caseId, bodyOf(e.after), !e.before);
        }
        Status operator()(const LinkEdit& e) const {
            return rows.writeBody(Table::links, e.key, "case_id", caseId, bodyOf(e.after), !e.before);
        }
        Status operator()(const RepeatEdit& e) const {
            return rows.writeBody(Table::repeats, e.key, "case_id", caseId, bodyOf(e.after), !e.before);
        }
        Status operator()(const DecisionEdit& e) const {
            return rows.writeBody(Table::decisions, e.key, "case_id", caseId, bodyOf(e.after), !e.before);
        }
        Status operator()(const PlanEdit& e) const {
            return rows.writeBody(Table::planned, e.key, "case_id", caseId, bodyOf(e.after), !e.before);
        }
        Status operator()(const NoteEdit& e) const {
            return rows.writeBody(Table::notes, e.key, "case_id", caseId, bodyOf(e.after), !e.before);
        }
        Status operator()(const MarkEdit& e) const { return rows.writeMark(e); }
    };
    return std::visit(Visitor{*this, caseId}, edit);
}

Result<CaseData> Rows::load(Id caseId) {
    CaseData data;
    data.id = caseId;
    QSqlQuery query(m_database.db());
    query.setForwardOnly(true);
    std::optional<Error> problem;
    std::map<Row, int> versions;
    // Goes through all rows of a query; an error while reading is an error, never the end of a shorter case.
    const auto each = [&](const char* sql, auto take) {
        if (problem)
            return;
        query.prepare(sql);
        query.addBindValue(number(caseId));
        if (!query.exec()) {
            problem = m_database.failed(query.lastError(), "reading the case");
            return;
        }
        while (!problem && query.next())
            take();
        if (!problem && query.lastError().isValid())
            problem = m_database.failed(query.lastError(), "reading the case");
        query.finish();
    };
    const auto body = [&](int column) { return query.value(column).toString().toUtf8(); };
    // Parses a body, compares its sum and keeps its version: id, version, sum, body are the first four columns.
    const auto parsed = [&](Table table, auto parse, qint64 sum) -> decltype(parse(std::string())) {
        auto value = parse(body(3).toStdString());
        const Id id = query.value(0).toLongLong();
        if (!value)
            problem = value.error();
        else if (!sumAgrees(query.value(2), sum))
            problem = damaged(nameOf(table), id);
        versions[{table, id}] = query.value(1).toInt();
        return value;
    };
    bool found = false;
    each("SELECT id, version, sum, brief, blueprint FROM cases WHERE id = ?", [&] {
        if (auto brief = parsed(Table::cases, briefFromJson, sumOf({body(3)})); brief)
            data.brief = std::move(*brief);
        data.blueprintId = query.value(4).toString().toStdString();
        found = true;
    });
    if (!problem && !found)
        return Error{fill(say("error", "there is no case %1"), {std::to_string(caseId)}),
                     m_database.file().parent_path().filename().string(),
                     {},
                     {},
                     ErrorKind::missing};
    each("SELECT a.id, a.version, a.sum, a.body FROM athletes a JOIN cases c ON c.athlete = a.id WHERE c.id = ?", [&] {
        if (auto athlete = parsed(Table::athletes, athleteFromJson, sumOf({body(3)})); athlete)
            data.brief.athlete = std::move(*athlete);
    });
    each("SELECT id, version, sum, body, times, camera FROM takes WHERE case_id = ?", [&] {
        const QByteArray times = query.value(4).toByteArray(), camera = query.value(5).toByteArray();
        auto take = parsed(Table::takes, takeFromJson, sumOf({body(3), times, camera}));
        if (!take)
            return;
        take->id = query.value(0).toLongLong();
        take->times = unpackTimes(times);
        take->camera = unpackPath(camera);
        data.takes[take->id] = std::move(*take);
    });
    each("SELECT reps.id, reps.version, reps.sum, reps.body, take_id FROM reps JOIN takes ON takes.id = take_id WHERE "
         "case_id = ?",
         [&] {
             auto rep = parsed(Table::reps, repFromJson, sumOf({body(3)}));
             if (!rep)
                 return;
             rep->id = query.value(0).toLongLong();
             rep->take = query.value(4).toLongLong();
             data.reps[rep->id] = std::move(*rep);
         });
    const auto rows = [&](const char* sql, Table table, auto parse, auto& into) {
        each(sql, [&] {
            auto value = parsed(table, parse, sumOf({body(3)}));
            if (!value)
                return;
            value->id = query.value(0).toLongLong();
            into[value->id] = std::move(*value);
        });
    };
    rows("SELECT id, version, sum, body FROM blocks WHERE case_id = ?", Table::blocks, blockFromJson, data.blocks);
    rows("SELECT id, version, sum, body FROM links WHERE case_id = ?", Table::links, linkFromJson, data.links);
    rows("SELECT id, version, sum, body FROM repeats WHERE case_id = ?", Table::repeats, repeatFromJson, data.repeats);
    rows("SELECT id, version, sum, body FROM decisions WHERE case_id = ?", Table::decisions, decisionFromJson,
         data.decisions);
    rows("SELECT id, version, sum, body FROM planned WHERE case_id = ?", Table::planned, plannedFromJson, data.planned);
    rows("SELECT id, version, sum, body FROM notes WHERE case_id = ?", Table::notes, noteFromJson, data.notes);
    each("SELECT take_id, frame, landmark, x, y, sigma, how, marks.sum FROM marks JOIN takes ON takes.id = take_id "
         "WHERE case_id = ?",
         [&] { problem = takeMark(query, data); });
    if (problem)
        return *problem;
    for (const auto& [row, version] : versions)
        m_versions[row] = version;
    return data;
}

Status Rows::check() const {
    QSqlQuery query(m_database.db());
    query.setForwardOnly(true);
    const auto each = [&](const QString& sql, auto wrong) -> Status {
        if (!query.exec(sql))
            return m_database.failed(query.lastError(), "looking through the library");
        while (query.next())
            if (const auto e = wrong())
                return *e;
        if (query.lastError().isValid())
            return m_database.failed(query.lastError(), "looking through the library");
        return Done{};
    };
    const auto bytes = [&](int column) { return query.value(column).toString().toUtf8(); };
    for (const Table table : {Table::cases, Table::athletes, Table::reps, Table::blocks, Table::links, Table::repeats,
                              Table::decisions, Table::planned, Table::notes})
        if (auto s =
                each(QString("SELECT id, sum, %1 FROM %2").arg(table == Table::cases ? "brief" : "body", nameOf(table)),
                     [&]() -> std::optional<Error> {
                         return sumAgrees(query.value(1), sumOf({bytes(2)}))
                                    ? std::nullopt
                                    : std::optional(damaged(nameOf(table), query.value(0).toLongLong()));
                     });
            !s)
            return s;
    if (auto s = each("SELECT id, sum, body, times, camera FROM takes",
                      [&]() -> std::optional<Error> {
                          return sumAgrees(query.value(1), sumOf({bytes(2), query.value(3).toByteArray(),
                                                                  query.value(4).toByteArray()}))
                                     ? std::nullopt
                                     : std::optional(damaged("takes", query.value(0).toLongLong()));
                      });
        !s)
        return s;
    return each("SELECT take_id, x, y, sigma, how, sum FROM marks", [&]() -> std::optional<Error> {
        return sumAgrees(query.value(5), sumOfMark(query.value(1).toDouble(), query.value(2).toDouble(),
                                                   query.value(3).toDouble(), bytes(4)))
                   ? std::nullopt
                   : std::optional(damaged("marks of take", query.value(0).toLongLong()));
    });
}

} // namespace riflesso
