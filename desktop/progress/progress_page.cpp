#include "desktop/progress/progress_page.h"

#include "casebook/text.h"
#include "desktop/parts/rep_still.h"
#include "desktop/theme/theme.h"
#include "handover/progress_words.h"
#include "handover/words.h"

#include <QHBoxLayout>
#include <QPainter>

#include <algorithm>
#include <cmath>
#include <map>

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
            const double v = trend.points.back().value - trend.change->change + sign * trend.change->mdc;
            if (v > lo && v < hi) {
                p.drawLine(QPointF(left, y(v)), QPointF(right, y(v)));
                if (sign > 0)
                    p.drawText(QRectF(left, y(v) - 16, right - left - 6, 15), Qt::AlignRight,
                               tr("between the dashed lines: may be chance"));
            }
        }
    }
    // Points of one stage are joined, of different ones never; each stage has its shape.
    std::map<Stage, QPointF> before;
    for (const auto& point : trend.points) {
        const QPointF at(x(point.day), y(point.value));
        if (const auto last = before.find(point.stage); last != before.end()) {
            p.setPen(QPen(t.hues.athlete, 1.6));
            p.drawLine(last->second, at);
        }
        before[point.stage] = at;
    }
    const Stage newest = trend.points.back().stage;
    if (const History h = historyOf(trend); h.kind == HistoryKind::step) {
        p.setPen(QPen(t.text, 1, Qt::DashLine));
        const double at = x(*h.day) - 12;
        p.drawLine(QPointF(at, top), QPointF(at, bottom));
        p.setFont(typeface(Type::small));
        p.drawText(QPointF(at + 6, top + 12),
                   tr("a step, 95 %: %1 to %2").arg(q(dayWords(h.days.front())), q(dayWords(h.days.back()))));
    }
    if (const auto& aim = m_bench.data().brief.aim;
        aim && aim->measure == trend.measure && aim->to > lo && aim->to < hi) {
        p.setPen(QPen(t.hues.athlete, 1.4, Qt::DotLine));
        p.drawLine(QPointF(left, y(aim->to)), QPointF(right, y(aim->to)));
        p.setFont(typeface(Type::small, true));
        p.drawText(QRectF(left, y(aim->to) - 17, right - left - 6, 15), Qt::AlignRight,
                   tr("goal %1").arg(q(numberWords(def, aim->to))));
    }
    for (const auto& point : trend.points) {
        const QPointF at(x(point.day), y(point.value));
        p.setPen(QPen(t.hues.athlete, 2));
        const double bar = std::max(3.0, (y(point.value - 1.96 * point.u) - y(point.value + 1.96 * point.u)) / 2);
        p.drawLine(at - QPointF(0, bar), at + QPointF(0, bar));
        p.drawLine(at + QPointF(-6, bar), at + QPointF(6, bar));
        p.drawLine(at + QPointF(-6, -bar), at + QPointF(6, -bar));
        if (point.stage == newest) {
            p.setBrush(t.hues.athlete);
            p.drawEllipse(at, 5.5, 5.5);
        } else {
            p.setBrush(t.panel);
            p.drawRect(QRectF(at.x() - 5, at.y() - 5, 10, 10));
        }
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

BeforeAfter::BeforeAfter(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setAccessibleName(tr("Before and after, the model below"));
    connect(&bench.frames(), &FrameService::frameReady, this, [this] { update(); });
}

void BeforeAfter::show(const std::string& measure) {
    m_measure = measure;
    update();
}

void BeforeAfter::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& a = m_bench.analysis();
    const BlueprintMeasure* m = m_bench.blueprint().measure(m_measure);
    // The first and the newest rep that show the measure, and the model's.
    struct Shown {
        Id rep = 0;
        FrameIndex frame;
        Day day{};
        double value = 0.0;
    } first, last, model;
    for (const auto& [id, rep] : a.measured)
        for (const auto& v : rep.values) {
            if (v.measure != m_measure || v.refused || v.frames.empty())
                continue;
            const Take& take = m_bench.data().takes.at(m_bench.data().reps.at(id).take);
            const Shown s{id, v.frames.front(), take.day, v.value};
            if (take.performer == Performer::model) {
                model = model.rep ? model : s;
            } else {
                if (!first.rep || s.day < first.day)
                    first = s;
                if (!last.rep || s.day >= last.day)
                    last = s;
            }
        }
    const double h = (height() - 2.0) / 2, w = (width() - 6.0) / 2;
    const auto draw = [&](const QRectF& box, const Shown& s, QColor colour, const QString& words) {
        if (!m || !drawRepStill(p, m_bench, box, s.rep, s.frame, colour, &m->definition)) {
            p.fillRect(box, t.panel);
            p.setPen(t.quiet);
            p.setFont(typeface(Type::small));
            p.drawText(box, Qt::AlignCenter | Qt::TextWordWrap, tr("no picture yet"));
            return;
        }
        drawPlate(p, box, words + "  " + q(numberWords(m->definition, s.value)), Type::small);
    };
    draw(QRectF(0, 0, w, h), first, t.hues.athleteOnPicture, q(dayWords(first.day)).mid(4));
    draw(QRectF(w + 6, 0, w, h), last, t.hues.athleteOnPicture, q(dayWords(last.day)).mid(4));
    draw(QRectF(0, h + 2, width(), h), model, t.hues.modelOnPicture, tr("model"));
    p.fillRect(QRectF(0, h, width(), 2), t.text); // the waterline
}

void BreakChart::show(const BreakPoint& broken) {
    m_broken = broken;
    setAccessibleDescription(q(broken.words));
    update();
}

void BreakChart::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    const auto n = static_cast<int>(m_broken.stages.size());
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
    for (int i = 0; i < n; ++i) {
        const auto& s = m_broken.stages[static_cast<std::size_t>(i)];
        const double x = left + (i + 0.5) * step;
        p.setPen(QPen(t.hues.athlete, 2));
        p.drawLine(QPointF(x, y(s.interval.lo)), QPointF(x, y(s.interval.hi)));
        const bool owned = s.pOwned >= 0.8, broken = s.pBroken >= 0.8;
        p.setBrush(owned ? QBrush(t.hues.athlete) : QBrush(t.panel));
        p.drawEllipse(QPointF(x, y(s.share)), 6, 6);
        p.setPen(t.text);
        p.setFont(typeface(Type::body, true));
        p.drawText(QRectF(x + 12, y(s.share) - 9, step / 2, 18), Qt::AlignLeft | Qt::AlignVCenter,
                   tr("%1 of %2").arg(s.inside).arg(s.n));
        p.drawText(QRectF(x - step / 2, bottom + 8, step, 18), Qt::AlignHCenter, q(s.stage));
        p.setFont(typeface(Type::small));
        p.setPen(t.quiet);
        p.drawText(QRectF(x - step / 2, bottom + 27, step, 18), Qt::AlignHCenter,
                   owned    ? tr("owned")
                   : broken ? tr("breaks")
                            : tr("in between, or too few"));
    }
}

ProgressPage::ProgressPage(Workbench& bench) : m_bench(bench) {
    m_story = new StoryLine(bench);
    m_which = new QComboBox;
    m_which->setAccessibleName(tr("Focus measure"));
    m_answer = wrapped({}, "title");
    m_answer->setObjectName("progressAnswer");
    m_answer->setStyleSheet("font-size: 17px; font-weight: bold;");
    m_chart = new TrendChart(bench);
    m_breaks = new BreakChart;
    m_pictures = new QStackedWidget;
    m_pictures->addWidget(m_chart);
    m_pictures->addWidget(m_breaks);
    m_before = new BeforeAfter(bench);
    m_more = new Card(tr("What went with it"));
    auto* bar = new QHBoxLayout;
    bar->setSpacing(6);
    const QStringList questions{tr("Did it move?"), tr("Where does it break?"), tr("Does feeling meet film?"),
                                tr("Was it practised?")};
    for (int i = 0; i < questions.size(); ++i) {
        auto* b = new QPushButton(questions[i]);
        b->setObjectName(QString("question%1").arg(i + 1));
        b->setCheckable(true);
        b->setAutoExclusive(true);
        b->setChecked(i == 0);
        connect(b, &QPushButton::clicked, this, [this, i] {
            m_question = i;
            refresh();
        });
        bar->addWidget(b);
    }
    bar->addSpacing(12);
    bar->addWidget(m_which, 1);
    auto* side = new QVBoxLayout;
    side->setSpacing(8);
    side->addWidget(m_before, 3);
    side->addWidget(m_more, 2);
    auto* lower = new QHBoxLayout;
    lower->setSpacing(12);
    lower->addWidget(m_pictures, 2);
    lower->addLayout(side, 1);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(14, 8, 14, 10);
    all->setSpacing(8);
    all->addWidget(m_story);
    all->addLayout(bar);
    all->addWidget(m_answer);
    all->addLayout(lower, 1);
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
    const int at = m_which->currentIndex();
    m_chart->setTrend(at);
    m_story->update();
    const FocusTrend* trend = at >= 0 ? &a.trends[static_cast<std::size_t>(at)] : nullptr;
    const auto broken = trend ? breakOf(m_bench.data(), a, *trend) : BreakPoint{};
    m_breaks->show(broken);
    m_before->show(trend ? trend->measure : std::string());
    m_pictures->setCurrentIndex(m_question == 1 ? 1 : 0);
    std::string answer;
    switch (m_question) {
    case 1:
        answer = trend ? broken.words : std::string();
        break;
    case 2:
        answer = feelingWords(m_bench.data(), b, a);
        break;
    case 3:
        answer = practisedWords(m_bench.data(), m_bench.book().today());
        break;
    default:
        answer = trend ? movedWords(b, *trend) + " " + goalWords(b, m_bench.data().brief.aim, *trend) : std::string();
    }
    m_answer->setText(answer.empty() ? tr("Findings give the focus first; each later film adds a point here.")
                                     : q(answer));
    fillMore(trend);
}

void ProgressPage::fillMore(const FocusTrend* trend) {
    clearLayout(m_more->body());
    const auto& a = m_bench.analysis();
    const auto& b = m_bench.blueprint();
    const auto add = [this](const QString& text, const char* style = "") {
        m_more->body()->addWidget(wrapped(text, style));
    };
    if (trend)
        for (const auto& link : a.beliefs) {
            if (link.cause != trend->fault || !b.fault(link.consequence))
                continue;
            const QString name = q(b.fault(link.consequence)->name);
            if (link.checks == 0)
                add(tr("%1: not put to the test yet").arg(name), "quiet");
            else
                add(link.followed == link.checks ? tr("%1 went too").arg(name)
                    : link.followed == 0         ? tr("%1 stayed: a fault of its own").arg(name)
                                         : tr("%1 went %2 times of %3").arg(name).arg(link.followed).arg(link.checks));
        }
    for (const auto& d : a.decided)
        if (const Fault* f = b.fault(d.decision.fault); f && d.decision.kind == DecisionKind::takenUp)
            add(tr("%1: %2").arg(q(f->name), q(d.words)), "athlete");
    for (const auto& g : a.gates) {
        if (m_more->body()->count() > 5)
            break;
        const Drill& d = *b.drill(g.drill);
        add(tr("<b>%1</b>: %2").arg(q(d.name).toHtmlEscaped(), q(g.gate.words)));
    }
    if (m_more->body()->count() == 0)
        add(tr("Nothing yet: film again under the same stress."), "quiet");
    m_more->body()->addStretch();
}

} // namespace riflesso
