#pragma once
/// \file
/// What the bodies of the library's rows have in common (case_json.h). Used inside this room only.

#include "core/motion/mark.h"
#include "core/motion/result.h"
#include "core/programme/calendar.h"
#include "library/json_reader.h"

#include <array>
#include <string>
#include <string_view>

namespace riflesso {

inline constexpr std::array<std::string_view, 2> kSideNames = {"left", "right"};

inline Day readDay(const JsonReader& j) {
    const auto day = dayFromIso(j.text());
    if (!day)
        j.fail("\"" + j.text() + "\" is no date like 2026-11-23");
    return *day;
}

inline nlohmann::json pixel(Pixel p) {
    return nlohmann::json::array({p.x, p.y});
}

inline Pixel readPixel(const JsonReader& j) {
    const auto v = j.items();
    if (v.size() != 2)
        j.fail("must be [x, y]");
    return {v[0].number(), v[1].number()};
}

/// Reads a body; \p what it is of. Errors name the field.
template <typename T, typename Read> Result<T> guarded(const std::string& text, const char* what, Read read) {
    try {
        const auto parsed = nlohmann::json::parse(text);
        return read(JsonReader(parsed, ""));
    } catch (const JsonProblem& p) {
        return Error{p.place + " " + p.what, what, "the library was not changed", {}};
    } catch (const nlohmann::json::exception&) {
        return Error{"its data in the library are damaged", what, "the library was not changed", {}};
    }
}

} // namespace riflesso
