#include "desktop/footage/transport.h"

#include "casebook/text.h"
#include "desktop/theme/icons.h"
#include "desktop/theme/theme.h"

#include <QHBoxLayout>
#include <QVBoxLayout>

#include <array>
#include <cmath>

namespace riflesso {
namespace {
constexpr std::array<double, 6> kSpeeds = {1.0 / 16, 1.0 / 8, 1.0 / 4, 1.0 / 2, 1.0, 2.0};
}

Transport::Transport(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    const auto button = [&](const QString& text, const QString& why, const char* name) {
        auto* b = new QPushButton(text);
        b->setToolTip(why);
        b->setAccessibleName(why);
        b->setObjectName(name);
        b->setFocusPolicy(Qt::NoFocus);
        return b;
    };
    m_back = button({}, tr("Play backwards (B)"), "playBack");
    m_forth = button(tr("play"), tr("Play forwards (Space)"), "playForth");
    m_loop = button(tr("round"), tr("Play it again and again (L)"), "loop");
    for (auto* b : {m_back, m_forth, m_loop})
        b->setCheckable(true);
    auto* stepBack = button({}, tr("One frame back (←)"), "stepBack");
    auto* stepForth = button({}, tr("One frame on (→)"), "stepForth");
    m_loopWhat = new QComboBox;
    m_loopWhat->addItems({tr("the rep"), tr("the phase"), tr("the take")});
    m_loopWhat->setAccessibleName(tr("What is played round"));
    m_speed = new QComboBox;
    m_speed->setAccessibleName(tr("Speed"));
    m_speed->setObjectName("speed");
    m_speed->addItems(
        {tr("1/16 speed"), tr("1/8 speed"), tr("1/4 speed"), tr("1/2 speed"), tr("real speed"), tr("2 × speed")});
    m_speed->setToolTip(tr("Against the speed at which it really happened (, and . change it)"));
    m_speed->setCurrentIndex(2);
    for (auto* box : {m_loopWhat, m_speed})
        box->setFocusPolicy(Qt::TabFocus);
    m_where = new QLabel;
    m_where->setObjectName("where");
    m_where->setAccessibleName(tr("Where in the take"));
    m_where->setTextFormat(Qt::PlainText);
    m_where->setToolTip(tr("Two instants nearer to one another than what this film decides cannot be told from "
                           "simultaneous."));
    m_where->setMinimumWidth(10);
    auto* line = new QHBoxLayout;
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(5);
    for (QWidget* w :
         std::initializer_list<QWidget*>{m_back, stepBack, stepForth, m_forth, m_speed, m_loop, m_loopWhat})
        line->addWidget(w);
    line->addStretch();
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 2, 0, 2);
    all->setSpacing(3);
    all->addLayout(line);
    all->addWidget(m_where);
    m_timer.setTimerType(Qt::PreciseTimer);
    m_timer.setInterval(8);
    connect(&m_timer, &QTimer::timeout, this, &Transport::tick);
    setLineIcons({{m_back, "rewind"}, {m_forth, "play"}, {stepBack, "step-back"}, {stepForth, "step-forward"}});
    connect(m_back, &QPushButton::clicked, this, [this] { play(-1); });
    connect(m_forth, &QPushButton::clicked, this, [this] { play(1); });
    connect(stepBack, &QPushButton::clicked, this, [this] { m_bench.setFrame(m_bench.frame() - 1); });
    connect(stepForth, &QPushButton::clicked, this, [this] { m_bench.setFrame(m_bench.frame() + 1); });
    connect(m_speed, &QComboBox::currentIndexChanged, this, [this] { restart(); });
    connect(&bench, &Workbench::frameChanged, this, [this] {
        if (m_direction != 0 && m_bench.frame() != m_last)
            restart(); // the hand took the playhead elsewhere
        refresh();
    });
    connect(&bench, &Workbench::selectionChanged, this, [this] { refresh(); });
    connect(&bench.book(), &Casebook::changed, this, [this] { refresh(); });
    refresh();
}

double Transport::speed() const {
    return kSpeeds[static_cast<std::size_t>(std::clamp(m_speed->currentIndex(), 0, 5))];
}

void Transport::faster(int steps) {
    m_speed->setCurrentIndex(std::clamp(m_speed->currentIndex() + steps, 0, 5));
}

void Transport::toggleLoop() {
    m_loop->toggle();
}

Transport::Range Transport::range() const {
    const Take* take = m_bench.take();
    Range r{0, take ? static_cast<int>(take->times.size()) - 1 : 0};
    const Rep* rep = m_bench.rep();
    if (!m_loop->isChecked() || m_loopWhat->currentIndex() == 2 || !rep)
        return r;
    Range own = r;
    if (rep->first && rep->last)
        own = {rep->first->value, rep->last->value};
    if (m_loopWhat->currentIndex() == 0)
        return own;
    // The phase around the playhead: between the key positions before and after it.
    for (const auto& [id, p] : rep->positions) {
        if (p.frame.value <= m_bench.frame())
            own.first = std::max(own.first, p.frame.value);
        else
            own.last = std::min(own.last, p.frame.value);
    }
    return own.first < own.last ? own : r;
}

void Transport::play(int direction) {
    const Take* take = m_bench.take();
    m_direction = !take || direction == m_direction ? 0 : direction;
    if (m_direction != 0) {
        const Range r = range();
        const int at = m_bench.frame();
        if (m_direction > 0 && (at >= r.last || at < r.first))
            m_bench.setFrame(r.first);
        if (m_direction < 0 && (at <= r.first || at > r.last))
            m_bench.setFrame(r.last);
        restart();
        m_timer.start();
    } else {
        m_timer.stop();
    }
    m_back->setChecked(m_direction < 0);
    m_forth->setChecked(m_direction > 0);
}

void Transport::restart() {
    if (!m_bench.take())
        return;
    m_clock.restart();
    m_last = m_bench.frame();
    m_from = timebaseOf(*m_bench.take()).media(FrameIndex(m_last)).value;
}

void Transport::tick() {
    const Take* take = m_bench.take();
    if (!take || take->times.size() < 2) {
        play(0);
        return;
    }
    const auto& times = take->times;
    const Range r = range();
    // Real time to the file's: slow motion runs faster in the file than what is shown of it.
    const double fileRate = static_cast<double>(times.size() - 1) / (times.back() - times.front());
    const double slow = take->captureRate ? *take->captureRate / fileRate : 1.0;
    const double t = m_from + m_direction * static_cast<double>(m_clock.nsecsElapsed()) * 1e-9 * speed() * slow;
    // The last frame that was begun by then.
    int frame = static_cast<int>(std::upper_bound(times.begin(), times.end(), t + 1e-9) - times.begin()) - 1;
    const bool over = m_direction > 0 ? frame > r.last || t > times.back() : frame < r.first || t < 0.0;
    frame = std::clamp(frame, r.first, r.last);
    if (over) {
        if (!m_loop->isChecked()) {
            m_last = frame;
            m_bench.setFrame(frame);
            play(m_direction); // stops
            return;
        }
        frame = m_direction > 0 ? r.first : r.last;
        m_last = frame;
        m_bench.setFrame(frame);
        restart();
        return;
    }
    m_last = frame;
    m_bench.setFrame(frame);
}

void Transport::refresh() {
    const Take* take = m_bench.take();
    if (!take || take->times.empty()) {
        m_where->clear();
        return;
    }
    const int frame = m_bench.frame();
    // A step costs nothing here: no Timebase of the whole take is made for a label.
    const auto& times = take->times;
    const auto at = static_cast<std::size_t>(std::clamp(frame, 0, static_cast<int>(times.size()) - 1));
    QString words = tr("frame %1 of %2").arg(frame + 1).arg(times.size());
    if (times.size() < 2) {
        m_where->setText(words);
        return;
    }
    const double fileRate = static_cast<double>(times.size() - 1) / (times.back() - times.front());
    const double slow = take->captureRate ? *take->captureRate / fileRate : 1.0;
    const double period = (at + 1 < times.size() ? times[at + 1] - times[at] : times[at] - times[at - 1]) / slow;
    words += tr("  ·  %1 s ± %2 ms")
                 .arg(shownFigure(times[at] / slow, 3))
                 .arg(shownFigure(1000 * period / std::sqrt(12.0), 1));
    words += take->captureRate
                 ? tr("  ·  decides from %1 ms on").arg(shownFigure(1000 * 1.96 * period / std::sqrt(6.0), 1))
                 : tr("  ·  the capture rate is not set: seconds of the file");
    m_where->setText(words);
}

} // namespace riflesso
