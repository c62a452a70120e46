#include "desktop/workshop/cause_graph.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <map>

namespace riflesso {

CauseGraph::CauseGraph(QWidget* parent) : QWidget(parent) {
    setObjectName("causeGraph");
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAccessibleName(tr("What causes what: drag from a cause to its consequence"));
}

void CauseGraph::setBlueprint(const Blueprint& b) {
    m_nodes.clear();
    m_lines.clear();
    for (const auto& f : b.faults)
        m_nodes.push_back({f.id, q(f.name), f.safety, 0, 0.0, {}});
    m_faults = m_nodes.size();
    const auto index = [&](const std::string& id) -> std::optional<std::size_t> {
        for (std::size_t i = 0; i < m_nodes.size(); ++i)
            if (m_nodes[i].id == id)
                return i;
        return std::nullopt;
    };
    for (std::size_t i = 0; i < b.faults.size(); ++i)
        for (const auto& c : b.faults[i].causes)
            if (const auto from = index(c.fault))
                m_lines.push_back({*from, i, c.strength, {}});
    const bool there = m_chosen && std::any_of(m_lines.begin(), m_lines.end(), [&](const Line& l) {
                           return m_nodes[l.from].id == m_chosen->cause && m_nodes[l.to].id == m_chosen->fault;
                       });
    if (!there)
        m_chosen.reset();
    layOut();
    update();
}

void CauseGraph::choose(std::optional<Link> link) {
    m_chosen = std::move(link);
    update();
    emit linkChosen();
}

std::vector<std::size_t> CauseGraph::stationsOf(const Line& l) {
    std::vector<std::size_t> out{l.from};
    out.insert(out.end(), l.via.begin(), l.via.end());
    out.push_back(l.to);
    return out;
}

// Columns by the longest way from a cause, bends where a line passes a column; within the columns the order that sweeps
// to the mean of the neighbours leave with fewest crossings (Sugiyama, Tagawa, Toda 1981, IEEE Trans. SMC 11:109-125).
void CauseGraph::layOut() {
    m_nodes.resize(m_faults);
    for (auto& n : m_nodes)
        n.column = 0;
    for (std::size_t pass = 0; pass < m_nodes.size(); ++pass) // bounded, were there a loop
        for (const auto& l : m_lines)
            m_nodes[l.to].column = std::max(m_nodes[l.to].column, m_nodes[l.from].column + 1);
    int columns = 0;
    const auto limit = static_cast<int>(m_nodes.size());
    // What nothing causes stands right before the first of its consequences.
    for (std::size_t i = 0; i < m_nodes.size(); ++i) {
        int next = limit;
        bool caused = false;
        for (const auto& l : m_lines) {
            if (l.from == i)
                next = std::min(next, m_nodes[l.to].column);
            caused = caused || l.to == i;
        }
        if (!caused && next < limit && next > 0)
            m_nodes[i].column = next - 1;
        m_nodes[i].column = std::min(m_nodes[i].column, limit - 1);
        columns = std::max(columns, m_nodes[i].column + 1);
    }
    for (auto& l : m_lines) {
        l.via.clear();
        for (int c = m_nodes[l.from].column + 1; c < m_nodes[l.to].column; ++c) {
            l.via.push_back(m_nodes.size());
            m_nodes.push_back({{}, {}, false, c, 0.0, {}});
        }
    }
    std::map<int, double> filled;
    for (auto& n : m_nodes)
        n.order = filled[n.column]++;
    std::vector<std::vector<std::size_t>> beside(m_nodes.size());
    for (const auto& l : m_lines) {
        const auto stations = stationsOf(l);
        for (std::size_t k = 1; k < stations.size(); ++k) {
            beside[stations[k - 1]].push_back(stations[k]);
            beside[stations[k]].push_back(stations[k - 1]);
        }
    }
    const auto place = [&](const Node& n) { return (n.order + 0.5) / filled[n.column]; };
    std::vector<double> best;
    int fewest = -1;
    for (int sweep = 0; sweep < 32; ++sweep) {
        for (int turn = 0; turn < columns; ++turn) {
            const int column = sweep % 2 ? columns - 1 - turn : turn;
            std::vector<std::size_t> members;
            for (std::size_t i = 0; i < m_nodes.size(); ++i)
                if (m_nodes[i].column == column)
                    members.push_back(i);
            std::map<std::size_t, double> wanted;
            for (const std::size_t i : members) {
                double sum = 0.0;
                for (const std::size_t k : beside[i])
                    sum += place(m_nodes[k]);
                wanted[i] = beside[i].empty() ? place(m_nodes[i]) : sum / static_cast<double>(beside[i].size());
            }
            std::stable_sort(members.begin(), members.end(),
                             [&](std::size_t a, std::size_t b) { return wanted[a] < wanted[b]; });
            for (std::size_t k = 0; k < members.size(); ++k)
                m_nodes[members[k]].order = static_cast<double>(k);
        }
        const int now = crossings();
        if (fewest < 0 || now < fewest) {
            fewest = now;
            best.clear();
            for (const auto& n : m_nodes)
                best.push_back(n.order);
        }
    }
    for (std::size_t i = 0; i < best.size(); ++i)
        m_nodes[i].order = best[i];
    const double gap = columns > 1 ? std::clamp((width() - 150.0 * columns) / (columns - 1), 26.0, 90.0) : 0.0,
                 pad = 10.0;
    const double w = (width() - 2 * pad - gap * (columns - 1)) / std::max(1, columns);
    for (auto& n : m_nodes) {
        const double rows = filled[n.column], room = (height() - 2 * pad) / rows;
        const double h = std::min(48.0, room - 8.0);
        n.box = QRectF(pad + n.column * (w + gap), pad + room * (n.order + 0.5) - h / 2, std::min(w, 210.0), h);
    }
}

int CauseGraph::crossings() const {
    struct Piece {
        int column;
        double from, to;
    };
    std::map<int, double> filled;
    for (const auto& n : m_nodes)
        ++filled[n.column];
    const auto y = [&](std::size_t i) { return (m_nodes[i].order + 0.5) / filled.at(m_nodes[i].column); };
    std::vector<Piece> pieces;
    for (const auto& l : m_lines) {
        const auto stations = stationsOf(l);
        for (std::size_t k = 1; k < stations.size(); ++k)
            pieces.push_back({m_nodes[stations[k - 1]].column, y(stations[k - 1]), y(stations[k])});
    }
    int count = 0;
    for (std::size_t i = 0; i < pieces.size(); ++i)
        for (std::size_t k = i + 1; k < pieces.size(); ++k)
            count += pieces[i].column == pieces[k].column &&
                     (pieces[i].from - pieces[k].from) * (pieces[i].to - pieces[k].to) < -1e-12;
    return count;
}

QRectF CauseGraph::boxOf(const std::string& fault) const {
    for (const auto& n : m_nodes)
        if (n.id == fault)
            return n.box;
    return {};
}

QPainterPath CauseGraph::pathOf(const Line& l) const {
    QPainterPath path(QPointF(m_nodes[l.from].box.right(), m_nodes[l.from].box.center().y()));
    const auto curveTo = [&](QPointF to) {
        const QPointF a = path.currentPosition();
        const double pull = std::max(14.0, (to.x() - a.x()) * 0.5);
        path.cubicTo(a + QPointF(pull, 0), to - QPointF(pull, 0), to);
    };
    for (const std::size_t bend : l.via) { // level through the column that it passes
        curveTo(QPointF(m_nodes[bend].box.left(), m_nodes[bend].box.center().y()));
        path.lineTo(QPointF(m_nodes[bend].box.right(), m_nodes[bend].box.center().y()));
    }
    curveTo(QPointF(m_nodes[l.to].box.left() - 8, m_nodes[l.to].box.center().y()));
    return path;
}

std::optional<std::size_t> CauseGraph::nodeAt(QPointF at) const {
    for (std::size_t i = 0; i < m_faults; ++i)
        if (m_nodes[i].box.contains(at))
            return i;
    return std::nullopt;
}

void CauseGraph::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.ground);
    if (m_faults == 0) {
        p.setPen(t.quiet);
        p.drawText(rect(), Qt::AlignCenter,
                   tr("No fault yet. Add some under Faults, then draw here what causes what."));
        return;
    }
    for (const auto& l : m_lines) {
        const bool chosen = m_chosen && *m_chosen == Link{m_nodes[l.from].id, m_nodes[l.to].id};
        const QPainterPath path = pathOf(l);
        const QColor ink = chosen ? t.hues.athlete : t.text;
        p.setOpacity(chosen ? 1.0 : 0.5);
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(ink, 1 + 5 * l.strength, Qt::SolidLine, Qt::FlatCap));
        p.drawPath(path);
        p.setOpacity(1);
        const QPointF b = path.currentPosition();
        const double s = 4 + 3 * l.strength;
        p.setPen(Qt::NoPen);
        p.setBrush(ink);
        p.drawPolygon(QPolygonF({b + QPointF(8, 0), b + QPointF(-2, -s), b + QPointF(-2, s)}));
    }
    for (std::size_t i = 0; i < m_faults; ++i) {
        const auto& n = m_nodes[i];
        p.setPen(QPen(m_from == i ? t.hues.athlete : t.line, m_from == i ? 2.5 : 1.2));
        p.setBrush(t.panel);
        p.drawRoundedRect(n.box, 6, 6);
        p.setPen(t.text);
        p.setFont(typeface(n.box.height() < 30 ? Type::small : Type::body, n.safety));
        const QRectF room = n.box.adjusted(7, 1, -7, -1);
        const bool fits = p.boundingRect(room, Qt::AlignCenter | Qt::TextWordWrap, n.name).height() <= room.height();
        if (!fits)
            p.setFont(typeface(Type::small));
        p.drawText(room, Qt::AlignCenter | Qt::TextWordWrap, n.name);
    }
    if (m_from) {
        p.setPen(QPen(t.hues.athlete, 2, Qt::DashLine));
        p.drawLine(m_nodes[*m_from].box.center(), m_pointer);
    }
}

void CauseGraph::mousePressEvent(QMouseEvent* e) {
    setFocus();
    if (const auto node = nodeAt(e->position())) {
        m_from = node;
        m_pointer = e->position();
        update();
        return;
    }
    std::optional<Link> near;
    for (const auto& l : m_lines) {
        QPainterPathStroker wide;
        wide.setWidth(12);
        if (wide.createStroke(pathOf(l)).contains(e->position()))
            near = Link{m_nodes[l.from].id, m_nodes[l.to].id};
    }
    choose(near);
}

void CauseGraph::mouseMoveEvent(QMouseEvent* e) {
    m_pointer = e->position();
    if (m_from)
        update();
}

void CauseGraph::mouseReleaseEvent(QMouseEvent* e) {
    if (!m_from)
        return;
    const auto from = *m_from;
    m_from.reset();
    update();
    if (const auto to = nodeAt(e->position()); to && *to != from)
        emit linkWanted(q(m_nodes[from].id), q(m_nodes[*to].id));
}

void CauseGraph::keyPressEvent(QKeyEvent* e) {
    const auto strength = [&]() -> double {
        for (const auto& l : m_lines)
            if (m_chosen && *m_chosen == Link{m_nodes[l.from].id, m_nodes[l.to].id})
                return l.strength;
        return 0.0;
    };
    switch (e->key()) {
    case Qt::Key_Plus:
    case Qt::Key_Minus:
        if (m_chosen)
            emit strengthWanted(std::clamp(strength() + (e->key() == Qt::Key_Plus ? 0.1 : -0.1), 0.1, 1.0));
        break;
    case Qt::Key_Delete:
        if (m_chosen)
            emit removalWanted();
        break;
    case Qt::Key_Left:
    case Qt::Key_Right: { // from line to line
        if (m_lines.empty())
            break;
        std::size_t now = m_lines.size();
        for (std::size_t i = 0; i < m_lines.size(); ++i)
            if (m_chosen && *m_chosen == Link{m_nodes[m_lines[i].from].id, m_nodes[m_lines[i].to].id})
                now = i;
        const std::size_t next =
            now == m_lines.size() ? 0 : (now + (e->key() == Qt::Key_Right ? 1 : m_lines.size() - 1)) % m_lines.size();
        choose(Link{m_nodes[m_lines[next].from].id, m_nodes[m_lines[next].to].id});
        break;
    }
    default:
        QWidget::keyPressEvent(e);
    }
}

} // namespace riflesso
