// The archery shot as a smooth curve.

#include "simulator/movement_parts.h"

namespace riflesso::moving {
namespace {

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

} // namespace

const Technique& shot() {
    static const Technique technique{{{"lean_back", "degrees"},
                                      {"bow_shoulder_up", "m"},
                                      {"elbow_low", "0 to 1"},
                                      {"restless", "cm of wander"},
                                      {"held_long", "s"},
                                      {"creeping", "m"},
                                      {"plucked", "m"},
                                      {"jerky", "m"},
                                      {"head_moves", "m"},
                                      {"bow_falls", "m"}},
                                     made<Shot>};
    return technique;
}

} // namespace riflesso::moving
