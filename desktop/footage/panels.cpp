#include "desktop/footage/panels.h"

#include "casebook/text.h"
#include "core/motion/rate_check.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"
#include "intake/intake.h"

#include <QFileInfo>
#include <QFormLayout>
#include <QFutureWatcher>
#include <QGridLayout>
#include <QHBoxLayout>

namespace riflesso {
namespace {

template <std::size_t N> void fill(QComboBox* box, const std::array<std::string_view, N>& names) {
    for (auto n : names)
        box->addItem(q(std::string(n)));
}
QDate toDate(Day d) {
    return QDate::fromString(q(isoDate(d)), Qt::ISODate);
}
QFormLayout* form() {
    auto* f = new QFormLayout;
    f->setRowWrapPolicy(QFormLayout::WrapLongRows);
    f->setLabelAlignment(Qt::AlignLeft);
    f->setContentsMargins(0, 0, 0, 0);
    f->setVerticalSpacing(5);
    return f;
}
QDoubleSpinBox* metres(double value, double most, const QString& name) {
    auto* s = new QDoubleSpinBox;
    s->setRange(0.0, most);
    s->setDecimals(3);
    s->setSingleStep(0.1);
    s->setValue(value);
    s->setSuffix(" m");
    s->setAccessibleName(name);
    return s;
}
// A line with a small button that takes the thing away.
QWidget* removable(const QString& words, const std::function<void()>& remove) {
    auto* row = new QWidget;
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    auto* text = wrapped(words);
    auto* away = new QPushButton(QObject::tr("Take away"));
    away->setAccessibleName(QObject::tr("Take away: %1").arg(words));
    line->addWidget(text, 1);
    line->addWidget(away);
    QObject::connect(away, &QPushButton::clicked, row, remove);
    return row;
}

} // namespace

TakePanel::TakePanel(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    m_all = new QVBoxLayout(this);
    m_all->setContentsMargins(0, 4, 4, 0);
    m_all->setSpacing(7);
}

void TakePanel::change(const QString& what, const std::function<void(Take&)>& edit) {
    const Take* take = m_bench.take();
    if (m_filling || !take)
        return;
    Take changed = *take;
    edit(changed);
    m_bench.book().setTake(changed, what);
}

// The film
// --------------------------------------------------------------------------------------------------------------

FilmPanel::FilmPanel(Workbench& bench) : TakePanel(bench) {
    m_title = new QLineEdit;
    m_who = new QComboBox;
    m_who->addItems({tr("the athlete"), tr("a model performance")});
    m_hand = new QComboBox;
    m_hand->addItems({tr("left-handed"), tr("right-handed")});
    m_day = new QDateEdit;
    m_day->setDisplayFormat("yyyy-MM-dd");
    m_day->setCalendarPopup(true);
    m_view = new QComboBox;
    fill(m_view, kViewNames);
    m_facing = new QComboBox;
    m_facing->addItems({tr("to the left"), tr("to the right"), tr("to the camera")});
    m_facing->setToolTip(tr("Where the athlete's forward points in the picture."));
    m_stage = new QComboBox;
    fill(m_stage, kStageNames);
    m_stage->setToolTip(tr("Under how much stress this was filmed. It is easy to look good on an easy feed."));
    m_facts = wrapped({}, "quiet");
    m_search = new QPushButton(tr("Look for the film …"));
    m_search->setToolTip(tr("The film is not where it was. It is known by its content: choose a folder to look in."));
    m_changed = wrapped({}, "strong");
    m_changed->hide();
    m_anew = new QPushButton(tr("Take the film as it is now"));
    m_anew->setObjectName("filmAnew");
    m_anew->setToolTip(tr("Marks and key positions stay. Those beyond the end of the film are kept but not read."));
    m_anew->hide();
    connect(m_anew, &QPushButton::clicked, this, &FilmPanel::takeAnew);
    m_remove = new QPushButton(tr("Remove this take"));
    m_remove->setToolTip(tr("Takes it and its marks out of the case. Undo brings them back; the film file stays."));
    auto* f = form();
    f->addRow(tr("Title"), m_title);
    f->addRow(tr("Shows"), m_who);
    f->addRow(tr("Hand"), m_hand);
    f->addRow(tr("Filmed on"), m_day);
    f->addRow(tr("View"), m_view);
    f->addRow(tr("Forward"), m_facing);
    f->addRow(tr("Stress"), m_stage);
    m_all->addLayout(f);
    m_all->addWidget(m_facts);
    m_all->addWidget(m_search);
    m_all->addWidget(m_changed);
    m_all->addWidget(m_anew);
    m_all->addStretch();
    m_all->addWidget(m_remove);
    connect(m_title, &QLineEdit::editingFinished, this, [this] {
        change(tr("rename a take"), [this](Take& t) { t.title = m_title->text().trimmed().toStdString(); });
    });
    connect(m_who, &QComboBox::activated, this, [this](int i) {
        change(tr("say who a take shows"), [i](Take& t) { t.performer = static_cast<Performer>(i); });
    });
    connect(m_hand, &QComboBox::activated, this, [this](int i) {
        change(tr("set the hand of a take"), [i](Take& t) { t.handedness = static_cast<Side>(i); });
    });
    connect(m_day, &QDateEdit::editingFinished, this, [this] {
        if (const auto day = dayFromIso(m_day->date().toString(Qt::ISODate).toStdString()))
            change(tr("set the date of a take"), [day](Take& t) { t.day = *day; });
    });
    connect(m_view, &QComboBox::activated, this, [this](int i) {
        change(tr("set the view of a take"), [i](Take& t) {
            t.view = static_cast<View>(i);
            if (t.view == View::front)
                t.facing = Facing::camera;
            else if (t.facing == Facing::camera)
                t.facing = Facing::right;
        });
    });
    connect(m_facing, &QComboBox::activated, this,
            [this](int i) { change(tr("set where forward is"), [i](Take& t) { t.facing = static_cast<Facing>(i); }); });
    connect(m_stage, &QComboBox::activated, this, [this](int i) {
        change(tr("set the stress of a take"), [i](Take& t) { t.stage = static_cast<Stage>(i); });
    });
    connect(m_search, &QPushButton::clicked, this, &FilmPanel::searchWanted);
    connect(m_remove, &QPushButton::clicked, this, [this] {
        if (const Take* take = m_bench.take())
            m_bench.book().removeTake(take->id);
    });
}

void FilmPanel::refresh() {
    const Take* take = m_bench.take();
    setEnabled(take);
    if (!take) {
        m_facts->clear();
        return;
    }
    m_filling = true;
    m_title->setText(q(take->title));
    m_who->setCurrentIndex(static_cast<int>(take->performer));
    m_hand->setCurrentIndex(static_cast<int>(take->handedness));
    m_day->setDate(toDate(take->day));
    m_view->setCurrentIndex(static_cast<int>(take->view));
    m_facing->setCurrentIndex(static_cast<int>(take->facing));
    m_facing->setEnabled(take->view == View::side);
    m_stage->setCurrentIndex(static_cast<int>(take->stage));
    const QString path = m_bench.filmPath(*take);
    const bool there = QFileInfo::exists(path);
    const bool outside = QFileInfo(q(take->film)).isAbsolute();
    const double length = take->times.empty() ? 0.0 : take->times.back();
    m_facts->setText(tr("%1 × %2 px, %3 frames, %4 s in the file. %5")
                         .arg(take->width)
                         .arg(take->height)
                         .arg(take->times.size())
                         .arg(length, 0, 'f', 2)
                         .arg(!there    ? tr("The film is missing: %1").arg(QFileInfo(path).fileName())
                              : outside ? tr("Referred to where it lies, outside the library.")
                                        : tr("Kept in the library.")));
    m_search->setVisible(!there && !take->checksum.empty());
    m_filling = false;
    if (there)
        checkFilm();
}

void FilmPanel::checkFilm() {
    const Take take = *m_bench.take();
    const QString key = QString("%1 %2 %3").arg(q(take.film)).arg(take.times.size()).arg(take.width);
    if (key == m_checked)
        return;
    m_checked = key;
    m_changed->hide();
    m_anew->hide();
    auto* watcher = new QFutureWatcher<Result<std::optional<Take>>>(this);
    connect(watcher, &QFutureWatcherBase::finished, this, [this, watcher, key, take] {
        watcher->deleteLater();
        const auto now = watcher->result();
        if (key != m_checked || !now || !*now)
            return; // what cannot be opened is said by the frame view
        const auto frames = [](const Take& t) { return static_cast<qsizetype>(t.times.size()); };
        m_changed->setText(
            frames(**now) != frames(take)
                ? tr("This is another film than the one that was brought in: it has %1, that one had %2.")
                      .arg(counted(frames(**now), tr("frame"), tr("frames")))
                      .arg(frames(take))
                : tr("This is another film than the one that was brought in: its frames differ in size or "
                     "in time."));
        m_changed->show();
        m_anew->show();
        emit said(tr("“%1”: %2").arg(q(take.title), m_changed->text())); // whichever panel is in front
    });
    watcher->setFuture(m_bench.book().jobs().run([film = m_bench.filmPath(take).toStdString(),
                                                  index = m_bench.book().library().indexFolder(),
                                                  take] { return filmAnew(film, index, take, false); }));
}

void FilmPanel::takeAnew() {
    const Take* take = m_bench.take();
    if (!take)
        return;
    m_anew->setEnabled(false);
    auto* watcher = new QFutureWatcher<Result<std::optional<Take>>>(this);
    connect(watcher, &QFutureWatcherBase::finished, this, [this, watcher, id = take->id] {
        watcher->deleteLater();
        m_anew->setEnabled(true);
        const auto now = watcher->result();
        if (!now) {
            emit failed(q(now.error().text()));
            return;
        }
        const auto there = m_bench.data().takes.find(id);
        if (!*now || there == m_bench.data().takes.end())
            return;
        Take after = there->second; // whatever else was edited meanwhile stays
        after.times = (*now)->times;
        after.width = (*now)->width;
        after.height = (*now)->height;
        after.checksum = (*now)->checksum;
        m_bench.frames().forget(m_bench.filmPath(after));
        m_bench.book().setTake(after, tr("take the film as it is now"));
    });
    watcher->setFuture(m_bench.book().jobs().run([film = m_bench.filmPath(*take).toStdString(),
                                                  index = m_bench.book().library().indexFolder(),
                                                  take = *take] { return filmAnew(film, index, take, true); }));
}

// Time
// ------------------------------------------------------------------------------------------------------------------

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
    connect(a, &QPushButton::clicked, this, [this] {
        m_a = m_bench.frame();
        check();
    });
    connect(b, &QPushButton::clicked, this, [this] {
        m_b = m_bench.frame();
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
    QString words = tr("The camera took %1 ± %2 pictures a second.").arg(c->rate.value, 0, 'f', 1).arg(c->u, 0, 'f', 1);
    if (fall)
        words += tr(" At the rate set now the ball would fall with %1 ± %2 m/s² instead of 9.81.")
                     .arg(c->g, 0, 'f', 2)
                     .arg(c->uG, 0, 'f', 2);
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
    m_from->setText(!take->captureRate ? tr("Nobody has said it yet. Look at the camera's settings, or check it below.")
                    : take->captureFrom.empty() ? QString()
                                                : tr("Known from: %1.").arg(q(take->captureFrom)));
    const Timebase time = timebaseOf(*take);
    const FrameIndex middle(time.frames() / 2);
    m_ordinary->setText(tr("No slow motion: as the file says, %1 Hz (H)").arg(time.fileRate().value, 0, 'g', 4));
    m_ordinary->setVisible(!take->captureRate);
    int others = 0;
    for (const auto& [id, t] : m_bench.data().takes)
        others += id != take->id && t.day == take->day && !t.captureRate;
    m_ordinaryDay->setVisible(!take->captureRate && others > 0);
    m_decides->setText(
        take->captureRate
            ? tr("An instant on this film is sure to ± %1 ms, an interval to ± %2 ms. Two things less than %3 ms apart "
                 "cannot be told from simultaneous.")
                  .arg(1000 * time.instantError(middle), 0, 'f', 1)
                  .arg(1414.2 * time.instantError(middle), 0, 'f', 1)
                  .arg(1000 * time.smallestInterval(middle), 0, 'f', 1)
            : tr("Until the capture rate is set no time or speed is judged. The file plays at %1 Hz.")
                  .arg(time.fileRate().value, 0, 'f', 2));
    m_filling = false;
    check();
}

// Calibration
// -----------------------------------------------------------------------------------------------------------

CalibratePanel::CalibratePanel(Workbench& bench, StageView* stage) : TakePanel(bench), m_stage(stage) {
    m_length = metres(1.0, 1000.0, tr("Known length"));
    m_length->setObjectName("knownLength");
    m_width = metres(2.0, 1000.0, tr("Width of the rectangle"));
    m_height = metres(1.0, 1000.0, tr("Height of the rectangle"));
    m_x = metres(0.0, 1000.0, tr("Place of the point to the right"));
    m_y = metres(0.0, 1000.0, tr("Place of the point upwards"));
    m_x->setMinimum(-1000.0);
    m_y->setMinimum(-1000.0);
    m_distance = metres(0.0, 1000.0, tr("Camera to the movement"));
    m_depth = metres(0.0, 100.0, tr("By how much the movement leaves the plane"));
    m_distance->setSpecialValueText(tr("not known"));
    m_answer = wrapped({});
    m_answer->setObjectName("calibrationAnswer");
    m_list = new QVBoxLayout;
    m_list->setSpacing(2);
    const auto tool = [&](StageTool t, const QString& text, const QString& why, const char* name) {
        auto* b = new QPushButton(text);
        b->setCheckable(true);
        b->setToolTip(why);
        b->setObjectName(name);
        m_tools.emplace_back(t, b);
        connect(b, &QPushButton::clicked, this, [this, t, b] { useTool(b->isChecked() ? t : StageTool::none); });
        return b;
    };
    auto* grid = new QGridLayout;
    grid->setVerticalSpacing(4);
    grid->addWidget(tool(StageTool::plumb, tr("Vertical"), tr("Something that hangs or stands upright."), "toolPlumb"),
                    0, 0);
    grid->addWidget(tool(StageTool::horizon, tr("Level"), tr("The floor line seen from the side."), "toolLevel"), 0, 1);
    grid->addWidget(
        tool(StageTool::length, tr("Known length"), tr("In the plane in which the athlete moves."), "toolLength"), 1,
        0);
    grid->addWidget(m_length, 1, 1);
    grid->addWidget(tool(StageTool::rectangle, tr("Rectangle"), tr("Four corners of known size undo the perspective."),
                         "toolRectangle"),
                    2, 0);
    auto* size = new QHBoxLayout;
    size->setSpacing(3);
    size->addWidget(m_width);
    size->addWidget(m_height);
    grid->addLayout(size, 2, 1);
    grid->addWidget(
        tool(StageTool::point, tr("Known point"), tr("More points show how well the plane fits."), "toolPoint"), 3, 0);
    auto* place = new QHBoxLayout;
    place->setSpacing(3);
    place->addWidget(m_x);
    place->addWidget(m_y);
    grid->addLayout(place, 3, 1);
    grid->addWidget(tool(StageTool::edge, tr("Straight edge"),
                         tr("For lenses that bend the picture: an edge near the border."), "toolEdge"),
                    4, 0);
    grid->addWidget(tool(StageTool::check, tr("Measure"), tr("A second length you know: see the error."), "toolCheck"),
                    4, 1);
    for (auto* s : {m_width, m_height, m_x, m_y}) {
        s->setButtonSymbols(QAbstractSpinBox::NoButtons);
        s->setDecimals(2);
    }
    grid->setColumnStretch(1, 1);
    m_all->addLayout(grid);
    m_all->addLayout(m_list);
    m_all->addWidget(m_answer);
    auto* f = form();
    f->addRow(tr("Camera distance"), m_distance);
    f->addRow(tr("Leaves the plane by"), m_depth);
    m_all->addLayout(f);
    m_camera = new QPushButton(tr("Does the camera move?"));
    m_camera->setObjectName("cameraPath");
    m_camera->setToolTip(tr("Follows the background through the film."));
    m_steady = new QCheckBox(tr("Take its movement out of the marks"));
    m_steady->setObjectName("steady");
    m_all->addWidget(m_camera);
    m_all->addWidget(m_steady);
    m_all->addStretch();

    connect(stage, &StageView::lineDrawn, this, [this](StageTool t, const DrawnLine& line) {
        if (t == StageTool::plumb)
            edit(tr("draw the vertical"), [&](CalibrationInput& c) { c.plumb = line; });
        else if (t == StageTool::horizon)
            edit(tr("draw the level"), [&](CalibrationInput& c) { c.horizon = line; });
        else if (t == StageTool::length)
            edit(tr("draw a known length"), [&](CalibrationInput& c) {
                c.lengths.push_back({line, m_length->value()});
            });
        else if (t == StageTool::check && m_bench.take()) {
            const auto c = calibrationOf(*m_bench.take());
            if (c && *c) {
                const auto l = (*c)->length(line.a, line.b, m_bench.take()->calibration.sigma);
                const QString unit = (*c)->metric() ? tr("m") : tr("px");
                m_stage->setCheck(line, tr("%1 ± %2 %3").arg(l.value, 0, 'f', 3).arg(l.u, 0, 'f', 3).arg(unit));
                emit said(tr("Measured %1 ± %2 %3. What should it be?")
                              .arg(l.value, 0, 'f', 3)
                              .arg(l.u, 0, 'f', 3)
                              .arg(unit));
            }
        }
        useTool(StageTool::none);
    });
    connect(stage, &StageView::pointsClicked, this, [this](StageTool t, const std::vector<Pixel>& p) {
        if (t == StageTool::rectangle) {
            const double w = m_width->value(), h = m_height->value();
            edit(tr("draw a rectangle"), [&](CalibrationInput& c) {
                c.points = {{p[0], 0, 0}, {p[1], w, 0}, {p[2], w, h}, {p[3], 0, h}};
            });
        } else if (t == StageTool::point) {
            edit(tr("set a known point"), [&](CalibrationInput& c) {
                c.points.push_back({p[0], m_x->value(), m_y->value()});
            });
        } else if (t == StageTool::edge) {
            edit(tr("draw a straight edge"), [&](CalibrationInput& c) { c.straight.push_back(p); });
        }
        useTool(StageTool::none);
    });
    connect(stage, &StageView::edited, this, [this](const CalibrationInput& drawn) {
        edit(tr("move a drawn end"), [&](CalibrationInput& c) { c = drawn; });
    });
    connect(stage, &StageView::toolPutAway, this, [this] { useTool(StageTool::none); });
    connect(m_distance, &QDoubleSpinBox::editingFinished, this, [this] {
        edit(tr("set the camera's distance"), [this](CalibrationInput& c) {
            c.cameraDistance = m_distance->value() > 0 ? std::optional(m_distance->value()) : std::nullopt;
        });
    });
    connect(m_depth, &QDoubleSpinBox::editingFinished, this, [this] {
        edit(tr("say how far the movement leaves the plane"),
             [this](CalibrationInput& c) { c.depth = m_depth->value(); });
    });
    connect(m_camera, &QPushButton::clicked, this, &CalibratePanel::cameraPathWanted);
    connect(m_steady, &QCheckBox::clicked, this,
            [this](bool on) { change(tr("take the camera's movement out"), [on](Take& t) { t.steady = on; }); });
}

void CalibratePanel::useTool(StageTool tool) {
    for (const auto& [t, b] : m_tools)
        b->setChecked(t == tool);
    m_stage->setTool(tool);
    if (tool != StageTool::none)
        m_stage->setFocus();
}

void CalibratePanel::edit(const QString& what, const std::function<void(CalibrationInput&)>& change_) {
    change(what, [&](Take& t) { change_(t.calibration); });
}

void CalibratePanel::refresh() {
    const Take* take = m_bench.take();
    setEnabled(take);
    m_stage->setDrawn(take ? take->calibration : CalibrationInput());
    clearLayout(m_list);
    if (!take)
        return;
    m_filling = true;
    const CalibrationInput& c = take->calibration;
    m_distance->setValue(c.cameraDistance.value_or(0.0));
    m_depth->setValue(c.depth);
    if (c.plumb)
        m_list->addWidget(removable(tr("a vertical"), [this] {
            edit(tr("take the vertical away"), [](CalibrationInput& x) { x.plumb.reset(); });
        }));
    if (c.horizon)
        m_list->addWidget(removable(tr("a level line"), [this] {
            edit(tr("take the level away"), [](CalibrationInput& x) { x.horizon.reset(); });
        }));
    for (std::size_t i = 0; i < c.lengths.size(); ++i)
        m_list->addWidget(removable(tr("a length of %1 m").arg(c.lengths[i].metres), [this, i] {
            edit(tr("take a length away"),
                 [i](CalibrationInput& x) { x.lengths.erase(x.lengths.begin() + static_cast<std::ptrdiff_t>(i)); });
        }));
    if (!c.points.empty())
        m_list->addWidget(
            removable(counted(static_cast<qsizetype>(c.points.size()), tr("known point"), tr("known points")),
                      [this] { edit(tr("take the points away"), [](CalibrationInput& x) { x.points.clear(); }); }));
    if (!c.straight.empty())
        m_list->addWidget(
            removable(counted(static_cast<qsizetype>(c.straight.size()), tr("straight edge"), tr("straight edges")),
                      [this] { edit(tr("take the edges away"), [](CalibrationInput& x) { x.straight.clear(); }); }));
    QStringList words;
    const auto made = calibrationOf(*take);
    if (!made) {
        words << q(made.error().text());
    } else if (!*made) {
        words << tr("Nothing is drawn: leans are read against the picture's own edge, lengths in body segments.");
    } else {
        const Calibration& k = **made;
        words << (k.metric() ? tr("Lengths are in metres.") : tr("No length is known: lengths in body segments."));
        if (k.tilt() && c.points.empty())
            words << tr("The true vertical leans %1 ± %2° in the picture; leans are set right by it.")
                         .arg(k.tilt()->value, 0, 'f', 1)
                         .arg(k.tiltError().value, 0, 'f', 1);
        if (k.reprojection())
            words << tr("What is drawn fits to %1 px.").arg(*k.reprojection(), 0, 'f', 1);
        else if (c.points.size() == 4)
            words << tr("Four points always fit: a fifth would check them.");
        for (const auto& w : k.warnings())
            words << tr("Mind: %1.").arg(q(w));
    }
    if (!take->camera.empty()) {
        const CameraMotion m = motionOf(take->camera, take->width, take->height);
        const double share = 100.0 * m.shift / std::max(1, take->width);
        words << (m.shift < 2.0 && m.turn.value < 0.2
                      ? tr("The camera stands still (within %1 px).").arg(m.shift, 0, 'f', 1)
                      : tr("Mind: the camera moves by up to %1 px (%2 % of the width) and turns by up to %3°%4.")
                            .arg(m.shift, 0, 'f', 0)
                            .arg(share, 0, 'f', 1)
                            .arg(m.turn.value, 0, 'f', 1)
                            .arg(take->steady ? tr("; this is taken out")
                                              : tr(". Positions and leans are wrong by as much")));
    }
    m_answer->setText(words.join("\n"));
    m_steady->setEnabled(!take->camera.empty());
    m_steady->setChecked(take->steady);
    m_filling = false;
}

// Reps
// ------------------------------------------------------------------------------------------------------------------

RepsPanel::RepsPanel(Workbench& bench, RepStrip* strip) : TakePanel(bench), m_strip(strip) {
    m_all->addWidget(wrapped(tr("Find the reps by"), "strong"));
    auto* by = new QHBoxLayout;
    by->setSpacing(4);
    const char* names[] = {"findMotion", "findSound", "findCycle"};
    const QString texts[] = {tr("movement"), tr("sound"), tr("rhythm")};
    const QString why[] = {tr("Reps with stillness between them."), tr("Each strike that is heard."),
                           tr("Cycles that follow one another: strokes, strides.")};
    for (int i = 0; i < 3; ++i) {
        auto* b = new QPushButton(texts[i]);
        b->setObjectName(names[i]);
        b->setToolTip(why[i]);
        by->addWidget(b);
        connect(b, &QPushButton::clicked, this, [this, i] { emit findWanted(i); });
    }
    m_all->addLayout(by);
    m_found = wrapped({}, "quiet");
    m_found->setObjectName("proposals");
    m_all->addWidget(m_found);
    m_accept = new QPushButton(tr("Accept this one (A)"));
    m_acceptAll = new QPushButton(tr("Accept all (Shift+A)"));
    m_acceptAll->setObjectName("acceptAll");
    auto* accept = new QHBoxLayout;
    accept->addWidget(m_accept);
    accept->addWidget(m_acceptAll);
    m_all->addLayout(accept);
    m_all->addWidget(wrapped(tr("S splits at the playhead, M merges with the next, [ and ] put an end here, Delete "
                                "takes away, Page keys go from one to the next."),
                             "quiet"));
    m_rep = new QWidget;
    auto* f = form();
    m_rep->setLayout(f);
    m_which = wrapped({}, "strong");
    const auto typed = [](const QString& name, const QString& hint) {
        auto* box = new QComboBox;
        box->setEditable(true);
        box->setInsertPolicy(QComboBox::NoInsert);
        box->setMinimumContentsLength(8);
        box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        box->lineEdit()->setObjectName(name);
        box->lineEdit()->setPlaceholderText(hint);
        return box;
    };
    m_situation = typed("situation", tr("what had to be answered"));
    m_choice = typed("choice", tr("the technique chosen"));
    m_score = new QLineEdit;
    m_score->setObjectName("score");
    m_score->setFixedWidth(74);
    m_score->setToolTip(tr("What it scored, or how far it went, as a figure"));
    m_score->setAccessibleName(tr("Score"));
    m_worked = new QComboBox;
    m_worked->setObjectName("worked");
    m_worked->addItems({tr("not said"), tr("it worked"), tr("it did not")});
    m_stress = new QComboBox;
    m_stress->setObjectName("repStress");
    m_stress->addItem(tr("as the take"));
    for (auto n : kStageNames)
        m_stress->addItem(q(std::string(n)));
    f->addRow(m_which);
    f->addRow(tr("Situation"), m_situation);
    f->addRow(tr("Choice"), m_choice);
    auto* effect = new QHBoxLayout;
    effect->addWidget(m_worked, 1);
    effect->addWidget(m_score);
    f->addRow(tr("Effect"), effect);
    f->addRow(tr("Stress"), m_stress);
    m_all->addWidget(m_rep);
    m_all->addStretch();
    connect(m_accept, &QPushButton::clicked, strip, &RepStrip::acceptHere);
    connect(m_acceptAll, &QPushButton::clicked, strip, &RepStrip::acceptAll);
    connect(strip, &RepStrip::proposalsChanged, this, [this] { refresh(); });
    const auto situation = [this] {
        const QString text = m_situation->currentText().trimmed();
        // A name of the blueprint's stands for its situation; anything else is kept as it was typed.
        const int known = m_situation->findText(text, Qt::MatchFixedString);
        const auto id = (known >= 0 ? m_situation->itemData(known).toString() : text).toStdString();
        if (m_bench.rep() && id != m_bench.rep()->situation)
            changeRep(tr("say the situation"), [&](Rep& r) { r.situation = id; });
    };
    const auto choice = [this] {
        const auto text = m_choice->currentText().trimmed().toStdString();
        if (m_bench.rep() && text != m_bench.rep()->choice)
            changeRep(tr("say the choice"), [&](Rep& r) { r.choice = text; });
    };
    connect(m_situation->lineEdit(), &QLineEdit::editingFinished, this, situation);
    connect(m_situation, &QComboBox::activated, this, situation);
    connect(m_choice->lineEdit(), &QLineEdit::editingFinished, this, choice);
    connect(m_choice, &QComboBox::activated, this, choice);
    connect(m_score, &QLineEdit::editingFinished, this, [this] {
        bool read = false;
        const double score = QLocale::c().toDouble(m_score->text().trimmed().replace(',', '.'), &read);
        if (!read && !m_score->text().trimmed().isEmpty()) {
            refresh(); // what is no figure is not kept
            return;
        }
        const auto said = read ? std::optional(score) : std::nullopt;
        if (m_bench.rep() && said != m_bench.rep()->score)
            changeRep(tr("note the score"), [&](Rep& r) { r.score = said; });
    });
    connect(m_worked, &QComboBox::activated, this, [this](int i) {
        changeRep(tr("say whether it worked"),
                  [i](Rep& r) { r.worked = i == 0 ? std::nullopt : std::optional(i == 1); });
    });
    connect(m_stress, &QComboBox::activated, this, [this](int i) {
        changeRep(tr("set the stress of a rep"),
                  [i](Rep& r) { r.stage = i == 0 ? std::nullopt : std::optional(static_cast<Stage>(i - 1)); });
    });
}

void RepsPanel::changeRep(const QString& what, const std::function<void(Rep&)>& edit) {
    const Rep* rep = m_bench.rep();
    if (m_filling || !rep)
        return;
    Rep changed = *rep;
    edit(changed);
    m_bench.book().setRep(changed, what);
}

void RepsPanel::refresh() {
    const Take* take = m_bench.take();
    setEnabled(take);
    const auto n = static_cast<qsizetype>(m_strip->proposals().size());
    m_accept->setEnabled(n > 0);
    m_acceptAll->setEnabled(n > 0);
    const auto reps = take ? static_cast<qsizetype>(repsOf(m_bench.data(), take->id).size()) : 0;
    m_found->setText(n > 0 ? tr("%1 proposed, %2 accepted.").arg(n).arg(reps)
                           : tr("%1 in this take.").arg(counted(reps, tr("rep"), tr("reps"))));
    const Rep* rep = m_bench.rep();
    m_rep->setVisible(rep);
    if (!rep)
        return;
    m_filling = true;
    m_which->setText(tr("Rep %1").arg(rep->number));
    const Blueprint& b = m_bench.blueprint();
    QString situation = q(rep->situation);
    QStringList choices;
    m_situation->clear();
    for (const auto& s : b.situations) {
        m_situation->addItem(q(s.name), q(s.id));
        m_situation->setItemData(m_situation->count() - 1, q(s.words), Qt::ToolTipRole);
        if (s.id == rep->situation)
            situation = q(s.name);
        for (const auto& c : s.choices)
            if (!choices.contains(q(c)))
                choices << q(c);
    }
    m_situation->setEditText(situation);
    m_choice->clear();
    m_choice->addItems(choices);
    m_choice->setEditText(q(rep->choice));
    m_score->setText(rep->score ? QString::number(*rep->score) : QString());
    m_score->setPlaceholderText(tr("score"));
    for (const auto& m : b.measures)
        if (m.definition.kind == MeasureKind::effect && m.definition.aspect == Aspect::score)
            m_score->setPlaceholderText(m.definition.perName.empty() ? tr("score") : q(m.definition.perName));
    m_worked->setCurrentIndex(!rep->worked ? 0 : *rep->worked ? 1 : 2);
    m_stress->setCurrentIndex(rep->stage ? static_cast<int>(*rep->stage) + 1 : 0);
    m_filling = false;
}

// Angles
// ----------------------------------------------------------------------------------------------------------------

AnglesPanel::AnglesPanel(Workbench& bench) : TakePanel(bench) {
    m_beside = new QComboBox;
    m_beside->setObjectName("beside");
    m_beside->setAccessibleName(tr("The take beside it"));
    m_share = new QPushButton(tr("Both show the same instant now"));
    m_share->setObjectName("share");
    m_share->setToolTip(
        tr("Step each film to the same instant: Ctrl+arrows step the one beside. One such instant gives "
           "the offset, two and more the rate of the cameras too."));
    m_sound = new QPushButton(tr("Lock by their sound"));
    m_sound->setObjectName("bySound");
    m_unlock = new QPushButton(tr("Unlock"));
    m_unlock->setObjectName("unlock");
    m_answer = wrapped({});
    m_answer->setObjectName("lockAnswer");
    m_list = new QVBoxLayout;
    m_list->setSpacing(2);
    m_all->addWidget(wrapped(tr("Another angle beside it"), "strong"));
    m_all->addWidget(m_beside);
    m_all->addWidget(m_share);
    m_all->addWidget(m_sound);
    m_all->addWidget(m_answer);
    m_all->addLayout(m_list);
    m_all->addWidget(m_unlock);
    m_all->addStretch();
    connect(m_beside, &QComboBox::activated, this, [this] {
        refresh();
        emit besideChanged();
    });
    connect(m_share, &QPushButton::clicked, this, &AnglesPanel::share);
    connect(m_sound, &QPushButton::clicked, this, &AnglesPanel::soundWanted);
    connect(m_unlock, &QPushButton::clicked, this, [this] {
        if (const Link* l = link())
            m_bench.book().removeLink(l->id);
    });
}

Id AnglesPanel::beside() const {
    const Id id = m_beside->currentData().toLongLong();
    return m_bench.data().takes.contains(id) ? id : 0;
}

const Link* AnglesPanel::link() const {
    const Take* take = m_bench.take();
    const Id other = beside();
    if (take && other)
        for (const auto& [id, l] : m_bench.data().links)
            if ((l.a == take->id && l.b == other) || (l.b == take->id && l.a == other))
                return &l;
    return nullptr;
}

void AnglesPanel::share() {
    const Take* take = m_bench.take();
    const Id other = beside();
    if (!take || !other)
        return;
    const FrameIndex here(m_bench.frame()), there(m_otherFrame);
    if (const Link* l = link()) {
        Link changed = *l;
        changed.shared.emplace_back(l->a == take->id ? here : there, l->a == take->id ? there : here);
        if (const auto lock = lockOf(m_bench.data(), changed); !lock) {
            emit failed(q(lock.error().text()));
            return;
        }
        m_bench.book().setLink(changed, tr("share an instant"));
    } else {
        Link made;
        made.a = take->id;
        made.b = other;
        made.shared = {{here, there}};
        m_bench.book().addLink(made);
    }
}

void AnglesPanel::refresh() {
    const Take* take = m_bench.take();
    setEnabled(take);
    clearLayout(m_list);
    if (!take)
        return;
    const Id chosen = beside();
    Id linked = 0;
    for (const auto& [id, l] : m_bench.data().links)
        if (l.a == take->id || l.b == take->id)
            linked = l.a == take->id ? l.b : l.a;
    m_filling = true;
    m_beside->clear();
    m_beside->addItem(tr("none"), QVariant::fromValue<qlonglong>(0));
    for (const auto& [id, t] : m_bench.data().takes)
        if (id != take->id)
            m_beside->addItem(q(t.title), QVariant::fromValue<qlonglong>(id));
    // What is locked stands beside by itself.
    const int at = m_beside->findData(QVariant::fromValue<qlonglong>(chosen && chosen != take->id ? chosen : linked));
    m_beside->setCurrentIndex(std::max(0, at));
    m_filling = false;
    const Id other = beside();
    m_share->setEnabled(other != 0);
    m_sound->setEnabled(other != 0 && !link());
    m_unlock->setVisible(link() != nullptr);
    const Link* l = link();
    if (!other) {
        m_answer->setText(
            m_bench.data().takes.size() < 2
                ? tr("There is only one film in this case.")
                : tr("Choose a film of the same movement. Locked films step together, and a key position set in "
                     "one is set in all."));
    } else if (!l) {
        m_answer->setText(tr("Not locked. Step both to the same instant (Ctrl+arrows step the one beside) and say so, "
                             "or let the sound decide."));
    } else if (const auto lock = lockOf(m_bench.data(), *l); !lock) {
        m_answer->setText(q(lock.error().text()));
    } else {
        QString words = tr("Locked: the other is %1 s %2, ± %3 ms.")
                            .arg(std::abs(lock->offset), 0, 'f', 3)
                            .arg((lock->offset < 0) == (l->a == take->id) ? tr("behind") : tr("ahead"))
                            .arg(1000 * lock->uOffset, 0, 'f', 1);
        if (l->sound && l->shared.empty())
            words +=
                tr(" By sound: the best place is %1 times as clear as the next.").arg(l->sound->quality, 0, 'f', 1);
        if (l->shared.size() > 1)
            words +=
                tr(" Its clock runs %1 times as fast (± %2).").arg(lock->rate, 0, 'f', 4).arg(lock->uRate, 0, 'f', 4);
        m_answer->setText(words);
        for (std::size_t i = 0; i < l->shared.size(); ++i) {
            const QString text = tr("frame %1 with %2, off by %3 ms")
                                     .arg(l->shared[i].first.value + 1)
                                     .arg(l->shared[i].second.value + 1)
                                     .arg(1000 * lock->residuals[i], 0, 'f', 1);
            m_list->addWidget(removable(text, [this, i] {
                const Link* now = link();
                if (!now)
                    return;
                Link changed = *now;
                changed.shared.erase(changed.shared.begin() + static_cast<std::ptrdiff_t>(i));
                if (changed.shared.empty() && !changed.sound)
                    m_bench.book().removeLink(changed.id);
                else
                    m_bench.book().setLink(changed, tr("take a shared instant away"));
            }));
        }
    }
}

// Picture
// ---------------------------------------------------------------------------------------------------------------

PicturePanel::PicturePanel(Workbench& bench, StageView* stage) : TakePanel(bench), m_stage(stage) {
    m_swap = new QCheckBox(tr("Swap left and right"));
    m_swap->setObjectName("swap");
    m_swap->setToolTip(
        tr("So that a left-handed athlete stands like a right-handed model. Marks and numbers stay as they are."));
    const auto slider = [](int low, int high, const QString& name, const char* object) {
        auto* s = new QSlider(Qt::Horizontal);
        s->setRange(low, high);
        s->setAccessibleName(name);
        s->setObjectName(object);
        return s;
    };
    m_brightness = slider(-50, 50, tr("Brightness"), "brightness");
    m_contrast = slider(-100, 100, tr("Contrast"), "contrast");
    m_crop = new QPushButton(tr("Crop to the athlete"));
    m_crop->setObjectName("crop");
    m_crop->setCheckable(true);
    m_whole = new QPushButton(tr("Whole picture"));
    auto* asIs = new QPushButton(tr("Brightness and contrast as filmed"));
    auto* f = form();
    f->addRow(tr("Brightness"), m_brightness);
    f->addRow(tr("Contrast"), m_contrast);
    m_all->addWidget(wrapped(tr("How it is shown"), "strong"));
    m_all->addWidget(m_swap);
    m_all->addLayout(f);
    m_all->addWidget(asIs);
    m_all->addWidget(m_crop);
    m_all->addWidget(m_whole);
    m_all->addWidget(wrapped(tr("The film itself is never changed, nor what is measured on it."), "quiet"));
    m_all->addStretch();
    connect(m_swap, &QCheckBox::clicked, this,
            [this](bool on) { change(tr("swap left and right"), [on](Take& t) { t.picture.swapped = on; }); });
    const auto light = [this] {
        change(tr("change brightness or contrast"), [this](Take& t) {
            t.picture.brightness = m_brightness->value() / 100.0;
            t.picture.contrast = std::pow(2.0, m_contrast->value() / 50.0);
        });
    };
    for (auto* s : {m_brightness, m_contrast}) {
        s->setTracking(false);
        connect(s, &QSlider::valueChanged, this, light);
    }
    connect(asIs, &QPushButton::clicked, this, [this] {
        change(tr("show it as filmed"), [](Take& t) {
            t.picture.brightness = 0.0;
            t.picture.contrast = 1.0;
        });
    });
    connect(m_crop, &QPushButton::clicked, this, [this](bool on) {
        m_stage->setTool(on ? StageTool::crop : StageTool::none);
        if (on)
            m_stage->setFocus();
    });
    connect(stage, &StageView::cropDrawn, this, [this](const QRect& crop) {
        m_crop->setChecked(false);
        m_stage->setTool(StageTool::none);
        if (crop.width() > 20 && crop.height() > 20)
            change(tr("crop to the athlete"), [&](Take& t) {
                t.picture.crop = {crop.x(), crop.y(), crop.width(), crop.height()};
            });
    });
    connect(stage, &StageView::toolPutAway, this, [this] { m_crop->setChecked(false); });
    connect(m_whole, &QPushButton::clicked, this,
            [this] { change(tr("show the whole picture"), [](Take& t) { t.picture.crop = {}; }); });
}

void PicturePanel::refresh() {
    const Take* take = m_bench.take();
    setEnabled(take);
    if (!take)
        return;
    m_filling = true;
    m_swap->setChecked(take->picture.swapped);
    m_brightness->setValue(static_cast<int>(std::lround(100 * take->picture.brightness)));
    m_contrast->setValue(static_cast<int>(std::lround(50 * std::log2(take->picture.contrast))));
    const auto& c = take->picture.crop;
    m_whole->setEnabled(c[2] > 0);
    m_filling = false;
}

} // namespace riflesso
