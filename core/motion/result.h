#pragma once
/// \file
/// What can fail, fails in words. No exceptions cross a room's border.

#include "core/words/say.h"

#include <optional>
#include <string>
#include <utility>
#include <variant>

namespace riflesso {

/// What sort of failure it is, for code that must decide what to do next; people read the words.
enum class ErrorKind { other, cancelled, missing, denied, full, damaged, newer, conflict, wrongUse };

/// An error as the user reads it: what happened, where, what is untouched, what to do. Only `what` is always there.
struct Error {
    std::string what;
    std::string where;     ///< file, line, field or frame
    std::string untouched; ///< what the failure did not change
    std::string advice;    ///< what to do now
    ErrorKind kind = ErrorKind::other;

    /// `what` in the reader's language, as far as it is known there.
    [[nodiscard]] std::string said() const { return spoken(what); }
    /// One line: "where: what; untouched; advice", in the reader's language as far as its sentences are known there.
    [[nodiscard]] std::string text() const {
        std::string t = where.empty() ? spoken(what) : where + ": " + spoken(what);
        if (!untouched.empty())
            t += "; " + spoken(untouched);
        if (!advice.empty())
            t += "; " + spoken(advice);
        return t;
    }

private:
    // Most rooms write errors in English and know no language; what stands in brackets at the end is the system's own.
    static std::string spoken(const std::string& english) {
        if (std::string whole = say("error", english.c_str()); whole != english)
            return whole;
        const auto detail = english.find(" (");
        return detail == std::string::npos ? english
                                           : say("error", english.substr(0, detail).c_str()) + english.substr(detail);
    }
};

/// A value or an Error. `void` results use Result<Done>.
template <typename T> class Result {
public:
    Result(T value) : m_state(std::move(value)) {}     // NOLINT: implicit on purpose, `return value;`
    Result(Error error) : m_state(std::move(error)) {} // NOLINT: implicit on purpose, `return Error{...};`

    [[nodiscard]] bool ok() const { return std::holds_alternative<T>(m_state); }
    explicit operator bool() const { return ok(); }

    /// Precondition for both: ok().
    T& value() { return std::get<T>(m_state); }
    const T& value() const { return std::get<T>(m_state); }
    T& operator*() { return value(); }
    const T& operator*() const { return value(); }
    T* operator->() { return &value(); }
    const T* operator->() const { return &value(); }

    /// Precondition: !ok().
    [[nodiscard]] const Error& error() const { return std::get<Error>(m_state); }

private:
    std::variant<T, Error> m_state;
};

/// The value of an operation that has nothing to say but that it was done.
struct Done {};
using Status = Result<Done>;

} // namespace riflesso
