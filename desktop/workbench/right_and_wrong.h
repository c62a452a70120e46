#pragma once
/// \file
/// Right and wrong as pictures, from the case's own films: the model beside the athlete at the moment that shows a
/// fault. What no film shows yet is shown by the simulated athlete.

#include "desktop/workbench/simulated_pair.h"
#include "desktop/workbench/workbench.h"

#include <QWidget>

#include <map>
#include <string>
#include <utility>

namespace riflesso {

class RightAndWrong : public QWidget {
    Q_OBJECT
public:
    explicit RightAndWrong(Workbench& bench, QWidget* parent = nullptr);
    void show(const std::string& fault);
    /// What the simulator shows of the fault; empty until it is there.
    [[nodiscard]] SimulatedPair simulated() const;
    [[nodiscard]] QSize sizeHint() const override { return {300, 150}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {200, 150}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    /// A rep that shows the fault's measure, of the model or the one of the athlete's that is farthest off.
    [[nodiscard]] std::pair<Id, FrameIndex> shown(bool model, const MeasureDefinition** definition) const;
    Workbench& m_bench;
    std::string m_fault;
    std::map<std::string, SimulatedPair> m_simulated; ///< by fault
};

} // namespace riflesso
