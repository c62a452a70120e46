#include "reading/read_take.h"

#include "core/motion/draft.h"
#include "core/motion/rep_finder.h"
#include "footage/film.h"
#include "footage/sound.h"

#include <algorithm>
#include <chrono>

namespace riflesso {
std::vector<double> heardIn(const std::filesystem::path& film, const Take& take, const Blueprint& blueprint) {
    std::vector<double> heard;
    const bool listens = std::any_of(blueprint.positions.begin(), blueprint.positions.end(),
                                     [](const auto& p) { return p.rule && p.rule->kind == RuleKind::strike; });
    const auto sound = listens ? soundOf(film) : Result<Sound>(Error{});
    if (!sound)
        return heard;
    const Timebase time = timebaseOf(take);
    const double slow =
        time.captureRate() && time.fileRate().value > 0.0 ? time.captureRate()->value / time.fileRate().value : 1.0;
    for (const double s : strikes(*sound))
        heard.push_back(s / slow);
    return heard;
}

PlacedPosition proposed(const PositionProposal& p, const Motion& motion) {
    return {p.frame, p.sigma, p.time - motion.time().real(p.frame).value, true};
}

std::vector<Rep> cutReps(const Take& take, const TrackSet& marks, const Blueprint& blueprint,
                         std::span<const double> heard) {
    MotionOptions raw;
    raw.cutoff = CutoffNone{};
    const Motion motion = toMotion(marks, timebaseOf(take), raw);
    std::vector<Rep> out;
    for (const auto& cut : cutReps(blueprint, motion, setupOf(take), heard)) {
        Rep rep;
        rep.take = take.id;
        rep.number = static_cast<int>(out.size()) + 1;
        rep.first = cut.first;
        rep.last = cut.last;
        for (const auto& [id, p] : cut.positions) {
            rep.positions[id] = proposed(p, motion);
            rep.first = std::min(*rep.first, p.frame);
            rep.last = std::max(*rep.last, p.frame);
        }
        out.push_back(std::move(rep));
    }
    return out;
}

std::optional<Facing> facingOf(const TrackSet& marks) {
    int right = 0, left = 0;
    for (const char* side : {"left_", "right_"}) {
        const auto heel = marks.find(std::string(side) + "heel"), toe = marks.find(std::string(side) + "toe");
        if (heel == marks.end() || toe == marks.end())
            continue;
        for (const auto& [frame, h] : heel->second)
            if (const auto t = toe->second.find(frame);
                t != toe->second.end() && h.how != How::hidden && t->second.how != How::hidden)
                ++(t->second.at.x > h.at.x ? right : left);
    }
    if (right + left < 10 || 3 * std::min(right, left) > std::max(right, left))
        return std::nullopt;
    return right > left ? Facing::right : Facing::left;
}

Facing facingFor(const Take& take, const TrackSet& marks, const Blueprint& blueprint) {
    if (take.view != View::side)
        return take.facing;
    if (const auto feet = facingOf(marks))
        return *feet;
    Facing best = take.facing;
    double most = -1.0;
    for (const Facing facing : {Facing::right, Facing::left}) {
        Take turned = take;
        turned.facing = facing;
        const Timebase time = timebaseOf(turned);
        double sure = 0.0;
        for (const Rep& rep : cutReps(turned, marks, blueprint))
            for (const auto& [id, p] : rep.positions)
                sure += 1.0 / (1.0 + instantError(p, time) / time.realPeriod(p.frame));
        if (sure > most) {
            most = sure;
            best = facing;
        }
    }
    return best;
}

Result<FirstReading> readFilm(const std::filesystem::path& film, const Blueprint& blueprint, const ReadOptions& options,
                              const std::function<bool(const std::string&, double)>& goOn) {
    using Clock = std::chrono::steady_clock;
    const auto seconds = [](Clock::time_point from) {
        return std::chrono::duration<double>(Clock::now() - from).count();
    };
    const auto begun = Clock::now();
    const auto opened = Film::open(film);
    if (!opened)
        return opened.error();
    FirstReading out;
    Take take = options.take;
    take.id = 1;
    take.times = (*opened)->times();
    take.width = (*opened)->info().width;
    take.height = (*opened)->info().height;
    if (!take.captureRate && (*opened)->info().captureRate)
        take.captureRate = (*opened)->info().captureRate->value;

    FindBodyOptions find;
    const auto model = modelFile("full");
    if (!model)
        return model.error();
    find.model = *model;
    const auto detector = modelFile("person");
    if (!detector)
        return detector.error();
    find.detector = *detector;
    find.indexFolder = options.indexFolder;
    find.keep = options.keep;
    const auto finding = Clock::now();
    const auto somebody = somebodyIn(film, *detector, options.indexFolder);
    if (!somebody)
        return somebody.error();
    find.frame = somebody->frame;
    find.box = somebody->box;
    const auto found =
        findBody(film, find, [&](double share) { return !goOn || goOn("finding the body", 0.92 * share); });
    if (!found)
        return found.error();
    out.finderSeconds = seconds(finding);
    if (!found->whole)
        return Error{"reading it was cancelled",
                     film.filename().string(),
                     "what was found so far is kept",
                     {},
                     ErrorKind::cancelled};

    const TrackSet drafts = draftMarks(found->frames);
    if (goOn)
        goOn("cutting the reps", 0.94);
    if (take.view == View::side)
        take.facing = options.facing ? *options.facing : facingFor(take, drafts, blueprint);
    out.data.id = 1;
    out.data.blueprintId = blueprint.id;
    out.data.brief.athlete = options.athlete;
    out.data.takes[take.id] = take;
    out.data.marks[take.id] = drafts;
    Id id = 2;
    for (Rep& rep : cutReps(take, drafts, blueprint, heardIn(film, take, blueprint))) {
        rep.id = id++;
        out.data.reps[rep.id] = std::move(rep);
    }
    if (goOn)
        goOn("measuring", 0.97);
    out.analysis = analyse(out.data, blueprint, options.today);
    out.looks = looksOf(out.data, out.analysis);
    out.wallSeconds = seconds(begun);
    return out;
}

} // namespace riflesso
