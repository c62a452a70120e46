#pragma once
/// \file
/// The camera beside practice: now, and after each rep that rep once more.

#include "core/motion/sync.h"
#include "desktop/workbench/cameras.h"
#include "desktop/workbench/voice.h"
#include "desktop/workbench/workbench.h"
#include "footage/rep_camera.h"

#include <QComboBox>
#include <QElapsedTimer>
#include <QLabel>
#include <QPushButton>
#include <QTimer>

#include <filesystem>
#include <memory>

namespace riflesso {

/// A rep is cut out by its movement when the stillness after it has lasted, played once, and kept as a short film in
/// the library's folder for practice, where old ones make room for new ones (500 MB a case).
class RepScreen : public QWidget {
    Q_OBJECT
public:
    /// \p cameras: empty = those that are here.
    explicit RepScreen(Workbench& bench, CameraMakers cameras = {}, QWidget* parent = nullptr);
    ~RepScreen() override;

    void start();
    void stop();
    [[nodiscard]] bool running() const { return m_camera != nullptr; }
    /// The film of the newest rep that no verdict has been given for, once; empty when there is none of the last half
    /// minute.
    [[nodiscard]] std::string takeUnjudged();
    /// Plays a kept rep (or the last one, when empty) once.
    void playAgain(const std::string& clip = {});
    [[nodiscard]] bool playing() const { return m_play.isActive(); }
    /// Reads the first of these measures that can be read from the film of the last rep, in the background: a draft.
    /// Each with the band in which it should be.
    void readLast(const std::vector<std::pair<std::string, Band>>& measures);
    [[nodiscard]] bool reading() const { return m_reading; }
    [[nodiscard]] QString words() const { return m_words->text(); }

    [[nodiscard]] QSize sizeHint() const override { return {480, 300}; }

signals:
    /// A rep was done. Its film has a name already; the verdict may take it.
    void repSeen();
    /// What the measure says of the rep on \p clip.
    void read(const std::string& clip, bool good);
    /// The button was pressed: what to read is the page's to say.
    void readWanted();
    void played(); ///< what was played once is over, or could not be played
    /// The camera went on or off.
    void switched(bool running);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    void seen(std::vector<LivePicture> pictures);
    void listen(bool on);
    void play(std::vector<LivePicture> pictures, const QString& title);
    void showNow();

    Workbench& m_bench;
    CameraMakers m_makers;
    std::filesystem::path m_folder;
    QComboBox* m_which;
    QComboBox* m_cut; ///< by movement, by sound
    QPushButton* m_read;
    QLabel* m_words;
    QString m_title;
    QImage m_picture;
    std::vector<LivePicture> m_last, m_shown;
    std::string m_unjudged;
    std::string m_newest; ///< the film of the last rep
    bool m_reading = false;
    int m_reps = 0; ///< since the camera was started
    QTimer m_play;
    QElapsedTimer m_clock;        ///< of what is played
    QElapsedTimer m_since;        ///< since the last rep was seen
    std::unique_ptr<Voice> m_ear; ///< while reps are cut by sound
    Sound m_heard;                ///< its last seconds
    double m_heardUntil = 0.0;    ///< s since it began to listen
    double m_lastStrike = -1.0;   ///< on that clock
    std::unique_ptr<RepCamera> m_camera;
};

} // namespace riflesso
