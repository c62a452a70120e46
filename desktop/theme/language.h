#pragma once
/// \file
/// The language of the window and of what is printed from it; files and the command line stay English.

#include "core/technique/blueprint.h"

#include <QList>
#include <QString>

namespace riflesso {

struct SpokenLanguage {
    QString code; ///< "it"
    QString name; ///< in itself: "Italiano"
};

/// Those that ship, English first.
QList<SpokenLanguage> languages();
/// The shipped language for \p code: "system" is the computer's, English where there is no translation of it.
QString shippedLanguage(const QString& code);
/// Speaks it from now on; what is already on the glass stays until it is made anew. "pseudo" is no language but English
/// drawn out by half and put between brackets, to find text that is cut or was never marked for translation.
void speakLanguage(const QString& code);
/// "en", "it", "pseudo".
QString spokenLanguage();
/// Of date fields: the locale's short form with the whole year, so that no two centuries look alike.
QString dateFormat();
/// A blueprint in the language spoken.
Blueprint asSpoken(Blueprint blueprint);

} // namespace riflesso
