#pragma once
/// \file
/// From the core's UTF-8 to Qt's text.

#include <QString>

#include <string>

namespace riflesso {

inline QString q(const std::string& utf8) {
    return QString::fromStdString(utf8);
}

} // namespace riflesso
