#include "desktop/marking/trust_strip.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {
constexpr double kTallest = 132; // px of all rows: the frame is what is looked at

constexpr int kLegendTop = 16;     // room for three words about the shades
constexpr double kNameHeight = 14; // px

enum class RowGroup { head, arms, legs, things };

RowGroup partOf(const LandmarkName& landmark) {
    const LandmarkName own(withoutPerson(landmark));
    if (!onBody(own))
        return RowGroup::things;
    if (own == "head" || own == "neck")
        return RowGroup::head;
    for (const char* leg : {"hip", "knee", "ankle", "heel", "toe"})
        if (own.ends_with(leg))
            return RowGroup::legs;
    return RowGroup::arms;
}

std::pair<int, RowGroup> groupOf(const LandmarkName& landmark) {
    const int person = personOf(landmark);
    return {person, person > 0 ? RowGroup::head : partOf(landmark)}; // another person's rows are one group
}
} // namespace

TrustStrip::TrustStrip(Workbench& bench, const Ribbon& ribbon, QWidget* parent)
    : QWidget(parent), m_bench(bench), m_ribbon(ribbon) {
    setAccessibleName(tr("Trust strip: how sure each mark is"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    const auto again = [this] { update(); };
    connect(&bench, &Workbench::frameChanged, this, again);
    const auto anew = [this] {
        m_stale = true;
        update();
    };
    connect(&bench, &Workbench::selectionChanged, this, anew);
    connect(&bench.book(), &Casebook::changed, this, [this, anew](const ChangeSet& c) {
        const Take* take = m_bench.take();
        if (!c.takes.empty() || !c.reps.empty() ||
            (take && std::find(c.marks.begin(), c.marks.end(), take->id) != c.marks.end()))
            anew();
    });
}

double TrustStrip::shade(double sigma) {
    // Carried marks fill the lower two thirds, drafts, which are several times less sure, the rest.
    return sigma <= 8.0 ? std::max(0.0, 0.1 * (sigma - 1.0)) : 0.7 + 0.3 * (1.0 - 8.0 / sigma);
}

double TrustStrip::rowHeight() const {
    return std::clamp(kTallest / static_cast<double>(std::max<std::size_t>(1, m_landmarks.size())), 3.0, 6.0);
}

QSize TrustStrip::sizeHint() const {
    const double rows = rowHeight() * static_cast<double>(std::max<std::size_t>(1, m_landmarks.size()));
    return {700, kLegendTop + static_cast<int>(std::lround(rows)) + 3};
}
QSize TrustStrip::minimumSizeHint() const {
    return {300, sizeHint().height()};
}

void TrustStrip::setLandmarks(const std::vector<LandmarkName>& landmarks) {
    if (landmarks == m_given)
        return;
    m_given = m_landmarks = landmarks;
    std::stable_sort(m_landmarks.begin(), m_landmarks.end(),
                     [](const auto& a, const auto& b) { return groupOf(a) < groupOf(b); });
    m_stale = true;
    updateGeometry();
    update();
}

void TrustStrip::setCurrent(const LandmarkName& landmark) {
    m_current = landmark;
    update();
}

QPointF TrustStrip::placeOf(const LandmarkName& landmark, int frame) const {
    const auto at = std::find(m_landmarks.begin(), m_landmarks.end(), landmark) - m_landmarks.begin();
    return {m_ribbon.xOf(frame), kLegendTop + rowHeight() * (static_cast<double>(at) + 0.5)};
}

int TrustStrip::rowAt(double y) const {
    const int row = static_cast<int>((y - kLegendTop) / rowHeight());
    return row >= 0 && row < static_cast<int>(m_landmarks.size()) ? row : -1;
}

// Thousands of cells: drawn once, and again only when marks, time or size have changed.
void TrustStrip::drawRows() {
    const Theme& t = theme();
    const double dots = devicePixelRatioF();
    m_rows = QPixmap(size() * dots);
    m_rows.setDevicePixelRatio(dots);
    m_rows.fill(t.panel);
    QPainter p(&m_rows);
    const Take* take = m_bench.take();
    const auto tracks = take ? m_bench.data().marks.find(take->id) : m_bench.data().marks.end();
    const double x0 = m_ribbon.xOf(0), wide = std::max(0.1, m_ribbon.xOf(1) - x0);
    const double left = x0 + wide * m_drawn.first, right = x0 + wide * m_drawn.last;
    for (std::size_t row = 0; row < m_landmarks.size(); ++row) {
        const double y = kLegendTop + rowHeight() * static_cast<double>(row);
        p.setPen(QPen(t.line, 1));
        p.drawLine(QPointF(left, y + rowHeight() - 1), QPointF(right, y + rowHeight() - 1));
        if (tracks == m_bench.data().marks.end())
            continue;
        const auto track = tracks->second.find(m_landmarks[row]);
        if (track == tracks->second.end())
            continue;
        for (auto m = track->second.lower_bound(FrameIndex(m_drawn.first));
             m != track->second.end() && m->first.value <= m_drawn.last; ++m) {
            const double x = x0 + wide * m->first.value;
            // Whole pixels: cells that overlap would show as stripes.
            const double from = std::round(x - wide / 2), to = std::max(from + 1.0, std::round(x + wide / 2));
            const QRectF cell(from, y, to - from, rowHeight() - 1);
            if (m->second.how == How::hidden) {
                p.fillRect(cell, QBrush(t.quiet, Qt::BDiagPattern));
            } else if (m->second.how == How::hand) {
                p.fillRect(QRectF(std::round(x - 1.5), y + 0.5, 4, rowHeight() - 2), t.hues.athlete);
            } else {
                QColor c = t.text;
                c.setAlphaF(static_cast<float>(0.14 + 0.80 * shade(m->second.sigma)));
                p.fillRect(cell, c);
            }
        }
    }
}

void TrustStrip::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    const auto span = m_ribbon.span();
    if (m_stale || m_rows.deviceIndependentSize().toSize() != size() || span.first != m_drawn.first ||
        span.last != m_drawn.last || m_dark != t.dark) {
        m_drawn = span;
        m_dark = t.dark;
        drawRows();
        m_stale = false;
    }
    p.drawPixmap(0, 0, m_rows);
    if (!m_bench.take())
        return;
    const auto current = std::find(m_landmarks.begin(), m_landmarks.end(), m_current);
    if (current != m_landmarks.end()) {
        QColor over = t.accent;
        over.setAlpha(40);
        p.fillRect(QRectF(0, kLegendTop + rowHeight() * static_cast<double>(current - m_landmarks.begin()) - 0.5,
                          width(), rowHeight()),
                   over);
    }
    // What is worth a look, as small marks on the top edge.
    if (const Rep* rep = m_bench.rep())
        if (const auto a = m_bench.analysis().attention.find(rep->id); a != m_bench.analysis().attention.end()) {
            p.setPen(Qt::NoPen);
            p.setBrush(t.accent);
            p.setRenderHint(QPainter::Antialiasing);
            for (const auto& ask : a->second.asks) {
                const double x = m_ribbon.xOf(ask.frame.value);
                p.drawPolygon(QPolygonF({QPointF(x - 4, 0), QPointF(x + 4, 0), QPointF(x, 5)}));
            }
        }
    p.setPen(QPen(t.text, 1));
    const double x = m_ribbon.xOf(m_bench.frame());
    p.drawLine(QPointF(x, 0), QPointF(x, height()));
    paintNames(p);
    paintLegend(p);
}

// Rows are too low for a name each: whole groups have one.
void TrustStrip::paintNames(QPainter& p) const {
    const Theme& t = theme();
    p.setFont(typeface(Type::small));
    double free = 0.0; // down from here no name stands yet
    for (std::size_t first = 0; first < m_landmarks.size();) {
        std::size_t last = first;
        while (last + 1 < m_landmarks.size() && groupOf(m_landmarks[last + 1]) == groupOf(m_landmarks[first]))
            ++last;
        const double y = kLegendTop + rowHeight() * static_cast<double>(first),
                     high = rowHeight() * static_cast<double>(last + 1 - first);
        const auto [person, part] = groupOf(m_landmarks[first]);
        const Take* take = m_bench.take();
        const QString name = person > 0 && take       ? q(calledIn(take->figure, person))
                             : part == RowGroup::head ? tr("head")
                             : part == RowGroup::arms ? tr("arms")
                             : part == RowGroup::legs ? tr("legs")
                                                      : q(spoken(m_landmarks[first]));
        const double top = std::min(y + high / 2 - kNameHeight / 2, height() - kNameHeight);
        if (top >= free) { // else the rows are too few and too low for a name between the others
            QColor plate = t.panel;
            plate.setAlpha(215);
            free = top + kNameHeight;
            const QRectF room(0, top, QFontMetricsF(p.font()).horizontalAdvance(name) + 6, kNameHeight);
            p.fillRect(room, plate);
            p.setPen(t.text);
            p.drawText(room, Qt::AlignCenter, name);
        }
        if (first > 0) { // where a group begins
            p.setPen(QPen(t.quiet, 1));
            p.drawLine(QPointF(0, y - 1), QPointF(m_ribbon.xOf(m_drawn.first), y - 1));
        }
        first = last + 1;
    }
}

void TrustStrip::paintLegend(QPainter& p) const {
    const Theme& t = theme();
    p.setFont(typeface(Type::small));
    double right = width() - 4;
    const auto word = [&](const QString& words, const QColor& colour) {
        const QRectF text(right - QFontMetricsF(p.font()).horizontalAdvance(words), 1, 400, kLegendTop - 3);
        p.setPen(t.quiet);
        p.drawText(text, Qt::AlignLeft | Qt::AlignVCenter, words);
        p.fillRect(QRectF(text.left() - 15, 4, 10, 8), colour);
        right = text.left() - 27;
    };
    const auto shaded = [&](double sigma) {
        QColor c = t.text;
        c.setAlphaF(static_cast<float>(0.14 + 0.80 * shade(sigma)));
        return c;
    };
    word(tr("by hand"), t.hues.athlete);
    word(tr("unsure"), shaded(16.0));
    word(tr("sure"), shaded(1.0));
}

void TrustStrip::mousePressEvent(QMouseEvent* e) {
    const Take* take = m_bench.take();
    if (!take)
        return;
    const int frame =
        std::clamp(m_ribbon.frameAt(e->position().x()), 0, std::max(0, static_cast<int>(take->times.size()) - 1));
    const int row = rowAt(e->position().y());
    emit chosen(row < 0 ? QString() : QString::fromStdString(m_landmarks[static_cast<std::size_t>(row)]), frame);
}

bool TrustStrip::event(QEvent* e) {
    if (e->type() != QEvent::ToolTip)
        return QWidget::event(e);
    const auto* help = static_cast<QHelpEvent*>(e);
    const int row = rowAt(help->pos().y());
    QString words = tr("One row a landmark: darker is less sure, dots are made by hand, nothing is a gap.");
    const Take* take = m_bench.take();
    if (row >= 0 && take) {
        const auto& name = m_landmarks[static_cast<std::size_t>(row)];
        const int frame = m_ribbon.frameAt(help->pos().x());
        words = q(spoken(name)) + tr(", frame %1: not marked").arg(frame + 1);
        if (const auto tracks = m_bench.data().marks.find(take->id); tracks != m_bench.data().marks.end())
            if (const auto track = tracks->second.find(name); track != tracks->second.end())
                if (const auto m = track->second.find(FrameIndex(frame)); m != track->second.end())
                    words = m->second.how == How::hidden
                                ? tr("%1, frame %2: not to be seen").arg(q(spoken(name))).arg(frame + 1)
                                : tr("%1, frame %2: %3, sure to %4 px")
                                      .arg(q(spoken(name)))
                                      .arg(frame + 1)
                                      .arg(QString::fromStdString(std::string(riflesso::name(m->second.how))))
                                      .arg(shownFigure(m->second.sigma, 1));
    }
    QToolTip::showText(help->globalPos(), words, this);
    return true;
}

} // namespace riflesso
