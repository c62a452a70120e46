#include "core/progress/squad.h"

#include <algorithm>
#include <map>

namespace riflesso {
namespace {

const FaultStanding* of(const SquadMember& m, const std::string& fault) {
    const auto it =
        std::find_if(m.faults.begin(), m.faults.end(), [&](const FaultStanding& f) { return f.fault == fault; });
    return it == m.faults.end() ? nullptr : &*it;
}

bool owns(const FaultStanding& f) {
    return f.standing == Standing::clear || f.standing == Standing::held;
}

} // namespace

bool isThere(const FaultStanding& f) {
    return f.standing == Standing::workingOn || f.standing == Standing::seen;
}

std::vector<SharedPart> sharedParts(const std::vector<std::vector<FaultStanding>>& techniques) {
    std::map<std::string, SharedPart> all;
    for (std::size_t t = 0; t < techniques.size(); ++t)
        for (const auto& f : techniques[t])
            for (const auto& part : f.parts) {
                if (!isThere(f))
                    continue;
                auto& s = all[part];
                s.part = part;
                s.techniques += s.faults.empty() || s.faults.back().first != t;
                s.faults.emplace_back(t, f.fault);
            }
    std::vector<SharedPart> out;
    for (auto& [part, s] : all)
        if (s.techniques >= 2)
            out.push_back(std::move(s));
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.techniques > b.techniques; });
    return out;
}

std::vector<SquadFault> squadFaults(const std::vector<SquadMember>& members) {
    std::vector<SquadFault> out;
    for (const auto& m : members)
        for (const auto& f : m.faults) {
            auto it = std::find_if(out.begin(), out.end(), [&](const SquadFault& s) { return s.fault == f.fault; });
            if (it == out.end())
                it = out.insert(out.end(), {f.fault, 0, 0, {0.0, 1.0}, 0.0});
            it->have += isThere(f);
            it->known += isThere(f) || owns(f);
            it->priority += isThere(f) ? f.priority : 0.0;
        }
    for (auto& s : out)
        if (s.known > 0)
            s.share = wilson(s.have, s.known);
    return out;
}

SquadSession sessionForAll(const std::vector<SquadMember>& members, std::size_t stations) {
    SquadSession out;
    const SquadFault* most = nullptr;
    const auto faults = squadFaults(members);
    for (const auto& f : faults)
        if (f.have > 0 && (!most || f.have > most->have || (f.have == most->have && f.priority > most->priority)))
            most = &f;
    if (!most)
        return out;
    out.fault = most->fault;
    std::vector<std::size_t> learners, owners;
    for (std::size_t i = 0; i < members.size(); ++i) {
        const FaultStanding* f = of(members[i], out.fault);
        if (!f)
            continue;
        if (isThere(*f))
            (members[i].daysToCompetition && *members[i].daysToCompetition <= kNothingNewDays ? out.keepOut : learners)
                .push_back(i);
        else if (owns(*f))
            owners.push_back(i);
    }
    std::stable_sort(learners.begin(), learners.end(), [&](std::size_t a, std::size_t b) {
        return of(members[a], out.fault)->priority > of(members[b], out.fault)->priority;
    });
    std::size_t next = 0;
    for (std::size_t i = 0; i < learners.size(); ++i) {
        SquadSession::Pair pair{learners[i], {}, {}};
        if (next < owners.size())
            pair.owner = owners[next++];
        else if (i + 1 < learners.size())
            pair.second = learners[++i];
        out.pairs.push_back(pair);
    }
    out.helpers.assign(owners.begin() + static_cast<std::ptrdiff_t>(next), owners.end());
    stations = std::max<std::size_t>(1, stations);
    for (std::size_t round = 0; round < stations; ++round) {
        auto& places = out.rotation.emplace_back();
        for (std::size_t p = 0; p < out.pairs.size(); ++p)
            places.push_back((p + round) % stations);
    }
    return out;
}

} // namespace riflesso
