#include "desktop/marking/marking_page.h"

#include "casebook/pose.h"
#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/icons.h"
#include "desktop/theme/theme.h"

#include <QHBoxLayout>
#include <QMenu>
#include <QVBoxLayout>

namespace riflesso {
MarkingPage::MarkingPage(Workbench& bench) : m_bench(bench), m_keys(new KeyTable(this)) {
    setFocusPolicy(Qt::StrongFocus);
    makeKeys();
    makeParts();
    auto* strips = new QVBoxLayout;
    strips->setSpacing(0);
    strips->addWidget(m_ribbon);
    strips->addWidget(m_trust);
    auto *draftPlace = new QVBoxLayout, *rows = new QVBoxLayout;
    auto* left = new QVBoxLayout;
    left->setSpacing(6);
    left->addLayout(makeBar());
    left->addLayout(makeTools());
    left->addWidget(m_words);
    left->addLayout(draftPlace);
    left->addWidget(m_canvas, 1);
    left->addLayout(strips);
    left->addLayout(rows);
    m_carrier = new Carrier(bench, rows, this);
    m_draft = new DraftPanel(bench, *m_canvas, *m_carrier);
    draftPlace->addWidget(m_draft);
    makeTabs();
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(10, 8, 10, 8);
    all->addLayout(left, 1);
    all->addWidget(m_tabs);
    followParts();
    followCase();
    refreshTakes();
    showFrame();
}

void MarkingPage::makeParts() {
    m_canvas = new MarkCanvas(m_bench);
    m_points = new PointsPanel(m_bench);
    m_guide = new FigureGuide;
    m_where = new QLabel;
    m_where->setObjectName("quiet");
    m_where->setWordWrap(true);
    m_where->setAlignment(Qt::AlignHCenter | Qt::AlignTop);
    m_where->setMinimumHeight(2 * QFontMetrics(typeface(Type::small)).lineSpacing() + 4); // the guide must not jump
    m_loupe = new Loupe;
    m_pegs = new QListWidget;
    m_pegs->setAccessibleName(tr("Key positions"));
    m_pegs->setFocusPolicy(Qt::NoFocus);
    m_pegs->setIconSize(QSize(44, 34));
    m_pegs->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    m_words = new QLabel;
    m_words->setObjectName("strong");
    m_words->setWordWrap(true);
    m_words->setMinimumHeight(40);
    m_ribbon = new Ribbon(m_bench, false);
    m_trust = new TrustStrip(m_bench, *m_ribbon);
    m_curves = new CurvePanel(m_bench);
    m_eye = new EyePanel(m_bench);
    m_repeat = new RepeatPanel(m_bench);
}

// Take, rep, and the way through them.
QHBoxLayout* MarkingPage::makeBar() {
    m_takes = new QComboBox;
    m_takes->setAccessibleName(tr("Take"));
    m_reps = new QComboBox;
    m_reps->setAccessibleName(tr("Rep"));
    auto* newRep = new QPushButton(tr("Start a rep"));
    newRep->setObjectName("newRep");
    KeyTable::give(newRep, m_newRep,
                   tr("A new rep of this take. Its first key position goes on the frame you place it on."));
    auto* next = new QPushButton(tr("Next open point"));
    next->setObjectName("nextOpen");
    KeyTable::give(next, m_next, tr("Go to the next place of this rep where a key position or a point is missing."));
    m_play = new QPushButton(tr("Play"));
    KeyTable::give(m_play, m_playing, tr("Play at the film's own pace."));
    m_follow = new QToolButton;
    m_follow->setObjectName("follow");
    m_follow->setText(tr("Follow"));
    m_follow->setCheckable(true);
    KeyTable::describe(m_follow, m_stay, tr("Stay with the athlete while zoomed in."));
    auto* more = new QToolButton;
    more->setObjectName("more");
    more->setText(tr("More"));
    more->setPopupMode(QToolButton::InstantPopup);
    auto* menu = new QMenu(more);
    menu->addActions({m_hide, m_swap, m_copy, m_copySwapped, m_like,
                      m_keys->add(tr("Read hidden points from their neighbours"), {}, [this] { readByProxy(); })});
    more->setMenu(menu);
    setLineIcons({{newRep, "flag"}, {m_play, "play"}, {next, "crosshair"}});
    auto* bar = new QHBoxLayout;
    bar->addWidget(m_takes, 2);
    bar->addWidget(m_reps, 1);
    for (QWidget* w : std::initializer_list<QWidget*>{newRep, next, m_play, m_follow, more})
        bar->addWidget(w);
    return bar;
}

// What the machine does, and what it would have looked at.
QHBoxLayout* MarkingPage::makeTools() {
    auto* tools = new QHBoxLayout;
    const auto tool = [&](const QString& words, const char* name, QAction* action, const QString& why,
                          const char* icon) {
        auto* b = new QPushButton(words);
        b->setObjectName(name);
        KeyTable::give(b, action, why);
        setLineIcons({{b, icon}});
        tools->addWidget(b);
        return b;
    };
    tool(tr("Draft …"), "draft", m_beginDraft,
         tr("Let the machine look for the body on every frame: a draft to be checked, no measurement."),
         "person-standing");
    tool(tr("Carry"), "carry", m_carry,
         tr("Follow this rep's hand marks through all its frames, in the background; with Shift only this landmark."),
         "footprints");
    tool(tr("Propose pegs"), "propose", m_propose,
         tr("Set hollow pegs where the movement shows the key positions. Enter accepts one."), "map-pin");
    m_worst = tool(tr("Worst next"), "worst", m_worstNext,
                   tr("Go to the frame whose correction makes the measures surest."), "triangle-alert");
    m_doubt = new QLabel;
    m_doubt->setObjectName("quiet");
    m_doubt->setToolTip(tr("Measures of this rep that lie surely inside or outside their band, of those that can be "
                           "read; and how many it were "
                           "before the last marks."));
    tools->addWidget(m_doubt);
    tools->addStretch(1);
    return tools;
}

void MarkingPage::makeTabs() {
    auto* pegsTitle = new QLabel(tr("Key positions: press the number on its frame"));
    pegsTitle->setObjectName("quiet");
    pegsTitle->setWordWrap(true);
    auto* figure = new QWidget;
    auto* right = new QVBoxLayout(figure);
    right->setSpacing(6);
    right->setContentsMargins(0, 0, 0, 0);
    right->addWidget(m_points);
    right->addWidget(m_guide, 3);
    right->addWidget(m_where);
    right->addWidget(m_loupe, 2);
    right->addWidget(pegsTitle);
    right->addWidget(m_pegs, 3);
    m_tabs = new QTabWidget;
    m_tabs->setObjectName("markingTabs");
    m_tabs->setAccessibleName(tr("Panels of Marking"));
    m_tabs->setDocumentMode(true);
    m_tabs->addTab(figure, tr("Figure"));
    m_tabs->addTab(m_curves, tr("Curves"));
    m_tabs->addTab(m_eye, tr("By eye"));
    m_tabs->addTab(m_repeat, tr("Again"));
    m_tabs->setTabToolTip(1, tr("Smoothing in sight"));
    m_tabs->setTabToolTip(2, tr("What is judged by eye"));
    m_tabs->setTabToolTip(3, tr("How good are my marks?"));
    m_tabs->setFixedWidth(292);
}

void MarkingPage::togglePlay() {
    if (m_player.isActive())
        m_player.stop();
    else if (const Take* take = m_bench.take())
        m_player.start(static_cast<int>(1000.0 / std::max(1.0, timebaseOf(*take).fileRate().value)));
    m_play->setText(m_player.isActive() ? tr("Pause") : tr("Play"));
    setLineIcons({{m_play, m_player.isActive() ? "pause" : "play"}});
}

// What the page's own parts say.
void MarkingPage::followParts() {
    connect(m_draft, &DraftPanel::failed, this, &MarkingPage::failed);
    connect(m_carrier, &Carrier::failed, this, &MarkingPage::failed);
    connect(m_carrier, &Carrier::said, this, &MarkingPage::said);
    connect(m_trust, &TrustStrip::chosen, this, [this](const QString& landmark, int frame) {
        if (!landmark.isEmpty())
            m_canvas->setLandmark(landmark.toStdString());
        m_bench.setFrame(frame);
        refresh();
        m_canvas->setFocus();
    });
    connect(m_eye, &EyePanel::pinsChanged, this, [this] { m_canvas->setPins(m_eye->pinsHere()); });
    connect(m_eye->findChild<QPushButton*>("pinNote"), &QPushButton::toggled, m_canvas, &MarkCanvas::pickPlace);
    connect(m_canvas, &MarkCanvas::placePicked, m_eye, &EyePanel::pin);
    connect(m_repeat, &RepeatPanel::runningChanged, this, [this] {
        m_canvas->setRepeat(m_repeat->running());
        showFrame();
        m_canvas->setFocus();
    });
    connect(m_follow, &QToolButton::toggled, this, &MarkingPage::followAthlete);
    connect(&m_player, &QTimer::timeout, this, [this] {
        const int before = m_bench.frame();
        m_bench.setFrame(before + 1);
        if (m_bench.frame() == before)
            togglePlay();
    });
    connect(m_takes, &QComboBox::activated, this,
            [this](int i) { m_bench.selectTake(m_takes->itemData(i).toLongLong()); });
    connect(m_reps, &QComboBox::activated, this,
            [this](int i) { m_bench.selectRep(m_reps->itemData(i).toLongLong()); });
    connect(m_pegs, &QListWidget::itemClicked, this, [this](QListWidgetItem* item) {
        const Rep* rep = m_bench.rep();
        const auto& p = m_bench.blueprint().positions[static_cast<std::size_t>(m_pegs->row(item))];
        if (rep && rep->positions.contains(p.id))
            m_bench.setFrame(rep->positions.at(p.id).frame.value);
    });
    connect(m_guide, &FigureGuide::chosen, this, [this](const QString& name) {
        m_canvas->setLandmark(name.toStdString());
        refresh();
        m_canvas->setFocus();
    });
    connect(m_canvas, &MarkCanvas::marked, this, [this](const QString& name) {
        if (const Take* take = m_bench.take(); take && !m_repeat->running())
            m_carrier->carryAround(take->id, FrameIndex(m_bench.frame()), name.toStdString());
        advance();
    });
    connect(m_canvas, &MarkCanvas::picked, this, [this] { refresh(); });
    connect(m_canvas, &MarkCanvas::pointerAt, m_loupe, &Loupe::setCentre);
}

// What happens to the case, the selection and the pictures.
void MarkingPage::followCase() {
    connect(&m_bench.book(), &Casebook::analysed, this, [this] {
        m_trust->update();
        showOtherView();
        say();
    });
    connect(&m_bench, &Workbench::selectionChanged, this, [this] {
        refreshTakes();
        showFrame();
    });
    connect(&m_bench, &Workbench::frameChanged, this, &MarkingPage::showFrame);
    connect(&m_bench.book(), &Casebook::changed, this, [this](const ChangeSet& c) {
        if (!c.takes.empty() || !c.reps.empty())
            refreshTakes();
        refresh();
    });
    const auto shown = [this](const QString& film, int frame) {
        const Take* take = m_bench.take();
        return take && film == m_bench.filmPath(*take) && frame == m_bench.frame();
    };
    connect(&m_bench.frames(), &FrameService::frameReady, this,
            [this, shown](const QString& film, int frame, const QImage& picture) {
                if (shown(film, frame)) {
                    m_canvas->setPicture(picture);
                    m_loupe->setPicture(picture);
                }
            });
    connect(&m_bench.frames(), &FrameService::frameFailed, this,
            [this, shown](const QString& film, int frame, const QString& why) {
                if (shown(film, frame))
                    m_canvas->setMessage(why);
            });
}

void MarkingPage::refreshTakes() {
    m_takes->clear();
    for (const auto& [id, take] : m_bench.data().takes) {
        m_takes->addItem(
            QString("%1  (%2)")
                .arg(q(take.title),
                     repsOf(m_bench.data(), id).empty()
                         ? tr("not marked")
                         : counted(static_cast<qsizetype>(repsOf(m_bench.data(), id).size()), tr("rep"), tr("reps"))),
            QVariant::fromValue<qlonglong>(id));
        if (m_bench.take() && id == m_bench.take()->id)
            m_takes->setCurrentIndex(m_takes->count() - 1);
    }
    m_reps->clear();
    if (m_bench.take())
        for (const Rep* r : repsOf(m_bench.data(), m_bench.take()->id)) {
            m_reps->addItem(tr("Rep %1").arg(r->number), QVariant::fromValue<qlonglong>(r->id));
            if (m_bench.rep() && r->id == m_bench.rep()->id)
                m_reps->setCurrentIndex(m_reps->count() - 1);
        }
    m_reps->setEnabled(m_reps->count() > 0);
}

PositionId MarkingPage::positionHere() const {
    const Rep* rep = m_bench.rep();
    if (rep)
        for (const auto& p : m_bench.blueprint().positions)
            if (const auto it = rep->positions.find(p.id);
                it != rep->positions.end() && it->second.frame.value == m_bench.frame())
                return p.id;
    return {};
}

std::vector<LandmarkName> MarkingPage::wanted() const {
    const Take* take = m_bench.take();
    if (!take)
        return {};
    if (const Id repeat = m_repeat->running())
        return m_bench.data().repeats.at(repeat).landmarks;
    return wantedIn(m_bench.blueprint(), *take, positionHere());
}

std::set<LandmarkName> MarkingPage::markedHere() const {
    std::set<LandmarkName> out;
    const Take* take = m_bench.take();
    if (const Id repeat = m_repeat->running()) {
        for (const auto& m : m_bench.data().repeats.at(repeat).marks)
            if (m.frame.value == m_bench.frame())
                out.insert(m.landmark);
        return out;
    }
    if (take && m_bench.data().marks.contains(take->id))
        for (const auto& [name, track] : m_bench.data().marks.at(take->id))
            if (isMarked(m_bench.data().marks.at(take->id), name, FrameIndex(m_bench.frame())))
                out.insert(name);
    return out;
}

const Ask* MarkingPage::askHere() const {
    const Rep* rep = m_bench.rep();
    if (!rep || m_repeat->running())
        return nullptr;
    const auto a = m_bench.analysis().attention.find(rep->id);
    if (a == m_bench.analysis().attention.end())
        return nullptr;
    for (const auto& ask : a->second.asks)
        if (ask.frame.value == m_bench.frame())
            return &ask;
    return nullptr;
}

void MarkingPage::showFrame() {
    const Take* take = m_bench.take();
    if (!take) {
        m_canvas->setMessage(tr("No film yet. Bring one in under Footage: drop a file on the window."));
        refresh();
        return;
    }
    m_canvas->setMirrored(take->picture.swapped);
    const auto& crop = take->picture.crop;
    m_canvas->setCrop(QRect(crop[0], crop[1], crop[2], crop[3]));
    // While it is looked at elsewhere the picture need not be made here.
    const QImage picture =
        isVisible() ? m_bench.frames().show(m_bench.filmPath(*take), m_bench.frame()) : m_canvas->picture();
    if (!picture.isNull()) {
        m_canvas->setPicture(picture);
        m_loupe->setPicture(picture);
    } else if (m_canvas->picture().isNull()) {
        m_canvas->setMessage(tr("Decoding the frame …"));
    }
    // On a new frame the guide asks for the first open landmark, unless one is being followed from frame to frame.
    const auto list = wanted();
    const auto marked = markedHere();
    if (std::find(list.begin(), list.end(), m_canvas->landmark()) == list.end() || !positionHere().empty() ||
        m_repeat->running()) {
        const auto open = std::find_if(list.begin(), list.end(), [&](const auto& n) { return !marked.contains(n); });
        const Ask* ask = askHere();
        const ViewMismatch* off = mismatchHere();
        m_canvas->setLandmark(off                  ? off->landmark
                              : ask                ? ask->landmarks.front()
                              : open != list.end() ? *open
                              : list.empty()       ? LandmarkName()
                                                   : list.front());
    }
    m_canvas->setPins(m_eye->pinsHere());
    followAthlete();
    // The loupe rests on the mark that is asked for until the pointer moves.
    const Take* shown = m_bench.take();
    if (!m_repeat->running() && shown && m_bench.data().marks.contains(shown->id))
        if (const auto& tracks = m_bench.data().marks.at(shown->id); tracks.contains(m_canvas->landmark()))
            if (const auto mark = tracks.at(m_canvas->landmark()).find(FrameIndex(m_bench.frame()));
                mark != tracks.at(m_canvas->landmark()).end())
                m_loupe->setCentre({mark->second.at.x, mark->second.at.y});
    refresh();
}

void MarkingPage::showEvent(QShowEvent*) {
    showFrame();
}

void MarkingPage::refresh() {
    const Take* take = m_bench.take();
    if (take && !positionHere().empty())
        m_guide->setPose(poseAt(m_bench.data(), m_bench.analysis(), *take, positionHere()));
    m_guide->setState(wanted(), markedHere(), m_canvas->landmark(), take ? take->handedness : Side::right);
    // Rows of the strip: what the technique reads in this view, then whatever else is marked.
    std::vector<LandmarkName> rows;
    if (take) {
        rows = wantedIn(m_bench.blueprint(), *take, {});
        if (const auto tracks = m_bench.data().marks.find(take->id); tracks != m_bench.data().marks.end())
            for (const auto& [name, track] : tracks->second)
                if (std::find(rows.begin(), rows.end(), name) == rows.end())
                    rows.push_back(name);
    }
    std::erase_if(rows, [](const auto& n) { return kindOf(n) == PointKind::scene; }); // sure everywhere or nowhere
    m_points->refresh();
    const std::string& asked = m_canvas->landmark();
    const QString where = q(whereToMark(asked)), called = calledHere(asked);
    m_where->setText(asked.empty() ? QString() : where.isEmpty() ? called : called + ": " + where);
    m_trust->setLandmarks(rows);
    m_trust->setCurrent(m_canvas->landmark());
    m_curves->setLandmark(m_canvas->landmark());
    const Rep* rep = m_bench.rep();
    const int scroll = m_pegs->currentRow();
    m_pegs->clear();
    const auto needed = take ? positionsFor(m_bench.blueprint(), take->view) : std::vector<PositionId>();
    int n = 0;
    for (const auto& p : m_bench.blueprint().positions) {
        ++n;
        QString state = std::find(needed.begin(), needed.end(), p.id) == needed.end() ? tr("not needed in this view")
                                                                                      : tr("to place");
        if (rep && rep->positions.contains(p.id)) {
            const auto missing = missingAt(m_bench.data(), m_bench.blueprint(), *rep, p.id);
            const PlacedPosition& placed = rep->positions.at(p.id);
            state = missing.empty() ? tr("frame %1").arg(placed.frame.value + 1)
                                    : tr("frame %1, %2 open").arg(placed.frame.value + 1).arg(missing.size());
            if (placed.proposed && placed.sigma) {
                const bool unsure = *placed.sigma > 2.0 * timebaseOf(*take).realPeriod(placed.frame);
                state += (unsure ? tr(", unsure ± %1 ms") : tr(", proposed ± %1 ms"))
                             .arg(shownFigure(1000.0 * *placed.sigma, 0));
            }
        }
        auto* item = new QListWidgetItem(QString("%1  %2\n     %3").arg(n).arg(q(p.name), state));
        item->setSizeHint(QSize(0, 2 * QFontMetrics(typeface(Type::body)).lineSpacing() + 8)); // both lines, always
        item->setToolTip(q(p.words));
        if (const QPixmap picture = pictureFromText(p.picture); !picture.isNull()) {
            item->setIcon(picture.scaled(m_pegs->iconSize(), Qt::KeepAspectRatio, Qt::SmoothTransformation));
            item->setToolTip(QString("<img src=\"%1\"><br>%2").arg(q(p.picture), q(p.words).toHtmlEscaped()));
        }
        m_pegs->addItem(item);
        if (positionHere() == p.id)
            item->setSelected(true);
    }
    m_pegs->setCurrentRow(scroll, QItemSelectionModel::NoUpdate);
    showOtherView();
    m_canvas->update();
    say();
}

const ViewMismatch* MarkingPage::mismatchHere() const {
    const Take* take = m_bench.take();
    if (!take || m_repeat->running())
        return nullptr;
    const ViewMismatch* first = nullptr;
    for (const auto& check : m_bench.analysis().views)
        if (check.has(take->id))
            for (const auto& m : check.off)
                if ((take->id == check.a ? m.a : m.b).value == m_bench.frame()) {
                    if (m.landmark == m_canvas->landmark())
                        return &m; // the one that is asked for before all others
                    first = first ? first : &m;
                }
    return first;
}

void MarkingPage::showOtherView() {
    const Take* take = m_bench.take();
    std::optional<Eigen::Vector3d> line;
    const Analysis& a = m_bench.analysis();
    if (take && !m_repeat->running() && !take->steady) // lines are drawn in the picture as it was filmed
        for (const auto& check : a.views)
            if (!line)
                line = lineFromOtherView(check, m_bench.data(), a.motions, take->id, FrameIndex(m_bench.frame()),
                                         m_canvas->landmark());
    const ViewMismatch* m = mismatchHere();
    m_canvas->setOtherView(line, m && m->landmark == m_canvas->landmark());
}

// A point by its name, and by whose it is where several people are marked.
QString MarkingPage::calledHere(const LandmarkName& landmark) const {
    const Take* take = m_bench.take();
    return q(take ? spokenIn(take->figure, landmark) : spoken(landmark));
}

void MarkingPage::say() {
    const Take* take = m_bench.take();
    const Rep* rep = m_bench.rep();
    if (!take) {
        m_words->setText(tr("Bring in a film first."));
        return;
    }
    const auto attention = rep ? m_bench.analysis().attention.find(rep->id) : m_bench.analysis().attention.end();
    const int asks = attention == m_bench.analysis().attention.end() ? 0 : attention->second.frames();
    m_worst->setText(asks > 0 ? tr("Worst next (%1)").arg(asks) : tr("Worst next"));
    m_doubt->setText(rep && attention != m_bench.analysis().attention.end() ? doubtWords(rep->id, attention->second)
                                                                            : QString());
    if (const Id repeat = m_repeat->running()) {
        const auto open = openAt(m_bench.data().repeats.at(repeat), FrameIndex(m_bench.frame()));
        m_words->setText(open.empty()
                             ? tr("This frame is done. Enter goes to the next.")
                             : tr("Marking again: click the %1. %2 to go on this frame.")
                                   .arg(calledHere(m_canvas->landmark()),
                                        counted(static_cast<qsizetype>(open.size()), tr("point"), tr("points"))));
        return;
    }
    if (rep)
        if (const PositionId at = positionHere(); !at.empty() && rep->positions.at(at).proposed) {
            m_words->setText(
                tr("“%1” is proposed here. %2 Enter accepts it, Ctrl and the arrow keys move it.")
                    .arg(q(m_bench.blueprint().position(at)->name), q(m_bench.blueprint().position(at)->words)));
            return;
        }
    if (const ViewMismatch* m = mismatchHere()) {
        const Take* other = nullptr;
        for (const auto& check : m_bench.analysis().views)
            if (check.has(take->id) && !check.off.empty() && m >= &check.off.front() && m <= &check.off.back())
                other = &m_bench.data().takes.at(check.a == take->id ? check.b : check.a);
        m_words->setText(
            tr("The %1 disagrees with “%2” by %3 px: one of the two marks is off. The line is where the other "
               "view sees it.")
                .arg(q(spoken(m->landmark)), other ? q(other->title) : QString())
                .arg(shownFigure(m->distance, 0)));
        return;
    }
    if (const Ask* ask = askHere(); ask && ask->missing) {
        m_words->setText(
            tr("The %1 is not marked here. Click it, or press X when it is not to be seen. %2 until every measure "
               "can be decided.")
                .arg(calledHere(m_canvas->landmark()), counted(asks, tr("frame"), tr("frames"))));
        return;
    } else if (ask) {
        QStringList names;
        for (const auto& n : ask->landmarks)
            names << calledHere(n);
        m_words->setText(
            tr("Worth a look: %1. Drag what is off, Enter when it is right. %2 until every measure can be decided.")
                .arg(names.join(", "), counted(asks, tr("frame"), tr("frames"))));
        return;
    }
    const auto needed = positionsFor(m_bench.blueprint(), take->view);
    const KeyPosition* open = nullptr;
    for (const auto& id : needed)
        if (!open && (!rep || !rep->positions.contains(id)))
            open = m_bench.blueprint().position(id);
    const PositionId here = positionHere();
    const auto missing =
        rep && !here.empty() ? missingAt(m_bench.data(), m_bench.blueprint(), *rep, here) : std::vector<LandmarkName>();
    if (!missing.empty()) {
        m_words->setText(tr("%1: click the %2. %3 to go on this frame.")
                             .arg(q(m_bench.blueprint().position(here)->name), calledHere(m_canvas->landmark()),
                                  counted(static_cast<qsizetype>(missing.size()), tr("point"), tr("points"))));
    } else if (open) {
        m_words->setText(tr("Step to “%1” with the arrow keys and press %2. %3")
                             .arg(q(open->name))
                             .arg(m_bench.blueprint().positionOrder(open->id) + 1)
                             .arg(q(open->words)));
    } else if (rep) {
        bool done = true;
        for (const auto& id : needed)
            done = done && missingAt(m_bench.data(), m_bench.blueprint(), *rep, id).empty();
        if (asks > 0)
            m_words->setText(tr("Rep %1: %2 until every measure can be decided. Press W for the one that tells most.")
                                 .arg(rep->number)
                                 .arg(counted(asks, tr("frame"), tr("frames"))));
        else if (done)
            m_words->setText(
                tr("Rep %1 is marked. Press R to start the next one, or look at the Mirror.").arg(rep->number));
        else
            m_words->setText(tr("All key positions are placed. Press N for the next open point."));
    }
}

// How many measures of the rep are decided, and how many were before the last marks.
QString MarkingPage::doubtWords(Id rep, const Attention& attention) {
    const auto measured = m_bench.analysis().measured.find(rep);
    if (measured == m_bench.analysis().measured.end())
        return {};
    const auto& values = measured->second.values;
    const auto readable =
        static_cast<int>(std::count_if(values.begin(), values.end(), [](const auto& v) { return !v.refused; }));
    const int decided = std::max(0, readable - static_cast<int>(attention.open.size()));
    auto& [before, now] = m_doubts[rep];
    // While marks are on their way every lot of them would count as a step.
    if (!m_carrier->busy()) {
        if (now != decided)
            before = now;
        now = decided;
    }
    const QString words = tr("%1 of %2 decided").arg(now).arg(counted(readable, tr("measure"), tr("measures")));
    return before > 0 && before != now ? tr("%1, %2 before").arg(words).arg(before) : words;
}

} // namespace riflesso
