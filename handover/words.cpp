#include "handover/words.h"

#include "core/statistics/numbers.h"

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
    return (v < 0 ? "−" : "") + fixed(std::abs(v), digits);
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
    return valueWords(d, v.mean, v.u) + (v.drafts > 0 ? " (draft)" : "");
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
    for (const auto& [n, what] : {std::pair{hand, "by hand"},
                                  {carried, "carried from them"},
                                  {found, "drafted by the machine"},
                                  {other, "filled in or by proxy"}})
        if (n > 0)
            words += (words.empty() ? "" : ", ") + std::to_string(n) + (words.empty() ? " marks " : " ") + what;
    return words;
}

std::string bandWords(const MeasureDefinition& d, const Band& band) {
    const bool lo = std::isfinite(band.lo), hi = std::isfinite(band.hi);
    const int digits = isAngle(d) ? 0 : digitsFor(d, 0.0);
    const auto n = [&](double v) { return shown(v * shownScale(d), digits); };
    if (lo && hi)
        return withUnit(d, n(band.lo) + " to " + n(band.hi));
    if (lo)
        return "at least " + withUnit(d, n(band.lo));
    if (hi)
        return "at most " + withUnit(d, n(band.hi));
    return "no limit";
}

std::string sourceWords(const Deviation& d) {
    switch (d.source) {
    case TargetSource::model:
        return "from the model";
    case TargetSource::literature:
        return "from literature";
    case TargetSource::commonPractice:
        return "common practice";
    case TargetSource::coach:
        return "set by the coach";
    }
    return {};
}

std::string directionWords(const BlueprintMeasure& m, const Deviation& d) {
    if (!d.judged)
        return d.reason;
    if (d.verdict.decision == Decision::inside)
        return "inside the band";
    const bool low = d.verdict.pLow > d.verdict.pHigh;
    const std::string& phrase = low ? m.tooLow : m.tooHigh;
    const std::string words = !phrase.empty() ? phrase : low ? "too little" : "too much";
    return d.verdict.decision == Decision::outside ? words : "perhaps " + words;
}

std::string deviationWords(const Blueprint& blueprint, const Deviation& d) {
    const auto& m = *blueprint.measure(d.measure);
    std::string line = m.definition.name + ": ";
    if (!d.judged)
        return line + "not judged, " + d.reason + (d.adviceText.empty() ? "" : " (" + d.adviceText + ")");
    line +=
        valueWords(m.definition, d.value) + ", band " + bandWords(m.definition, d.band) + " " + sourceWords(d) + ": ";
    line += std::string(kDecisionNames[static_cast<std::size_t>(d.verdict.decision)]);
    if (d.verdict.decision != Decision::inside)
        line += ", " + directionWords(m, d);
    if (d.value.reps > 1 && d.repsOutside > 0)
        line += ", " + std::to_string(d.repsOutside) + " of " + std::to_string(d.value.reps) + " reps";
    if (!d.adviceText.empty())
        line += "; " + d.adviceText;
    return line;
}

std::string whyWords(const Blueprint& blueprint, const Finding& f) {
    std::string words = f.reason;
    if (!f.downstream.empty()) {
        words += "; it feeds ";
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
    std::string words = d.name + ": felt " + numberWords(d, g.guess.value);
    if (!g.perception)
        return words + ", not measured yet";
    words += ", film " + valueWords(d, g.perception->measured, g.perception->u);
    words += g.perception->differs() ? ", " + numberWords(d, std::abs(g.perception->gap()), g.perception->u) + " apart"
                                     : ", seen truly";
    return words;
}

std::string doseWords(const Dose& dose) {
    return std::to_string(dose.sets) + (dose.sets == 1 ? " set of " : " sets of ") + std::to_string(dose.reps) + ", " +
           shown(dose.minutes, dose.minutes == std::floor(dose.minutes) ? 0 : 1) + " min";
}

std::string variationWords(const MeasureDefinition& d, const Variation& v) {
    // Neighbours of one measure: as many digits as the smaller one needs.
    const double digits = v.spread.marking > 0.0 ? v.spread.marking / 2.0 : 0.0;
    return "Spread " + numberWords(d, v.spread.all, digits) + " from rep to rep, marking makes " +
           numberWords(d, v.spread.marking, digits) + " of it: " +
           (v.by == Varies::athlete ? "the athlete varies"
            : v.by == Varies::marks ? "it is the marks, not the athlete"
                                    : "athlete or marks, too few reps to tell");
}

namespace {
std::string storyWords(const Blueprint& b, const SpeedStory& s, const std::string& span) {
    const double change = s.change.byRate + s.change.byLength;
    const double u = std::hypot(s.change.uRate, s.change.uLength);
    const auto& length = b.measure(s.length)->definition;
    MeasureDefinition speed = length;
    speed.aspect = Aspect::speed;
    if (std::abs(change) < 1.96 * u)
        return "Speed did not change " + span + " by more than its error: " + valueWords(speed, change, u) + ".";
    std::string out = std::string(change < 0.0 ? "Speed fell by " : "Speed rose by ") +
                      valueWords(speed, std::abs(change), u) + " (" +
                      std::to_string(std::lround(100.0 * std::abs(change) / s.meanSpeed)) + " %) " + span + ": ";
    const double rate = std::abs(s.change.byRate), both = rate + std::abs(s.change.byLength);
    out += "rate made " + numberWords(speed, s.change.byRate, s.change.uRate) + ", length " +
           numberWords(speed, s.change.byLength, s.change.uLength) + " of it";
    return out + (rate > 0.67 * both   ? "; it is the rate."
                  : rate < 0.33 * both ? "; it is the length."
                                       : "; it is both.");
}
} // namespace

std::vector<std::string> steadyWords(const Blueprint& b, const Analysis& a) {
    std::vector<std::string> out;
    if (a.sinceOwn)
        out.push_back(storyWords(b, *a.sinceOwn, "since the reps it is compared with"));
    if (a.overReps)
        out.push_back(storyWords(b, *a.overReps, "from the first third of the reps to the last"));
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
            most += (i > 0 ? "; " : "") + d.name + " by " + numberWords(d, v.spread.all, v.spread.marking / 2.0) +
                    " (" + numberWords(d, v.spread.marking, v.spread.marking / 2.0) + " of it marking)";
        }
        out.push_back("From rep to rep the athlete varies on " + std::to_string(own.size()) + " of " +
                      std::to_string(a.variations.size()) + " measures, most on: " + most + ".");
    }
    if (byMarks > 0)
        out.push_back(std::to_string(byMarks) + (byMarks == 1 ? " measure differs" : " measures differ") +
                      " between reps by no more than marking errs (" + marks + (byMarks > 3 ? ", …" : "") +
                      "): there the athlete is steady as far as these marks can tell.");
    return out;
}

std::vector<std::string> contextWords(const Casebook& book) {
    const auto& b = book.blueprint();
    const auto& a = book.analysis();
    std::vector<std::string> out;
    if (a.referenceKind != book.data().brief.reference)
        out.push_back("Compared with the model: there are no own reps of the wished kind yet.");
    switch (a.referenceKind) {
    case ReferenceKind::ownBest:
        out.push_back("Compared with the athlete's own best reps of earlier days.");
        break;
    case ReferenceKind::ownLast:
        out.push_back("Compared with the athlete's own reps of the day before.");
        break;
    case ReferenceKind::ownCalm:
        out.push_back("Compared with the athlete's own reps at the least stress.");
        break;
    case ReferenceKind::model:
        break;
    }
    if (!a.situation.empty()) {
        std::string name = a.situation;
        for (const auto& s : b.situations)
            if (s.id == a.situation)
                name = s.name;
        out.push_back("Only reps of the situation \"" + name + "\" are compared.");
    }
    const SchoolNearness* nearest = nullptr;
    for (const auto& s : a.schools)
        if (s.measures > 0 && (!nearest || s.nearer > nearest->nearer))
            nearest = &s;
    const auto asNear = nearest ? std::count_if(a.schools.begin(), a.schools.end(),
                                                [&](const auto& s) { return s.nearer == nearest->nearer; })
                                : 0;
    if (nearest && asNear == 1 && nearest->nearer > 0)
        for (const auto& s : b.schools)
            if (s.id == nearest->school)
                out.push_back("Nearer to the school \"" + s.name + "\" in " + std::to_string(nearest->nearer) + " of " +
                              std::to_string(nearest->measures) +
                              (nearest->measures == 1 ? " measure that tells" : " measures that tell") +
                              " the schools apart.");
    if (const auto p = profileOf(b, a.judgement))
        for (const auto& profile : b.profiles)
            if (profile.id == p->profile)
                out.push_back("Looks like \"" + profile.name + "\" (" + std::to_string(p->active) + " of " +
                              std::to_string(p->of) + " faults): " + profile.words + " Repair in this order.");
    return out;
}

std::string findingsWords(const Casebook& book) {
    const auto& b = book.blueprint();
    const auto& a = book.analysis();
    const auto& j = a.judgement;
    std::string out = book.data().brief.athlete.name + ", " + b.name;
    if (a.judgedDay)
        out += ", film of " + isoDate(*a.judgedDay) + ", " + std::to_string(a.athleteReps.size()) + " reps";
    for (const auto& line : contextWords(book))
        out += "\n" + line;
    out += "\n\nStrengths\n";
    std::vector<std::string> lines;
    for (const auto& s : j.strengths)
        lines.push_back(deviationWords(b, *a.deviation(s.measure)));
    out += lines.empty() ? "  none measured yet\n" : bulleted(lines);
    out += "\nFindings, first things first\n";
    if (j.findings.empty())
        out += "  none\n";
    for (std::size_t i = 0; i < j.findings.size(); ++i) {
        const auto& f = j.findings[i];
        const bool focus = std::find(j.focus.begin(), j.focus.end(), f.fault) != j.focus.end();
        const bool follows =
            std::find(j.expectedToFollow.begin(), j.expectedToFollow.end(), f.fault) != j.expectedToFollow.end();
        out += "  " + std::to_string(i + 1) + ". " + b.fault(f.fault)->name +
               (focus     ? "  [work on this]"
                : follows ? "  [expected to follow]"
                          : "  [later]") +
               "\n";
        out += "     why: " + whyWords(b, f) + "\n";
        for (const auto& m : f.evidence)
            out += "     seen in: " + deviationWords(b, *a.deviation(m)) + "\n";
    }
    if (!j.possible.empty()) {
        out += "\nPossible, not sure enough to work on\n";
        for (const auto& f : j.possible)
            out += "  - " + b.fault(f.fault)->name + " (P " + shown(f.parts.probability, 2) + ")\n";
    }
    out += "\nCannot be decided from this film\n";
    lines.clear();
    for (const auto& d : a.deviations)
        if (!d.judged || d.verdict.decision == Decision::undecided)
            lines.push_back(deviationWords(b, d));
    out += lines.empty() ? "  nothing\n" : bulleted(lines);
    if (const auto steady = steadyWords(b, a); !steady.empty())
        out += "\nSteady or not\n" + bulleted(steady);
    if (!a.guesses.empty()) {
        out += "\nFelt and filmed\n";
        lines.clear();
        for (const auto& g : a.guesses)
            lines.push_back(guessWords(b, g));
        out += bulleted(lines);
    }
    return out + "\nNext: " + a.next.words + "\n";
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
    std::string out = "Focus\n";
    if (a.judgement.focus.empty())
        out += "  none yet\n";
    for (const auto& id : a.judgement.focus)
        out += "  " + b.fault(id)->name + ": \"" + b.fault(id)->cue + "\"\n";
    out += "\nDrills in order\n";
    for (const auto& id : plan.ladder) {
        const Drill& d = *b.drill(id);
        out += "  " + std::string(kStageNames[static_cast<std::size_t>(d.stage)]) + ": " + d.name + ", " +
               doseWords(d.dose) + ", \"" + d.cue + "\"\n";
        if (!d.caution.empty())
            out += "      caution: " + d.caution + "\n";
    }
    out += "\nThe plan\n";
    for (const auto& block : plan.blocks)
        out += "  " + dayWords(block.day) + "  " + shown(block.minutes, 0) + " min  " + nameOfDrill(b, block.drill) +
               (block.home() ? " (at home)" : "") + "\n";
    if (!plan.infeasible.empty())
        out += "  " + plan.infeasible + "\n";
    for (const auto& n : plan.notes)
        out += "  " + n + "\n";
    for (const auto& g : a.gates)
        out += "\nGate of " + b.drill(g.drill)->name + ": " + g.gate.words;
    return out + "\n";
}

} // namespace riflesso
