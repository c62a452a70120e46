#pragma once
/// \file
/// What a technique looks like at its key positions, without a film.

#include "simulator/film_maker.h"

#include <map>
#include <string>

namespace riflesso {

/// One moment of the simulated athlete from the side, and where its joints are seen.
struct PositionPicture {
    Picture picture;
    std::map<LandmarkName, Pixel> points; ///< px of the picture
};

/// One rep without variation, by key position. \p faults: as faultsOf() names them. \p height of the pictures, px,
/// 90 to 1080. \p only: the picture of this key position alone, of the first where the technique has none of that name;
/// empty: of all. Errors: a technique or a fault that is not known.
Result<std::map<std::string, PositionPicture>> positionPictures(const std::string& technique, const Faults& faults = {},
                                                                int height = 360, const std::string& only = {});

} // namespace riflesso
