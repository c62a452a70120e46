// Marking by keys: pegs, steps, what is asked for next.

#include "desktop/marking/marking_page.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"

#include <QKeyEvent>

namespace riflesso {

void MarkingPage::setLeftHanded(bool left) {
    static_cast<QBoxLayout*>(layout())->setDirection(left ? QBoxLayout::RightToLeft : QBoxLayout::LeftToRight);
}

void MarkingPage::advance() {
    const auto list = wanted();
    auto marked = markedHere();
    if (m_repeat->running() &&
        openAt(m_bench.data().repeats.at(m_repeat->running()), FrameIndex(m_bench.frame())).empty()) {
        m_repeat->goOn();
        return;
    }
    // On a frame that was asked for, what a hand has not made yet comes next.
    if (const Ask* ask = askHere(); ask && m_bench.take()) {
        const auto& tracks = m_bench.data().marks.at(m_bench.take()->id);
        for (const auto& name : ask->landmarks) {
            const auto track = tracks.find(name);
            const bool done = track != tracks.end() && track->second.contains(FrameIndex(m_bench.frame())) &&
                              track->second.at(FrameIndex(m_bench.frame())).how == How::hand;
            if (!done) {
                m_canvas->setLandmark(name);
                refresh();
                return;
            }
        }
    }
    const auto at = std::find(list.begin(), list.end(), m_canvas->landmark());
    // The next open one after this in the guided order, then from the start again.
    const auto isOpen = [&](const LandmarkName& n) { return !marked.contains(n); };
    auto next = at == list.end() ? list.end() : std::find_if(std::next(at), list.end(), isOpen);
    if (next == list.end())
        next = std::find_if(list.begin(), list.end(), isOpen);
    if (next != list.end() && (!positionHere().empty() || m_repeat->running()))
        m_canvas->setLandmark(*next);
    refresh();
}

void MarkingPage::startRep() {
    const Take* take = m_bench.take();
    if (!take)
        return;
    const int frame = m_bench.frame();
    if (const Id rep = m_bench.book().addRep(take->id)) {
        m_bench.selectRep(rep);
        m_bench.setFrame(frame);
    }
    m_canvas->setFocus();
}

void MarkingPage::placePeg(int index) {
    const auto& positions = m_bench.blueprint().positions;
    const Take* take = m_bench.take();
    if (!take || index < 0 || index >= static_cast<int>(positions.size()))
        return;
    if (!m_bench.rep())
        startRep();
    if (const Rep* rep = m_bench.rep())
        m_bench.book().placePosition(rep->id, positions[static_cast<std::size_t>(index)].id,
                                     FrameIndex(m_bench.frame()));
    showFrame();
}

void MarkingPage::nextOpen() {
    const Take* take = m_bench.take();
    const Rep* rep = m_bench.rep();
    if (!take || !rep)
        return;
    for (const auto& id : positionsFor(m_bench.blueprint(), take->view))
        if (const auto missing = missingAt(m_bench.data(), m_bench.blueprint(), *rep, id); !missing.empty()) {
            m_bench.setFrame(rep->positions.at(id).frame.value);
            m_canvas->setLandmark(missing.front());
            refresh();
            m_canvas->setFocus();
            return;
        }
    say();
}

void MarkingPage::toPeg(int direction) {
    const Rep* rep = m_bench.rep();
    if (!rep)
        return;
    std::optional<int> best;
    for (const auto& [id, p] : rep->positions) {
        const int d = (p.frame.value - m_bench.frame()) * direction;
        if (d > 0 && (!best || d < (*best - m_bench.frame()) * direction))
            best = p.frame.value;
    }
    if (best)
        m_bench.setFrame(*best);
}

void MarkingPage::toLandmark(int way) {
    const auto list = wanted();
    if (list.empty())
        return;
    const auto at = std::find(list.begin(), list.end(), m_canvas->landmark());
    const auto n = static_cast<std::ptrdiff_t>(list.size());
    const std::ptrdiff_t i = at == list.end() ? 0 : (at - list.begin() + way + n) % n;
    m_canvas->setLandmark(list[static_cast<std::size_t>(i)]);
    refresh();
}

// Towards the right and the lower edge of the screen, in pixels of the film.
void MarkingPage::nudge(double right, double down) {
    const bool swapped = m_bench.take() && m_bench.take()->picture.swapped;
    static_cast<void>(m_canvas->nudge(swapped ? -right : right, down));
}

void MarkingPage::zoom(double by) {
    m_canvas->zoomBy(by, QPointF(m_canvas->width() / 2.0, m_canvas->height() / 2.0));
}

void MarkingPage::makeKeys() {
    m_keys->addSteps(tr("one frame; with Shift ten"), {}, [this](int n) { m_bench.setFrame(m_bench.frame() + n); });
    m_keys->add(tr("first, last frame"), {"Home"}, [this] { m_bench.setFrame(0); });
    m_keys->add(tr("first, last frame"), {"End"}, [this] { m_bench.setFrame(1 << 30); });
    makePegKeys();
    makePointKeys();
    m_stay = m_keys->add(tr("stay with the athlete while zoomed in"), {"Z"}, [this] { m_follow->toggle(); });
    m_keys->tell(tr("Wheel, + −"), tr("zoom"));
    m_keys->also({"+"}, [this] { zoom(1.5); });
    m_keys->also({"-"}, [this] { zoom(1 / 1.5); });
    m_keys->tell(tr("Shift+drag, middle button"), tr("pan"));
    m_keys->add(tr("whole picture"), {"F"}, [this] { m_canvas->fit(); });
}

void MarkingPage::makePegKeys() {
    m_keys->tell("1 … 9", tr("place the key position of that number here; with Shift the tenth and on"));
    m_keys->add(tr("key position before, after"), {"Up"}, [this] { toPeg(-1); });
    m_keys->add(tr("key position before, after"), {"Down"}, [this] { toPeg(1); });
    m_newRep = m_keys->add(tr("start a rep"), {"R"}, [this] { startRep(); });
    m_next = m_keys->add(tr("next open point of this rep"), {"N"}, [this] { nextOpen(); });
    m_propose = m_keys->add(tr("propose key positions"), {"P"}, [this] { propose(); });
    const auto unlessDrafting = [this](std::function<void()> what) {
        return [this, what] { m_draft->asking() ? m_draft->go() : what(); };
    };
    m_keys->add(tr("accept the hollow peg or the carried mark shown; go to the next"), {"Return", "Enter"},
                unlessDrafting([this] { accept(); }));
    m_keys->add(tr("accept all hollow pegs of this rep"), {"Shift+Return", "Shift+Enter"},
                unlessDrafting([this] { acceptAll(false); }));
    m_keys->add(tr("accept those of all reps that are surer than a frame"), {"Ctrl+Shift+Return", "Ctrl+Shift+Enter"},
                unlessDrafting([this] { acceptAll(true); }));
    m_keys->add(tr("next hollow peg that is unsure"), {"U"}, [this] { unsureNext(); });
    m_keys->add(tr("move the peg on this frame"), {"Ctrl+Left"}, [this] { movePeg(-1); });
    m_keys->add(tr("move the peg on this frame"), {"Ctrl+Right"}, [this] { movePeg(1); });
    m_keys->add(tr("take the peg on this frame away"), {"Ctrl+Delete", "Ctrl+Backspace"}, [this] {
        if (const Rep* rep = m_bench.rep(); rep && !positionHere().empty())
            m_bench.book().clearPosition(rep->id, positionHere());
    });
}

void MarkingPage::makePointKeys() {
    m_keys->tell(tr("Alt+arrows"), tr("nudge the mark by 1 px; with Shift by 0.1 px"));
    for (const auto& [shift, px] : {std::pair{"", 1.0}, {"Shift+", 0.1}}) {
        const QString alt = QString("Alt+") + shift;
        m_keys->also({alt + "Left"}, [this, d = px] { nudge(-d, 0); });
        m_keys->also({alt + "Right"}, [this, d = px] { nudge(d, 0); });
        m_keys->also({alt + "Up"}, [this, d = px] { nudge(0, -d); });
        m_keys->also({alt + "Down"}, [this, d = px] { nudge(0, d); });
    }
    m_keys->add(tr("landmark before, after"), {","}, [this] { toLandmark(-1); });
    m_keys->add(tr("landmark before, after"), {"."}, [this] { toLandmark(1); });
    m_keys->add(tr("take the mark away"), {"Delete", "Backspace"}, [this] { m_canvas->removeCurrent(); });
    m_carry = m_keys->add(tr("carry this rep's marks, only this landmark's"), {"C"}, [this] { carryRep(false); });
    m_keys->add(tr("carry this rep's marks, only this landmark's"), {"Shift+C"}, [this] { carryRep(true); });
    m_worstNext = m_keys->add(tr("the frame most worth a look"), {"W"}, [this] { worstNext(); });
    m_hide = m_keys->add(tr("not to be seen on this frame"), {"X"}, [this] {
        if (m_canvas->hideCurrent())
            advance();
    });
    m_swap = m_keys->add(tr("swap left and right from here on"), {"S"}, [this] { swapSidesFromHere(); });
    m_copy = m_keys->add(tr("copy the marks of the frame before"), {"V"}, [this] { copyBefore(false); });
    m_copySwapped = m_keys->add(tr("copy them with sides swapped"), {"Shift+V"}, [this] { copyBefore(true); });
    m_like = m_keys->add(tr("start this rep from a marked one"), {"G"}, [this] { startLikeMarked(); });
    m_beginDraft =
        m_keys->add(tr("a draft of the body on every frame, by the machine"), {"B"}, [this] { m_draft->begin(); });
    m_keys->also({"Escape"}, [this] { m_draft->asking() ? m_draft->end() : m_carrier->cancel(); });
    m_keys->add(tr("loupe weaker, stronger"), {"["}, [this] { m_loupe->zoomBy(1 / 1.2); });
    m_keys->add(tr("loupe weaker, stronger"), {"]"}, [this] { m_loupe->zoomBy(1.2); });
    m_playing = m_keys->add(tr("play, pause"), {"Space"}, [this] { togglePlay(); });
}

void MarkingPage::keyPressEvent(QKeyEvent* e) {
    if (m_keys->press(e))
        return;
    // With Shift the second nine; which sign that types depends on the keyboard, the key's own number does not.
    constexpr quint32 kFirstDigit = 10; // of X11 and Wayland
    const bool second = e->modifiers() & Qt::ShiftModifier;
    int digit = e->key() - Qt::Key_1;
    if (second && e->nativeScanCode() >= kFirstDigit && e->nativeScanCode() < kFirstDigit + 9)
        digit = static_cast<int>(e->nativeScanCode() - kFirstDigit);
    if (digit >= 0 && digit < 9 && !(e->modifiers() & Qt::ControlModifier)) {
        placePeg(digit + (second ? 9 : 0));
        return;
    }
    QWidget::keyPressEvent(e);
}

} // namespace riflesso
