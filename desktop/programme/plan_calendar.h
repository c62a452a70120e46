#pragma once
/// \file
/// The weeks: a row a week, a column a day, blocks as chips as high as their minutes, laid by hand.

#include "core/programme/plan.h"
#include "core/technique/blueprint.h"

#include <QWidget>

#include <map>
#include <optional>
#include <vector>

namespace riflesso {

/// Draws what it is given and says what a hand wants; changes nothing by itself. A chip is dragged to another day, its
/// lower edge makes it longer; a drill is dropped from the ladder. Keys: arrows choose, Alt+arrows move, + and - change
/// minutes, L locks, Delete takes away, D ticks off.
class PlanCalendar : public QWidget {
    Q_OBJECT
public:
    static constexpr const char* kDrillMime = "application/x-riflesso-drill";
    explicit PlanCalendar(const Blueprint& blueprint, QWidget* parent = nullptr);
    /// \p today's week is the first row. \p proposed: nothing is kept yet, chips are drawn hollow.
    void setPlan(const PlanInput& in, const std::vector<PlannedBlock>& blocks, Day today, int weeks, bool proposed);
    [[nodiscard]] const std::vector<PlannedBlock>& blocks() const { return m_blocks; }
    [[nodiscard]] std::optional<std::size_t> chosen() const;
    void choose(std::optional<std::size_t> block);
    [[nodiscard]] QRectF cellOf(Day day) const;
    [[nodiscard]] QRectF chipOf(std::size_t block) const;
    [[nodiscard]] QSize sizeHint() const override { return {660, 560}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {420, 300}; }

signals:
    void chosenChanged();
    /// While dragging: where it would come to lie; nothing = nowhere any more.
    void considered(std::optional<std::size_t> block, const QString& drill, std::optional<riflesso::Day> day);
    void moved(std::size_t block, riflesso::Day day);
    void stretched(std::size_t block, double minutes);
    void dropped(const QString& drill, riflesso::Day day);
    void lockWanted(std::size_t block);
    void removeWanted(std::size_t block);
    void doneWanted(std::size_t block);
    void menuWanted(std::size_t block, const QPoint& at);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void mouseReleaseEvent(QMouseEvent* e) override;
    void mouseDoubleClickEvent(QMouseEvent* e) override;
    void contextMenuEvent(QContextMenuEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;
    void dragEnterEvent(QDragEnterEvent* e) override;
    void dragMoveEvent(QDragMoveEvent* e) override;
    void dragLeaveEvent(QDragLeaveEvent* e) override;
    void dropEvent(QDropEvent* e) override;
    bool event(QEvent* e) override;

private:
    [[nodiscard]] std::optional<Day> dayAt(const QPointF& at) const;
    [[nodiscard]] std::optional<std::size_t> chipAt(const QPointF& at) const;
    [[nodiscard]] std::map<Day, std::vector<std::size_t>> byDay() const;
    void paintChip(QPainter& p, const QRectF& box, const PlannedBlock& b, bool chosen, bool ghost) const;
    [[nodiscard]] QString nameOf(const std::string& drill) const;
    [[nodiscard]] int faultIndex(const std::string& fault) const;

    const Blueprint& m_blueprint;
    PlanInput m_in;
    std::vector<PlannedBlock> m_blocks;
    Day m_today{};
    int m_weeks = 4;
    bool m_proposed = false;
    std::optional<std::size_t> m_chosen, m_dragged;
    bool m_stretching = false;
    double m_minutes = 0.0; // while stretching
    QPointF m_from;
    std::optional<Day> m_over;
    QString m_foreign; // the drill that is dragged in from the ladder
};

} // namespace riflesso
