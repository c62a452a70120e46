#pragma once
/// \file
/// A neural network that runs on the processor, one thread.

#include "finder/model_file.h"

#include <memory>

namespace riflesso {

/// Not to be used from two threads at once; make one for each.
class Network {
public:
    virtual ~Network() = default;
    /// \p input: as many values as the model's input has, in its order. The outputs, in the order in which they were
    /// wanted; valid until the next run. Error when the engine fails.
    virtual Result<std::vector<std::span<const float>>> run(std::span<const float> input) = 0;
};

/// On XNNPACK. Error: no such engine on this processor; a layer that it refuses.
Result<std::unique_ptr<Network>> xnnpackNetwork(ModelFile model);

/// On OpenCV's dnn module, built layer by layer: several times slower, on any processor. The tests' second opinion, and
/// what is left when XNNPACK refuses. Error: a layer that it cannot run.
Result<std::unique_ptr<Network>> opencvNetwork(const ModelFile& model);

} // namespace riflesso
