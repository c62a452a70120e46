#include "desktop/parts/job_row.h"

#include "casebook/text.h"

#include <QFutureWatcher>
#include <QGridLayout>

namespace riflesso {
namespace {

// What comes from the worker: pictures on the way, at last what to do.
struct JobOutcome {
    QImage picture;
    std::function<void()> after;
};

} // namespace

JobRow::JobRow(const QString& what, Jobs& jobs, QWidget* parent) : QFrame(parent), m_what(what), m_jobs(jobs) {
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
    m_stop.request_stop();
}

void JobRow::setPicture(const QImage& picture) {
    m_picture->setPixmap(QPixmap::fromImage(picture.scaled(56, 40, Qt::KeepAspectRatio, Qt::SmoothTransformation)));
    m_picture->show();
}

void JobRow::cancel() {
    m_stop.request_stop();
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
    auto* watcher = new QFutureWatcher<JobOutcome>(this);
    connect(watcher, &QFutureWatcherBase::resultReadyAt, this, [this, watcher](int i) {
        if (const auto outcome = watcher->resultAt(i); !outcome.picture.isNull())
            setPicture(outcome.picture);
    });
    connect(watcher, &QFutureWatcherBase::progressTextChanged, this,
            [this, watcher](const QString& doing) { tell(doing, watcher->progressValue() / 1000.0); });
    connect(watcher, &QFutureWatcherBase::finished, this, [this, watcher] {
        m_running = false;
        const auto future = watcher->future();
        const auto after = future.resultCount() > 0 ? future.resultAt(future.resultCount() - 1).after : nullptr;
        if (after)
            after();
        emit finished(m_stop.stop_requested());
        deleteLater();
    });
    // Only values go to the worker: it may outlive this row, not the case's threads.
    watcher->setFuture(m_jobs.runTelling<JobOutcome>(
        [work = std::move(work), own = m_stop.get_token(), all = m_jobs.stopToken()](QPromise<JobOutcome>& promise) {
            promise.setProgressRange(0, 1000);
            JobProgress progress;
            QElapsedTimer last;
            last.start();
            progress.m_tell = [&](const std::string& doing, double share) {
                if (last.elapsed() > 80) {
                    last.restart();
                    promise.setProgressValueAndText(static_cast<int>(1000 * share), q(doing));
                }
                return !own.stop_requested() && !all.stop_requested();
            };
            progress.m_show = [&](const QImage& picture) { promise.addResult(JobOutcome{picture, {}}); };
            auto after = work(progress);
            promise.addResult(JobOutcome{{}, std::move(after)});
        }));
}

void JobRow::tell(const QString& doing, double share) {
    m_bar->setValue(static_cast<int>(1000 * share));
    QString words = doing.isEmpty() ? m_what : QString("%1: %2").arg(m_what, doing);
    const double spent = static_cast<double>(m_clock.elapsed()) / 1000.0;
    if (share > 0.03 && spent > 0.7)
        words += tr(", %1 s to go").arg(std::max(1, static_cast<int>(spent / share * (1 - share) + 0.5)));
    if (!m_stop.stop_requested())
        m_words->setText(words);
}

} // namespace riflesso
