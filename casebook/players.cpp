// Other people in the athlete's films: their names, and what was seen of them.

#include "casebook/casebook.h"

#include <utility>

namespace riflesso {

bool Casebook::callPerson(Id take, int person, const std::string& name) {
    const auto it = m_data.takes.find(take);
    if (it == m_data.takes.end() || name.empty() || person < 1 || person > kMostOthers ||
        !isFreeName(it->second.figure, person, name))
        return false;
    Take after = it->second;
    const std::string before = std::exchange(after.figure.called[person], name);
    if (before == name)
        return true;
    std::vector<Edit> edits{TakeEdit{take, it->second, after}};
    for (const auto& [id, rep] : m_data.reps)
        if (const auto seen = rep.seenOf.find(before); rep.take == take && seen != rep.seenOf.end()) {
            Rep moved = rep;
            moved.seenOf.erase(before);
            moved.seenOf[name].insert(seen->second.begin(), seen->second.end());
            edits.emplace_back(RepEdit{id, rep, moved});
        }
    return perform(tr("name another person"), std::move(edits));
}

} // namespace riflesso
