#include "core/statistics/numbers.h"

#include <array>
#include <charconv>
#include <cmath>

namespace riflesso {
namespace {

std::string written(double value, std::chars_format format, int precision) {
    // 309 digits before the point, the decimals behind it.
    std::array<char, 400> buffer{};
    const auto end = std::to_chars(buffer.data(), buffer.data() + buffer.size(), value, format, precision);
    return end.ec == std::errc() ? std::string(buffer.data(), end.ptr) : std::string("nan");
}

} // namespace

std::string fixed(double value, int digits) {
    return written(value, std::chars_format::fixed, digits);
}

std::string general(double value, int significant) {
    return written(value, std::chars_format::general, significant);
}

std::optional<double> numberFrom(std::string_view text) {
    const auto first = text.find_first_not_of(" \t\r");
    if (first == std::string_view::npos)
        return std::nullopt;
    text = text.substr(first, text.find_last_not_of(" \t\r") - first + 1);
    if (text.front() == '+' && text.size() > 1 && text[1] != '-')
        text.remove_prefix(1);
    double value = 0.0;
    const auto end = std::from_chars(text.data(), text.data() + text.size(), value);
    if (end.ec != std::errc() || end.ptr != text.data() + text.size() || !std::isfinite(value))
        return std::nullopt;
    return value;
}

} // namespace riflesso
