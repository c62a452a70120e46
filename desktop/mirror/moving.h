#pragma once
/// \file
/// Both films moving: the athlete above the waterline, the model below it, on the same moments.

#include "core/mirror/registration.h"
#include "desktop/shell/workbench.h"

#include <QElapsedTimer>
#include <QImage>
#include <QTimer>
#include <QWidget>

#include <optional>

namespace riflesso {

/// Interface thread. The playhead is the workbench's frame; the model's frame follows from it, by the movement (the same
/// phase between shared key positions) or by the clock (the same time since the first shared one).
class MirrorMoving : public QWidget {
    Q_OBJECT
public:
    explicit MirrorMoving(Workbench& bench, QWidget* parent = nullptr);

    void setReps(Id athlete, Id model);
    void play(bool on);
    [[nodiscard]] bool playing() const { return m_timer.isActive(); }
    /// Of the athlete's own time: 0.25 = four times slower than it happened.
    void setSpeed(double speed);
    [[nodiscard]] double speed() const { return m_speed; }
    void setByClock(bool byClock);
    [[nodiscard]] bool byClock() const { return m_byClock; }
    /// The model's figure over the athlete, of the same size, hips on hips.
    void setGhost(bool ghost);
    [[nodiscard]] bool ghost() const { return m_ghost; }
    /// Where the model is while the athlete is where the playhead is; nothing when the two share fewer than two positions.
    [[nodiscard]] std::optional<int> modelFrame() const;
    void step(int frames);

    [[nodiscard]] QSize sizeHint() const override { return {900, 480}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {420, 260}; }

signals:
    void changed();

protected:
    void paintEvent(QPaintEvent*) override;
    void hideEvent(QHideEvent*) override { play(false); }

private:
    struct Half {
        Id rep = 0;
        QRectF box;       ///< round the body over the whole rep, picture px
        QImage picture;   ///< the last that came
        double trunk = 0; ///< mean length, px
    };
    void tick();
    void paintHalf(QPainter& p, const QRectF& target, Half& half, int frame, QColor colour);
    void measure(Half& half, double aspect) const;
    [[nodiscard]] const Take* takeOf(Id rep) const;
    [[nodiscard]] bool mirrored(const Half& half) const;
    [[nodiscard]] PhaseMap mapOf(Id rep) const;
    [[nodiscard]] QRectF upper() const;
    [[nodiscard]] QRectF lower() const;

    Workbench& m_bench;
    Half m_athlete, m_model;
    double m_aspect = 0.0; // for which the boxes hold
    QTimer m_timer;
    QElapsedTimer m_clock;
    double m_begun = 0.0; // real time of the athlete's film at which this stretch began, s
    double m_speed = 0.25;
    bool m_byClock = false, m_ghost = false;
};

} // namespace riflesso
