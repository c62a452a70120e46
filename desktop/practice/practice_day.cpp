// Practice beside the counting: reasons of a bad rep, what the day holds, a day on one's own.

#include "desktop/practice/practice_page.h"

#include "casebook/diary.h"
#include "casebook/text.h"
#include "core/programme/at_home.h"
#include "desktop/practice/diary_dialog.h"
#include "desktop/practice/film_verdicts.h"
#include "desktop/theme/theme.h"

#include <QDialog>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QListWidget>

#include <algorithm>

namespace riflesso {

std::vector<std::string> reasonsOfBad(const Blueprint& blueprint, const std::string& fault) {
    constexpr std::size_t kMostReasons = 4;
    std::vector<std::string> out;
    if (const Fault* f = blueprint.fault(fault))
        for (const auto& indicator : f->indicators)
            if (const auto* m = blueprint.measure(indicator.measure)) {
                const std::string& words = indicator.direction == Deviance::low ? m->tooLow : m->tooHigh;
                if (!words.empty() && std::find(out.begin(), out.end(), words) == out.end())
                    out.push_back(words);
            }
    for (const auto& c : blueprint.checkpoints)
        if (out.size() + 1 < kMostReasons)
            out.push_back(c.name);
    if (out.size() >= kMostReasons)
        out.resize(kMostReasons - 1);
    out.push_back(say("practice", "something else"));
    return out;
}

void PracticePage::fillReasons() {
    clearLayout(m_reasons);
    const auto reasons = drill() ? reasonsOfBad(m_bench.blueprint(), faultOf(drill()->id)) : std::vector<std::string>();
    for (std::size_t i = 0; i < reasons.size(); ++i) {
        auto* chip = new QPushButton(QString("%1  %2").arg(i + 1).arg(q(reasons[i])));
        chip->setToolTip(q(reasons[i]));
        chip->setFocusPolicy(Qt::NoFocus);
        chip->setEnabled(m_reasonOpen);
        chip->setStyleSheet("text-align: left;");
        connect(chip, &QPushButton::clicked, this, [this, i] { giveReason(static_cast<int>(i)); });
        m_reasons->addWidget(chip, static_cast<int>(i) / 2, static_cast<int>(i) % 2);
    }
    QString why = tr("Why not? One more key, or go on.");
    if (const Block* b = block(); b && !b->reps.empty() && !b->reps.back().reason.empty())
        why = tr("Noted: %1").arg(q(b->reps.back().reason));
    m_why->setText(why);
}

void PracticePage::fillToday() {
    clearLayout(m_today);
    struct Entry {
        std::string drill{};
        int good = 0, reps = 0;
        bool planned = false, done = false;
        double alone = 0.0; ///< minutes without a coach
    };
    std::vector<Entry> entries;
    const auto entry = [&](const std::string& id) -> Entry& {
        for (auto& e : entries)
            if (e.drill == id)
                return e;
        entries.push_back({id});
        return entries.back();
    };
    for (const auto& [id, b] : m_bench.data().planned)
        if (b.day == day() && b.state != BlockState::dropped) {
            entry(b.drill).planned = true;
            entry(b.drill).done |= b.state == BlockState::done;
        }
    for (const auto& [id, b] : m_bench.data().blocks)
        if (b.day == day() && b.film.empty()) {
            auto& e = entry(b.drill);
            e.good += goodReps(b);
            e.reps += static_cast<int>(b.reps.size());
            e.alone += b.own ? b.own->minutes : 0.0;
        }
    for (const auto& e : entries) {
        const Drill* d = m_bench.blueprint().drill(e.drill);
        auto* button = new QPushButton(
            tr("%1\n%2").arg(q(d ? d->name : e.drill), e.reps > 0    ? tr("%1 of %2 good").arg(e.good).arg(e.reps)
                                                       : e.alone > 0 ? tr("%1 min alone").arg(e.alone)
                                                       : e.planned   ? tr("planned")
                                                                     : QString()));
        button->setCheckable(true);
        button->setChecked(drill() && drill()->id == e.drill);
        button->setFocusPolicy(Qt::NoFocus);
        button->setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
        connect(button, &QPushButton::clicked, this, [this, id = e.drill] {
            if (const int i = m_drills->findData(q(id)); i >= 0) {
                m_drills->setCurrentIndex(i);
                m_chosen = true;
                newBlock();
            }
        });
        m_today->addWidget(button);
    }
    if (entries.empty())
        m_today->addWidget(
            wrapped(tr("Nothing is planned for this day. Choose a drill, and count good reps, not reps.")), 1);
    else
        m_today->addStretch();
    const Block* said = drill() ? lastSaid(m_bench.data(), drill()->id, day(), m_block) : nullptr;
    m_said->setText(said ? tr("Last time, %1: %2").arg(q(dayWords(said->day)), q(saidWords(*said))) : QString());
    m_said->setVisible(said);
}

void PracticePage::showDiary(std::optional<Day> at) {
    auto* dialog = new DiaryDialog(m_bench, m_sounds, this);
    if (at)
        dialog->goTo(*at);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QDialog::finished, this, [this] { setFocus(); });
    dialog->open();
}

// The sheet from home, with its ticks: the last two weeks' home work that nobody has ticked off yet, all at once.
void PracticePage::homeDone() {
    QDialog dialog(this);
    dialog.setObjectName("homeDialog");
    dialog.setWindowTitle(tr("Done at home"));
    auto* all = new QVBoxLayout(&dialog);
    auto* list = new QListWidget;
    list->setObjectName("homeList");
    list->setAccessibleName(tr("Home work"));
    std::vector<std::pair<Id, PlannedBlock>> home; // copies: the case may change while the dialog is open
    for (const auto& [id, b] : m_bench.data().planned)
        if (atHome(b, m_bench.data().brief.places) && b.day <= m_bench.book().today() &&
            b.day > m_bench.book().today() - std::chrono::days(14) &&
            (b.state == BlockState::planned || b.state == BlockState::moved || b.state == BlockState::missed))
            home.emplace_back(id, b);
    std::stable_sort(home.begin(), home.end(),
                     [](const auto& a, const auto& b) { return a.second.day < b.second.day; });
    for (const auto& [id, b] : home) {
        const Drill* d = m_bench.blueprint().drill(b.drill);
        auto* item = new QListWidgetItem(
            tr("%1: %2, %3 min").arg(q(dayWords(b.day)), q(d ? d->name : b.drill), shownFigure(b.minutes, 0)), list);
        item->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsUserCheckable);
        item->setCheckState(Qt::Unchecked);
    }
    list->setCurrentRow(0);
    all->addWidget(wrapped(home.empty() ? tr("No home work of the last two weeks is open.")
                                        : tr("Tick what was done: arrows and Space, then Return.")));
    list->setVisible(!home.empty());
    all->addWidget(list);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    all->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::accepted, &dialog, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    list->setFocus();
    dialog.resize(460, 360);
    if (dialog.exec() != QDialog::Accepted)
        return;
    std::vector<Edit> edits;
    for (std::size_t i = 0; i < home.size(); ++i)
        if (list->item(static_cast<int>(i))->checkState() == Qt::Checked) {
            // As it is now: another program, or the plan, may have changed it while the dialog was open.
            const auto now = m_bench.data().planned.find(home[i].first);
            if (now == m_bench.data().planned.end())
                continue;
            PlannedBlock done = now->second;
            done.state = BlockState::done;
            edits.push_back(PlanEdit{now->first, now->second, done});
        }
    if (!edits.empty())
        m_bench.book().perform(tr("tick home work off"), std::move(edits));
    setFocus();
}

void PracticePage::ownDay() {
    const Drill* d = drill();
    if (!d)
        return;
    QDialog dialog(this);
    dialog.setObjectName("ownDayDialog");
    dialog.setWindowTitle(tr("A day on your own"));
    auto* form = new QFormLayout(&dialog);
    const auto number = [&](const char* name, int most, const QString& label) {
        auto* box = new QSpinBox;
        box->setObjectName(name);
        box->setRange(0, most);
        form->addRow(label, box);
        return box;
    };
    auto* minutes = number("ownMinutes", 600, tr("Minutes"));
    auto* hits = number("ownHits", 9999, tr("Hits, or good ones"));
    const auto words = [&](const char* name, const QString& label) {
        auto* edit = new QLineEdit;
        edit->setObjectName(name);
        edit->setMaxLength(300);
        form->addRow(label, edit);
        return edit;
    };
    auto* where = words("ownWhere", tr("Where, in which light"));
    auto* feet = number("ownFeet", 10, tr("How fast the feet, 0 to 10"));
    auto* hands = number("ownHands", 10, tr("How calm the hands, 0 to 10"));
    auto* noticed = words("ownNoticed", tr("What I noticed"));
    auto* next = words("ownNext", tr("What I try next"));
    form->addRow(wrapped(
        tr("%1, on %2. Pain: stop, and see a physician or physiotherapist.").arg(q(d->name), q(dayWords(day()))),
        "caution"));
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    form->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, &dialog, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    if (dialog.exec() != QDialog::Accepted || minutes->value() == 0)
        return;
    Block b;
    b.day = day();
    b.drill = d->id;
    b.stage = d->stage;
    b.cue = chosenCue();
    b.own = SelfCoached{static_cast<double>(minutes->value()),
                        hits->value(),
                        where->text().toStdString(),
                        feet->value(),
                        hands->value(),
                        noticed->text().toStdString(),
                        next->text().toStdString()};
    m_bench.book().addBlock(std::move(b));
    refresh();
    setFocus();
}

} // namespace riflesso
