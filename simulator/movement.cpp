#include "simulator/movement.h"

#include <Eigen/Geometry>

#include <algorithm>
#include <cmath>
#include <random>

namespace riflesso {
namespace {

using V = Eigen::Vector3d;

double rad(double degrees) {
    return degrees * M_PI / 180.0;
}

// Minimum-jerk step from 0 to 1 between two instants (Flash and Hogan 1985, J. Neurosci. 5:1688-1703).
double step(double t, double from, double to) {
    const double u = std::clamp((t - from) / (to - from), 0.0, 1.0);
    return u * u * u * (10.0 - 15.0 * u + 6.0 * u * u);
}
double mix(double a, double b, double s) {
    return a + (b - a) * s;
}
V mix(const V& a, const V& b, double s) {
    return a + (b - a) * s;
}
// Through several values, a minimum-jerk step from each to the next.
double through(double t, std::initializer_list<std::pair<double, double>> knots) {
    double value = knots.begin()->second;
    for (auto k = knots.begin() + 1; k != knots.end(); ++k)
        value += (k->second - (k - 1)->second) * step(t, (k - 1)->first, k->first);
    return value;
}
// The middle joint of a two-segment limb, bent towards `pole`; the end comes in when it is out of reach.
V bend(const V& root, V& end, double upper, double lower, const V& pole) {
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

double of(const Faults& faults, const char* name) {
    const auto it = faults.find(name);
    return it == faults.end() ? 0.0 : it->second;
}

// Race walking
// ---------------------------------------------------------------------------------------------------------
class Walk : public SimulatedMovement {
public:
    Walk(const SimulatedAthlete& a, const Faults& f, double variation, int cycles, unsigned seed)
        : m_a(a), m_f(f), m_h(a.stature() / 1.8) {
        Random r(seed, variation);
        // One cycle before and one after, so that the first and the last are walked into and out of.
        double start = 0.0, x = 0.0;
        for (int i = -1; i < cycles + 1; ++i) {
            Cycle c;
            const double tired = cycles > 1 ? std::clamp(static_cast<double>(i) / (cycles - 1), 0.0, 1.0) : 0.0;
            c.period = 60.0 / (96.0 - of(f, "rate_fades") * tired + r(0.5));
            c.length = (2.05 + of(f, "overstride") * 0.6) * m_h + r(0.012);
            c.start = start;
            c.x = x;
            c.gives = of(f, "knee_gives") + of(f, "form_fades") * tired;
            start += c.period;
            x += c.length;
            m_cycles.push_back(c);
        }
        m_toeOff = 0.5 + m_double - of(f, "flight") / m_cycles.front().period;
        m_upright = 0.12;
        for (double early = 0.02, late = 0.45; late - early > 1e-6;) { // where the hip is over the ankle
            m_upright = (early + late) / 2.0;
            const BodyPose p = hips(m_upright, m_cycles[1]);
            (hipOf(p, 1.0).x() < p.leadAnkle.x() ? early : late) = m_upright;
        }
        for (int i = 0; i < cycles; ++i) {
            const auto& c = m_cycles[static_cast<std::size_t>(i) + 1];
            const double next = m_cycles[static_cast<std::size_t>(i) + 2].start;
            const auto at = [&](double share) { return c.start + share * c.period; };
            m_reps.push_back({at(-0.18),
                              next + 0.10 * c.period,
                              {{"contact", c.start},
                               {"rear_leaves", at(m_toeOff - 0.5)},
                               {"upright", at(m_upright)},
                               {"rear_contact", at(0.5)},
                               {"lead_leaves", at(m_toeOff)},
                               {"next_contact", next}}});
        }
    }
    Joints at(double t) const override {
        const Cycle* c = &runningAt(m_cycles, t);
        const double u = (t - c->start) / c->period;
        BodyPose p = hips(u, *c);
        p.pelvis.y() = height(u, *c);
        swingLeg(p, u);
        Joints j = jointsOf(m_a, arms(p, u));
        if (of(m_f, "on_belt") > 0.0) { // the ground runs back under the walker at the mean speed of the cycle
            const V back(c->x + c->length * u, 0, 0);
            for (auto& [name, place] : j.at)
                place -= back;
        }
        return j;
    }

private:
    struct Cycle {
        double start, period, length, x, gives;
    };
    [[nodiscard]] double footAhead() const { return (0.33 + of(m_f, "overstride") * 0.5) * m_h; }
    [[nodiscard]] V hipOf(const BodyPose& p, double side) const {
        const V hips(std::sin(rad(p.pelvisYaw)) * std::cos(rad(p.pelvisRoll)), std::sin(rad(p.pelvisRoll)),
                     std::cos(rad(p.pelvisYaw)) * std::cos(rad(p.pelvisRoll)));
        return p.pelvis + side * hips * 0.191 * m_a.stature() * 0.26;
    }
    // Where a foot came down last and where it will come down next. It lands at \p share of each cycle; \p u: cycles
    // since it landed in cycle \p i.
    struct Places {
        double last, next;
    };
    [[nodiscard]] Places placeOf(int i, double share, double u) const {
        const auto at = [&](int k) {
            const int n = std::clamp(k, 0, static_cast<int>(m_cycles.size()) - 1);
            const Cycle& c = m_cycles[static_cast<std::size_t>(n)];
            return c.x + c.length * (k - n + share) + footAhead();
        };
        const int k = i + static_cast<int>(std::floor(u));
        return {at(k), at(k + 1)};
    }
    // Everything but the hips' height.
    [[nodiscard]] BodyPose hips(double u, const Cycle& c) const {
        BodyPose p;
        p.pelvis = V(c.x + c.length * u, 0, 0);
        p.pelvisYaw = 15.0 * std::cos(2.0 * M_PI * u); // the landing side's hip is forward
        p.pelvisRoll = (7.0 - of(m_f, "stiff_hips")) * std::sin(2.0 * M_PI * (u + 0.02));
        p.shoulderYaw = -16.0 * std::cos(2.0 * M_PI * u);
        p.trunkLean = 2.0 + of(m_f, "trunk_bent") + 0.7 * std::cos(4.0 * M_PI * u);
        const int i = static_cast<int>(&c - m_cycles.data());
        foot(u, placeOf(i, 0.0, u), p.leadAnkle, p.leadFootPitch, 0.035);
        foot(u + 0.5, placeOf(i - 1, 0.5, u + 0.5), p.rearAnkle, p.rearFootPitch, -0.035);
        return p;
    }
    // From the contact to upright the standing leg says how high the hips are; from there they sink to what the other
    // leg will need at its contact.
    [[nodiscard]] double height(double u, const Cycle& c) const {
        const double phase = (u - std::floor(u)) - (u - std::floor(u) >= 0.5 ? 0.5 : 0.0);
        const double up = onLeg(std::floor(2.0 * u) / 2.0 + m_upright, c);
        if (phase <= m_upright)
            return onLeg(u, c);
        return mix(up, onLeg(std::floor(2.0 * u) / 2.0 + 0.5, c), step(phase, m_upright, 0.5));
    }
    [[nodiscard]] double onLeg(double u, const Cycle& c) const {
        const BodyPose p = hips(u, c);
        const double share = u - std::floor(u);
        const bool lead = share < 0.5 - 1e-9;
        const double phase = lead ? share : share - 0.5;
        const V hip = hipOf(p, lead ? 1.0 : -1.0), ankle = lead ? p.leadAnkle : p.rearAnkle;
        const double bent = of(m_f, "bent_contact") * (1.0 - step(phase, 0.02, m_upright)) +
                            c.gives * std::pow(std::sin(M_PI * std::clamp(phase / m_upright, 0.0, 1.0)), 2);
        const double reach = (0.9988 - bent) * m_a.legLength();
        const double dx = hip.x() - ankle.x(), dz = hip.z() - ankle.z();
        return ankle.y() + std::sqrt(std::max(0.01, reach * reach - dx * dx - dz * dz)) -
               hip.y(); // hip is at height 0 here
    }
    // A leg that swings keeps clear of being longer than it is, and comes down as bent as it will be.
    void swingLeg(BodyPose& p, double u) const {
        for (const double side : {1.0, -1.0}) {
            V& ankle = side > 0 ? p.leadAnkle : p.rearAnkle;
            const V hip = hipOf(p, side);
            const double phase = (side > 0 ? u : u + 0.5) - std::floor(side > 0 ? u : u + 0.5);
            const double bent = phase > m_toeOff ? of(m_f, "bent_contact") * step(phase, 0.78, 1.0) : 0.0;
            const double most = (0.9988 - bent) * m_a.legLength();
            if ((ankle - hip).norm() > most)
                ankle = hip + (ankle - hip).normalized() * most;
        }
    }
    BodyPose arms(BodyPose p, double u) const {
        const V neck = p.pelvis + V(std::sin(rad(p.trunkLean)), std::cos(rad(p.trunkLean)), 0) * 0.288 * m_a.stature();
        const double swing = std::cos(2.0 * M_PI * u), high = of(m_f, "hands_high"), open = of(m_f, "long_arms");
        for (const double side : {1.0, -1.0}) {
            const double s = -side * swing; // opposite to the leg of the same side
            V wrist = neck + V((0.10 + 0.24 * s) * m_h, (-0.40 + 0.07 * s - open * 0.11) * m_h,
                               side * (0.24 - 0.06 * std::max(0.0, s)) * m_h);
            wrist.y() += high * std::max(0.0, s);
            (side > 0 ? p.leadWrist : p.rearWrist) = wrist;
        }
        p.elbowTo = V(-1, -0.4, 0);
        return p;
    }
    // \p u: shares of a cycle since this foot's last contact or before it.
    void foot(double u, const Places& places, V& ankle, double& pitch, double z) const {
        const double phase = u - std::floor(u);
        const double ground = m_a.ankleHeight(), length = 0.152 * m_a.stature();
        const double rise = 0.27;
        const auto standing = [&](double share, V& at, double& angle) {
            angle = 24.0 * (1.0 - step(share, 0.0, 0.09)) - 46.0 * step(share, rise, m_toeOff + 0.03);
            at = V(places.last, ground, z);
            if (angle > 0) // over the heel
                at += V(-0.27 * length * (1 - std::cos(rad(angle))), 0.27 * length * std::sin(rad(angle)) * 0.6, 0);
            else // over the toes
                at += V(0.73 * length * (1 - std::cos(rad(angle))), 0.73 * length * std::sin(rad(-angle)) * 0.95, 0);
        };
        if (phase <= m_toeOff) {
            standing(phase, ankle, pitch);
            return;
        }
        V from, to;
        double off = 0.0, on = 0.0;
        standing(m_toeOff, from, off);
        standing(0.0, to, on);
        to.x() += places.next - places.last;
        const double s = (phase - m_toeOff) / (1.0 - m_toeOff);
        pitch = through(s, {{0.0, off}, {0.55, 4.0}, {1.0, on}});
        const double begun = step(0.0, -0.06, 1.0); // the foot has its speed when it leaves
        ankle = V(mix(from.x(), to.x(), (step(s, -0.06, 1.0) - begun) / (1.0 - begun)),
                  mix(from.y(), to.y(), step(s, 0.0, 0.9)), z);
        ankle.y() += 0.03 * m_h * std::sin(M_PI * s) * (1.0 - s);
    }
    SimulatedAthlete m_a;
    Faults m_f;
    double m_h;
    double m_double = 0.012; // of the cycle: both feet on the ground, each time
    double m_toeOff = 0.5, m_upright = 0.15;
    std::vector<Cycle> m_cycles;
};

// The archery shot
// -----------------------------------------------------------------------------------------------------
class Shot : public SimulatedMovement {
public:
    Shot(const SimulatedAthlete& a, const Faults& f, double variation, int reps, unsigned seed)
        : m_a(a), m_f(f), m_h(a.stature() / 1.8) {
        Random r(seed, variation);
        double start = 0.0;
        for (int i = 0; i < reps; ++i) {
            Arrow s;
            s.start = start;
            s.raised = 0.8 + r(0.02);
            s.draw = s.raised + 0.35;
            s.anchor = s.draw + 1.35 + r(0.04);
            s.release = s.anchor + 2.4 + of(f, "held_long") + r(0.10);
            s.follow = s.release + 0.18;
            s.end = s.follow + 0.9;
            s.phase = r(1.0);
            const double t0 = start;
            m_reps.push_back({t0,
                              t0 + s.end,
                              {{"raised", t0 + s.raised},
                               {"draw_starts", t0 + s.draw},
                               {"anchor", t0 + s.anchor},
                               {"release", t0 + s.release},
                               {"follow", t0 + s.follow}}});
            start += s.end;
            m_shots.push_back(s);
        }
    }
    Joints at(double t) const override {
        const Arrow* s = &runningAt(m_shots, t);
        const double u = t - s->start;
        BodyPose p;
        const double L = m_a.legLength(), ankle = m_a.ankleHeight();
        p.leadAnkle = V(0.21 * m_h, ankle, 0);
        p.rearAnkle = V(-0.21 * m_h, ankle, 0);
        p.pelvis = V(0.0, ankle + 0.968 * L, 0);
        p.pelvisYaw = p.shoulderYaw = 90.0; // the chest faces the camera, the bow side the target
        p.footYaw = 90.0;
        p.kneeTo = V(0, 0.1, -1);
        p.trunkLean = -of(m_f, "lean_back");
        const V up(std::sin(rad(p.trunkLean)), std::cos(rad(p.trunkLean)), 0);
        const V neck = p.pelvis + up * 0.288 * m_a.stature();
        const double half = 0.259 * m_a.stature() * 0.43;
        const double shoulderUp = of(m_f, "bow_shoulder_up");
        const V leadShoulder = neck + V(half, -0.02, 0), rearShoulder = neck - V(half, 0.02, 0);
        // The bow hand: raised, then still but for a small tremor; it drops after the shot when that is a fault.
        const double tremor = (0.0006 + of(m_f, "restless") * 0.01) * m_h;
        const double aiming = step(u, s->raised, s->anchor) * (1.0 - step(u, s->release + 0.3, s->end));
        const V wander(tremor * std::sin(11.0 * u + s->phase), tremor * std::sin(7.3 * u + 2.0 * s->phase), 0);
        const double arm = (0.186 + 0.146) * m_a.stature() * 0.992;
        const V hang = leadShoulder + V(0.10, -arm * 0.95, 0), aim = leadShoulder + V(arm, 0.01 + shoulderUp, 0);
        const double raise = step(u, 0.05, s->raised) * (1.0 - step(u, s->follow + 0.15, s->end));
        V bow = mix(hang, aim, raise) + aiming * wander;
        const double gone = step(u, s->release, s->release + 0.35);
        bow.y() -= of(m_f, "bow_falls") * gone * (1.0 - step(u, s->follow + 0.15, s->end));
        p.leadWrist = bow;
        // The string hand: on the string before the bow, drawn to the chin, released back over the shoulder.
        const V grip = bow + V(0.06, 0, 0);
        // On the string as near to the bow as the arm reaches: not drawn yet.
        const V over = bow - rearShoulder;
        const V before = rearShoulder + over.normalized() * std::min(over.norm() - 0.20 * m_h, 0.98 * arm);
        const V chin = neck + V(-0.03, 0.045, -0.055) * m_h;
        const V after =
            rearShoulder + V(-0.10 + 0.20 * of(m_f, "plucked") * 2.0, 0.04 + of(m_f, "plucked"), -0.06) * m_h;
        const V low = rearShoulder + V(0.0, -0.5, 0) * m_h;
        const double drawn = step(u, s->draw, s->anchor);
        const double creep = of(m_f, "creeping") * step(u, s->anchor + 0.4, s->release);
        V hand = mix(mix(low, before, step(u, 0.05, s->raised)), chin + V(creep, 0, 0), drawn);
        const double detour =
            of(m_f, "jerky") * (std::sin(2.0 * M_PI * 2.5 * (u - s->draw)) * drawn * (1.0 - drawn) * 2.0);
        hand.x() += detour;
        // The string springs out of the hand: the hand goes back quickly.
        hand = mix(hand, after, 1.0 - std::exp(-std::max(0.0, u - s->release) / 0.045));
        hand = mix(hand, low, step(u, s->follow + 0.15, s->end));
        p.rearWrist = hand;
        p.elbowTo = V(-0.4, 0.15 - of(m_f, "elbow_low") * 6.0, -0.6);
        p.headLean = 0.0;
        Joints j = jointsOf(m_a, p);
        // At full draw the elbow lies behind the hand on the arrow's line. The shoulder blade that makes room for it is
        // not modelled, so the upper arm is drawn shorter there.
        const double full = drawn * (1.0 - step(u, s->follow + 0.15, s->end));
        const V behind =
            j.at["left_wrist"] + V(-0.965, 0.02 - 0.5 * of(m_f, "elbow_low"), 0.2).normalized() * 0.146 * m_a.stature();
        j.at["left_elbow"] = mix(j.at["left_elbow"], behind, full);
        const V knuckles = (j.at["left_wrist"] - j.at["left_elbow"]).normalized() * 0.108 * m_a.stature() * 0.55;
        j.at["left_hand"] = j.at["left_wrist"] + knuckles;
        // The head turns towards the target and moves when it looks after the arrow.
        j.at["head"] += V(0.015, 0, 0) + V(of(m_f, "head_moves"), 0, 0) * step(u, s->release - 0.15, s->release + 0.1) *
                                             (1.0 - step(u, s->follow + 0.15, s->end));
        if (shoulderUp > 0.0)
            j.at["right_shoulder"] += V(0, shoulderUp, 0) * raise;
        // The arrow lies between the string hand and the bow until it has gone.
        const V nock = j.at["left_hand"], rest = grip + V(0.02, 0.03, 0);
        const double flown = std::max(0.0, u - s->release);
        const V way = (rest - nock).normalized();
        const V tail = flown > 0.0 ? nock + way * 60.0 * flown : nock;
        j.at["arrow_tail"] = tail;
        j.at["arrow_tip"] = tail + way * 0.78;
        if (flown > 0.0) { // out of the picture soon; what is marked afterwards lies where it lay at the release
            const V held = chin + V(creep, 0, 0) + V(0.05, 0.0, 0);
            j.at["arrow_tail"] = held;
            j.at["arrow_tip"] = held + (rest - held).normalized() * 0.78;
        }
        return j;
    }

private:
    struct Arrow {
        double start, raised, draw, anchor, release, follow, end, phase;
    };
    SimulatedAthlete m_a;
    Faults m_f;
    double m_h;
    std::vector<Arrow> m_shots;
};

// The volleyball spike
// -------------------------------------------------------------------------------------------------
class Spike : public SimulatedMovement {
public:
    Spike(const SimulatedAthlete& a, const Faults& f, double variation, int reps, unsigned seed)
        : m_a(a), m_f(f), m_h(a.stature() / 1.8) {
        Random r(seed, variation);
        double start = 0.0;
        for (int i = 0; i < reps; ++i) {
            Jump k;
            k.start = start;
            k.step = 0.55 + r(0.01);
            k.plant = k.step + 0.16 + of(f, "slow_feet") + r(0.005);
            k.deepest = k.plant + 0.13 + r(0.004);
            k.off = k.deepest + 0.17 + r(0.004);
            k.rise = 0.50 * m_h - of(f, "low_jump") + r(0.008);
            k.flight = 2.0 * std::sqrt(2.0 * k.rise / 9.81) + 0.02;
            k.contact = k.off + 0.49 * k.flight + of(f, "late_ball");
            k.back = k.contact - 0.16 + r(0.004);
            k.land = k.off + k.flight;
            k.settled = k.land + 0.20;
            k.end = k.settled + 0.75;
            m_reps.push_back({start,
                              start + k.end,
                              {{"long_step", start + k.step},
                               {"plant", start + k.plant},
                               {"deepest", start + k.deepest},
                               {"take_off", start + k.off},
                               {"arm_back", start + k.back},
                               {"contact", start + k.contact},
                               {"landing", start + k.land},
                               {"settled", start + k.settled}}});
            start += k.end;
            m_jumps.push_back(k);
        }
    }
    Joints at(double t) const override {
        const Jump* k = &runningAt(m_jumps, t);
        const double u = t - k->start;
        const double L = m_a.legLength(), ankle = m_a.ankleHeight();
        const double bendBy = 0.245 - of(m_f, "no_depth");
        BodyPose p;
        const double forward = 0.35 + of(m_f, "flies_forward");
        // Hips: forward through the approach, braked at the plant, up and down in the air.
        const double run = through(u, {{0.0, -1.35}, {k->plant + 0.05, -0.10}});
        const double air = std::clamp((u - k->off) / k->flight, 0.0, 1.0);
        const double x = run + 0.10 * step(u, k->plant, k->off) + forward * air;
        const double stand = ankle + 0.975 * L, deep = ankle + (0.985 - bendBy) * L, off = ankle + 1.0 * L + 0.06;
        double y = 0.0;
        if (u < k->off) {
            y = through(u, {{0.0, stand}, {k->step, stand - 0.07}, {k->deepest, deep}});
            // Up until the feet leave: as fast as the flight begins.
            const double v = 9.81 * k->flight / 2.0, T = k->off - k->deepest;
            if (u > k->deepest) {
                const double s = (u - k->deepest) / T;
                // Cubic from rest at the deepest point to the take-off's height and speed.
                const double rise = off - deep;
                y = deep + (3 * rise - v * T) * s * s + (v * T - 2 * rise) * s * s * s;
            }
        } else if (u < k->land) {
            const double w = u - k->off;
            y = off + 9.81 * k->flight / 2.0 * w - 0.5 * 9.81 * w * w;
        } else {
            const double give = 0.19 - of(m_f, "stiff_landing");
            const double w = u - k->land, T = k->settled - k->land, v = 9.81 * k->flight / 2.0;
            const double s = std::clamp(w / T, 0.0, 1.0), fall = -give * L - 0.02;
            y = off + (3 * fall + v * T) * s * s * 1.0 - v * T * s + (-2 * fall) * s * s * s +
                (v * T) * (s * s - s * s * s) * 1.0;
            y = mix(y, stand, step(u, k->settled + 0.05, k->end - 0.1));
        }
        p.pelvis = V(x, y, 0);
        p.trunkLean = through(u, {{0.0, 14.0},
                                  {k->step, 8.0},
                                  {k->plant, -7.0 + of(m_f, "flies_forward") * 30},
                                  {k->deepest, 22.0},
                                  {k->off, 3.0},
                                  {k->back - 0.05, -12.0},
                                  {k->contact - 0.02, 10.0},
                                  {k->land, 14.0},
                                  {k->settled, 26.0},
                                  {k->end, 10.0}});
        p.shoulderYaw = through(u, {{0.0, 0.0},
                                    {k->deepest, -20.0},
                                    {k->back, -48.0},
                                    {k->contact + 0.02, 12.0},
                                    {k->land, 20.0},
                                    {k->end, 0.0}});
        p.pelvisYaw = through(
            u, {{0.0, 0.0}, {k->deepest, -12.0}, {k->back - 0.03, -25.0}, {k->contact - 0.05, 6.0}, {k->end, 0.0}});
        // Feet. Lead: the long step; rear closes beside it.
        const double at = -0.05;
        const V leadDown(at - 0.06, ankle, 0.12), rearDown(at + 0.10, ankle, -0.12);
        const auto footOf = [&](const V& down, double from, double lands, double otherLands) -> V {
            V a = down;
            if (u < lands) {
                const double s = std::clamp((u - from) / (lands - from), 0.0, 1.0);
                a = V(mix(down.x() - 1.15, down.x(), step(u, from, lands)), ankle + 0.16 * std::sin(M_PI * s),
                      down.z());
            }
            // The heel rises until the toes leave, with the leg straight: as fast as the hips go up, nearly.
            a.y() += 0.06 * std::pow(std::clamp((u - k->off) / 0.09 + 1.0, 0.0, 1.0), 3);
            if (u > k->off) {
                const double hang = step(u, k->off, k->off + 0.12) * (1.0 - step(u, k->land - 0.15, k->land));
                const double leg = (1.0 - 0.015 * step(u, k->off, k->off + 0.12)) * L;
                const V under = V(x - 0.05 - 0.16 * hang, y - leg + 0.10 * hang, down.z());
                const V landed(mix(at, at + forward, 1.0) + (down.z() > 0 ? 0.0 : 0.06),
                               ankle + otherLands * (1.0 - step(u, k->land, k->land + 0.10)), down.z());
                a = u < k->land ? V(under.x(), std::max(under.y(), ankle), under.z()) : landed;
                if (u < k->off + 0.15)
                    a.x() = mix(down.x(), a.x(), step(u, k->off, k->off + 0.15));
                else if (u > k->land - 0.06 && u < k->land + 0.001)
                    a = mix(V(under.x(), std::max(under.y(), ankle), under.z()), landed,
                            step(u, k->land - 0.06, k->land));
            }
            return a;
        };
        p.leadAnkle = footOf(leadDown, 0.10, k->step, of(m_f, "one_foot"));
        p.rearAnkle = footOf(rearDown, k->step - 0.20, k->plant, 0.0);
        const double tip = step(u, k->off - 0.09, k->off) * (1.0 - step(u, k->land - 0.2, k->land + 0.06));
        p.leadFootPitch = through(u, {{k->step - 0.2, 0.0}, {k->step, 22.0}, {k->step + 0.07, 0.0}}) - 38.0 * tip;
        p.rearFootPitch = through(u, {{k->plant - 0.15, 0.0}, {k->plant, 10.0}, {k->plant + 0.05, 0.0}}) - 38.0 * tip;
        // Arms against the shoulders: swung back, up, the bow drawn, the hit.
        const V neck = p.pelvis + V(std::sin(rad(p.trunkLean)), std::cos(rad(p.trunkLean)), 0) * 0.288 * m_a.stature();
        const double arm = (0.186 + 0.146) * m_a.stature();
        const double lowElbow = of(m_f, "low_elbow");
        // The hitting arm by its two angles: drawn back with the elbow high, the upper arm comes first, the forearm is
        // left behind and whips. 0 hangs, 90 points forward, 180 up, 270 back.
        const double back = -68.0 + of(m_f, "no_arm_swing");
        // A low jump leaves little time: the arm is up earlier.
        const double up = std::min(k->off + 0.10, k->back - 0.05);
        const double upper = through(u, {{0.05, 15.0},
                                         {k->deepest - 0.02, back},
                                         {up, 150.0},
                                         {k->back, 250.0 + lowElbow * 48.0},
                                         {k->contact + 0.03, 168.0},
                                         {k->contact + 0.46, 40.0},
                                         {k->end, 12.0}});
        const double fore = through(u, {{0.05, 40.0},
                                        {k->deepest - 0.02, back + 8.0},
                                        {up, 156.0},
                                        {k->back, 200.0},
                                        {k->contact - 0.070, 226.0 + of(m_f, "bent_arm") * 100.0},
                                        {k->contact + 0.085, 118.0 + of(m_f, "bent_arm") * 100.0},
                                        {k->contact + 0.34, 52.0},
                                        {k->end, 30.0}});
        const double other = through(u, {{0.05, 10.0},
                                         {k->deepest - 0.02, -62.0},
                                         {up + 0.02, 150.0},
                                         {k->back + 0.03, 135.0},
                                         {k->contact + 0.05, 50.0},
                                         {k->end, 15.0}});
        p.rearWrist = neck + V(0.0, -0.02, -0.2) + V(std::sin(rad(other)), -std::cos(rad(other)), 0) * 0.93 * arm;
        p.elbowTo = V(-0.6, -0.2, 0.35);
        Joints j = jointsOf(m_a, p);
        const auto swing = [](double degrees) {
            return V(std::sin(rad(degrees)), -std::cos(rad(degrees)), 0.12).normalized();
        };
        j.at["right_elbow"] = j.at["right_shoulder"] + 0.186 * m_a.stature() * swing(upper);
        j.at["right_wrist"] = j.at["right_elbow"] + 0.146 * m_a.stature() * swing(fore);
        j.at["right_hand"] = j.at["right_wrist"] + 0.108 * 0.55 * m_a.stature() * swing(fore);
        // The ball comes down to where the hand will be, and goes from there.
        const double w = u - k->contact;
        const V met = V(0.50 + 0.5 * forward * 0.98 - 0.3, 0, 0.2) + V(0.10, m_a.stature() * 1.42 + k->rise, 0);
        j.at["ball"] =
            w < 0.0 ? V(met + V(-0.9 * w * 0.4, -0.8 * w - 4.9 * w * w, 0)) : V(met + V(14.0 * w, -6.0 * w, 0));
        return j;
    }

private:
    struct Jump {
        double start, step, plant, deepest, off, rise, flight, back, contact, land, settled, end;
    };
    SimulatedAthlete m_a;
    Faults m_f;
    double m_h;
    std::vector<Jump> m_jumps;
};

// The rowing stroke
// ----------------------------------------------------------------------------------------------------
class Row : public SimulatedMovement {
public:
    Row(const SimulatedAthlete& a, const Faults& f, double variation, int strokes, unsigned seed)
        : m_a(a), m_f(f), m_h(a.stature() / 1.8) {
        Random r(seed, variation);
        double start = 0.25;
        for (int i = 0; i < strokes; ++i) {
            const double tired = strokes > 1 ? static_cast<double>(i) / (strokes - 1) : 0.0;
            Stroke s;
            s.start = start;
            s.period = 60.0 / (22.0 + r(0.25));
            s.drive = 0.36 + of(f, "rushed") + r(0.004);
            s.layback = -25.0 - of(f, "lies_back") - of(f, "layback_drift") * tired + r(0.7);
            s.reach = 27.0 + of(f, "over_reach") - of(f, "length_fades") * tired + r(0.6);
            m_strokes.push_back(s);
            start += s.period;
        }
        for (const auto& s : m_strokes) {
            const auto at = [&](double share) { return s.start + share * s.period; };
            m_reps.push_back({s.start,
                              s.start + s.period,
                              {{"catch", s.start},
                               {"legs_down", at(s.drive * 0.74)},
                               {"finish", at(s.drive)},
                               {"hands_away", at(handsAway(s))},
                               {"knees_rise", at(kneesRise(s))},
                               {"next_catch", s.start + s.period}}});
        }
        m_reps.back().end += 0.25;
    }
    Joints at(double t) const override {
        const Stroke* s = &runningAt(m_strokes, t);
        const double u = std::clamp((t - s->start) / s->period, -0.02, 1.0);
        const double L = m_a.legLength();
        BodyPose p;
        const V foot(0.0, 0.22, 0);
        p.leadAnkle = foot + V(0, 0, 0.09);
        p.rearAnkle = foot - V(0, 0, 0.09);
        p.leadFootPitch = p.rearFootPitch = 42.0;
        // The seat: far forward at the catch, legs nearly straight when they are down. x points to the flywheel.
        const double front = -(0.33 + of(m_f, "short_slide")) * m_h, backmost = -0.985 * L;
        const double early = of(m_f, "opens_early"),
                     seat = step(u, 0.0, s->drive * 0.74) * (1.0 - step(halted(*s, u), kneesRise(*s), 1.0));
        p.pelvis = V(mix(front - 0.02, backmost, seat), 0.42 * m_h, 0);
        // The trunk opens after the legs have begun, and swings forward before the knees rise.
        const double opens = step(u, s->drive * (0.40 - early), s->drive * 0.97);
        const double over = step(u, s->drive + 0.03, std::min(0.97, kneesRise(*s) + 0.02 + of(m_f, "late_rock") * 0.3));
        const auto& next =
            m_strokes[std::min(m_strokes.size(), static_cast<std::size_t>(s - m_strokes.data()) + 2) - 1];
        const double lean = mix(mix(s->reach, s->layback, opens), next.reach, over); // no jump from stroke to stroke
        p.trunkLean = lean;
        p.headLean = -lean * 0.4;
        // The handle on a level chain: arms straight until the trunk is nearly open.
        const double half = 0.02;
        const V shoulder =
            p.pelvis + V(std::sin(rad(lean)), std::cos(rad(lean)), 0) * 0.288 * m_a.stature() - V(0, half, 0);
        const double arm = (0.186 + 0.146) * m_a.stature() * 0.985;
        const double pulled = step(u, s->drive * (0.75 - of(m_f, "early_arms")), s->drive) *
                              (1.0 - step(u, s->drive + 0.015, handsAway(*s)));
        const double level = 0.63 * m_h + of(m_f, "handle_hill") * std::sin(M_PI * std::clamp(u / s->drive, 0.0, 1.0)) *
                                              (u < s->drive ? 1.0 : 0.0);
        const double dy = level - shoulder.y();
        const double straight = shoulder.x() + std::sqrt(std::max(0.01, arm * arm - dy * dy - 0.02));
        const double body = shoulder.x() + 0.13 * m_h;
        const V handle(mix(straight, body, pulled),
                       level - 0.05 * (u > s->drive ? 1.0 : 0.0) * step(u, s->drive, s->drive + 0.08) *
                                   (1.0 - step(u, 0.85, 1.0)),
                       0);
        p.leadWrist = handle + V(0, 0, 0.16);
        p.rearWrist = handle - V(0, 0, 0.16);
        p.elbowTo = V(-0.5, -0.7, 0.25);
        Joints j = jointsOf(m_a, p);
        j.at["scene_wheel"] = V(0.62, 0.42, 0);
        return j;
    }

private:
    struct Stroke {
        double start, period, drive, layback, reach;
    };
    [[nodiscard]] double handsAway(const Stroke& s) const { return s.drive + 0.13; }
    // On the way forward the seat nearly stands still three times.
    [[nodiscard]] double halted(const Stroke& s, double u) const {
        const double first = kneesRise(s), way = std::clamp((u - first) / (1.0 - first), 0.0, 1.0);
        return u - (1.0 - first) * of(m_f, "halting") / (6.0 * M_PI) * std::sin(6.0 * M_PI * way);
    }
    [[nodiscard]] double kneesRise(const Stroke& s) const { return s.drive + 0.22 - of(m_f, "knees_early"); }
    SimulatedAthlete m_a;
    Faults m_f;
    double m_h;
    std::vector<Stroke> m_strokes;
};

// Marking in handball
// --------------------------------------------------------------------------------------------------
class Duels : public SimulatedMovement {
public:
    Duels(const SimulatedAthlete& a, const Faults& f, double variation, int reps, unsigned seed)
        : m_a(a), m_f(f), m_h(a.stature() / 1.8) {
        Random r(seed, variation);
        double start = 0.0;
        for (int i = 0; i < reps; ++i) {
            Duel d;
            d.start = start;
            d.goes = 0.55 + r(0.01);
            d.reacts = d.goes + 0.21 + of(f, "late_start") + r(0.012);
            d.lands = d.reacts + 0.32 + r(0.008);
            d.contact = d.lands + 0.10 + r(0.006);
            d.stopped = d.contact + 0.42 + of(f, "pushed_back") * 0.6 + r(0.012);
            d.back = d.stopped + 0.95 + of(f, "watches") + r(0.02);
            d.end = d.back + 0.35;
            m_reps.push_back({start,
                              start + d.end,
                              {{"ready", start + std::min(d.goes, d.reacts) - 0.01},
                               {"attacker_goes", start + d.goes},
                               {"reacts", start + d.reacts},
                               {"steps_out", start + d.lands},
                               {"contact", start + d.contact},
                               {"stopped", start + d.stopped},
                               {"back_in_line", start + d.back}}});
            start += d.end;
            m_duels.push_back(d);
        }
    }
    Joints at(double t) const override {
        const Duel* d = &runningAt(m_duels, t);
        const double u = t - d->start;
        const double L = m_a.legLength(), ankle = m_a.ankleHeight();
        const double out = 0.62 * m_h * step(u, d->reacts, d->contact);
        const double given = -(0.18 + of(m_f, "pushed_back")) * step(u, d->contact, d->stopped);
        const double home = step(u, d->stopped + 0.05, d->back);
        const double x = (out + given) * (1.0 - home);
        const double rises = of(m_f, "stands_up") * step(u, d->lands, d->contact) * (1.0 - home);
        BodyPose p;
        p.pelvis = V(x,
                     ankle + (0.865 + of(m_f, "stiff_knees")) * L + rises -
                         0.03 * step(u, d->reacts, d->contact) * (1.0 - home),
                     0);
        p.trunkLean = mix(14.0 - of(m_f, "on_heels") * 1.0, 17.0, step(u, d->reacts, d->contact) * (1.0 - home));
        const double turned = of(m_f, "turned_away");
        p.shoulderYaw = 16.0 + turned;
        p.pelvisYaw = 12.0 + turned * 0.6;
        const double width = (0.29 - of(m_f, "narrow")) * m_h;
        const double shift = of(m_f, "on_heels") * 0.01;
        // The front foot steps out first, the rear one follows; home the other way round.
        const auto foot = [&](double base, double from, double lands, double homeFrom, double homeLands,
                              double z) -> V {
            const double way = 0.60 * m_h;
            const double there = step(u, from, lands), back = step(u, homeFrom, homeLands);
            const double push = given * step(u, d->contact + 0.05, d->stopped);
            const auto lift = [&](double a, double b) {
                return 0.055 * std::sin(M_PI * std::clamp((u - a) / (b - a), 0.0, 1.0));
            };
            return V(base + shift + (way * there + push * there) * (1.0 - back),
                     ankle + lift(from, lands) + lift(homeFrom, homeLands), z);
        };
        const double mid = d->stopped + 0.05;
        p.leadAnkle = foot(width, d->reacts + 0.02, d->lands, mid + 0.42, d->back, 0.13);
        p.rearAnkle = foot(-width, d->reacts + 0.12, d->contact - 0.01, mid, mid + 0.45, -0.13);
        if (of(m_f, "feet_meet") > 0.0) // the rear foot first, up to the front one
            p.rearAnkle = foot(-width, d->reacts - 0.01, d->reacts + 0.16, mid, mid + 0.45, -0.13);
        p.kneeTo = V(1, 0.1, 0.15);
        // Hands between hip and shoulder, out to the attacker at the contact.
        const V neck = p.pelvis + V(std::sin(rad(p.trunkLean)), std::cos(rad(p.trunkLean)), 0) * 0.288 * m_a.stature();
        const double reach = step(u, d->reacts + 0.1, d->contact) * (1.0 - step(u, d->stopped, d->stopped + 0.4));
        const double high = of(m_f, "high_hands");
        p.leadWrist = neck + mix(V(0.30, -0.26, 0.26), V(0.42, -0.20 + high, 0.16), reach) * m_h;
        p.rearWrist = neck + mix(V(0.28, -0.26, -0.26), V(0.36, -0.34 + high, -0.14), reach) * m_h;
        p.elbowTo = V(-0.4, -1, 0.4);
        Joints j = jointsOf(m_a, p);
        // The attacker: comes on at speed, is met, is stopped; walks back at the end.
        const double begin = 1.95 * m_h;
        const SimulatedAthlete other(1.84);
        BodyPose q;
        const double near = begin + (0.62 * m_h + 0.50 * m_h + 0.07 - begin) * step(u, d->goes, d->contact + 0.02);
        double ox = near + (u > d->contact ? given : 0.0);
        ox = mix(ox, begin, step(u, d->stopped + 0.1, d->end));
        // Built facing forward at the origin, then turned about.
        const double stride = std::sin(2.0 * M_PI * 1.6 * std::clamp(u - d->goes, 0.0, d->contact - d->goes)) *
                              step(u, d->goes, d->goes + 0.1) * (1.0 - step(u, d->contact - 0.1, d->contact + 0.05));
        q.pelvis = V(0, other.ankleHeight() + 0.95 * other.legLength(), 0);
        q.trunkLean = 9.0;
        q.leadAnkle = V(0.05 + 0.30 * stride, other.ankleHeight() + 0.05 * std::max(0.0, stride), 0.09);
        q.rearAnkle = V(0.05 - 0.30 * stride, other.ankleHeight() + 0.05 * std::max(0.0, -stride), -0.09);
        const V oneck = q.pelvis + V(std::sin(rad(9.0)), std::cos(rad(9.0)), 0) * 0.288 * other.stature();
        q.leadWrist = oneck + V(0.34, -0.12, 0.22);
        q.rearWrist = oneck + V(0.36, -0.16, -0.20);
        const Joints o = jointsOf(other, q);
        for (const auto& [name, place] : o.at)
            j.at["other_" + name] = V(ox - place.x(), place.y(), -place.z());
        return j;
    }

private:
    struct Duel {
        double start, goes, reacts, lands, contact, stopped, back, end;
    };
    SimulatedAthlete m_a;
    Faults m_f;
    double m_h;
    std::vector<Duel> m_duels;
};

} // namespace

Joints jointsOf(const SimulatedAthlete& athlete, const BodyPose& p) {
    const double h = athlete.stature();
    const auto& f = athlete.fractions();
    Joints j;
    // Across the body from the rear to the lead side; a yaw of 0 looks forward.
    const auto across = [](double yaw, double roll) {
        return V(std::sin(rad(yaw)) * std::cos(rad(roll)), std::sin(rad(roll)),
                 std::cos(rad(yaw)) * std::cos(rad(roll)));
    };
    const V hips = across(p.pelvisYaw, p.pelvisRoll), shoulders = across(p.shoulderYaw, 0.0);
    const V leadHip = p.pelvis + hips * f.hipWidth * h * 0.26, rearHip = p.pelvis - hips * f.hipWidth * h * 0.26;
    const V trunkUp(std::sin(rad(p.trunkLean)), std::cos(rad(p.trunkLean)), 0);
    const V neck = p.pelvis + trunkUp * (f.trunk * h);
    const V axis = (shoulders - shoulders.dot(trunkUp) * trunkUp).normalized();
    const V level(shoulders.z(), 0, -shoulders.x());
    j.chest = (level - level.dot(trunkUp) * trunkUp).normalized();
    const V leadShoulder = neck + axis * f.shoulderWidth * h * 0.43 - 0.02 * trunkUp;
    const V rearShoulder = neck - axis * f.shoulderWidth * h * 0.43 - 0.02 * trunkUp;
    const double nod = p.trunkLean * 0.45 + p.headLean;
    const V headUp(std::sin(rad(nod)), std::cos(rad(nod)), 0);
    const V head = neck + headUp * (f.headAndNeck * h * 0.58);
    V leadAnkle = p.leadAnkle, rearAnkle = p.rearAnkle, leadWrist = p.leadWrist, rearWrist = p.rearWrist;
    const V leadKnee = bend(leadHip, leadAnkle, f.thigh * h, f.shank * h, p.kneeTo);
    const V rearKnee = bend(rearHip, rearAnkle, f.thigh * h, f.shank * h, V(p.kneeTo.x(), p.kneeTo.y(), p.kneeTo.z()));
    const V rearElbowTo(p.elbowTo.x(), p.elbowTo.y(), -p.elbowTo.z());
    const V leadElbow = bend(leadShoulder, leadWrist, f.upperArm * h, f.forearm * h, p.elbowTo);
    const V rearElbow = bend(rearShoulder, rearWrist, f.upperArm * h, f.forearm * h, rearElbowTo);
    const auto hand = [&](const V& elbow, const V& wrist) {
        return V(wrist + (wrist - elbow).normalized() * f.hand * h * 0.55);
    };
    const double foot = f.footLength * h, sole = athlete.ankleHeight() - 0.025;
    const V way(std::cos(rad(p.footYaw)), 0, -std::sin(rad(p.footYaw)));
    const auto heelAndToe = [&](const V& ankle, double pitch, const char* heel, const char* toe) {
        const V along = way * std::cos(rad(pitch)) + V(0, std::sin(rad(pitch)), 0);
        const V down = way * std::sin(rad(pitch)) - V(0, std::cos(rad(pitch)), 0);
        j.at[heel] = ankle + sole * down - 0.27 * foot * along;
        j.at[toe] = ankle + sole * down + 0.73 * foot * along;
    };
    j.at["head"] = head;
    j.at["neck"] = neck;
    j.at["right_shoulder"] = leadShoulder;
    j.at["left_shoulder"] = rearShoulder;
    j.at["right_elbow"] = leadElbow;
    j.at["left_elbow"] = rearElbow;
    j.at["right_wrist"] = leadWrist;
    j.at["left_wrist"] = rearWrist;
    j.at["right_hand"] = hand(leadElbow, leadWrist);
    j.at["left_hand"] = hand(rearElbow, rearWrist);
    j.at["right_hip"] = leadHip;
    j.at["left_hip"] = rearHip;
    j.at["right_knee"] = leadKnee;
    j.at["left_knee"] = rearKnee;
    j.at["right_ankle"] = leadAnkle;
    j.at["left_ankle"] = rearAnkle;
    heelAndToe(leadAnkle, p.leadFootPitch, "right_heel", "right_toe");
    heelAndToe(rearAnkle, p.rearFootPitch, "left_heel", "left_toe");
    return j;
}

std::map<std::string, std::string> faultsOf(const std::string& technique) {
    static const std::map<std::string, std::map<std::string, std::string>> known = {
        {"fencing-lunge",
         {{"hand_late_s", "s by which the hand starts too late"},
          {"rear_knee_bent", "share of the rear leg that stays bent at the landing"},
          {"trunk_falls_deg", "degrees of lean too much"},
          {"guard_narrow_m", "m by which the guard is too narrow"},
          {"knee_beyond_toe_m", "m by which the front foot lands too short"},
          {"slow_recovery_s", "s added to the way back"},
          {"tip_drops_deg", "degrees by which the tip points too low"}}},
        {"race-walking",
         {{"overstride", "m by which the foot lands too far ahead, doubled"},
          {"bent_contact", "share of the leg's length that is bent at the contact"},
          {"knee_gives", "share of the leg's length that gives way before upright"},
          {"flight", "s without a foot on the ground"},
          {"trunk_bent", "degrees of lean"},
          {"hands_high", "m"},
          {"long_arms", "0 to 1"},
          {"stiff_hips", "degrees of drop that are missing"},
          {"on_belt", "1 = on a treadmill; no fault"},
          {"rate_fades", "double steps a minute from first to last cycle"},
          {"form_fades", "share of the leg's length that gives way in the last cycle"}}},
        {"archery-shot",
         {{"lean_back", "degrees"},
          {"bow_shoulder_up", "m"},
          {"elbow_low", "0 to 1"},
          {"restless", "cm of wander"},
          {"held_long", "s"},
          {"creeping", "m"},
          {"plucked", "m"},
          {"jerky", "m"},
          {"head_moves", "m"},
          {"bow_falls", "m"}}},
        {"volleyball-spike",
         {{"slow_feet", "s"},
          {"no_depth", "share of the leg"},
          {"low_jump", "m"},
          {"flies_forward", "m"},
          {"late_ball", "s"},
          {"low_elbow", "0 to 1"},
          {"bent_arm", "share of the arm"},
          {"no_arm_swing", "degrees"},
          {"stiff_landing", "share of the leg"},
          {"one_foot", "m by which the other foot is still up"}}},
        {"rowing-ergometer",
         {{"rushed", "share of the stroke"},
          {"lies_back", "degrees"},
          {"layback_drift", "degrees from first to last stroke"},
          {"over_reach", "degrees"},
          {"length_fades", "degrees of reach from first to last stroke"},
          {"short_slide", "m"},
          {"opens_early", "share of the drive"},
          {"early_arms", "share of the drive"},
          {"late_rock", "0 to 1"},
          {"knees_early", "share of the stroke"},
          {"halting", "share by which the seat slows down three times on its way forward"},
          {"handle_hill", "m"}}},
        {"handball-marking",
         {{"late_start", "s"},
          {"narrow", "m"},
          {"on_heels", "degrees"},
          {"stiff_knees", "share of the leg"},
          {"stands_up", "m"},
          {"turned_away", "degrees"},
          {"high_hands", "m"},
          {"pushed_back", "m"},
          {"feet_meet", "0 or 1"},
          {"watches", "s"}}}};
    const auto it = known.find(technique);
    return it == known.end() ? std::map<std::string, std::string>() : it->second;
}

std::unique_ptr<SimulatedMovement> makeMovement(const std::string& technique, const SimulatedAthlete& athlete,
                                                const Faults& faults, double variation, int reps, unsigned seed) {
    const auto known = faultsOf(technique);
    for (const auto& [name, size] : faults)
        if (!known.contains(name))
            return nullptr;
    if (reps < 1)
        return nullptr;
    if (technique == "race-walking")
        return std::make_unique<Walk>(athlete, faults, variation, reps, seed);
    if (technique == "archery-shot")
        return std::make_unique<Shot>(athlete, faults, variation, reps, seed);
    if (technique == "volleyball-spike")
        return std::make_unique<Spike>(athlete, faults, variation, reps, seed);
    if (technique == "rowing-ergometer")
        return std::make_unique<Row>(athlete, faults, variation, reps, seed);
    if (technique == "handball-marking")
        return std::make_unique<Duels>(athlete, faults, variation, reps, seed);
    return nullptr;
}

} // namespace riflesso
