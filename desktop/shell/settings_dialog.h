#pragma once
/// \file
/// The program's settings, kept in QSettings, and their one dialog.

#include <QDialog>
#include <QString>

namespace riflesso {

struct Preferences {
    QString language = "en"; ///< "system", "en", "it"
    QString theme = "light"; ///< "light", "dark", "system"
    int textPercent = 100;   ///< 100 to 150
    int memory = 512;        ///< MB for pictures
    int sure = 95;           ///< 90, 95 or 99 % until a value counts as inside or outside
    QString who;             ///< who works here: stands beside what was changed by hand; may be empty
    bool leftHanded = false; ///< the mouse: tools stand where the hand does not cover the picture

    [[nodiscard]] bool dark() const;
    static Preferences read();
    void write() const;
};

/// Each change takes effect at once; there is nothing to confirm.
class SettingsDialog : public QDialog {
    Q_OBJECT
public:
    SettingsDialog(QWidget* parent, const QString& library);

signals:
    void changed();
    void otherLibrary();

private:
    Preferences m_now;
};

} // namespace riflesso
