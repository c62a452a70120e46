#include "library/database.h"

#include "core/words/say.h"

#include <QUuid>
#include <QVariant>

namespace riflesso {

Database::Database(std::filesystem::path file)
    : m_file(std::move(file)), m_connection(QUuid::createUuid().toString()) {}

Database::~Database() {
    {
        QSqlDatabase open = db();
        open.close();
    }
    QSqlDatabase::removeDatabase(m_connection);
}

Status Database::connect() {
    QSqlDatabase base = QSqlDatabase::addDatabase("QSQLITE", m_connection);
    if (!base.isValid())
        return Error{"Qt's SQLite driver is not installed (package libqt6sql6-sqlite)", {}, {}, {}};
    base.setDatabaseName(QString::fromStdString(m_file.string()));
    base.setConnectOptions("QSQLITE_BUSY_TIMEOUT=3000");
    if (!base.open())
        return failed(base.lastError(), "opening the library");
    for (const char* pragma : {"PRAGMA foreign_keys = ON", "PRAGMA synchronous = FULL"})
        if (auto s = run(pragma); !s)
            return s;
    return Done{};
}

Status Database::run(const QString& sql) const {
    QSqlQuery query(db());
    if (!query.exec(sql))
        return failed(query.lastError(), "writing");
    return Done{};
}

Result<qint64> Database::number(const QString& sql) const {
    QSqlQuery query(db());
    if (!query.exec(sql) || !query.next())
        return failed(query.lastError(), "reading the library");
    return query.value(0).toLongLong();
}

Status Database::commit() const {
    return run("COMMIT");
}

void Database::rollback() const {
    QSqlQuery query(db());
    query.exec("ROLLBACK"); // after a full disk SQLite may have done so itself
}

// SQLite's result codes: sqlite.org/rescode.html.
Error Database::failed(const QSqlError& e, const std::string& doing) const {
    const std::string what = say("error", doing.c_str());
    Error error{fill(say("error", "%1 failed (%2)"), {what, e.databaseText().toStdString()}),
                m_file.filename().string(),
                "the library is as it was before",
                {}};
    switch (e.nativeErrorCode().toInt() & 0xff) {
    case 13:
        error.what = fill(say("error", "%1 failed: the disk is full"), {what});
        error.advice = "make room and do it again";
        error.kind = ErrorKind::full;
        break;
    case 8:
        error.what = fill(say("error", "%1 failed: the library is write-protected"), {what});
        error.advice = "copy the library to a place you may write to";
        error.kind = ErrorKind::denied;
        break;
    case 14:
        error.what =
            fill(say("error", "%1 failed: the library's folder is write-protected or cannot be reached"), {what});
        error.advice = "copy the library to a place you may write to";
        error.kind = ErrorKind::denied;
        break;
    case 5:
    case 6:
        error.what = fill(say("error", "%1 failed: another program is using the library"), {what});
        error.advice = "close the other program and do it again";
        error.kind = ErrorKind::conflict;
        break;
    case 11:
    case 26:
        error.what = "the library is damaged or is no library";
        error.advice = "an earlier copy of it can be restored from its folder “copies”";
        error.kind = ErrorKind::damaged;
        break;
    default:
        break;
    }
    return error;
}

} // namespace riflesso
