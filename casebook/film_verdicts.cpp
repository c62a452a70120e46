#include "casebook/film_verdicts.h"

#include "core/statistics/distributions.h"
#include "core/statistics/numbers.h"
#include "core/words/say.h"

#include <algorithm>
#include <cmath>
#include <random>

namespace riflesso {
namespace {
const MeasureValue* valueOn(const Analysis& analysis, const std::string& measure, Id rep) {
    const auto it = analysis.measured.find(rep);
    if (it == analysis.measured.end())
        return nullptr;
    for (const auto& v : it->second.values)
        if (v.measure == measure && !v.refused)
            return &v;
    return nullptr;
}
} // namespace

std::vector<Id> repsToJudge(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                            const std::string& measure, unsigned seed) {
    std::vector<Id> out;
    for (const auto& [id, rep] : data.reps)
        if (data.takes.at(rep.take).performer == Performer::athlete && machineVerdict(blueprint, analysis, measure, id))
            out.push_back(id);
    std::mt19937 random(seed);
    std::shuffle(out.begin(), out.end(), random);
    return out;
}

std::optional<MachineVerdict> machineVerdict(const Blueprint& blueprint, const Analysis& analysis,
                                             const std::string& measure, Id rep) {
    const MeasureValue* v = valueOn(analysis, measure, rep);
    const Deviation* d = analysis.deviation(measure);
    if (!v || !d || !blueprint.measure(measure) || !d->judged)
        return std::nullopt;
    return machineVerdict(d->band, v->value, v->u);
}

MachineVerdict machineVerdict(const Band& band, double value, double u) {
    MachineVerdict out;
    u = std::max(u, 1e-12);
    out.inside = normalCdf(band.hi, value, u) - normalCdf(band.lo, value, u);
    const double sure = out.good() ? out.inside : 1.0 - out.inside;
    out.words = fill(sure >= 0.95 ? out.good() ? say("findings", "good (%1)") : say("findings", "not yet good (%1)")
                     : out.good() ? say("findings", "probably good (%1)")
                                  : say("findings", "probably not yet good (%1)"),
                     {figure(sure, 2)});
    return out;
}

std::map<std::string, std::vector<SureRep>> sureReps(const CaseData& data, const Blueprint& blueprint,
                                                     const Analysis& analysis, int each) {
    std::map<std::string, std::vector<SureRep>> out;
    for (const auto& m : blueprint.measures) {
        const std::string& id = m.definition.id;
        const Deviation* d = analysis.deviation(id);
        if (!d || !d->judged || isNoted(m.definition.kind) || isAcrossReps(m.definition.kind))
            continue;
        std::vector<SureRep> reps;
        int outside = 0;
        for (const auto& [rep, one] : data.reps) {
            const MeasureValue* v = valueOn(analysis, id, rep);
            const auto take = data.takes.find(one.take);
            if (!v || take == data.takes.end() || !serves(take->second.view, m.definition.view))
                continue;
            const Decision decision = decide(v->value, v->u, d->band).decision;
            if (decision == Decision::undecided)
                continue;
            outside += decision == Decision::outside;
            reps.push_back(
                {rep, decision == Decision::outside ? distanceOutside(v->value, d->band) / d->band.scale : 0.0});
        }
        if (outside >= each && static_cast<int>(reps.size()) - outside >= each)
            out[id] = std::move(reps);
    }
    return out;
}

FilmAgreement filmAgreement(const CaseData& data, const std::string& measure) {
    FilmAgreement out;
    using Pairs = std::vector<std::pair<std::string, std::string>>;
    Pairs athleteCoach, athleteFilm, coachFilm;
    const auto word = [](bool good) { return std::string(good ? "good" : "not"); };
    for (const auto& [id, block] : data.blocks) {
        if (!measure.empty() && block.film != measure)
            continue; // a rep read beside practice is of no one measure
        for (const auto& r : block.reps) {
            if (!r.machine)
                continue;
            ++out.reps;
            out.bad += !*r.machine;
            out.missedByCoach += !*r.machine && r.coach && *r.coach;
            out.missedByAthlete += !*r.machine && r.athlete && *r.athlete;
            if (r.athlete && r.coach)
                athleteCoach.emplace_back(word(*r.athlete), word(*r.coach));
            if (r.athlete)
                athleteFilm.emplace_back(word(*r.athlete), word(*r.machine));
            if (r.coach)
                coachFilm.emplace_back(word(*r.coach), word(*r.machine));
        }
    }
    out.athleteCoach = agreementOf(athleteCoach);
    out.athleteFilm = agreementOf(athleteFilm);
    out.coachFilm = agreementOf(coachFilm);
    return out;
}

} // namespace riflesso
