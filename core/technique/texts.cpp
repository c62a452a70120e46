#include "core/technique/texts.h"

#include <algorithm>
#include <set>

namespace riflesso {
namespace {

// One list of the texts, for reading and for replacing.
template <typename B, typename What> void eachText(B& b, What what) {
    what(b.name);
    for (auto& c : b.cautions)
        what(c);
    for (auto& s : b.schools)
        what(s.name), what(s.words);
    for (auto& s : b.situations)
        what(s.name), what(s.words);
    for (auto& p : b.positions)
        what(p.name), what(p.words);
    for (auto& c : b.checkpoints)
        what(c.name), what(c.question);
    for (auto& m : b.measures) {
        what(m.definition.name), what(m.definition.sentence), what(m.definition.perName);
        what(m.tooLow), what(m.tooHigh);
        for (auto& t : m.targets)
            what(t.note);
    }
    for (auto& f : b.faults)
        what(f.name), what(f.why), what(f.caution), what(f.cue);
    for (auto& p : b.profiles)
        what(p.name), what(p.words);
    for (auto& d : b.drills) {
        what(d.name), what(d.how), what(d.cue), what(d.contrast), what(d.caution);
        for (auto& v : d.variations)
            what(v);
        for (auto& e : d.equipment)
            what(e);
    }
}

} // namespace

std::vector<std::string> textsOf(const Blueprint& blueprint) {
    std::vector<std::string> out;
    std::set<std::string> seen;
    eachText(blueprint, [&](const std::string& text) {
        if (!text.empty() && seen.insert(text).second)
            out.push_back(text);
    });
    return out;
}

bool saysTheSame(const Blueprint& blueprint, const std::string& a, const std::string& b) {
    if (a == b)
        return true;
    const auto all = [&](const std::string& text) { // what it can be, itself left out: as source, and as translation
        std::set<std::string> out;
        for (const auto& [code, words] : blueprint.languages)
            for (const auto& [source, said] : words) {
                if (source == text)
                    out.insert(said);
                if (said == text)
                    out.insert(source);
            }
        return out;
    };
    const auto ofA = all(a);
    if (ofA.contains(b))
        return true;
    return std::any_of(ofA.begin(), ofA.end(), [ofB = all(b)](const auto& text) { return ofB.contains(text); });
}

Blueprint inLanguage(Blueprint blueprint, std::string_view code) {
    const auto language = blueprint.languages.find(std::string(code));
    if (language == blueprint.languages.end())
        return blueprint;
    const auto words = language->second; // of the blueprint that is being changed
    eachText(blueprint, [&](std::string& text) {
        if (const auto said = words.find(text); said != words.end() && !said->second.empty())
            text = said->second;
    });
    linkMeasures(blueprint.measures);
    return blueprint;
}

} // namespace riflesso
