#include "desktop/shell/walk.h"

#include "desktop/handover/handover_page.h"
#include "desktop/mirror/mirror_page.h"
#include "desktop/programme/programme_page.h"
#include "desktop/shelf/squad_sheet.h"

#include <QApplication>
#include <QDir>
#include <QElapsedTimer>
#include <QThread>

namespace riflesso {

bool settle(MainWindow& window, int milliseconds) {
    QElapsedTimer clock;
    clock.start();
    int quiet = 0; // painting may ask for more stills: it must stay quiet for a few rounds
    while (clock.elapsed() < milliseconds) {
        QApplication::processEvents();
        QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
        CaseView* view = window.caseView();
        const bool busy = (window.shelf() && window.shelf()->busy()) ||
                          (view && (view->bench().book().analysing() || !view->bench().frames().idle() ||
                                    view->handover()->busy() || view->footage()->busy() ||
                                    static_cast<ProgrammePage*>(view->page(Workspace::programme))->planning()));
        quiet = busy ? 0 : quiet + 1;
        if (quiet > 6)
            return true;
        QThread::msleep(10);
    }
    return false;
}

Status walk(MainWindow& window, const QString& folder) {
    if (!QDir().mkpath(folder))
        return Error{"the folder for the pictures cannot be made", folder.toStdString(), {}, {}};
    window.show();
    settle(window);
    const auto picture = [&](int number, const QString& name) -> Status {
        const QString file = QString("%1/%2-%3.png").arg(folder).arg(number).arg(name);
        if (!window.grab().save(file))
            return Error{"a picture could not be written", file.toStdString(), {}, "is the disk full?"};
        return Done{};
    };
    if (!window.caseView()) {
        const auto cases = window.library()->cases();
        if (!cases)
            return cases.error();
        if (cases->empty() || !window.openCase(cases->front().id))
            return Error{"there is no case in this library", {}, {}, {}, ErrorKind::missing};
        settle(window);
    }
    const Id open = window.caseView()->bench().data().id;
    window.showShelf();
    settle(window);
    if (auto s = picture(0, "shelf"); !s)
        return s;
    {
        const auto squads = window.shelf()->model().squads();
        for (int i = 0; i < window.shelf()->tabs()->count() && !squads.isEmpty(); ++i)
            if (window.shelf()->tabs()->tabData(i).toString() == "squad:" + squads.front())
                window.shelf()->tabs()->setCurrentIndex(i);
        auto* sheet = window.shelf()->showSquad();
        settle(window);
        const bool saved = sheet->grab().save(QDir(folder).filePath("0-squad.png"));
        sheet->close();
        settle(window);
        if (!saved)
            return Error{"a picture could not be written", "0-squad.png", {}, "is the disk full?"};
    }
    window.openCase(open);
    settle(window);
    for (int i = 0; i < kWorkspaces; ++i) {
        const auto w = static_cast<Workspace>(i);
        window.caseView()->show(w);
        settle(window);
        if (auto s = picture(i + 1, workspaceId(w)); !s)
            return s;
        if (w == Workspace::mirror) {
            auto* mirror = static_cast<MirrorPage*>(window.caseView()->page(w));
            mirror->showWay(MirrorPage::inMotion);
            settle(window);
            if (auto s = picture(i + 1, "mirror-moving"); !s)
                return s;
            mirror->showWay(MirrorPage::onOnePicture);
            for (int wait = 0; wait < 600 && (mirror->trace()->busy() || mirror->trace()->picture().isNull()); ++wait)
                settle(window);
            if (auto s = picture(i + 1, "mirror-trace"); !s)
                return s;
            mirror->showWay(MirrorPage::board);
        }
        if (w == Workspace::handover) {
            auto* handover = static_cast<HandoverPage*>(window.caseView()->page(w));
            handover->showReview(true);
            settle(window);
            for (int wait = 0; wait < 600 && handover->review()->busy(); ++wait)
                settle(window);
            if (auto s = picture(i + 1, "handover-review"); !s)
                return s;
            handover->showReview(false);
        }
    }
    return Done{};
}

} // namespace riflesso
