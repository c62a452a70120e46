#include "core/measure/question.h"
#include "core/words/say.h"

#include "core/measure/geometry.h"
#include "core/measure/reading.h"
#include "core/statistics/numbers.h"

#include <cmath>
#include <functional>

namespace riflesso {
namespace {

using Points = std::vector<Eigen::Vector2d>;
using FormulaOfPoints = std::function<double(const Points&)>;

const Eigen::Vector2d kRight(1.0, 0.0);
constexpr double kFewestErrors = 6.0; // between the two ends of a direction

// Differences of angles near ±180° and of lengths alike: the short way round for degrees.
double apart(double a, double b, bool degrees) {
    return degrees ? std::remainder(a - b, 360.0) : a - b;
}

// How far the third point lies from the line through the first two: + above it, for an upright line to the right of it.
double aboveLine(const Points& p) {
    const Eigen::Vector2d along = (p[1] - p[0]).normalized();
    Eigen::Vector2d up(along.y(), -along.x()); // pictures have y downwards
    if (up.y() > 1e-9 || (std::abs(up.y()) <= 1e-9 && up.x() < 0.0))
        up = -up;
    return (p[2] - p[0]).dot(up);
}

// How far the third of three points from `from` on lies off the line through the first two: to its left in the picture.
double offAxis(const Points& p, std::size_t from) {
    const Eigen::Vector2d along = (p[from + 1] - p[from]).normalized();
    return Eigen::Vector2d(along.y(), -along.x()).dot(p[from + 2] - p[from]);
}

class Asked {
public:
    Asked(const Question& q, const Timebase& time) : m_q(q), m_time(time) {}

    void measure(const char* kind, const std::string& unit, const FormulaOfPoints& f, bool degrees) {
        const Points clicked = all();
        Answer a{kind, f(mapped(clicked)), 0.0, unit, {}};
        double square = 0.0;
        for (std::size_t i = 0; i < clicked.size(); ++i)
            for (int axis = 0; axis < 2; ++axis) {
                Points more = clicked, less = clicked;
                more[i][axis] += m_q.sigma / 2.0;
                less[i][axis] -= m_q.sigma / 2.0;
                square += std::pow(apart(f(mapped(more)), f(mapped(less)), degrees), 2);
            }
        if (m_q.calibration)
            for (std::size_t k = 0; k < m_q.calibration->variations(); ++k) {
                Points varied;
                for (const auto& p : clicked)
                    varied.push_back(m_q.calibration->uprightIf(k, p));
                square += std::pow(apart(f(varied), a.value, degrees), 2);
            }
        a.u = std::sqrt(square);
        if (!std::isfinite(a.value) || !std::isfinite(a.u))
            a = {kind, 0.0, 0.0, unit, say("ask", "these points give no number")};
        m_answers.push_back(a);
    }
    /// A direction is needed of each of these pairs of points.
    void direction(const char* kind, const std::vector<std::pair<std::size_t, std::size_t>>& pairs,
                   const FormulaOfPoints& f, const std::string& unit = "°", bool degrees = true) {
        const Points clicked = all();
        for (const auto& [a, b] : pairs)
            if ((clicked[a] - clicked[b]).norm() < kFewestErrors * m_q.sigma) {
                m_answers.push_back(
                    {kind, 0.0, 0.0, unit,
                     fill(say("ask", "the points are %1 px apart, which with ± %2 px a point gives no direction"),
                          {figure((clicked[a] - clicked[b]).norm(), 1), general(m_q.sigma, 2)})});
                return;
            }
        measure(kind, unit, f, degrees);
    }
    void add(Answer answer) { m_answers.push_back(std::move(answer)); }
    [[nodiscard]] std::string length() const { return m_q.calibration && m_q.calibration->metric() ? "m" : "px"; }
    std::vector<Answer> answers() && { return std::move(m_answers); }

    void twoFrames() {
        const FrameIndex first = m_q.frame, second = *m_q.second;
        const double seconds = m_time.real(second).value - m_time.real(first).value;
        const double u = std::hypot(m_time.instantError(first), m_time.instantError(second));
        const std::string unknown = say("ask", "the capture rate is not known, so no time can be told");
        const bool known = m_time.captureKnown();
        const auto timed = [&](const char* kind, double value, double error, const std::string& unit) {
            if (!known)
                m_answers.push_back({kind, 0.0, 0.0, unit, unknown});
            else if (seconds == 0.0)
                m_answers.push_back({kind, 0.0, 0.0, unit, say("ask", "both are one frame")});
            else
                m_answers.push_back({kind, value, error, unit, {}});
        };
        timed("time", seconds, u, "s");
        if (m_q.cycles > 0) {
            const double rate = seconds == 0.0 ? 0.0 : 60.0 * m_q.cycles / std::abs(seconds);
            timed("rate", rate, seconds == 0.0 ? 0.0 : rate * u / std::abs(seconds), "1/min");
        }
        if (m_q.secondPoints.empty())
            return;
        const std::size_t n = m_q.points.size();
        measure(
            "way", length(), [n](const Points& p) { return (p[n] - p[0]).norm(); }, false);
        const Answer way = m_answers.back();
        const double speed = seconds == 0.0 ? 0.0 : way.value / std::abs(seconds);
        timed("speed", speed, seconds == 0.0 ? 0.0 : std::hypot(way.u / seconds, speed * u / seconds), length() + "/s");
        if (n >= 2)
            direction("turned", {{0, 1}, {n, n + 1}},
                      [n](const Points& p) { return turnedFrom(p[1] - p[0], p[n + 1] - p[n], kRight).value; });
        if (n == 3)
            twist();
    }

    // The first frame is taken to show the edge as far off the axis as it can be; the second what is left of that.
    void twist() {
        const Points clicked = all();
        for (const std::size_t of : {0U, 3U})
            if ((clicked[of] - clicked[of + 1]).norm() < kFewestErrors * m_q.sigma) {
                direction("twist", {{of, of + 1}}, {});
                return;
            }
        const auto refuse = [&](const std::string& why) { m_answers.push_back({"twist", 0.0, 0.0, "°", why}); };
        if (std::abs(offAxis(clicked, 0)) < kFewestErrors * m_q.sigma) {
            refuse(say("ask", "on the first frame the third point must lie well beside the line through the others: "
                              "choose one where the edge is seen as far out as it can be"));
            return;
        }
        measure(
            "twist", "1", [](const Points& p) { return offAxis(p, 3) / offAxis(p, 0); }, false);
        const Answer share = m_answers.back();
        m_answers.pop_back();
        const auto [turned, u] = axisTurn(share.value, share.u);
        if (!share.refused.empty())
            refuse(share.refused);
        else if (std::abs(share.value) > 1.0 + 3.0 * share.u)
            refuse(say("ask", "the edge lies further out than on the first frame: ask from this frame to that one"));
        else if (u > kMostTwistError)
            refuse(say("measure", "from here the turn about this axis cannot be seen: the edge lies as far out as it "
                                  "can, or the axis points at the camera; film from another side"));
        else
            m_answers.push_back({"twist", turned, u, "°", {}});
    }

private:
    [[nodiscard]] Points all() const {
        Points out;
        for (const auto* list : {&m_q.points, &m_q.secondPoints})
            for (const auto& p : *list)
                out.push_back(p.vector());
        return out;
    }
    [[nodiscard]] Points mapped(const Points& clicked) const {
        if (!m_q.calibration)
            return clicked;
        Points out;
        for (const auto& p : clicked)
            out.push_back(m_q.calibration->upright(p));
        return out;
    }

    const Question& m_q;
    const Timebase& m_time;
    std::vector<Answer> m_answers;
};

} // namespace

Result<std::vector<Answer>> ask(const Question& q, const Timebase& time) {
    if (q.points.size() > 4)
        return Error{
            say("measure", "more than four points cannot be answered together"), {}, {}, {}, ErrorKind::wrongUse};
    if (!q.secondPoints.empty() && q.secondPoints.size() != q.points.size())
        return Error{say("measure", "there must be as many points on the second frame as on the first"),
                     {},
                     {},
                     {},
                     ErrorKind::wrongUse};
    if (!(q.sigma >= 0.0))
        return Error{say("measure", "a click's error is a number from 0 on"), {}, {}, {}, ErrorKind::wrongUse};
    for (const auto* list : {&q.points, &q.secondPoints})
        for (const auto& p : *list)
            if (!std::isfinite(p.x) || !std::isfinite(p.y))
                return Error{say("measure", "a point's place must be two numbers"), {}, {}, {}, ErrorKind::wrongUse};
    Asked asked(q, time);
    if (q.second) {
        asked.twoFrames();
        return std::move(asked).answers();
    }
    const auto distance = [](const Points& p) { return (p[1] - p[0]).norm(); };
    switch (q.points.size()) {
    case 2:
        asked.measure("length", asked.length(), distance, false);
        asked.direction("lean", {{0, 1}}, [](const Points& p) { return leanFromVertical(p[0], p[1], kRight).value; });
        asked.direction("tilt", {{0, 1}}, [](const Points& p) {
            const double tilt = turnedFrom(kRight, p[1] - p[0], kRight).value;
            return tilt > 90.0 ? tilt - 180.0 : tilt <= -90.0 ? tilt + 180.0 : tilt;
        });
        break;
    case 3:
        asked.direction("angle", {{0, 1}, {1, 2}},
                        [](const Points& p) { return includedAngle(p[0], p[1], p[2]).value; });
        asked.direction("distance", {{0, 1}}, aboveLine, asked.length(), false);
        break;
    case 4:
        asked.measure(
            "ratio", "1", [](const Points& p) { return (p[1] - p[0]).norm() / (p[3] - p[2]).norm(); }, false);
        asked.direction("between", {{0, 1}, {2, 3}}, [](const Points& p) {
            return includedAngle(p[1] - p[0], Eigen::Vector2d(0, 0), p[3] - p[2]).value;
        });
        break;
    default:
        break;
    }
    return std::move(asked).answers();
}

} // namespace riflesso
