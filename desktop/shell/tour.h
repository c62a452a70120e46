#pragma once
/// \file
/// Five steps through the demo, for somebody who sees it the first time. Left by one key.

#include "casebook/analysis.h"

#include <QFrame>
#include <QLabel>
#include <QPushButton>

#include <optional>

namespace riflesso {

/// A strip over the foot of the window; what is above it works meanwhile. Deletes itself when it is left or at its end.
class Tour : public QFrame {
    Q_OBJECT
public:
    explicit Tour(QWidget* window);
    static constexpr int kSteps = 5;
    [[nodiscard]] int step() const { return m_step; }
    void next();
    void leave();

signals:
    /// The workspace that this step is about.
    void wanted(riflesso::Workspace workspace);

protected:
    bool eventFilter(QObject* watched, QEvent* e) override;

private:
    void say();
    void place();
    QLabel* m_words;
    QPushButton* m_next;
    int m_step = 0;
};

} // namespace riflesso
