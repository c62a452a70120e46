#include "desktop/shelf/shelf_page.h"

#include "casebook/shipped.h"
#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/parts/frame_service.h"
#include "desktop/shelf/card_delegate.h"
#include "desktop/theme/icons.h"
#include "desktop/theme/language.h"
#include "desktop/theme/theme.h"
#include "footage/film.h"
#include "library/bundle.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QDialogButtonBox>
#include <QDragEnterEvent>
#include <QFormLayout>
#include <QFutureWatcher>
#include <QInputDialog>
#include <QMenu>
#include <QMessageBox>
#include <QMimeData>
#include <QPixmapCache>
#include <QPushButton>
#include <QScrollBar>
#include <QTimer>
#include <QtConcurrent/QtConcurrentRun>

#include <algorithm>

namespace riflesso {
namespace {

QStringList filmsOf(const QMimeData* data) {
    QStringList out;
    for (const QUrl& url : data->urls())
        if (url.isLocalFile())
            out << url.toLocalFile();
    return out;
}

// One frame of a film as a small JPEG. Empty when it cannot be read.
QByteArray stillBytes(const std::filesystem::path& film, const CaseCard& card) {
    const auto opened = Film::open(film);
    if (!opened)
        return {};
    const int last = (*opened)->info().frames - 1;
    auto picture = (*opened)->frame(FrameIndex(std::clamp(card.frame, 0, std::max(0, last))));
    if (!picture)
        return {};
    QImage image = imageOf(std::move(*picture));
    QRect crop(card.crop[0], card.crop[1], card.crop[2], card.crop[3]);
    if (crop.width() > 0)
        image = image.copy(crop & image.rect());
    image = image.scaled(560, 350, Qt::KeepAspectRatioByExpanding, Qt::SmoothTransformation);
    return encoded(image, "JPG", 85);
}

} // namespace

std::filesystem::path stillOf(const Library& library, Id caseId) {
    return library.folder() / "stills" / (std::to_string(caseId) + ".jpg");
}

ShelfPage::ShelfPage(std::shared_ptr<Library> library, Day today) : m_library(std::move(library)), m_model(today) {
    setAcceptDrops(true);
    setObjectName("shelf");
    m_stills.setMaxThreadCount(1);
    m_search = new QLineEdit;
    m_search->setObjectName("shelfSearch");
    m_search->setPlaceholderText(tr("Search a name, a technique, a fault …"));
    m_search->setClearButtonEnabled(true);
    m_search->setMinimumHeight(32);
    m_search->setMaximumWidth(460);
    m_search->setAccessibleName(tr("Search"));
    auto* add = new QPushButton(tr("New athlete …"));
    add->setObjectName("next");
    add->setMinimumHeight(32);
    m_tabs = new QTabBar;
    m_tabs->setObjectName("shelfTabs");
    m_tabs->setDrawBase(false);
    m_tabs->setExpanding(false);
    buildCards();
    m_undoBar = new QWidget;
    m_undoBar->setObjectName("card");
    m_undoText = new QLabel;
    auto* undo = new QPushButton(tr("Undo"));
    undo->setObjectName("undoDelete");
    auto* undoLine = new QHBoxLayout(m_undoBar);
    undoLine->setContentsMargins(12, 5, 12, 5);
    undoLine->addWidget(m_undoText, 1);
    undoLine->addWidget(undo);
    m_undoBar->hide();

    auto* top = new QHBoxLayout;
    auto* name = new QLabel(tr("Athletes"));
    name->setObjectName("title");
    top->addWidget(name);
    top->addSpacing(18);
    top->addWidget(m_search, 1);
    top->addStretch(1);
    top->addWidget(add);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(14, 12, 14, 0);
    all->setSpacing(8);
    all->addLayout(top);
    m_squad = new QPushButton;
    m_squad->setObjectName("showSquad");
    m_squad->setToolTip(tr("Who has what, and one session for all."));
    auto* tabs = new QHBoxLayout;
    tabs->addWidget(m_tabs);
    tabs->addStretch(1);
    tabs->addWidget(m_squad);
    all->addLayout(tabs);
    m_rows = new QVBoxLayout;
    all->addWidget(m_undoBar);
    all->addLayout(m_rows);
    all->addWidget(m_cards, 1);

    connect(m_search, &QLineEdit::textChanged, this, [this](const QString& text) {
        m_model.search(text);
        sayEmpty();
    });
    connect(m_search, &QLineEdit::returnPressed, this, [this] {
        if (m_model.rowCount() > 0 && !m_search->text().trimmed().isEmpty())
            openRow(m_model.index(0));
    });
    m_search->installEventFilter(this);
    m_cards->installEventFilter(this);
    connect(m_tabs, &QTabBar::currentChanged, this, &ShelfPage::chooseTab);
    setLineIcons({{add, "user-plus"}, {m_squad, "users"}, {undo, "undo-2"}});
    connect(add, &QPushButton::clicked, this, [this] { newAthlete(); });
    connect(m_squad, &QPushButton::clicked, this, [this] { showSquad(); });
    connect(undo, &QPushButton::clicked, this, &ShelfPage::undoDelete);
    refresh();
    setFocusProxy(m_search);
}

void ShelfPage::buildCards() {
    m_cards = new QListView;
    m_cards->setObjectName("shelfCards");
    m_cards->setModel(&m_model);
    m_cards->setViewMode(QListView::IconMode);
    m_cards->setResizeMode(QListView::Adjust);
    m_cards->setMovement(QListView::Static);
    m_cards->setUniformItemSizes(true);
    m_cards->setFrameShape(QFrame::NoFrame);
    m_cards->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    m_cards->setMouseTracking(true);
    m_cards->setContextMenuPolicy(Qt::CustomContextMenu);
    m_cards->viewport()->setAutoFillBackground(false);
    m_cards->setAccessibleName(tr("Athletes"));
    auto* delegate = new CardDelegate(m_model, [this](const ShelfCase& c) -> QPixmap {
        const QString file = QString::fromStdString(stillOf(*m_library, c.id).string());
        QPixmap still;
        if (QPixmapCache::find(file, &still))
            return still;
        if (still.load(file)) {
            QPixmapCache::insert(file, still);
            return still;
        }
        makeStill(c);
        return {};
    });
    delegate->setParent(m_cards);
    m_cards->setItemDelegate(delegate);
    m_empty = wrapped({}, "quiet");
    m_empty->setAlignment(Qt::AlignCenter);
    m_empty->setFont(typeface(Type::strong));
    m_empty->setParent(m_cards->viewport());
    m_cards->viewport()->installEventFilter(this);
    connect(m_cards, &QListView::clicked, this, &ShelfPage::openRow);
    connect(m_cards, &QListView::customContextMenuRequested, this,
            [this](const QPoint& at) { menuFor(m_cards->indexAt(at), m_cards->viewport()->mapToGlobal(at)); });
}

ShelfPage::~ShelfPage() {
    m_stills.clear();
    m_stills.waitForDone();
}

QString ShelfPage::techniqueName(const std::string& id) const {
    const auto b = blueprintFor(m_library->folder(), id);
    return b ? q(asSpoken(*b).name) : q(id);
}

void ShelfPage::refresh() {
    const auto athletes = m_library->athletes();
    if (!athletes) {
        emit failed(q(athletes.error().text()));
        return;
    }
    m_model.fill(*athletes, [this](const std::string& id) { return techniqueName(id); });
    m_without.clear();
    fillTabs();
    sayEmpty();
}

void ShelfPage::fillTabs() {
    using Tab = ShelfModel::Tab;
    const QString was = m_tabs->count() > 0 ? m_tabs->tabData(m_tabs->currentIndex()).toString() : QString();
    const QSignalBlocker quiet(m_tabs);
    while (m_tabs->count() > 0)
        m_tabs->removeTab(0);
    const auto add = [this](const QString& words, int n, const QString& which) {
        m_tabs->setTabData(m_tabs->addTab(QString("%1  %2").arg(words).arg(n)), which);
    };
    if (const int n = m_model.countOf(Tab::needsMe); n > 0)
        add(tr("Who needs me"), n, "needs");
    add(tr("Everybody"), m_model.countOf(Tab::everybody), "all");
    for (const QString& squad : m_model.squads())
        add(squad, m_model.countOf(Tab::squad, squad), "squad:" + squad);
    if (const int n = m_model.countOf(Tab::putAway); n > 0)
        add(tr("Put away"), n, "away");
    int at = 0;
    for (int i = 0; i < m_tabs->count(); ++i)
        if (m_tabs->tabData(i).toString() == (was.isEmpty() ? QString("all") : was))
            at = i;
    m_tabs->setCurrentIndex(at);
    chooseTab(at);
}

void ShelfPage::chooseTab(int index) {
    using Tab = ShelfModel::Tab;
    const QString which = m_tabs->tabData(index).toString();
    m_model.show(which == "needs"  ? Tab::needsMe
                 : which == "away" ? Tab::putAway
                 : which == "all"  ? Tab::everybody
                                   : Tab::squad,
                 which.mid(6));
    m_squad->setText(which.startsWith("squad:") ? tr("%1 as a sheet").arg(which.mid(6)) : tr("All as a sheet"));
    sayEmpty();
}

void ShelfPage::sayEmpty() {
    const bool nobody = m_model.countOf(ShelfModel::Tab::everybody) + m_model.countOf(ShelfModel::Tab::putAway) == 0;
    m_empty->setText(nobody ? tr("Nobody is here yet. Drop yesterday's film on this page, or press New athlete.\n"
                                 "Films and what is measured on them stay on this computer.")
                     : m_model.rowCount() == 0
                         ? tr("Nobody here is called so, or works on that.\nEsc clears the search.")
                         : QString());
    m_empty->setVisible(!m_empty->text().isEmpty());
    resizeEvent(nullptr);
}

void ShelfPage::resizeEvent(QResizeEvent*) {
    // Cards fill the width: as many as fit at 270 and more; a few are larger.
    const int width = m_cards->width() - m_cards->verticalScrollBar()->sizeHint().width() - 4;
    const int columns = std::clamp(width / 270, 1, std::max(3, m_model.rowCount()));
    m_cards->setGridSize(QSize(width / columns, CardDelegate::heightFor(width / columns)));
    // Words stand beside the card that takes films, or in the middle where there is none.
    const QRect room = m_cards->viewport()->rect();
    const bool card = m_model.rowCount() > 0;
    m_empty->setAlignment(card ? Qt::AlignLeft | Qt::AlignVCenter : Qt::AlignCenter);
    m_empty->setGeometry(card ? QRect(m_cards->gridSize().width() + 24, 0,
                                      room.width() - m_cards->gridSize().width() - 64, m_cards->gridSize().height())
                              : room.adjusted(80, 40, -80, -40));
}

bool ShelfPage::eventFilter(QObject* watched, QEvent* e) {
    if (watched == m_cards->viewport() && e->type() == QEvent::Resize)
        QTimer::singleShot(0, this, [this] { resizeEvent(nullptr); });
    if (e->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(e);
        if (watched == m_search && key->key() == Qt::Key_Down && m_model.rowCount() > 0) {
            m_cards->setFocus();
            m_cards->setCurrentIndex(m_model.index(0));
            return true;
        }
        if (watched == m_search && key->key() == Qt::Key_Escape) {
            m_search->clear();
            return true;
        }
        if (watched == m_cards && (key->key() == Qt::Key_Return || key->key() == Qt::Key_Enter)) {
            openRow(m_cards->currentIndex());
            return true;
        }
        if (watched == m_cards && (key->key() == Qt::Key_Menu || key->key() == Qt::Key_Delete)) {
            const QModelIndex index = m_cards->currentIndex();
            if (index.isValid() && !m_model.isNew(index.row()) && key->key() == Qt::Key_Delete)
                deleteAthlete(m_model.at(index.row()).id);
            else if (index.isValid())
                menuFor(index, m_cards->viewport()->mapToGlobal(m_cards->visualRect(index).center()));
            return true;
        }
    }
    return QWidget::eventFilter(watched, e);
}

void ShelfPage::openRow(const QModelIndex& index) {
    if (!index.isValid())
        return;
    if (m_model.isNew(index.row())) {
        newAthlete();
        return;
    }
    const ShelfAthlete& a = m_model.at(index.row());
    if (a.cases.empty())
        addTechnique(a.id);
    else
        emit openCase(a.cases.front().id);
}

void ShelfPage::menuFor(const QModelIndex& index, const QPoint& at) {
    if (!index.isValid() || m_model.isNew(index.row()))
        return;
    const ShelfAthlete a = m_model.at(index.row());
    QMenu menu(this);
    for (const auto& c : a.cases)
        menu.addAction(tr("Open: %1").arg(c.technique), this, [this, id = c.id] { emit openCase(id); });
    menu.addAction(tr("The athlete's page …"), this, [this, id = a.id] { showAthlete(id); });
    menu.addAction(tr("Another technique …"), this, [this, &a] { addTechnique(a.id); });
    menu.addAction(tr("Squad …"), this, [this, &a] { setSquad(a.id); });
    menu.addSeparator();
    menu.addAction(tr("Duplicate"), this, [this, id = a.id] { duplicate(id); })->setEnabled(!a.cases.empty());
    menu.addAction(tr("Hand over as a file …"), this, [this, id = a.id] { handOver(id); })
        ->setEnabled(!a.cases.empty());
    menu.addAction(a.athlete.putAway ? tr("Take back onto the shelf") : tr("Put away"), this,
                   [this, &a] { putAway(a.id, !a.athlete.putAway); });
    menu.addAction(tr("Delete …"), this, [this, &a] { deleteAthlete(a.id); });
    menu.exec(at);
}

bool ShelfPage::chooseTechnique(const QString& title, QString* name, std::string* blueprintId, Athlete* athlete) {
    QDialog dialog(this);
    dialog.setWindowTitle(title);
    dialog.setObjectName("newAthleteDialog");
    dialog.setMinimumWidth(420);
    auto* form = new QFormLayout(&dialog);
    QLineEdit* field = nullptr;
    QComboBox* squad = nullptr;
    QComboBox* hand = nullptr;
    if (name) {
        field = new QLineEdit(*name);
        field->setObjectName("newAthlete");
        form->addRow(tr("Name"), field);
    }
    auto* technique = new QComboBox;
    technique->setObjectName("newTechnique");
    for (const auto& id : blueprintIds(m_library->folder()))
        technique->addItem(techniqueName(id), q(id));
    form->addRow(tr("Technique"), technique);
    if (athlete) {
        hand = new QComboBox;
        hand->addItems({tr("right-handed"), tr("left-handed")});
        form->addRow(tr("Stronger hand"), hand);
        squad = new QComboBox;
        squad->setEditable(true);
        squad->addItem({});
        squad->addItems(m_model.squads());
        form->addRow(tr("Squad"), squad);
    }
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    form->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, &dialog, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    auto* ok = buttons->button(QDialogButtonBox::Ok);
    if (field) {
        const auto enable = [ok, field] { ok->setEnabled(!field->text().trimmed().isEmpty()); };
        connect(field, &QLineEdit::textChanged, &dialog, enable);
        enable();
    }
    if (dialog.exec() != QDialog::Accepted)
        return false;
    *blueprintId = technique->currentData().toString().toStdString();
    if (name)
        *name = field->text().trimmed();
    if (athlete) {
        athlete->name = field->text().trimmed().toStdString();
        athlete->handedness = hand->currentIndex() == 1 ? Side::left : Side::right;
        athlete->squad = squad->currentText().trimmed().toStdString();
    }
    return true;
}

void ShelfPage::newAthlete(const QStringList& films) {
    QString name;
    std::string blueprint;
    Athlete athlete;
    if (!chooseTechnique(tr("New athlete"), &name, &blueprint, &athlete))
        return;
    const Id made = addAthlete(athlete, blueprint);
    if (made && films.isEmpty())
        emit openCase(made);
    else if (made)
        emit filmsFor(made, films);
}

Id ShelfPage::addAthlete(const Athlete& athlete, const std::string& blueprintId) {
    Brief brief;
    brief.athlete = athlete;
    if (const auto b = blueprintFor(m_library->folder(), blueprintId))
        brief.blueprintVersion = b->version;
    const auto id = m_library->addCase(blueprintId, brief);
    if (!id) {
        emit failed(q(id.error().text()));
        return 0;
    }
    refresh();
    return *id;
}

void ShelfPage::addTechnique(Id athlete) {
    std::string blueprint;
    if (!chooseTechnique(tr("Another technique"), nullptr, &blueprint, nullptr))
        return;
    Brief brief;
    if (const auto b = blueprintFor(m_library->folder(), blueprint))
        brief.blueprintVersion = b->version;
    const auto id = m_library->addCase(blueprint, brief, athlete);
    if (!id) {
        emit failed(q(id.error().text()));
        return;
    }
    emit openCase(*id);
}

void ShelfPage::edit(Id id, const std::function<void(Athlete&)>& change) {
    const ShelfAthlete* a = m_model.athlete(id);
    if (!a)
        return;
    Athlete changed = a->athlete;
    change(changed);
    if (const auto s = m_library->setAthlete(id, changed); !s)
        emit failed(q(s.error().text()));
    refresh();
}

void ShelfPage::setSquad(Id athlete) {
    const ShelfAthlete* a = m_model.athlete(athlete);
    bool ok = false;
    QStringList squads = m_model.squads();
    squads.prepend({});
    const QString squad = QInputDialog::getItem(
        this, tr("Squad of %1").arg(a->name()), tr("People who train together. Empty for none."), squads,
        std::max<int>(0, static_cast<int>(squads.indexOf(q(a->athlete.squad)))), true, &ok);
    if (ok)
        edit(athlete, [&](Athlete& x) { x.squad = squad.trimmed().toStdString(); });
}

void ShelfPage::putAway(Id athlete, bool away) {
    edit(athlete, [away](Athlete& x) { x.putAway = away; });
}

void ShelfPage::deleteAthlete(Id athlete) {
    const ShelfAthlete* a = m_model.athlete(athlete);
    if (!a)
        return;
    const auto answer = QMessageBox::question(this, tr("Delete %1").arg(a->name()),
                                              tr("%1, all films of theirs inside this library and everything measured "
                                                 "on them are deleted when the program ends. "
                                                 "Until then it can be undone.")
                                                  .arg(a->name()),
                                              QMessageBox::Yes | QMessageBox::Cancel, QMessageBox::Cancel);
    if (answer != QMessageBox::Yes)
        return;
    auto list = m_deleted;
    list.push_back(athlete);
    setDeleted(std::move(list));
}

void ShelfPage::setDeleted(std::vector<Id> athletes) {
    m_deleted = std::move(athletes);
    m_model.hide({m_deleted.begin(), m_deleted.end()});
    fillTabs();
    sayEmpty();
    const ShelfAthlete* last = m_deleted.empty() ? nullptr : m_model.athlete(m_deleted.back());
    m_undoBar->setVisible(last != nullptr);
    if (last)
        m_undoText->setText(tr("%1 is deleted when the program ends.").arg(last->name()));
}

bool ShelfPage::undoDelete() {
    if (m_deleted.empty())
        return false;
    auto list = m_deleted;
    list.pop_back();
    setDeleted(std::move(list));
    return true;
}

void ShelfPage::makeStill(const ShelfCase& of) {
    if (of.card.film.empty() || m_making.contains(of.id) || m_without.contains(of.id))
        return;
    m_making.insert(of.id);
    Take take;
    take.film = of.card.film;
    auto* watcher = new QFutureWatcher<bool>(this);
    connect(watcher, &QFutureWatcherBase::finished, this, [this, watcher, id = of.id] {
        watcher->deleteLater();
        m_making.erase(id);
        if (!watcher->result())
            m_without.insert(id); // no second try: the film is gone or cannot be read
        m_cards->viewport()->update();
    });
    watcher->setFuture(
        QtConcurrent::run(&m_stills, [film = m_library->filmOf(take), card = of.card, to = stillOf(*m_library, of.id)] {
            const QByteArray bytes = stillBytes(film, card);
            std::error_code ec;
            std::filesystem::create_directories(to.parent_path(), ec);
            return !bytes.isEmpty() && writeBytes(to, bytes).ok();
        }));
}

QModelIndex ShelfPage::cardAt(const QPoint& at) const {
    return m_cards->indexAt(m_cards->viewport()->mapFrom(this, at));
}

void ShelfPage::dragEnterEvent(QDragEnterEvent* e) {
    if (e->mimeData()->hasUrls())
        e->acceptProposedAction();
}

void ShelfPage::dragMoveEvent(QDragMoveEvent* e) {
    const QModelIndex index = cardAt(e->position().toPoint());
    m_cards->setCurrentIndex(index); // whose film it would be
    e->acceptProposedAction();
}

void ShelfPage::dropEvent(QDropEvent* e) {
    const QStringList films = filmsOf(e->mimeData());
    if (films.isEmpty())
        return;
    e->acceptProposedAction();
    if (films.front().endsWith(kBundleSuffix, Qt::CaseInsensitive)) {
        takeIn(films.front());
        return;
    }
    const QModelIndex index = cardAt(e->position().toPoint());
    if (index.isValid() && !m_model.isNew(index.row()) && !m_model.at(index.row()).cases.empty())
        emit filmsFor(m_model.at(index.row()).cases.front().id, films);
    else
        newAthlete(films);
}

} // namespace riflesso
