#pragma once
/// \file
/// The body schema: which points are asked for, where on a body they are, in what order the eye goes.

#include "core/motion/landmark.h"

#include <array>
#include <map>

namespace riflesso {

/// A point of the figure. Names are roles, so that one row stands for right-handed and left-handed athletes.
struct FigurePoint {
    std::string role;  ///< "lead_knee"
    std::string words; ///< where exactly the mark goes: "middle of the knee joint"; common practice, no source
    double x, y;       ///< on the drawn figure, an open stance with the lead side to the left; unit square, y down
};

/// Every point that a person can be marked with, hand and foot detail included.
const std::vector<FigurePoint>& figurePoints();

/// Where exactly a landmark of a person is to be marked; empty for what is not of a person.
std::string whereToMark(const LandmarkName& landmark);

/// What is asked for besides the points that the blueprint's measures read.
enum class FigurePart {
    asked,     ///< nothing else
    whole,     ///< the whole standard figure
    nearSide,  ///< head, neck and the limbs of the side next to the camera
    upperBody, ///< head to hands and hips
    legs       ///< hips to toes
};
inline constexpr std::array<std::string_view, 5> kFigurePartNames = {"asked", "whole", "near side", "upper body",
                                                                     "legs"};

/// The schema of one take.
struct BodySchema {
    FigurePart part = FigurePart::asked;
    bool hands = false;                  ///< thumb, index and little finger of the hands that are in the part
    bool feet = false;                   ///< big and little toe of the feet that are in the part
    std::vector<LandmarkName> extra;     ///< implements, balls, other people, fixed points, in the order added
    std::map<int, std::string> called{}; ///< names of the other people, by personOf()
    friend bool operator==(const BodySchema&, const BodySchema&) = default;
};

/// The points of the schema in the order in which the eye goes: head, near arm, near leg, far arm, far leg, then the
/// extra ones. With `asked` the detail of hands and feet is that of the near side.
std::vector<LandmarkName> landmarksOf(const BodySchema& schema, Side near);

/// The names that one added thing brings: an implement "bar" as a line gives bar_tail and bar_tip.
enum class Thing { line, tip, centre, ball, other, otherUpper, scene };
inline constexpr std::array<std::string_view, 7> kThingNames = {"line",  "tip",        "centre", "ball",
                                                                "other", "otherUpper", "scene"};

/// \p called: what the user calls it ("Heavy bar"); not used for another person, who is \p person. Empty when nothing
/// of a name is left, or there are too many people.
std::vector<LandmarkName> namesFor(Thing thing, std::string_view called, int person = 1);

/// The number that the next person of a take gets; nothing when there are kMostOthers already.
std::optional<int> nextPerson(const BodySchema& schema);

/// What a person is called: by name, else "second person", "person 3" …
std::string calledIn(const BodySchema& schema, int person);

/// True when nobody but \p person has this name in the take.
bool isFreeName(const BodySchema& schema, int person, const std::string& name);

/// spoken() with the name that another person has in this take: "Lea: left knee".
std::string spokenIn(const BodySchema& schema, std::string_view landmark);

} // namespace riflesso
