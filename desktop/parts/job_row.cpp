#include "desktop/parts/job_row.h"

#include "casebook/text.h"

#include <QFutureWatcher>
#include <QGridLayout>
#include <QPointer>
#include <QThreadPool>
#include <QtConcurrent/QtConcurrentRun>

#include <sys/resource.h>
#include <unistd.h>

namespace riflesso {
namespace {

// Jobs have threads of their own that give way to whoever waits at the window: on two cores a decoder at the same rank
// makes each answer late. Threads that a job starts inherit this.
QThreadPool& jobThreads() {
    static QThreadPool pool;
    return pool;
}

void giveWay() {
    constexpr int kNice = 5; // a third of the usual share while others want to run
    // Linux: a priority is a thread's own (setpriority(2), "C library/kernel differences"). No harm when refused.
    (void)setpriority(PRIO_PROCESS, static_cast<id_t>(gettid()), kNice);
}

} // namespace

JobRow::JobRow(const QString& what, QWidget* parent) : QFrame(parent), m_what(what) {
    setObjectName("card");
    m_words = new QLabel(tr("%1: waiting").arg(what));
    m_words->setObjectName("quiet");
    m_words->setWordWrap(true);
    m_bar = new QProgressBar;
    m_bar->setRange(0, 1000);
    m_bar->setTextVisible(false);
    m_bar->setFixedHeight(6);
    m_cancel = new QPushButton(tr("Cancel"));
    m_cancel->setAccessibleName(tr("Cancel %1").arg(what));
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(8, 5, 8, 5);
    grid->setVerticalSpacing(3);
    m_picture = new QLabel;
    m_picture->hide();
    grid->addWidget(m_picture, 0, 0, 2, 1);
    grid->addWidget(m_words, 0, 1);
    grid->addWidget(m_bar, 1, 1);
    grid->addWidget(m_cancel, 0, 2, 2, 1);
    grid->setColumnStretch(1, 1);
    connect(m_cancel, &QPushButton::clicked, this, &JobRow::cancel);
}

JobRow::~JobRow() {
    *m_stop = true;
}

void JobRow::setPicture(const QImage& picture) {
    m_picture->setPixmap(QPixmap::fromImage(picture.scaled(56, 40, Qt::KeepAspectRatio, Qt::SmoothTransformation)));
    m_picture->show();
}

void JobRow::cancel() {
    *m_stop = true;
    m_cancel->setEnabled(false);
    if (!m_running) {
        emit finished(true);
        deleteLater();
    } else {
        m_words->setText(tr("%1: stopping …").arg(m_what));
    }
}

void JobRow::start(JobWork work) {
    m_running = true;
    m_clock.start();
    tell({}, 0.0);
    // The worker may outlive this row: it holds the flag itself and reaches the row through a guarded pointer only.
    const QPointer<JobRow> self(this);
    auto* watcher = new QFutureWatcher<std::function<void()>>(this);
    connect(watcher, &QFutureWatcherBase::finished, this, [this, watcher] {
        m_running = false;
        const auto after = watcher->result();
        if (after)
            after();
        emit finished(*m_stop);
        deleteLater();
    });
    auto last = std::make_shared<QElapsedTimer>();
    last->start();
    const JobProgress progress = [self, stop = m_stop, last](const std::string& doing, double share) {
        if (last->elapsed() > 80) {
            last->restart();
            if (self)
                QMetaObject::invokeMethod(
                    self.data(),
                    [self, doing, share] {
                        if (self)
                            self->tell(q(doing), share);
                    },
                    Qt::QueuedConnection);
        }
        return !*stop;
    };
    watcher->setFuture(QtConcurrent::run(&jobThreads(), [work = std::move(work), progress] {
        giveWay();
        return work(progress);
    }));
}

void JobRow::tell(const QString& doing, double share) {
    m_bar->setValue(static_cast<int>(1000 * share));
    QString words = doing.isEmpty() ? m_what : QString("%1: %2").arg(m_what, doing);
    const double spent = static_cast<double>(m_clock.elapsed()) / 1000.0;
    if (share > 0.03 && spent > 0.7)
        words += tr(", %1 s to go").arg(std::max(1, static_cast<int>(spent / share * (1 - share) + 0.5)));
    if (!*m_stop)
        m_words->setText(words);
}

} // namespace riflesso
