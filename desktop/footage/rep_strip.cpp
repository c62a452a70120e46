#include "desktop/footage/rep_strip.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QWheelEvent>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {
constexpr int kStripEdge = 14;
constexpr int kGrip = 5; // px within which an end is taken hold of
constexpr int kStripTop = 16, kStripBand = 46;
// A colour one can look through.
QColor faint(QColor c, int alpha) {
    c.setAlpha(alpha);
    return c;
}

} // namespace

RepStrip::RepStrip(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setAccessibleName(tr("Reps of the take"));
    setToolTip(tr("Solid: reps. Hollow: proposals. Click to go there, drag an end to move it. F1 lists the keys."));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    setMouseTracking(true);
    connect(&bench, &Workbench::frameChanged, this, [this] { update(); });
    connect(&bench, &Workbench::selectionChanged, this, [this] {
        if (m_bench.take() && m_bench.take()->id != m_take && m_take != 0)
            setProposals({}, {}, {});
        update();
    });
    connect(&bench.book(), &Casebook::changed, this, [this] { update(); });
}

void RepStrip::setProposals(std::vector<RepSpan> spans, std::vector<double> energy, std::vector<double> strikes) {
    m_take = m_bench.take() ? m_bench.take()->id : 0;
    m_proposals = std::move(spans);
    m_energy = std::move(energy);
    m_strikes = std::move(strikes);
    emit proposalsChanged();
    update();
}

int RepStrip::frames() const {
    return m_bench.take() ? static_cast<int>(m_bench.take()->times.size()) : 0;
}

double RepStrip::xOf(double frame) const {
    return kStripEdge + frame / std::max(1, frames() - 1) * (width() - 2 * kStripEdge);
}

int RepStrip::frameAt(double x) const {
    return static_cast<int>(std::lround((x - kStripEdge) / std::max(1, width() - 2 * kStripEdge) * (frames() - 1)));
}

std::vector<RepStrip::Block> RepStrip::blocks() const {
    std::vector<Block> out;
    if (!m_bench.take())
        return out;
    for (const Rep* r : repsOf(m_bench.data(), m_bench.take()->id)) {
        Block b{0, 0, r->id, -1};
        if (r->first && r->last) {
            b.first = r->first->value;
            b.last = r->last->value;
        } else if (!r->positions.empty()) {
            b.first = 1 << 30;
            for (const auto& [id, p] : r->positions) {
                b.first = std::min(b.first, p.frame.value);
                b.last = std::max(b.last, p.frame.value);
            }
        } else {
            continue;
        }
        out.push_back(b);
    }
    for (std::size_t i = 0; i < m_proposals.size(); ++i)
        out.push_back({m_proposals[i].first.value, m_proposals[i].last.value, 0, static_cast<int>(i)});
    std::stable_sort(out.begin(), out.end(), [](const Block& a, const Block& b) { return a.first < b.first; });
    return out;
}

std::optional<RepStrip::Block> RepStrip::blockAt(int frame) const {
    std::optional<Block> chosen;
    for (const auto& b : blocks())
        if (frame >= b.first && frame <= b.last && (!chosen || (m_bench.rep() && b.rep == m_bench.rep()->id)))
            chosen = b;
    return chosen;
}

bool RepStrip::move(const Block& block, int first, int last, int gesture) {
    first = std::max(0, first);
    last = std::min(frames() - 1, last);
    if (first >= last)
        return false;
    if (block.proposal >= 0) {
        auto& p = m_proposals[static_cast<std::size_t>(block.proposal)];
        p.first = FrameIndex(first);
        p.last = FrameIndex(last);
        update();
        return true;
    }
    const auto it = m_bench.data().reps.find(block.rep);
    if (it == m_bench.data().reps.end())
        return false;
    Rep rep = it->second;
    rep.first = FrameIndex(first);
    rep.last = FrameIndex(last);
    return rep == it->second || m_bench.book().perform(tr("move the ends of rep %1").arg(rep.number),
                                                       {RepEdit{rep.id, it->second, rep}}, gesture);
}

bool RepStrip::acceptHere() {
    if (m_proposals.empty() || !m_bench.take())
        return false;
    const int at = m_bench.frame();
    std::size_t chosen = 0;
    while (chosen + 1 < m_proposals.size() && m_proposals[chosen].last.value < at)
        ++chosen;
    Rep rep;
    rep.first = m_proposals[chosen].first;
    rep.last = m_proposals[chosen].last;
    if (!m_bench.book().addReps(m_bench.take()->id, {rep}))
        return false;
    m_proposals.erase(m_proposals.begin() + static_cast<std::ptrdiff_t>(chosen));
    if (chosen < m_proposals.size())
        m_bench.setFrame(m_proposals[chosen].first.value);
    emit proposalsChanged();
    update();
    return true;
}

bool RepStrip::acceptAll() {
    if (m_proposals.empty() || !m_bench.take())
        return false;
    std::vector<Rep> reps;
    for (const auto& p : m_proposals) {
        Rep rep;
        rep.first = p.first;
        rep.last = p.last;
        reps.push_back(rep);
    }
    if (!m_bench.book().addReps(m_bench.take()->id, reps))
        return false;
    m_proposals.clear();
    emit proposalsChanged();
    update();
    return true;
}

bool RepStrip::splitHere() {
    const int at = m_bench.frame();
    const auto b = blockAt(at);
    if (!b || at <= b->first || at >= b->last)
        return false;
    if (b->proposal >= 0) {
        const auto i = static_cast<std::size_t>(b->proposal);
        RepSpan second = m_proposals[i];
        m_proposals[i].last = FrameIndex(at - 1);
        second.first = FrameIndex(at);
        m_proposals.insert(m_proposals.begin() + static_cast<std::ptrdiff_t>(i) + 1, second);
        emit proposalsChanged();
        update();
        return true;
    }
    // Ends that were taken from key positions become ends of its own first.
    const Rep& rep = m_bench.data().reps.at(b->rep);
    if (!rep.first && !move(*b, b->first, b->last, 0))
        return false;
    return m_bench.book().splitRep(b->rep, FrameIndex(at));
}

bool RepStrip::mergeNext() {
    const auto all = blocks();
    const auto b = blockAt(m_bench.frame());
    if (!b)
        return false;
    const auto next = std::find_if(all.begin(), all.end(), [&](const Block& x) {
        return x.first > b->first && (x.proposal >= 0) == (b->proposal >= 0);
    });
    if (next == all.end())
        return false;
    if (b->proposal >= 0) {
        m_proposals[static_cast<std::size_t>(b->proposal)].last = FrameIndex(next->last);
        m_proposals.erase(m_proposals.begin() + next->proposal);
        emit proposalsChanged();
        update();
        return true;
    }
    return m_bench.book().mergeReps(b->rep, next->rep);
}

bool RepStrip::setFirst() {
    const int at = m_bench.frame();
    for (const auto& b : blocks()) // the block under the playhead, else the next one after it
        if (b.last > at)
            return move(b, at, b.last, 0);
    return false;
}

bool RepStrip::setLast() {
    const int at = m_bench.frame();
    const auto all = blocks();
    for (auto b = all.rbegin(); b != all.rend(); ++b)
        if (b->first < at)
            return move(*b, b->first, at, 0);
    return false;
}

bool RepStrip::removeHere() {
    const auto b = blockAt(m_bench.frame());
    if (!b)
        return false;
    if (b->rep)
        return m_bench.book().removeRep(b->rep);
    m_proposals.erase(m_proposals.begin() + b->proposal);
    emit proposalsChanged();
    update();
    return true;
}

bool RepStrip::go(int direction) {
    const auto all = blocks();
    const int at = m_bench.frame();
    const Block* target = nullptr;
    for (const auto& b : all)
        if (direction > 0 ? b.first > at && !target : b.first < at)
            target = &b;
    if (!target)
        return false;
    if (target->rep)
        m_bench.selectRep(target->rep);
    m_bench.setFrame(target->first);
    return true;
}

// How much moves, as standing water: the higher the more.
void RepStrip::paintMovement(QPainter& p, double line) const {
    if (m_energy.empty())
        return;
    const int columns = width() - 2 * kStripEdge;
    std::vector<double> top(static_cast<std::size_t>(columns + 1), 0.0);
    double highest = 1e-9;
    for (std::size_t i = 0; i < m_energy.size(); ++i) {
        const auto x = static_cast<std::size_t>(
            std::clamp(static_cast<int>(xOf(static_cast<double>(i))) - kStripEdge, 0, columns));
        top[x] = std::max(top[x], m_energy[i]);
        highest = std::max(highest, m_energy[i]);
    }
    QPainterPath water;
    water.moveTo(kStripEdge, line);
    for (int x = 0; x <= columns; ++x)
        water.lineTo(kStripEdge + x, line - kStripBand * std::sqrt(top[static_cast<std::size_t>(x)] / highest));
    water.lineTo(width() - kStripEdge, line);
    p.fillPath(water, faint(theme().quiet, 70));
}

// A rep or a proposal. \p left: the rep before it, if there is one.
void RepStrip::paintBlock(QPainter& p, const Block& b, const QColor& own, const Rep* left, double line) const {
    const Theme& t = theme();
    const QRectF box(xOf(b.first), kStripTop + 4, std::max(3.0, xOf(b.last) - xOf(b.first)), kStripBand - 4);
    const bool chosen = b.rep && m_bench.rep() && b.rep == m_bench.rep()->id;
    if (b.rep) {
        p.setBrush(faint(own, chosen ? 130 : 75));
        p.setPen(QPen(own, chosen ? 2.4 : 1.0));
    } else {
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(t.text, 1.3, Qt::DashLine));
    }
    p.drawRoundedRect(box, 3, 3);
    if (!b.rep || box.width() <= 9)
        return;
    const Rep& r = m_bench.data().reps.at(b.rep);
    p.setPen(t.text);
    p.setFont(typeface(Type::small, chosen));
    p.drawText(box, Qt::AlignCenter, QString::number(r.number));
    // The set's name where it begins.
    if (!r.set.empty() && (!left || left->set != r.set)) {
        p.setFont(typeface(Type::small));
        p.setPen(t.text);
        p.drawText(QRectF(box.left() + 3, 0, width() - box.left(), kStripTop + 2), Qt::AlignLeft | Qt::AlignVCenter,
                   q(r.set));
    }
    if (!r.set.empty()) {
        p.setPen(QPen(t.text, 2));
        p.drawLine(box.topLeft() + QPointF(0, -2), box.topRight() + QPointF(0, -2));
    }
    if (r.worked) { // did it work: a filled or a hollow drop below the line
        p.setPen(QPen(t.text, 1.2));
        p.setBrush(*r.worked ? QBrush(t.text) : QBrush(Qt::NoBrush));
        p.drawEllipse(QPointF(box.center().x(), line + 7), 3, 3);
    }
}

// Seconds of real time below the waterline.
void RepStrip::paintSeconds(QPainter& p, const Take& take, double line) const {
    const Timebase time = timebaseOf(take);
    const double length = time.real(FrameIndex(frames() - 1)).value;
    double step = 0.1;
    for (double s : {0.2, 0.5, 1.0, 2.0, 5.0, 10.0, 30.0, 60.0, 120.0, 300.0})
        if (length / step > 9)
            step = s;
    p.setFont(typeface(Type::small));
    p.setPen(theme().quiet);
    for (double s = 0.0; s < length; s += step) {
        const double x = kStripEdge + s / length * (width() - 2 * kStripEdge);
        p.drawLine(QPointF(x, line), QPointF(x, line + 4));
        p.drawText(QRectF(x - 30, line + 12, 60, 16), Qt::AlignCenter, tr("%1 s").arg(s));
    }
}

void RepStrip::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    const Take* take = m_bench.take();
    if (!take || frames() < 2)
        return;
    const QColor own = take->performer == Performer::model ? t.hues.model : t.hues.athlete;
    const double line = kStripTop + kStripBand;
    paintMovement(p, line);
    for (double s : m_strikes) {
        const double frame =
            static_cast<double>(std::lower_bound(take->times.begin(), take->times.end(), s) - take->times.begin());
        p.setPen(QPen(t.quiet, 1.2));
        p.drawLine(QPointF(xOf(frame), line - kStripBand), QPointF(xOf(frame), line));
    }
    p.setPen(QPen(t.quiet, 1.4));
    p.drawLine(QPointF(kStripEdge, line), QPointF(width() - kStripEdge, line));
    const auto all = blocks();
    const Rep* left = nullptr; // the rep before it
    for (const auto& b : all) {
        paintBlock(p, b, own, left, line);
        if (b.rep)
            left = &m_bench.data().reps.at(b.rep);
    }
    if (m_swept) {
        const double a = xOf(std::min(m_swept->first, m_swept->second)),
                     b = xOf(std::max(m_swept->first, m_swept->second));
        p.setPen(QPen(t.text, 1.4, Qt::DotLine));
        p.setBrush(faint(t.accent, 40));
        p.drawRect(QRectF(a, 2, std::max(1.0, b - a), line - 2));
    }
    paintSeconds(p, *take, line);
    const double x = xOf(m_bench.frame());
    p.setPen(QPen(t.text, 2));
    p.drawLine(QPointF(x, kStripTop), QPointF(x, line + 10)); // below the names of sets
    if (all.empty()) {
        p.setFont(typeface(Type::small));
        p.setPen(t.quiet);
        p.drawText(QRectF(kStripEdge + 10, 0, width() - 2 * kStripEdge - 10, kStripTop),
                   Qt::AlignLeft | Qt::AlignVCenter, tr("No reps in this take yet: “Reps” proposes where they are."));
    }
}

void RepStrip::mousePressEvent(QMouseEvent* e) {
    ++m_gesture;
    const double x = e->position().x();
    if (e->modifiers() & Qt::ShiftModifier) {
        m_swept = {frameAt(x), frameAt(x)};
        update();
        return;
    }
    for (const auto& b : blocks()) {
        if (std::abs(x - xOf(b.first)) <= kGrip || std::abs(x - xOf(b.last)) <= kGrip) {
            m_held = b;
            m_heldEnd = std::abs(x - xOf(b.last)) < std::abs(x - xOf(b.first));
            return;
        }
    }
    const int at = frameAt(x);
    if (const auto b = blockAt(at); b && b->rep)
        m_bench.selectRep(b->rep);
    m_bench.setFrame(at);
}

void RepStrip::mouseMoveEvent(QMouseEvent* e) {
    const double x = e->position().x();
    if (m_swept) {
        m_swept->second = frameAt(x);
        update();
        return;
    }
    if (m_held) {
        int first = m_held->first, last = m_held->last;
        (m_heldEnd ? last : first) = frameAt(x);
        if (move(*m_held, first, last, m_gesture)) {
            m_held->first = first;
            m_held->last = last;
            m_bench.setFrame(m_heldEnd ? last : first); // see where it is put
        }
        return;
    }
    if (e->buttons() & Qt::LeftButton) {
        m_bench.setFrame(frameAt(x));
        return;
    }
    bool grip = false;
    for (const auto& b : blocks())
        grip = grip || std::abs(x - xOf(b.first)) <= kGrip || std::abs(x - xOf(b.last)) <= kGrip;
    setCursor(grip ? Qt::SizeHorCursor : Qt::ArrowCursor);
}

void RepStrip::mouseReleaseEvent(QMouseEvent*) {
    m_held.reset();
    if (!m_swept)
        return;
    const auto reps = repsBetween(std::min(m_swept->first, m_swept->second), std::max(m_swept->first, m_swept->second));
    m_swept.reset();
    update();
    if (!reps.empty())
        emit setWanted(reps);
}

std::vector<Id> RepStrip::repsBetween(int first, int last) const {
    std::vector<Id> out;
    for (const auto& b : blocks())
        if (b.rep && b.first <= last && b.last >= first)
            out.push_back(b.rep);
    return out;
}

void RepStrip::wheelEvent(QWheelEvent* e) {
    m_bench.setFrame(m_bench.frame() + (e->angleDelta().y() > 0 ? -1 : 1));
}

} // namespace riflesso
