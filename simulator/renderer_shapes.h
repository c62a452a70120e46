#pragma once
/// \file
/// What the renderer's pictures are made of: round cones hit by rays, noise, cloths. Used by renderer.cpp only, which
/// is compiled with rules of its own for floats.

#include <Eigen/Geometry>

#include <algorithm>
#include <cmath>
#include <cstdint>

namespace riflesso::rendering {

using V = Eigen::Vector3f;

enum class Cloth { skin, face, hair, jacket, trousers, sock, shoe, glove, steel, guard };

struct Cone {
    V a, b; // camera space: x right, y down, z into the picture
    float ra, rb;
    Cloth cloth;
    V side;        // a direction fixed to the limb, so that its texture turns with it
    float salt;    // tells the textures of two limbs apart
    V from, along; // where the cloth's pattern starts and which way it runs: several cones can wear one garment
};

inline float fract(float v) {
    return v - std::floor(v);
}

inline float hash(int x, int y, int z) {
    std::uint32_t h = static_cast<std::uint32_t>(x) * 374761393u + static_cast<std::uint32_t>(y) * 668265263u +
                      static_cast<std::uint32_t>(z) * 2147483647u;
    h = (h ^ (h >> 13)) * 1274126177u;
    return static_cast<float>((h ^ (h >> 16)) & 0xffffffu) / static_cast<float>(0xffffff);
}

// Smooth value noise, 0..1.
inline float noise(const V& p) {
    const int xi = static_cast<int>(std::floor(p.x())), yi = static_cast<int>(std::floor(p.y())),
              zi = static_cast<int>(std::floor(p.z()));
    float f[3] = {p.x() - static_cast<float>(xi), p.y() - static_cast<float>(yi), p.z() - static_cast<float>(zi)};
    for (float& v : f)
        v = v * v * (3 - 2 * v);
    const auto lerp = [](float a, float b, float t) { return a + (b - a) * t; };
    const auto plane = [&](int z) {
        return lerp(lerp(hash(xi, yi, z), hash(xi + 1, yi, z), f[0]),
                    lerp(hash(xi, yi + 1, z), hash(xi + 1, yi + 1, z), f[0]), f[1]);
    };
    return lerp(plane(zi), plane(zi + 1), f[2]);
}

// Nearest hit of a ray from the origin with a round cone. Derived from the quadric of the cone tangent to both spheres.
inline bool hitCone(const Cone& c, const V& rd, float& tOut, V& normal) {
    const V ba = c.b - c.a;
    const float rr = c.ra - c.rb;
    const float m0 = ba.dot(ba);
    const float m1 = -ba.dot(c.a);
    const float m2 = ba.dot(rd);
    const float m3 = -rd.dot(c.a);
    const float m5 = c.a.dot(c.a);
    const float m6 = -c.b.dot(rd);
    const float m7 = c.b.dot(c.b);
    const float d2 = m0 - rr * rr;
    const float k2 = d2 - m2 * m2;
    const float k1 = d2 * m3 - m1 * m2 + m2 * rr * c.ra;
    const float k0 = d2 * m5 - m1 * m1 + m1 * rr * c.ra * 2.0f - m0 * c.ra * c.ra;
    const float h = k1 * k1 - k0 * k2;
    if (h < 0)
        return false;
    float t = (-std::sqrt(h) - k1) / k2;
    const float y = m1 - c.ra * rr + t * m2;
    if (y > 0 && y < d2) {
        normal = (d2 * (t * rd - c.a) - ba * y).normalized();
        tOut = t;
        return t > 0;
    }
    const float h1 = m3 * m3 - m5 + c.ra * c.ra;
    const float h2 = m6 * m6 - m7 + c.rb * c.rb;
    if (std::max(h1, h2) < 0)
        return false;
    tOut = 1e20f;
    if (h1 > 0) {
        t = -m3 - std::sqrt(h1);
        normal = (t * rd - c.a) / c.ra;
        tOut = t;
    }
    if (h2 > 0) {
        t = -m6 - std::sqrt(h2);
        if (t < tOut) {
            normal = (t * rd - c.b) / c.rb;
            tOut = t;
        }
    }
    return tOut > 0 && tOut < 1e19f;
}

struct Box {
    int x0, y0, x1, y1; // half open
    [[nodiscard]] bool empty() const { return x0 >= x1 || y0 >= y1; }
};

} // namespace riflesso::rendering
