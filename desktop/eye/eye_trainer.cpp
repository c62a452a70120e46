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

#include <QGridLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPainter>
#include <QRandomGenerator>
#include <QStandardPaths>
#include <QtConcurrent/QtConcurrentRun>

#include <algorithm>
#include <cmath>
#include <map>
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
    m_no = new QPushButton;
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
    m_chips = new QWidget;
    m_chips->setObjectName("eyeChips");
    (new QGridLayout(m_chips))->setContentsMargins(0, 0, 0, 0);
    m_sizes = new QWidget;
    m_sizes->setObjectName("eyeSizes");
    (new QHBoxLayout(m_sizes))->setContentsMargins(0, 0, 0, 0);
    all->addWidget(m_chips);
    all->addWidget(m_sizes);
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
        m_faultBox->addItem(tr("any of them: which one is it?"), kAnyFault);
        for (const auto& [id, meaning] : faultsOf(m_technique))
            if (meaning.find("no fault") == std::string::npos)
                m_faultBox->addItem(faultWords(spoken, id), q(id));
    }
    if (const int i = m_faultBox->findData(fault); i >= 0)
        m_faultBox->setCurrentIndex(i);
    m_fault = m_faultBox->currentData().toString().toStdString();
    m_any.clear();
    if (m_fault == kAnyFault)
        for (int i = 1; i < m_faultBox->count(); ++i)
            m_any.push_back(m_faultBox->itemData(i).toString().toStdString());
    pickFault();
    begin();
}

// Of several the one that was looked at least so far, and its sizes.
void EyeTrainer::pickFault() {
    if (!m_any.empty()) {
        std::mt19937 random(++m_seed);
        std::vector<std::string> order = m_any;
        std::shuffle(order.begin(), order.end(), random);
        std::map<std::string, std::size_t> looks;
        for (const auto& s : m_sessions)
            if (s.technique == m_technique)
                looks[s.fault] += s.looks.size();
        // Nobody can count out which one comes: one of those that lead by two looks at most.
        std::size_t fewest = looks[order.front()];
        for (const auto& fault : order)
            fewest = std::min(fewest, looks[fault]);
        m_fault =
            *std::find_if(order.begin(), order.end(), [&](const auto& fault) { return looks[fault] <= fewest + 2; });
    }
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
}

void EyeTrainer::begin() {
    *m_stop = true; // a rep of what was chosen before is of no use
    m_making.waitForFinished();
    m_stop = std::make_shared<std::atomic<bool>>(false);
    m_sitting = m_sessions.size(); // what is answered from now on goes into sessions of its own
    m_told.clear();
    m_sizing = false;
    m_waiting = true;
    m_answered = true;
    make();
    fillAnswers();
    say();
}

const OwnEye::Measure* EyeTrainer::ownMeasure() const {
    for (const auto& m : m_own.measures)
        if (own() && m.id == m_fault.substr(kOwnPrefix.size()))
            return &m;
    return nullptr;
}

Staircase EyeTrainer::staircase(const std::string& fault, const FaultRange& sizes) const {
    return staircaseOf(m_sessions, m_technique, fault, sizes.smallest, sizes.largest);
}

void EyeTrainer::make() {
    const double next = staircase(m_fault, m_range).next();
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

std::vector<EyeSession>::iterator EyeTrainer::sessionOf(const std::string& fault) {
    return std::find_if(m_sessions.begin() + static_cast<std::ptrdiff_t>(m_sitting), m_sessions.end(),
                        [&](const EyeSession& s) { return s.fault == fault; });
}

// Each answer is kept at once, in this sitting's session of its fault.
void EyeTrainer::keep(const std::string& fault, FaultLook look) {
    auto session = sessionOf(fault);
    if (session == m_sessions.end()) {
        const auto other = fault == m_fault ? Result<FaultRange>(m_range) : rangeOf(m_technique, fault);
        if (!other)
            return;
        session = m_sessions.insert(session, {m_today, m_technique, fault, other->smallest, other->largest, {}});
    }
    session->looks.push_back(look);
    write();
}

void EyeTrainer::write() {
    const auto done = keepEyeSessions(m_file, m_sessions);
    m_problem = done ? QString() : q(done.error().text()) + "\n";
}

void EyeTrainer::answer(bool seen) {
    answer(seen ? m_fault : std::string());
}

void EyeTrainer::answer(const std::string& fault) {
    if (!ready())
        return;
    m_answered = true;
    const bool there = m_size > 0.0;
    if (there && fault == m_fault) {
        keep(m_fault, {m_size, true, {}}); // also when nobody says how large it was
        m_sizing = true;                   // its size is told only after it was guessed
        fillAnswers();
        say();
        return;
    }
    const auto name = [this](const std::string& id) { return m_faultBox->itemText(m_faultBox->findData(q(id))); };
    if (there || fault == m_fault || fault.empty())
        keep(m_fault, {m_size, fault == m_fault, {}});
    if (!fault.empty() && fault != m_fault)
        keep(fault, {0.0, true, {}}); // it was called where it was not
    m_told = there           ? (m_any.empty() ? tr("It was there: %1. ").arg(shownSize(m_size))
                                              : tr("It was %1: %2. ").arg(name(m_fault), shownSize(m_size)))
             : fault.empty() ? tr("Right, there was nothing. ")
                             : tr("There was nothing. ");
    nextRep();
}

void EyeTrainer::sized(int choice) {
    if (!m_sizing)
        return;
    m_sizing = false;
    const auto sizes = sizeChoices(m_range.smallest, m_range.largest);
    m_told = tr("Yes, it was there: %1. ").arg(shownSize(m_size));
    if (choice >= 0 && choice < std::ssize(sizes)) {
        const double guessed = sizes[static_cast<std::size_t>(choice)];
        sessionOf(m_fault)->looks.back().guessed = guessed; // of the look that was kept a moment ago
        write();
        m_told = tr("Yes, it was there: %1; you said %2. ").arg(shownSize(m_size), shownSize(guessed));
    }
    nextRep();
}

void EyeTrainer::nextRep() {
    m_waiting = true;
    pickFault();
    make();
    fillAnswers();
    say();
}

QString EyeTrainer::shownSize(double size) const {
    return q(shortFigure(size * m_range.shown, 2)) + q(m_range.shownUnit);
}

// What can be answered now: whether it was there, which one it was, or how large.
void EyeTrainer::fillAnswers() {
    const auto button = [this](const QString& text, const QString& name) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setAutoDefault(false);
        b->setFocusPolicy(Qt::NoFocus); // the keys belong to the trainer
        return b;
    };
    auto* chips = static_cast<QGridLayout*>(m_chips->layout());
    clearLayout(chips);
    for (int i = 0; i < std::ssize(m_any); ++i) {
        auto* b = button(tr("%1 (%2)").arg(m_faultBox->itemText(i + 1)).arg(i + 1), QString("eyeChip%1").arg(i + 1));
        chips->addWidget(b, i / 2, i % 2);
        connect(b, &QPushButton::clicked, this, [this, id = m_any[static_cast<std::size_t>(i)]] { answer(id); });
    }
    auto* sizes = static_cast<QHBoxLayout*>(m_sizes->layout());
    clearLayout(sizes);
    if (m_sizing) {
        sizes->addWidget(new QLabel(tr("How large was it?")));
        const auto all = sizeChoices(m_range.smallest, m_range.largest);
        for (int i = 0; i < std::ssize(all); ++i) {
            auto* b = button(tr("%1 (%2)").arg(shownSize(all[static_cast<std::size_t>(i)])).arg(i + 1),
                             QString("eyeSize%1").arg(i + 1));
            sizes->addWidget(b, 1);
            connect(b, &QPushButton::clicked, this, [this, i] { sized(i); });
        }
        auto* open = button(tr("cannot say (Return)"), "eyeSizeOpen");
        sizes->addWidget(open);
        connect(open, &QPushButton::clicked, this, [this] { sized(-1); });
    }
    m_chips->setVisible(!m_any.empty() && !m_sizing);
    m_sizes->setVisible(m_sizing);
    m_yes->setVisible(m_any.empty() && !m_sizing);
    m_no->setVisible(!m_sizing);
    m_no->setText(m_any.empty() ? tr("It was not there (N)") : tr("None of them (N)"));
}

// From which size it is seen, of one fault or, where any may be there, of each with looks enough.
QString EyeTrainer::standing() const {
    constexpr int kEnough = 12; // looks
    if (!m_any.empty()) {
        QStringList seen;
        int looks = 0;
        for (int i = 0; i < std::ssize(m_any); ++i) {
            const std::string& fault = m_any[static_cast<std::size_t>(i)];
            const auto range = rangeOf(m_technique, fault);
            if (!range)
                continue;
            const Staircase s = staircase(fault, *range);
            looks += s.looks();
            if (s.looks() < kEnough)
                continue;
            const QString size = q(shortFigure(s.threshold() * range->shown, 2)) + q(range->shownUnit);
            seen << (s.blind() ? tr("%1 hardly ever: let the film decide").arg(m_faultBox->itemText(i + 1))
                               : tr("%1 from %2 on").arg(m_faultBox->itemText(i + 1), size));
        }
        return seen.isEmpty()
                   ? tr("%1 looks so far; from 12 of a fault on stands here from which size you see it.").arg(looks)
                   : tr("You see: %1. (%2 looks)").arg(seen.join("; ")).arg(looks);
    }
    const Staircase s = staircase(m_fault, m_range);
    QString words;
    if (s.looks() < kEnough)
        words = tr("%1 looks so far; from 12 on stands here from which size you see it.").arg(s.looks());
    else if (s.blind())
        words = tr("You hardly ever see this one, up to %1: let the film decide. (%2 looks)")
                    .arg(shownSize(m_range.largest))
                    .arg(s.looks());
    else
        words = tr("You see it from %1 on (%2 to %3); where there was nothing you called it in %4 %. (%5 looks)")
                    .arg(shownSize(s.threshold()), shownSize(s.interval().lo), shownSize(s.interval().hi))
                    .arg(shownFigure(100.0 * s.falseAlarms(), 0))
                    .arg(s.looks());
    if (const auto bias = sizeBias(s.history())) {
        const QString about = tr("%1 to %2").arg(shownFigure(bias->interval.lo, 2), shownFigure(bias->interval.hi, 2));
        words += bias->over()
                     ? tr(" You take it for larger than it is: %1 times (%2).").arg(shownFigure(bias->ratio, 2), about)
                 : bias->under()
                     ? tr(" You take it for smaller than it is: %1 times (%2).").arg(shownFigure(bias->ratio, 2), about)
                     : tr(" Your sizes are right on average (%1 times).").arg(about);
    }
    return words;
}

void EyeTrainer::say() {
    QString words = m_told;
    if (m_sizing)
        words = tr("Yes, it was there.");
    else if (m_told.isEmpty() && (!m_any.empty() || staircase(m_fault, m_range).looks() == 0))
        words +=
            m_any.empty()
                ? tr("A rep is shown once, at film speed. Say whether the fault was there. One in four is without it.")
                : tr("A rep is shown once, at film speed. Say which fault it has, if any.");
    else
        words += standing();
    if (m_waiting)
        words += tr("\nThe next rep comes …");
    m_state->setText(m_problem + words);
    for (auto* b : {m_yes, m_no, m_again})
        b->setEnabled(!m_answered);
    m_again->setEnabled(!m_answered || m_sizing);
    m_chips->setEnabled(!m_answered);
}

void EyeTrainer::keyPressEvent(QKeyEvent* e) {
    const int digit = e->key() - Qt::Key_1;
    if (m_sizing && digit >= 0 && digit < 5)
        sized(digit);
    else if (m_sizing && (e->key() == Qt::Key_Return || e->key() == Qt::Key_Enter))
        sized(-1);
    else if (!m_any.empty() && digit >= 0 && digit < std::min<int>(9, static_cast<int>(m_any.size())))
        answer(m_any[static_cast<std::size_t>(digit)]);
    else if (e->key() == Qt::Key_Y && m_any.empty())
        answer(true);
    else if (e->key() == Qt::Key_N)
        answer(false);
    else if (e->key() == Qt::Key_Space)
        m_again->click();
    else
        QDialog::keyPressEvent(e);
}

} // namespace riflesso
