#pragma once
/// \file
/// The report: what is good, what is worked on, drills, the next weeks; with the athlete's own pictures.

#include "casebook/casebook.h"
#include "handover/clip.h"
#include "handover/paper.h"

#include <filesystem>
#include <string_view>

namespace riflesso {

/// For whom it is. The athlete: one page, at most two things. The coach: all. A parent: the athlete's page, with
/// cautions and consent.
enum class Reader { athlete, coach, parent };
inline constexpr std::array<std::string_view, 3> kReaderNames = {"athlete", "coach", "parent"};

/// Opens the films of the judged and the model's rep for their stills. Takes a moment; needs no interface thread.
PaperContent gatherReport(const FilmedCase& filmed, Reader reader = Reader::coach);
PaperContent gatherReport(const Casebook& book, Reader reader = Reader::coach);

/// What is to be done at home on \p today and the next days of the kept or proposed plan, on one card with boxes to
/// tick by hand.
PaperContent homeSheet(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis, Day today);

} // namespace riflesso
