#include "desktop/marking/eye_panel.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"

#include <QGridLayout>
#include <QVBoxLayout>

#include <algorithm>

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
    m_who = new QComboBox;
    m_who->setObjectName("seenWho");
    m_who->setAccessibleName(tr("Who is judged"));
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
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->addWidget(wrapped(tr("Not everything is a number. Judge these on the frame; each leads to it."), "quiet"));
    all->addWidget(m_who);
    all->addWidget(m_list, 1);
    all->addWidget(m_question);
    all->addLayout(grid);
    all->addWidget(m_clear);
    auto* note = new QHBoxLayout;
    note->addWidget(m_note, 1);
    note->addWidget(m_pin);
    all->addLayout(note);
    connect(m_list, &QListWidget::currentRowChanged, this, [this] {
        const Rep* rep = m_bench.rep();
        if (const Checkpoint* c = current(); c && rep && isVisible()) {
            if (const Seen* s = seenHere())
                m_bench.setFrame(s->frame.value);
            else if (const auto p = rep->positions.find(c->at); p != rep->positions.end())
                m_bench.setFrame(p->second.frame.value);
        }
        refresh();
    });
    connect(m_note, &QLineEdit::editingFinished, this, [this] {
        if (seenHere())
            change([this](Seen& s) { s.note = m_note->text().trimmed().toStdString(); });
    });
    connect(m_pin, &QPushButton::toggled, this, [this](bool on) { m_pinning = on; });
    connect(m_clear, &QPushButton::clicked, this, [this] {
        const Rep* rep = m_bench.rep();
        const Checkpoint* c = current();
        if (!rep || !c)
            return;
        Rep after = *rep;
        seenIn(after).erase(c->id);
        std::erase_if(after.seenOf, [](const auto& of) { return of.second.empty(); });
        m_bench.book().setRep(after, tr("take back “%1”").arg(q(c->name)));
    });
    connect(m_who, &QComboBox::activated, this, [this] { refresh(); });
    connect(&bench, &Workbench::selectionChanged, this, &EyePanel::refresh);
    connect(&bench, &Workbench::frameChanged, this, &EyePanel::pinsChanged);
    connect(&bench.book(), &Casebook::changed, this, [this](const ChangeSet& c) {
        if (!c.reps.empty() || !c.takes.empty())
            refresh();
    });
    refresh();
}

// The athlete and whoever else is in this take or was judged in it; not shown where the athlete is alone.
void EyePanel::fillWho() {
    const QSignalBlocker quiet(m_who);
    const QString kept = m_who->currentData().toString();
    const int place = m_who->currentIndex();
    m_who->clear();
    m_who->addItem(m_bench.data().brief.athlete.name.empty() ? tr("the athlete") : q(m_bench.data().brief.athlete.name),
                   QString());
    const auto add = [&](const QString& name) {
        if (!name.isEmpty() && m_who->findData(name) < 0)
            m_who->addItem(name, name);
    };
    if (const Take* take = m_bench.take()) {
        for (const auto& [person, name] : take->figure.called) // who has no name yet is given one under "Points"
            add(q(name));
        for (const auto& [id, rep] : m_bench.data().reps)
            if (rep.take == take->id)
                for (const auto& [who, of] : rep.seenOf)
                    add(q(who));
    }
    // Whose name was put right stands where the old name stood.
    const int same = m_who->findData(kept);
    m_who->setCurrentIndex(same >= 0 ? same : std::clamp(place, 0, m_who->count() - 1));
    m_who->setVisible(m_who->count() > 1);
}

const std::map<std::string, Seen>* EyePanel::seen() const {
    const Rep* rep = m_bench.rep();
    const std::string who = m_who->currentData().toString().toStdString();
    if (!rep || who.empty())
        return rep ? &rep->seen : nullptr;
    const auto of = rep->seenOf.find(who);
    return of == rep->seenOf.end() ? nullptr : &of->second;
}

const Seen* EyePanel::seenHere() const {
    const Checkpoint* c = current();
    const auto* all = seen();
    if (!c || !all)
        return nullptr;
    const auto it = all->find(c->id);
    return it == all->end() ? nullptr : &it->second;
}

std::map<std::string, Seen>& EyePanel::seenIn(Rep& rep) const {
    const std::string who = m_who->currentData().toString().toStdString();
    return who.empty() ? rep.seen : rep.seenOf[who];
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
    how(seenIn(after)[c->id]);
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
        if (!seenHere())
            s.verdict = SeenVerdict::partly; // something is there to be said; the buttons say it better
    });
}

std::vector<std::pair<QPointF, QString>> EyePanel::pinsHere() const {
    std::vector<std::pair<QPointF, QString>> out;
    if (const auto* all = seen())
        for (const auto& [id, s] : *all)
            if (s.pin && s.frame.value == m_bench.frame()) {
                const auto& points = m_bench.blueprint().checkpoints;
                const auto c = std::find_if(points.begin(), points.end(), [&](const auto& x) { return x.id == id; });
                out.emplace_back(QPointF(s.pin->x, s.pin->y),
                                 s.note.empty() && c != points.end() ? q(c->name) : q(s.note));
            }
    return out;
}

void EyePanel::refresh() {
    const Rep* rep = m_bench.rep();
    fillWho();
    const auto* all = seen();
    const int kept = m_list->currentRow();
    const QSignalBlocker quiet(m_list);
    m_list->clear();
    for (const auto& c : m_bench.blueprint().checkpoints) {
        QString state = tr("not judged");
        if (all)
            if (const auto s = all->find(c.id); s != all->end())
                state = tr("%1, frame %2").arg(verdictWord(s->second.verdict)).arg(s->second.frame.value + 1);
        m_list->addItem(QString("%1\n     %2").arg(q(c.name), state));
    }
    if (m_list->count() == 0)
        m_list->addItem(tr("This technique has no checkpoints."));
    m_list->setCurrentRow(kept < 0 ? 0 : std::min(kept, m_list->count() - 1));
    const Checkpoint* c = current();
    m_question->setText(!rep ? tr("Start a rep first.") : c ? q(c->question) : QString());
    const Seen* judged = seenHere();
    if (!m_note->hasFocus())
        m_note->setText(judged ? q(judged->note) : QString());
    for (const char* name : {"seenYes", "seenPartly", "seenNo"})
        findChild<QPushButton*>(name)->setEnabled(rep && c);
    m_pin->setEnabled(rep && c);
    m_note->setEnabled(rep && c);
    m_clear->setEnabled(judged != nullptr);
    emit pinsChanged();
}

} // namespace riflesso
