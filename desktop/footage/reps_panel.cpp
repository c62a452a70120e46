#include "desktop/footage/panel_form.h"
#include "desktop/footage/panels.h"

#include "casebook/choice_words.h"

#include <QInputDialog>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

// A line with what was typed before to choose from.
QComboBox* typed(const QString& name, const QString& hint) {
    auto* box = new QComboBox;
    box->setEditable(true);
    box->setInsertPolicy(QComboBox::NoInsert);
    box->setMinimumContentsLength(8);
    box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    box->lineEdit()->setObjectName(name);
    box->lineEdit()->setPlaceholderText(hint);
    return box;
}

} // namespace

RepsPanel::RepsPanel(Workbench& bench, RepStrip* strip, StageView* stage)
    : TakePanel(bench), m_strip(strip), m_stage(stage) {
    addFinding();
    m_rep = new QWidget;
    auto* f = form();
    m_rep->setLayout(f);
    m_which = wrapped({}, "strong");
    m_situation = typed("situation", tr("what had to be answered"));
    m_choice = typed("choice", tr("the technique chosen"));
    m_score = new QLineEdit;
    m_score->setObjectName("score");
    m_score->setFixedWidth(74);
    m_score->setToolTip(tr("What it scored, or how far it went, as a figure"));
    m_score->setAccessibleName(tr("Score"));
    m_worked = new QComboBox;
    m_worked->setObjectName("worked");
    m_worked->addItems({tr("not said"), tr("it worked"), tr("it did not")});
    m_stress = new QComboBox;
    m_stress->setObjectName("repStress");
    m_stress->addItem(tr("as the take"));
    for (auto n : kStageNames)
        m_stress->addItem(shownWord(n));
    f->addRow(m_which);
    f->addRow(tr("Situation"), m_situation);
    f->addRow(tr("Choice"), m_choice);
    auto* effect = new QHBoxLayout;
    effect->setSpacing(6);
    effect->addWidget(m_worked, 1);
    effect->addWidget(m_score);
    f->addRow(tr("Effect"), effect);
    f->addRow(tr("Stress"), m_stress);
    m_effort = new QComboBox;
    m_effort->setObjectName("effort");
    m_effort->setAccessibleName(tr("Stated effort"));
    m_effort->setToolTip(tr("How hard it was done, as the athlete says: Progress holds the measures against it."));
    m_effort->addItem(tr("not said"));
    for (int percent = 100; percent >= 10; percent -= 10)
        m_effort->addItem(tr("%1 % of the utmost").arg(percent), percent);
    f->addRow(tr("Effort"), m_effort);
    addSet(f);
    addLanding(f);
    m_all->addWidget(m_rep);
    m_all->addStretch();
    keepTechnique();
    keepEffect();
}

void RepsPanel::addFinding() {
    m_all->addWidget(wrapped(tr("Find the reps by"), "strong"));
    auto* by = new QHBoxLayout;
    by->setSpacing(4);
    const char* names[] = {"findMotion", "findSound", "findCycle"};
    const QString texts[] = {tr("movement"), tr("sound"), tr("rhythm")};
    const QString why[] = {tr("Reps with stillness between them."), tr("Each strike that is heard."),
                           tr("Cycles that follow one another: strokes, strides.")};
    for (int i = 0; i < 3; ++i) {
        auto* b = new QPushButton(texts[i]);
        b->setObjectName(names[i]);
        b->setToolTip(why[i]);
        by->addWidget(b);
        connect(b, &QPushButton::clicked, this, [this, i] { emit findWanted(i); });
    }
    m_all->addLayout(by);
    m_found = wrapped({}, "quiet");
    m_found->setObjectName("proposals");
    m_all->addWidget(m_found);
    m_accept = new QPushButton(tr("Accept this one (A)"));
    m_acceptAll = new QPushButton(tr("Accept all (Shift+A)"));
    m_acceptAll->setObjectName("acceptAll");
    auto* accept = new QHBoxLayout;
    accept->addWidget(m_accept);
    accept->addWidget(m_acceptAll);
    m_all->addLayout(accept);
    m_all->addWidget(
        wrapped(tr("S splits at the playhead, M merges with the next, [ and ] put an end here, Delete "
                   "takes away, Page keys go from one to the next. Drag over reps with Shift to make a set."),
                "quiet"));
    connect(m_accept, &QPushButton::clicked, m_strip, &RepStrip::acceptHere);
    connect(m_acceptAll, &QPushButton::clicked, m_strip, &RepStrip::acceptAll);
    connect(m_strip, &RepStrip::proposalsChanged, this, [this] { refresh(); });
}

void RepsPanel::addSet(QFormLayout* f) {
    m_set = typed("set", tr("of its day and stage"));
    m_set->setToolTip(tr("Reps that are judged together: before, after the hint, points"));
    m_setOn = new QPushButton(tr("and all after it"));
    m_setOn->setObjectName("setOn");
    m_setOn->setToolTip(tr("Puts the reps after this one into the same set."));
    f->addRow(tr("Set"), m_set);
    f->addRow(QString(), m_setOn);
    const auto set = [this] {
        const auto text = m_set->currentText().trimmed().toStdString();
        if (m_bench.rep() && text != m_bench.rep()->set)
            changeRep(tr("put a rep into a set"), [&](Rep& r) { r.set = text; });
    };
    connect(m_set->lineEdit(), &QLineEdit::editingFinished, this, set);
    connect(m_set, &QComboBox::activated, this, set);
    connect(m_setOn, &QPushButton::clicked, this, [this] {
        const Rep* from = m_bench.rep();
        if (!from)
            return;
        std::vector<Id> reps;
        for (const Rep* r : repsOf(m_bench.data(), from->take))
            if (r->number >= from->number)
                reps.push_back(r->id);
        m_bench.book().putInSet(reps, m_set->currentText().trimmed().toStdString());
    });
    connect(m_strip, &RepStrip::setWanted, this, &RepsPanel::askSet);
}

void RepsPanel::addLanding(QFormLayout* f) {
    m_landed = new QPushButton(tr("where it landed"));
    m_landed->setObjectName("toolLanded");
    m_landed->setToolTip(
        tr("Go to the frame on which it comes down and click the place. Calibrate the take for centimetres."));
    m_zone = new QPushButton(tr("zone"));
    m_zone->setObjectName("toolZone");
    m_zone->setToolTip(tr("Where the reps of this take should land: its middle, then a point of its edge."));
    auto* landing = new QHBoxLayout;
    landing->setSpacing(6);
    for (auto* b : {m_landed, m_zone}) {
        b->setCheckable(true);
        landing->addWidget(b);
    }
    f->addRow(tr("Click"), landing);
    connect(m_landed, &QPushButton::clicked, this,
            [this](bool on) { useTool(on ? StageTool::landed : StageTool::none); });
    connect(m_zone, &QPushButton::clicked, this, [this](bool on) { useTool(on ? StageTool::zone : StageTool::none); });
    connect(m_stage, &StageView::toolPutAway, this, [this] { useTool(StageTool::none); });
    connect(m_stage, &StageView::pointsClicked, this, [this](StageTool tool, const std::vector<Pixel>& p) {
        if (tool == StageTool::landed)
            changeRep(tr("say where a rep landed"), [&](Rep& r) {
                r.landed = Landing{FrameIndex(m_bench.frame()), p[0]};
            });
        else if (tool == StageTool::zone)
            change(tr("draw the zone"), [&](Take& t) { t.zone = Zone{p[0], p[1]}; });
        else
            return;
        useTool(StageTool::none);
    });
}

// What was done: the situation and the choice.
void RepsPanel::keepTechnique() {
    const auto situation = [this] {
        const QString text = m_situation->currentText().trimmed();
        // A name of the blueprint's stands for its situation; anything else is kept as it was typed.
        const int known = m_situation->findText(text, Qt::MatchFixedString);
        const auto id = (known >= 0 ? m_situation->itemData(known).toString() : text).toStdString();
        if (m_bench.rep() && id != m_bench.rep()->situation)
            changeRep(tr("say the situation"), [&](Rep& r) { r.situation = id; });
    };
    const auto choice = [this] {
        const auto text = heldChoice(m_choice->currentText().trimmed());
        if (m_bench.rep() && text != m_bench.rep()->choice)
            changeRep(tr("say the choice"), [&](Rep& r) { r.choice = text; });
    };
    connect(m_situation->lineEdit(), &QLineEdit::editingFinished, this, situation);
    connect(m_situation, &QComboBox::activated, this, situation);
    connect(m_choice->lineEdit(), &QLineEdit::editingFinished, this, choice);
    connect(m_choice, &QComboBox::activated, this, choice);
}

// What came of it, and under what stress.
void RepsPanel::keepEffect() {
    connect(m_score, &QLineEdit::editingFinished, this, [this] {
        bool read = false;
        const double score = QLocale::c().toDouble(m_score->text().trimmed().replace(',', '.'), &read);
        if (!read && !m_score->text().trimmed().isEmpty()) {
            refresh(); // what is no figure is not kept
            return;
        }
        const auto said = read ? std::optional(score) : std::nullopt;
        if (m_bench.rep() && said != m_bench.rep()->score)
            changeRep(tr("note the score"), [&](Rep& r) { r.score = said; });
    });
    connect(m_worked, &QComboBox::activated, this, [this](int i) {
        changeRep(tr("say whether it worked"),
                  [i](Rep& r) { r.worked = i == 0 ? std::nullopt : std::optional(i == 1); });
    });
    connect(m_stress, &QComboBox::activated, this, [this](int i) {
        changeRep(tr("set the stress of a rep"),
                  [i](Rep& r) { r.stage = i == 0 ? std::nullopt : std::optional(static_cast<Stage>(i - 1)); });
    });
    connect(m_effort, &QComboBox::activated, this, [this](int i) {
        changeRep(tr("note the effort"), [&](Rep& r) {
            r.effort = i == 0 ? std::nullopt : std::optional(m_effort->itemData(i).toInt() / 100.0);
        });
    });
}

void RepsPanel::changeRep(const QString& what, const std::function<void(Rep&)>& edit) {
    const Rep* rep = m_bench.rep();
    if (m_filling || !rep)
        return;
    Rep changed = *rep;
    edit(changed);
    m_bench.book().setRep(changed, what);
}

void RepsPanel::askSet(const std::vector<Id>& reps) {
    QStringList names;
    for (const auto& [id, rep] : m_bench.data().reps)
        if (!rep.set.empty() && !names.contains(q(rep.set)))
            names << q(rep.set);
    for (const auto& usual : {tr("before"), tr("after the hint"), tr("points")})
        if (!names.contains(usual))
            names << usual;
    auto* dialog = new QInputDialog(this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setObjectName("setName");
    dialog->setWindowTitle(tr("A set"));
    dialog->setLabelText(
        tr("%1 belong together as:").arg(counted(static_cast<qsizetype>(reps.size()), tr("rep"), tr("reps"))));
    dialog->setComboBoxItems(names);
    dialog->setComboBoxEditable(true);
    connect(dialog, &QInputDialog::textValueSelected, this, [this, reps](const QString& name) {
        if (!name.trimmed().isEmpty())
            m_bench.book().putInSet(reps, name.trimmed().toStdString());
    });
    dialog->open();
}

void RepsPanel::useTool(StageTool tool) {
    if (m_stage->tool() != tool && (tool != StageTool::none || m_landed->isChecked() || m_zone->isChecked()))
        m_stage->setTool(tool);
    m_landed->setChecked(tool == StageTool::landed);
    m_zone->setChecked(tool == StageTool::zone);
}

void RepsPanel::refresh() {
    const Take* take = m_bench.take();
    const Rep* shown = m_bench.rep();
    m_stage->setLanding(take && take->zone ? std::optional(std::pair(take->zone->middle, take->zone->edge))
                                           : std::nullopt,
                        shown && shown->landed ? std::optional(shown->landed->at) : std::nullopt);
    setEnabled(take);
    const auto n = static_cast<qsizetype>(m_strip->proposals().size());
    m_accept->setEnabled(n > 0);
    m_acceptAll->setEnabled(n > 0);
    const auto reps = take ? static_cast<qsizetype>(repsOf(m_bench.data(), take->id).size()) : 0;
    m_found->setText(n > 0 ? tr("%1 proposed, %2 accepted.").arg(n).arg(reps)
                           : tr("%1 in this take.").arg(counted(reps, tr("rep"), tr("reps"))));
    const Rep* rep = m_bench.rep();
    m_rep->setVisible(rep);
    if (!rep)
        return;
    m_filling = true;
    m_which->setText(tr("Rep %1").arg(rep->number));
    const Blueprint& b = m_bench.blueprint();
    QString situation = q(rep->situation);
    QStringList choices;
    m_situation->clear();
    for (const auto& s : b.situations) {
        m_situation->addItem(q(s.name), q(s.id));
        m_situation->setItemData(m_situation->count() - 1, q(s.words), Qt::ToolTipRole);
        if (s.id == rep->situation)
            situation = q(s.name);
        for (const auto& c : s.choices)
            if (!choices.contains(q(c)))
                choices << q(c);
    }
    m_situation->setEditText(situation);
    m_choice->clear();
    m_choice->addItems(choices << shownChoice(kDecline));
    m_choice->setEditText(shownChoice(rep->choice));
    m_score->setText(rep->score ? QString::number(*rep->score) : QString());
    m_score->setPlaceholderText(tr("score"));
    for (const auto& m : b.measures)
        if (m.definition.kind == MeasureKind::effect && m.definition.aspect == Aspect::score)
            m_score->setPlaceholderText(m.definition.perName.empty() ? tr("score") : q(m.definition.perName));
    m_worked->setCurrentIndex(!rep->worked ? 0 : *rep->worked ? 1 : 2);
    m_effort->setCurrentIndex(
        rep->effort ? std::max(0, m_effort->findData(10 * static_cast<int>(std::lround(10.0 * *rep->effort)))) : 0);
    m_stress->setCurrentIndex(rep->stage ? static_cast<int>(*rep->stage) + 1 : 0);
    m_set->clear();
    QStringList sets;
    for (const auto& [id, other] : m_bench.data().reps)
        if (!other.set.empty() && !sets.contains(q(other.set)))
            sets << q(other.set);
    m_set->addItems(sets);
    m_set->setEditText(q(rep->set));
    m_filling = false;
}

} // namespace riflesso
