#include "library/motion_capture.h"

#include "core/words/say.h"

#include "core/statistics/numbers.h"
#include "library/motion_capture_parts.h"

#include <Eigen/Geometry>

#include <algorithm>
#include <bit>
#include <charconv>
#include <cmath>
#include <cstdint>
#include <cstring>
#include <limits>
#include <numeric>
#include <sstream>

namespace riflesso {
namespace {

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

bool readNumber(const std::string& text, double& out) {
    const auto v = numberFrom(text);
    out = v.value_or(out);
    return v.has_value();
}

struct BvhJoint {
    std::string name;
    int parent = -1;
    Eigen::Vector3d offset{0, 0, 0};
    std::vector<std::string> channels;
    bool end = false;
};

bool nextNumber(std::istream& in, double& out) {
    std::string word;
    return static_cast<bool>(in >> word) && readNumber(word, out);
}

// The joints of a hierarchy, parents first, up to the word MOTION.
Result<std::vector<BvhJoint>> bvhJoints(std::istream& in, const std::string& fileName) {
    std::string word;
    std::vector<BvhJoint> joints;
    std::vector<int> open;
    while (in >> word && word != "MOTION") {
        if (word == "ROOT" || word == "JOINT" || word == "End") {
            BvhJoint j;
            in >> j.name;
            j.end = word == "End";
            j.parent = open.empty() ? -1 : open.back();
            if (joints.size() > 1000)
                return brokenCapture(fileName, {}, "more than a thousand joints");
            joints.push_back(j);
            if (!(in >> word) || word != "{")
                return brokenCapture(fileName, fill(say("error", "joint %1"), {j.name}), "a { is missing");
            open.push_back(static_cast<int>(joints.size()) - 1);
        } else if (word == "}") {
            if (open.empty())
                return brokenCapture(fileName, {}, "a } too many");
            open.pop_back();
        } else if (word == "OFFSET" && !open.empty()) {
            auto& o = joints[static_cast<std::size_t>(open.back())].offset;
            if (!nextNumber(in, o.x()) || !nextNumber(in, o.y()) || !nextNumber(in, o.z()))
                return brokenCapture(fileName, fill(say("error", "joint %1"), {joints.back().name}),
                                     "its offset is not three numbers");
        } else if (word == "CHANNELS" && !open.empty()) {
            double n = 0;
            if (!nextNumber(in, n) || n < 0 || n > 6 || n != std::floor(n))
                return brokenCapture(fileName, fill(say("error", "joint %1"), {joints.back().name}),
                                     "a joint has 0 to 6 channels");
            for (int i = 0; i < static_cast<int>(n); ++i) {
                in >> word;
                static const std::string axes = "XYZ";
                if (word.size() < 9 || axes.find(word[0]) == std::string::npos ||
                    (word.substr(1) != "position" && word.substr(1) != "rotation"))
                    return brokenCapture(fileName, fill(say("error", "joint %1"), {joints.back().name}),
                                         fill(say("error", "“%1” is no channel"), {word}));
                joints[static_cast<std::size_t>(open.back())].channels.push_back(word);
            }
        } else {
            return brokenCapture(fileName, {}, fill(say("error", "“%1” is not expected in the hierarchy"), {word}));
        }
    }
    if (!open.empty() || joints.empty())
        return brokenCapture(fileName, {}, "the hierarchy does not end");
    return joints;
}

} // namespace

Error brokenCapture(const std::string& file, const std::string& place, const std::string& what) {
    return Error{what, file + (place.empty() ? "" : ", " + place), "nothing was read", {}};
}

void keepPoints(MotionCapture& capture, const std::vector<std::string>& names,
                std::vector<std::vector<Eigen::Vector3d>> places) {
    const auto isOurs = [](const std::string& name) {
        return onBody(name) ||
               (isLandmarkName(name) && name.find('_') != std::string::npos && landmarkFor(name).empty());
    };
    for (const bool ours : {true, false})
        for (std::size_t i = 0; i < std::min(names.size(), places.size()); ++i) {
            if (isOurs(names[i]) != ours)
                continue;
            const LandmarkName name = ours ? names[i] : landmarkFor(names[i]);
            if (name.empty() || capture.points.contains(name))
                capture.others.push_back(names[i]);
            else
                capture.points[name] = std::move(places[i]);
        }
}

Result<MotionCapture> captureFromBvh(const std::string& text, const std::string& fileName) {
    std::istringstream in(text);
    std::string word;
    if (!(in >> word) || word != "HIERARCHY")
        return brokenCapture(fileName, {}, "this is no BVH file: it does not begin with HIERARCHY");
    const auto joints = bvhJoints(in, fileName);
    if (!joints)
        return joints.error();
    const std::size_t channels =
        std::accumulate(joints->begin(), joints->end(), std::size_t{0},
                        [](std::size_t n, const BvhJoint& j) { return n + j.channels.size(); });
    double frames = 0, step = 0;
    std::string time;
    if (!(in >> word) || word != "Frames:" || !nextNumber(in, frames) || !(in >> word >> time) || word != "Frame" ||
        time != "Time:" || !nextNumber(in, step) || !(step > 0.0))
        return brokenCapture(fileName, {}, "the number of frames or their time is missing");
    if (channels == 0)
        return brokenCapture(fileName, {}, "no joint has a channel: nothing moves");
    // Each number takes two bytes at least: more frames than that cannot be there.
    if (!(frames >= 1) || frames != std::floor(frames) ||
        2.0 * frames * static_cast<double>(channels) > static_cast<double>(text.size()))
        return brokenCapture(fileName, {}, "the number of frames cannot be true");
    if (frames * static_cast<double>(joints->size()) > kMostPlaces || step > 60.0 || step < 1e-6)
        return brokenCapture(fileName, {}, "it is too long, or its rate cannot be true");
    MotionCapture capture;
    capture.rate = 1.0 / step;
    capture.frames = static_cast<int>(frames);
    std::vector<std::vector<Eigen::Vector3d>> places(joints->size());
    std::vector<Eigen::Affine3d> world(joints->size());
    for (int f = 0; f < capture.frames; ++f)
        for (std::size_t j = 0; j < joints->size(); ++j) {
            Eigen::Affine3d local = Eigen::Affine3d::Identity();
            Eigen::Vector3d moved = (*joints)[j].offset;
            Eigen::Matrix3d turned = Eigen::Matrix3d::Identity();
            for (const auto& c : (*joints)[j].channels) {
                double v = 0;
                if (!nextNumber(in, v))
                    return brokenCapture(fileName, fill(say("error", "frame %1"), {std::to_string(f)}),
                                         "a number is missing or is none");
                const Eigen::Vector3d axis = Eigen::Vector3d::Unit(c[0] - 'X');
                if (c.ends_with("position"))
                    moved += v * axis;
                else
                    turned = turned * Eigen::AngleAxisd(v * M_PI / 180.0, axis).toRotationMatrix();
            }
            local.translate(moved);
            local.rotate(turned);
            world[j] = (*joints)[j].parent < 0 ? local : world[static_cast<std::size_t>((*joints)[j].parent)] * local;
            places[j].push_back(world[j].translation());
        }
    std::vector<std::string> names;
    std::vector<std::vector<Eigen::Vector3d>> kept;
    for (std::size_t j = 0; j < joints->size(); ++j)
        if (!(*joints)[j].end) {
            names.push_back((*joints)[j].name);
            kept.push_back(std::move(places[j]));
        }
    keepPoints(capture, names, std::move(kept));
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
        return brokenCapture(fileName, {}, "this is no TRC file: its head of five lines is missing");
    const auto keys = cells(lines[1]), values = cells(lines[2]), names = cells(lines[3]);
    MotionCapture capture;
    for (std::size_t i = 0; i < keys.size() && i < values.size(); ++i) {
        if (keys[i] == "DataRate" && !readNumber(values[i], capture.rate))
            return brokenCapture(fileName, "line 3", "the data rate is no number");
        if (keys[i] == "Units")
            capture.unit = values[i];
    }
    if (!(capture.rate > 0.0) || capture.rate > 1e6)
        return brokenCapture(fileName, "line 3", "the data rate is missing or cannot be true");
    std::vector<std::string> points;
    for (std::size_t i = 2; i < names.size(); i += 3)
        if (!names[i].empty())
            points.push_back(names[i]);
    if (static_cast<double>(points.size()) * static_cast<double>(lines.size()) > kMostPlaces)
        return brokenCapture(fileName, {}, "it is too long");
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
                    return brokenCapture(fileName, fill(say("error", "line %1"), {std::to_string(l + 1)}),
                                         fill(say("error", "“%1” is no number"), {row[i]}));
            }
            places[p].push_back(at.allFinite() ? at : kNowhere);
        }
        ++capture.frames;
    }
    if (capture.frames == 0 || points.empty())
        return brokenCapture(fileName, {}, "it holds no points or no frames");
    keepPoints(capture, points, std::move(places));
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
