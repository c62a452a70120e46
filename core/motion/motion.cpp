#include "core/motion/motion.h"

#include "core/motion/draft_error.h"
#include "core/motion/smoothing.h"
#include "core/motion/spline.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace riflesso {
namespace {

struct Run {
    std::vector<FrameIndex> frames; // marked frames, increasing, no gap longer than allowed
    std::vector<Mark> marks;
};

std::vector<Run> splitRuns(const Track& track, const Timebase& time, double longestGap) {
    std::vector<Run> runs;
    for (const auto& [frame, mark] : track) {
        if (frame.value < 0 || frame.value >= time.frames() || mark.how == How::hidden)
            continue;
        const bool joins =
            !runs.empty() && ((frame - runs.back().frames.back()) == 1 ||
                              time.real(frame).value - time.real(runs.back().frames.back()).value <= longestGap + 1e-9);
        if (!joins)
            runs.emplace_back();
        runs.back().frames.push_back(frame);
        runs.back().marks.push_back(mark);
    }
    return runs;
}

// Samples on an even grid of real time, from uneven ones, by spline.
std::vector<double> resample(const std::vector<double>& t, const std::vector<double>& v, double t0, double step,
                             int n) {
    const Spline spline(t, v);
    std::vector<double> out(static_cast<std::size_t>(n));
    for (int i = 0; i < n; ++i)
        out[static_cast<std::size_t>(i)] = spline.at(t0 + i * step);
    return out;
}

// Half-width of the window in which the filter's bias is looked for, and of the one in which marks must all be made by
// hand to count as made one by one, in samples.
constexpr int kBiasWindow = 1, kApartWindow = 4;
// Carried marks share the error of the mark they were carried from; only their jitter is noise to the filter. px.
constexpr double kJitter = 0.4;
// What a mark does not share with the marks beside it.
double ownNoise(const Mark& m) {
    return m.how == How::hand    ? m.sigma
           : m.how == How::found ? std::max(std::min(m.sigma, kJitter), std::sqrt(kDraftJitter) * m.sigma)
                                 : std::min(m.sigma, kJitter);
}

// What smoothing once more takes off a smoothed series, sharpened: what it takes off is itself smoothed.
std::vector<double> lostTo(const std::vector<double>& smooth, Hertz cutoff, Hertz rate) {
    const auto twice = zeroLag(smooth, cutoff, rate);
    std::vector<double> lost(smooth.size());
    for (std::size_t i = 0; i < lost.size(); ++i)
        lost[i] = smooth[i] - twice[i];
    const auto blurred = zeroLag(lost, cutoff, rate);
    for (std::size_t i = 0; i < lost.size(); ++i)
        lost[i] += lost[i] - blurred[i];
    return lost;
}

void takeAsMarked(const Run& run, MotionTrack& out) {
    for (std::size_t i = 0; i < run.frames.size(); ++i)
        out.samples[run.frames[i]] = {run.marks[i].at,
                                      run.marks[i].sigma,
                                      true,
                                      run.marks[i].how == How::found,
                                      ownNoise(run.marks[i]),
                                      ownNoise(run.marks[i]) / std::numbers::sqrt2,
                                      ownNoise(run.marks[i]) / std::numbers::sqrt2,
                                      run.marks[i].at,
                                      run.marks[i].sigma,
                                      ownNoise(run.marks[i])};
}

// What the filter cut off the movement is what it would cut off again, less the noise in that (twicing, Tukey,
// Exploratory Data Analysis, 1977). The second time takes less than the first: hence twice its square. px².
double biasAt(int i, const std::vector<double>& lostX, const std::vector<double>& lostY, double noise) {
    const int n = static_cast<int>(lostX.size());
    double again = 0.0;
    int count = 0;
    for (int k = std::max(0, i - kBiasWindow); k <= std::min(n - 1, i + kBiasWindow); ++k) {
        const auto kk = static_cast<std::size_t>(k);
        again += lostX[kk] * lostX[kk] + lostY[kk] * lostY[kk];
        count += 2;
    }
    return 2.0 * std::max(0.0, again / count - noise);
}

void smoothRun(const Run& run, const Timebase& time, const MotionOptions& options, MotionTrack& out) {
    const bool wanted = !std::holds_alternative<CutoffNone>(options.cutoff);
    if (!wanted || static_cast<int>(run.frames.size()) < options.shortestRun) {
        takeAsMarked(run, out);
        return;
    }
    std::vector<double> t, x, y;
    for (std::size_t i = 0; i < run.frames.size(); ++i) {
        t.push_back(time.real(run.frames[i]).value);
        x.push_back(run.marks[i].at.x);
        y.push_back(run.marks[i].at.y);
    }
    const FrameIndex first = run.frames.front();
    const FrameIndex last = run.frames.back();
    const int n = last - first + 1;
    const double step = (t.back() - t.front()) / (n - 1);
    const Hertz rate(1.0 / step);
    const auto gx = resample(t, x, t.front(), step, n);
    const auto gy = resample(t, y, t.front(), step, n);

    Hertz cutoff(rate.value);
    if (const auto* fixed = std::get_if<Hertz>(&options.cutoff)) {
        cutoff = *fixed;
    } else if (const auto analysis = residualAnalysis({gx, gy}, rate)) {
        cutoff = Hertz(std::clamp(analysis->chosen.value, options.slowest.value, options.fastest.value));
    }
    out.cutoffs.push_back(cutoff);
    const auto sx = zeroLag(gx, cutoff, rate);
    const auto sy = zeroLag(gy, cutoff, rate);
    const NoiseGain gain = noiseGain(cutoff, rate);
    const auto lostX = lostTo(sx, cutoff, rate), lostY = lostTo(sy, cutoff, rate);

    std::vector<double> gridTimes(static_cast<std::size_t>(n));
    for (int i = 0; i < n; ++i)
        gridTimes[static_cast<std::size_t>(i)] = t.front() + i * step;
    const Spline backX(gridTimes, sx), backY(gridTimes, sy);

    // Averaging neighbours does not make carried marks better.
    std::vector<char> apart; // around this sample all marks were made one by one
    for (std::size_t i = 0; i < run.marks.size(); ++i)
        apart.push_back(run.marks[i].how == How::hand);
    const auto allApart = [&](std::size_t at) {
        const std::size_t from = at < kApartWindow ? 0 : at - kApartWindow;
        return std::all_of(apart.begin() + static_cast<std::ptrdiff_t>(from),
                           apart.begin() + static_cast<std::ptrdiff_t>(std::min(apart.size(), at + kApartWindow + 1)),
                           [](char a) { return a != 0; });
    };

    std::size_t mark = 0;
    for (int i = 0; i < n; ++i) {
        const FrameIndex frame = first + i;
        while (mark + 1 < run.frames.size() && run.frames[mark + 1] <= frame)
            ++mark;
        const bool seen = run.frames[mark] == frame;
        double sigma = run.marks[mark].sigma;
        if (!seen) // between two marks: the larger of both, and the filter may not take credit for averaging
            sigma = std::max(sigma, run.marks[mark + 1].sigma);
        const bool single = allApart(mark);
        const double white = single                             ? sigma
                             : run.marks[mark].how == How::hand ? std::min(sigma, kJitter)
                                                                : ownNoise({{}, sigma, run.marks[mark].how});
        double variance = sigma * sigma - white * white * (1.0 - gain.passed);
        const double bias = biasAt(i, lostX, lostY, white * white * gain.twice);
        variance += bias;
        // The movement that is cut off lies at the cut-off or a little above: so fast does its loss change.
        const double turn = 2.0 * std::numbers::pi * std::min(0.25, cutoff.value / rate.value);
        const double speedNoise = white * std::sqrt(gain.rate);
        const double speed = std::hypot(speedNoise, turn * std::sqrt(bias));
        // At the very ends the filter leans on its padding and averages little.
        if (i < 2 || i >= n - 2)
            variance = std::max(variance, sigma * sigma * 0.7);
        const double at = time.real(frame).value;
        out.samples[frame] = {Pixel{backX.at(at), backY.at(at)},
                              seen ? std::sqrt(variance) : std::max(sigma, std::sqrt(variance)),
                              seen,
                              run.marks[mark].how == How::found,
                              std::sqrt(white * white * gain.passed + bias),
                              speed,
                              speedNoise,
                              seen ? run.marks[mark].at : Pixel{},
                              seen ? sigma : 0.0,
                              seen ? ownNoise(run.marks[mark]) : 0.0,
                              bias,
                              Pixel{lostX[static_cast<std::size_t>(i)], lostY[static_cast<std::size_t>(i)]},
                              white * white * gain.twice};
    }
}

} // namespace

Motion::Motion(std::map<LandmarkName, MotionTrack> tracks, Timebase time)
    : m_tracks(std::move(tracks)), m_time(std::move(time)) {}

std::optional<MotionSample> Motion::at(const LandmarkName& landmark, FrameIndex frame) const {
    const auto track = m_tracks.find(landmark);
    if (track == m_tracks.end())
        return std::nullopt;
    const auto sample = track->second.samples.find(frame);
    if (sample == track->second.samples.end())
        return std::nullopt;
    return sample->second;
}

TrackSet steadied(const TrackSet& tracks, const CameraPath& path) {
    if (path.empty())
        return tracks;
    TrackSet out = tracks;
    for (auto& [landmark, track] : out)
        for (auto& [frame, mark] : track) {
            if (frame.value < 0 || frame.value >= static_cast<int>(path.size()))
                continue;
            const Eigen::Vector3d v =
                path[static_cast<std::size_t>(frame.value)] * Eigen::Vector3d(mark.at.x, mark.at.y, 1.0);
            if (std::abs(v.z()) < 1e-9)
                continue;
            const Pixel before = mark.at;
            mark.at = {v.x() / v.z(), v.y() / v.z()};
            // The error grows as the picture is magnified there.
            const Eigen::Vector3d w =
                path[static_cast<std::size_t>(frame.value)] * Eigen::Vector3d(before.x + 1.0, before.y, 1.0);
            mark.sigma *= std::max(0.2, std::hypot(w.x() / w.z() - mark.at.x, w.y() / w.z() - mark.at.y));
        }
    return out;
}

std::optional<Mark> fixedPoint(const Track& track) {
    double x = 0.0, y = 0.0, w = 0.0;
    int n = 0;
    const auto each = [&](auto what) {
        for (const auto& [frame, m] : track)
            if (m.how != How::hidden && m.sigma > 0.0)
                what(m, 1.0 / (m.sigma * m.sigma));
    };
    each([&](const Mark& m, double weight) {
        x += weight * m.at.x;
        y += weight * m.at.y;
        w += weight;
        ++n;
    });
    if (n == 0)
        return {};
    const Pixel at{x / w, y / w};
    double chi2 = 0.0;
    each([&](const Mark& m, double weight) {
        chi2 += weight * (std::pow(m.at.x - at.x, 2) + std::pow(m.at.y - at.y, 2));
    });
    // Birge's ratio says whether the marks agree; far above 1 the camera moves, and then any frame is as unsure as the
    // marks scatter.
    const double birge = n > 1 ? chi2 / (2.0 * (n - 1)) : 0.0;
    return Mark{at, std::sqrt((birge > 4.0 ? n * birge : std::max(1.0, birge)) / w), How::hand};
}

Motion toMotion(const TrackSet& tracks, const Timebase& time, const MotionOptions& options) {
    std::map<LandmarkName, MotionTrack> out;
    for (const auto& [landmark, track] : tracks) {
        if (kindOf(landmark) == PointKind::scene) {
            if (const auto fixed = fixedPoint(track))
                for (int f = 0; f < time.frames(); ++f)
                    out[landmark].samples[FrameIndex(f)] = {fixed->at, fixed->sigma, track.contains(FrameIndex(f))};
            continue;
        }
        MotionOptions mine = options;
        if (const auto own = options.own.find(landmark); own != options.own.end())
            mine.cutoff = own->second;
        for (const Run& run : splitRuns(track, time, options.longestGap))
            smoothRun(run, time, mine, out[landmark]);
    }
    return {std::move(out), time};
}

} // namespace riflesso
