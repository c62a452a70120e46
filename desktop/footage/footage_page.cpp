#include "desktop/footage/footage_page.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/icons.h"
#include "desktop/theme/theme.h"
#include "footage/movement.h"
#include "intake/intake.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QScrollArea>
#include <QSettings>
#include <QVBoxLayout>

namespace riflesso {
namespace {
// The same picture whether selected or not: a tinted frame is no picture of the athlete.
QIcon thumbnail(const QImage& picture) {
    const QPixmap small = QPixmap::fromImage(picture.scaled(224, 126, Qt::KeepAspectRatio, Qt::SmoothTransformation));
    QIcon icon(small);
    icon.addPixmap(small, QIcon::Selected);
    return icon;
}
constexpr int kPanels = 6;
} // namespace

FootagePage::FootagePage(Workbench& bench) : m_bench(bench), m_keys(new KeyTable(this)) {
    makeKeys();
    setFocusPolicy(Qt::StrongFocus);
    auto* films = new QSplitter(Qt::Horizontal);
    films->setObjectName("footageSplit");
    films->addWidget(makeLeft());
    films->addWidget(makeMiddle());
    films->addWidget(makeRight());
    films->setStretchFactor(1, 1);
    films->setChildrenCollapsible(false);
    films->setSizes({250, 700, 306});
    films->restoreState(QSettings().value("footageSplit").toByteArray());
    connect(films, &QSplitter::splitterMoved, this,
            [films] { QSettings().setValue("footageSplit", films->saveState()); });
    m_modes = new Pages;
    m_modes->addWidget(films);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->addWidget(m_modes);
    films->setContentsMargins(10, 8, 10, 8);

    connect(&bench, &Workbench::selectionChanged, this, [this] {
        refreshList();
        refreshPanels();
        followLocks();
        showFrame();
    });
    connect(&bench, &Workbench::frameChanged, this, &FootagePage::showFrame);
    connect(m_stage, &PictureView::rested, this, &FootagePage::showFrame);
    connect(&bench.book(), &Casebook::changed, this, [this](const ChangeSet& c) {
        if (!c.takes.empty() || c.links)
            m_clocks = std::make_unique<ViewClocks>(m_bench.data());
        if (!c.takes.empty() || !c.reps.empty() || c.links) {
            if (!c.takes.empty())
                refreshList();
            refreshPanels();
            followLocks();
            showFrame();
        }
    });
    connect(&bench.frames(), &FrameService::frameReady, this,
            [this](const QString& film, int frame, const QImage& picture) {
                const Take* take = m_bench.take();
                if (take && film == m_bench.filmPath(*take) && frame == m_bench.frame())
                    m_stage->setPicture(picture);
                for (const auto& b : m_beside)
                    if (const auto it = m_bench.data().takes.find(b.take);
                        it != m_bench.data().takes.end() && film == m_bench.filmPath(it->second) && frame == b.frame)
                        b.view->setPicture(picture);
                // Thumbnails are frames of the film itself.
                for (int i = 0; i < m_list->count(); ++i)
                    if (m_list->item(i)->data(Qt::UserRole + 1).toString() == film &&
                        m_list->item(i)->data(Qt::UserRole + 2).toInt() == frame)
                        m_list->item(i)->setIcon(thumbnail(picture));
            });
    connect(&bench.frames(), &FrameService::frameFailed, this,
            [this](const QString& film, int frame, const QString& why) {
                const Take* take = m_bench.take();
                if (take && film == m_bench.filmPath(*take) && frame == m_bench.frame())
                    m_stage->setMessage(why);
                for (const auto& b : m_beside)
                    if (const auto it = m_bench.data().takes.find(b.take);
                        it != m_bench.data().takes.end() && film == m_bench.filmPath(it->second) && frame == b.frame)
                        b.view->setMessage(why);
            });
    // What the film does not say itself is asked for.
    const auto ask = [this] {
        if (m_bench.take() && !m_bench.take()->captureRate)
            showPanel(1);
    };
    connect(&bench, &Workbench::workspaceWanted, this, [ask](Workspace w) {
        if (w == Workspace::footage)
            ask();
    });
    m_clocks = std::make_unique<ViewClocks>(m_bench.data());
    refreshList();
    refreshPanels();
    followLocks();
    showFrame();
    ask(); // it may have been made because of that
}

namespace {

// Side by side where the words have room, else one below the other.
QBoxLayout* sideBySide(QWidget* first, QWidget* second, int room) {
    const bool fits = first->sizeHint().width() + second->sizeHint().width() + 12 <= room;
    auto* out = new QBoxLayout(fits ? QBoxLayout::LeftToRight : QBoxLayout::TopToBottom);
    out->addWidget(first, 1);
    out->addWidget(second);
    return out;
}

constexpr int kLeftWidth = 230; // px, at least

} // namespace

QWidget* FootagePage::makeLeft() {
    auto* add = new QPushButton(tr("Bring in films …"));
    add->setObjectName("bringIn");
    add->setToolTip(
        tr("Films are copied into the library. You can also drop files and folders anywhere on the window."));
    auto* camera = new QPushButton(tr("Film now …"));
    camera->setObjectName("filmNow");
    camera->setToolTip(tr("A camera on this computer, with a mirror that shows the rep just done."));
    m_refer = new QCheckBox(tr("do not copy films"));
    m_refer->setToolTip(tr("The library then only refers to them. They must stay within reach."));
    m_list = new QListWidget;
    m_list->setAccessibleName(tr("Takes"));
    m_list->setIconSize(QSize(112, 63));
    m_list->setWordWrap(true);
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* jobs = new QWidget;
    m_jobs = new QVBoxLayout(jobs);
    m_jobs->setContentsMargins(0, 0, 0, 0);
    m_jobs->setSpacing(4);
    auto* read = new QPushButton(tr("Read it"));
    read->setObjectName("readIt");
    read->setToolTip(
        tr("Finds the body, cuts the reps, proposes the key positions and measures: all drafts, some minutes. "
           "Then it says which few looks would make it sure."));
    auto* day = new QPushButton(tr("The whole day"));
    day->setObjectName("readDay");
    day->setToolTip(tr("Reads all films of this day one after the other."));
    for (auto* b : {read, day})
        connect(b, &QPushButton::clicked, this, [this, whole = b == day] {
            if (m_bench.take())
                emit readWanted(m_bench.take()->id, whole);
        });
    const auto enable = [this, read, day] {
        read->setEnabled(m_bench.take());
        day->setEnabled(m_bench.take());
    };
    connect(&m_bench, &Workbench::selectionChanged, this, enable);
    enable();
    setLineIcons({{add, "film"}, {camera, "video"}, {read, "scan-search"}, {day, "calendar-days"}});
    auto* left = new QVBoxLayout;
    left->setContentsMargins(0, 0, 4, 0);
    left->addLayout(sideBySide(add, camera, kLeftWidth));
    left->addWidget(m_refer);
    left->addLayout(sideBySide(read, day, kLeftWidth));
    left->addWidget(m_list, 1);
    left->addWidget(jobs);
    auto* box = new QWidget;
    box->setMinimumWidth(kLeftWidth);
    box->setLayout(left);
    connect(add, &QPushButton::clicked, this, [this] {
        bringIn(QFileDialog::getOpenFileNames(
            this, tr("Bring in films"), {},
            tr("Films (*.mp4 *.mov *.m4v *.mkv *.webm *.avi *.mts *.m2ts *.mpg);;All files (*)")));
    });
    connect(camera, &QPushButton::clicked, this, &FootagePage::openCamera);
    connect(m_list, &QListWidget::currentRowChanged, this, [this](int row) {
        if (!m_filling && row >= 0)
            if (const Id id = m_list->item(row)->data(Qt::UserRole).toLongLong())
                m_bench.selectTake(id);
    });
    return box;
}

QWidget* FootagePage::makeMiddle() {
    m_stage = new StageView;
    m_stage->setAccessibleName(tr("Frame"));
    m_views = new QSplitter(Qt::Horizontal);
    m_views->setChildrenCollapsible(false);
    m_views->addWidget(m_stage);
    m_strip = new RepStrip(m_bench);
    m_transport = new Transport(m_bench);
    auto* middle = new QVBoxLayout;
    middle->setContentsMargins(4, 0, 4, 0);
    middle->setSpacing(4);
    middle->addWidget(m_views, 1);
    middle->addWidget(m_transport);
    middle->addWidget(m_strip);
    auto* box = new QWidget;
    box->setLayout(middle);
    return box;
}

QWidget* FootagePage::makeRight() {
    m_film = new FilmPanel(m_bench);
    m_time = new TimePanel(m_bench);
    m_calibrate = new CalibratePanel(m_bench, m_stage);
    m_reps = new RepsPanel(m_bench, m_strip, m_stage);
    m_angles = new AnglesPanel(m_bench);
    m_picture = new PicturePanel(m_bench, m_stage);
    const std::pair<QString, TakePanel*> all[kPanels] = {{tr("Film"), m_film},           {tr("Time"), m_time},
                                                         {tr("Calibrate"), m_calibrate}, {tr("Reps"), m_reps},
                                                         {tr("Angles"), m_angles},       {tr("Picture"), m_picture}};
    m_tabs = new QButtonGroup(this);
    m_panels = new Pages;
    auto* tabs = new QGridLayout;
    tabs->setSpacing(3);
    const int columns =
        std::any_of(all, all + kPanels, [this](const auto& p) { return fontMetrics().horizontalAdvance(p.first) > 76; })
            ? 2
            : 3; // long words, wide buttons
    for (int i = 0; i < kPanels; ++i) {
        auto* b = new QPushButton(all[i].first);
        b->setCheckable(true);
        b->setObjectName(QString("panel%1").arg(i));
        b->setFocusPolicy(Qt::TabFocus);
        m_tabs->addButton(b, i);
        tabs->addWidget(b, i / columns, i % columns);
        auto* scroll = new QScrollArea;
        scroll->setWidgetResizable(true);
        scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        scroll->setWidget(all[i].second);
        m_panels->addWidget(scroll);
        connect(all[i].second, &TakePanel::failed, this, &FootagePage::failed);
        connect(all[i].second, &TakePanel::said, this, &FootagePage::said);
    }
    connect(m_tabs, &QButtonGroup::idClicked, this, &FootagePage::showPanel);
    connect(m_reps, &RepsPanel::findWanted, this, &FootagePage::findReps);
    connect(m_angles, &AnglesPanel::besideChanged, this, [this] {
        followLocks();
        showFrame();
    });
    connect(m_angles, &AnglesPanel::soundWanted, this, &FootagePage::lockBySound);
    connect(m_calibrate, &CalibratePanel::cameraPathWanted, this, &FootagePage::lookAtCamera);
    connect(m_film, &FilmPanel::searchWanted, this, &FootagePage::searchFilm);
    m_tabs->button(0)->setChecked(true);
    auto* right = new QVBoxLayout;
    right->setContentsMargins(4, 0, 0, 0);
    right->addLayout(tabs);
    right->addWidget(m_panels, 1);
    auto* box = new QWidget;
    box->setMinimumWidth(306);
    box->setMaximumWidth(420);
    box->setLayout(right);
    return box;
}

void FootagePage::showPanel(int which) {
    if (QAbstractButton* b = m_tabs->button(which))
        b->setChecked(true);
    m_panels->setCurrentIndex(which);
    m_stage->setTool(StageTool::none);
}

// Background work
// -------------------------------------------------------------------------------------------------------

void FootagePage::refreshList() {
    m_filling = true;
    m_list->clear();
    // By session: newest day first, athlete before model within it.
    std::vector<const Take*> takes;
    for (const auto& [id, take] : m_bench.data().takes)
        takes.push_back(&take);
    std::stable_sort(takes.begin(), takes.end(), [](const Take* a, const Take* b) {
        if (a->day != b->day)
            return a->day > b->day;
        return a->performer != b->performer ? a->performer < b->performer : a->view < b->view;
    });
    std::optional<Day> day;
    for (const Take* take : takes) {
        const bool model = take->performer == Performer::model;
        if (!day || *day != take->day) {
            day = take->day;
            auto* head = new QListWidgetItem(q(dateWords(*day)));
            head->setFlags(Qt::NoItemFlags);
            head->setFont(typeface(Type::small, true));
            head->setForeground(theme().quiet);
            m_list->addItem(head);
        }
        const QString state = !take->captureRate ? tr("capture rate not set") : tr("%1 Hz").arg(*take->captureRate);
        auto* item = new QListWidgetItem(QString("%1\n%2, %3\n%4")
                                             .arg(q(take->title), model ? tr("model") : tr("athlete"),
                                                  shownWord(enumName(kViewNames, take->view)), state));
        item->setData(Qt::UserRole, QVariant::fromValue<qlonglong>(take->id));
        const auto reps = repsOf(m_bench.data(), take->id);
        int frame = static_cast<int>(take->times.size()) / 2;
        if (!reps.empty() && !reps.front()->positions.empty()) { // a moment of the movement rather than of waiting
            std::vector<int> pegs;
            for (const auto& [position, placed] : reps.front()->positions)
                pegs.push_back(placed.frame.value);
            std::sort(pegs.begin(), pegs.end());
            frame = pegs[pegs.size() / 2];
        }
        item->setData(Qt::UserRole + 1, m_bench.filmPath(*take));
        item->setData(Qt::UserRole + 2, frame);
        item->setForeground(model ? theme().hues.model : theme().text);
        m_list->addItem(item);
        const QImage picture = m_bench.frames().still(m_bench.filmPath(*take), frame);
        if (!picture.isNull())
            item->setIcon(thumbnail(picture));
        if (m_bench.take() && take->id == m_bench.take()->id)
            m_list->setCurrentItem(item);
    }
    m_filling = false;
}

void FootagePage::refreshPanels() {
    for (TakePanel* p : std::initializer_list<TakePanel*>{m_film, m_time, m_calibrate, m_reps, m_angles, m_picture})
        p->refresh();
    const Take* take = m_bench.take();
    m_panels->setVisible(take); // nothing to say about no film
    m_transport->setEnabled(take);
    for (QAbstractButton* b : m_tabs->buttons())
        b->setVisible(take);
    m_stage->setMirrored(take && take->picture.swapped);
    const auto crop = take ? take->picture.crop : std::array<int, 4>{};
    m_stage->setCrop(QRect(crop[0], crop[1], crop[2], crop[3]));
}

// Which takes stand beside: the one chosen, and all that are locked to the one shown; three pictures at most.
void FootagePage::followLocks() {
    std::vector<Id> wanted;
    if (const Take* take = m_bench.take()) {
        if (const Id chosen = m_angles->beside())
            wanted.push_back(chosen);
        std::vector<Id> reached{take->id};
        for (std::size_t i = 0; i < reached.size(); ++i)
            for (const auto& [id, l] : m_bench.data().links)
                if (l.a == reached[i] || l.b == reached[i]) {
                    const Id other = l.a == reached[i] ? l.b : l.a;
                    if (std::find(reached.begin(), reached.end(), other) == reached.end())
                        reached.push_back(other);
                }
        for (std::size_t i = 1; i < reached.size(); ++i)
            if (std::find(wanted.begin(), wanted.end(), reached[i]) == wanted.end())
                wanted.push_back(reached[i]);
    }
    if (wanted.size() > 2)
        wanted.resize(2);
    while (m_beside.size() > wanted.size()) {
        delete m_beside.back().box;
        m_beside.pop_back();
    }
    while (m_beside.size() < wanted.size()) {
        Beside b;
        b.box = new QWidget;
        b.title = new QLabel;
        b.title->setObjectName("quiet");
        b.view = new PictureView;
        b.view->setMinimumWidth(200);
        b.view->setAccessibleName(tr("Frame of the film beside"));
        auto* column = new QVBoxLayout(b.box);
        column->setContentsMargins(4, 0, 0, 0);
        column->setSpacing(2);
        column->addWidget(b.view, 1);
        column->addWidget(b.title);
        m_views->addWidget(b.box);
        m_beside.push_back(b);
    }
    for (std::size_t i = 0; i < wanted.size(); ++i) {
        if (m_beside[i].take == wanted[i])
            continue;
        const Take& take = m_bench.data().takes.at(wanted[i]);
        m_beside[i].take = wanted[i];
        m_beside[i].frame = std::min(m_bench.frame(), static_cast<int>(take.times.size()) - 1);
        m_beside[i].view->setMirrored(take.picture.swapped);
        const auto& c = take.picture.crop;
        m_beside[i].view->setCrop(QRect(c[0], c[1], c[2], c[3]));
        m_beside[i].view->setMessage(tr("Decoding the frame …"));
    }
    QList<int> sizes;
    for (int i = 0; i < m_views->count(); ++i)
        sizes << 1000;
    m_views->setSizes(sizes);
}

void FootagePage::showBeside() {
    if (m_beside.empty())
        return;
    const auto locked =
        m_bench.take() ? m_clocks->at(m_bench.take()->id, FrameIndex(m_bench.frame())) : std::map<Id, LockedFrame>();
    for (auto& b : m_beside) {
        const auto it = m_bench.data().takes.find(b.take);
        if (it == m_bench.data().takes.end())
            continue;
        const QString film = m_bench.filmPath(it->second);
        if (const auto at = locked.find(b.take); at != locked.end()) {
            if (at->second.frame.value != b.frame)
                m_bench.frames().travel(film, at->second.frame.value, at->second.frame.value > b.frame ? 1 : -1);
            b.frame = at->second.frame.value;
            b.title->setText(tr("%1 · frame %2 · same instant to ± %3 ms")
                                 .arg(q(it->second.title))
                                 .arg(b.frame + 1)
                                 .arg(shownFigure(1000 * at->second.sigma, 1)));
        } else {
            b.title->setText(tr("%1 · frame %2 · not locked").arg(q(it->second.title)).arg(b.frame + 1));
        }
        const QImage picture = m_bench.frames().show(film, b.frame);
        if (!picture.isNull())
            b.view->setPicture(picture);
    }
    m_angles->setOtherFrame(m_beside.front().frame);
}

void FootagePage::stepBeside(int frames) {
    if (m_beside.empty())
        return;
    Beside& b = m_beside.front();
    const Take& take = m_bench.data().takes.at(b.take);
    b.frame = std::clamp(b.frame + frames, 0, std::max(0, static_cast<int>(take.times.size()) - 1));
    m_bench.frames().travel(m_bench.filmPath(take), b.frame, frames > 0 ? 1 : -1);
    showBeside();
}

void FootagePage::showFrame() {
    const Take* take = m_bench.take();
    if (!take) {
        m_stage->setMessage(
            tr("No film yet.\nDrop films or folders on this window, or press “Bring in films”.\nFilm from the "
               "side first, camera level with the hips, the whole movement in the picture."));
        return;
    }
    if (!isVisible()) // it is looked at elsewhere
        return;
    const QImage picture = m_bench.frames().show(m_bench.filmPath(*take), m_bench.frame(), m_stage->sideInMotion());
    if (!picture.isNull())
        m_stage->setPicture(picture);
    else if (m_stage->picture().isNull())
        m_stage->setMessage(tr("Decoding the frame …"));
    showBeside();
}

void FootagePage::showEvent(QShowEvent*) {
    showFrame();
}

void FootagePage::makeKeys() {
    m_keys->addSteps(tr("one frame; with Shift ten"), {}, [this](int n) { m_bench.setFrame(m_bench.frame() + n); });
    m_keys->add(tr("first, last frame"), {"Home"}, [this] { m_bench.setFrame(0); });
    m_keys->add(tr("first, last frame"), {"End"}, [this] { m_bench.setFrame(1 << 30); });
    m_keys->add(tr("play, play backwards"), {"Space"}, [this] { m_transport->play(1); });
    m_keys->add(tr("play, play backwards"), {"B"}, [this] { m_transport->play(-1); });
    m_keys->add(tr("slower, faster"), {","}, [this] { m_transport->faster(-1); });
    m_keys->add(tr("slower, faster"), {"."}, [this] { m_transport->faster(1); });
    m_keys->add(tr("round and round"), {"L"}, [this] { m_transport->toggleLoop(); });
    m_keys->addSteps(tr("step the film beside"), "Ctrl+", [this](int n) { stepBeside(n); });
    m_keys->add(tr("accept the proposed rep, all of them"), {"A"}, [this] { m_strip->acceptHere(); });
    m_keys->add(tr("accept the proposed rep, all of them"), {"Shift+A"}, [this] { m_strip->acceptAll(); });
    m_keys->add(tr("split a rep here, merge it with the next"), {"S"}, [this] { m_strip->splitHere(); });
    m_keys->add(tr("split a rep here, merge it with the next"), {"M"}, [this] { m_strip->mergeNext(); });
    m_keys->add(tr("the rep begins, ends here"), {"["}, [this] { m_strip->setFirst(); });
    m_keys->add(tr("the rep begins, ends here"), {"]"}, [this] { m_strip->setLast(); });
    m_keys->add(tr("rep before, after"), {"PgUp"}, [this] { m_strip->go(-1); });
    m_keys->add(tr("rep before, after"), {"PgDown"}, [this] { m_strip->go(1); });
    m_keys->add(tr("take the rep away"), {"Delete", "Backspace"}, [this] { m_strip->removeHere(); });
    m_keys->add(tr("no slow motion: the capture rate is the file's; of the whole day"), {"H"},
                [this] { m_time->asTheFileSays(false); });
    m_keys->add(tr("no slow motion: the capture rate is the file's; of the whole day"), {"Shift+H"},
                [this] { m_time->asTheFileSays(true); });
    m_keys->add(tr("whole picture"), {"F"}, [this] { m_stage->fit(); });
}

void FootagePage::keyPressEvent(QKeyEvent* e) {
    if (m_modes->currentIndex() != 0 || !m_keys->press(e))
        QWidget::keyPressEvent(e);
}

} // namespace riflesso
