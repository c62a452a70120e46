#pragma once
/// \file
/// Progress: each focus measure over its dates, with its error, its band, and the change worth believing.

#include "desktop/parts/card.h"
#include "desktop/shell/workbench.h"

#include <QComboBox>

namespace riflesso {

class TrendChart : public QWidget {
    Q_OBJECT
public:
    explicit TrendChart(Workbench& bench, QWidget* parent = nullptr);
    void setTrend(int index);
    [[nodiscard]] QSize minimumSizeHint() const override { return {420, 260}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Workbench& m_bench;
    int m_index = 0;
};

class ProgressPage : public QWidget {
    Q_OBJECT
public:
    explicit ProgressPage(Workbench& bench);

private:
    void refresh();
    Workbench& m_bench;
    QComboBox* m_which;
    TrendChart* m_chart;
    Card* m_words;
    Card* m_practice;
};

} // namespace riflesso
