#pragma once
/// \file
/// The simulated athlete, and what is held or sat on, as cones for the renderer.

#include "simulator/athlete.h"
#include "simulator/renderer_shapes.h"

#include <vector>

namespace riflesso::rendering {

/// In camera space, m. \p axes, \p eye: of the camera. \p posts: see Renderer; left out for a second person, whose
/// joints are in \p joints as other_….
std::vector<Cone> figureCones(const Joints& joints, const Eigen::Matrix3f& axes, const V& eye, bool longHair,
                              const std::vector<double>& posts);

} // namespace riflesso::rendering
