#pragma once
/// \file
/// A drill of the coach's own: made, changed, taken away.

#include "core/technique/own_drill.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QDoubleSpinBox>
#include <QLineEdit>
#include <QListWidget>
#include <QPlainTextEdit>

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
    QLineEdit* m_caution;
    QComboBox* m_stage;
    QDoubleSpinBox* m_minutes;
    QCheckBox* m_home;
    QCheckBox* m_partner;
    QListWidget* m_faults;
    QPushButton* m_ok;
};

} // namespace riflesso
