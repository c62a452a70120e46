// Values out of a JSON text, and the place of what is wrong in it.

#include "library/json_reader.h"

#include "library/body_json.h"

#include <QTest>

#include <functional>

using namespace riflesso;

namespace {

// What a reader said of a text; empty when it had nothing to say.
std::string saidOf(const std::string& text, const std::function<void(const JsonReader&)>& read) {
    const auto parsed = nlohmann::json::parse(text);
    try {
        read(JsonReader(parsed, ""));
    } catch (const JsonProblem& p) {
        return p.place + " " + p.what;
    }
    return {};
}

} // namespace

class TestJsonReader : public QObject {
    Q_OBJECT
private slots:
    void theirPlaceIsNamed() {
        const std::string text = R"({"list": [1, {"of": {"name": 3}}], "yes": true, "half": 0.5, "word": "b"})";
        QCOMPARE(saidOf(text, [](const auto& j) { (void)j["list"].items()[1]["of"]["name"].text(); }),
                 std::string("list[1].of.name must be a text in quotes"));
        QCOMPARE(saidOf(text, [](const auto& j) { (void)j["list"].items()[1]["of"]["age"]; }),
                 std::string("list[1].of.age is missing"));
        QCOMPARE(saidOf(text, [](const auto& j) { (void)j["list"]["of"]; }),
                 std::string("list must be an object in braces"));
        QCOMPARE(saidOf(text, [](const auto& j) { (void)j.items(); }), std::string(" must be a list in brackets"));
        QCOMPARE(saidOf(text, [](const auto& j) { (void)j["yes"].number(); }), std::string("yes must be a number"));
        QCOMPARE(saidOf(text, [](const auto& j) { (void)j["half"].integer(); }),
                 std::string("half must be a whole number"));
        QCOMPARE(saidOf(text, [](const auto& j) { (void)j["half"].truth(); }),
                 std::string("half must be true or false"));
        constexpr std::array<std::string_view, 2> names = {"a", "c"};
        QCOMPARE(saidOf(text, [&](const auto& j) { (void)j["word"].template word<int>(names); }),
                 std::string("word \"b\" is none of: a, c"));
    }
    void whatIsRightIsRead() {
        const auto parsed =
            nlohmann::json::parse(R"({"n": -3, "x": 2.5, "t": "ü", "l": [1, 2], "w": "c", "o": {"k": 7}})");
        const JsonReader j(parsed, "");
        QCOMPARE(j["n"].integer(), -3);
        QCOMPARE(j.numberOr("x", 1.0), 2.5);
        QCOMPARE(j.numberOr("y", 1.0), 1.0);
        QCOMPARE(j.textOr("t"), std::string("ü"));
        QCOMPARE(j.textOr("u", "else"), std::string("else"));
        QVERIFY(j.truthOr("v", true));
        QCOMPARE(j.itemsOr("l").size(), std::size_t(2));
        QVERIFY(j.itemsOr("m").empty());
        enum class Letter { a, c };
        constexpr std::array<std::string_view, 2> names = {"a", "c"};
        QVERIFY(j["w"].word<Letter>(names) == Letter::c);
        QCOMPARE(j["o"].fields().front().second.place(), std::string("o.k"));
    }
    void placesAndDays() {
        const auto parsed = nlohmann::json::parse(R"({"p": [1.5, -2], "q": [1], "d": "2026-02-29"})");
        const JsonReader j(parsed, "take");
        const Pixel p = readPixel(j["p"]);
        QVERIFY(p.x == 1.5 && p.y == -2.0);
        QVERIFY(pixel(p) == parsed["p"]);
        QCOMPARE(saidOf(parsed.dump(), [](const auto& r) { (void)readPixel(r["q"]); }),
                 std::string("q must be [x, y]"));
        QCOMPARE(saidOf(parsed.dump(), [](const auto& r) { (void)readDay(r["d"]); }), // no leap year
                 std::string("d \"2026-02-29\" is no date like 2026-11-23"));
    }
    // Nothing is thrown out of the room.
    void problemsBecomeErrors() {
        const auto read = [](const JsonReader& j) -> Result<int> { return j["n"].integer(); };
        QCOMPARE(*guarded<int>(R"({"n": 4})", "a rep", read), 4);
        const auto wrong = guarded<int>(R"({"n": "4"})", "a rep", read);
        QVERIFY(!wrong && wrong.error().what == "n must be a number" && wrong.error().where == "a rep");
        QVERIFY(!guarded<int>(R"({"n": 1e999})", "a rep", read));
        QVERIFY(!guarded<int>("{", "a rep", read));
        QVERIFY(!guarded<int>("", "a rep", read));
    }
};

QTEST_GUILESS_MAIN(TestJsonReader)
#include "test_json_reader.moc"
