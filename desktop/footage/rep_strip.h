#pragma once
/// \file
/// The whole take as a strip: how much moves, the reps there are, the reps proposed.

#include "core/motion/rep_finder.h"
#include "desktop/workbench/workbench.h"

#include <QWidget>

namespace riflesso {

/// Reps are solid blocks with their numbers, proposals hollow ones. Click: go there and choose the block. Drag an end:
/// move it. All of it by keys too (see FootagePage).
class RepStrip : public QWidget {
    Q_OBJECT
public:
    explicit RepStrip(Workbench& bench, QWidget* parent = nullptr);

    /// For the take now chosen; gone when another is chosen.
    void setProposals(std::vector<RepSpan> spans, std::vector<double> energy, std::vector<double> strikes);
    [[nodiscard]] const std::vector<RepSpan>& proposals() const { return m_proposals; }

    // What the keys do. Each tells whether it did anything.
    bool acceptHere(); ///< the proposal under the playhead, else the next one; then on to the next
    bool acceptAll();
    bool splitHere();
    bool mergeNext();
    bool setFirst(); ///< of the block chosen or under the playhead
    bool setLast();
    bool removeHere();
    bool go(int direction); ///< to the block before or after

    [[nodiscard]] QSize sizeHint() const override { return {700, 92}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {300, 92}; }

    /// The reps that a stretch of frames touches, in order.
    [[nodiscard]] std::vector<Id> repsBetween(int first, int last) const;

signals:
    void proposalsChanged();
    /// Dragged over with Shift: these reps belong together.
    void setWanted(const std::vector<riflesso::Id>& reps);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void mouseReleaseEvent(QMouseEvent* e) override;
    void wheelEvent(QWheelEvent* e) override;

private:
    struct Block {
        int first = 0, last = 0;
        Id rep = 0;        // or
        int proposal = -1; // index
    };
    [[nodiscard]] std::vector<Block> blocks() const; // in order of time
    void paintMovement(QPainter& p, double line) const;
    void paintBlock(QPainter& p, const Block& block, const QColor& own, const Rep* left, double line) const;
    void paintSeconds(QPainter& p, const Take& take, double line) const;
    [[nodiscard]] std::optional<Block> blockAt(int frame) const;
    bool move(const Block& block, int first, int last, int gesture);
    [[nodiscard]] int frames() const;
    [[nodiscard]] double xOf(double frame) const;
    [[nodiscard]] int frameAt(double x) const;

    Workbench& m_bench;
    Id m_take = 0;
    std::vector<RepSpan> m_proposals;
    std::vector<double> m_energy, m_strikes;
    std::optional<Block> m_held;
    bool m_heldEnd = false;
    std::optional<std::pair<int, int>> m_swept; ///< frames, from and to
    int m_gesture = 1;
};

} // namespace riflesso
