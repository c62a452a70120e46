#pragma once
/// \file
/// What a bundle holds and what becomes of it: case by case, beside what the library has.

#include "casebook/shipped.h"
#include "desktop/parts/job_row.h"
#include "library/bundle.h"

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

#include <vector>

namespace riflesso {

/// Interface thread; a worker with a library of its own takes in. Nothing is taken in before the button is pressed;
/// nothing that is there is overwritten.
class ArrivalDialog : public QDialog {
    Q_OBJECT
public:
    /// \p library: the folder. \p blueprints: of the bundle, as the library sees them.
    ArrivalDialog(const std::filesystem::path& library, const QString& file, const BundleContents& contents,
                  ArrivingBlueprints blueprints, QWidget* parent = nullptr);
    /// Takes in what was chosen; accepts when that is done, or says on the dialog why not.
    void takeIn();
    [[nodiscard]] const std::vector<Id>& cases() const { return m_cases; } ///< that were made
    [[nodiscard]] QComboBox* choice(std::size_t index) const { return m_choices[index]; }

private:
    std::filesystem::path m_library;
    QString m_file;
    BundleContents m_contents;
    ArrivingBlueprints m_blueprints;
    std::vector<QComboBox*> m_choices; ///< a case each; data: −1 leave out, 0 somebody new, else the athlete
    std::vector<Id> m_cases;
    QLabel* m_state;
    QVBoxLayout* m_rows;
    QPushButton* m_take;
    Jobs m_jobs; ///< stopped and waited for before anything else goes
};

} // namespace riflesso
