// The window and its library: cards, copies, what was left over, techniques, the demo.

#include "desktop/shell/main_window.h"

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

#include <QDir>
#include <QElapsedTimer>
#include <QEventLoop>
#include <QFileDialog>
#include <QFileInfo>
#include <QInputDialog>
#include <QMenuBar>
#include <QMessageBox>
#include <QPixmapCache>
#include <QProgressDialog>
#include <QSettings>
#include <QStandardPaths>
#include <QtConcurrent/QtConcurrentRun>

#include <algorithm>

namespace riflesso {

void MainWindow::writeCard() {
    auto& book = m_case->bench().book();
    if (book.analysing() || m_library->readOnly())
        return; // the card stays as it was; the next time the case is left it is written
    const CaseCard card = cardOf(book.data(), book.blueprint(), book.analysis(), m_today);
    const auto cases = m_library->cases();
    if (!cases)
        return;
    for (const auto& c : *cases)
        if (c.id == book.data().id) {
            const CaseCard before = cardFromJson(c.card);
            if (card == before)
                return;
            if (card.film != before.film || card.frame != before.frame || card.crop != before.crop) {
                std::error_code ec;
                std::filesystem::remove(stillOf(*m_library, c.id), ec);
                QPixmapCache::clear();
            }
        }
    (void)m_library->setCard(book.data().id, toJson(card));
}

// Once a second: what others have changed.
void MainWindow::lookAfterLibrary() {
    if (m_case)
        m_case->bench().book().takeInForeign();
    else if (m_shelf && m_library->changedElsewhere())
        m_shelf->refresh();
}

void MainWindow::fillRecent() {
    m_recent->clear();
    for (const QString& folder : QSettings().value("recent").toStringList())
        if (QFileInfo::exists(folder + "/library.sqlite"))
            m_recent->addAction(QDir::toNativeSeparators(folder), this, [this, folder] { openLibrary(folder); });
    if (m_recent->isEmpty())
        m_recent->addAction(tr("None yet"))->setEnabled(false);
}

void MainWindow::fillCopies() {
    m_copies->clear();
    if (m_library)
        for (const auto& copy : copiesOf(m_library->folder()))
            m_copies->addAction(q(copy.name), this, [this, copy] {
                const auto answer = QMessageBox::question(this, tr("Restore a copy"),
                                                          tr("The library goes back to %1. What is in it now is kept "
                                                             "beside as copies/replaced-N.sqlite; films are "
                                                             "not touched.")
                                                              .arg(q(copy.name)),
                                                          QMessageBox::Yes | QMessageBox::Cancel, QMessageBox::Cancel);
                if (answer == QMessageBox::Yes)
                    restore(copy);
            });
    if (m_copies->isEmpty())
        m_copies->addAction(tr("None yet: one is made each day"))->setEnabled(false);
}

// Everything on the glass in the language spoken now: made anew where it stood.
void MainWindow::speakAnew() {
    // One of the old menus' actions may have led here: they go when the way back from it is gone.
    for (QMenu* menu : menuBar()->findChildren<QMenu*>(QString(), Qt::FindDirectChildrenOnly)) {
        if (m_oldMenus.contains(menu))
            continue;
        menuBar()->removeAction(menu->menuAction());
        for (QAction* action : menu->actions())
            action->setShortcuts({});
        m_oldMenus.append(menu);
    }
    buildMenus();
    if (m_guide)
        m_guide->close();
    if (m_case) {
        const Id open = m_case->bench().data().id;
        const Workspace at = m_case->current();
        if (openCase(open))
            m_case->show(at);
    } else if (m_shelf) {
        leave();
        delete takeCentralWidget();
        m_shelf = nullptr;
        showShelf();
    } else {
        showWelcome();
    }
}

// Nothing of it is open afterwards.
void MainWindow::closeLibrary() {
    m_watch.stop();
    m_care.waitForDone();
    leave();
    delete takeCentralWidget();
    m_case = nullptr;
    m_shelf = nullptr;
    m_library.reset();
}

void MainWindow::moveAway() {
    if (!m_library)
        return;
    const QString to = QFileDialog::getSaveFileName(this, tr("Where the library goes"), q(m_library->folder().string()),
                                                    QString(), nullptr, QFileDialog::ShowDirsOnly);
    if (!to.isEmpty())
        moveLibraryTo(to);
}

bool MainWindow::moveLibraryTo(const QString& folder) {
    if (!m_library)
        return false;
    const QString from = q(m_library->folder().string());
    closeLibrary();
    QProgressDialog progress(tr("Moving the library …"), tr("Cancel"), 0, 1000, this);
    progress.setWindowModality(Qt::WindowModal);
    progress.setMinimumDuration(0);
    progress.setValue(0); // it stands before the menus at once: nothing is opened while the library is on its way
    std::atomic<bool> stop{false};
    std::atomic<int> done{0};
    QFutureWatcher<Status> watcher;
    QEventLoop wait;
    connect(&watcher, &QFutureWatcherBase::finished, &wait, &QEventLoop::quit);
    connect(&progress, &QProgressDialog::canceled, this, [&stop] { stop = true; });
    QTimer tick;
    connect(&tick, &QTimer::timeout, this, [&] { progress.setValue(done); });
    tick.start(100);
    watcher.setFuture(QtConcurrent::run([from = from.toStdString(), to = folder.toStdString(), &stop, &done] {
        return moveLibrary(from, to, [&](double share) {
            done = static_cast<int>(999 * share);
            return !stop;
        });
    }));
    wait.exec();
    tick.stop();
    progress.reset();
    const Status moved = watcher.result();
    const bool there = QFileInfo::exists(folder + "/library.sqlite");
    openLibrary(there ? folder : from);
    if (!moved)
        fail(q(moved.error().text()));
    else
        statusBar()->showMessage(tr("The library is at %1 now.").arg(folder), 15000);
    return moved.ok();
}

void MainWindow::restore(const LibraryCopy& copy) {
    const QString folder = q(m_library->folder().string());
    closeLibrary();
    m_deleted.clear();
    const auto s = restoreCopy(folder.toStdString(), copy);
    openLibrary(folder);
    if (!s)
        fail(q(s.error().text()));
    else
        statusBar()->showMessage(tr("The library is as it was: %1.").arg(q(copy.name)), 15000);
}

void MainWindow::offerStrays() {
    if (!m_library)
        return;
    const auto strays = m_library->strayFilms();
    if (!strays) {
        fail(q(strays.error().text()));
        return;
    }
    if (strays->empty()) {
        statusBar()->showMessage(tr("Every film in this library belongs to a take."), 8000);
        return;
    }
    QStringList names;
    for (const auto& s : *strays)
        names << q(s);
    QMessageBox box(
        QMessageBox::Question, tr("Films without a take"),
        tr("%1 in this library: left by a program that was ended, or by a removal that could not be finished. %2")
            .arg(counted(names.size(), tr("film belongs to no take"), tr("films belong to no take")),
                 names.mid(0, 8).join(", ")),
        QMessageBox::Cancel, this);
    auto* back = m_case ? box.addButton(tr("Bring them into this case"), QMessageBox::AcceptRole) : nullptr;
    auto* gone = box.addButton(tr("Delete them"), QMessageBox::DestructiveRole);
    box.exec();
    if (back && box.clickedButton() == back) {
        QStringList films;
        for (const auto& s : *strays)
            if (!isHalf(s))
                films << q((m_library->media() / s).string());
        m_case->show(Workspace::footage);
        m_case->footage()->bringIn(films);
    } else if (box.clickedButton() == gone) {
        for (const auto& s : *strays)
            if (const auto removed = m_library->removeFilm(s); !removed)
                fail(q(removed.error().text()));
    }
}

void MainWindow::changeTechnique() {
    if (!m_case)
        return;
    QStringList names;
    const auto ids = blueprintIds(m_library->folder());
    for (const auto& id : ids)
        if (const auto b = blueprintFor(m_library->folder(), id))
            names << q(asSpoken(*b).name);
    bool ok = false;
    const QString name = QInputDialog::getItem(
        this, tr("Another technique for this case"), tr("Possible while nothing is marked, placed or practised."),
        names, std::max<int>(0, static_cast<int>(names.indexOf(q(m_case->bench().blueprint().name)))), false, &ok);
    if (!ok || names.indexOf(name) < 0)
        return;
    const Id id = m_case->bench().data().id;
    if (const auto s = m_library->setBlueprint(id, ids[static_cast<std::size_t>(names.indexOf(name))]); !s)
        fail(q(s.error().text()));
    else
        openCase(id);
}

void MainWindow::newCase() {
    if (!m_library) {
        fail(tr("Open or start a library first."));
        return;
    }
    showShelf();
    m_shelf->newAthlete();
}

Workshop* MainWindow::workshop() {
    if (!m_library || !m_case) {
        fail(tr("Open or start a library first."));
        return nullptr;
    }
    if (!m_workshop) {
        // As it is written, not as it is spoken here.
        auto written = blueprintForCase(m_library->folder(), m_case->bench().blueprint().id);
        m_workshop = new Workshop(written ? std::move(*written) : m_case->bench().blueprint(), m_library->folder(),
                                  &m_case->bench());
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
        if (openLibrary(folder))
            fillDemo(folder); // goes on where it was stopped
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
        else if (openLibrary(folder)) {
            if (m_case || openCase(1))
                startTour();
            fillDemo(folder);
        }
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

// The others are filmed while one looks at the first.
void MainWindow::fillDemo(const QString& folder) {
    m_cancelDemo = false;
    DemoOptions options;
    options.films = (QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + "/films").toStdString();
    options.today = m_today;
    options.progress = [this](const std::string& what, double share) {
        QMetaObject::invokeMethod(this, [this, what, share] {
            statusBar()->showMessage(
                tr("Filming the rest of the demo: %1, %2 % of all").arg(q(what)).arg(static_cast<int>(100 * share)));
        });
        return !m_cancelDemo;
    };
    disconnect(&m_demo, nullptr, nullptr, nullptr);
    connect(&m_demo, &QFutureWatcherBase::finished, this, [this] {
        statusBar()->showMessage(
            m_demo.result().isEmpty() ? tr("The demo is whole: the others are on the shelf.") : m_demo.result(), 15000);
        if (m_shelf)
            m_shelf->refresh();
    });
    m_demo.setFuture(QtConcurrent::run([folder, options] {
        const auto s = fillDemoLibrary(folder.toStdString(), options);
        return s ? QString() : q(s.error().text());
    }));
}

} // namespace riflesso
