#include "core/judge/links.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

constexpr double kWeight = 4.0; // checks that the blueprint's word is worth

const FaultReading* readingOf(const std::vector<FaultReading>& readings, const std::string& fault) {
    const auto it = std::find_if(readings.begin(), readings.end(), [&](const auto& r) { return r.fault == fault; });
    return it == readings.end() ? nullptr : &*it;
}

double outside(double value, const Band& band) {
    return std::max({0.0, band.lo - value, value - band.hi});
}

// Nearer to the band by more than chance would bring it. Both against the newer band: a model may have come in between.
bool movedTowards(const FaultReading& before, const FaultReading& after) {
    const double mdc = 1.96 * std::hypot(before.u, after.u);
    return std::abs(after.value - before.value) > mdc &&
           outside(after.value, after.band) < outside(before.value, after.band);
}

} // namespace

std::vector<LinkCheck> checksBetween(const Blueprint& blueprint, const std::vector<FaultReading>& before,
                                     const std::vector<FaultReading>& after) {
    std::vector<LinkCheck> out;
    for (const auto& fault : blueprint.faults) {
        const auto *was = readingOf(before, fault.id), *is = readingOf(after, fault.id);
        if (!was || !is || was->decision != Decision::outside || is->decision == Decision::undecided)
            continue;
        for (const auto& cause : fault.causes) {
            const auto *causeWas = readingOf(before, cause.fault), *causeIs = readingOf(after, cause.fault);
            if (causeWas && causeIs && movedTowards(*causeWas, *causeIs))
                out.push_back({cause.fault, fault.id, movedTowards(*was, *is)});
        }
    }
    return out;
}

std::vector<LinkBelief> beliefsOf(const Blueprint& blueprint, const std::vector<LinkCheck>& checks) {
    std::vector<LinkBelief> out;
    for (const auto& fault : blueprint.faults)
        for (const auto& cause : fault.causes) {
            LinkBelief b{cause.fault, fault.id, cause.strength, 0.0, 0, 0};
            for (const auto& c : checks)
                if (c.cause == b.cause && c.consequence == b.consequence) {
                    ++b.checks;
                    b.followed += c.followed;
                }
            b.posterior = (kWeight * b.prior + b.followed) / (kWeight + b.checks);
            out.push_back(b);
        }
    return out;
}

std::vector<LinkBelief> pooledBeliefs(const std::vector<std::vector<LinkBelief>>& athletes) {
    std::vector<LinkBelief> out;
    for (const auto& beliefs : athletes)
        for (const auto& b : beliefs) {
            auto it = std::find_if(out.begin(), out.end(), [&](const LinkBelief& o) {
                return o.cause == b.cause && o.consequence == b.consequence;
            });
            if (it == out.end())
                it = out.insert(out.end(), {b.cause, b.consequence, b.prior, b.prior, 0, 0});
            it->checks += b.checks;
            it->followed += b.followed;
            it->posterior = (kWeight * it->prior + it->followed) / (kWeight + it->checks);
        }
    return out;
}

Blueprint withBeliefs(Blueprint blueprint, const std::vector<LinkBelief>& beliefs) {
    for (auto& fault : blueprint.faults)
        for (auto& cause : fault.causes)
            for (const auto& b : beliefs)
                if (b.cause == cause.fault && b.consequence == fault.id)
                    cause.strength = b.posterior;
    return blueprint;
}

} // namespace riflesso
