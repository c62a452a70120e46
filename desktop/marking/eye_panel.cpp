#include "desktop/marking/eye_panel.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"

#include <QGridLayout>
#include <QVBoxLayout>

namespace riflesso {

QString verdictWord(SeenVerdict verdict) {
    switch (verdict) {
    case SeenVerdict::yes:
        return EyePanel::tr("yes");
    case SeenVerdict::partly:
        return EyePanel::tr("partly");
    case SeenVerdict::no:
        break;
    }
    return EyePanel::tr("no");
}

EyePanel::EyePanel(Workbench& bench) : m_bench(bench) {
    m_list = new QListWidget;
    m_list->setObjectName("checkpoints");
    m_list->setAccessibleName(tr("Checkpoints"));
    m_question = wrapped({}, "strong");
    m_note = new QLineEdit;
    m_note->setObjectName("seenNote");
    m_note->setPlaceholderText(tr("A note, if there is more to say"));
    m_note->setAccessibleName(tr("Note"));
    m_pin = new QPushButton(tr("Pin to a place"));
    m_pin->setObjectName("pinNote");
    m_pin->setCheckable(true);
    m_pin->setToolTip(tr("Then click the place of the picture that the note is about"));
    m_clear = new QPushButton(tr("Take back"));
    m_clear->setObjectName("clearSeen");
    auto* grid = new QGridLayout;
    int column = 0;
    for (const auto& [verdict, name, words] : {std::tuple{SeenVerdict::yes, "seenYes", tr("Yes")},
                                               {SeenVerdict::partly, "seenPartly", tr("Partly")},
                                               {SeenVerdict::no, "seenNo", tr("No")}}) {
        auto* b = new QPushButton(words);
        b->setObjectName(name);
        grid->addWidget(b, 0, column++);
        connect(b, &QPushButton::clicked, this, [this, v = verdict] { judge(v); });
    }
    grid->addWidget(m_pin, 1, 0, 1, 2);
    grid->addWidget(m_clear, 1, 2);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->addWidget(wrapped(tr("Not everything is a number. Judge these on the frame; each leads to it."), "quiet"));
    all->addWidget(m_list, 1);
    all->addWidget(m_question);
    all->addLayout(grid);
    all->addWidget(m_note);
    connect(m_list, &QListWidget::currentRowChanged, this, [this] {
        const Rep* rep = m_bench.rep();
        if (const Checkpoint* c = current(); c && rep && isVisible()) {
            if (const auto seen = rep->seen.find(c->id); seen != rep->seen.end())
                m_bench.setFrame(seen->second.frame.value);
            else if (const auto p = rep->positions.find(c->at); p != rep->positions.end())
                m_bench.setFrame(p->second.frame.value);
        }
        refresh();
    });
    connect(m_note, &QLineEdit::editingFinished, this, [this] {
        const Rep* rep = m_bench.rep();
        const Checkpoint* c = current();
        if (rep && c && rep->seen.contains(c->id))
            change([this](Seen& s) { s.note = m_note->text().trimmed().toStdString(); });
    });
    connect(m_pin, &QPushButton::toggled, this, [this](bool on) { m_pinning = on; });
    connect(m_clear, &QPushButton::clicked, this, [this] {
        const Rep* rep = m_bench.rep();
        const Checkpoint* c = current();
        if (!rep || !c)
            return;
        Rep after = *rep;
        after.seen.erase(c->id);
        m_bench.book().setRep(after, tr("take back “%1”").arg(q(c->name)));
    });
    connect(&bench, &Workbench::selectionChanged, this, &EyePanel::refresh);
    connect(&bench, &Workbench::frameChanged, this, &EyePanel::pinsChanged);
    connect(&bench.book(), &Casebook::changed, this, [this](const ChangeSet& c) {
        if (!c.reps.empty())
            refresh();
    });
    refresh();
}

const Checkpoint* EyePanel::current() const {
    const int row = m_list->currentRow();
    const auto& all = m_bench.blueprint().checkpoints;
    return row >= 0 && row < static_cast<int>(all.size()) ? &all[static_cast<std::size_t>(row)] : nullptr;
}

bool EyePanel::change(const std::function<void(Seen&)>& how) {
    const Rep* rep = m_bench.rep();
    const Checkpoint* c = current();
    if (!rep || !c)
        return false;
    Rep after = *rep;
    how(after.seen[c->id]);
    return m_bench.book().setRep(after, tr("judge “%1”").arg(q(c->name)));
}

void EyePanel::judge(SeenVerdict verdict) {
    change([&](Seen& s) {
        s.verdict = verdict;
        s.frame = FrameIndex(m_bench.frame());
        s.note = m_note->text().trimmed().toStdString();
    });
}

void EyePanel::pin(QPointF at) {
    m_pin->setChecked(false);
    const Rep* rep = m_bench.rep();
    const Checkpoint* c = current();
    if (!rep || !c)
        return;
    change([&](Seen& s) {
        s.frame = FrameIndex(m_bench.frame());
        s.pin = Pixel{at.x(), at.y()};
        s.note = m_note->text().trimmed().toStdString();
        if (!rep->seen.contains(c->id))
            s.verdict = SeenVerdict::partly; // something is there to be said; the buttons say it better
    });
}

std::vector<std::pair<QPointF, QString>> EyePanel::pinsHere() const {
    std::vector<std::pair<QPointF, QString>> out;
    if (const Rep* rep = m_bench.rep())
        for (const auto& [id, s] : rep->seen)
            if (s.pin && s.frame.value == m_bench.frame()) {
                const auto& all = m_bench.blueprint().checkpoints;
                const auto c = std::find_if(all.begin(), all.end(), [&](const auto& x) { return x.id == id; });
                out.emplace_back(QPointF(s.pin->x, s.pin->y),
                                 s.note.empty() && c != all.end() ? q(c->name) : q(s.note));
            }
    return out;
}

void EyePanel::refresh() {
    const Rep* rep = m_bench.rep();
    const int kept = m_list->currentRow();
    const QSignalBlocker quiet(m_list);
    m_list->clear();
    for (const auto& c : m_bench.blueprint().checkpoints) {
        QString state = tr("not judged");
        if (rep)
            if (const auto s = rep->seen.find(c.id); s != rep->seen.end())
                state = tr("%1, frame %2").arg(verdictWord(s->second.verdict)).arg(s->second.frame.value + 1);
        m_list->addItem(QString("%1\n     %2").arg(q(c.name), state));
    }
    if (m_list->count() == 0)
        m_list->addItem(tr("This technique has no checkpoints."));
    m_list->setCurrentRow(kept < 0 ? 0 : std::min(kept, m_list->count() - 1));
    const Checkpoint* c = current();
    m_question->setText(!rep ? tr("Start a rep first.") : c ? q(c->question) : QString());
    const bool judged = rep && c && rep->seen.contains(c->id);
    if (!m_note->hasFocus())
        m_note->setText(judged ? q(rep->seen.at(c->id).note) : QString());
    for (const char* name : {"seenYes", "seenPartly", "seenNo"})
        findChild<QPushButton*>(name)->setEnabled(rep && c);
    m_pin->setEnabled(rep && c);
    m_note->setEnabled(rep && c);
    m_clear->setEnabled(judged);
    emit pinsChanged();
}

} // namespace riflesso
