#include "handover/words.h"

#include "casebook/next_step.h"
#include "core/statistics/numbers.h"
#include "core/words/say.h"

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <set>

namespace riflesso {
namespace {

// With a real minus sign.
std::string shown(double v, int digits) {
    if (std::abs(v) < 0.5 * std::pow(10.0, -digits))
        v = 0.0; // no "−0.0"
    return (v < 0 ? "−" : "") + figure(std::abs(v), digits);
}

int digitsFor(const MeasureDefinition& d, double u) {
    if (isTime(d))
        return 0;
    return isAngle(d) ? 1 : u > 0.0 && u < 0.005 ? 3 : 2;
}

std::string withUnit(const MeasureDefinition& d, const std::string& number) {
    const std::string unit = shownUnit(d);
    return unit.empty() ? number : unit == "°" ? number + unit : number + " " + unit;
}

std::string bulleted(const std::vector<std::string>& lines) {
    std::string out;
    for (const auto& l : lines)
        out += "  - " + l + "\n";
    return out;
}

} // namespace

double shownScale(const MeasureDefinition& d) {
    return isTime(d) ? 1000.0 : 1.0;
}
std::string shownUnit(const MeasureDefinition& d) {
    return isTime(d) ? "ms" : unitOf(d);
}

std::string numberWords(const MeasureDefinition& d, double value, double u) {
    return withUnit(d, shown(value * shownScale(d), digitsFor(d, u)));
}

std::string valueWords(const MeasureDefinition& d, double value, double u) {
    const int digits = digitsFor(d, u);
    return withUnit(d, shown(value * shownScale(d), digits) + " ± " + shown(u * shownScale(d), digits));
}

std::string valueWords(const MeasureDefinition& d, const MeasuredValue& v) {
    return valueWords(d, v.mean, v.u) + (v.drafts > 0 ? say("words", " (draft)") : "");
}

std::string marksWords(const CaseData& data, const Analysis& a) {
    std::set<Id> takes;
    for (Id rep : a.athleteReps)
        takes.insert(data.reps.at(rep).take);
    std::size_t hand = 0, carried = 0, found = 0, other = 0;
    for (Id take : takes)
        if (const auto tracks = data.marks.find(take); tracks != data.marks.end())
            for (const auto& [name, track] : tracks->second)
                for (const auto& [frame, m] : track)
                    (m.how == How::hand      ? hand
                     : m.how == How::tracked ? carried
                     : m.how == How::found   ? found
                                             : other) += m.how != How::hidden;
    std::string words;
    for (const auto& [n, what] : {std::pair{hand, say("words", "by hand")},
                                  {carried, say("words", "carried from them")},
                                  {found, say("words", "drafted by the machine")},
                                  {other, say("words", "filled in or by proxy")}})
        if (n > 0)
            words += words.empty() ? fill(say("words", "%1 marks %2"), {std::to_string(n), what})
                                   : ", " + std::to_string(n) + " " + what;
    return words;
}

std::string bandWords(const MeasureDefinition& d, const Band& band) {
    const bool lo = std::isfinite(band.lo), hi = std::isfinite(band.hi);
    const int digits = isAngle(d) ? 0 : digitsFor(d, 0.0);
    const auto n = [&](double v) { return shown(v * shownScale(d), digits); };
    if (lo && hi)
        return withUnit(d, fill(say("words", "%1 to %2"), {n(band.lo), n(band.hi)}));
    if (lo)
        return fill(say("words", "at least %1"), {withUnit(d, n(band.lo))});
    if (hi)
        return fill(say("words", "at most %1"), {withUnit(d, n(band.hi))});
    return say("words", "no limit");
}

std::string sourceWords(const Deviation& d) {
    switch (d.source) {
    case TargetSource::model:
        return say("words", "from the model");
    case TargetSource::literature:
        return say("words", "from literature");
    case TargetSource::commonPractice:
        return say("words", "common practice");
    case TargetSource::coach:
        return say("words", "set by the coach");
    }
    return {};
}

std::string directionWords(const BlueprintMeasure& m, const Deviation& d) {
    if (!d.judged)
        return d.reason;
    if (d.verdict.decision == Decision::inside)
        return say("words", "inside the band");
    const bool low = d.verdict.pLow > d.verdict.pHigh;
    const std::string& phrase = low ? m.tooLow : m.tooHigh;
    const std::string words = !phrase.empty() ? phrase : low ? say("words", "too little") : say("words", "too much");
    return d.verdict.decision == Decision::outside ? words : fill(say("words", "perhaps %1"), {words});
}

std::string deviationWords(const Blueprint& blueprint, const Deviation& d) {
    const auto& m = *blueprint.measure(d.measure);
    std::string line = m.definition.name + ": ";
    if (!d.judged)
        return line + fill(say("words", "not judged, %1"), {d.reason}) +
               (d.adviceText.empty() ? "" : " (" + d.adviceText + ")");
    line += fill(say("words", "%1, band %2 %3: "),
                 {valueWords(m.definition, d.value), bandWords(m.definition, d.band), sourceWords(d)});
    line += word(kDecisionNames[static_cast<std::size_t>(d.verdict.decision)]);
    if (d.verdict.decision != Decision::inside)
        line += ", " + directionWords(m, d);
    if (d.value.reps > 1 && d.repsOutside > 0)
        line += fill(say("words", ", %1 of %2 reps"), {std::to_string(d.repsOutside), std::to_string(d.value.reps)});
    if (!d.adviceText.empty())
        line += "; " + d.adviceText;
    return line;
}

std::string whyWords(const Blueprint& blueprint, const Finding& f) {
    std::string words = f.reason;
    if (!f.downstream.empty()) {
        words += say("words", "; it feeds ");
        for (std::size_t i = 0; i < f.downstream.size(); ++i)
            words += (i ? ", " : "") + blueprint.fault(f.downstream[i].fault)->name + " (" +
                     shown(f.downstream[i].strength, 2) + ")";
    }
    return words;
}

std::string guessWords(const Blueprint& blueprint, const GuessCheck& g) {
    const BlueprintMeasure* m = blueprint.measure(g.guess.measure);
    if (!m)
        return {};
    const auto& d = m->definition;
    std::string words = fill(say("words", "%1: felt %2"), {d.name, numberWords(d, g.guess.value)});
    if (!g.perception)
        return words + say("words", ", not measured yet");
    words += fill(say("words", ", film %1"), {valueWords(d, g.perception->measured, g.perception->u)});
    words += g.perception->differs()
                 ? fill(say("words", ", %1 apart"), {numberWords(d, std::abs(g.perception->gap()), g.perception->u)})
                 : say("words", ", seen truly");
    return words;
}

std::string howWords(const Drill& drill) {
    std::string ways;
    for (const auto& v : drill.variations)
        ways += (ways.empty() ? "" : ", ") + v;
    return ways.empty() ? drill.how
                        : drill.how + (drill.how.empty() ? "" : " ") + fill(say("words", "In these ways: %1."), {ways});
}

std::string doseWords(const Dose& dose) {
    const auto sets = static_cast<std::size_t>(dose.sets);
    return fill(sayCount("words", "%n sets of %1, %2 min", "%n set of %1, %2 min", sets),
                {std::to_string(dose.reps), shown(dose.minutes, dose.minutes == std::floor(dose.minutes) ? 0 : 1)});
}

std::string variationWords(const MeasureDefinition& d, const Variation& v) {
    // Neighbours of one measure: as many digits as the smaller one needs.
    const double digits = v.spread.marking > 0.0 ? v.spread.marking / 2.0 : 0.0;
    return fill(say("words", "Spread %1 from rep to rep, marking makes %2 of it: %3"),
                {numberWords(d, v.spread.all, digits), numberWords(d, v.spread.marking, digits),
                 v.by == Varies::athlete ? say("words", "the athlete varies")
                 : v.by == Varies::marks ? say("words", "it is the marks, not the athlete")
                                         : say("words", "athlete or marks, too few reps to tell")});
}

namespace {
std::string storyWords(const Blueprint& b, const SpeedStory& s, const std::string& span) {
    const double change = s.change.byRate + s.change.byLength;
    const double u = std::hypot(s.change.uRate, s.change.uLength);
    const auto& length = b.measure(s.length)->definition;
    MeasureDefinition speed = length;
    speed.aspect = Aspect::speed;
    if (std::abs(change) < 1.96 * u)
        return fill(say("words", "Speed did not change %1 by more than its error: %2."),
                    {span, valueWords(speed, change, u)});
    const double rate = std::abs(s.change.byRate), both = rate + std::abs(s.change.byLength);
    return fill(change < 0.0 ? say("words", "Speed fell by %1 (%2 %) %3: rate made %4, length %5 of it; ")
                             : say("words", "Speed rose by %1 (%2 %) %3: rate made %4, length %5 of it; "),
                {valueWords(speed, std::abs(change), u),
                 std::to_string(std::lround(100.0 * std::abs(change) / s.meanSpeed)), span,
                 numberWords(speed, s.change.byRate, s.change.uRate),
                 numberWords(speed, s.change.byLength, s.change.uLength)}) +
           (rate > 0.67 * both   ? say("words", "it is the rate.")
            : rate < 0.33 * both ? say("words", "it is the length.")
                                 : say("words", "it is both."));
}
} // namespace

std::vector<std::string> steadyWords(const Blueprint& b, const Analysis& a) {
    std::vector<std::string> out;
    if (a.sinceOwn)
        out.push_back(storyWords(b, *a.sinceOwn, say("words", "since the reps it is compared with")));
    if (a.overReps)
        out.push_back(storyWords(b, *a.overReps, say("words", "from the first third of the reps to the last")));
    // What varies most, in widths of its own band.
    std::vector<std::pair<double, const Variation*>> own;
    std::string marks;
    int byMarks = 0;
    for (const auto& v : a.variations) {
        const Deviation* d = a.deviation(v.measure);
        if (v.by == Varies::athlete)
            own.emplace_back(d && d->judged && d->band.scale > 0.0 ? v.spread.athlete / d->band.scale : 0.0, &v);
        if (v.by == Varies::marks && ++byMarks <= 3)
            marks += (marks.empty() ? "" : ", ") + b.measure(v.measure)->definition.name;
    }
    std::stable_sort(own.begin(), own.end(), [](const auto& x, const auto& y) { return x.first > y.first; });
    if (!own.empty()) {
        std::string most;
        for (std::size_t i = 0; i < std::min<std::size_t>(3, own.size()); ++i) {
            const auto& v = *own[i].second;
            const auto& d = b.measure(v.measure)->definition;
            most += (i > 0 ? "; " : "") + fill(say("words", "%1 by %2 (%3 of it marking)"),
                                               {d.name, numberWords(d, v.spread.all, v.spread.marking / 2.0),
                                                numberWords(d, v.spread.marking, v.spread.marking / 2.0)});
        }
        out.push_back(fill(say("words", "From rep to rep the athlete varies on %1 of %2 measures, most on: %3."),
                           {std::to_string(own.size()), std::to_string(a.variations.size()), most}));
    }
    const auto alike = static_cast<std::size_t>(byMarks);
    if (byMarks > 0)
        out.push_back(fill(sayCount("words",
                                    "%n measures differ between reps by no more than marking errs (%1): there the "
                                    "athlete is steady as far as these marks can tell.",
                                    "%n measure differs between reps by no more than marking errs (%1): there the "
                                    "athlete is steady as far as these marks can tell.",
                                    alike),
                           {marks + (byMarks > 3 ? ", …" : "")}));
    return out;
}

std::vector<std::string> contextWords(const Casebook& book) {
    const auto& b = book.blueprint();
    const auto& a = book.analysis();
    std::vector<std::string> out;
    if (a.referenceKind != book.data().brief.reference)
        out.push_back(say("words", "Compared with the model: there are no own reps of the wished kind yet."));
    switch (a.referenceKind) {
    case ReferenceKind::ownBest:
        out.push_back(say("words", "Compared with the athlete's own best reps of earlier days."));
        break;
    case ReferenceKind::ownLast:
        out.push_back(say("words", "Compared with the athlete's own reps of the day before."));
        break;
    case ReferenceKind::ownCalm:
        out.push_back(say("words", "Compared with the athlete's own reps at the least stress."));
        break;
    case ReferenceKind::model:
        break;
    }
    if (!a.situation.empty()) {
        std::string name = a.situation;
        for (const auto& s : b.situations)
            if (s.id == a.situation)
                name = s.name;
        out.push_back(fill(say("words", "Only reps of the situation “%1” are compared."), {name}));
    }
    const SchoolNearness* nearest = nullptr;
    for (const auto& s : a.schools)
        if (s.measures > 0 && (!nearest || s.nearer > nearest->nearer))
            nearest = &s;
    const auto asNear = nearest ? std::count_if(a.schools.begin(), a.schools.end(),
                                                [&](const auto& s) { return s.nearer == nearest->nearer; })
                                : 0;
    const auto telling = static_cast<std::size_t>(nearest ? nearest->measures : 0);
    if (nearest && asNear == 1 && nearest->nearer > 0)
        for (const auto& s : b.schools)
            if (s.id == nearest->school)
                out.push_back(fill(
                    sayCount("words", "Nearer to the school “%1” in %2 of %n measures that tell the schools apart.",
                             "Nearer to the school “%1” in %2 of %n measure that tells the schools apart.", telling),
                    {s.name, std::to_string(nearest->nearer)}));
    if (const auto p = profileOf(b, a.judgement))
        for (const auto& profile : b.profiles)
            if (profile.id == p->profile)
                out.push_back(fill(say("words", "Looks like “%1” (%2 of %3 faults): %4 Repair in this order."),
                                   {profile.name, std::to_string(p->active), std::to_string(p->of), profile.words}));
    return out;
}

std::string findingsWords(const Casebook& book) {
    const auto& b = book.blueprint();
    const auto& a = book.analysis();
    const auto& j = a.judgement;
    std::string out = book.data().brief.athlete.name + ", " + b.name;
    if (a.judgedDay)
        out += fill(sayCount("words", ", film of %1, %n reps", ", film of %1, %n rep", a.athleteReps.size()),
                    {dateWords(*a.judgedDay)});
    for (const auto& line : contextWords(book))
        out += "\n" + line;
    out += "\n\n" + say("words", "Strengths") + "\n";
    std::vector<std::string> lines;
    for (const auto& s : j.strengths)
        lines.push_back(deviationWords(b, *a.deviation(s.measure)));
    out += lines.empty() ? "  " + say("words", "none measured yet") + "\n" : bulleted(lines);
    out += "\n" + say("words", "Findings, first things first") + "\n";
    if (j.findings.empty())
        out += "  " + say("words", "none") + "\n";
    for (std::size_t i = 0; i < j.findings.size(); ++i) {
        const auto& f = j.findings[i];
        const bool focus = std::find(j.focus.begin(), j.focus.end(), f.fault) != j.focus.end();
        const bool follows =
            std::find(j.expectedToFollow.begin(), j.expectedToFollow.end(), f.fault) != j.expectedToFollow.end();
        out += "  " + std::to_string(i + 1) + ". " + b.fault(f.fault)->name + "  " +
               (focus     ? say("words", "[work on this]")
                : follows ? say("words", "[expected to follow]")
                          : say("words", "[later]")) +
               "\n";
        out += "     " + fill(say("words", "why: %1"), {whyWords(b, f)}) + "\n";
        for (const auto& m : f.evidence)
            out += "     " + fill(say("words", "seen in: %1"), {deviationWords(b, *a.deviation(m))}) + "\n";
    }
    if (!j.possible.empty()) {
        out += "\n" + say("words", "Possible, not sure enough to work on") + "\n";
        for (const auto& f : j.possible)
            out += "  - " + b.fault(f.fault)->name + " (P " + shown(f.parts.probability, 2) + ")\n";
    }
    out += "\n" + say("words", "Cannot be decided from this film") + "\n";
    lines.clear();
    for (const auto& d : a.deviations)
        if (!d.judged || d.verdict.decision == Decision::undecided)
            lines.push_back(deviationWords(b, d));
    out += lines.empty() ? "  " + say("words", "nothing") + "\n" : bulleted(lines);
    if (const auto steady = steadyWords(b, a); !steady.empty())
        out += "\n" + say("words", "Steady or not") + "\n" + bulleted(steady);
    if (!a.guesses.empty()) {
        out += "\n" + say("words", "Felt and filmed") + "\n";
        lines.clear();
        for (const auto& g : a.guesses)
            lines.push_back(guessWords(b, g));
        out += bulleted(lines);
    }
    return out + "\n" + fill(say("words", "Next: %1"), {nextWords(a.next)}) + "\n";
}

std::string planWords(const Casebook& book) {
    return planWords(book, book.analysis().plan);
}

std::string planWords(const Casebook& book, const Plan& plan) {
    const auto nameOfDrill = [](const Blueprint& blueprint, const std::string& id) {
        const Drill* d = blueprint.drill(id);
        return d ? d->name : id;
    };
    const auto& b = book.blueprint();
    const auto& a = book.analysis();
    std::string out = say("words", "Focus") + "\n";
    if (a.judgement.focus.empty())
        out += "  " + say("words", "none yet") + "\n";
    for (const auto& id : a.judgement.focus)
        out += "  " + b.fault(id)->name + ": \"" + b.fault(id)->cue + "\"\n";
    out += "\n" + say("words", "Drills in order") + "\n";
    for (const auto& id : plan.ladder) {
        const Drill& d = *b.drill(id);
        out += "  " + word(kStageNames[static_cast<std::size_t>(d.stage)]) + ": " + d.name + ", " + doseWords(d.dose) +
               ", \"" + d.cue + "\"\n";
        if (!d.caution.empty())
            out += "      " + fill(say("words", "caution: %1"), {d.caution}) + "\n";
    }
    out += "\n" + say("words", "The plan") + "\n";
    for (const auto& block : plan.blocks)
        out += "  " + dayWords(block.day) + "  " + fill(say("words", "%1 min"), {shown(block.minutes, 0)}) + "  " +
               nameOfDrill(b, block.drill) + (block.home() ? " " + say("words", "(at home)") : "") + "\n";
    if (!plan.infeasible.empty())
        out += "  " + plan.infeasible + "\n";
    for (const auto& n : plan.notes)
        out += "  " + n + "\n";
    for (const auto& g : a.gates)
        out += "\n" + fill(say("words", "Gate of %1: %2"), {b.drill(g.drill)->name, g.gate.words});
    return out + "\n";
}

} // namespace riflesso
