// The rowing stroke on the ergometer as a smooth curve.

#include "simulator/movement_parts.h"

namespace riflesso::moving {
namespace {

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

} // namespace

const Technique& row() {
    static const Technique technique{{{"rushed", "share of the stroke"},
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
                                      {"handle_hill", "m"}},
                                     made<Row>};
    return technique;
}

} // namespace riflesso::moving
