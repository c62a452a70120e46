// The casebook's commands on what people decide: practice, the plan, sets, findings.

#include "casebook/casebook.h"
#include "casebook/planner.h"

#include <algorithm>

namespace riflesso {

Id Casebook::addBlock(Block block) {
    block.id = m_library->freshId();
    std::vector<Edit> edits{BlockEdit{block.id, std::nullopt, block}};
    for (const auto& [id, planned] : m_data.planned) // what was planned for that day is done with it
        if (planned.drill == block.drill && planned.day == block.day &&
            (planned.state == BlockState::planned || planned.state == BlockState::moved)) {
            PlannedBlock done = planned;
            done.state = BlockState::done;
            edits.push_back(PlanEdit{id, planned, done});
            break;
        }
    return perform(tr("log a block"), edits) ? block.id : 0;
}

bool Casebook::setBlock(const Block& block) {
    const auto it = m_data.blocks.find(block.id);
    if (it == m_data.blocks.end())
        return false;
    return it->second == block || perform(tr("log a rep"), {BlockEdit{block.id, it->second, block}});
}

bool Casebook::removeBlock(Id block) {
    const auto it = m_data.blocks.find(block);
    if (it == m_data.blocks.end())
        return false;
    const Block& gone = it->second;
    std::vector<Edit> edits{BlockEdit{block, gone, std::nullopt}};
    const bool others = std::any_of(m_data.blocks.begin(), m_data.blocks.end(), [&](const auto& b) {
        return b.first != block && b.second.day == gone.day && b.second.drill == gone.drill && b.second.film.empty();
    });
    if (!others && gone.film.empty())
        for (const auto& [id, planned] : m_data.planned)
            if (planned.drill == gone.drill && planned.day == gone.day && planned.state == BlockState::done) {
                PlannedBlock open = planned;
                open.state = BlockState::planned;
                edits.push_back(PlanEdit{id, planned, open});
                break; // addBlock() ticks off one
            }
    return perform(tr("take a block of practice away"), std::move(edits));
}

bool Casebook::keepPlan(const std::vector<PlannedBlock>& blocks, Day from, Day to, const QString& what, int gesture) {
    const auto edits = planEdits(m_data, blocks, from, to, [this] { return m_library->freshId(); });
    return edits.empty() || perform(what, edits, gesture);
}

Id Casebook::setPlanned(PlannedBlock block, const QString& what, int gesture) {
    block.rules.clear();
    block.forecast = false;
    const auto it = m_data.planned.find(block.id);
    if (it != m_data.planned.end() && it->second == block)
        return block.id;
    if (it == m_data.planned.end())
        block.id = m_library->freshId();
    const auto before = it == m_data.planned.end() ? std::nullopt : std::optional(it->second);
    return perform(what, {PlanEdit{block.id, before, block}}, gesture) ? block.id : 0;
}

bool Casebook::putInSet(const std::vector<Id>& reps, const std::string& name) {
    std::vector<Edit> edits;
    for (const Id id : reps) {
        const auto it = m_data.reps.find(id);
        if (it == m_data.reps.end() || it->second.set == name)
            continue;
        Rep rep = it->second;
        rep.set = name;
        edits.push_back(RepEdit{id, it->second, rep});
    }
    return edits.empty() || perform(name.empty() ? tr("take reps out of a set") : tr("put reps into a set"), edits);
}

bool Casebook::decide(FindingDecision decision, FrameNote note) {
    if (decision.kind == DecisionKind::takenUp) {
        const auto open = openDecisions(m_data);
        if (std::count_if(open.begin(), open.end(), [&](const FindingDecision& d) {
                return d.kind == DecisionKind::takenUp && d.id != decision.id &&
                       (d.fault.empty() || d.fault != decision.fault);
            }) >= 2) {
            emit failed(tr("Two things are being worked on already. Close or park one of them first."));
            return false;
        }
    }
    if (decision.day == Day{})
        decision.day = m_today;
    std::vector<Edit> edits;
    if (m_data.takes.contains(note.take)) {
        note.id = decision.note = m_library->freshId();
        note.day = m_today;
        edits.push_back(NoteEdit{note.id, std::nullopt, note});
    }
    auto before = m_data.decisions.find(decision.id);
    if (before == m_data.decisions.end())
        if (const FindingDecision* open = decisionOn(m_data, decision.fault))
            before = m_data.decisions.find(open->id);
    if (before == m_data.decisions.end()) {
        decision.id = m_library->freshId();
        edits.push_back(DecisionEdit{decision.id, std::nullopt, decision});
    } else {
        decision.id = before->first;
        if (decision.note == 0) // what showed it goes on showing it
            decision.note = before->second.note;
        if (before->second == decision)
            return true;
        edits.push_back(DecisionEdit{decision.id, before->second, decision});
    }
    return perform(tr("decide on a finding"), std::move(edits));
}

bool Casebook::setDecision(const FindingDecision& decision, const QString& what) {
    const auto it = m_data.decisions.find(decision.id);
    return it != m_data.decisions.end() &&
           (it->second == decision || perform(what, {DecisionEdit{decision.id, it->second, decision}}));
}

bool Casebook::closeDecision(Id decision) {
    const auto it = m_data.decisions.find(decision);
    if (it == m_data.decisions.end())
        return false;
    FindingDecision closed = it->second;
    closed.closed = m_today;
    return setDecision(closed, tr("close a finding"));
}

bool Casebook::removeDecision(Id decision) {
    const auto it = m_data.decisions.find(decision);
    return it != m_data.decisions.end() &&
           perform(tr("take a decision back"), {DecisionEdit{decision, it->second, std::nullopt}});
}

} // namespace riflesso
