// Sentences in another language: filled, counted, with the reader's decimal sign; none set is English.

#include "core/words/say.h"

#include <QTest>

#include <map>

using namespace riflesso;

class TestSay : public QObject {
    Q_OBJECT
    static std::shared_ptr<const Language> backwards() {
        auto l = std::make_shared<Language>();
        l->said = [](const char* context, const char* text, const char* comment, int n) -> std::string {
            static const std::map<std::string, std::string> words = {{"plan/%1 in %2", "In %2: %1"},
                                                                     {"word/slow", "lento"}};
            if (comment)
                return n == 1 ? "%n sguardo" : "%n sguardi";
            const auto it = words.find(std::string(context) + "/" + text);
            return it == words.end() ? text : it->second;
        };
        l->decimal = ',';
        return l;
    }
private slots:
    void cleanup() { useLanguage(nullptr); }
    void englishStandsAsItIsWritten() {
        QCOMPARE(fill(say("plan", "%1 in %2"), {"three", "two"}), std::string("three in two"));
        QCOMPARE(sayCount("next", "%n looks", "%n look", 1), std::string("1 look"));
        QCOMPARE(sayCount("next", "%n looks", "%n look", 0), std::string("0 looks"));
        QCOMPARE(word("slow"), std::string("slow"));
        QCOMPARE(figure(-2.25, 1), std::string("-2.2")); // as printf rounds
    }
    void anotherLanguageOrdersItsValues() {
        useLanguage(backwards());
        QCOMPARE(fill(say("plan", "%1 in %2"), {"three", "two"}), std::string("In two: three"));
        QCOMPARE(say("other", "%1 in %2"), std::string("%1 in %2")); // another context knows nothing of it
        QCOMPARE(sayCount("next", "%n looks", "%n look", 1), std::string("1 sguardo"));
        QCOMPARE(sayCount("next", "%n looks", "%n look", 6), std::string("6 sguardi"));
        QCOMPARE(word("slow"), std::string("lento"));
        QCOMPARE(word("Heavy bar"), std::string("Heavy bar")); // the user's own
        QCOMPARE(figure(0.5, 2), std::string("0,50"));
        QCOMPARE(shortFigure(0.5, 5), std::string("0,5"));
        QCOMPARE(shortFigure(1234.56, 5), std::string("1234,6"));
    }
    void valuesAreNeverReadAsPlaces() {
        QCOMPARE(fill("%1, %2 %", {"%2", "x"}), std::string("%2, x %"));
        QCOMPARE(fill("%3 %", {"a"}), std::string("%3 %")); // a place without a value stays to be seen
        QCOMPARE(fill("", {"a"}), std::string());
    }
};

QTEST_APPLESS_MAIN(TestSay)
#include "test_say.moc"
