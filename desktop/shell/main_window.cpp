#include "desktop/shell/main_window.h"
#include "desktop/shell/key_sheet.h"

#include "desktop/asking/ask_dialog.h"

#include "casebook/card.h"
#include "casebook/shipped.h"
#include "casebook/text.h"
#include "demo/demo_library.h"
#include "desktop/eye/eye_trainer.h"
#include "desktop/parts/card.h"
#include "desktop/shell/guide_window.h"
#include "desktop/shell/settings_dialog.h"
#include "desktop/shell/tour.h"
#include "desktop/theme/language.h"
#include "desktop/theme/theme.h"
#include "desktop/workshop/workshop.h"
#include "files/write_file.h"

#include <QDialog>
#include <QDialogButtonBox>
#include <QDir>
#include <QDragEnterEvent>
#include <QDropEvent>
#include <QFileDialog>
#include <QFileInfo>
#include <QSettings>
#include <QStandardPaths>
#include <QStatusBar>
#include <QTextBrowser>
#include <QtConcurrent/QtConcurrentRun>

#include <algorithm>

namespace riflesso {
MainWindow::MainWindow(Day today) : m_today(today) {
    setWindowTitle("Riflesso");
    setAcceptDrops(true);
    setMinimumSize(1024, 640);
    // Never larger than the screen has room for, its frame included.
    const QRect room = screen() ? screen()->availableGeometry() : QRect(0, 0, 1280, 800);
    resize(std::min(1280, room.width() - 8), std::min(800, room.height() - 44));
    buildMenus();
    statusBar()->setSizeGripEnabled(false);
    statusBar()->hide(); // frames get the space; it comes when there is something to say
    connect(statusBar(), &QStatusBar::messageChanged, this,
            [this](const QString& m) { statusBar()->setVisible(!m.isEmpty()); });
    m_language = Preferences::read().language;
    QSettings settings;
    restoreGeometry(settings.value("window").toByteArray());
    m_watch.setInterval(1000);
    connect(&m_watch, &QTimer::timeout, this, &MainWindow::lookAfterLibrary);
    m_care.setMaxThreadCount(1);
    showWelcome();
}

MainWindow::~MainWindow() {
    m_cancelDemo = true;
    m_demo.waitForFinished();
    delete m_workshop.data();
    leave();
    delete m_case; // while the menus that listen to its undo stack are still there
    delete m_shelf;
    m_care.waitForDone();
    // Until now it could be undone.
    for (const Id athlete : m_deleted)
        if (m_library)
            (void)m_library->eraseAthlete(athlete); // what fails is still there when the program is opened next
}

void MainWindow::askForLibrary(bool fresh) {
    if (fresh) {
        // A name that does not exist yet is what a new library is called.
        const QString f = QFileDialog::getSaveFileName(this, tr("A name for the new library's folder"),
                                                       QDir::homePath() + "/" + tr("Films"), QString(), nullptr,
                                                       QFileDialog::ShowDirsOnly);
        if (!f.isEmpty())
            newLibrary(f);
    } else if (const QString f = QFileDialog::getExistingDirectory(this, tr("Open a library")); !f.isEmpty()) {
        openLibrary(f);
    }
}

void MainWindow::takeBundleIn(const QString& file) {
    showShelf();
    if (m_shelf)
        m_shelf->takeIn(QFileInfo(file).absoluteFilePath());
}

void MainWindow::buildMenus() {
    auto* file = menuBar()->addMenu(tr("&Library"));
    file->addAction(tr("The &shelf"), QKeySequence("Ctrl+0"), this, &MainWindow::showShelf);
    file->addAction(tr("New &athlete …"), QKeySequence::New, this, &MainWindow::newCase);
    file->addSeparator();
    file->addAction(tr("&Open a library …"), QKeySequence::Open, this, [this] { askForLibrary(false); });
    file->addAction(tr("New &library …"), this, [this] { askForLibrary(true); });
    m_recent = file->addMenu(tr("&Recent libraries"));
    connect(m_recent, &QMenu::aboutToShow, this, &MainWindow::fillRecent);
    m_copies = file->addMenu(tr("Restore a &copy"));
    connect(m_copies, &QMenu::aboutToShow, this, &MainWindow::fillCopies);
    file->addAction(tr("&Move this library …"), this, &MainWindow::moveAway);
    file->addAction(tr("Take a &bundle in …"), this, [this] {
        const QString f =
            QFileDialog::getOpenFileName(this, tr("Take a bundle in"), {}, tr("Riflesso bundles (*.riflesso)"));
        if (!f.isEmpty())
            takeBundleIn(f);
    });
    file->addAction(tr("&Films without a take …"), this, &MainWindow::offerStrays);
    file->addSeparator();
    file->addAction(tr("Look at the &demo"), this, &MainWindow::makeDemo);
    file->addAction(tr("Se&ttings …"), QKeySequence("Ctrl+,"), this, [this] {
        SettingsDialog dialog(this, m_library ? q(m_library->folder().string()) : QString());
        connect(&dialog, &SettingsDialog::changed, this, &MainWindow::applySettings);
        connect(&dialog, &SettingsDialog::otherLibrary, this, [this, &dialog] {
            dialog.accept();
            askForLibrary(false);
        });
        dialog.exec();
        QTimer::singleShot(0, this, [this] {
            qDeleteAll(m_oldMenus);
            m_oldMenus.clear();
        });
    });
    file->addSeparator();
    file->addAction(tr("&Quit"), QKeySequence::Quit, this, &QWidget::close);

    auto* edit = menuBar()->addMenu(tr("&Edit"));
    m_undo = edit->addAction(tr("&Undo"), QKeySequence::Undo, this, [this] {
        if (m_case)
            m_case->bench().book().undo();
        else if (m_shelf)
            m_shelf->undoDelete();
    });
    m_redo = edit->addAction(tr("&Redo"), this, [this] {
        if (m_case)
            m_case->bench().book().redo();
    });
    m_redo->setShortcuts({QKeySequence("Ctrl+Shift+Z"), QKeySequence("Ctrl+Y")});
    edit->addSeparator();
    edit->addAction(tr("&Ask this frame …"), QKeySequence("Q"), this, [this] {
        if (CaseView* open = caseView(); open && open->bench().take()) {
            auto* dialog = new AskDialog(open->bench(), this);
            connect(dialog, &AskDialog::techniqueBegun, this, [this](const Blueprint& begun) {
                openWorkshop();
                if (m_workshop)
                    m_workshop->begin(begun);
            });
            dialog->open();
        }
    });
    edit->addAction(tr("Train your own &eye …"), this, [this] {
        auto* trainer = new EyeTrainer(EyeTrainer::scoresFile(), m_today, this, 270,
                                       caseView() ? ownEyeOf(caseView()->bench()) : OwnEye{});
        trainer->setAttribute(Qt::WA_DeleteOnClose);
        trainer->open();
    });
    edit->addAction(tr("Blueprint &workshop …"), QKeySequence("Ctrl+B"), this, &MainWindow::openWorkshop);
    edit->addAction(tr("Another &technique for this case …"), this, &MainWindow::changeTechnique);

    auto* view = menuBar()->addMenu(tr("&View"));
    for (int i = 0; i < kWorkspaces; ++i)
        view->addAction(workspaceName(static_cast<Workspace>(i)), QKeySequence(QString("Ctrl+%1").arg(i + 1)), this,
                        [this, i] {
                            if (m_case)
                                m_case->show(static_cast<Workspace>(i));
                        });
    view->addSeparator();
    view->addAction(tr("The next thing to &do"), QKeySequence("Ctrl+Return"), this, [this] {
        if (m_case)
            m_case->strip()->nextButton()->click();
    });
    m_dark = view->addAction(tr("&Dark theme"));
    m_dark->setCheckable(true);
    m_dark->setChecked(theme().dark);
    connect(m_dark, &QAction::triggered, this, &MainWindow::setDark);
    auto* help = menuBar()->addMenu(tr("&Help"));
    help->addAction(tr("&Guide"), QKeySequence::HelpContents, this, &MainWindow::showGuide);
    help->addAction(tr("&Tour of five steps"), this, &MainWindow::startTour);
    help->addAction(tr("&Keys"), QKeySequence("Shift+F1"), this, &MainWindow::showShortcuts);
}

void MainWindow::setDark(bool dark) {
    QSettings().setValue("theme", dark ? "dark" : "light");
    applySettings();
}

void MainWindow::applySettings() {
    const Preferences p = Preferences::read();
    if (p.textPercent != textPercent() || p.dark() != theme().dark) {
        setTextPercent(p.textPercent);
        useTheme(p.dark() ? Theme::night() : Theme::light());
    }
    if (m_language != p.language) {
        m_language = p.language;
        speakLanguage(p.language);
        speakAnew();
    }
    m_dark->setChecked(p.dark());
    applyToCase();
}

void MainWindow::applyToCase() {
    if (!m_case)
        return;
    const Preferences p = Preferences::read();
    m_case->bench().frames().setLimit(p.memory);
    m_case->bench().book().setSure(p.sure / 100.0);
    m_case->marking()->setLeftHanded(p.leftHanded);
}

void MainWindow::showWelcome() {
    auto* page = new QWidget;
    auto* card = new Card({});
    card->setFixedWidth(560);
    auto* body = card->body();
    body->setSpacing(10);
    body->addWidget(wrapped(tr("From film to the next right drill"), "title"));
    body->addWidget(wrapped(tr(
        "A library keeps your athletes, their films and everything measured on them in one folder on this computer.")));
    const auto button = [&](const QString& text, const QString& why, const char* name) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setMinimumHeight(36);
        body->addWidget(b);
        body->addWidget(wrapped(why, "quiet"));
        return b;
    };
    auto* open = button(tr("Open a library …"), tr("A folder in which library.sqlite lies."), "openLibrary");
    auto* fresh = button(tr("Start a new library …"), tr("Give its folder a name."), "newLibrary");
    auto* demo =
        button(tr("Look at the demo"),
               tr("An invented athlete, filmed by a simulated camera. The first time the films are made, which "
                  "takes some minutes."),
               "demo");
    const QString last = QSettings().value("library").toString();
    if (!last.isEmpty() && QFileInfo::exists(last + "/library.sqlite")) {
        auto* again = button(tr("Go on with %1").arg(QFileInfo(last).fileName()), {}, "lastLibrary");
        connect(again, &QPushButton::clicked, this, [this, last] { openLibrary(last); });
    }
    m_welcomeError = wrapped({}, "caution");
    body->addWidget(m_welcomeError);
    body->addWidget(wrapped(tr("Riflesso measures movement. It does not diagnose. Pain, dizziness or recent injury: "
                               "stop and see a physician or physiotherapist."),
                            "caution"));
    auto* all = new QVBoxLayout(page);
    all->addStretch();
    all->addWidget(card, 0, Qt::AlignHCenter);
    all->addStretch();
    connect(open, &QPushButton::clicked, this, [this] { askForLibrary(false); });
    connect(fresh, &QPushButton::clicked, this, [this] { askForLibrary(true); });
    connect(demo, &QPushButton::clicked, this, &MainWindow::makeDemo);
    setCentralWidget(page);
}

void MainWindow::fail(const QString& message) {
    if (m_case)
        m_case->showError(message);
    else if (m_welcomeError)
        m_welcomeError->setText(message);
    else
        statusBar()->showMessage(message, 20000);
}

// What is open is written down and goes. The card first: it needs the case.
void MainWindow::leave() {
    if (m_case)
        writeCard();
    if (m_shelf)
        m_deleted = m_shelf->deleted();
}

void MainWindow::openStart() {
    const QString last = QSettings().value("library").toString();
    if (!last.isEmpty() && QFileInfo::exists(last + "/library.sqlite") && openLibrary(last))
        return;
    const QString own = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + "/library";
    if (QFileInfo::exists(own + "/library.sqlite"))
        openLibrary(own);
    else
        newLibrary(own);
}

bool MainWindow::openLibrary(const QString& folder, Id caseId) {
    auto library = Library::open(folder.toStdString());
    if (!library) {
        fail(q(library.error().text()));
        return false;
    }
    std::shared_ptr<Library> shared(std::move(*library));
    if (caseId == 0) {
        // The one that was open last, in this library.
        const QSettings settings;
        const Id last = settings.value("library").toString() == q(shared->folder().string())
                            ? settings.value("case").toLongLong()
                            : 0;
        const auto there = shared->blueprintOf(last);
        if (!there) {
            fail(q(there.error().text()));
            return false;
        }
        if (there->has_value())
            caseId = last;
    }
    useLibrary(std::move(shared));
    if (caseId != 0 && openCase(caseId))
        return true;
    showShelf();
    return caseId == 0;
}

void MainWindow::useLibrary(std::shared_ptr<Library> library) {
    leave();
    for (const Id athlete : m_deleted)
        if (m_library && m_library->folder() != library->folder())
            (void)m_library->eraseAthlete(athlete);
    if (m_library && m_library->folder() != library->folder())
        m_deleted.clear();
    if (m_workshop)
        m_workshop->close();
    delete takeCentralWidget();
    m_case = nullptr;
    m_shelf = nullptr;
    m_welcomeError = nullptr;
    m_library = std::move(library);
    QSettings settings;
    const QString folder = q(m_library->folder().string());
    settings.setValue("library", folder);
    QStringList recent = settings.value("recent").toStringList();
    recent.removeAll(folder);
    recent.prepend(folder);
    settings.setValue("recent", recent.mid(0, 8));
    m_watch.start();
    if (m_library->readOnly()) {
        statusBar()->showMessage(
            tr("%1 Nothing is saved; you can look at everything.").arg(q(m_library->readOnly()->text() + ".")), 30000);
        return;
    }
    // In the background: is every page and row what was written, and today's copy.
    auto* watcher = new QFutureWatcher<QString>(this);
    connect(watcher, &QFutureWatcherBase::finished, this, [this, watcher] {
        watcher->deleteLater();
        if (!watcher->result().isEmpty())
            fail(watcher->result());
    });
    watcher->setFuture(QtConcurrent::run(&m_care, [folder = m_library->folder(), today = m_today] {
        if (const auto s = checkLibrary(folder); !s)
            return q(s.error().text());
        const auto s = keepDailyCopy(folder, today);
        return s ? QString() : q(s.error().text());
    }));
}

void MainWindow::showShelf() {
    if (!m_library || m_shelf)
        return;
    leave();
    QSettings().setValue("case", 0); // this is where the program goes on
    if (m_workshop)
        m_workshop->close();
    delete takeCentralWidget();
    m_case = nullptr;
    m_welcomeError = nullptr;
    m_shelf = new ShelfPage(m_library, m_today);
    if (!m_deleted.empty())
        m_shelf->setDeleted(m_deleted);
    connect(
        m_shelf, &ShelfPage::openCase, this, [this](Id id) { openCase(id); }, Qt::QueuedConnection);
    connect(
        m_shelf, &ShelfPage::filmsFor, this,
        [this](Id id, const QStringList& films) {
            if (!openCase(id))
                return;
            m_case->show(Workspace::footage);
            m_case->footage()->bringIn(films);
        },
        Qt::QueuedConnection);
    connect(m_shelf, &ShelfPage::failed, this, &MainWindow::fail);
    connect(m_shelf, &ShelfPage::said, this, [this](const QString& words) { statusBar()->showMessage(words, 15000); });
    setCentralWidget(m_shelf);
    m_undo->setText(tr("&Undo"));
    m_redo->setText(tr("&Redo"));
    m_undo->setEnabled(true);
    m_redo->setEnabled(false);
    m_shelf->setFocus();
    titleSays();
}

void MainWindow::titleSays() {
    if (m_case)
        setWindowTitle(QString("%1, %2 – Riflesso")
                           .arg(q(m_case->bench().data().brief.athlete.name), q(m_case->bench().blueprint().name)));
    else
        setWindowTitle(m_library ? QString("%1 – Riflesso").arg(q(m_library->folder().filename().string()))
                                 : QString("Riflesso"));
}

bool MainWindow::newLibrary(const QString& folder) {
    const auto made = Library::create(folder.toStdString());
    if (!made) {
        fail(q(made.error().text()));
        return false;
    }
    return openLibrary(folder);
}

bool MainWindow::openCase(Id caseId) {
    if (!m_library)
        return false;
    const auto library = m_library;
    const auto of = library->blueprintOf(caseId);
    const std::string blueprintId = of && of->has_value() ? **of : std::string();
    auto blueprint = blueprintForCase(library->folder(), blueprintId);
    if (!blueprint) {
        fail(q(blueprint.error().text()));
        return false;
    }
    auto book = Casebook::open(library, caseId, asSpoken(*blueprint), m_today);
    if (!book) {
        fail(q(book.error().text()));
        return false;
    }
    // The blueprint went on since this case was last worked on: what only changed its name is found again.
    QString news;
    if (const int was = (*book)->data().brief.blueprintVersion; was != blueprint->version) {
        const auto before = keptVersion(library->folder(), blueprintId, was);
        if (before && (*book)->perform(tr("Carry the case over to version %1").arg(blueprint->version),
                                       migration((*book)->data(), *before, *blueprint)))
            news = tr("The blueprint is now version %1 (it was %2).").arg(blueprint->version).arg(was);
    }
    if (const auto lost = orphansOf((*book)->data(), *blueprint); !lost.positions.empty()) {
        QStringList names;
        for (const auto& id : lost.positions)
            names << q(id);
        news += tr(" Key positions without a place in it are kept, unused: %1.").arg(names.join(", "));
    }
    if (m_workshop)
        m_workshop->close();
    leave();
    m_welcomeError = nullptr;
    delete takeCentralWidget(); // the shelf, or the case before
    m_shelf = nullptr;
    (*book)->setSure(Preferences::read().sure / 100.0);
    m_case = new CaseView(std::move(*book));
    setCentralWidget(m_case);
    applyToCase();
    const auto& stack = m_case->bench().book().undoStack();
    const auto texts = [this, &stack] {
        m_undo->setText(stack.canUndo() ? tr("&Undo: %1").arg(stack.undoText()) : tr("&Undo"));
        m_redo->setText(stack.canRedo() ? tr("&Redo: %1").arg(stack.redoText()) : tr("&Redo"));
        m_undo->setEnabled(stack.canUndo());
        m_redo->setEnabled(stack.canRedo());
    };
    connect(&stack, &QUndoStack::indexChanged, this, texts);
    texts();
    if (!news.isEmpty())
        statusBar()->showMessage(news.trimmed(), 20000);
    connect(m_case, &CaseView::said, this, [this](const QString& m) { statusBar()->showMessage(m, 8000); });
    connect(m_case, &CaseView::shelfWanted, this, &MainWindow::showShelf, Qt::QueuedConnection);
    connect(&m_case->bench().book(), &Casebook::foreignTaken, this, [this] {
        statusBar()->showMessage(tr("Another program has changed this case; what is newer is shown."), 8000);
    });
    connect(&m_case->bench().book(), &Casebook::changed, this, [this](const ChangeSet& c) {
        if (c.brief)
            titleSays();
    });
    QSettings().setValue("case", static_cast<qlonglong>(caseId));
    titleSays();
    return true;
}

void MainWindow::dragEnterEvent(QDragEnterEvent* e) {
    if (m_case && e->mimeData()->hasUrls()) // the shelf has its own
        e->acceptProposedAction();
}

void MainWindow::dropEvent(QDropEvent* e) {
    QStringList files;
    for (const QUrl& url : e->mimeData()->urls())
        if (url.isLocalFile())
            files << url.toLocalFile();
    if (files.isEmpty() || !m_case)
        return;
    e->acceptProposedAction();
    m_case->show(Workspace::footage);
    m_case->footage()->bringIn(files);
}

void MainWindow::closeEvent(QCloseEvent* e) {
    QSettings().setValue("window", saveGeometry());
    QMainWindow::closeEvent(e);
}

Tour* MainWindow::startTour() {
    if (!m_case)
        return nullptr;
    if (m_tour)
        m_tour->leave();
    m_tour = new Tour(this);
    connect(m_tour, &Tour::wanted, this, [this](Workspace w) {
        if (m_case)
            m_case->show(w);
    });
    return m_tour;
}

GuideWindow* MainWindow::showGuide() {
    if (!m_guide) {
        m_guide = new GuideWindow(this);
        m_guide->setAttribute(Qt::WA_DeleteOnClose);
    }
    m_guide->showPage(m_case ? workspaceId(m_case->current()) : m_shelf ? QString("shelf") : "index");
    m_guide->show();
    m_guide->raise();
    return m_guide;
}

void MainWindow::showShortcuts() {
    QDialog dialog(this);
    dialog.setWindowTitle(tr("Keys"));
    auto* text = new QTextBrowser;
    text->setObjectName("keySheet");
    text->setHtml(keySheet(*menuBar(), caseView()));
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    connect(buttons, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    auto* all = new QVBoxLayout(&dialog);
    all->addWidget(text);
    all->addWidget(buttons);
    dialog.resize(520, 560);
    dialog.exec();
}

} // namespace riflesso
