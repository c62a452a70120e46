#pragma once
/// \file
/// Work in the background with its words, progress, time left and Cancel.

#include "casebook/jobs.h"

#include <QElapsedTimer>
#include <QFrame>
#include <QImage>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>

#include <functional>
#include <stop_token>
#include <string>

namespace riflesso {

/// What a worker says on its way, from its own thread. It may be called when the row is gone.
class JobProgress {
public:
    /// Told what is being done and the share done; false = cancelled, or the case is being closed.
    bool operator()(const std::string& doing, double share) const { return m_tell(doing, share); }
    /// A small picture of what is worked on.
    void show(const QImage& picture) const { m_show(picture); }

private:
    friend class JobRow;
    std::function<bool(const std::string&, double)> m_tell;
    std::function<void(const QImage&)> m_show;
};

/// Runs on a worker; gives what to do afterwards on the interface thread (also when it failed or was cancelled), which
/// is done only while the row is still there. It captures values for the work; what the afterwards captures may be the
/// row's own page.
using JobWork = std::function<std::function<void()>(const JobProgress&)>;

/// One row. start() once; it deletes itself when done, after `finished`.
class JobRow : public QFrame {
    Q_OBJECT
public:
    JobRow(const QString& what, Jobs& jobs, QWidget* parent = nullptr);
    ~JobRow() override;

    void start(JobWork work);
    [[nodiscard]] bool started() const { return m_clock.isValid(); }
    /// Before start(): it will not start. While running: asks the work to end.
    void cancel();

signals:
    void finished(bool cancelled);

private:
    void setPicture(const QImage& picture);
    void tell(const QString& doing, double share);

    QString m_what;
    QLabel* m_picture;
    QLabel* m_words;
    QProgressBar* m_bar;
    QPushButton* m_cancel;
    QElapsedTimer m_clock;
    Jobs& m_jobs;
    std::stop_source m_stop;
    bool m_running = false;
};

} // namespace riflesso
