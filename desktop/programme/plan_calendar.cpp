#include "desktop/programme/plan_calendar.h"

#include "casebook/planner.h"
#include "casebook/text.h"
#include "core/programme/support.h"
#include "desktop/theme/theme.h"

#include <QApplication>
#include <QContextMenuEvent>
#include <QDragEnterEvent>
#include <QHelpEvent>
#include <QKeyEvent>
#include <QMimeData>
#include <QPainter>
#include <QToolTip>

#include <algorithm>
#include <array>
#include <cmath>

namespace riflesso {
namespace {
using std::chrono::days;
constexpr double kWeekdays = 22, kWeekGap = 5, kChip = 19, kPerMinute = 1.1, kDate = 18;
} // namespace

PlanCalendar::PlanCalendar(const Blueprint& blueprint, QWidget* parent) : QWidget(parent), m_blueprint(blueprint) {
    setObjectName("planCalendar");
    setAccessibleName(tr("The plan by weeks and days"));
    setFocusPolicy(Qt::StrongFocus);
    setAcceptDrops(true);
    setMouseTracking(true);
}

void PlanCalendar::setPlan(const PlanInput& in, const std::vector<PlannedBlock>& blocks, Day today, int weeks,
                           bool proposed) {
    std::optional<std::pair<Day, std::string>> kept;
    if (m_chosen && *m_chosen < m_blocks.size())
        kept = {m_blocks[*m_chosen].day, m_blocks[*m_chosen].drill};
    const std::int64_t id = m_chosen && *m_chosen < m_blocks.size() ? m_blocks[*m_chosen].id : 0;
    m_in = in;
    m_blocks = blocks;
    m_today = today;
    m_weeks = std::max(1, weeks);
    m_proposed = proposed;
    m_chosen.reset();
    m_dragged.reset();
    for (std::size_t i = 0; i < m_blocks.size() && kept; ++i)
        if ((id != 0 && m_blocks[i].id == id) ||
            (m_blocks[i].day == kept->first && m_blocks[i].drill == kept->second)) {
            m_chosen = i;
            break;
        }
    QStringList spoken;
    for (const auto& b : m_blocks)
        spoken << tr("%1: %2, %3 minutes").arg(q(dayWords(b.day)), nameOf(b.drill)).arg(b.minutes);
    setAccessibleDescription(spoken.join("; "));
    update();
}

std::optional<std::size_t> PlanCalendar::chosen() const {
    return m_chosen && *m_chosen < m_blocks.size() ? m_chosen : std::nullopt;
}

void PlanCalendar::choose(std::optional<std::size_t> block) {
    m_chosen = block;
    update();
    emit chosenChanged();
}

QString PlanCalendar::nameOf(const std::string& drill) const {
    return q(workName(m_blueprint, drill));
}

int PlanCalendar::faultIndex(const std::string& fault) const {
    const auto it = std::find(m_in.focus.begin(), m_in.focus.end(), fault);
    return it == m_in.focus.begin() ? 0 : 1;
}

QRectF PlanCalendar::cellOf(Day day) const {
    const Day monday = m_today - days(weekdayOf(m_today));
    const auto at = (day - monday).count();
    if (at < 0 || at >= 7 * m_weeks)
        return {};
    const double h = (height() - kWeekdays - kWeekGap * (m_weeks - 1)) / m_weeks;
    // Days of rest need no room for blocks, unless a hand has laid one there.
    std::array<double, 7> share{};
    double all = 0.0;
    for (std::size_t i = 0; i < 7; ++i) {
        const bool used = m_in.minutes[i] > 0 || std::any_of(m_blocks.begin(), m_blocks.end(), [&](const auto& b) {
                              return b.state != BlockState::dropped && static_cast<std::size_t>(weekdayOf(b.day)) == i;
                          });
        all += share[i] = used ? 1.0 : 0.42;
    }
    double left = 0.0;
    const auto column = static_cast<std::size_t>(at % 7);
    for (std::size_t i = 0; i < column; ++i)
        left += share[i] / all * (width() - 6 * kWeekGap) + kWeekGap;
    return {left, kWeekdays + static_cast<double>(at / 7) * (h + kWeekGap),
            share[column] / all * (width() - 6 * kWeekGap), h};
}

std::optional<Day> PlanCalendar::dayAt(const QPointF& at) const {
    const Day monday = m_today - days(weekdayOf(m_today));
    for (int i = 0; i < 7 * m_weeks; ++i)
        if (cellOf(monday + days(i)).contains(at))
            return monday + days(i);
    return std::nullopt;
}

std::map<Day, std::vector<std::size_t>> PlanCalendar::byDay() const {
    std::map<Day, std::vector<std::size_t>> out;
    for (std::size_t i = 0; i < m_blocks.size(); ++i)
        if (m_blocks[i].state != BlockState::dropped)
            out[m_blocks[i].day].push_back(i);
    return out;
}

QRectF PlanCalendar::chipOf(std::size_t block) const {
    if (block >= m_blocks.size() || m_blocks[block].state == BlockState::dropped)
        return {};
    const auto all = byDay();
    const auto& list = all.at(m_blocks[block].day);
    const QRectF cell = cellOf(m_blocks[block].day);
    if (cell.isNull())
        return {};
    // As high as their minutes, unless the day is too full for that.
    double wanted = 0.0;
    const auto height = [&](std::size_t i) {
        const double minutes = m_stretching && m_dragged == i ? m_minutes : m_blocks[i].minutes;
        // Names that need it get a second line, and a third.
        const QFontMetricsF metrics(typeface(Type::small, !m_blocks[i].home()));
        const auto lines =
            metrics.boundingRect(QRectF(0, 0, cell.width() - 31, 200), Qt::TextWordWrap, nameOf(m_blocks[i].drill));
        return std::max(kChip + kPerMinute * std::max(0.0, minutes - 2.0), lines.height() + 5);
    };
    for (const auto i : list)
        wanted += height(i) + 1.5;
    const double shrink = std::min(1.0, (cell.height() - kDate - 2) / std::max(1.0, wanted));
    double y = cell.top() + kDate;
    for (const auto i : list) {
        const double h = height(i) * shrink;
        if (i == block)
            return {cell.left() + 4, y, cell.width() - 8, h};
        y += h + 1.5 * shrink;
    }
    return {};
}

std::optional<std::size_t> PlanCalendar::chipAt(const QPointF& at) const {
    for (std::size_t i = 0; i < m_blocks.size(); ++i)
        if (chipOf(i).contains(at))
            return i;
    return std::nullopt;
}

void PlanCalendar::paintChip(QPainter& p, const QRectF& box, const PlannedBlock& b, bool chosen, bool ghost) const {
    const Theme& t = theme();
    const QColor hue = b.kind == BlockKind::support ? t.quiet
                       : faultIndex(b.fault) == 0   ? t.hues.athlete
                                                    : t.hues.model;
    const bool over = b.state == BlockState::done || b.state == BlockState::missed;
    QColor fill = hue;
    fill.setAlphaF(ghost || b.forecast || m_proposed ? 0.0f : b.home() ? 0.12f : 0.22f);
    QPen pen(hue, chosen ? 2.2 : 1.0, ghost || b.forecast ? Qt::DashLine : Qt::SolidLine);
    if (over)
        pen.setColor(t.quiet);
    p.setPen(pen);
    p.setBrush(fill);
    p.drawRoundedRect(box.adjusted(0.5, 0.5, -0.5, -0.5), 3, 3);
    // A lock is a filled corner.
    if (b.locked) {
        p.setPen(Qt::NoPen);
        p.setBrush(hue);
        p.drawPolygon(QPolygonF({box.topRight(), box.topRight() - QPointF(9, 0), box.topRight() + QPointF(0, 9)}));
    }
    QFont font = typeface(Type::small, b.kind == BlockKind::session);
    font.setStrikeOut(b.state == BlockState::missed);
    p.setFont(font);
    p.setPen(over ? t.quiet : t.text);
    const QString minutes = QString::number(std::lround(m_stretching && chosen ? m_minutes : b.minutes));
    const QString mark = b.state == BlockState::done ? QString::fromUtf8("✓ ") : QString();
    const QRectF inner = box.adjusted(5, 0, -4, 0);
    const double room = inner.width() - QFontMetricsF(font).horizontalAdvance(minutes) - 5;
    p.drawText(inner, Qt::AlignRight | Qt::AlignVCenter, minutes);
    const QFontMetricsF metrics(font);
    const QRectF place(inner.left(), inner.top(), room, inner.height());
    const QString name = mark + nameOf(b.drill);
    if (const auto lines = metrics.boundingRect(QRectF(0, 0, room, 200), Qt::TextWordWrap, name);
        lines.height() <= box.height() + 1)
        p.drawText(place, Qt::AlignLeft | Qt::AlignVCenter | Qt::TextWordWrap, name);
    else
        p.drawText(place, Qt::AlignLeft | Qt::AlignVCenter, metrics.elidedText(name, Qt::ElideRight, room));
}

void PlanCalendar::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const Day monday = m_today - days(weekdayOf(m_today));
    p.setFont(typeface(Type::body, true));
    for (int i = 0; i < 7; ++i) {
        p.setPen(t.quiet);
        const QRectF cell = cellOf(monday + days(i));
        p.drawText(QRectF(cell.left(), 0, cell.width(), kWeekdays), Qt::AlignCenter,
                   q(dayWords(monday + days(i))).left(3));
    }
    for (int i = 0; i < 7 * m_weeks; ++i) {
        const Day day = monday + days(i);
        const QRectF cell = cellOf(day);
        const auto minutes = m_in.minutes[static_cast<std::size_t>(weekdayOf(day))];
        const bool competition =
            std::find(m_in.competitions.begin(), m_in.competitions.end(), day) != m_in.competitions.end();
        const bool target = m_over == day;
        p.setPen(QPen(target           ? t.hues.athlete
                      : day == m_today ? t.text
                                       : t.line,
                      target || day == m_today ? 1.6 : 1.0));
        p.setBrush(minutes > 0 && day >= m_today ? t.panel : t.ground);
        p.drawRoundedRect(cell.adjusted(0.5, 0.5, -0.5, -0.5), 5, 5);
        p.setFont(typeface(Type::small, day == m_today));
        p.setPen(day < m_today ? t.quiet : t.text);
        const std::chrono::year_month_day ymd(day);
        const bool first = (static_cast<unsigned>(ymd.day()) == 1 || i == 0) && cell.width() > 56;
        p.drawText(cell.adjusted(7, 2, -6, 0), Qt::AlignLeft | Qt::AlignTop,
                   first ? q(dayWords(day)).mid(4) : QString::number(static_cast<unsigned>(ymd.day())));
        p.setPen(t.quiet);
        p.setFont(typeface(Type::small));
        const auto taken = m_in.taken.find(day);
        if (minutes > 0 && day >= m_today && cell.width() > 76) {
            QString words = taken == m_in.taken.end() ? tr("%1 min").arg(minutes)
                                                      : tr("%1 of %2").arg(availableOn(m_in, day)).arg(minutes);
            const auto weekday = static_cast<std::size_t>(weekdayOf(day));
            const QString where = m_in.places[weekday] == PracticePlace::home ? tr("home")
                                  : m_in.alone[weekday]                       ? tr("alone")
                                                                              : QString();
            const QString both = tr("%1, %2").arg(where, words); // where it has room beside the date
            if (!where.isEmpty() && p.fontMetrics().horizontalAdvance(both) < cell.width() - (first ? 64 : 34))
                words = both;
            p.drawText(cell.adjusted(6, 2, -7, 0), Qt::AlignRight | Qt::AlignTop, words);
        }
        if (competition) {
            p.setFont(typeface(Type::body, true));
            p.setPen(t.hues.athlete);
            p.drawText(cell.adjusted(4, kDate, -4, -2), Qt::AlignCenter | Qt::TextWordWrap, tr("Competition"));
        } else if (minutes == 0) {
            p.drawText(cell.adjusted(4, kDate, -4, -2), Qt::AlignCenter, tr("rest"));
        }
    }
    for (std::size_t i = 0; i < m_blocks.size(); ++i)
        if (const QRectF box = chipOf(i); !box.isNull() && !(m_dragged == i && !m_stretching && m_over))
            paintChip(p, box, m_blocks[i], m_chosen == i, false);
    // What is dragged, where it would lie.
    if (m_over && ((m_dragged && !m_stretching) || !m_foreign.isEmpty())) {
        PlannedBlock ghost;
        if (m_dragged)
            ghost = m_blocks[*m_dragged];
        else if (const Drill* d = m_blueprint.drill(m_foreign.toStdString())) {
            ghost.drill = d->id;
            ghost.minutes = d->dose.minutes;
        }
        const QRectF cell = cellOf(*m_over);
        const auto all = byDay();
        double y = cell.top() + kDate;
        if (const auto it = all.find(*m_over); it != all.end())
            for (const auto i : it->second)
                if (m_dragged != i)
                    y = std::max(y, chipOf(i).bottom() + 2);
        const double h = kChip + kPerMinute * std::max(0.0, ghost.minutes - 2.0);
        paintChip(p, QRectF(cell.left() + 4, std::min(y, cell.bottom() - h - 2), cell.width() - 8, h), ghost, true,
                  true);
    }
    if (hasFocus() && !m_chosen) {
        p.setPen(QPen(t.hues.model, 2));
        p.setBrush(Qt::NoBrush);
        p.drawRect(rect().adjusted(1, 1, -1, -1));
    }
}

void PlanCalendar::mousePressEvent(QMouseEvent* e) {
    if (e->button() != Qt::LeftButton)
        return;
    const auto chip = chipAt(e->position());
    choose(chip);
    m_dragged = chip && m_blocks[*chip].state != BlockState::done ? chip : std::nullopt;
    m_from = e->position();
    m_stretching = m_dragged && chipOf(*m_dragged).bottom() - e->position().y() < 5;
    if (m_stretching)
        m_minutes = m_blocks[*m_dragged].minutes;
}

void PlanCalendar::mouseMoveEvent(QMouseEvent* e) {
    if (!(e->buttons() & Qt::LeftButton) || !m_dragged) {
        const auto chip = chipAt(e->position());
        setCursor(!chip                                            ? Qt::ArrowCursor
                  : chipOf(*chip).bottom() - e->position().y() < 5 ? Qt::SizeVerCursor
                                                                   : Qt::OpenHandCursor);
        return;
    }
    if (m_stretching) {
        m_minutes =
            std::clamp(std::round(m_blocks[*m_dragged].minutes + (e->position().y() - m_from.y()) / 4.0), 1.0, 120.0);
        update();
        return;
    }
    if ((e->position() - m_from).manhattanLength() < QApplication::startDragDistance() && !m_over)
        return;
    const auto over = dayAt(e->position());
    if (over != m_over) {
        m_over = over;
        emit considered(m_dragged, {}, m_over);
        update();
    }
}

void PlanCalendar::mouseReleaseEvent(QMouseEvent*) {
    const auto dragged = std::exchange(m_dragged, std::nullopt);
    const auto over = std::exchange(m_over, std::nullopt);
    update();
    if (!dragged)
        return;
    if (std::exchange(m_stretching, false)) {
        if (m_minutes != m_blocks[*dragged].minutes)
            emit stretched(*dragged, m_minutes);
        return;
    }
    emit considered({}, {}, {});
    if (over && *over != m_blocks[*dragged].day && *over >= m_today)
        emit moved(*dragged, *over);
}

void PlanCalendar::mouseDoubleClickEvent(QMouseEvent* e) {
    if (const auto chip = chipAt(e->position()))
        emit lockWanted(*chip);
}

void PlanCalendar::contextMenuEvent(QContextMenuEvent* e) {
    if (const auto chip = e->reason() == QContextMenuEvent::Mouse ? chipAt(e->pos()) : chosen()) {
        choose(chip);
        emit menuWanted(*chip, e->globalPos());
    }
}

void PlanCalendar::keyPressEvent(QKeyEvent* e) {
    const int by = e->key() == Qt::Key_Left    ? -1
                   : e->key() == Qt::Key_Right ? 1
                   : e->key() == Qt::Key_Up    ? -7
                   : e->key() == Qt::Key_Down  ? 7
                                               : 0;
    const auto at = chosen();
    if (by != 0 && at && (e->modifiers() & Qt::AltModifier)) {
        const Day day = m_blocks[*at].day + days(by);
        if (day >= m_today && !cellOf(day).isNull())
            emit moved(*at, day);
    } else if (by != 0 && !m_blocks.empty()) {
        const int step = by > 0 ? 1 : -1;
        const int next = at ? static_cast<int>(*at) + step : 0;
        choose(static_cast<std::size_t>(std::clamp(next, 0, static_cast<int>(m_blocks.size()) - 1)));
    } else if (at && (e->key() == Qt::Key_Plus || e->key() == Qt::Key_Minus)) {
        emit stretched(*at, std::max(1.0, m_blocks[*at].minutes + (e->key() == Qt::Key_Plus ? 1 : -1)));
    } else if (at && e->key() == Qt::Key_L) {
        emit lockWanted(*at);
    } else if (at && (e->key() == Qt::Key_Delete || e->key() == Qt::Key_Backspace)) {
        emit removeWanted(*at);
    } else if (at && e->key() == Qt::Key_D) {
        emit doneWanted(*at);
    } else {
        QWidget::keyPressEvent(e);
    }
}

void PlanCalendar::dragEnterEvent(QDragEnterEvent* e) {
    if (!e->mimeData()->hasFormat(kDrillMime))
        return;
    m_foreign = QString::fromUtf8(e->mimeData()->data(kDrillMime));
    e->acceptProposedAction();
}

void PlanCalendar::dragMoveEvent(QDragMoveEvent* e) {
    const auto over = dayAt(e->position());
    if (over != m_over) {
        m_over = over;
        emit considered({}, m_foreign, m_over);
        update();
    }
    e->setAccepted(over && *over >= m_today);
}

void PlanCalendar::dragLeaveEvent(QDragLeaveEvent*) {
    m_over.reset();
    m_foreign.clear();
    emit considered({}, {}, {});
    update();
}

void PlanCalendar::dropEvent(QDropEvent* e) {
    const auto over = dayAt(e->position());
    const QString drill = m_foreign;
    dragLeaveEvent(nullptr);
    if (over && *over >= m_today && !drill.isEmpty()) {
        e->acceptProposedAction();
        emit dropped(drill, *over);
    }
}

bool PlanCalendar::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(e);
        const auto chip = chipAt(help->pos());
        if (!chip) {
            QToolTip::hideText();
            return true;
        }
        const auto& b = m_blocks[*chip];
        QStringList rules;
        for (const auto& r : b.rules)
            rules << q(r);
        for (const auto& a : b.accepted)
            rules << tr("overruled: %1").arg(shownWord(a));
        if (const auto why = whyWords(m_blueprint, b); !why.empty())
            rules << q(why);
        QToolTip::showText(help->globalPos(),
                           tr("%1, %2 min.\n%3").arg(nameOf(b.drill)).arg(b.minutes).arg(rules.join("\n")), this);
        return true;
    }
    return QWidget::event(e);
}

} // namespace riflesso
