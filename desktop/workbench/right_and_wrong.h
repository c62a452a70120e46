#pragma once
/// \file
/// Right and wrong as pictures, from the case's own films: the model beside the athlete at the moment that shows a
/// fault.

#include "desktop/workbench/workbench.h"

#include <QWidget>

#include <string>
#include <utility>

namespace riflesso {

class RightAndWrong : public QWidget {
    Q_OBJECT
public:
    explicit RightAndWrong(Workbench& bench, QWidget* parent = nullptr);
    void show(const std::string& fault);
    [[nodiscard]] QSize sizeHint() const override { return {300, 150}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {200, 150}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    /// A rep that shows the fault's measure, of the model or the one of the athlete's that is farthest off.
    [[nodiscard]] std::pair<Id, FrameIndex> shown(bool model, const MeasureDefinition** definition) const;
    Workbench& m_bench;
    std::string m_fault;
};

} // namespace riflesso
