#pragma once
/// \file
/// Reads JSON values and names the place of what is wrong: "measures[3].at: missing". Used inside this room only; the
/// exception does not leave it.

#include "core/motion/result.h"

#include <nlohmann/json.hpp>

#include <cmath>
#include <limits>
#include <stdexcept>
#include <string>
#include <vector>

namespace riflesso {

struct JsonProblem {
    std::string place;
    std::string what;
};

/// A value in a JSON text, with its place.
class JsonReader {
public:
    JsonReader(const nlohmann::json& json, std::string place) : m_json(&json), m_place(std::move(place)) {}

    [[nodiscard]] const std::string& place() const { return m_place; }
    [[nodiscard]] bool has(const std::string& field) const { return m_json->is_object() && m_json->contains(field); }
    [[noreturn]] void fail(const std::string& what) const { throw JsonProblem{m_place, what}; }

    [[nodiscard]] JsonReader operator[](const std::string& field) const {
        if (!m_json->is_object())
            fail("must be an object in braces");
        if (!m_json->contains(field))
            throw JsonProblem{path(field), "is missing"};
        return {(*m_json)[field], path(field)};
    }
    /// The fields of an object, by name.
    [[nodiscard]] std::vector<std::pair<std::string, JsonReader>> fields() const {
        if (!m_json->is_object())
            fail("must be an object in braces");
        std::vector<std::pair<std::string, JsonReader>> out;
        for (const auto& [name, value] : m_json->items())
            out.emplace_back(name, JsonReader(value, path(name)));
        return out;
    }
    [[nodiscard]] std::vector<JsonReader> items() const {
        if (!m_json->is_array())
            fail("must be a list in brackets");
        std::vector<JsonReader> out;
        for (std::size_t i = 0; i < m_json->size(); ++i)
            out.emplace_back((*m_json)[i], m_place + "[" + std::to_string(i) + "]");
        return out;
    }
    [[nodiscard]] std::string text() const {
        if (!m_json->is_string())
            fail("must be a text in quotes");
        return m_json->get<std::string>();
    }
    [[nodiscard]] double number() const {
        if (!m_json->is_number())
            fail("must be a number");
        const double v = m_json->get<double>();
        if (!std::isfinite(v))
            fail("is not a finite number");
        return v;
    }
    [[nodiscard]] int integer() const {
        const double v = number();
        if (v != std::floor(v) || std::abs(v) > 1e9)
            fail("must be a whole number");
        return static_cast<int>(v);
    }
    [[nodiscard]] bool truth() const {
        if (!m_json->is_boolean())
            fail("must be true or false");
        return m_json->get<bool>();
    }
    [[nodiscard]] std::string textOr(const std::string& field, std::string otherwise = {}) const {
        return has(field) ? (*this)[field].text() : std::move(otherwise);
    }
    [[nodiscard]] double numberOr(const std::string& field, double otherwise) const {
        return has(field) ? (*this)[field].number() : otherwise;
    }
    [[nodiscard]] bool truthOr(const std::string& field, bool otherwise) const {
        return has(field) ? (*this)[field].truth() : otherwise;
    }
    [[nodiscard]] std::vector<JsonReader> itemsOr(const std::string& field) const {
        return has(field) ? (*this)[field].items() : std::vector<JsonReader>{};
    }
    /// A word out of a table of names.
    template <typename Enum, std::size_t N>
    [[nodiscard]] Enum word(const std::array<std::string_view, N>& names) const {
        const std::string t = text();
        std::string choices;
        for (std::size_t i = 0; i < N; ++i) {
            if (names[i] == t)
                return static_cast<Enum>(i);
            choices += (i ? ", " : "") + std::string(names[i]);
        }
        fail("\"" + t + "\" is none of: " + choices);
    }

private:
    [[nodiscard]] std::string path(const std::string& field) const {
        return m_place.empty() ? field : m_place + "." + field;
    }
    const nlohmann::json* m_json;
    std::string m_place;
};

/// The value; its error's words as an exception, for readers that catch what nlohmann's json throws.
template <typename T> T known(Result<T> r) {
    if (!r)
        throw std::runtime_error(r.error().text());
    return std::move(*r);
}

} // namespace riflesso
