// What Footage does in the background: films in, reps found, sounds matched, cameras looked at.

#include "desktop/footage/footage_page.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"
#include "footage/movement.h"
#include "intake/intake.h"

#include <QFileDialog>
#include <QFileInfo>

namespace riflesso {

JobRow* FootagePage::job(const QString& what) {
    auto* row = new JobRow(what, m_bench.book().jobs());
    m_jobs->addWidget(row);
    ++m_running;
    connect(row, &JobRow::finished, this, [this] { --m_running; });
    return row;
}

bool FootagePage::busy() const {
    return m_running > 0;
}

void FootagePage::bringIn(const QStringList& places) {
    QStringList films;
    for (const QString& place : places) {
        const auto found = filmsIn(place.toStdString());
        if (found.empty())
            emit failed(tr("%1: there is no film in this folder").arg(QFileInfo(place).fileName()));
        for (const auto& f : found)
            films << q(f.string());
    }
    enqueue(films, false);
}

void FootagePage::enqueue(const QStringList& films, bool own, const QString& set) {
    for (const QString& film : films) {
        JobRow* row = job(QFileInfo(film).fileName());
        m_waiting.push_back({film, own, row, set});
        connect(row, &JobRow::finished, this,
                [this, row](bool) { std::erase_if(m_waiting, [&](const Waiting& w) { return w.row == row; }); });
    }
    startNext();
}

void FootagePage::startNext() {
    if (m_bringing || m_waiting.empty())
        return;
    m_bringing = true;
    const Waiting next = m_waiting.front();
    m_waiting.pop_front();
    connect(next.row, &JobRow::finished, this, [this] {
        m_bringing = false;
        startNext();
    });
    IntakeOptions options;
    options.copy = !next.own && !m_refer->isChecked();
    options.today = m_bench.book().today();
    options.handedness = m_bench.data().brief.athlete.handedness;
    if (const auto known = m_bench.book().library().knownFilms())
        options.known = *known;
    for (const auto& [id, t] : m_bench.data().takes)
        if (!t.checksum.empty())
            options.inCase[t.checksum] = t.title;
    // takeIn() touches files only, so it may run beside the interface thread's use of the database.
    next.row->start([this, film = next.film, own = next.own, set = next.set, options,
                     library = m_bench.book().sharedLibrary()](const JobProgress& progress) -> std::function<void()> {
        // Something to look at while the film is read through.
        ShowOptions tiny;
        tiny.longestSide = 160;
        if (const auto first = Film::firstPicture(film.toStdString(), tiny))
            progress.show(imageOf(*first));
        auto in = takeIn(*library, film.toStdString(), options, progress);
        return [this, in = std::move(in), film, own, set] {
            if (!in) {
                if (in.error().kind != ErrorKind::cancelled)
                    emit failed(q(in.error().text()));
                return;
            }
            Take take = in->take;
            if (own) { // filmed just now, straight into media/
                take.film = QFileInfo(film).fileName().toStdString();
                take.captureRate = in->info.fileRate.value;
                take.captureFrom = "the camera's own clock";
                take.set = set.toStdString();
            }
            const Id id = m_bench.book().addTake(take);
            if (!id)
                return;
            m_bench.selectTake(id);
            if (!take.captureRate)
                showPanel(1); // asked for, never assumed
            QString words = tr("“%1” is in the library.").arg(q(take.title));
            if (in->info.framesLost > 0)
                words += tr(" It is cut off: %1 frames are lost, the others are good.").arg(in->info.framesLost);
            if (in->info.timesMended > 0)
                words += tr(" %1 of its time stamps had to be put in order.").arg(in->info.timesMended);
            if (in->wasThere)
                words += tr(" It was there already, so it was not copied again.");
            emit said(words);
        };
    });
}

void FootagePage::findReps(int by) {
    const Take* take = m_bench.take();
    if (!take)
        return;
    JobRow* row = job(tr("Looking for reps"));
    const QString film = m_bench.filmPath(*take);
    const auto index = m_bench.book().library().indexFolder();
    row->start([this, film, index, by, slow = timebaseOf(*take).slowness(),
                id = take->id](const JobProgress& progress) -> std::function<void()> {
        auto found = riflesso::findReps(film.toStdString(), index, static_cast<RepsBy>(by), slow,
                                        [&](double share) { return progress({}, share); });
        return [this, found = std::move(found), id] {
            if (!found) {
                if (found.error().kind != ErrorKind::cancelled)
                    emit failed(q(found.error().text()));
                return;
            }
            if (!m_bench.take() || m_bench.take()->id != id)
                return; // another take is shown by now
            // What is a rep already is not proposed again.
            std::vector<RepSpan> fresh;
            for (const auto& s : found->spans) {
                bool known = false;
                for (const Rep* r : repsOf(m_bench.data(), id))
                    if (r->first && r->last) {
                        const int overlap =
                            std::min(r->last->value, s.last.value) - std::max(r->first->value, s.first.value);
                        known = known || 2 * overlap > s.last - s.first;
                    }
                if (!known)
                    fresh.push_back(s);
            }
            m_strip->setProposals(fresh, found->energy, found->strikes);
            emit said(found->spans.empty() ? tr("Nothing stands out from the rest: place the ends by hand.")
                      : fresh.empty()      ? tr("All that was found is a rep already.")
                                           : tr("%1 proposed. Look at them, then accept.")
                                            .arg(counted(static_cast<qsizetype>(fresh.size()), tr("rep"), tr("reps"))));
        };
    });
}

void FootagePage::lockBySound() {
    const Take* take = m_bench.take();
    const Id other = m_angles->beside();
    if (!take || !other)
        return;
    const Take& b = m_bench.data().takes.at(other);
    JobRow* row = job(tr("Listening to both films"));
    row->start([this, pa = m_bench.filmPath(*take), pb = m_bench.filmPath(b), sa = timebaseOf(*take).slowness(),
                sb = timebaseOf(b).slowness(), id = take->id,
                other](const JobProgress& progress) -> std::function<void()> {
        auto match =
            matchFilms(pa.toStdString(), sa, pb.toStdString(), sb, [&](double share) { return progress({}, share); });
        return [this, match = std::move(match), id, other] {
            if (!match) {
                emit failed(q(match.error().text()));
                return;
            }
            Link link;
            link.a = id;
            link.b = other;
            link.sound = *match;
            m_bench.book().addLink(link);
            emit said(tr("Locked by sound: the best place is %1 times as clear as the next.")
                          .arg(shownFigure(match->quality, 1)));
        };
    });
}

void FootagePage::lookAtCamera() {
    const Take* take = m_bench.take();
    if (!take)
        return;
    JobRow* row = job(tr("Following the background"));
    row->start([this, film = m_bench.filmPath(*take), index = m_bench.book().library().indexFolder(),
                id = take->id](const JobProgress& progress) -> std::function<void()> {
        auto path = cameraPathOf(film.toStdString(), index, [&](double share) { return progress({}, share); });
        return [this, path = std::move(path), id] {
            if (!path) {
                if (path.error().kind != ErrorKind::cancelled)
                    emit failed(q(path.error().text()));
                return;
            }
            const auto it = m_bench.data().takes.find(id);
            if (it == m_bench.data().takes.end())
                return;
            Take changed = it->second;
            changed.camera = *path;
            m_bench.book().setTake(changed, tr("look at the camera's movement"));
        };
    });
}

void FootagePage::searchFilm() {
    const Take* take = m_bench.take();
    if (!take)
        return;
    const QString folder = QFileDialog::getExistingDirectory(this, tr("Look for the film in"));
    if (folder.isEmpty())
        return;
    JobRow* row = job(tr("Looking for “%1”").arg(q(take->title)));
    row->start([this, take = *take, folder,
                library = m_bench.book().sharedLibrary()](const JobProgress& progress) -> std::function<void()> {
        const auto found =
            library->findMoved(take, folder.toStdString(), [&](double share) { return progress({}, share); });
        return [this, found, id = take.id] {
            const auto it = m_bench.data().takes.find(id);
            if (it == m_bench.data().takes.end())
                return;
            if (!found) {
                emit failed(tr("The film is not in this folder. Nothing was changed."));
                return;
            }
            Take changed = it->second;
            changed.film = found->string();
            m_bench.book().setTake(changed, tr("find a moved film"));
            emit said(tr("Found: it is the same film, by its content."));
        };
    });
}

void FootagePage::openCamera() {
    if (!m_camera) {
        m_camera = new CameraPanel(q(m_bench.book().library().media().string()));
        m_modes->addWidget(m_camera);
        connect(m_camera, &CameraPanel::closed, this, [this] {
            m_modes->setCurrentIndex(0);
            setFocus();
        });
        connect(m_camera, &CameraPanel::failed, this, &FootagePage::failed);
        connect(m_camera, &CameraPanel::recorded, this,
                [this](const QString& film, const QString& set) { enqueue({film}, true, set); });
    }
    m_modes->setCurrentWidget(m_camera);
    m_camera->setFocus();
}

// What is shown
// ---------------------------------------------------------------------------------------------------------

} // namespace riflesso
