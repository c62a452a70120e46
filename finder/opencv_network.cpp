#include "finder/network.h"

#include "core/words/say.h"

#include <opencv2/dnn.hpp>

#include <algorithm>
#include <map>

namespace riflesso {
namespace {

using cv::dnn::LayerParams;

// Rows, columns, channels (the model's order) to channels, rows, columns and back.
cv::Mat channelsFirst(std::span<const float> values, int rows, int columns, int channels) {
    const int size[] = {1, channels, rows, columns};
    cv::Mat out(4, size, CV_32F);
    for (int y = 0; y < rows; ++y)
        for (int x = 0; x < columns; ++x)
            for (int c = 0; c < channels; ++c)
                out.ptr<float>(0, c, y)[x] = values[static_cast<std::size_t>((y * columns + x) * channels + c)];
    return out;
}

class OpenCvNetwork : public Network {
public:
    explicit OpenCvNetwork(const ModelFile& model) : m_model(model) {
        m_net.setInputsNames({"input"});
        m_ids[model.input] = 0;
        for (std::size_t i = 0; i < model.layers.size(); ++i)
            add(model.layers[i], "layer" + std::to_string(i));
        for (int o : model.outputs)
            m_wanted.push_back(m_names.at(o));
        m_net.setPreferableBackend(cv::dnn::DNN_BACKEND_OPENCV);
    }

    Result<std::vector<std::span<const float>>> run(std::span<const float> input) override {
        const auto& shape = tensor(m_model.input).shape;
        if (input.size() != tensor(m_model.input).size())
            return Error{"the body finder was given an input of another size", {}, {}, {}};
        try {
            m_net.setInput(channelsFirst(input, shape[1], shape[2], shape[3]), "input");
            std::vector<cv::Mat> found;
            m_net.forward(found, m_wanted);
            m_outputs.clear();
            for (const auto& m : found) {
                const int channels = m.size[1], rows = m.dims > 2 ? m.size[2] : 1, columns = m.dims > 3 ? m.size[3] : 1;
                std::vector<float> values(m.total());
                const auto* p = m.ptr<float>();
                for (int c = 0; c < channels; ++c)
                    for (int i = 0; i < rows * columns; ++i)
                        values[static_cast<std::size_t>(i * channels + c)] = *p++;
                m_outputs.push_back(std::move(values));
            }
        } catch (const cv::Exception& e) {
            return Error{fill(say("error", "the body finder's engine fails: %1"), {std::string(e.err)}),
                         {},
                         "everything else works",
                         {}};
        }
        return std::vector<std::span<const float>>(m_outputs.begin(), m_outputs.end());
    }

private:
    [[nodiscard]] const ModelTensor& tensor(int i) const { return m_model.tensors[static_cast<std::size_t>(i)]; }

    void put(LayerParams& p, const std::string& name, const char* type, const std::vector<int>& inputs, int output) {
        const int id = m_net.addLayer(name, type, p);
        for (std::size_t i = 0; i < inputs.size(); ++i)
            m_net.connect(m_ids.at(inputs[i]), 0, id, static_cast<int>(i));
        m_ids[output] = id;
        m_names[output] = name;
    }
    void add(const Layer& l, const std::string& name) {
        LayerParams p;
        const auto &in = tensor(l.inputs[0]).shape, &out = tensor(l.output).shape;
        const auto strides = [&](int windowY, int windowX) {
            p.set("kernel_h", windowY);
            p.set("kernel_w", windowX);
            p.set("stride_h", l.strideY);
            p.set("stride_w", l.strideX);
            p.set("pad_mode", cv::String(l.same ? "SAME" : "VALID"));
        };
        switch (l.kind) {
        case LayerKind::convolution:
        case LayerKind::depthwise: {
            const auto &filter = tensor(l.inputs[1]), &bias = tensor(l.inputs[2]);
            const bool deep = l.kind == LayerKind::depthwise;
            const auto& f = filter.shape; // out, rows, columns, in; of depthwise ones 1, rows, columns, out
            strides(f[1], f[2]);
            const int count = deep ? f[3] : f[0], depth = deep ? 1 : f[3];
            p.set("num_output", count);
            p.set("group", deep ? in[3] : 1);
            p.set("bias_term", true);
            const int size[] = {count, depth, f[1], f[2]};
            cv::Mat weights(4, size, CV_32F), biases(1, count, CV_32F);
            for (int o = 0; o < count; ++o) {
                biases.at<float>(0, o) = bias.values[static_cast<std::size_t>(o)];
                for (int d = 0; d < depth; ++d)
                    for (int y = 0; y < f[1]; ++y)
                        for (int x = 0; x < f[2]; ++x)
                            weights.ptr<float>(o, d, y)[x] = filter.values[static_cast<std::size_t>(
                                deep ? (y * f[2] + x) * count + o : ((o * f[1] + y) * f[2] + x) * depth + d)];
            }
            p.blobs = {weights, biases};
            put(p, name, "Convolution", {l.inputs[0]}, l.output);
            break;
        }
        case LayerKind::maxPool:
            strides(l.windowY, l.windowX);
            p.set("pool", cv::String("MAX"));
            put(p, name, "Pooling", {l.inputs[0]}, l.output);
            break;
        case LayerKind::add:
            p.set("operation", cv::String("sum"));
            put(p, name, "Eltwise", l.inputs, l.output);
            break;
        case LayerKind::sigmoid:
            put(p, name, "Sigmoid", {l.inputs[0]}, l.output);
            break;
        case LayerKind::depthToSpace: {
            const auto shaped = [&](const std::string& as, std::vector<int> to, int from) {
                LayerParams r;
                r.set("dim", cv::dnn::DictValue::arrayInt(to.data(), static_cast<int>(to.size())));
                put(r, as, "Reshape", {from}, l.output);
            };
            const int b = l.block;
            shaped(name + "cells", {1, b, b, out[3], in[1], in[2]}, l.inputs[0]);
            std::vector<int> order = {0, 3, 4, 1, 5, 2};
            p.set("order", cv::dnn::DictValue::arrayInt(order.data(), static_cast<int>(order.size())));
            put(p, name, "Permute", {l.output}, l.output);
            shaped(name + "map", {1, out[3], out[1], out[2]}, l.output);
            break;
        }
        case LayerKind::reshape: // of one cell, or of an output, whose order is the same either way: nothing moves
            m_ids[l.output] = m_ids.at(l.inputs[0]);
            m_names[l.output] = m_names.at(l.inputs[0]);
            break;
        case LayerKind::resizeBilinear:
            p.set("interpolation", cv::String("bilinear"));
            p.set("height", out[1]);
            p.set("width", out[2]);
            p.set("half_pixel_centers", l.halfPixels);
            p.set("align_corners", l.alignCorners);
            put(p, name, "Resize", {l.inputs[0]}, l.output);
            break;
        case LayerKind::pad: {
            const auto& w = tensor(l.inputs[1]).integers; // by rows of batch, rows, columns, channels
            std::vector<int> pads = {w[0], w[1], w[6], w[7], w[2], w[3], w[4], w[5]};
            p.set("paddings", cv::dnn::DictValue::arrayInt(pads.data(), static_cast<int>(pads.size())));
            put(p, name, "Padding", {l.inputs[0]}, l.output);
            break;
        }
        }
        if (l.activation != Activation::none) {
            LayerParams a;
            put(a, name + "limited", l.activation == Activation::relu ? "ReLU" : "ReLU6", {l.output}, l.output);
        }
    }

    ModelFile m_model;
    cv::dnn::Net m_net;
    std::map<int, int> m_ids;
    std::map<int, std::string> m_names;
    std::vector<cv::String> m_wanted;
    std::vector<std::vector<float>> m_outputs;
};

} // namespace

Result<std::unique_ptr<Network>> opencvNetwork(const ModelFile& model) {
    for (const auto& l : model.layers)
        if (l.kind == LayerKind::reshape) {
            const auto& s = model.tensors[static_cast<std::size_t>(l.inputs[0])].shape;
            const bool output = std::find(model.outputs.begin(), model.outputs.end(), l.output) != model.outputs.end();
            const bool used = std::any_of(model.layers.begin(), model.layers.end(), [&](const Layer& o) {
                return std::find(o.inputs.begin(), o.inputs.end(), l.output) != o.inputs.end();
            });
            if (s.size() != 4 || ((s[1] != 1 || s[2] != 1) && (!output || used)))
                return Error{"the body finder's slower engine cannot run this model", {}, "everything else works", {}};
        }
    try {
        return std::unique_ptr<Network>(std::make_unique<OpenCvNetwork>(model));
    } catch (const std::exception& e) {
        return Error{
            fill(say("error", "the body finder's slower engine refuses the model: %1"), {std::string(e.what())}),
            {},
            "everything else works",
            {}};
    }
}

} // namespace riflesso
