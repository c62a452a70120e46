#pragma once
/// \file
/// Practice: a block counted rep by rep, one key a rep. Readable from three metres.

#include "core/progress/feed.h"
#include "desktop/parts/card.h"
#include "desktop/parts/key_table.h"
#include "desktop/practice/far_keys.h"
#include "desktop/practice/metronome.h"
#include "desktop/practice/rep_screen.h"
#include "desktop/practice/sounds.h"
#include "desktop/practice/spoken_note.h"
#include "desktop/workbench/drill_card.h"
#include "desktop/workbench/rep_dots.h"
#include "desktop/workbench/right_and_wrong.h"
#include "desktop/workbench/workbench.h"

#include <QComboBox>
#include <QDateEdit>
#include <QGridLayout>
#include <QLineEdit>
#include <QProgressBar>
#include <QPushButton>
#include <QSpinBox>
#include <QTimer>

namespace riflesso {

/// What can be wrong with a rep, in the words of the fault's measures and the checkpoints; four at most, the last one
/// is "something else".
std::vector<std::string> reasonsOfBad(const Blueprint& blueprint, const std::string& fault);

/// Keys: G, arrow up or a presenter's forward = good; B, arrow down or its backward = not yet, and then a number for
/// the reason, or none; Backspace or its black-screen key takes the last rep back; N begins a new block; H what was
/// done at home; Y the diary; R a rest; T the tempo, plus and minus a beat; C the camera, L the last rep once more, M
/// what the focus measure says of it; D the next rep is fed another way; F a presenter's two keys while another window
/// is in front. Modes: the coach alone, the athlete alone, or both, the athlete first.
class PracticePage : public QWidget {
    Q_OBJECT
public:
    enum class Mode { coach, athlete, both };
    explicit PracticePage(Workbench& bench);
    void verdict(bool good);
    /// The diary, at the newest practised day up to \p at.
    void showDiary(std::optional<Day> at = std::nullopt);

protected:
    void keyPressEvent(QKeyEvent* e) override;
    void hideEvent(QHideEvent* e) override; ///< tempo, camera and keys from afar end with the page

private:
    void makeKeys();
    void refresh();
    void fillDrills();
    void fillReasons();
    void fillToday();
    void newBlock();
    void takeBack();
    void lookBack(int by);
    void repSeen();
    void readRep();
    void repRead(const std::string& clip, bool good);
    void giveReason(int index);
    void rest();
    void fillCues();
    void fillWays();
    void nextFed();
    void showWay();
    [[nodiscard]] QLayout* makeWays();
    /// The picture of the drill is the cue, not words.
    [[nodiscard]] static bool isPictureCue(const QString& shown);
    [[nodiscard]] std::string chosenCue() const;
    void tempo();
    void hear(Chime chime);
    void ownDay();
    void homeDone();
    void anotherDrill();
    [[nodiscard]] QString setWords() const;
    static constexpr auto kAnotherDrill = "another drill"; ///< data of the last entry among the drills
    void count(const PractisedRep& rep);
    [[nodiscard]] QWidget* makeCounting();
    [[nodiscard]] QWidget* makeSettings();
    [[nodiscard]] QWidget* makeToday();
    [[nodiscard]] QPushButton* pageButton(const QString& words, const char* name, const QString& why,
                                          QAction* action = nullptr);
    [[nodiscard]] QHBoxLayout* makeWhat();
    [[nodiscard]] QHBoxLayout* makeTools();
    [[nodiscard]] QHBoxLayout* makeTempo();
    [[nodiscard]] QHBoxLayout* makeNotes();
    [[nodiscard]] const Block* block() const;
    [[nodiscard]] const Drill* drill() const;
    [[nodiscard]] std::string faultOf(const std::string& drill) const;
    [[nodiscard]] Day day() const;
    [[nodiscard]] Mode mode() const { return static_cast<Mode>(m_mode->currentIndex()); }

    Workbench& m_bench;
    KeyTable* m_keys;
    QComboBox* m_drills;
    QString m_shownDrill; ///< the drill that was shown last; another one may be asked for
    QComboBox* m_mode;
    QDateEdit* m_day;
    QLineEdit* m_note;
    SpokenNote* m_spoken;
    int m_lookingAt = -1; ///< the rep whose film was played last by key; −1 = none
    QComboBox* m_cues;    ///< editable: the cue that this block is done with
    std::string m_cuesOf; ///< the drill that they are of
    QComboBox* m_ways;    ///< editable: from where or how the next rep is fed
    QComboBox* m_feed;    ///< always so, in turn, mixed
    std::string m_waysOf; ///< the drill that they are of
    QLabel* m_way;
    QComboBox* m_pattern;
    QSpinBox* m_beats;
    QPushButton* m_tempo;
    Metronome m_metronome;
    Sounds m_sounds;
    QComboBox* m_hear; ///< nothing, sounds, sounds and the cue
    QTimer m_flash;
    RightAndWrong* m_pictures;
    RepScreen* m_screen;
    QPushButton* m_camera;
    FarKeys m_farKeys;
    QPushButton* m_far;
    QElapsedTimer m_judged; ///< since the last verdict
    QElapsedTimer m_began;  ///< since the first rep of the block; invalid for one that was begun before
    QTimer m_minutes;       ///< the block's minutes go on between reps
    QLabel* m_set;
    QLabel* m_cue;
    QLabel* m_what;
    RepDots* m_dots;
    QLabel* m_count;
    GateBar* m_bar;
    QLabel* m_gate;
    QLabel* m_ask;
    QLabel* m_caution;
    QPushButton* m_good;
    QPushButton* m_bad;
    QGridLayout* m_reasons;
    QLabel* m_why;
    QHBoxLayout* m_today;
    QLabel* m_said; ///< of this drill, the last time
    QPushButton* m_restButton;
    QProgressBar* m_rest;
    QTimer m_restTimer;
    static constexpr int kRestSeconds = 60;
    int m_restLeft = 0;                     ///< s
    std::map<std::string, bool> m_readings; ///< what the measure said, by the rep's film
    std::string m_limitOf;                  ///< the fault whose limit of speed is known
    QString m_limit;                        ///< "no faster than 80 % of the fastest"; empty = none
    Id m_block = 0;                         ///< the block that is being logged; 0 = the next verdict starts one
    bool m_chosen = false;                  ///< the drill was chosen here, not proposed
    bool m_reasonOpen = false;              ///< the last rep was not good and may still get a reason
    std::optional<bool> m_athlete;          ///< said, while the coach's is awaited
};

} // namespace riflesso
