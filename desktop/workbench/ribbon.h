#pragma once
/// \file
/// The rep's time above the waterline, the model's mirrored below it.

#include "desktop/workbench/workbench.h"

#include <QWidget>

namespace riflesso {

/// Phases as proportional blocks, key positions as numbered pegs. The model's ribbon hangs below on the real clock,
/// both beginning at their first shared position; a thread from peg to peg slants by the timing deviation, whose
/// milliseconds stand beside it. Click or drag moves the playhead; the wheel steps a frame.
class Ribbon : public QWidget {
    Q_OBJECT
public:
    Ribbon(Workbench& bench, bool withModel, QWidget* parent = nullptr);
    /// The model's rep to hang below; 0 = none.
    void setModelRep(Id rep);
    [[nodiscard]] QSize sizeHint() const override { return {700, m_withModel ? 122 : 74}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {300, m_withModel ? 122 : 74}; }

    struct Span {
        int first = 0, last = 1;
    };
    [[nodiscard]] Span span() const; ///< the frames shown: the rep with some air, or the whole film
    [[nodiscard]] double xOf(double frame) const;
    [[nodiscard]] int frameAt(double x) const; ///< not clamped to the film

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void wheelEvent(QWheelEvent* e) override;

private:
    using Pegs = std::vector<std::pair<int, int>>;
    [[nodiscard]] Pegs pegs(const Rep* rep) const;
    void drawOwn(QPainter& p, const Pegs& pegs, const QColor& own);
    void drawModel(QPainter& p, const Take& take, const Rep& rep, const Pegs& pegs);
    void drawPegs(QPainter& p, const Take& take, const Rep& rep, const Pegs& pegs, const QColor& own);
    void drawPlayhead(QPainter& p, const Take& take);
    Workbench& m_bench;
    bool m_withModel;
    Id m_modelRep = 0;
};

} // namespace riflesso
