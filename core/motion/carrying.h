#pragma once
/// \file
/// The arithmetic of carried marks: how sure a mark is after so many steps, what two directions say together, and which
/// places a body cannot be in. Pictures are footage/carry.h's business.

#include "core/motion/mark.h"

#include <map>
#include <optional>
#include <utility>
#include <vector>

namespace riflesso {

/// What one step from a frame to the next looked like. px, grey levels as shares.
struct CarryStep {
    double forwardBackward = 0.0; ///< distance by which the step there and back misses its start
    double speed = 0.0;           ///< length of the step
    double likeness = 1.0;        ///< correlation of the place with the marked one, −1..1
};

/// The error of a carried mark: of the mark it was carried from, which it keeps, and of the way, which grows.
/// The way's part is a random walk with steps of √(still² + (there-and-back)² + (moving)²), pulled back by each look at
/// the marked place. Constants were fitted on films of the simulated camera (tests/footage/test_carry.cpp holds them to
/// a normalised error of standard deviation 0.8 to 1.25, there and on a film of a motion file).
struct CarryError {
    double start = 0.0;  ///< variance of the mark it began with, px²
    double way = 0.0;    ///< variance of the way since, px²
    double turned = 0.0; ///< variance by which a joint's middle wanders under its cloth as the limb turns, px²
    [[nodiscard]] double variance() const { return start + way + turned; }
    [[nodiscard]] double sigma() const;

    void step(const CarryStep& s);
    /// Combines with a look at the marked place, whose own variance is \p look: gives the share by which the place
    /// moves towards what was seen there.
    double look(double look);
};

/// A carried place and its variance (of x and of y, each).
struct Carried {
    Pixel at;
    double variance = 0.0;
};

/// One landmark followed in one direction, by frame, with what each place looked like (correlation with the marked
/// one).
struct CarriedPlace {
    Carried place;
    double likeness = 1.0;
};
/// Where a followed landmark came out on a frame that a hand has marked, before the mark took over.
struct Arrival {
    Carried place;
    Mark mark;
};

/// A way that should have ended on a mark and did not was lost somewhere: from where it looked least like the marked
/// place on, its variance holds the whole miss; before that, a twentieth of it. \p arrivals by frame; \p direction is
/// the sweep's, +1 or −1.
void closeWays(std::map<int, CarriedPlace>& ways, const std::map<int, Arrival>& arrivals, int direction);

/// Two directions that meet: the mean weighted by their variances. Where they disagree by more than they say, the
/// disagreement counts as error.
Carried blend(const Carried& forwards, const Carried& backwards);

/// The lengths that a bone was seen with, on frames where both of its ends were marked by hand.
class BoneSpread {
public:
    /// Learns from all hand marks of a take.
    BoneSpread(const TrackSet& tracks, const std::vector<std::pair<LandmarkName, LandmarkName>>& bones);
    /// By how much a length lies outside what was seen, as a share of the longest seen; 0 inside, or when the bone was
    /// never seen. A bone may look shorter than ever (it turns towards the camera) by \p shorter of its length.
    /// Implements do not stretch: they are allowed a third of the grace that bones have.
    [[nodiscard]] double beyond(const LandmarkName& a, const LandmarkName& b, double length,
                                double shorter = 0.45) const;
    [[nodiscard]] std::optional<double> longest(const LandmarkName& a, const LandmarkName& b) const;
    [[nodiscard]] double usual() const { return m_usual; } ///< the median of all bones, px; 0 when none was seen

private:
    struct Seen {
        double least = 0.0, most = 0.0;
    };
    std::map<std::pair<LandmarkName, LandmarkName>, Seen> m_seen; // names in order
    double m_usual = 0.0;
};

/// Bones along which carrying looks among the landmarks that have marks: linesAmong(), and for each implement's end
/// that hangs on a hand the hand or wrist that it was nearest to on the frames marked by hand.
std::vector<std::pair<LandmarkName, LandmarkName>> bonesFor(const TrackSet& tracks);

/// True for the bones across the trunk, which is thick: when it turns, cloth wanders far over a joint's middle.
bool acrossTrunk(const LandmarkName& a, const LandmarkName& b);

/// Is a step believable after the one before (px a frame)? Bodies do not jump: the change of a step is bounded by a
/// share of its length and of the usual bone.
bool believableStep(Eigen::Vector2d before, Eigen::Vector2d now, double usualBone);

} // namespace riflesso
