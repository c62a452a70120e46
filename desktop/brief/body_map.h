#pragma once
/// \file
/// The body from the front and from behind: a click on a place notes what is the matter with it.

#include "desktop/workbench/workbench.h"

#include <QWidget>

namespace riflesso {

/// Click a place, or walk through them with the arrow keys and press Enter. Places with a note are filled, those that
/// hurt now carry a cross.
class BodyMap : public QWidget {
    Q_OBJECT
public:
    explicit BodyMap(Workbench& bench, QWidget* parent = nullptr);
    void refresh();
    [[nodiscard]] QSize sizeHint() const override { return {250, 250}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {200, 210}; }
    /// Where a place is clicked; empty when there is no such place.
    [[nodiscard]] std::optional<QPoint> placeOf(const std::string& part) const;

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void leaveEvent(QEvent*) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    struct Place {
        std::string part;
        QPointF from, to; ///< in the widget
        double radius;
    };
    [[nodiscard]] double figureHeight() const; ///< px
    [[nodiscard]] std::vector<Place> places() const;
    [[nodiscard]] const BodyNote* noteOn(const std::string& part) const;
    [[nodiscard]] int placeAt(QPointF at) const;
    void ask(const std::string& part);

    Workbench& m_bench;
    int m_hovered = -1, m_chosen = 0;
};

} // namespace riflesso
