#pragma once
/// \file
/// A first draft by the machine: a box round the athlete, how much to draft, and go.

#include "desktop/marking/mark_canvas.h"
#include "desktop/workbench/carrier.h"

#include <QComboBox>
#include <QFrame>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

namespace riflesso {

/// A row that is there only while a draft is being asked for. The people that the machine sees are offered as boxes;
/// the most prominent is taken until somebody draws or clicks another. Other people of the take are drafted under
/// points and names of their own; or everybody who is seen on the frame, one after the other.
class DraftPanel : public QFrame {
    Q_OBJECT
public:
    DraftPanel(Workbench& bench, MarkCanvas& canvas, Carrier& carrier, QWidget* parent = nullptr);
    void begin();
    void end();
    [[nodiscard]] bool asking() const { return m_asking; }
    /// Starts with the box there is.
    void go();

signals:
    void failed(const QString& message);

private:
    void look();
    void say();
    Workbench& m_bench;
    MarkCanvas& m_canvas;
    Carrier& m_carrier;
    QLabel* m_words;
    void fillWho();
    QComboBox *m_scope, *m_who;
    QLineEdit* m_called;
    QPushButton* m_go;
    bool m_asking = false;
    bool m_looking = false;
    int m_round = 0; // answers of an earlier look are not shown
};

} // namespace riflesso
