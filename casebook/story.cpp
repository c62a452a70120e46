#include "casebook/story.h"

#include "casebook/body.h"
#include "casebook/progress_questions.h"
#include "core/words/say.h"

#include <algorithm>
#include <map>
#include <set>

namespace riflesso {
namespace {

constexpr std::chrono::days kPause{14};

std::string number(std::size_t n) {
    return std::to_string(n);
}

} // namespace

Story storyOf(const CaseData& data, const Blueprint& blueprint, Day today) {
    using Kind = StoryMark::Kind;
    Story out;
    std::set<Day> active; // filmed or practised
    std::map<Day, std::pair<std::size_t, Id>> films;
    for (const auto& [id, take] : data.takes)
        if (take.performer == Performer::athlete) {
            ++films[take.day].first;
            films[take.day].second = id;
        }
    for (const auto& [day, film] : films) {
        out.marks.push_back({Kind::film, day,
                             fill(sayCount("story", "%n films, %1", "%n film, %1", film.first), {dayWords(day)}),
                             film.second});
        active.insert(day);
    }
    struct Counted {
        std::size_t good = 0, all = 0;
        double alone = 0.0; // minutes
    };
    std::map<Day, Counted> practised;
    std::map<std::pair<std::string, std::string>, Day> cues; // by drill and cue: the first day
    for (const auto& [id, b] : data.blocks) {
        if (!b.film.empty())
            continue; // verdicts on a film
        Counted& day = practised[b.day];
        for (const auto& r : b.reps) {
            day.good += r.good();
            ++day.all;
        }
        day.alone += b.own ? b.own->minutes : 0.0;
        if (!b.cue.empty()) {
            const auto first = cues.emplace(std::pair(b.drill, b.cue), b.day).first;
            first->second = std::min(first->second, b.day);
        }
    }
    for (const auto& [day, n] : practised) {
        out.marks.push_back({Kind::practice, day,
                             n.all > 0 ? fill(say("story", "practice, %1: %2 of %3 good"),
                                              {dayWords(day), number(n.good), number(n.all)})
                                       : fill(say("story", "practice alone, %1: %2 minutes"),
                                              {dayWords(day), number(static_cast<std::size_t>(n.alone))}),
                             0});
        active.insert(day);
    }
    std::map<Day, std::size_t> missed;
    for (const auto& [id, b] : data.planned)
        if (b.day < today && b.state != BlockState::done && b.state != BlockState::dropped)
            ++missed[b.day];
    for (const auto& [day, n] : missed)
        out.marks.push_back(
            {Kind::missed, day,
             fill(sayCount("story", "%n planned blocks missed, %1", "%n planned block missed, %1", n), {dayWords(day)}),
             0});
    for (const auto& [id, d] : data.decisions) {
        if (d.kind != DecisionKind::takenUp)
            continue;
        const Fault* fault = blueprint.fault(d.fault);
        const std::string name = fault ? fault->name : d.words;
        out.marks.push_back({Kind::opened, d.day, fill(say("story", "taken up, %1: %2"), {dayWords(d.day), name}), id});
        if (d.closed)
            out.marks.push_back(
                {Kind::closed, *d.closed, fill(say("story", "closed, %1: %2"), {dayWords(*d.closed), name}), id});
    }
    for (const auto& [which, day] : cues)
        out.marks.push_back(
            {Kind::cue, day, fill(say("story", "a cue, %1: “%2”"), {dayWords(day), cueName(which.second)}), 0});
    for (const Day day : data.brief.competitions)
        out.marks.push_back({Kind::competition, day, fill(say("story", "competition, %1"), {dayWords(day)}), 0});
    for (const auto& note : data.brief.athlete.body)
        if (note.since && *note.since <= today)
            out.marks.push_back({Kind::injury, *note.since, bodyWords(note), 0});
    std::stable_sort(out.marks.begin(), out.marks.end(), [](const StoryMark& a, const StoryMark& b) {
        return std::pair(a.day, a.kind) < std::pair(b.day, b.kind);
    });
    std::optional<Day> before;
    active.insert(today); // a pause may last until now
    for (const Day day : active) {
        if (before && day - *before >= kPause && day <= today)
            out.pauses.push_back({*before, day,
                                  fill(say("story", "%1 days without film or practice, from %2"),
                                       {std::to_string((day - *before).count()), dayWords(*before)})});
        before = day;
    }
    return out;
}

} // namespace riflesso
