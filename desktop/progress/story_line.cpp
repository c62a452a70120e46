#include "desktop/progress/story_line.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>

#include <algorithm>
#include <cmath>
#include <map>

namespace riflesso {
namespace {
using std::chrono::days;
constexpr double kLine = 58;
} // namespace

StoryLine::StoryLine(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setObjectName("storyLine");
    setAccessibleName(tr("The story of this case"));
    setMouseTracking(true);
    setCursor(Qt::PointingHandCursor);
    connect(&bench.book(), &Casebook::analysed, this, &StoryLine::speak);
    speak();
}

// What it shows in words, in the order of time.
void StoryLine::speak() {
    auto all = marks();
    std::stable_sort(all.begin(), all.end(), [](const Mark& a, const Mark& b) { return a.day < b.day; });
    QStringList words;
    for (const auto& m : all)
        words << m.words;
    setAccessibleDescription(words.isEmpty() ? tr("nothing yet") : words.join("; "));
}

std::vector<StoryLine::Mark> StoryLine::marks() const {
    std::vector<Mark> out;
    const auto& kept = m_bench.data();
    std::map<Day, std::pair<int, Id>> films;
    for (const auto& [id, take] : kept.takes)
        if (take.performer == Performer::athlete) {
            ++films[take.day].first;
            films[take.day].second = id;
        }
    for (const auto& [day, film] : films)
        out.push_back({Mark::Kind::film, day,
                       film.first == 1 ? tr("film, %1").arg(q(dayWords(day)))
                                       : tr("%1 films, %2").arg(film.first).arg(q(dayWords(day))),
                       film.second});
    std::map<Day, std::pair<int, int>> reps;
    for (const auto& [id, b] : kept.blocks)
        for (const auto& r : b.film.empty() ? b.reps : std::vector<PractisedRep>()) {
            reps[b.day].first += r.good();
            ++reps[b.day].second;
        }
    for (const auto& [day, n] : reps)
        out.push_back({Mark::Kind::practice, day,
                       tr("practice, %1: %2 of %3 good").arg(q(dayWords(day))).arg(n.first).arg(n.second), 0});
    for (const Day c : kept.brief.competitions)
        out.push_back({Mark::Kind::competition, c, tr("competition, %1").arg(q(dayWords(c))), 0});
    return out;
}

double StoryLine::placeOf(Day day) const {
    const Day today = m_bench.book().today();
    Day first = today - days(14), last = today + days(7);
    for (const auto& m : marks()) {
        first = std::min(first, m.day);
        if (m.day < today + days(60)) // a far competition must not squeeze the past
            last = std::max(last, m.day);
    }
    const double span = std::max<double>(1.0, static_cast<double>((last - first).count()));
    return 30 + (width() - 60) * static_cast<double>((day - first).count()) / span;
}

const StoryLine::Mark* StoryLine::markAt(const std::vector<Mark>& all, const QPointF& at) const {
    const Mark* best = nullptr;
    double nearest = 9;
    for (const auto& m : all)
        if (const double d = std::abs(placeOf(m.day) - at.x()) + (m.kind == Mark::Kind::practice ? 1 : 0);
            d < nearest) {
            nearest = d;
            best = &m;
        }
    return best;
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
    p.drawLine(QPointF(20, kLine), QPointF(width() - 20, kLine));
    p.setPen(QPen(t.text, 1, Qt::DashLine));
    p.drawLine(QPointF(placeOf(today), 8), QPointF(placeOf(today), kLine + 10));
    p.setFont(typeface(Type::small));
    p.drawText(QPointF(placeOf(today) + 5, 18), tr("today"));
    // What was worked on, from the day it was taken up until it was closed.
    int row = 0;
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
        ++row;
    }
    for (const auto& m : marks()) {
        const double x = placeOf(m.day);
        if (x > width() - 10)
            continue;
        if (m.kind == Mark::Kind::practice) {
            p.setPen(Qt::NoPen);
            p.setBrush(t.hues.model);
            p.drawRect(QRectF(x - 2, kLine + 3, 4, 11));
        } else if (m.kind == Mark::Kind::film) {
            p.setPen(Qt::NoPen);
            p.setBrush(t.hues.athlete);
            p.drawRoundedRect(QRectF(x - 8, kLine - 8, 16, 16), 3, 3);
            p.setPen(t.quiet);
            p.drawText(QRectF(x - 50, kLine + 14, 100, 18), Qt::AlignHCenter, q(dayWords(m.day)).mid(4));
        } else {
            p.setPen(Qt::NoPen);
            p.setBrush(t.text);
            p.drawPolygon(QPolygonF({{x, kLine - 16}, {x - 8, kLine - 2}, {x + 8, kLine - 2}}));
            p.setPen(t.text);
            p.drawText(QRectF(std::min(x - 60, width() - 126.0), kLine + 14, 120, 18),
                       x > width() - 70 ? Qt::AlignRight : Qt::AlignHCenter, tr("competition"));
        }
    }
}

void StoryLine::mousePressEvent(QMouseEvent* e) {
    const auto all = marks();
    const Mark* m = markAt(all, e->position());
    if (!m)
        return;
    if (m->kind == Mark::Kind::film) {
        m_bench.selectTake(m->take);
        emit m_bench.workspaceWanted(Workspace::footage);
    } else {
        emit m_bench.workspaceWanted(m->kind == Mark::Kind::practice ? Workspace::practice : Workspace::programme);
    }
}

bool StoryLine::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(e);
        const auto all = marks();
        if (const Mark* m = markAt(all, help->pos()))
            QToolTip::showText(help->globalPos(), m->words, this);
        else
            QToolTip::hideText();
        return true;
    }
    return QWidget::event(e);
}

} // namespace riflesso
