#pragma once
/// \file
/// How much a test of statistics draws: the suite a smaller part of each, `make check-long` the whole.

#include <QtGlobal>

#include <cmath>

namespace riflesso::test {

/// True under `make check-long`.
inline bool wholeDraw() {
    return qEnvironmentVariableIsSet("RIFLESSO_LONG");
}
/// \p whole under `make check-long`, else \p part.
template <typename T> T drawn(T whole, T part) {
    return wholeDraw() ? whole : part;
}

/// By how many points of 100 a share of \p n that should be \p percent may be off: 4 over the whole draw, and half a
/// point since another processor's rounding may move a value across u; over a part three and a half standard errors
/// more.
inline double mayBeOff(double percent, int n) {
    const double share = percent / 100.0;
    return 4.5 + (wholeDraw() || n < 1 ? 0.0 : 350.0 * std::sqrt(share * (1.0 - share) / n));
}

} // namespace riflesso::test
