// Every sentence of the program stands in every catalogue, finished, with the same places for values; every blueprint
// that ships says all it says in every language too.

#include "casebook/shipped.h"
#include "casebook/word_list.h"
#include "core/measure/definition.h"
#include "core/mirror/decision.h"
#include "core/programme/plan.h"
#include "core/programme/support.h"
#include "core/technique/texts.h"
#include "core/words/say.h"
#include "library/blueprint_json.h"
#include "library/case_data.h"

#include <QDir>
#include <QDirIterator>
#include <QFile>
#include <QProcess>
#include <QRegularExpression>
#include <QSet>
#include <QTemporaryDir>
#include <QTest>
#include <QXmlStreamReader>

#include <set>

using namespace riflesso;

namespace {

struct Message {
    QString context, source, comment;
    QStringList said;
    bool unfinished = false, plural = false;
};

std::vector<Message> messagesOf(const QString& file) {
    std::vector<Message> out;
    QFile f(file);
    if (!f.open(QIODevice::ReadOnly))
        return out;
    QXmlStreamReader xml(&f);
    QString context;
    while (!xml.atEnd()) {
        if (xml.readNext() != QXmlStreamReader::StartElement)
            continue;
        if (xml.name() == QString("name"))
            context = xml.readElementText();
        else if (xml.name() == QString("message")) {
            out.emplace_back();
            out.back().context = context;
            out.back().plural = xml.attributes().value("numerus") == QString("yes");
        } else if (xml.name() == QString("source"))
            out.back().source = xml.readElementText();
        else if (xml.name() == QString("comment"))
            out.back().comment = xml.readElementText();
        else if (xml.name() == QString("translation")) {
            out.back().unfinished = xml.attributes().hasAttribute("type");
            if (!out.back().plural)
                out.back().said << xml.readElementText();
        } else if (xml.name() == QString("numerusform"))
            out.back().said << xml.readElementText();
    }
    return out;
}

QStringList placesOf(const QString& text) {
    static const QRegularExpression place("%[1-9n]");
    QStringList out;
    for (auto it = place.globalMatch(text); it.hasNext();)
        out << it.next().captured();
    out.sort();
    return out;
}

QStringList catalogues() {
    const QDir dir(RIFLESSO_SOURCE_DIR "/desktop/languages");
    QStringList out;
    for (const auto& name : dir.entryList({"*.ts"}))
        out << dir.filePath(name);
    return out;
}

} // namespace

class TestTranslations : public QObject {
    Q_OBJECT
private slots:
    void everySentenceStandsInTheCatalogue() {
        QVERIFY(!catalogues().isEmpty());
        QTemporaryDir dir;
        for (const auto& file : catalogues()) {
            const QString fresh = dir.filePath(QFileInfo(file).fileName());
            QVERIFY(QFile::copy(file, fresh));
            QProcess make;
            make.setWorkingDirectory(RIFLESSO_SOURCE_DIR);
            make.start("make", {"--no-print-directory", "translations", "CATALOGUES=" + fresh});
            QVERIFY(make.waitForFinished(120000));
            QVERIFY2(make.exitCode() == 0, make.readAllStandardError().constData());
            QStringList open;
            const auto messages = messagesOf(fresh);
            QVERIFY(messages.size() > 1500);
            for (const auto& m : messages) {
                if (m.unfinished || m.said.contains(QString()))
                    open << m.context + ": " + m.source;
                for (const auto& said : m.said)
                    if (!(m.plural && said == m.said.front()) && placesOf(said) != placesOf(m.source))
                        open << m.context + ": " + m.source + " has other places in " + said;
                if (!m.said.isEmpty() && m.source.startsWith(' ') != m.said.front().startsWith(' '))
                    open << m.context + ": “" + m.source + "” begins otherwise";
            }
            QVERIFY2(open.isEmpty(), qPrintable(open.join("\n")));
        }
    }
    // What lupdate cannot read it leaves out in silence: a cast in the arguments is enough.
    void everySentenceOfTheSourcesIsCollected() {
        std::set<QString> known;
        for (const auto& m : messagesOf(catalogues().front()))
            known.insert(m.source);
        static const QRegularExpression said("\\bsay(?:s|Count)?\\(\"\\w+\",\\s*((?:\"(?:[^\"\\\\]|\\\\.)*\"\\s*)+)");
        static const QRegularExpression piece("\"((?:[^\"\\\\]|\\\\.)*)\"");
        QStringList missing;
        int seen = 0;
        for (const char* room : {"core", "files", "library", "footage", "finder", "intake", "casebook", "handover", "reading", "demo",
                                 "desktop"}) {
            QDirIterator it(QString(RIFLESSO_SOURCE_DIR "/") + room, {"*.cpp", "*.h"}, QDir::Files,
                            QDirIterator::Subdirectories);
            while (it.hasNext()) {
                QFile file(it.next());
                QVERIFY(file.open(QIODevice::ReadOnly));
                const QString source = QString::fromUtf8(file.readAll());
                for (auto m = said.globalMatch(source); m.hasNext();) {
                    QString text;
                    for (auto p = piece.globalMatch(m.next().captured(1)); p.hasNext();)
                        text += p.next().captured(1);
                    text.replace("\\\"", "\"").replace("\\n", "\n");
                    ++seen;
                    if (!known.contains(text))
                        missing << QFileInfo(file.fileName()).fileName() + ": " + text;
                }
            }
        }
        QVERIFY2(seen > 250, qPrintable(QString::number(seen)));
        QVERIFY2(missing.isEmpty(), qPrintable(missing.join("\n")));
    }
    // Rooms that speak no language write their errors in English; Error::text() looks them up.
    void theErrorsOfEveryRoomAreKnown() {
        QSet<QString> known;
        for (const auto& m : messagesOf(catalogues().front()))
            if (m.context == "error")
                known << m.source;
        static const QRegularExpression first("Error\\{\\s*((?:\"(?:[^\"\\\\]|\\\\.)*\"\\s*)+)[,}]"),
            piece("\"((?:[^\"\\\\]|\\\\.)*)\"");
        QStringList missing;
        int seen = 0;
        for (const char* room : {"library", "footage", "files", "intake", "finder", "handover"}) {
            QDirIterator it(QString(RIFLESSO_SOURCE_DIR "/") + room, {"*.cpp", "*.h"}, QDir::Files,
                            QDirIterator::Subdirectories);
            while (it.hasNext()) {
                QFile file(it.next());
                QVERIFY(file.open(QIODevice::ReadOnly));
                for (auto m = first.globalMatch(QString::fromUtf8(file.readAll())); m.hasNext();) {
                    QString text;
                    for (auto p = piece.globalMatch(m.next().captured(1)); p.hasNext();)
                        text += p.next().captured(1);
                    ++seen;
                    if (!known.contains(text.replace("\\\"", "\"")))
                        missing << QFileInfo(file.fileName()).fileName() + ": " + text;
                }
            }
        }
        QVERIFY2(seen > 60, qPrintable(QString::number(seen)));
        QVERIFY2(missing.isEmpty(), qPrintable(missing.join("\n")));
        // Spoken: the sentence, and what stands in brackets after it stays as it is.
        useLanguage(std::make_shared<Language>(Language{[](const char* context, const char* text, const char*, int) {
                                                            return std::string(context) == "error" &&
                                                                           std::string(text) ==
                                                                               "the copy cannot be read"
                                                                       ? "la copia"
                                                                       : text;
                                                        },
                                                        '.',
                                                        {}}));
        const Error error{"the copy cannot be read (no such file)", "x.sqlite", {}, {}};
        const std::string said = error.text();
        useLanguage(nullptr);
        QCOMPARE(said, std::string("x.sqlite: la copia (no such file)"));
        QCOMPARE(error.text(), std::string("x.sqlite: the copy cannot be read (no such file)"));
    }
    void theWordsOfEveryListAreKnown() {
        std::set<std::string_view> known;
        for (const char* w : knownWords())
            known.insert(w);
        QStringList missing;
        const auto ask = [&](const auto& list) {
            for (const std::string_view w : list)
                if (!known.contains(w))
                    missing << QString::fromUtf8(w.data(), static_cast<qsizetype>(w.size()));
        };
        ask(kStageNames);
        ask(kTargetSourceNames);
        ask(kRuleKindNames);
        ask(kViewNames);
        ask(kDirectionNames);
        ask(kAspectNames);
        ask(kDecisionNames);
        ask(kDecisionKindNames);
        ask(kBlockStateNames);
        ask(kBodyParts);
        for (const auto& r : kRegimes)
            ask(std::array{r.name, r.why});
        for (const auto& w : allSupportWork())
            ask(std::array{w.name, w.how, w.caution});
        for (const auto& id : shippedBlueprintIds()) {
            for (const auto& d : shippedBlueprint(id)->drills)
                if (!d.speed.empty() && !known.contains(d.speed))
                    missing << QString::fromStdString(d.speed);
        }
        QVERIFY2(missing.isEmpty(), qPrintable(missing.join("; ")));
    }
    void blueprintsSpeakIt() {
        for (const auto& id : shippedBlueprintIds()) {
            const Blueprint b = *shippedBlueprint(id);
            const auto it = b.languages.find("it");
            QVERIFY(it != b.languages.end());
            QStringList missing;
            for (const auto& text : textsOf(b))
                if (!it->second.contains(text))
                    missing << QString::fromStdString(text);
            QVERIFY2(missing.isEmpty(), qPrintable(QString::fromStdString(id) + ": " + missing.join("; ")));
            QCOMPARE(static_cast<std::size_t>(it->second.size()),
                     textsOf(b).size()); // and nothing that is said no more
            // The same technique, in other words.
            const Blueprint spoken = inLanguage(b, "it");
            QCOMPARE(spoken.name, it->second.at(b.name));
            QCOMPARE(spoken.drills.front().cue, it->second.at(b.drills.front().cue));
            QCOMPARE(spoken.measures.size(), b.measures.size());
            for (std::size_t i = 0; i < b.measures.size(); ++i)
                QCOMPARE(spoken.measures[i].definition.id, b.measures[i].definition.id);
            QCOMPARE(inLanguage(b, "xx").name, b.name);
            // What is written is read back.
            const auto again = blueprintFromJson(blueprintToJson(b), "again");
            QVERIFY(again);
            QVERIFY(again->languages == b.languages);
        }
    }
    void aMissingTextStaysAsItIsWritten() {
        Blueprint b = *shippedBlueprint("fencing-lunge");
        const std::string cue = b.faults.front().cue;
        b.languages["it"].erase(cue);
        QCOMPARE(inLanguage(b, "it").faults.front().cue, cue);
        QVERIFY(inLanguage(b, "it").faults.front().name != b.faults.front().name);
    }
};

QTEST_APPLESS_MAIN(TestTranslations)
#include "test_translations.moc"
