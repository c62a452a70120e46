// Support work beside the plan, and drills that an athlete never gets.

#include "core/programme/support.h"

#include <QTest>

#include <algorithm>
#include <set>

using namespace riflesso;
using std::chrono::days;

namespace {

Blueprint blueprint() {
    Blueprint b;
    for (const auto& [id, stage, minutes] :
         {std::tuple("shadow", Stage::shadow, 4.0), {"mirror", Stage::shadow, 4.0}, {"slow", Stage::slow, 5.0}}) {
        Drill d;
        d.id = d.name = id;
        d.stage = stage;
        d.dose = {2, 6, minutes};
        b.drills.push_back(d);
    }
    Fault f;
    f.id = f.name = "late";
    f.drills = {"shadow", "mirror", "slow"};
    b.faults = {f};
    return b;
}

PlanInput weeks() {
    PlanInput in;
    in.from = *dayFromIso("2026-11-23"); // a Monday
    in.minutes = {0, 20, 0, 20, 0, 45, 0};
    in.focus = {"late"};
    return in;
}

} // namespace

class TestSupport : public QObject {
    Q_OBJECT
private slots:
    void placesOfTheBody() {
        QCOMPARE(partOf("left_knee"), std::string("left knee"));
        QCOMPARE(partOf("right_heel"), std::string("right foot"));
        QCOMPARE(partOf("neck"), std::string("neck"));
        QCOMPARE(partOf("head"), std::string("head"));
        QVERIFY(partOf("foil_tip").empty() && partOf("ball").empty() && partOf("other_left_knee").empty());
        QCOMPARE(withoutSide("right ankle"), std::string_view("ankle"));
        std::set<std::string_view> ids;
        for (const auto& work : allSupportWork()) {
            QVERIFY(ids.insert(work.id).second && !work.name.empty() && !work.how.empty() && work.minutes > 0);
            QVERIFY(work.caution.find("pain") != std::string_view::npos); // each of them says so
            for (const auto part : work.parts)
                QVERIFY(part.empty() || std::find(kBodyParts.begin(), kBodyParts.end(), part) != kBodyParts.end());
        }
        for (const auto part : kBodyParts)
            QVERIFY(part == "head" || supportFor(part));
        QVERIFY(!supportFor("head") && !supportFor("") && !supportWork("shadow"));
        QCOMPARE(workName(blueprint(), "support-hip"), std::string(supportWork("support-hip")->name));
        QCOMPARE(workName(blueprint(), "gone"), std::string("gone"));
    }
    void besideWhatIsPlanned() {
        PlanInput in = weeks();
        in.support = {{"left ankle", false}};
        const Plan plan = prescribe(blueprint(), in);
        QVERIFY(plan.breaches.empty());
        std::map<Day, double> minutes;
        std::vector<Day> support;
        for (const auto& b : plan.blocks) {
            minutes[b.day] += b.minutes;
            if (b.kind == BlockKind::support) {
                support.push_back(b.day);
                QCOMPARE(b.drill, std::string("support-ankle"));
                QVERIFY(b.fault.empty() && b.rules.size() == 2 && b.rules[0].find("left ankle") != std::string::npos);
            }
        }
        QCOMPARE(support.size(), std::size_t(4)); // twice a week
        for (std::size_t i = 1; i < support.size(); ++i)
            QVERIFY(support[i] - support[i - 1] >= days(2));
        for (const auto& [day, needed] : minutes)
            QVERIFY2(needed <= availableOn(in, day) + 1e-9, qPrintable(QString::number(needed)));
        // No focus of its own, and there although there is no other one.
        in.focus.clear();
        const Plan alone = prescribe(blueprint(), in);
        QVERIFY(!alone.blocks.empty() && alone.blocks.front().kind == BlockKind::support);
        // What is kept is not planned twice, and a day on which it was dropped stays free of it.
        in = weeks();
        in.support = {{"left ankle", false}};
        in.standing = plan.blocks;
        for (auto& b : in.standing)
            if (b.kind == BlockKind::support && b.day == support[1])
                b.state = BlockState::dropped;
        const Plan again = prescribe(blueprint(), in);
        std::map<Day, int> times;
        for (const auto& b : again.blocks)
            times[b.day] += b.kind == BlockKind::support;
        QVERIFY(times[support[0]] == 1 && times[support[1]] == 0);
    }
    void whatHurtsIsNotForADrill() {
        PlanInput in = weeks();
        in.support = {{"left knee", true}};
        const Plan plan = prescribe(blueprint(), in);
        QVERIFY(std::none_of(plan.blocks.begin(), plan.blocks.end(),
                             [](const PlannedBlock& b) { return b.kind == BlockKind::support; }));
        QVERIFY(std::any_of(plan.notes.begin(), plan.notes.end(), [](const std::string& n) {
            return n.find("left knee") != std::string::npos && n.find("physiotherapist") != std::string::npos;
        }));
    }
    void bans() {
        PlanInput in = weeks();
        in.banned = {"shadow"};
        const Plan plan = prescribe(blueprint(), in);
        QVERIFY(!plan.blocks.empty());
        QVERIFY(
            std::none_of(plan.blocks.begin(), plan.blocks.end(), [](const auto& b) { return b.drill == "shadow"; }));
        QVERIFY(std::find(plan.ladder.begin(), plan.ladder.end(), "shadow") == plan.ladder.end());
        // By hand all the same: it is said, and can be accepted.
        auto blocks = plan.blocks;
        blocks.front().drill = "shadow";
        auto breaches = breachesOf(blueprint(), in, blocks);
        const auto ban =
            std::find_if(breaches.begin(), breaches.end(), [](const auto& b) { return b.rule == Rule::ban; });
        QVERIFY(ban != breaches.end() && !ban->accepted && ban->words.find("banned") != std::string::npos);
        blocks.front().accepted = {"ban"};
        breaches = breachesOf(blueprint(), in, blocks);
        QVERIFY(std::any_of(breaches.begin(), breaches.end(),
                            [](const auto& b) { return b.rule == Rule::ban && b.accepted; }));
        in.banned = {"shadow", "mirror", "slow"};
        QVERIFY(!prescribe(blueprint(), in).infeasible.empty());
    }
};

QTEST_APPLESS_MAIN(TestSupport)
#include "test_support.moc"
