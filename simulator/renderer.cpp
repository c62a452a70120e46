#include "simulator/renderer.h"

#include "simulator/renderer_figure.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>
#include <random>

namespace riflesso {

using namespace rendering;

struct Renderer::Impl {
    SimulatedCamera camera;
    Outfit outfit;
    std::vector<double> posts;
    Eigen::Matrix3f axes;
    V eye;
    std::vector<V> hall; // linear-ish colour, one a pixel

    Impl(SimulatedCamera c, Outfit o, std::vector<double> p)
        : camera(c), outfit(o), posts(std::move(p)), axes(c.axes().cast<float>()), eye(c.position.cast<float>()) {
        hall.resize(static_cast<std::size_t>(camera.width * camera.height));
        for (int y = 0; y < camera.height; ++y)
            for (int x = 0; x < camera.width; ++x) {
                V sum = V::Zero();
                for (int s = 0; s < 4; ++s)
                    sum += hallColour(ray(static_cast<float>(x) + 0.25f + 0.5f * static_cast<float>(s % 2),
                                          static_cast<float>(y) + 0.25f + 0.5f * static_cast<float>(s / 2)));
                hall[index(x, y)] = sum / 4.0f;
            }
    }

    [[nodiscard]] std::size_t index(int x, int y) const {
        return static_cast<std::size_t>(y) * static_cast<std::size_t>(camera.width) + static_cast<std::size_t>(x);
    }

    // Unit ray in camera space through a place of the picture.
    [[nodiscard]] V ray(float px, float py) const {
        const auto f = static_cast<float>(camera.focal);
        return V((px - static_cast<float>(camera.width) / 2) / f, (py - static_cast<float>(camera.height) / 2) / f, 1)
            .normalized();
    }

    [[nodiscard]] V hallColour(const V& cameraRay) const {
        const V d = axes.transpose() * cameraRay;
        const float tFloor = d.y() < -1e-5f ? -eye.y() / d.y() : 1e9f;
        const float tWall = d.z() > 1e-5f ? (1.7f - eye.z()) / d.z() : 1e9f;
        const float tEnd = d.x() < -1e-5f ? (-3.4f - eye.x()) / d.x() : 1e9f;
        const float t = std::min({tFloor, tWall, tEnd});
        const V p = eye + t * d;
        if (t == tFloor)
            return floorColour(p);
        return t == tWall ? wallColour(p.x(), p.y(), 0.0f) : wallColour(p.z() * 1.0f + 40.0f, p.y(), 0.55f);
    }

    // A boarded wall: panels below, plaster with a woven pattern above, and the scale chart.
    static V wallColour(float u, float y, float shade) {
        V c;
        if (y < 1.05f) {
            const float board = std::floor(u / 0.155f);
            const float edge = std::abs(fract(u / 0.155f) - 0.5f);
            const float grain = noise(V(u * 40.0f, y * 2.5f, board * 7.3f));
            c = V(0.50f, 0.40f, 0.30f) * (0.80f + 0.16f * hash(static_cast<int>(board), 3, 9) + 0.14f * grain);
            if (edge > 0.47f)
                c *= 0.66f;
            if (y > 1.0f)
                c = V(0.36f, 0.28f, 0.21f);
        } else {
            const float weave =
                noise(V(u * 22.0f, y * 22.0f, 4.0f)) * 0.6f + noise(V(u * 70.0f, y * 70.0f, 9.0f)) * 0.4f;
            const bool diamond = std::abs(fract(u / 0.42f) - 0.5f) + std::abs(fract(y / 0.42f) - 0.5f) < 0.16f;
            c = V(0.66f, 0.69f, 0.68f) * (0.92f + 0.10f * weave);
            if (diamond)
                c = V(0.56f, 0.62f, 0.63f) * (0.92f + 0.10f * weave);
        }
        // Wall chart: a 2 m upright scale of 10 cm fields, whose true size is known.
        if (shade == 0.0f && u > 2.50f && u < 2.58f && y < 2.0f) {
            const bool dark = static_cast<int>(std::floor(y / 0.1f)) % 2 == 0;
            c = dark ? V(0.12f, 0.13f, 0.14f) : V(0.93f, 0.92f, 0.88f);
            if (std::fmod(y + 0.004f, 0.5f) < 0.008f)
                c = V(0.75f, 0.30f, 0.16f);
        }
        return c * (1.0f - 0.25f * shade) * (0.86f + 0.07f * std::min(y, 2.0f));
    }

    static V floorColour(const V& p) {
        V c;
        const float n = noise(V(p.x() * 60.0f, 1.0f, p.z() * 60.0f));
        if (std::abs(p.z()) < 0.80f && p.x() > -2.6f) {
            c = V(0.44f, 0.47f, 0.49f) * (0.93f + 0.10f * n); // the piste, a woven mat
            const float rib = fract((p.x() + p.z()) / 0.05f);
            c *= 0.965f + 0.035f * (rib > 0.5f ? 1.0f : 0.0f);
            if (std::abs(std::abs(p.z()) - 0.76f) < 0.018f)
                c = V(0.86f, 0.85f, 0.80f);
            if (std::abs(std::fmod(p.x() + 20.0f, 1.0f) - 0.5f) < 0.016f)
                c = c * 0.55f + V(0.36f, 0.36f, 0.34f);
        } else {
            const float plank = std::floor(p.z() / 0.11f);
            const float grain = noise(V(p.x() * 3.0f + plank * 17.0f, 2.0f, p.z() * 60.0f));
            c = V(0.62f, 0.47f, 0.31f) * (0.82f + 0.12f * hash(static_cast<int>(plank), 5, 1) + 0.12f * grain);
        }
        return c;
    }

    [[nodiscard]] V cloth(const Cone& c, const V& at, const V& normal) const {
        // The limb's own frame: along its axis, and two directions across that turn with it.
        V axis = c.along;
        const float length = axis.norm();
        axis = length > 1e-6f ? V(axis / length) : V(0, 1, 0);
        V s = c.side - c.side.dot(axis) * axis;
        s = s.squaredNorm() > 1e-6f ? V(s.normalized()) : V(axis.unitOrthogonal());
        const V o = axis.cross(s);
        const V local((at - c.from).dot(s), (at - c.from).dot(axis), (at - c.from).dot(o));
        const V salted = local + V(c.salt, c.salt * 0.37f, -c.salt * 0.71f);
        switch (c.cloth) {
        case Cloth::skin:
            return outfit.skin * (0.94f + 0.10f * noise(salted * 60.0f));
        case Cloth::hair:
            return outfit.hair *
                   (0.55f + 0.9f * noise(V(salted.x() * 120.0f, salted.y() * 25.0f, salted.z() * 120.0f)));
        case Cloth::face: {
            // side = where the face looks; read the place on the head by direction from its middle
            const V look = c.side;
            const V crown = axes * V::UnitY();
            const V ear = look.cross(crown).normalized();
            const V d = normal;
            const float f = d.dot(look), u = d.dot(crown), r = std::abs(d.dot(ear));
            V col = outfit.skin * (0.95f + 0.08f * noise(salted * 60.0f));
            const bool skull = c.ra > 0.09f;
            if (skull) {
                if (f > 0.4f && std::abs(u + 0.22f) < 0.065f && std::abs(r - 0.36f) < 0.15f)
                    col = std::abs(r - 0.36f) < 0.065f ? V(0.10f, 0.08f, 0.07f) : V(0.90f, 0.88f, 0.86f); // eyes
                else if (f > 0.4f && std::abs(u + 0.08f) < 0.04f && std::abs(r - 0.38f) < 0.2f)
                    col = outfit.hair * 0.9f; // brows
            } else {
                if (f > 0.5f && std::abs(u + 0.36f) < 0.055f && r < 0.40f)
                    col = V(0.62f, 0.32f, 0.29f); // mouth
                else if (f > 0.2f && r > 0.35f && std::abs(u) < 0.4f)
                    col = col.cwiseProduct(V(1.03f, 0.93f, 0.91f)); // cheeks
            }
            return col;
        }
        case Cloth::jacket: {
            // Quilted cloth: seams along and round the limb, a fine weave, a dart of colour.
            const float angle = std::atan2(local.z(), local.x()) / 6.2831853f;
            const float weave = noise(salted * 160.0f);
            const float fold = noise(V(salted.x() * 26.0f, salted.y() * 15.0f, salted.z() * 26.0f));
            V col = outfit.jacket * (0.80f + 0.14f * weave + 0.20f * (fold - 0.4f));
            if (std::abs(fract(angle * 4.0f + 0.13f) - 0.5f) < 0.028f ||
                std::abs(fract(local.y() / 0.085f) - 0.5f) < 0.045f)
                col *= 0.78f;
            if (noise(salted * 45.0f) > 0.80f)
                col *= 0.84f;
            return col;
        }
        case Cloth::trousers: {
            const float angle = std::atan2(local.z(), local.x()) / 6.2831853f;
            const float weave = noise(salted * 150.0f);
            const float fold = noise(V(salted.x() * 22.0f, salted.y() * 14.0f, salted.z() * 22.0f));
            V col = outfit.trousers * (0.72f + 0.32f * weave + 0.55f * (fold - 0.35f));
            if (std::abs(fract(angle + 0.25f) - 0.5f) < 0.030f)
                col = V(0.80f, 0.79f, 0.74f); // side stripe
            if (noise(salted * 50.0f) > 0.78f)
                col *= 1.45f;
            return col;
        }
        case Cloth::sock: {
            const float rib = fract(local.y() / 0.021f);
            V col =
                V(0.88f, 0.88f, 0.86f) * (0.80f + 0.12f * (rib > 0.5f ? 1.0f : 0.0f) + 0.12f * noise(salted * 120.0f));
            if (local.y() > 0.045f && local.y() < 0.075f && c.ra > 0.0505f && c.ra < 0.056f)
                col = outfit.shoe * 0.9f; // ring of colour
            return col;
        }
        case Cloth::shoe: {
            V col = outfit.shoe * (0.80f + 0.30f * noise(salted * 90.0f));
            if (normal.y() > 0.72f)
                col = V(0.90f, 0.89f, 0.85f); // sole
            else if (std::abs(fract(local.y() / 0.05f) - 0.5f) < 0.09f)
                col = V(0.92f, 0.91f, 0.88f);
            return col;
        }
        case Cloth::glove:
            return V(0.80f, 0.74f, 0.60f) * (0.78f + 0.34f * noise(salted * 110.0f));
        case Cloth::steel:
            return V(0.62f, 0.64f, 0.68f);
        case Cloth::guard:
            return V(0.70f, 0.72f, 0.76f) * (0.85f + 0.2f * noise(salted * 70.0f));
        }
        return V::Ones();
    }

    [[nodiscard]] Box boxOf(const Cone& c) const {
        const auto f = static_cast<float>(camera.focal);
        const auto place = [&](const V& p, float r, float& x0, float& y0, float& x1, float& y1) {
            const float z = std::max(0.1f, p.z() - r);
            const float cx = static_cast<float>(camera.width) / 2 + f * p.x() / p.z();
            const float cy = static_cast<float>(camera.height) / 2 + f * p.y() / p.z();
            const float rr = f * r / z + 2.0f;
            x0 = std::min(x0, cx - rr);
            x1 = std::max(x1, cx + rr);
            y0 = std::min(y0, cy - rr);
            y1 = std::max(y1, cy + rr);
        };
        float x0 = 1e9f, y0 = 1e9f, x1 = -1e9f, y1 = -1e9f;
        place(c.a, c.ra, x0, y0, x1, y1);
        place(c.b, c.rb, x0, y0, x1, y1);
        return {std::clamp(static_cast<int>(x0), 0, camera.width), std::clamp(static_cast<int>(y0), 0, camera.height),
                std::clamp(static_cast<int>(x1) + 1, 0, camera.width),
                std::clamp(static_cast<int>(y1) + 1, 0, camera.height)};
    }

    // The cone's outline in the picture, a little too wide: a cheap test before the exact one.
    struct Outline {
        float ax, ay, dx, dy, length2, ra, rb;
        [[nodiscard]] bool near(float x, float y) const {
            const float t = std::clamp(((x - ax) * dx + (y - ay) * dy) / length2, 0.0f, 1.0f);
            const float ex = x - ax - t * dx, ey = y - ay - t * dy;
            const float reach = std::max(ra, rb);
            return ex * ex + ey * ey < reach * reach;
        }
    };
    [[nodiscard]] Outline outlineOf(const Cone& c) const {
        const auto f = static_cast<float>(camera.focal);
        const auto px = [&](const V& p) { return static_cast<float>(camera.width) / 2 + f * p.x() / p.z(); };
        const auto py = [&](const V& p) { return static_cast<float>(camera.height) / 2 + f * p.y() / p.z(); };
        const auto radius = [&](const V& p, float r) { return f * r / std::max(0.1f, p.z() - r) + 2.5f; };
        const float dx = px(c.b) - px(c.a), dy = py(c.b) - py(c.a);
        return {px(c.a), py(c.a), dx, dy, dx * dx + dy * dy + 1e-6f, radius(c.a, c.ra), radius(c.b, c.rb)};
    }

    // The colour of a cone where a ray hits it.
    [[nodiscard]] V lit(const Cone& c, const V& rd, const V& light, const V& skyward) const {
        float t;
        V n;
        hitCone(c, rd, t, n);
        const V colour = cloth(c, t * rd, n);
        const float key = std::max(0.0f, n.dot(light));
        const float sky = 0.5f + 0.5f * n.dot(skyward);
        const float rim = std::pow(1.0f + n.dot(rd), 3.0f);
        float shade = 0.34f + 0.52f * key + 0.22f * sky - 0.10f * rim;
        if (c.cloth == Cloth::steel || c.cloth == Cloth::guard)
            shade += 0.5f * std::pow(std::max(0.0f, (light - rd).normalized().dot(n)), 24.0f);
        return colour * shade;
    }

    // Soft dark patches where the body is near the floor.
    void shadow(const Joints& j, std::vector<V>& picture) const {
        struct Blob {
            float x, z, radius, dark;
        };
        std::vector<Blob> blobs;
        for (const char* name : {"left_toe", "left_heel", "right_toe", "right_heel", "left_ankle", "right_ankle"}) {
            const auto& p = j.at.at(name);
            const float y = static_cast<float>(p.y());
            blobs.push_back(
                {static_cast<float>(p.x()), static_cast<float>(p.z()), 0.10f + 0.6f * y, 0.34f / (1.0f + 9.0f * y)});
        }
        const Eigen::Vector3d pelvis = (j.at.at("left_hip") + j.at.at("right_hip")) / 2;
        blobs.push_back({static_cast<float>(pelvis.x()), static_cast<float>(pelvis.z()), 0.42f, 0.30f});
        for (const auto& b : blobs) {
            // The blob's square on the floor, as a box in the picture.
            int x0 = camera.width, y0 = camera.height, x1 = 0, y1 = 0;
            for (float sx : {-2.2f, 2.2f})
                for (float sz : {-2.2f, 2.2f}) {
                    const Pixel p = camera.project({b.x + sx * b.radius, 0.0, b.z + sz * b.radius});
                    x0 = std::min(x0, static_cast<int>(p.x));
                    x1 = std::max(x1, static_cast<int>(p.x) + 1);
                    y0 = std::min(y0, static_cast<int>(p.y));
                    y1 = std::max(y1, static_cast<int>(p.y) + 1);
                }
            for (int y = std::max(0, y0); y < std::min(camera.height, y1); ++y)
                for (int x = std::max(0, x0); x < std::min(camera.width, x1); ++x) {
                    const V d = axes.transpose() * ray(static_cast<float>(x) + 0.5f, static_cast<float>(y) + 0.5f);
                    if (d.y() > -1e-4f)
                        continue;
                    const V p = eye + d * (-eye.y() / d.y());
                    const float q =
                        ((p.x() - b.x) * (p.x() - b.x) + (p.z() - b.z) * (p.z() - b.z)) / (b.radius * b.radius);
                    picture[index(x, y)] *= 1.0f - b.dark * std::exp(-1.6f * q);
                }
        }
    }
};

Renderer::Renderer(SimulatedCamera camera, Outfit outfit, std::vector<double> posts)
    : m_impl(std::make_unique<Impl>(camera, outfit, std::move(posts))) {}
Renderer::~Renderer() = default;

Picture Renderer::frame(double time, const std::function<Joints(double)>& bodyAt, unsigned seed) const {
    const Impl& r = *m_impl;
    constexpr int kSub = 6;
    // Places of the sub-frames inside a pixel: they smooth edges while they gather the blur.
    constexpr std::array<std::array<float, 2>, kSub> kJitter = {
        {{0.17f, 0.42f}, {0.83f, 0.58f}, {0.42f, 0.08f}, {0.58f, 0.92f}, {0.08f, 0.75f}, {0.92f, 0.25f}}};
    const int w = r.camera.width, h = r.camera.height;
    const V light = (r.axes * V(0.35f, 0.85f, -0.55f)).normalized();
    const V skyward = r.axes * V::UnitY();

    std::vector<V> back = r.hall;
    r.shadow(bodyAt(time + r.camera.exposure / 2), back);

    std::array<std::vector<Cone>, kSub> cones;
    Box dirty{w, h, 0, 0};
    for (int s = 0; s < kSub; ++s) {
        cones[static_cast<std::size_t>(s)] =
            figureCones(bodyAt(time + r.camera.exposure * (s + 0.5) / kSub), r.axes, r.eye, r.outfit.longHair, r.posts);
        for (const auto& c : cones[static_cast<std::size_t>(s)]) {
            const Box b = r.boxOf(c);
            dirty = {std::min(dirty.x0, b.x0), std::min(dirty.y0, b.y0), std::max(dirty.x1, b.x1),
                     std::max(dirty.y1, b.y1)};
        }
    }
    const int bw = std::max(0, dirty.x1 - dirty.x0), bh = std::max(0, dirty.y1 - dirty.y0);
    std::vector<V> sum(static_cast<std::size_t>(bw) * static_cast<std::size_t>(bh), V::Zero());
    std::vector<float> depth(sum.size());
    std::vector<std::int16_t> id(sum.size());
    std::vector<V> rays(sum.size());
    const auto local = [&](int x, int y) {
        return static_cast<std::size_t>(y - dirty.y0) * static_cast<std::size_t>(bw) +
               static_cast<std::size_t>(x - dirty.x0);
    };

    for (int s = 0; s < kSub; ++s) {
        const auto& list = cones[static_cast<std::size_t>(s)];
        const auto& jitter = kJitter[static_cast<std::size_t>(s)];
        for (int y = dirty.y0; y < dirty.y1; ++y)
            for (int x = dirty.x0; x < dirty.x1; ++x)
                rays[local(x, y)] = r.ray(static_cast<float>(x) + jitter[0], static_cast<float>(y) + jitter[1]);
        std::fill(depth.begin(), depth.end(), 1e9f);
        std::fill(id.begin(), id.end(), static_cast<std::int16_t>(-1));
        for (std::size_t k = 0; k < list.size(); ++k) {
            const Box b = r.boxOf(list[k]);
            const Impl::Outline outline = r.outlineOf(list[k]);
            for (int y = b.y0; y < b.y1; ++y)
                for (int x = b.x0; x < b.x1; ++x) {
                    float t;
                    V n;
                    const std::size_t i = local(x, y);
                    if (!outline.near(static_cast<float>(x), static_cast<float>(y)) || !hitCone(list[k], rays[i], t, n))
                        continue;
                    if (t < depth[i]) {
                        depth[i] = t;
                        id[i] = static_cast<std::int16_t>(k);
                    }
                }
        }
        for (int y = dirty.y0; y < dirty.y1; ++y)
            for (int x = dirty.x0; x < dirty.x1; ++x) {
                const std::size_t i = local(x, y);
                if (id[i] < 0) {
                    sum[i] += back[r.index(x, y)];
                    continue;
                }
                sum[i] += r.lit(list[static_cast<std::size_t>(id[i])], rays[i], light, skyward);
            }
    }

    Picture out(w, h);
    std::mt19937 random(seed);
    // Sum of uniform bytes: close enough to normal, and quick.
    const float noiseScale = static_cast<float>(r.camera.noise) / 147.8f; // SD of a sum of 4 bytes is 147.8
    for (int y = 0; y < h; ++y)
        for (int x = 0; x < w; ++x) {
            const bool inside = x >= dirty.x0 && x < dirty.x1 && y >= dirty.y0 && y < dirty.y1;
            const V c = inside ? V(sum[local(x, y)] / static_cast<float>(kSub)) : back[r.index(x, y)];
            const std::uint32_t bits = random();
            const float grain =
                (static_cast<float>((bits & 255) + ((bits >> 8) & 255) + ((bits >> 16) & 255) + (bits >> 24)) -
                 510.0f) *
                noiseScale;
            std::uint32_t pixel = 0xff000000u;
            for (int k = 0; k < 3; ++k) {
                const float v = std::clamp(c[k] * 255.0f + grain, 0.0f, 255.0f);
                pixel |= static_cast<std::uint32_t>(v + 0.5f) << (16 - 8 * k);
            }
            out.pixels[r.index(x, y)] = pixel;
        }
    return out;
}

} // namespace riflesso
