#include "library/motion_capture.h"

#include "core/statistics/numbers.h"

#include <Eigen/Geometry>

#include <algorithm>
#include <bit>
#include <charconv>
#include <cmath>
#include <cstdint>
#include <cstring>
#include <limits>
#include <sstream>

namespace riflesso {
namespace {

const Eigen::Vector3d kNowhere = Eigen::Vector3d::Constant(std::numeric_limits<double>::quiet_NaN());

Error broken(const std::string& file, const std::string& place, const std::string& what) {
    return Error{what, file + (place.empty() ? "" : ", " + place), "nothing was read", {}};
}

// "LeftUpLeg", "l_hip", "LHip" to our names. Empty when it is none of ours.
LandmarkName landmarkFor(const std::string& name) {
    std::string plain;
    for (const char c : name.substr(name.rfind(':') == std::string::npos ? 0 : name.rfind(':') + 1)) // "Subject:Name"
        if (std::isalnum(static_cast<unsigned char>(c)))
            plain += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    static const std::map<std::string, std::string> middle = {
        {"neck", "neck"}, {"head", "head"}, {"neck1", "neck"}, {"ball", "ball"}};
    if (const auto it = middle.find(plain); it != middle.end())
        return it->second;
    static const std::map<std::string, std::string> sided = {
        {"upleg", "hip"},     {"thigh", "hip"},    {"hip", "hip"},         {"hipjoint", ""},
        {"leg", "knee"},      {"shin", "knee"},    {"knee", "knee"},       {"calf", "knee"},
        {"foot", "ankle"},    {"ankle", "ankle"},  {"toebase", "toe"},     {"toe", "toe"},
        {"heel", "heel"},     {"arm", "shoulder"}, {"uparm", "shoulder"},  {"upperarm", "shoulder"},
        {"forearm", "elbow"}, {"lowarm", "elbow"}, {"lowerarm", "elbow"},  {"elbow", "elbow"},
        {"hand", "wrist"},    {"wrist", "wrist"},  {"fingerbase", "hand"}, {"shoulderjoint", "shoulder"}};
    for (const auto& [prefix, side] :
         {std::pair{"left", "left_"}, {"right", "right_"}, {"l", "left_"}, {"r", "right_"}})
        if (plain.starts_with(prefix))
            if (const auto it = sided.find(plain.substr(std::strlen(prefix))); it != sided.end() && !it->second.empty())
                return side + it->second;
    return {};
}

// Keeps a point under our name when it has one; the file's own names of ours win over known others.
void keep(MotionCapture& capture, const std::string& name, std::vector<Eigen::Vector3d> places) {
    LandmarkName ours = isLandmarkName(name) && (onBody(name) || name.find('_') != std::string::npos || name == "ball")
                            ? name
                            : landmarkFor(name);
    if (ours.empty())
        ours = landmarkFor(name);
    if (ours.empty() || capture.points.contains(ours))
        capture.others.push_back(name);
    else
        capture.points[ours] = std::move(places);
}

// Points times frames that are read from one file: 480 MB of places.
constexpr double kMostPlaces = 2e7;

bool readNumber(const std::string& text, double& out) {
    const auto v = numberFrom(text);
    out = v.value_or(out);
    return v.has_value();
}

} // namespace

Result<MotionCapture> captureFromBvh(const std::string& text, const std::string& fileName) {
    struct Joint {
        std::string name;
        int parent = -1;
        Eigen::Vector3d offset{0, 0, 0};
        std::vector<std::string> channels;
        bool end = false;
    };
    std::istringstream in(text);
    std::string word;
    std::vector<Joint> joints;
    std::vector<int> open;
    const auto number = [&](double& out) {
        std::string w;
        return static_cast<bool>(in >> w) && readNumber(w, out);
    };
    if (!(in >> word) || word != "HIERARCHY")
        return broken(fileName, {}, "this is no BVH file: it does not begin with HIERARCHY");
    std::size_t channels = 0;
    while (in >> word && word != "MOTION") {
        if (word == "ROOT" || word == "JOINT" || word == "End") {
            Joint j;
            in >> j.name;
            j.end = word == "End";
            j.parent = open.empty() ? -1 : open.back();
            if (joints.size() > 1000)
                return broken(fileName, {}, "more than a thousand joints");
            joints.push_back(j);
            if (!(in >> word) || word != "{")
                return broken(fileName, "joint " + j.name, "a { is missing");
            open.push_back(static_cast<int>(joints.size()) - 1);
        } else if (word == "}") {
            if (open.empty())
                return broken(fileName, {}, "a } too many");
            open.pop_back();
        } else if (word == "OFFSET" && !open.empty()) {
            auto& o = joints[static_cast<std::size_t>(open.back())].offset;
            if (!number(o.x()) || !number(o.y()) || !number(o.z()))
                return broken(fileName, "joint " + joints.back().name, "its offset is not three numbers");
        } else if (word == "CHANNELS" && !open.empty()) {
            double n = 0;
            if (!number(n) || n < 0 || n > 6 || n != std::floor(n))
                return broken(fileName, "joint " + joints.back().name, "a joint has 0 to 6 channels");
            for (int i = 0; i < static_cast<int>(n); ++i) {
                in >> word;
                static const std::string axes = "XYZ";
                if (word.size() < 9 || axes.find(word[0]) == std::string::npos ||
                    (word.substr(1) != "position" && word.substr(1) != "rotation"))
                    return broken(fileName, "joint " + joints.back().name, "\"" + word + "\" is no channel");
                joints[static_cast<std::size_t>(open.back())].channels.push_back(word);
                ++channels;
            }
        } else {
            return broken(fileName, {}, "\"" + word + "\" is not expected in the hierarchy");
        }
    }
    double frames = 0, step = 0;
    std::string time;
    if (!open.empty() || joints.empty())
        return broken(fileName, {}, "the hierarchy does not end");
    if (!(in >> word) || word != "Frames:" || !number(frames) || !(in >> word >> time) || word != "Frame" ||
        time != "Time:" || !number(step) || !(step > 0.0))
        return broken(fileName, {}, "the number of frames or their time is missing");
    if (channels == 0)
        return broken(fileName, {}, "no joint has a channel: nothing moves");
    // Each number takes two bytes at least: more frames than that cannot be there.
    if (!(frames >= 1) || frames != std::floor(frames) ||
        2.0 * frames * static_cast<double>(channels) > static_cast<double>(text.size()))
        return broken(fileName, {}, "the number of frames cannot be true");
    if (frames * static_cast<double>(joints.size()) > kMostPlaces || step > 60.0 || step < 1e-6)
        return broken(fileName, {}, "it is too long, or its rate cannot be true");
    MotionCapture capture;
    capture.rate = 1.0 / step;
    capture.frames = static_cast<int>(frames);
    std::vector<std::vector<Eigen::Vector3d>> places(joints.size());
    std::vector<Eigen::Affine3d> world(joints.size());
    for (int f = 0; f < capture.frames; ++f)
        for (std::size_t j = 0; j < joints.size(); ++j) {
            Eigen::Affine3d local = Eigen::Affine3d::Identity();
            Eigen::Vector3d moved = joints[j].offset;
            Eigen::Matrix3d turned = Eigen::Matrix3d::Identity();
            for (const auto& c : joints[j].channels) {
                double v = 0;
                if (!number(v))
                    return broken(fileName, "frame " + std::to_string(f), "a number is missing or is none");
                const Eigen::Vector3d axis = Eigen::Vector3d::Unit(c[0] - 'X');
                if (c.ends_with("position"))
                    moved += v * axis;
                else
                    turned = turned * Eigen::AngleAxisd(v * M_PI / 180.0, axis).toRotationMatrix();
            }
            local.translate(moved);
            local.rotate(turned);
            world[j] = joints[j].parent < 0 ? local : world[static_cast<std::size_t>(joints[j].parent)] * local;
            places[j].push_back(world[j].translation());
        }
    for (std::size_t j = 0; j < joints.size(); ++j)
        if (!joints[j].end)
            keep(capture, joints[j].name, std::move(places[j]));
    return capture;
}

Result<MotionCapture> captureFromTrc(const std::string& text, const std::string& fileName) {
    std::istringstream in(text);
    std::vector<std::string> lines;
    for (std::string line; std::getline(in, line);) {
        while (!line.empty() && (line.back() == '\r' || line.back() == ' '))
            line.pop_back();
        lines.push_back(line);
    }
    const auto cells = [](const std::string& line) {
        std::vector<std::string> out;
        std::istringstream row(line);
        for (std::string cell; std::getline(row, cell, '\t');)
            out.push_back(cell);
        return out;
    };
    if (lines.size() < 5 || !lines[0].starts_with("PathFileType"))
        return broken(fileName, {}, "this is no TRC file: its head of five lines is missing");
    const auto keys = cells(lines[1]), values = cells(lines[2]), names = cells(lines[3]);
    MotionCapture capture;
    for (std::size_t i = 0; i < keys.size() && i < values.size(); ++i) {
        if (keys[i] == "DataRate" && !readNumber(values[i], capture.rate))
            return broken(fileName, "line 3", "the data rate is no number");
        if (keys[i] == "Units")
            capture.unit = values[i];
    }
    if (!(capture.rate > 0.0) || capture.rate > 1e6)
        return broken(fileName, "line 3", "the data rate is missing or cannot be true");
    std::vector<std::string> points;
    for (std::size_t i = 2; i < names.size(); i += 3)
        if (!names[i].empty())
            points.push_back(names[i]);
    if (static_cast<double>(points.size()) * static_cast<double>(lines.size()) > kMostPlaces)
        return broken(fileName, {}, "it is too long");
    std::vector<std::vector<Eigen::Vector3d>> places(points.size());
    for (std::size_t l = 5; l < lines.size(); ++l) {
        const auto row = cells(lines[l]);
        if (row.empty())
            continue;
        for (std::size_t p = 0; p < points.size(); ++p) {
            Eigen::Vector3d at = kNowhere;
            for (int axis = 0; axis < 3; ++axis) {
                const std::size_t i = 2 + 3 * p + static_cast<std::size_t>(axis);
                if (i >= row.size() || row[i].empty())
                    break; // not seen
                if (!readNumber(row[i], at[axis]))
                    return broken(fileName, "line " + std::to_string(l + 1), "\"" + row[i] + "\" is no number");
            }
            places[p].push_back(at.allFinite() ? at : kNowhere);
        }
        ++capture.frames;
    }
    if (capture.frames == 0 || points.empty())
        return broken(fileName, {}, "it holds no points or no frames");
    for (std::size_t p = 0; p < points.size(); ++p)
        keep(capture, points[p], std::move(places[p]));
    return capture;
}

std::string captureToTrc(const MotionCapture& capture, const std::string& fileName) {
    std::ostringstream out;
    out.imbue(std::locale::classic());
    out << "PathFileType\t4\t(X/Y/Z)\t" << fileName << "\n"
        << "DataRate\tCameraRate\tNumFrames\tNumMarkers\tUnits\tOrigDataRate\tOrigDataStartFrame\tOrigNumFrames\n"
        << capture.rate << '\t' << capture.rate << '\t' << capture.frames << '\t' << capture.points.size() << '\t'
        << (capture.unit.empty() ? "mm" : capture.unit) << '\t' << capture.rate << "\t1\t" << capture.frames << "\n"
        << "Frame#\tTime";
    for (const auto& [name, places] : capture.points)
        out << '\t' << name << "\t\t";
    out << "\n\t";
    for (std::size_t i = 1; i <= capture.points.size(); ++i)
        out << "\tX" << i << "\tY" << i << "\tZ" << i;
    out << "\n\n";
    for (int f = 0; f < capture.frames; ++f) {
        out << f + 1 << '\t' << fixed(f / capture.rate, 6);
        for (const auto& [name, places] : capture.points)
            for (int axis = 0; axis < 3; ++axis) {
                const double v = places[static_cast<std::size_t>(f)][axis];
                out << '\t' << (std::isfinite(v) ? fixed(v, 5) : std::string());
            }
        out << "\n";
    }
    return out.str();
}

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

} // namespace

Result<MotionCapture> captureFromC3d(const std::string& data, const std::string& fileName) {
    Bytes b(data);
    if (b.byte(1) != 0x50 || b.byte(0) == 0)
        return broken(fileName, {}, "this is no C3D file");
    const std::size_t parameters = (b.byte(0) - 1u) * kBlock;
    const int processor = b.byte(parameters + 3);
    if (processor == 85)
        return broken(fileName, {}, "its numbers are in DEC order, which this program does not read");
    b.big = processor == 86;
    const int points = b.word(2), analogPerFrame = b.word(4);
    const int first = b.word(6), last = b.word(8);
    const float scale = b.real(12);
    if (b.word(16) < 2u)
        return broken(fileName, "head", "it says that its points begin in its head");
    const std::size_t start = (static_cast<std::size_t>(b.word(16)) - 1u) * kBlock;
    MotionCapture capture;
    capture.rate = b.real(20);
    capture.frames = last - first + 1;
    if (b.failed || points < 1 || capture.frames < 1 || !(capture.rate > 0.0) || capture.rate > 1e6 ||
        !std::isfinite(scale))
        return broken(fileName, "head", "the numbers of points, frames or the rate cannot be true");
    // POINT:LABELS, POINT:UNITS, POINT:SCALE out of the parameters: a chain of records, each with the way to the next.
    std::vector<std::string> labels;
    float pointScale = scale;
    std::size_t at = parameters + 4;
    std::map<int, std::string> groups;
    struct Parameter {
        int group;
        std::string name;
        std::vector<std::string> texts;
        float number = 0;
    };
    std::vector<Parameter> found;
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
            Parameter p{group, name, {}, 0};
            const int kind = static_cast<std::int8_t>(b.byte(way + 2));
            const int dimensions = b.byte(way + 3);
            std::size_t count = 1, width = 1;
            if (dimensions > 7)
                return broken(fileName, "parameters", "one has more than seven dimensions");
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
        return broken(fileName, "parameters", "they run beyond the end of the file");
    for (const auto& p : found) {
        if (groups[p.group] != "POINT")
            continue;
        if (p.name.starts_with("LABELS"))
            labels.insert(labels.end(), p.texts.begin(), p.texts.end());
        else if (p.name == "UNITS" && !p.texts.empty())
            capture.unit = p.texts.front();
        else if (p.name == "SCALE")
            pointScale = p.number;
    }
    if (labels.empty())
        return broken(fileName, "parameters", "its points have no names");
    const bool reals = pointScale < 0.0f;
    const std::size_t size = reals ? 4 : 2;
    const std::size_t perFrame =
        static_cast<std::size_t>(points) * 4 * size + static_cast<std::size_t>(analogPerFrame) * size;
    if (static_cast<double>(points) * capture.frames > kMostPlaces)
        return broken(fileName, {}, "it is too long");
    if (start + perFrame * static_cast<std::size_t>(capture.frames) > b.size())
        return broken(fileName, {}, "it ends before its last frame");
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
    for (std::size_t p = 0; p < places.size() && p < labels.size(); ++p)
        keep(capture, labels[p], std::move(places[p]));
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

bool isOfFilm(const MotionCapture& capture) {
    return capture.unit == "px" && std::all_of(capture.points.begin(), capture.points.end(), [](const auto& p) {
               return std::all_of(p.second.begin(), p.second.end(),
                                  [](const Eigen::Vector3d& v) { return !v.allFinite() || v.z() == 0.0; });
           });
}

MotionCapture captureOf(const TrackSet& tracks, int frames, double rate) {
    MotionCapture out;
    out.rate = rate;
    out.frames = frames;
    out.unit = "px";
    for (const auto& [name, track] : tracks) {
        auto& places = out.points[name];
        places.assign(static_cast<std::size_t>(frames), kNowhere);
        for (const auto& [frame, mark] : track)
            if (frame.value >= 0 && frame.value < frames && mark.how != How::hidden)
                places[static_cast<std::size_t>(frame.value)] = {mark.at.x, mark.at.y, 0.0};
    }
    return out;
}

TrackSet tracksOf(const MotionCapture& flat, double sigma) {
    TrackSet out;
    for (const auto& [name, places] : flat.points)
        for (std::size_t f = 0; f < places.size(); ++f)
            if (places[f].allFinite())
                out[name][FrameIndex(static_cast<int>(f))] = {{places[f].x(), places[f].y()}, sigma, How::tracked};
    return out;
}

Result<TrackSet> filmed(const MotionCapture& capture, const VirtualCamera& camera) {
    // Mean difference of two points' places over all frames on which both are seen.
    const auto between = [&](const std::vector<const char*>& from, const std::vector<const char*>& to,
                             bool alike) -> std::optional<Eigen::Vector3d> {
        Eigen::Vector3d sum(0, 0, 0);
        int n = 0;
        for (std::size_t i = 0; i < from.size(); ++i)
            for (std::size_t k = 0; k < to.size(); ++k) {
                const auto a = capture.points.find(from[i]), b = capture.points.find(to[k]);
                if ((alike && i != k) || a == capture.points.end() || b == capture.points.end())
                    continue;
                for (std::size_t f = 0; f < a->second.size(); ++f)
                    if (a->second[f].allFinite() && b->second[f].allFinite()) {
                        sum += b->second[f] - a->second[f];
                        ++n;
                    }
            }
        return n > 0 ? std::optional<Eigen::Vector3d>(sum / n) : std::nullopt;
    };
    const auto body = between({"left_ankle", "right_ankle"}, {"neck", "left_shoulder", "right_shoulder"}, false);
    const auto across = between({"left_hip", "left_shoulder"}, {"right_hip", "right_shoulder"}, true);
    if (!body || !across)
        return Error{"ankles, shoulders (or neck) and both hips (or shoulders) are needed to tell up from forward",
                     {},
                     "nothing was filmed",
                     {}};
    int axis = 0;
    body->cwiseAbs().maxCoeff(&axis);
    const Eigen::Vector3d up = Eigen::Vector3d::Unit(axis) * ((*body)[axis] > 0.0 ? 1.0 : -1.0);
    // Right-handed axes: up × right = forward... seen from above with up towards the eye, forward lies left of right.
    const Eigen::Vector3d right = (*across - across->dot(up) * up).normalized();
    const Eigen::Vector3d forward = up.cross(right);
    if (!right.allFinite())
        return Error{"the hips' line stands upright: forward cannot be told", {}, "nothing was filmed", {}};
    const double a = camera.azimuth * M_PI / 180.0;
    const Eigen::Vector3d x = std::cos(a) * -right + std::sin(a) * forward;
    const double scale = camera.height / std::abs(body->dot(up));
    double least = std::numeric_limits<double>::infinity(), top = -least;
    for (const auto& [name, places] : capture.points)
        for (const auto& p : places)
            if (p.allFinite()) {
                least = std::min(least, scale * p.dot(x));
                top = std::max(top, scale * p.dot(up));
            }
    TrackSet out;
    for (const auto& [name, places] : capture.points)
        for (std::size_t f = 0; f < places.size(); ++f)
            if (places[f].allFinite())
                out[name][FrameIndex(static_cast<int>(f))] = {
                    {scale * places[f].dot(x) - least + 50.0, top - scale * places[f].dot(up) + 50.0},
                    camera.sigma,
                    How::tracked};
    return out;
}

} // namespace riflesso
