#include "desktop/practice/film_verdicts.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace riflesso {

LoopView::LoopView(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setAccessibleName(tr("A rep that plays round and round"));
    setMinimumSize(420, 320);
    m_timer.setInterval(25);
    connect(&m_timer, &QTimer::timeout, this, [this] { update(); });
    connect(&bench.frames(), &FrameService::frameReady, this, [this] { update(); });
}

void LoopView::show(Id rep) {
    m_rep = rep;
    m_last = {};
    m_clock.start();
    m_timer.start();
    update();
}

void LoopView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().stage);
    const auto rep = m_bench.data().reps.find(m_rep);
    if (rep == m_bench.data().reps.end())
        return;
    const Take& take = m_bench.data().takes.at(rep->second.take);
    const Timebase time = timebaseOf(take);
    const auto [first, last] = spanOf(m_bench.data(), rep->second);
    const double from = time.real(first).value, length = std::max(0.04, time.real(last).value - from);
    const double at = from + std::fmod(0.5 * static_cast<double>(m_clock.elapsed()) / 1000.0, length);
    const QImage now = m_bench.frames().show(m_bench.filmPath(take), time.nearest(RealTime(at)).value, 960);
    if (!now.isNull())
        m_last = now;
    if (m_last.isNull())
        return;
    QSizeF size = QSizeF(m_last.size()) / m_last.devicePixelRatio();
    size.scale(this->size(), Qt::KeepAspectRatio);
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    QImage picture = m_last;
    picture.setDevicePixelRatio(1.0);
    p.drawImage(QRectF((width() - size.width()) / 2, (height() - size.height()) / 2, size.width(), size.height()),
                picture);
}

FilmVerdictsDialog::FilmVerdictsDialog(Workbench& bench, unsigned seed, QWidget* parent)
    : QDialog(parent), m_bench(bench), m_seed(seed) {
    setObjectName("filmVerdicts");
    setWindowTitle(tr("Verdicts on film"));
    resize(980, 560);
    m_measure = new QComboBox;
    m_measure->setObjectName("verdictMeasure");
    m_measure->setAccessibleName(tr("What is judged"));
    for (const auto& t : bench.analysis().trends) // what is worked on first
        if (const auto* m = bench.blueprint().measure(t.measure))
            m_measure->addItem(q(m->definition.name), q(t.measure));
    for (const auto& d : bench.analysis().deviations)
        if (d.judged && m_measure->findData(q(d.measure)) < 0)
            m_measure->addItem(q(bench.blueprint().measure(d.measure)->definition.name), q(d.measure));
    m_view = new LoopView(bench);
    m_count = new QLabel;
    m_count->setObjectName("quiet");
    m_ask = new QLabel;
    m_ask->setObjectName("title");
    m_ask->setWordWrap(true);
    m_answer = new QLabel;
    m_answer->setObjectName("verdictAnswer");
    m_answer->setWordWrap(true);
    m_good = new QPushButton(tr("Good (G)"));
    m_bad = new QPushButton(tr("Not yet (B)"));
    m_next = new QPushButton(tr("Next (Space)"));
    m_next->setObjectName("verdictNext");
    auto* card = new Card({});
    card->body()->addWidget(m_measure);
    card->body()->addWidget(m_count);
    card->body()->addSpacing(12);
    card->body()->addWidget(m_ask);
    for (auto* b : {m_good, m_bad, m_next}) {
        b->setFocusPolicy(Qt::NoFocus); // the keys belong to the verdicts
        b->setAutoDefault(false);
        card->body()->addWidget(b);
    }
    card->body()->addSpacing(12);
    card->body()->addWidget(m_answer);
    card->body()->addStretch();
    card->setFixedWidth(320);
    auto* all = new QHBoxLayout(this);
    all->addWidget(m_view, 1);
    all->addWidget(card);
    connect(m_measure, &QComboBox::activated, this, [this] { begin(); });
    connect(m_good, &QPushButton::clicked, this, [this] { say(true); });
    connect(m_bad, &QPushButton::clicked, this, [this] { say(false); });
    connect(m_next, &QPushButton::clicked, this, [this] { next(); });
    begin();
    setFocus();
}

void FilmVerdictsDialog::begin() {
    m_reps = repsToJudge(m_bench.data(), m_bench.blueprint(), m_bench.analysis(),
                         m_measure->currentData().toString().toStdString(), m_seed);
    m_at = 0;
    m_block = 0;
    m_now = {};
    m_turn = m_reps.empty() ? Turn::over : Turn::athlete;
    m_answer->clear();
    if (!m_reps.empty())
        m_view->show(m_reps.front());
    sayTurn();
    setFocus();
}

void FilmVerdictsDialog::sayTurn() {
    const auto n = static_cast<int>(m_reps.size());
    m_count->setText(
        n == 0 ? tr("no rep has this measure yet")
               : tr("rep %1 of %2, in hidden order").arg(std::min<int>(static_cast<int>(m_at) + 1, n)).arg(n));
    m_ask->setText(m_turn == Turn::athlete ? tr("Athlete: was it good?")
                   : m_turn == Turn::coach ? tr("Coach: was it good?")
                   : m_turn == Turn::shown ? tr("And the film says")
                   : n == 0                ? tr("Nothing to judge")
                                           : tr("All seen"));
    const bool asking = m_turn == Turn::athlete || m_turn == Turn::coach;
    m_good->setVisible(asking);
    m_bad->setVisible(asking);
    m_next->setVisible(m_turn == Turn::shown);
    if (m_turn == Turn::over && n > 0) {
        const auto a = filmAgreement(m_bench.data(), m_measure->currentData().toString().toStdString());
        const auto share = [](const std::optional<Agreement>& g) {
            return g ? tr("%1 of 100").arg(qRound(100 * g->observed)) : tr("too few to tell");
        };
        m_answer->setText(tr("Athlete and coach agree on %1.\nAthlete and film: %2.\nCoach and film: %3.")
                              .arg(share(a.athleteCoach), share(a.athleteFilm), share(a.coachFilm)));
    }
}

void FilmVerdictsDialog::say(bool good) {
    if (m_turn == Turn::athlete) {
        m_now.athlete = good;
        m_turn = Turn::coach;
    } else if (m_turn == Turn::coach) {
        m_now.coach = good;
        m_turn = Turn::shown;
        const std::string measure = m_measure->currentData().toString().toStdString();
        const Id rep = m_reps[m_at];
        const auto verdict = machineVerdict(m_bench.blueprint(), m_bench.analysis(), measure, rep);
        const auto& def = m_bench.blueprint().measure(measure)->definition;
        QString value;
        for (const auto& v : m_bench.analysis().measured.at(rep).values)
            if (v.measure == measure)
                value = q(valueWords(def, v.value, v.u));
        if (verdict) {
            m_now.machine = verdict->good();
            m_answer->setText(tr("%1: %2.\nAthlete: %3. Coach: %4.")
                                  .arg(value, q(verdict->words), *m_now.athlete ? tr("good") : tr("not yet"),
                                       *m_now.coach ? tr("good") : tr("not yet")));
        }
        keep();
    }
    sayTurn();
}

// At once: a block grows rep by rep, so that nothing is lost when somebody leaves.
void FilmVerdictsDialog::keep() {
    const auto known = m_bench.data().blocks.find(m_block);
    Block block = known == m_bench.data().blocks.end() ? Block{} : known->second;
    block.day = m_bench.book().today();
    block.film = m_measure->currentData().toString().toStdString();
    block.reps.push_back(m_now);
    if (known == m_bench.data().blocks.end())
        m_block = m_bench.book().addBlock(block);
    else
        m_bench.book().setBlock(block);
}

void FilmVerdictsDialog::next() {
    if (m_turn != Turn::shown)
        return;
    ++m_at;
    m_now = {};
    m_answer->clear();
    m_turn = m_at < m_reps.size() ? Turn::athlete : Turn::over;
    if (m_turn == Turn::athlete)
        m_view->show(m_reps[m_at]);
    sayTurn();
}

void FilmVerdictsDialog::keyPressEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_G || e->key() == Qt::Key_Right)
        say(true);
    else if (e->key() == Qt::Key_B || e->key() == Qt::Key_Left)
        say(false);
    else if (e->key() == Qt::Key_Space)
        next();
    else
        QDialog::keyPressEvent(e);
}

} // namespace riflesso
