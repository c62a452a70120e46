#pragma once
/// \file
/// What a bundle holds and what becomes of it: case by case, beside what the library has.

#include "library/bundle.h"

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>

#include <vector>

namespace riflesso {

/// Interface thread. Nothing is taken in before the button is pressed; nothing that is there is overwritten.
class ArrivalDialog : public QDialog {
    Q_OBJECT
public:
    ArrivalDialog(Library& library, const QString& file, const BundleContents& contents, QWidget* parent = nullptr);
    /// Takes in what was chosen. False when it failed; the words are on the dialog then.
    bool takeIn();
    [[nodiscard]] const std::vector<Id>& cases() const { return m_cases; }
    [[nodiscard]] QComboBox* choice(std::size_t index) const { return m_choices[index]; }

private:
    Library& m_library;
    QString m_file;
    BundleContents m_contents;
    std::vector<QComboBox*> m_choices; ///< a case each; data: −1 leave out, 0 somebody new, else the athlete
    std::vector<Id> m_cases;
    QLabel* m_state;
    QProgressBar* m_bar;
    QPushButton* m_take;
    bool m_cancelled = false;
};

/// Own blueprints of a library that some cases use, as JSON by id.
std::map<std::string, std::string> ownBlueprints(Library& library, const std::vector<Id>& cases);

} // namespace riflesso
