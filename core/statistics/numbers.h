#pragma once
/// \file
/// Numbers in text, the same under every locale: a point before the decimals, nothing between thousands. The C
/// library's printf and strtod follow LC_NUMERIC and must not be used for anything that a program reads again.

#include <optional>
#include <string>
#include <string_view>

namespace riflesso {

/// "-1.50" for (-1.5, 2): as printf's %.*f in the C locale; "nan", "inf" for what is not finite.
std::string fixed(double value, int digits);
/// "0.00123" for (0.00123, 3): as printf's %.*g in the C locale.
std::string general(double value, int significant);
/// The whole text as a finite number, spaces around it and a leading plus allowed. Nothing for anything else: "119,88",
/// "1.5x", "", "nan", "inf".
std::optional<double> numberFrom(std::string_view text);

} // namespace riflesso
