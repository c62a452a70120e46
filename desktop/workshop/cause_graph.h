#pragma once
/// \file
/// Faults and what causes what, as a graph from left to right that is drawn with the mouse.

#include "core/technique/blueprint.h"

#include <QWidget>

#include <optional>

namespace riflesso {

/// A node a fault. Drag from one to another: the first causes the second. Click a line to choose it; + and − change its
/// strength, Del takes it away. Tab and arrows choose nodes.
class CauseGraph : public QWidget {
    Q_OBJECT
public:
    explicit CauseGraph(QWidget* parent = nullptr);
    void setBlueprint(const Blueprint& blueprint);
    struct Link {
        std::string cause, fault;
        friend bool operator==(const Link&, const Link&) = default;
    };
    [[nodiscard]] const std::optional<Link>& chosen() const { return m_chosen; }
    void choose(std::optional<Link> link);
    [[nodiscard]] QRectF boxOf(const std::string& fault) const;
    /// How many pairs of lines cross, as laid out.
    [[nodiscard]] int crossings() const;
    [[nodiscard]] QSize minimumSizeHint() const override { return {560, 320}; }

signals:
    void linkWanted(const QString& cause, const QString& fault);
    void linkChosen();
    void strengthWanted(double strength);
    void removalWanted();

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override { layOut(); }
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void mouseReleaseEvent(QMouseEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    struct Node {
        std::string id;
        QString name;
        bool safety = false;
        int column = 0;
        double order = 0.0; ///< within the column
        QRectF box;
    };
    struct Line {
        std::size_t from, to;
        double strength;
        std::vector<std::size_t> via{}; ///< bends in the columns between, so that no line runs behind a node
    };
    /// A line's nodes and bends from left to right.
    [[nodiscard]] static std::vector<std::size_t> stationsOf(const Line& line);
    void layOut();
    [[nodiscard]] class QPainterPath pathOf(const Line& line) const;
    [[nodiscard]] std::optional<std::size_t> nodeAt(QPointF at) const;
    std::vector<Node> m_nodes; ///< faults, then the bends of long lines (without an id)
    std::size_t m_faults = 0;  ///< how many of them are faults
    std::vector<Line> m_lines;
    std::optional<Link> m_chosen;
    std::optional<std::size_t> m_from; ///< a drag began here
    QPointF m_pointer;
};

} // namespace riflesso
