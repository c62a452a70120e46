#pragma once
/// \file
/// Zero-lag Butterworth smoothing and derivatives of evenly sampled series.
///
/// Source: D. A. Winter, Biomechanics and Motor Control of Human Movement, 4th ed. 2009, ch. 3: a 2nd-order low-pass
/// run forwards and backwards (4th order, no lag), its cut-off corrected so that the two passes together have the
/// stated one, and the cut-off chosen by residual analysis. The edges are handled as in SciPy's `filtfilt` (odd
/// extension by 9 samples, initial state of the step response), which is the reference of the tests.

#include "core/motion/units.h"

#include <optional>
#include <span>
#include <vector>

namespace riflesso {

/// Coefficients of one 2nd-order pass: y = b·x − a·y, a[0] = 1.
struct Biquad {
    double b[3];
    double a[3];
};

/// One pass of a 2nd-order Butterworth low-pass whose two passes together are 3 dB down at \p effectiveCutoff.
/// Needs 0 < cutoff < rate/2; \p rate is the sampling rate of the real movement.
/// Formula: tan(π fc/fs) / (√2−1)^¼, bilinear transform (Winter eq. 3.10).
Biquad butterworthPass(Hertz effectiveCutoff, Hertz rate);

/// Zero-lag low-pass of \p samples. A cut-off of rate/2 or more returns the samples unchanged; so do fewer than 4.
std::vector<double> zeroLag(std::span<const double> samples, Hertz effectiveCutoff, Hertz rate);

/// How much of white noise passes zeroLag(), away from the ends.
struct NoiseGain {
    double passed = 1.0;   ///< variance of the smoothed series / variance of the noise
    double residual = 0.0; ///< variance of (raw − smoothed) / variance of the noise
    /// Variance of r / variance of the noise, r = 2 (smoothed − smoothed again) less the same smoothed: toMotion()
    /// takes it for what smoothing cost.
    double twice = 0.0;
    double rate = 0.5; ///< variance of half the difference of both neighbours (speed a sample) / variance of the noise
};
NoiseGain noiseGain(Hertz effectiveCutoff, Hertz rate);

/// Central differences (one-sided at the ends), in units of the samples per second.
std::vector<double> derivative(std::span<const double> samples, Hertz rate);

/// Residual analysis: residual RMS against cut-off, and the cut-off it suggests.
struct ResidualAnalysis {
    std::vector<double> cutoffs;   ///< Hz
    std::vector<double> residuals; ///< RMS of (raw − smoothed), in the unit of the samples
    double noise = 0.0;            ///< intercept of the straight right-hand part at 0 Hz = RMS of the noise
    Hertz chosen;                  ///< where the residual curve meets that intercept
};

/// \p samples is one or more coordinates of the same landmark, all of one length (residuals are pooled).
/// Empty when there are fewer than 20 samples: then there is nothing to analyse.
std::optional<ResidualAnalysis> residualAnalysis(const std::vector<std::vector<double>>& samples, Hertz rate);

} // namespace riflesso
