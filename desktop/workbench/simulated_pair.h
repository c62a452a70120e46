#pragma once
/// \file
/// Right and wrong of a fault by the simulated athlete, for techniques of which no film shows them yet.

#include "core/technique/blueprint.h"

#include <QImage>

#include <string>

namespace riflesso {

struct SimulatedPair {
    QImage right, wrong; ///< the moment at which the fault first shows; null where nothing can be simulated
    bool operator==(const SimulatedPair&) const = default;
};

/// The fault of the simulator that is this fault of a shipped technique; empty when there is none.
std::string simulatedFault(const std::string& technique, const std::string& fault);

/// Takes some tenths of a second: runs on any thread.
SimulatedPair simulatedPair(const Blueprint& blueprint, const std::string& fault);

} // namespace riflesso
