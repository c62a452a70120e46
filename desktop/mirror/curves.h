#pragma once
/// \file
/// Several measures under the moving films, or one angle against another.

#include "core/mirror/registration.h"
#include "desktop/workbench/workbench.h"

#include <QWidget>

#include <array>

namespace riflesso {

/// Three strips: all judged reps thin, the chosen one thick, the model dashed with its band, the playhead through all.
/// A click puts the playhead there. On the switch the first two are drawn against each other instead, each a loop with
/// the moment as a dot.
class MirrorCurves : public QWidget {
    Q_OBJECT
public:
    explicit MirrorCurves(Workbench& bench, QWidget* parent = nullptr);
    /// \p first: the measure that is always among them; the others are those that deviate most.
    void show(const std::string& first, Id athlete, Id model);
    void setAgainst(bool against);
    [[nodiscard]] bool against() const { return m_against; }
    [[nodiscard]] std::vector<std::string> measures() const;
    [[nodiscard]] QSize sizeHint() const override { return {380, 330}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {260, 200}; }

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;

private:
    struct Strip {
        std::string measure;
        std::vector<std::vector<PhasePoint>> all; ///< of each judged rep
        std::vector<PhasePoint> own, model;
        double lo = 0.0, hi = 1.0;
    };
    void paintStrip(QPainter& p, const QRectF& box, const Strip& strip, std::optional<double> now);
    void paintAgainst(QPainter& p, const QRectF& box, std::optional<double> now);
    [[nodiscard]] QRectF plotOf(const QRectF& box) const;
    [[nodiscard]] double lastPhase() const;

    Workbench& m_bench;
    std::vector<Strip> m_strips;
    Id m_athlete = 0;
    bool m_against = false;
};

} // namespace riflesso
