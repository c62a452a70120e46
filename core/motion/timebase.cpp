#include "core/motion/timebase.h"

#include "core/words/say.h"

#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>

namespace riflesso {

Result<Timebase> Timebase::make(std::vector<double> times, std::optional<Hertz> captureRate) {
    for (std::size_t i = 0; i < times.size(); ++i) {
        if (!std::isfinite(times[i]))
            return Error{"a frame's time is not a number", fill(say("error", "frame %1"), {std::to_string(i)}), {}, {}};
        if (i > 0 && times[i] <= times[i - 1])
            return Error{"a frame's time is not later than the one before",
                         fill(say("error", "frame %1"), {std::to_string(i)}),
                         {},
                         {}};
    }
    if (captureRate && !(captureRate->value > 0.0 && std::isfinite(captureRate->value)))
        return Error{"the capture rate must be a positive number", {}, {}, {}};
    Timebase t;
    std::vector<double> steps;
    for (std::size_t i = 1; i < times.size(); ++i)
        steps.push_back(times[i] - times[i - 1]);
    if (const auto middle = median(steps))
        t.m_fileRate = Hertz(1.0 / *middle);
    t.m_times = std::move(times);
    t.m_captureRate = captureRate;
    return t;
}

Timebase Timebase::constant(int frames, Hertz rate) {
    Timebase t;
    for (int i = 0; i < frames; ++i)
        t.m_times.push_back(i / rate.value);
    t.m_fileRate = frames > 1 ? rate : Hertz(0.0);
    t.m_captureRate = rate;
    return t;
}

MediaTime Timebase::media(FrameIndex frame) const {
    if (m_times.empty())
        return MediaTime(0.0);
    const int i = std::clamp(frame.value, 0, frames() - 1);
    return MediaTime(m_times[static_cast<std::size_t>(i)]);
}

RealTime Timebase::real(FrameIndex frame) const {
    return RealTime(media(frame).value / slowness());
}

double Timebase::slowness() const {
    return m_captureRate && m_fileRate.value > 0.0 ? m_captureRate->value / m_fileRate.value : 1.0;
}

double Timebase::realPeriod(FrameIndex frame) const {
    if (frames() < 2)
        return 0.0;
    const FrameIndex a(std::clamp(frame.value - 1, 0, frames() - 1));
    const FrameIndex b(std::clamp(frame.value + 1, 0, frames() - 1));
    return a == b ? 0.0 : (real(b).value - real(a).value) / (b - a);
}

double Timebase::instantError(FrameIndex frame) const {
    return realPeriod(frame) / std::sqrt(12.0);
}

double Timebase::smallestInterval(FrameIndex frame) const {
    return 1.96 * std::sqrt(2.0) * instantError(frame);
}

FrameIndex Timebase::nearest(MediaTime time) const {
    const auto it = std::lower_bound(m_times.begin(), m_times.end(), time.value);
    if (it == m_times.begin())
        return FrameIndex(0);
    if (it == m_times.end())
        return FrameIndex(frames() - 1);
    const auto i = static_cast<int>(it - m_times.begin());
    return FrameIndex(*it - time.value < time.value - *(it - 1) ? i : i - 1);
}

} // namespace riflesso
