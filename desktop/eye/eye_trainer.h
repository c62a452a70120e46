#pragma once
/// \file
/// The coach's own eye: simulated reps, or those of one's own films of which a measure is sure, at film speed, each
/// with a fault of some size or none. Did you see it, which one was it, and how large?

#include "desktop/workbench/workbench.h"
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

/// Reps of a case's films to look at; what a measure surely says of each is what was there.
struct OwnEye {
    struct Rep {
        std::filesystem::path film;
        std::vector<FrameIndex> frames; ///< what is shown, in order
        double rate = 30.0;             ///< of those pictures a second of real time
        double beyond = 0.0;            ///< as SureRep
    };
    struct Measure {
        std::string id;
        QString name;
        std::vector<Rep> reps;
    };
    QString name; ///< whose films
    std::string technique;
    std::filesystem::path index; ///< where the films' indices are kept
    std::vector<Measure> measures;
};
/// Empty where no measure is sure of two reps outside and two inside.
OwnEye ownEyeOf(const Workbench& bench);

/// Interface thread; the next rep is made by a worker while one looks at this one. Each answer is kept at once.
class EyeTrainer : public QDialog {
    Q_OBJECT
public:
    /// \p file: where scores are kept. \p height of the pictures, px.
    /// \p own: offered beside the techniques; may be empty.
    EyeTrainer(const std::filesystem::path& file, Day today, QWidget* parent = nullptr, int height = 270,
               OwnEye own = {});
    ~EyeTrainer() override;
    /// \p technique: an id, or kOwnFilms with a measure in the fault's place.
    void choose(const QString& technique, const QString& fault);
    static constexpr auto kOwnFilms = "own films";
    static constexpr auto kAnyFault = "any of them"; ///< as a fault: a rep has one of the technique's, or none
    /// Y and N do the same. Who saw it is asked how large it was before the next rep comes.
    void answer(bool seen);
    /// Where any fault may be there: the one that was seen; empty = none of them.
    void answer(const std::string& fault);
    /// \p choice: 0-based among the sizes offered; −1 = cannot say. Keys 1 to 5, Return.
    void sized(int choice);
    [[nodiscard]] bool ready() const { return !m_shown.frames.empty() && !m_answered; }
    [[nodiscard]] bool asksSize() const { return m_sizing; }
    [[nodiscard]] std::string fault() const { return m_fault; } ///< that is shown, or is not there
    [[nodiscard]] double size() const { return m_size; }        ///< of the rep that is shown
    [[nodiscard]] QString verdict() const { return m_state->text(); }
    /// Where the user's scores are kept.
    static std::filesystem::path scoresFile();

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    struct Made {
        std::vector<QImage> frames;
        double rate = 30.0;
        double size = 0.0;
        QString problem;
    };
    [[nodiscard]] bool own() const { return m_fault.starts_with(kOwnPrefix); }
    [[nodiscard]] const OwnEye::Measure* ownMeasure() const;
    static constexpr std::string_view kOwnPrefix = "own:"; ///< before a measure, in the scores
    void begin();
    void pickFault();
    void keep(const std::string& fault, FaultLook look);
    void write();
    /// This sitting's session of a fault; the end where there is none yet.
    std::vector<EyeSession>::iterator sessionOf(const std::string& fault);
    void nextRep();
    void fillAnswers();
    [[nodiscard]] QString shownSize(double size) const;
    [[nodiscard]] QString standing() const;
    [[nodiscard]] Staircase staircase(const std::string& fault, const FaultRange& sizes) const;
    void make();
    void showNext();
    void say();

    std::filesystem::path m_file;
    Day m_today;
    int m_height;
    std::vector<EyeSession> m_sessions;
    std::size_t m_sitting = 0; ///< where this sitting's sessions begin
    std::string m_technique, m_fault;
    std::vector<std::string> m_any; ///< the faults that a rep may have; empty = one fault is trained
    FaultRange m_range;
    QWidget* m_chips;  ///< a button a fault
    QWidget* m_sizes;  ///< a button a size
    QString m_told;    ///< what the last rep was
    QString m_problem; ///< why answers could not be kept; empty = they are
    QComboBox* m_techniqueBox;
    QComboBox* m_faultBox;
    QWidget* m_glass;
    QLabel* m_state;
    QPushButton* m_yes;
    QPushButton* m_no;
    QPushButton* m_again;
    QTimer m_clock;
    QImage m_picture;
    Made m_shown;
    OwnEye m_own;
    double m_size = 0.0;
    std::size_t m_at = 0;
    bool m_answered = true, m_waiting = false, m_sizing = false;
    unsigned m_seed = 1;
    QFutureWatcher<Made> m_making;
    std::shared_ptr<std::atomic<bool>> m_stop = std::make_shared<std::atomic<bool>>(false);
};

} // namespace riflesso
