#include "casebook/planner.h"

#include "core/technique/texts.h"
#include "core/words/say.h"

#include <algorithm>
#include <cctype>
#include <set>

namespace riflesso {
namespace {

// Without what is made anew at each look.
PlannedBlock kept(PlannedBlock b) {
    b.rules.clear();
    b.forecast = false;
    return b;
}

} // namespace

std::vector<PlannedBlock> standingPlan(const CaseData& data) {
    std::vector<PlannedBlock> out;
    for (const auto& [id, b] : data.planned) {
        out.push_back(b);
        out.back().id = id;
    }
    return out;
}

PlanInput planInputOf(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis, Day today,
                      int daysAhead, const std::map<Day, double>& taken) {
    PlanInput in;
    in.from = today;
    in.days = daysAhead;
    in.minutes = data.brief.minutes;
    in.alone = data.brief.alone;
    in.places = data.brief.places;
    for (std::size_t place = 0; place < in.lacks.size(); ++place)
        for (const auto& e : equipmentOf(blueprint))
            if (isLacking(blueprint, data.brief.lacks[place], e))
                in.lacks[place].insert(e);
    in.taken = taken;
    for (const auto& busy : data.brief.busy)
        in.taken[busy.day] += busy.minutes;
    in.competitions = data.brief.competitions;
    in.agreed = rebuildAgreed(data);
    in.focus = analysis.judgement.focus;
    in.regime = data.brief.regime;
    in.standing = standingPlan(data);
    in.banned.insert(data.brief.banned.begin(), data.brief.banned.end());
    for (const auto& note : data.brief.athlete.body)
        in.support.push_back({note.part, note.pain});
    for (const auto& fault : in.focus)
        in.reached[fault] = stageReached(blueprint, fault, analysis.gates);
    for (const auto& [id, block] : data.blocks)
        if ((!block.reps.empty() || block.own) && block.film.empty())
            in.known.insert(block.drill);
    for (const auto& b : in.standing)
        if (b.state == BlockState::done)
            in.known.insert(b.drill);
    return in;
}

std::vector<std::string> equipmentOf(const Blueprint& blueprint) {
    std::vector<std::string> out;
    for (const auto& d : blueprint.drills)
        for (const auto& e : d.equipment)
            if (std::find(out.begin(), out.end(), e) == out.end())
                out.push_back(e);
    return out;
}

bool isLacking(const Blueprint& blueprint, const std::vector<std::string>& lacks, const std::string& equipment) {
    return std::any_of(lacks.begin(), lacks.end(),
                       [&](const std::string& e) { return saysTheSame(blueprint, e, equipment); });
}

void takeOverCalendar(Brief& brief, const std::vector<CalendarEvent>& events, const std::string& competition) {
    const auto lower = [](std::string text) {
        std::transform(text.begin(), text.end(), text.begin(),
                       [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
        return text;
    };
    if (!events.empty())
        std::erase_if(brief.busy, [&](const BusyTime& b) { return b.day >= events.front().day; });
    for (const auto& e : events) {
        if (!competition.empty() && lower(e.words).find(lower(competition)) != std::string::npos) {
            if (std::find(brief.competitions.begin(), brief.competitions.end(), e.day) == brief.competitions.end())
                brief.competitions.push_back(e.day);
        } else {
            brief.busy.push_back({e.day, e.minutes, e.words});
        }
    }
    std::sort(brief.competitions.begin(), brief.competitions.end());
}

std::string whyWords(const Blueprint& blueprint, const PlannedBlock& block) {
    // What the program itself noted is kept in English, and said in the reader's language.
    const auto after = [&](std::string_view beginning) {
        return block.why.starts_with(beginning) ? std::optional(block.why.substr(beginning.size())) : std::nullopt;
    };
    std::string why = block.why;
    if (const auto from = after("moved from ")) {
        const auto day = dayFromIso(*from);
        why = fill(say("plan", "moved from %1"), {day ? dayWords(*day) : *from});
    } else if (const auto drill = after("instead of ")) {
        const Drill* d = blueprint.drill(*drill);
        why = fill(say("plan", "instead of %1"), {d ? d->name : *drill});
    } else if (block.why == "laid by hand") {
        why = say("plan", "laid by hand");
    }
    return block.by.empty() ? why
           : why.empty()    ? fill(say("plan", "by %1"), {block.by})
                            : fill(say("plan", "%1 (%2)"), {why, block.by});
}

Adherence adherenceOf(const CaseData& data, Day today, int days) {
    Adherence out;
    for (const auto& [id, b] : data.planned) {
        if (b.day > today || b.day <= today - std::chrono::days(days) || b.state == BlockState::dropped)
            continue;
        if (b.state == BlockState::done)
            ++out.done;
        else if (b.day < today)
            ++out.missed;
    }
    return out;
}

std::vector<Edit> planEdits(const CaseData& data, const std::vector<PlannedBlock>& blocks, Day from, Day to,
                            const std::function<Id()>& freshId) {
    std::vector<Edit> edits;
    std::set<Id> there;
    for (auto b : blocks) {
        b = kept(std::move(b));
        const auto it = data.planned.find(b.id);
        if (it == data.planned.end()) {
            b.id = freshId();
            edits.push_back(PlanEdit{b.id, std::nullopt, b});
            continue;
        }
        there.insert(b.id);
        if (!(it->second == b))
            edits.push_back(PlanEdit{b.id, it->second, b});
    }
    for (const auto& [id, b] : data.planned)
        if (b.day >= from && b.day <= to && !there.contains(id) && b.state != BlockState::dropped &&
            b.state != BlockState::done && b.state != BlockState::missed)
            edits.push_back(PlanEdit{id, b, std::nullopt});
    return edits;
}

} // namespace riflesso
