#pragma once
/// \file
/// Line icons of one open family (Lucide, ISC licence, shipped beside them), in the ink of the theme. An icon is never
/// alone: there is always a word or a tooltip with it.

#include <QAbstractButton>
#include <QIcon>

#include <initializer_list>
#include <utility>

namespace riflesso {

/// By its name in desktop/theme/icons. Painted in the theme's text colour at the time of painting, so that a change of
/// theme needs no new icon; \p onAccent: in the colour of text on the accent. Empty when there is none of that name.
QIcon lineIcon(const QString& name, bool onAccent = false);

/// Gives each button its icon, as high as its letters.
void setLineIcons(std::initializer_list<std::pair<QAbstractButton*, const char*>> icons);

} // namespace riflesso
