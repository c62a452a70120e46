#pragma once
/// \file
/// The choice of a rep on screens: what the program itself offers is shown in the reader's language and held as
/// kDecline; all else stays as it was typed.

#include "casebook/text.h"
#include "core/technique/blueprint.h"

namespace riflesso {

inline QString shownChoice(std::string_view held) {
    return held == kDecline ? shownWord(kDecline) : q(std::string(held));
}
inline std::string heldChoice(const QString& shown) {
    return shown.compare(shownWord(kDecline), Qt::CaseInsensitive) == 0 ? std::string(kDecline) : shown.toStdString();
}

} // namespace riflesso
