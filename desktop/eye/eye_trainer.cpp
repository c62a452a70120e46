#include "desktop/eye/eye_trainer.h"

#include "casebook/shipped.h"
#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/language.h"
#include "desktop/theme/theme.h"
#include "handover/pictures.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPainter>
#include <QRandomGenerator>
#include <QStandardPaths>
#include <QtConcurrent/QtConcurrentRun>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

class EyeGlass : public QWidget {
public:
    explicit EyeGlass(const QImage& picture) : m_shown(picture) {
        setMinimumSize(480, 270);
        setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
        setAccessibleName(EyeTrainer::tr("A simulated rep"));
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.fillRect(rect(), theme().stage);
        p.setRenderHint(QPainter::SmoothPixmapTransform);
        if (m_shown.isNull())
            return;
        const QSizeF fits = QSizeF(m_shown.size()).scaled(QSizeF(size()), Qt::KeepAspectRatio);
        p.drawImage(QRectF(QPointF((width() - fits.width()) / 2, (height() - fits.height()) / 2), fits), m_shown);
    }

private:
    const QImage& m_shown;
};

// "s by which the hand starts too late" becomes "by which the hand starts too late".
QString faultWords(const std::string& id, const std::string& meaning) {
    return QString("%1 (%2)").arg(q(id).replace('_', ' '), q(meaning));
}

} // namespace

std::filesystem::path EyeTrainer::scoresFile() {
    return (QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + "/eye.json").toStdString();
}

EyeTrainer::EyeTrainer(const std::filesystem::path& file, Day today, QWidget* parent, int height)
    : QDialog(parent), m_file(file), m_today(today), m_height(height) {
    setObjectName("eyeTrainer");
    setWindowTitle(tr("Your own eye"));
    resize(900, 640);
    m_techniqueBox = new QComboBox;
    m_techniqueBox->setObjectName("eyeTechnique");
    m_techniqueBox->setAccessibleName(tr("Technique"));
    for (const auto& id : shippedBlueprintIds())
        if (!faultsOf(id).empty())
            m_techniqueBox->addItem(q(asSpoken(*shippedBlueprint(id)).name), q(id));
    m_faultBox = new QComboBox;
    m_faultBox->setObjectName("eyeFault");
    m_faultBox->setAccessibleName(tr("Fault"));
    m_glass = new EyeGlass(m_picture);
    m_state = wrapped({});
    m_state->setMinimumHeight(64);
    m_yes = new QPushButton(tr("I saw it (Y)"));
    m_yes->setObjectName("eyeYes");
    m_no = new QPushButton(tr("It was not there (N)"));
    m_no->setObjectName("eyeNo");
    m_again = new QPushButton(tr("Once more (Space)"));
    auto* close = new QPushButton(tr("Close"));
    for (auto* b : {m_yes, m_no, m_again, close})
        b->setAutoDefault(false);
    auto* top = new QHBoxLayout;
    top->addWidget(m_techniqueBox, 1);
    top->addWidget(m_faultBox, 2);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(m_yes);
    buttons->addWidget(m_no);
    buttons->addWidget(m_again);
    buttons->addStretch(1);
    buttons->addWidget(close);
    auto* all = new QVBoxLayout(this);
    all->addLayout(top);
    all->addWidget(m_glass, 1);
    all->addWidget(m_state);
    all->addLayout(buttons);
    m_clock.setInterval(33);
    connect(&m_clock, &QTimer::timeout, this, [this] {
        if (m_at >= m_shown.frames.size()) {
            m_clock.stop();
            return;
        }
        m_picture = imageOf(m_shown.frames[m_at++]);
        m_glass->update();
    });
    connect(m_techniqueBox, &QComboBox::activated, this,
            [this] { choose(m_techniqueBox->currentData().toString(), {}); });
    connect(m_faultBox, &QComboBox::activated, this,
            [this] { choose(m_techniqueBox->currentData().toString(), m_faultBox->currentData().toString()); });
    connect(m_yes, &QPushButton::clicked, this, [this] { answer(true); });
    connect(m_no, &QPushButton::clicked, this, [this] { answer(false); });
    connect(m_again, &QPushButton::clicked, this, [this] {
        m_at = 0;
        m_clock.start();
    });
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    connect(&m_making, &QFutureWatcherBase::finished, this, [this] {
        if (m_waiting)
            showNext();
    });
    if (auto kept = readEyeSessions(m_file))
        m_sessions = std::move(*kept);
    else
        m_state->setText(q(kept.error().text()));
    m_seed = QRandomGenerator::global()->generate();
    choose(m_techniqueBox->currentData().toString(), {});
}

EyeTrainer::~EyeTrainer() {
    *m_stop = true;
    m_making.waitForFinished();
}

void EyeTrainer::choose(const QString& technique, const QString& fault) {
    m_technique = technique.toStdString();
    m_techniqueBox->setCurrentIndex(m_techniqueBox->findData(technique));
    m_faultBox->clear();
    for (const auto& [id, meaning] : faultsOf(m_technique))
        m_faultBox->addItem(faultWords(id, meaning), q(id));
    if (const int i = m_faultBox->findData(fault); i >= 0)
        m_faultBox->setCurrentIndex(i);
    m_fault = m_faultBox->currentData().toString().toStdString();
    if (const auto range = rangeOf(m_technique, m_fault))
        m_range = *range;
    begin();
}

void EyeTrainer::begin() {
    *m_stop = true; // a rep of what was chosen before is of no use
    m_making.waitForFinished();
    m_stop = std::make_shared<std::atomic<bool>>(false);
    m_sessions.push_back({m_today, m_technique, m_fault, m_range.smallest, m_range.largest, {}});
    m_waiting = true;
    m_answered = true;
    make();
    say();
}

void EyeTrainer::make() {
    const double next = staircaseOf(m_sessions, m_technique, m_fault).next();
    m_making.setFuture(QtConcurrent::run(
        [technique = m_technique, fault = m_fault, next, seed = ++m_seed, height = m_height, stop = m_stop] {
            auto trial = eyeTrial(technique, fault, next, seed, height, [stop] { return !*stop; });
            return trial ? Made{std::move(*trial), next, {}} : Made{{}, next, q(trial.error().text())};
        }));
}

void EyeTrainer::showNext() {
    m_waiting = false;
    Made made = m_making.result();
    if (!made.problem.isEmpty()) {
        m_state->setText(made.problem);
        return;
    }
    m_shown = std::move(made.trial);
    m_size = made.size;
    m_answered = false;
    m_at = 0;
    m_clock.start();
    say();
}

void EyeTrainer::answer(bool seen) {
    if (!ready())
        return;
    m_answered = true;
    m_sessions.back().looks.push_back({m_size, seen});
    std::vector<EyeSession> kept = m_sessions;
    std::erase_if(kept, [](const EyeSession& s) { return s.looks.empty(); });
    if (const auto done = keepEyeSessions(m_file, kept); !done)
        m_state->setText(q(done.error().text()));
    m_waiting = true;
    make();
    say();
}

void EyeTrainer::say() {
    const Staircase s = staircaseOf(m_sessions, m_technique, m_fault);
    const auto shown = [&](double v) { return QString::number(v * m_range.shown, 'g', 2) + q(m_range.shownUnit); };
    QString words;
    if (m_answered && !m_sessions.back().looks.empty() && m_waiting) {
        const FaultLook& last = m_sessions.back().looks.back();
        words = last.size > 0.0
                    ? (last.said ? tr("Yes, it was there: %1. ") : tr("It was there: %1. ")).arg(shown(last.size))
                : last.said ? tr("There was nothing. ")
                            : tr("Right, there was nothing. ");
    }
    if (s.looks() == 0)
        words += tr("A rep is shown once, at film speed. Say whether the fault was there. One in four is without it.");
    else if (s.looks() < 12)
        words += tr("%1 looks so far; from 12 on stands here from which size you see it.").arg(s.looks());
    else if (s.blind())
        words += tr("You hardly ever see this one, up to %1: let the film decide. (%2 looks)")
                     .arg(shown(m_range.largest))
                     .arg(s.looks());
    else
        words += tr("You see it from %1 on (%2 to %3); where there was nothing you called it in %4 %. (%5 looks)")
                     .arg(shown(s.threshold()), shown(s.interval().lo), shown(s.interval().hi))
                     .arg(shownFigure(100.0 * s.falseAlarms(), 0))
                     .arg(s.looks());
    if (m_waiting)
        words += tr("\nThe next rep comes …");
    m_state->setText(words);
    for (auto* b : {m_yes, m_no, m_again})
        b->setEnabled(!m_answered);
}

void EyeTrainer::keyPressEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_Y)
        answer(true);
    else if (e->key() == Qt::Key_N)
        answer(false);
    else if (e->key() == Qt::Key_Space)
        m_again->click();
    else
        QDialog::keyPressEvent(e);
}

} // namespace riflesso
