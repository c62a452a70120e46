#include "desktop/shell/settings_dialog.h"

#include "desktop/parts/card.h"
#include "desktop/parts/frame_service.h"
#include "desktop/theme/language.h"
#include "desktop/theme/theme.h"

#include <QApplication>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QLineEdit>
#include <QPalette>
#include <QPushButton>
#include <QSettings>
#include <QSpinBox>

#include <algorithm>

namespace riflesso {

// What the desktop itself looked like when the program began, before a theme of ours was set.
bool Preferences::dark() const {
    static const bool system = qApp && QPalette().color(QPalette::Window).lightness() < 128 && !riflesso::theme().dark;
    return theme == "dark" || (theme == "system" && system);
}

Preferences Preferences::read() {
    const QSettings s;
    Preferences p;
    p.theme = s.value("theme", s.value("dark").toBool() ? "dark" : "light").toString();
    p.language = s.value("language", "system").toString();
    p.textPercent = std::clamp(s.value("textPercent", 100).toInt(), 100, 150);
    p.memory = std::clamp(s.value("memory", FrameService::kDefaultMegabytes).toInt(), 64, 65536);
    p.sure = s.value("sure", 95).toInt();
    if (p.sure != 90 && p.sure != 99)
        p.sure = 95;
    p.leftHanded = s.value("leftHanded").toBool();
    p.who = s.value("who").toString();
    return p;
}

void Preferences::write() const {
    QSettings s;
    s.setValue("theme", theme);
    s.setValue("language", language);
    s.setValue("textPercent", textPercent);
    s.setValue("memory", memory);
    s.setValue("sure", sure);
    s.setValue("leftHanded", leftHanded);
    s.setValue("who", who);
}

SettingsDialog::SettingsDialog(QWidget* parent, const QString& library) : QDialog(parent), m_now(Preferences::read()) {
    setWindowTitle(tr("Settings"));
    setObjectName("settings");
    setMinimumWidth(540);
    const auto took = [this] {
        m_now.write();
        emit changed();
    };
    auto* form = new QFormLayout;
    form->setVerticalSpacing(10);
    const auto choice = [&](const QString& label, const char* name, const QList<QPair<QString, QVariant>>& values,
                            const QVariant& now, auto set, const QString& why) {
        auto* box = new QComboBox;
        box->setObjectName(name);
        for (const auto& [words, value] : values)
            box->addItem(words, value);
        box->setCurrentIndex(std::max(0, box->findData(now)));
        connect(box, &QComboBox::currentIndexChanged, this, [this, box, set, took] {
            set(m_now, box->currentData());
            took();
        });
        auto* cell = new QVBoxLayout;
        cell->setSpacing(2);
        cell->addWidget(box);
        if (!why.isEmpty())
            cell->addWidget(wrapped(why, "quiet"));
        form->addRow(label, cell);
    };
    auto* place = new QVBoxLayout;
    auto* change = new QPushButton(tr("Another one …"));
    place->addWidget(wrapped(library.isEmpty() ? tr("none is open") : library));
    place->addWidget(change, 0, Qt::AlignLeft);
    form->addRow(tr("Library"), place);
    connect(change, &QPushButton::clicked, this, &SettingsDialog::otherLibrary);
    auto* who = new QLineEdit(m_now.who);
    who->setObjectName("who");
    who->setAccessibleName(tr("Who works here"));
    who->setMaxLength(60);
    who->setPlaceholderText(tr("nobody in particular"));
    connect(who, &QLineEdit::textEdited, this, [this, took](const QString& name) {
        m_now.who = name.trimmed();
        took();
    });
    auto* whoCell = new QVBoxLayout;
    whoCell->setSpacing(2);
    whoCell->addWidget(who);
    whoCell->addWidget(wrapped(tr("Stands beside what is changed in the programme by hand."), "quiet"));
    form->addRow(tr("Who works here"), whoCell);
    QList<QPair<QString, QVariant>> spoken{{tr("as the system"), "system"}};
    for (const auto& l : languages())
        spoken.append({l.name, l.code});
    choice(
        tr("Language"), "language", spoken, m_now.language,
        [](Preferences& p, const QVariant& v) { p.language = v.toString(); },
        tr("Of the window and of what is printed. Your own words stay as you wrote them."));
    choice(tr("Theme"), "theme", {{tr("light"), "light"}, {tr("dark"), "dark"}, {tr("as the system"), "system"}},
           m_now.theme, [](Preferences& p, const QVariant& v) { p.theme = v.toString(); }, {});
    choice(tr("Size of letters"), "textPercent",
           {{tr("100 %"), 100}, {tr("110 %"), 110}, {tr("125 %"), 125}, {tr("150 %"), 150}}, m_now.textPercent,
           [](Preferences& p, const QVariant& v) { p.textPercent = v.toInt(); }, {});
    choice(
        tr("Sure means"), "sure", {{tr("90 of 100"), 90}, {tr("95 of 100"), 95}, {tr("99 of 100"), 99}}, m_now.sure,
        [](Preferences& p, const QVariant& v) { p.sure = v.toInt(); },
        tr("How likely it must be that a value lies inside or outside its band before that is said. More means fewer "
           "wrong "
           "calls and more that is left open."));
    choice(
        tr("Hand of the mouse"), "hand", {{tr("right"), false}, {tr("left"), true}}, m_now.leftHanded,
        [](Preferences& p, const QVariant& v) { p.leftHanded = v.toBool(); },
        tr("The side of Marking with the loupe stands where this hand is."));
    auto* memory = new QSpinBox;
    memory->setObjectName("memory");
    memory->setRange(64, 65536);
    memory->setSingleStep(64);
    memory->setSuffix(tr(" MB"));
    memory->setValue(m_now.memory);
    connect(memory, &QSpinBox::editingFinished, this, [this, memory, took] {
        m_now.memory = memory->value();
        took();
    });
    auto* cell = new QVBoxLayout;
    cell->setSpacing(2);
    cell->addWidget(memory);
    cell->addWidget(wrapped(
        tr("All pictures kept at hand together. More makes stepping backwards in large films smoother."), "quiet"));
    form->addRow(tr("Memory for pictures"), cell);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::accept);
    auto* all = new QVBoxLayout(this);
    all->addLayout(form);
    all->addWidget(buttons);
    resize(minimumWidth(), all->totalHeightForWidth(minimumWidth()));
}

} // namespace riflesso
