#include "desktop/handover/review_panel.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPainter>
#include <QScopedValueRollback>
#include <QSignalBlocker>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>
#include <mutex>

namespace riflesso {
namespace {

constexpr int kWide = 960, kHigh = 540; // px of the pictures on the panel
constexpr double kLongest = 300.0;      // s that a scene may be spoken over
constexpr std::size_t kMostPointer = 20000;

QString kindWord(SceneKind kind) {
    switch (kind) {
    case SceneKind::good:
        return ReviewPanel::tr("Good");
    case SceneKind::cause:
        return ReviewPanel::tr("Cause");
    case SceneKind::consequence:
        return ReviewPanel::tr("Goes with it");
    case SceneKind::todo:
        return ReviewPanel::tr("To do");
    case SceneKind::said:
        return ReviewPanel::tr("Said");
    case SceneKind::own:
        break;
    }
    return ReviewPanel::tr("Your own");
}

} // namespace

SceneStage::SceneStage(QWidget* parent) : QWidget(parent) {
    setObjectName("sceneStage");
    setMouseTracking(true);
    setAccessibleName(tr("The scene as the athlete will see it"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
}

void SceneStage::setPicture(const QImage& picture) {
    m_picture = picture;
    update();
}

void SceneStage::setPointer(const std::vector<PointerSample>* pointer, double at) {
    m_pointer = pointer;
    m_at = at;
    update();
}

QRectF SceneStage::pictureRect() const {
    const QSizeF size = QSizeF(kWide, kHigh).scaled(QSizeF(this->size()), Qt::KeepAspectRatio);
    return {QPointF((width() - size.width()) / 2, (height() - size.height()) / 2), size};
}

void SceneStage::tell(QPointF at, bool drawing) {
    const QRectF r = pictureRect();
    if (r.contains(at))
        emit pointed((at.x() - r.left()) / r.width(), (at.y() - r.top()) / r.height(), drawing);
}

void SceneStage::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().stage);
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    if (!m_picture.isNull())
        p.drawImage(pictureRect(), m_picture);
    if (m_pointer)
        drawPointer(p, pictureRect(), *m_pointer, m_at);
}

// One scene's open films; the worker locks it while it makes a picture.
struct ReviewPanel::Source {
    std::shared_ptr<const FilmedSnapshot> snapshot;
    Scene scene;
    std::mutex mutex;
    std::unique_ptr<ScenePictures> pictures;

    Shown at(double seconds) {
        const std::lock_guard lock(mutex);
        if (!pictures) {
            ReviewFilmOptions o;
            o.width = kWide;
            o.height = kHigh;
            auto opened = ScenePictures::open(snapshot->filmed(), scene, o);
            if (!opened)
                return {{}, q(opened.error().text())};
            pictures = std::move(*opened);
        }
        const auto picture = pictures->at(seconds);
        return picture ? Shown{*picture, {}} : Shown{{}, q(picture.error().text())};
    }
};

ReviewPanel::ReviewPanel(Workbench& bench) : m_bench(bench), m_keys(new KeyTable(this)) {
    setFocusPolicy(Qt::StrongFocus);
    m_list = new QListWidget;
    m_list->setObjectName("reviewScenes");
    m_list->setAccessibleName(tr("Scenes, in the order in which they are shown"));
    m_list->setWordWrap(true);
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_stage = new SceneStage;
    m_state = wrapped({}, "quiet");
    auto* left = new QVBoxLayout;
    left->addWidget(m_list, 1);
    makeOrder(*left);
    auto* right = new QVBoxLayout;
    right->addWidget(m_stage, 1);
    makeWords(*right);
    right->addLayout(makeTransport());
    right->addWidget(m_state);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(12);
    all->addLayout(left, 2);
    all->addLayout(right, 5);
    m_clock.setInterval(33);
    connect(&m_clock, &QTimer::timeout, this, &ReviewPanel::tick);
    connect(m_list, &QListWidget::currentRowChanged, this, [this] {
        if (!m_recording)
            stop();
        openScene();
    });
    connect(m_stage, &SceneStage::pointed, this, [this](double x, double y, bool drawing) {
        if (m_recording && !m_paused && m_pointer.size() < kMostPointer)
            m_pointer.push_back({now(), std::clamp(x, 0.0, 1.0), std::clamp(y, 0.0, 1.0), drawing});
    });
    connect(&m_making, &QFutureWatcherBase::finished, this, [this] {
        const Shown shown = m_making.result();
        if (!shown.problem.isEmpty())
            m_state->setText(shown.problem);
        else
            m_stage->setPicture(shown.picture);
        if (std::exchange(m_wished, false))
            wish();
    });
    say();
}

QPushButton* ReviewPanel::button(const QString& words, const char* name, const QString& why, QAction* action) {
    auto* b = new QPushButton(words);
    b->setObjectName(name);
    KeyTable::give(b, action, why);
    return b;
}

// Which scenes, and in which order.
void ReviewPanel::makeOrder(QVBoxLayout& under) {
    auto* order = new QHBoxLayout;
    const QString moved = tr("earlier, later"), frames = tr("add the frame looked at, leave a scene out");
    order->addWidget(button(tr("Earlier"), "sceneUp", tr("One place earlier"),
                            m_keys->add(moved, {"Alt+Up"}, [this] { move(-1); })));
    order->addWidget(
        button(tr("Later"), "sceneDown", tr("One place later"), m_keys->add(moved, {"Alt+Down"}, [this] { move(1); })));
    auto* add = button(tr("Add the frame looked at"), "sceneAdd",
                       tr("The frame that you look at in Mirror or Marking, with what is below it"),
                       m_keys->add(frames, {"N"}, [this] { addFrame(); }));
    order->addWidget(button(tr("Leave out"), "sceneDrop", tr("Takes this scene away"),
                            m_keys->add(frames, {"Delete"}, [this] { drop(); })));
    under.addLayout(order);
    under.addWidget(add);
    under.addWidget(button(tr("Make anew"), "sceneAnew",
                           tr("Scenes from the findings as they are today. What was recorded goes."),
                           m_keys->add(tr("Make anew"), {}, [this] { makeAnew(); })));
}

// What stands under the picture, and what is read by who cannot hear.
void ReviewPanel::makeWords(QVBoxLayout& under) {
    m_words = new QLineEdit;
    m_words->setObjectName("sceneWords");
    m_words->setAccessibleName(tr("The line under the picture"));
    m_words->setPlaceholderText(tr("The line under the picture"));
    m_caption = new QLineEdit;
    m_caption->setObjectName("sceneCaption");
    m_caption->setAccessibleName(tr("Caption"));
    m_caption->setPlaceholderText(tr("What you say, for who cannot hear it (else the line above)"));
    for (auto* edit : {m_words, m_caption}) {
        edit->setMaxLength(300);
        under.addWidget(edit);
        connect(edit, &QLineEdit::editingFinished, this, [this] {
            Scene* s = scene();
            if (!s || (q(s->words) == m_words->text() && q(s->caption) == m_caption->text()))
                return;
            s->words = m_words->text().toStdString();
            s->caption = m_caption->text().toStdString();
            keep();
            fill();
            openScene();
        });
    }
}

QHBoxLayout* ReviewPanel::makeTransport() {
    const QString recording = tr("record and go on to the next scene; pause");
    m_record = button({}, "sceneRecord", tr("Speak over the scene, point, and draw with the button held"),
                      m_keys->add(recording, {"R"}, [this] { record(); }));
    m_pause = button(tr("Pause"), "scenePause", tr("A breath"), m_keys->add(recording, {"P"}, [this] { breathe(); }));
    m_play = button({}, "scenePlay", tr("This scene, with what was said and pointed at"),
                    m_keys->add(tr("play, stop"), {"Space"}, [this] { play(); }));
    m_takeBack = button(tr("Take back"), "sceneTakeBack", tr("Forgets what was recorded over this scene"),
                        m_keys->add(tr("forget what was recorded"), {"Backspace"}, [this] { takeBack(); }));
    m_microphone = new QComboBox;
    m_microphone->setObjectName("reviewMicrophone");
    m_microphone->setAccessibleName(tr("Microphone"));
    m_level = new QProgressBar;
    m_level->setRange(0, 100);
    m_level->setTextVisible(false);
    m_level->setFixedWidth(90);
    m_level->setAccessibleName(tr("How loud it is"));
    auto* transport = new QHBoxLayout;
    for (QWidget* w : std::initializer_list<QWidget*>{m_record, m_pause, m_play, m_takeBack})
        transport->addWidget(w);
    transport->addSpacing(12);
    transport->addWidget(m_microphone);
    transport->addWidget(m_level);
    transport->addStretch(1);
    return transport;
}

void ReviewPanel::breathe() {
    if (!m_recording)
        return;
    m_paused = !m_paused;
    if (m_paused) {
        m_before += m_since.elapsed();
        m_voice->stop();
    } else {
        m_since.start();
        m_voice->start();
    }
    say();
}

ReviewPanel::~ReviewPanel() {
    if (m_voice) {
        m_voice->disconnect(this);
        m_voice->stop();
    }
    m_making.waitForFinished();
}

std::filesystem::path ReviewPanel::folder() const {
    return reviewFolder(m_bench.book().library().folder(), m_bench.data().id);
}

Scene* ReviewPanel::scene() {
    const int row = m_list->currentRow();
    return row >= 0 && row < static_cast<int>(m_review.scenes.size()) ? &m_review.scenes[static_cast<std::size_t>(row)]
                                                                      : nullptr;
}

void ReviewPanel::load() {
    if (m_loaded)
        return;
    m_loaded = true;
    const auto kept = readReview(folder());
    if (!kept) { // put aside, so that what is kept from now on does not take its place
        std::error_code ec;
        std::filesystem::rename(folder() / "review.json", folder() / "review.damaged.json", ec);
        emit failed(q(kept.error().text()));
    }
    m_review = kept && *kept ? **kept : proposedReview(m_bench.data(), m_bench.blueprint(), m_bench.analysis());
    m_microphone->addItems(Voice::names());
    fill();
}

void ReviewPanel::keep() {
    if (const auto done = keepReview(folder(), m_review); !done) {
        m_state->setText(q(done.error().text()));
        emit failed(m_state->text());
    }
    emit changed();
}

void ReviewPanel::fill() {
    const QSignalBlocker quiet(m_list);
    const int row = m_list->currentRow();
    m_list->clear();
    int number = 0;
    for (const auto& s : m_review.scenes) {
        QString words = QString("%1  %2%3\n%4")
                            .arg(++number)
                            .arg(kindWord(s.kind), s.spoken ? tr(", spoken") : QString(), q(s.words));
        auto* item = new QListWidgetItem(words);
        item->setToolTip(q(s.words));
        m_list->addItem(item);
    }
    m_list->setCurrentRow(std::clamp(row, 0, std::max(0, m_list->count() - 1)));
}

void ReviewPanel::showEvent(QShowEvent*) {
    load();
    openScene();
}

void ReviewPanel::hideEvent(QHideEvent*) {
    if (m_recording)
        endRecording();
    stop();
}

void ReviewPanel::choose(int row) {
    m_list->setCurrentRow(row);
}

void ReviewPanel::openScene() {
    const Scene* s = scene();
    m_words->setText(s ? q(s->words) : QString());
    m_caption->setText(s ? q(s->caption) : QString());
    m_source.reset();
    if (s) {
        m_source = std::make_shared<Source>();
        m_source->snapshot = m_bench.snapshot();
        m_source->scene = *s;
    }
    m_stage->setPointer(nullptr, 0.0);
    wish();
    say();
}

double ReviewPanel::now() const {
    return static_cast<double>(m_before + (m_paused || !m_since.isValid() ? 0 : m_since.elapsed())) / 1000.0;
}

// The picture of this instant; when one is being made, the next one after it.
void ReviewPanel::wish() {
    if (!m_source)
        return;
    if (m_making.isRunning()) {
        m_wished = true;
        return;
    }
    m_making.setFuture(m_bench.book().jobs().run(
        [source = m_source, at = m_clock.isActive() ? now() : 0.0] { return source->at(at); }));
}

void ReviewPanel::tick() {
    const Scene* s = scene();
    if (!s)
        return;
    const double at = now();
    if (m_recording) {
        m_stage->setPointer(&m_pointer, at);
        if (at > kLongest)
            record();
    } else {
        m_stage->setPointer(&s->pointer, at);
        const double spoken = m_sound.rate > 0.0 ? static_cast<double>(m_sound.samples.size()) / m_sound.rate : 0.0;
        if (at > std::max(s->seconds, spoken))
            stop();
    }
    wish();
    say();
}

void ReviewPanel::stop() {
    m_clock.stop();
    m_before = 0;
    m_paused = false;
    m_since.invalidate();
    say();
}

void ReviewPanel::play() {
    if (m_recording)
        return;
    if (m_clock.isActive()) {
        stop();
        return;
    }
    const Scene* s = scene();
    if (!s)
        return;
    m_sound = {};
    if (s->spoken) // how long it lasts; it is heard in the film
        if (auto voice = soundOf(voiceFile(folder(), *s), 8000.0))
            m_sound = std::move(*voice);
    m_before = 0;
    m_since.start();
    m_clock.start();
    say();
}

void ReviewPanel::record() {
    if (m_recording) {
        endRecording();
        if (m_list->currentRow() + 1 < m_list->count())
            m_list->setCurrentRow(m_list->currentRow() + 1);
        return;
    }
    if (!scene())
        return;
    stop();
    m_sound = {};
    m_sound.rate = Voice::kRate;
    m_pointer.clear();
    m_voice = Voice::open(m_microphone->currentText());
    connect(m_voice.get(), &Voice::heard, this, [this](const std::vector<float>& samples) {
        float loudest = 0.0f;
        for (const float v : samples)
            loudest = std::max(loudest, std::abs(v));
        m_level->setValue(static_cast<int>(100.0f * std::min(1.0f, std::sqrt(loudest))));
        m_sound.samples.insert(m_sound.samples.end(), samples.begin(), samples.end());
    });
    connect(m_voice.get(), &Voice::failed, this, [this](const QString& why) {
        m_state->setText(why);
        emit failed(why);
    });
    m_recording = true;
    m_before = 0;
    m_since.start();
    m_voice->start();
    m_clock.start();
    say();
}

void ReviewPanel::endRecording() {
    m_recording = false;
    m_voice->stop();
    m_voice.reset();
    m_level->setValue(0);
    stop();
    Scene* s = scene();
    if (!s || m_sound.samples.empty())
        return;
    std::error_code ec;
    std::filesystem::create_directories(folder(), ec);
    if (const auto done = writeSound(voiceFile(folder(), *s), m_sound); !done) {
        m_state->setText(q(done.error().text()));
        emit failed(m_state->text());
        return;
    }
    s->spoken = true;
    s->pointer = std::move(m_pointer);
    m_pointer = {};
    m_stage->setPointer(nullptr, 0.0);
    keep();
    fill();
}

void ReviewPanel::takeBack() {
    Scene* s = scene();
    if (!s || m_recording || (!s->spoken && s->pointer.empty()))
        return;
    const auto file = voiceFile(folder(), *s);
    s->spoken = false;
    s->pointer.clear();
    keep();
    std::error_code ec;
    std::filesystem::remove(file, ec);
    fill();
    openScene();
}

void ReviewPanel::move(int by) {
    const int row = m_list->currentRow(), to = row + by;
    if (!scene() || m_recording || to < 0 || to >= m_list->count())
        return;
    std::swap(m_review.scenes[static_cast<std::size_t>(row)], m_review.scenes[static_cast<std::size_t>(to)]);
    keep();
    fill();
    m_list->setCurrentRow(to);
}

void ReviewPanel::drop() {
    const Scene* s = scene();
    if (!s || m_recording)
        return;
    const auto file = voiceFile(folder(), *s);
    m_review.scenes.erase(m_review.scenes.begin() + m_list->currentRow());
    keep();
    std::error_code ec;
    std::filesystem::remove(file, ec);
    fill();
    openScene();
}

void ReviewPanel::addFrame() {
    const Rep* rep = m_bench.rep();
    if (!rep || m_recording)
        return;
    load();
    Scene s;
    s.kind = SceneKind::own;
    s.rep = rep->id;
    s.frame = FrameIndex(m_bench.frame());
    const Take& take = m_bench.data().takes.at(rep->take);
    for (const Id id : m_bench.analysis().modelReps)
        if (s.other == 0 && take.performer == Performer::athlete &&
            m_bench.data().takes.at(m_bench.data().reps.at(id).take).view == take.view)
            s.other = id;
    s.words = tr("%1, frame %2").arg(q(take.title)).arg(m_bench.frame() + 1).toStdString();
    addScene(m_review, std::move(s));
    keep();
    fill();
    m_list->setCurrentRow(m_list->count() - 1);
    m_words->setFocus();
    m_words->selectAll();
}

void ReviewPanel::makeAnew() {
    if (m_recording)
        return;
    const Review before = m_review;
    const int next = m_review.nextId;
    m_review = {};
    m_review.nextId = next; // files of old scenes are never taken for new ones
    for (auto& s : proposedReview(m_bench.data(), m_bench.blueprint(), m_bench.analysis()).scenes)
        addScene(m_review, std::move(s));
    keep();
    std::error_code ec;
    for (const auto& s : before.scenes)
        std::filesystem::remove(voiceFile(folder(), s), ec);
    fill();
    openScene();
}

void ReviewPanel::say() {
    const Scene* s = scene();
    m_record->setText(m_recording ? tr("Done, next scene") : s && s->spoken ? tr("Record again") : tr("Record"));
    m_record->setEnabled(s);
    m_pause->setVisible(m_recording);
    m_pause->setText(m_paused ? tr("Go on") : tr("Pause"));
    m_play->setText(playing() ? tr("Stop") : tr("Play"));
    m_play->setEnabled(s && !m_recording);
    m_takeBack->setEnabled(s && s->spoken && !m_recording);
    m_microphone->setEnabled(!m_recording);
    m_list->setEnabled(!m_recording);
    if (m_recording)
        m_state->setText(m_paused ? tr("A breath at %1 s.").arg(shownFigure(now(), 0))
                                  : tr("Recording, %1 s. Move over the picture for a light, hold the button to draw.")
                                        .arg(shownFigure(now(), 0)));
    else if (m_loaded && m_review.scenes.empty())
        m_state->setText(tr("No scene yet: findings make them, or add a frame of your own."));
    else if (s && !playing())
        m_state->setText(s->spoken ? tr("Spoken over. The film carries your voice and pointer.")
                                   : tr("Shown for %1 s when nobody speaks.").arg(shownFigure(s->seconds, 0)));
}

void ReviewPanel::keyPressEvent(QKeyEvent* e) {
    if (!m_keys->press(e))
        QWidget::keyPressEvent(e);
}

} // namespace riflesso
