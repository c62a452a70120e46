#include "desktop/marking/carrier.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "footage/seed.h"

#include <QTimer>

#include <algorithm>

namespace riflesso {
namespace {

constexpr std::size_t kAtOnce = 60; // marks committed in one go: the window must not wait
constexpr int kBreath = 10;         // ms between, for whatever else the window has to do
constexpr int kNeighbourhood = 150; // frames on either side that a correction reaches when no other hand mark bounds it

} // namespace

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
        carried = carried || (m.how == How::tracked && f.value >= first && f.value <= last);
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

void Carrier::cancel() {
    m_waiting.clear();
    if (m_row)
        m_row->cancel();
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
    m_row = new JobRow(job.what);
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
    m_row->start([this, job, marks, gesture,
                  film = m_bench.filmPath(take->second).toStdString()](const JobProgress& progress) {
        CarryOptions options = job.options;
        std::optional<Error> error;
        if (!job.seeds.empty()) {
            SeedOptions seed;
            seed.moments = job.seeds;
            seed.first = job.seedFirst;
            seed.last = job.seedLast;
            seed.indexFolder = options.indexFolder;
            const auto starts = seedMarks(film, *marks, seed, [&](double share) { return progress({}, 0.5 * share); });
            if (starts)
                options.starts = *starts;
            else
                error = starts.error();
        }
        auto result = std::make_shared<Result<CarryResult>>(Error{});
        if (!error) {
            const double from = job.seeds.empty() ? 0.0 : 0.5;
            *result =
                carry(film, *marks, options, [&](double share) { return progress({}, from + (1.0 - from) * share); });
            if (!*result)
                error = result->error();
        }
        // On the interface thread; the row, and with it this, may be gone by then only when the whole window is.
        return std::function<void()>([this, job, result, error, gesture] {
            if (error) {
                emit failed(q(error->text()));
                return;
            }
            const CarryResult& r = **result;
            std::size_t n = 0;
            Chunk chunk{job.take, {}, job.what, gesture};
            std::size_t inChunk = 0;
            for (const auto& [landmark, track] : r.marks)
                for (const auto& [frame, mark] : track) {
                    chunk.marks[landmark][frame] = mark;
                    ++n;
                    if (++inChunk == kAtOnce) {
                        m_putting.push_back(std::exchange(chunk, Chunk{job.take, {}, job.what, gesture}));
                        inChunk = 0;
                    }
                }
            if (inChunk > 0)
                m_putting.push_back(std::move(chunk));
            QStringList gaps;
            for (const auto& [landmark, frames] : r.covered)
                gaps << tr("%1 (%2)").arg(q(spoken(landmark))).arg(frames.size());
            emit said(tr("%1 marks carried%2. %3")
                          .arg(n)
                          .arg(r.whole ? QString() : tr(", then stopped"))
                          .arg(gaps.isEmpty() ? QString() : tr("Covered on some frames: %1.").arg(gaps.join(", "))));
            QTimer::singleShot(0, this, &Carrier::put);
        });
    });
}

void Carrier::put() {
    if (m_putting.empty())
        return;
    const Chunk chunk = std::move(m_putting.front());
    m_putting.pop_front();
    if (!m_bench.book().putMarks(chunk.take, chunk.marks, chunk.what, chunk.gesture))
        m_putting.clear(); // the error was said; the rest would meet it too
    if (!m_putting.empty())
        QTimer::singleShot(kBreath, this, &Carrier::put);
    else if (!m_row && m_waiting.empty())
        emit finished();
}

} // namespace riflesso
