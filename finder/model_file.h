#pragma once
/// \file
/// Neural networks in .tflite files (FlatBuffers), read with every offset checked: such a file is data from outside.

#include "core/motion/result.h"

#include <cstdint>
#include <filesystem>
#include <span>
#include <vector>

namespace riflesso {

/// What the body models are made of; other operations are refused when the file is read.
enum class LayerKind { pad, convolution, depthwise, add, maxPool, resizeBilinear, reshape, sigmoid, depthToSpace };

/// What is done to the result of a layer.
enum class Activation { none, relu, relu6 };

/// One operation. Numbers refer to ModelFile::tensors.
struct Layer {
    LayerKind kind = LayerKind::add;
    std::vector<int> inputs;
    int output = 0;
    bool same = false; ///< padded so that the size is kept (divided by the stride), else not padded
    int strideX = 1, strideY = 1;
    int windowX = 1, windowY = 1;                  ///< maxPool
    int multiplier = 1;                            ///< depthwise: filters a channel
    int block = 1;                                 ///< depthToSpace: rows and columns that a cell becomes
    bool halfPixels = false, alignCorners = false; ///< resizeBilinear
    Activation activation = Activation::none;
};

/// Single precision; 16-bit weights are widened and sparse ones filled up when read. Shapes are batch, rows, columns,
/// channels.
struct ModelTensor {
    std::vector<int> shape;
    std::vector<float> values; ///< of weights; empty for what is computed
    std::vector<int> integers; ///< of shapes and paddings
    [[nodiscard]] std::size_t size() const;
};

struct ModelFile {
    std::vector<ModelTensor> tensors;
    std::vector<Layer> layers; ///< in the order of computation
    int input = 0;
    std::vector<int> outputs;
};

/// Reads a model; only the layers that the outputs of \p wanted (places in the file's list) need are kept. An output
/// that only joins others end to end is replaced by those, in their order. Errors: cut
/// or damaged files, operations that are not known, tensors above 256 MB together, shapes that do not fit one another.
Result<ModelFile> readModel(std::span<const std::uint8_t> bytes, const std::vector<int>& wanted);
Result<ModelFile> readModelFile(const std::filesystem::path& path, const std::vector<int>& wanted);

} // namespace riflesso
