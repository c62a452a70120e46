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

void MarkingPage::keyPressEvent(QKeyEvent* e) {
    const bool alt = e->modifiers() & Qt::AltModifier, shift = e->modifiers() & Qt::ShiftModifier;
    const double step = shift ? 0.1 : 1.0;
    const bool swapped = m_bench.take() && m_bench.take()->picture.swapped;
    const double right = swapped ? -step : step; // towards the right of the screen
    const int frames = shift ? 10 : 1;
    if (e->modifiers() & Qt::ControlModifier) {
        if (e->key() == Qt::Key_Left || e->key() == Qt::Key_Right)
            movePeg(e->key() == Qt::Key_Left ? -1 : 1);
        else
            QWidget::keyPressEvent(e);
        return;
    }
    const auto toLandmark = [this](int way) {
        const auto list = wanted();
        const auto at = std::find(list.begin(), list.end(), m_canvas->landmark());
        if (list.empty())
            return;
        const auto n = static_cast<std::ptrdiff_t>(list.size());
        const std::ptrdiff_t i = at == list.end() ? 0 : (at - list.begin() + way + n) % n;
        m_canvas->setLandmark(list[static_cast<std::size_t>(i)]);
        refresh();
    };
    switch (e->key()) {
    case Qt::Key_Left:
        alt ? static_cast<void>(m_canvas->nudge(-right, 0)) : m_bench.setFrame(m_bench.frame() - frames);
        return;
    case Qt::Key_Right:
        alt ? static_cast<void>(m_canvas->nudge(right, 0)) : m_bench.setFrame(m_bench.frame() + frames);
        return;
    case Qt::Key_Up:
        alt ? static_cast<void>(m_canvas->nudge(0, -step)) : toPeg(-1);
        return;
    case Qt::Key_Down:
        alt ? static_cast<void>(m_canvas->nudge(0, step)) : toPeg(1);
        return;
    case Qt::Key_Home:
        m_bench.setFrame(0);
        return;
    case Qt::Key_End:
        m_bench.setFrame(1 << 30);
        return;
    case Qt::Key_Space:
        m_play->click();
        return;
    case Qt::Key_N:
        nextOpen();
        return;
    case Qt::Key_R:
        startRep();
        return;
    case Qt::Key_C:
        carryRep(shift);
        return;
    case Qt::Key_P:
        propose();
        return;
    case Qt::Key_W:
        worstNext();
        return;
    case Qt::Key_U:
        unsureNext();
        return;
    case Qt::Key_Return:
    case Qt::Key_Enter:
        if (m_draft->asking())
            m_draft->go();
        else if (e->modifiers() & Qt::ShiftModifier)
            acceptAll(e->modifiers() & Qt::ControlModifier);
        else
            accept();
        return;
    case Qt::Key_X:
        if (m_canvas->hideCurrent())
            advance();
        return;
    case Qt::Key_S:
        swapSidesFromHere();
        return;
    case Qt::Key_V:
        copyBefore(shift);
        return;
    case Qt::Key_G:
        startLikeMarked();
        return;
    case Qt::Key_Z:
        m_follow->toggle();
        return;
    case Qt::Key_Comma:
        toLandmark(-1);
        return;
    case Qt::Key_Period:
        toLandmark(1);
        return;
    case Qt::Key_BracketLeft:
        m_loupe->zoomBy(1 / 1.2);
        return;
    case Qt::Key_BracketRight:
        m_loupe->zoomBy(1.2);
        return;
    case Qt::Key_B:
        m_draft->begin();
        return;
    case Qt::Key_Escape:
        if (m_draft->asking())
            m_draft->end();
        else
            m_carrier->cancel();
        return;
    case Qt::Key_F:
        m_canvas->fit();
        return;
    case Qt::Key_Plus:
        m_canvas->zoomBy(1.5, QPointF(m_canvas->width() / 2.0, m_canvas->height() / 2.0));
        return;
    case Qt::Key_Minus:
        m_canvas->zoomBy(1 / 1.5, QPointF(m_canvas->width() / 2.0, m_canvas->height() / 2.0));
        return;
    case Qt::Key_Delete:
    case Qt::Key_Backspace:
        m_canvas->removeCurrent();
        return;
    default:
        break;
    }
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
