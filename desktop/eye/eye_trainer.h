#pragma once
/// \file
/// The coach's own eye: simulated reps at film speed, each with a fault of some size or none. Did you see it?

#include "library/eye_scores.h"
#include "simulator/eye_trial.h"

#include <QComboBox>
#include <QDialog>
#include <QFutureWatcher>
#include <QImage>
#include <QLabel>
#include <QPushButton>
#include <QTimer>

#include <atomic>
#include <memory>

namespace riflesso {

/// Interface thread; the next rep is made by a worker while one looks at this one. Each answer is kept at once.
class EyeTrainer : public QDialog {
    Q_OBJECT
public:
    /// \p file: where scores are kept. \p height of the pictures, px.
    EyeTrainer(const std::filesystem::path& file, Day today, QWidget* parent = nullptr, int height = 270);
    ~EyeTrainer() override;
    void choose(const QString& technique, const QString& fault);
    /// Y and N do the same.
    void answer(bool seen);
    [[nodiscard]] bool ready() const { return !m_shown.frames.empty() && !m_answered; }
    [[nodiscard]] double size() const { return m_size; } ///< of the rep that is shown
    [[nodiscard]] QString verdict() const { return m_state->text(); }
    /// Where the user's scores are kept.
    static std::filesystem::path scoresFile();

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    struct Made {
        EyeTrial trial;
        double size = 0.0;
        QString problem;
    };
    void begin();
    void make();
    void showNext();
    void say();

    std::filesystem::path m_file;
    Day m_today;
    int m_height;
    std::vector<EyeSession> m_sessions;
    std::string m_technique, m_fault;
    FaultRange m_range;
    QComboBox* m_techniqueBox;
    QComboBox* m_faultBox;
    QWidget* m_glass;
    QLabel* m_state;
    QPushButton* m_yes;
    QPushButton* m_no;
    QPushButton* m_again;
    QTimer m_clock;
    QImage m_picture;
    EyeTrial m_shown;
    double m_size = 0.0;
    std::size_t m_at = 0;
    bool m_answered = true, m_waiting = false;
    unsigned m_seed = 1;
    QFutureWatcher<Made> m_making;
    std::shared_ptr<std::atomic<bool>> m_stop = std::make_shared<std::atomic<bool>>(false);
};

} // namespace riflesso
