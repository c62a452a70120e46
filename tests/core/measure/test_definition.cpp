#include "core/measure/kinds/kind.h"

#include <QTest>

#include <algorithm>
#include <set>

using namespace riflesso;

namespace {
MeasureDefinition of(MeasureKind kind, std::initializer_list<const char*> points) {
    MeasureDefinition d;
    d.id = "m";
    d.kind = kind;
    if (const auto ways = aspectsOf(kind); !ways.empty())
        d.aspect = ways.front();
    for (const char* p : points)
        d.points.push_back(*pointFromText(p));
    return d;
}
} // namespace

class TestDefinition : public QObject {
    Q_OBJECT
private slots:
    void pointsAreNamesOrMiddles() {
        QVERIFY((pointFromText("lead_hip")->landmarks == std::vector<std::string>{"lead_hip"}));
        QVERIFY((pointFromText("lead_hip+rear_hip")->landmarks == std::vector<std::string>{"lead_hip", "rear_hip"}));
        QVERIFY(pointFromText("foil_tip"));
        QVERIFY(!pointFromText(""));
        QVERIFY(!pointFromText("lead_nose"));
        QVERIFY(!pointFromText("head+"));
        QVERIFY(!pointFromText("head+neck+foil_tip"));
        QVERIFY(!pointFromText("Head"));
    }
    void eachKindNeedsItsPoints() {
        QVERIFY(problemOf(of(MeasureKind::angle, {"left_hip", "left_knee", "left_ankle"})).empty());
        QVERIFY(!problemOf(of(MeasureKind::angle, {"left_hip", "left_knee"})).empty());
        QVERIFY(problemOf(of(MeasureKind::ratio, {"head", "neck", "left_hip", "left_knee"})).empty());
        QVERIFY(!problemOf(of(MeasureKind::ratio, {"head"})).empty());
        QVERIFY(problemOf(of(MeasureKind::interval, {})).empty());
        QVERIFY(!problemOf(of(MeasureKind::interval, {"head"})).empty());
    }
    void directionsBelongToViews() {
        auto lean = of(MeasureKind::lean, {"left_hip", "neck"});
        QVERIFY(!problemOf(lean).empty()); // no direction
        lean.direction = Direction::forward;
        QVERIFY(problemOf(lean).empty());
        lean.view = View::front;
        QVERIFY(problemOf(lean).find("side") != std::string::npos);
        lean.direction = Direction::across;
        QVERIFY(problemOf(lean).empty());
        lean.view = View::side;
        QVERIFY(problemOf(lean).find("from the side") != std::string::npos);
        lean.direction = Direction::up;
        QVERIFY(!problemOf(lean).empty());
        auto offset = of(MeasureKind::offset, {"head", "neck"});
        offset.direction = Direction::up;
        QVERIFY(problemOf(offset).empty());
        offset.per.push_back(*pointFromText("left_knee"));
        QVERIFY(problemOf(offset).find("per") != std::string::npos);
    }
    void units() {
        QCOMPARE(unitOf(of(MeasureKind::angle, {})), std::string("°"));
        QCOMPARE(unitOf(of(MeasureKind::interval, {})), std::string("s"));
        QCOMPARE(unitOf(of(MeasureKind::ratio, {})), std::string());
        auto offset = of(MeasureKind::offset, {"head", "neck"});
        QCOMPARE(unitOf(offset), std::string("px"));
        offset.per = {*pointFromText("left_knee"), *pointFromText("left_ankle")};
        offset.perName = "shins";
        QCOMPARE(unitOf(offset), std::string("shins"));
    }
    void namesGoBothWays() {
        for (auto n : kMeasureKindNames)
            QCOMPARE(enumName(kMeasureKindNames, *enumFromName<MeasureKind>(kMeasureKindNames, n)), std::string(n));
        QVERIFY(!enumFromName<View>(kViewNames, "beside"));
    }
    void whatEachKindNeeds_data() {
        QTest::addColumn<int>("kind");
        QTest::addColumn<int>("points");
        QTest::addColumn<QString>("says"); // what is said of a definition with these points and nothing else
        const auto row = [](MeasureKind k, int points, const char* says) {
            QTest::newRow((enumName(kMeasureKindNames, k) + " " + std::to_string(points)).c_str())
                << static_cast<int>(k) << points << says;
        };
        row(MeasureKind::cadence, 0, "");
        row(MeasureKind::cadence, 1, "needs 0 points");
        row(MeasureKind::overlap, 0, "four “events”");
        row(MeasureKind::chain, 0, "two “links”");
        row(MeasureKind::smoothness, 0, "needs 1 to 3 points");
        row(MeasureKind::smoothness, 2, "");
        row(MeasureKind::contacts, 2, "“level” of speed and the “height”");
        row(MeasureKind::contacts, 5, "needs 1 to 4 points");
        row(MeasureKind::recovery, 0, "the band");
        row(MeasureKind::symmetry, 0, "2 other measures");
        row(MeasureKind::spread, 0, "1 other measure");
        row(MeasureKind::drift, 1, "needs 0 points");
        row(MeasureKind::gap, 1, "needs 2 points");
        row(MeasureKind::gap, 2, "");
        row(MeasureKind::facing, 4, "full_width");
        row(MeasureKind::facing, 5, "second cue");
        row(MeasureKind::turn, 3, "second cue");
        row(MeasureKind::seen, 0, "checkpoint");
        row(MeasureKind::effect, 0, "");
        row(MeasureKind::choice, 0, "");
        row(MeasureKind::choice, 1, "needs 0 points");
    }
    void whatEachKindNeeds() {
        QFETCH(int, kind);
        QFETCH(int, points);
        QFETCH(QString, says);
        auto d = of(static_cast<MeasureKind>(kind), {});
        static const char* const names[] = {"head", "neck", "left_hip", "left_knee", "left_ankle", "left_toe"};
        for (int i = 0; i < points; ++i)
            d.points.push_back(*pointFromText(names[i]));
        if (const auto ways = aspectsOf(d.kind); !ways.empty())
            d.aspect = ways.front();
        const QString said = QString::fromStdString(problemOf(d));
        QVERIFY2(says.isEmpty() ? said.isEmpty() : said.contains(says), qPrintable(said));
    }
    // A kind's row says how it is read, in one way, and what it is.
    void eachKindIsReadInOneWay() {
        std::set<const KindSpec*> rows;
        for (int k = 0; k < static_cast<int>(kMeasureKindNames.size()); ++k) {
            const auto kind = static_cast<MeasureKind>(k);
            const KindSpec& spec = specOf(kind);
            rows.insert(&spec);
            const int ways = (spec.onFrame != nullptr) + (spec.readAt != nullptr) + (spec.over != nullptr) +
                             (spec.ofRep != nullptr) + spec.acrossReps;
            QVERIFY2(ways == 1, kMeasureKindNames[static_cast<std::size_t>(k)].data());
            QCOMPARE(spec.ofSpan, spec.over != nullptr);
            QVERIFY(!spec.noted || spec.ofRep);
            QVERIFY(!spec.fullWidth || spec.onFrame);
            QVERIFY(spec.derived == (spec.others > 0));
            QVERIFY(!spec.byMarks || spec.onFrame);
            // What goes round is an angle or a dial, and comes back to where it was.
            auto d = of(kind, {});
            d.reading = spec.signedAngle ? AngleReading::turned : AngleReading::included;
            if (spec.round && spec.round(d) > 0.0)
                QVERIFY(quantityKindOf(d) == QuantityKind::angle || quantityKindOf(d) == QuantityKind::hours);
        }
        QCOMPARE(rows.size(), kMeasureKindNames.size());
        // A reduction in time is a time of whatever kind.
        auto d = of(MeasureKind::angle, {});
        d.reduction = Reduction::timeOfMax;
        QVERIFY(quantityKindOf(d) == QuantityKind::time && isTime(d) && !isAngle(d));
        d.reduction = Reduction::shareOfMax;
        QCOMPARE(unitOf(d), std::string());
    }
    void aspectsBelongToTheirKinds() {
        for (int k = 0; k < static_cast<int>(kMeasureKindNames.size()); ++k)
            for (int a = 0; a < static_cast<int>(kAspectNames.size()); ++a) {
                const auto kind = static_cast<MeasureKind>(k);
                const auto ways = aspectsOf(kind);
                auto d = of(kind, {});
                d.aspect = static_cast<Aspect>(a);
                const bool own = std::find(ways.begin(), ways.end(), d.aspect) != ways.end();
                if (!ways.empty() && !own && problemOf(d).find("points") == std::string::npos)
                    QVERIFY2(problemOf(d).find("no aspect") != std::string::npos, problemOf(d).c_str());
            }
    }
    void unitsFollowFromTheKind() {
        auto d = of(MeasureKind::cadence, {});
        d.aspect = Aspect::rate;
        QCOMPARE(unitOf(d), std::string("/min"));
        d.aspect = Aspect::speed;
        d.metres = true;
        QCOMPARE(unitOf(d), std::string("m/s"));
        d = of(MeasureKind::chain, {});
        for (const auto& [aspect, unit] : {std::pair{Aspect::lag, "s"},
                                           {Aspect::shortestLag, "s"},
                                           {Aspect::sequence, ""},
                                           {Aspect::braking, ""},
                                           {Aspect::inversions, ""}}) {
            d.aspect = aspect;
            QCOMPARE(unitOf(d), std::string(unit));
            QCOMPARE(isTime(d), std::string(unit) == "s");
        }
        d = of(MeasureKind::contacts, {"left_toe", "right_toe"});
        d.aspect = Aspect::first;
        QVERIFY(isTime(d) && unitOf(d) == "s");
        d.aspect = Aspect::count;
        QVERIFY(!isTime(d) && unitOf(d).empty());
        d = of(MeasureKind::overlap, {"left_hand", "right_hand"});
        d.aspect = Aspect::nearest;
        QCOMPARE(unitOf(d), std::string("px"));
        d.per = {*pointFromText("left_elbow"), *pointFromText("left_wrist")};
        d.perName = "forearms";
        QCOMPARE(unitOf(d), std::string("forearms"));
        // What is read of others has their unit.
        auto angle = of(MeasureKind::angle, {"left_hip", "left_knee", "left_ankle"}),
             time = of(MeasureKind::interval, {});
        for (const auto& [base, unit] : {std::pair{angle, "°"}, {time, "s"}, {d, "forearms"}})
            for (const auto kind : {MeasureKind::spread, MeasureKind::drift}) {
                auto over = of(kind, {});
                over.of = {"base"};
                over.base = {std::make_shared<const MeasureDefinition>(base)};
                QCOMPARE(unitOf(over), std::string(unit));
                QVERIFY2(problemOf(over).empty(), problemOf(over).c_str());
            }
        auto even = of(MeasureKind::symmetry, {});
        even.of = {"a", "b"};
        even.aspect = Aspect::difference;
        even.base = {std::make_shared<const MeasureDefinition>(angle), std::make_shared<const MeasureDefinition>(time)};
        QVERIFY(problemOf(even).find("different units") != std::string::npos);
        even.base[1] = even.base[0];
        QVERIFY(problemOf(even).empty() && isAngle(even));
        even.aspect = Aspect::share;
        QVERIFY(unitOf(even) == "%" && !isAngle(even));
    }
    void everythingThatIsRead() {
        auto d = of(MeasureKind::chain, {});
        d.links = {{"hips", {*pointFromText("left_hip+right_hip")}},
                   {"hand", {*pointFromText("left_elbow"), *pointFromText("left_hand")}}};
        d.per = {*pointFromText("left_knee"), *pointFromText("left_ankle")};
        QCOMPARE(pointsOf(d).size(), 5u);
        d = of(MeasureKind::overlap, {});
        d.at = "a";
        d.until = "e";
        d.events = {"a", "b", "c", "d"};
        QCOMPARE(positionsOf(d).size(), 6u);
        QCOMPARE(textOf(*pointFromText("left_hip+right_hip")), std::string("left_hip+right_hip"));
        QCOMPARE(textOf({}), std::string());
        for (const auto kind : {MeasureKind::spread, MeasureKind::drift, MeasureKind::symmetry, MeasureKind::recovery})
            QVERIFY(isDerived(kind) && !isNoted(kind));
        QVERIFY(isAcrossReps(MeasureKind::drift) && !isAcrossReps(MeasureKind::symmetry));
        QVERIFY(isNoted(MeasureKind::seen) && isOfSpan(MeasureKind::chain) && !isOfSpan(MeasureKind::gap));
    }
};
QTEST_GUILESS_MAIN(TestDefinition)
#include "test_definition.moc"
