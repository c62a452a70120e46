#pragma once
/// \file
/// Both films moving: the athlete above the waterline, the model below it, on the same moments.

#include "casebook/moving_side.h"
#include "desktop/workbench/workbench.h"

#include <QElapsedTimer>
#include <QImage>
#include <QTimer>
#include <QWidget>

#include <optional>

namespace riflesso {

/// Interface thread. The playhead is the workbench's frame; the model's frame follows from it, by the movement (the
/// same phase between shared key positions) or by the clock (the same time since the first shared one).
class MirrorMoving : public QWidget {
    Q_OBJECT
public:
    explicit MirrorMoving(Workbench& bench, QWidget* parent = nullptr);

    void setReps(Id athlete, Id model);
    void play(bool on);
    [[nodiscard]] bool playing() const { return m_timer.isActive(); }
    /// Of the athlete's own time: 0.25 = four times slower than it happened; negative = backwards.
    void setSpeed(double speed);
    [[nodiscard]] double speed() const { return m_speed; }
    void setByClock(bool byClock);
    [[nodiscard]] bool byClock() const { return m_lock == LockKind::clock; }
    /// The model's figure over the athlete, on the athlete's support foot and of the athlete's segments; 0 = none.
    void setGhost(double strength);
    [[nodiscard]] double ghost() const { return m_ghost; }
    /// Beside each film the other angle that is locked to it.
    void setAngles(bool angles);
    [[nodiscard]] bool angles() const { return m_angles; }
    [[nodiscard]] bool hasAngles() const;
    [[nodiscard]] Id modelRep() const { return m_model.side.rep; }
    /// Only the phase between two key positions that holds the playhead is played, round and round; or the whole rep.
    void setLoop(bool phase);
    [[nodiscard]] bool loops() const { return m_loop.has_value(); }
    /// Frames that are played.
    [[nodiscard]] std::pair<FrameIndex, FrameIndex> stretch() const;
    /// Where the model is while the athlete is where the playhead is; nothing when one of them is not there.
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
        MovingSide side;
        QImage picture; ///< the last that came
    };
    void tick();
    void begin();
    void paintHalf(QPainter& p, const QRectF& whole, Half& half, FrameIndex frame, QColor colour);
    void paintLine(QPainter& p, const QRectF& whole, Half& main, Half& angle, FrameIndex frame, QColor colour);
    void measure();
    [[nodiscard]] const Take* takeOf(Id rep) const;
    [[nodiscard]] Id otherAngle(Id rep) const;
    [[nodiscard]] QRectF upper() const;
    [[nodiscard]] QRectF lower() const;

    Workbench& m_bench;
    Half m_athlete, m_model, m_athleteAngle, m_modelAngle;
    double m_aspect = 0.0; // for which the boxes hold
    std::optional<ViewClocks> m_clocks;
    QTimer m_timer;
    QElapsedTimer m_clock;
    double m_begun = 0.0; // real time of the athlete's film at which this stretch began, s
    double m_speed = 0.25, m_ghost = 0.0;
    LockKind m_lock = LockKind::movement;
    bool m_angles = false;
    std::optional<std::pair<FrameIndex, FrameIndex>> m_loop;
};

} // namespace riflesso
