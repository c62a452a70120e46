#pragma once
/// \file
/// The cause chain, drawn from cause (left) to consequence (right).

#include "desktop/workbench/workbench.h"

#include <QWidget>

namespace riflesso {

/// A node a finding: its name, what shows it best with value and band, its certainty. Lines: cause to consequence,
/// thicker when stronger. Click or arrow keys choose a node.
class ChainView : public QWidget {
    Q_OBJECT
public:
    explicit ChainView(Workbench& bench, QWidget* parent = nullptr);
    void refresh();
    /// Nothing happens when it is no finding.
    void choose(const std::string& fault);
    [[nodiscard]] const std::string& chosen() const { return m_chosen; }
    [[nodiscard]] QRectF boxOf(const std::string& fault) const;
    [[nodiscard]] QSize sizeHint() const override { return {600, 132}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {300, 110}; }

signals:
    void faultChosen(const QString& fault);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    struct Node {
        const Finding* finding;
        int column = 0, row = 0;
        QRectF box;
    };
    [[nodiscard]] std::vector<Node> nodes() const;
    Workbench& m_bench;
    std::string m_chosen;
};

} // namespace riflesso
