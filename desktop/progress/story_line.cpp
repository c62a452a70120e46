#include "desktop/progress/story_line.h"

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
using std::chrono::days;
constexpr double kStoryLine = 58;
} // namespace

StoryLine::StoryLine(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setObjectName("storyLine");
    setAccessibleName(tr("The story of this case"));
    setMouseTracking(true);
    setCursor(Qt::PointingHandCursor);
    connect(&bench.book(), &Casebook::analysed, this, &StoryLine::read);
    connect(&bench.book(), &Casebook::changed, this, [this](const ChangeSet& c) {
        if (c.blocks || c.plan)
            read();
    });
    read();
}

// Anew, also in words, in the order of time.
void StoryLine::read() {
    m_story = storyOf(m_bench.data(), m_bench.blueprint(), m_bench.book().today());
    QStringList words;
    for (const auto& m : m_story.marks)
        words << q(m.words);
    for (const auto& pause : m_story.pauses)
        words << q(pause.words);
    setAccessibleDescription(words.isEmpty() ? tr("nothing yet") : words.join("; "));
    update();
}

double StoryLine::placeOf(Day day) const {
    const Day today = m_bench.book().today();
    Day first = today - days(14), last = today + days(7);
    for (const auto& m : m_story.marks) {
        if (m.kind != StoryMark::Kind::injury) // an old one must not squeeze what was done since
            first = std::min(first, m.day);
        if (m.day < today + days(60)) // a far competition must not squeeze the past
            last = std::max(last, m.day);
    }
    const double span = std::max<double>(1.0, static_cast<double>((last - first).count()));
    return std::max(14.0, 30 + (width() - 60) * static_cast<double>((day - first).count()) / span);
}

namespace {

// Where a kind of mark stands above or below the line, px: those of one day lie over one another.
double heightOf(StoryMark::Kind kind) {
    using Kind = StoryMark::Kind;
    switch (kind) {
    case Kind::practice:
    case Kind::missed:
        return kStoryLine + 8;
    case Kind::cue:
    case Kind::injury:
        return kStoryLine - 16;
    case Kind::opened:
    case Kind::closed:
        return kStoryLine - 28;
    case Kind::film:
    case Kind::competition:
        break;
    }
    return kStoryLine;
}

} // namespace

const StoryMark* StoryLine::markAt(const QPointF& at) const {
    const StoryMark* best = nullptr;
    double nearest = 9;
    for (const auto& m : m_story.marks) {
        // Beside the line everything of the day counts; its own height decides among several.
        const double d = std::abs(placeOf(m.day) - at.x()) + 0.1 * std::abs(heightOf(m.kind) - at.y());
        if (std::abs(placeOf(m.day) - at.x()) < 9 && d < nearest) {
            nearest = d;
            best = &m;
        }
    }
    return best;
}

const StoryPause* StoryLine::pauseAt(const QPointF& at) const {
    for (const auto& pause : m_story.pauses)
        if (at.x() > placeOf(pause.from) && at.x() < placeOf(pause.to))
            return &pause;
    return nullptr;
}

void StoryLine::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(t.line, 1));
    p.setBrush(t.panel);
    p.drawRoundedRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), 6, 6);
    const Day today = m_bench.book().today();
    p.setPen(QPen(t.quiet, 1.6));
    p.drawLine(QPointF(20, kStoryLine), QPointF(width() - 20, kStoryLine));
    p.setPen(QPen(t.text, 1, Qt::DashLine));
    p.drawLine(QPointF(placeOf(today), 22), QPointF(placeOf(today), kStoryLine + 10)); // below the names
    p.setFont(typeface(Type::small));
    // Nothing was done: the line is a dotted one on a pale ground, with its days.
    for (const auto& pause : m_story.pauses) {
        const QRectF band(QPointF(placeOf(pause.from) + 10, kStoryLine - 5),
                          QPointF(placeOf(pause.to) - 10, kStoryLine + 5));
        if (band.width() < 8)
            continue;
        p.fillRect(band, t.panel);
        p.setPen(QPen(t.quiet, 2, Qt::DotLine));
        p.drawLine(QPointF(band.left(), kStoryLine), QPointF(band.right(), kStoryLine));
        const QString words = tr("%1 days' pause").arg((pause.to - pause.from).count());
        p.setPen(t.quiet);
        if (p.fontMetrics().horizontalAdvance(words) < band.width())
            p.drawText(QRectF(band.left(), kStoryLine + 2, band.width(), 16), Qt::AlignHCenter, words);
    }
    const double named = drawFocuses(p);
    p.setPen(t.text);
    p.drawText(named > placeOf(today) ? QPointF(placeOf(today) + 12, 33) : QPointF(placeOf(today) + 5, 18),
               tr("today"));
    for (const auto& m : m_story.marks)
        drawMark(p, m);
}

// What was worked on, from the day it was taken up until it was closed. Where the first name ends.
double StoryLine::drawFocuses(QPainter& p) const {
    const Theme& t = theme();
    const Day today = m_bench.book().today();
    int row = 0;
    double named = 0.0;
    for (const auto& [id, d] : m_bench.data().decisions) {
        if (d.kind != DecisionKind::takenUp || row > 1)
            continue;
        const Fault* f = m_bench.blueprint().fault(d.fault);
        const QRectF bar(placeOf(d.day), 24 + 13 * row,
                         std::max(6.0, placeOf(d.closed.value_or(today)) - placeOf(d.day)), 9);
        QColor pale = t.hues.athlete;
        pale.setAlphaF(0.2f);
        p.setPen(QPen(t.hues.athlete, 1));
        p.setBrush(pale);
        p.drawRoundedRect(bar, 3, 3);
        p.setPen(t.hues.athlete);
        const QString name = f ? q(f->name) : q(d.words);
        const double w = QFontMetricsF(p.font()).horizontalAdvance(name);
        // The first name stands over its bar, the second behind its own.
        const double x =
            row == 0 ? std::min(bar.left(), width() - 14 - w) : std::min(bar.right() + 6, width() - 14 - w);
        p.drawText(QPointF(x, row == 0 ? 18 : bar.bottom()), name);
        if (row == 0)
            named = x + w;
        ++row;
    }
    return named;
}

// Each kind has a shape of its own.
void StoryLine::drawMark(QPainter& p, const StoryMark& m) const {
    const Theme& t = theme();
    const double x = placeOf(m.day), y = heightOf(m.kind);
    if (x > width() - 10)
        return;
    p.setPen(Qt::NoPen);
    switch (m.kind) {
    case StoryMark::Kind::practice:
        p.setBrush(t.hues.model);
        p.drawRect(QRectF(x - 2, kStoryLine + 3, 4, 11));
        break;
    case StoryMark::Kind::missed: // a practice that was not
        p.setPen(QPen(t.quiet, 1.2));
        p.setBrush(Qt::NoBrush);
        p.drawRect(QRectF(x - 2, kStoryLine + 3.5, 4, 10));
        break;
    case StoryMark::Kind::film:
        p.setBrush(t.hues.athlete);
        p.drawRoundedRect(QRectF(x - 8, kStoryLine - 8, 16, 16), 3, 3);
        p.setPen(t.quiet);
        p.drawText(QRectF(x - 50, kStoryLine + 14, 100, 18), Qt::AlignHCenter, q(dayWords(m.day)).mid(4));
        break;
    case StoryMark::Kind::cue: // something said
        p.setBrush(t.quiet);
        p.drawRoundedRect(QRectF(x - 6, y - 5, 12, 8), 3, 3);
        p.drawPolygon(QPolygonF({{x - 3, y + 2}, {x + 2, y + 2}, {x - 3, y + 6}}));
        break;
    case StoryMark::Kind::injury: // a cross
        p.setBrush(t.text);
        p.drawRect(QRectF(x - 1.5, y - 6, 3, 12));
        p.drawRect(QRectF(x - 6, y - 1.5, 12, 3));
        break;
    case StoryMark::Kind::competition:
        p.setBrush(t.text);
        p.drawPolygon(QPolygonF({{x, kStoryLine - 16}, {x - 8, kStoryLine - 2}, {x + 8, kStoryLine - 2}}));
        p.setPen(t.text);
        p.drawText(QRectF(std::min(x - 60, width() - 126.0), kStoryLine + 14, 120, 18),
                   x > width() - 70 ? Qt::AlignRight : Qt::AlignHCenter, tr("competition"));
        break;
    case StoryMark::Kind::opened: // the ends of a focus's bar
    case StoryMark::Kind::closed:
        break;
    }
}

void StoryLine::mousePressEvent(QMouseEvent* e) {
    const StoryMark* m = markAt(e->position());
    if (!m)
        return;
    switch (m->kind) {
    case StoryMark::Kind::film:
        m_bench.selectTake(m->id);
        emit m_bench.workspaceWanted(Workspace::footage);
        break;
    case StoryMark::Kind::practice:
        emit m_bench.diaryWanted(m->day);
        break;
    case StoryMark::Kind::missed:
    case StoryMark::Kind::competition:
        emit m_bench.workspaceWanted(Workspace::programme);
        break;
    case StoryMark::Kind::opened:
    case StoryMark::Kind::closed:
        emit m_bench.workspaceWanted(Workspace::findings);
        break;
    case StoryMark::Kind::injury:
        emit m_bench.workspaceWanted(Workspace::brief);
        break;
    case StoryMark::Kind::cue:
        emit cueWanted();
        break;
    }
}

bool StoryLine::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(e);
        // Everything of the day that is pointed at.
        QStringList words;
        if (const StoryMark* at = markAt(help->pos())) {
            for (const auto& m : m_story.marks)
                if (m.day == at->day)
                    words << q(m.words);
        } else if (const StoryPause* pause = pauseAt(help->pos())) {
            words << q(pause->words);
        }
        if (words.isEmpty())
            QToolTip::hideText();
        else
            QToolTip::showText(help->globalPos(), words.join("\n"), this);
        return true;
    }
    return QWidget::event(e);
}

} // namespace riflesso
