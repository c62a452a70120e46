#include "desktop/eye/eye_trainer.h"

#include "casebook/film_verdicts.h"
#include "casebook/shipped.h"
#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/language.h"
#include "desktop/theme/theme.h"
#include "desktop/workbench/simulated_pair.h"
#include "footage/film.h"
#include "handover/pictures.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPainter>
#include <QRandomGenerator>
#include <QStandardPaths>
#include <QtConcurrent/QtConcurrentRun>

#include <algorithm>
#include <cmath>
#include <random>

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

constexpr int kMostPictures = 150; // of a rep that is looked at

// A rep of a film, as large as the glass.
Result<std::vector<QImage>> picturesOf(const OwnEye::Rep& rep, const std::filesystem::path& index, int height,
                                       const std::atomic<bool>& stop) {
    Film::Options options;
    options.indexFolder = index;
    auto film = Film::open(rep.film, options);
    if (!film)
        return film.error();
    std::vector<QImage> out;
    for (const FrameIndex f : rep.frames) {
        if (stop)
            return Error{{}, {}, {}, {}, ErrorKind::cancelled};
        const auto decoded = (*film)->decoded(f);
        if (!decoded)
            return decoded.error();
        const double scale = static_cast<double>(height) / (*decoded)->height();
        ShowOptions show;
        show.longestSide = static_cast<int>(std::lround(scale * std::max((*decoded)->width(), (*decoded)->height())));
        auto picture = (*decoded)->toPicture(show);
        if (!picture)
            return picture.error();
        out.push_back(imageOf(std::move(*picture)));
    }
    return out;
}

// As the technique calls it; what only the simulator knows has a word of its own.
QString faultWords(const Blueprint& technique, const std::string& simulated) {
    for (const auto& f : technique.faults)
        if (simulatedFault(technique.id, f.id) == simulated)
            return q(f.name);
    std::string words = simulated;
    std::replace(words.begin(), words.end(), '_', ' ');
    return shownWord(words);
}

} // namespace

OwnEye ownEyeOf(const Workbench& bench) {
    OwnEye out;
    const CaseData& data = bench.data();
    const std::string athlete = data.brief.athlete.name;
    out.name = EyeTrainer::tr("Own films: %1").arg(athlete.empty() ? q(bench.blueprint().name) : q(athlete));
    out.technique = bench.blueprint().id;
    out.index = bench.book().library().indexFolder();
    for (const auto& [id, reps] : sureReps(data, bench.blueprint(), bench.analysis())) {
        OwnEye::Measure m{id, q(bench.blueprint().measure(id)->definition.name), {}};
        for (const SureRep& sure : reps) {
            const Rep& rep = data.reps.at(sure.rep);
            const Take& take = data.takes.at(rep.take);
            const auto [first, last] = spanOf(data, rep);
            const Timebase time = timebaseOf(take);
            const int all = last - first + 1;
            const double seconds = time.captureKnown() ? time.real(last).value - time.real(first).value
                                                       : take.times[static_cast<std::size_t>(last.value)] -
                                                             take.times[static_cast<std::size_t>(first.value)];
            if (all < 2 || !(seconds > 0.0))
                continue;
            const int step = std::max(1, (all + kMostPictures - 1) / kMostPictures);
            OwnEye::Rep one{bench.filmPath(take).toStdString(), {}, (all - 1) / seconds / step, sure.beyond};
            for (FrameIndex f = first; f <= last; f = f + step)
                one.frames.push_back(f);
            m.reps.push_back(std::move(one));
        }
        const auto beyond = std::count_if(m.reps.begin(), m.reps.end(), [](const auto& r) { return r.beyond > 0.0; });
        if (beyond > 0 && beyond < std::ssize(m.reps)) // a rep of either kind can be asked for
            out.measures.push_back(std::move(m));
    }
    return out;
}

std::filesystem::path EyeTrainer::scoresFile() {
    return (QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + "/eye.json").toStdString();
}

EyeTrainer::EyeTrainer(const std::filesystem::path& file, Day today, QWidget* parent, int height, OwnEye own)
    : QDialog(parent), m_file(file), m_today(today), m_height(height), m_own(std::move(own)) {
    setObjectName("eyeTrainer");
    setWindowTitle(tr("Your own eye"));
    resize(900, 640);
    m_techniqueBox = new QComboBox;
    m_techniqueBox->setObjectName("eyeTechnique");
    m_techniqueBox->setAccessibleName(tr("Technique"));
    for (const auto& id : shippedBlueprintIds())
        if (!faultsOf(id).empty())
            m_techniqueBox->addItem(q(asSpoken(*shippedBlueprint(id)).name), q(id));
    if (!m_own.measures.empty())
        m_techniqueBox->addItem(m_own.name, kOwnFilms);
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
        m_picture = m_shown.frames[m_at++];
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
    const bool own = technique == kOwnFilms;
    m_technique = own ? m_own.technique : technique.toStdString();
    m_techniqueBox->setCurrentIndex(m_techniqueBox->findData(technique));
    m_faultBox->clear();
    if (own)
        for (const auto& m : m_own.measures)
            m_faultBox->addItem(m.name, q(std::string(kOwnPrefix) + m.id));
    else if (const auto blueprint = shippedBlueprint(m_technique)) {
        const Blueprint spoken = asSpoken(*blueprint);
        for (const auto& [id, meaning] : faultsOf(m_technique))
            if (meaning.find("no fault") == std::string::npos)
                m_faultBox->addItem(faultWords(spoken, id), q(id));
    }
    if (const int i = m_faultBox->findData(fault); i >= 0)
        m_faultBox->setCurrentIndex(i);
    m_fault = m_faultBox->currentData().toString().toStdString();
    if (const OwnEye::Measure* m = ownMeasure()) {
        m_range = {1e9, 0.0, {}, 100.0, tr(" % of the tolerance").toStdString()};
        for (const auto& rep : m->reps)
            if (rep.beyond > 0.0) {
                m_range.smallest = std::min(m_range.smallest, std::max(0.01, rep.beyond));
                m_range.largest = std::max(m_range.largest, 1.01 * rep.beyond);
            }
    } else if (const auto range = rangeOf(m_technique, m_fault)) {
        m_range = *range;
    }
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

const OwnEye::Measure* EyeTrainer::ownMeasure() const {
    for (const auto& m : m_own.measures)
        if (own() && m.id == m_fault.substr(kOwnPrefix.size()))
            return &m;
    return nullptr;
}

void EyeTrainer::make() {
    const double next = staircaseOf(m_sessions, m_technique, m_fault).next();
    if (const OwnEye::Measure* m = ownMeasure()) {
        // One of those that are there: without the fault when that is wanted, else the nearest size, and not always
        // the same rep of several that are as near.
        std::vector<const OwnEye::Rep*> fit;
        for (const auto& rep : m->reps)
            if ((rep.beyond > 0.0) == (next > 0.0))
                fit.push_back(&rep);
        std::mt19937 random(++m_seed);
        std::shuffle(fit.begin(), fit.end(), random);
        std::stable_sort(fit.begin(), fit.end(), [next](const auto* a, const auto* b) {
            return std::abs(a->beyond - next) < std::abs(b->beyond - next);
        });
        const std::size_t among = std::min<std::size_t>(3, fit.size());
        m_making.setFuture(
            QtConcurrent::run([rep = *fit[random() % among], index = m_own.index, height = m_height, stop = m_stop] {
                auto pictures = picturesOf(rep, index, 2 * height, *stop); // films hold more than drawings
                return pictures ? Made{std::move(*pictures), rep.rate, rep.beyond, {}}
                                : Made{{}, 30.0, rep.beyond, q(pictures.error().text())};
            }));
        return;
    }
    m_making.setFuture(QtConcurrent::run(
        [technique = m_technique, fault = m_fault, next, seed = ++m_seed, height = m_height, stop = m_stop] {
            auto trial = eyeTrial(technique, fault, next, seed, height, [stop] { return !*stop; });
            Made made{{}, trial ? trial->rate : 30.0, next, trial ? QString() : q(trial.error().text())};
            if (trial)
                for (auto& frame : trial->frames)
                    made.frames.push_back(imageOf(std::move(frame)));
            return made;
        }));
}

void EyeTrainer::showNext() {
    m_waiting = false;
    Made made = m_making.result();
    if (!made.problem.isEmpty()) {
        m_state->setText(made.problem);
        return;
    }
    m_shown = std::move(made);
    m_size = m_shown.size;
    m_clock.setInterval(std::max(8, static_cast<int>(std::lround(1000.0 / m_shown.rate))));
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
