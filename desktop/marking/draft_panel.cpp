#include "desktop/marking/draft_panel.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "intake/find_body.h"

#include <QFutureWatcher>
#include <QHBoxLayout>

namespace riflesso {

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
    m_who->addItem(tr("the athlete"));
    m_who->addItem(tr("the other person"));
    m_who->setToolTip(tr("A second person in the same film is drafted under points of their own."));
    m_go = new QPushButton(tr("Draft it"));
    m_go->setObjectName("draftGo");
    m_go->setToolTip(tr("Find the body on every frame, forwards and backwards from here, in the background (Enter)."));
    auto* stop = new QPushButton(tr("Leave"));
    stop->setObjectName("draftLeave");
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(m_words, 1);
    row->addWidget(m_who);
    row->addWidget(m_scope);
    row->addWidget(m_go);
    row->addWidget(stop);
    hide();
    connect(m_go, &QPushButton::clicked, this, &DraftPanel::go);
    connect(stop, &QPushButton::clicked, this, &DraftPanel::end);
    connect(m_who, &QComboBox::activated, this, [this] { look(); });
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
    m_who->setCurrentIndex(0);
    m_asking = true;
    m_canvas.drawBox(true);
    show();
    look();
    m_canvas.setFocus();
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
        // The second person is not the one who stands out most.
        const std::size_t who = m_who->currentIndex() == 1 && boxes.size() > 1 ? 1 : 0;
        if (m_canvas.box().isEmpty() && who < boxes.size())
            m_canvas.setBox(boxes[who]);
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
    m_words->setText(!m_canvas.box().isEmpty()
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
    const bool second = m_who->currentIndex() == 1;
    m_carrier.draft(take->id, FrameIndex(m_bench.frame()), drawn, first, last, second);
    if (scope == "day" && !second) // nobody can tell which one it is in another film
        for (const auto& [id, other] : m_bench.data().takes)
            if (id != take->id && other.day == take->day && other.performer == take->performer)
                m_carrier.draft(id, FrameIndex(static_cast<int>(other.times.size()) / 2), {}, FrameIndex(0),
                                FrameIndex(std::max(0, static_cast<int>(other.times.size()) - 1)));
    end();
}

} // namespace riflesso
