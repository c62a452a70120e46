#include "desktop/marking/points_panel.h"

#include "casebook/text.h"

#include <QActionGroup>
#include <QHBoxLayout>
#include <QInputDialog>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>

namespace riflesso {

PointsPanel::PointsPanel(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    m_button = new QToolButton;
    m_button->setObjectName("points");
    m_button->setPopupMode(QToolButton::InstantPopup);
    m_button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    m_button->setToolTip(tr("Which points are asked for on this take."));
    m_menu = new QMenu(m_button);
    m_menu->setObjectName("pointsMenu");
    m_button->setMenu(m_menu);
    connect(m_menu, &QMenu::aboutToShow, this, &PointsPanel::fillMenu);

    m_adder = new QWidget;
    m_adder->setObjectName("adder");
    m_thing = new QComboBox;
    m_thing->setObjectName("thing");
    m_thing->setAccessibleName(tr("What to add"));
    m_thing->addItems({tr("Implement: both ends"), tr("Implement: its tip"), tr("Implement: its centre"), tr("Ball"),
                       tr("Another person"), tr("Another person, upper body"), tr("Fixed point of the scene")});
    m_called = new QLineEdit;
    m_called->setObjectName("called");
    m_called->setMaxLength(40);
    m_called->setPlaceholderText(tr("called …"));
    m_called->setAccessibleName(tr("What it is called"));
    auto* addButton = new QPushButton(tr("Add"));
    addButton->setObjectName("addThing");
    m_says = new QLabel;
    m_says->setObjectName("quiet");
    m_says->setWordWrap(true);
    auto* name = new QHBoxLayout;
    name->addWidget(m_called, 1);
    name->addWidget(addButton);
    auto* rows = new QVBoxLayout(m_adder);
    rows->setContentsMargins(0, 0, 0, 4);
    rows->setSpacing(4);
    rows->addWidget(m_thing);
    rows->addLayout(name);
    rows->addWidget(m_says);
    m_adder->hide();
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 4, 0, 0);
    all->setSpacing(4);
    all->addWidget(m_button);
    all->addWidget(m_adder);

    connect(m_thing, &QComboBox::currentIndexChanged, this, [this](int i) {
        const auto thing = static_cast<Thing>(i);
        m_says->setText(thing == Thing::scene
                            ? tr("Marked once, it is there on every frame while the camera stands still.")
                            : QString());
    });
    connect(addButton, &QPushButton::clicked, this, &PointsPanel::add);
    connect(m_called, &QLineEdit::returnPressed, this, &PointsPanel::add);
    refresh();
}

void PointsPanel::change(const QString& what, const std::function<void(BodySchema&)>& edit) {
    if (const Take* take = m_bench.take()) {
        Take after = *take;
        edit(after.figure);
        m_bench.book().setTake(after, what);
    }
}

void PointsPanel::refresh() {
    const Take* take = m_bench.take();
    m_button->setEnabled(take != nullptr);
    if (!take)
        m_adder->hide();
    const BodySchema schema = take ? take->figure : BodySchema();
    const QStringList parts = {tr("what is measured"), tr("whole figure"), tr("near side"), tr("upper body"),
                               tr("legs")};
    QString words = parts[static_cast<int>(schema.part)];
    if (schema.hands || schema.feet)
        words += schema.hands && schema.feet ? tr(", hands, feet") : schema.hands ? tr(", hands") : tr(", feet");
    if (!schema.extra.empty())
        words += tr(" + %1").arg(schema.extra.size());
    m_button->setText(tr("Points: %1").arg(words));
}

void PointsPanel::fillMenu() {
    m_menu->clear();
    const Take* take = m_bench.take();
    if (!take)
        return;
    auto* group = new QActionGroup(m_menu);
    const QStringList parts = {tr("What the measures need"), tr("Whole figure"), tr("Side near the camera"),
                               tr("Upper body"), tr("Legs")};
    for (int i = 0; i < parts.size(); ++i) {
        auto* a = m_menu->addAction(parts[i]);
        a->setCheckable(true);
        a->setActionGroup(group);
        a->setChecked(static_cast<int>(take->figure.part) == i);
        connect(a, &QAction::triggered, this, [this, i, words = parts[i]] {
            change(tr("ask for: %1").arg(words), [i](BodySchema& s) { s.part = static_cast<FigurePart>(i); });
        });
    }
    m_menu->addSeparator();
    const auto detail = [&](const QString& words, bool BodySchema::*which) {
        auto* a = m_menu->addAction(words);
        a->setCheckable(true);
        a->setChecked(take->figure.*which);
        connect(a, &QAction::triggered, this, [this, which, words](bool on) {
            change(tr("ask for: %1").arg(words), [which, on](BodySchema& s) { s.*which = on; });
        });
    };
    detail(tr("Fingers"), &BodySchema::hands);
    detail(tr("Toes"), &BodySchema::feet);
    m_menu->addSeparator();
    connect(m_menu->addAction(tr("Add an implement, a ball, a person, a fixed point")), &QAction::triggered, this,
            [this] {
                m_adder->show();
                m_says->clear();
                m_called->setFocus();
            });
    if (take->figure.extra.empty())
        return;
    for (int person = 1; person <= kMostOthers; ++person)
        if (std::any_of(take->figure.extra.begin(), take->figure.extra.end(),
                        [&](const auto& n) { return personOf(n) == person; }))
            connect(m_menu->addAction(tr("Name of the %1 …").arg(q(calledIn(take->figure, person)))),
                    &QAction::triggered, this, [this, person] { rename(person); });
    auto* away = m_menu->addMenu(tr("No longer ask for"));
    const auto drop = [&](const QString& words, auto which) {
        connect(away->addAction(words), &QAction::triggered, this, [this, words, which] {
            change(tr("no longer ask for the %1").arg(words), [&](BodySchema& s) {
                std::erase_if(s.extra, which);
                std::erase_if(s.called, [&](const auto& c) {
                    return std::none_of(s.extra.begin(), s.extra.end(),
                                        [&](const auto& n) { return personOf(n) == c.first; });
                });
            });
        });
    };
    for (int person = 1; person <= kMostOthers; ++person) {
        const auto theirs = [person](const LandmarkName& n) { return personOf(n) == person; };
        if (std::any_of(take->figure.extra.begin(), take->figure.extra.end(), theirs))
            drop(q(calledIn(take->figure, person)), theirs);
    }
    for (const auto& name : take->figure.extra)
        if (!ofOther(name))
            drop(q(spoken(name)), [name](const LandmarkName& n) { return n == name; });
}

void PointsPanel::rename(int person) {
    const Take* take = m_bench.take();
    if (!take)
        return;
    auto* dialog = new QInputDialog(this);
    dialog->setObjectName("personName");
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowTitle(tr("Another person in this film"));
    dialog->setLabelText(tr("Name"));
    const auto called = take->figure.called.find(person);
    dialog->setTextValue(called == take->figure.called.end() ? QString() : q(called->second));
    connect(dialog, &QInputDialog::textValueSelected, this, [this, id = take->id, person](const QString& name) {
        m_bench.book().callPerson(id, person, name.trimmed().toStdString());
    });
    dialog->open();
}

void PointsPanel::add() {
    const Take* take = m_bench.take();
    if (!take)
        return;
    const auto thing = static_cast<Thing>(m_thing->currentIndex());
    const bool somebody = thing == Thing::other || thing == Thing::otherUpper;
    const auto person = nextPerson(take->figure);
    if (somebody && !person) {
        m_says->setText(tr("More than %1 people cannot be marked in one take.").arg(kMostOthers + 1));
        return;
    }
    const std::string called = m_called->text().trimmed().toStdString();
    if (somebody && !isFreeName(take->figure, *person, called)) {
        m_says->setText(tr("Somebody in this take is called so already: give another name."));
        return;
    }
    const auto names = namesFor(thing, called, person.value_or(1));
    if (names.empty()) {
        m_says->setText(tr("Give it a name of letters and digits that is not a part of the body."));
        return;
    }
    const auto asked = wantedIn(m_bench.blueprint(), *take, {});
    for (const auto& name : names)
        if (std::find(asked.begin(), asked.end(), name) != asked.end()) {
            m_says->setText(tr("The %1 is asked for already: give this one another name.").arg(q(spoken(name))));
            return;
        }
    change(tr("ask for the %1")
               .arg(!somebody        ? q(spoken(names.front()))
                    : called.empty() ? q(calledIn(take->figure, *person))
                                     : q(called)),
           [&](BodySchema& s) {
               s.extra.insert(s.extra.end(), names.begin(), names.end());
               if (somebody && !called.empty())
                   s.called[*person] = called;
           });
    m_called->clear();
    m_says->clear();
    m_adder->hide();
}

} // namespace riflesso
