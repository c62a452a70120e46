#include "desktop/findings/chain_view.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

namespace riflesso {
ChainView::ChainView(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Findings from cause to consequence"));
}

void ChainView::refresh() {
    const auto& findings = m_bench.analysis().judgement.findings;
    if (!m_bench.analysis().finding(m_chosen))
        m_chosen = findings.empty() ? std::string() : findings.front().fault;
    update();
}

std::vector<ChainView::Node> ChainView::nodes() const {
    const auto& findings = m_bench.analysis().judgement.findings;
    std::vector<Node> out;
    for (const auto& f : findings)
        out.push_back({&f, 0, 0, {}});
    // Column = longest chain of active causes before it.
    for (std::size_t pass = 0; pass < out.size(); ++pass)
        for (auto& n : out)
            for (const auto& cause : m_bench.blueprint().fault(n.finding->fault)->causes)
                for (const auto& other : out)
                    if (other.finding->fault == cause.fault)
                        n.column = std::max(n.column, other.column + 1);
    int columns = 1;
    std::map<int, int> rows;
    for (auto& n : out) {
        n.row = rows[n.column]++;
        columns = std::max(columns, n.column + 1);
    }
    const double gap = width() < 480 ? 44 : 64, pad = 4;
    const double w = std::min(250.0, (width() - 2 * pad - gap * (columns - 1)) / columns);
    for (auto& n : out) {
        const double h = std::min(86.0, (height() - 2 * pad - 6.0 * (rows[n.column] - 1)) / rows[n.column]);
        const double total = rows[n.column] * h + (rows[n.column] - 1) * 6;
        n.box = QRectF(pad + n.column * (w + gap), (height() - total) / 2 + n.row * (h + 6), w, h);
    }
    return out;
}

void ChainView::choose(const std::string& fault) {
    if (m_bench.analysis().finding(fault)) {
        m_chosen = fault;
        update();
    }
}

QRectF ChainView::boxOf(const std::string& fault) const {
    for (const auto& n : nodes())
        if (n.finding->fault == fault)
            return n.box;
    return {};
}

void ChainView::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.ground);
    const auto all = nodes();
    const auto& j = m_bench.analysis().judgement;
    if (all.empty()) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::strong));
        const bool judged = std::any_of(m_bench.analysis().deviations.begin(), m_bench.analysis().deviations.end(),
                                        [](const Deviation& d) { return d.judged; });
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                   judged ? tr("Nothing is surely out of its band. See below what could not be decided.")
                          : tr("Nothing is measured yet.\nMark a rep of the athlete, and bring in a model."));
        return;
    }
    for (const auto& n : all)
        for (const auto& cause : m_bench.blueprint().fault(n.finding->fault)->causes)
            for (const auto& from : all) {
                if (from.finding->fault != cause.fault)
                    continue;
                double strength = cause.strength; // as it is believed of this athlete
                for (const auto& belief : m_bench.analysis().beliefs)
                    if (belief.cause == cause.fault && belief.consequence == n.finding->fault)
                        strength = belief.posterior;
                const QPointF a(from.box.right(), from.box.center().y()), b(n.box.left() - 8, n.box.center().y());
                QPainterPath path(a);
                path.cubicTo(a + QPointF(34, 0), b - QPointF(34, 0), b);
                p.setPen(QPen(t.text, 1 + 6 * strength, Qt::SolidLine, Qt::FlatCap));
                p.setBrush(Qt::NoBrush);
                p.setOpacity(0.55);
                p.drawPath(path);
                p.setOpacity(1);
                const double s = 4 + 4 * strength;
                p.setBrush(t.text);
                p.setPen(Qt::NoPen);
                p.drawPolygon(QPolygonF({b + QPointF(8, 0), b + QPointF(-2, -s), b + QPointF(-2, s)}));
                p.setFont(typeface(Type::small));
                p.setPen(t.quiet);
                const QPointF middle = path.pointAtPercent(0.42);
                const QRectF plate(middle.x() - 12, middle.y() - 8, 24, 16);
                p.setPen(Qt::NoPen);
                p.setBrush(t.ground);
                p.drawRoundedRect(plate, 8, 8);
                p.setPen(t.text);
                p.drawText(plate, Qt::AlignCenter, shownFigure(strength, 1));
            }
    for (const auto& n : all) {
        const Finding& f = *n.finding;
        const bool focus = std::find(j.focus.begin(), j.focus.end(), f.fault) != j.focus.end();
        const bool chosen = f.fault == m_chosen;
        p.setPen(QPen(chosen ? t.hues.athlete : t.line, chosen ? 2.5 : 1));
        p.setBrush(t.panel);
        p.drawRoundedRect(n.box, 7, 7);
        if (focus)
            p.fillRect(QRectF(n.box.left() + 1, n.box.top() + 8, 5, n.box.height() - 16), t.hues.athlete);
        const QRectF inner = n.box.adjusted(14, 6, -10, -5);
        const bool small = n.box.height() < 64 || n.box.width() < 190; // room for a name only
        p.setFont(typeface(small ? Type::body : Type::strong, true));
        p.setPen(t.text);
        if (small)
            p.drawText(inner.adjusted(0, -6, 4, 5), Qt::AlignLeft | Qt::AlignVCenter | Qt::TextWordWrap,
                       q(m_bench.blueprint().fault(f.fault)->name));
        else
            p.drawText(inner, Qt::AlignLeft | Qt::AlignTop,
                       QFontMetricsF(p.font()).elidedText(q(m_bench.blueprint().fault(f.fault)->name), Qt::ElideRight,
                                                          inner.width()));
        p.setFont(typeface(Type::small));
        p.setPen(t.quiet);
        if (!f.evidence.empty() && !small) {
            const Deviation& d = *m_bench.analysis().deviation(f.evidence.front());
            const auto& def = m_bench.blueprint().measure(d.measure)->definition;
            drawDeviationMark(p, QPointF(inner.left() + 8, inner.top() + 33), 9, d, isTime(def), t.hues.athlete);
            p.setPen(t.text);
            p.setFont(typeface(Type::body, true));
            p.drawText(QRectF(inner.left() + 22, inner.top() + 23, inner.width() - 22, 18),
                       Qt::AlignLeft | Qt::AlignVCenter, q(valueWords(def, d.value)));
            p.setFont(typeface(Type::small));
            p.setPen(t.quiet);
            p.drawText(QRectF(inner.left(), inner.top() + 42, inner.width(), 15), Qt::AlignLeft,
                       tr("band %1").arg(q(bandWords(def, d.band))));
        }
        if (n.box.height() > 74 && !small) {
            const QString role =
                focus ? tr("work on this")
                : std::find(j.expectedToFollow.begin(), j.expectedToFollow.end(), f.fault) != j.expectedToFollow.end()
                    ? tr("expected to follow")
                    : tr("later");
            p.drawText(QRectF(inner.left(), inner.top() + 57, inner.width(), 15), Qt::AlignLeft,
                       tr("certainty %1 %   %2").arg(std::lround(f.parts.probability * 100)).arg(role));
        }
    }
}

void ChainView::mousePressEvent(QMouseEvent* e) {
    for (const auto& n : nodes())
        if (n.box.contains(e->position())) {
            m_chosen = n.finding->fault;
            update();
            emit faultChosen(q(m_chosen));
        }
}

void ChainView::keyPressEvent(QKeyEvent* e) {
    const auto& findings = m_bench.analysis().judgement.findings;
    const int step = e->key() == Qt::Key_Right || e->key() == Qt::Key_Down ? 1
                     : e->key() == Qt::Key_Left || e->key() == Qt::Key_Up  ? -1
                                                                           : 0;
    if (!step || findings.empty()) {
        QWidget::keyPressEvent(e);
        return;
    }
    int at = 0;
    for (std::size_t i = 0; i < findings.size(); ++i)
        if (findings[i].fault == m_chosen)
            at = static_cast<int>(i);
    m_chosen =
        findings[static_cast<std::size_t>(std::clamp(at + step, 0, static_cast<int>(findings.size()) - 1))].fault;
    update();
    emit faultChosen(q(m_chosen));
}

} // namespace riflesso
