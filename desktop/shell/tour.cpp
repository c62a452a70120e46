#include "desktop/shell/tour.h"

#include "desktop/parts/card.h"

#include <QEvent>
#include <QHBoxLayout>
#include <QKeyEvent>

#include <algorithm>
#include <array>

namespace riflesso {
namespace {

struct Step {
    Workspace where;
    QString words;
};

std::array<Step, Tour::kSteps> steps() {
    return {
        Step{Workspace::findings,
             Tour::tr("This athlete was filmed yesterday. On the left stands what the film says: what is good first, "
                      "then the cause, then what it brings about. Click on a finding, and the picture shows it.")},
        Step{Workspace::mirror,
             Tour::tr(
                 "Above the line the athlete, below it the model, at the same moments. M sets both in motion, G lays "
                 "the model's figure over the athlete, T puts the whole movement on one picture.")},
        Step{Workspace::marking,
             Tour::tr(
                 "All of it rests on these points and pegs. Each number leads here by one click; W goes to the frame "
                 "whose correction would help most.")},
        Step{Workspace::programme,
             Tour::tr("What was taken up becomes drills on your days. Drag a block: it is said what that breaks. In "
                      "Practice one key counts a rep.")},
        Step{Workspace::handover,
             Tour::tr("And this goes home: a page, the review with your voice, the movement. F1 opens the guide on the "
                      "page of what you see. The shelf (Ctrl+0) has more athletes, and place for your own.")}};
}

} // namespace

Tour::Tour(QWidget* window) : QFrame(window) {
    setObjectName("tour");
    setFrameShape(QFrame::StyledPanel);
    setAutoFillBackground(true);
    m_words = wrapped({});
    m_words->setTextInteractionFlags(Qt::NoTextInteraction);
    m_next = new QPushButton;
    m_next->setObjectName("tourNext");
    auto* leave = new QPushButton(tr("Leave (Esc)"));
    leave->setObjectName("tourLeave");
    for (auto* b : {m_next, leave})
        b->setFocusPolicy(Qt::NoFocus); // the keys belong to what is below
    auto* line = new QHBoxLayout(this);
    line->setContentsMargins(16, 10, 16, 10);
    line->addWidget(m_words, 1);
    line->addWidget(m_next);
    line->addWidget(leave);
    connect(m_next, &QPushButton::clicked, this, &Tour::next);
    connect(leave, &QPushButton::clicked, this, &Tour::leave);
    window->installEventFilter(this);
    say();
    show();
}

void Tour::say() {
    const auto all = steps();
    const Step& s = all[static_cast<std::size_t>(m_step)];
    m_words->setText(QString("<b>%1</b> &nbsp; %2").arg(tr("%1 of %2").arg(m_step + 1).arg(kSteps), s.words));
    m_next->setText(m_step + 1 < kSteps ? tr("Next") : tr("Done"));
    setAccessibleName(tr("Tour, step %1 of %2: %3").arg(m_step + 1).arg(kSteps).arg(s.words));
    place();
    // After the constructor too: whoever made it has connected by then.
    QMetaObject::invokeMethod(
        this, [this, where = s.where] { emit wanted(where); }, Qt::QueuedConnection);
}

void Tour::place() {
    const int wide = parentWidget()->width() - 40;
    setFixedWidth(wide);
    const int high = heightForWidth(wide) > 0 ? heightForWidth(wide) : sizeHint().height();
    setFixedHeight(std::max(64, high));
    move(20, parentWidget()->height() - height() - 16);
    raise();
}

void Tour::next() {
    if (++m_step >= kSteps) {
        leave();
        return;
    }
    say();
}

void Tour::leave() {
    parentWidget()->removeEventFilter(this);
    hide();
    deleteLater();
}

bool Tour::eventFilter(QObject* watched, QEvent* e) {
    if (e->type() == QEvent::Resize)
        place();
    if (e->type() == QEvent::KeyPress && static_cast<QKeyEvent*>(e)->key() == Qt::Key_Escape) {
        leave();
        return true;
    }
    return QFrame::eventFilter(watched, e);
}

} // namespace riflesso
