#include "desktop/findings/set_table.h"

#include "casebook/choice_words.h"
#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QHeaderView>
#include <QTimer>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

QTableWidget* tableOf(const QString& name) {
    auto* table = new QTableWidget;
    table->setAccessibleName(name);
    table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table->setSelectionMode(QAbstractItemView::NoSelection);
    table->setAlternatingRowColors(false);
    table->setShowGrid(false);
    table->verticalHeader()->hide();
    table->verticalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents); // also when the columns change
    table->verticalHeader()->setMinimumSectionSize(26);
    table->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    table->setWordWrap(true);
    table->setFrameShape(QFrame::NoFrame);
    return table;
}

// No higher than its rows: what is empty is left to the table above.
void fitToRows(QTableWidget* table) {
    // Once the columns have their widths.
    QTimer::singleShot(0, table, [table] {
        int height = table->horizontalHeader()->sizeHint().height() + 2 * table->frameWidth() + 4;
        for (int row = 0; row < table->rowCount(); ++row)
            height += table->rowHeight(row);
        table->setMaximumHeight(height);
    });
}

QTableWidgetItem* cell(const QString& text, const QString& tip = {}, bool strong = false) {
    auto* item = new QTableWidgetItem(text);
    item->setToolTip(tip);
    item->setFont(typeface(Type::body, strong));
    if (strong)
        item->setForeground(theme().hues.athlete);
    return item;
}

} // namespace

SetTable::SetTable(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    m_words = wrapped({}, "strong");
    m_words->setObjectName("setWords");
    m_table = tableOf(tr("Measures by set"));
    m_table->setObjectName("setTable");
    m_breaks = wrapped({});
    m_choices = tableOf(tr("Choices by situation"));
    m_choicesTitle = wrapped(tr("Situations and choices"), "strong");
    m_playersTitle = wrapped(tr("Seen by eye, player by player"), "strong");
    m_players = tableOf(tr("Seen by eye, player by player"));
    m_players->setObjectName("playerTable");
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    all->addWidget(m_words);
    all->addWidget(m_table, 3);
    all->addWidget(m_breaks);
    all->addWidget(m_choicesTitle);
    all->addWidget(m_choices, 1);
    all->addWidget(m_playersTitle);
    all->addWidget(m_players, 1);
}

void SetTable::refresh() {
    fillSets();
    fillBreaks();
    fillChoices();
    fillPlayers();
}

void SetTable::fillSets() {
    const auto& a = m_bench.analysis();
    const auto& b = m_bench.blueprint();
    m_table->clear();
    m_table->setRowCount(0);
    m_table->setVisible(a.above.has_value());
    if (!a.above) {
        m_words->setText(tr("No set is measured yet."));
        m_table->setColumnCount(0);
        return;
    }
    // The judged one and the measured ones before it.
    std::vector<const RepSet*> sets;
    bool from = false;
    for (const auto& s : a.sets) {
        from = from || s.key == *a.above;
        const bool measured = std::any_of(s.reps.begin(), s.reps.end(), [&](Id id) { return a.measured.contains(id); });
        if (from && measured && sets.size() < kMost)
            sets.insert(sets.begin(), &s);
    }
    const auto values = [&](const RepSet& s) { return setValues(m_bench.data(), a.measured, s.reps); };
    std::vector<SetChange> changes;
    if (sets.size() > 1)
        changes = compareSets(values(*sets[sets.size() - 2]), values(*sets.back()));
    QStringList heads{tr("Measure")};
    for (const auto* s : sets)
        heads << tr("%1\n%2, %3")
                     .arg(shownWord(s->key.name), q(dayWords(s->key.day)),
                          counted(static_cast<qsizetype>(s->reps.size()), tr("rep"), tr("reps")));
    if (!changes.empty())
        heads << tr("Change");
    m_table->setColumnCount(static_cast<int>(heads.size()));
    m_table->setHorizontalHeaderLabels(heads);
    QStringList moved;
    for (const auto& d : a.deviations) {
        const auto& def = b.measure(d.measure)->definition;
        if (d.value.reps == 0)
            continue;
        const int row = m_table->rowCount();
        m_table->insertRow(row);
        m_table->setItem(row, 0, cell(q(def.name), q(def.sentence)));
        for (std::size_t i = 0; i < sets.size(); ++i) {
            std::vector<MeasuredRep> reps;
            for (const Id id : sets[i]->reps)
                if (const auto it = a.measured.find(id); it != a.measured.end())
                    reps.push_back(it->second);
            const auto value = gather(def, reps);
            int inside = 0;
            for (const auto& [rep, v] : value.each)
                inside += d.judged && v.value >= d.band.lo && v.value <= d.band.hi;
            const auto n = static_cast<int>(value.each.size());
            QString text = value.reps == 0 ? tr("not read") : q(valueWords(def, value.mean, value.u));
            QString tip;
            if (d.judged && n > 0 && !isAcrossReps(def.kind)) {
                const auto share = wilson(inside, n);
                text += tr("   %1 of %2 in").arg(inside).arg(n);
                tip = tr("Inside %1: between %2 % and %3 % of such reps, 95 %.")
                          .arg(q(bandWords(def, d.band)))
                          .arg(std::lround(100 * share.lo))
                          .arg(std::lround(100 * share.hi));
            }
            m_table->setItem(row, static_cast<int>(i) + 1, cell(text, tip));
        }
        for (const auto& c : changes)
            if (c.measure == d.measure) {
                const QString change = (c.change > 0 ? "+" : "") + q(numberWords(def, c.change, c.u));
                m_table->setItem(
                    row, static_cast<int>(heads.size()) - 1,
                    cell(c.moved ? change : tr("%1, not sure").arg(change),
                         tr("Smallest change worth believing here: %1.").arg(q(numberWords(def, c.mdc95, c.u))),
                         c.moved));
                if (c.moved)
                    moved << tr("%1 moved by %2").arg(q(def.name), change);
            }
    }
    m_table->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    const auto said = [](const SetKey& key) { return tr("%1, %2").arg(shownWord(key.name), q(dayWords(key.day))); };
    if (sets.size() < 2)
        m_words->setText(
            tr("One set so far. Give reps a set in Footage, or film another day, and they stand side by side here."));
    else if (moved.isEmpty())
        m_words->setText(tr("From “%1” to “%2”: nothing can be told from so few reps.")
                             .arg(said(sets[sets.size() - 2]->key), said(sets.back()->key)));
    else
        m_words->setText(tr("From “%1” to “%2”: %3. Of the rest nothing can be told.")
                             .arg(said(sets[sets.size() - 2]->key), said(sets.back()->key), moved.join("; ")));
}

void SetTable::fillBreaks() {
    const auto& a = m_bench.analysis();
    QStringList lines;
    for (const auto& fault : a.judgement.focus) {
        for (const auto& trend : a.trends) {
            const Deviation* d = a.deviation(trend.measure);
            if (trend.fault != fault || !d || !d->judged)
                continue;
            const auto broken = whereItBreaks(insideByStage(m_bench.data(), a.measured, trend.measure, d->band));
            lines << tr("%1: %2").arg(q(m_bench.blueprint().measure(trend.measure)->definition.name), q(broken.words));
        }
    }
    m_breaks->setText(lines.isEmpty() ? QString() : tr("Where does it break?  ") + lines.join("  "));
    m_breaks->setVisible(!lines.isEmpty());
}

void SetTable::fillChoices() {
    const auto& a = m_bench.analysis();
    m_choices->setVisible(!a.choices.empty());
    m_choicesTitle->setVisible(!a.choices.empty());
    m_choices->clear();
    m_choices->setRowCount(0);
    m_choices->setColumnCount(5);
    m_choices->setHorizontalHeaderLabels(
        {tr("Situation"), tr("Choice"), tr("How often"), tr("Worked"), tr("By the blueprint")});
    for (const auto& c : a.choices) {
        const int row = m_choices->rowCount();
        m_choices->insertRow(row);
        int all = 0;
        for (const auto& other : a.choices)
            all += other.situation == c.situation ? other.n : 0;
        m_choices->setItem(row, 0, cell(q(c.situation)));
        m_choices->setItem(row, 1, cell(c.choice.empty() ? tr("not noted") : shownChoice(c.choice)));
        m_choices->setItem(row, 2, cell(tr("%1 of %2").arg(c.n).arg(all)));
        m_choices->setItem(row, 3,
                           cell(c.known == 0 ? tr("not noted")
                                             : tr("%1 of %2 (%3 to %4 %)")
                                                   .arg(c.worked)
                                                   .arg(c.known)
                                                   .arg(std::lround(100 * c.success->lo))
                                                   .arg(std::lround(100 * c.success->hi))));
        QString rule = !c.advised ? tr("no rule") : *c.advised ? tr("right") : tr("right elsewhere, not here");
        const BlueprintMeasure* limit = m_bench.blueprint().measure(c.limit);
        const bool beyond = c.declinable > 0 && limit;
        if (beyond)
            rule = tr("%1 better declined: %2").arg(c.declinable).arg(q(limit->definition.name));
        m_choices->setItem(row, 4, cell(rule, {}, c.choice != kDecline && (beyond || (c.advised && !*c.advised))));
    }
    m_choices->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    fitToRows(m_choices);
}

// A row a player, a column a checkpoint: how often it was not so.
void SetTable::fillPlayers() {
    const auto tallies = tallyByPlayer(m_bench.data());
    const bool others = std::any_of(tallies.begin(), tallies.end(), [](const auto& t) { return !t.who.empty(); });
    m_players->setVisible(others);
    m_playersTitle->setVisible(others);
    m_players->clear();
    m_players->setRowCount(0);
    if (!others)
        return;
    const auto& checkpoints = m_bench.blueprint().checkpoints;
    QStringList heads{tr("Player")};
    for (const auto& c : checkpoints)
        heads << q(c.name);
    m_players->setColumnCount(static_cast<int>(heads.size()));
    m_players->setHorizontalHeaderLabels(heads);
    std::vector<std::string> who;
    for (const auto& t : tallies)
        if (who.empty() || who.back() != t.who)
            who.push_back(t.who);
    for (const auto& name : who) {
        const int row = m_players->rowCount();
        m_players->insertRow(row);
        m_players->setItem(row, 0, cell(name.empty() ? q(m_bench.data().brief.athlete.name) : q(name)));
        for (std::size_t i = 0; i < checkpoints.size(); ++i) {
            const auto t = std::find_if(tallies.begin(), tallies.end(), [&](const auto& x) {
                return x.who == name && x.checkpoint == checkpoints[i].id;
            });
            if (t == tallies.end())
                continue;
            const auto share = wilson(t->no, t->all());
            m_players->setItem(row, static_cast<int>(i) + 1,
                               cell(t->no > 0 ? tr("no: %1 of %2").arg(t->no).arg(t->all())
                                              : tr("yes: %1 of %2").arg(t->yes).arg(t->all()),
                                    tr("%1 Yes %2, partly %3, no %4; no in %5 to %6 % of such reps, 95 %.")
                                        .arg(q(checkpoints[i].question))
                                        .arg(t->yes)
                                        .arg(t->partly)
                                        .arg(t->no)
                                        .arg(std::lround(100 * share.lo))
                                        .arg(std::lround(100 * share.hi))));
        }
    }
    m_players->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    fitToRows(m_players);
}

} // namespace riflesso
