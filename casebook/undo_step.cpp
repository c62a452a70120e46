#include "casebook/undo_step.h"

#include "core/words/say.h"

#include <algorithm>
#include <map>
#include <tuple>

namespace riflesso {
namespace {

// Names the thing that an edit is about: its kind, number, frame, landmark.
using ThingKey = std::tuple<std::size_t, Id, int, std::string>;

struct KeyOf {
    std::size_t kind;
    ThingKey operator()(const BriefEdit&) const { return {kind, 0, 0, {}}; }
    ThingKey operator()(const MarkEdit& e) const { return {kind, e.key.take, e.key.frame.value, e.key.landmark}; }
    template <typename E> ThingKey operator()(const E& e) const { return {kind, e.key, 0, {}}; }
};

ThingKey keyOf(const Edit& edit) {
    return std::visit(KeyOf{edit.index()}, edit);
}

std::string nameOf(const Edit& edit) {
    struct Visitor {
        std::string operator()(const BriefEdit&) const { return say("undo", "the brief"); }
        std::string operator()(const TakeEdit& e) const {
            return fill(say("undo", "the film %1"), {e.before ? e.before->title : e.after ? e.after->title : ""});
        }
        std::string operator()(const RepEdit& e) const {
            return fill(say("undo", "rep %1"), {std::to_string(e.before  ? e.before->number
                                                               : e.after ? e.after->number
                                                                         : 0)});
        }
        std::string operator()(const BlockEdit&) const { return say("undo", "a block of practice"); }
        std::string operator()(const LinkEdit&) const { return say("undo", "a lock of two films"); }
        std::string operator()(const RepeatEdit&) const { return say("undo", "a repeat marking"); }
        std::string operator()(const DecisionEdit&) const { return say("undo", "a decision on a finding"); }
        std::string operator()(const NoteEdit&) const { return say("undo", "a note on a frame"); }
        std::string operator()(const PlanEdit& e) const {
            return fill(say("undo", "the plan of %1"), {dateWords(e.before  ? e.before->day
                                                                : e.after ? e.after->day
                                                                          : Day{})});
        }
        std::string operator()(const MarkEdit& e) const {
            return fill(say("undo", "the mark of the %1 on frame %2"),
                        {spoken(e.key.landmark), std::to_string(e.key.frame.value + 1)});
        }
    };
    return std::visit(Visitor{}, edit);
}

// Is the thing now what the edit says it was?
struct Fits {
    const CaseData& d;
    template <typename Map, typename E> static bool in(const Map& map, const E& e) {
        const auto it = map.find(e.key);
        return it == map.end() ? !e.before : e.before && it->second == *e.before;
    }
    bool operator()(const BriefEdit& e) const { return !e.before || d.brief == *e.before; }
    bool operator()(const TakeEdit& e) const { return in(d.takes, e); }
    bool operator()(const RepEdit& e) const { return in(d.reps, e); }
    bool operator()(const BlockEdit& e) const { return in(d.blocks, e); }
    bool operator()(const LinkEdit& e) const { return in(d.links, e); }
    bool operator()(const RepeatEdit& e) const { return in(d.repeats, e); }
    bool operator()(const DecisionEdit& e) const { return in(d.decisions, e); }
    bool operator()(const PlanEdit& e) const { return in(d.planned, e); }
    bool operator()(const NoteEdit& e) const { return in(d.notes, e); }
    bool operator()(const MarkEdit& e) const {
        const auto take = d.marks.find(e.key.take);
        if (take == d.marks.end())
            return !e.before;
        const auto track = take->second.find(e.key.landmark);
        if (track == take->second.end())
            return !e.before;
        const auto mark = track->second.find(e.key.frame);
        return mark == track->second.end() ? !e.before : e.before && mark->second == *e.before;
    }
};

// Makes edits of one table's rows.
template <typename E> auto editOf() {
    return [](Id key, decltype(E::before) before, decltype(E::after) after) {
        return E{key, std::move(before), std::move(after)};
    };
}

} // namespace

struct UndoStep::Merger {
    std::vector<Edit> edits;
    std::map<ThingKey, std::size_t> at;

    void add(const std::vector<Edit>& more) {
        for (const auto& edit : more) {
            const auto [it, fresh] = at.emplace(keyOf(edit), edits.size());
            if (fresh) {
                edits.push_back(edit);
                continue;
            }
            std::visit([&](auto& kept) { kept.after = std::get<std::decay_t<decltype(kept)>>(edit).after; },
                       edits[it->second]);
        }
    }
};

std::vector<Edit> UndoStep::merged(const std::vector<Edit>& first, const std::vector<Edit>& second) {
    Merger m;
    m.add(first);
    m.add(second);
    return m.edits;
}

UndoStep::UndoStep(const QString& what, const std::vector<Edit>& edits, int gesture)
    : QUndoCommand(what), m_merger(std::make_unique<Merger>()), m_gesture(gesture) {
    m_merger->add(edits);
}

UndoStep::~UndoStep() = default;

std::optional<std::string> mismatch(const CaseData& data, const std::vector<Edit>& edits) {
    // A list may touch a thing more than once; then the first one counts.
    std::map<ThingKey, bool> seen;
    for (const auto& edit : edits)
        if (seen.emplace(keyOf(edit), true).second && !std::visit(Fits{data}, edit))
            return nameOf(edit);
    return std::nullopt;
}

std::vector<Edit> differences(const CaseData& from, const CaseData& to) {
    std::vector<Edit> out;
    const auto put = [&out](auto edit) { out.push_back(std::move(edit)); };
    // What is new or changed.
    const auto grown = [&](const auto& a, const auto& b, auto make) {
        for (const auto& [key, value] : b) {
            const auto it = a.find(key);
            if (it == a.end())
                put(make(key, std::nullopt, value));
            else if (!(it->second == value))
                put(make(key, it->second, value));
        }
    };
    const auto gone = [&](const auto& a, const auto& b, auto make) {
        for (const auto& [key, value] : a)
            if (!b.contains(key))
                put(make(key, value, std::nullopt));
    };
    const auto takes = editOf<TakeEdit>();
    const auto reps = editOf<RepEdit>();
    const auto blocks = editOf<BlockEdit>();
    const auto links = editOf<LinkEdit>();
    const auto repeats = editOf<RepeatEdit>();
    const auto decisions = editOf<DecisionEdit>();
    const auto planned = editOf<PlanEdit>();
    const auto notes = editOf<NoteEdit>();
    if (!(from.brief == to.brief))
        put(BriefEdit{{}, from.brief, to.brief});
    grown(from.takes, to.takes, takes);
    grown(from.reps, to.reps, reps);
    grown(from.blocks, to.blocks, blocks);
    grown(from.links, to.links, links);
    grown(from.repeats, to.repeats, repeats);
    grown(from.decisions, to.decisions, decisions);
    grown(from.planned, to.planned, planned);
    grown(from.notes, to.notes, notes);
    static const TrackSet nothing;
    static const Track empty;
    const auto marks = [&](const TrackSet& a, const TrackSet& b, Id take, bool removed) {
        for (const auto& [landmark, track] : b) {
            const auto it = a.find(landmark);
            const auto& other = it == a.end() ? empty : it->second;
            const auto make = [&, name = landmark](FrameIndex f, std::optional<Mark> x, std::optional<Mark> y) {
                return removed ? MarkEdit{{take, f, name}, y, x} : MarkEdit{{take, f, name}, x, y};
            };
            if (removed)
                for (const auto& [frame, mark] : track) {
                    if (!other.contains(frame))
                        put(make(frame, std::nullopt, mark));
                }
            else
                grown(other, track, make);
        }
    };
    for (const auto& [take, tracks] : to.marks) {
        const auto it = from.marks.find(take);
        marks(it == from.marks.end() ? nothing : it->second, tracks, take, false);
    }
    for (const auto& [take, tracks] : from.marks) {
        const auto it = to.marks.find(take);
        marks(it == to.marks.end() ? nothing : it->second, tracks, take, true);
    }
    gone(from.planned, to.planned, planned);
    gone(from.notes, to.notes, notes);
    gone(from.decisions, to.decisions, decisions);
    gone(from.repeats, to.repeats, repeats);
    gone(from.links, to.links, links);
    gone(from.blocks, to.blocks, blocks);
    gone(from.reps, to.reps, reps);
    gone(from.takes, to.takes, takes);
    return out;
}

std::vector<Edit> UndoStep::edits(bool back) const {
    const auto& mine = m_merger->edits;
    if (!back)
        return mine;
    std::vector<Edit> out;
    for (auto it = mine.rbegin(); it != mine.rend(); ++it)
        out.push_back(reversed(*it));
    return out;
}

bool UndoStep::mergeWith(const QUndoCommand* other) {
    const auto* next = dynamic_cast<const UndoStep*>(other);
    if (!next || next->m_gesture != m_gesture)
        return false;
    m_merger->add(next->m_merger->edits);
    return true;
}

} // namespace riflesso
