// What the keys and buttons of Marking do beyond placing a mark: carrying, proposing, worst first, copying, swapping.

#include "casebook/drawing.h"
#include "casebook/text.h"
#include "core/motion/proxy.h"
#include "core/motion/rep_finder.h"
#include "desktop/marking/marking_page.h"
#include "desktop/parts/card.h"
#include "footage/sound.h"

#include <QFutureWatcher>

#include <algorithm>

namespace riflesso {

void MarkingPage::carryRep(bool alone) {
    const Take* take = m_bench.take();
    if (!take)
        return;
    FrameIndex first(0), last(std::max(0, static_cast<int>(take->times.size()) - 1));
    QString what = tr("Carry the marks");
    if (const Rep* rep = m_bench.rep()) {
        std::tie(first, last) = spanOf(m_bench.data(), *rep);
        what = tr("Carry the marks of rep %1").arg(rep->number);
    }
    std::vector<LandmarkName> only;
    if (alone && !m_canvas->landmark().empty()) {
        only = {m_canvas->landmark()};
        what = tr("Carry the %1").arg(q(spoken(m_canvas->landmark())));
    }
    m_carrier->carryRange(take->id, first, last, only, what);
    m_canvas->setFocus();
}

// Strikes of the take's sound, read once on a worker; proposals that need them wait for nothing and are made anew.
void MarkingPage::listen() {
    const Take* take = m_bench.take();
    const auto& positions = m_bench.blueprint().positions;
    const bool heard = std::any_of(positions.begin(), positions.end(),
                                   [](const KeyPosition& p) { return p.rule && p.rule->kind == RuleKind::strike; });
    if (!take || !heard || m_strikesOf == take->id)
        return;
    m_strikesOf = take->id;
    m_strikes.clear();
    const Timebase time = timebaseOf(*take);
    const double slow =
        time.captureRate() && time.fileRate().value > 0.0 ? time.captureRate()->value / time.fileRate().value : 1.0;
    auto* watcher = new QFutureWatcher<std::vector<double>>(this);
    connect(watcher, &QFutureWatcherBase::finished, this, [this, watcher, id = take->id] {
        if (m_strikesOf == id) {
            m_strikes = watcher->result();
            propose();
        }
        watcher->deleteLater();
    });
    watcher->setFuture(m_bench.book().jobs().run([film = m_bench.filmPath(*take).toStdString(), slow] {
        std::vector<double> out;
        if (const auto sound = soundOf(film))
            for (double s : strikes(*sound))
                out.push_back(s / slow);
        return out;
    }));
}

void MarkingPage::propose() {
    const Take* take = m_bench.take();
    if (!take)
        return;
    if (!m_bench.rep())
        startRep();
    const Rep* rep = m_bench.rep();
    if (!rep)
        return;
    listen();
    std::map<PositionId, std::string> reasons;
    const auto found = proposalsFor(m_bench.data(), m_bench.blueprint(), *rep, m_strikes, &reasons);
    m_bench.book().proposePositions(rep->id, found);
    int unsure = 0;
    for (const auto& [id, p] : found)
        unsure += !p.sure;
    QStringList missing;
    for (const auto& [id, why] : reasons)
        missing << tr("%1 (%2)").arg(q(m_bench.blueprint().position(id)->name), q(why));
    if (found.empty())
        emit failed(tr("No key position can be proposed. Carry the rep's marks first. %1").arg(missing.join("; ")));
    else
        emit said(tr("%1 proposed%2%3")
                      .arg(counted(static_cast<qsizetype>(found.size()), tr("key position"), tr("key positions")))
                      .arg(unsure ? tr(", %1 of them unsure").arg(unsure) : QString())
                      .arg(missing.isEmpty() ? QString() : tr("; not found: %1").arg(missing.join("; "))));
    if (const Rep* now = m_bench.rep())
        for (const auto& p : m_bench.blueprint().positions)
            if (const auto it = now->positions.find(p.id); it != now->positions.end() && it->second.proposed) {
                m_bench.setFrame(it->second.frame.value);
                break;
            }
    showFrame();
    m_canvas->setFocus();
}

void MarkingPage::worstNext() {
    // After a reading: the few looks that it asked for.
    if (const auto look = m_bench.nextLook()) {
        QStringList names;
        for (const auto& id : look->decides)
            if (const auto* m = m_bench.blueprint().measure(id))
                names << q(m->definition.name);
        emit said(names.isEmpty() ? tr("Is every point where it belongs? %1 more to look at.").arg(m_bench.looksLeft())
                                  : tr("Is every point where it belongs? It may decide: %1. %2 more to look at.")
                                        .arg(names.join(", "))
                                        .arg(m_bench.looksLeft()));
        refresh();
        m_canvas->setFocus();
        return;
    }
    const Rep* rep = m_bench.rep();
    const auto a = rep ? m_bench.analysis().attention.find(rep->id) : m_bench.analysis().attention.end();
    // Two angles that contradict one another come first: one of the marks is not unsure but wrong.
    if (rep) {
        const auto [first, last] = spanOf(m_bench.data(), *rep);
        const ViewMismatch* worst = nullptr;
        FrameIndex where;
        for (const auto& check : m_bench.analysis().views)
            if (check.has(rep->take))
                for (const auto& m : check.off) {
                    const FrameIndex f = check.a == rep->take ? m.a : m.b;
                    if (f >= first && f <= last && f.value != m_bench.frame() && (!worst || m.misfit > worst->misfit)) {
                        worst = &m;
                        where = f;
                    }
                }
        if (worst) {
            const LandmarkName landmark = worst->landmark;
            m_bench.setFrame(where.value);
            m_canvas->setLandmark(landmark);
            refresh();
            m_canvas->setFocus();
            return;
        }
    }
    if (a == m_bench.analysis().attention.end() || a->second.asks.empty()) {
        emit said(
            a != m_bench.analysis().attention.end() && !a->second.beyondUs.empty()
                ? tr("No mark would decide more: %1 need more reps or another film.")
                      .arg(counted(static_cast<qsizetype>(a->second.beyondUs.size()), tr("measure"), tr("measures")))
                : tr("Nothing is left that a better mark would decide."));
        return;
    }
    // The frame shown was looked at already: the next one, if there is one.
    const Ask* ask = &a->second.asks.front();
    if (ask->frame.value == m_bench.frame() && a->second.asks.size() > 1)
        ask = &a->second.asks[1];
    const LandmarkName first = ask->landmarks.front();
    m_bench.setFrame(ask->frame.value);
    m_canvas->setLandmark(first);
    showFrame();
    m_canvas->setFocus();
}

void MarkingPage::accept() {
    if (m_repeat->running()) {
        m_repeat->goOn();
        return;
    }
    const Rep* rep = m_bench.rep();
    const PositionId here = positionHere();
    if (rep && !here.empty() && rep->positions.at(here).proposed) {
        m_bench.book().acceptPosition(rep->id, here);
        rep = m_bench.rep();
        for (const auto& p : m_bench.blueprint().positions)
            if (const auto it = rep->positions.find(p.id); it != rep->positions.end() && it->second.proposed) {
                m_bench.setFrame(it->second.frame.value);
                break;
            }
        showFrame();
        return;
    }
    if (m_canvas->confirmCurrent()) {
        if (const Take* take = m_bench.take())
            m_carrier->carryAround(take->id, FrameIndex(m_bench.frame()), m_canvas->landmark());
        advance();
        return;
    }
    if (rep)
        for (const auto& [id, p] : rep->positions)
            if (p.proposed) {
                m_bench.setFrame(p.frame.value);
                return;
            }
}

void MarkingPage::acceptAll(bool everyRep) {
    const Rep* rep = m_bench.rep();
    if (!rep)
        return;
    std::vector<Id> reps{rep->id};
    if (everyRep) {
        reps.clear();
        for (const Rep* r : repsOf(m_bench.data(), rep->take))
            reps.push_back(r->id);
    }
    const int n = everyRep ? m_bench.book().acceptPositions(reps, 1.0) : m_bench.book().acceptPositions(reps);
    emit said(n == 0 ? everyRep ? tr("No key position is both hollow and surer than a frame.")
                                : tr("This rep has no hollow key position.")
                     : tr("%1 accepted.").arg(counted(n, tr("key position"), tr("key positions"))));
    showFrame();
}

void MarkingPage::unsureNext() {
    const Rep* rep = m_bench.rep();
    const Take* take = m_bench.take();
    if (!rep || !take)
        return;
    const Timebase time = timebaseOf(*take);
    // In order of time from here on, then from the beginning.
    std::vector<std::pair<int, Id>> unsure;
    for (const Rep* r : repsOf(m_bench.data(), take->id))
        for (const auto& [id, p] : r->positions)
            if (p.proposed && instantError(p, time) >= time.realPeriod(p.frame))
                unsure.emplace_back(p.frame.value, r->id);
    if (unsure.empty()) {
        emit said(tr("No hollow key position is unsure by more than a frame."));
        return;
    }
    std::sort(unsure.begin(), unsure.end());
    const auto next =
        std::find_if(unsure.begin(), unsure.end(), [&](const auto& u) { return u.first > m_bench.frame(); });
    const auto& [frame, id] = next == unsure.end() ? unsure.front() : *next;
    m_bench.selectRep(id);
    m_bench.setFrame(frame);
}

void MarkingPage::movePeg(int frames) {
    const Rep* rep = m_bench.rep();
    const PositionId here = positionHere();
    if (!rep || here.empty()) {
        m_bench.setFrame(m_bench.frame() + frames);
        return;
    }
    const Id id = rep->id;
    const Take* take = m_bench.take();
    const int to = std::clamp(m_bench.frame() + frames, 0, std::max(0, static_cast<int>(take->times.size()) - 1));
    if (m_bench.book().placePosition(id, here, FrameIndex(to)))
        m_bench.setFrame(to);
}

void MarkingPage::copyBefore(bool mirror) {
    const Take* take = m_bench.take();
    if (!take || m_repeat->running() || !m_bench.data().marks.contains(take->id))
        return;
    const FrameIndex here(m_bench.frame());
    TrackSet copied;
    std::optional<FrameIndex> from;
    for (const auto& [name, track] : m_bench.data().marks.at(take->id))
        if (auto m = track.lower_bound(here); m != track.begin())
            from = std::max(from.value_or(FrameIndex(-1)), std::prev(m)->first);
    if (!from)
        return;
    for (const auto& [name, track] : m_bench.data().marks.at(take->id))
        if (const auto m = track.find(*from); m != track.end() && m->second.how != How::hidden) {
            Mark mark = m->second;
            mark.how = How::interpolated; // nobody has looked yet: a click or Enter makes it a hand's
            mark.sigma = std::hypot(mark.sigma, 4.0 * (here - *from));
            copied[mirror ? mirrored(name) : name][here] = mark;
        }
    m_bench.book().putMarks(take->id, copied, mirror ? tr("copy marks with sides swapped") : tr("copy marks"));
    showFrame();
}

void MarkingPage::swapSidesFromHere() {
    const Take* take = m_bench.take();
    if (!take || m_repeat->running())
        return;
    FrameIndex last(std::max(0, static_cast<int>(take->times.size()) - 1));
    if (const Rep* rep = m_bench.rep())
        last = std::max(spanOf(m_bench.data(), *rep).second, FrameIndex(m_bench.frame()));
    m_bench.book().swapSides(take->id, FrameIndex(m_bench.frame()), last);
    showFrame();
}

void MarkingPage::startLikeMarked() {
    const Take* take = m_bench.take();
    if (!take)
        return;
    if (!m_bench.rep())
        startRep();
    const Rep* rep = m_bench.rep();
    const auto tracks = m_bench.data().marks.find(take->id);
    if (!rep || tracks == m_bench.data().marks.end()) {
        emit failed(tr("No rep of this take is marked yet. Mark one, then the others can start from it."));
        return;
    }
    // The nearest rep with the most hand marks.
    const Rep* guide = nullptr;
    long most = 0;
    for (const Rep* other : repsOf(m_bench.data(), take->id)) {
        if (other->id == rep->id)
            continue;
        const auto [first, last] = spanOf(m_bench.data(), *other);
        long n = 0;
        for (const auto& [name, track] : tracks->second)
            for (auto m = track.lower_bound(first); m != track.end() && m->first <= last; ++m)
                n += m->second.how == How::hand;
        if (n > most) {
            most = n;
            guide = other;
        }
    }
    if (!guide) {
        emit failed(tr("No other rep of this take is marked by hand. Mark one, then the others can start from it."));
        return;
    }
    m_carrier->seedFrom(guide->id, rep->id);
}

void MarkingPage::readByProxy() {
    const Take* take = m_bench.take();
    if (!take || !m_bench.data().marks.contains(take->id))
        return;
    const auto& tracks = m_bench.data().marks.at(take->id);
    FrameIndex first(0), last(std::max(0, static_cast<int>(take->times.size()) - 1));
    if (const Rep* rep = m_bench.rep())
        std::tie(first, last) = spanOf(m_bench.data(), *rep);
    TrackSet out;
    std::size_t n = 0;
    QStringList learnt;
    for (const auto& rule : m_bench.blueprint().proxies) {
        const auto body = [&](const std::string& role) { return resolveRole(role, take->handedness); };
        const LandmarkName name = body(rule.landmark), from = body(rule.from), to = body(rule.to);
        const auto geometry = learnProxy(tracks, name, from, to);
        const auto a = tracks.find(from), b = tracks.find(to), own = tracks.find(name);
        if (!geometry || a == tracks.end() || b == tracks.end())
            continue;
        for (auto m = a->second.lower_bound(first); m != a->second.end() && m->first <= last; ++m) {
            const auto other = b->second.find(m->first);
            if (other == b->second.end() || m->second.how == How::hidden || other->second.how == How::hidden)
                continue;
            const Mark* there = nullptr;
            if (own != tracks.end())
                if (const auto it = own->second.find(m->first); it != own->second.end())
                    there = &it->second;
            if (there && there->how != How::hidden && there->how != How::proxy)
                continue; // it is seen
            out[name][m->first] = proxyMark(*geometry, m->second, other->second);
            ++n;
        }
        if (out.contains(name))
            learnt << tr("%1 from %2 and %3").arg(q(spoken(name)), q(spoken(from)), q(spoken(to)));
    }
    if (n == 0) {
        emit said(tr("Nothing is hidden that its neighbours could give away."));
        return;
    }
    m_bench.book().putMarks(take->id, out, tr("read hidden points from their neighbours"), 0, true);
    emit said(
        tr("%1 by proxy: %2").arg(counted(static_cast<qsizetype>(n), tr("mark"), tr("marks")), learnt.join("; ")));
    showFrame();
}

void MarkingPage::followAthlete() {
    const Take* take = m_bench.take();
    if (!m_follow->isChecked() || !take)
        return;
    QPointF sum;
    int n = 0;
    for (const auto& [name, p] : pointsAt(m_bench.data(), m_bench.analysis(), take->id, FrameIndex(m_bench.frame()))) {
        sum += p;
        ++n;
    }
    if (n > 0)
        m_canvas->centreOn(sum / n);
}

} // namespace riflesso
