#include "desktop/brief/body_map.h"

#include "casebook/body.h"
#include "casebook/text.h"
#include "desktop/theme/language.h"
#include "desktop/theme/theme.h"

#include <QCheckBox>
#include <QDateEdit>
#include <QDialog>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QMouseEvent>
#include <QPainter>
#include <QPushButton>

#include <algorithm>
#include <cmath>
#include <iterator>

namespace riflesso {
namespace {

// A body of height 1 seen from the front, its middle at x 0, y down. Those with x above 0 have two sides.
struct Shape {
    std::string_view part;
    double x, y, toX, toY, radius;
    bool behind = false; ///< is noted on the figure seen from behind only
};
constexpr Shape kShapes[] = {{"head", 0, 0.065, 0, 0.065, 0.055},          {"neck", 0, 0.14, 0, 0.155, 0.03, true},
                             {"upper back", 0, 0.22, 0, 0.29, 0.07, true}, {"lower back", 0, 0.38, 0, 0.41, 0.06, true},
                             {"shoulder", 0.115, 0.2, 0.115, 0.2, 0.042},  {"elbow", 0.16, 0.35, 0.16, 0.35, 0.033},
                             {"wrist", 0.185, 0.46, 0.185, 0.46, 0.026},   {"hand", 0.195, 0.515, 0.195, 0.525, 0.03},
                             {"hip", 0.07, 0.48, 0.07, 0.48, 0.045},       {"thigh", 0.075, 0.56, 0.07, 0.65, 0.045},
                             {"knee", 0.07, 0.71, 0.07, 0.71, 0.038},      {"calf", 0.067, 0.77, 0.063, 0.86, 0.034},
                             {"ankle", 0.062, 0.91, 0.062, 0.91, 0.026},   {"foot", 0.072, 0.955, 0.085, 0.96, 0.028}};
// What is only drawn: limbs between the places.
constexpr Shape kLimbs[] = {{"", 0.115, 0.2, 0.16, 0.35, 0.03},    {"", 0.16, 0.35, 0.185, 0.46, 0.023},
                            {"", 0.07, 0.48, 0.07, 0.71, 0.042},   {"", 0.07, 0.71, 0.062, 0.91, 0.03},
                            {"", 0.062, 0.91, 0.085, 0.96, 0.024}, {"", 0.185, 0.46, 0.195, 0.52, 0.02}};
// Half of the trunk's outline from the shoulder down.
constexpr double kTrunk[][2] = {{0.03, 0.155}, {0.12, 0.19}, {0.095, 0.3}, {0.075, 0.38}, {0.1, 0.5}};

// A round end, or a rod with round ends.
void blob(QPainter& p, QPointF from, QPointF to, double radius, QColor colour) {
    if (from == to) {
        p.setPen(Qt::NoPen);
        p.setBrush(colour);
        p.drawEllipse(from, radius, radius);
        return;
    }
    p.setPen(QPen(colour, 2 * radius, Qt::SolidLine, Qt::RoundCap));
    p.drawLine(from, to);
}
} // namespace

BodyMap::BodyMap(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setObjectName("bodyMap");
    setAccessibleName(tr("Body map: injuries, stiffness, pain"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setCursor(Qt::PointingHandCursor);
    refresh();
}

void BodyMap::refresh() {
    QStringList notes;
    for (const auto& n : m_bench.data().brief.athlete.body)
        notes << q(bodyWords(n));
    setAccessibleDescription(notes.isEmpty() ? tr("nothing is noted") : notes.join("; "));
    update();
}

double BodyMap::figureHeight() const {
    return std::min(height() - 26.0, width() / 0.96); // two bodies with their arms beside one another
}

std::vector<BodyMap::Place> BodyMap::places() const {
    std::vector<Place> out;
    const double size = figureHeight();
    for (const bool behind : {false, true}) {
        const QPointF middle(width() * (behind ? 0.75 : 0.25), 2.0);
        for (const auto& s : kShapes) {
            if (s.behind && !behind)
                continue;
            for (const double side : {1.0, -1.0}) {
                if (s.x == 0.0 && side < 0.0)
                    continue;
                // From the front one's left is on the picture's right.
                const bool left = (side > 0.0) != behind;
                const std::string part =
                    s.x == 0.0 ? std::string(s.part) : (left ? "left " : "right ") + std::string(s.part);
                const auto at = [&](double x, double y) { return middle + QPointF(side * x, y) * size; };
                out.push_back({part, at(s.x, s.y), at(s.toX, s.toY), s.radius * size});
            }
        }
    }
    return out;
}

std::optional<QPoint> BodyMap::placeOf(const std::string& part) const {
    for (const auto& p : places())
        if (p.part == part)
            return ((p.from + p.to) / 2).toPoint();
    return std::nullopt;
}

const BodyNote* BodyMap::noteOn(const std::string& part) const {
    for (const auto& n : m_bench.data().brief.athlete.body)
        if (n.part == part)
            return &n;
    return nullptr;
}

int BodyMap::placeAt(QPointF at) const {
    const auto all = places();
    int best = -1;
    double nearest = 1e9;
    for (std::size_t i = 0; i < all.size(); ++i) {
        const QPointF along = all[i].to - all[i].from, off = at - all[i].from;
        const double length = QPointF::dotProduct(along, along);
        const double share = length > 0 ? std::clamp(QPointF::dotProduct(off, along) / length, 0.0, 1.0) : 0.0;
        const QPointF away = off - share * along;
        const double distance = std::hypot(away.x(), away.y()) / all[i].radius;
        if (distance < 1.25 && distance < nearest) {
            nearest = distance;
            best = static_cast<int>(i);
        }
    }
    return best;
}

void BodyMap::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const double size = figureHeight();
    for (const bool behind : {false, true}) {
        const QPointF middle(width() * (behind ? 0.75 : 0.25), 2.0);
        for (const auto& s : kLimbs)
            for (const double side : {1.0, -1.0})
                blob(p, middle + QPointF(side * s.x, s.y) * size, middle + QPointF(side * s.toX, s.toY) * size,
                     s.radius * size, t.line);
        QPolygonF trunk;
        for (const auto& point : kTrunk)
            trunk << middle + QPointF(point[0], point[1]) * size;
        for (auto i = std::size(kTrunk); i-- > 0;)
            trunk << middle + QPointF(-kTrunk[i][0], kTrunk[i][1]) * size;
        p.setPen(QPen(t.line, 0.03 * size, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
        p.setBrush(t.line);
        p.drawPolygon(trunk);
        blob(p, middle + QPointF(0, 0.065) * size, middle + QPointF(0, 0.17) * size, 0.025 * size, t.line);
    }
    const auto all = places();
    for (std::size_t i = 0; i < all.size(); ++i) {
        const auto& place = all[i];
        const BodyNote* note = noteOn(place.part);
        const bool marked = static_cast<int>(i) == m_hovered || (hasFocus() && static_cast<int>(i) == m_chosen);
        QColor fill = note ? t.caution : t.line;
        if (!note && !marked)
            fill = theme().dark ? fill.lighter(118) : fill.darker(108);
        if (marked)
            blob(p, place.from, place.to, place.radius + 1.5, t.text);
        blob(p, place.from, place.to, place.radius, fill);
        if (note && note->pain) {
            const QPointF m = (place.from + place.to) / 2;
            const double r = std::min(5.0, place.radius * 0.6);
            p.setPen(QPen(t.panel, 2.4, Qt::SolidLine, Qt::RoundCap));
            p.drawLine(m - QPointF(r, r), m + QPointF(r, r));
            p.drawLine(m - QPointF(r, -r), m + QPointF(r, -r));
        }
    }
    p.setFont(typeface(Type::small));
    p.setPen(t.quiet);
    const double y = std::min(height() - 21.0, size + 6.0);
    const int shown = m_hovered >= 0 ? m_hovered : hasFocus() ? m_chosen : -1;
    if (shown >= 0 && shown < static_cast<int>(all.size())) {
        const auto& part = all[static_cast<std::size_t>(shown)].part;
        const BodyNote* note = noteOn(part);
        p.setPen(t.text);
        p.drawText(QRectF(0, y, width(), 20), Qt::AlignCenter, q(note ? bodyWords(*note) : part));
        return;
    }
    p.drawText(QRectF(0, y, width() / 2.0, 20), Qt::AlignCenter, tr("from the front"));
    p.drawText(QRectF(width() / 2.0, y, width() / 2.0, 20), Qt::AlignCenter, tr("from behind"));
}

void BodyMap::mousePressEvent(QMouseEvent* e) {
    if (const int i = placeAt(e->position()); i >= 0) {
        m_chosen = i;
        ask(places()[static_cast<std::size_t>(i)].part);
    }
}

void BodyMap::mouseMoveEvent(QMouseEvent* e) {
    m_hovered = placeAt(e->position());
    update();
}

void BodyMap::leaveEvent(QEvent*) {
    m_hovered = -1;
    update();
}

void BodyMap::keyPressEvent(QKeyEvent* e) {
    const int n = static_cast<int>(places().size());
    if (e->key() == Qt::Key_Right || e->key() == Qt::Key_Down)
        m_chosen = (m_chosen + 1) % n;
    else if (e->key() == Qt::Key_Left || e->key() == Qt::Key_Up)
        m_chosen = (m_chosen + n - 1) % n;
    else if (e->key() == Qt::Key_Return || e->key() == Qt::Key_Enter || e->key() == Qt::Key_Space)
        ask(places()[static_cast<std::size_t>(m_chosen)].part);
    else
        return QWidget::keyPressEvent(e);
    update();
}

void BodyMap::ask(const std::string& part) {
    const BodyNote* known = noteOn(part);
    auto* dialog = new QDialog(this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setObjectName("bodyNote");
    dialog->setWindowTitle(q(part));
    auto* rows = new QFormLayout(dialog);
    auto* words = new QLineEdit(known ? q(known->words) : QString());
    words->setObjectName("bodyWords");
    words->setMinimumWidth(260);
    auto* dated = new QCheckBox(tr("since"));
    auto* since = new QDateEdit;
    since->setDisplayFormat(dateFormat());
    since->setCalendarPopup(true);
    since->setDate(
        QDate::fromString(q(isoDate(known && known->since ? *known->since : m_bench.book().today())), Qt::ISODate));
    dated->setChecked(known && known->since);
    since->setEnabled(dated->isChecked());
    connect(dated, &QCheckBox::toggled, since, &QWidget::setEnabled);
    auto* pain = new QCheckBox(tr("hurts now"));
    pain->setObjectName("bodyPain");
    pain->setChecked(known && known->pain);
    rows->addRow(tr("What it is"), words);
    rows->addRow(dated, since);
    rows->addRow(QString(), pain);
    auto* caution =
        new QLabel(tr("What hurts is for a doctor or a physiotherapist, not for a drill. The program plans nothing for "
                      "a place that hurts."));
    caution->setObjectName("caution");
    caution->setWordWrap(true);
    rows->addRow(caution);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    if (known) {
        auto* gone = buttons->addButton(tr("Nothing any more"), QDialogButtonBox::DestructiveRole);
        gone->setObjectName("bodyGone");
        connect(gone, &QPushButton::clicked, dialog, [this, part, dialog] {
            Brief brief = m_bench.data().brief;
            std::erase_if(brief.athlete.body, [&](const BodyNote& n) { return n.part == part; });
            m_bench.book().setBrief(brief);
            dialog->reject();
        });
    }
    rows->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, dialog, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, dialog, &QDialog::reject);
    connect(dialog, &QDialog::accepted, this, [=, this] {
        BodyNote note{part, words->text().trimmed().toStdString(), {}, pain->isChecked()};
        if (dated->isChecked())
            note.since = dayFromIso(since->date().toString(Qt::ISODate).toStdString());
        Brief brief = m_bench.data().brief;
        std::erase_if(brief.athlete.body, [&](const BodyNote& n) { return n.part == part; });
        brief.athlete.body.push_back(std::move(note));
        m_bench.book().setBrief(brief);
    });
    dialog->open();
}

} // namespace riflesso
