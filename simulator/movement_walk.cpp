// Race walking as a smooth curve.

#include "simulator/movement_parts.h"

namespace riflesso::moving {
namespace {

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

} // namespace

const Technique& walk() {
    static const Technique technique{{{"overstride", "m by which the foot lands too far ahead, doubled"},
                                      {"bent_contact", "share of the leg's length that is bent at the contact"},
                                      {"knee_gives", "share of the leg's length that gives way before upright"},
                                      {"flight", "s without a foot on the ground"},
                                      {"trunk_bent", "degrees of lean"},
                                      {"hands_high", "m"},
                                      {"long_arms", "0 to 1"},
                                      {"stiff_hips", "degrees of drop that are missing"},
                                      {"on_belt", "1 = on a treadmill; no fault"},
                                      {"rate_fades", "double steps a minute from first to last cycle"},
                                      {"form_fades", "share of the leg's length that gives way in the last cycle"}},
                                     made<Walk>};
    return technique;
}

} // namespace riflesso::moving
