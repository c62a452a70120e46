#include "desktop/workshop/figure_picker.h"

#include "casebook/measure_drawing.h"
#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QGridLayout>
#include <QMouseEvent>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

namespace riflesso {
namespace {

MeasureInks inks() {
    const Theme& t = theme();
    return {t.quiet, t.hues.athlete, t.text, t.panel, typeface(Type::small)};
}

// One kind as a card that can be pressed.
class KindCard : public QPushButton {
public:
    explicit KindCard(MeasureKind kind) : m_kind(kind) {
        setAccessibleName(kindTitle(kind));
        setAccessibleDescription(kindWords(kind));
        setObjectName("kind_" + q(enumName(kMeasureKindNames, kind)));
        setFixedSize(148, 170);
    }
    [[nodiscard]] MeasureKind kind() const { return m_kind; }

protected:
    void paintEvent(QPaintEvent*) override {
        const Theme& t = theme();
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        p.setPen(QPen(hasFocus() || isDown() ? t.hues.athlete : t.line, hasFocus() ? 2.5 : 1));
        p.setBrush(t.panel);
        p.drawRoundedRect(QRectF(rect()).adjusted(1.5, 1.5, -1.5, -1.5), 7, 7);
        drawMeasure(p, QRectF(8, 5, width() - 16, 98), exampleOf(m_kind), inks());
        p.setPen(t.text);
        p.setFont(typeface(Type::body, true));
        p.drawText(QRectF(4, 104, width() - 8, 18), Qt::AlignHCenter | Qt::AlignVCenter, kindTitle(m_kind));
        p.setFont(typeface(Type::small));
        p.setPen(t.quiet);
        p.drawText(QRectF(6, 122, width() - 12, 46), Qt::AlignHCenter | Qt::AlignTop | Qt::TextWordWrap,
                   kindWords(m_kind));
    }

private:
    MeasureKind m_kind;
};

} // namespace

FigurePicker::FigurePicker(QWidget* parent) : QWidget(parent) {
    setObjectName("figurePicker");
    setAccessibleName(tr("Figure: click joints to set the points of the measure"));
    setMouseTracking(true);
}

void FigurePicker::setDefinition(const MeasureDefinition& definition, const std::vector<std::string>& others,
                                 bool two) {
    m_definition = definition;
    m_others = others;
    m_two = two;
    update();
}

void FigurePicker::setPickable(bool pickable) {
    m_pickable = pickable;
    update();
}

std::map<std::string, QPointF> FigurePicker::places() const {
    // The same places as the drawing takes.
    std::vector<std::string> roles = m_others;
    bool two = m_two;
    for (const auto& spec : pointsOf(m_definition))
        for (const auto& role : spec.landmarks) {
            roles.push_back(role);
            two = two || ofOther(role);
        }
    return figureIn(QRectF(rect()).adjusted(8, 8, -8, -34), roles, two);
}

QPointF FigurePicker::placeOf(const std::string& role) const {
    const auto all = places();
    const auto it = all.find(role);
    return it == all.end() ? QPointF(-1, -1) : it->second;
}

std::string FigurePicker::under(QPointF at) const {
    std::string best;
    double nearest = 14.0;
    for (const auto& [role, place] : places()) {
        if (role.starts_with("other_left_") || role.starts_with("other_right_"))
            continue; // the same places under body names
        const double d = std::hypot(place.x() - at.x(), place.y() - at.y());
        if (d < nearest) {
            nearest = d;
            best = role;
        }
    }
    return best;
}

void FigurePicker::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(t.line, 1));
    p.setBrush(t.panel);
    p.drawRoundedRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), 7, 7);
    const auto all = places();
    drawGuideFigure(p, all, t.line, 2.0);
    if (m_pickable)
        for (const auto& [role, at] : all) {
            p.setPen(QPen(role == m_hovered ? t.hues.athlete : t.quiet, role == m_hovered ? 2.4 : 1));
            p.setBrush(t.panel);
            p.drawEllipse(at, role == m_hovered ? 5.5 : 3.2, role == m_hovered ? 5.5 : 3.2);
        }
    // The measure itself, on the same figure: insets have their own room below.
    MeasureDefinition shown = m_definition;
    shown.reduction = Reduction::at;
    for (const auto& role : m_others)
        if (ofOther(role))
            shown.per.push_back({{role}});
    if (m_two)
        shown.per.push_back({{"other_neck"}});
    drawMeasure(p, QRectF(rect()).adjusted(4, 4, -4, -30), shown, inks());
    p.setFont(typeface(Type::small));
    p.setPen(t.text);
    const QStringList duties = pointDuties(m_definition);
    QString line;
    if (!m_hovered.empty())
        line = q(spoken(m_hovered));
    else if (m_pickable && !duties.isEmpty()) {
        const auto n = static_cast<qsizetype>(m_definition.points.size());
        line = n < duties.size() || m_definition.kind == MeasureKind::stack
                   ? tr("Next: %1").arg(duties[std::min(n, duties.size() - 1)])
                   : tr("All points are set; right click takes one away");
    }
    p.drawText(QRectF(6, height() - 26, width() - 12, 20), Qt::AlignCenter, line);
}

void FigurePicker::mousePressEvent(QMouseEvent* e) {
    if (!m_pickable)
        return;
    auto points = m_definition.points;
    if (e->button() == Qt::RightButton) {
        if (points.empty())
            return;
        points.pop_back();
        emit pointsChosen(points);
        return;
    }
    const std::string role = under(e->position());
    if (role.empty())
        return;
    const auto duties = static_cast<std::size_t>(pointDuties(m_definition).size());
    if ((e->modifiers() & Qt::ShiftModifier) && !points.empty() && points.back().landmarks.size() == 1 &&
        points.back().landmarks.front() != role)
        points.back().landmarks.push_back(role);
    else if (points.size() >= duties && m_definition.kind != MeasureKind::stack)
        points = {{{role}}}; // all were set: begin anew
    else
        points.push_back({{role}});
    emit pointsChosen(points);
}

void FigurePicker::mouseMoveEvent(QMouseEvent* e) {
    const std::string role = m_pickable ? under(e->position()) : std::string();
    if (role != m_hovered) {
        m_hovered = role;
        update();
    }
}

void FigurePicker::leaveEvent(QEvent*) {
    m_hovered.clear();
    update();
}

KindSheet::KindSheet(MeasureKind current, QWidget* parent) : QDialog(parent), m_chosen(current) {
    setWindowTitle(tr("What kind of measure"));
    setObjectName("kindSheet");
    auto* grid = new QGridLayout;
    grid->setSpacing(7);
    constexpr int columns = 8;
    for (int i = 0; i < static_cast<int>(kMeasureKindNames.size()); ++i) {
        auto* card = new KindCard(static_cast<MeasureKind>(i));
        connect(card, &QPushButton::clicked, this, [this, card] {
            m_chosen = card->kind();
            accept();
        });
        if (card->kind() == current)
            card->setFocus();
        grid->addWidget(card, i / columns, i % columns);
    }
    auto* inner = new QWidget;
    inner->setLayout(grid);
    auto* scroll = new QScrollArea;
    scroll->setWidget(inner);
    scroll->setWidgetResizable(true);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* all = new QVBoxLayout(this);
    all->addWidget(scroll);
    resize(columns * 155 + 40, 760);
}

} // namespace riflesso
