#include "casebook/next_step.h"

#include "casebook/decisions.h"
#include "core/words/say.h"

#include <algorithm>
#include <set>

namespace riflesso {
namespace {

std::string quoted(const std::string& s) {
    return "“" + s + "”";
}

bool hasCarried(const CaseData& data, const Rep& rep) {
    const auto marks = data.marks.find(rep.take);
    if (marks == data.marks.end())
        return false;
    for (const auto& [id, placed] : rep.positions)
        for (const auto& [landmark, track] : marks->second)
            if (const auto m = track.find(placed.frame);
                m != track.end() && (m->second.how == How::tracked || m->second.how == How::found))
                return true;
    return false;
}

// The first fault that was taken up and is not held yet; null when there is none.
const Fault* workedOn(const CaseData& data, const Blueprint& blueprint, const Analysis& a) {
    for (const auto& d : openDecisions(data))
        if (const Fault* fault = blueprint.fault(d.fault);
            fault && d.kind == DecisionKind::takenUp && stateOf(blueprint, a, d.fault) != FaultState::held)
            return fault;
    return nullptr;
}

// What the plan that stands has on its next day, from today on. Empty when it has nothing.
std::optional<NextStep> nextPractice(const CaseData& data, const Blueprint& blueprint, Day today) {
    const PlannedBlock* first = nullptr;
    std::size_t more = 0;
    for (const auto& [id, b] : data.planned) {
        if (b.day < today || (b.state != BlockState::planned && b.state != BlockState::moved) ||
            !blueprint.drill(b.drill) || (first && b.day > first->day))
            continue;
        more = first && b.day == first->day ? more + 1 : 0;
        if (!first || b.day < first->day)
            first = &b;
    }
    if (!first)
        return std::nullopt;
    const std::string drill = quoted(blueprint.drill(first->drill)->name);
    NextStep out{more ? fill(sayCount("next", "Practise %1 and %n more", "Practise %1 and %n more", more), {drill})
                      : fill(say("next", "Practise %1"), {drill}),
                 Workspace::practice,
                 0,
                 0,
                 {}};
    if (first->day > today)
        out.due = first->day;
    return out;
}

// What a coach decides of what was measured, and what comes of it: a plan, the athlete's folder, practice, a new film.
NextStep onceItIsMeasured(const CaseData& data, const Blueprint& blueprint, const Analysis& a, Day today) {
    if (const auto again = filmAgain(data, blueprint, a); again && again->day <= today)
        return {again->words, Workspace::footage, 0, 0, {}};
    const auto practice = nextPractice(data, blueprint, today);
    if (practice && !practice->due)
        return *practice;
    for (const auto& g : a.gates)
        if (g.gate.answer == GateAnswer::countMore)
            return {fill(say("next", "Count %1 more reps of %2"),
                         {std::to_string(g.gate.more), quoted(blueprint.drill(g.drill)->name)}),
                    Workspace::practice,
                    0,
                    0,
                    {}};
    const Fault* worked = workedOn(data, blueprint, a);
    for (const auto& f : a.judgement.findings)
        if (!worked && !decisionOn(data, f.fault))
            return {fill(say("next", "Read why %1 comes first"), {quoted(blueprint.fault(f.fault)->name)}),
                    Workspace::findings,
                    0,
                    0,
                    {}};
    if (worked && !practice) {
        const auto& week = data.brief.minutes;
        if (std::all_of(week.begin(), week.end(), [](int m) { return m <= 0; }))
            return {say("next", "Say on which days there is time for practice"), Workspace::brief, 0, 0, {}};
        return {fill(a.plan.blocks.empty() ? say("next", "See why no practice fits for %1")
                                           : say("next", "Keep a plan for %1"),
                     {quoted(worked->name)}),
                Workspace::programme,
                0,
                0,
                {}};
    }
    // What was decided today goes home with the athlete; from tomorrow on it is practised.
    const NextStep home{say("next", "Hand over the report"), Workspace::handover, 0, 0, {}};
    const auto open = openDecisions(data);
    if (practice)
        return std::any_of(open.begin(), open.end(), [&](const auto& d) { return d.day == today; }) ? home : *practice;
    if (!a.judgement.undecided.empty())
        return {fill(say("next", "See what would decide %1"),
                     {quoted(blueprint.measure(a.judgement.undecided.front())->definition.name)}),
                Workspace::findings,
                0,
                0,
                {}};
    return home;
}

} // namespace

std::string count(std::size_t n, const std::string& one, const std::string& many) {
    return std::to_string(n) + " " + (n == 1 ? one : many);
}

std::string nextWords(const NextStep& step) {
    return step.due ? fill(say("next", "%1 on %2"), {step.words, dayWords(*step.due)}) : step.words;
}

std::optional<FilmAgain> filmAgain(const CaseData& data, const Blueprint& blueprint, const Analysis& a) {
    constexpr std::chrono::days kPractised{14};
    constexpr std::size_t kFewestDays = 2;
    if (!a.judgedDay)
        return std::nullopt;
    std::optional<FilmAgain> out;
    for (const auto& d : openDecisions(data)) {
        const Fault* fault = blueprint.fault(d.fault);
        if (fault && !out && d.kind == DecisionKind::takenUp && stateOf(blueprint, a, d.fault) == FaultState::held)
            out = FilmAgain{*a.judgedDay + std::chrono::days(kLookAgainDays),
                            fill(say("next", "Film again: does %1 still hold?"), {quoted(fault->name)})};
    }
    std::set<Day> practised;
    for (const auto& [id, b] : data.blocks)
        if (b.film.empty() && b.day > *a.judgedDay)
            practised.insert(b.day);
    if (workedOn(data, blueprint, a) && practised.size() >= kFewestDays)
        if (const Day day = *a.judgedDay + kPractised; !out || day < out->day)
            out = FilmAgain{day, sayCount("next", "Film again: %n days of practice since the last film",
                                          "Film again: %n day of practice since the last film", practised.size())};
    return out;
}

NextStep nextStep(const CaseData& data, const Blueprint& blueprint, const Analysis& a, Day today) {
    std::optional<Day> newest;
    bool model = false;
    for (const auto& [id, take] : data.takes) {
        model = model || take.performer == Performer::model;
        if (take.performer == Performer::athlete && (!newest || take.day > *newest))
            newest = take.day;
    }
    if (data.brief.athlete.name.empty())
        return {say("next", "Write down who the athlete is"), Workspace::brief, 0, 0, {}};
    if (!newest)
        return {say("next", "Bring in a film of the athlete"), Workspace::footage, 0, 0, {}};
    for (const auto& [id, take] : data.takes) {
        if (take.performer == Performer::athlete && take.day != *newest)
            continue;
        if (!take.captureRate)
            return {
                fill(say("next", "Set the capture rate of %1"), {quoted(take.title)}), Workspace::footage, id, 0, {}};
    }
    for (const auto& [id, take] : data.takes) {
        if (take.performer == Performer::athlete && take.day != *newest)
            continue;
        const auto wanted = positionsFor(blueprint, take.view);
        const auto reps = repsOf(data, id);
        if (reps.empty())
            return {fill(say("next", "Place the key positions of %1"), {quoted(take.title)}),
                    Workspace::marking,
                    id,
                    0,
                    {}};
        for (const Rep* rep : reps) {
            for (const auto& position : wanted)
                if (!rep->positions.contains(position))
                    return {fill(say("next", "Place %1 in rep %2 of %3"),
                                 {quoted(blueprint.position(position)->name), std::to_string(rep->number),
                                  quoted(take.title)}),
                            Workspace::marking,
                            id,
                            rep->id,
                            {}};
            const auto hollow = std::count_if(rep->positions.begin(), rep->positions.end(),
                                              [](const auto& p) { return p.second.proposed; });
            const auto open = static_cast<std::size_t>(hollow);
            if (hollow > 0)
                return {fill(sayCount("next", "Accept or correct %n key positions of rep %1, %2",
                                      "Accept or correct %n key position of rep %1, %2", open),
                             {std::to_string(rep->number), quoted(take.title)}),
                        Workspace::marking, id, rep->id,
                        std::find_if(rep->positions.begin(), rep->positions.end(), [](const auto& p) {
                            return p.second.proposed;
                        })->second.frame};
            for (const auto& position : wanted)
                if (const auto missing = missingAt(data, blueprint, *rep, position); !missing.empty())
                    return {fill(sayCount("next", "Mark %n points at %1 of rep %2, %3",
                                          "Mark %n point at %1 of rep %2, %3", missing.size()),
                                 {quoted(blueprint.position(position)->name), std::to_string(rep->number),
                                  quoted(take.title)}),
                            Workspace::marking, id, rep->id, rep->positions.at(position).frame};
            if (const auto ask = a.attention.find(rep->id);
                ask != a.attention.end() && !ask->second.asks.empty() && hasCarried(data, *rep))
                return {fill(sayCount("next", "Check %n frames of rep %1 until every measure can be decided",
                                      "Check %n frame of rep %1 until every measure can be decided",
                                      ask->second.asks.size()),
                             {std::to_string(rep->number)}),
                        Workspace::marking, id, rep->id, ask->second.asks.front().frame};
        }
    }
    if (!model)
        return {say("next", "Bring in a model performance to compare with"), Workspace::footage, 0, 0, {}};
    return onceItIsMeasured(data, blueprint, a, today);
}

void sayLacking(const CaseData& data, Analysis& a) {
    auto& lack = a.lacking;
    const auto& b = data.brief;
    const int week =
        b.minutes[0] + b.minutes[1] + b.minutes[2] + b.minutes[3] + b.minutes[4] + b.minutes[5] + b.minutes[6];
    lack[0] = b.athlete.name.empty() ? say("lack", "athlete")
              : week == 0            ? say("lack", "minutes")
              : b.guesses.empty()    ? say("lack", "guesses")
                                     : "";
    std::size_t rates = 0, unmarked = 0;
    for (const auto& [id, take] : data.takes) {
        rates += !take.captureRate;
        unmarked += repsOf(data, id).empty();
    }
    lack[1] = data.takes.empty() ? say("lack", "a film")
              : rates            ? sayCount("lack", "%n capture rates", "%n capture rate", rates)
                                 : "";
    lack[2] = data.takes.empty() ? say("lack", "a film")
              : unmarked         ? sayCount("lack", "%n takes unmarked", "%n take unmarked", unmarked)
                                 : "";
    lack[3] = a.reference.empty() ? say("lack", "a model") : a.athleteReps.empty() ? say("lack", "a marked rep") : "";
    const bool judged =
        std::any_of(a.deviations.begin(), a.deviations.end(), [](const Deviation& d) { return d.judged; });
    const bool decided = std::any_of(data.decisions.begin(), data.decisions.end(),
                                     [](const auto& one) { return !one.second.closed.has_value(); });
    const std::size_t undecided = a.judgement.undecided.size();
    lack[4] = !judged                                     ? say("lack", "a measured rep")
              : !a.judgement.findings.empty() && !decided ? say("lack", "a decision")
              : undecided                                 ? sayCount("lack", "%n undecided", "%n undecided", undecided)
                                                          : "";
    const bool kept = std::any_of(data.planned.begin(), data.planned.end(),
                                  [](const auto& one) { return one.second.state != BlockState::dropped; });
    lack[5] = a.plan.blocks.empty() ? say("lack", "a focus") : kept ? "" : say("lack", "a kept plan");
    const bool practised =
        std::any_of(data.blocks.begin(), data.blocks.end(), [](const auto& one) { return one.second.film.empty(); });
    lack[6] = practised ? "" : say("lack", "a block");
    lack[7] = a.trends.empty() || a.trends.front().points.size() < 2 ? say("lack", "a second date") : "";
    lack[8] = judged ? "" : say("lack", "findings");
}

} // namespace riflesso
