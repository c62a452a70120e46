#pragma once
/// \file
/// What first drafts by the body model are worth without any hand mark, technique by technique. No speed: figures.

#include <string>

namespace riflesso {

/// Films two reps of each technique from the side and from the front, finds the body, and prints how many frames it was
/// found on, how far points and angles at the true key positions are off, and how honest their stated error is.
/// \p pointsFile: null, or where to write each found point with its error (CSV), for fitting foundSigma().
/// \p only: one technique; empty: all six.
void draftFigures(const char* pointsFile = nullptr, const std::string& only = {});

} // namespace riflesso
