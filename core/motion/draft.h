#pragma once
/// \file
/// Drafts: what a body model says of a body on each frame, turned into marks with honest errors, and joined with what a
/// hand has marked. The model's own scores are no errors; constants here were fitted against known truth.

#include "core/motion/mark.h"

#include <map>
#include <optional>
#include <vector>

namespace riflesso {

/// One landmark on one frame as a body model sees it. px.
struct FoundPoint {
    Pixel at;                ///< mean of the pass on the picture and the pass on its mirror image
    Pixel apart{};           ///< from that mean to the first pass; the second lies as far on the other side
    double visibility = 0.0; ///< the model's own 0..1
    double flowMiss = -1.0;  ///< how far optical flow from the frame before ends from here, px; negative = not known
    /// Distance between the two passes, px.
    [[nodiscard]] double mirrorMiss() const;
    friend bool operator==(const FoundPoint&, const FoundPoint&) = default;
};

/// One frame.
struct FoundFrame {
    double presence = 0.0; ///< the model's own 0..1 that anybody is there
    double height = 0.0;   ///< about the body's height, px
    double likeness = 1.0; ///< of the trunk's colours to those of the first frame, 0..1
    Pixel next{};          ///< middle of where to look on the next frame
    double nextSize = 0.0; ///< side of the square there, px
    double nextTurn = 0.0; ///< rad
    std::map<LandmarkName, FoundPoint> points{};
    friend bool operator==(const FoundFrame&, const FoundFrame&) = default;
};
using FoundFrames = std::map<FrameIndex, FoundFrame>;

/// Limbs put right over time. A model takes the two legs (or arms) of a side view for one another on some frames, and
/// where its two passes disagree their mean is no place at all: for each limb the cheapest way through all frames among
/// mean, first and second pass, each as it is or with sides swapped, by the jumps that the choice makes (Viterbi).
/// A limb that fits nowhere on a frame is left out there.
FoundFrames untangled(FoundFrames frames);

/// Frames from which on somebody else is followed, as far as colours and size tell: the first frame of each break.
/// \p direction +1 or −1: the way in which the frames were looked at.
std::optional<FrameIndex> somebodyElseFrom(const FoundFrames& frames, FrameIndex start, int direction);

/// What the rest of a draft says against one of its points, px where nothing else is said.
struct FoundDoubt {
    double tooLong = 0.0; ///< by how much its segments are longer than they usually look at most
    /// By what share (0..1) the segment that it ends is shorter: that points at the camera, or the point is wrong.
    double shorter = 0.0;
    double unsteady = 0.0; ///< how far it lies from the middle of its places on the frames around
};

/// Standard error of a found point, px, from how the passes and the flow agree, what else speaks against it and which
/// landmark it is. \p height: of the body, px.
double foundSigma(const LandmarkName& landmark, const FoundPoint& point, double height, const FoundDoubt& doubt = {});

/// Marks of kind found, untangled, with their standard errors.
TrackSet draftMarks(const FoundFrames& frames);

/// How alike the drafted figure is on two frames: a model errs alike where the body looks alike.
class Poses {
public:
    Poses() = default;
    explicit Poses(const TrackSet& drafts);
    /// Root mean square distance of the landmarks, measured from between the hips, as a share of about the body's
    /// height; nothing when one of the frames shows too little.
    [[nodiscard]] std::optional<double> distance(FrameIndex a, FrameIndex b) const;

private:
    std::map<FrameIndex, std::vector<std::optional<Eigen::Vector2d>>> m_places; // in order of standardLandmarks()
};

/// What hand marks teach a draft of one landmark. The draft's error is taken for a constant offset, a part that comes
/// back whenever the body is posed alike, a part that changes slowly (Ornstein-Uhlenbeck) and jitter; given the
/// differences at the hand marks all but the last are estimated everywhere by kriging (Rasmussen & Williams 2006,
/// eq. 2.23-2.24) and taken off. How large the error is is learnt from the differences; the first few of them do not
/// outweigh what the draft says itself. \p framePeriod: s of real time. Gives marks of kind found.
Track taught(const Track& draft, const Track& hands, double framePeriod, const Poses& poses = {});

/// Draft and carried marks of one landmark joined by their errors. Frames that a hand marked or found hidden are left
/// out. A carried mark that the draft hardly changes (by less than a tenth of its weight) stays as it is, of kind
/// tracked; else the mark is of kind found.
Track fused(const Track& draft, const Track& carried, const Track& hands);

/// Everything the program knows of a take's landmarks, anew: drafts taught by the hand marks of \p marks and joined
/// with \p carried, for the given landmarks (all drafted ones when none are named). Gives marks of kind found and
/// tracked for frames that no hand has touched. How much too large or too small the drafts' errors are is learnt from
/// all of the body's landmarks together, then from each one's own.
TrackSet joined(const TrackSet& drafts, const TrackSet& carried, const TrackSet& marks, double framePeriod,
                const std::vector<LandmarkName>& landmarks = {});

/// The tracks of one person (personOf()) under the athlete's names; what is on nobody is in none.
TrackSet ofPerson(const TrackSet& tracks, int person);
/// The way back: tracks under the athlete's names under those of whom they are of.
TrackSet asPerson(TrackSet tracks, int person);

} // namespace riflesso
