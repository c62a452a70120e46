#include "desktop/progress/progress_page.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "desktop/workbench/rep_still.h"
#include "handover/progress_words.h"
#include "handover/words.h"

#include <QPainter>

#include <algorithm>
#include <cmath>
#include <map>

namespace riflesso {
namespace {

// The reps behind a point, a line each; a long list is cut.
QString linesOf(const Workbench& bench, const std::string& measure, const Band& band,
                const std::vector<RepBehind>& reps) {
    constexpr std::size_t kMostLines = 14;
    const BlueprintMeasure* m = bench.blueprint().measure(measure);
    QStringList lines;
    for (std::size_t i = 0; m && i < std::min(reps.size(), kMostLines); ++i) {
        const RepBehind& r = reps[i];
        lines << TrendChart::tr("%1, rep %2: %3, %4")
                     .arg(q(bench.data().takes.at(bench.data().reps.at(r.rep).take).title))
                     .arg(bench.data().reps.at(r.rep).number)
                     .arg(q(valueWords(m->definition, r.value, r.u)))
                     .arg(r.value < band.lo || r.value > band.hi ? TrendChart::tr("outside")
                                                                 : TrendChart::tr("inside"));
    }
    if (reps.size() > kMostLines)
        lines << TrendChart::tr("and %1 more").arg(reps.size() - kMostLines);
    return lines.join("\n");
}

} // namespace

TrendChart::TrendChart(Workbench& bench, QWidget* parent) : PointChart(parent), m_bench(bench) {
    setAccessibleName(tr("The focus measure over its dates"));
}

void TrendChart::show(std::optional<FocusTrend> trend) {
    m_trend = std::move(trend);
    update();
}

std::vector<RepBehind> TrendChart::behind(std::size_t index) const {
    const FocusTrend* t = trend();
    return t && index < t->points.size() ? repsBehind(m_bench.data(), m_bench.analysis(), t->measure,
                                                      t->points[index].stage, t->points[index].day)
                                         : std::vector<RepBehind>();
}

QString TrendChart::wordsOf(std::size_t index) const {
    const FocusTrend* t = trend();
    return t ? linesOf(m_bench, t->measure, t->band, behind(index)) : QString();
}

void TrendChart::clicked(std::size_t index) {
    const auto reps = behind(index);
    if (reps.empty())
        return;
    const double mean = trend()->points[index].value;
    const auto nearest = std::min_element(reps.begin(), reps.end(), [&](const RepBehind& a, const RepBehind& b) {
        return std::abs(a.value - mean) < std::abs(b.value - mean);
    });
    m_bench.showSource(nearest->rep, nearest->frame);
}

namespace {

// Where days and values of a trend lie on the glass, px.
struct TrendPlot {
    const FocusTrend& trend;
    const MeasureDefinition& definition;
    double lo = 1e300, hi = -1e300; // of the value axis
    double left = 78, right = 0, top = 16, bottom = 0;

    TrendPlot(const FocusTrend& shown, const MeasureDefinition& of, QSize size)
        : trend(shown), definition(of), right(size.width() - 26.0), bottom(size.height() - 58.0) {
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
    }
    [[nodiscard]] double y(double v) const { return bottom - (v - lo) / (hi - lo) * (bottom - top); }
    [[nodiscard]] double x(Day d) const {
        if (trend.points.size() == 1)
            return (left + right) / 2;
        const double first = trend.points.front().day.time_since_epoch().count(),
                     last = std::max<double>(first + 1, trend.points.back().day.time_since_epoch().count());
        return left + 50 + (double(d.time_since_epoch().count()) - first) / (last - first) * (right - left - 110);
    }
    void across(QPainter& p, double v) const { p.drawLine(QPointF(left, y(v)), QPointF(right, y(v))); }
    void above(QPainter& p, double v, const QString& words) const {
        p.drawText(QRectF(left, y(v) - 17, right - left - 6, 15), Qt::AlignRight, words);
    }
};

// The band is where the model is.
void drawBand(QPainter& p, const TrendPlot& plot) {
    const Theme& t = theme();
    const Band& band = plot.trend.band;
    QColor pale = t.hues.model;
    pale.setAlpha(50);
    const double upper = std::isfinite(band.hi) ? plot.y(band.hi) : plot.top,
                 lower = std::isfinite(band.lo) ? plot.y(band.lo) : plot.bottom;
    p.fillRect(QRectF(plot.left, upper, plot.right - plot.left, lower - upper), pale);
    p.setPen(t.hues.model);
    p.setFont(typeface(Type::small, true));
    p.drawText(QRectF(plot.left + 8, upper + 3, plot.right - plot.left, 16), Qt::AlignLeft,
               TrendChart::tr("band %1").arg(q(bandWords(plot.definition, band))));
}

// Round steps of 1, 2 or 5 times a power of ten, in the unit that is shown.
void drawGrid(QPainter& p, const TrendPlot& plot) {
    const Theme& t = theme();
    p.setFont(typeface(Type::small));
    const double shown = shownScale(plot.definition);
    const double rough = (plot.hi - plot.lo) * shown / 5, power = std::pow(10.0, std::floor(std::log10(rough)));
    const double grid = (rough / power > 5 ? 10 : rough / power > 2 ? 5 : rough / power > 1 ? 2 : 1) * power / shown;
    for (double v = std::ceil(plot.lo / grid) * grid; v <= plot.hi; v += grid) {
        p.setPen(QPen(t.line, 1));
        plot.across(p, v);
        p.setPen(t.quiet);
        p.drawText(QRectF(0, plot.y(v) - 8, plot.left - 8, 16), Qt::AlignRight | Qt::AlignVCenter,
                   q(numberWords(plot.definition, v)));
    }
}

// What a change from the first point must exceed to be believed.
void drawChance(QPainter& p, const TrendPlot& plot) {
    const FocusTrend& trend = plot.trend;
    if (!trend.change)
        return;
    p.setPen(QPen(theme().quiet, 1, Qt::DashLine));
    for (double sign : {-1.0, 1.0}) {
        const double v = trend.points.back().value - trend.change->change + sign * trend.change->mdc;
        if (v <= plot.lo || v >= plot.hi)
            continue;
        plot.across(p, v);
        if (sign > 0)
            plot.above(p, v, TrendChart::tr("between the dashed lines: may be chance"));
    }
}

// Points of one stage are joined, of different ones never.
void drawJoins(QPainter& p, const TrendPlot& plot) {
    std::map<Stage, QPointF> before;
    p.setPen(QPen(theme().hues.athlete, 1.6));
    for (const auto& point : plot.trend.points) {
        const QPointF at(plot.x(point.day), plot.y(point.value));
        if (const auto last = before.find(point.stage); last != before.end())
            p.drawLine(last->second, at);
        before[point.stage] = at;
    }
}

void drawStep(QPainter& p, const TrendPlot& plot, int width) {
    const History h = historyOf(plot.trend);
    if (h.kind != HistoryKind::step)
        return;
    p.setPen(QPen(theme().text, 1, Qt::DashLine));
    const double at = plot.x(*h.day) - 12;
    p.drawLine(QPointF(at, plot.top), QPointF(at, plot.bottom));
    p.setFont(typeface(Type::small));
    const QString from = q(dayWords(h.days.front())), to = q(dayWords(h.days.back()));
    const QString words = from == to ? TrendChart::tr("a step, 95 %: %1").arg(from)
                                     : TrendChart::tr("a step, 95 %: %1 to %2").arg(from, to);
    const double wide = p.fontMetrics().horizontalAdvance(words);
    p.drawText(QPointF(at + 6 + wide > width ? at - 6 - wide : at + 6, plot.top + 12), words);
}

void drawAim(QPainter& p, const TrendPlot& plot, const std::optional<Goal>& aim) {
    if (!aim || aim->measure != plot.trend.measure || aim->to <= plot.lo || aim->to >= plot.hi)
        return;
    p.setPen(QPen(theme().hues.athlete, 1.4, Qt::DotLine));
    plot.across(p, aim->to);
    p.setFont(typeface(Type::small, true));
    plot.above(p, aim->to, TrendChart::tr("goal %1").arg(q(numberWords(plot.definition, aim->to))));
}

// A point's figures, beside it, where no other one's stand.
void drawFigures(QPainter& p, const TrendPlot& plot, const TrendPoint& point, std::vector<QRectF>& taken) {
    const QPointF at(plot.x(point.day), plot.y(point.value));
    p.setPen(theme().text);
    p.setFont(typeface(Type::body, true));
    const QString label = q(valueWords(plot.definition, point.value, point.u));
    const double w = QFontMetricsF(p.font()).horizontalAdvance(label) + 8;
    QRectF plate;
    for (const auto& [side, up] : {std::pair{1, 0}, {-1, 0}, {1, 20}, {1, -20}, {-1, 20}, {-1, -20}}) {
        plate = QRectF(side > 0 ? at.x() + 12 : at.x() - 12 - w, at.y() - 9 + up, w, 18);
        const bool free = std::none_of(taken.begin(), taken.end(), [&](const auto& o) { return o.intersects(plate); });
        if (free && plate.right() <= plot.right && plate.left() >= plot.left)
            break;
    }
    taken.push_back(plate);
    p.fillRect(plate, theme().panel);
    p.drawText(plate, Qt::AlignCenter, label);
}

// Each day once, whatever was filmed on it: with what was filmed where that has room, else the day alone, else nothing;
// the pointer tells the rest.
void drawDays(QPainter& p, const TrendPlot& plot, int width) {
    std::map<Day, QStringList> days;
    for (const auto& point : plot.trend.points)
        days[point.day] << QString("%1, %2").arg(shownWord(kStageNames[static_cast<std::size_t>(point.stage)]),
                                                 counted(point.reps, TrendChart::tr("rep"), TrendChart::tr("reps")));
    p.setFont(typeface(Type::small));
    p.setPen(theme().quiet);
    double taken = -1e9; // up to where the last one's words go, px
    for (const auto& [day, stages] : days)
        for (const QString& words : {q(dayWords(day)) + "\n" + stages.join("\n"), q(dayWords(day))}) {
            const double wide =
                p.fontMetrics().boundingRect(QRect(0, 0, 400, 60), Qt::AlignHCenter, words).width() + 4.0;
            const double middle = std::clamp(plot.x(day), wide / 2, width - wide / 2);
            if (middle - wide / 2 < taken + 4)
                continue;
            p.drawText(QRectF(middle - wide / 2, plot.bottom + 6, wide, 50), Qt::AlignHCenter, words);
            taken = middle + wide / 2;
            break;
        }
}

} // namespace

void TrendChart::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    forget();
    if (!trend() || trend()->points.empty()) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::strong));
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                   tr("No focus is measured yet. Findings give the focus; each later film adds a point here."));
        return;
    }
    const TrendPlot plot(*trend(), m_bench.blueprint().measure(trend()->measure)->definition, size());
    drawBand(p, plot);
    drawGrid(p, plot);
    drawChance(p, plot);
    drawJoins(p, plot);
    drawStep(p, plot, width());
    drawAim(p, plot, m_bench.data().brief.aim);
    const Stage newest = plot.trend.points.back().stage;
    std::vector<QRectF> taken;
    for (const auto& point : plot.trend.points) {
        const QPointF at(plot.x(point.day), plot.y(point.value));
        const bool rests = over() == count();
        place(at);
        if (rests) { // every rep behind it, side by side
            const auto reps = behind(count() - 1);
            p.setPen(QPen(t.hues.athlete, 1));
            p.setBrush(Qt::NoBrush);
            for (std::size_t i = 0; i < reps.size(); ++i)
                p.drawEllipse(
                    QPointF(at.x() - 44 + 30.0 * static_cast<double>(i) / std::max<std::size_t>(1, reps.size()),
                            std::clamp(plot.y(reps[i].value), plot.top, plot.bottom)),
                    3, 3);
        }
        p.setPen(QPen(t.hues.athlete, 2));
        const double bar =
            std::max(3.0, (plot.y(point.value - 1.96 * point.u) - plot.y(point.value + 1.96 * point.u)) / 2);
        p.drawLine(at - QPointF(0, bar), at + QPointF(0, bar));
        p.drawLine(at + QPointF(-6, bar), at + QPointF(6, bar));
        p.drawLine(at + QPointF(-6, -bar), at + QPointF(6, -bar));
        p.setBrush(point.stage == newest ? QBrush(t.hues.athlete) : QBrush(t.panel)); // each stage has its shape, too
        drawStage(p, at, point.stage);
        drawFigures(p, plot, point, taken);
    }
    drawDays(p, plot, width());
}

void BreakChart::show(const ThenAndNow& broken, const std::string& measure, const Band& band) {
    m_broken = broken;
    m_measure = measure;
    m_band = band;
    m_stages.clear();
    for (const auto name : kStageNames)
        for (const auto* at : {&broken.now, &broken.then})
            if (std::any_of(at->stages.begin(), at->stages.end(), [&](const auto& s) { return s.stage == name; }) &&
                (m_stages.empty() || m_stages.back() != name))
                m_stages.emplace_back(name);
    setAccessibleDescription(q(broken.words));
    update();
}

std::vector<RepBehind> BreakChart::behind(std::size_t index) const {
    const auto stage = index < m_stages.size() ? stageFromText(m_stages[index]) : std::nullopt;
    return stage ? repsBehind(m_bench.data(), m_bench.analysis(), m_measure, *stage) : std::vector<RepBehind>();
}

QString BreakChart::wordsOf(std::size_t index) const {
    return linesOf(m_bench, m_measure, m_band, behind(index));
}

void BreakChart::clicked(std::size_t index) {
    const auto reps = behind(index);
    const auto out = std::find_if(reps.rbegin(), reps.rend(),
                                  [&](const RepBehind& r) { return r.value < m_band.lo || r.value > m_band.hi; });
    if (!reps.empty())
        m_bench.showSource(out == reps.rend() ? reps.back().rep : out->rep,
                           out == reps.rend() ? reps.back().frame : out->frame);
}

void BreakChart::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    forget();
    const auto n = static_cast<int>(m_stages.size());
    if (n == 0) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::strong));
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap, tr("No rep of the athlete is measured yet."));
        return;
    }
    const double left = 66, right = width() - 20.0, top = 24, bottom = height() - 58.0;
    const auto y = [&](double share) { return bottom - share * (bottom - top); };
    // What is owned lies above three in four, what is broken below one half.
    QColor pale = t.hues.model;
    pale.setAlpha(46);
    p.fillRect(QRectF(left, y(1.0), right - left, y(0.75) - y(1.0)), pale);
    p.setFont(typeface(Type::small));
    for (const double share : {0.0, 0.5, 0.75, 1.0}) {
        p.setPen(QPen(t.line, 1));
        p.drawLine(QPointF(left, y(share)), QPointF(right, y(share)));
        p.setPen(t.quiet);
        p.drawText(QRectF(0, y(share) - 8, left - 8, 16), Qt::AlignRight | Qt::AlignVCenter,
                   tr("%1 %").arg(std::lround(100 * share)));
    }
    const double step = (right - left) / n;
    const auto find = [&](const BreakPoint& at, const std::string& stage) -> const StageShare* {
        const auto it =
            std::find_if(at.stages.begin(), at.stages.end(), [&](const auto& s) { return s.stage == stage; });
        return it == at.stages.end() ? nullptr : &*it;
    };
    for (int i = 0; i < n; ++i) {
        const std::string& stage = m_stages[static_cast<std::size_t>(i)];
        const StageShare *now = find(m_broken.now, stage), *then = find(m_broken.then, stage);
        const double x = left + (i + 0.5) * step, before = then && now ? x - std::min(26.0, step / 5) : x;
        if (then) { // a hollow square in grey, and thin
            p.setPen(QPen(t.quiet, 1.4));
            p.setBrush(t.panel);
            p.drawLine(QPointF(before, y(then->interval.lo)), QPointF(before, y(then->interval.hi)));
            p.drawRect(QRectF(before - 5, y(then->share) - 5, 10, 10));
            if (now) { // from then to now
                p.setPen(QPen(t.quiet, 1, Qt::DotLine));
                p.drawLine(QPointF(before + 6, y(then->share)), QPointF(x - 8, y(now->share)));
            }
        }
        const StageShare& s = now ? *now : *then;
        const bool owned = now && s.pOwned >= 0.8, broken = now && s.pBroken >= 0.8;
        const bool rests = over() == count();
        place(QPointF(x, y(s.share)));
        if (now) {
            p.setPen(QPen(t.hues.athlete, 2));
            p.drawLine(QPointF(x, y(s.interval.lo)), QPointF(x, y(s.interval.hi)));
            p.setBrush(owned ? QBrush(t.hues.athlete) : QBrush(t.panel));
            p.drawEllipse(placeOf(count() - 1), rests ? 9 : 6, rests ? 9 : 6);
        }
        p.setPen(t.text);
        p.setFont(typeface(Type::body, true));
        p.drawText(QRectF(x + 12, y(s.share) - 9, step / 2, 18), Qt::AlignLeft | Qt::AlignVCenter,
                   tr("%1 of %2").arg(s.inside).arg(s.n));
        p.drawText(QRectF(x - step / 2, bottom + 8, step, 18), Qt::AlignHCenter, shownWord(stage));
        p.setFont(typeface(Type::small));
        p.setPen(t.quiet);
        p.drawText(QRectF(x - step / 2, bottom + 27, step, 18), Qt::AlignHCenter,
                   !now     ? tr("not filmed lately")
                   : owned  ? tr("owned")
                   : broken ? tr("breaks")
                            : tr("in between, or too few"));
    }
    if (m_broken.since) {
        p.setPen(t.quiet);
        p.drawText(QRectF(left, 2, right - left, 16), Qt::AlignRight,
                   tr("circle: since %1 · square: before").arg(q(dayWords(*m_broken.since))));
    }
}

} // namespace riflesso
