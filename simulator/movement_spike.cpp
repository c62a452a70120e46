// The volleyball spike as a smooth curve.

#include "simulator/movement_parts.h"

namespace riflesso::moving {
namespace {

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
        const double ankle = m_a.ankleHeight();
        BodyPose p;
        const double forward = this->forward();
        p.pelvis = hipsAt(*k, u);
        turnTrunk(*k, u, p);
        // Feet. Lead: the long step; rear closes beside it.
        const V leadDown(kStands - 0.06, ankle, 0.12), rearDown(kStands + 0.10, ankle, -0.12);
        p.leadAnkle = footAt(*k, u, p.pelvis, leadDown, 0.10, k->step, of(m_f, "one_foot"));
        p.rearAnkle = footAt(*k, u, p.pelvis, rearDown, k->step - 0.20, k->plant, 0.0);
        const double tip = step(u, k->off - 0.09, k->off) * (1.0 - step(u, k->land - 0.2, k->land + 0.06));
        p.leadFootPitch = through(u, {{k->step - 0.2, 0.0}, {k->step, 22.0}, {k->step + 0.07, 0.0}}) - 38.0 * tip;
        p.rearFootPitch = through(u, {{k->plant - 0.15, 0.0}, {k->plant, 10.0}, {k->plant + 0.05, 0.0}}) - 38.0 * tip;
        // Arms against the shoulders: swung back, up, the bow drawn, the hit.
        const V neck = p.pelvis + V(std::sin(rad(p.trunkLean)), std::cos(rad(p.trunkLean)), 0) * 0.288 * m_a.stature();
        const double arm = (0.186 + 0.146) * m_a.stature();
        const auto [upper, fore, other] = swingAt(*k, u);
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
    static constexpr double kStands = -0.05; // m along the way: where both feet jump from

    // Where the hips are: forward through the approach, braked at the plant, up and down in the air.
    [[nodiscard]] V hipsAt(const Jump& k, double u) const {
        const double L = m_a.legLength(), ankle = m_a.ankleHeight();
        const double bendBy = 0.245 - of(m_f, "no_depth");
        const double forward = this->forward();
        const double run = through(u, {{0.0, -1.35}, {k.plant + 0.05, -0.10}});
        const double air = std::clamp((u - k.off) / k.flight, 0.0, 1.0);
        const double x = run + 0.10 * step(u, k.plant, k.off) + forward * air;
        const double stand = ankle + 0.975 * L, deep = ankle + (0.985 - bendBy) * L, off = ankle + 1.0 * L + 0.06;
        double y = 0.0;
        if (u < k.off) {
            y = through(u, {{0.0, stand}, {k.step, stand - 0.07}, {k.deepest, deep}});
            // Up until the feet leave: as fast as the flight begins.
            const double v = 9.81 * k.flight / 2.0, T = k.off - k.deepest;
            if (u > k.deepest) {
                const double s = (u - k.deepest) / T;
                // Cubic from rest at the deepest point to the take-off's height and speed.
                const double rise = off - deep;
                y = deep + (3 * rise - v * T) * s * s + (v * T - 2 * rise) * s * s * s;
            }
        } else if (u < k.land) {
            const double w = u - k.off;
            y = off + 9.81 * k.flight / 2.0 * w - 0.5 * 9.81 * w * w;
        } else {
            const double give = 0.19 - of(m_f, "stiff_landing");
            const double w = u - k.land, T = k.settled - k.land, v = 9.81 * k.flight / 2.0;
            const double s = std::clamp(w / T, 0.0, 1.0), fall = -give * L - 0.02;
            y = off + (3 * fall + v * T) * s * s * 1.0 - v * T * s + (-2 * fall) * s * s * s +
                (v * T) * (s * s - s * s * s) * 1.0;
            y = mix(y, stand, step(u, k.settled + 0.05, k.end - 0.1));
        }
        return V(x, y, 0);
    }
    [[nodiscard]] double forward() const { return 0.35 + of(m_f, "flies_forward"); }
    void turnTrunk(const Jump& k, double u, BodyPose& p) const {
        p.trunkLean = through(u, {{0.0, 14.0},
                                  {k.step, 8.0},
                                  {k.plant, -7.0 + of(m_f, "flies_forward") * 30},
                                  {k.deepest, 22.0},
                                  {k.off, 3.0},
                                  {k.back - 0.05, -12.0},
                                  {k.contact - 0.02, 10.0},
                                  {k.land, 14.0},
                                  {k.settled, 26.0},
                                  {k.end, 10.0}});
        p.shoulderYaw = through(
            u,
            {{0.0, 0.0}, {k.deepest, -20.0}, {k.back, -48.0}, {k.contact + 0.02, 12.0}, {k.land, 20.0}, {k.end, 0.0}});
        p.pelvisYaw =
            through(u, {{0.0, 0.0}, {k.deepest, -12.0}, {k.back - 0.03, -25.0}, {k.contact - 0.05, 6.0}, {k.end, 0.0}});
    }
    // One ankle. \p down: where it stands; \p from, \p lands: the step there; \p otherLands: how much higher it lands.
    [[nodiscard]] V footAt(const Jump& k, double u, const V& hips, const V& down, double from, double lands,
                           double otherLands) const {
        const double L = m_a.legLength(), ankle = m_a.ankleHeight(), x = hips.x(), y = hips.y();
        const double forward = this->forward();
        V a = down;
        if (u < lands) {
            const double s = std::clamp((u - from) / (lands - from), 0.0, 1.0);
            a = V(mix(down.x() - 1.15, down.x(), step(u, from, lands)), ankle + 0.16 * std::sin(M_PI * s), down.z());
        }
        // The heel rises until the toes leave, with the leg straight: as fast as the hips go up, nearly.
        a.y() += 0.06 * std::pow(std::clamp((u - k.off) / 0.09 + 1.0, 0.0, 1.0), 3);
        if (u > k.off) {
            const double hang = step(u, k.off, k.off + 0.12) * (1.0 - step(u, k.land - 0.15, k.land));
            const double leg = (1.0 - 0.015 * step(u, k.off, k.off + 0.12)) * L;
            const V under = V(x - 0.05 - 0.16 * hang, y - leg + 0.10 * hang, down.z());
            const V landed(mix(kStands, kStands + forward, 1.0) + (down.z() > 0 ? 0.0 : 0.06),
                           ankle + otherLands * (1.0 - step(u, k.land, k.land + 0.10)), down.z());
            a = u < k.land ? V(under.x(), std::max(under.y(), ankle), under.z()) : landed;
            if (u < k.off + 0.15)
                a.x() = mix(down.x(), a.x(), step(u, k.off, k.off + 0.15));
            else if (u > k.land - 0.06 && u < k.land + 0.001)
                a = mix(V(under.x(), std::max(under.y(), ankle), under.z()), landed, step(u, k.land - 0.06, k.land));
        }
        return a;
    }
    // The arms by their angles: 0 hangs, 90 points forward, 180 up, 270 back. The hitting arm is drawn back with the
    // elbow high, the upper arm comes first, the forearm is left behind and whips.
    struct Swing {
        double upper, fore, other;
    };
    [[nodiscard]] Swing swingAt(const Jump& k, double u) const {
        const double lowElbow = of(m_f, "low_elbow");
        const double back = -68.0 + of(m_f, "no_arm_swing");
        // A low jump leaves little time: the arm is up earlier.
        const double up = std::min(k.off + 0.10, k.back - 0.05);
        const double upper = through(u, {{0.05, 15.0},
                                         {k.deepest - 0.02, back},
                                         {up, 150.0},
                                         {k.back, 250.0 + lowElbow * 48.0},
                                         {k.contact + 0.03, 168.0},
                                         {k.contact + 0.46, 40.0},
                                         {k.end, 12.0}});
        const double fore = through(u, {{0.05, 40.0},
                                        {k.deepest - 0.02, back + 8.0},
                                        {up, 156.0},
                                        {k.back, 200.0},
                                        {k.contact - 0.070, 226.0 + of(m_f, "bent_arm") * 100.0},
                                        {k.contact + 0.085, 118.0 + of(m_f, "bent_arm") * 100.0},
                                        {k.contact + 0.34, 52.0},
                                        {k.end, 30.0}});
        const double other = through(u, {{0.05, 10.0},
                                         {k.deepest - 0.02, -62.0},
                                         {up + 0.02, 150.0},
                                         {k.back + 0.03, 135.0},
                                         {k.contact + 0.05, 50.0},
                                         {k.end, 15.0}});
        return {upper, fore, other};
    }

    SimulatedAthlete m_a;
    Faults m_f;
    double m_h;
    std::vector<Jump> m_jumps;
};

} // namespace

const Technique& spike() {
    static const Technique technique{{{"slow_feet", "s"},
                                      {"no_depth", "share of the leg"},
                                      {"low_jump", "m"},
                                      {"flies_forward", "m"},
                                      {"late_ball", "s"},
                                      {"low_elbow", "0 to 1"},
                                      {"bent_arm", "share of the arm"},
                                      {"no_arm_swing", "degrees"},
                                      {"stiff_landing", "share of the leg"},
                                      {"one_foot", "m by which the other foot is still up"}},
                                     made<Spike>};
    return technique;
}

} // namespace riflesso::moving
