#include "desktop/progress/before_after.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "desktop/workbench/rep_still.h"
#include "handover/words.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {
constexpr double kStillGap = 6.0, kWaterline = 2.0; // px
}

BeforeAfter::BeforeAfter(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setObjectName("beforeAfter");
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Before and after, the model below"));
    connect(&bench.frames(), &FrameService::frameReady, this, [this] { update(); });
}

void BeforeAfter::show(const std::string& measure) {
    if (measure != m_measure) {
        m_first.reset();
        m_second.reset();
        m_picked.reset();
        m_strip = false;
    }
    m_measure = measure;
    m_all = newestByDay(m_bench.data(), m_bench.analysis(), measure);
    say();
    update();
}

// Two days, or all of them: of more than there is room for the first and the newest.
std::vector<RepBehind> BeforeAfter::shown() const {
    if (m_all.size() < 2)
        return m_all; // nothing came after
    if (m_strip) {
        std::vector<RepBehind> out = m_all;
        if (out.size() > kMost)
            out.erase(out.begin() + 1, out.end() - static_cast<std::ptrdiff_t>(kMost - 1));
        return out;
    }
    const auto of = [&](const std::optional<Day>& day, const RepBehind& usual) {
        const auto it = std::find_if(m_all.begin(), m_all.end(), [&](const auto& r) { return day && r.day == *day; });
        return it == m_all.end() ? usual : *it;
    };
    return {of(m_first, m_all.front()), of(m_second, m_all.back())};
}

std::vector<Day> BeforeAfter::days() const {
    std::vector<Day> out;
    for (const auto& r : shown())
        out.push_back(r.day);
    return out;
}

QRectF BeforeAfter::placeOf(std::size_t index) const {
    const auto n = static_cast<double>(std::max<std::size_t>(1, shown().size()));
    const double w = (width() - (n - 1) * kStillGap) / n, h = (height() - kWaterline) / 2;
    return {static_cast<double>(index) * (w + kStillGap), 0, w, h};
}

void BeforeAfter::say() {
    QStringList words;
    for (const Day day : days())
        words << q(dayWords(day));
    setAccessibleDescription(words.join(", "));
    setToolTip(m_all.size() < 3 ? QString()
               : m_strip        ? tr("Click two days to see them beside one another.")
                                : tr("Click for the strip of all days (Space). Left and right change the first, with "
                                            "Shift the second."));
}

void BeforeAfter::mousePressEvent(QMouseEvent* e) {
    const auto all = shown();
    if (m_all.size() < 3) // there is nothing to choose
        return;
    if (!m_strip) {
        m_strip = true;
        m_picked.reset();
    } else {
        for (std::size_t i = 0; i < all.size(); ++i) {
            if (!placeOf(i).contains(e->position()))
                continue;
            if (!m_picked) {
                m_picked = all[i].day;
            } else if (*m_picked != all[i].day) {
                m_first = std::min(*m_picked, all[i].day);
                m_second = std::max(*m_picked, all[i].day);
                m_strip = false;
            }
            break;
        }
    }
    say();
    update();
}

void BeforeAfter::keyPressEvent(QKeyEvent* e) {
    const int by = e->key() == Qt::Key_Left ? -1 : e->key() == Qt::Key_Right ? 1 : 0;
    if (m_all.size() < 3 || (by == 0 && e->key() != Qt::Key_Space)) {
        QWidget::keyPressEvent(e);
        return;
    }
    if (by == 0) {
        m_strip = !m_strip;
        m_picked.reset();
    } else {
        m_strip = false;
        const auto two = shown();
        const bool second = e->modifiers() & Qt::ShiftModifier;
        const Day now = second ? two.back().day : two.front().day;
        const auto at = std::find_if(m_all.begin(), m_all.end(), [&](const auto& r) { return r.day == now; });
        const auto next = std::clamp<std::ptrdiff_t>(at - m_all.begin() + by, 0, std::ssize(m_all) - 1);
        (second ? m_second : m_first) = m_all[static_cast<std::size_t>(next)].day;
    }
    say();
    update();
}

void BeforeAfter::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const BlueprintMeasure* m = m_bench.blueprint().measure(m_measure);
    const auto draw = [&](const QRectF& box, const RepBehind& s, QColor colour, const QString& words) {
        if (!m || !drawRepStill(p, m_bench, box, s.rep, s.frame, colour, &m->definition)) {
            p.fillRect(box, t.panel);
            p.setPen(t.quiet);
            p.setFont(typeface(Type::small));
            p.drawText(box, Qt::AlignCenter | Qt::TextWordWrap, tr("no picture yet"));
            return;
        }
        const QString value = q(numberWords(m->definition, s.value));
        drawPlate(p, box, box.width() < 130 ? value : words + "  " + value,
                  Type::small); // a narrow one has its day above
    };
    const auto all = shown();
    for (std::size_t i = 0; i < std::max<std::size_t>(1, all.size()); ++i) {
        const QRectF box = placeOf(i);
        const RepBehind one = i < all.size() ? all[i] : RepBehind{};
        const QString day = q(dayWords(one.day)).mid(4);
        draw(box, one, t.hues.athleteOnPicture, day);
        if (box.width() < 130 && one.rep)
            drawPlate(p, box, day, Type::small, true);
        if (m_strip && m_picked && one.day == *m_picked) {
            p.setBrush(Qt::NoBrush);
            p.setPen(QPen(t.hues.athlete, 3));
            p.drawRect(box.adjusted(1.5, 1.5, -1.5, -1.5));
        }
    }
    RepBehind model;
    for (const auto& [id, rep] : m_bench.analysis().measured)
        if (!model.rep && m_bench.data().takes.at(m_bench.data().reps.at(id).take).performer == Performer::model)
            for (const auto& v : rep.values)
                if (v.measure == m_measure && !v.refused && !v.frames.empty())
                    model = {id, {}, v.value, v.u, v.frames.front()};
    const double h = (height() - kWaterline) / 2;
    draw(QRectF(0, h + kWaterline, width(), h), model, t.hues.modelOnPicture, tr("model"));
    p.fillRect(QRectF(0, h, width(), kWaterline), t.text);
}

} // namespace riflesso
