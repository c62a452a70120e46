#include "desktop/marking/draft_panel.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "intake/find_body.h"

#include <QFutureWatcher>
#include <QHBoxLayout>

namespace riflesso {
namespace {
constexpr int kEverybody = -1;

// Two boxes of one body: most of the smaller one lies in the other.
bool sameBody(const QRectF& a, const QRectF& b) {
    const QRectF both = a & b;
    return both.width() * both.height() > 0.7 * std::min(a.width() * a.height(), b.width() * b.height());
}
} // namespace

DraftPanel::DraftPanel(Workbench& bench, MarkCanvas& canvas, Carrier& carrier, QWidget* parent)
    : QFrame(parent), m_bench(bench), m_canvas(canvas), m_carrier(carrier) {
    setObjectName("draftPanel");
    m_words = new QLabel;
    m_words->setWordWrap(true);
    m_scope = new QComboBox;
    m_scope->setObjectName("draftScope");
    m_scope->setAccessibleName(tr("How much to draft"));
    m_who = new QComboBox;
    m_who->setObjectName("draftWho");
    m_who->setAccessibleName(tr("Who is in the box"));
    m_who->setToolTip(tr("Other people in the same film are drafted under points of their own."));
    m_called = new QLineEdit;
    m_called->setObjectName("draftCalled");
    m_called->setMaxLength(40);
    m_called->setPlaceholderText(tr("called …"));
    m_called->setAccessibleName(tr("What this person is called"));
    m_called->hide();
    m_go = new QPushButton(tr("Draft it"));
    m_go->setObjectName("draftGo");
    m_go->setToolTip(tr("Find the body on every frame, forwards and backwards from here, in the background (Enter)."));
    auto* stop = new QPushButton(tr("Leave"));
    stop->setObjectName("draftLeave");
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(m_words, 1);
    row->addWidget(m_who);
    row->addWidget(m_called);
    row->addWidget(m_scope);
    row->addWidget(m_go);
    row->addWidget(stop);
    hide();
    connect(m_go, &QPushButton::clicked, this, &DraftPanel::go);
    connect(stop, &QPushButton::clicked, this, &DraftPanel::end);
    connect(m_who, &QComboBox::activated, this, [this] {
        const int person = m_who->currentData().toInt();
        m_called->setVisible(person > 0);
        if (const Take* take = m_bench.take(); take && person > 0) {
            const auto called = take->figure.called.find(person);
            m_called->setText(called == take->figure.called.end() ? QString() : q(called->second));
        }
        look();
    });
    connect(m_called, &QLineEdit::returnPressed, this, [this] {
        if (m_go->isEnabled())
            go();
    });
    connect(&m_canvas, &MarkCanvas::boxDrawn, this, [this] { say(); });
    connect(&bench, &Workbench::frameChanged, this, [this] {
        if (m_asking)
            look();
    });
    connect(&bench, &Workbench::selectionChanged, this, &DraftPanel::end);
}

void DraftPanel::begin() {
    const Take* take = m_bench.take();
    if (!take)
        return;
    if (const auto model = modelFile("full"); !model) {
        emit failed(q(model.error().text()));
        return;
    }
    const int before = m_scope->currentIndex();
    m_scope->clear();
    if (const Rep* rep = m_bench.rep())
        m_scope->addItem(tr("Rep %1").arg(rep->number), "rep");
    m_scope->addItem(tr("The whole take"), "take");
    int takes = 0;
    for (const auto& [id, other] : m_bench.data().takes)
        takes += other.day == take->day && other.performer == take->performer;
    if (takes > 1)
        m_scope->addItem(tr("All %1 takes of this day").arg(takes), "day");
    m_scope->setCurrentIndex(std::clamp(before, 0, m_scope->count() - 1));
    fillWho();
    m_asking = true;
    m_canvas.drawBox(true);
    show();
    look();
    m_canvas.setFocus();
}

// The athlete, who is there already, one more, and everybody; the number is personOf(), -1 for all.
void DraftPanel::fillWho() {
    const Take* take = m_bench.take();
    m_who->clear();
    m_called->clear();
    m_called->hide();
    if (!take)
        return;
    m_who->addItem(tr("the athlete"), 0);
    for (int person = 1; person <= kMostOthers; ++person)
        if (std::any_of(take->figure.extra.begin(), take->figure.extra.end(),
                        [&](const auto& n) { return personOf(n) == person; }))
            m_who->addItem(q(calledIn(take->figure, person)), person);
    if (const auto next = nextPerson(take->figure)) {
        m_who->addItem(m_who->count() == 1 ? tr("the other person") : tr("one more person"), *next);
        m_who->addItem(tr("everybody"), kEverybody);
    }
}

void DraftPanel::end() {
    if (!m_asking)
        return;
    m_asking = false;
    ++m_round;
    m_canvas.drawBox(false);
    hide();
    m_canvas.setFocus();
}

// Who is on this frame? On a worker: the window does not wait.
void DraftPanel::look() {
    const Take* take = m_bench.take();
    const auto detector = modelFile("person");
    m_canvas.setPeople({});
    m_canvas.setBox({});
    if (!take || !detector) {
        m_looking = false;
        say();
        return;
    }
    m_looking = true;
    say();
    const int round = ++m_round;
    auto* watcher = new QFutureWatcher<std::vector<Person>>(this);
    connect(watcher, &QFutureWatcherBase::finished, this, [this, watcher, round] {
        watcher->deleteLater();
        if (round != m_round || !m_asking)
            return;
        m_looking = false;
        std::vector<QRectF> boxes;
        const QRectF whole(QPointF(), m_canvas.pictureSize());
        for (const Person& p : watcher->result())
            boxes.push_back(QRectF(p.box[0], p.box[1], p.box[2], p.box[3]) & whole);
        m_canvas.setPeople(boxes);
        // Another person is not the one who stands out most.
        const auto who = static_cast<std::size_t>(std::max(0, m_who->currentData().toInt()));
        if (m_canvas.box().isEmpty() && !boxes.empty())
            m_canvas.setBox(boxes[std::min(who, boxes.size() - 1)]);
        say();
    });
    watcher->setFuture(m_bench.book().jobs().run(
        [film = m_bench.filmPath(*take).toStdString(), detector = *detector, frame = m_bench.frame(),
         index = m_bench.book().library().indexFolder()]() -> std::vector<Person> {
            const auto people = peopleOn(film, FrameIndex(frame), detector, index);
            return people ? *people : std::vector<Person>();
        }));
}

void DraftPanel::say() {
    m_go->setEnabled(!m_canvas.box().isEmpty());
    m_words->setText(!m_canvas.box().isEmpty() && m_who->currentData().toInt() == kEverybody
                         ? tr("The athlete is in this box? Everybody else that is seen is drafted after.")
                     : !m_canvas.box().isEmpty()
                         ? tr("Draft the body in this box? Drag another box, or click another person.")
                     : m_looking ? tr("Drag a box round the athlete. Looking for people …")
                                 : tr("Drag a box round the athlete."));
}

void DraftPanel::go() {
    const Take* take = m_bench.take();
    const QRectF box = m_canvas.box();
    if (!take || box.isEmpty())
        return;
    const QString scope = m_scope->currentData().toString();
    const BodyBox drawn{box.x(), box.y(), box.width(), box.height()};
    FrameIndex first(0), last(std::max(0, static_cast<int>(take->times.size()) - 1));
    if (const Rep* rep = m_bench.rep(); rep && scope == "rep") {
        std::tie(first, last) = spanOf(m_bench.data(), *rep);
        // The box may stand outside of the rep: then the way there is drafted too.
        first = std::min(first, FrameIndex(m_bench.frame()));
        last = std::max(last, FrameIndex(m_bench.frame()));
    }
    const int whose = m_who->currentData().toInt();
    const Id id = take->id; // a draft may change the take
    const FrameIndex here(m_bench.frame());
    const auto people = m_canvas.people();
    m_carrier.draft(id, here, drawn, first, last, std::max(0, whose), m_called->text().trimmed().toStdString());
    if (whose == kEverybody)
        for (const QRectF& other : people)
            if (!sameBody(other, box))
                if (const auto next = nextPerson(m_bench.data().takes.at(id).figure))
                    m_carrier.draft(id, here, {other.x(), other.y(), other.width(), other.height()}, first, last,
                                    *next);
    take = m_bench.take();
    if (take && scope == "day" && whose == 0) // nobody can tell which one it is in another film
        for (const auto& [each, other] : m_bench.data().takes)
            if (each != take->id && other.day == take->day && other.performer == take->performer)
                m_carrier.draft(each, FrameIndex(static_cast<int>(other.times.size()) / 2), {}, FrameIndex(0),
                                FrameIndex(std::max(0, static_cast<int>(other.times.size()) - 1)));
    end();
}

} // namespace riflesso
