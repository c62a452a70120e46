#include "finder/model_file.h"

#include "core/words/say.h"

#include <algorithm>
#include <array>
#include <bit>
#include <cstring>
#include <fstream>
#include <map>
#include <optional>
#include <set>
#include <string>

namespace riflesso {
namespace {

constexpr std::size_t kMostValues = std::size_t{64} << 20; // of all tensors together
constexpr int kMostTensors = 20000;
constexpr int kMostDimensions = 6;

struct Damaged {
    std::string what;
};

// FlatBuffers: tables point to their list of field places (vtable), vectors to their length. Every read is checked.
class Bytes {
public:
    explicit Bytes(std::span<const std::uint8_t> all) : m_all(all) {}
    template <typename T> [[nodiscard]] T at(std::size_t place) const {
        if (place > m_all.size() || m_all.size() - place < sizeof(T))
            throw Damaged{"it ends before it should"};
        T value;
        std::memcpy(&value, m_all.data() + place, sizeof(T));
        return value;
    }
    [[nodiscard]] std::size_t follow(std::size_t place) const {
        const std::size_t to = place + at<std::uint32_t>(place);
        if (to >= m_all.size())
            throw Damaged{"something points outside of it"};
        return to;
    }
    [[nodiscard]] std::span<const std::uint8_t> part(std::size_t place, std::size_t length) const {
        if (place > m_all.size() || m_all.size() - place < length)
            throw Damaged{"it ends before it should"};
        return m_all.subspan(place, length);
    }

private:
    std::span<const std::uint8_t> m_all;
};

struct Vector {
    std::size_t first = 0;
    std::uint32_t length = 0;
};

class Table {
public:
    Table(const Bytes& bytes, std::size_t place) : m_bytes(&bytes), m_place(place) {
        const auto back = bytes.at<std::int32_t>(place);
        const auto fields = static_cast<std::int64_t>(place) - back;
        if (fields < 0)
            throw Damaged{"something points outside of it"};
        m_fields = static_cast<std::size_t>(fields);
        m_length = bytes.at<std::uint16_t>(m_fields);
    }
    [[nodiscard]] std::optional<std::size_t> place(int field) const {
        const std::size_t entry = 4 + 2 * static_cast<std::size_t>(field);
        if (entry + 2 > m_length)
            return {};
        const auto offset = m_bytes->at<std::uint16_t>(m_fields + entry);
        return offset == 0 ? std::nullopt : std::optional(m_place + offset);
    }
    template <typename T> [[nodiscard]] T value(int field, T otherwise) const {
        const auto p = place(field);
        return p ? m_bytes->at<T>(*p) : otherwise;
    }
    [[nodiscard]] std::optional<Vector> vector(int field, std::size_t elementSize) const {
        const auto p = place(field);
        if (!p)
            return {};
        const std::size_t v = m_bytes->follow(*p);
        const Vector out{v + 4, m_bytes->at<std::uint32_t>(v)};
        (void)m_bytes->part(out.first, std::size_t{out.length} * elementSize);
        return out;
    }
    [[nodiscard]] std::optional<Table> table(int field) const {
        const auto p = place(field);
        return p ? std::optional(Table(*m_bytes, m_bytes->follow(*p))) : std::nullopt;
    }
    [[nodiscard]] std::vector<int> integers(int field) const {
        std::vector<int> out;
        if (const auto v = vector(field, 4))
            for (std::uint32_t i = 0; i < v->length; ++i)
                out.push_back(m_bytes->at<std::int32_t>(v->first + 4 * std::size_t{i}));
        return out;
    }
    [[nodiscard]] std::vector<Table> tables(int field, int most) const {
        std::vector<Table> out;
        if (const auto v = vector(field, 4)) {
            if (v->length > static_cast<std::uint32_t>(most))
                throw Damaged{"it names more parts than any model has"};
            for (std::uint32_t i = 0; i < v->length; ++i)
                out.emplace_back(*m_bytes, m_bytes->follow(v->first + 4 * std::size_t{i}));
        }
        return out;
    }

private:
    const Bytes* m_bytes;
    std::size_t m_place, m_fields = 0;
    std::uint16_t m_length = 0;
};

float widened(std::uint16_t half) {
    const std::uint32_t sign = (half & 0x8000u) << 16, exponent = (half >> 10) & 0x1f, fraction = half & 0x3ffu;
    if (exponent == 0x1f)
        return std::bit_cast<float>(sign | 0x7f800000u | (fraction << 13));
    if (exponent == 0) // subnormal: fraction · 2⁻²⁴, exact in single precision
        return std::bit_cast<float>(sign | std::bit_cast<std::uint32_t>(static_cast<float>(fraction) * 0x1p-24f));
    return std::bit_cast<float>(sign | ((exponent + 112) << 23) | (fraction << 13));
}

// Numbers of the schema (schema.fbs of TensorFlow Lite, version 3).
enum Type { kFloat32 = 0, kFloat16 = 1, kInt32 = 2 };
enum Code {
    kAdd = 0,
    kConcatenation = 2,
    kConv = 3,
    kDepthwise = 4,
    kDepthToSpace = 5,
    kDequantize = 6,
    kLogistic = 14,
    kMaxPool = 17,
    kReshape = 22,
    kResizeBilinear = 23,
    kPad = 34,
    kDensify = 124
};

Activation activationOf(int code) {
    switch (code) {
    case 0:
        return Activation::none;
    case 1:
        return Activation::relu;
    case 3:
        return Activation::relu6;
    default:
        throw Damaged{"it uses an activation that is not known here"};
    }
}

class Reader {
public:
    Reader(std::span<const std::uint8_t> all, const std::vector<int>& wanted) : m_bytes(all), m_wanted(wanted) {}

    ModelFile read() {
        const Table root(m_bytes, m_bytes.follow(0));
        if (root.value<std::uint32_t>(0, 0) != 3)
            throw Damaged{"it is no model of a known version"};
        std::vector<int> codes;
        for (const Table& c : root.tables(1, 1000)) // the old field is one byte, the new one a number
            codes.push_back(std::max(static_cast<int>(c.value<std::int8_t>(0, 0)), c.value<std::int32_t>(3, 0)));
        const auto graphs = root.tables(2, 100);
        if (graphs.empty())
            throw Damaged{"it holds no network"};
        const Table& graph = graphs.front();
        m_buffers = root.tables(4, kMostTensors);
        for (const Table& t : graph.tables(0, kMostTensors))
            readTensor(t);
        const auto inputs = graph.integers(1), outputs = graph.integers(2);
        if (inputs.size() != 1)
            throw Damaged{"a network with one input was expected"};
        m_model.input = checked(inputs[0]);
        for (int w : m_wanted) {
            if (w < 0 || w >= static_cast<int>(outputs.size()))
                throw Damaged{"it lacks an output"};
            m_model.outputs.push_back(checked(outputs[static_cast<std::size_t>(w)]));
        }
        for (const Table& op : graph.tables(3, kMostTensors)) {
            const auto code = op.value<std::uint32_t>(0, 0);
            if (code >= codes.size())
                throw Damaged{"an operation is not listed"};
            readLayer(op, codes[code]);
        }
        openJoins();
        keepWhatIsNeeded();
        return std::move(m_model);
    }

private:
    [[nodiscard]] int checked(int tensor) const {
        if (tensor < 0 || tensor >= static_cast<int>(m_model.tensors.size()))
            throw Damaged{"a tensor is named that is not there"};
        return tensor;
    }
    void readTensor(const Table& t) {
        ModelTensor out;
        out.shape = t.integers(0);
        if (out.shape.size() > kMostDimensions)
            throw Damaged{"a tensor has too many dimensions"};
        std::size_t size = 1;
        for (int d : out.shape) {
            if (d <= 0 || static_cast<std::size_t>(d) > kMostValues / size)
                throw Damaged{"a tensor is empty or far too large"};
            size *= static_cast<std::size_t>(d);
        }
        m_all += size;
        if (m_all > 4 * kMostValues)
            throw Damaged{"its tensors are far too large together"};
        const auto type = t.value<std::uint8_t>(1, 0);
        const auto buffer = t.value<std::uint32_t>(2, 0);
        if (buffer >= m_buffers.size())
            throw Damaged{"a buffer is named that is not there"};
        const auto data = m_buffers[buffer].vector(0, 1);
        if (data && data->length > 0) {
            const std::size_t each = type == kFloat16 ? 2 : 4;
            if (type != kFloat16 && type != kFloat32 && type != kInt32)
                throw Damaged{"weights of a kind that is not known here"};
            if (const auto sparse = t.table(6)) {
                readSparse(*sparse, *data, type, out);
                m_model.tensors.push_back(std::move(out));
                return;
            }
            if (data->length != size * each)
                throw Damaged{"weights do not fill their tensor"};
            for (std::size_t i = 0; i < size; ++i) {
                const std::size_t at = data->first + i * each;
                if (type == kFloat16)
                    out.values.push_back(widened(m_bytes.at<std::uint16_t>(at)));
                else if (type == kFloat32)
                    out.values.push_back(m_bytes.at<float>(at));
                else
                    out.integers.push_back(m_bytes.at<std::int32_t>(at));
            }
        }
        m_model.tensors.push_back(std::move(out));
    }
    // Rows of which only some values are written down. Known here: all dimensions in order, the last one sparse.
    void readSparse(const Table& sparse, Vector data, std::uint8_t type, ModelTensor& out) {
        const auto must = [](bool fits) {
            if (!fits)
                throw Damaged{"sparse weights of a form that is not known here"};
        };
        const auto order = sparse.integers(0);
        const auto dimensions = sparse.tables(2, kMostDimensions);
        must(type == kFloat16 || type == kFloat32);
        must(!out.shape.empty() && order.size() == out.shape.size() && dimensions.size() == out.shape.size() &&
             sparse.integers(1).empty());
        std::size_t rows = 1;
        for (std::size_t d = 0; d < order.size(); ++d) {
            must(order[d] == static_cast<int>(d));
            const bool last = d + 1 == order.size();
            must(dimensions[d].value<std::uint8_t>(0, 0) == (last ? 1 : 0));
            if (!last) {
                must(dimensions[d].value<std::int32_t>(1, 0) == out.shape[d]);
                rows *= static_cast<std::size_t>(out.shape[d]);
            }
        }
        const Table& last = dimensions.back();
        const auto ends = numbers(last, 2), columns = numbers(last, 4);
        const std::size_t each = type == kFloat16 ? 2 : 4;
        must(ends.size() == rows + 1 && ends.front() == 0 && columns.size() == static_cast<std::size_t>(ends.back()) &&
             data.length == columns.size() * each);
        const auto width = static_cast<std::size_t>(out.shape.back());
        out.values.assign(rows * width, 0.0f);
        for (std::size_t r = 0; r < rows; ++r) {
            must(ends[r] <= ends[r + 1] && ends[r + 1] <= ends.back());
            for (auto i = static_cast<std::size_t>(ends[r]); i < static_cast<std::size_t>(ends[r + 1]); ++i) {
                must(columns[i] >= 0 && static_cast<std::size_t>(columns[i]) < width);
                const std::size_t at = data.first + i * each;
                out.values[r * width + static_cast<std::size_t>(columns[i])] =
                    type == kFloat16 ? widened(m_bytes.at<std::uint16_t>(at)) : m_bytes.at<float>(at);
            }
        }
    }
    // A list of whole numbers of 4, 2 or 1 bytes: the field says which, the next one holds it.
    std::vector<int> numbers(const Table& t, int field) const {
        const auto kind = t.value<std::uint8_t>(field, 0);
        const auto list = t.table(field + 1);
        if (!list || kind < 1 || kind > 3)
            throw Damaged{"sparse weights without their places"};
        const std::size_t each = kind == 1 ? 4 : kind == 2 ? 2 : 1;
        std::vector<int> out;
        if (const auto v = list->vector(0, each))
            for (std::uint32_t i = 0; i < v->length; ++i) {
                const std::size_t at = v->first + i * each;
                out.push_back(each == 4   ? m_bytes.at<std::int32_t>(at)
                              : each == 2 ? m_bytes.at<std::uint16_t>(at)
                                          : m_bytes.at<std::uint8_t>(at));
            }
        return out;
    }
    void readLayer(const Table& op, int code) {
        Layer l;
        for (int i : op.integers(1))
            l.inputs.push_back(checked(i));
        const auto outs = op.integers(2);
        if (outs.size() != 1 || l.inputs.empty())
            throw Damaged{"an operation without input or output"};
        l.output = checked(outs[0]);
        const auto options = op.table(4);
        const auto byte = [&](int field) { return options ? options->value<std::uint8_t>(field, 0) : std::uint8_t{0}; };
        const auto number = [&](int field, int otherwise) {
            const int n = options ? options->value<std::int32_t>(field, otherwise) : otherwise;
            if (n < 1 || n > 64)
                throw Damaged{"a stride or window of no use"};
            return n;
        };
        std::size_t inputs = 1;
        switch (code) {
        case kConcatenation: // only as an output: its parts stand for it
            if (byte(1) != 0 || !options || options->value<std::int32_t>(0, 0) != 1 ||
                tensor(l.output).shape.size() < 2 || tensor(l.output).shape[0] != 1)
                throw Damaged{"a join that is not known here"};
            m_joins[l.output] = l.inputs;
            return;
        case kDensify:    // sparse weights only: filled up already
        case kDequantize: // weights only: widened already
            if (tensor(l.inputs[0]).values.empty() || tensor(l.inputs[0]).shape != tensor(l.output).shape)
                throw Damaged{"something else than weights is widened"};
            m_model.tensors[static_cast<std::size_t>(l.output)].values =
                std::move(m_model.tensors[static_cast<std::size_t>(l.inputs[0])].values);
            return;
        case kConv:
            l.kind = LayerKind::convolution;
            l.activation = activationOf(byte(3));
            if (number(4, 1) != 1 || number(5, 1) != 1)
                throw Damaged{"a spread-out convolution is not known here"};
            inputs = 3;
            break;
        case kDepthwise:
            l.kind = LayerKind::depthwise;
            l.multiplier = number(3, 1);
            l.activation = activationOf(byte(4));
            if (number(5, 1) != 1 || number(6, 1) != 1)
                throw Damaged{"a spread-out convolution is not known here"};
            inputs = 3;
            break;
        case kAdd:
            l.kind = LayerKind::add;
            l.activation = activationOf(byte(0));
            inputs = 2;
            break;
        case kMaxPool:
            l.kind = LayerKind::maxPool;
            l.windowX = number(3, 1);
            l.windowY = number(4, 1);
            l.activation = activationOf(byte(5));
            break;
        case kResizeBilinear:
            l.kind = LayerKind::resizeBilinear;
            l.alignCorners = byte(2) != 0;
            l.halfPixels = byte(3) != 0;
            inputs = 2;
            break;
        case kPad:
            l.kind = LayerKind::pad;
            inputs = 2;
            break;
        case kDepthToSpace:
            l.kind = LayerKind::depthToSpace;
            l.block = number(0, 1);
            break;
        case kReshape:
            l.kind = LayerKind::reshape;
            inputs = l.inputs.size(); // the shape may be given twice: the output's own is what counts
            break;
        case kLogistic:
            l.kind = LayerKind::sigmoid;
            break;
        default:
            throw Damaged{"operation " + std::to_string(code) + " is not known here"};
        }
        if (l.inputs.size() != inputs)
            throw Damaged{"an operation with a wrong number of inputs"};
        if (code == kConv || code == kDepthwise || code == kMaxPool) {
            l.same = byte(0) == 0;
            l.strideX = number(1, 1);
            l.strideY = number(2, 1);
        }
        m_model.layers.push_back(std::move(l));
    }
    [[nodiscard]] const ModelTensor& tensor(int i) const { return m_model.tensors[static_cast<std::size_t>(i)]; }

    // An output that joins others is replaced by them.
    void openJoins() {
        std::vector<int> outputs;
        for (int o : m_model.outputs)
            if (const auto j = m_joins.find(o); j != m_joins.end())
                outputs.insert(outputs.end(), j->second.begin(), j->second.end());
            else
                outputs.push_back(o);
        m_model.outputs = std::move(outputs);
    }
    // Backwards from the outputs; then what is kept must fit: an engine is never handed shapes that contradict each
    // other.
    void keepWhatIsNeeded() {
        std::set<int> needed(m_model.outputs.begin(), m_model.outputs.end());
        std::vector<Layer> kept;
        for (auto l = m_model.layers.rbegin(); l != m_model.layers.rend(); ++l)
            if (needed.contains(l->output)) {
                needed.insert(l->inputs.begin(), l->inputs.end());
                kept.push_back(*l);
            }
        std::reverse(kept.begin(), kept.end());
        std::set<int> known{m_model.input};
        for (std::size_t i = 0; i < m_model.tensors.size(); ++i)
            if (!m_model.tensors[i].values.empty() || !m_model.tensors[i].integers.empty())
                known.insert(static_cast<int>(i));
        if (!tensor(m_model.input).values.empty())
            throw Damaged{"its input is a weight"};
        for (const auto& l : kept) {
            for (int i : l.inputs)
                if (!known.contains(i))
                    throw Damaged{"something is used before it is computed"};
            if (!known.insert(l.output).second)
                throw Damaged{"something is computed twice"};
            check(l);
        }
        for (int o : m_model.outputs)
            if (!known.contains(o) || !tensor(o).values.empty())
                throw Damaged{"an output is never computed"};
        m_model.layers = std::move(kept);
    }
    void check(const Layer& l) const {
        const auto& in = tensor(l.inputs[0]);
        const auto& out = tensor(l.output);
        const auto must = [](bool fits) {
            if (!fits)
                throw Damaged{"the shapes of an operation do not fit"};
        };
        const auto map = [&](const ModelTensor& t) { must(t.shape.size() == 4); };
        const auto extent = [&](int size, int window, int stride) {
            return l.same ? (size + stride - 1) / stride : (size - window) / stride + 1;
        };
        must(in.values.empty() && in.integers.empty());
        switch (l.kind) {
        case LayerKind::convolution:
        case LayerKind::depthwise: {
            const auto &filter = tensor(l.inputs[1]), &bias = tensor(l.inputs[2]);
            map(in), map(out), map(filter);
            const bool deep = l.kind == LayerKind::depthwise;
            const int channels = deep ? filter.shape[3] : filter.shape[0];
            must(!filter.values.empty() && !bias.values.empty() && bias.size() == static_cast<std::size_t>(channels));
            must(out.shape[3] == channels && in.shape[0] == out.shape[0]);
            must(deep ? filter.shape[0] == 1 && in.shape[3] * l.multiplier == channels
                      : in.shape[3] == filter.shape[3]);
            must(l.same || (in.shape[1] >= filter.shape[1] && in.shape[2] >= filter.shape[2]));
            must(out.shape[1] == extent(in.shape[1], filter.shape[1], l.strideY) &&
                 out.shape[2] == extent(in.shape[2], filter.shape[2], l.strideX));
            break;
        }
        case LayerKind::maxPool:
            map(in), map(out);
            must(in.shape[0] == out.shape[0] && in.shape[3] == out.shape[3]);
            must(l.same || (in.shape[1] >= l.windowY && in.shape[2] >= l.windowX));
            must(out.shape[1] == extent(in.shape[1], l.windowY, l.strideY) &&
                 out.shape[2] == extent(in.shape[2], l.windowX, l.strideX));
            break;
        case LayerKind::add:
            must(in.shape == out.shape && tensor(l.inputs[1]).shape == out.shape && tensor(l.inputs[1]).values.empty());
            break;
        case LayerKind::sigmoid:
            must(in.shape == out.shape);
            break;
        case LayerKind::reshape:
            must(in.size() == out.size());
            break;
        case LayerKind::depthToSpace:
            map(in), map(out);
            must(in.shape[0] == out.shape[0] && in.shape[1] * l.block == out.shape[1] &&
                 in.shape[2] * l.block == out.shape[2] && in.shape[3] == out.shape[3] * l.block * l.block);
            break;
        case LayerKind::resizeBilinear:
            map(in), map(out);
            must(in.shape[0] == out.shape[0] && in.shape[3] == out.shape[3] && in.shape[1] > 0 &&
                 tensor(l.inputs[1]).values.empty());
            break;
        case LayerKind::pad: {
            const auto& pads = tensor(l.inputs[1]).integers;
            map(in), map(out);
            must(pads.size() == 8);
            for (std::size_t d = 0; d < 4; ++d)
                must(pads[2 * d] >= 0 && pads[2 * d + 1] >= 0 && pads[2 * d] < 4096 && pads[2 * d + 1] < 4096 &&
                     in.shape[d] + pads[2 * d] + pads[2 * d + 1] == out.shape[d]);
            break;
        }
        }
    }

    Bytes m_bytes;
    const std::vector<int>& m_wanted;
    std::vector<Table> m_buffers;
    std::map<int, std::vector<int>> m_joins; // by output
    ModelFile m_model;
    std::size_t m_all = 0;
};

} // namespace

std::size_t ModelTensor::size() const {
    std::size_t n = 1;
    for (int d : shape)
        n *= static_cast<std::size_t>(d);
    return n;
}

Result<ModelFile> readModel(std::span<const std::uint8_t> bytes, const std::vector<int>& wanted) {
    try {
        return Reader(bytes, wanted).read();
    } catch (const Damaged& d) {
        return Error{fill(say("error", "the body model cannot be used: %1"), {d.what}),
                     {},
                     "nothing was changed",
                     "install the program again"};
    }
}

Result<ModelFile> readModelFile(const std::filesystem::path& path, const std::vector<int>& wanted) {
    std::ifstream in(path, std::ios::binary | std::ios::ate);
    const auto size = in ? static_cast<std::streamoff>(in.tellg()) : std::streamoff{-1};
    if (size < 0 || size > (std::streamoff{256} << 20))
        return Error{"the body model is missing", path.filename().string(), "everything else works",
                     "install the program again"};
    std::vector<std::uint8_t> bytes(static_cast<std::size_t>(size));
    in.seekg(0);
    if (!in.read(reinterpret_cast<char*>(bytes.data()), size))
        return Error{"the body model cannot be read", path.filename().string(), "everything else works", {}};
    auto model = readModel(bytes, wanted);
    if (model)
        return model;
    Error e = model.error();
    e.where = path.filename().string();
    return e;
}

} // namespace riflesso
