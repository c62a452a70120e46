// Words of one technique belong into its blueprint: a walker must not be asked for the whole lunge.

#include <QDirIterator>
#include <QFile>
#include <QRegularExpression>
#include <QTest>

class TestWords : public QObject {
    Q_OBJECT
    static QStringList found(QString text) {
        text.remove(QRegularExpression("//[^\n]*")); // comments give examples
        static const QRegularExpression literal("\"(?:[^\"\\\\\\n]|\\\\.)*\"");
        static const QRegularExpression word(
            "\\b(lunges?|fenc(?:er|ers|ing)|foils?|parr(?:y|ies)|ripostes?|piste|epee|rowers?|oars?|ergometers?|"
            "archers?|archery|bowstrings?|volleyball|setters?|handball|race walk\\w*|walkers?)\\b",
            QRegularExpression::CaseInsensitiveOption);
        QStringList out;
        auto it = literal.globalMatch(text);
        while (it.hasNext()) {
            const QString s = it.next().captured();
            // Ids of shipped blueprints are no words on the screen.
            static const QRegularExpression id("^\"[a-z]+(-[a-z]+)+\"$");
            if (!id.match(s).hasMatch() && word.match(s).hasMatch())
                out << s;
        }
        return out;
    }
private slots:
    void theCheckFindsThem() {
        QCOMPARE(
            found("say(\"the whole lunge\"); // a lunge\nuse(\"fencing-lunge\"); tr(\"Hand of the Archer\")").size(),
            2);
    }
    void noWordsOfOneTechnique() {
        for (const char* room : {"desktop", "handover", "core"}) {
            QDirIterator it(QString(RIFLESSO_SOURCE_DIR) + "/" + room, {"*.cpp", "*.h"}, QDir::Files,
                            QDirIterator::Subdirectories);
            while (it.hasNext()) {
                QFile file(it.next());
                QVERIFY(file.open(QIODevice::ReadOnly));
                const QStringList words = found(QString::fromUtf8(file.readAll()));
                QVERIFY2(words.isEmpty(), qPrintable(file.fileName() + ": " + words.join("; ")));
            }
        }
    }
};

QTEST_APPLESS_MAIN(TestWords)
#include "test_words.moc"
