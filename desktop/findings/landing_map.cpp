#include "desktop/findings/landing_map.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"

#include <QHBoxLayout>
#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace riflesso {

LandingPicture::LandingPicture(Workbench& bench) : m_bench(bench) {
    setObjectName("landingPicture");
    setAccessibleName(tr("Where the reps landed"));
    setMinimumSize(300, 300);
}

void LandingPicture::show(const LandingGroup& group, bool metric) {
    m_group = group;
    m_metric = metric;
    setAccessibleDescription(q(landingWords(group, metric)));
    update();
}

double LandingPicture::scale() const {
    double reach = 1e-9;
    for (const auto& r : m_group.reps)
        reach = std::max({reach, std::abs(r.at.x()), std::abs(r.at.y()), r.radius});
    return 0.45 * std::min(width(), height() - 30) / reach;
}

QPointF LandingPicture::at(const Eigen::Vector2d& p) const {
    return {width() / 2.0 + scale() * p.x(), (height() - 30) / 2.0 - scale() * p.y()};
}

std::vector<QPointF> LandingPicture::dots() const {
    std::vector<QPointF> out;
    for (const auto& r : m_group.reps)
        out.push_back(at(r.at));
    return out;
}

void LandingPicture::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    if (m_group.reps.empty()) {
        p.setFont(typeface(Type::body));
        p.setPen(t.quiet);
        p.drawText(
            rect().adjusted(30, 0, -30, 0), Qt::AlignCenter | Qt::TextWordWrap,
            tr("Nothing has landed yet. In Footage, under Reps, draw the zone once for a film and click where each "
               "rep came down."));
        return;
    }
    double radius = 0.0;
    for (const auto& r : m_group.reps)
        radius = std::max(radius, r.radius);
    QColor zone = t.hues.model;
    zone.setAlphaF(0.22f);
    p.setBrush(zone);
    p.setPen(QPen(t.hues.model, 1.6));
    p.drawEllipse(at({0, 0}), radius * scale(), radius * scale());
    p.setPen(QPen(t.line, 1, Qt::DashLine));
    p.drawLine(QPointF(0, at({0, 0}).y()), QPointF(width(), at({0, 0}).y()));
    p.drawLine(QPointF(at({0, 0}).x(), 0), QPointF(at({0, 0}).x(), height() - 30));
    if (m_group.ellipse) {
        p.save();
        p.translate(at(m_group.ellipse->centre));
        p.rotate(-m_group.ellipse->angle);
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(t.hues.athlete, 1.6, Qt::DashLine));
        p.drawEllipse(QPointF(0, 0), m_group.ellipse->major * scale(), m_group.ellipse->minor * scale());
        p.restore();
    }
    const QPointF mean = at(m_group.bias);
    p.setPen(QPen(t.text, 2));
    p.drawLine(mean - QPointF(7, 0), mean + QPointF(7, 0));
    p.drawLine(mean - QPointF(0, 7), mean + QPointF(0, 7));
    for (const auto& r : m_group.reps) {
        p.setPen(QPen(t.hues.athlete, 2));
        p.setBrush(r.inside() ? QBrush(t.hues.athlete) : QBrush(t.panel));
        p.drawEllipse(at(r.at), 6, 6);
    }
    // How large it is.
    double unit = m_metric ? 0.01 : 1.0;
    while (unit * scale() < 50.0)
        unit *= unit * scale() < 20.0 ? 5.0 : 2.0;
    const double y = height() - 14.0;
    p.setPen(QPen(t.text, 1.6));
    p.drawLine(QPointF(14, y), QPointF(14 + unit * scale(), y));
    p.setFont(typeface(Type::small));
    p.drawText(QRectF(22 + unit * scale(), y - 12, 120, 22), Qt::AlignLeft | Qt::AlignVCenter,
               m_metric ? tr("%1 cm").arg(qRound(100 * unit)) : tr("%1 px").arg(qRound(unit)));
}

void LandingPicture::mousePressEvent(QMouseEvent* e) {
    const auto all = dots();
    for (std::size_t i = 0; i < all.size(); ++i)
        if (std::hypot(all[i].x() - e->position().x(), all[i].y() - e->position().y()) < 9)
            m_bench.showSource(m_group.reps[i].rep, m_group.reps[i].frame);
}

LandingMap::LandingMap(Workbench& bench) : m_bench(bench) {
    m_picture = new LandingPicture(bench);
    m_which = new QComboBox;
    m_which->setObjectName("landingGroup");
    m_which->setAccessibleName(tr("Which reps"));
    m_words = new QLabel;
    m_words->setObjectName("strong");
    m_words->setWordWrap(true);
    m_groups = new QLabel;
    m_groups->setWordWrap(true);
    m_groups->setTextFormat(Qt::RichText);
    auto* card = new Card(tr("Where it lands"));
    card->body()->addWidget(m_which);
    card->body()->addWidget(m_words);
    card->body()->addSpacing(8);
    card->body()->addWidget(m_groups);
    card->body()->addStretch();
    card->setFixedWidth(360);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(12);
    all->addWidget(m_picture, 1);
    all->addWidget(card);
    connect(m_which, &QComboBox::activated, this, &LandingMap::showChosen);
}

void LandingMap::refresh() {
    const QString before = m_which->currentText();
    m_landings = landingsOf(m_bench.data(), m_bench.blueprint(), m_bench.analysis());
    m_which->clear();
    m_which->addItem(tr("all reps"));
    QString rows;
    for (const auto* groups : {&m_landings.bySituation, &m_landings.byStage})
        for (const auto& g : *groups) {
            m_which->addItem(q(g.name));
            rows += QString("<p style=\"margin:0 0 8px 0\"><b>%1</b><br>%2</p>")
                        .arg(q(g.name).toHtmlEscaped(), q(landingWords(g, m_landings.metric)).toHtmlEscaped());
        }
    m_groups->setText(rows);
    m_which->setCurrentIndex(std::max(0, m_which->findText(before)));
    showChosen();
}

void LandingMap::showChosen() {
    const int i = m_which->currentIndex() - 1;
    const int situations = static_cast<int>(m_landings.bySituation.size());
    const LandingGroup& g = i < 0            ? m_landings.all
                            : i < situations ? m_landings.bySituation[static_cast<std::size_t>(i)]
                                             : m_landings.byStage[static_cast<std::size_t>(i - situations)];
    m_picture->show(g, m_landings.metric);
    m_words->setText(q(landingWords(g, m_landings.metric)) +
                     (m_landings.metric || g.reps.empty()
                          ? QString()
                          : "\n" + tr("In pixels: draw a known length on the film, and it is centimetres.")));
}

} // namespace riflesso
