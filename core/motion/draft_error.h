#pragma once
/// \file
/// What a draft's error is made of, as shares of its variance.

namespace riflesso {

/// From the correlation of the errors on the films that foundSigma() was fitted on: from frame to frame 0.97, over a
/// second 0.5; without the constant part 0.3 to 0.6 between alike poses of two reps.
inline constexpr double kDraftConstant = 0.50; ///< an offset that stays
inline constexpr double kDraftPose = 0.24;     ///< comes back whenever the body is posed alike
inline constexpr double kDraftSlow = 0.22;     ///< changes slowly
inline constexpr double kDraftJitter = 1.0 - kDraftConstant - kDraftPose - kDraftSlow;

/// The part that reps have in common: no number of them takes it away.
inline constexpr double kDraftInCommon = kDraftConstant + kDraftPose;

} // namespace riflesso
