#pragma once
/// \file
/// How good are my marks? Frames marked again without a look at the first marks, and what that says.

#include "casebook/repeat.h"
#include "desktop/workbench/workbench.h"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTableWidget>

namespace riflesso {

/// Differences over means, with the mean difference and the limits of agreement.
class AgreementView : public QWidget {
    Q_OBJECT
public:
    explicit AgreementView(QWidget* parent = nullptr);
    void setLimits(const std::optional<BlandAltman>& limits, const QString& unit);
    [[nodiscard]] QSize sizeHint() const override { return {230, 130}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {160, 100}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    std::optional<BlandAltman> m_limits;
    QString m_unit;
};

class RepeatPanel : public QWidget {
    Q_OBJECT
public:
    explicit RepeatPanel(Workbench& bench);
    /// The marking that is under way; 0 = none.
    [[nodiscard]] Id running() const { return m_running; }
    void begin();
    void stop();
    /// To the next frame on which something is open.
    void goOn();

signals:
    void runningChanged();

private:
    void refresh();
    void showResult();
    [[nodiscard]] QHBoxLayout* makeChoice();
    Workbench& m_bench;
    Id m_running = 0;
    QLabel* m_words;
    QLineEdit *m_analyst, *m_markedBy;
    QPushButton* m_begin;
    QPushButton* m_stop;
    QPushButton* m_forget;
    QComboBox* m_first;
    QComboBox* m_second;
    QLabel* m_sigma;
    QTableWidget* m_table;
    AgreementView* m_plot;
};

} // namespace riflesso
