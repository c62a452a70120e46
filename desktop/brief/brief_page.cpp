#include "desktop/brief/brief_page.h"

#include "casebook/body.h"
#include "casebook/planner.h"
#include "casebook/progress_questions.h"
#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/language.h"
#include "files/write_file.h"
#include "handover/words.h"
#include "library/blueprint_json.h"
#include "library/model_json.h"
#include "library/shelves.h"

#include <QFileDialog>
#include <QFileInfo>
#include <QFormLayout>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QInputDialog>
#include <QMessageBox>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

#include <algorithm>

namespace riflesso {
namespace {
QPlainTextEdit* area(const QString& name, const QString& hint) {
    auto* e = new QPlainTextEdit;
    e->setAccessibleName(name);
    e->setPlaceholderText(hint);
    e->setMinimumHeight(56);
    e->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Ignored); // as high as the cards beside it leave room
    e->setTabChangesFocus(true);
    return e;
}
} // namespace

BriefPage::BriefPage(Workbench& bench) : m_bench(bench) {
    makeFields();
    auto* content = new QWidget;
    auto* scroll = new QScrollArea; // large letters on a small screen
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setWidget(content);
    auto* page = new QVBoxLayout(this);
    page->setContentsMargins(0, 0, 0, 0);
    page->addWidget(scroll);
    auto* all = new QGridLayout(content);
    all->setContentsMargins(14, 12, 14, 12);
    all->setSpacing(10);
    all->addWidget(makeWho(), 0, 0);
    all->addWidget(makeAsked(), 0, 1);
    auto* left = new QVBoxLayout; // what is short stands one above the other
    left->setSpacing(12);
    left->addWidget(makeGuesses());
    left->addWidget(makeAtHand(), 1);
    all->addLayout(left, 1, 0);
    all->addWidget(makeTime(), 1, 1);
    all->addWidget(makeBody(), 0, 2);
    all->addWidget(makeCautions(), 1, 2);
    for (int c : {0, 1})
        all->setColumnStretch(c, 5);
    all->setColumnStretch(2, 3);
    all->setRowStretch(0, 3);
    all->setRowStretch(1, 2);

    for (QComboBox* b : {m_hand, m_school, m_reference}) { // as wide as there is room, not as its longest words
        b->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        b->setMinimumContentsLength(12);
    }
    for (QLineEdit* e : {m_name, m_level, m_goal})
        connect(e, &QLineEdit::editingFinished, this, &BriefPage::save);
    for (QPlainTextEdit* e : {m_thinks, m_told, m_injuries})
        e->installEventFilter(new LeaveFilter(e, [this] { save(); }));
    for (QComboBox* b : {m_hand, m_school, m_reference})
        connect(b, &QComboBox::activated, this, &BriefPage::save);
    for (QCheckBox* b : {m_minor, m_wants})
        connect(b, &QCheckBox::clicked, this, &BriefPage::save);
    connect(&m_bench.book(), &Casebook::changed, this, [this](const ChangeSet& c) {
        if (c.brief)
            fill();
    });
    connect(&m_bench.book(), &Casebook::analysed, this, &BriefPage::fill);
    fill();
}

// What several cards hold.
void BriefPage::makeFields() {
    m_name = new QLineEdit;
    m_name->setObjectName("athleteName");
    m_hand = new QComboBox;
    m_hand->addItems({tr("left-handed"), tr("right-handed")});
    m_level = new QLineEdit;
    m_minor = new QCheckBox(tr("under age: a guardian has agreed to filming"));
    m_goal = new QLineEdit;
    m_thinks = area(tr("What the athlete thinks"), tr("In the athlete's own words"));
    m_told = area(tr("What other coaches said"), tr("Cues already heard, and which one is nagged about"));
    m_injuries = area(tr("Injuries"), tr("Old injuries, stiff joints, pain now"));
    m_wants = new QCheckBox(tr("wants to rebuild this movement"));
    m_school = new QComboBox;
    m_school->addItem(tr("common to all schools"), QString());
    for (const auto& s : m_bench.blueprint().schools) {
        m_school->addItem(q(s.name), q(s.id));
        m_school->setItemData(m_school->count() - 1, q(s.words), Qt::ToolTipRole);
    }
}

QLayout* BriefPage::makeModels() {
    m_reference = new QComboBox;
    m_reference->setObjectName("reference");
    m_reference->addItems({tr("model performances"), tr("the athlete's own best reps"), tr("the athlete's last day"),
                           tr("the athlete's calmest reps")});
    m_reference->setToolTip(tr("What targets that come from a model are made of"));
    m_models = new QLabel;
    m_models->setObjectName("quiet");
    m_models->setWordWrap(true);
    auto* bring = new QPushButton(tr("From a file …"));
    bring->setObjectName("bringModel");
    bring->setToolTip(tr("A model performance that was measured elsewhere, besides the model takes of this case"));
    auto* drop = new QPushButton(tr("None"));
    drop->setObjectName("dropModels");
    drop->setToolTip(tr("Take the models from files away"));
    auto* models = new QHBoxLayout;
    models->addWidget(bring);
    auto* shelf = new QPushButton(tr("Shelf"));
    shelf->setObjectName("modelShelf");
    shelf->setToolTip(tr("Models that were kept for every case of this technique"));
    m_shelf = new QMenu(shelf);
    shelf->setMenu(m_shelf);
    connect(m_shelf, &QMenu::aboutToShow, this, &BriefPage::fillShelf);
    models->addWidget(shelf);
    models->addWidget(drop);
    models->addStretch();
    connect(bring, &QPushButton::clicked, this, &BriefPage::bringModel);
    connect(drop, &QPushButton::clicked, this, &BriefPage::dropModels);
    return models;
}

QWidget* BriefPage::makeWho() {
    auto* who = new Card(tr("Who"));
    auto* models = makeModels();
    auto* form = new QFormLayout;
    form->addRow(tr("Athlete"), m_name);
    form->addRow(tr("Hand"), m_hand);
    form->addRow(tr("Level"), m_level);
    form->addRow(m_minor); // across: its words are long
    form->addRow(tr("Technique"), new QLabel(q(m_bench.blueprint().name)));
    form->addRow(tr("School"), m_school);
    form->addRow(tr("Compared with"), m_reference);
    form->addRow(tr("Models"), m_models);
    form->addRow(models);
    form->addRow(tr("Goal"), m_goal);
    m_aim = wrapped({}, "quiet");
    form->addRow(QString(), m_aim);
    form->addRow(m_wants);
    who->body()->addLayout(form);
    who->body()->addStretch();
    return who;
}

QWidget* BriefPage::makeAsked() {
    auto* asked = new Card(tr("Ask before looking"));
    auto* questions = new QVBoxLayout;
    questions->addWidget(new QLabel(tr("What do you think holds you back?")));
    questions->addWidget(m_thinks, 1);
    questions->addWidget(new QLabel(tr("What have other coaches told you?")));
    questions->addWidget(m_told, 1);
    questions->addWidget(new QLabel(tr("Injuries and stiff joints")));
    questions->addWidget(m_injuries, 1);
    asked->body()->addLayout(questions, 1);
    return asked;
}

QWidget* BriefPage::makeGuesses() {
    auto* guess = new Card(tr("How big is it? The athlete's guess, before the film"));
    auto* grid = new QGridLayout;
    int row = 0;
    for (auto& g : m_guesses) {
        g.measure = new QComboBox;
        g.measure->setAccessibleName(tr("Measure to guess"));
        g.measure->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        g.measure->setMinimumContentsLength(14);
        g.measure->addItem(tr("nothing"), QString());
        for (const auto& m : m_bench.blueprint().measures)
            g.measure->addItem(q(m.definition.name), q(m.definition.id));
        g.value = new QDoubleSpinBox;
        g.value->setAccessibleName(tr("Guess"));
        g.value->setRange(-10000, 10000);
        g.value->setDecimals(1);
        g.truth = new QLabel;
        g.truth->setWordWrap(true);
        g.truth->setObjectName("quiet");
        grid->addWidget(g.measure, row, 0);
        grid->addWidget(g.value, row, 1);
        grid->addWidget(g.truth, row + 1, 0, 1, 2);
        row += 2;
        connect(g.measure, &QComboBox::activated, this, &BriefPage::save);
        connect(g.value, &QDoubleSpinBox::editingFinished, this, &BriefPage::save);
    }
    grid->setColumnStretch(0, 1);
    guess->body()->addLayout(grid);
    guess->body()->addStretch();
    return guess;
}

QWidget* BriefPage::makeTime() {
    auto* time = new Card(tr("Time that is really there"));
    auto* days = new QGridLayout;
    days->setHorizontalSpacing(3);
    int line = 0;
    for (const auto& words : {tr("minutes"), tr("alone"), tr("at home")})
        days->addWidget(new QLabel(words), ++line, 0);
    const QStringList names = {tr("Mon"), tr("Tue"), tr("Wed"), tr("Thu"), tr("Fri"), tr("Sat"), tr("Sun")};
    for (int i = 0; i < 7; ++i) {
        auto* spin = new QSpinBox;
        spin->setRange(0, 240);
        spin->setAccessibleName(tr("Minutes on %1").arg(names[i]));
        spin->setSpecialValueText(tr("rest"));
        spin->setButtonSymbols(QAbstractSpinBox::NoButtons);
        spin->setAlignment(Qt::AlignCenter);
        auto* label = new QLabel(names[i]);
        label->setAlignment(Qt::AlignCenter);
        auto* alone = new QCheckBox;
        alone->setToolTip(tr("No partner is there on %1: drills for two are planned for other days.").arg(names[i]));
        alone->setAccessibleName(tr("Alone on %1").arg(names[i]));
        auto* home = new QCheckBox;
        home->setToolTip(tr("%1 is practised at home: only drills that can be done there are planned.").arg(names[i]));
        home->setAccessibleName(tr("At home on %1").arg(names[i]));
        line = 0;
        for (QWidget* w : std::initializer_list<QWidget*>{label, spin})
            days->addWidget(w, line++, i + 1);
        for (QCheckBox* box : {alone, home}) {
            days->addWidget(box, line++, i + 1, Qt::AlignCenter);
            connect(box, &QCheckBox::clicked, this, &BriefPage::save);
        }
        connect(spin, &QSpinBox::editingFinished, this, &BriefPage::save);
        const auto day = static_cast<std::size_t>(i);
        m_minutes[day] = spin;
        m_alone[day] = alone;
        m_home[day] = home;
    }
    time->body()->addWidget(new QLabel(tr("For technique, on each day")));
    time->body()->addLayout(days);
    makeCompetitions(*time->body());
    auto* rule = new QLabel(tr("Nothing new is introduced in the two weeks before one."));
    rule->setObjectName("quiet");
    time->body()->addWidget(rule);
    time->body()->addStretch();
    return time;
}

// A row each, two side by side: what the drills of this technique need, ticked where it is.
QWidget* BriefPage::makeAtHand() {
    auto* card = new Card(tr("What is at hand"));
    const auto& blueprint = m_bench.blueprint();
    const auto all = equipmentOf(blueprint);
    auto* grid = new QGridLayout;
    grid->setVerticalSpacing(3);
    const int rows = (static_cast<int>(all.size()) + 1) / 2;
    const auto heading = [&](int column, int place) { // over the first box of its column
        if (grid->itemAtPosition(0, column))
            return;
        auto* head = new QLabel(place == 0 ? tr("club") : tr("home"));
        head->setObjectName("quiet");
        grid->addWidget(head, 0, column, Qt::AlignCenter);
    };
    for (int i = 0; i < static_cast<int>(all.size()); ++i) {
        const auto& e = all[static_cast<std::size_t>(i)];
        const int row = 1 + i % rows, column = 4 * (i / rows);
        grid->addWidget(new QLabel(q(e)), row, column);
        AtHand hand{e, {}};
        for (int p = 0; p < 2; ++p) {
            const bool used = std::any_of(blueprint.drills.begin(), blueprint.drills.end(), [&](const Drill& d) {
                return (p == 0 || d.home) && std::find(d.equipment.begin(), d.equipment.end(), e) != d.equipment.end();
            });
            if (!used)
                continue;
            auto* box = new QCheckBox;
            box->setAccessibleName(p == 0 ? tr("%1 at the club").arg(q(e)) : tr("%1 at home").arg(q(e)));
            box->setToolTip(tr("%1: drills that need it are planned where it is ticked.").arg(box->accessibleName()));
            grid->addWidget(box, row, column + 1 + p, Qt::AlignCenter);
            heading(column + 1 + p, p);
            connect(box, &QCheckBox::clicked, this, &BriefPage::save);
            hand.there[static_cast<std::size_t>(p)] = box;
        }
        m_atHand.push_back(hand);
    }
    grid->setColumnMinimumWidth(3, 18);
    grid->setColumnStretch(0, 1);
    grid->setColumnStretch(4, 1);
    card->body()->addLayout(grid);
    card->body()->addStretch();
    if (all.empty())
        card->hide(); // not setHidden(false): what has no parent yet would be shown as a window
    return card;
}

void BriefPage::makeCompetitions(QVBoxLayout& under) {
    m_competition = new QDateEdit;
    m_competition->setDisplayFormat(dateFormat());
    m_competition->setCalendarPopup(true);
    m_competition->setObjectName("competitionDay");
    m_competition->setDate(QDate::fromString(q(isoDate(m_bench.book().today())), Qt::ISODate));
    m_competition->setAccessibleName(tr("Day of a main competition"));
    auto* add = new QPushButton(tr("Add"));
    add->setObjectName("addCompetition");
    add->setToolTip(tr("A main competition on this day"));
    m_competitions = new QHBoxLayout;
    auto* comp = new QHBoxLayout;
    comp->addWidget(new QLabel(tr("Main competitions")));
    comp->addWidget(m_competition);
    comp->addWidget(add);
    comp->addStretch();
    under.addLayout(comp);
    under.addLayout(m_competitions);
    connect(add, &QPushButton::clicked, this, [this] {
        auto all = m_bench.data().brief.competitions;
        if (const auto day = dayFromIso(m_competition->date().toString(Qt::ISODate).toStdString()))
            all.push_back(*day);
        setCompetitions(std::move(all));
    });
}

QWidget* BriefPage::makeBody() {
    auto* body = new Card(tr("Body"));
    m_body = new BodyMap(m_bench);
    body->body()->addWidget(m_body, 1);
    auto* bodyHint = new QLabel(tr("Click a place: what it is, since when, does it hurt now."));
    bodyHint->setObjectName("quiet");
    bodyHint->setWordWrap(true);
    body->body()->addWidget(bodyHint);
    m_stature = new QDoubleSpinBox;
    m_stature->setObjectName("stature");
    m_stature->setAccessibleName(tr("Stature today"));
    m_stature->setRange(0, 250);
    m_stature->setDecimals(0);
    m_stature->setSuffix(tr(" cm"));
    m_stature->setSpecialValueText(tr("not measured"));
    m_growth = new QLabel;
    m_growth->setObjectName("quiet");
    m_growth->setWordWrap(true);
    auto* stature = new QHBoxLayout;
    stature->addWidget(new QLabel(tr("Stature today")));
    stature->addWidget(m_stature);
    stature->addStretch();
    body->body()->addLayout(stature);
    body->body()->addWidget(m_growth);
    connect(m_stature, &QDoubleSpinBox::editingFinished, this, [this] {
        const auto& known = m_bench.data().brief.athlete.growth;
        if (m_filling || m_stature->value() == (known.empty() ? 0.0 : known.back().stature))
            return;
        Brief brief = m_bench.data().brief;
        setStature(brief.athlete, m_bench.book().today(), m_stature->value());
        m_bench.book().setBrief(brief);
    });
    return body;
}

QWidget* BriefPage::makeCautions() {
    auto* caution = new Card(tr("Cautions"));
    for (const auto& c : m_bench.blueprint().cautions) {
        auto* label = new QLabel(q(c));
        label->setObjectName("caution");
        label->setWordWrap(true);
        caution->body()->addWidget(label);
    }
    caution->body()->addStretch();
    return caution;
}

void BriefPage::fill() {
    m_filling = true;
    const Brief& b = m_bench.data().brief;
    const auto text = [](QPlainTextEdit* e, const std::string& s) {
        if (e->toPlainText() != q(s) && !e->hasFocus())
            e->setPlainText(q(s));
    };
    // What is being typed is never overwritten.
    const auto line = [](QLineEdit* e, const std::string& s) {
        if (e->text() != q(s) && !e->hasFocus())
            e->setText(q(s));
    };
    line(m_name, b.athlete.name);
    m_hand->setCurrentIndex(static_cast<int>(b.athlete.handedness));
    line(m_level, b.athlete.level);
    m_minor->setChecked(b.athlete.minor);
    line(m_goal, b.goal);
    text(m_thinks, b.thinks);
    text(m_told, b.told);
    text(m_injuries, b.injuries);
    m_body->refresh();
    if (!m_stature->hasFocus())
        m_stature->setValue(b.athlete.growth.empty() ? 0.0 : b.athlete.growth.back().stature);
    m_growth->setText(q(growthWords(b.athlete)));
    m_growth->setVisible(!m_growth->text().isEmpty());
    m_wants->setChecked(b.wantsRebuild);
    m_school->setCurrentIndex(std::max(0, m_school->findData(q(b.school))));
    m_reference->setCurrentIndex(static_cast<int>(b.reference));
    QStringList names;
    for (const auto& m : b.models)
        names << tr("%1 (%2)").arg(q(m.name), q(m.source));
    m_models->setText(names.isEmpty() ? tr("the case's own takes") : names.join(", "));
    m_models->setToolTip(names.join('\n'));
    for (std::size_t i = 0; i < 7; ++i) {
        if (!m_minutes[i]->hasFocus())
            m_minutes[i]->setValue(b.minutes[i]);
        m_alone[i]->setChecked(b.alone[i]);
        m_home[i]->setChecked(b.places[i] == PracticePlace::home);
        for (QCheckBox* box : {m_alone[i], m_home[i]})
            box->setEnabled(b.minutes[i] > 0);
    }
    for (const auto& hand : m_atHand)
        for (std::size_t p = 0; p < 2; ++p)
            if (hand.there[p])
                hand.there[p]->setChecked(!isLacking(m_bench.blueprint(), b.lacks[p], hand.equipment));
    const BlueprintMeasure* aim = b.aim ? m_bench.blueprint().measure(b.aim->measure) : nullptr;
    m_aim->setText(aim ? tr("In numbers: %1 from %2 to %3%4")
                             .arg(q(aim->definition.name), q(numberWords(aim->definition, b.aim->from)),
                                  q(numberWords(aim->definition, b.aim->to)),
                                  b.aim->by ? tr(" by %1").arg(q(dayWords(*b.aim->by))) : QString())
                       : tr("In numbers: set it in Findings, on the measure itself."));
    clearLayout(m_competitions);
    constexpr std::size_t kShown = 6; // as many as stand side by side; the others are told
    for (std::size_t i = 0; i < std::min(kShown, b.competitions.size()); ++i) {
        const Day day = b.competitions[i];
        auto* one = new QPushButton(tr("%1  ×").arg(q(dayWords(day))));
        one->setObjectName("competition");
        one->setToolTip(tr("%1: take it away").arg(q(dateWords(day))));
        one->setAccessibleName(tr("Competition on %1, take it away").arg(q(dateWords(day))));
        connect(
            one, &QPushButton::clicked, this,
            [this, day] {
                auto days = m_bench.data().brief.competitions;
                std::erase(days, day);
                setCompetitions(std::move(days));
            },
            Qt::QueuedConnection); // it goes itself
        m_competitions->addWidget(one);
    }
    if (b.competitions.size() > kShown)
        m_competitions->addWidget(new QLabel(tr("and %1 more").arg(b.competitions.size() - kShown)));
    m_competitions->addStretch();
    for (std::size_t i = 0; i < m_guesses.size(); ++i) {
        auto& g = m_guesses[i];
        const BlueprintMeasure* m = i < b.guesses.size() ? m_bench.blueprint().measure(b.guesses[i].measure) : nullptr;
        g.measure->setCurrentIndex(m ? g.measure->findData(q(m->definition.id)) : 0);
        g.value->setEnabled(m);
        if (!m) {
            g.truth->clear();
            continue;
        }
        g.value->setSuffix(shownUnit(m->definition) == "°" ? "°" : " " + q(shownUnit(m->definition)));
        if (!g.value->hasFocus())
            g.value->setValue(b.guesses[i].value * shownScale(m->definition));
        const auto& checks = m_bench.analysis().guesses;
        g.truth->setText(i < checks.size() && checks[i].perception ? q(guessWords(m_bench.blueprint(), checks[i]))
                                                                   : tr("Not measured yet."));
    }
    m_filling = false;
}

void BriefPage::setCompetitions(std::vector<Day> days) {
    std::sort(days.begin(), days.end());
    days.erase(std::unique(days.begin(), days.end()), days.end());
    Brief b = m_bench.data().brief;
    b.competitions = std::move(days);
    m_bench.book().setBrief(b);
}

void BriefPage::save() {
    if (m_filling)
        return;
    Brief b = m_bench.data().brief;
    b.athlete.name = m_name->text().trimmed().toStdString(); // the rest of the person is the shelf's
    b.athlete.handedness = static_cast<Side>(m_hand->currentIndex());
    b.athlete.level = m_level->text().toStdString();
    b.athlete.minor = m_minor->isChecked();
    b.goal = m_goal->text().toStdString();
    b.thinks = m_thinks->toPlainText().toStdString();
    b.told = m_told->toPlainText().toStdString();
    b.injuries = m_injuries->toPlainText().toStdString();
    b.wantsRebuild = m_wants->isChecked();
    b.reference = static_cast<ReferenceKind>(m_reference->currentIndex());
    b.school = m_school->currentData().toString().toStdString();
    for (std::size_t i = 0; i < 7; ++i)
        b.minutes[i] = m_minutes[i]->value();
    for (std::size_t i = 0; i < 7; ++i)
        b.alone[i] = m_alone[i]->isChecked();
    for (std::size_t i = 0; i < 7; ++i)
        b.places[i] = m_home[i]->isChecked() ? PracticePlace::home : PracticePlace::club;
    for (const auto& hand : m_atHand)
        for (std::size_t p = 0; p < 2; ++p)
            if (hand.there[p]) {
                auto& lacks = b.lacks[p]; // what this version of the technique does not know stays on it
                const bool there = hand.there[p]->isChecked();
                if (there == isLacking(m_bench.blueprint(), lacks, hand.equipment)) {
                    if (there)
                        std::erase_if(
                            lacks, [&](const auto& e) { return isLacking(m_bench.blueprint(), {e}, hand.equipment); });
                    else
                        lacks.push_back(hand.equipment);
                }
            }
    std::vector<Guess> given;
    for (const auto& g : m_guesses)
        if (const auto* m = m_bench.blueprint().measure(g.measure->currentData().toString().toStdString()))
            given.push_back({m->definition.id, g.value->value() / shownScale(m->definition), m_bench.book().today()});
    giveGuesses(b, std::move(given));
    m_bench.book().setBrief(b);
}

void BriefPage::bringModel() {
    const QString file =
        QFileDialog::getOpenFileName(this, tr("A model performance"), {}, tr("Model performances (*.json)"));
    if (file.isEmpty())
        return;
    const auto text = readFile(file.toStdString());
    auto model =
        text ? modelFromJson(*text, QFileInfo(file).fileName().toStdString()) : Result<ModelPerformance>(text.error());
    if (model && model->blueprint != m_bench.blueprint().id)
        model = Error{riflesso::fill(say("error", "this model is of another technique: %1"), {model->blueprint}),
                      QFileInfo(file).fileName().toStdString(),
                      "nothing was changed",
                      {}};
    if (!model) {
        QMessageBox::warning(this, tr("A model performance"), q(model.error().text()));
        return;
    }
    Brief b = m_bench.data().brief;
    std::erase_if(b.models, [&](const ModelPerformance& m) { return m.name == model->name; });
    b.models.push_back(std::move(*model));
    m_bench.book().setBrief(b);
}

// Models of this technique on the shelf, and this case's own to be put there.
void BriefPage::fillShelf() {
    m_shelf->clear();
    const auto shelf = readModelShelf(m_bench.book().library().folder());
    if (!shelf) {
        m_shelf->addAction(q(shelf.error().text()))->setEnabled(false);
        return;
    }
    for (const auto& m : *shelf)
        if (m.model.blueprint == m_bench.blueprint().id) {
            auto* use = m_shelf->addAction(tr("Use %1 (%2)").arg(q(m.model.name), q(m.model.source)));
            connect(use, &QAction::triggered, this, [this, model = m.model] {
                Brief b = m_bench.data().brief;
                std::erase_if(b.models, [&](const ModelPerformance& other) { return other.name == model.name; });
                b.models.push_back(model);
                m_bench.book().setBrief(b);
            });
        }
    if (m_shelf->isEmpty())
        m_shelf->addAction(tr("nothing is kept yet"))->setEnabled(false);
    m_shelf->addSeparator();
    auto* put = m_shelf->addAction(tr("Put this case's model there …"));
    put->setEnabled(!m_bench.analysis().modelReps.empty());
    connect(put, &QAction::triggered, this, &BriefPage::shelve);
}

void BriefPage::shelve() {
    bool ok = false;
    const QString name = QInputDialog::getText(this, tr("Model shelf"), tr("Under which name?"), QLineEdit::Normal,
                                               q(m_bench.analysis().model), &ok)
                             .trimmed();
    const auto model =
        ok && !name.isEmpty() ? modelToKeep(m_bench.data(), m_bench.analysis(), name.toStdString()) : std::nullopt;
    if (!model)
        return;
    const auto folder = m_bench.book().library().folder();
    auto shelf = readModelShelf(folder);
    Status done = shelf ? Status(Done{}) : Status(shelf.error());
    if (shelf) {
        std::erase_if(*shelf, [&](const ShelvedModel& m) { return m.model.name == model->name; });
        shelf->push_back({*model, m_bench.analysis().situation, {}, m_bench.book().today()});
        done = keepModelShelf(folder, *shelf);
    }
    if (!done)
        QMessageBox::warning(this, tr("Model shelf"), q(done.error().text()));
}

void BriefPage::dropModels() {
    Brief b = m_bench.data().brief;
    if (b.models.empty())
        return;
    b.models.clear();
    m_bench.book().setBrief(b);
}

} // namespace riflesso
