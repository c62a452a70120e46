#include "desktop/workbench/carrier.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "footage/seed.h"
#include "intake/found_file.h"

#include <QTimer>

#include <algorithm>

namespace riflesso {
namespace {

constexpr std::size_t kAtOnce = 60; // marks committed in one go: the window must not wait
constexpr int kBreath = 10;         // ms between, for whatever else the window has to do
constexpr int kNeighbourhood = 150; // frames on either side that a correction reaches when no other hand mark bounds it

} // namespace

// What a carry has brought: made on a worker, taken over on the interface thread.
struct Carrier::Carried {
    std::optional<Error> error;
    CarryResult result;
    std::vector<std::shared_ptr<const TrackSet>> drafts; // by person
    TrackSet all;                                        // what was carried, joined with the drafts
};

Carrier::Carrier(Workbench& bench, QVBoxLayout* rows, QObject* parent)
    : QObject(parent), m_bench(bench), m_rows(rows) {}

void Carrier::carryRange(Id take, FrameIndex first, FrameIndex last, const std::vector<LandmarkName>& landmarks,
                         const QString& what) {
    Job job;
    job.take = take;
    job.options.first = first;
    job.options.last = last;
    job.options.landmarks = landmarks;
    job.what = what;
    m_waiting.push_back(std::move(job));
    next();
}

void Carrier::carryAround(Id take, FrameIndex frame, const LandmarkName& landmark) {
    const auto tracks = m_bench.data().marks.find(take);
    if (tracks == m_bench.data().marks.end())
        return;
    const auto track = tracks->second.find(landmark);
    if (track == tracks->second.end())
        return;
    // Up to the nearest hand (or hidden) marks; and only when something carried lies there.
    int first = frame.value - kNeighbourhood, last = frame.value + kNeighbourhood;
    bool carried = false;
    for (const auto& [f, m] : track->second) {
        const bool fixed = m.how == How::hand || m.how == How::hidden;
        if (fixed && f < frame)
            first = std::max(first, f.value);
        if (fixed && f > frame) {
            last = std::min(last, f.value);
            break;
        }
    }
    for (const auto& [f, m] : track->second)
        carried = carried || ((m.how == How::tracked || m.how == How::found) && f.value >= first && f.value <= last);
    if (!carried)
        return;
    Job job;
    job.take = take;
    job.options.first = FrameIndex(std::max(0, first));
    job.options.last = FrameIndex(last);
    job.options.landmarks = {landmark};
    job.what = tr("Carry the %1 anew").arg(q(spoken(landmark)));
    // The same landmark near by that still waits is done with this one.
    std::erase_if(m_waiting, [&](const Job& w) {
        return w.take == take && w.options.landmarks == job.options.landmarks && w.seeds.empty();
    });
    m_waiting.push_front(std::move(job));
    next();
}

void Carrier::seedFrom(Id guideRep, Id rep) {
    const auto& reps = m_bench.data().reps;
    if (!reps.contains(guideRep) || !reps.contains(rep))
        return;
    const Rep &guide = reps.at(guideRep), &other = reps.at(rep);
    const auto tracks = m_bench.data().marks.find(guide.take);
    if (tracks == m_bench.data().marks.end() || guide.take != other.take)
        return;
    const auto [guideFirst, guideLast] = spanOf(m_bench.data(), guide);
    const auto [first, last] = spanOf(m_bench.data(), other);
    std::map<FrameIndex, int> hands;
    for (const auto& [name, track] : tracks->second)
        for (auto m = track.lower_bound(guideFirst); m != track.end() && m->first <= guideLast; ++m)
            hands[m->first] += m->second.how == How::hand;
    Job job;
    job.take = guide.take;
    job.options.first = job.seedFirst = first;
    job.options.last = job.seedLast = last;
    job.what = tr("Rep %1 as rep %2").arg(other.number).arg(guide.number);
    for (const auto& [frame, n] : hands) {
        if (n < 3)
            continue; // a correction of one point is no picture of the whole body
        // By the nearest key positions that both have; else by the share of the rep.
        std::optional<int> shift;
        int nearest = 1 << 30;
        for (const auto& [id, p] : guide.positions)
            if (const auto o = other.positions.find(id);
                o != other.positions.end() && std::abs(p.frame - frame) < nearest) {
                nearest = std::abs(p.frame - frame);
                shift = o->second.frame - p.frame;
            }
        const int about =
            shift ? frame.value + *shift
                  : first.value + (frame - guideFirst) * (last - first) / std::max(1, guideLast - guideFirst);
        job.seeds.emplace_back(frame, FrameIndex(std::clamp(about, first.value, last.value)));
    }
    if (job.seeds.empty()) {
        emit failed(tr("Rep %1 has no frame on which a hand has marked the body.").arg(guide.number));
        return;
    }
    m_waiting.push_back(std::move(job));
    next();
}

void Carrier::draft(Id take, FrameIndex frame, const BodyBox& box, FrameIndex first, FrameIndex last, int person,
                    const std::string& called) {
    auto it = m_bench.data().takes.find(take);
    if (it == m_bench.data().takes.end())
        return;
    const auto model = modelFile("full");
    if (!model) {
        emit failed(q(model.error().text()));
        return;
    }
    if (person > 0) {
        Take with = it->second; // so that what is drafted can be seen, asked for and corrected
        if (std::none_of(with.figure.extra.begin(), with.figure.extra.end(),
                         [&](const auto& n) { return personOf(n) == person; }))
            for (const auto& name : namesFor(Thing::other, {}, person))
                with.figure.extra.push_back(name);
        if (!called.empty() && isFreeName(with.figure, person, called))
            with.figure.called[person] = called;
        if (with != it->second && !m_bench.book().setTake(with, tr("mark another person")))
            return;
        it = m_bench.data().takes.find(take);
    }
    FindBodyOptions o;
    o.model = *model;
    if (const auto detector = modelFile("person"))
        o.detector = *detector;
    o.indexFolder = m_bench.book().library().indexFolder();
    o.frame = frame;
    o.box = box;
    o.first = first;
    o.last = last;
    o.keep = draftFile(it->second, person);
    Job job;
    job.take = take;
    job.find = std::move(o);
    job.person = person;
    job.what = person > 0 ? tr("Draft of %1 in “%2”").arg(q(calledIn(it->second.figure, person)), q(it->second.title))
                          : tr("Draft of “%1”").arg(q(it->second.title));
    m_waiting.push_back(std::move(job));
    next();
}

// One file a film and person: the same film in two takes is looked at once.
std::filesystem::path Carrier::draftFile(const Take& take, int person) const {
    const std::string name = take.checksum.empty() ? "take-" + std::to_string(take.id) : take.checksum.substr(0, 32);
    const std::string whose = personPrefix(person); // "other2_"
    return m_bench.book().library().indexFolder() /
           (name + (whose.empty() ? "" : "." + whose.substr(0, whose.size() - 1)) + ".found");
}

// Carried marks that still stand on the hand marks that they came from; those of the case that are purely carried too.
TrackSet Carrier::carriedLayer(Id take) const {
    TrackSet out;
    const auto tracks = m_bench.data().marks.find(take);
    if (tracks == m_bench.data().marks.end())
        return out;
    for (const auto& [name, track] : tracks->second)
        for (const auto& [frame, m] : track)
            if (m.how == How::tracked)
                out[name][frame] = m;
    if (const auto layers = m_carried.find(take); layers != m_carried.end())
        for (const auto& [name, layer] : layers->second) {
            const auto track = tracks->second.find(name);
            const bool stands =
                track != tracks->second.end() &&
                std::all_of(layer.hands.begin(), layer.hands.end(), [&](const auto& h) {
                    const auto now = track->second.find(h.first);
                    return now != track->second.end() && now->second.at == h.second.at && now->second.how == How::hand;
                });
            if (stands)
                for (const auto& [frame, m] : layer.carried)
                    out[name][frame] = m;
        }
    return out;
}

void Carrier::remember(const Job& job, const TrackSet& carried, const TrackSet& marks) {
    for (const auto& [name, track] : carried) {
        Layer& layer = m_carried[job.take][name];
        std::erase_if(layer.carried,
                      [&](const auto& m) { return m.first >= job.options.first && m.first <= job.options.last; });
        for (const auto& [frame, m] : track)
            layer.carried[frame] = m;
        layer.hands.clear();
        if (const auto own = marks.find(name); own != marks.end())
            for (const auto& [frame, m] : own->second)
                if (m.how == How::hand)
                    layer.hands[frame] = m;
    }
}

void Carrier::startDraft(const Job& job, const Take& take, const std::shared_ptr<const TrackSet>& marks, int gesture) {
    const double period = timebaseOf(take).realPeriod(job.find->frame);
    m_row->start([this, job, marks, gesture, period, carried = carriedLayer(job.take),
                  film = m_bench.filmPath(take).toStdString()](const JobProgress& progress) {
        auto result = std::make_shared<Result<FoundBody>>(
            findBody(film, *job.find, [&](double share) { return progress({}, share); }));
        auto drafts = std::make_shared<TrackSet>();
        auto all = std::make_shared<TrackSet>();
        if (*result) {
            // With what was found in the same film before: left and right are put right over the whole way.
            FoundFrames frames = FoundFile::read(job.find->keep);
            std::erase_if(frames,
                          [&](const auto& f) { return f.first >= job.find->first && f.first <= job.find->last; });
            frames.insert((*result)->frames.begin(), (*result)->frames.end());
            *drafts = draftMarks(frames);
            *all = asPerson(joined(*drafts, ofPerson(carried, job.person), ofPerson(*marks, job.person), period),
                            job.person);
        }
        return std::function<void()>([this, job, result, drafts, all, gesture] {
            if (!*result) {
                emit failed(q(result->error().text()));
                return;
            }
            const FoundBody& found = **result;
            m_drafts[{job.take, job.person}] = drafts;
            std::size_t n = 0;
            for (const auto& [name, track] : *all)
                for (const auto& [frame, m] : track)
                    n += m.how == How::found;
            if (found.whole)
                dropOldDrafts(job, *all, gesture);
            putAll(job.take, *all, job.what, gesture);
            QStringList words{tr("%1 marks drafted on %2%3. Drafts, not measurements: press W for those that matter.")
                                  .arg(n)
                                  .arg(counted(static_cast<qsizetype>(found.frames.size()), tr("frame"), tr("frames")))
                                  .arg(found.whole ? QString() : tr(", then stopped"))};
            if (!found.nobody.empty())
                words << tr("Nobody was found on %1, the first is %2.")
                             .arg(counted(static_cast<qsizetype>(found.nobody.size()), tr("frame"), tr("frames")))
                             .arg(std::min_element(found.nobody.begin(), found.nobody.end())->value + 1);
            emit said(words.join(' '));
            QStringList taken;
            for (const Taken& t : found.somebodyElse)
                taken << (t.back ? tr("On frames %1 to %2 somebody else seems to stand in the athlete's place: nothing "
                                      "is drafted there; mark those that matter by hand.")
                                 : tr("On frames %1 to %2 the body in the box seems to be somebody else: nothing is "
                                      "drafted there. Go there and draw a new box if it is the athlete after all."))
                             .arg(t.first.value + 1)
                             .arg(t.last.value + 1);
            if (!taken.isEmpty())
                emit failed(taken.join(' '));
        });
    });
}

// A body drafted anew, perhaps another one: what an older draft put on the frames looked at and this one does not goes.
void Carrier::dropOldDrafts(const Job& job, const TrackSet& fresh, int gesture) {
    const auto tracks = m_bench.data().marks.find(job.take);
    if (tracks == m_bench.data().marks.end())
        return;
    std::vector<MarkKey> gone;
    for (const auto& [name, track] : tracks->second) {
        if (personOf(name) != job.person)
            continue;
        const auto now = fresh.find(name);
        for (auto m = track.lower_bound(job.find->first); m != track.end() && m->first <= job.find->last; ++m)
            if (m->second.how == How::found && (now == fresh.end() || !now->second.contains(m->first)))
                gone.push_back({job.take, m->first, name});
    }
    for (std::size_t i = 0; i < gone.size(); i += kAtOnce) {
        const auto from = gone.begin() + static_cast<std::ptrdiff_t>(i),
                   to = gone.begin() + static_cast<std::ptrdiff_t>(std::min(gone.size(), i + kAtOnce));
        m_putting.push_back({job.take, {}, job.what, gesture, {from, to}});
    }
}

void Carrier::putAll(Id take, const TrackSet& marks, const QString& what, int gesture) {
    Chunk chunk{take, {}, what, gesture};
    std::size_t inChunk = 0;
    const auto old = m_bench.data().marks.find(take);
    for (const auto& [landmark, track] : marks) {
        const Track* there = nullptr;
        if (old != m_bench.data().marks.end())
            if (const auto t = old->second.find(landmark); t != old->second.end())
                there = &t->second;
        for (const auto& [frame, mark] : track) {
            if (there)
                if (const auto m = there->find(frame); m != there->end() && m->second == mark)
                    continue;
            chunk.marks[landmark][frame] = mark;
            if (++inChunk == kAtOnce) {
                m_putting.push_back(std::exchange(chunk, Chunk{take, {}, what, gesture}));
                inChunk = 0;
            }
        }
    }
    if (inChunk > 0)
        m_putting.push_back(std::move(chunk));
    QTimer::singleShot(0, this, &Carrier::put);
}

void Carrier::cancel() {
    m_waiting.clear();
    if (m_row)
        m_row->cancel();
}

std::shared_ptr<const Carrier::Carried> Carrier::carryAll(const Job& job, const TrackSet& marks,
                                                          std::vector<std::shared_ptr<const TrackSet>> drafts,
                                                          const std::vector<std::filesystem::path>& keep,
                                                          TrackSet carried, const std::string& film,
                                                          const JobProgress& progress) {
    CarryOptions options = job.options;
    auto out = std::make_shared<Carried>();
    if (!job.seeds.empty()) {
        SeedOptions seed;
        seed.moments = job.seeds;
        seed.first = job.seedFirst;
        seed.last = job.seedLast;
        seed.indexFolder = options.indexFolder;
        const auto starts = seedMarks(film, marks, seed, [&](double share) { return progress({}, 0.5 * share); });
        if (starts)
            options.starts = *starts;
        else
            out->error = starts.error();
    }
    if (!out->error) {
        const double from = job.seeds.empty() ? 0.0 : 0.5;
        auto result =
            carry(film, marks, options, [&](double share) { return progress({}, from + (1.0 - from) * share); });
        if (result)
            out->result = std::move(*result);
        else
            out->error = result.error();
    }
    // Where there is a draft, what the hands teach it and what was carried are joined.
    for (std::size_t who = 0; who < drafts.size(); ++who)
        if (!drafts[who])
            drafts[who] = std::make_shared<const TrackSet>(draftMarks(FoundFile::read(keep[who])));
    out->drafts = drafts;
    if (out->error)
        return out;
    out->all = out->result.marks;
    std::vector<std::vector<LandmarkName>> touched(drafts.size()); // of each person, under the athlete's names
    for (const auto& [name, track] : out->result.marks) {
        const auto who = static_cast<std::size_t>(personOf(name));
        if (const LandmarkName own(withoutPerson(name));
            who < drafts.size() && onBody(name) && drafts[who]->contains(own))
            touched[who].push_back(own);
        std::erase_if(carried[name],
                      [&](const auto& m) { return m.first >= options.first && m.first <= options.last; });
        for (const auto& [frame, mark] : track)
            carried[name][frame] = mark;
    }
    for (std::size_t who = 0; who < drafts.size(); ++who)
        if (const int person = static_cast<int>(who); !touched[who].empty())
            for (auto& [name, track] : asPerson(joined(*drafts[who], ofPerson(carried, person), ofPerson(marks, person),
                                                       options.framePeriod, touched[who]),
                                                person))
                out->all[name] = track;
    return out;
}

void Carrier::takeCarried(const Job& job, const Carried& c, const TrackSet& marks, int gesture) {
    if (c.error) {
        emit failed(q(c.error->text()));
        return;
    }
    for (std::size_t who = 0; who < c.drafts.size(); ++who)
        m_drafts[{job.take, static_cast<int>(who)}] = c.drafts[who];
    remember(job, c.result.marks, marks);
    std::size_t n = 0;
    for (const auto& [landmark, track] : c.result.marks)
        n += track.size();
    putAll(job.take, c.all, job.what, gesture);
    QStringList gaps;
    for (const auto& [landmark, frames] : c.result.covered)
        gaps << tr("%1 (%2)").arg(q(spoken(landmark))).arg(frames.size());
    emit said(tr("%1 marks carried%2. %3")
                  .arg(n)
                  .arg(c.result.whole ? QString() : tr(", then stopped"))
                  .arg(gaps.isEmpty() ? QString() : tr("Covered on some frames: %1.").arg(gaps.join(", "))));
}

void Carrier::next() {
    if (m_row || m_waiting.empty())
        return;
    Job job = std::move(m_waiting.front());
    m_waiting.pop_front();
    const auto take = m_bench.data().takes.find(job.take);
    if (take == m_bench.data().takes.end()) {
        next();
        return;
    }
    const auto tracks = m_bench.data().marks.find(job.take);
    // Marks come with their measured errors, so that those carried from them know.
    const auto marks = std::make_shared<const TrackSet>(
        tracks == m_bench.data().marks.end() ? TrackSet()
                                             : withMeasuredErrors(tracks->second, m_bench.analysis().handErrors));
    const Timebase time = timebaseOf(take->second);
    job.options.framePeriod = time.realPeriod(job.options.first);
    job.options.indexFolder = m_bench.book().library().indexFolder();
    m_row = new JobRow(job.what, m_bench.book().jobs());
    m_row->setObjectName("carrying");
    m_rows->addWidget(m_row);
    // A correction is carried in about a second: a row that comes and goes would make the picture jump under the hand.
    m_row->setVisible(job.options.landmarks.size() != 1);
    connect(m_row, &JobRow::finished, this, [this](bool) {
        m_row = nullptr;
        if (m_waiting.empty() && m_putting.empty())
            emit finished();
        next();
    });
    const int gesture = ++m_gesture;
    if (job.find) {
        startDraft(job, take->second, marks, gesture);
        return;
    }
    int last = 0; // of the people who are in this take
    for (const auto& name : take->second.figure.extra)
        last = std::max(last, personOf(name));
    std::vector<std::shared_ptr<const TrackSet>> known; // by person
    std::vector<std::filesystem::path> keep;
    for (int person = 0; person <= last; ++person) {
        known.push_back(m_drafts[{job.take, person}]);
        keep.push_back(draftFile(take->second, person));
    }
    m_row->start([this, job, marks, gesture, known, keep, carriedBefore = carriedLayer(job.take),
                  film = m_bench.filmPath(take->second).toStdString()](const JobProgress& progress) {
        const auto c = carryAll(job, *marks, known, keep, carriedBefore, film, progress);
        // On the interface thread; the row, and with it this, may be gone by then only when the whole window is.
        return std::function<void()>([this, job, c, gesture, marks] { takeCarried(job, *c, *marks, gesture); });
    });
}

void Carrier::put() {
    if (m_putting.empty())
        return;
    // What was taken back while it came in does not come in any further.
    if (m_putIndex >= 0 && m_bench.book().undoStack().index() < m_putIndex) {
        m_putting.clear();
        m_putIndex = -1;
        if (!m_row && m_waiting.empty())
            emit finished();
        return;
    }
    const Chunk chunk = std::move(m_putting.front());
    m_putting.pop_front();
    std::vector<Edit> gone;
    for (const MarkKey& key : chunk.gone) { // unless a hand was there meanwhile
        const auto& tracks = m_bench.data().marks;
        if (const auto take = tracks.find(key.take); take != tracks.end())
            if (const auto track = take->second.find(key.landmark); track != take->second.end())
                if (const auto m = track->second.find(key.frame);
                    m != track->second.end() && m->second.how == How::found)
                    gone.push_back(MarkEdit{key, m->second, std::nullopt});
    }
    const bool done = gone.empty() ? chunk.marks.empty() ||
                                         m_bench.book().putMarks(chunk.take, chunk.marks, chunk.what, chunk.gesture)
                                   : m_bench.book().perform(chunk.what, gone, chunk.gesture);
    if (!done)
        m_putting.clear(); // the error was said; the rest would meet it too
    m_putIndex = m_putting.empty() ? -1 : m_bench.book().undoStack().index();
    if (!m_putting.empty())
        QTimer::singleShot(kBreath, this, &Carrier::put);
    else if (!m_row && m_waiting.empty())
        emit finished();
}

} // namespace riflesso
