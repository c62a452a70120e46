#include "desktop/workbench/own_drill_dialog.h"

#include "casebook/shipped.h"
#include "casebook/text.h"
#include "desktop/theme/language.h"
#include "library/shelves.h"

#include <QDialogButtonBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QPushButton>

#include <algorithm>

namespace riflesso {

OwnDrillDialog::OwnDrillDialog(const Blueprint& blueprint, const OwnDrill& drill, QWidget* parent)
    : QDialog(parent), m_drill(drill) {
    setObjectName("ownDrill");
    setWindowTitle(drill.drill.id.empty() ? tr("A drill of your own") : tr("Change a drill of your own"));
    m_name = new QLineEdit(q(drill.drill.name));
    m_name->setObjectName("drillName");
    m_how = new QPlainTextEdit(q(drill.drill.how));
    m_how->setObjectName("drillHow");
    m_how->setFixedHeight(72);
    m_cue = new QLineEdit(q(drill.drill.cue));
    m_cue->setObjectName("drillCue");
    m_contrast = new QLineEdit(q(drill.drill.contrast));
    m_contrast->setPlaceholderText(tr("the wrong version to feel against the right one; may be empty"));
    QStringList variations;
    for (const auto& v : drill.drill.variations)
        variations << q(v);
    m_variations = new QLineEdit(variations.join(", "));
    m_variations->setObjectName("drillVariations");
    m_variations->setPlaceholderText(tr("from where, how high, which side: parted by commas"));
    m_caution = new QLineEdit(q(drill.drill.caution));
    m_stage = new QComboBox;
    m_stage->setObjectName("drillStage");
    for (auto n : kStageNames)
        m_stage->addItem(shownWord(n));
    m_stage->setCurrentIndex(static_cast<int>(drill.drill.stage));
    m_minutes = new QDoubleSpinBox;
    m_minutes->setObjectName("drillMinutes");
    m_minutes->setRange(1, 60);
    m_minutes->setDecimals(0);
    m_minutes->setValue(drill.drill.dose.minutes);
    m_home = new QCheckBox(tr("can be done alone at home"));
    m_home->setChecked(drill.drill.home);
    m_partner = new QCheckBox(tr("needs a partner"));
    m_partner->setChecked(drill.drill.partner);
    m_faults = new QListWidget;
    m_faults->setObjectName("drillFaults");
    m_faults->setFixedHeight(118);
    m_faults->setAccessibleName(tr("What it is for"));
    for (const auto& f : blueprint.faults) {
        auto* item = new QListWidgetItem(q(f.name), m_faults);
        item->setData(Qt::UserRole, q(f.id));
        item->setFlags(Qt::ItemIsEnabled | Qt::ItemIsUserCheckable | Qt::ItemIsSelectable);
        const bool on = std::find(drill.faults.begin(), drill.faults.end(), f.id) != drill.faults.end();
        item->setCheckState(on ? Qt::Checked : Qt::Unchecked);
    }
    auto* rows = new QFormLayout(this);
    rows->addRow(tr("Name"), m_name);
    rows->addRow(tr("How it goes"), m_how);
    rows->addRow(tr("Cue, in few words"), m_cue);
    rows->addRow(tr("Right and wrong"), m_contrast);
    rows->addRow(tr("Variations"), m_variations);
    rows->addRow(tr("Caution"), m_caution);
    auto* when = new QHBoxLayout;
    when->addWidget(m_stage, 1);
    when->addWidget(m_minutes);
    when->addWidget(new QLabel(tr("minutes")));
    rows->addRow(tr("Stage"), when);
    rows->addRow(QString(), m_home);
    rows->addRow(QString(), m_partner);
    rows->addRow(tr("What it is for"), m_faults);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    m_ok = buttons->button(QDialogButtonBox::Ok);
    if (!drill.drill.id.empty()) {
        auto* gone = buttons->addButton(tr("Take it away"), QDialogButtonBox::DestructiveRole);
        gone->setObjectName("drillGone");
        connect(gone, &QPushButton::clicked, this, [this] {
            m_removal = true;
            accept();
        });
    }
    rows->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(m_name, &QLineEdit::textChanged, this, &OwnDrillDialog::check);
    connect(m_cue, &QLineEdit::textChanged, this, &OwnDrillDialog::check);
    connect(m_faults, &QListWidget::itemChanged, this, &OwnDrillDialog::check);
    setMinimumWidth(560);
    check();
}

void OwnDrillDialog::check() {
    const OwnDrill d = drill();
    m_ok->setEnabled(!d.drill.name.empty() && !d.drill.cue.empty() && !d.faults.empty());
    m_ok->setToolTip(m_ok->isEnabled() ? QString() : tr("It needs a name, a cue, and what it is for."));
}

OwnDrill OwnDrillDialog::drill() const {
    OwnDrill d = m_drill;
    const auto text = [](const QLineEdit* e) { return e->text().trimmed().toStdString(); };
    d.drill.name = text(m_name);
    d.drill.how = m_how->toPlainText().trimmed().toStdString();
    d.drill.cue = text(m_cue);
    d.drill.contrast = text(m_contrast);
    d.drill.variations.clear();
    for (const auto& v : m_variations->text().split(',', Qt::SkipEmptyParts))
        if (const auto one = v.trimmed().toStdString(); !one.empty())
            d.drill.variations.push_back(one);
    d.drill.caution = text(m_caution);
    d.drill.stage = static_cast<Stage>(m_stage->currentIndex());
    d.drill.dose.minutes = m_minutes->value();
    d.drill.home = m_home->isChecked();
    d.drill.partner = m_partner->isChecked();
    d.faults.clear();
    for (int i = 0; i < m_faults->count(); ++i)
        if (m_faults->item(i)->checkState() == Qt::Checked)
            d.faults.push_back(m_faults->item(i)->data(Qt::UserRole).toString().toStdString());
    return d;
}

void askOwnDrill(Workbench& bench, QWidget* parent, const std::string& id, const std::vector<std::string>& faults,
                 std::function<void(const QString& words, const std::string& id)> done) {
    const auto folder = bench.book().library().folder();
    const auto kept = readOwnDrills(folder);
    if (!kept) {
        done(q(kept.error().text()), {});
        return;
    }
    OwnDrill drill{bench.blueprint().id, faults, {}};
    for (const auto& d : *kept)
        if (d.drill.id == id)
            drill = d;
    auto* dialog = new OwnDrillDialog(bench.blueprint(), drill, parent);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    QObject::connect(dialog, &QDialog::accepted, parent, [&bench, dialog, folder, done = std::move(done)] {
        auto all = readOwnDrills(folder); // another window may have added one meanwhile
        if (!all) {
            done(q(all.error().text()), {});
            return;
        }
        OwnDrill made = dialog->drill();
        const auto same = [&](const OwnDrill& d) { return d.drill.id == made.drill.id; };
        const auto it = std::find_if(all->begin(), all->end(), same);
        if (dialog->removal()) {
            std::erase_if(*all, same);
        } else if (it != all->end()) {
            *it = made;
        } else {
            made.drill.id = freshDrillId(*all);
            all->push_back(made);
        }
        const auto saved = keepOwnDrills(folder, *all);
        auto blueprint = blueprintForCase(folder, bench.blueprint().id);
        if (saved && blueprint)
            bench.book().takeBlueprint(asSpoken(std::move(*blueprint)));
        done(!saved              ? q(saved.error().text())
             : dialog->removal() ? OwnDrillDialog::tr("The drill is gone from the ladder.")
                                 : OwnDrillDialog::tr("“%1” stands on the ladder now.").arg(q(made.drill.name)),
             saved && !dialog->removal() ? made.drill.id : std::string());
    });
    dialog->open();
}

} // namespace riflesso
