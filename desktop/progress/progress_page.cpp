#include "desktop/progress/progress_page.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QHBoxLayout>
#include <QPainter>

#include <cmath>

namespace riflesso {
TrendChart::TrendChart(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setAccessibleName(tr("The focus measure over its dates"));
}

void TrendChart::setTrend(int index) {
    m_index = index;
    update();
}

void TrendChart::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    const auto& trends = m_bench.analysis().trends;
    if (m_index < 0 || m_index >= static_cast<int>(trends.size()) ||
        trends[static_cast<std::size_t>(m_index)].points.empty()) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::strong));
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                   tr("No focus is measured yet. Findings give the focus; each later film adds a point here."));
        return;
    }
    const FocusTrend& trend = trends[static_cast<std::size_t>(m_index)];
    const auto& def = m_bench.blueprint().measure(trend.measure)->definition;
    double lo = 1e300, hi = -1e300;
    const auto take = [&](double v) {
        if (std::isfinite(v)) {
            lo = std::min(lo, v);
            hi = std::max(hi, v);
        }
    };
    for (const auto& point : trend.points) {
        take(point.value - 2.4 * point.u);
        take(point.value + 2.4 * point.u);
    }
    take(trend.band.lo);
    take(trend.band.hi);
    const double air = std::max(1e-6, (hi - lo) * 0.12);
    lo -= air;
    hi += air;
    const double left = 78, right = width() - 26.0, top = 16, bottom = height() - 44.0;
    const auto y = [&](double v) { return bottom - (v - lo) / (hi - lo) * (bottom - top); };
    const double day0 = trend.points.front().day.time_since_epoch().count(),
                 day1 = std::max<double>(day0 + 1, trend.points.back().day.time_since_epoch().count());
    const bool single = trend.points.size() == 1;
    const auto x = [&](Day d) {
        return single
                   ? (left + right) / 2
                   : left + 50 + (double(d.time_since_epoch().count()) - day0) / (day1 - day0) * (right - left - 110);
    };

    // The band is where the model is.
    QColor pale = t.hues.model;
    pale.setAlpha(50);
    const double bandTop = std::isfinite(trend.band.hi) ? y(trend.band.hi) : top,
                 bandBottom = std::isfinite(trend.band.lo) ? y(trend.band.lo) : bottom;
    p.fillRect(QRectF(left, bandTop, right - left, bandBottom - bandTop), pale);
    p.setPen(t.hues.model);
    p.setFont(typeface(Type::small, true));
    p.drawText(QRectF(left + 8, bandTop + 3, right - left, 16), Qt::AlignLeft,
               tr("band %1").arg(q(bandWords(def, trend.band))));
    p.setFont(typeface(Type::small));
    // Round steps of 1, 2 or 5 times a power of ten, in the unit that is shown.
    const double shown = shownScale(def);
    const double rough = (hi - lo) * shown / 5, power = std::pow(10.0, std::floor(std::log10(rough)));
    const double grid = (rough / power > 5 ? 10 : rough / power > 2 ? 5 : rough / power > 1 ? 2 : 1) * power / shown;
    for (double v = std::ceil(lo / grid) * grid; v <= hi; v += grid) {
        p.setPen(QPen(t.line, 1));
        p.drawLine(QPointF(left, y(v)), QPointF(right, y(v)));
        p.setPen(t.quiet);
        p.drawText(QRectF(0, y(v) - 8, left - 8, 16), Qt::AlignRight | Qt::AlignVCenter, q(numberWords(def, v)));
    }
    // What a change from the first point must exceed to be believed.
    if (trend.change) {
        p.setPen(QPen(t.quiet, 1, Qt::DashLine));
        for (double sign : {-1.0, 1.0}) {
            const double v = trend.points.front().value + sign * trend.change->mdc;
            if (v > lo && v < hi)
                p.drawLine(QPointF(left, y(v)), QPointF(right, y(v)));
        }
    }
    QPointF before;
    for (std::size_t i = 0; i < trend.points.size(); ++i) {
        const auto& point = trend.points[i];
        const QPointF at(x(point.day), y(point.value));
        if (i) {
            p.setPen(QPen(t.hues.athlete, 1.6));
            p.drawLine(before, at);
        }
        before = at;
    }
    for (const auto& point : trend.points) {
        const QPointF at(x(point.day), y(point.value));
        p.setPen(QPen(t.hues.athlete, 2));
        const double bar = std::max(3.0, (y(point.value - 1.96 * point.u) - y(point.value + 1.96 * point.u)) / 2);
        p.drawLine(at - QPointF(0, bar), at + QPointF(0, bar));
        p.drawLine(at + QPointF(-6, bar), at + QPointF(6, bar));
        p.drawLine(at + QPointF(-6, -bar), at + QPointF(6, -bar));
        p.setBrush(t.hues.athlete);
        p.drawEllipse(at, 5.5, 5.5);
        p.setPen(t.text);
        p.setFont(typeface(Type::body, true));
        const QString label = q(valueWords(def, point.value, point.u));
        const double w = QFontMetricsF(p.font()).horizontalAdvance(label) + 8;
        const QRectF plate(at.x() + 12 + w > right ? at.x() - 12 - w : at.x() + 12, at.y() - 9, w, 18);
        p.fillRect(plate, t.panel);
        p.drawText(plate, Qt::AlignCenter, label);
        p.setFont(typeface(Type::small));
        p.setPen(t.quiet);
        p.drawText(QRectF(at.x() - 60, bottom + 6, 120, 30), Qt::AlignHCenter,
                   QString("%1\n%2, %3")
                       .arg(q(dayWords(point.day)), q(std::string(kStageNames[static_cast<std::size_t>(point.stage)])),
                            counted(point.reps, tr("rep"), tr("reps"))));
    }
}

ProgressPage::ProgressPage(Workbench& bench) : m_bench(bench) {
    m_which = new QComboBox;
    m_which->setAccessibleName(tr("Focus measure"));
    m_chart = new TrendChart(bench);
    m_words = new Card(tr("Did it move?"));
    m_practice = new Card(tr("Verdicts, newest first"));
    auto* left = new QVBoxLayout;
    left->addWidget(m_which);
    left->addWidget(m_chart, 1);
    auto* right = new QVBoxLayout;
    right->addWidget(m_words);
    right->addWidget(m_practice, 1);
    auto* side = new QWidget;
    side->setFixedWidth(360);
    side->setLayout(right);
    right->setContentsMargins(0, 0, 0, 0);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(14, 8, 14, 10);
    all->setSpacing(14);
    all->addLayout(left, 1);
    all->addWidget(side);
    connect(m_which, &QComboBox::activated, this, [this] { refresh(); });
    auto* seen = new WhenSeen(this, [this] { refresh(); });
    connect(&bench.book(), &Casebook::analysed, seen, [seen] { (*seen)(); });
    refresh();
}

void ProgressPage::refresh() {
    const auto& a = m_bench.analysis();
    const auto& b = m_bench.blueprint();
    const int before = std::max(0, m_which->currentIndex());
    m_which->clear();
    for (const auto& t : a.trends)
        m_which->addItem(QString("%1: %2").arg(q(b.fault(t.fault)->name), q(b.measure(t.measure)->definition.name)));
    m_which->setCurrentIndex(std::min(before, m_which->count() - 1));
    m_which->setEnabled(m_which->count() > 0);
    m_chart->setTrend(m_which->currentIndex());

    clearLayout(m_words->body());
    if (m_which->currentIndex() >= 0) {
        const FocusTrend& t = a.trends[static_cast<std::size_t>(m_which->currentIndex())];
        const auto& def = b.measure(t.measure)->definition;
        if (t.change) {
            const char* answer = t.change->movement == Movement::towards ? "Yes, towards the band."
                                 : t.change->movement == Movement::away  ? "Yes, away from the band."
                                                                         : "Not by more than the marking error.";
            m_words->body()->addWidget(wrapped(tr(answer), "strong"));
            m_words->body()->addWidget(wrapped(
                tr("It moved by %1. The smallest change worth believing between these two films is %2 (MDC95).")
                    .arg((t.change->change > 0 ? QString("+") : QString()) + q(numberWords(def, t.change->change)),
                         q(numberWords(def, t.change->mdc)))));
            const double left = distanceOutside(t.points.back().value, t.band);
            m_words->body()->addWidget(wrapped(left > 0
                                                   ? tr("Still %1 outside the band.").arg(q(numberWords(def, left)))
                                                   : tr("It is inside the band now.")));
        } else {
            m_words->body()->addWidget(
                wrapped(tr("One film so far. Film again under the same stress, and the change stands here.")));
        }
        m_words->body()->addWidget(wrapped(
            tr("Bars are ± 1.96 standard uncertainties. Dashed: what a change from the first film must exceed."),
            "quiet"));
    } else {
        m_words->body()->addWidget(wrapped(tr("Findings give the focus first."), "quiet"));
    }
    clearLayout(m_practice->body());
    for (const auto& g : a.gates) {
        const Drill& d = *b.drill(g.drill);
        m_practice->body()->addWidget(
            wrapped(tr("<b>%1</b> (%2)<br>%3 The athlete agrees on %4 of %5.")
                        .arg(q(d.name).toHtmlEscaped(), q(std::string(kStageNames[static_cast<std::size_t>(g.stage)])),
                             q(g.gate.words))
                        .arg(g.agreed)
                        .arg(g.good + g.bad)));
    }
    if (a.gates.empty())
        m_practice->body()->addWidget(wrapped(tr("No block is logged yet."), "quiet"));
    m_practice->body()->addStretch();
}

} // namespace riflesso
