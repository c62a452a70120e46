#pragma once
/// \file
/// When each frame was shown, and when it happened.

#include "core/motion/result.h"
#include "core/motion/units.h"

#include <optional>
#include <vector>

namespace riflesso {

/// Presentation times of a film's frames, and the rate at which the camera really took them.
///
/// Frame numbers and times are never interchanged by multiplying with a rate: variable frame rate is normal. When the
/// film is slow motion, real time = file time × file rate / capture rate. The capture rate is unknown until someone
/// states it; then real times are given on the assumption that the file plays at true speed, and `captureKnown()` is
/// false so that callers can refuse to judge times.
class Timebase {
public:
    Timebase() = default;
    /// \p times must be strictly increasing and finite (Error otherwise). \p captureRate, when given, positive.
    static Result<Timebase> make(std::vector<double> times, std::optional<Hertz> captureRate);

    /// A film of \p frames at a constant \p rate that plays at true speed.
    static Timebase constant(int frames, Hertz rate);

    [[nodiscard]] int frames() const { return static_cast<int>(m_times.size()); }
    [[nodiscard]] bool captureKnown() const { return m_captureRate.has_value(); }
    [[nodiscard]] std::optional<Hertz> captureRate() const { return m_captureRate; }

    /// Frames a second of the file, from the median distance of its times. 0 for fewer than two frames.
    [[nodiscard]] Hertz fileRate() const { return m_fileRate; }

    /// Presentation time; frames outside the film are clamped to its ends.
    [[nodiscard]] MediaTime media(FrameIndex frame) const;
    [[nodiscard]] RealTime real(FrameIndex frame) const;

    /// Seconds of file time that one second of real time takes: 4 for 120 Hz stored at 30; 1 while the capture rate is
    /// unknown.
    [[nodiscard]] double slowness() const;

    /// Real time between this frame and its neighbours, the mean of both sides, in s; 0 for a one-frame film.
    [[nodiscard]] double realPeriod(FrameIndex frame) const;

    /// Standard error of an instant placed on a frame: period/√12 (a uniform error over one period, GUM 4.3.7).
    [[nodiscard]] double instantError(FrameIndex frame) const;

    /// The shortest interval between two positions on frames that differs from none with 95 % certainty:
    /// 1.96 √2 period/√12. s of real time.
    [[nodiscard]] double smallestInterval(FrameIndex frame) const;

    /// The frame whose presentation time is nearest.
    [[nodiscard]] FrameIndex nearest(MediaTime time) const;
    /// The frame that was taken nearest to an instant.
    [[nodiscard]] FrameIndex nearest(RealTime time) const { return nearest(MediaTime(time.value * slowness())); }

private:
    std::vector<double> m_times; // s, strictly increasing
    std::optional<Hertz> m_captureRate;
    Hertz m_fileRate;
};

} // namespace riflesso
