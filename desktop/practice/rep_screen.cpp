#include "desktop/practice/rep_screen.h"

#include "casebook/film_verdicts.h"
#include "casebook/text.h"
#include "core/motion/rep_finder.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"
#include "reading/read_rep.h"

#include <QDateTime>
#include <QFutureWatcher>
#include <QHBoxLayout>
#include <QPainter>
#include <QVBoxLayout>

#include <algorithm>

namespace riflesso {
namespace {

constexpr std::uintmax_t kMostBytes = 500u << 20; // of films of reps, a case

} // namespace

RepScreen::RepScreen(Workbench& bench, CameraMakers cameras, QWidget* parent)
    : QWidget(parent), m_bench(bench), m_makers(cameras.empty() ? camerasHere() : std::move(cameras)),
      m_folder(bench.book().library().practiceClips(bench.data().id)) {
    m_which = new QComboBox(this);
    m_which->setObjectName("practiceCamera");
    m_which->setAccessibleName(tr("Camera beside practice"));
    m_which->setFocusPolicy(Qt::ClickFocus);
    for (const auto& [name, make] : m_makers)
        m_which->addItem(name);
    m_cut = new QComboBox(this);
    m_cut->setObjectName("practiceCut");
    m_cut->setAccessibleName(tr("How a rep is cut"));
    m_cut->setFocusPolicy(Qt::ClickFocus);
    m_cut->addItems({tr("by movement"), tr("by sound")});
    m_cut->setItemData(0, tr("What moves between two rests is a rep."), Qt::ToolTipRole);
    m_cut->setItemData(
        1, tr("A strike that is heard (a ball, a foot, a clap) makes a rep: two seconds before it, one after."),
        Qt::ToolTipRole);
    connect(m_cut, &QComboBox::activated, this, [this](int how) { listen(how == 1 && running()); });
    m_words = new QLabel(this);
    m_words->setObjectName("quiet");
    m_words->setWordWrap(true);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    m_read = new QPushButton(tr("Measure it (M)"), this);
    m_read->setObjectName("readRep");
    m_read->setFocusPolicy(Qt::NoFocus);
    m_read->setEnabled(false);
    m_read->setToolTip(tr("Reads the focus measure from the film of the last rep: a draft, beside your own verdict."));
    connect(m_read, &QPushButton::clicked, this, &RepScreen::readWanted);
    auto* top = new QHBoxLayout;
    top->addWidget(m_which);
    top->addWidget(m_cut);
    top->addStretch();
    top->addWidget(m_read);
    all->addLayout(top);
    all->addStretch(1);
    all->addWidget(m_words);
    connect(m_which, &QComboBox::activated, this, [this] {
        if (running()) { // the other one, at once
            stop();
            start();
        }
    });
    m_play.setInterval(16);
    connect(&m_play, &QTimer::timeout, this, [this] {
        const double at = m_shown.front().time + static_cast<double>(m_clock.elapsed()) / 1000.0;
        if (at > m_shown.back().time + 0.4) { // the end stands a little
            m_play.stop();
            showNow();
            emit played();
            return;
        }
        const auto next = std::upper_bound(m_shown.begin(), m_shown.end(), at,
                                           [](double t, const LivePicture& p) { return t < p.time; });
        m_picture = imageOf(*(next == m_shown.begin() ? next : std::prev(next))->picture);
        update();
    });
}

RepScreen::~RepScreen() = default; // the camera's thread ends first: m_camera is the last member

void RepScreen::start() {
    const int i = m_which->currentIndex();
    if (i < 0 || m_camera)
        return;
    m_reps = 0;
    m_words->setText(tr("Starting …"));
    RepCamera::Callbacks back;
    back.picture = gathered(this, [this] { showNow(); });
    back.rep = [this](std::vector<LivePicture> pictures) {
        QMetaObject::invokeMethod(
            this, [this, pictures = std::move(pictures)]() mutable { seen(std::move(pictures)); },
            Qt::QueuedConnection);
    };
    back.failed = [this](const std::string& why) {
        QMetaObject::invokeMethod(
            this,
            [this, why] {
                stop();
                m_words->setText(q(why));
            },
            Qt::QueuedConnection);
    };
    m_camera = std::make_unique<RepCamera>(m_makers[static_cast<std::size_t>(i)].second(), back);
    m_words->setText(tr("Each rep is cut out when the stillness after it has lasted, and shown once more. It stays on "
                        "this computer. Ask before filming; a minor's guardian too."));
    listen(m_cut->currentIndex() == 1);
    emit switched(true);
}

// A strike as soon as it has been heard: the sound of the last seconds is looked through with each new piece of it.
void RepScreen::listen(bool on) {
    constexpr double kMemory = 3.0, kApart = 0.5; // s
    constexpr int kCoarser = 4;                   // strikes are told at a quarter of the rate
    m_ear.reset();
    if (m_camera)
        m_camera->cutBySound(on);
    if (!on)
        return;
    m_heard = {};
    m_heard.rate = Voice::kRate / kCoarser;
    m_heardUntil = 0.0;
    m_lastStrike = -1.0;
    m_ear = Voice::open(Voice::names().front());
    connect(m_ear.get(), &Voice::heard, this, [this](const std::vector<float>& samples) {
        for (std::size_t i = 0; i + kCoarser <= samples.size(); i += kCoarser)
            m_heard.samples.push_back((samples[i] + samples[i + 1] + samples[i + 2] + samples[i + 3]) / 4.0f);
        m_heardUntil += static_cast<double>(samples.size()) / Voice::kRate;
        const auto most = static_cast<std::size_t>(kMemory * m_heard.rate);
        if (m_heard.samples.size() > most)
            m_heard.samples.erase(m_heard.samples.begin(), m_heard.samples.end() - static_cast<std::ptrdiff_t>(most));
        const double begin = m_heardUntil - static_cast<double>(m_heard.samples.size()) / m_heard.rate;
        for (const double at : strikes(m_heard, kApart))
            if (begin + at > m_lastStrike + kApart) {
                m_lastStrike = begin + at;
                if (m_camera)
                    m_camera->struck(m_heardUntil - m_lastStrike);
            }
    });
    connect(m_ear.get(), &Voice::failed, this, [this](const QString& why) { m_words->setText(why); });
    m_ear->start();
}

void RepScreen::stop() {
    if (!m_camera)
        return;
    m_ear.reset();
    m_camera.reset();
    m_picture = {};
    m_play.stop();
    m_unjudged.clear();
    m_words->setText(tr("The camera is off."));
    update();
    emit switched(false);
}

std::string RepScreen::takeUnjudged() {
    constexpr qint64 kOld = 30000; // ms: whoever judges later judges another rep
    const std::string clip = std::exchange(m_unjudged, {});
    return m_since.isValid() && m_since.elapsed() < kOld ? clip : std::string();
}

void RepScreen::seen(std::vector<LivePicture> pictures) {
    if (!m_camera) // told before it was switched off
        return;
    ++m_reps;
    m_since.start();
    m_newest = m_unjudged = QDateTime::currentDateTime().toString("yyyy-MM-dd-HHmmss-zzz").toStdString() + ".mp4";
    auto* keep = new QFutureWatcher<std::pair<Status, std::uintmax_t>>(this);
    connect(keep, &QFutureWatcherBase::finished, this, [this, keep] {
        const auto [kept, bytes] = keep->result();
        m_read->setEnabled(bool(kept) && !m_reading);
        m_words->setText(kept ? tr("Rep %1 kept. Films of reps: %2 of %3 MB; the oldest go first. L: once more.")
                                    .arg(m_reps)
                                    .arg(shownFigure(static_cast<double>(bytes) / (1 << 20), 1))
                                    .arg(kMostBytes >> 20)
                              : tr("This rep could not be kept: %1").arg(q(kept.error().text())));
        keep->deleteLater();
    });
    keep->setFuture(m_bench.book().jobs().run([pictures, folder = m_folder, name = m_unjudged] {
        std::error_code ec;
        std::filesystem::create_directories(folder, ec);
        const Status kept = writeRepFilm(pictures, folder / name);
        return std::pair(kept, keepWithin(folder, kMostBytes));
    }));
    m_last = std::move(pictures);
    play(m_last, tr("Rep %1, once more").arg(m_reps));
    emit repSeen();
}

void RepScreen::readLast(const std::vector<std::pair<std::string, Band>>& measures) {
    if (m_newest.empty() || m_reading || measures.empty())
        return;
    m_reading = true;
    m_read->setEnabled(false);
    const BlueprintMeasure& first = *m_bench.blueprint().measure(measures.front().first);
    m_words->setText(tr("Reading “%1” from the last rep …").arg(q(first.definition.name)));
    std::vector<std::string> ids;
    for (const auto& [id, band] : measures)
        ids.push_back(id);
    ReadOptions options;
    options.take.view = first.definition.view;
    options.take.handedness = m_bench.data().brief.athlete.handedness;
    options.athlete = m_bench.data().brief.athlete;
    options.today = m_bench.book().today();
    auto* watcher = new QFutureWatcher<Result<MeasureValue>>(this);
    connect(watcher, &QFutureWatcherBase::finished, this, [this, watcher, measures, clip = m_newest] {
        const auto value = watcher->future().resultCount() > 0 ? watcher->result() : Result<MeasureValue>(Error{});
        watcher->deleteLater();
        m_reading = false;
        m_read->setEnabled(true);
        if (!value) {
            m_words->setText(tr("This rep could not be measured: %1").arg(q(value.error().text())));
            return;
        }
        const BlueprintMeasure* measure = m_bench.blueprint().measure(value->measure);
        const auto asked =
            std::find_if(measures.begin(), measures.end(), [&](const auto& m) { return m.first == value->measure; });
        if (!measure || asked == measures.end()) // another version of the technique by now
            return;
        const MachineVerdict verdict = machineVerdict(asked->second, value->value, value->u);
        m_words->setText(tr("%1: %2, %3. A draft: it counts for nothing, your verdict does.")
                             .arg(q(measure->definition.name),
                                  q(valueWords(measure->definition, value->value, value->u)), q(verdict.words)));
        emit read(clip, verdict.good());
    });
    watcher->setFuture(m_bench.book().jobs().runTelling<Result<MeasureValue>>(
        [film = m_folder / m_newest, blueprint = m_bench.blueprint(), options, ids,
         stop = m_bench.book().jobs().stopToken()](QPromise<Result<MeasureValue>>& promise) {
            promise.addResult(readRep(film, blueprint, options, ids, [&stop] { return !stop.stop_requested(); }));
        }));
}

void RepScreen::play(std::vector<LivePicture> pictures, const QString& title) {
    if (pictures.empty())
        return;
    m_shown = std::move(pictures);
    m_title = title;
    m_clock.start();
    m_play.start();
}

void RepScreen::playAgain(const std::string& clip) {
    if (clip.empty()) {
        play(m_last, tr("The last rep, once more"));
        return;
    }
    auto* read = new QFutureWatcher<Result<std::vector<LivePicture>>>(this);
    connect(read, &QFutureWatcherBase::finished, this, [this, read] {
        if (const auto& pictures = read->result()) {
            play(*pictures, tr("That rep"));
        } else {
            m_words->setText(tr("The film of this rep is not there any more: old ones make room for new ones."));
            emit played();
        }
        read->deleteLater();
    });
    read->setFuture(m_bench.book().jobs().run([film = m_folder / clip] { return readRepFilm(film); }));
}

void RepScreen::showNow() {
    if (m_play.isActive() || !m_camera)
        return;
    if (const auto now = m_camera->newest()) {
        m_picture = imageOf(*now);
        m_title = tr("Now");
    }
    update();
}

void RepScreen::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    const QRect room =
        rect().adjusted(0, m_which->geometry().bottom() + 6, 0, m_words->geometry().top() - 6 - height());
    p.fillRect(room, t.line);
    if (m_picture.isNull())
        return;
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    const QSize size = m_picture.size().scaled(room.size(), Qt::KeepAspectRatio);
    const QRect at(room.center() - QPoint(size.width() / 2, size.height() / 2), size);
    p.drawImage(at, m_picture);
    p.setFont(typeface(Type::strong));
    const QRect plate(at.topLeft() + QPoint(8, 8), p.fontMetrics().size(0, m_title) + QSize(16, 8));
    p.fillRect(plate, QColor(0, 0, 0, 170));
    p.setPen(m_play.isActive() ? QColor(255, 214, 90) : QColor(Qt::white));
    p.drawText(plate, Qt::AlignCenter, m_title);
}

} // namespace riflesso
