#include "desktop/marking/curve_panel.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"

#include <QHBoxLayout>
#include <QMouseEvent>
#include <QPainter>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

// The longest run of frames without a gap: that is what can be analysed. x and y, px.
std::vector<std::vector<double>> longestRun(const Track& part) {
    std::vector<std::vector<double>> run(2), longest(2);
    std::optional<int> before;
    for (const auto& [frame, mark] : part) {
        if (before && frame.value != *before + 1) {
            if (run[0].size() > longest[0].size())
                longest = run;
            run = {{}, {}};
        }
        run[0].push_back(mark.at.x);
        run[1].push_back(mark.at.y);
        before = frame.value;
    }
    if (run[0].size() > longest[0].size())
        longest = run;
    return longest;
}

} // namespace

CurveView::CurveView(QWidget* parent) : QWidget(parent) {
    setAccessibleName(tr("Curve over time"));
    setToolTip(tr("Dots: as marked. Line: smoothed. Click goes to the frame."));
}

void CurveView::setCurves(std::vector<Point> raw, std::vector<Point> smooth, const QString& unit) {
    m_raw = std::move(raw);
    m_smooth = std::move(smooth);
    m_unit = unit;
    m_t0 = m_lo = 1e300;
    m_t1 = m_hi = -1e300;
    for (const auto* v : {&m_raw, &m_smooth})
        for (const auto& p : *v) {
            m_t0 = std::min(m_t0, p.time);
            m_t1 = std::max(m_t1, p.time);
            m_lo = std::min(m_lo, p.value);
            m_hi = std::max(m_hi, p.value);
        }
    const double air = std::max(1e-6, 0.06 * (m_hi - m_lo));
    m_lo -= air;
    m_hi += air;
    update();
}

void CurveView::setFrame(int frame) {
    m_frame = frame;
    update();
}

void CurveView::setSpikes(const std::vector<int>& frames) {
    m_spikes = frames;
    update();
}

QRectF CurveView::area() const {
    return QRectF(rect()).adjusted(34, 6, -6, -16);
}

QPointF CurveView::at(const Point& p) const {
    const QRectF a = area();
    return {a.left() + (p.time - m_t0) / std::max(1e-9, m_t1 - m_t0) * a.width(),
            a.bottom() - (p.value - m_lo) / std::max(1e-9, m_hi - m_lo) * a.height()};
}

void CurveView::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.field);
    p.setFont(typeface(Type::small));
    if (m_raw.empty()) {
        p.setPen(t.quiet);
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap, tr("Nothing is marked over time yet."));
        return;
    }
    const QRectF a = area();
    p.setPen(t.line);
    p.drawRect(a);
    p.setPen(t.quiet);
    for (double share : {0.0, 1.0}) {
        const double v = m_lo + share * (m_hi - m_lo);
        p.drawText(QRectF(0, a.bottom() - share * a.height() - (share > 0 ? 0 : 12), 31, 12), Qt::AlignRight,
                   shownFigure(v, std::abs(m_hi - m_lo) < 5 ? 2 : 0));
    }
    p.drawText(QRectF(a.left(), a.bottom() + 1, a.width(), 14), Qt::AlignLeft, m_unit);
    p.drawText(QRectF(a.left(), a.bottom() + 1, a.width(), 14), Qt::AlignRight,
               tr("%1 s").arg(shownFigure(m_t1 - m_t0, 2)));
    p.setPen(Qt::NoPen);
    p.setBrush(t.quiet);
    for (const auto& r : m_raw)
        p.drawEllipse(at(r), 1.3, 1.3);
    p.setPen(QPen(t.hues.athlete, 1.6));
    for (std::size_t i = 1; i < m_smooth.size(); ++i)
        if (m_smooth[i].frame - m_smooth[i - 1].frame == 1)
            p.drawLine(at(m_smooth[i - 1]), at(m_smooth[i]));
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(t.caution, 1.8));
    for (const auto& r : m_raw) {
        if (std::find(m_spikes.begin(), m_spikes.end(), r.frame) != m_spikes.end())
            p.drawEllipse(at(r), 5, 5);
        if (r.frame == m_frame) {
            p.save();
            p.setPen(QPen(t.text, 1));
            p.drawLine(QPointF(at(r).x(), a.top()), QPointF(at(r).x(), a.bottom()));
            p.restore();
        }
    }
}

void CurveView::mousePressEvent(QMouseEvent* e) {
    const Point* best = nullptr;
    for (const auto& r : m_raw)
        if (!best || std::abs(at(r).x() - e->position().x()) < std::abs(at(*best).x() - e->position().x()))
            best = &r;
    if (best)
        emit chosen(best->frame);
}

ResidualView::ResidualView(QWidget* parent) : QWidget(parent) {
    setAccessibleName(tr("Residual analysis"));
    setToolTip(
        tr("What is left over when smoothed at each cut-off. The straight part is noise; where the curve meets its "
           "level, as much movement is lost as noise is kept out (Winter, ch. 3)."));
}

void ResidualView::setAnalysis(const std::optional<ResidualAnalysis>& analysis, std::optional<double> used) {
    m_analysis = analysis;
    m_used = used;
    update();
}

void ResidualView::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.field);
    p.setFont(typeface(Type::small));
    p.setPen(t.quiet);
    if (!m_analysis) {
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap, tr("Too few marks in a row for a residual analysis."));
        return;
    }
    const QRectF a = QRectF(rect()).adjusted(34, 6, -6, -16);
    const double most = std::max(1e-9, *std::max_element(m_analysis->residuals.begin(), m_analysis->residuals.end()));
    const double fastest = m_analysis->cutoffs.back();
    const auto place = [&](double hz, double r) {
        return QPointF(a.left() + hz / fastest * a.width(), a.bottom() - r / most * a.height());
    };
    p.drawRect(a);
    p.drawText(QRectF(0, a.top(), 31, 12), Qt::AlignRight, shownFigure(most, 1));
    p.drawText(QRectF(a.left(), a.bottom() + 1, a.width(), 14), Qt::AlignLeft, tr("left over, px"));
    p.drawText(QRectF(a.left(), a.bottom() + 1, a.width(), 14), Qt::AlignRight,
               tr("%1 Hz").arg(shownFigure(fastest, 0)));
    p.setPen(QPen(t.text, 1.5));
    for (std::size_t i = 1; i < m_analysis->cutoffs.size(); ++i)
        p.drawLine(place(m_analysis->cutoffs[i - 1], m_analysis->residuals[i - 1]),
                   place(m_analysis->cutoffs[i], m_analysis->residuals[i]));
    p.setPen(QPen(t.quiet, 1, Qt::DashLine));
    p.drawLine(place(0, m_analysis->noise), place(fastest, m_analysis->noise));
    p.drawLine(place(m_analysis->chosen.value, 0), place(m_analysis->chosen.value, m_analysis->noise));
    if (m_used) {
        p.setPen(QPen(t.hues.athlete, 2));
        p.drawLine(place(*m_used, 0), place(*m_used, most));
        p.drawText(place(*m_used, most) + QPointF(4, 10), tr("%1 Hz used").arg(shownFigure(*m_used, 1)));
    }
}

CurvePanel::CurvePanel(Workbench& bench) : m_bench(bench) {
    m_what = new QComboBox;
    m_what->setObjectName("curveOf");
    m_what->setAccessibleName(tr("Curve of"));
    m_curve = new CurveView;
    m_residual = new ResidualView;
    m_words = wrapped({}, "quiet");
    m_cutoff = new QDoubleSpinBox;
    m_cutoff->setObjectName("cutoff");
    m_cutoff->setAccessibleName(tr("Cut-off"));
    m_cutoff->setRange(0.5, 200.0);
    m_cutoff->setDecimals(1);
    m_cutoff->setPrefix(tr("Cut-off "));
    m_cutoff->setSuffix(tr(" Hz"));
    m_cutoff->setKeyboardTracking(false);
    m_automatic = new QPushButton(tr("Automatic"));
    m_automatic->setObjectName("automaticCutoff");
    m_automatic->setToolTip(tr("Back to what the residual analysis chooses"));
    m_spikes = new QListWidget;
    m_spikes->setObjectName("spikes");
    m_spikes->setAccessibleName(tr("Marks that jump"));
    m_spikes->setMaximumHeight(92);
    auto* row = new QHBoxLayout;
    row->addWidget(m_cutoff, 1);
    row->addWidget(m_automatic);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(5);
    all->addWidget(m_what);
    all->addWidget(m_curve, 3);
    all->addWidget(m_residual, 2);
    all->addLayout(row);
    all->addWidget(m_words);
    all->addWidget(m_spikes);
    connect(m_what, &QComboBox::activated, this, &CurvePanel::choose);
    connect(m_curve, &CurveView::chosen, &m_bench, &Workbench::setFrame);
    connect(m_spikes, &QListWidget::itemClicked, this,
            [this](QListWidgetItem* item) { m_bench.setFrame(item->data(Qt::UserRole).toInt()); });
    const auto own = [this](std::optional<double> hz) {
        const Take* take = m_bench.take();
        if (!take || m_filling || m_landmark.empty())
            return;
        Take changed = *take;
        if (hz)
            changed.cutoffs[m_landmark] = *hz;
        else
            changed.cutoffs.erase(m_landmark);
        m_bench.book().setTake(changed, tr("set the cut-off of the %1").arg(q(spoken(m_landmark))));
    };
    connect(m_cutoff, &QDoubleSpinBox::valueChanged, this, [own](double hz) { own(hz); });
    connect(m_automatic, &QPushButton::clicked, this, [own] { own(std::nullopt); });
    const auto again = [this] {
        if (isVisible())
            refresh();
    };
    connect(&bench.book(), &Casebook::analysed, this, again);
    connect(&bench, &Workbench::selectionChanged, this, again);
    connect(&bench, &Workbench::frameChanged, this, [this] { m_curve->setFrame(m_bench.frame()); });
}

void CurvePanel::setLandmark(const LandmarkName& landmark) {
    if (landmark == m_landmark)
        return;
    m_landmark = landmark;
    if (isVisible())
        refresh();
}

void CurvePanel::choose() {
    const QString what = m_what->currentData().toString();
    if (what.startsWith("x ") || what.startsWith("y "))
        m_landmark = what.mid(2).toStdString();
    refresh();
}

struct CurvePanel::Curves {
    std::vector<CurveView::Point> raw, smooth;
    std::optional<ResidualAnalysis> analysis;
    std::optional<double> used; // cut-off, Hz
    std::vector<int> spikes;    // frames
};

// What can be drawn: landmarks in both directions, measures that serve this view.
void CurvePanel::chooseAmong(const Take* take, const TrackSet* tracks) {
    const QString kept = m_what->currentData().toString();
    m_what->clear();
    if (tracks)
        for (const auto& [name, track] : *tracks) {
            m_what->addItem(tr("%1, across").arg(q(spoken(name))), "x " + q(name));
            m_what->addItem(tr("%1, up and down").arg(q(spoken(name))), "y " + q(name));
        }
    if (take)
        for (const auto& m : m_bench.blueprint().measures)
            if (serves(take->view, m.definition.view) && !isOfSpan(m.definition.kind))
                m_what->addItem(q(m.definition.name), "m " + q(m.definition.id));
    const bool sameLandmark = kept.mid(2).toStdString() == m_landmark || kept.startsWith("m ");
    int at = m_what->findData(sameLandmark ? kept : "y " + q(m_landmark));
    if (at < 0 && m_what->count() > 0) {
        at = 0;
        m_landmark = m_what->itemData(0).toString().mid(2).toStdString();
    }
    m_what->setCurrentIndex(at);
}

void CurvePanel::landmarkCurves(const Take& take, const TrackSet& tracks, const Motion& motion, bool x,
                                FrameIndex first, FrameIndex last, Curves& out) {
    const Timebase time = timebaseOf(take);
    if (const auto track = tracks.find(m_landmark); track != tracks.end()) {
        for (auto m = track->second.lower_bound(first); m != track->second.end() && m->first <= last; ++m)
            if (m->second.how != How::hidden)
                out.raw.push_back({m->first.value, time.real(m->first).value, x ? m->second.at.x : m->second.at.y});
        Track part;
        for (auto m = track->second.lower_bound(first); m != track->second.end() && m->first <= last; ++m)
            part.insert(*m);
        for (const auto& s : spikesIn(part, time)) {
            out.spikes.push_back(s.frame.value);
            auto* item =
                new QListWidgetItem(tr("Frame %1 jumps by %2 px").arg(s.frame.value + 1).arg(shownFigure(s.jump, 1)));
            item->setData(Qt::UserRole, s.frame.value);
            m_spikes->addItem(item);
        }
        if (time.realPeriod(first) > 0.0)
            out.analysis = residualAnalysis(longestRun(part), Hertz(1.0 / time.realPeriod(first)));
    }
    if (const auto s = motion.tracks().find(m_landmark); s != motion.tracks().end()) {
        for (auto v = s->second.samples.lower_bound(first); v != s->second.samples.end() && v->first <= last; ++v)
            out.smooth.push_back({v->first.value, time.real(v->first).value, x ? v->second.at.x : v->second.at.y});
        if (!s->second.cutoffs.empty())
            out.used = s->second.cutoffs.front().value;
    }
}

void CurvePanel::measureCurves(const MeasureDefinition& definition, const Take& take, const TrackSet& tracks,
                               const Motion& motion, FrameIndex first, FrameIndex last, Curves& out) {
    const ViewSetup setup = setupOf(take);
    MotionOptions none;
    none.cutoff = CutoffNone{};
    TrackSet part;
    for (const auto& name : landmarksOf(definition, take.handedness))
        if (const auto track = tracks.find(name); track != tracks.end())
            for (auto k = track->second.lower_bound(first); k != track->second.end() && k->first <= last; ++k)
                part[name].insert(*k);
    for (const auto& s : series(definition, toMotion(part, timebaseOf(take), none), setup))
        out.raw.push_back({s.frame.value, s.time, s.value});
    for (const auto& s : series(definition, motion, setup))
        if (s.frame >= first && s.frame <= last)
            out.smooth.push_back({s.frame.value, s.time, s.value});
}

void CurvePanel::refresh() {
    const Take* take = m_bench.take();
    m_filling = true;
    const TrackSet* tracks = nullptr;
    if (take)
        if (const auto it = m_bench.data().marks.find(take->id); it != m_bench.data().marks.end())
            tracks = &it->second;
    chooseAmong(take, tracks);
    const QString what = m_what->currentData().toString();
    Curves curves;
    m_spikes->clear();
    const auto motion = take ? m_bench.analysis().motions.find(take->id) : m_bench.analysis().motions.end();
    const bool known = take && motion != m_bench.analysis().motions.end() && tracks;
    // The rep's own frames: a whole take would hide the movement.
    FrameIndex first(0), last(take ? static_cast<int>(take->times.size()) - 1 : 0);
    if (const Rep* rep = m_bench.rep(); rep && known)
        std::tie(first, last) = spanOf(m_bench.data(), *rep);
    if (known && (what.startsWith("x ") || what.startsWith("y "))) {
        landmarkCurves(*take, *tracks, *motion->second, what.startsWith("x "), first, last, curves);
    } else if (known && what.startsWith("m ")) {
        if (const auto* m = m_bench.blueprint().measure(what.mid(2).toStdString()))
            measureCurves(m->definition, *take, *tracks, *motion->second, first, last, curves);
    }
    const bool landmark = !what.startsWith("m ");
    m_curve->setCurves(curves.raw, curves.smooth, landmark ? tr("px") : QString());
    m_curve->setSpikes(curves.spikes);
    m_curve->setFrame(m_bench.frame());
    m_residual->setVisible(landmark);
    m_residual->setAnalysis(curves.analysis, curves.used);
    m_cutoff->setEnabled(landmark && known);
    if (curves.used)
        m_cutoff->setValue(*curves.used);
    const bool own = take && take->cutoffs.contains(m_landmark);
    m_automatic->setEnabled(landmark && own);
    m_words->setText(!known        ? tr("Mark a few frames first.")
                     : !landmark   ? tr("A measure is made of smoothed landmarks.")
                     : own         ? tr("Set by hand for this landmark.")
                     : curves.used ? tr("Chosen by residual analysis, not below 9 Hz.")
                                   : tr("Too few marks in a row: used as they are."));
    m_spikes->setVisible(landmark && m_spikes->count() > 0);
    m_filling = false;
}

} // namespace riflesso
