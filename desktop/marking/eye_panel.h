#pragma once
/// \file
/// Only what is seen: checkpoints judged by eye on a frame, with a note that may be pinned to a place of the picture.

#include "desktop/workbench/workbench.h"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>

namespace riflesso {

/// Of the athlete, or of another person in the film, who has checkpoints of their own.
class EyePanel : public QWidget {
    Q_OBJECT
public:
    explicit EyePanel(Workbench& bench);
    void judge(SeenVerdict verdict); ///< the chosen checkpoint, on the frame shown
    /// The next click on the picture pins the note there.
    [[nodiscard]] bool pinning() const { return m_pinning; }
    void pin(QPointF inPicture);
    /// Pins on the frame shown, for the canvas.
    [[nodiscard]] std::vector<std::pair<QPointF, QString>> pinsHere() const;

signals:
    void pinsChanged();

private:
    void refresh();
    [[nodiscard]] const Checkpoint* current() const;
    bool change(const std::function<void(Seen&)>& how);
    void fillWho();
    /// What is seen of whoever is chosen, of the rep shown; null when nothing is.
    [[nodiscard]] const std::map<std::string, Seen>* seen() const;
    [[nodiscard]] const Seen* seenHere() const; ///< of the chosen checkpoint
    std::map<std::string, Seen>& seenIn(Rep& rep) const;
    Workbench& m_bench;
    QComboBox* m_who; ///< data: the name, empty for the athlete
    QListWidget* m_list;
    QLabel* m_question;
    QLineEdit* m_note;
    QPushButton* m_pin;
    QPushButton* m_clear;
    bool m_pinning = false;
};

/// The verdict in a word for screens.
QString verdictWord(SeenVerdict verdict);

} // namespace riflesso
