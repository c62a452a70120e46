#pragma once
/// \file
/// What a blueprint says to people, and the same in another language.

#include "core/technique/blueprint.h"

#include <string_view>
#include <vector>

namespace riflesso {

/// Every text of a blueprint that a person reads: names, words, cues, cautions … in the order of its lists, each once.
/// Not ids, nor what is matched with what a user wrote: choices.
std::vector<std::string> textsOf(const Blueprint& blueprint);

/// The blueprint with its texts in the language \p code ("it"); a text without a translation stays as it was written,
/// so a half-translated blueprint still says everything. Numbers, ids and `languages` are the same, so it measures and
/// judges alike.
Blueprint inLanguage(Blueprint blueprint, std::string_view code);

/// The same text of a blueprint, be it in one of its languages or in another.
bool saysTheSame(const Blueprint& blueprint, const std::string& a, const std::string& b);

} // namespace riflesso
