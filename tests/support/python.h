#pragma once
/// \file
/// Runs a reference script with Debian's Python (python3-scipy) and reads its JSON.

#include <QFile>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QProcess>
#include <QTest>

namespace riflesso::test {

/// Writes \p input to the script's standard input; the script prints one JSON object.
inline QJsonObject runReference(const QString& script, const QByteArray& input = {},
                                const QStringList& arguments = {}) {
    QProcess process;
    process.start("/usr/bin/python3",
                  QStringList{QString(RIFLESSO_SOURCE_DIR) + "/tests/references/" + script} + arguments);
    process.write(input);
    process.closeWriteChannel();
    if (!process.waitForFinished(240000) || process.exitCode() != 0) {
        qWarning() << process.readAllStandardError();
        return {};
    }
    return QJsonDocument::fromJson(process.readAllStandardOutput()).object();
}

inline std::vector<double> numbers(const QJsonValue& value) {
    std::vector<double> out;
    for (const auto& v : value.toArray())
        out.push_back(v.toDouble());
    return out;
}

} // namespace riflesso::test
