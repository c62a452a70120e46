#include "casebook/landings.h"

#include "core/statistics/numbers.h"
#include "core/words/say.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

LandingGroup groupOf(std::string name, std::vector<LandedRep> reps) {
    LandingGroup g{std::move(name), std::move(reps), 0, {}, {0, 0}, {0, 0}, {}};
    const auto n = static_cast<double>(g.reps.size());
    std::vector<Eigen::Vector2d> points;
    for (const auto& r : g.reps) {
        g.inside += r.inside();
        points.push_back(r.at);
        g.bias += r.at / n;
    }
    if (g.reps.empty())
        return g;
    g.share = wilson(g.inside, static_cast<int>(g.reps.size()));
    if (g.reps.size() > 1) {
        Eigen::Vector2d squares(0, 0);
        for (const auto& p : points)
            squares += (p - g.bias).cwiseAbs2();
        g.uBias = (squares / (n - 1.0) / n).cwiseSqrt();
    }
    g.ellipse = spreadEllipse(points);
    return g;
}

std::string far(double v, bool metric) {
    return metric ? fixed(100.0 * std::abs(v), 0) + " cm" : fixed(std::abs(v), 0) + " px";
}

} // namespace

Landings landingsOf(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis) {
    std::vector<LandedRep> lots[2]; // px, m
    // A place needs no measure: all reps of the judged set, or of the newest one while nothing is measured.
    const RepSet* set = analysis.above ? findSet(analysis.sets, *analysis.above) : nullptr;
    if (!set && !analysis.sets.empty())
        set = &analysis.sets.front();
    for (const Id id : set ? set->reps : std::vector<Id>()) {
        const Rep& rep = data.reps.at(id);
        const Take& take = data.takes.at(rep.take);
        if (!rep.landed || !take.zone)
            continue;
        const auto calibration = calibrationOf(take);
        const Calibration* plane = calibration ? calibration->get() : nullptr;
        const auto place = [&](const Pixel& p) -> Eigen::Vector2d {
            return plane ? plane->upright(p.vector()) : p.vector();
        };
        const Eigen::Vector2d middle = place(take.zone->middle), off = place(rep.landed->at) - middle;
        std::string situation = rep.situation;
        if (const Situation* s = situationNamed(blueprint, situation))
            situation = s->name;
        lots[plane && plane->metric()].push_back(
            {id,
             rep.landed->frame,
             {off.x(), -off.y()},
             (place(take.zone->edge) - middle).norm(),
             situation,
             std::string(kStageNames[static_cast<std::size_t>(stageOf(data, rep))])});
    }
    Landings out;
    out.metric = lots[1].size() >= lots[0].size();
    const auto& reps = lots[out.metric];
    out.all = groupOf({}, reps);
    const auto by = [&](auto name, std::vector<LandingGroup>& groups) {
        std::vector<std::string> names;
        for (const auto& r : reps)
            if (!name(r).empty() && std::find(names.begin(), names.end(), name(r)) == names.end())
                names.push_back(name(r));
        for (const auto& n : names) {
            std::vector<LandedRep> some;
            std::copy_if(reps.begin(), reps.end(), std::back_inserter(some),
                         [&](const LandedRep& r) { return name(r) == n; });
            groups.push_back(groupOf(n, std::move(some)));
        }
    };
    by([](const LandedRep& r) { return r.situation; }, out.bySituation);
    by([](const LandedRep& r) { return r.stage; }, out.byStage);
    return out;
}

std::string landingWords(const LandingGroup& g, bool metric) {
    if (g.reps.empty())
        return say("landings", "Nothing landed yet.");
    std::string out = fill(say("landings", "%1 of %2 in the zone (%3 to %4 %)"),
                           {std::to_string(g.inside), std::to_string(g.reps.size()), figure(100.0 * g.share.lo, 0),
                            figure(100.0 * g.share.hi, 0)});
    std::string off;
    for (int axis : {0, 1}) // only what chance does not explain is called a habit
        if (g.reps.size() > 2 && std::abs(g.bias[axis]) > 1.96 * g.uBias[axis])
            off += (off.empty() ? "" : say("landings", " and ")) + far(g.bias[axis], metric) + " " +
                   (axis == 0 ? (g.bias[axis] > 0 ? say("landings", "to the right") : say("landings", "to the left"))
                              : (g.bias[axis] > 0 ? say("landings", "high") : say("landings", "low")));
    if (!off.empty())
        out += fill(say("landings", "; on the average %1"), {off});
    return out + ".";
}

} // namespace riflesso
