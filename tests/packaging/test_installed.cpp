// What `cmake --install` puts into a prefix: all of it is there, it is what the desktop expects, and it runs from
// there.

#include "tests/support/demo_copy.h"

#include <QImage>
#include <QProcess>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTest>

class TestInstalled : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    QString m_prefix;

    struct Answer {
        int code = -1;
        QString out, err;
    };
    Answer run(const QString& program, const QStringList& arguments) const {
        QProcess p;
        auto environment = QProcessEnvironment::systemEnvironment();
        environment.insert("HOME", m_dir.path()); // a new user
        environment.remove("XDG_DATA_HOME");
        p.setProcessEnvironment(environment);
        p.start(program, arguments);
        p.waitForFinished(240000);
        return {p.exitCode(), QString::fromUtf8(p.readAllStandardOutput()),
                QString::fromUtf8(p.readAllStandardError())};
    }
    // With the checker where it is installed; the test packages name it.
    void checked(const QString& program, const QStringList& arguments) const {
        QVERIFY2(!QStandardPaths::findExecutable(program).isEmpty(), qPrintable(program + " is not installed"));
        const auto a = run(program, arguments);
        QVERIFY2(a.code == 0, qPrintable(a.out + a.err));
    }
private slots:
    void initTestCase() {
        m_prefix = m_dir.filePath("prefix");
        const auto a = run("cmake", {"--install", QString(RIFLESSO_SCRATCH_DIR) + "/..", "--prefix", m_prefix});
        QVERIFY2(a.code == 0, qPrintable(a.err));
    }
    void everythingIsThere() {
        for (const char* file :
             {"bin/riflesso", "bin/riflesso-cli", "share/riflesso/models/body_full.tflite",
              "share/riflesso/models/person.tflite", "share/riflesso/blueprints/fencing-lunge.json",
              "share/riflesso/blueprint.schema.json", "share/riflesso/bundle.schema.json",
              "share/applications/org.riflesso.Riflesso.desktop", "share/metainfo/org.riflesso.Riflesso.metainfo.xml",
              "share/icons/hicolor/scalable/apps/riflesso.svg", "share/mime/packages/riflesso.xml",
              "share/man/man1/riflesso.1.gz", "share/man/man1/riflesso-cli.1.gz",
              "share/bash-completion/completions/riflesso-cli", "share/doc/riflesso/copyright",
              "share/doc/riflesso/changelog.gz"})
            QVERIFY2(QFile::exists(m_prefix + "/" + file), file);
        for (const int size : {16, 32, 48, 64, 128, 256, 512}) {
            const QImage icon(QString("%1/share/icons/hicolor/%2x%2/apps/riflesso.png").arg(m_prefix).arg(size));
            QCOMPARE(icon.width(), size);
            QCOMPARE(icon.height(), size);
        }
    }
    void theDesktopUnderstandsIt() {
        checked("desktop-file-validate", {m_prefix + "/share/applications/org.riflesso.Riflesso.desktop"});
        checked("appstreamcli",
                {"validate", "--no-net", m_prefix + "/share/metainfo/org.riflesso.Riflesso.metainfo.xml"});
        // The desktop file starts the program that is installed, with the icon that is installed.
        QFile desktop(m_prefix + "/share/applications/org.riflesso.Riflesso.desktop");
        QVERIFY(desktop.open(QIODevice::ReadOnly));
        const QByteArray text = desktop.readAll();
        QVERIFY(text.contains("Exec=riflesso") && text.contains("Icon=riflesso"));
        // The manuals name every command there is.
        const auto manual = run("gzip", {"-dc", m_prefix + "/share/man/man1/riflesso-cli.1.gz"});
        const auto help = run(m_prefix + "/bin/riflesso-cli", {"--help"});
        QCOMPARE(help.code, 0);
        const QString commands = help.out.mid(help.out.indexOf("Subcommands:"));
        int named = 0;
        for (const auto& line : commands.split('\n'))
            if (line.startsWith("  ") && line.size() > 3 && line[2].isLower()) {
                const QString command = line.trimmed().section(' ', 0, 0);
                QVERIFY2(manual.out.contains(command), qPrintable(command));
                ++named;
            }
        QVERIFY(named > 25);
    }
    // What dpkg-buildflags asks for: an address of its own at each start, tables that cannot be written once the
    // program runs, and stacks that are watched.
    void itIsHardened() {
        for (const char* name : {"riflesso", "riflesso-cli"}) {
            QProcess p;
            p.start("readelf", {"-hldsW", m_prefix + "/bin/" + name});
            QVERIFY(p.waitForFinished(240000));
            const QByteArray said = p.readAllStandardOutput();
            for (const char* sign : {"DYN (", "GNU_RELRO", "BIND_NOW", "__stack_chk_fail", "_chk@"})
                QVERIFY2(said.contains(sign), qPrintable(QString(name) + " lacks " + sign));
        }
    }
    void itRunsFromThere() {
        const auto version = run(m_prefix + "/bin/riflesso-cli", {"--version"});
        QVERIFY(version.code == 0 && version.out.contains("0."));
        const QString library = m_dir.filePath("library"), pictures = m_dir.filePath("pictures");
        QVERIFY(riflesso::test::copyDemo(library));
        const auto walk = run(m_prefix + "/bin/riflesso",
                              {"--library", library, "--case", "1", "--today", "2026-11-23", "--walk", pictures});
        QVERIFY2(walk.code == 0, qPrintable(walk.err));
        QCOMPARE(QImage(pictures + "/5-findings.png").width(), 1280);
    }
};

QTEST_GUILESS_MAIN(TestInstalled)
#include "test_installed.moc"
