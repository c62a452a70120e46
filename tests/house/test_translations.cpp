// Every sentence of the program stands in every catalogue, finished, with the same places for values; every blueprint
// that ships says all it says in every language too.

#include "casebook/shipped.h"
#include "casebook/word_list.h"
#include "core/measure/definition.h"
#include "core/mirror/decision.h"
#include "core/motion/body_schema.h"
#include "core/programme/plan.h"
#include "core/programme/support.h"
#include "core/technique/difference.h"
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

#include <map>
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

// A text in a source: neighbours joined as the compiler joins them.
struct Text {
    QString text;
    int line = 0;
};

// All of a source's texts; none of comments, of single characters, or of raw strings.
std::vector<Text> textsIn(const QString& source) {
    static const QRegularExpression token(
        "//[^\\n]*|/\\*.*?\\*/|R\"(\\w*)\\(.*?\\)\\1\"|'(?:[^'\\\\\\n]|\\\\.[0-9a-f]*)'|"
        "\"((?:[^\"\\\\\\n]|\\\\.)*)\"|\\S",
        QRegularExpression::DotMatchesEverythingOption);
    std::vector<Text> out;
    bool joined = false;
    for (auto it = token.globalMatch(source); it.hasNext();) {
        const auto m = it.next();
        const QString all = m.captured();
        if (all.startsWith("//") || all.startsWith("/*"))
            continue;
        if (!all.startsWith('"')) {
            joined = false;
            continue;
        }
        QString text = m.captured(2);
        text.replace("\\n", "\n").replace("\\t", "\t").replace("\\\"", "\"");
        if (joined)
            out.back().text += text;
        else
            out.push_back({text, static_cast<int>(source.left(m.capturedStart()).count('\n')) + 1});
        joined = true;
    }
    return out;
}

// Two words, or a piece of a sentence to which something is added.
bool isSentence(const QString& text) {
    static const QRegularExpression words("[a-z]{2,},? [a-z]{2,}|^ ?[a-z]{3,}: |[a-z]{3,} $|^ [a-z]{3,}");
    static const QRegularExpression other(
        "\\b(SELECT|CREATE|UPDATE|INSERT|DELETE|ALTER|PRAGMA|WHERE|VACUUM|ROLLBACK|QWidget|"
        "px;|border|background|padding|color:)|<|--|\\{");
    return words.match(text).hasMatch() && !other.match(text).hasMatch();
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
        for (const char* room : {"core", "files", "library", "footage", "finder", "intake", "casebook", "handover",
                                 "reading", "demo", "desktop"}) {
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
    // Whatever reads like a sentence stands in the catalogue, or here with the reason why it need not. Rooms that speak
    // no language write their errors in English; Error::text() looks them up, the part in brackets left as it is.
    void nothingIsSaidUnmarked() {
        const std::map<QString, const char*> english = {
            // what only who wrote a file by hand can mend, by its field's name
            {"library/json_reader.h", "fields"},
            {"library/body_json.h", "fields"},
            {"library/blueprint_json.cpp", "fields"},
            {"library/case_json.cpp", "fields"},
            {"library/measure_json.cpp", "fields"},
            {"library/model_json.cpp", "fields"},
            {"library/practice_json.cpp", "fields"},
            {"library/bundle_table.cpp", "in brackets"},
            {"library/eye_scores.cpp", "in brackets"},
            {"library/shelves.cpp", "in brackets"},
            {"handover/review.cpp", "in brackets"},
            {"finder/model_file.cpp", "in brackets"},
            {"finder/xnnpack_network.cpp", "an engine's"},
            // the command line speaks English
            {"reading/read_take.cpp", "progress"},
            {"desktop/shell/main.cpp", "options"}};
        // Kept as data, and said by what stands beside it.
        const std::set<QString> data = {"own best",      "own last",        "own calm",  "working on",  "not asked",
                                        "moved from ",   "instead of ",     " with ",    "left ",       "right ",
                                        "no fault",      "the film's tag ", "own films", "any of them", "old injury",
                                        "another drill", "strength ",       "WAVEfmt ",  " ooo"};
        std::set<QString> known;
        for (const auto& m : messagesOf(catalogues().front())) {
            known.insert(m.source);
            known.insert(m.comment); // of one
        }
        QStringList missing;
        int seen = 0;
        for (const char* room : {"core", "files", "footage", "finder", "library", "intake", "casebook", "reading",
                                 "handover", "desktop"}) {
            QDirIterator it(QString(RIFLESSO_SOURCE_DIR "/") + room, {"*.cpp", "*.h"}, QDir::Files,
                            QDirIterator::Subdirectories);
            while (it.hasNext()) {
                QFile file(it.next());
                QVERIFY(file.open(QIODevice::ReadOnly));
                const QString name = QDir(RIFLESSO_SOURCE_DIR).relativeFilePath(file.fileName());
                for (const auto& t : textsIn(QString::fromUtf8(file.readAll()))) {
                    if (!isSentence(t.text) || data.contains(t.text))
                        continue;
                    ++seen;
                    const QString key = t.text.endsWith(" (") ? t.text.chopped(2) : t.text;
                    if (!known.contains(key) && !english.contains(name))
                        missing << QString("%1:%2: %3").arg(name).arg(t.line).arg(t.text);
                }
            }
        }
        QVERIFY2(seen > 2000, qPrintable(QString::number(seen)));
        QVERIFY2(missing.isEmpty(), qPrintable(missing.join("\n")));
        // The check can fail.
        const auto found = textsIn("f(\"nobody \" // \"not here\"\n  \"marked this\", 'x', \"a\");");
        QVERIFY(found.size() == 2 && found[0].text == "nobody marked this" && found[0].line == 1);
        QVERIFY(isSentence(found[0].text) && !isSentence(found[1].text) && isSentence("reading of "));
    }
    void errorsAreSpoken() {
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
        ask(kReductionNames);
        ask(kAngleReadingNames);
        ask(kSeriesKindNames);
        ask(kDevianceNames);
        ask(kDecisionNames);
        ask(kDecisionKindNames);
        ask(kBlockStateNames);
        ask(kBodyParts);
        for (const auto& p : figurePoints())
            ask(std::array<std::string_view, 1>{p.words});
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
    // Two fields of one name in another language would hide one another's changes.
    void everyChangeIsToldInEachLanguage() {
        std::map<std::pair<std::string, std::string>, std::string> said;
        for (const auto& m : messagesOf(catalogues().front()))
            said[{m.context.toStdString(), m.source.toStdString()}] = m.said.front().toStdString();
        const Blueprint a = *shippedBlueprint(shippedBlueprintIds().front());
        Blueprint b;
        for (const auto& id : shippedBlueprintIds()) {
            // The second's things under the first's ids: as many fields differ as there are.
            b = *shippedBlueprint(id);
            for (std::size_t i = 0; i < std::min(a.measures.size(), b.measures.size()); ++i)
                b.measures[i].definition.id = a.measures[i].definition.id;
            for (std::size_t i = 0; i < std::min(a.faults.size(), b.faults.size()); ++i)
                b.faults[i].id = a.faults[i].id;
            for (std::size_t i = 0; i < std::min(a.drills.size(), b.drills.size()); ++i)
                b.drills[i].id = a.drills[i].id;
            const auto english = differences(a, b);
            useLanguage(
                std::make_shared<Language>(Language{[&](const char* context, const char* text, const char*, int) {
                                                        const auto it = said.find({context, text});
                                                        return it == said.end() ? std::string(text) : it->second;
                                                    },
                                                    ',',
                                                    {}}));
            const auto other = differences(a, b);
            useLanguage(nullptr);
            QCOMPARE(other.size(), english.size());
        }
        QVERIFY(differences(a, b).size() > 40);
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
