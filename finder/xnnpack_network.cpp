#include "finder/network.h"

#include "core/words/say.h"

#include <xnnpack.h>

#include <algorithm>
#include <limits>
#include <map>

namespace riflesso {
namespace {

// The engine may read a little beyond the end of what it is given.
constexpr std::size_t kBeyond = XNN_EXTRA_BYTES / sizeof(float);

Error refused(const std::string& what) {
    return {"the body finder's engine refuses " + what, {}, "everything else works", {}};
}

class XnnpackNetwork : public Network {
public:
    explicit XnnpackNetwork(ModelFile model) : m_model(std::move(model)) {}
    ~XnnpackNetwork() override {
        if (m_runtime)
            xnn_delete_runtime(m_runtime);
        if (m_graph)
            xnn_delete_subgraph(m_graph);
    }
    XnnpackNetwork(const XnnpackNetwork&) = delete;
    XnnpackNetwork& operator=(const XnnpackNetwork&) = delete;

    Result<bool> build() {
        static const bool there = xnn_initialize(nullptr) == xnn_status_success;
        if (!there)
            return refused("this processor");
        const auto externals = static_cast<std::uint32_t>(1 + m_model.outputs.size());
        if (xnn_create_subgraph(externals, 0, &m_graph) != xnn_status_success)
            return refused("to begin");
        m_input.resize(tensor(m_model.input).size() + kBeyond);
        if (!define(m_model.input, 0, XNN_VALUE_FLAG_EXTERNAL_INPUT))
            return refused("the input");
        m_values.push_back({0, m_input.data()});
        m_outputs.resize(m_model.outputs.size());
        for (std::size_t i = 0; i < m_outputs.size(); ++i) {
            const int t = m_model.outputs[i];
            m_outputs[i].resize(tensor(t).size() + kBeyond);
            const auto id = static_cast<std::uint32_t>(i + 1);
            if (!define(t, id, XNN_VALUE_FLAG_EXTERNAL_OUTPUT))
                return refused("an output");
            m_values.push_back({id, m_outputs[i].data()});
        }
        for (const auto& l : m_model.layers)
            if (!add(l))
                return refused(fill(say("error", "layer %1"), {std::to_string(&l - m_model.layers.data())}));
        if (xnn_create_runtime_v2(m_graph, nullptr, 0, &m_runtime) != xnn_status_success ||
            xnn_setup_runtime(m_runtime, m_values.size(), m_values.data()) != xnn_status_success)
            return refused("to be set up");
        return true;
    }

    Result<std::vector<std::span<const float>>> run(std::span<const float> input) override {
        if (input.size() != m_input.size() - kBeyond)
            return refused("an input of another size");
        std::copy(input.begin(), input.end(), m_input.begin());
        if (xnn_invoke_runtime(m_runtime) != xnn_status_success)
            return refused("to run");
        std::vector<std::span<const float>> out;
        for (const auto& o : m_outputs)
            out.emplace_back(o.data(), o.size() - kBeyond);
        return out;
    }

private:
    [[nodiscard]] ModelTensor& tensor(int i) { return m_model.tensors[static_cast<std::size_t>(i)]; }
    bool define(int t, std::uint32_t external, std::uint32_t flags) {
        if (m_ids.contains(t))
            return true;
        ModelTensor& m = tensor(t);
        const std::vector<std::size_t> dims(m.shape.begin(), m.shape.end());
        const void* data = nullptr;
        if (!m.values.empty()) {
            m.values.resize(m.size() + kBeyond);
            data = m.values.data();
        }
        std::uint32_t id = XNN_INVALID_VALUE_ID;
        if (xnn_define_tensor_value(m_graph, xnn_datatype_fp32, dims.size(), dims.data(), data, external, flags, &id) !=
            xnn_status_success)
            return false;
        m_ids[t] = id;
        return true;
    }
    bool add(const Layer& l) {
        const bool two = l.kind == LayerKind::add;
        const bool weights = l.kind == LayerKind::convolution || l.kind == LayerKind::depthwise;
        for (std::size_t i = 0; i < (weights ? 3u : two ? 2u : 1u); ++i)
            if (!define(l.inputs[i], XNN_INVALID_VALUE_ID, 0))
                return false;
        if (!define(l.output, XNN_INVALID_VALUE_ID, 0))
            return false;
        const float inf = std::numeric_limits<float>::infinity();
        const float least = l.activation == Activation::none ? -inf : 0.0f,
                    most = l.activation == Activation::relu6 ? 6.0f : inf;
        const std::uint32_t in = m_ids[l.inputs[0]], out = m_ids[l.output];
        const std::uint32_t same = l.same ? XNN_FLAG_TENSORFLOW_SAME_PADDING : 0;
        const auto u = [](int n) { return static_cast<std::uint32_t>(n); };
        const auto& shape = tensor(l.output).shape;
        xnn_status s = xnn_status_invalid_parameter;
        switch (l.kind) {
        case LayerKind::convolution: {
            const auto& f = tensor(l.inputs[1]).shape;
            s = xnn_define_convolution_2d(m_graph, 0, 0, 0, 0, u(f[1]), u(f[2]), u(l.strideY), u(l.strideX), 1, 1, 1,
                                          u(f[3]), u(f[0]), least, most, in, m_ids[l.inputs[1]], m_ids[l.inputs[2]],
                                          out, same);
            break;
        }
        case LayerKind::depthwise: {
            const auto& f = tensor(l.inputs[1]).shape;
            s = xnn_define_depthwise_convolution_2d(m_graph, 0, 0, 0, 0, u(f[1]), u(f[2]), u(l.strideY), u(l.strideX),
                                                    1, 1, u(l.multiplier), u(f[3] / l.multiplier), least, most, in,
                                                    m_ids[l.inputs[1]], m_ids[l.inputs[2]], out, same);
            break;
        }
        case LayerKind::maxPool:
            s = xnn_define_max_pooling_2d(m_graph, 0, 0, 0, 0, u(l.windowY), u(l.windowX), u(l.strideY), u(l.strideX),
                                          1, 1, least, most, in, out, same);
            break;
        case LayerKind::add:
            s = xnn_define_add2(m_graph, least, most, in, m_ids[l.inputs[1]], out, 0);
            break;
        case LayerKind::sigmoid:
            s = xnn_define_sigmoid(m_graph, in, out, 0);
            break;
        case LayerKind::depthToSpace:
            s = xnn_define_depth_to_space(m_graph, in, out, u(l.block), 0);
            break;
        case LayerKind::reshape: {
            const std::vector<std::size_t> dims(shape.begin(), shape.end());
            s = xnn_define_static_reshape(m_graph, dims.size(), dims.data(), in, out, 0);
            break;
        }
        case LayerKind::resizeBilinear:
            s = xnn_define_static_resize_bilinear_2d(m_graph, u(shape[1]), u(shape[2]), in, out,
                                                     l.alignCorners ? XNN_FLAG_ALIGN_CORNERS
                                                     : l.halfPixels ? 0
                                                                    : XNN_FLAG_TENSORFLOW_LEGACY_MODE);
            break;
        case LayerKind::pad: {
            std::size_t before[4], after[4];
            const auto& pads = tensor(l.inputs[1]).integers;
            for (std::size_t d = 0; d < 4; ++d) {
                before[d] = static_cast<std::size_t>(pads[2 * d]);
                after[d] = static_cast<std::size_t>(pads[2 * d + 1]);
            }
            s = xnn_define_static_constant_pad(m_graph, before, after, 0.0f, in, out, 0);
            break;
        }
        }
        return s == xnn_status_success;
    }

    ModelFile m_model;
    xnn_subgraph_t m_graph = nullptr;
    xnn_runtime_t m_runtime = nullptr;
    std::map<int, std::uint32_t> m_ids;
    std::vector<float> m_input;
    std::vector<std::vector<float>> m_outputs;
    std::vector<xnn_external_value> m_values;
};

} // namespace

Result<std::unique_ptr<Network>> xnnpackNetwork(ModelFile model) {
    auto network = std::make_unique<XnnpackNetwork>(std::move(model));
    if (const auto built = network->build(); !built)
        return built.error();
    return std::unique_ptr<Network>(std::move(network));
}

} // namespace riflesso
