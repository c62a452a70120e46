#pragma once
/// \file
/// What a reading came to, in one sentence, and the few looks that would make it surer.

#include "casebook/analysis.h"

namespace riflesso {

/// A frame that is worth a look of the coach.
struct Look {
    Id take = 0, rep = 0;
    FrameIndex frame;
    std::vector<std::string> decides; ///< undecided measures that it makes surer
};

/// At most \p most frames of the judged reps, those that pay most first; of the same frame only one.
std::vector<Look> looksOf(const CaseData& data, const Analysis& analysis, std::size_t most = 6);

/// "3 strengths, 1 clear fault, 9 undecided: 6 looks would decide up to 5 of them."
std::string firstWords(const Analysis& analysis, const std::vector<Look>& looks);

} // namespace riflesso
