#include "casebook/first_words.h"

#include "core/words/say.h"

#include "casebook/next_step.h"

#include <algorithm>
#include <set>

namespace riflesso {
std::vector<Look> looksOf(const CaseData& data, const Analysis& a, std::size_t most) {
    struct Weighed {
        Look look;
        double gain;
    };
    const std::set<std::string> undecided(a.judgement.undecided.begin(), a.judgement.undecided.end());
    std::vector<Weighed> all;
    for (const Id rep : a.athleteReps) {
        const auto attention = a.attention.find(rep);
        const auto where = data.reps.find(rep);
        if (attention == a.attention.end() || where == data.reps.end())
            continue;
        const auto& beyond = attention->second.beyondUs;
        for (const auto& ask : attention->second.asks) {
            Look look{where->second.take, rep, ask.frame, {}};
            for (const auto& m : ask.measures)
                if (undecided.contains(m) && std::find(beyond.begin(), beyond.end(), m) == beyond.end())
                    look.decides.push_back(m);
            all.push_back({std::move(look), ask.gain});
        }
    }
    // What decides comes before what only makes surer.
    std::stable_sort(all.begin(), all.end(), [](const Weighed& x, const Weighed& y) {
        return x.look.decides.empty() != y.look.decides.empty() ? y.look.decides.empty() : x.gain > y.gain;
    });
    std::vector<Look> out;
    std::set<std::pair<Id, FrameIndex>> seen;
    for (auto& w : all)
        if (out.size() < most && seen.emplace(w.look.take, w.look.frame).second)
            out.push_back(std::move(w.look));
    return out;
}

std::string firstWords(const Analysis& a, const std::vector<Look>& looks) {
    if (a.athleteReps.empty())
        return say("next", "No rep could be read: cut one by hand and place its key positions.");
    const auto& j = a.judgement;
    std::string words = sayCount("next", "%n strengths", "%n strength", j.strengths.size()) + ", " +
                        sayCount("next", "%n clear faults", "%n clear fault", j.findings.size()) + ", " +
                        sayCount("lack", "%n undecided", "%n undecided", j.undecided.size());
    std::set<std::string> decides;
    for (const auto& look : looks)
        decides.insert(look.decides.begin(), look.decides.end());
    if (!decides.empty())
        words += fill(sayCount("next", ": %n looks would decide up to %1 of them",
                               ": %n look would decide up to %1 of them", looks.size()),
                      {std::to_string(decides.size())});
    return words + ".";
}

} // namespace riflesso
