#pragma once
/// \file
/// Work in the background with its words, progress, time left and Cancel.

#include <QElapsedTimer>
#include <QFrame>
#include <QImage>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>

#include <atomic>
#include <functional>
#include <memory>
#include <string>

namespace riflesso {

/// Told what is being done and the share done; false = cancelled.
using JobProgress = std::function<bool(const std::string& doing, double share)>;
/// Runs on a worker; gives what to do afterwards on the interface thread (also when it failed or was cancelled).
using JobWork = std::function<std::function<void()>(const JobProgress&)>;

/// One row. start() once; it deletes itself when done, after `finished`.
class JobRow : public QFrame {
    Q_OBJECT
public:
    explicit JobRow(const QString& what, QWidget* parent = nullptr);
    ~JobRow() override;

    void start(JobWork work);
    [[nodiscard]] bool started() const { return m_clock.isValid(); }
    /// A small picture of what is worked on.
    void setPicture(const QImage& picture);
    /// Before start(): it will not start. While running: asks the work to end.
    void cancel();

signals:
    void finished(bool cancelled);

private:
    void tell(const QString& doing, double share);

    QString m_what;
    QLabel* m_picture;
    QLabel* m_words;
    QProgressBar* m_bar;
    QPushButton* m_cancel;
    QElapsedTimer m_clock;
    std::shared_ptr<std::atomic<bool>> m_stop = std::make_shared<std::atomic<bool>>(false);
    bool m_running = false;
};

} // namespace riflesso
