#pragma once
/// \file
/// riflesso-cli run as a script would run it: what it prints, what it exits with.

#include <QByteArray>
#include <QFile>
#include <QJsonDocument>
#include <QJsonObject>
#include <QProcess>
#include <QStringList>
#include <QTemporaryDir>
#include <QTest>

namespace riflesso::test {

struct Answer {
    int code = -1;
    QByteArray out, err;
    [[nodiscard]] QJsonObject json() const { return QJsonDocument::fromJson(out).object(); }
};

class CliTest : public QObject {
protected:
    QTemporaryDir m_dir;
    QString m_film = QString(RIFLESSO_DEMO_DIR) + "/media/athlete-side.mp4";

    static Answer run(const QStringList& arguments) {
        QProcess p;
        p.start(QString(RIFLESSO_BIN_DIR) + "/riflesso-cli", arguments);
        p.waitForFinished(240000);
        return {p.exitCode(), p.readAllStandardOutput(), p.readAllStandardError()};
    }
    static void failsInOneLine(const Answer& a, const char* says) {
        QCOMPARE(a.code, 1);
        QVERIFY(a.out.isEmpty());
        QCOMPARE(a.err.count('\n'), 1);
        QVERIFY2(a.err.contains(says), a.err.constData());
    }
    QString write(const char* name, const QByteArray& bytes) const {
        QFile f(m_dir.filePath(name));
        if (!f.open(QIODevice::WriteOnly))
            qFatal("write");
        f.write(bytes);
        return f.fileName();
    }
};

} // namespace riflesso::test
