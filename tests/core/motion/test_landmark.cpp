#include "core/motion/landmark.h"
#include "core/motion/mark.h"
#include "core/motion/result.h"

#include <QTest>

#include <set>

using namespace riflesso;

class TestLandmark : public QObject {
    Q_OBJECT
private slots:
    void theStandardFigureHasTwenty() {
        const auto& names = standardLandmarks();
        QCOMPARE(names.size(), std::size_t(20));
        QCOMPARE((std::set<std::string>(names.begin(), names.end()).size()), std::size_t(20));
        for (const auto& n : names)
            QVERIFY(isLandmarkName(n));
    }
    void freeNamesAreForImplements() {
        QVERIFY(isLandmarkName("foil_tip"));
        QVERIFY(isLandmarkName("ball2"));
        QVERIFY(!isLandmarkName("left_nose"));
        QVERIFY(!isLandmarkName("Foil"));
        QVERIFY(!isLandmarkName("2ball"));
        QVERIFY(!isLandmarkName(""));
        QVERIFY(!isLandmarkName("foil tip"));
        QVERIFY(!isLandmarkName(std::string(65, 'a')));
    }
    void mirroringIsItsOwnInverse() {
        for (const auto& n : standardLandmarks())
            QCOMPARE(mirrored(mirrored(n)), n);
        QCOMPARE(mirrored("left_knee"), std::string("right_knee"));
        QCOMPARE(mirrored("foil_tip"), std::string("foil_tip"));
    }
    void rolesFollowTheHand() {
        QCOMPARE(resolveRole("lead_knee", Side::right), std::string("right_knee"));
        QCOMPARE(resolveRole("lead_knee", Side::left), std::string("left_knee"));
        QCOMPARE(resolveRole("rear_heel", Side::right), std::string("left_heel"));
        QCOMPARE(resolveRole("neck", Side::left), std::string("neck"));
        // A left-hander's roles are the mirror image of a right-hander's.
        for (const char* role : {"lead_hip", "rear_wrist", "lead_toe"})
            QCOMPARE(resolveRole(role, Side::left), mirrored(resolveRole(role, Side::right)));
    }
    void bonesJoinStandardLandmarks() {
        for (const auto& [a, b] : standardBones()) {
            QVERIFY(isLandmarkName(a) && isLandmarkName(b));
            QVERIFY(a != b);
        }
    }
    void spokenNames() { QCOMPARE(spoken("left_knee"), std::string("left knee")); }
    void waysOfMarkingHaveNames() {
        for (How how : {How::hand, How::tracked, How::found, How::interpolated, How::proxy})
            QVERIFY(howFromName(name(how)) == how);
        QVERIFY(!howFromName("guessed"));
    }
    void errorsReadAsOneLine() {
        QCOMPARE((Error{"what", "where", "untouched", "advice"}.text()), std::string("where: what; untouched; advice"));
        QCOMPARE((Error{"what", {}, {}, {}}.text()), std::string("what"));
        const Result<int> good = 3, bad = Error{"no", {}, {}, {}};
        QVERIFY(good.ok() && *good == 3);
        QVERIFY(!bad && bad.error().what == "no");
    }
};
QTEST_GUILESS_MAIN(TestLandmark)
#include "test_landmark.moc"
