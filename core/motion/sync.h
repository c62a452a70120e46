#pragma once
/// \file
/// Two films of the same movement on one clock.

#include "core/motion/result.h"
#include "core/motion/units.h"

#include <span>
#include <string>
#include <vector>

namespace riflesso {

/// The same instant seen in both films: real times with their standard errors, s.
struct SharedInstant {
    double a = 0.0, b = 0.0;
    double uA = 0.0, uB = 0.0;
};

/// time in b = offset + rate × time in a.
struct ViewLock {
    double offset = 0.0;
    double rate = 1.0;
    double uOffset = 0.0;          ///< standard error at `centre`
    double uRate = 0.0;            ///< 0 when only one instant is shared: the rates are then taken to be right
    double centre = 0.0;           ///< the mean shared instant, where offset and rate are not correlated, s of a
    std::vector<double> residuals; ///< s, one a shared instant
    double rms = 0.0;              ///< of the residuals, over n − 2; 0 below three instants

    [[nodiscard]] double toB(double a) const { return offset + rate * a; }
    [[nodiscard]] double toA(double b) const { return (b - offset) / rate; }
    /// Standard error of toB(a), s.
    [[nodiscard]] double errorAt(double a) const;
};

/// One instant: offset. Two and more: offset and rate by least squares; the errors grow with the residuals when these
/// are larger than stated. Errors: none; two at the same instant; a rate that no camera has (below 1/64 or above 64).
Result<ViewLock> lockViews(std::span<const SharedInstant> instants);

/// Samples of sound, mono.
struct Sound {
    std::vector<float> samples;
    double rate = 0.0;  ///< Hz
    double start = 0.0; ///< time of the first sample, s on the film's clock
};

struct SoundMatch {
    double offset = 0.0;  ///< s: time in b = time in a + offset
    double u = 0.0;       ///< standard error, s
    double quality = 0.0; ///< the best peak over the second best at another place; 1 = no better
    double peak = 0.0;    ///< correlation at the best place, −1..1
};

/// How much clearer the best place must be than the next for a match to be believed. Measured on simulated halls in
/// tests/core/motion/test_sync.cpp.
inline constexpr double kClearMatch = 1.25;

/// Cross-correlation of the onsets (rises of energy in time) of two sound tracks. Errors: silence; no place that is
/// clearly the best.
Result<SoundMatch> matchSounds(const Sound& a, const Sound& b);

/// Energy of the sound's changes, one value each \p step s.
std::vector<double> energies(const Sound& sound, double step);

/// Rises of energy, one value each \p step s: how far the log of the energy stands above all of the
/// last 40 ms, never negative.
std::vector<double> onsets(const Sound& sound, double step);

} // namespace riflesso
