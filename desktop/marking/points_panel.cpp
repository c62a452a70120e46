#include "desktop/marking/points_panel.h"

#include "casebook/text.h"

#include <QActionGroup>
#include <QHBoxLayout>
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
                       tr("Second person"), tr("Second person, upper body"), tr("Fixed point of the scene")});
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
        m_called->setEnabled(thing != Thing::other && thing != Thing::otherUpper);
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
    auto* away = m_menu->addMenu(tr("No longer ask for"));
    const bool other =
        std::any_of(take->figure.extra.begin(), take->figure.extra.end(), [](const auto& n) { return ofOther(n); });
    const auto drop = [&](const QString& words, auto which) {
        connect(away->addAction(words), &QAction::triggered, this, [this, words, which] {
            change(tr("no longer ask for the %1").arg(words), [&](BodySchema& s) { std::erase_if(s.extra, which); });
        });
    };
    if (other)
        drop(tr("second person"), [](const LandmarkName& n) { return ofOther(n); });
    for (const auto& name : take->figure.extra)
        if (!ofOther(name))
            drop(q(spoken(name)), [name](const LandmarkName& n) { return n == name; });
}

void PointsPanel::add() {
    const Take* take = m_bench.take();
    if (!take)
        return;
    const auto thing = static_cast<Thing>(m_thing->currentIndex());
    const auto names = namesFor(thing, m_called->text().toStdString());
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
    change(
        tr("ask for the %1")
            .arg(thing == Thing::other || thing == Thing::otherUpper ? tr("second person") : q(spoken(names.front()))),
        [&](BodySchema& s) { s.extra.insert(s.extra.end(), names.begin(), names.end()); });
    m_called->clear();
    m_says->clear();
    m_adder->hide();
}

} // namespace riflesso
