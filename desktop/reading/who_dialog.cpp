#include "desktop/reading/who_dialog.h"

#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPushButton>
#include <QToolButton>
#include <QVBoxLayout>

#include <algorithm>

namespace riflesso {
namespace {
constexpr int kMostPeople = 6;      // people that are offered, the tallest first
constexpr QSize kPicture{230, 290}; // px of each
constexpr double kAround = 0.12;    // of the box, shown beside it
} // namespace

WhoDialog::WhoDialog(const WhoIsIt& who, QWidget* parent) : QDialog(parent) {
    setObjectName("whoDialog");
    setWindowTitle(tr("Who is the athlete?"));
    auto* row = new QHBoxLayout;
    row->setSpacing(10);
    int number = 0;
    for (const QRectF& box : who.boxes) {
        if (number == kMostPeople)
            break;
        QRectF around = box.adjusted(-kAround * box.width(), -kAround * box.height(), kAround * box.width(),
                                     kAround * box.height());
        // As high as the place for it, cut at the picture's edges.
        const double wide = around.height() * kPicture.width() / kPicture.height();
        if (around.width() < wide)
            around.adjust(-(wide - around.width()) / 2, 0, (wide - around.width()) / 2, 0);
        const QRect part = around.toAlignedRect() & who.picture.rect();
        auto* b = new QToolButton;
        b->setObjectName(QString("person%1").arg(++number));
        b->setToolButtonStyle(Qt::ToolButtonTextUnderIcon);
        b->setIconSize(kPicture);
        b->setIcon(
            QPixmap::fromImage(who.picture.copy(part).scaled(kPicture, Qt::KeepAspectRatio, Qt::SmoothTransformation)));
        b->setText(QString::number(number));
        b->setAccessibleName(tr("Person %1").arg(number));
        connect(b, &QToolButton::clicked, this, [this, box] {
            emit chosen(box);
            accept();
        });
        row->addWidget(b);
    }
    auto* hand = new QPushButton(tr("Somebody else: draw a box …"));
    hand->setObjectName("whoByHand");
    auto* leave = new QPushButton(tr("Leave"));
    connect(hand, &QPushButton::clicked, this, [this] {
        emit byHand();
        done(QDialog::Accepted);
    });
    connect(leave, &QPushButton::clicked, this, &QDialog::reject);
    for (auto* b : {hand, leave})
        b->setAutoDefault(false);
    auto* foot = new QHBoxLayout;
    foot->addWidget(hand);
    foot->addStretch(1);
    foot->addWidget(leave);
    auto* all = new QVBoxLayout(this);
    all->addWidget(wrapped(tr("Several people are in this film. Click the athlete, or press the number."), "strong"));
    all->addLayout(row);
    all->addLayout(foot);
}

void WhoDialog::keyPressEvent(QKeyEvent* e) {
    if (e->key() >= Qt::Key_1 && e->key() < Qt::Key_1 + kMostPeople)
        if (auto* b = findChild<QToolButton*>(QString("person%1").arg(e->key() - Qt::Key_0))) {
            b->click();
            return;
        }
    QDialog::keyPressEvent(e);
}

} // namespace riflesso
