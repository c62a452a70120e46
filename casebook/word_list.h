#pragma once
/// \file
/// The words of the program's lists of names: stages, views, landmarks, regimes …

#include <span>

namespace riflesso {

/// All that word() (core/words/say.h) can give in another language.
std::span<const char* const> knownWords();

} // namespace riflesso
