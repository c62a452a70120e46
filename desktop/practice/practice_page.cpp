#include "desktop/practice/practice_page.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QHBoxLayout>
#include <QKeyEvent>

namespace riflesso {
PracticePage::PracticePage(Workbench& bench) : m_bench(bench) {
    setFocusPolicy(Qt::StrongFocus);
    m_drills = new QComboBox;
    m_drills->setAccessibleName(tr("Drill"));
    auto* fresh = new QPushButton(tr("New block"));
    fresh->setObjectName("newBlock");
    fresh->setToolTip(tr("Start counting afresh. The block so far is saved already."));
    m_ask = new QLabel;
    m_ask->setFont(typeface(Type::huge, true));
    m_ask->setStyleSheet("font-size: 34px; font-weight: bold;");
    m_ask->setAlignment(Qt::AlignCenter);
    m_ask->setWordWrap(true);
    m_cue = new QLabel;
    m_cue->setStyleSheet("font-size: 26px;");
    m_cue->setAlignment(Qt::AlignCenter);
    m_cue->setWordWrap(true);
    m_count = new QLabel;
    m_count->setStyleSheet("font-size: 64px; font-weight: bold;");
    m_count->setAlignment(Qt::AlignCenter);
    m_gate = new QLabel;
    m_gate->setObjectName("gate");
    m_gate->setStyleSheet("font-size: 24px;");
    m_gate->setAlignment(Qt::AlignCenter);
    m_gate->setWordWrap(true);
    m_caution = wrapped({}, "caution");
    m_caution->setAlignment(Qt::AlignCenter);
    const auto big = [](const QString& text, const char* name) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setMinimumHeight(78);
        b->setStyleSheet("font-size: 28px; font-weight: bold;");
        b->setFocusPolicy(Qt::NoFocus); // the keys belong to the page
        return b;
    };
    m_good = big(tr("Good   (G)"), "good");
    m_bad = big(tr("Not   (B)"), "notGood");

    auto* top = new QHBoxLayout;
    top->addWidget(m_drills, 1);
    top->addWidget(fresh);
    auto* buttons = new QHBoxLayout;
    buttons->setSpacing(16);
    buttons->addWidget(m_good);
    buttons->addWidget(m_bad);
    auto* left = new QVBoxLayout;
    left->addLayout(top);
    left->addStretch(1);
    left->addWidget(m_cue);
    left->addStretch(1);
    left->addWidget(m_ask);
    left->addLayout(buttons);
    left->addStretch(1);
    left->addWidget(m_count);
    left->addWidget(m_gate);
    left->addStretch(1);
    left->addWidget(m_caution);
    auto* log = new Card(tr("Logged"));
    log->setFixedWidth(330);
    m_log = log->body();
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(14, 8, 14, 10);
    all->setSpacing(14);
    all->addLayout(left, 1);
    all->addWidget(log);

    connect(fresh, &QPushButton::clicked, this, &PracticePage::newBlock);
    connect(m_drills, &QComboBox::activated, this, [this] {
        m_chosen = true;
        newBlock();
    });
    connect(m_good, &QPushButton::clicked, this, [this] { verdict(true); });
    connect(m_bad, &QPushButton::clicked, this, [this] { verdict(false); });
    connect(&bench.book(), &Casebook::changed, this, [this](const ChangeSet& c) {
        if (c.blocks)
            refresh();
    });
    auto* seen = new WhenSeen(this, [this] {
        fillDrills();
        refresh();
    });
    connect(&bench.book(), &Casebook::analysed, seen, [seen] { (*seen)(); });
    fillDrills();
    refresh();
}

const Block* PracticePage::block() const {
    const auto it = m_bench.data().blocks.find(m_block);
    return it == m_bench.data().blocks.end() ? nullptr : &it->second;
}

void PracticePage::fillDrills() {
    const QString before = m_drills->currentData().toString();
    // The focus's ladder first, then the rest.
    std::vector<std::string> ids = m_bench.analysis().plan.ladder;
    const std::size_t planned = ids.size();
    for (const auto& d : m_bench.blueprint().drills)
        if (std::find(ids.begin(), ids.end(), d.id) == ids.end())
            ids.push_back(d.id);
    m_drills->clear();
    for (std::size_t i = 0; i < ids.size(); ++i) {
        const Drill& d = *m_bench.blueprint().drill(ids[i]);
        m_drills->addItem(
            QString("%1: %2").arg(q(std::string(kStageNames[static_cast<std::size_t>(d.stage)])), q(d.name)), q(d.id));
        if (i + 1 == planned && planned < ids.size())
            m_drills->insertSeparator(m_drills->count());
    }
    int index = m_chosen ? m_drills->findData(before) : -1;
    if (index < 0 && !m_bench.analysis().gates.empty()) // go on where practice stopped
        index = m_drills->findData(q(m_bench.analysis().gates.front().drill));
    m_drills->setCurrentIndex(std::max(0, index));
}

void PracticePage::newBlock() {
    m_block = 0;
    m_athlete.reset();
    refresh();
    setFocus();
}

void PracticePage::verdict(bool good) {
    const Drill* drill = m_bench.blueprint().drill(m_drills->currentData().toString().toStdString());
    if (!drill)
        return;
    if (!m_athlete) {
        m_athlete = good;
        refresh();
        return;
    }
    const PractisedRep rep{*m_athlete, good};
    m_chosen = true; // a block is under way: its drill stays
    if (const Block* b = block()) {
        Block changed = *b;
        changed.reps.push_back(rep);
        if (m_bench.book().setBlock(changed))
            m_athlete.reset();
    } else {
        m_block = m_bench.book().addBlock({0, m_bench.book().today(), drill->id, drill->stage, {rep}, {}});
        if (m_block)
            m_athlete.reset();
    }
    refresh();
}

void PracticePage::keyPressEvent(QKeyEvent* e) {
    if (e->modifiers() & Qt::ControlModifier) {
        QWidget::keyPressEvent(e);
        return;
    }
    if (e->key() == Qt::Key_G || e->key() == Qt::Key_Up)
        verdict(true);
    else if (e->key() == Qt::Key_B || e->key() == Qt::Key_Down)
        verdict(false);
    else if (e->key() == Qt::Key_Escape && m_athlete) {
        m_athlete.reset();
        refresh();
    } else
        QWidget::keyPressEvent(e);
}

void PracticePage::refresh() {
    const Drill* drill = m_bench.blueprint().drill(m_drills->currentData().toString().toStdString());
    if (!drill)
        return;
    m_cue->setText(tr("“%1”").arg(q(drill->cue)));
    m_caution->setText(q(drill->caution));
    m_ask->setText(m_athlete ? tr("Coach: was it good?") : tr("Athlete: how was it?"));
    int good = 0, bad = 0;
    std::vector<GateBlock> counted;
    const Block* current = block();
    if (current)
        for (const auto& r : current->reps)
            (r.coachGood ? good : bad) += 1;
    m_count->setText(tr("%1 of %2 good").arg(good).arg(good + bad));
    // The gate looks at this block and the newest one before it.
    const Block* previous = nullptr;
    for (const auto& [id, b] : m_bench.data().blocks)
        if (b.drill == drill->id && id != m_block &&
            (!previous || b.day > previous->day || (b.day == previous->day && id > previous->id)))
            previous = &b;
    if (current)
        counted.push_back({current->day, good, bad});
    if (previous) {
        counted.push_back({previous->day, 0, 0});
        for (const auto& r : previous->reps)
            (r.coachGood ? counted.back().good : counted.back().bad) += 1;
    }
    const Gate g = gate(counted, m_bench.book().today());
    m_gate->setText(previous && current ? tr("With the last block: %1").arg(q(g.words)) : q(g.words));

    clearLayout(m_log);
    std::vector<const Block*> blocks;
    for (const auto& [id, b] : m_bench.data().blocks)
        blocks.push_back(&b);
    std::stable_sort(blocks.begin(), blocks.end(),
                     [](const Block* x, const Block* y) { return x->day != y->day ? x->day > y->day : x->id > y->id; });
    for (std::size_t i = 0; i < blocks.size() && i < 9; ++i) {
        const Block& b = *blocks[i];
        int n = 0, same = 0;
        for (const auto& r : b.reps) {
            n += r.coachGood;
            same += r.coachGood == r.athleteGood;
        }
        const Drill* d = m_bench.blueprint().drill(b.drill);
        m_log->addWidget(wrapped(tr("%1  <b>%2</b><br>%3 of %4 good, athlete agrees on %5")
                                     .arg(q(dayWords(b.day)), q(d ? d->name : b.drill).toHtmlEscaped())
                                     .arg(n)
                                     .arg(b.reps.size())
                                     .arg(same)));
    }
    if (blocks.empty())
        m_log->addWidget(wrapped(tr("Nothing yet. Count good reps, not reps."), "quiet"));
    m_log->addStretch();
}

} // namespace riflesso
