// C3D: points in binary blocks of 512 bytes, with parameters that name them.

#include "library/motion_capture_parts.h"

#include "core/words/say.h"

#include <bit>
#include <cmath>
#include <cstdint>
#include <cstring>
#include <map>

namespace riflesso {
namespace {

// Little or big endian bytes, every read checked.
class Bytes {
public:
    explicit Bytes(const std::string& bytes) : m_bytes(bytes) {}
    bool big = false;
    bool failed = false;
    std::uint8_t byte(std::size_t at) {
        if (at >= m_bytes.size()) {
            failed = true;
            return 0;
        }
        return static_cast<std::uint8_t>(m_bytes[at]);
    }
    std::uint16_t word(std::size_t at) {
        const unsigned a = byte(at), b = byte(at + 1);
        return static_cast<std::uint16_t>(big ? a << 8 | b : b << 8 | a);
    }
    std::int16_t signedWord(std::size_t at) { return static_cast<std::int16_t>(word(at)); }
    float real(std::size_t at) {
        const std::uint32_t a = word(at), b = word(at + 2);
        return std::bit_cast<float>(big ? a << 16 | b : b << 16 | a);
    }
    std::string text(std::size_t at, std::size_t length) {
        std::string out;
        for (std::size_t i = 0; i < length && !failed; ++i)
            out += static_cast<char>(byte(at + i));
        while (!out.empty() && (out.back() == ' ' || out.back() == '\0'))
            out.pop_back();
        return out;
    }
    [[nodiscard]] std::size_t size() const { return m_bytes.size(); }

private:
    const std::string& m_bytes;
};

void putWord(std::string& out, unsigned v) {
    out += static_cast<char>(v & 255u);
    out += static_cast<char>(v >> 8 & 255u);
}
void putReal(std::string& out, float v) {
    const auto bits = std::bit_cast<std::uint32_t>(v);
    putWord(out, bits & 0xffffu);
    putWord(out, bits >> 16);
}

constexpr std::size_t kBlock = 512;

struct C3dParameter {
    int group;
    std::string name;
    std::vector<std::string> texts;
    float number = 0;
};

// POINT:LABELS, POINT:UNITS, POINT:SCALE out of the parameters: a chain of records, each with the way to the next.
Result<std::vector<C3dParameter>> pointParameters(Bytes& b, std::size_t at, const std::string& fileName) {
    std::map<int, std::string> groups;
    std::vector<C3dParameter> found;
    for (int guard = 0; guard < 5000 && at + 2 < b.size(); ++guard) {
        const auto length = static_cast<std::size_t>(std::abs(static_cast<std::int8_t>(b.byte(at))));
        const int group = static_cast<std::int8_t>(b.byte(at + 1));
        if (length == 0 || group == 0)
            break;
        const std::string name = b.text(at + 2, length);
        const std::size_t way = at + 2 + length;
        const int next = b.signedWord(way);
        if (group < 0) {
            groups[-group] = name;
        } else {
            C3dParameter p{group, name, {}, 0};
            const int kind = static_cast<std::int8_t>(b.byte(way + 2));
            const int dimensions = b.byte(way + 3);
            std::size_t count = 1, width = 1;
            if (dimensions > 7)
                return brokenCapture(fileName, say("error", "parameters"), "one has more than seven dimensions");
            for (int i = 0; i < dimensions; ++i) {
                const std::size_t n = b.byte(way + 4 + static_cast<std::size_t>(i));
                if (i == 0 && kind == -1)
                    width = n;
                else
                    count *= n;
            }
            const std::size_t values = way + 4 + static_cast<std::size_t>(dimensions);
            if (kind == -1)
                for (std::size_t i = 0; i < count && i < 1000; ++i)
                    p.texts.push_back(b.text(values + i * width, width));
            else if (kind == 4)
                p.number = b.real(values);
            found.push_back(std::move(p));
        }
        if (next <= 0 || b.failed)
            break;
        at = way + static_cast<std::size_t>(next);
    }
    if (b.failed)
        return brokenCapture(fileName, say("error", "parameters"), "they run beyond the end of the file");
    std::erase_if(found, [&](const C3dParameter& p) { return groups[p.group] != "POINT"; });
    return found;
}

} // namespace

Result<MotionCapture> captureFromC3d(const std::string& data, const std::string& fileName) {
    Bytes b(data);
    if (b.byte(1) != 0x50 || b.byte(0) == 0)
        return brokenCapture(fileName, {}, "this is no C3D file");
    const std::size_t parameters = (b.byte(0) - 1u) * kBlock;
    const int processor = b.byte(parameters + 3);
    if (processor == 85)
        return brokenCapture(fileName, {}, "its numbers are in DEC order, which this program does not read");
    b.big = processor == 86;
    const int points = b.word(2), analogPerFrame = b.word(4);
    const int first = b.word(6), last = b.word(8);
    const float scale = b.real(12);
    if (b.word(16) < 2u)
        return brokenCapture(fileName, say("error", "head"), "it says that its points begin in its head");
    const std::size_t start = (static_cast<std::size_t>(b.word(16)) - 1u) * kBlock;
    MotionCapture capture;
    capture.rate = b.real(20);
    capture.frames = last - first + 1;
    if (b.failed || points < 1 || capture.frames < 1 || !(capture.rate > 0.0) || capture.rate > 1e6 ||
        !std::isfinite(scale))
        return brokenCapture(fileName, say("error", "head"),
                             "the numbers of points, frames or the rate cannot be true");
    std::vector<std::string> labels;
    float pointScale = scale;
    const auto found = pointParameters(b, parameters + 4, fileName);
    if (!found)
        return found.error();
    for (const auto& p : *found) {
        if (p.name.starts_with("LABELS"))
            labels.insert(labels.end(), p.texts.begin(), p.texts.end());
        else if (p.name == "UNITS" && !p.texts.empty())
            capture.unit = p.texts.front();
        else if (p.name == "SCALE")
            pointScale = p.number;
    }
    if (labels.empty())
        return brokenCapture(fileName, say("error", "parameters"), "its points have no names");
    const bool reals = pointScale < 0.0f;
    const std::size_t size = reals ? 4 : 2;
    const std::size_t perFrame =
        static_cast<std::size_t>(points) * 4 * size + static_cast<std::size_t>(analogPerFrame) * size;
    if (static_cast<double>(points) * capture.frames > kMostPlaces)
        return brokenCapture(fileName, {}, "it is too long");
    if (start + perFrame * static_cast<std::size_t>(capture.frames) > b.size())
        return brokenCapture(fileName, {}, "it ends before its last frame");
    std::vector<std::vector<Eigen::Vector3d>> places(static_cast<std::size_t>(points));
    for (int f = 0; f < capture.frames; ++f)
        for (int p = 0; p < points; ++p) {
            const std::size_t here =
                start + perFrame * static_cast<std::size_t>(f) + static_cast<std::size_t>(p) * 4 * size;
            Eigen::Vector3d v;
            for (int axis = 0; axis < 3; ++axis) {
                const std::size_t place = here + static_cast<std::size_t>(axis) * size;
                v[axis] = reals ? b.real(place) : static_cast<double>(b.signedWord(place)) * pointScale;
            }
            const double residual = reals ? b.real(here + 12) : b.signedWord(here + 6);
            places[static_cast<std::size_t>(p)].push_back(residual < 0.0 || !v.allFinite() ? kNowhere : v);
        }
    keepPoints(capture, labels, std::move(places));
    return capture;
}

Result<std::string> captureToC3d(const MotionCapture& capture) {
    if (capture.points.size() > 255 || capture.frames > 65535 || capture.frames < 1)
        return Error{"a C3D file holds up to 255 points and 65535 frames", {}, "nothing was written", {}};
    const auto n = static_cast<unsigned>(capture.points.size());
    // Parameters first: the head must know how many blocks they take.
    std::string p;
    p += '\1';
    p += '\x50';
    p += '\0'; // blocks, set below
    p += '\x54';
    const auto group = [&](int id, const std::string& name) {
        p += static_cast<char>(name.size());
        p += static_cast<char>(-id);
        p += name;
        putWord(p, 3); // to the next record
        p += '\0';     // no description
    };
    const auto parameter = [&](int id, const std::string& name, int kind, const std::vector<unsigned>& dimensions,
                               const std::string& values) {
        p += static_cast<char>(name.size());
        p += static_cast<char>(id);
        p += name;
        putWord(p, static_cast<unsigned>(2 + 1 + 1 + dimensions.size() + values.size() + 1));
        p += static_cast<char>(kind);
        p += static_cast<char>(dimensions.size());
        for (const unsigned d : dimensions)
            p += static_cast<char>(d);
        p += values;
        p += '\0';
    };
    const auto word = [](unsigned v) {
        std::string s;
        putWord(s, v);
        return s;
    };
    const auto real = [](float v) {
        std::string s;
        putReal(s, v);
        return s;
    };
    std::size_t width = 1;
    for (const auto& [name, places] : capture.points)
        width = std::max(width, name.size());
    std::string labels;
    for (const auto& [name, places] : capture.points)
        labels += name + std::string(width - name.size(), ' ');
    const std::string unit = capture.unit.empty() ? "mm" : capture.unit;
    group(1, "POINT");
    parameter(1, "USED", 2, {}, word(n));
    parameter(1, "FRAMES", 2, {}, word(static_cast<unsigned>(capture.frames)));
    parameter(1, "SCALE", 4, {}, real(-1.0f));
    parameter(1, "RATE", 4, {}, real(static_cast<float>(capture.rate)));
    parameter(1, "LABELS", -1, {static_cast<unsigned>(width), n}, labels);
    parameter(1, "UNITS", -1, {static_cast<unsigned>(unit.size())}, unit);
    group(2, "ANALOG");
    parameter(2, "USED", 2, {}, word(0));
    p += std::string(2, '\0'); // the end of the chain
    const std::size_t blocks = (p.size() + kBlock - 1) / kBlock;
    p[2] = static_cast<char>(blocks);
    p.resize(blocks * kBlock, '\0');
    std::string out;
    out += '\2';
    out += '\x50';
    putWord(out, n);
    putWord(out, 0);
    putWord(out, 1);
    putWord(out, static_cast<unsigned>(capture.frames));
    putWord(out, 0);
    putReal(out, -1.0f);
    putWord(out, static_cast<unsigned>(blocks + 2)); // the first block of the points
    putWord(out, 0);
    putReal(out, static_cast<float>(capture.rate));
    out.resize(kBlock, '\0');
    out += p;
    for (int f = 0; f < capture.frames; ++f)
        for (const auto& [name, places] : capture.points) {
            const auto& v = places[static_cast<std::size_t>(f)];
            for (int axis = 0; axis < 3; ++axis)
                putReal(out, v.allFinite() ? static_cast<float>(v[axis]) : 0.0f);
            putReal(out, v.allFinite() ? 0.0f : -1.0f); // a negative residual: not seen
        }
    out.resize((out.size() + kBlock - 1) / kBlock * kBlock, '\0');
    return out;
}

} // namespace riflesso
