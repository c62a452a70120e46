#pragma once
/// \file
/// What the simulated techniques are made of, and one maker a technique. Used inside this room only.

#include "simulator/movement.h"

#include <Eigen/Geometry>

#include <algorithm>
#include <cmath>
#include <initializer_list>
#include <random>
#include <utility>
#include <vector>

namespace riflesso::moving {

using V = Eigen::Vector3d;

inline double rad(double degrees) {
    return degrees * M_PI / 180.0;
}

// Minimum-jerk step from 0 to 1 between two instants (Flash and Hogan 1985, J. Neurosci. 5:1688-1703).
inline double step(double t, double from, double to) {
    const double u = std::clamp((t - from) / (to - from), 0.0, 1.0);
    return u * u * u * (10.0 - 15.0 * u + 6.0 * u * u);
}
inline double mix(double a, double b, double s) {
    return a + (b - a) * s;
}
inline V mix(const V& a, const V& b, double s) {
    return a + (b - a) * s;
}
// Through several values, a minimum-jerk step from each to the next.
inline double through(double t, std::initializer_list<std::pair<double, double>> knots) {
    double value = knots.begin()->second;
    for (auto k = knots.begin() + 1; k != knots.end(); ++k)
        value += (k->second - (k - 1)->second) * step(t, (k - 1)->first, k->first);
    return value;
}
// The middle joint of a two-segment limb, bent towards `pole`; the end comes in when it is out of reach.
inline V bend(const V& root, V& end, double upper, double lower, const V& pole) {
    const double most = 0.9995 * (upper + lower);
    if ((end - root).norm() > most)
        end = root + (end - root).normalized() * most;
    const V axis = (end - root).normalized();
    const double d = (end - root).norm();
    const double along = (upper * upper - lower * lower + d * d) / (2.0 * d);
    const double off = std::sqrt(std::max(0.0, upper * upper - along * along));
    const V side = (pole - pole.dot(axis) * axis).normalized();
    return root + along * axis + off * side;
}

class Random {
public:
    Random(unsigned seed, double variation) : m_engine(seed), m_normal(0.0, variation) {}
    double operator()(double sd) { return sd * (m_normal.stddev() > 0.0 ? m_normal(m_engine) : 0.0); }

private:
    std::mt19937 m_engine;
    std::normal_distribution<double> m_normal;
};

// The cycle, shot or stroke that is under way: the last one that has begun.
template <typename T> const T& runningAt(const std::vector<T>& all, double t) {
    const T* now = &all.front();
    for (const auto& one : all)
        if (t >= one.start)
            now = &one;
    return *now;
}

inline double of(const Faults& faults, const char* name) {
    const auto it = faults.find(name);
    return it == faults.end() ? 0.0 : it->second;
}

/// A technique: its faults by name, each with what its size means, and how a take of it is made.
struct Technique {
    std::map<std::string, std::string> faults;
    std::unique_ptr<SimulatedMovement> (*make)(const SimulatedAthlete& athlete, const Faults& faults, double variation,
                                               int reps, unsigned seed);
};
const Technique& walk();
const Technique& shot();
const Technique& spike();
const Technique& row();
const Technique& duels();

/// Technique::make of a class.
template <typename Movement>
std::unique_ptr<SimulatedMovement> made(const SimulatedAthlete& athlete, const Faults& faults, double variation,
                                        int reps, unsigned seed) {
    return std::make_unique<Movement>(athlete, faults, variation, reps, seed);
}

} // namespace riflesso::moving
