#pragma once
/// \file
/// The map of where reps landed: the zone, each rep, the spread, by situation and by stage.

#include "casebook/landings.h"
#include "desktop/workbench/workbench.h"

#include <QComboBox>
#include <QLabel>
#include <QWidget>

namespace riflesso {

/// The picture: a dot a rep (full inside the zone, hollow outside), the zone, the ellipse that holds two thirds. A
/// click on a dot leads to its frame.
class LandingPicture : public QWidget {
    Q_OBJECT
public:
    explicit LandingPicture(Workbench& bench);
    void show(const LandingGroup& group, bool metric);
    [[nodiscard]] std::vector<QPointF> dots() const;

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;

private:
    [[nodiscard]] QPointF at(const Eigen::Vector2d& p) const;
    [[nodiscard]] double scale() const;
    Workbench& m_bench;
    LandingGroup m_group;
    bool m_metric = false;
};

class LandingMap : public QWidget {
    Q_OBJECT
public:
    explicit LandingMap(Workbench& bench);
    void refresh();
    [[nodiscard]] LandingPicture* picture() const { return m_picture; }

private:
    void showChosen();
    Workbench& m_bench;
    Landings m_landings;
    QComboBox* m_which;
    LandingPicture* m_picture;
    QLabel* m_words;
    QLabel* m_groups;
};

} // namespace riflesso
