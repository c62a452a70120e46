// Lays the plan by an integer programme (GLPK). Rules are rows, wishes are costs. The checker in plan.cpp knows nothing
// of this file.

#include "core/programme/plan.h"
#include "core/programme/plan_parts.h"
#include "core/programme/support.h"
#include "core/words/say.h"

#include <glpk.h>

#include <algorithm>
#include <cmath>
#include <csetjmp>
#include <utility>

namespace riflesso {
namespace {

using std::chrono::days;

// Wishes, in points. What a block is worth falls with its distance from the stage that is being learnt.
constexpr double kLearnt = 12.0, kStageBefore = 7.0, kOlder = 2.0;
constexpr double kEachFault = 8.0;  // a session that serves a focus at all
constexpr double kVariety = 5.0;    // a drill that comes at all
constexpr double kHome = 4.0;       // home work on a day
constexpr double kNextDay = 6.0;    // sessions on neighbouring days
constexpr double kSooner = 0.03;    // a day
constexpr double kTakenAway = 18.0; // a block of the standing plan
constexpr double kAdded = 9.0;      // a block that was not there
constexpr int kSoon = 7;            // days within which a change costs twice as much
constexpr int kMostBlocks = 6;      // of a session
constexpr int kWindow = 28, kRolling = 14, kStep = 7;
constexpr int kMostNodes = 200; // of the search: a number, so that the same question has the same answer

// A problem of GLPK with the few things that are needed of it.
class Programme {
public:
    Programme() : m_problem(glp_create_prob()) { glp_set_obj_dir(m_problem, GLP_MAX); }
    ~Programme() {
        if (m_problem)
            glp_delete_prob(m_problem);
    }
    Programme(const Programme&) = delete;
    Programme& operator=(const Programme&) = delete;

    int binary(double worth) {
        const int column = glp_add_cols(m_problem, 1);
        glp_set_col_kind(m_problem, column, GLP_BV);
        glp_set_obj_coef(m_problem, column, worth);
        return column;
    }
    using Terms = std::vector<std::pair<int, double>>;
    void atMost(const Terms& terms, double limit) {
        if (terms.empty())
            return;
        const int row = glp_add_rows(m_problem, 1);
        glp_set_row_bnds(m_problem, row, GLP_UP, 0.0, limit);
        std::vector<int> columns{0};
        std::vector<double> values{0.0};
        for (const auto& [column, value] : terms) {
            columns.push_back(column);
            values.push_back(value);
        }
        glp_set_mat_row(m_problem, row, static_cast<int>(terms.size()), columns.data(), values.data());
    }
    // False when there is no solution at all, or none was found in time.
    bool solve(const std::function<bool()>& stop, bool& proven) {
        glp_iocp options;
        glp_init_iocp(&options);
        options.msg_lev = GLP_MSG_OFF;
        options.presolve = GLP_ON;
        // No cover cuts: GLPK 5.0 ends the program when presolving leaves no row for them.
        options.mir_cuts = options.clq_cuts = GLP_ON;
        options.fp_heur = GLP_ON;
        options.bt_tech = GLP_BT_BPH;
        options.br_tech = GLP_BR_PCH;
        options.mip_gap = 0.03;
        struct Watch {
            const std::function<bool()>* stop;
            int nodes = 0;
            bool stopped = false;
        } watch{&stop};
        options.cb_info = &watch;
        options.cb_func = [](glp_tree* tree, void* info) {
            auto& w = *static_cast<Watch*>(info);
            if (glp_ios_reason(tree) != GLP_ISELECT)
                return;
            if (++w.nodes > kMostNodes || (*w.stop && (*w.stop)())) {
                w.stopped = true;
                glp_ios_terminate(tree);
            }
        };
        int code = GLP_EFAIL;
        if (!guarded(options, code))
            return proven = false;
        const int status = glp_mip_status(m_problem);
        proven = proven && (code == 0 || code == GLP_EMIPGAP) && !watch.stopped;
        return status == GLP_OPT || status == GLP_FEAS;
    }
    [[nodiscard]] bool on(int column) const { return glp_mip_col_val(m_problem, column) > 0.5; }

private:
    // GLPK ends the program on what it takes for an error. Here it comes back instead, and the problem is gone with all
    // its memory. Nothing between here and there has a destructor.
    bool guarded(const glp_iocp& options, int& code) {
        static thread_local std::jmp_buf back;
        if (setjmp(back) != 0) {
            glp_free_env();
            glp_term_out(GLP_OFF);
            m_problem = nullptr;
            return false;
        }
        glp_error_hook([](void*) { std::longjmp(back, 1); }, nullptr);
        code = glp_intopt(m_problem, &options);
        glp_error_hook(nullptr, nullptr);
        return true;
    }

    glp_prob* m_problem;
};

// What may stand on a day.
struct Cell {
    int column;
    Day day;
    const Drill* drill;
    std::string fault;
    BlockKind kind;
    double minutes;
};

class Solver {
public:
    Solver(const Blueprint& blueprint, const PlanInput& in, const std::function<bool()>& stop)
        : m_blueprint(blueprint), m_in(in), m_regime(regimeOf(in.regime)), m_stop(stop) {
        for (std::size_t i = 0; i < in.focus.size() && i < kMostFocus; ++i)
            if (const Fault* f = blueprint.fault(in.focus[i]))
                m_faults.push_back(f);
    }

    // Everything from `first` to `last` is laid anew round `fixed`; what lies outside stands.
    std::vector<PlannedBlock> window(Day first, Day last, const std::vector<PlannedBlock>& fixed) {
        std::vector<PlannedBlock> found;
        // The stages that are allowed depend on the sessions laid: as a fixed curve, laid again when it has changed.
        std::vector<PlannedBlock> curve = fixed;
        for (int round = 0; round < 3; ++round) {
            found = lay(first, last, fixed, curve);
            auto all = fixed;
            all.insert(all.end(), found.begin(), found.end());
            bool same = true;
            for (const Fault* f : m_faults)
                for (Day day = first; day <= last; day += days(1))
                    same = same && stageAllowed(m_blueprint, m_in, curve, f->id, day) ==
                                       stageAllowed(m_blueprint, m_in, all, f->id, day);
            if (same)
                break;
            curve = std::move(all);
        }
        // A curve that will not settle: what it no longer allows goes, and with it the forecast that rested on it.
        for (std::size_t before = found.size() + 1; before != found.size();) {
            before = found.size();
            auto all = fixed;
            all.insert(all.end(), found.begin(), found.end());
            std::erase_if(found, [&](const PlannedBlock& b) {
                const auto allowed = stageAllowed(m_blueprint, m_in, all, b.fault, b.day);
                const bool novelty =
                    isNew(b.day, b.drill) && std::none_of(all.begin(), all.end(), [&](const PlannedBlock& other) {
                        return other.drill == b.drill && other.day < *quietSince(m_in, b.day);
                    });
                return novelty || (allowed && b.stage > *allowed);
            });
        }
        return found;
    }
    [[nodiscard]] bool proven() const { return m_proven; }
    [[nodiscard]] const std::vector<const Fault*>& faults() const { return m_faults; }

private:
    std::vector<PlannedBlock> lay(Day first, Day last, const std::vector<PlannedBlock>& fixed,
                                  const std::vector<PlannedBlock>& curve) {
        Programme p;
        std::vector<Cell> cells;
        std::map<Day, int> session; // columns: is there a session
        for (Day day = first; day <= last; day += days(1)) {
            if (availableOn(m_in, day) <= 0.0)
                continue;
            session[day] = p.binary(0.0);
            for (const Fault* f : m_faults)
                addCells(p, cells, day, *f, fixed, curve);
        }
        addRules(p, cells, session, first, last, fixed);
        addWishes(p, cells, session);
        std::vector<PlannedBlock> out;
        if (cells.empty() || !p.solve(m_stop, m_proven))
            return out;
        for (const auto& c : cells)
            if (p.on(c.column)) {
                PlannedBlock b;
                b.day = c.day;
                b.fault = c.fault;
                b.drill = c.drill->id;
                b.minutes = c.minutes;
                b.kind = c.kind;
                b.stage = c.drill->stage;
                if (const PlannedBlock* was = standing(c.day, c.drill->id, c.kind)) {
                    const auto stage = b.stage;
                    b = *was; // it keeps what is kept with it
                    b.stage = stage;
                }
                out.push_back(std::move(b));
            }
        return out;
    }

    [[nodiscard]] const PlannedBlock* standing(Day day, const std::string& drill, BlockKind kind) const {
        for (const auto& b : m_in.standing)
            if (b.day == day && b.drill == drill && b.kind == kind && b.state == BlockState::planned)
                return &b;
        return nullptr;
    }
    [[nodiscard]] bool droppedOn(Day day, const std::string& drill) const {
        return std::any_of(m_in.standing.begin(), m_in.standing.end(), [&](const PlannedBlock& b) {
            return b.day == day && b.drill == drill && b.state == BlockState::dropped;
        });
    }
    [[nodiscard]] bool isNew(Day day, const std::string& drill) const {
        return quietSince(m_in, day) && !m_in.known.contains(drill);
    }

    void addCells(Programme& p, std::vector<Cell>& cells, Day day, const Fault& fault,
                  const std::vector<PlannedBlock>& fixed, const std::vector<PlannedBlock>& curve) {
        const auto allowed = stageAllowed(m_blueprint, m_in, curve, fault.id, day);
        if (!allowed)
            return;
        const auto ladder = ladderOf(m_blueprint, fault);
        std::optional<Stage> before; // the stage below the one that is learnt
        for (const Drill* d : ladder)
            if (d->stage < *allowed)
                before = d->stage;
        for (const Drill* d : ladder) {
            if (d->stage > *allowed || m_in.banned.contains(d->id) || droppedOn(day, d->id))
                continue;
            const auto there = [&](const PlannedBlock& b) {
                return b.day == day && b.drill == d->id && counts(m_in, b);
            };
            const auto same = [&](const Cell& c) { return c.day == day && c.drill == d; };
            if (std::any_of(fixed.begin(), fixed.end(), there) || std::any_of(cells.begin(), cells.end(), same))
                continue; // pinned, or of the other focus already
            if (isNew(day, d->id) && *quietSince(m_in, day) <= m_in.from)
                continue;
            const double stage = d->stage == *allowed ? kLearnt : before && d->stage == *before ? kStageBefore : kOlder;
            const double late = kSooner * static_cast<double>((day - m_in.from).count());
            const auto add = [&](BlockKind kind, double minutes, double worth) {
                const PlannedBlock* was = standing(day, d->id, kind);
                if (!m_in.standing.empty()) {
                    const double twice = day - m_in.from < days(kSoon) ? 2.0 : 1.0;
                    worth += was ? kTakenAway * twice : -kAdded * twice;
                }
                cells.push_back({p.binary(worth - late), day, d, fault.id, kind, was ? was->minutes : minutes});
            };
            // Two stages and more below it there are no sessions, except where nothing new may come, or one stands.
            if (possibleOn(m_in, *d, day, BlockKind::session) &&
                (d->stage >= before.value_or(*allowed) || quietSince(m_in, day) ||
                 standing(day, d->id, BlockKind::session)))
                add(BlockKind::session, d->dose.minutes, stage);
            if (d->home && possibleOn(m_in, *d, day, BlockKind::home))
                add(BlockKind::home, kHomeMinutes, kHome + (d->stage == *allowed ? 0.5 : 0.0));
        }
    }

    // What is pinned, by its day; of a week by its Monday. Minutes, or how many.
    struct Pinned {
        std::map<Day, double> minutes, week, session;
        std::map<Day, int> blocks, home;
        std::set<Day> heavy;
    };
    Pinned pinnedOf(const std::vector<PlannedBlock>& fixed) {
        Pinned out;
        for (const auto& b : fixed) {
            if (!counts(m_in, b))
                continue;
            out.minutes[b.day] += b.minutes;
            if (b.kind != BlockKind::support)
                out.week[mondayOf(b.day)] += b.minutes;
            if (b.kind == BlockKind::session) {
                ++out.blocks[b.day];
                out.session[b.day] += b.minutes;
            }
            out.home[b.day] += b.kind == BlockKind::home;
            if (const Drill* d = m_blueprint.drill(b.drill); d && isHeavy(*d))
                out.heavy.insert(b.day);
        }
        return out;
    }

    // At most so many sessions in any so many days: pinned ones, and those outside, count.
    void addWindow(Programme& p, const std::map<Day, int>& session, const Pinned& pinned, Day first, Day last,
                   int length, int most) {
        const auto manyOn = [&](Day day) {
            const auto it = pinned.blocks.find(day);
            return it != pinned.blocks.end() && it->second > 1;
        };
        for (Day from = first - days(length - 1); from <= last; from += days(1)) {
            int fixed = 0;
            for (const auto& [day, blocks] : pinned.blocks)
                fixed += day >= from && day < from + days(length) && blocks > 1;
            Programme::Terms terms;
            for (const auto& [day, s] : session)
                if (day >= from && day < from + days(length) && !manyOn(day))
                    terms.emplace_back(s, 1.0);
            p.atMost(terms, std::max(0, most - fixed));
        }
    }

    // What would be new in a quiet time must have come before it.
    void addQuietRules(Programme& p, const std::vector<Cell>& cells, const std::vector<PlannedBlock>& fixed) {
        for (const auto& c : cells) {
            if (!isNew(c.day, c.drill->id))
                continue;
            const Day since = *quietSince(m_in, c.day);
            Programme::Terms terms{{c.column, 1.0}};
            bool before = false;
            for (const auto& b : fixed)
                before = before || (b.drill == c.drill->id && b.day < since && b.state != BlockState::dropped &&
                                    b.state != BlockState::missed);
            if (before)
                continue;
            for (const auto& other : cells)
                if (other.drill == c.drill && other.day < since)
                    terms.emplace_back(other.column, -1.0);
            p.atMost(terms, 0.0);
        }
    }

    void addRules(Programme& p, const std::vector<Cell>& cells, const std::map<Day, int>& session, Day first, Day last,
                  const std::vector<PlannedBlock>& fixed) {
        using Terms = Programme::Terms;
        Pinned pinned = pinnedOf(fixed);
        std::map<Day, Terms> weeks;
        std::map<Day, int> fast; // columns: is there a heavy drill
        for (const auto& [day, s] : session) {
            Terms minutes, bout, blocks, home;
            std::map<const Drill*, Terms> once;
            for (const auto& c : cells) {
                if (c.day != day)
                    continue;
                minutes.emplace_back(c.column, c.minutes);
                weeks[mondayOf(day)].emplace_back(c.column, c.minutes);
                once[c.drill].emplace_back(c.column, 1.0);
                if (isHeavy(*c.drill)) {
                    if (!fast.contains(day))
                        fast[day] = p.binary(0.0);
                    p.atMost({{c.column, 1.0}, {fast[day], -1.0}}, 0.0);
                }
                if (c.kind == BlockKind::home) {
                    home.emplace_back(c.column, 1.0);
                    continue;
                }
                bout.emplace_back(c.column, c.minutes);
                blocks.emplace_back(c.column, 1.0);
            }
            const auto of = [&](const auto& map) {
                const auto it = map.find(day);
                return it == map.end() ? 0.0 : static_cast<double>(it->second);
            };
            p.atMost(minutes, std::max(0.0, availableOn(m_in, day) - of(pinned.minutes)));
            if (std::isfinite(m_regime.mostMinutes))
                p.atMost(bout, std::max(0.0, m_regime.mostMinutes - of(pinned.session)));
            for (const auto& [drill, terms] : once)
                p.atMost(terms, 1.0);
            // Home work fills days without a session, one thing a day.
            if (pinned.home.contains(day) && pinned.home[day] > 0) {
                p.atMost(home, 0.0);
            } else {
                home.emplace_back(s, 1.0);
                p.atMost(home, 1.0);
            }
            // No drill without a session; one row a drill bounds more tightly than one for all.
            p.atMost(blocks, kMostBlocks);
            for (const auto& [column, one] : blocks)
                p.atMost({{column, one}, {s, -1.0}}, 0.0);
        }
        for (const auto& [monday, terms] : weeks)
            p.atMost(terms, std::max(0.0, shareOf(m_in) - pinned.week[monday]));
        addWindow(p, session, pinned, first, last, 7, m_regime.perWeek);
        if (m_regime.gapDays > 1)
            addWindow(p, session, pinned, first, last, m_regime.gapDays, 1);
        for (const auto& [day, column] : fast) {
            if (const auto next = fast.find(day + days(1)); next != fast.end())
                p.atMost({{column, 1.0}, {next->second, 1.0}}, 1.0);
            if (pinned.heavy.contains(day - days(1)) || pinned.heavy.contains(day + days(1)))
                p.atMost({{column, 1.0}}, 0.0);
        }
        addQuietRules(p, cells, fixed);
    }

    void addWishes(Programme& p, const std::vector<Cell>& cells, const std::map<Day, int>& session) {
        using Terms = Programme::Terms;
        std::map<const Drill*, Terms> ofDrill;
        std::map<std::pair<Day, std::string>, Terms> ofFault;
        for (const auto& c : cells) {
            ofDrill[c.drill].emplace_back(c.column, -1.0);
            if (c.kind == BlockKind::session)
                ofFault[{c.day, c.fault}].emplace_back(c.column, -1.0);
        }
        for (auto& [drill, terms] : ofDrill) {
            terms.emplace_back(p.binary(kVariety), 1.0);
            p.atMost(terms, 0.0);
        }
        for (auto& [key, terms] : ofFault) {
            terms.emplace_back(p.binary(kEachFault), 1.0);
            p.atMost(terms, 0.0);
        }
        for (const auto& [day, s] : session)
            if (const auto next = session.find(day + days(1)); next != session.end() && m_regime.perWeek < 5)
                p.atMost({{s, 1.0}, {next->second, 1.0}, {p.binary(-kNextDay), -1.0}}, 1.0);
    }

    const Blueprint& m_blueprint;
    const PlanInput& m_in;
    const Regime& m_regime;
    const std::function<bool()>& m_stop;
    std::vector<const Fault*> m_faults;
    bool m_proven = true;
};

// Blocks that planning goes round.
bool isPinned(const PlannedBlock& b) {
    return b.locked || b.state == BlockState::done || b.state == BlockState::moved || b.kind == BlockKind::support;
}

// The order of a day: right against wrong first, then stage by stage, home work last.
void putInOrder(const Blueprint& blueprint, std::vector<PlannedBlock>& blocks) {
    std::stable_sort(blocks.begin(), blocks.end(), [&](const PlannedBlock& a, const PlannedBlock& b) {
        const auto key = [&](const PlannedBlock& x) {
            const Drill* d = blueprint.drill(x.drill);
            return std::tuple(x.day, x.kind, !(d && !d->contrast.empty()), x.stage, x.fault, x.drill);
        };
        return key(a) < key(b);
    });
}

void explain(const Blueprint& blueprint, const PlanInput& in, Plan& plan) {
    for (auto& b : plan.blocks) {
        if (b.kind == BlockKind::support) { // says itself what it is for
            if (const SupportWork* work = supportWork(b.drill); work && b.rules.empty())
                b.rules = {say("plan", "beside the technique"), word(work->caution)};
            continue;
        }
        b.rules.clear();
        const auto reached = in.reached.find(b.fault);
        const Stage now = reached == in.reached.end() ? Stage::shadow : reached->second;
        const auto allowed = stageAllowed(blueprint, in, {}, b.fault, in.from); // the easiest there is may lie higher
        b.forecast = b.stage > std::max(now, allowed.value_or(now));
        if (b.locked)
            b.rules.push_back(say("plan", "laid by hand"));
        if (b.kind == BlockKind::home)
            b.rules.push_back(say("plan", "two minutes a day at home"));
        else
            b.rules.push_back(word(regimeOf(in.regime).why));
        if (availableOn(in, b.day) >= b.minutes)
            b.rules.push_back(fill(say("plan", "fits the %1 minutes of this day"),
                                   {std::to_string(in.minutes[static_cast<std::size_t>(weekdayOf(b.day))])}));
        if (b.forecast)
            b.rules.push_back(say("plan", "a forecast: only when the gate below agrees"));
        const Drill* d = blueprint.drill(b.drill);
        if (d && !d->contrast.empty() && b.kind == BlockKind::session)
            b.rules.push_back(say("plan", "right and wrong felt side by side, early"));
        if (quietSince(in, b.day))
            b.rules.push_back(say("plan", "known before; attention goes to the target"));
    }
    plan.breaches = breachesOf(blueprint, in, plan.blocks);
    std::erase_if(plan.breaches, [](const Breach& b) { return b.accepted; });
}

// What can be said before anything is laid; false when nothing can be laid.
bool begin(const Blueprint& blueprint, const PlanInput& in, const Solver& solver, Plan& plan) {
    if (in.focus.empty()) {
        plan.notes.push_back(say("plan", "No focus yet: mark a rep and read the findings first."));
        return false;
    }
    if (!in.agreed)
        plan.notes.push_back(
            say("plan", "The athlete does not want to rebuild this now. Talk first: without agreement there is one "
                        "trial week, strengths, or another focus."));
    bool any = false, possible = false;
    for (const Fault* f : solver.faults())
        for (const Drill* d : ladderOf(blueprint, *f)) {
            any = true;
            if (!canCome(in, *d))
                continue;
            possible = true;
            if (std::find(plan.ladder.begin(), plan.ladder.end(), d->id) == plan.ladder.end())
                plan.ladder.push_back(d->id);
        }
    if (!any)
        plan.infeasible = say("plan", "The blueprint has no drill for this focus: add one in the workshop.");
    else if (!possible)
        plan.infeasible = say("plan", "No drill for this fits the places, the equipment and the partner that are "
                                      "there, or all are banned: change that in the brief.");
    else if (std::all_of(in.minutes.begin(), in.minutes.end(), [](int m) { return m <= 0; }))
        plan.infeasible =
            say("plan", "The brief gives no minutes on any weekday: enter the minutes the athlete will really give.");
    for (const Day c : in.competitions)
        if (c >= in.from && c - in.from < days(in.days + kQuietDays)) {
            plan.notes.push_back(
                fill(say("plan", "Competition on %1: nothing new in the two weeks before it. What is owned "
                                 "goes on, with attention on the target: trial, not repair."),
                     {dayWords(c)}));
            break;
        }
    return plan.infeasible.empty();
}

} // namespace

Plan prescribe(const Blueprint& blueprint, const PlanInput& in, const std::function<bool()>& stop) {
    const Day last = in.from + days((in.agreed ? in.days : std::min(in.days, 7)) - 1);
    return replan(blueprint, in, in.from, last, stop);
}

Plan replan(const Blueprint& blueprint, const PlanInput& in, Day first, Day last, const std::function<bool()>& stop) {
    glp_term_out(GLP_OFF);
    Plan plan;
    {
        Solver solver(blueprint, in, stop);
        // What stands and stays: pinned, done, or outside the days that are laid anew.
        std::vector<PlannedBlock> kept;
        for (const auto& b : in.standing)
            if (counts(in, b) && (isPinned(b) || b.day < first || b.day > last))
                kept.push_back(b);
        if (begin(blueprint, in, solver, plan)) {
            // Far days roll: two weeks at a time, a week further each, of which the first week stays.
            Day from = first;
            int length = kWindow;
            while (from <= last) {
                const Day to = std::min(last, from + days(length - 1));
                auto found = solver.window(from, to, kept);
                const Day keepTo = to == last ? last : (length == kWindow ? to - days(kStep) : from + days(kStep - 1));
                std::erase_if(found, [&](const PlannedBlock& b) { return b.day > keepTo; });
                kept.insert(kept.end(), found.begin(), found.end());
                from = keepTo + days(1);
                length = kRolling;
            }
            if (kept.empty())
                plan.infeasible =
                    plan.notes.empty() || in.competitions.empty()
                        ? say("plan", "No drill fits the minutes of any day: give one day more minutes.")
                        : say("plan", "Every day of these weeks lies within two weeks of a competition and nothing is "
                                      "owned yet: wait, or relax that rule knowingly.");
        }
        plan.blocks = std::move(kept);
        plan.proven = solver.proven();
    }
    if (first <= last) {
        auto beside = supportBeside(in.support, in, plan.blocks, plan.notes);
        std::erase_if(beside, [&](const PlannedBlock& b) { return b.day < first || b.day > last; });
        plan.blocks.insert(plan.blocks.end(), beside.begin(), beside.end());
    }
    putInOrder(blueprint, plan.blocks);
    explain(blueprint, in, plan);
    glp_free_env();
    return plan;
}

} // namespace riflesso
