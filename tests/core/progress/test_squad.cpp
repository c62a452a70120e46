#include "core/progress/squad.h"

#include <QTest>

#include <cmath>
#include <set>

using namespace riflesso;

class TestSquad : public QObject {
    Q_OBJECT
    static SquadMember member(int id, Standing hand, Standing knee, double priority = 1.0) {
        return {id, "M" + std::to_string(id), {{"hand", hand, priority}, {"knee", knee, 2.0 * priority}}, {}, {}};
    }
    const std::vector<SquadMember> m_squad = {
        member(1, Standing::seen, Standing::clear),       member(2, Standing::workingOn, Standing::seen, 3.0),
        member(3, Standing::clear, Standing::unknown),    member(4, Standing::held, Standing::undecided),
        member(5, Standing::seen, Standing::clear, 2.0),  member(6, Standing::undecided, Standing::clear),
        member(7, Standing::unknown, Standing::workingOn)};
private slots:
    void howManyHaveItOfThoseOfWhomItIsKnown() {
        const auto faults = squadFaults(m_squad);
        QCOMPARE(faults.size(), std::size_t(2));
        QCOMPARE(faults[0].fault, std::string("hand"));
        QCOMPARE(faults[0].have, 3);
        QCOMPARE(faults[0].known, 5); // undecided and unknown say nothing
        QCOMPARE(faults[0].priority, 6.0);
        // 3 of 5: Wilson's 95 % interval is 0.231 to 0.882 (Wilson 1927; Newcombe 1998, Stat. Med. 17:857, method 3).
        QVERIFY(std::abs(faults[0].share.lo - 0.2307) < 5e-4 && std::abs(faults[0].share.hi - 0.8824) < 5e-4);
        QCOMPARE(faults[1].have, 2);
        QCOMPARE(faults[1].known, 5);
        QVERIFY(squadFaults({}).empty());
        const auto nobody = squadFaults({member(1, Standing::unknown, Standing::undecided)});
        QCOMPARE(nobody[0].share, (Interval{0.0, 1.0}));
    }
    void whoOwnsItTeachesWhoLearnsIt() {
        const auto s = sessionForAll(m_squad, 3);
        QCOMPARE(s.fault, std::string("hand"));
        QCOMPARE(s.pairs.size(), std::size_t(3));
        QCOMPARE(s.pairs[0].learner, std::size_t(1)); // the most urgent first
        QCOMPARE(s.pairs[0].owner, std::optional<std::size_t>(2));
        QCOMPARE(s.pairs[1].learner, std::size_t(4));
        QCOMPARE(s.pairs[1].owner, std::optional<std::size_t>(3));
        QCOMPARE(s.pairs[2].learner, std::size_t(0));
        QVERIFY(!s.pairs[2].owner && !s.pairs[2].second);
    }
    void everyPairIsAtEveryStationOnce() {
        const auto s = sessionForAll(m_squad, 3);
        QCOMPARE(s.rotation.size(), std::size_t(3));
        for (std::size_t p = 0; p < s.pairs.size(); ++p) {
            std::set<std::size_t> been;
            for (const auto& round : s.rotation)
                been.insert(round[p]);
            QCOMPARE(been.size(), std::size_t(3));
        }
        for (const auto& round : s.rotation)
            QCOMPARE(std::set(round.begin(), round.end()).size(), round.size());
        QCOMPARE(sessionForAll(m_squad, 0).rotation.size(), std::size_t(1));
    }
    void learnersWithoutAnOwnerPairUp() {
        std::vector<SquadMember> all;
        for (int i = 0; i < 5; ++i)
            all.push_back(member(i, Standing::seen, Standing::clear, i));
        const auto s = sessionForAll(all, 2);
        QCOMPARE(s.pairs.size(), std::size_t(3));
        QVERIFY(s.pairs[0].second && s.pairs[1].second && !s.pairs[2].second);
    }
    void nothingNewBeforeACompetition() {
        auto squad = m_squad;
        squad[1].daysToCompetition = 10;
        squad[4].daysToCompetition = 15;
        const auto s = sessionForAll(squad, 3);
        QCOMPARE(s.keepOut, (std::vector<std::size_t>{1}));
        QCOMPARE(s.pairs.size(), std::size_t(2));
    }
    void whatTechniquesOfOnePersonShare() {
        const FaultStanding trunk{"lean", Standing::seen, 1.0, {"trunk"}},
            both{"low", Standing::workingOn, 1.0, {"arms", "trunk"}}, gone{"old", Standing::held, 0.0, {"legs"}},
            legs{"soft", Standing::seen, 1.0, {"legs"}};
        const auto shared = sharedParts({{trunk, both, gone}, {trunk, legs}, {both}});
        QCOMPARE(shared.size(), std::size_t(2)); // legs are at fault in one alone
        QCOMPARE(shared[0].part, std::string("trunk"));
        QCOMPARE(shared[0].techniques, 3);
        QCOMPARE(shared[0].faults.size(), std::size_t(4)); // twice in the first
        QCOMPARE(shared[1].part, std::string("arms"));
        QCOMPARE(shared[1].faults, (std::vector<std::pair<std::size_t, std::string>>{{0, "low"}, {2, "low"}}));
        QVERIFY(sharedParts({{trunk, both}}).empty() && sharedParts({}).empty());
    }
    void tiesGoToTheMoreUrgent() {
        const auto s = sessionForAll({member(1, Standing::seen, Standing::seen)}, 1);
        QCOMPARE(s.fault, std::string("knee")); // as many have it, and its priority is higher
        QVERIFY(sessionForAll({member(1, Standing::clear, Standing::unknown)}, 1).fault.empty());
        QVERIFY(sessionForAll({}, 1).pairs.empty());
    }
};
QTEST_GUILESS_MAIN(TestSquad)
#include "test_squad.moc"
