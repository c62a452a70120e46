#pragma once
/// \file
/// What the shelf shows of the open case.

#include "casebook/analysis.h"
#include "library/case_card.h"

namespace riflesso {

/// The newest state of a case. The still is the athlete's newest film, on the placed key position that lies nearest to
/// the middle of its rep, cropped to the marks there when there are enough. Pure.
CaseCard cardOf(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis, Day today);

/// What the athlete page and the squad sheet show of it. Pure.
CardDetail detailOf(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis, Day today);

} // namespace riflesso
