#include "simulator/renderer_figure.h"

#include <cmath>
#include <numbers>
#include <string>

namespace riflesso::rendering {
namespace {

// Lays one cone after another. The order counts: each has a grain of its own.
class Figure {
public:
    Figure(const Joints& joints, const Eigen::Matrix3f& axes, const V& eye)
        : m_j(joints), m_axes(axes), m_eye(eye), m_chest(joints.chest),
          m_pelvis((at("left_hip") + at("right_hip")) / 2), m_up((at("neck") - m_pelvis).normalized()) {}
    void limbs() {
        for (const char* side : {"left_", "right_"}) {
            leg(side);
            arm(side);
        }
    }
    void trunk();
    void head(bool longHair);
    void posts(const std::vector<double>& places) {
        for (double x : places)
            add({x, -0.1, -0.75}, {x, 1.62, -0.75}, 0.030, 0.030, Cloth::guard, Eigen::Vector3d::UnitX());
    }
    void foil();
    void bow();
    void ergometer();
    void ball() { add(at("ball"), at("ball") + m_up * 0.001, 0.105, 0.105, Cloth::face, m_up); }
    [[nodiscard]] std::vector<Cone> take() { return std::move(m_cones); }

private:
    [[nodiscard]] V cam(const Eigen::Vector3d& w) const { return m_axes * (w.cast<float>() - m_eye); }
    [[nodiscard]] V dir(const Eigen::Vector3d& w) const { return m_axes * w.cast<float>(); }
    [[nodiscard]] const Eigen::Vector3d& at(const char* name) const { return m_j.at.at(name); }
    static Eigen::Vector3d between(const Eigen::Vector3d& a, const Eigen::Vector3d& b, double s) {
        return a + (b - a) * s;
    }
    void add(const Eigen::Vector3d& a, const Eigen::Vector3d& b, double ra, double rb, Cloth cloth,
             const Eigen::Vector3d& side) {
        m_cones.push_back({cam(a), cam(b), static_cast<float>(ra), static_cast<float>(rb), cloth, dir(side),
                           m_salt += 11.7f, cam(a), cam(b) - cam(a)});
    }
    // The cone just laid belongs to one garment, with its pattern.
    void garment(const Eigen::Vector3d& from, const Eigen::Vector3d& along) {
        m_cones.back().from = cam(from);
        m_cones.back().along = dir(along);
        m_cones.back().salt = 3.3f;
    }
    void leg(const std::string& side);
    void arm(const std::string& side);

    const Joints& m_j;
    const Eigen::Matrix3f& m_axes;
    const V& m_eye;
    Eigen::Vector3d m_chest, m_pelvis, m_up;
    std::vector<Cone> m_cones;
    float m_salt = 0;
};

void Figure::leg(const std::string& side) {
    const auto J = [&](const char* part) -> const Eigen::Vector3d& { return m_j.at.at(side + part); };
    // Leg: breeches to below the knee, sock, shoe.
    add(J("hip") + m_up * 0.01, between(J("hip"), J("knee"), 0.97), 0.094, 0.060, Cloth::trousers, m_chest);
    const Eigen::Vector3d calf = between(J("knee"), J("ankle"), 0.30) - m_chest * 0.012;
    add(J("knee"), between(J("knee"), J("ankle"), 0.14), 0.061, 0.057, Cloth::trousers, m_chest);
    add(calf, J("ankle"), 0.053, 0.034, Cloth::sock, m_chest);
    add(between(J("knee"), J("ankle"), 0.1), calf, 0.050, 0.053, Cloth::sock, m_chest);
    const Eigen::Vector3d foot = J("toe") - J("heel");
    const Eigen::Vector3d lift = (J("ankle") - between(J("heel"), J("toe"), 0.27)).normalized();
    add(J("heel") + lift * 0.034 + foot * 0.06, J("heel") + lift * 0.036 + foot * 0.45, 0.034, 0.036, Cloth::shoe,
        m_chest);
    add(J("heel") + lift * 0.036 + foot * 0.42, J("toe") + lift * 0.026 - foot * 0.09, 0.037, 0.026, Cloth::shoe,
        m_chest);
    add(J("ankle"), J("heel") + lift * 0.045 + foot * 0.22, 0.036, 0.036, Cloth::shoe, m_chest);
}

void Figure::arm(const std::string& side) {
    const auto J = [&](const char* part) -> const Eigen::Vector3d& { return m_j.at.at(side + part); };
    const bool lead = side == "right_";
    // Arm.
    add(J("shoulder"), J("elbow"), 0.057, 0.043, Cloth::jacket, m_up);
    add(J("elbow"), between(J("elbow"), J("wrist"), 0.95), 0.043, 0.031, Cloth::jacket, m_up);
    const Eigen::Vector3d fingers = J("hand") + (J("hand") - J("wrist")).normalized() * 0.055;
    const Cloth hand = lead ? Cloth::glove : Cloth::skin;
    add(between(J("elbow"), J("wrist"), lead ? 0.72 : 0.97), J("hand"), lead ? 0.039 : 0.026, lead ? 0.042 : 0.036,
        hand, m_up);
    if (lead) {
        add(J("hand"), fingers, 0.040, 0.034, hand, m_up);
    } else {
        for (int f = 0; f < 4; ++f) {
            const Eigen::Vector3d root = J("hand") + m_up * (0.016 * (f - 1.5));
            add(root, fingers + m_up * (0.020 * (f - 1.5)), 0.011, 0.008, hand, m_up);
        }
        add(J("hand"), J("hand") + m_chest * 0.045 + (fingers - J("hand")) * 0.3, 0.012, 0.009, hand, m_up);
    }
}

void Figure::trunk() {
    // Trunk: three columns and the shoulders, under one jacket.
    const Eigen::Vector3d neck = at("neck");
    for (const char* side : {"left_", "right_"}) {
        const Eigen::Vector3d hip = m_j.at.at(std::string(side) + "hip"),
                              shoulder = m_j.at.at(std::string(side) + "shoulder");
        const Eigen::Vector3d waist = between(m_pelvis, neck, 0.42) + (hip - m_pelvis) * 0.55;
        const Eigen::Vector3d ribs = between(m_pelvis, neck, 0.76) + (shoulder - neck) * 0.42;
        add(between(m_pelvis, hip, 0.85) + m_up * 0.005, waist, 0.104, 0.096, Cloth::jacket, m_chest);
        garment(m_pelvis, m_up);
        add(waist, ribs, 0.096, 0.106, Cloth::jacket, m_chest);
        garment(m_pelvis, m_up);
        add(ribs, between(shoulder, neck, 0.22), 0.102, 0.060, Cloth::jacket, m_chest);
        garment(m_pelvis, m_up);
    }
    add(m_pelvis + m_up * 0.01 + m_chest * 0.012, between(m_pelvis, neck, 0.42) + m_chest * 0.022, 0.106, 0.102,
        Cloth::jacket, m_chest);
    garment(m_pelvis, m_up);
    add(between(m_pelvis, neck, 0.42) + m_chest * 0.020, between(m_pelvis, neck, 0.80) + m_chest * 0.022, 0.102, 0.108,
        Cloth::jacket, m_chest);
    garment(m_pelvis, m_up);
    add(between(m_pelvis, neck, 0.80) + m_chest * 0.016, neck - m_up * 0.03, 0.104, 0.066, Cloth::jacket, m_chest);
    garment(m_pelvis, m_up);
    add(at("left_shoulder"), at("right_shoulder"), 0.058, 0.058, Cloth::jacket, m_chest);
    garment(m_pelvis, m_up);
    add(at("left_hip") - m_up * 0.02, at("right_hip") - m_up * 0.02, 0.100, 0.100, Cloth::trousers, m_chest);
}

void Figure::head(bool longHair) {
    // Neck and head, looking at the opponent and a little to where the chest faces.
    const Eigen::Vector3d head = at("head");
    // A second person comes the other way: their feet tell.
    const double feet = at("left_toe").x() - at("left_heel").x() + at("right_toe").x() - at("right_heel").x();
    const Eigen::Vector3d look =
        (Eigen::Vector3d(feet < -0.1 ? -0.92 : 0.92, -0.02, 0) + Eigen::Vector3d(m_chest.x(), 0, m_chest.z()) * 0.42)
            .normalized();
    const Eigen::Vector3d crown = Eigen::Vector3d::UnitY();
    const Eigen::Vector3d ear = look.cross(crown).normalized();
    add(at("neck") - m_up * 0.01, head - crown * 0.055 - look * 0.015, 0.056, 0.051, Cloth::skin, look);
    add(at("neck") - m_up * 0.03, at("neck") + m_up * 0.045, 0.072, 0.060, Cloth::jacket, m_chest);
    add(head + crown * 0.030 - look * 0.016, head + crown * 0.030 - look * 0.012, 0.099, 0.097, Cloth::face, look);
    add(head - crown * 0.018 + look * 0.026, head - crown * 0.075 + look * 0.046, 0.073, 0.041, Cloth::face, look);
    add(head - crown * 0.004 + look * 0.100, head - crown * 0.032 + look * 0.113, 0.013, 0.018, Cloth::skin, look);
    for (double e : {-1.0, 1.0})
        add(head - crown * 0.015 + ear * (0.090 * e) - look * 0.012,
            head + crown * 0.018 + ear * (0.094 * e) - look * 0.020, 0.015, 0.020, Cloth::skin, look);
    add(head + crown * 0.052 - look * 0.030, head + crown * 0.056 - look * 0.024, 0.100, 0.098, Cloth::hair, look);
    add(head + crown * 0.020 - look * 0.045, head - crown * 0.035 - look * 0.052, 0.088, 0.060, Cloth::hair, look);
    if (longHair) {
        add(head + crown * 0.035 - look * 0.125, head - crown * 0.045 - look * 0.165, 0.034, 0.044, Cloth::hair, look);
        add(head - crown * 0.045 - look * 0.165, head - crown * 0.17 - look * 0.150, 0.042, 0.016, Cloth::hair, look);
    }
}

// Grip, bell, blade.
void Figure::foil() {
    const Eigen::Vector3d blade = (at("foil_tip") - at("right_hand")).normalized();
    add(at("right_hand") + blade * 0.075, at("right_hand") + blade * 0.088, 0.056, 0.030, Cloth::guard, m_up);
    add(at("right_hand") + blade * 0.08, at("foil_tip"), 0.0065, 0.0042, Cloth::steel, m_up);
    add(at("foil_tip") - blade * 0.012, at("foil_tip"), 0.0075, 0.0075, Cloth::guard, m_up);
}

// The bow's two limbs, its string, the arrow.
void Figure::bow() {
    const Eigen::Vector3d grip = at("right_hand"), tail = at("arrow_tail");
    const Eigen::Vector3d way = (at("arrow_tip") - tail).normalized();
    const Eigen::Vector3d across = (Eigen::Vector3d::UnitY() - way.y() * way).normalized();
    for (const double end : {1.0, -1.0}) {
        const Eigen::Vector3d bend = grip + across * (0.52 * end) + way * 0.06;
        const Eigen::Vector3d tip = grip + across * (0.80 * end) - way * 0.08;
        add(grip, bend, 0.017, 0.013, Cloth::guard, m_up);
        add(bend, tip, 0.013, 0.007, Cloth::guard, m_up);
        add(tip, tail, 0.003, 0.003, Cloth::steel, m_up);
    }
    add(tail, at("arrow_tip"), 0.0055, 0.0055, Cloth::steel, m_up);
}

// Wheel, rail, foot plate, seat, handle and chain.
void Figure::ergometer() {
    const Eigen::Vector3d wheel = at("scene_wheel"), z = Eigen::Vector3d::UnitZ();
    // A narrow housing: who films from the front sees the legs on both sides of it.
    constexpr int kParts = 12;
    const auto rim = [&](int i) {
        const double a = i * 2.0 * std::numbers::pi / kParts;
        return Eigen::Vector3d(wheel + Eigen::Vector3d(0.19 * std::cos(a), 0.19 * std::sin(a), 0));
    };
    for (int i = 0; i < kParts; ++i) {
        add(rim(i), rim(i + 1), 0.055, 0.055, Cloth::guard, m_up);
        if (i % 3 == 0)
            add(rim(i), wheel, 0.045, 0.06, Cloth::guard, m_up);
    }
    add({0.5, 0.24, 0}, {-1.35, 0.20, 0}, 0.032, 0.032, Cloth::steel, m_up);
    add({-1.30, 0.20, 0}, {-1.30, 0.0, 0}, 0.03, 0.03, Cloth::guard, m_up);
    add({0.10, 0.12, -0.16}, {0.10, 0.12, 0.16}, 0.05, 0.05, Cloth::guard, m_up);
    const Eigen::Vector3d seat(m_pelvis.x() - 0.02, 0.27, 0);
    add(seat - z * 0.12, seat + z * 0.12, 0.055, 0.055, Cloth::guard, m_up);
    const Eigen::Vector3d handle = (at("left_hand") + at("right_hand")) / 2;
    add(at("left_hand") - z * 0.05, at("right_hand") + z * 0.05, 0.016, 0.016, Cloth::guard, m_up);
    add(handle, wheel + Eigen::Vector3d(-0.05, 0.18, 0), 0.005, 0.005, Cloth::steel, m_up);
}

} // namespace

std::vector<Cone> figureCones(const Joints& j, const Eigen::Matrix3f& axes, const V& eye, bool longHair,
                              const std::vector<double>& posts) {
    Figure figure(j, axes, eye);
    figure.limbs();
    figure.trunk();
    figure.head(longHair);
    figure.posts(posts);
    if (j.at.contains("foil_tip"))
        figure.foil();
    if (j.at.contains("arrow_tip"))
        figure.bow();
    if (j.at.contains("scene_wheel"))
        figure.ergometer();
    if (j.at.contains("ball"))
        figure.ball();
    std::vector<Cone> cones = figure.take();
    if (j.at.contains("other_neck")) { // a second person, in a shirt of the shoes' colour
        Joints other;
        for (const auto& [name, place] : j.at)
            if (name.starts_with("other_"))
                other.at[name.substr(6)] = place;
        const Eigen::Vector3d low = (other.at["left_hip"] + other.at["right_hip"]) / 2;
        const Eigen::Vector3d tall = (other.at["neck"] - low).normalized();
        other.chest = tall.cross(other.at["right_shoulder"] - other.at["left_shoulder"]).normalized();
        for (Cone c : figureCones(other, axes, eye, longHair, {})) {
            if (c.cloth == Cloth::jacket)
                c.cloth = Cloth::shoe;
            cones.push_back(c);
        }
    }
    return cones;
}

} // namespace riflesso::rendering
