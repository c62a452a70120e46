#include "core/motion/body_schema.h"
#include "core/motion/carrying.h"
#include "core/motion/motion.h"

#include <QTest>

#include <set>

using namespace riflesso;

class TestBodySchema : public QObject {
    Q_OBJECT
    static Track at(std::vector<std::pair<int, Pixel>> places) {
        Track t;
        for (const auto& [f, p] : places)
            t[FrameIndex(f)] = {p, 1.5, How::hand};
        return t;
    }
private slots:
    void namesSayWhatTheyAre() {
        QVERIFY(kindOf("head") == PointKind::body);
        QVERIFY(kindOf("left_thumb") == PointKind::hand);
        QVERIFY(kindOf("other_right_big_toe") == PointKind::foot);
        QVERIFY(kindOf("other_left_knee") == PointKind::body);
        QVERIFY(kindOf("ball") == PointKind::ball && kindOf("ball2") == PointKind::ball);
        QVERIFY(kindOf("balloon_tip") == PointKind::implement); // not everything that begins like a ball is one
        QVERIFY(kindOf("scene_line") == PointKind::scene);
        QVERIFY(kindOf("foil_tip") == PointKind::implement);
        QVERIFY(onBody("other_neck") && !onBody("neck_tip"));
    }
    void secondPersonsAreWellFormed() {
        QVERIFY(isLandmarkName("other_left_knee") && isLandmarkName("other_head"));
        QVERIFY(!isLandmarkName("other_tail") && !isLandmarkName("other_") && !isLandmarkName("scene_"));
        QCOMPARE(mirrored("other_left_knee"), std::string("other_right_knee"));
        QCOMPARE(mirrored("left_thumb"), std::string("right_thumb"));
        QCOMPARE(mirrored("scene_left"), std::string("scene_left"));
        QCOMPARE(spoken("other_left_knee"), std::string("other's left knee"));
        QCOMPARE(spoken("scene_far_line"), std::string("far line"));
    }
    void everyPointOfTheFigureHasAPlaceAndWords() {
        std::set<std::string> seen;
        for (const auto& p : figurePoints()) {
            QVERIFY(isLandmarkName(resolveRole(p.role, Side::right)));
            QVERIFY(!p.words.empty() && p.x > 0 && p.x < 1 && p.y > 0 && p.y < 1);
            seen.insert(resolveRole(p.role, Side::left));
        }
        QCOMPARE(seen.size(), std::size_t(30));
        for (const auto& n : standardLandmarks())
            QVERIFY(seen.contains(n) && !whereToMark(n).empty());
        QCOMPARE(whereToMark("other_left_knee"), whereToMark("right_knee"));
        QVERIFY(whereToMark("foil_tip").empty());
    }
    void partsGoInTheOrderOfTheEye() {
        QVERIFY(landmarksOf({}, Side::right).empty());
        const auto whole = landmarksOf({FigurePart::whole, false, false, {}}, Side::left);
        QCOMPARE(whole.size(), std::size_t(20));
        QCOMPARE(whole[2], std::string("left_shoulder")); // the near side before the far one
        const auto near = landmarksOf({FigurePart::nearSide, false, true, {"foil_tip"}}, Side::right);
        QCOMPARE(near.size(), std::size_t(2 + 9 + 2 + 1));
        for (const auto& n : near)
            QVERIFY(n.rfind("left_", 0) != 0);
        const auto upper = landmarksOf({FigurePart::upperBody, true, true, {}}, Side::right);
        QCOMPARE(upper.size(), std::size_t(2 + 2 * (4 + 3 + 1))); // no toes on an upper body
        const auto legs = landmarksOf({FigurePart::legs, true, false, {}}, Side::right);
        QCOMPARE(legs.size(), std::size_t(10)); // nor fingers on legs
        for (auto part : {FigurePart::whole, FigurePart::nearSide, FigurePart::upperBody, FigurePart::legs}) {
            const auto names = landmarksOf({part, true, true, {}}, Side::right);
            QCOMPARE((std::set<std::string>(names.begin(), names.end()).size()), names.size());
        }
    }
    void addedThingsGetNames() {
        QCOMPARE(namesFor(Thing::line, " Heavy Bar "), (std::vector<LandmarkName>{"heavy_bar_tail", "heavy_bar_tip"}));
        QCOMPARE(namesFor(Thing::tip, "oar"), std::vector<LandmarkName>{"oar_tip"});
        QCOMPARE(namesFor(Thing::centre, "shot-put"), std::vector<LandmarkName>{"shot_put_centre"});
        QCOMPARE(namesFor(Thing::ball, ""), std::vector<LandmarkName>{"ball"});
        QCOMPARE(namesFor(Thing::ball, "red"), std::vector<LandmarkName>{"ball_red"});
        QCOMPARE(namesFor(Thing::scene, "Far line 2"), std::vector<LandmarkName>{"scene_far_line_2"});
        QCOMPARE(namesFor(Thing::other, "").size(), std::size_t(20));
        for (Thing t : {Thing::other, Thing::otherUpper})
            for (const auto& n : namesFor(t, ""))
                QVERIFY(ofOther(n) && isLandmarkName(n));
        QVERIFY(namesFor(Thing::tip, "…").empty());
        QVERIFY(namesFor(Thing::tip, "left").empty()); // "left_tip" would pretend to be a body's
        QVERIFY(namesFor(Thing::line, "2 bars").empty());
    }
    void everyPersonHasPointsOfTheirOwn() {
        BodySchema take;
        for (int person = 1; person <= kMostOthers; ++person) {
            QCOMPARE(nextPerson(take), std::optional(person));
            for (const auto& n : namesFor(Thing::other, {}, person)) {
                QVERIFY2(isLandmarkName(n) && onBody(n) && personOf(n) == person, n.c_str());
                QCOMPARE(personOf(mirrored(n)), person);
                QVERIFY(!whereToMark(n).empty());
                take.extra.push_back(n);
            }
        }
        QVERIFY(!nextPerson(take) && namesFor(Thing::other, {}, kMostOthers + 1).empty());
        // A third one's knee is no second one's, and what only looks like such a name is none.
        QCOMPARE(mirrored("other3_left_knee"), LandmarkName("other3_right_knee"));
        QCOMPARE(std::string(withoutPerson("other3_left_knee")), std::string("left_knee"));
        for (const char* none : {"other1_head", "other9_head", "other12_head", "other_tail", "other3_tail", "other2"})
            QVERIFY2(!onBody(none), none);
        QVERIFY(!isLandmarkName("other3_tail") && isLandmarkName("other9_tip"));
        QCOMPARE(linesAmong({"other3_neck", "other3_head", "other_neck", "other2_head"}),
                 (std::vector<std::pair<LandmarkName, LandmarkName>>{{"other3_head", "other3_neck"}}));
        take.called = {{1, "Lea"}, {3, "Noor"}};
        QCOMPARE(calledIn(take, 3), std::string("Noor"));
        QCOMPARE(calledIn(take, 2), std::string("person 3"));
        QCOMPARE(spokenIn(take, "other_left_knee"), std::string("Lea: left knee"));
        QCOMPARE(spokenIn(take, "other2_left_knee"), std::string("person 3's left knee"));
        QVERIFY(!isFreeName(take, 2, "Noor") && isFreeName(take, 3, "Noor"));
    }
    void linesJoinWhatIsThere() {
        const auto lines =
            linesAmong({"left_knee", "left_ankle", "other_neck", "other_head", "bar_tail", "bar_tip", "ball"});
        QCOMPARE(lines, (std::vector<std::pair<LandmarkName, LandmarkName>>{
                            {"left_knee", "left_ankle"}, {"other_head", "other_neck"}, {"bar_tail", "bar_tip"}}));
        QVERIFY(hangsOnHand("foil_tip", {"foil_tip"}));
        QVERIFY(!hangsOnHand("bar_tip", {"bar_tail", "bar_tip"}) && hangsOnHand("bar_tip", {"bar_tip"}));
        for (const char* n : {"shot_centre", "ball", "scene_line", "left_knee"})
            QVERIFY(!hangsOnHand(n, {}));
    }
    void onlyHeldThingsHangOnTheHandWhenCarried() {
        TrackSet t;
        t["right_hand"] = at({{0, {100, 100}}});
        t["foil_tip"] = at({{0, {200, 100}}});
        t["ball"] = at({{0, {120, 100}}});
        t["scene_line"] = at({{0, {110, 100}}});
        QCOMPARE(bonesFor(t), (std::vector<std::pair<LandmarkName, LandmarkName>>{{"right_hand", "foil_tip"}}));
    }
    void fixedPointsAreThereOnEveryFrame() {
        const auto time = Timebase::make({0.0, 0.02, 0.04, 0.06, 0.08}, Hertz(50));
        QVERIFY(time);
        TrackSet t;
        t["scene_line"] = at({{1, {300, 400}}, {3, {302, 400}}});
        const Motion motion = toMotion(t, *time);
        for (int f = 0; f < 5; ++f) {
            const auto s = motion.at("scene_line", FrameIndex(f));
            QVERIFY(s);
            QCOMPARE(s->at.x, 301.0);
            QVERIFY(std::abs(s->sigma - 1.5 / std::sqrt(2.0)) < 1e-9);
        }
        QVERIFY(!fixedPoint({{FrameIndex(0), {{1, 1}, 1.5, How::hidden}}}));
    }
    void aFixedPointThatMovesSaysSo() {
        // 40 px apart: the camera was turned; the mean is as unsure as the marks scatter (their standard deviation a
        // coordinate is 40 / 2 = 20 px over both coordinates, by hand: chi2 = 2 * 20^2 / 1.5^2, halved).
        const auto fixed = fixedPoint(at({{0, {100, 100}}, {9, {140, 100}}}));
        QVERIFY(fixed);
        QVERIFY(std::abs(fixed->sigma - 20.0) < 1e-9);
    }
};

QTEST_APPLESS_MAIN(TestBodySchema)
#include "test_body_schema.moc"
