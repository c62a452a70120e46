#include "desktop/footage/panels.h"
#include "desktop/footage/panel_form.h"

#include "casebook/text.h"
#include "desktop/theme/language.h"
#include "desktop/theme/theme.h"
#include "intake/intake.h"

#include <QFileInfo>
#include <QFutureWatcher>
#include <QGridLayout>

namespace riflesso {

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
    m_day->setDisplayFormat(dateFormat());
    m_day->setCalendarPopup(true);
    m_view = new QComboBox;
    fill(m_view, kViewNames);
    m_facing = new QComboBox;
    m_facing->addItems({tr("to the left"), tr("to the right"), tr("to the camera")});
    m_facing->setToolTip(tr("Where the athlete's forward points in the picture."));
    m_stage = new QComboBox;
    fill(m_stage, kStageNames);
    m_stage->setToolTip(
        tr("Under how much stress this was filmed: what holds in calm practice need not hold in a match."));
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
            t.facing = facingIn(t.view, t.facing);
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
    m_facing->setEnabled(facesAside(take->facing));
    m_stage->setCurrentIndex(static_cast<int>(take->stage));
    const QString path = m_bench.filmPath(*take);
    const bool there = QFileInfo::exists(path);
    const bool outside = QFileInfo(q(take->film)).isAbsolute();
    const double length = take->times.empty() ? 0.0 : take->times.back();
    m_facts->setText(tr("%1 × %2 px, %3 frames, %4 s in the file. %5")
                         .arg(take->width)
                         .arg(take->height)
                         .arg(take->times.size())
                         .arg(shownFigure(length, 2))
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
