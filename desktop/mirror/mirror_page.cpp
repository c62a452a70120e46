#include "desktop/mirror/mirror_page.h"

#include "casebook/text.h"
#include "desktop/mirror/export_dialog.h"
#include "desktop/parts/card.h"
#include "desktop/theme/icons.h"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QVBoxLayout>

#include <algorithm>
#include <array>
#include <cmath>

namespace riflesso {
MirrorPage::MirrorPage(Workbench& bench) : m_bench(bench), m_keys(new KeyTable(this)) {
    makeKeys();
    m_athlete = new QComboBox;
    m_athlete->setAccessibleName(tr("The athlete's rep"));
    m_model = new QComboBox;
    m_model->setAccessibleName(tr("The model's rep"));
    m_measure = new QComboBox;
    m_measure->setAccessibleName(tr("Measure of the curve"));
    for (const auto& m : bench.blueprint().measures)
        if (!isOfSpan(m.definition.kind))
            m_measure->addItem(q(m.definition.name), q(m.definition.id));
    m_board = new MirrorBoard(bench);
    m_curve = new MirrorCurve(bench);
    m_ribbon = new Ribbon(bench, true);
    const auto label = [](const QString& text, const char* style) {
        auto* l = new QLabel(text);
        l->setObjectName(style);
        return l;
    };
    setFocusPolicy(Qt::StrongFocus);
    m_boardButton = new QPushButton(tr("Board"));
    m_boardButton->setToolTip(tr("One column a key position, the measures that matter between."));
    m_movingButton = new QPushButton(tr("Moving"));
    m_movingButton->setObjectName("mirrorMoving");
    m_movingButton->setToolTip(tr("Both films on the same moments. Space plays."));
    m_traceButton = new QPushButton(tr("Trace"));
    m_traceButton->setObjectName("mirrorTrace");
    m_traceButton->setToolTip(tr("A phase on one picture, with the paths of the points that tell most. (T)"));
    for (auto* b : {m_boardButton, m_movingButton, m_traceButton}) {
        b->setCheckable(true);
        b->setAutoExclusive(true);
    }
    m_boardButton->setChecked(true);
    m_ways = new QStackedWidget;
    m_ways->addWidget(m_board);
    m_ways->addWidget(makeMoving());
    m_trace = new MirrorTrace(bench);
    m_ways->addWidget(m_trace);
    auto* bar = new QHBoxLayout;
    bar->addWidget(m_boardButton);
    bar->addWidget(m_movingButton);
    bar->addWidget(m_traceButton);
    bar->addSpacing(12);
    bar->addWidget(label(tr("Above the line"), "athlete"));
    bar->addWidget(m_athlete, 2);
    bar->addSpacing(12);
    bar->addWidget(label(tr("Below it"), "model"));
    bar->addWidget(m_model, 2);
    bar->addSpacing(12);
    bar->addWidget(label(tr("Curve"), "quiet"));
    bar->addWidget(m_measure, 2);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(10, 8, 10, 8);
    all->setSpacing(6);
    all->addLayout(bar);
    all->addWidget(m_ways, 1);
    all->addWidget(m_ribbon);
    all->addWidget(m_curve);
    m_curve->setFixedHeight(118);

    connect(m_athlete, &QComboBox::activated, this, [this](int i) {
        m_bench.selectRep(m_athlete->itemData(i).toLongLong());
        refresh(); // another view may want another model
    });
    connect(m_model, &QComboBox::activated, this, &MirrorPage::showChosen);
    connect(m_measure, &QComboBox::activated, this, [this] {
        m_measureChosen = true;
        showChosen();
    });
    connect(m_board, &MirrorBoard::measureChosen, this, [this](const QString& measure) {
        if (const int i = m_measure->findData(measure); i >= 0) {
            m_measure->setCurrentIndex(i);
            m_measureChosen = true;
            showChosen();
        }
    });
    setLineIcons({{m_boardButton, "columns-3"}, {m_movingButton, "film"}, {m_traceButton, "layers"}});
    connect(m_boardButton, &QPushButton::clicked, this, [this] { showWay(board); });
    connect(m_movingButton, &QPushButton::clicked, this, [this] { showWay(inMotion); });
    connect(m_traceButton, &QPushButton::clicked, this, [this] { showWay(onOnePicture); });
    connect(&bench, &Workbench::selectionChanged, this, &MirrorPage::refresh);
    auto* seen = new WhenSeen(this, [this] { refresh(); });
    connect(&bench.book(), &Casebook::analysed, seen, [seen] { (*seen)(); });
    refresh();
}

QWidget* MirrorPage::makeMoving() {
    m_moving = new MirrorMoving(m_bench);
    m_rows = new BandRows(m_bench.blueprint());
    m_play = new QPushButton;
    m_play->setObjectName("mirrorPlay");
    m_speed = new QComboBox;
    m_speed->setAccessibleName(tr("Speed"));
    for (const auto& [words, speed] : std::initializer_list<std::pair<const char*, double>>{
             {"1/16", 1.0 / 16}, {"1/8", 0.125}, {"1/4", 0.25}, {"1/2", 0.5}, {"1", 1.0}, {"2", 2.0}})
        m_speed->addItem(tr("%1 speed").arg(words), speed);
    m_speed->setCurrentIndex(2);
    m_clock = new QPushButton;
    m_clock->setObjectName("mirrorClock");
    m_clock->setToolTip(
        tr("By the movement: the same key position at the same moment. By the clock: the same time since the first "
           "one; who is late stays late. (C)"));
    m_ghost = new QPushButton(tr("Ghost"));
    m_ghost->setObjectName("mirrorGhost");
    m_ghost->setCheckable(true);
    m_ghost->setToolTip(tr("The model's figure over the athlete: on the same foot, each segment as long as the "
                           "athlete's own. Again, and it is fainter. (G)"));
    m_loop = new QPushButton(tr("Loop phase"));
    m_loop->setObjectName("mirrorLoop");
    m_loop->setCheckable(true);
    m_loop->setToolTip(tr("Only the phase between two key positions where the playhead is, round and round. (L)"));
    m_back = new QPushButton(tr("Backwards"));
    m_back->setObjectName("mirrorBackwards");
    m_back->setCheckable(true);
    m_back->setToolTip(tr("From the end to the beginning. (B)"));
    m_angles = new QPushButton(tr("Angles"));
    m_angles->setObjectName("mirrorAngles");
    m_angles->setCheckable(true);
    m_angles->setToolTip(tr("Beside each film the other angle that is locked to it. (A)"));
    auto* clip = new QPushButton(tr("Clip …"));
    clip->setObjectName("mirrorExport");
    clip->setToolTip(tr("What is seen here as a film to take home. (E)"));
    m_curvesButton = new QPushButton(tr("Curves"));
    m_curvesButton->setObjectName("mirrorCurvesButton");
    m_curvesButton->setCheckable(true);
    m_curvesButton->setToolTip(tr("Three measures with the playhead through them; again, one against another. (V)"));
    auto* transport = new QGridLayout;
    transport->setSpacing(5);
    int place = 0;
    for (QWidget* w : std::initializer_list<QWidget*>{m_play, m_speed, m_clock, m_ghost, m_loop, m_back, m_angles,
                                                      m_curvesButton, clip}) {
        transport->addWidget(w, place / 3, place % 3);
        ++place;
    }
    setLineIcons({{m_play, "play"},
                  {m_clock, "clock"},
                  {m_ghost, "ghost"},
                  {m_loop, "repeat"},
                  {m_back, "rewind"},
                  {m_angles, "camera"},
                  {clip, "scissors"},
                  {m_curvesButton, "chart-spline"}});
    connect(m_loop, &QPushButton::clicked, this, [this](bool on) { m_moving->setLoop(on); });
    connect(m_back, &QPushButton::clicked, this,
            [this](bool on) { m_moving->setSpeed(std::abs(m_moving->speed()) * (on ? -1.0 : 1.0)); });
    connect(m_angles, &QPushButton::clicked, this, [this](bool on) { m_moving->setAngles(on); });
    connect(clip, &QPushButton::clicked, this, [this] { exportClip(); });
    auto* card = new Card(tr("On their bands"));
    card->body()->addWidget(m_rows);
    card->body()->addStretch(1);
    auto* side = m_side = new QVBoxLayout;
    side->addLayout(transport);
    m_curves = new MirrorCurves(m_bench);
    m_beside = new QStackedWidget;
    m_beside->addWidget(card);
    m_beside->addWidget(m_curves);
    connect(m_curvesButton, &QPushButton::clicked, this, [this] { nextCurves(); });
    side->addWidget(m_beside, 1);
    auto* way = new QWidget;
    auto* line = new QHBoxLayout(way);
    line->setContentsMargins(0, 0, 0, 0);
    line->addWidget(m_moving, 3);
    line->addLayout(side, 2);
    connect(m_play, &QPushButton::clicked, this, [this] { m_moving->play(!m_moving->playing()); });
    connect(m_speed, &QComboBox::activated, this,
            [this] { m_moving->setSpeed(m_speed->currentData().toDouble() * (m_moving->speed() < 0 ? -1.0 : 1.0)); });
    connect(m_clock, &QPushButton::clicked, this, [this] { m_moving->setByClock(!m_moving->byClock()); });
    connect(m_ghost, &QPushButton::clicked, this, [this] { nextGhost(); });
    connect(m_moving, &MirrorMoving::changed, this, &MirrorPage::sayState);
    connect(m_rows, &BandRows::chosen, this, [this](const QString& measure) {
        if (const int i = m_measure->findData(measure); i >= 0) {
            m_measure->setCurrentIndex(i);
            m_measureChosen = true;
            showChosen();
        }
    });
    sayState();
    return way;
}

void MirrorPage::sayState() {
    m_play->setText(m_moving->playing() ? tr("Pause") : tr("Play"));
    setLineIcons({{m_play, m_moving->playing() ? "pause" : "play"}});
    m_clock->setText(m_moving->byClock() ? tr("By the clock") : tr("By the movement"));
    m_ghost->setChecked(m_moving->ghost() > 0.0);
    m_loop->setChecked(m_moving->loops());
    m_back->setChecked(m_moving->speed() < 0.0);
    m_angles->setChecked(m_moving->angles());
    m_angles->setEnabled(m_moving->hasAngles());
    if (const int i = m_speed->findData(std::abs(m_moving->speed())); i >= 0)
        m_speed->setCurrentIndex(i);
}

// None, full, faint, none.
void MirrorPage::nextGhost() {
    constexpr double kFaint = 0.45;
    const double now = m_moving->ghost();
    m_moving->setGhost(now == 0.0 ? 1.0 : now > kFaint ? kFaint : 0.0);
}

// Bands, curves, one angle against another.
void MirrorPage::nextCurves() {
    const bool curves = m_beside->currentIndex() == 1;
    m_beside->setCurrentIndex(curves && m_curves->against() ? 0 : 1);
    m_curves->setAgainst(curves && !m_curves->against());
    m_curvesButton->setChecked(m_beside->currentIndex() == 1);
    m_curvesButton->setText(m_curves->against() ? tr("Against") : tr("Curves"));
    m_curve->setVisible(m_beside->currentIndex() == 0);
    showCurves();
}

// Only while they are seen: every judged rep has a curve of its own.
void MirrorPage::showCurves() {
    if (m_beside->currentIndex() == 1)
        m_curves->show(m_measure->currentData().toString().toStdString(), m_athlete->currentData().toLongLong(),
                       m_model->currentData().toLongLong());
}

ExportDialog* MirrorPage::exportClip() {
    const Id athlete = m_athlete->currentData().toLongLong();
    if (!m_bench.data().reps.contains(athlete))
        return nullptr;
    m_moving->play(false);
    auto* dialog = new ExportDialog(m_bench, athlete, m_model->currentData().toLongLong(), m_moving->stretch(),
                                    m_moving->byClock(), this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->open();
    return dialog;
}

void MirrorPage::showWay(Way way) {
    m_moving->play(false);
    m_ways->setCurrentIndex(way);
    std::array{m_boardButton, m_movingButton, m_traceButton}[static_cast<std::size_t>(way)]->setChecked(true);
    // Bodies need the height: the curve goes to the side, or away.
    const bool moving = way == inMotion;
    if (moving)
        m_side->addWidget(m_curve);
    else
        static_cast<QVBoxLayout*>(layout())->addWidget(m_curve);
    m_curve->setFixedHeight(moving ? 170 : 118);
    m_curve->setVisible(way == board || (moving && m_beside->currentIndex() == 0));
    m_ribbon->setVisible(way != onOnePicture);
    if (const Id rep = m_athlete->currentData().toLongLong();
        moving && rep && m_bench.rep() && m_bench.rep()->id != rep)
        m_bench.selectRep(rep);
    setFocus();
}

void MirrorPage::makeKeys() {
    const auto moving = [this] { return m_ways->currentIndex() == inMotion; };
    const auto speed = [this](double by) { return [this, by] { m_moving->setSpeed(m_moving->speed() * by); }; };
    m_keys->add(tr("board, moving"), {"M"}, [this, moving] { showWay(moving() ? board : inMotion); });
    m_keys->add(tr("play both films, pause"), {"Space"}, [this, moving] {
        if (!moving())
            showWay(inMotion);
        m_moving->play(!m_moving->playing());
    });
    m_keys->addSteps(tr("one frame; with Shift ten"), {}, [this](int n) { m_moving->step(n); });
    m_keys->add(tr("by the movement, by the clock"), {"C"}, [this] { m_moving->setByClock(!m_moving->byClock()); });
    m_keys->add(tr("the model's figure over the athlete; fainter"), {"G"}, [this] { nextGhost(); });
    m_keys->add(tr("loop the phase, backwards"), {"L"}, [this] { m_moving->setLoop(!m_moving->loops()); });
    m_keys->add(tr("loop the phase, backwards"), {"B"}, speed(-1.0));
    m_keys->add(tr("the other angle beside each"), {"A"}, [this] { m_moving->setAngles(!m_moving->angles()); });
    m_keys->add(tr("other curves below"), {"V"}, [this, moving] {
        if (moving())
            nextCurves();
    });
    m_keys->add(tr("a phase on one picture; what is seen as a clip"), {"T"},
                [this] { showWay(m_ways->currentIndex() == onOnePicture ? board : onOnePicture); });
    m_keys->add(tr("a phase on one picture; what is seen as a clip"), {"E"}, [this] { exportClip(); });
    m_keys->add(tr("slower, faster"), {","}, speed(0.5));
    m_keys->add(tr("slower, faster"), {"."}, speed(2.0));
}

void MirrorPage::keyPressEvent(QKeyEvent* e) {
    if (!m_keys->press(e))
        QWidget::keyPressEvent(e);
}

void MirrorPage::refresh() {
    const CaseData& kept = m_bench.data();
    const auto label = [&](const Rep& rep) {
        const Take& take = kept.takes.at(rep.take);
        return tr("%1, rep %2").arg(q(take.title)).arg(rep.number);
    };
    Id wanted = m_bench.rep() ? m_bench.rep()->id : 0;
    m_athlete->clear();
    for (const auto& [id, rep] : kept.reps)
        if (kept.takes.contains(rep.take) && kept.takes.at(rep.take).performer == Performer::athlete &&
            !rep.positions.empty())
            m_athlete->addItem(label(rep), QVariant::fromValue<qlonglong>(id));
    int index = m_athlete->findData(QVariant::fromValue<qlonglong>(wanted));
    if (index < 0 && !m_bench.analysis().athleteReps.empty())
        index = m_athlete->findData(QVariant::fromValue<qlonglong>(m_bench.analysis().athleteReps.front()));
    m_athlete->setCurrentIndex(index >= 0 ? index : 0);
    const auto shown = kept.reps.find(m_athlete->currentData().toLongLong());
    const Id before = m_model->currentData().toLongLong();
    m_model->clear();
    for (const auto& [id, rep] : kept.reps)
        if (kept.takes.contains(rep.take) && kept.takes.at(rep.take).performer == Performer::model &&
            shown != kept.reps.end() && kept.takes.at(rep.take).view == kept.takes.at(shown->second.take).view)
            m_model->addItem(label(rep), QVariant::fromValue<qlonglong>(id));
    // Anything may stand below the line: another day, another set, the own best.
    for (const auto& [id, rep] : kept.reps)
        if (kept.takes.contains(rep.take) && kept.takes.at(rep.take).performer == Performer::athlete &&
            !rep.positions.empty() && shown != kept.reps.end() && id != shown->first &&
            kept.takes.at(rep.take).view == kept.takes.at(shown->second.take).view)
            m_model->addItem(tr("own: %1").arg(label(rep)), QVariant::fromValue<qlonglong>(id));
    if (const int i = m_model->findData(QVariant::fromValue<qlonglong>(before)); i >= 0)
        m_model->setCurrentIndex(i);
    // The curve of what the findings rest on, as far as it has one.
    for (const auto& f : m_bench.analysis().judgement.findings)
        for (const auto& measure : f.evidence)
            if (const int i = m_measure->findData(q(measure)); i >= 0 && !m_measureChosen) {
                m_measure->setCurrentIndex(i);
                showChosen();
                return;
            }
    showChosen();
}

void MirrorPage::showChosen() {
    const Id athlete = m_athlete->currentData().toLongLong(), model = m_model->currentData().toLongLong();
    m_board->setReps(athlete, model);
    m_moving->setReps(athlete, model);
    m_trace->setReps(athlete, model);
    sayState();
    std::vector<const Deviation*> worst;
    const auto rep = m_bench.data().reps.find(athlete);
    for (const auto& d : m_bench.analysis().deviations)
        if (const auto* m = m_bench.blueprint().measure(d.measure);
            d.judged && m && rep != m_bench.data().reps.end() &&
            serves(m_bench.data().takes.at(rep->second.take).view, m->definition.view))
            worst.push_back(&d);
    std::stable_sort(worst.begin(), worst.end(), [](const Deviation* a, const Deviation* b) {
        return std::abs(a->verdict.severity) > std::abs(b->verdict.severity);
    });
    worst.resize(std::min<std::size_t>(worst.size(), 8));
    m_rows->setDeviations(worst);
    m_ribbon->setModelRep(model);
    const CaseData& kept = m_bench.data();
    std::vector<Id> models;
    for (int i = 0; i < m_model->count(); ++i)
        if (const Id id = m_model->itemData(i).toLongLong();
            id == model || kept.takes.at(kept.reps.at(id).take).performer == Performer::model)
            models.push_back(id);
    m_curve->show(m_measure->currentData().toString().toStdString(), athlete, models);
    showCurves();
}

} // namespace riflesso
