// Marking an opponent in handball as a smooth curve.

#include "simulator/movement_parts.h"

namespace riflesso::moving {
namespace {

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

const Technique& duels() {
    static const Technique technique{{{"late_start", "s"},
                                      {"narrow", "m"},
                                      {"on_heels", "degrees"},
                                      {"stiff_knees", "share of the leg"},
                                      {"stands_up", "m"},
                                      {"turned_away", "degrees"},
                                      {"high_hands", "m"},
                                      {"pushed_back", "m"},
                                      {"feet_meet", "0 or 1"},
                                      {"watches", "s"}},
                                     made<Duels>};
    return technique;
}

} // namespace riflesso::moving
