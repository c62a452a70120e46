#include "casebook/casebook.h"

#include "casebook/text.h"
#include "casebook/undo_step.h"

#include <algorithm>

namespace riflesso {

Casebook::Casebook(std::shared_ptr<Library> library, CaseData data, Blueprint blueprint, Day today)
    : m_library(std::move(library)), m_data(std::move(data)), m_blueprint(std::move(blueprint)), m_today(today) {
    connect(&m_watcher, &QFutureWatcherBase::finished, this, &Casebook::finishAnalysis);
    m_dirty = true;
    startAnalysis();
}

Casebook::~Casebook() {
    m_jobs.stopAndWait();
    // A guardian may withdraw consent: what was removed is gone when the case is closed. A film that could not be
    // deleted belongs to no take and is offered when the library is opened next.
    for (const auto& film : m_removedFilms)
        if (std::none_of(m_data.takes.begin(), m_data.takes.end(),
                         [&](const auto& t) { return t.second.film == film; }))
            (void)m_library->removeFilm(film);
}

Result<std::unique_ptr<Casebook>> Casebook::open(std::shared_ptr<Library> library, Id caseId, Blueprint blueprint,
                                                 Day today) {
    auto data = library->load(caseId);
    if (!data)
        return data.error();
    return std::unique_ptr<Casebook>(new Casebook(std::move(library), std::move(*data), std::move(blueprint), today));
}

bool Casebook::perform(const QString& what, std::vector<Edit> edits, int gesture) {
    if (edits.empty())
        return true;
    // Written first: a step that could not be written never reaches the stack.
    if (!commit(edits))
        return false;
    takeOver(edits, [&] { m_undo.push(new UndoStep(what, edits, gesture)); });
    return true;
}

bool Casebook::undo() {
    return step(true);
}

bool Casebook::redo() {
    return step(false);
}

bool Casebook::step(bool back) {
    if (back ? !m_undo.canUndo() : !m_undo.canRedo())
        return false;
    const auto* command = static_cast<const UndoStep*>(m_undo.command(back ? m_undo.index() - 1 : m_undo.index()));
    const auto edits = command->edits(back);
    if (const auto why = mismatch(m_data, edits)) {
        emit failed(tr("This step can no longer be taken: another program has changed %1 since.").arg(q(*why)));
        return false;
    }
    if (!commit(edits))
        return false;
    takeOver(edits, [&] { back ? m_undo.undo() : m_undo.redo(); });
    return true;
}

bool Casebook::commit(const std::vector<Edit>& edits) {
    if (const auto s = m_library->apply(m_data.id, edits); !s) {
        emit failed(QString::fromStdString(s.error().text()));
        if (s.error().kind == ErrorKind::conflict)
            takeInForeign(); // so that what is newer is seen
        return false;
    }
    return true;
}

bool Casebook::takeInForeign() {
    if (!m_library->changedElsewhere())
        return true;
    auto data = m_library->load(m_data.id);
    if (!data) {
        emit failed(QString::fromStdString(data.error().text()));
        return false;
    }
    const auto edits = differences(m_data, *data);
    if (edits.empty())
        return true;
    takeOver(edits, [] {});
    emit foreignTaken();
    return true;
}

void Casebook::takeOver(const std::vector<Edit>& edits, const std::function<void()>& moveStack) {
    ChangeSet changes;
    const auto note = [](std::vector<Id>& list, Id id) {
        if (std::find(list.begin(), list.end(), id) == list.end())
            list.push_back(id);
    };
    for (const auto& edit : edits) {
        if (std::holds_alternative<BriefEdit>(edit)) {
            changes.brief = true;
        } else if (const auto* take = std::get_if<TakeEdit>(&edit)) {
            note(changes.takes, take->key);
            ++m_revision[take->key];
            if (take->before && !take->after)
                m_removedFilms.push_back(take->before->film);
        } else if (const auto* rep = std::get_if<RepEdit>(&edit)) {
            note(changes.reps, rep->after ? rep->after->take : rep->before->take);
        } else if (std::holds_alternative<BlockEdit>(edit)) {
            changes.blocks = true;
        } else if (std::holds_alternative<DecisionEdit>(edit)) {
            changes.decisions = true;
        } else if (std::holds_alternative<NoteEdit>(edit)) {
            changes.notes = true;
        } else if (std::holds_alternative<PlanEdit>(edit)) {
            changes.plan = true;
        } else if (std::holds_alternative<LinkEdit>(edit)) {
            changes.links = true;
        } else if (std::holds_alternative<RepeatEdit>(edit)) {
            changes.repeats = true;
            // How sure hand marks are has changed, of every take; an analysis under way must not bring the old back.
            m_motions.clear();
            for (const auto& [id, other] : m_data.takes)
                ++m_revision[id];
        } else if (const auto* mark = std::get_if<MarkEdit>(&edit)) {
            note(changes.marks, mark->key.take);
            ++m_revision[mark->key.take];
        }
        applyTo(m_data, edit);
    }
    for (Id id : changes.takes)
        m_motions.erase(id);
    for (Id id : changes.marks)
        m_motions.erase(id);
    m_dirty = true;
    moveStack();
    emit changed(changes);
    startAnalysis();
}

void Casebook::startAnalysis() {
    if (m_running || !m_dirty)
        return;
    m_dirty = false;
    m_running = true;
    m_runningRevision = m_revision;
    // The worker needs marks only of takes whose motion is not known; leaving the rest out keeps the copy small.
    CaseData copy{m_data.id,      m_data.blueprintId, m_data.brief,   m_data.takes,
                  m_data.reps,    m_data.blocks,      m_data.links,   {},
                  m_data.repeats, m_data.decisions,   m_data.planned, m_data.notes};
    for (const auto& [id, tracks] : m_data.marks)
        if (!m_motions.contains(id))
            copy.marks[id] = tracks;
    // missingAt() looks at marks: keep those on key positions of the takes left out.
    for (const auto& [id, rep] : m_data.reps) {
        if (!m_motions.contains(rep.take) || !m_data.marks.contains(rep.take))
            continue;
        for (const auto& [landmark, track] : m_data.marks.at(rep.take))
            for (const auto& [position, placed] : rep.positions)
                if (const auto mark = track.find(placed.frame); mark != track.end())
                    copy.marks[rep.take][landmark][placed.frame] = mark->second;
    }
    for (const auto& [id, repeat] : m_data.repeats) {
        if (!m_motions.contains(repeat.take) || !m_data.marks.contains(repeat.take))
            continue;
        for (const auto& placed : repeat.marks)
            if (const auto track = m_data.marks.at(repeat.take).find(placed.landmark);
                track != m_data.marks.at(repeat.take).end())
                if (const auto mark = track->second.find(placed.frame); mark != track->second.end())
                    copy.marks[repeat.take][placed.landmark][placed.frame] = mark->second;
    }
    m_watcher.setFuture(m_jobs.run(
        [copy = std::move(copy), blueprint = m_blueprint, today = m_today, known = m_motions, sure = m_sure,
         view = m_view] { return std::make_shared<Analysis>(analyse(copy, blueprint, today, known, sure, view)); }));
}

void Casebook::finishAnalysis() {
    if (!m_running)
        return;
    m_running = false;
    m_analysis = std::move(*m_watcher.result());
    for (const auto& [id, motion] : m_analysis.motions)
        if (m_revision[id] == m_runningRevision[id])
            m_motions[id] = motion;
    if (m_dirty)
        startAnalysis(); // what changed meanwhile
    else
        emit analysed();
}

void Casebook::takeBlueprint(Blueprint blueprint) {
    m_blueprint = std::move(blueprint);
    m_dirty = true;
    ChangeSet changes;
    changes.plan = true;
    emit changed(changes);
    startAnalysis();
}

void Casebook::setSure(double probability) {
    probability = std::clamp(probability, 0.5, 0.999);
    if (m_sure == probability)
        return;
    m_sure = probability;
    m_dirty = true;
    startAnalysis();
}

void Casebook::setView(const SetChoice& choice) {
    if (m_view == choice)
        return;
    m_view = choice;
    m_dirty = true;
    startAnalysis();
}

const Analysis& Casebook::analysisNow() {
    while (analysing()) {
        startAnalysis();
        m_watcher.waitForFinished();
        finishAnalysis();
    }
    return m_analysis;
}

bool Casebook::setBrief(const Brief& brief) {
    if (brief == m_data.brief)
        return true;
    return perform(tr("change the brief"), {BriefEdit{{}, m_data.brief, brief}});
}

Id Casebook::addTake(Take take) {
    take.id = m_library->freshId();
    return perform(tr("add the film %1").arg(QString::fromStdString(take.title)),
                   {TakeEdit{take.id, std::nullopt, take}})
               ? take.id
               : 0;
}

bool Casebook::setTake(const Take& take, const QString& what) {
    const auto it = m_data.takes.find(take.id);
    if (it == m_data.takes.end())
        return false;
    if (it->second == take)
        return true;
    return perform(what, {TakeEdit{take.id, it->second, take}});
}

Id Casebook::keepNote(FrameNote note) {
    const auto before = m_data.notes.find(note.id);
    if (before == m_data.notes.end()) {
        note.id = m_library->freshId();
        note.day = m_today;
        return perform(tr("keep a note"), {NoteEdit{note.id, std::nullopt, note}}) ? note.id : 0;
    }
    return perform(tr("change a note"), {NoteEdit{note.id, before->second, note}}) ? note.id : 0;
}

// The edits that take a note away, and its number from the decisions that showed it.
void Casebook::forget(Id note, std::vector<Edit>& edits) const {
    for (const auto& [id, decision] : m_data.decisions)
        if (decision.note == note) {
            FindingDecision without = decision;
            without.note = 0;
            edits.push_back(DecisionEdit{id, decision, without});
        }
    edits.push_back(NoteEdit{note, m_data.notes.at(note), std::nullopt});
}

bool Casebook::removeNote(Id note) {
    if (!m_data.notes.contains(note))
        return false;
    std::vector<Edit> edits;
    forget(note, edits);
    return perform(tr("remove a note"), std::move(edits));
}

bool Casebook::removeTake(Id take) {
    const auto it = m_data.takes.find(take);
    if (it == m_data.takes.end())
        return false;
    std::vector<Edit> edits;
    if (const auto marks = m_data.marks.find(take); marks != m_data.marks.end())
        for (const auto& [landmark, track] : marks->second)
            for (const auto& [frame, mark] : track)
                edits.push_back(MarkEdit{{take, frame, landmark}, mark, std::nullopt});
    for (const auto& [id, rep] : m_data.reps)
        if (rep.take == take)
            edits.push_back(RepEdit{id, rep, std::nullopt});
    for (const auto& [id, link] : m_data.links)
        if (link.a == take || link.b == take)
            edits.push_back(LinkEdit{id, link, std::nullopt});
    for (const auto& [id, repeat] : m_data.repeats)
        if (repeat.take == take)
            edits.push_back(RepeatEdit{id, repeat, std::nullopt});
    for (const auto& [id, note] : m_data.notes)
        if (note.take == take)
            forget(id, edits);
    edits.push_back(TakeEdit{take, it->second, std::nullopt});
    return perform(tr("remove the film %1").arg(QString::fromStdString(it->second.title)), std::move(edits));
}

Id Casebook::addRep(Id take) {
    int number = 1;
    for (const Rep* r : repsOf(m_data, take))
        number = std::max(number, r->number + 1);
    Rep rep;
    rep.id = m_library->freshId();
    rep.take = take;
    rep.number = number;
    return perform(tr("add rep %1").arg(number), {RepEdit{rep.id, std::nullopt, rep}}) ? rep.id : 0;
}

bool Casebook::removeRep(Id rep) {
    const auto it = m_data.reps.find(rep);
    return it != m_data.reps.end() &&
           perform(tr("remove rep %1").arg(it->second.number), {RepEdit{rep, it->second, std::nullopt}});
}

bool Casebook::placePosition(Id rep, const PositionId& position, FrameIndex frame) {
    const auto it = m_data.reps.find(rep);
    const auto* p = m_blueprint.position(position);
    if (it == m_data.reps.end() || !p)
        return false;
    Rep after = it->second;
    after.positions[position] = {frame, std::nullopt};
    if (after == it->second)
        return true;
    std::vector<Edit> edits{RepEdit{rep, it->second, after}};
    for (const auto& [take, there] : lockedFrames(m_data, after.take, frame)) {
        std::optional<Rep> before;
        for (const Rep* r : repsOf(m_data, take))
            if (r->number == after.number)
                before = *r;
        Rep other = before.value_or(Rep{});
        if (!before) {
            other.id = m_library->freshId();
            other.take = take;
            other.number = after.number;
        }
        other.positions[position] = {there.frame, there.sigma};
        edits.push_back(RepEdit{other.id, before, other});
    }
    return perform(tr("place %1").arg(QString::fromStdString(p->name)), std::move(edits));
}

bool Casebook::proposePositions(Id rep, const std::map<PositionId, PositionProposal>& proposals) {
    const auto it = m_data.reps.find(rep);
    if (it == m_data.reps.end())
        return false;
    Rep after = it->second;
    const Timebase time = timebaseOf(m_data.takes.at(after.take));
    for (const auto& [id, p] : proposals) {
        const auto placed = after.positions.find(id);
        if (placed != after.positions.end() && !placed->second.proposed)
            continue;
        after.positions[id] = {p.frame, p.sigma, p.time - time.real(p.frame).value, true};
    }
    if (after == it->second)
        return false;
    return perform(tr("propose key positions"), {RepEdit{rep, it->second, after}});
}

bool Casebook::acceptPosition(Id rep, const PositionId& position) {
    const auto it = m_data.reps.find(rep);
    if (it == m_data.reps.end())
        return false;
    Rep after = it->second;
    const auto placed = after.positions.find(position);
    if (placed == after.positions.end() || !placed->second.proposed)
        return false;
    placed->second.proposed = false;
    return perform(tr("accept %1").arg(QString::fromStdString(m_blueprint.position(position)->name)),
                   {RepEdit{rep, it->second, after}});
}

int Casebook::acceptPositions(const std::vector<Id>& reps, double frames) {
    int accepted = 0;
    std::vector<Edit> edits;
    for (const Id id : reps) {
        const auto it = m_data.reps.find(id);
        if (it == m_data.reps.end())
            continue;
        Rep after = it->second;
        const Timebase time = timebaseOf(m_data.takes.at(after.take));
        for (auto& [position, placed] : after.positions)
            if (placed.proposed && instantError(placed, time) < frames * time.realPeriod(placed.frame)) {
                placed.proposed = false;
                ++accepted;
            }
        if (!(after == it->second))
            edits.push_back(RepEdit{id, it->second, after});
    }
    return perform(tr("accept key positions"), std::move(edits)) ? accepted : 0;
}

bool Casebook::putMarks(Id take, const TrackSet& marks, const QString& what, int gesture, bool over) {
    std::vector<Edit> edits;
    const auto tracks = m_data.marks.find(take);
    for (const auto& [landmark, track] : marks) {
        const Track* there = nullptr;
        if (tracks != m_data.marks.end())
            if (const auto t = tracks->second.find(landmark); t != tracks->second.end())
                there = &t->second;
        for (const auto& [frame, mark] : track) {
            std::optional<Mark> before;
            if (there)
                if (const auto m = there->find(frame); m != there->end())
                    before = m->second;
            if (before && (*before == mark || (!over && (before->how == How::hand || before->how == How::hidden))))
                continue;
            edits.push_back(MarkEdit{{take, frame, landmark}, before, mark});
        }
    }
    return perform(what, std::move(edits), gesture);
}

bool Casebook::swapSides(Id take, FrameIndex from, FrameIndex to) {
    const auto tracks = m_data.marks.find(take);
    if (tracks == m_data.marks.end())
        return false;
    std::vector<Edit> edits;
    for (const auto& [landmark, track] : tracks->second) {
        const LandmarkName other = mirrored(landmark);
        if (other == landmark)
            continue;
        const auto otherTrack = tracks->second.find(other);
        for (auto m = track.lower_bound(from); m != track.end() && m->first <= to; ++m) {
            std::optional<Mark> there;
            if (otherTrack != tracks->second.end())
                if (const auto o = otherTrack->second.find(m->first); o != otherTrack->second.end())
                    there = o->second;
            edits.push_back(MarkEdit{{take, m->first, other}, there, m->second});
            if (!there) // nothing comes back the other way
                edits.push_back(MarkEdit{{take, m->first, landmark}, m->second, std::nullopt});
        }
    }
    return perform(tr("swap left and right"), std::move(edits));
}

Id Casebook::addRepeat(RepeatMarking repeat) {
    repeat.id = m_library->freshId();
    return perform(tr("begin a repeat marking"), {RepeatEdit{repeat.id, std::nullopt, repeat}}) ? repeat.id : 0;
}

bool Casebook::setRepeat(const RepeatMarking& repeat, const QString& what) {
    const auto it = m_data.repeats.find(repeat.id);
    return it != m_data.repeats.end() &&
           (it->second == repeat || perform(what, {RepeatEdit{repeat.id, it->second, repeat}}));
}

bool Casebook::removeRepeat(Id repeat) {
    const auto it = m_data.repeats.find(repeat);
    return it != m_data.repeats.end() &&
           perform(tr("remove a repeat marking"), {RepeatEdit{repeat, it->second, std::nullopt}});
}

bool Casebook::clearPosition(Id rep, const PositionId& position) {
    const auto it = m_data.reps.find(rep);
    if (it == m_data.reps.end() || !it->second.positions.contains(position))
        return false;
    Rep after = it->second;
    after.positions.erase(position);
    return perform(tr("take a key position away"), {RepEdit{rep, it->second, after}});
}

bool Casebook::setMark(const MarkKey& key, const Mark& mark, int gesture) {
    std::optional<Mark> before;
    if (const auto take = m_data.marks.find(key.take); take != m_data.marks.end())
        if (const auto track = take->second.find(key.landmark); track != take->second.end())
            if (const auto it = track->second.find(key.frame); it != track->second.end())
                before = it->second;
    if (before && *before == mark)
        return true;
    const QString landmark = QString::fromStdString(spoken(key.landmark));
    return perform(before ? tr("move the %1").arg(landmark) : tr("mark the %1").arg(landmark),
                   {MarkEdit{key, before, mark}}, gesture);
}

bool Casebook::removeMark(const MarkKey& key) {
    const auto take = m_data.marks.find(key.take);
    if (take == m_data.marks.end() || !take->second.contains(key.landmark) ||
        !take->second.at(key.landmark).contains(key.frame))
        return false;
    return perform(tr("take the mark of the %1 away").arg(QString::fromStdString(spoken(key.landmark))),
                   {MarkEdit{key, take->second.at(key.landmark).at(key.frame), std::nullopt}});
}

bool Casebook::addReps(Id take, const std::vector<Rep>& reps) {
    std::vector<Edit> edits;
    for (Rep rep : reps) {
        rep.id = m_library->freshId();
        rep.take = take;
        edits.push_back(RepEdit{rep.id, std::nullopt, rep});
    }
    return perform(reps.size() == 1 ? tr("accept a rep") : tr("accept %1 reps").arg(reps.size()),
                   numbered(take, std::move(edits)));
}

std::vector<Edit> Casebook::numbered(Id take, std::vector<Edit> edits) const {
    std::map<Id, Rep> reps;
    for (const Rep* r : repsOf(m_data, take))
        reps[r->id] = *r;
    for (const auto& e : edits)
        if (const auto* rep = std::get_if<RepEdit>(&e)) {
            if (rep->after)
                reps[rep->key] = *rep->after;
            else
                reps.erase(rep->key);
        }
    const auto begins = [](const Rep& r) {
        int at = r.first ? r.first->value : 1 << 30;
        for (const auto& [id, p] : r.positions)
            at = r.first ? at : std::min(at, p.frame.value);
        return at;
    };
    std::vector<Rep*> order;
    for (auto& [id, r] : reps)
        order.push_back(&r);
    std::stable_sort(order.begin(), order.end(), [&](const Rep* a, const Rep* b) { return begins(*a) < begins(*b); });
    int number = 0;
    for (Rep* r : order) {
        r->number = ++number;
        bool edited = false;
        for (auto& e : edits)
            if (auto* rep = std::get_if<RepEdit>(&e); rep && rep->key == r->id) {
                rep->after = *r;
                edited = true;
            }
        if (!edited && m_data.reps.at(r->id).number != number)
            edits.push_back(RepEdit{r->id, m_data.reps.at(r->id), *r});
    }
    return edits;
}

bool Casebook::splitRep(Id rep, FrameIndex at) {
    const auto it = m_data.reps.find(rep);
    if (it == m_data.reps.end() || !it->second.first || !it->second.last || at <= *it->second.first ||
        at >= *it->second.last)
        return false;
    const Rep& before = it->second;
    Rep one = before, two = before;
    two.id = m_library->freshId();
    two.worked.reset();
    two.score.reset();
    one.last = at - 1;
    two.first = at;
    two.positions.clear();
    for (const auto& [id, p] : before.positions)
        if (p.frame >= at) {
            two.positions[id] = p;
            one.positions.erase(id);
        }
    return perform(tr("split rep %1").arg(before.number),
                   numbered(before.take, {RepEdit{one.id, before, one}, RepEdit{two.id, std::nullopt, two}}));
}

bool Casebook::mergeReps(Id first, Id second) {
    const auto a = m_data.reps.find(first), b = m_data.reps.find(second);
    if (a == m_data.reps.end() || b == m_data.reps.end() || a->second.take != b->second.take || first == second)
        return false;
    Rep merged = a->second;
    if (b->second.last)
        merged.last = b->second.last;
    for (const auto& [id, p] : b->second.positions)
        merged.positions.emplace(id, p);
    return perform(
        tr("merge reps %1 and %2").arg(a->second.number).arg(b->second.number),
        numbered(merged.take, {RepEdit{first, a->second, merged}, RepEdit{second, b->second, std::nullopt}}));
}

bool Casebook::setRep(const Rep& rep, const QString& what) {
    const auto it = m_data.reps.find(rep.id);
    return it != m_data.reps.end() && (it->second == rep || perform(what, {RepEdit{rep.id, it->second, rep}}));
}

Id Casebook::addLink(Link link) {
    link.id = m_library->freshId();
    return perform(tr("lock two films"), {LinkEdit{link.id, std::nullopt, link}}) ? link.id : 0;
}

bool Casebook::setLink(const Link& link, const QString& what) {
    const auto it = m_data.links.find(link.id);
    return it != m_data.links.end() && (it->second == link || perform(what, {LinkEdit{link.id, it->second, link}}));
}

bool Casebook::removeLink(Id link) {
    const auto it = m_data.links.find(link);
    return it != m_data.links.end() && perform(tr("unlock two films"), {LinkEdit{link, it->second, std::nullopt}});
}

} // namespace riflesso
