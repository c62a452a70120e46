#include "desktop/shell/strips.h"

#include "casebook/next_step.h"
#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QCoreApplication>
#include <QHBoxLayout>
#include <QPainter>

namespace riflesso {
QString workspaceId(Workspace w) {
    static const char* const ids[] = {"brief",     "footage",  "marking",  "mirror",  "findings",
                                      "programme", "practice", "progress", "handover"};
    return ids[static_cast<int>(w)];
}

QString workspaceName(Workspace w) {
    static const char* const names[] = {QT_TRANSLATE_NOOP("Path", "Brief"),    QT_TRANSLATE_NOOP("Path", "Footage"),
                                        QT_TRANSLATE_NOOP("Path", "Marking"),  QT_TRANSLATE_NOOP("Path", "Mirror"),
                                        QT_TRANSLATE_NOOP("Path", "Findings"), QT_TRANSLATE_NOOP("Path", "Programme"),
                                        QT_TRANSLATE_NOOP("Path", "Practice"), QT_TRANSLATE_NOOP("Path", "Progress"),
                                        QT_TRANSLATE_NOOP("Path", "Handover")};
    return QCoreApplication::translate("Path", names[static_cast<int>(w)]);
}

CaseStrip::CaseStrip(Workbench& bench) : m_bench(bench) {
    m_case = new QLabel;
    m_case->setObjectName("title");
    m_detail = new QLabel;
    m_detail->setObjectName("quiet");
    m_next = new QPushButton;
    m_next->setObjectName("next");
    m_next->setToolTip(tr("The one thing to do next (Ctrl+Return)."));
    auto* line = new QHBoxLayout(this);
    line->setContentsMargins(14, 8, 14, 4);
    auto* shelf = new QPushButton(tr("‹ Athletes"));
    shelf->setObjectName("toShelf");
    shelf->setToolTip(tr("Back to the shelf (Ctrl+0)."));
    connect(shelf, &QPushButton::clicked, this, &CaseStrip::shelfWanted);
    line->addWidget(shelf);
    line->addSpacing(6);
    line->addWidget(m_case);
    line->addSpacing(10);
    line->addWidget(m_detail, 1);
    auto* label = new QLabel(tr("Next:"));
    label->setObjectName("quiet");
    line->addWidget(label);
    line->addWidget(m_next);
    connect(m_next, &QPushButton::clicked, this, [this] { m_bench.goTo(m_bench.analysis().next); });
    connect(&bench.book(), &Casebook::analysed, this, &CaseStrip::refresh);
    connect(&bench, &Workbench::selectionChanged, this, &CaseStrip::refresh);
    refresh();
}

void CaseStrip::refresh() {
    const auto& brief = m_bench.data().brief;
    m_case->setText(brief.athlete.name.empty() ? tr("New athlete") : q(brief.athlete.name));
    const Take* take = m_bench.take();
    m_detail->setText(q(m_bench.blueprint().name) +
                      (take ? QString("   %1, %2").arg(q(take->title), q(dateWords(take->day))) : QString()));
    const QString next = q(nextWords(m_bench.analysis().next));
    m_next->setText(next.isEmpty() ? tr("Measuring …") : next);
    m_next->setEnabled(!next.isEmpty());
    m_next->setAccessibleName(tr("Next: %1").arg(next));
}

Station::Station(int number, const QString& name) : m_number(number), m_name(name) {
    setCheckable(true);
    setAutoExclusive(true);
    setFocusPolicy(Qt::TabFocus);
    setCursor(Qt::PointingHandCursor);
    setText(name);
    setAccessibleName(name);
}

void Station::setLacking(const QString& lacking) {
    m_lacking = lacking;
    setToolTip(lacking.isEmpty() ? tr("%1 (Ctrl+%2)").arg(m_name).arg(m_number)
                                 : tr("%1 (Ctrl+%2). Still lacks: %3.").arg(m_name).arg(m_number).arg(lacking));
    setAccessibleDescription(lacking);
    update();
}

void Station::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const double line = 25;
    p.setPen(QPen(t.quiet, 1.2));
    p.drawLine(QPointF(0, line), QPointF(width(), line));
    if (isChecked()) // the place one is at rises out of the water
        p.fillRect(QRectF(6, line - 2.5, width() - 12, 4), t.hues.athlete);
    p.setFont(typeface(Type::body, isChecked()));
    p.setPen(isChecked() || underMouse() ? t.text : t.quiet);
    p.drawText(QRectF(0, 2, width(), line - 4), Qt::AlignCenter, m_name);
    p.setFont(typeface(Type::small));
    p.setPen(t.quiet);
    p.drawText(QRectF(2, line + 4, width() - 4, 18), Qt::AlignHCenter | Qt::AlignTop,
               QFontMetricsF(p.font()).elidedText(m_lacking.isEmpty() ? QString("–") : m_lacking, Qt::ElideRight,
                                                  width() - 6));
    if (hasFocus()) {
        p.setPen(QPen(t.hues.model, 2));
        p.setBrush(Qt::NoBrush);
        p.drawRoundedRect(rect().adjusted(2, 2, -2, -3), 5, 5);
    }
}

PathStrip::PathStrip(Workbench& bench) : m_bench(bench) {
    auto* line = new QHBoxLayout(this);
    line->setContentsMargins(14, 0, 14, 2);
    line->setSpacing(0);
    for (int i = 0; i < kWorkspaces; ++i) {
        auto* s = new Station(i + 1, workspaceName(static_cast<Workspace>(i)));
        m_stations[static_cast<std::size_t>(i)] = s;
        line->addWidget(s, 1);
        connect(s, &QAbstractButton::clicked, this, [this, i] { emit chosen(static_cast<Workspace>(i)); });
    }
    connect(&bench.book(), &Casebook::analysed, this, &PathStrip::refresh);
    refresh();
}

void PathStrip::setCurrent(Workspace w) {
    station(w)->setChecked(true);
}

void PathStrip::refresh() {
    for (std::size_t i = 0; i < kWorkspaces; ++i)
        m_stations[i]->setLacking(q(m_bench.analysis().lacking[i]));
}

} // namespace riflesso
