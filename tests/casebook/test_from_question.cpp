// A technique out of one question to a frame.

#include "casebook/from_question.h"

#include "casebook/choice_words.h"
#include "library/blueprint_json.h"

#include <QTest>

using namespace riflesso;

namespace {

Answer answer(const char* kind, double value, double u) {
    Answer a;
    a.kind = kind;
    a.value = value;
    a.u = u;
    return a;
}

} // namespace

class TestFromQuestion : public QObject {
    Q_OBJECT
private slots:
    void anAngleBecomesAMeasure() {
        const auto b = blueprintFrom(answer("angle", 141.0, 2.5), {"right_hip", "right_knee", "right_ankle"},
                                     Side::right, Facing::right, "Kick");
        QVERIFY(b.has_value());
        QCOMPARE(b->name, std::string("Kick"));
        QCOMPARE(b->positions.size(), std::size_t(2));
        QCOMPARE(b->landmarks, (std::vector<std::string>{"lead_hip", "lead_knee", "lead_ankle"}));
        const auto& m = b->measures.at(0);
        QVERIFY(m.definition.kind == MeasureKind::angle && m.definition.at == b->positions.front().id);
        QVERIFY(m.targets.at(0).lo == 136.0 && m.targets.at(0).hi == 146.0);
        QVERIFY(m.targets.at(0).source == TargetSource::coach);
        // It is a technique that the program would take.
        const auto again = blueprintFromJson(blueprintToJson(*b), "kick");
        QVERIFY2(again, again ? "" : again.error().text().c_str());
    }
    // "right" of a left-hander is the rear side, and a lean to the picture's right of one who faces left is backwards.
    void sidesBecomeRoles() {
        const auto b =
            blueprintFrom(answer("lean", 12.0, 1.0), {"right_hip", "neck"}, Side::left, Facing::left, "Lean");
        QVERIFY(b.has_value());
        QCOMPARE(b->landmarks, (std::vector<std::string>{"rear_hip", "neck"}));
        QVERIFY(b->measures[0].targets[0].lo == -14.0 && b->measures[0].targets[0].hi == -10.0);
    }
    void aSurePointStillHasABand() {
        const auto b = blueprintFrom(answer("ratio", 1.0, 0.0), {"head", "neck", "neck", "left_hip"}, Side::right,
                                     Facing::right, "Ratio");
        QVERIFY(b && b->measures[0].targets[0].hi > b->measures[0].targets[0].lo);
        QCOMPARE(b->landmarks.size(), std::size_t(3)); // the neck once
    }
    void whatIsNoMeasureMakesNone() {
        const std::vector<LandmarkName> three = {"left_hip", "left_knee", "left_ankle"};
        const auto none = [](const Answer& a, const std::vector<LandmarkName>& points) {
            return !blueprintFrom(a, points, Side::right, Facing::right, "x");
        };
        QVERIFY(none(answer("time", 0.4, 0.01), {}));
        QVERIFY(none(answer("angle", 90, 1), {"left_hip", "left_knee"}));
        QVERIFY(none(answer("angle", 90, 1), {"left_hip", "", "left_ankle"})); // no name for what was clicked
        Answer refused = answer("angle", 90, 1);
        refused.refused = "its points are too near";
        QVERIFY(none(refused, three));
        QVERIFY(!none(answer("angle", 90, 1), three));
    }
    void whatTheProgramOffersIsHeldInOneLanguage() {
        useLanguage(std::make_shared<Language>(Language{[](const char*, const char* text, const char*, int) {
                                                            return std::string(text) == kDecline
                                                                       ? std::string("rinunciare")
                                                                       : std::string(text);
                                                        },
                                                        '.',
                                                        {}}));
        const QString shown = shownChoice(kDecline);
        const std::string held = heldChoice("Rinunciare"), typed = heldChoice("lob"), english = heldChoice(shown);
        useLanguage(nullptr);
        QCOMPARE(shown, QString("rinunciare"));
        QCOMPARE(held, std::string(kDecline));
        QCOMPARE(typed, std::string("lob"));
        QCOMPARE(english, std::string(kDecline));
        QCOMPARE(shownChoice("lob"), QString("lob"));
    }
};

QTEST_GUILESS_MAIN(TestFromQuestion)
#include "test_from_question.moc"
