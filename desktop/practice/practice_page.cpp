#include "desktop/practice/practice_page.h"

#include "casebook/progress_questions.h"
#include "casebook/text.h"
#include "desktop/practice/film_verdicts.h"
#include "desktop/theme/theme.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPainter>
#include <QSettings>
#include <QSignalBlocker>

#include <algorithm>

namespace riflesso {
PracticePage::PracticePage(Workbench& bench) : m_bench(bench), m_keys(new KeyTable(this)) {
    makeKeys();
    setFocusPolicy(Qt::StrongFocus);
    m_pictures = new RightAndWrong(bench);
    auto* left = new QVBoxLayout;
    left->setSpacing(8);
    m_screen = new RepScreen(bench);
    m_screen->hide();
    left->addWidget(m_pictures, 1);
    left->addWidget(m_screen, 2);
    left->addWidget(makeSettings());
    auto* upper = new QHBoxLayout;
    upper->setSpacing(16);
    upper->addLayout(left, 5);
    upper->addWidget(makeCounting(), 4);
    auto* today = makeToday();
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(14, 8, 14, 10);
    all->setSpacing(10);
    all->addLayout(upper, 1);
    all->addWidget(today);

    m_restTimer.setInterval(1000);
    connect(&m_restTimer, &QTimer::timeout, this, [this] {
        m_rest->setValue(kRestSeconds - --m_restLeft);
        m_rest->setFormat(tr("rest %1 s").arg(m_restLeft));
        if (m_restLeft <= 0) {
            rest(); // over
            hear(Chime::start);
        }
    });
    m_minutes.setInterval(15000);
    connect(&m_minutes, &QTimer::timeout, this, [this] { m_set->setText(setWords()); });
    m_minutes.start();
    connect(&bench.book(), &Casebook::changed, this, [this](const ChangeSet& c) {
        if (c.blocks || c.plan)
            refresh();
    });
    const auto showScreen = [this](bool on) {
        m_screen->setVisible(on || m_camera->isChecked()); // why a camera stopped is still to be read
        m_pictures->setVisible(!m_screen->isVisibleTo(this));
    };
    connect(m_screen, &RepScreen::switched, this, showScreen);
    connect(m_screen, &RepScreen::played, this, [showScreen] { showScreen(false); });
    connect(m_screen, &RepScreen::repSeen, this, &PracticePage::repSeen);
    connect(m_screen, &RepScreen::readWanted, this, &PracticePage::readRep);
    connect(m_screen, &RepScreen::read, this, &PracticePage::repRead);
    connect(m_dots, &RepDots::clicked, this, [this, showScreen](int rep) {
        const Block* b = block();
        if (!b || rep >= static_cast<int>(b->reps.size()) || b->reps[static_cast<std::size_t>(rep)].clip.empty())
            return;
        showScreen(true);
        m_screen->playAgain(b->reps[static_cast<std::size_t>(rep)].clip);
    });
    auto* seen = new WhenSeen(this, [this] {
        m_limitOf.clear();
        fillDrills();
        refresh();
    });
    connect(&bench.book(), &Casebook::analysed, seen, [seen] { (*seen)(); });
    fillDrills();
    refresh();
}

// What the day holds, and what there is beside the counting.
QWidget* PracticePage::makeToday() {
    auto* title = new QLabel(tr("Today"));
    title->setObjectName("strong");
    auto* home = pageButton(tr("Home work …"), "homeDone",
                            tr("What was done at home, from the ticks on its sheet: all of it at once."),
                            m_keys->add(tr("what was done at home"), {"H"}, [this] { homeDone(); }));
    connect(home, &QPushButton::clicked, this, &PracticePage::homeDone);
    auto* alone = pageButton(tr("A day on your own …"), "ownDay",
                             tr("What you did without a coach, on one page; it counts as practice."));
    connect(alone, &QPushButton::clicked, this, &PracticePage::ownDay);
    auto* film = new QPushButton(tr("On film …"));
    film->setObjectName("filmVerdictsButton");
    film->setToolTip(
        tr("Reps of the films in hidden order: the athlete says, the coach says, then the measure shows."));
    connect(film, &QPushButton::clicked, this, [this] {
        auto* dialog = new FilmVerdictsDialog(m_bench, static_cast<unsigned>(m_bench.data().blocks.size() + 1), this);
        dialog->setAttribute(Qt::WA_DeleteOnClose);
        dialog->open();
    });
    auto* diary = pageButton(tr("Diary …"), "diaryButton", tr("What was practised, day by day, with what was noticed."),
                             m_keys->add(tr("the diary"), {"Y"}, [this] { showDiary(); }));
    connect(diary, &QPushButton::clicked, this, [this] { showDiary(); });
    auto* head = new QHBoxLayout;
    m_said = wrapped({}, "quiet");
    m_said->setObjectName("lastSaid");
    head->addWidget(title);
    head->addWidget(m_said, 1);
    head->addStretch();
    for (QPushButton* b : {home, alone, film, diary})
        head->addWidget(b);
    m_today = new QHBoxLayout;
    m_today->setSpacing(8);
    auto* today = new Card({});
    today->body()->addLayout(head);
    today->body()->addLayout(m_today);
    return today;
}

QWidget* PracticePage::makeCounting() {
    const auto label = [](const char* name, const QString& style) {
        auto* l = new QLabel;
        l->setObjectName(name);
        l->setStyleSheet(style);
        l->setAlignment(Qt::AlignCenter);
        l->setWordWrap(true);
        return l;
    };
    m_cue = label("practiceCue", "font-size: 32px; font-weight: bold;");
    m_what = label("quiet", "font-size: 15px;");
    m_set = label("practiceSet", "font-size: 15px;");
    m_way = label("practiceWay", "font-size: 20px; font-weight: bold;");
    m_dots = new RepDots;
    m_count = label("practiceCount", "font-size: 54px; font-weight: bold;");
    m_bar = new GateBar;
    m_bar->setFixedHeight(104);
    m_gate = label("gate", "font-size: 20px;");
    m_ask = label("practiceAsk", "font-size: 15px;");
    const auto big = [](const QString& text, const char* name, const QString& tip) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setMinimumHeight(74);
        b->setStyleSheet("font-size: 26px; font-weight: bold;");
        b->setToolTip(tip);
        b->setFocusPolicy(Qt::NoFocus); // the keys belong to the page
        return b;
    };
    m_good = big(tr("Good"), "good", tr("G, arrow up, or a presenter's forward key"));
    m_bad = big(tr("Not yet"), "notGood", tr("B, arrow down, or a presenter's backward key"));
    m_why = new QLabel(tr("Why not? One more key, or go on."));
    m_why->setObjectName("quiet");
    m_reasons = new QGridLayout;
    m_reasons->setSpacing(6);
    auto* buttons = new QHBoxLayout;
    buttons->setSpacing(14);
    buttons->addWidget(m_good);
    buttons->addWidget(m_bad);
    auto* box = new QWidget;
    auto* all = new QVBoxLayout(box);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(6);
    all->addStretch(1);
    all->addWidget(m_cue);
    all->addWidget(m_what);
    all->addWidget(m_set);
    all->addWidget(m_way);
    all->addStretch(1);
    all->addWidget(m_dots);
    all->addWidget(m_count);
    all->addWidget(m_bar);
    all->addWidget(m_gate);
    all->addStretch(1);
    all->addWidget(m_ask);
    all->addLayout(buttons);
    all->addWidget(m_why);
    all->addLayout(m_reasons);
    connect(m_good, &QPushButton::clicked, this, [this] { verdict(true); });
    connect(m_bad, &QPushButton::clicked, this, [this] { verdict(false); });
    return box;
}

void PracticePage::hideEvent(QHideEvent* e) {
    m_metronome.stop();
    m_camera->setChecked(false); // nobody is filmed unseen
    if (!e->spontaneous())       // a minimised window goes on listening: that is what it is for
        m_far->setChecked(false);
    m_tempo->setChecked(false);
    m_tempo->setText(tr("Tempo"));
    QWidget::hideEvent(e);
}

const Block* PracticePage::block() const {
    const auto it = m_bench.data().blocks.find(m_block);
    return it == m_bench.data().blocks.end() ? nullptr : &it->second;
}

const Drill* PracticePage::drill() const {
    return m_bench.blueprint().drill(m_drills->currentData().toString().toStdString());
}

Day PracticePage::day() const {
    return dayFromIso(m_day->date().toString(Qt::ISODate).toStdString()).value_or(m_bench.book().today());
}

// The focus that the drill is done for, else the first fault that it answers.
std::string PracticePage::faultOf(const std::string& id) const {
    const auto answers = [&](const Fault& f) {
        return std::find(f.drills.begin(), f.drills.end(), id) != f.drills.end();
    };
    for (const auto& fault : m_bench.analysis().judgement.focus)
        if (const Fault* f = m_bench.blueprint().fault(fault); f && answers(*f))
            return fault;
    for (const auto& f : m_bench.blueprint().faults)
        if (answers(f))
            return f.id;
    return {};
}

void PracticePage::newBlock() {
    if (m_block != 0)
        m_note->clear(); // it was said of that block; what was typed before any rep belongs to the one to come
    m_block = 0;
    m_began.invalidate();
    m_athlete.reset();
    m_reasonOpen = false;
    refresh();
    setFocus();
    hear(Chime::start);
}

// A sound, and at a start the cue, as far as they are wanted.
void PracticePage::hear(Chime chime) {
    if (m_hear->currentIndex() == 0)
        return;
    m_sounds.play(chime);
    if (chime == Chime::start && m_hear->currentIndex() == 2)
        m_sounds.say(isPictureCue(m_cues->currentText().trimmed()) ? tr("Look at the picture")
                                                                   : m_cues->currentText().trimmed());
}

void PracticePage::verdict(bool good) {
    m_lookingAt = -1;
    if (!drill())
        return;
    if (mode() == Mode::both && !m_athlete) {
        m_athlete = good;
        refresh();
        return;
    }
    PractisedRep rep;
    if (mode() == Mode::athlete)
        rep.athlete = good;
    else
        rep.coach = good;
    if (mode() == Mode::both)
        rep.athlete = m_athlete;
    rep.variation = m_ways->currentText().trimmed().toStdString();
    rep.clip = m_screen->takeUnjudged();
    if (const auto read = m_readings.find(rep.clip); read != m_readings.end() && !rep.clip.empty())
        rep.machine = read->second; // it was measured before it was judged
    count(rep);
}

void PracticePage::count(const PractisedRep& rep) {
    m_chosen = true; // a block is under way: its drill stays
    bool saved = false;
    if (const Block* b = block()) {
        Block changed = *b;
        changed.reps.push_back(rep);
        saved = m_bench.book().setBlock(changed);
    } else {
        Block fresh;
        fresh.day = day();
        fresh.drill = drill()->id;
        fresh.stage = drill()->stage;
        fresh.reps = {rep};
        fresh.note = m_note->text().toStdString();
        fresh.cue = chosenCue();
        m_block = m_bench.book().addBlock(fresh);
        saved = m_block != 0;
        m_began.start();
    }
    if (saved) {
        m_athlete.reset();
        m_reasonOpen = !rep.good();
        m_judged.start();
        const Dose& dose = drill()->dose;
        if (const Block* b = block(); b && static_cast<int>(b->reps.size()) == dose.sets * dose.reps)
            hear(Chime::end); // what was asked for is done
        nextFed();
    }
    refresh();
}

// Who judges before the stillness after a rep has lasted was quicker than the camera: the rep is that one.
void PracticePage::repSeen() {
    constexpr qint64 kQuick = 2500; // ms
    const Block* b = block();
    if (!b || b->reps.empty() || !b->reps.back().clip.empty() || !m_judged.isValid() || m_judged.elapsed() > kQuick)
        return;
    Block changed = *b;
    changed.reps.back().clip = m_screen->takeUnjudged();
    m_bench.book().setBlock(changed);
}

// The measures of the fault that the drill is done for, what shows most of it first.
void PracticePage::readRep() {
    const Drill* d = drill();
    const Fault* fault = d ? m_bench.blueprint().fault(faultOf(d->id)) : nullptr;
    std::vector<Indicator> indicators = fault ? fault->indicators : std::vector<Indicator>();
    std::stable_sort(indicators.begin(), indicators.end(),
                     [](const Indicator& a, const Indicator& b) { return a.weight > b.weight; });
    std::vector<std::pair<std::string, Band>> measures;
    for (const auto& i : indicators)
        if (const Deviation* dev = m_bench.analysis().deviation(i.measure); dev && dev->judged)
            measures.emplace_back(i.measure, dev->band);
    m_screen->readLast(measures);
}

void PracticePage::repRead(const std::string& clip, bool good) {
    m_readings[clip] = good;
    const Block* b = block();
    if (!b)
        return;
    Block changed = *b;
    for (auto& r : changed.reps)
        if (r.clip == clip)
            r.machine = good;
    if (changed != *b)
        m_bench.book().setBlock(changed);
}

// "Set 2 of 4, rep 3 of 6 · 4 of 8 minutes"; what goes beyond the dose is counted on.
QString PracticePage::setWords() const {
    const Drill* d = drill();
    if (!d)
        return {};
    const Block* b = block();
    const int done = b ? static_cast<int>(b->reps.size()) : 0, reps = std::max(1, d->dose.reps);
    QString words;
    if (done >= d->dose.sets * reps)
        words = tr("The dose is done: %1 sets of %2").arg(d->dose.sets).arg(reps);
    else if (done > 0 && done % reps == 0)
        words = tr("Set %1 of %2 done: a rest (R)").arg(done / reps).arg(d->dose.sets);
    else
        words = tr("Set %1 of %2, rep %3 of %4").arg(done / reps + 1).arg(d->dose.sets).arg(done % reps + 1).arg(reps);
    const qint64 minutes = m_began.isValid() ? m_began.elapsed() / 60000 : 0;
    return tr("%1 · %2 of %3 min").arg(words).arg(minutes).arg(shownFigure(d->dose.minutes, 0));
}

void PracticePage::takeBack() {
    m_reasonOpen = false;
    if (m_athlete) {
        m_athlete.reset();
    } else if (const Block* b = block(); b && !b->reps.empty()) {
        Block changed = *b;
        const QString way = q(changed.reps.back().variation);
        changed.reps.pop_back();
        if (m_bench.book().setBlock(changed) && m_feed->currentIndex() != 0) { // it is done once more, fed as it was
            if (const int at = m_ways->findText(way); at >= 0)
                m_ways->setCurrentIndex(at);
            else
                m_ways->setEditText(way);
        }
    }
    refresh();
}

void PracticePage::giveReason(int index) {
    const Block* b = block();
    const auto reasons = drill() ? reasonsOfBad(m_bench.blueprint(), faultOf(drill()->id)) : std::vector<std::string>();
    if (!m_reasonOpen || !b || b->reps.empty() || index < 0 || index >= static_cast<int>(reasons.size()))
        return;
    Block changed = *b;
    changed.reps.back().reason = reasons[static_cast<std::size_t>(index)];
    m_reasonOpen = false;
    m_bench.book().setBlock(changed);
    refresh();
}

// The film of the rep before, or after, the one that was looked at; those without a film are passed over.
void PracticePage::lookBack(int by) {
    const Block* b = block();
    const int n = b ? static_cast<int>(b->reps.size()) : 0;
    for (int i = (m_lookingAt < 0 || m_lookingAt > n ? n : m_lookingAt) + by; i >= 0 && i < n; i += by)
        if (!b->reps[static_cast<std::size_t>(i)].clip.empty()) {
            m_lookingAt = i;
            emit m_dots->clicked(i);
            return;
        }
}

void PracticePage::makeKeys() {
    m_keys->add(tr("good"), {"G", "Up", "PgDown"}, [this] { verdict(true); });
    m_keys->add(tr("not"), {"B", "Down", "PgUp"}, [this] { verdict(false); });
    m_keys->tell("1 … 4", tr("why not, after a rep that was not"));
    m_keys->add(tr("take the last one back"), {"Backspace", ".", "Escape"}, [this] { takeBack(); });
    m_keys->add(tr("the next rep is fed another way"), {"D"}, [this] {
        if (m_ways->count() > 0)
            m_ways->setCurrentIndex((m_ways->currentIndex() + 1) % m_ways->count());
        showWay();
    });
    m_keys->add(tr("the film of the rep before, after"), {"Left"}, [this] { lookBack(-1); });
    m_keys->add(tr("the film of the rep before, after"), {"Right"}, [this] { lookBack(1); });
    m_keys->add(tr("speak a note, end it"), {"V"}, [this] { m_spoken->toggle(); });
}

void PracticePage::keyPressEvent(QKeyEvent* e) {
    if (m_reasonOpen && e->key() >= Qt::Key_1 && e->key() <= Qt::Key_9 && !(e->modifiers() & Qt::ControlModifier))
        giveReason(e->key() - Qt::Key_1);
    else if (!m_keys->press(e))
        QWidget::keyPressEvent(e);
}

void PracticePage::refresh() {
    const Drill* d = drill();
    if (!d)
        return;
    m_shownDrill = q(d->id);
    m_pictures->show(faultOf(d->id));
    fillCues();
    fillWays();
    showWay();
    const QString cue = m_cues->currentText().trimmed();
    m_cue->setText(isPictureCue(cue) ? tr("Look at the picture") : tr("“%1”").arg(cue.isEmpty() ? q(d->cue) : cue));
    if (const std::string fault = faultOf(d->id); m_limitOf != fault) { // it looks at all reps: once an analysis
        m_limitOf = fault;
        m_limit = q(practiseAtWords(speedLimitOf(m_bench.data(), m_bench.blueprint(), m_bench.analysis(), fault)));
    }
    const QString stage = shownWord(kStageNames[static_cast<std::size_t>(d->stage)]);
    m_what->setText(m_limit.isEmpty() ? tr("%1 · %2").arg(q(d->name), stage)
                                      : tr("%1 · %2 · %3").arg(q(d->name), stage, m_limit));
    m_set->setText(setWords());
    m_caution->setText(q(d->caution));
    m_caution->setVisible(!d->caution.empty());
    m_ask->setText(mode() == Mode::both      ? (m_athlete ? tr("Coach: was it good?") : tr("Athlete: how was it?"))
                   : mode() == Mode::athlete ? tr("Athlete: how was it?")
                                             : QString());
    m_ask->setVisible(mode() != Mode::coach);
    int good = 0, bad = 0;
    std::vector<GateBlock> counted;
    const Block* current = block();
    if (current)
        for (const auto& r : current->reps)
            (r.good() ? good : bad) += 1;
    m_spoken->setFile(current ? spokenNoteOf(m_bench.book(), current->id) : std::filesystem::path());
    m_dots->show(current ? current->reps : std::vector<PractisedRep>());
    m_count->setText(good + bad == 0 ? tr("first rep") : tr("%1 of %2 good").arg(good).arg(good + bad));
    // The gate looks at this block and the newest one before it.
    const Block* previous = nullptr;
    for (const auto& [id, b] : m_bench.data().blocks)
        if (b.drill == d->id && id != m_block && !b.reps.empty() &&
            (!previous || b.day > previous->day || (b.day == previous->day && id > previous->id)))
            previous = &b;
    if (current)
        counted.push_back({current->day, good, bad});
    if (previous) {
        counted.push_back({previous->day, 0, 0});
        for (const auto& r : previous->reps)
            (r.good() ? counted.back().good : counted.back().bad) += 1;
    }
    const Gate g = gate(counted, m_bench.book().today(), gateOptions(m_bench.blueprint().gate));
    m_gate->setText(previous && current ? tr("With the last block: %1").arg(q(g.words)) : q(g.words));
    int allGood = 0, allBad = 0;
    for (const auto& b : counted) {
        allGood += b.good;
        allBad += b.bad;
    }
    m_bar->show(allGood, allBad, m_bench.blueprint().gate);
    fillReasons();
    fillToday();
}

} // namespace riflesso
