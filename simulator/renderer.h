#pragma once
/// \file
/// Pictures of the athlete in a fencing hall: a software ray-cast of round cones.

#include "footage/picture.h"
#include "simulator/athlete.h"
#include "simulator/camera.h"

#include <functional>
#include <memory>
#include <vector>

namespace riflesso {

/// How the athlete is dressed; the hues tell two athletes apart.
struct Outfit {
    Eigen::Vector3f jacket{0.86f, 0.85f, 0.82f};
    Eigen::Vector3f trousers{0.16f, 0.22f, 0.36f};
    Eigen::Vector3f hair{0.20f, 0.13f, 0.08f};
    Eigen::Vector3f skin{0.80f, 0.60f, 0.48f};
    Eigen::Vector3f shoe{0.72f, 0.20f, 0.16f};
    bool longHair = false;
};

/// Renders frames for one camera. The hall is drawn once; frame() is const and may run on several threads.
class Renderer {
public:
    /// \p posts: places along the line of movement (m) of round posts that stand between camera and athlete.
    Renderer(SimulatedCamera camera, Outfit outfit, std::vector<double> posts = {});
    ~Renderer();

    /// The picture gathered over the exposure that begins at \p time. \p bodyAt gives the joints at an instant.
    /// \p seed fixes the noise.
    [[nodiscard]] Picture frame(double time, const std::function<Joints(double)>& bodyAt, unsigned seed) const;

private:
    struct Impl;
    std::unique_ptr<Impl> m_impl;
};

} // namespace riflesso
