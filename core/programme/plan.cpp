#include "core/programme/plan.h"
#include "core/words/say.h"

#include "core/programme/at_home.h"
#include "core/programme/plan_parts.h"
#include "core/programme/support.h"
#include "core/statistics/numbers.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

using std::chrono::days;

std::string quoted(const Blueprint& blueprint, const std::string& drill) {
    return "“" + workName(blueprint, drill) + "”";
}

std::string minuteWords(double minutes) {
    return minutes == 1.0 ? say("plan", "1 minute")
                          : fill(say("plan", "%1 minutes"), {figure(minutes, minutes == std::round(minutes) ? 0 : 1)});
}

// Goes through the plan rule by rule.
class Checker {
public:
    Checker(const Blueprint& blueprint, const PlanInput& in, const std::vector<PlannedBlock>& blocks)
        : m_blueprint(blueprint), m_in(in), m_blocks(blocks) {
        for (std::size_t i = 0; i < blocks.size(); ++i)
            if (counts(in, blocks[i])) {
                m_byDay[blocks[i].day].push_back(i);
                if (blocks[i].kind == BlockKind::session)
                    m_sessions[blocks[i].day].push_back(i);
            }
    }

    std::vector<Breach> run() {
        for (const auto& [day, all] : m_byDay)
            checkDay(day, all);
        checkSessions();
        checkShares();
        checkLoad();
        checkFocus();
        std::stable_sort(m_out.begin(), m_out.end(), [](const Breach& a, const Breach& b) {
            return std::pair(a.day, a.rule) < std::pair(b.day, b.rule);
        });
        return std::move(m_out);
    }

private:
    void add(Rule rule, Day day, std::vector<std::size_t> blocks, const std::string& words) {
        const auto name = kRuleNames[static_cast<std::size_t>(rule)];
        const bool accepted = std::all_of(blocks.begin(), blocks.end(), [&](std::size_t i) {
            const auto& list = m_blocks[i].accepted;
            return std::find(list.begin(), list.end(), name) != list.end();
        });
        m_out.push_back({rule, day, std::move(blocks), dayWords(day) + ": " + words, accepted});
    }
    [[nodiscard]] double minutesOf(const std::vector<std::size_t>& blocks) const {
        double sum = 0.0;
        for (const auto i : blocks)
            sum += m_blocks[i].minutes;
        return sum;
    }

    void checkDay(Day day, const std::vector<std::size_t>& all) {
        const double there = availableOn(m_in, day), needed = minutesOf(all);
        const auto wd = static_cast<std::size_t>(weekdayOf(day));
        if (std::find(m_in.competitions.begin(), m_in.competitions.end(), day) != m_in.competitions.end())
            add(Rule::restDay, day, all, say("plan", "a competition; nothing is practised that day"));
        else if (m_in.minutes[wd] == 0)
            add(Rule::restDay, day, all, say("plan", "a day of rest, the brief gives it no minutes"));
        else if (needed > there + 1e-9)
            add(Rule::minutes, day, all,
                fill(there == 1.0 ? say("plan", "%1 is there, ") : say("plan", "%1 are there, "),
                     {minuteWords(there)}) +
                    fill(sayCount("plan", "these %n blocks need %1", "this block needs %1", all.size()),
                         {figure(needed, needed == std::round(needed) ? 0 : 1)}));
        std::map<std::string, std::vector<std::size_t>> same;
        std::vector<std::size_t> home;
        for (const auto i : all) {
            const PlannedBlock& b = m_blocks[i];
            same[b.drill].push_back(i);
            if (b.kind == BlockKind::home)
                home.push_back(i);
            if (m_in.banned.contains(b.drill))
                add(Rule::ban, day, {i},
                    fill(say("plan", "%1 is banned for this athlete"), {quoted(m_blueprint, b.drill)}));
            const Drill* d = m_blueprint.drill(b.drill);
            if (!d || b.kind == BlockKind::support)
                continue;
            if (d->partner && m_in.alone[wd])
                add(Rule::partner, day, {i},
                    fill(say("plan", "%1 needs a partner, who is not there"), {quoted(m_blueprint, b.drill)}));
            const PracticePlace place = placeOf(b.kind, day, m_in.places);
            if (place == PracticePlace::home && !d->home)
                add(Rule::place, day, {i},
                    fill(say("plan", "%1 cannot be done at home"), {quoted(m_blueprint, b.drill)}));
            if (const auto missing = missingFor(m_in, *d, place); !missing.empty())
                add(Rule::equipment, day, {i},
                    fill(place == PracticePlace::home ? say("plan", "%1 needs what is not at home: %2")
                                                      : say("plan", "%1 needs what is not at hand: %2"),
                         {quoted(m_blueprint, b.drill), missing}));
            const auto allowed = stageAllowed(m_blueprint, m_in, m_blocks, b.fault, day);
            if (allowed && d->stage > *allowed)
                add(Rule::stage, day, {i},
                    fill(say("plan", "%1 is of the stage “%2”; practice has come to “%3” by then"),
                         {quoted(m_blueprint, b.drill), word(kStageNames[static_cast<std::size_t>(d->stage)]),
                          word(kStageNames[static_cast<std::size_t>(*allowed)])}));
            if (const auto since = quietSince(m_in, day);
                since && !m_in.known.contains(b.drill) && !appearsBefore(b.drill, *since))
                add(Rule::fresh, day, {i},
                    fill(regimeOf(m_in.regime).nothingNew
                             ? say("plan", "%1 would be new in a time of competitions")
                             : say("plan", "%1 would be new within two weeks of a competition"),
                         {quoted(m_blueprint, b.drill)}));
        }
        for (const auto& [drill, list] : same)
            if (list.size() > 1)
                add(Rule::twice, day, list, fill(say("plan", "%1 is there twice"), {quoted(m_blueprint, drill)}));
        if (home.size() > 1)
            add(Rule::twice, day, home, say("plan", "two things to do at home on one day"));
        if (const auto it = m_sessions.find(day); it != m_sessions.end())
            if (const double most = regimeOf(m_in.regime).mostMinutes; minutesOf(it->second) > most + 1e-9)
                add(Rule::bout, day, it->second,
                    fill(say("plan", "%1 at once; little and often means %2 at most"),
                         {minuteWords(minutesOf(it->second)), minuteWords(most)}));
    }
    [[nodiscard]] bool appearsBefore(const std::string& drill, Day day) const {
        return std::any_of(m_blocks.begin(), m_blocks.end(), [&](const PlannedBlock& b) {
            return b.drill == drill && b.day < day && b.state != BlockState::dropped && b.state != BlockState::missed;
        });
    }
    // A day with two blocks or more is a session; a lone one may stand beside them.
    [[nodiscard]] std::vector<Day> sessionDays() const {
        std::vector<Day> out;
        for (const auto& [day, list] : m_sessions)
            if (list.size() > 1)
                out.push_back(day);
        return out;
    }
    void checkSessions() {
        const Regime& regime = regimeOf(m_in.regime);
        const auto all = sessionDays();
        for (std::size_t i = 0; i < all.size(); ++i) {
            int within = 0;
            for (std::size_t k = 0; k <= i; ++k)
                within += all[i] - all[k] < days(7);
            if (within > regime.perWeek)
                add(Rule::sessions, all[i], m_sessions.at(all[i]),
                    fill(say("plan", "session %1 in seven days; “%2” means %3"),
                         {std::to_string(within), word(regime.name), std::to_string(regime.perWeek)}));
            if (i > 0 && all[i] - all[i - 1] < days(regime.gapDays))
                add(Rule::gap, all[i], m_sessions.at(all[i]),
                    fill(say("plan", "%1 days after the last session; “%2” wants %3"),
                         {std::to_string((all[i] - all[i - 1]).count()), word(regime.name),
                          std::to_string(regime.gapDays)}));
        }
    }
    void checkShares() {
        std::map<Day, std::vector<std::size_t>> weeks;
        for (const auto& [day, list] : m_byDay)
            for (const auto i : list)
                if (m_blocks[i].kind != BlockKind::support)
                    weeks[mondayOf(day)].push_back(i);
        for (const auto& [monday, list] : weeks)
            if (const double most = shareOf(m_in); minutesOf(list) > most + 1e-9)
                add(Rule::share, m_blocks[list.back()].day, list,
                    fill(say("plan", "technique takes %1 minutes of this week, %2 are its share"),
                         {figure(minutesOf(list), 0), figure(most, 0)}));
    }
    void checkLoad() {
        std::map<Day, std::vector<std::size_t>> heavy;
        for (const auto& [day, list] : m_byDay)
            for (const auto i : list)
                if (const Drill* d = m_blueprint.drill(m_blocks[i].drill); d && isHeavy(*d))
                    heavy[day].push_back(i);
        for (const auto& [day, list] : heavy)
            if (heavy.contains(day - days(1)))
                add(Rule::load, day, list, say("plan", "full speed on two days running"));
    }
    void checkFocus() {
        std::vector<std::string> faults;
        for (const auto& [day, list] : m_byDay)
            for (const auto i : list) {
                const auto& b = m_blocks[i];
                if (b.kind == BlockKind::support || b.fault.empty() ||
                    std::find(faults.begin(), faults.end(), b.fault) != faults.end())
                    continue;
                faults.push_back(b.fault);
                if (faults.size() > kMostFocus)
                    add(Rule::focus, day, {i}, say("plan", "a third thing to work on; two at most"));
            }
    }

    const Blueprint& m_blueprint;
    const PlanInput& m_in;
    const std::vector<PlannedBlock>& m_blocks;
    std::map<Day, std::vector<std::size_t>> m_byDay, m_sessions;
    std::vector<Breach> m_out;
};

std::size_t open(const std::vector<Breach>& breaches) {
    return static_cast<std::size_t>(
        std::count_if(breaches.begin(), breaches.end(), [](const Breach& b) { return !b.accepted; }));
}

} // namespace

const Regime& regimeOf(std::string_view id) {
    const auto it = std::find_if(kRegimes.begin(), kRegimes.end(), [&](const Regime& r) { return r.id == id; });
    return it == kRegimes.end() ? kRegimes.front() : *it;
}

bool isHeavy(const Drill& drill) {
    return drill.speed == "full" || drill.speed == "race" || drill.stage >= Stage::open;
}

Day mondayOf(Day day) {
    return day - days(weekdayOf(day));
}

bool counts(const PlanInput& in, const PlannedBlock& b) {
    return b.day >= in.from && b.state != BlockState::dropped && b.state != BlockState::missed;
}

double availableOn(const PlanInput& in, Day day) {
    if (std::find(in.competitions.begin(), in.competitions.end(), day) != in.competitions.end())
        return 0.0;
    const auto taken = in.taken.find(day);
    return std::max(0.0, in.minutes[static_cast<std::size_t>(weekdayOf(day))] -
                             (taken == in.taken.end() ? 0.0 : taken->second));
}

double shareOf(const PlanInput& in) {
    double week = 0.0, longest = 0.0;
    for (int i = 0; i < 7; ++i) {
        const double there = in.minutes[static_cast<std::size_t>(i)];
        week += there;
        longest = std::max(longest, there);
    }
    return std::max(week / 2.0, longest);
}

std::optional<Day> quietSince(const PlanInput& in, Day day) {
    if (regimeOf(in.regime).nothingNew)
        return in.from;
    std::optional<Day> since;
    for (const Day c : in.competitions)
        if (day <= c && c - day < days(kQuietDays)) {
            const Day start = c - days(kQuietDays - 1);
            since = since ? std::min(*since, start) : start;
        }
    return since;
}

std::string missingFor(const PlanInput& in, const Drill& drill, PracticePlace place) {
    std::string out;
    for (const auto& e : drill.equipment)
        if (in.lacks[static_cast<std::size_t>(place)].contains(e))
            out += (out.empty() ? "" : ", ") + e;
    return out;
}

bool possibleOn(const PlanInput& in, const Drill& drill, Day day, BlockKind kind) {
    const PracticePlace place = placeOf(kind, day, in.places);
    return (place == PracticePlace::club || drill.home) && missingFor(in, drill, place).empty() &&
           !(drill.partner && in.alone[static_cast<std::size_t>(weekdayOf(day))]);
}

bool canCome(const PlanInput& in, const Drill& drill) {
    if (in.banned.contains(drill.id))
        return false;
    const bool noMinutes = std::all_of(in.minutes.begin(), in.minutes.end(), [](int m) { return m <= 0; });
    for (Day day = in.from; day < in.from + days(7); day += days(1))
        if ((noMinutes || in.minutes[static_cast<std::size_t>(weekdayOf(day))] > 0) &&
            (possibleOn(in, drill, day, BlockKind::session) ||
             (drill.home && possibleOn(in, drill, day, BlockKind::home))))
            return true;
    return false;
}

std::optional<Stage> stageAllowed(const Blueprint& blueprint, const PlanInput& in,
                                  const std::vector<PlannedBlock>& blocks, const std::string& fault, Day day) {
    const Fault* f = blueprint.fault(fault);
    auto ladder = f ? ladderOf(blueprint, *f) : std::vector<const Drill*>{};
    // A rung on which nothing can be done is passed over; where that goes for all, it says nothing of stages.
    const auto cannot = [&](const Drill* d) { return !canCome(in, *d); };
    if (!std::all_of(ladder.begin(), ladder.end(), cannot))
        std::erase_if(ladder, cannot);
    std::vector<Stage> rungs;
    for (const Drill* d : ladder)
        if (rungs.empty() || rungs.back() != d->stage)
            rungs.push_back(d->stage);
    if (rungs.empty())
        return std::nullopt;
    const auto reached = in.reached.find(fault);
    const Stage base = reached == in.reached.end() ? Stage::shadow : reached->second;
    auto at = static_cast<std::size_t>(std::lower_bound(rungs.begin(), rungs.end(), base) - rungs.begin());
    std::set<Day> sessions;
    for (const auto& b : blocks)
        if (counts(in, b) && b.kind == BlockKind::session && b.fault == fault && b.day < day)
            sessions.insert(b.day);
    at += sessions.size() / 2;
    return rungs[std::min(at, rungs.size() - 1)];
}

std::vector<Breach> breachesOf(const Blueprint& blueprint, const PlanInput& in,
                               const std::vector<PlannedBlock>& blocks) {
    return Checker(blueprint, in, blocks).run();
}

Breach smallestClash(const Blueprint& blueprint, const PlanInput& in, const std::vector<PlannedBlock>& blocks,
                     const Breach& breach) {
    std::vector<std::size_t> kept; // by index into `blocks`; what may go first comes first
    for (std::size_t i = 0; i < blocks.size(); ++i)
        if (counts(in, blocks[i]))
            kept.push_back(i);
    const std::set<std::size_t> named(breach.blocks.begin(), breach.blocks.end());
    std::stable_sort(kept.begin(), kept.end(), [&](std::size_t a, std::size_t b) {
        return std::tuple(named.contains(a), blocks[a].minutes) < std::tuple(named.contains(b), blocks[b].minutes);
    });
    const auto still = [&](const std::vector<std::size_t>& these) -> std::optional<Breach> {
        std::vector<PlannedBlock> some;
        for (const auto i : these)
            some.push_back(blocks[i]);
        for (auto& b : breachesOf(blueprint, in, some))
            if (b.rule == breach.rule && b.day == breach.day)
                return std::move(b);
        return std::nullopt;
    };
    std::optional<Breach> last = still(kept);
    if (!last) // it does not hold of these blocks
        return breach;
    for (std::size_t k = 0; k < kept.size();) {
        auto without = kept;
        without.erase(without.begin() + static_cast<std::ptrdiff_t>(k));
        if (auto now = still(without)) {
            kept = std::move(without);
            last = std::move(now);
        } else {
            ++k;
        }
    }
    Breach out = *last;
    out.accepted = breach.accepted;
    out.blocks = kept;
    std::sort(out.blocks.begin(), out.blocks.end());
    return out;
}

std::optional<WayOut> wayOutOf(const Blueprint& blueprint, const PlanInput& in, const std::vector<PlannedBlock>& blocks,
                               const Breach& breach) {
    const auto now = open(breachesOf(blueprint, in, blocks));
    struct Candidate {
        std::size_t breaches;
        int distance;
        std::size_t block;
        std::optional<Day> day;
        [[nodiscard]] auto rank() const { return std::tuple(breaches, distance, block); }
    };
    std::optional<Candidate> best;
    const auto tryIt = [&](const Candidate& c) {
        if (c.breaches < now && (!best || c.rank() < best->rank()))
            best = c;
    };
    for (const auto i : breach.blocks) {
        if (blocks[i].state == BlockState::done)
            continue;
        auto changed = blocks;
        for (int k = -10; k <= 10; ++k) {
            const Day day = blocks[i].day + days(k);
            if (k == 0 || day < in.from || day >= in.from + days(in.days))
                continue;
            changed[i].day = day;
            // Earlier is as good as later; later wins a draw.
            tryIt({open(breachesOf(blueprint, in, changed)), 2 * std::abs(k) + (k < 0), i, day});
        }
        changed[i] = blocks[i];
        changed[i].state = BlockState::dropped;
        tryIt({open(breachesOf(blueprint, in, changed)), 100, i, {}});
    }
    if (!best)
        return std::nullopt;
    const auto& b = blocks[best->block];
    const std::string what = quoted(blueprint, b.drill) + " (" + minuteWords(b.minutes) + ")";
    return WayOut{best->block, best->day,
                  best->day ? fill(say("plan", "%1 to %2"), {what, dayWords(*best->day)})
                            : fill(say("plan", "leave %1 out"), {what})};
}

} // namespace riflesso
