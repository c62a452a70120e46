#pragma once
/// \file
/// The look: one light and one dark theme, the shipped type, the style sheet.

#include "casebook/drawing.h"

#include <QColor>
#include <QFont>
#include <QWidget>

namespace riflesso {

/// Colours by duty. Text passes 4.5:1 on its ground, marks 3:1 (a test computes it).
struct Theme {
    bool dark = false;
    QColor ground; ///< behind everything
    QColor panel;  ///< cards and side panels
    QColor field;  ///< input fields
    QColor stage;  ///< around pictures
    QColor text, quiet, line;
    QColor accent;   ///< the next thing to do
    QColor onAccent; ///< text on accent
    QColor caution;
    Hues hues;

    static Theme light();
    static Theme night();
    [[nodiscard]] QString styleSheet() const;
};

/// The theme in use. Widgets that paint ask for it when they paint, so that a switch needs no restart.
const Theme& theme();
void useTheme(const Theme& theme);

/// Loads the shipped fonts and sets them for the program. False when they are missing.
bool loadFonts();

/// Type scale: small 11, body 13, strong 15, title 20, huge 40 (logical pixels). Figures are tabular.
enum class Type { small, body, strong, title, huge };
QFont typeface(Type size, bool bold = false);

/// How large letters are, 100 to 150; takes effect with the next useTheme().
void setTextPercent(int percent);
int textPercent();

} // namespace riflesso
