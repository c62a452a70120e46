#pragma once
/// \file
/// A drill of the coach's own: made, changed, taken away.

#include "core/technique/own_drill.h"
#include "desktop/workbench/workbench.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QDoubleSpinBox>
#include <QLineEdit>
#include <QListWidget>
#include <QPlainTextEdit>

#include <functional>

namespace riflesso {

/// Accepted: drill() is what was typed, with a name and one fault at least. removal(): it is to go.
class OwnDrillDialog : public QDialog {
    Q_OBJECT
public:
    /// \p drill: what is changed; a new one has no id.
    OwnDrillDialog(const Blueprint& blueprint, const OwnDrill& drill, QWidget* parent = nullptr);
    [[nodiscard]] OwnDrill drill() const;
    [[nodiscard]] bool removal() const { return m_removal; }

private:
    void check();
    OwnDrill m_drill;
    bool m_removal = false;
    QLineEdit* m_name;
    QPlainTextEdit* m_how;
    QLineEdit* m_cue;
    QLineEdit* m_contrast;
    QLineEdit* m_variations;
    QLineEdit* m_caution;
    QComboBox* m_stage;
    QDoubleSpinBox* m_minutes;
    QCheckBox* m_home;
    QCheckBox* m_partner;
    QListWidget* m_faults;
    QPushButton* m_ok;
};

/// Opens the dialog for a drill of one's own, or with an empty \p id for a new one that is for \p faults; keeps it in
/// the library and gives the case the blueprint with it. \p done: what became of it in words, and the drill's id; empty
/// where it is gone or nothing was kept. Interface thread; returns at once.
void askOwnDrill(Workbench& bench, QWidget* parent, const std::string& id, const std::vector<std::string>& faults,
                 std::function<void(const QString& words, const std::string& id)> done);

} // namespace riflesso
