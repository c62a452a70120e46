#pragma once
/// \file
/// A note that is spoken instead of typed, kept as a sound file beside the block's films.

#include "casebook/casebook.h"
#include "desktop/practice/sounds.h"
#include "desktop/workbench/voice.h"

#include <QLabel>
#include <QPushButton>
#include <QWidget>

#include <filesystem>

namespace riflesso {

/// Where a block's spoken note is kept; it may not be there.
std::filesystem::path spokenNoteOf(const Casebook& book, Id block);

/// Interface thread. While it records nothing is written; when it ends the file is whole or what it was before.
class SpokenNote : public QWidget {
    Q_OBJECT
public:
    explicit SpokenNote(Sounds& sounds, QWidget* parent = nullptr);
    ~SpokenNote() override;
    /// Where this block's note is kept; empty = no block yet. What is being spoken is kept with the block before.
    void setFile(const std::filesystem::path& file);
    /// Begins, or ends and keeps.
    void toggle();
    [[nodiscard]] bool recording() const { return m_voice != nullptr; }
    [[nodiscard]] double seconds() const { return m_seconds; } ///< of the note that is kept; 0 = none

signals:
    /// Recording has ended; the key's owner takes the focus back.
    void done();

protected:
    void hideEvent(QHideEvent* e) override;

private:
    void say();
    void fail(const QString& why);

    Sounds& m_sounds;
    QPushButton* m_speak;
    QPushButton* m_hear;
    QLabel* m_problem;
    std::filesystem::path m_file;
    std::unique_ptr<Voice> m_voice;
    std::vector<float> m_spoken;
    double m_seconds = 0.0;
};

} // namespace riflesso
