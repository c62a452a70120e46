#include "desktop/footage/footage_page.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "footage/film.h"

#include <QFileDialog>
#include <QFileInfo>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QVBoxLayout>
#include <QtConcurrent/QtConcurrentRun>

namespace riflesso {
namespace {
template <std::size_t N> void fill(QComboBox* box, const std::array<std::string_view, N>& names) {
    for (auto n : names)
        box->addItem(q(std::string(n)));
}
// The same picture whether selected or not: a tinted frame is no picture of the athlete.
QIcon thumbnail(const QImage& picture) {
    const QPixmap small = QPixmap::fromImage(picture.scaled(224, 126, Qt::KeepAspectRatio, Qt::SmoothTransformation));
    QIcon icon(small);
    icon.addPixmap(small, QIcon::Selected);
    return icon;
}
QDate toDate(Day d) {
    return QDate::fromString(q(isoDate(d)), Qt::ISODate);
}
} // namespace

FootagePage::FootagePage(Workbench& bench) : m_bench(bench) {
    setFocusPolicy(Qt::StrongFocus);
    m_list = new QListWidget;
    m_list->setAccessibleName(tr("Takes"));
    m_list->setIconSize(QSize(112, 63));
    m_list->setWordWrap(true);
    auto* add = new QPushButton(tr("Bring in films …"));
    add->setObjectName("bringIn");
    add->setToolTip(tr("Films are copied into the library. You can also drop files anywhere on the window."));
    m_view = new PictureView;
    m_view->setAccessibleName(tr("Frame"));
    m_ribbon = new Ribbon(bench, false);
    m_facts = new QLabel;
    m_facts->setObjectName("quiet");
    m_facts->setWordWrap(true);
    m_title = new QLineEdit;
    m_who = new QComboBox;
    m_who->addItems({tr("the athlete"), tr("a model performance")});
    m_hand = new QComboBox;
    m_hand->addItems({tr("left-handed"), tr("right-handed")});
    m_day = new QDateEdit;
    m_day->setDisplayFormat("yyyy-MM-dd");
    m_day->setCalendarPopup(true);
    m_rate = new QDoubleSpinBox;
    m_rate->setObjectName("captureRate");
    m_rate->setAccessibleName(tr("Capture rate"));
    m_rate->setRange(0, 100000);
    m_rate->setDecimals(2);
    m_rate->setSuffix(tr(" Hz"));
    m_rate->setSpecialValueText(tr("not set"));
    m_rate->setToolTip(tr("How many pictures a second the camera really took. Slow motion plays them slower: every "
                          "time and speed is wrong until this is right."));
    m_decides = new QLabel;
    m_decides->setWordWrap(true);
    m_decides->setObjectName("quiet");
    m_viewKind = new QComboBox;
    fill(m_viewKind, kViewNames);
    m_facing = new QComboBox;
    m_facing->addItems({tr("to the left"), tr("to the right"), tr("to the camera")});
    m_facing->setToolTip(tr("Where the athlete's forward points in the picture."));
    m_stage = new QComboBox;
    fill(m_stage, kStageNames);
    m_stage->setToolTip(tr("Under how much stress this was filmed. It is easy to look good on an easy feed."));
    m_remove = new QPushButton(tr("Remove this take"));
    m_remove->setToolTip(tr("Takes it and its marks out of the case. Undo brings them back; the film file stays."));

    m_form = new QWidget;
    m_form->setFixedWidth(262);
    auto* form = new QFormLayout;
    form->setRowWrapPolicy(QFormLayout::WrapLongRows);
    form->setLabelAlignment(Qt::AlignLeft);
    form->addRow(tr("Title"), m_title);
    form->addRow(tr("Shows"), m_who);
    form->addRow(tr("Hand"), m_hand);
    form->addRow(tr("Filmed on"), m_day);
    form->addRow(tr("Capture rate"), m_rate);
    form->addRow(m_decides);
    form->addRow(tr("View"), m_viewKind);
    form->addRow(tr("Forward"), m_facing);
    form->addRow(tr("Stress"), m_stage);
    auto* formAll = new QVBoxLayout(m_form);
    formAll->setContentsMargins(0, 0, 0, 0);
    formAll->addLayout(form);
    formAll->addSpacing(8);
    formAll->addWidget(m_facts);
    formAll->addStretch();
    formAll->addWidget(m_remove);

    auto* left = new QVBoxLayout;
    left->addWidget(add);
    left->addWidget(m_list, 1);
    auto* leftBox = new QWidget;
    leftBox->setFixedWidth(268);
    leftBox->setLayout(left);
    left->setContentsMargins(0, 0, 0, 0);
    auto* middle = new QVBoxLayout;
    middle->addWidget(m_view, 1);
    middle->addWidget(m_ribbon);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(10, 8, 10, 8);
    all->addWidget(leftBox);
    all->addLayout(middle, 1);
    all->addWidget(m_form);

    connect(add, &QPushButton::clicked, this, [this] {
        bringIn(QFileDialog::getOpenFileNames(
            this, tr("Bring in films"), {},
            tr("Films (*.mp4 *.mov *.mkv *.webm *.avi *.mts *.m4v *.mpg);;All files (*)")));
    });
    connect(m_list, &QListWidget::currentRowChanged, this, [this](int row) {
        if (!m_filling && row >= 0)
            m_bench.selectTake(m_list->item(row)->data(Qt::UserRole).toLongLong());
    });
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
    connect(m_rate, &QDoubleSpinBox::editingFinished, this, [this] {
        change(tr("set the capture rate"), [this](Take& t) {
            t.captureRate = m_rate->value() > 0 ? std::optional(m_rate->value()) : std::nullopt;
        });
    });
    connect(m_viewKind, &QComboBox::activated, this, [this](int i) {
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
    connect(m_remove, &QPushButton::clicked, this, [this] {
        if (const Take* take = m_bench.take())
            m_bench.book().removeTake(take->id);
    });
    connect(&bench, &Workbench::selectionChanged, this, [this] {
        refreshList();
        refreshForm();
        showFrame();
    });
    connect(&bench, &Workbench::frameChanged, this, &FootagePage::showFrame);
    connect(&bench.book(), &Casebook::changed, this, [this](const ChangeSet& c) {
        if (!c.takes.empty() || !c.reps.empty()) {
            refreshList();
            refreshForm();
        }
    });
    connect(&bench.frames(), &FrameService::frameReady, this,
            [this](const QString& film, int frame, const QImage& picture) {
                const Take* take = m_bench.take();
                if (take && film == m_bench.filmPath(*take) && frame == m_bench.frame())
                    m_view->setPicture(picture);
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
                    m_view->setMessage(why);
            });
    connect(&m_watcher, &QFutureWatcherBase::finished, this, [this] {
        const Brought done = m_watcher.result();
        if (done.take) {
            if (const Id id = m_bench.book().addTake(*done.take)) {
                m_bench.selectTake(id);
                emit said(tr("“%1” is in the library.").arg(q(done.take->title)));
            }
        } else {
            emit failed(done.error);
        }
        startNext();
    });
    refreshList();
    refreshForm();
    showFrame();
}

void FootagePage::bringIn(const QStringList& files) {
    m_waiting += files;
    if (!m_watcher.isRunning())
        startNext();
}

void FootagePage::startNext() {
    if (m_waiting.isEmpty())
        return;
    const QString file = m_waiting.takeFirst();
    emit said(tr("Bringing in %1 … %2 to go.").arg(QFileInfo(file).fileName()).arg(m_waiting.size()));
    Library& library = m_bench.book().library();
    const Side hand = m_bench.data().brief.athlete.handedness;
    const Day today = m_bench.book().today();
    // bringIn() touches files only, so it may run beside the interface thread's use of the database.
    m_watcher.setFuture(QtConcurrent::run([file, &library, hand, today]() -> Brought {
        const auto film = Film::open(file.toStdString());
        if (!film)
            return {std::nullopt, q(film.error().text())};
        const auto copied = library.bringIn(file.toStdString());
        if (!copied)
            return {std::nullopt, q(copied.error().text())};
        const FilmInfo& info = (*film)->info();
        Take t;
        t.title = QFileInfo(file).completeBaseName().toStdString();
        t.film = *copied;
        t.handedness = hand;
        t.day = today;
        if (info.captureRate)
            t.captureRate = info.captureRate->value;
        t.width = info.width;
        t.height = info.height;
        t.times = (*film)->times();
        return {t, {}};
    }));
}

void FootagePage::change(const QString& what, const std::function<void(Take&)>& edit) {
    const Take* take = m_bench.take();
    if (m_filling || !take)
        return;
    Take changed = *take;
    edit(changed);
    m_bench.book().setTake(changed, what);
}

void FootagePage::refreshList() {
    m_filling = true;
    m_list->clear();
    // By session: newest day first, athlete before model within it.
    std::vector<const Take*> takes;
    for (const auto& [id, take] : m_bench.data().takes)
        takes.push_back(&take);
    std::stable_sort(takes.begin(), takes.end(), [](const Take* a, const Take* b) {
        return a->day != b->day ? a->day > b->day : a->performer < b->performer;
    });
    for (const Take* take : takes) {
        const bool model = take->performer == Performer::model;
        const QString state = !take->captureRate ? tr("capture rate not set") : tr("%1 Hz").arg(*take->captureRate);
        auto* item = new QListWidgetItem(
            QString("%1\n%2 · %3\n%4")
                .arg(q(take->title), model ? tr("model") : tr("athlete"), q(isoDate(take->day)), state));
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

void FootagePage::refreshForm() {
    const Take* take = m_bench.take();
    m_form->setEnabled(take);
    if (!take) {
        m_facts->clear();
        return;
    }
    m_filling = true;
    m_title->setText(q(take->title));
    m_who->setCurrentIndex(static_cast<int>(take->performer));
    m_hand->setCurrentIndex(static_cast<int>(take->handedness));
    m_day->setDate(toDate(take->day));
    m_rate->setValue(take->captureRate.value_or(0.0));
    m_viewKind->setCurrentIndex(static_cast<int>(take->view));
    m_facing->setCurrentIndex(static_cast<int>(take->facing));
    m_facing->setEnabled(take->view == View::side);
    m_stage->setCurrentIndex(static_cast<int>(take->stage));
    const Timebase time = timebaseOf(*take);
    if (take->captureRate)
        m_decides->setText(tr("An instant on this film is sure to ± %1 ms, an interval to ± %2 ms.")
                               .arg(1000 * time.instantError(FrameIndex(time.frames() / 2)), 0, 'f', 1)
                               .arg(1414.2 * time.instantError(FrameIndex(time.frames() / 2)), 0, 'f', 1));
    else
        m_decides->setText(tr("The file plays at %1 Hz. If it is slow motion, the camera took more: 120 and 240 are "
                              "common. No time is judged until you say.")
                               .arg(time.fileRate().value, 0, 'f', 2));
    m_facts->setText(tr("%1 × %2, %3 frames, %4 s as it plays. Step with the arrow keys, ten frames with Shift.")
                         .arg(take->width)
                         .arg(take->height)
                         .arg(time.frames())
                         .arg(time.media(FrameIndex(time.frames() - 1)).value, 0, 'f', 1));
    m_filling = false;
}

void FootagePage::showFrame() {
    const Take* take = m_bench.take();
    if (!take) {
        m_view->setMessage(tr("No film yet.\nDrop film files on this window, or press “Bring in films”.\nFilm from the "
                              "side first, camera level with the hips, the whole lunge in the picture."));
        return;
    }
    const QImage picture = m_bench.frames().show(m_bench.filmPath(*take), m_bench.frame());
    if (!picture.isNull())
        m_view->setPicture(picture);
    else if (m_view->picture().isNull())
        m_view->setMessage(tr("Decoding the frame …"));
}

void FootagePage::keyPressEvent(QKeyEvent* e) {
    const int step = e->modifiers() & Qt::ShiftModifier ? 10 : 1;
    if (e->key() == Qt::Key_Left)
        m_bench.setFrame(m_bench.frame() - step);
    else if (e->key() == Qt::Key_Right)
        m_bench.setFrame(m_bench.frame() + step);
    else if (e->key() == Qt::Key_Home)
        m_bench.setFrame(0);
    else if (e->key() == Qt::Key_End)
        m_bench.setFrame(1 << 30);
    else
        QWidget::keyPressEvent(e);
}

} // namespace riflesso
