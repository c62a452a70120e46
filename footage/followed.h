#pragma once
/// \file
/// One landmark on its way through the frames, as carrying knows it (carry.cpp). Places are px of the picture.

#include "core/motion/carrying.h"
#include "footage/patch.h"

#include <Eigen/Core>

#include <set>
#include <utility>
#include <vector>

namespace riflesso {

struct Followed {
    LandmarkName name;
    Track marks;
    std::set<FrameIndex> starts; // marks that no hand has made, but to carry from
    std::vector<LandmarkName> neighbours;
    std::vector<std::size_t> beside;                   // of m_followed
    std::vector<std::pair<std::size_t, double>> reach; // of m_followed, and how far away it may be, px
    bool active = false;
    int away = 0;  // frames for which it has been covered
    int steps = 0; // since it was marked or found again
    bool fresh = false;
    bool found = false;     // it was lost since it was marked, and found again
    bool implement = false; // not of the body
    bool given = false;     // not followed: it is where its marks are
    int still = 0;          // frames for which it has not moved while what it hangs on has
    Eigen::Vector2d at{0, 0}, step{0, 0};
    Eigen::Vector2d free{0, 0};                 // where it last moved with the body
    Eigen::Vector2d proposed{0, 0}, left{0, 0}; // by the flow; where it was last seen
    double missed = 0.0;                        // there and back
    bool outside = false, believed = false;     // what is proposed
    Eigen::Vector2d guess{0, 0};                // where it is looked for, and how far round
    double range = 0.0;
    PatchMatch look; // what was seen there
    CarryError error;
    double likeness = 1.0;                                      // as it usually was
    double seen = 1.0;                                          // as it was last
    Patch patch;                                                // the marked place
    std::vector<std::pair<std::size_t, Eigen::Vector2d>> limbs; // where its neighbours lay when it was marked
};

} // namespace riflesso
