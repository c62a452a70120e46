#pragma once
/// \file
/// Filming now: the live picture, the delayed mirror, recording.

#include "desktop/parts/picture_view.h"
#include "desktop/workbench/cameras.h"

#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QPushButton>

#include <functional>
#include <memory>
#include <vector>

namespace riflesso {

/// The delayed mirror shows the picture of some seconds ago beside (or instead of) the live one, so that an athlete
/// alone sees the rep just done. A finished recording is told by `recorded` and then belongs to the listener.
class CameraPanel : public QWidget {
    Q_OBJECT
public:
    using Makers = CameraMakers;
    /// \p cameras: empty = the devices that are there, and the simulated one.
    explicit CameraPanel(const QString& folder, Makers cameras = {}, QWidget* parent = nullptr);
    ~CameraPanel() override;

    void start();
    void stop();
    [[nodiscard]] bool running() const { return m_live != nullptr; }

signals:
    /// \p set: of the reps on it, when sets were parted while filming; else empty.
    void recorded(const QString& film, const QString& set);
    void failed(const QString& message);
    void closed();

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    void repaintPictures();
    void toggleRecording();
    void nextSet();

    QString m_folder;
    Makers m_makers;
    QComboBox* m_which;
    QPushButton* m_start;
    QPushButton* m_record;
    QDoubleSpinBox* m_delay;
    QLabel* m_words;
    QLabel* m_delayWords;
    PictureView* m_now;
    PictureView* m_then;
    std::unique_ptr<LiveView> m_live;
    QPushButton* m_next;
    QString m_film;
    int m_set = 0; ///< of the recording; 0 = not parted
};

} // namespace riflesso
