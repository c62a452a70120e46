#pragma once
/// \file
/// The tables of a library and how a case's values become rows. Private to this room.
///
/// Each row has a version, which grows with every change, and a sum of what it holds. A change says which version it
/// knows; when another program has changed the row since, nothing is written. Marks have no version: a change says the
/// mark that it takes the place of.

#include "library/case_data.h"
#include "library/database.h"

#include <QByteArray>

#include <map>
#include <utility>
#include <vector>

namespace riflesso {

/// Statements that make an empty library of the newest format.
const std::vector<const char*>& schema();
/// Statements that bring a library of an older format (1 to 5) up to date.
std::vector<const char*> stepsFrom(int format);

/// FNV-1a (Fowler, Noll, Vo), 64 bits: finds damage, not forgery.
qint64 sumOf(std::initializer_list<QByteArray> parts);

/// What this program has read or written of the rows that have versions.
class Rows {
public:
    explicit Rows(const Database& database) : m_database(database) {}

    /// Reads a case in one transaction. Errors: no such case; a row that cannot be understood or whose sum is wrong.
    Result<CaseData> load(Id caseId);
    /// One edit; call within a transaction, then keep() after its commit or forget() after its rollback.
    /// Errors: changed or removed by another program meanwhile; what SQLite says.
    Status write(Id caseId, const Edit& edit);
    void keep();
    void forget() { m_pending.clear(); }

    /// Every sum of every table. The first wrong row is named.
    Status check() const;

private:
    enum class Table { cases, athletes, takes, reps, blocks, links, repeats, decisions, planned, notes };
    using Row = std::pair<Table, Id>;
    static const char* nameOf(Table table);

    Status writeBody(Table table, Id id, const char* parent, Id parentId, const std::optional<std::string>& body,
                     bool fresh);
    Status erase(Table table, Id id);
    Status writeTake(Id caseId, const TakeEdit& edit);
    Status writeMark(const MarkEdit& edit);
    Status writeBrief(Id caseId, const BriefEdit& edit);
    Status changed(QSqlQuery& query, Row row, const char* where);
    [[nodiscard]] Error overtaken(Row row) const;
    [[nodiscard]] int nextVersion(Row row) const;
    [[nodiscard]] int knownVersion(Row row) const;

    const Database& m_database;
    std::map<Row, int> m_versions;
    std::vector<std::pair<Row, int>> m_pending; // of the transaction under way
};

} // namespace riflesso
