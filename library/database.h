#pragma once
/// \file
/// One connection to a library's SQLite file: opening, transactions, errors in words. Private to this room. A
/// connection belongs to the thread that made it.

#include "core/motion/result.h"

#include <QSqlDatabase>
#include <QSqlError>
#include <QSqlQuery>
#include <QString>

#include <filesystem>

namespace riflesso {

inline constexpr int kApplicationId = 0x5249464C; // "RIFL": tells our file from any other SQLite file

class Database {
public:
    explicit Database(std::filesystem::path file);
    ~Database();
    Database(const Database&) = delete;
    Database& operator=(const Database&) = delete;

    Status connect();
    [[nodiscard]] QSqlDatabase db() const { return QSqlDatabase::database(m_connection, false); }
    [[nodiscard]] const std::filesystem::path& file() const { return m_file; }

    Status run(const QString& sql) const;
    /// The first column of the first row.
    [[nodiscard]] Result<qint64> number(const QString& sql) const;

    /// Takes the right to write at once: a transaction that begins by reading could not be turned into a writing one
    /// when another program has written meanwhile. Waits up to three seconds for others.
    Status begin() const { return run("BEGIN IMMEDIATE"); }
    Status commit() const;
    void rollback() const;

    [[nodiscard]] Error failed(const QSqlError& e, const std::string& doing) const;

private:
    std::filesystem::path m_file;
    QString m_connection;
};

/// Undoes what was begun unless done() was reached.
class Transaction {
public:
    explicit Transaction(const Database& database) : m_database(database), m_begun(database.begin()) {}
    ~Transaction() {
        if (m_begun && !m_done)
            m_database.rollback();
    }
    Transaction(const Transaction&) = delete;
    Transaction& operator=(const Transaction&) = delete;
    [[nodiscard]] const Status& begun() const { return m_begun; }
    Status done() {
        auto s = m_database.commit();
        m_done = s.ok();
        return s;
    }

private:
    const Database& m_database;
    Status m_begun;
    bool m_done = false;
};

} // namespace riflesso
