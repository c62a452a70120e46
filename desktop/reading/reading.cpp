#include "desktop/reading/reading.h"

#include "casebook/text.h"
#include "footage/film.h"
#include "handover/pictures.h"
#include "intake/find_body.h"
#include "reading/read_take.h"

#include <QFutureWatcher>

#include <algorithm>

namespace riflesso {
namespace {

constexpr double kDrafted = 0.5; // share of the frames from which on a take counts as drafted

struct Cut {
    std::vector<Rep> reps;
    std::optional<Facing> facing;
};

// Who is in the film, and where there is a choice, what to choose from.
struct SeenPeople {
    Result<Somebody> somebody;
    WhoIsIt who;
};
SeenPeople peopleIn(const std::filesystem::path& film, const std::filesystem::path& detector,
                    const std::filesystem::path& index) {
    SeenPeople out{somebodyIn(film, detector, index), {}};
    if (!out.somebody || out.somebody->asLarge < 2)
        return out;
    out.who.frame = out.somebody->frame;
    for (const Person& p : out.somebody->people)
        out.who.boxes.emplace_back(p.box[0], p.box[1], p.box[2], p.box[3]);
    std::stable_sort(out.who.boxes.begin(), out.who.boxes.end(),
                     [](const QRectF& a, const QRectF& b) { return a.height() > b.height(); });
    Film::Options options;
    options.indexFolder = index;
    if (const auto opened = Film::open(film, options))
        if (auto picture = (*opened)->frame(out.who.frame))
            out.who.picture = imageOf(std::move(*picture));
    return out;
}

} // namespace

FirstReader::FirstReader(Workbench& bench, Carrier& carrier, QObject* parent)
    : QObject(parent), m_bench(bench), m_carrier(carrier) {
    connect(&carrier, &Carrier::finished, this, [this] {
        if (!std::exchange(m_drafting, false))
            return;
        if (drafted())
            cut();
        else
            next(); // it was cancelled, or failed and said why; what was found is kept for the next time
    });
    connect(&bench.book(), &Casebook::analysed, this, [this] {
        if (std::exchange(m_measuring, false))
            finish();
    });
}

void FirstReader::read(Id take) {
    m_waiting.push_back(take);
    if (!running())
        next();
}

void FirstReader::readDay(Id take) {
    const auto& takes = m_bench.data().takes;
    const auto it = takes.find(take);
    if (it == takes.end())
        return;
    for (const auto& [id, other] : takes)
        if (other.day == it->second.day && other.performer == it->second.performer)
            m_waiting.push_back(id);
    if (!running())
        next();
}

void FirstReader::next() {
    m_take = 0;
    while (m_take == 0 && !m_waiting.empty()) {
        if (m_bench.data().takes.contains(m_waiting.front()))
            m_take = m_waiting.front();
        m_waiting.pop_front();
    }
    if (m_take == 0) {
        // What was cancelled, or could not be read and said why, has no words of its own.
        if (!std::exchange(m_cut, false))
            return;
        m_measuring = m_bench.book().analysing();
        if (!m_measuring)
            finish();
        return;
    }
    m_bench.selectTake(m_take);
    if (drafted())
        cut();
    else
        lookForPeople();
}

bool FirstReader::drafted() const {
    const auto take = m_bench.data().takes.find(m_take);
    const auto marks = m_bench.data().marks.find(m_take);
    if (take == m_bench.data().takes.end() || marks == m_bench.data().marks.end())
        return false;
    std::size_t most = 0;
    for (const auto& [name, track] : marks->second)
        most = std::max(most, track.size());
    return static_cast<double>(most) >= kDrafted * static_cast<double>(take->second.times.size());
}

void FirstReader::lookForPeople() {
    const auto detector = modelFile("person");
    if (!detector) {
        emit failed(q(detector.error().text()));
        next();
        return;
    }
    const Take& take = m_bench.data().takes.at(m_take);
    auto* watcher = new QFutureWatcher<SeenPeople>(this);
    connect(watcher, &QFutureWatcherBase::finished, this, [this, watcher, id = m_take] {
        watcher->deleteLater();
        if (id != m_take)
            return;
        auto [somebody, who] = watcher->result();
        if (!somebody) {
            emit failed(q(somebody.error().text()));
            next();
        } else if (somebody->asLarge > 1) {
            who.take = id;
            emit whoIsIt(who);
        } else {
            draft(*somebody);
        }
    });
    watcher->setFuture(m_bench.book().jobs().run(
        [film = m_bench.filmPath(take).toStdString(), detector = *detector,
         index = m_bench.book().library().indexFolder()] { return peopleIn(film, detector, index); }));
}

void FirstReader::choose(const WhoIsIt& who, const QRectF& box) {
    if (who.take != m_take || !m_bench.data().takes.contains(m_take)) // taken away meanwhile
        return next();
    draft({who.frame, {box.x(), box.y(), box.width(), box.height()}, 1});
}

void FirstReader::leave() {
    m_waiting.clear();
    next(); // what was read before has something to say
}

void FirstReader::draft(const Somebody& somebody) {
    const int frames = static_cast<int>(m_bench.data().takes.at(m_take).times.size());
    m_drafting = true;
    m_carrier.draft(m_take, somebody.frame, somebody.box, FrameIndex(0), FrameIndex(std::max(0, frames - 1)));
    if (!m_carrier.busy()) { // no model is there; it was said
        m_drafting = false;
        next();
    }
}

void FirstReader::cut() {
    Take take = m_bench.data().takes.at(m_take);
    auto* watcher = new QFutureWatcher<Cut>(this);
    connect(watcher, &QFutureWatcherBase::finished, this, [this, watcher, id = m_take] {
        watcher->deleteLater();
        if (id == m_take && m_bench.data().takes.contains(id))
            this->take(watcher->result().reps, watcher->result().facing);
        next();
    });
    watcher->setFuture(
        m_bench.book().jobs().run([take, blueprint = m_bench.blueprint(), marks = m_bench.data().marks.at(m_take),
                                   film = m_bench.filmPath(take).toStdString()]() mutable {
            Cut out;
            out.facing = take.facing = facingFor(take, marks, blueprint);
            out.reps = cutReps(take, marks, blueprint, heardIn(film, take, blueprint));
            return out;
        }));
}

void FirstReader::take(const std::vector<Rep>& reps, std::optional<Facing> facing) {
    Take now = m_bench.data().takes.at(m_take);
    if (facing && now.facing != *facing) {
        now.facing = *facing;
        m_bench.book().setTake(now, tr("see which way the athlete looks"));
    }
    // What is a rep already stays as it is.
    std::vector<Rep> fresh;
    for (const Rep& r : reps) {
        bool known = false;
        for (const Rep* there : repsOf(m_bench.data(), m_take)) {
            const auto [first, last] = spanOf(m_bench.data(), *there);
            known = known || 2 * (std::min(last.value, r.last->value) - std::max(first.value, r.first->value)) >
                                 *r.last - *r.first;
        }
        if (!known)
            fresh.push_back(r);
    }
    m_cut = true;
    m_reps += static_cast<int>(reps.size());
    if (!fresh.empty())
        m_bench.book().addReps(m_take, fresh);
}

void FirstReader::finish() {
    const auto looks = looksOf(m_bench.data(), m_bench.analysis());
    m_bench.setLooks(looks);
    emit done(
        tr("%1 read. %2")
            .arg(m_reps == 1 ? tr("1 rep") : tr("%1 reps").arg(m_reps), q(firstWords(m_bench.analysis(), looks))));
    m_reps = 0;
}

} // namespace riflesso
