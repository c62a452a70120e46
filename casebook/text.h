#pragma once
/// \file
/// From the core's UTF-8 to Qt's text.

#include "core/words/say.h"

#include <QString>

#include <string>

namespace riflesso {

inline QString q(const std::string& utf8) {
    return QString::fromStdString(utf8);
}

/// say() as Qt's text.
inline QString says(const char* context, const char* text) {
    return q(say(context, text));
}
/// word() as Qt's text.
inline QString shownWord(std::string_view english) {
    return q(word(english));
}
/// figure() as Qt's text.
inline QString shownFigure(double value, int digits) {
    return q(figure(value, digits));
}

} // namespace riflesso
