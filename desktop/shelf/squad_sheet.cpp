#include "desktop/shelf/squad_sheet.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"
#include "handover/paper.h"
#include "handover/pictures.h"
#include "handover/words.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPushButton>
#include <QToolTip>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

constexpr double kName = 170, kFoot = 90; // px
constexpr double kLeastRow = 30, kMostRow = 54, kLeastCell = 46, kMostCell = 62;
constexpr std::size_t kStations = 3;
constexpr int kSessionMinutes = 45;

void drawStanding(QPainter& p, QPointF at, Standing standing, const Theme& t) {
    constexpr double kSize = 8;
    p.setPen(QPen(t.hues.athlete, 2));
    p.setBrush(Qt::NoBrush);
    switch (standing) {
    case Standing::workingOn: // ringed: somebody is at it
        p.setBrush(t.hues.athlete);
        p.drawEllipse(at, kSize * 0.6, kSize * 0.6);
        p.setBrush(Qt::NoBrush);
        p.drawEllipse(at, kSize * 1.25, kSize * 1.25);
        break;
    case Standing::seen:
        p.setBrush(t.hues.athlete);
        p.drawEllipse(at, kSize * 0.8, kSize * 0.8);
        break;
    case Standing::held:
        p.setPen(QPen(t.hues.model, 2));
        p.drawLine(at + QPointF(-6, 0), at + QPointF(-2, 5));
        p.drawLine(at + QPointF(-2, 5), at + QPointF(7, -6));
        break;
    case Standing::undecided:
        p.drawEllipse(at, kSize * 0.8, kSize * 0.8);
        p.setBrush(t.hues.athlete);
        p.drawPie(QRectF(at.x() - kSize * 0.8, at.y() - kSize * 0.8, kSize * 1.6, kSize * 1.6), 180 * 16, 180 * 16);
        break;
    case Standing::unknown:
        p.setPen(QPen(t.quiet, 1.6));
        p.drawLine(at - QPointF(5, 0), at + QPointF(5, 0));
        break;
    case Standing::clear:
        p.setPen(QPen(t.quiet, 1.4));
        p.drawEllipse(at, 2.6, 2.6);
        break;
    }
}

// How far up the ladder of stages: as many of eight rungs are full.
void drawLadder(QPainter& p, const QRectF& cell, Stage stage, const Theme& t) {
    const int rungs = static_cast<int>(kStageNames.size());
    const double step = std::min(6.0, (cell.width() - 8) / rungs), left = cell.center().x() - step * rungs / 2;
    const double y = std::min(cell.bottom() - 5, cell.center().y() + 9);
    for (int i = 0; i < rungs; ++i) {
        const bool full = i <= static_cast<int>(stage);
        p.setPen(QPen(full ? t.hues.athlete : t.line, full ? 4 : 2, Qt::SolidLine, Qt::FlatCap));
        p.drawLine(QPointF(left + step * i, y), QPointF(left + step * (i + 1) - 1.5, y));
    }
}

QString wordsOf(Standing standing) {
    switch (standing) {
    case Standing::workingOn:
        return SquadSheet::tr("works on it");
    case Standing::held:
        return SquadSheet::tr("held");
    case Standing::seen:
        return SquadSheet::tr("has it");
    case Standing::undecided:
        return SquadSheet::tr("the film cannot tell");
    case Standing::unknown:
        return SquadSheet::tr("not filmed so that it shows");
    case Standing::clear:
        return SquadSheet::tr("does not have it");
    }
    return {};
}

// "works on it, at fixed feed"
QString standingWords(const SquadRow& row, const FaultStanding& f) {
    for (const auto& [fault, stage] : row.detail.reached)
        if (fault == f.fault && f.standing == Standing::workingOn)
            return SquadSheet::tr("%1, at %2")
                .arg(wordsOf(f.standing), shownWord(kStageNames[static_cast<std::size_t>(stage)]));
    return wordsOf(f.standing);
}

} // namespace

SquadTable::SquadTable(QWidget* parent) : QWidget(parent) {
    setObjectName("squadTable");
    setMouseTracking(true);
}

void SquadTable::show(const Blueprint& blueprint, std::vector<SquadRow> rows) {
    m_blueprint = blueprint;
    m_rows = std::move(rows);
    std::vector<SquadMember> members;
    QStringList words;
    for (const auto& r : m_rows) {
        members.push_back(r.member);
        QStringList own;
        for (const auto& f : r.member.faults)
            if (const Fault* fault = blueprint.fault(f.fault); fault && f.standing != Standing::clear)
                own << tr("%1: %2").arg(q(fault->name), standingWords(r, f));
        words << q(r.member.name) + ". " + own.join(", ");
    }
    m_faults = squadFaults(members);
    std::erase_if(m_faults, [&](const SquadFault& f) { return !blueprint.fault(f.fault); });
    // Grouped by the phase in which they show, in the order of the movement.
    std::stable_sort(m_faults.begin(), m_faults.end(),
                     [&](const SquadFault& a, const SquadFault& b) { return phaseOf(a.fault) < phaseOf(b.fault); });
    setAccessibleName(tr("Who has what"));
    setAccessibleDescription(words.join("\n"));
    updateGeometry();
    update();
}

std::size_t SquadTable::phaseOf(const std::string& fault) const {
    const auto& all = m_blueprint.positions;
    const auto at =
        std::find_if(all.begin(), all.end(), [&](const auto& p) { return p.id == m_blueprint.fault(fault)->phase; });
    return static_cast<std::size_t>(at - all.begin());
}

// Where one phase ends and the next begins, and what each is called.
void SquadTable::drawPhases(QPainter& p, double head, double foot) const {
    const Theme& t = theme();
    p.setFont(typeface(Type::small));
    for (std::size_t c = 0; c < m_faults.size();) {
        std::size_t end = c + 1;
        const std::size_t phase = phaseOf(m_faults[c].fault);
        while (end < m_faults.size() && phaseOf(m_faults[end].fault) == phase)
            ++end;
        const double left = cell(0, c).left(), wide = m_cell * static_cast<double>(end - c);
        if (c > 0) {
            p.setPen(QPen(t.line, 2));
            p.drawLine(QPointF(left, head), QPointF(left, foot + kFoot - 4));
        }
        p.setPen(t.quiet);
        if (phase < m_blueprint.positions.size())
            p.drawText(QRectF(left + 1, foot + 50, wide - 2, 36), Qt::AlignHCenter | Qt::AlignTop | Qt::TextWordWrap,
                       q(m_blueprint.positions[phase].name));
        c = end;
    }
    p.drawText(QRectF(8, foot + 50, kName - 14, 18), Qt::AlignLeft | Qt::AlignTop, tr("shows at"));
}

void SquadTable::fit(QSize place) {
    const auto n = static_cast<double>(std::max<std::size_t>(1, m_rows.size()));
    const auto columns = static_cast<double>(std::max<std::size_t>(1, m_faults.size()));
    m_row = std::clamp((place.height() - headHeight() - kFoot - 4) / n, kLeastRow, kMostRow);
    m_cell = std::clamp((place.width() - kName - 92) / columns, kLeastCell, kMostCell);
    updateGeometry();
    resize(sizeHint());
    update();
}

double SquadTable::headHeight() const {
    double longest = 60;
    const QFontMetricsF metrics(typeface(Type::small, true));
    for (const auto& f : m_faults)
        longest = std::max(longest, metrics.horizontalAdvance(q(m_blueprint.fault(f.fault)->name)));
    return std::min(190.0, longest * 0.78 + 26);
}

QSize SquadTable::sizeHint() const {
    return QSizeF(kName + m_cell * static_cast<double>(m_faults.size()) + 70,
                  headHeight() + m_row * static_cast<double>(m_rows.size()) + kFoot)
        .toSize();
}

QRectF SquadTable::cell(std::size_t row, std::size_t column) const {
    return {kName + m_cell * static_cast<double>(column), headHeight() + m_row * static_cast<double>(row), m_cell,
            m_row};
}

void SquadTable::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    const double head = headHeight(), foot = head + m_row * static_cast<double>(m_rows.size());
    std::size_t most = 0;
    for (std::size_t c = 0; c < m_faults.size(); ++c)
        if (m_faults[c].have > m_faults[most].have)
            most = c;
    for (std::size_t c = 0; c < m_faults.size(); ++c) {
        const QRectF first = cell(0, c);
        if (c == most && m_faults[c].have > 0) { // what most have stands out
            QColor pale = t.hues.athlete;
            pale.setAlpha(30);
            p.fillRect(QRectF(first.left(), head, m_cell, foot - head + kFoot), pale);
        }
        p.save();
        p.translate(first.center().x() - 4, head - 8);
        p.rotate(-50);
        p.setFont(typeface(Type::small, true));
        p.setPen(t.text);
        p.drawText(QPointF(0, 0),
                   p.fontMetrics().elidedText(q(m_blueprint.fault(m_faults[c].fault)->name), Qt::ElideRight, 226));
        p.restore();
    }
    for (std::size_t r = 0; r < m_rows.size(); ++r) {
        const double y = head + m_row * static_cast<double>(r);
        p.setPen(QPen(t.line, 1));
        p.drawLine(QPointF(0, y), QPointF(width(), y));
        p.setPen(t.text);
        p.setFont(typeface(Type::body));
        p.drawText(QRectF(8, y, kName - 14, m_row), Qt::AlignVCenter | Qt::AlignLeft,
                   p.fontMetrics().elidedText(q(m_rows[r].member.name), Qt::ElideRight, static_cast<int>(kName - 16)));
        for (std::size_t c = 0; c < m_faults.size(); ++c) {
            Standing standing = Standing::unknown;
            for (const auto& f : m_rows[r].member.faults)
                if (f.fault == m_faults[c].fault)
                    standing = f.standing;
            const auto reached = std::find_if(m_rows[r].detail.reached.begin(), m_rows[r].detail.reached.end(),
                                              [&](const auto& at) { return at.first == m_faults[c].fault; });
            const bool climbs = standing == Standing::workingOn && reached != m_rows[r].detail.reached.end();
            drawStanding(p, cell(r, c).center() - QPointF(0, climbs ? 5 : 0), standing, t);
            if (climbs)
                drawLadder(p, cell(r, c), reached->second, t);
        }
    }
    drawPhases(p, head, foot);
    p.setPen(QPen(t.text, 1.4));
    p.drawLine(QPointF(0, foot), QPointF(width(), foot));
    p.setFont(typeface(Type::small));
    p.setPen(t.quiet);
    p.drawText(QRectF(8, foot + 4, kName - 14, 18), Qt::AlignLeft, tr("have it, of those known"));
    p.drawText(QRectF(8, foot + 26, kName - 14, 18), Qt::AlignLeft, tr("likely share, 95 %"));
    for (std::size_t c = 0; c < m_faults.size(); ++c) {
        const QRectF first = cell(0, c);
        p.setPen(t.text);
        p.setFont(typeface(Type::small, true));
        p.drawText(QRectF(first.left(), foot + 4, m_cell, 18), Qt::AlignHCenter,
                   tr("%1 of %2").arg(m_faults[c].have).arg(m_faults[c].known));
        const double left = first.left() + 6, wide = m_cell - 12, y = foot + 35;
        p.setPen(QPen(t.line, 4, Qt::SolidLine, Qt::FlatCap));
        p.drawLine(QPointF(left, y), QPointF(left + wide, y));
        p.setPen(QPen(t.hues.athlete, 4, Qt::SolidLine, Qt::FlatCap));
        p.drawLine(QPointF(left + wide * m_faults[c].share.lo, y), QPointF(left + wide * m_faults[c].share.hi, y));
    }
}

void SquadTable::mousePressEvent(QMouseEvent* e) {
    for (std::size_t r = 0; r < m_rows.size(); ++r)
        if (const double top = cell(r, 0).top(); e->position().y() >= top && e->position().y() < top + m_row)
            emit openCase(m_rows[r].caseId);
}

bool SquadTable::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(e);
        for (std::size_t r = 0; r < m_rows.size(); ++r)
            for (std::size_t c = 0; c < m_faults.size(); ++c)
                if (cell(r, c).contains(help->pos()))
                    for (const auto& f : m_rows[r].member.faults)
                        if (f.fault == m_faults[c].fault)
                            QToolTip::showText(help->globalPos(),
                                               tr("%1, %2: %3")
                                                   .arg(q(m_rows[r].member.name), q(m_blueprint.fault(f.fault)->name),
                                                        standingWords(m_rows[r], f)),
                                               this);
        return true;
    }
    return QWidget::event(e);
}

void SquadMeasure::show(const MeasureDefinition& definition, const std::vector<SquadRow>& rows) {
    m_definition = definition;
    m_values.clear();
    for (const auto& r : rows)
        for (const auto& m : r.detail.measures)
            if (m.id == definition.id)
                m_values.emplace_back(q(r.member.name), m);
    update();
}

void SquadMeasure::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    if (!m_definition || m_values.empty()) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::body));
        p.drawText(rect(), Qt::AlignCenter, tr("Nobody has this measure yet."));
        return;
    }
    double lo = 1e300, hi = -1e300;
    for (const auto& [name, m] : m_values)
        for (const double v : {m.value - 2 * m.u, m.value + 2 * m.u, m.lo, m.hi})
            if (std::isfinite(v)) {
                lo = std::min(lo, v);
                hi = std::max(hi, v);
            }
    const double air = std::max(1e-6, (hi - lo) * 0.08);
    lo -= air;
    hi += air;
    const double left = 16, right = width() - 16.0, base = height() - 40.0;
    const auto x = [&](double v) { return left + (v - lo) / (hi - lo) * (right - left); };
    const auto& band = m_values.front().second; // of one technique: the same for all but own targets
    QColor pale = t.hues.model;
    pale.setAlpha(50);
    const double a = std::isfinite(band.lo) ? x(band.lo) : left, b = std::isfinite(band.hi) ? x(band.hi) : right;
    p.fillRect(QRectF(a, 8, b - a, base - 8), pale);
    p.setPen(QPen(t.line, 1));
    p.drawLine(QPointF(left, base), QPointF(right, base));
    auto sorted = m_values;
    std::sort(sorted.begin(), sorted.end(),
              [](const auto& u, const auto& v) { return u.second.value < v.second.value; });
    const double step = (base - 26) / std::max<double>(1.0, static_cast<double>(sorted.size()));
    for (std::size_t i = 0; i < sorted.size(); ++i) {
        const auto& [name, m] = sorted[i];
        const double y = 18 + step * (static_cast<double>(i) + 0.5);
        p.setPen(QPen(t.hues.athlete, 1.4));
        p.drawLine(QPointF(x(m.value - 1.96 * m.u), y), QPointF(x(m.value + 1.96 * m.u), y));
        p.setBrush(m.value >= m.lo && m.value <= m.hi ? QBrush(t.panel) : QBrush(t.hues.athlete));
        p.drawEllipse(QPointF(x(m.value), y), 4, 4);
        if (step < 11)
            continue;
        p.setPen(t.quiet);
        p.setFont(typeface(Type::small));
        const double wide = p.fontMetrics().horizontalAdvance(name) + 4.0;
        const double at = x(m.value + 1.96 * m.u) + 6;
        p.drawText(QRectF(at + wide > right ? x(m.value - 1.96 * m.u) - 6 - wide : at, y - 8, wide, 16),
                   Qt::AlignVCenter, name);
    }
    p.setPen(t.quiet);
    p.setFont(typeface(Type::small));
    for (int i = 0; i <= 4; ++i) {
        const double v = lo + (hi - lo) * i / 4;
        p.drawText(QRectF(x(v) - 50, base + 5, 100, 16),
                   i == 0   ? Qt::AlignHCenter
                   : i == 4 ? Qt::AlignHCenter
                            : Qt::AlignHCenter,
                   q(numberWords(*m_definition, v, (hi - lo) / 40)));
    }
    p.drawText(QRectF(left, base + 21, right - left, 16), Qt::AlignHCenter,
               tr("band %1").arg(q(bandWords(*m_definition, {band.lo, band.hi, 1.0}))));
}

SquadSheet::SquadSheet(const QString& squad, const std::vector<ShelfAthlete>& athletes,
                       std::function<std::optional<Blueprint>(const std::string&)> blueprint, Day today,
                       QWidget* parent)
    : QDialog(parent), m_squad(squad), m_athletes(athletes), m_blueprintOf(std::move(blueprint)), m_today(today) {
    setObjectName("squadSheet");
    setWindowTitle(tr("Squad: %1").arg(squad));
    resize(1180, 720);
    m_technique = new QComboBox;
    m_technique->setObjectName("squadTechnique");
    m_technique->setAccessibleName(tr("Technique"));
    std::map<std::string, std::pair<QString, int>> techniques;
    for (const auto& a : athletes)
        for (const auto& c : a.cases) {
            auto& [words, n] = techniques[c.blueprintId];
            words = c.technique;
            ++n;
        }
    std::vector<std::pair<int, std::string>> order;
    for (const auto& [id, what] : techniques)
        order.emplace_back(-what.second, id);
    std::sort(order.begin(), order.end());
    for (const auto& [n, id] : order)
        m_technique->addItem(tr("%1, %2").arg(techniques[id].first, counted(-n, tr("athlete"), tr("athletes"))), q(id));
    m_measure = new QComboBox;
    m_measure->setObjectName("squadMeasure");
    m_measure->setAccessibleName(tr("Measure"));
    m_table = new SquadTable;
    m_values = new SquadMeasure;
    m_session = wrapped({});
    m_session->setObjectName("squadSession");
    m_session->setAlignment(Qt::AlignTop);
    auto* printing = new QPushButton(tr("Print the session …"));
    printing->setObjectName("squadPrint");
    auto* together = new QPushButton(tr("Practise together …"));
    together->setObjectName("squadTogether");
    together->setToolTip(tr("Tap a name, then the verdict: everybody's reps are counted in their own cases."));
    connect(together, &QPushButton::clicked, this, [this] {
        std::vector<SquadMember> members;
        for (const auto& r : m_rows)
            members.push_back(r.member);
        emit practiceWanted(m_blueprint, m_rows, q(sessionForAll(members, kStations).fault));
    });
    auto* close = new QPushButton(tr("Close"));
    auto* legend = wrapped(tr("Ringed: works on it, with the rungs of the ladder that are reached. Full: has it. Hook: "
                              "held. Half: the film cannot tell. Dash: not "
                              "filmed so that it shows. Small dot: does not have it."),
                           "quiet");
    m_area = new QScrollArea;
    m_area->setWidget(m_table);
    m_area->setFrameShape(QFrame::NoFrame);
    auto* values = new Card(tr("One measure, everybody"));
    values->body()->addWidget(m_measure);
    values->body()->addWidget(m_values, 1);
    auto* session = new Card(tr("One session for all"));
    auto* sessionText = new QScrollArea;
    sessionText->setWidgetResizable(true);
    sessionText->setFrameShape(QFrame::NoFrame);
    sessionText->setWidget(m_session);
    session->body()->addWidget(sessionText, 1);
    session->body()->addWidget(together);
    session->body()->addWidget(printing);
    auto* top = new QHBoxLayout;
    auto* title = new QLabel(squad);
    title->setObjectName("title");
    top->addWidget(title);
    top->addWidget(m_technique);
    top->addWidget(legend, 1);
    top->addWidget(close);
    auto* side = new QVBoxLayout;
    side->addWidget(session, 3);
    side->addWidget(values, 2);
    auto* lower = new QHBoxLayout;
    lower->addWidget(m_area, 3);
    lower->addLayout(side, 2);
    auto* all = new QVBoxLayout(this);
    all->addLayout(top);
    all->addLayout(lower, 1);
    connect(m_technique, &QComboBox::activated, this, [this] { fill(); });
    connect(m_measure, &QComboBox::activated, this, [this] {
        if (const auto* m = m_blueprint.measure(m_measure->currentData().toString().toStdString()))
            m_values->show(m->definition, m_rows);
    });
    connect(m_table, &SquadTable::openCase, this, [this](Id id) {
        emit openCase(id);
        accept();
    });
    connect(printing, &QPushButton::clicked, this, &SquadSheet::print);
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    fill();
}

void SquadSheet::resizeEvent(QResizeEvent* e) {
    QDialog::resizeEvent(e);
    m_table->fit(m_area->maximumViewportSize());
}

void SquadSheet::fill() {
    const std::string id = m_technique->currentData().toString().toStdString();
    m_rows.clear();
    m_blueprint = {};
    if (const auto b = m_blueprintOf(id))
        m_blueprint = *b;
    for (const auto& a : m_athletes)
        for (const auto& c : a.cases) {
            if (c.blueprintId != id)
                continue;
            const CardDetail detail = detailFromJson(c.card.detail);
            SquadRow row{memberOf(c.id, a.name().toStdString(), detail, m_today), c.id, detail};
            if (row.member.faults.empty()) // never opened since cards hold this
                for (const auto& f : m_blueprint.faults)
                    row.member.faults.push_back({f.id, Standing::unknown, 0.0, {}});
            m_rows.push_back(std::move(row));
        }
    m_table->show(m_blueprint, m_rows);
    m_table->fit(m_area->viewport()->size());
    m_measure->clear();
    std::map<std::string, int> have;
    for (const auto& r : m_rows)
        for (const auto& m : r.detail.measures)
            ++have[m.id];
    for (const auto& m : m_blueprint.measures)
        if (have[m.definition.id] > 0)
            m_measure->addItem(q(m.definition.name), q(m.definition.id));
    if (const auto* m = m_blueprint.measure(m_measure->currentData().toString().toStdString()))
        m_values->show(m->definition, m_rows);
    m_session->setText(sessionHtml());
}

QString SquadSheet::sessionHtml() const {
    std::vector<SquadMember> members;
    for (const auto& r : m_rows)
        members.push_back(r.member);
    const Fault* fault = nullptr;
    std::vector<const Drill*> drills;
    SquadSession s = sessionForAll(members, kStations);
    if (!s.fault.empty())
        fault = m_blueprint.fault(s.fault);
    if (!fault)
        return tr("<p>Nobody here is known to have a fault at this technique. Film them once from the side, and open "
                  "each case.</p>");
    for (const auto& id : fault->drills)
        if (const Drill* d = m_blueprint.drill(id); d && drills.size() < kStations)
            drills.push_back(d);
    if (drills.size() != kStations)
        s = sessionForAll(members, std::max<std::size_t>(1, drills.size()));
    const auto name = [&](std::size_t i) { return escaped(members[i].name); };
    QString h = tr("<p><b>%1.</b> <b>&ldquo;%2&rdquo;</b></p>").arg(escaped(fault->name), escaped(fault->cue));
    if (!fault->caution.empty())
        h += tr("<p class=caution>Caution: %1</p>").arg(escaped(fault->caution));
    const int minutes = kSessionMinutes / static_cast<int>(std::max<std::size_t>(1, drills.size()));
    h += "<p>";
    for (std::size_t i = 0; i < drills.size(); ++i)
        h += tr("Station %1, %2 min: <b>%3</b>. %4<br>")
                 .arg(i + 1)
                 .arg(minutes)
                 .arg(escaped(drills[i]->name), escaped(drills[i]->how));
    h += "</p><table cellspacing=0 cellpadding=3>";
    for (std::size_t k = 0; k < s.pairs.size(); ++k) {
        const auto& pair = s.pairs[k];
        QStringList where;
        for (const auto& round : s.rotation)
            where << QString::number(round[k] + 1);
        h += QString("<tr><td><b>%1</b></td><td>%2</td><td>%3</td></tr>")
                 .arg(name(pair.learner),
                      pair.owner    ? tr("with %1, who has it").arg(name(*pair.owner))
                      : pair.second ? tr("with %1, both learn it").arg(name(*pair.second))
                                    : tr("with the coach"),
                      tr("stations %1").arg(where.join(", ")));
    }
    h += "</table>";
    QStringList out, helpers, hurt;
    for (const auto i : s.keepOut)
        out << name(i);
    for (const auto i : s.helpers)
        helpers << name(i);
    for (const auto& m : members)
        if (!m.injuries.empty())
            hurt << tr("%1 (%2)").arg(escaped(m.name), escaped(m.injuries));
    if (!out.isEmpty())
        h += tr("<p>Nothing new, a competition is near: %1.</p>").arg(out.join(", "));
    if (!helpers.isEmpty())
        h += tr("<p>Show it and feed: %1.</p>").arg(helpers.join(", "));
    if (!hurt.isEmpty())
        h += tr("<p class=caution>Ask before the first rep, and leave out what hurts: %1.</p>").arg(hurt.join(", "));
    return h;
}

void SquadSheet::print() {
    const QString file = QFileDialog::getSaveFileName(this, tr("The session"), tr("session.pdf"), tr("Paper (*.pdf)"));
    if (file.isEmpty())
        return;
    PaperContent content;
    content.title = tr("Session: %1").arg(m_squad);
    content.html = QString("<h1>%1</h1>").arg(content.title.toHtmlEscaped()) + sessionHtml();
    if (const auto done = writeBytes(file.toStdString(), paperPdf(content, {false, 1.3})); !done)
        m_session->setText(q(done.error().text()).toHtmlEscaped());
}

} // namespace riflesso
