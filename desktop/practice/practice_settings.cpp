// What a block of practice is done with: the drill and its cue, who judges, sounds, tempo, rest, the camera.

#include "desktop/practice/practice_page.h"

#include "casebook/progress_questions.h"
#include "casebook/text.h"
#include "desktop/practice/film_verdicts.h"
#include "desktop/theme/theme.h"
#include "desktop/workbench/own_drill_dialog.h"

#include <QHBoxLayout>
#include <QSettings>
#include <QSignalBlocker>
#include <QToolTip>

#include <algorithm>

namespace riflesso {

QWidget* PracticePage::makeSettings() {
    auto* card = new Card({});
    card->body()->addLayout(makeWhat());
    card->body()->addLayout(makeTools());
    card->body()->addLayout(makeTempo());
    card->body()->addLayout(makeWays());
    card->body()->addLayout(makeNotes());
    m_caution = wrapped({}, "caution");
    m_caution->setMinimumHeight(2 * m_caution->fontMetrics().lineSpacing()); // two lines, on the lowest window too
    card->body()->addWidget(m_caution);
    return card;
}

// A button whose keys belong to the page.
QPushButton* PracticePage::pageButton(const QString& words, const char* name, const QString& why, QAction* action) {
    auto* b = new QPushButton(words);
    b->setObjectName(name);
    b->setToolTip(why);
    if (action)
        KeyTable::describe(b, action, why);
    b->setFocusPolicy(Qt::NoFocus);
    return b;
}

// Which drill, who judges, on which day.
QHBoxLayout* PracticePage::makeWhat() {
    m_drills = new QComboBox;
    m_drills->setObjectName("practiceDrill");
    m_drills->setAccessibleName(tr("Drill"));
    m_drills->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_mode = new QComboBox;
    m_mode->setObjectName("practiceMode");
    m_mode->setAccessibleName(tr("Who judges"));
    m_mode->addItems({tr("the coach judges"), tr("the athlete judges"), tr("both, the athlete first")});
    m_mode->setCurrentIndex(std::clamp(QSettings().value("practice/mode", 0).toInt(), 0, 2));
    m_day = new QDateEdit(QDate::fromString(q(isoDate(m_bench.book().today())), Qt::ISODate));
    m_day->setMaximumDate(m_day->date());
    m_day->setCalendarPopup(true);
    m_day->setAccessibleName(tr("Day of the block"));
    connect(m_drills, &QComboBox::activated, this, [this] {
        if (m_drills->currentData().toString() == kAnotherDrill) {
            anotherDrill();
            return;
        }
        m_chosen = true;
        newBlock();
    });
    connect(m_mode, &QComboBox::activated, this, [this](int i) {
        QSettings().setValue("practice/mode", i);
        m_athlete.reset();
        refresh();
        setFocus();
    });
    connect(m_day, &QDateEdit::dateChanged, this, &PracticePage::newBlock);
    auto* row = new QHBoxLayout;
    row->addWidget(m_drills, 3);
    row->addWidget(m_mode, 2);
    row->addWidget(m_day);
    return row;
}

// Block, rest, the camera, what is heard.
QHBoxLayout* PracticePage::makeTools() {
    auto* fresh =
        pageButton(tr("New block"), "newBlock", tr("Start counting afresh. The block so far is saved already."),
                   m_keys->add(tr("new block, rest"), {"N"}, [this] { newBlock(); }));
    connect(fresh, &QPushButton::clicked, this, &PracticePage::newBlock);
    m_restButton = pageButton(tr("Rest"), "rest", tr("A minute's pause."),
                              m_keys->add(tr("new block, rest"), {"R"}, [this] { rest(); }));
    connect(m_restButton, &QPushButton::clicked, this, &PracticePage::rest);
    m_rest = new QProgressBar;
    m_rest->setRange(0, kRestSeconds);
    m_rest->hide();
    const QString filming = tr("camera; the last rep once more; measure it");
    m_camera = pageButton(tr("Camera"), "repCamera",
                          tr("Each rep is filmed, shown once more, and kept with its verdict. A dot brings its rep "
                             "back."),
                          m_keys->add(filming, {"C"}, [this] { m_camera->toggle(); }));
    m_camera->setCheckable(true);
    m_keys->add(filming, {"L"}, [this] {
        if (m_camera->isChecked())
            m_screen->playAgain();
    });
    m_keys->add(filming, {"M"}, [this] {
        if (m_camera->isChecked())
            readRep();
    });
    connect(m_camera, &QPushButton::toggled, this, [this](bool on) {
        if (on) {
            m_screen->start();
        } else {
            m_screen->stop();
            m_screen->hide(); // also after one that stopped by itself
            m_pictures->setVisible(true);
        }
        setFocus();
    });
    m_hear = new QComboBox;
    m_hear->setObjectName("practiceSound");
    m_hear->setAccessibleName(tr("What is heard"));
    m_hear->addItems({tr("silent"), tr("sounds"), tr("sounds and cue")});
    m_hear->setItemData(2,
                        Sounds::canSpeak() ? tr("The cue is spoken when a block begins.")
                                           : tr("There is no speech engine on this computer: sounds alone."),
                        Qt::ToolTipRole);
    m_hear->setCurrentIndex(std::clamp(QSettings().value("practice/sound", 0).toInt(), 0, 2));
    m_hear->setFocusPolicy(Qt::ClickFocus);
    connect(m_hear, &QComboBox::activated, this, [this](int i) {
        QSettings().setValue("practice/sound", i);
        hear(Chime::start);
        setFocus();
    });
    auto* row = new QHBoxLayout;
    for (QWidget* w : std::initializer_list<QWidget*>{fresh, m_restButton, m_camera, m_hear})
        row->addWidget(w);
    row->addWidget(m_rest, 1);
    return row;
}

// The cue, and the beat.
QHBoxLayout* PracticePage::makeTempo() {
    m_cues = new QComboBox;
    m_cues->setObjectName("practiceCues");
    m_cues->setEditable(true);
    m_cues->setAccessibleName(tr("The cue of this block"));
    m_cues->setToolTip(tr("Said before the block, and counted with it: Progress tells which one works."));
    const auto anotherCue = [this] { newBlock(); }; // another cue, another block
    connect(m_cues, &QComboBox::activated, this, anotherCue);
    connect(m_cues->lineEdit(), &QLineEdit::returnPressed, this, anotherCue);
    m_pattern = new QComboBox;
    m_pattern->setObjectName("tempoPattern");
    m_pattern->setAccessibleName(tr("Pattern of the tempo"));
    for (const auto& name : kTempoNames)
        m_pattern->addItem(shownWord(name));
    m_beats = new QSpinBox;
    m_beats->setObjectName("tempoBeats");
    m_beats->setRange(10, 300);
    m_beats->setValue(60);
    m_beats->setSuffix(tr(" a minute"));
    m_beats->setAccessibleName(tr("Beats a minute"));
    const QString beating = tr("tempo; a beat more, less");
    m_tempo =
        pageButton(tr("Tempo"), "tempo", tr("Clicks, and a blink of this button. Plus and minus: a beat more, less."),
                   m_keys->add(beating, {"T"}, [this] { tempo(); }));
    m_keys->add(beating, {"+"}, [this] { m_beats->setValue(m_beats->value() + 1); });
    m_keys->add(beating, {"-"}, [this] { m_beats->setValue(m_beats->value() - 1); });
    m_tempo->setCheckable(true);
    m_tempo->setMinimumWidth(100); // with its blink
    connect(m_tempo, &QPushButton::clicked, this, &PracticePage::tempo);
    connect(m_pattern, &QComboBox::activated, this, [this] {
        if (m_metronome.running())
            m_metronome.start(static_cast<TempoPattern>(m_pattern->currentIndex()), m_beats->value());
        setFocus();
    });
    connect(m_beats, &QSpinBox::valueChanged, this, [this](int beats) {
        if (m_metronome.running())
            m_metronome.start(static_cast<TempoPattern>(m_pattern->currentIndex()), beats);
    });
    m_flash.setSingleShot(true);
    m_flash.setInterval(120);
    connect(&m_flash, &QTimer::timeout, this, [this] { m_tempo->setText(tr("Tempo")); });
    connect(&m_metronome, &Metronome::clicked, this, [this](bool strong) {
        m_tempo->setText(strong ? tr("Tempo \u25CF") : tr("Tempo \u25CB"));
        m_flash.start();
    });
    auto* row = new QHBoxLayout;
    row->addWidget(m_cues, 3);
    row->addWidget(m_tempo);
    row->addWidget(m_pattern, 1);
    row->addWidget(m_beats);
    return row;
}

// What is written, said, pressed from afar.
QHBoxLayout* PracticePage::makeNotes() {
    m_note = new QLineEdit;
    m_note->setObjectName("practiceNote");
    m_note->setPlaceholderText(tr("a note on this block"));
    m_note->setAccessibleName(tr("Note"));
    connect(m_note, &QLineEdit::editingFinished, this, [this] {
        if (const Block* b = block(); b && b->note != m_note->text().toStdString()) {
            Block changed = *b;
            changed.note = m_note->text().toStdString();
            m_bench.book().setBlock(changed);
        }
    });
    m_spoken = new SpokenNote(m_sounds);
    connect(m_spoken, &SpokenNote::done, this, [this] { setFocus(); });
    m_far =
        pageButton(tr("Keys from afar"), "farKeys",
                   FarKeys::possible()
                       ? tr("A presenter's keys count also while another window is in front: page down is good, page "
                            "up not yet. No other program gets them meanwhile.")
                       : tr("This desktop does not let a program hear keys while another window is in front."),
                   m_keys->add(tr("a presenter's keys while another window is in front"), {"F"}, [this] {
                       if (m_far->isEnabled())
                           m_far->toggle();
                   }));
    m_far->setCheckable(true);
    m_far->setEnabled(FarKeys::possible());
    connect(m_far, &QPushButton::toggled, this, [this](bool on) {
        if (!m_farKeys.listen(on) && on) {
            const QSignalBlocker quiet(m_far);
            m_far->setChecked(false);
            QToolTip::showText(m_far->mapToGlobal(m_far->rect().bottomLeft()),
                               tr("Another program has these keys: nothing is heard from afar."), m_far);
        }
        setFocus();
    });
    connect(&m_farKeys, &FarKeys::forward, this, [this] { verdict(true); });
    connect(&m_farKeys, &FarKeys::backward, this, [this] { verdict(false); });
    auto* row = new QHBoxLayout;
    row->addWidget(m_note, 1);
    row->addWidget(m_spoken);
    row->addWidget(m_far);
    return row;
}

void PracticePage::fillDrills() {
    const QString chosen = m_drills->currentData().toString(), before = chosen == kAnotherDrill ? m_shownDrill : chosen;
    // The focus's ladder first, then the rest.
    std::vector<std::string> ids = m_bench.analysis().plan.ladder;
    const std::size_t planned = ids.size();
    for (const auto& d : m_bench.blueprint().drills)
        if (std::find(ids.begin(), ids.end(), d.id) == ids.end())
            ids.push_back(d.id);
    m_drills->clear();
    for (std::size_t i = 0; i < ids.size(); ++i) {
        const Drill& d = *m_bench.blueprint().drill(ids[i]);
        m_drills->addItem(QString("%1: %2").arg(shownWord(kStageNames[static_cast<std::size_t>(d.stage)]), q(d.name)),
                          q(d.id));
        if (i + 1 == planned && planned < ids.size())
            m_drills->insertSeparator(m_drills->count());
    }
    m_drills->insertSeparator(m_drills->count());
    m_drills->addItem(tr("Another drill …"), kAnotherDrill);
    int index = m_chosen ? m_drills->findData(before) : -1;
    if (index < 0 && !m_bench.analysis().gates.empty()) // go on where practice stopped
        index = m_drills->findData(q(m_bench.analysis().gates.front().drill));
    m_drills->setCurrentIndex(std::max(0, index));
}

// One that is on no ladder yet, made between two reps; it is for what is worked on, unless something else is said.
void PracticePage::anotherDrill() {
    m_drills->setCurrentIndex(std::max(0, m_drills->findData(m_shownDrill))); // stands there again
    const auto& focus = m_bench.analysis().judgement.focus;
    const std::string fault = drill() ? faultOf(drill()->id) : std::string();
    askOwnDrill(m_bench, this, {},
                !focus.empty()  ? focus
                : fault.empty() ? std::vector<std::string>()
                                : std::vector{fault},
                [this](const QString& words, const std::string& id) {
                    fillDrills();
                    if (const int i = id.empty() ? -1 : m_drills->findData(q(id)); i >= 0) {
                        m_drills->setCurrentIndex(i);
                        m_chosen = true;
                        newBlock();
                    } else {
                        m_ask->setText(words);
                        m_ask->show();
                    }
                });
}

// What this drill can be done with in mind: its own cue, its fault's, and what was used before.
void PracticePage::fillCues() {
    const Drill* d = drill();
    QStringList cues;
    if (d && !d->cue.empty())
        cues << q(d->cue);
    if (d)
        if (const Fault* f = m_bench.blueprint().fault(faultOf(d->id)); f && !f->cue.empty())
            cues << q(f->cue);
    for (const auto& [id, b] : m_bench.data().blocks)
        if (d && b.drill == d->id && !b.cue.empty())
            cues << q(cueName(b.cue));
    cues << q(cueName(std::string(kPictureCue)));
    cues.removeDuplicates();
    const QString before = m_cues->currentText();
    const QSignalBlocker quiet(m_cues);
    m_cues->clear();
    m_cues->addItems(cues);
    if (!before.isEmpty() && d && m_cuesOf == d->id) // typed here, perhaps
        m_cues->setCurrentText(before);
    m_cuesOf = d ? d->id : std::string();
}

// As a block holds it; empty for the drill's own.
std::string PracticePage::chosenCue() const {
    const QString cue = m_cues->currentText().trimmed();
    if (isPictureCue(cue))
        return std::string(kPictureCue);
    return drill() && cue.toStdString() == drill()->cue ? std::string() : cue.toStdString();
}

bool PracticePage::isPictureCue(const QString& shown) {
    return shown == q(cueName(std::string(kPictureCue)));
}

QLayout* PracticePage::makeWays() {
    m_ways = new QComboBox;
    m_ways->setObjectName("practiceWays");
    m_ways->setEditable(true);
    m_ways->setInsertPolicy(QComboBox::NoInsert);
    m_ways->lineEdit()->setPlaceholderText(tr("fed from where, or done how"));
    m_ways->setAccessibleName(tr("How the next rep is fed or done"));
    m_ways->setToolTip(tr("Counted with each rep: Progress tells which way is the weaker one. (D: the next way)"));
    m_feed = new QComboBox;
    m_feed->setObjectName("practiceFeed");
    m_feed->setAccessibleName(tr("In which order it is fed"));
    m_feed->setFocusPolicy(Qt::ClickFocus);
    for (const auto name : kFeedOrderNames)
        m_feed->addItem(shownWord(name));
    m_feed->setToolTip(
        tr("In turn and mixed: the next way is said here after each rep. What is learnt in a mixed order "
           "lasts longer, though it looks worse on the day."));
    m_feed->setCurrentIndex(std::clamp(QSettings().value("practice/feed", 0).toInt(), 0, 2));
    connect(m_ways, &QComboBox::currentTextChanged, this, [this] { showWay(); });
    connect(m_ways, &QComboBox::activated, this, [this] { setFocus(); });
    connect(m_ways->lineEdit(), &QLineEdit::returnPressed, this, [this] { setFocus(); });
    connect(m_feed, &QComboBox::activated, this, [this](int order) {
        QSettings().setValue("practice/feed", order);
        nextFed();
        setFocus();
    });
    auto* row = new QHBoxLayout;
    row->addWidget(m_ways, 3);
    row->addWidget(m_feed, 2);
    return row;
}

// The drill's own ways, and those that were told before; the first is chosen, or what stood here for the same drill.
void PracticePage::fillWays() {
    const Drill* d = drill();
    if (!d || m_waysOf == d->id)
        return;
    m_waysOf = d->id;
    QStringList ways;
    for (const auto& v : d->variations)
        ways << q(v);
    for (const auto& c : repsByVariation(m_bench.data(), m_bench.blueprint(), *d))
        ways << q(c.cue);
    ways.removeDuplicates();
    const QSignalBlocker quiet(m_ways);
    m_ways->clear();
    m_ways->addItems(ways);
    m_ways->setCurrentIndex(d->variations.empty() ? -1 : 0);
    if (d->variations.empty())
        m_ways->clearEditText();
    m_feed->setEnabled(ways.size() > 1);
    nextFed();
}

// What comes next, in the order that was chosen.
void PracticePage::nextFed() {
    const Block* b = block();
    const auto order = static_cast<FeedOrder>(m_feed->currentIndex());
    const int ways = m_ways->count();
    if (order == FeedOrder::kept || ways < 2)
        return;
    // Each block's order is its own, and nobody can know it beforehand.
    const auto seed = static_cast<std::uint64_t>(m_bench.data().blocks.size() - (b ? 1 : 0));
    m_ways->setCurrentIndex(
        static_cast<int>(nextWay(order, static_cast<std::size_t>(ways), b ? b->reps.size() : 0,
                                 static_cast<std::size_t>(std::max(0, m_ways->currentIndex())), seed)));
    showWay();
}

// The next way, and how many were good in each so far in this block.
void PracticePage::showWay() {
    const QString now = m_ways->currentText().trimmed();
    QStringList counts;
    const Drill* d = drill();
    if (const Block* b = block(); b && d)
        for (const auto& c : repsByVariation({b}, m_bench.blueprint(), *d))
            counts << tr("%1 %2 of %3").arg(q(c.cue)).arg(c.good).arg(c.good + c.bad);
    m_way->setText(now.isEmpty()      ? counts.join(" · ")
                   : counts.isEmpty() ? tr("Next: %1").arg(now)
                                      : tr("Next: %1 (so far %2)").arg(now, counts.join(" · ")));
    m_way->setVisible(!m_way->text().isEmpty());
}

void PracticePage::tempo() {
    if (m_metronome.running()) {
        m_metronome.stop();
        m_tempo->setText(tr("Tempo"));
    } else {
        m_metronome.start(static_cast<TempoPattern>(m_pattern->currentIndex()), m_beats->value());
        if (!m_metronome.audible())
            m_ask->setText(tr("There is no sound device: the beat is only shown."));
    }
    m_tempo->setChecked(m_metronome.running());
    setFocus();
}

void PracticePage::rest() {
    if (m_restTimer.isActive() || m_restLeft > 0) {
        m_restTimer.stop();
        m_restLeft = 0;
        m_rest->hide();
        m_restButton->setText(tr("Rest"));
        return;
    }
    m_restLeft = kRestSeconds;
    m_rest->show();
    m_rest->setValue(0);
    m_rest->setFormat(tr("rest %1 s").arg(m_restLeft));
    m_restButton->setText(tr("End rest"));
    m_restTimer.start();
    hear(Chime::rest);
}

} // namespace riflesso
