#include "desktop/footage/panel_form.h"
#include "desktop/footage/panels.h"

#include "casebook/text.h"
#include "core/motion/rate_check.h"
#include "desktop/theme/theme.h"
#include "intake/intake.h"

#include <QGridLayout>

namespace riflesso {
namespace {

// Kept in English; a tag has a name of its own.
QString knownFrom(const std::string& kept) {
    return kept.starts_with(kFromTag) ? TimePanel::tr("the film's tag %1").arg(q(kept.substr(kFromTag.size())))
                                      : shownWord(kept);
}

} // namespace

TimePanel::TimePanel(Workbench& bench) : TakePanel(bench) {
    m_rate = new QDoubleSpinBox;
    m_rate->setObjectName("captureRate");
    m_rate->setAccessibleName(tr("Capture rate"));
    m_rate->setRange(0, 100000);
    m_rate->setDecimals(2);
    m_rate->setSuffix(tr(" Hz"));
    m_rate->setSpecialValueText(tr("not set"));
    m_rate->setToolTip(tr("How many pictures a second the camera really took. Slow motion plays them slower: every "
                          "time and speed is wrong until this is right."));
    m_from = wrapped({}, "quiet");
    m_decides = wrapped({});
    m_kind = new QComboBox;
    m_kind->addItems({tr("a stopwatch in the picture"), tr("a ball that falls")});
    m_kind->setObjectName("rateCheck");
    m_first = new QDoubleSpinBox;
    m_second = new QDoubleSpinBox;
    for (auto* s : {m_first, m_second}) {
        s->setRange(0.0, 100000.0);
        s->setDecimals(3);
        s->setSuffix(" s");
    }
    m_first->setObjectName("checkFirst");
    m_second->setObjectName("checkSecond");
    auto* a = new QPushButton(tr("First moment is here"));
    auto* b = new QPushButton(tr("Second moment is here"));
    a->setObjectName("checkA");
    b->setObjectName("checkB");
    m_frames = wrapped({}, "quiet");
    m_answer = wrapped({});
    m_answer->setObjectName("rateAnswer");
    m_use = new QPushButton(tr("Use this rate"));
    m_use->setObjectName("useRate");
    auto* f = form();
    f->addRow(tr("Capture rate"), m_rate);
    m_camera = new QLineEdit;
    m_camera->setObjectName("filmedWith");
    m_camera->setPlaceholderText(tr("none in particular"));
    m_camera->setAccessibleName(tr("Camera"));
    m_camera->setToolTip(tr("Give the cameras names when you use two: what one reads more than the other is then taken "
                            "off in Progress, once both have filmed three reps from the same side and the films are "
                            "locked."));
    f->addRow(tr("Camera"), m_camera);
    connect(m_camera, &QLineEdit::editingFinished, this, [this] {
        change(tr("name the camera"), [this](Take& t) { t.filmedWith = m_camera->text().trimmed().toStdString(); });
    });
    m_all->addLayout(f);
    m_all->addWidget(m_from);
    m_ordinary = new QPushButton;
    m_ordinary->setObjectName("ordinaryRate");
    m_ordinaryDay = new QPushButton(tr("… and all of this day (Shift+H)"));
    m_ordinaryDay->setObjectName("ordinaryRateDay");
    m_all->addWidget(m_ordinary);
    m_all->addWidget(m_ordinaryDay);
    connect(m_ordinary, &QPushButton::clicked, this, [this] { asTheFileSays(false); });
    connect(m_ordinaryDay, &QPushButton::clicked, this, [this] { asTheFileSays(true); });
    m_all->addWidget(m_decides);
    m_all->addSpacing(6);
    auto* title = wrapped(tr("Check it by"), "strong");
    m_all->addWidget(title);
    m_all->addWidget(m_kind);
    auto* grid = new QGridLayout;
    grid->addWidget(a, 0, 0);
    grid->addWidget(m_first, 0, 1);
    grid->addWidget(b, 1, 0);
    grid->addWidget(m_second, 1, 1);
    m_all->addLayout(grid);
    m_all->addWidget(m_frames);
    m_all->addWidget(m_answer);
    m_all->addWidget(m_use);
    m_all->addStretch();
    connect(a, &QPushButton::clicked, this, [this] {
        m_a = m_bench.frame();
        check();
    });
    connect(b, &QPushButton::clicked, this, [this] {
        m_b = m_bench.frame();
        check();
    });
    connectAll();
}

void TimePanel::connectAll() {
    connect(m_rate, &QDoubleSpinBox::editingFinished, this, [this] {
        change(tr("set the capture rate"), [this](Take& t) {
            const auto rate = m_rate->value() > 0 ? std::optional(m_rate->value()) : std::nullopt;
            if (rate != t.captureRate)
                t.captureFrom = rate ? "stated by the analyst" : "";
            t.captureRate = rate;
        });
    });
    connect(m_kind, &QComboBox::currentIndexChanged, this, [this](int fall) {
        m_first->setSuffix(fall ? " m" : " s");
        m_second->setVisible(!fall);
        m_first->setToolTip(fall ? tr("From how high it was let go.") : tr("What the watch shows there."));
        check();
    });
    connect(m_first, &QDoubleSpinBox::valueChanged, this, [this] { check(); });
    connect(m_second, &QDoubleSpinBox::valueChanged, this, [this] { check(); });
    connect(m_use, &QPushButton::clicked, this, [this] {
        const bool fall = m_kind->currentIndex() == 1;
        change(tr("set the capture rate"), [&](Take& t) {
            t.captureRate = m_found;
            t.captureFrom = fall ? "a falling ball" : "a stopwatch in the picture";
        });
    });
}

void TimePanel::asTheFileSays(bool wholeDay) {
    const Take* take = m_bench.take();
    if (!take)
        return;
    std::vector<Edit> edits;
    for (const auto& [id, t] : m_bench.data().takes) {
        const double rate = timebaseOf(t).fileRate().value;
        if ((id != take->id && !(wholeDay && t.day == take->day)) || t.captureRate || !(rate > 0.0))
            continue;
        Take now = t;
        now.captureRate = rate;
        now.captureFrom = "an ordinary film: as the file says";
        edits.push_back(TakeEdit{id, t, now});
    }
    if (edits.empty())
        emit said(tr("The capture rate is set already."));
    else
        m_bench.book().perform(tr("set the capture rate"), std::move(edits));
}

void TimePanel::check() {
    const Take* take = m_bench.take();
    m_use->setVisible(false);
    const bool fall = m_kind->currentIndex() == 1;
    m_frames->setText(
        m_a < 0 || m_b < 0
            ? (fall ? tr("Step to the last frame on which the ball is held, then to the first on which it has "
                         "landed, and say so.")
                    : tr("Step to two frames that show the running watch, say so and read it."))
            : tr("frame %1 to frame %2: %3 apart").arg(m_a + 1).arg(m_b + 1).arg(m_b - m_a));
    m_answer->clear();
    if (!take || m_a < 0 || m_b <= m_a || !(m_first->value() > 0.0 || !fall))
        return;
    const Hertz stated(take->captureRate.value_or(timebaseOf(*take).fileRate().value));
    const auto c = fall ? fallCheck(m_first->value(), 0.01, m_b - m_a, stated)
                        : stopwatchCheck(m_b - m_a, m_second->value() - m_first->value(), 0.01);
    if (!c) {
        m_answer->setText(q(c.error().text()));
        return;
    }
    m_found = c->rate.value;
    QString words =
        tr("The camera took %1 ± %2 pictures a second.").arg(shownFigure(c->rate.value, 1)).arg(shownFigure(c->u, 1));
    if (fall)
        words += tr(" At the rate set now the ball would fall with %1 ± %2 m/s² instead of 9.81.")
                     .arg(shownFigure(c->g, 2))
                     .arg(shownFigure(c->uG, 2));
    if (take->captureRate)
        words += c->agrees(Hertz(*take->captureRate)) ? tr(" That agrees with what is set.")
                                                      : tr(" That does not agree with what is set.");
    m_answer->setText(words);
    m_use->setVisible(!take->captureRate || !c->agrees(Hertz(*take->captureRate)));
}

void TimePanel::refresh() {
    const Take* take = m_bench.take();
    setEnabled(take);
    if (!take)
        return;
    if (take->id != m_take) {
        m_take = take->id;
        m_a = m_b = -1;
    }
    m_filling = true;
    m_rate->setValue(take->captureRate.value_or(0.0));
    if (!m_camera->hasFocus())
        m_camera->setText(q(take->filmedWith));
    m_from->setText(!take->captureRate ? tr("Nobody has said it yet. Look at the camera's settings, or check it below.")
                    : take->captureFrom.empty() ? QString()
                                                : tr("Known from: %1.").arg(knownFrom(take->captureFrom)));
    const Timebase time = timebaseOf(*take);
    const FrameIndex middle(time.frames() / 2);
    m_ordinary->setText(
        tr("No slow motion: as the file says, %1 Hz (H)").arg(q(shortFigure(time.fileRate().value, 4))));
    m_ordinary->setVisible(!take->captureRate);
    int others = 0;
    for (const auto& [id, t] : m_bench.data().takes)
        others += id != take->id && t.day == take->day && !t.captureRate;
    m_ordinaryDay->setVisible(!take->captureRate && others > 0);
    m_decides->setText(
        take->captureRate
            ? tr("An instant on this film is sure to ± %1 ms, an interval to ± %2 ms. Two things less than %3 ms apart "
                 "cannot be told from simultaneous.")
                  .arg(shownFigure(1000 * time.instantError(middle), 1))
                  .arg(shownFigure(1414.2 * time.instantError(middle), 1))
                  .arg(shownFigure(1000 * time.smallestInterval(middle), 1))
            : tr("Until the capture rate is set no time or speed is judged. The file plays at %1 Hz.")
                  .arg(shownFigure(time.fileRate().value, 2)));
    m_filling = false;
    check();
}

} // namespace riflesso
