#include "desktop/footage/camera_panel.h"

#include "casebook/text.h"
#include "desktop/parts/frame_service.h"

#include <QDateTime>
#include <QDir>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QVBoxLayout>

namespace riflesso {
CameraPanel::CameraPanel(const QString& folder, Makers cameras, QWidget* parent)
    : QWidget(parent), m_folder(folder), m_makers(std::move(cameras)) {
    if (m_makers.empty())
        m_makers = camerasHere();
    m_which = new QComboBox;
    m_which->setObjectName("camera");
    m_which->setAccessibleName(tr("Camera"));
    for (const auto& [name, make] : m_makers)
        m_which->addItem(name);
    m_start = new QPushButton(tr("Start the camera"));
    m_start->setObjectName("startCamera");
    m_record = new QPushButton(tr("Record (R)"));
    m_record->setObjectName("record");
    m_record->setCheckable(true);
    m_record->setEnabled(false);
    m_delay = new QDoubleSpinBox;
    m_delay->setObjectName("delay");
    m_next = new QPushButton(tr("Next set (S)"));
    m_next->setObjectName("nextSet");
    m_next->setEnabled(false);
    m_next->setToolTip(tr("The film so far is one set, what follows another: before and after a hint."));
    connect(m_next, &QPushButton::clicked, this, &CameraPanel::nextSet);
    m_delay->setRange(0.5, 60.0);
    m_delay->setValue(3.0);
    m_delay->setSingleStep(0.5);
    m_delay->setSuffix(tr(" s ago"));
    m_delay->setAccessibleName(tr("Delay of the mirror"));
    auto* back = new QPushButton(tr("Back to the films (Esc)"));
    m_words =
        new QLabel(tr("No camera is running. What is filmed stays on this computer. Ask before filming; a minor's "
                      "guardian too."));
    m_words->setWordWrap(true);
    m_words->setObjectName("quiet");
    m_now = new PictureView;
    m_now->setAccessibleName(tr("Live picture"));
    m_now->setMessage(tr("Choose a camera and start it."));
    m_then = new PictureView;
    m_then->setAccessibleName(tr("Delayed mirror"));
    m_then->setMessage(tr("Here the picture of some seconds ago will be: do a rep, then look."));
    m_delayWords = new QLabel(tr("Delayed mirror"));
    m_delayWords->setObjectName("strong");
    auto* bar = new QHBoxLayout;
    bar->addWidget(m_which);
    bar->addWidget(m_start);
    bar->addWidget(m_record);
    bar->addWidget(m_next);
    bar->addStretch();
    bar->addWidget(back);
    auto* live = new QLabel(tr("Now"));
    live->setObjectName("strong");
    auto* left = new QVBoxLayout;
    left->addWidget(live);
    left->addWidget(m_now, 1);
    auto* head = new QHBoxLayout;
    head->addWidget(m_delayWords);
    head->addWidget(m_delay);
    head->addStretch();
    auto* right = new QVBoxLayout;
    right->addLayout(head);
    right->addWidget(m_then, 1);
    auto* views = new QHBoxLayout;
    views->addLayout(left, 1);
    views->addLayout(right, 2); // the athlete looks at this one from afar
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(10, 8, 10, 8);
    all->addLayout(bar);
    all->addLayout(views, 1);
    all->addWidget(m_words);
    setFocusPolicy(Qt::StrongFocus);
    connect(m_start, &QPushButton::clicked, this, [this] { m_live ? stop() : start(); });
    connect(m_record, &QPushButton::clicked, this, &CameraPanel::toggleRecording);
    connect(back, &QPushButton::clicked, this, [this] {
        stop();
        emit closed();
    });
}

CameraPanel::~CameraPanel() {
    stop();
}

void CameraPanel::start() {
    const int i = m_which->currentIndex();
    if (i < 0 || m_live)
        return;
    m_words->setText(tr("Starting …"));
    LiveView::Callbacks back;
    back.picture = gathered(this, [this] { repaintPictures(); });
    back.failed = [this](const std::string& why) {
        QMetaObject::invokeMethod(
            this,
            [this, why] {
                stop();
                m_words->setText(q(why));
                m_now->setMessage(q(why));
                emit failed(q(why));
            },
            Qt::QueuedConnection);
    };
    m_live = std::make_unique<LiveView>(m_makers[static_cast<std::size_t>(i)].second(), back);
    m_start->setText(tr("Stop the camera"));
    m_record->setEnabled(true);
    m_which->setEnabled(false);
}

void CameraPanel::stop() {
    if (!m_live)
        return;
    if (m_record->isChecked()) {
        m_record->setChecked(false);
        toggleRecording();
    }
    m_live.reset();
    m_start->setText(tr("Start the camera"));
    m_record->setEnabled(false);
    m_which->setEnabled(true);
    m_words->setText(tr("The camera is off."));
}

// Ends the film and begins the next: two takes, two sets.
void CameraPanel::nextSet() {
    if (!m_live || !m_record->isChecked())
        return;
    m_set = std::max(1, m_set);
    const int next = m_set + 1;
    m_record->setChecked(false);
    toggleRecording();
    m_record->setChecked(true);
    toggleRecording();
    m_set = next;
}

void CameraPanel::toggleRecording() {
    if (!m_live)
        return;
    m_next->setEnabled(m_record->isChecked());
    if (m_record->isChecked()) {
        QDir().mkpath(m_folder);
        m_film = m_folder + "/" + QDateTime::currentDateTime().toString("'filmed' yyyy-MM-dd HHmmss-zzz") + ".mp4";
        m_live->record(m_film.toStdString());
        m_record->setText(tr("End the recording (R)"));
        return;
    }
    m_record->setText(tr("Record (R)"));
    if (const auto s = m_live->stopRecording(); !s)
        emit failed(q(s.error().text()));
    else
        emit recorded(m_film, m_set > 0 ? tr("set %1").arg(m_set) : QString());
    m_set = 0;
}

void CameraPanel::repaintPictures() {
    if (!m_live)
        return;
    if (const auto now = m_live->newest())
        m_now->setPicture(imageOf(*now));
    const double delay = m_delay->value();
    if (const auto then = m_live->ago(delay)) {
        m_then->setPicture(imageOf(*then));
    } else {
        const double left = delay - m_live->running();
        m_then->setMessage(
            left > 0 ? tr("%1 s to go until the mirror has something to show").arg(shownFigure(left, 1))
                     : tr("The memory does not reach back so far: at most %1 s").arg(shownFigure(m_live->reach(), 1)));
    }
    m_words->setText(m_record->isChecked()
                         ? tr("● Recording. The film becomes a take of this case when it ends.")
                         : tr("Running since %1 s. Nothing is being recorded.").arg(shownFigure(m_live->running(), 0)));
}

void CameraPanel::keyPressEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_R && m_live) {
        m_record->toggle();
        toggleRecording();
    } else if (e->key() == Qt::Key_S && m_live) {
        nextSet();
    } else if (e->key() == Qt::Key_Escape) {
        stop();
        emit closed();
    } else {
        QWidget::keyPressEvent(e);
    }
}

} // namespace riflesso
