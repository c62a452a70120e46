#pragma once
/// \file
/// Which points this take asks for: the body schema, chosen and added to.

#include "desktop/workbench/workbench.h"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QToolButton>
#include <QWidget>

namespace riflesso {

/// A button with the choice of the figure's part, and a row under it to add an implement, a ball, another person or a
/// fixed point. Each choice is one undoable edit of the take.
class PointsPanel : public QWidget {
    Q_OBJECT
public:
    explicit PointsPanel(Workbench& bench, QWidget* parent = nullptr);
    void refresh();

signals:
    void failed(const QString& message);

private:
    void change(const QString& what, const std::function<void(BodySchema&)>& edit);
    void fillMenu();
    void add();
    void rename(int person);

    Workbench& m_bench;
    QToolButton* m_button;
    QMenu* m_menu;
    QWidget* m_adder;
    QComboBox* m_thing;
    QLineEdit* m_called;
    QLabel* m_says;
};

} // namespace riflesso
