#include "desktop/programme/programme_page.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QScrollArea>

namespace riflesso {
ProgrammePage::ProgrammePage(Workbench& bench) : m_bench(bench) {
    m_head = wrapped({}, "title");
    auto* ladderBox = new QWidget;
    m_ladder = new QVBoxLayout(ladderBox);
    m_ladder->setContentsMargins(0, 0, 6, 0);
    m_ladder->setSpacing(8);
    auto* area = new QScrollArea;
    area->setWidgetResizable(true);
    area->setWidget(ladderBox);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_weeks = new QVBoxLayout;
    m_weeks->setSpacing(8);
    auto* right = new QWidget;
    right->setLayout(m_weeks);
    m_weeks->setContentsMargins(0, 0, 0, 0);
    auto* columns = new QHBoxLayout;
    columns->setSpacing(14);
    columns->addWidget(area, 5);
    columns->addWidget(right, 6);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(14, 8, 14, 10);
    all->addWidget(m_head);
    all->addLayout(columns, 1);
    auto* seen = new WhenSeen(this, [this] { refresh(); });
    connect(&bench.book(), &Casebook::analysed, seen, [seen] { (*seen)(); });
    refresh();
}

QWidget* ProgrammePage::drillCard(const Drill& d) {
    auto* card = new Card({});
    auto* line = new QHBoxLayout;
    auto* name = new QLabel(q(d.name));
    name->setObjectName("strong");
    auto* dose = new QLabel(q(doseWords(d.dose)) + (d.speed.empty() ? QString() : tr(", %1").arg(q(d.speed))));
    dose->setObjectName("quiet");
    line->addWidget(name, 1);
    line->addWidget(dose);
    card->body()->addLayout(line);
    card->body()->addWidget(wrapped(tr("“%1”").arg(q(d.cue)), "athlete"));
    card->body()->addWidget(wrapped(q(d.how)));
    if (!d.contrast.empty())
        card->body()->addWidget(wrapped(tr("Right and wrong: %1").arg(q(d.contrast)), "quiet"));
    QStringList needs;
    for (const auto& e : d.equipment)
        needs << q(e);
    if (d.partner)
        needs << tr("a partner");
    if (!needs.isEmpty())
        card->body()->addWidget(wrapped(tr("Needs: %1").arg(needs.join(", ")), "quiet"));
    if (!d.caution.empty())
        card->body()->addWidget(wrapped(tr("Caution: %1").arg(q(d.caution)), "caution"));
    for (const auto& g : m_bench.analysis().gates)
        if (g.drill == d.id)
            card->body()->addWidget(wrapped(tr("Gate: %1").arg(q(g.gate.words)), "model"));
    return card;
}

void ProgrammePage::refresh() {
    const auto& a = m_bench.analysis();
    const auto& b = m_bench.blueprint();
    QStringList focus;
    for (const auto& id : a.judgement.focus)
        focus << q(b.fault(id)->name);
    m_head->setText(focus.isEmpty() ? tr("No focus yet") : tr("For: %1").arg(focus.join(tr(" and "))));
    clearLayout(m_ladder);
    if (a.plan.ladder.empty())
        m_ladder->addWidget(
            wrapped(a.plan.notes.empty() ? tr("Read the findings first.") : q(a.plan.notes.front()), "quiet"));
    // One rung a stage, easiest on top.
    for (std::size_t s = 0; s < kStageNames.size(); ++s) {
        bool titled = false;
        for (const auto& id : a.plan.ladder) {
            const Drill& d = *b.drill(id);
            if (static_cast<std::size_t>(d.stage) != s)
                continue;
            if (!titled)
                m_ladder->addWidget(
                    wrapped(tr("Stage %1: %2").arg(s + 1).arg(q(std::string(kStageNames[s]))), "quiet"));
            titled = true;
            m_ladder->addWidget(drillCard(d));
        }
    }
    m_ladder->addStretch();

    clearLayout(m_weeks);
    const Day from = m_bench.book().today();
    for (int week = 0; week < 2; ++week) {
        auto* card = new Card(week == 0 ? tr("This week") : tr("Next week"));
        auto* grid = new QGridLayout;
        grid->setSpacing(6);
        for (int i = 0; i < 7; ++i) {
            const Day day = from + std::chrono::days(7 * week + i);
            const int minutes = m_bench.data().brief.minutes[static_cast<std::size_t>(weekdayOf(day))];
            auto* head = new QLabel(q(dayWords(day)));
            head->setObjectName("quiet");
            grid->addWidget(head, i, 0, Qt::AlignTop);
            auto* cell = new QVBoxLayout;
            cell->setSpacing(1);
            for (const auto& block : a.plan.blocks) {
                if (block.day != day)
                    continue;
                auto* label = new QLabel(
                    block.home ? tr("%1 min at home: %2").arg(block.minutes).arg(q(b.drill(block.drill)->name))
                               : tr("<b>%1 min  %2</b>")
                                     .arg(block.minutes)
                                     .arg(q(b.drill(block.drill)->name).toHtmlEscaped()));
                QStringList rules;
                for (const auto& r : block.rules)
                    rules << q(r);
                label->setToolTip(tr("Obeys: %1.").arg(rules.join("; ")));
                cell->addWidget(label);
            }
            if (cell->count() == 0)
                cell->addWidget(wrapped(minutes ? tr("normal training") : tr("rest"), "quiet"));
            grid->addLayout(cell, i, 1);
            for (Day c : m_bench.data().brief.competitions)
                if (c == day)
                    grid->addWidget(wrapped(tr("Competition"), "athlete"), i, 2);
        }
        grid->setColumnMinimumWidth(0, 74);
        grid->setColumnStretch(1, 1);
        card->body()->addLayout(grid);
        m_weeks->addWidget(card);
    }
    if (!a.plan.infeasible.empty())
        m_weeks->addWidget(wrapped(q(a.plan.infeasible), "caution"));
    for (const auto& n : a.plan.notes)
        m_weeks->addWidget(wrapped(q(n), "quiet"));
    m_weeks->addWidget(wrapped(tr("A rung is climbed when about three of four reps are good; the gate in Practice says "
                                  "when. Bold blocks are the technique session of the week."),
                               "quiet"));
    m_weeks->addStretch();
}

} // namespace riflesso
