#include "core/mirror/reference.h"
#include "core/words/say.h"

#include "core/measure/kinds/derived.h"

#include <algorithm>
#include <cmath>
#include <iterator>
#include <set>

namespace riflesso {
namespace {

// It would be read on a film from the right side.
bool otherViewWanted(const MeasureDefinition& d, const std::string& refused) {
    return refused.find(refusedByView(d)) != std::string::npos ||
           (d.direction && refused.find(refusedByDirection(*d.direction)) != std::string::npos);
}

// 95 % one-sided point of the normal distribution: the distance from an edge, in u, that decides.
constexpr double kDecidingDistance = 1.645;

std::string number(double v) {
    std::string s = std::to_string(static_cast<long long>(std::ceil(v)));
    return s;
}

struct Advised {
    Advice advice;
    std::string text;
};

Advised adviceFor(const Deviation& d, const std::vector<MeasuredRep>& reps) {
    const double v = d.value.mean;
    const double edge = std::min(std::abs(v - d.band.lo), std::abs(v - d.band.hi));
    const double wanted = edge / kDecidingDistance; // the u that would decide
    double marks = 0, time = 0;
    for (const auto& [rep, value] : d.value.each) {
        marks += value.uMarks * value.uMarks;
        time += value.uTime * value.uTime;
    }
    const auto n = static_cast<double>(d.value.reps);
    marks /= n;
    time /= n;
    if (d.value.drafts > 0 && marks > time)
        return {Advice::markAgain,
                say("advice", "it rests on a draft: correct the points it reads, where Marking asks for them")};
    // Nearer to the edge than a tenth of the tolerance no instrument helps: it *is* at the edge.
    if (wanted < 0.06 * d.band.scale)
        return {Advice::atTheEdge, say("advice", "it lies at the very edge of the band; treat it as just good enough")};
    const double between = d.value.reps > 1 ? std::max(0.0, d.value.sd * d.value.sd - marks - time) : 0.0;
    const double needReps = std::ceil((marks + time + between) / (wanted * wanted));
    if (time > marks && time > between) {
        const double room = wanted * wanted * n - marks - between;
        std::optional<Hertz> rate;
        for (const auto& rep : reps)
            if (rep.captureRate && (!rate || rep.captureRate->value < rate->value))
                rate = rep.captureRate;
        if (rate && room > 0) {
            const double need = rate->value * std::sqrt(time / room);
            return {Advice::fasterFilm, fill(say("advice", "this film is too slow to judge it: film at %1 Hz or more"),
                                             {number(need / 10.0) + "0"})};
        }
        return {Advice::fasterFilm, say("advice", "this film is too slow to judge it: film at a higher capture rate")};
    }
    if (marks > between && d.value.reps >= 3)
        return {Advice::markAgain,
                say("advice", "mark its points again with more care, or the frames beside them too")};
    return {Advice::moreReps, fill(say("advice", "mark more reps: about %1 in all would decide it"),
                                   {number(std::max(needReps, n + 1))})};
}

} // namespace

MeasuredRep measureRep(const Blueprint& blueprint, const Motion& motion, const Positions& positions,
                       const ViewSetup& setup, const RepFacts& facts) {
    MeasuredRep out;
    out.captureRate = motion.time().captureRate();
    const auto first = std::min_element(positions.begin(), positions.end(),
                                        [](const auto& x, const auto& y) { return x.second.frame < y.second.frame; });
    if (first != positions.end())
        out.when = motion.time().real(first->second.frame).value;
    for (const auto& m : blueprint.measures)
        out.values.push_back(evaluate(m.definition, motion, positions, setup, facts));
    return out;
}

MeasuredValue gather(const std::string& measure, const std::vector<MeasuredRep>& reps) {
    MeasuredValue out;
    std::map<std::string, int> reasons;
    std::vector<double> values;
    double chance = 0.0, shared = 0.0;
    for (const auto& rep : reps)
        for (const auto& v : rep.values) {
            if (v.measure != measure)
                continue;
            if (v.refused) {
                ++reasons[v.reason];
                continue;
            }
            values.push_back(v.value);
            chance += std::max(0.0, v.u * v.u - v.uShared * v.uShared);
            shared += v.uShared;
            out.each.emplace_back(rep.rep, v);
            out.drafts += v.draft;
        }
    if (const auto s = summarise(values)) {
        out.reps = s->n;
        out.mean = s->mean;
        out.sd = s->sd;
        // What the reps have in common no number of them takes away, and their spread does not show it.
        const double n = s->n;
        out.uShared = shared / n;
        out.u = std::sqrt(std::max(chance / n, s->sd * s->sd) / n + out.uShared * out.uShared);
        out.interval = meanInterval(*s);
    } else {
        int most = 0;
        for (const auto& [reason, count] : reasons)
            if (count > most) {
                most = count;
                out.refused = reason;
            }
        if (out.refused.empty())
            out.refused = say("advice", "no rep is marked");
    }
    return out;
}

MeasuredValue gather(const MeasureDefinition& d, const std::vector<MeasuredRep>& reps) {
    if (!isAcrossReps(d.kind))
        return gather(d.id, reps);
    MeasuredValue out;
    if (d.base.empty()) {
        out.refused = say("advice", "the measure that it is read of is not known");
        return out;
    }
    const MeasuredValue base = gather(d.base.front()->id, reps);
    std::vector<double> values, errors, when;
    for (const auto& rep : reps)
        for (const auto& v : rep.values)
            if (v.measure == d.base.front()->id && !v.refused) {
                values.push_back(v.value);
                errors.push_back(std::sqrt(std::max(0.0, v.u * v.u - v.uShared * v.uShared)));
                when.push_back(rep.when);
            }
    const auto spread = spreadOf(values, errors);
    const auto drift = driftOf(when, values);
    if (d.kind == MeasureKind::spread ? !spread : !drift) {
        out.refused = base.reps == 0  ? base.refused
                      : base.reps < 3 ? say("advice", "needs three reps or more")
                                      : say("advice", "the reps are all of one time");
        return out;
    }
    out.reps = base.reps;
    out.each = base.each;
    out.drafts = base.drafts;
    out.mean = d.kind == MeasureKind::spread ? spread->athlete : drift->change;
    out.u = d.kind == MeasureKind::spread ? spread->u : drift->u;
    if (d.kind == MeasureKind::drift)
        out.interval = drift->interval;
    else
        out.sd = spread->all;
    return out;
}

Result<Band> bandOf(const BlueprintMeasure& measure, const Target& target, const std::vector<MeasuredRep>& model) {
    if (target.source != TargetSource::model) {
        const bool closed = std::isfinite(target.lo) && std::isfinite(target.hi);
        return Band{target.lo, target.hi, closed ? (target.hi - target.lo) / 2.0 : target.floor};
    }
    const MeasuredValue m = gather(measure.definition, model);
    if (m.reps == 0)
        return Error{
            fill(say("advice", "the model has no value for it (%1)"), {m.refused}), measure.definition.id, {}, {}};
    const double half = std::max(isAcrossReps(measure.definition.kind) ? 0.0 : target.k * m.sd, target.floor);
    return Band{m.mean - half, m.mean + half, half};
}

namespace {
std::vector<MeasuredRep> ofSituation(const std::vector<MeasuredRep>& reps, const std::string& situation) {
    std::vector<MeasuredRep> out;
    std::copy_if(reps.begin(), reps.end(), std::back_inserter(out),
                 [&](const MeasuredRep& r) { return r.situation == situation; });
    return out;
}
} // namespace

std::string mainSituation(const std::vector<MeasuredRep>& athlete, const std::vector<MeasuredRep>& model) {
    std::map<std::string, int> count;
    std::set<std::string> all;
    for (const auto* reps : {&athlete, &model})
        for (const auto& r : *reps) {
            all.insert(r.situation);
            if (reps == &athlete && !r.situation.empty())
                ++count[r.situation];
        }
    if (all.size() < 2 || count.empty())
        return {};
    return std::max_element(count.begin(), count.end(),
                            [](const auto& a, const auto& b) { return a.second < b.second; })
        ->first;
}

std::vector<SchoolNearness> compareSchools(const Blueprint& blueprint, const std::vector<MeasuredRep>& athlete,
                                           const std::vector<MeasuredRep>& model) {
    std::vector<SchoolNearness> out;
    for (const auto& s : blueprint.schools)
        out.push_back({s.id, 0, 0, 0});
    for (const auto& m : blueprint.measures) {
        const auto value = gather(m.definition, athlete);
        if (value.reps == 0)
            continue;
        std::vector<std::pair<double, bool>> distance; // beyond the band in its scale, or, inside, from its middle
        std::vector<Band> bands;
        for (const auto& s : out) {
            const Target* target = targetFor(m, s.school);
            const auto band = target ? bandOf(m, *target, model) : Result<Band>(Error{"none", {}, {}, {}});
            if (!band)
                break;
            bands.push_back(*band);
            const double edge = margin(value.mean, *band);
            distance.emplace_back(edge < 0.0 ? -edge : 0.0, edge >= 0.0);
        }
        const bool differ = bands.size() == out.size() && std::any_of(bands.begin(), bands.end(), [&](const Band& b) {
                                return b.lo != bands.front().lo || b.hi != bands.front().hi;
                            });
        if (!differ)
            continue;
        const auto nearest = std::min_element(distance.begin(), distance.end());
        const auto ties =
            std::count_if(distance.begin(), distance.end(), [&](const auto& x) { return x.first == nearest->first; });
        for (std::size_t i = 0; i < out.size(); ++i) {
            ++out[i].measures;
            out[i].inside += distance[i].second;
            out[i].nearer += ties == 1 && distance[i].first == nearest->first;
        }
    }
    return out;
}

std::vector<Deviation> compare(const Blueprint& blueprint, const std::vector<MeasuredRep>& everyRep,
                               const std::vector<MeasuredRep>& everyModel, const CompareOptions& options) {
    const bool split = !options.situation.empty();
    const auto athlete = split ? ofSituation(everyRep, options.situation) : everyRep;
    auto model = split ? ofSituation(everyModel, options.situation) : everyModel;
    if (model.empty())
        model = everyModel;
    std::vector<Deviation> out;
    for (const auto& m : blueprint.measures) {
        Deviation d;
        d.measure = m.definition.id;
        d.value = gather(m.definition, athlete);
        const Target* target = targetFor(m, options.school, options.situation);
        if (!target) {
            d.reason = say("advice", "no target for this school");
        } else {
            d.source = target->source;
            d.school = target->school;
            d.note = target->note;
            const auto band = bandOf(m, *target, model);
            if (!band) {
                d.reason = band.error().said();
            } else {
                d.band = *band;
                d.judged = d.value.reps > 0;
                d.reason = d.value.refused;
            }
        }
        if (d.judged) {
            d.verdict = decide(d.value.mean, d.value.u, d.band, options.decision);
            if (!isAcrossReps(m.definition.kind)) { // one value of all reps is no habit to count
                for (const auto& [rep, v] : d.value.each)
                    if (v.value < d.band.lo || v.value > d.band.hi)
                        ++d.repsOutside;
                d.share = wilson(d.repsOutside, d.value.reps);
            }
            if (d.verdict.decision == Decision::undecided) {
                const auto advised = adviceFor(d, athlete);
                d.advice = advised.advice;
                d.adviceText = advised.text;
            }
        } else if (d.value.reps == 0 && otherViewWanted(m.definition, d.value.refused)) {
            d.advice = Advice::otherView;
            d.adviceText = fill(say("advice", "film it %1"), {fromWhere(m.definition.view)});
        }
        out.push_back(std::move(d));
    }
    return out;
}

} // namespace riflesso
