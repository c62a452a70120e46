#pragma once
/// \file
/// A library of many: the shelf of 1,000 athletes with 3,000 cases, one athlete and a squad over twelve sessions.

namespace riflesso {

/// Start to a usable shelf beside an empty window, a key in the search, a case of ten takes, the athlete's page, the
/// squad sheet. The library is made in the temporary folder.
void manyAthletes();

} // namespace riflesso
