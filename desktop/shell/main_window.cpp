#include "desktop/shell/main_window.h"

#include "casebook/shipped.h"
#include "casebook/text.h"
#include "demo/demo_library.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"
#include "desktop/workshop/workshop.h"

#include <QApplication>
#include <QComboBox>
#include <QDialog>
#include <QDialogButtonBox>
#include <QDragEnterEvent>
#include <QDropEvent>
#include <QElapsedTimer>
#include <QFileDialog>
#include <QFileInfo>
#include <QFormLayout>
#include <QInputDialog>
#include <QMenuBar>
#include <QMimeData>
#include <QProgressDialog>
#include <QSettings>
#include <QStandardPaths>
#include <QStatusBar>
#include <QTextBrowser>
#include <QtConcurrent/QtConcurrentRun>

#include <algorithm>
#include <map>

namespace riflesso {
MainWindow::MainWindow(Day today) : m_today(today) {
    setWindowTitle("Riflesso");
    setAcceptDrops(true);
    setMinimumSize(1024, 700);
    resize(1280, 800);
    buildMenus();
    statusBar()->setSizeGripEnabled(false);
    statusBar()->hide(); // frames get the space; it comes when there is something to say
    connect(statusBar(), &QStatusBar::messageChanged, this,
            [this](const QString& m) { statusBar()->setVisible(!m.isEmpty()); });
    QSettings settings;
    restoreGeometry(settings.value("window").toByteArray());
    showWelcome();
}

MainWindow::~MainWindow() {
    m_cancelDemo = true;
    m_demo.waitForFinished();
    delete m_workshop.data();
    delete m_case; // while the menus that listen to its undo stack are still there
}

void MainWindow::buildMenus() {
    auto* file = menuBar()->addMenu(tr("&Library"));
    file->addAction(tr("&Open a library …"), QKeySequence::Open, this, [this] {
        if (const QString f = QFileDialog::getExistingDirectory(this, tr("Open a library")); !f.isEmpty())
            openLibrary(f);
    });
    file->addAction(tr("&New library …"), this, [this] {
        if (const QString f = QFileDialog::getExistingDirectory(this, tr("An empty folder for the new library"));
            !f.isEmpty())
            newLibrary(f);
    });
    file->addSeparator();
    m_cases = file->addMenu(tr("&Cases"));
    file->addAction(tr("New &case …"), QKeySequence::New, this, &MainWindow::newCase);
    file->addAction(tr("Blueprint &workshop …"), QKeySequence("Ctrl+B"), this, &MainWindow::openWorkshop);
    file->addSeparator();
    file->addAction(tr("&Quit"), QKeySequence::Quit, this, &QWidget::close);

    auto* edit = menuBar()->addMenu(tr("&Edit"));
    m_undo = edit->addAction(tr("&Undo"), QKeySequence::Undo, this, [this] {
        if (m_case)
            m_case->bench().book().undoStack().undo();
    });
    m_redo = edit->addAction(tr("&Redo"), this, [this] {
        if (m_case)
            m_case->bench().book().undoStack().redo();
    });
    m_redo->setShortcuts({QKeySequence("Ctrl+Shift+Z"), QKeySequence("Ctrl+Y")});

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
    view->addAction(tr("&Memory for pictures …"), this, [this] {
        bool ok = false;
        QSettings settings;
        const int mb = QInputDialog::getInt(
            this, tr("Memory for pictures"),
            tr("All pictures kept at hand together, in MB. More makes stepping backwards in large films smoother."),
            settings.value("memory", FrameService::kDefaultMegabytes).toInt(), 64, 65536, 64, &ok);
        if (!ok)
            return;
        settings.setValue("memory", mb);
        if (m_case)
            m_case->bench().frames().setLimit(mb);
    });
    m_dark = view->addAction(tr("&Dark theme"));
    m_dark->setCheckable(true);
    m_dark->setChecked(theme().dark);
    connect(m_dark, &QAction::toggled, this, &MainWindow::setDark);
    auto* help = menuBar()->addMenu(tr("&Help"));
    help->addAction(tr("&Keys"), QKeySequence::HelpContents, this, &MainWindow::showShortcuts);
}

void MainWindow::setDark(bool dark) {
    useTheme(dark ? Theme::night() : Theme::light());
    QSettings().setValue("dark", dark);
    m_dark->setChecked(dark);
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
    auto* fresh = button(tr("Start a new library …"), tr("Choose an empty folder."), "newLibrary");
    auto* demo = button(tr("Look at the demo"),
                        tr("An invented fencer, filmed by a simulated camera. The first time the films are made, which "
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
    connect(open, &QPushButton::clicked, this, [this] {
        if (const QString f = QFileDialog::getExistingDirectory(this, tr("Open a library")); !f.isEmpty())
            openLibrary(f);
    });
    connect(fresh, &QPushButton::clicked, this, [this] {
        if (const QString f = QFileDialog::getExistingDirectory(this, tr("An empty folder for the new library"));
            !f.isEmpty())
            newLibrary(f);
    });
    connect(demo, &QPushButton::clicked, this, &MainWindow::makeDemo);
    setCentralWidget(page);
}

void MainWindow::fail(const QString& message) {
    if (m_case)
        m_case->showError(message);
    else if (m_welcomeError)
        m_welcomeError->setText(message);
}

bool MainWindow::openLibrary(const QString& folder, Id caseId) {
    auto library = Library::open(folder.toStdString());
    if (!library) {
        fail(q(library.error().text()));
        return false;
    }
    std::shared_ptr<Library> shared(std::move(*library));
    if (caseId == 0) {
        const auto cases = shared->cases();
        if (!cases) {
            fail(q(cases.error().text()));
            return false;
        }
        if (cases->empty()) {
            const auto added = shared->addCase("fencing-lunge", Brief{});
            if (!added) {
                fail(q(added.error().text()));
                return false;
            }
            caseId = *added;
        } else {
            // The one that was open last, in this library.
            const QSettings settings;
            const Id last = settings.value("library").toString() == q(shared->folder().string())
                                ? settings.value("case").toLongLong()
                                : 0;
            const bool there =
                std::any_of(cases->begin(), cases->end(), [last](const auto& c) { return c.id == last; });
            caseId = there ? last : cases->front().id;
        }
    }
    return openCase(std::move(shared), caseId);
}

bool MainWindow::newLibrary(const QString& folder) {
    const auto made = Library::create(folder.toStdString());
    if (!made) {
        fail(q(made.error().text()));
        return false;
    }
    return openLibrary(folder);
}

bool MainWindow::openCase(std::shared_ptr<Library> library, Id caseId) {
    const auto cases = library->cases();
    std::string blueprintId;
    if (cases)
        for (const auto& c : *cases)
            if (c.id == caseId)
                blueprintId = c.blueprintId;
    auto blueprint = blueprintFor(library->folder(), blueprintId);
    if (!blueprint) {
        fail(q(blueprint.error().text()));
        return false;
    }
    auto book = Casebook::open(library, caseId, *blueprint, m_today);
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
    m_library = std::move(library);
    m_welcomeError = nullptr;
    delete takeCentralWidget(); // the welcome, or the case before
    m_case = new CaseView(std::move(*book));
    setCentralWidget(m_case);
    auto& stack = m_case->bench().book().undoStack();
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
    QSettings().setValue("library", q(m_library->folder().string()));
    QSettings().setValue("case", static_cast<qlonglong>(caseId));
    fillCases();
    return true;
}

void MainWindow::fillCases() {
    m_cases->clear();
    const auto cases = m_library->cases();
    if (!cases)
        return;
    std::map<std::string, QString> techniques; // by blueprint
    for (const auto& c : *cases) {
        QString& technique = techniques[c.blueprintId];
        if (technique.isEmpty()) {
            const auto b = blueprintFor(m_library->folder(), c.blueprintId);
            technique = b ? q(b->name) : q(c.blueprintId);
        }
        m_cases->addAction(QString("%1, %2").arg(c.athlete.empty() ? tr("New athlete") : q(c.athlete), technique), this,
                           [this, id = c.id] { openCase(m_library, id); });
    }
}

void MainWindow::newCase() {
    if (!m_library) {
        fail(tr("Open or start a library first."));
        return;
    }
    QDialog dialog(this);
    dialog.setWindowTitle(tr("New case"));
    auto* form = new QFormLayout(&dialog);
    auto* athlete = new QLineEdit;
    athlete->setObjectName("newAthlete");
    auto* technique = new QComboBox;
    technique->setObjectName("newTechnique");
    for (const auto& id : blueprintIds(m_library->folder()))
        if (const auto b = blueprintFor(m_library->folder(), id))
            technique->addItem(q(b->name), q(id));
    if (const int i = m_case ? technique->findData(q(m_case->bench().blueprint().id)) : -1; i >= 0)
        technique->setCurrentIndex(i);
    form->addRow(tr("The athlete's name"), athlete);
    form->addRow(tr("Technique"), technique);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    form->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, &dialog, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    if (dialog.exec() != QDialog::Accepted || athlete->text().trimmed().isEmpty())
        return;
    Brief brief;
    brief.athlete.name = athlete->text().trimmed().toStdString();
    const std::string chosen = technique->currentData().toString().toStdString();
    if (const auto b = blueprintFor(m_library->folder(), chosen))
        brief.blueprintVersion = b->version;
    const auto id = m_library->addCase(chosen, brief);
    if (!id)
        fail(q(id.error().text()));
    else
        openCase(m_library, *id);
}

Workshop* MainWindow::workshop() {
    if (!m_library || !m_case) {
        fail(tr("Open or start a library first."));
        return nullptr;
    }
    if (!m_workshop) {
        m_workshop = new Workshop(m_case->bench().blueprint(), m_library->folder(), &m_case->bench());
        connect(m_workshop, &Workshop::kept, this, [this](const QString& id) {
            // At once when it is the open case's technique; the workshop goes on with the case that is opened anew.
            if (m_case && q(m_case->bench().blueprint().id) == id)
                statusBar()->showMessage(tr("A new version of this technique was kept. Open the case again to use it."),
                                         15000);
        });
    }
    return m_workshop;
}

void MainWindow::openWorkshop() {
    if (auto* w = workshop()) {
        static_cast<QWidget*>(w)->show();
        w->raise();
        w->activateWindow();
    }
}

void MainWindow::makeDemo() {
    const QString base = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation);
    const QString folder = base + "/demo-library";
    if (QFileInfo::exists(folder + "/library.sqlite")) {
        openLibrary(folder);
        return;
    }
    auto* progress = new QProgressDialog(tr("Filming the demo …"), tr("Cancel"), 0, 1000, this);
    progress->setWindowModality(Qt::WindowModal);
    progress->setMinimumDuration(0);
    m_cancelDemo = false;
    connect(progress, &QProgressDialog::canceled, this, [this] { m_cancelDemo = true; });
    connect(&m_demo, &QFutureWatcherBase::finished, progress, [this, progress, folder] {
        progress->deleteLater();
        if (const QString error = m_demo.result(); !error.isEmpty())
            fail(error);
        else
            openLibrary(folder);
    });
    DemoOptions options;
    options.films = (base + "/films").toStdString();
    options.today = m_today;
    auto clock = std::make_shared<QElapsedTimer>();
    clock->start();
    options.progress = [this, progress, clock](const std::string& what, double share) {
        const qint64 left =
            share > 0.02 ? static_cast<qint64>(static_cast<double>(clock->elapsed()) / share * (1 - share) / 1000) : -1;
        QMetaObject::invokeMethod(progress, [progress, what, share, left] {
            progress->setValue(static_cast<int>(share * 1000));
            progress->setLabelText(left < 0 ? q(what) : MainWindow::tr("%1, about %2 s to go").arg(q(what)).arg(left));
        });
        return !m_cancelDemo;
    };
    m_demo.setFuture(QtConcurrent::run([folder, options] {
        const auto s = makeDemoLibrary(folder.toStdString(), options);
        return s ? QString() : q(s.error().text());
    }));
}

void MainWindow::dragEnterEvent(QDragEnterEvent* e) {
    if (m_case && e->mimeData()->hasUrls())
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

void MainWindow::showShortcuts() {
    QDialog dialog(this);
    dialog.setWindowTitle(tr("Keys"));
    auto* text = new QTextBrowser;
    const auto row = [](const QString& keys, const QString& what) {
        return QString("<tr><td><b>%1</b>&nbsp;&nbsp;</td><td>%2</td></tr>").arg(keys, what);
    };
    text->setHtml(
        "<h3>" + tr("Everywhere") + "</h3><table>" + row("Ctrl+1 … 9", tr("the workspaces")) +
        row("Ctrl+Return", tr("the next thing to do")) + row("Ctrl+Z, Ctrl+Shift+Z", tr("undo, redo")) +
        row("F1", tr("this sheet")) + "</table><h3>" + tr("Footage and Marking") + "</h3><table>" +
        row("← →", tr("one frame; with Shift ten")) + row("Home, End", tr("first, last frame")) + "</table><h3>" +
        tr("Footage") + "</h3><table>" + row(tr("Space, B"), tr("play, play backwards")) +
        row(", .", tr("slower, faster")) + row("L", tr("round and round")) +
        row("Ctrl+← →", tr("step the film beside")) + row("A, Shift+A", tr("accept the proposed rep, all of them")) +
        row("S, M", tr("split a rep here, merge it with the next")) + row("[ ]", tr("the rep begins, ends here")) +
        row("Page ↑ ↓", tr("rep before, after")) + row("Delete", tr("take the rep away")) + "</table><h3>" +
        tr("Marking") + "</h3><table>" + row("1 … 9", tr("place the key position of that number here")) +
        row("↑ ↓", tr("key position before, after")) + row("N", tr("next open point of this rep")) +
        row("R", tr("start a rep")) + row("Alt+arrows", tr("nudge the mark by 1 px; with Shift by 0.1 px")) +
        row("Delete", tr("take the mark away")) +
        row("C, Shift+C", tr("carry this rep's marks, only this landmark's")) +
        row("W", tr("the frame most worth a look")) +
        row("Enter", tr("accept the hollow peg or the carried mark shown; go to the next")) +
        row("P", tr("propose key positions")) + row("Ctrl+← →", tr("move the peg on this frame")) +
        row("X", tr("not to be seen on this frame")) + row("S", tr("swap left and right from here on")) +
        row("V, Shift+V", tr("copy the marks of the frame before, with sides swapped")) +
        row(", .", tr("landmark before, after")) + row("[ ]", tr("loupe weaker, stronger")) +
        row("G", tr("start this rep from a marked one")) + row("Z", tr("stay with the athlete while zoomed in")) +
        row(tr("Wheel, + −"), tr("zoom")) + row(tr("Shift+drag, middle button"), tr("pan")) +
        row("F", tr("whole picture")) + row(tr("Space"), tr("play, pause")) + "</table><h3>" + tr("Practice") +
        "</h3><table>" + row(tr("G or ↑"), tr("good")) + row(tr("B or ↓"), tr("not")) +
        row("Esc", tr("take the athlete's verdict back")) + "</table>");
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    connect(buttons, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    auto* all = new QVBoxLayout(&dialog);
    all->addWidget(text);
    all->addWidget(buttons);
    dialog.resize(520, 560);
    dialog.exec();
}

} // namespace riflesso
