#include "desktop/programme/programme_page.h"
#include "files/write_file.h"
#include "library/calendar_file.h"
#include "library/shelves.h"

#include "casebook/planner.h"
#include "casebook/shipped.h"
#include "casebook/text.h"
#include "core/programme/support.h"
#include "desktop/theme/icons.h"
#include "desktop/theme/language.h"
#include "desktop/theme/theme.h"
#include "desktop/workbench/own_drill_dialog.h"

#include <QDateTime>
#include <QFileDialog>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QInputDialog>
#include <QLineEdit>
#include <QMenu>
#include <QScrollArea>
#include <QSettings>

#include <algorithm>
#include <cmath>

namespace riflesso {

namespace {
using std::chrono::days;
constexpr int kDaysAround = 7; // days before and after a gesture that are laid anew

// Who bends the plan, from the settings; may be empty.
std::string whoWorksHere() {
    return QSettings().value("who").toString().toStdString();
}
} // namespace

ProgrammePage::ProgrammePage(Workbench& bench) : m_bench(bench), m_keys(new KeyTable(this)) {
    // Heard by the calendar, which knows the block.
    m_keys->tell("←\u00a0\u00a0→", tr("block before, after"));
    m_keys->tell(tr("Alt+arrows"), tr("move the block by a day, a week"));
    m_keys->tell("+\u00a0\u00a0−", tr("a minute more, less"));
    m_keys->tell("L\u00a0\u00a0D\u00a0\u00a0Delete", tr("lock, done, take away"));
    auto* bar = makeBar();
    m_ladder = new LadderView(bench);
    m_calendar = new PlanCalendar(bench.blueprint());
    m_drill = new DrillCard(bench);
    const auto scrolled = [](QWidget* w, int least, int most) {
        auto* area = new QScrollArea;
        area->setWidgetResizable(true);
        area->setWidget(w);
        area->setFrameShape(QFrame::NoFrame);
        area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        area->setMinimumWidth(least);
        area->setMaximumWidth(most);
        return area;
    };
    m_line = new QFrame;
    m_line->setObjectName("card");
    m_words = wrapped({}, "");
    m_words->setObjectName("planWords");
    m_mend = new QPushButton;
    m_mend->setObjectName("planMend");
    m_accept = new QPushButton(tr("Accept it anyway"));
    m_accept->setObjectName("planAccept");
    // Below the words: beside them both would be squeezed in a narrow window and a wordy language.
    auto* ways = new QHBoxLayout;
    ways->addStretch(1);
    ways->addWidget(m_mend);
    ways->addWidget(m_accept);
    auto* line = new QVBoxLayout(m_line);
    line->setContentsMargins(12, 6, 8, 6);
    line->addWidget(m_words);
    line->addLayout(ways);
    auto* centre = new QVBoxLayout;
    centre->setSpacing(6);
    centre->addWidget(m_calendar, 1);
    centre->addWidget(m_line);
    auto* columns = new QHBoxLayout;
    columns->setSpacing(12);
    columns->addWidget(scrolled(m_ladder, 200, 236), 2);
    columns->addLayout(centre, 6);
    columns->addWidget(scrolled(m_drill, 250, 312), 3);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(14, 8, 14, 10);
    all->setSpacing(8);
    all->addLayout(bar);
    all->addLayout(columns, 1);

    followBar();
    followCalendar();
    followBreach();
    connect(&m_watcher, &QFutureWatcherBase::finished, this, &ProgrammePage::laid);
    connect(&m_bench.book(), &Casebook::changed, this, [this](const ChangeSet& c) {
        if (c.plan || c.brief)
            showPlan();
    });
    auto* seen = new WhenSeen(this, [this] { refresh(); });
    connect(&m_bench.book(), &Casebook::analysed, seen, [seen] { (*seen)(); });
    refresh();
}

QHBoxLayout* ProgrammePage::makeBar() {
    m_regime = new QComboBox;
    m_regime->setObjectName("regime");
    m_regime->setAccessibleName(tr("How often"));
    for (const auto& r : kRegimes) {
        m_regime->addItem(shownWord(r.name), q(std::string(r.id)));
        m_regime->setItemData(m_regime->count() - 1, shownWord(r.why), Qt::ToolTipRole);
    }
    m_weeks = new QComboBox;
    m_weeks->setAccessibleName(tr("How far ahead"));
    for (const int n : {2, 4, 8, 12})
        m_weeks->addItem(tr("%1 weeks").arg(n), n);
    m_weeks->setCurrentIndex(1);
    m_head = new QLabel;
    m_head->setObjectName("quiet");
    m_keep = new QPushButton(tr("Keep this plan"));
    m_keep->setObjectName("keepPlan");
    m_anew = new QPushButton(tr("Lay it anew"));
    m_anew->setObjectName("planAnew");
    m_anew->setToolTip(tr("What is locked, moved or done stays; the rest may change, as little as possible."));
    auto* bar = new QHBoxLayout;
    bar->addWidget(m_regime);
    bar->addWidget(m_weeks);
    bar->addWidget(makeCalendarFiles());
    auto* own = new QPushButton(tr("Own drill …"));
    setLineIcons({{own, "plus"}});
    own->setObjectName("ownDrillButton");
    own->setToolTip(tr("A drill of yours, for every case of this technique in this library."));
    connect(own, &QPushButton::clicked, this, [this] { editOwnDrill({}); });
    bar->addWidget(own);
    bar->addSpacing(8);
    bar->addWidget(m_head, 1);
    bar->addWidget(m_anew);
    bar->addWidget(m_keep);
    return bar;
}

// Calendars in and out.
QPushButton* ProgrammePage::makeCalendarFiles() {
    auto* hours = new QPushButton(tr("Calendar"));
    setLineIcons({{hours, "calendar"}});
    hours->setObjectName("planCalendarFile");
    auto* files = new QMenu(hours);
    files->addAction(tr("Busy hours and competitions from a file …"), this, [this] {
        const QString file = QFileDialog::getOpenFileName(this, tr("A calendar"), {}, tr("Calendars (*.ics)"));
        if (file.isEmpty())
            return;
        bool ok = false;
        const QString words = QInputDialog::getText(this, tr("Competitions"),
                                                    tr("Events with these words in their names are competitions:"),
                                                    QLineEdit::Normal, tr("competition"), &ok);
        if (ok)
            takeCalendarIn(file, words);
    });
    files->addAction(tr("Write the plan as a calendar …"), this, [this] {
        const QString file =
            QFileDialog::getSaveFileName(this, tr("The plan"), tr("plan.ics"), tr("Calendars (*.ics)"));
        if (file.isEmpty())
            return;
        const auto text = planToCalendar(m_bench.blueprint(), m_calendar->blocks(),
                                         {false, std::to_string(m_bench.data().id), QDateTime::currentSecsSinceEpoch(),
                                          m_bench.data().brief.places});
        const auto done = writeFile(file.toStdString(), text);
        m_head->setText(done ? tr("The plan is in %1.").arg(QFileInfo(file).fileName()) : q(done.error().text()));
    });
    hours->setMenu(files);
    return hours;
}

void ProgrammePage::followBar() {
    connect(m_regime, &QComboBox::activated, this, [this] {
        Brief brief = m_bench.data().brief;
        brief.regime = m_regime->currentData().toString().toStdString();
        const int gesture = ++m_gesture;
        const std::vector<Edit> edits{BriefEdit{{}, m_bench.data().brief, brief}};
        if (brief == m_bench.data().brief || !m_bench.book().perform(tr("change how often"), edits, gesture))
            return;
        if (stands())
            lay({m_bench.book().today(), lastDay(), tr("change how often"), gesture, true});
    });
    connect(m_weeks, &QComboBox::activated, this, &ProgrammePage::refresh);
    setLineIcons({{m_keep, "save"}, {m_anew, "refresh-cw"}});
    connect(m_keep, &QPushButton::clicked, this, [this] { acceptProposal(++m_gesture); });
    connect(m_anew, &QPushButton::clicked, this, [this] {
        lay({m_bench.book().today(), lastDay(), tr("lay the plan anew"), ++m_gesture, true});
    });
}

void ProgrammePage::moveBlock(PlannedBlock block, Day to) {
    block.why = "moved from " + isoDate(block.day);
    block.day = to;
    block.state = BlockState::moved;
    block.locked = true;
    bend(block, tr("move a block"));
}

// The plan by hand.
void ProgrammePage::followCalendar() {
    connect(m_ladder, &LadderView::chosenChanged, this, [this] {
        m_calendar->choose({});
        showDrill();
    });
    connect(m_calendar, &PlanCalendar::chosenChanged, this, &ProgrammePage::showDrill);
    connect(m_drill, &DrillCard::editWanted, this, &ProgrammePage::editOwnDrill);
    connect(m_calendar, &PlanCalendar::considered, this, &ProgrammePage::consider);
    connect(m_calendar, &PlanCalendar::moved, this,
            [this](std::size_t i, Day day) { moveBlock(m_calendar->blocks()[i], day); });
    connect(m_calendar, &PlanCalendar::stretched, this, [this](std::size_t i, double minutes) {
        PlannedBlock b = m_calendar->blocks()[i];
        b.minutes = minutes;
        b.locked = true;
        bend(b, tr("change a block's minutes"));
    });
    connect(m_calendar, &PlanCalendar::dropped, this, &ProgrammePage::addDrill);
    connect(m_calendar, &PlanCalendar::lockWanted, this, [this](std::size_t i) {
        PlannedBlock b = m_calendar->blocks()[i];
        b.locked = !b.locked;
        bend(b, b.locked ? tr("lock a block") : tr("unlock a block"), false);
    });
    connect(m_calendar, &PlanCalendar::removeWanted, this, &ProgrammePage::remove);
    connect(m_calendar, &PlanCalendar::doneWanted, this, [this](std::size_t i) {
        PlannedBlock b = m_calendar->blocks()[i];
        b.state = b.state == BlockState::done ? BlockState::planned : BlockState::done;
        bend(b, b.state == BlockState::done ? tr("tick a block off") : tr("untick a block"), false);
    });
    connect(m_calendar, &PlanCalendar::menuWanted, this, &ProgrammePage::menu);
}

// What the last change broke, and the way out that is offered.
void ProgrammePage::followBreach() {
    connect(m_mend, &QPushButton::clicked, this, [this] {
        if (!m_way)
            return;
        const auto plan = m_calendar->blocks();
        if (m_way->block >= plan.size())
            return;
        PlannedBlock b = plan[m_way->block];
        if (!m_way->day) {
            b.state = BlockState::dropped;
            bend(b, tr("take a block away"));
            return;
        }
        moveBlock(b, *m_way->day);
    });
    connect(m_accept, &QPushButton::clicked, this, [this] {
        if (m_breach)
            overrule(*m_breach);
    });
}

void ProgrammePage::editOwnDrill(const QString& id) {
    askOwnDrill(m_bench, this, id.toStdString(), m_bench.analysis().judgement.focus,
                [this](const QString& words, const std::string&) { m_head->setText(words); });
}

Day ProgrammePage::lastDay() const {
    const Day today = m_bench.book().today();
    return today - days(weekdayOf(today)) + days(7 * weeks() - 1);
}

PlanInput ProgrammePage::input() const {
    const Day today = m_bench.book().today();
    return planInputOf(m_bench.data(), m_bench.blueprint(), m_bench.analysis(), today,
                       static_cast<int>((lastDay() - today).count()) + 1, m_taken);
}

bool ProgrammePage::stands() const {
    const Day today = m_bench.book().today();
    return std::any_of(m_bench.data().planned.begin(), m_bench.data().planned.end(),
                       [&](const auto& p) { return p.second.day >= today && p.second.state != BlockState::dropped; });
}

// What is on the glass: the plan that stands, with days gone by, or the proposal.
std::vector<PlannedBlock> ProgrammePage::current() const {
    if (!stands())
        return m_proposal.blocks;
    const Day today = m_bench.book().today();
    auto in = input();
    auto blocks = replan(m_bench.blueprint(), in, today, today - days(1)).blocks;
    for (auto b : in.standing)
        if (b.day < today) {
            if (b.state == BlockState::planned || b.state == BlockState::moved)
                b.state = BlockState::missed;
            blocks.push_back(b);
        }
    return blocks;
}

void ProgrammePage::refresh() {
    if (const auto taken = m_bench.book().library().minutesElsewhere(m_bench.data().id, m_bench.book().today()))
        m_taken = *taken;
    const int at = m_regime->findData(q(m_bench.data().brief.regime));
    m_regime->setCurrentIndex(std::max(0, at));
    m_regime->setToolTip(m_regime->currentData(Qt::ToolTipRole).toString());
    m_ladder->refresh();
    if (!stands())
        propose();
    showPlan();
}

void ProgrammePage::propose() {
    lay({m_bench.book().today(), lastDay(), {}, 0, false});
}

void ProgrammePage::lay(const Job& job) {
    if (m_watcher.isRunning()) { // the newest wish counts
        m_waiting = job;
        return;
    }
    m_job = job;
    m_asked = m_bench.data().planned;
    m_watcher.setFuture(m_bench.book().jobs().run(
        [blueprint = m_bench.blueprint(), in = input(), job, stop = m_bench.book().jobs().stopToken()] {
            return replan(blueprint, in, job.from, job.to, [stop] { return stop.stop_requested(); });
        }));
}

void ProgrammePage::laid() {
    if (!m_job)
        return;
    const Job job = *std::exchange(m_job, std::nullopt);
    const Plan plan = m_watcher.result();
    if (m_waiting) { // it answers a question that is no longer asked
        lay(*std::exchange(m_waiting, std::nullopt));
        return;
    }
    if (job.keep && m_asked != m_bench.data().planned) {
        // Something was locked, ticked off or taken back meanwhile: it must not be laid over. After a step back nothing
        // is laid anew.
        if (!m_bench.book().undoStack().canRedo())
            lay(job);
        return;
    }
    if (job.keep) {
        m_bench.book().keepPlan(plan.blocks, job.from, job.to, job.what, job.gesture);
    } else if (!stands()) {
        m_proposal = plan;
        showPlan();
    }
}

void ProgrammePage::acceptProposal(int gesture) {
    if (stands() || m_proposal.blocks.empty())
        return;
    m_bench.book().keepPlan(m_proposal.blocks, m_bench.book().today(), lastDay(), tr("keep the plan"), gesture);
}

void ProgrammePage::bend(PlannedBlock block, const QString& what, bool around) {
    const int gesture = ++m_gesture;
    block.by = whoWorksHere();
    if (!stands()) {
        // The first touch keeps the proposal, with the change in it.
        auto plan = m_proposal.blocks;
        const auto same = std::find_if(plan.begin(), plan.end(), [&](const PlannedBlock& b) {
            return b.drill == block.drill && b.kind == block.kind &&
                   (b.day == block.day || block.why == "moved from " + isoDate(b.day));
        });
        if (same == plan.end())
            plan.push_back(block);
        else
            *same = block;
        m_bench.book().keepPlan(plan, m_bench.book().today(), lastDay(), what, gesture);
    } else if (!m_bench.book().setPlanned(block, what, gesture)) {
        return;
    }
    if (around)
        lay({std::max(m_bench.book().today(), block.day - days(kDaysAround)),
             std::min(lastDay(), block.day + days(kDaysAround)), what, gesture, true});
}

void ProgrammePage::addDrill(const QString& id, Day day) {
    const Drill* d = m_bench.blueprint().drill(id.toStdString());
    if (!d)
        return;
    PlannedBlock b;
    b.day = day;
    b.drill = d->id;
    b.minutes = d->dose.minutes;
    b.stage = d->stage;
    b.locked = true;
    b.why = "laid by hand";
    for (const auto& fault : m_bench.analysis().judgement.focus)
        if (const Fault* f = m_bench.blueprint().fault(fault);
            f && b.fault.empty() && std::find(f->drills.begin(), f->drills.end(), d->id) != f->drills.end())
            b.fault = fault;
    bend(b, tr("lay a drill on a day"));
}

void ProgrammePage::remove(std::size_t i) {
    PlannedBlock b = m_calendar->blocks()[i];
    b.state = BlockState::dropped;
    bend(b, tr("take a block away"));
}

void ProgrammePage::menu(std::size_t i, const QPoint& at) {
    const PlannedBlock block = m_calendar->blocks()[i];
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const auto add = [&](const QString& text, auto signal) {
        connect(menu->addAction(text), &QAction::triggered, this, [this, signal, i] { emit(m_calendar->*signal)(i); });
    };
    add(block.state == BlockState::done ? tr("Not done after all\tD") : tr("Done\tD"), &PlanCalendar::doneWanted);
    add(block.locked ? tr("Unlock\tL") : tr("Lock\tL"), &PlanCalendar::lockWanted);
    add(tr("Take away\tDel"), &PlanCalendar::removeWanted);
    connect(menu->addAction(tr("Why …")), &QAction::triggered, this, [this, block] {
        auto* dialog = new QInputDialog(this);
        dialog->setAttribute(Qt::WA_DeleteOnClose);
        dialog->setObjectName("whyDialog");
        dialog->setWindowTitle(tr("Why"));
        dialog->setLabelText(tr("Why is this block as it is?"));
        dialog->setTextValue(q(block.why));
        connect(dialog, &QInputDialog::textValueSelected, this, [this, block](const QString& why) {
            PlannedBlock b = block;
            b.why = why.trimmed().toStdString();
            bend(b, tr("say why"), false);
        });
        dialog->open();
    });
    auto* instead = menu->addMenu(tr("Instead"));
    for (const auto& d : m_bench.blueprint().drills)
        if (d.stage == block.stage && d.id != block.drill)
            connect(instead->addAction(q(d.name)), &QAction::triggered, this, [this, block, id = d.id] {
                PlannedBlock b = block;
                b.drill = id;
                b.locked = true;
                b.why = "instead of " + block.drill;
                b.minutes = m_bench.blueprint().drill(id)->dose.minutes;
                bend(b, tr("replace a block"));
            });
    instead->setEnabled(!instead->isEmpty());
    menu->popup(at);
}

void ProgrammePage::overrule(const Breach& breach) {
    const auto plan = m_calendar->blocks(); // a copy: each step shows the plan anew
    const int gesture = ++m_gesture;
    for (const auto i : breach.blocks) {
        if (i >= plan.size())
            continue;
        PlannedBlock b = plan[i];
        b.accepted.push_back(std::string(kRuleNames[static_cast<std::size_t>(breach.rule)]));
        b.locked = true;
        b.by = whoWorksHere();
        m_bench.book().setPlanned(b, tr("overrule a rule"), gesture);
    }
}

void ProgrammePage::consider(std::optional<std::size_t> block, const QString& drill, std::optional<Day> day) {
    if (!day) {
        showRules();
        return;
    }
    auto plan = m_calendar->blocks();
    const auto in = input();
    const auto before = breachesOf(m_bench.blueprint(), in, plan);
    if (block) {
        plan[*block].day = *day;
    } else if (const Drill* d = m_bench.blueprint().drill(drill.toStdString())) {
        PlannedBlock b;
        b.day = *day;
        b.drill = d->id;
        b.minutes = d->dose.minutes;
        b.stage = d->stage;
        if (!in.focus.empty())
            b.fault = in.focus.front();
        plan.push_back(b);
    }
    const auto after = breachesOf(m_bench.blueprint(), in, plan);
    QStringList words;
    for (const auto& b : after)
        if (!b.accepted &&
            std::none_of(before.begin(), before.end(), [&](const Breach& old) { return old.words == b.words; }))
            words << q(b.words);
    m_mend->hide();
    m_accept->hide();
    m_words->setText(words.isEmpty() ? tr("%1: nothing is broken by that.").arg(q(dayWords(*day)))
                                     : tr("This would break: %1").arg(words.join("; ")));
}

void ProgrammePage::showPlan() {
    const bool kept = stands();
    m_calendar->setPlan(input(), current(), m_bench.book().today(), weeks(), !kept);
    m_keep->setVisible(!kept);
    m_keep->setEnabled(!m_proposal.blocks.empty());
    m_anew->setVisible(kept);
    double minutes = 0.0;
    for (const auto& b : m_calendar->blocks())
        if (b.day >= m_bench.book().today() && b.state != BlockState::dropped)
            minutes += b.minutes;
    const auto adherence = adherenceOf(m_bench.data(), m_bench.book().today());
    QStringList head;
    head << counted(static_cast<qsizetype>(m_bench.analysis().judgement.focus.size()), tr("focus"), tr("focuses"));
    head << tr("%1 minutes in %2 weeks").arg(std::lround(minutes)).arg(weeks());
    if (adherence.done + adherence.missed > 0)
        head << tr("%1 % of the last four weeks done")
                    .arg(std::lround(100.0 * adherence.done / (adherence.done + adherence.missed)));
    if (!kept)
        head << tr("a proposal");
    m_head->setText(head.join(" · "));
    showRules();
    showDrill();
}

void ProgrammePage::showRules() {
    const auto plan = m_calendar->blocks();
    const auto in = input();
    auto breaches = breachesOf(m_bench.blueprint(), in, plan);
    std::erase_if(breaches, [](const Breach& b) { return b.accepted; });
    m_breach.reset();
    m_way.reset();
    m_mend->hide();
    m_accept->hide();
    if (!breaches.empty() && stands()) {
        m_breach = breaches.front();
        m_way = wayOutOf(m_bench.blueprint(), in, plan, *m_breach);
        const Breach clash = smallestClash(m_bench.blueprint(), in, plan, *m_breach);
        QStringList named; // one alone is in the words already
        for (const auto i : clash.blocks)
            if (clash.blocks.size() > 1)
                named << tr("%1 on %2").arg(q(workName(m_bench.blueprint(), plan[i].drill)), q(dayWords(plan[i].day)));
        m_words->setText(
            q(clash.words) + (named.isEmpty() ? QString() : ": " + named.join(", ")) + ". " +
            (breaches.size() > 1
                 ? counted(static_cast<qsizetype>(breaches.size()) - 1, tr("more clash"), tr("more clashes")) + "."
                 : QString()));
        m_words->setStyleSheet(QString("color: %1; font-weight: bold;").arg(theme().caution.name()));
        m_accept->show();
        if (m_way) {
            m_mend->setText(q(m_way->words));
            m_mend->show();
        }
        return;
    }
    m_words->setStyleSheet({});
    QStringList words;
    if (!stands() && !m_proposal.infeasible.empty())
        words << q(m_proposal.infeasible);
    for (const auto& n : stands() ? m_bench.analysis().plan.notes : m_proposal.notes)
        words << q(n);
    if (!stands() && m_watcher.isRunning())
        words = {tr("Laying a proposal …")};
    if (words.isEmpty())
        words << (stands() ? tr("Nothing is broken. Drag a block to another day; dashed blocks are a forecast, if the "
                                "gate agrees.")
                           : tr("A proposal for these days. Keep it, or drag a block: the first touch keeps it."));
    m_words->setText(words.join(" "));
}

void ProgrammePage::showDrill() {
    const auto chosen = m_calendar->chosen();
    std::string drill = m_ladder->chosen(), fault;
    QStringList rules;
    if (chosen) {
        const auto& b = m_calendar->blocks()[*chosen];
        drill = b.drill;
        fault = b.fault;
        rules << q(dayWords(b.day)) + (b.state == BlockState::planned
                                           ? QString()
                                           : tr(", %1").arg(shownWord(enumName(kBlockStateNames, b.state))));
        for (const auto& r : b.rules)
            rules << q(r);
        for (const auto& a : b.accepted)
            rules << tr("overruled knowingly: %1").arg(shownWord(a));
    }
    if (fault.empty())
        for (const auto& id : m_bench.analysis().judgement.focus)
            if (const Fault* f = m_bench.blueprint().fault(id);
                f && fault.empty() && std::find(f->drills.begin(), f->drills.end(), drill) != f->drills.end())
                fault = id;
    m_drill->show(drill, fault);
    m_drill->setRules(rules);
}

bool ProgrammePage::takeCalendarIn(const QString& file, const QString& competition) {
    constexpr int kWeeks = 12;
    const Day today = m_bench.book().today();
    const auto text = readFile(file.toStdString(), 11u << 20);
    const auto events = text ? eventsFromCalendar(*text, QFileInfo(file).fileName().toStdString(), today,
                                                  today + std::chrono::days(7 * kWeeks))
                             : Result<std::vector<CalendarEvent>>(text.error());
    if (!events) {
        m_head->setText(q(events.error().text()));
        return false;
    }
    Brief brief = m_bench.data().brief;
    takeOverCalendar(brief, *events, competition.trimmed().toStdString());
    if (!m_bench.book().setBrief(brief))
        return false;
    m_head->setText(
        tr("%1 taken over.").arg(counted(static_cast<qsizetype>(events->size()), tr("event"), tr("events"))));
    return true;
}

} // namespace riflesso
