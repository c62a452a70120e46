#include "casebook/analysis.h"

#include "casebook/analysts.h"
#include "casebook/body.h"
#include "casebook/choosing.h"
#include "casebook/next_step.h"
#include "casebook/planner.h"
#include "casebook/trends.h"

#include <algorithm>
#include <cmath>
#include <functional>
#include <set>

namespace riflesso {
namespace {

// A limit of the situation makes any other choice wrong and declining right: known once the rest is measured.
void weighChoice(const Blueprint& blueprint, const Rep& rep, const Motion& motion, const ViewSetup& setup,
                 MeasuredRep& m) {
    RepFacts facts;
    facts.choice = choiceIsRight(blueprint, rep.situation, rep.choice, m.values);
    for (auto& v : m.values)
        if (const auto* of = blueprint.measure(v.measure); of && of->definition.kind == MeasureKind::choice)
            v = evaluate(of->definition, motion, rep.positions, setup, facts);
}

void measureReps(const CaseData& data, const Blueprint& blueprint, const KnownMotions& known, Analysis& a) {
    for (const auto& [id, take] : data.takes) {
        const auto it = known.find(id);
        if (it != known.end()) {
            a.motions[id] = it->second;
            continue;
        }
        const auto marks = data.marks.find(id);
        TrackSet tracks = marks == data.marks.end() ? TrackSet() : withMeasuredErrors(marks->second, a.handErrors);
        if (take.steady)
            tracks = steadied(tracks, take.camera);
        MotionOptions options;
        for (const auto& [landmark, hz] : take.cutoffs)
            options.own[landmark] = Hertz(hz);
        a.motions[id] = std::make_shared<const Motion>(toMotion(tracks, timebaseOf(take), options));
    }
    std::map<Id, ViewSetup> setups; // solved once a take
    std::map<Id, double>
        before; // s of film of the same day in earlier takes: reps in the order in which they were made
    std::map<Day, double> filmed;
    for (const auto& [id, take] : data.takes) {
        setups[id] = setupOf(take);
        before[id] = filmed[take.day];
        if (!take.times.empty())
            filmed[take.day] += take.times.back() - take.times.front();
    }
    for (const auto& [id, rep] : data.reps) {
        const auto take = data.takes.find(rep.take);
        // What was judged by eye counts as soon as there is a rep; pegs are for what is measured.
        const bool noted = !rep.seen.empty() || rep.worked || rep.score || !rep.choice.empty();
        if (take == data.takes.end() || (rep.positions.empty() && !noted))
            continue;
        MeasuredRep m =
            measureRep(blueprint, *a.motions[rep.take], rep.positions, setups.at(rep.take), factsOf(blueprint, rep));
        m.rep = std::to_string(id);
        m.situation = rep.situation;
        if (const Situation* s = situationNamed(blueprint, rep.situation); s && !s->decline.empty())
            weighChoice(blueprint, rep, *a.motions[rep.take], setups.at(rep.take), m);
        m.when += before[rep.take];
        a.measured[id] = std::move(m);
    }
}

void readPractice(const CaseData& data, const Blueprint& blueprint, Day today, Analysis& a) {
    std::vector<const Block*> newest;
    for (const auto& [id, block] : data.blocks)
        if (!block.reps.empty()) // a day alone has no verdicts
            newest.push_back(&block);
    std::stable_sort(newest.begin(), newest.end(),
                     [](const Block* x, const Block* y) { return x->day != y->day ? x->day > y->day : x->id > y->id; });
    // The gate looks at the newest two blocks of a drill: enough reps to decide, recent enough to be true.
    std::map<std::string, int> used;
    std::map<std::string, std::vector<GateBlock>> counted; // by drill
    for (const Block* b : newest) {
        if (!blueprint.drill(b->drill) || used[b->drill] >= 2)
            continue;
        ++used[b->drill];
        auto it = std::find_if(a.gates.begin(), a.gates.end(), [&](const DrillGate& g) { return g.drill == b->drill; });
        if (it == a.gates.end()) {
            a.gates.push_back({b->drill, b->stage, 0, 0, 0, {}});
            it = std::prev(a.gates.end());
        }
        GateBlock block{b->day, 0, 0};
        for (const auto& r : b->reps) {
            (r.good() ? block.good : block.bad) += 1;
            it->agreed += r.coach && r.athlete && *r.coach == *r.athlete;
        }
        it->good += block.good;
        it->bad += block.bad;
        counted[b->drill].push_back(block);
    }
    for (auto& g : a.gates)
        g.gate = gate(counted[g.drill], today, gateOptions(blueprint.gate));
}

void followFocus(const CaseData& data, const Blueprint& blueprint, Analysis& a) {
    for (const auto& fault : a.judgement.focus) {
        const Finding* f = a.finding(fault);
        std::string measure = f && !f->evidence.empty() ? f->evidence.front() : std::string();
        if (measure.empty()) // held, or not shown by this film: what shows it first
            if (const Fault* known = blueprint.fault(fault); known && !known->indicators.empty())
                measure = known->indicators.front().measure;
        if (blueprint.measure(measure))
            a.trends.push_back(trendOf(data, blueprint, a, fault, measure));
    }
}

void attend(const CaseData& data, const Blueprint& blueprint, Analysis& a) {
    std::map<std::string, Band> bands;
    for (const auto& d : a.deviations)
        if (d.judged)
            bands[d.measure] = d.band;
    static const TrackSet none;
    for (const auto& [id, rep] : data.reps) {
        const auto take = data.takes.find(rep.take);
        if (take == data.takes.end() || rep.positions.empty())
            continue;
        const auto marks = data.marks.find(rep.take);
        AttentionInput in{blueprint, *a.motions.at(rep.take), marks == data.marks.end() ? none : marks->second,
                          rep.positions, setupOf(take->second)};
        if (take->second.performer == Performer::athlete)
            in.bands = bands;
        in.handSigma = handSigmaOf(a.handErrors, {});
        a.attention[id] = worstFirst(in);
    }
}

} // namespace

const Deviation* Analysis::deviation(std::string_view measure) const {
    const auto it =
        std::find_if(deviations.begin(), deviations.end(), [&](const Deviation& d) { return d.measure == measure; });
    return it == deviations.end() ? nullptr : &*it;
}

const Finding* Analysis::finding(std::string_view fault) const {
    const auto it = std::find_if(judgement.findings.begin(), judgement.findings.end(),
                                 [&](const Finding& f) { return f.fault == fault; });
    return it == judgement.findings.end() ? nullptr : &*it;
}

std::map<LandmarkName, MarkError> handErrorsOf(const CaseData& data) {
    std::map<LandmarkName, MarkError> out;
    for (const auto& [id, repeat] : data.repeats) {
        const auto marks = data.marks.find(repeat.take);
        if (marks == data.marks.end())
            continue;
        for (const auto& [name, e] : markErrors(marks->second, againOf(repeat))) {
            auto& sum = out[name];
            const double n = sum.n + e.n;
            sum.sigma = std::sqrt((sum.sigma * sum.sigma * sum.n + e.sigma * e.sigma * e.n) / n);
            sum.dx = (sum.dx * sum.n + e.dx * e.n) / n;
            sum.dy = (sum.dy * sum.n + e.dy * e.n) / n;
            sum.n += e.n;
        }
    }
    return out;
}

TrackSet againOf(const RepeatMarking& repeat) {
    TrackSet again;
    for (const auto& m : repeat.marks)
        again[m.landmark][m.frame] = {m.at, kAssumedHandSigma, How::hand};
    return again;
}

double handSigmaOf(const std::map<LandmarkName, MarkError>& errors, const LandmarkName& landmark) {
    constexpr double kLeast = 0.2; // px: nobody clicks better, whatever chance says
    if (const auto own = errors.find(landmark); !landmark.empty() && own != errors.end() && own->second.n >= 6)
        return std::max(kLeast, own->second.sigma);
    if (const auto all = errors.find({}); all != errors.end() && all->second.n >= 12)
        return std::max(kLeast, all->second.sigma);
    return kAssumedHandSigma;
}

TrackSet withMeasuredErrors(TrackSet tracks, const std::map<LandmarkName, MarkError>& errors) {
    if (!errors.empty())
        for (auto& [landmark, track] : tracks) {
            const double sigma = handSigmaOf(errors, landmark);
            for (auto& [frame, mark] : track)
                if (mark.how == How::hand && mark.sigma == kAssumedHandSigma)
                    mark.sigma = sigma;
        }
    return tracks;
}

std::pair<FrameIndex, FrameIndex> spanOf(const CaseData& data, const Rep& rep) {
    const auto take = data.takes.find(rep.take);
    const int last = take == data.takes.end() ? 0 : std::max(0, static_cast<int>(take->second.times.size()) - 1);
    if (rep.first && rep.last)
        return {FrameIndex(std::clamp(rep.first->value, 0, last)), FrameIndex(std::clamp(rep.last->value, 0, last))};
    int a = last, b = 0, placed = 0;
    for (const auto& [id, p] : rep.positions)
        if (!p.proposed) {
            a = std::min(a, p.frame.value);
            b = std::max(b, p.frame.value);
            ++placed;
        }
    // One position alone says where the rep is, not how long it lasts.
    if (placed < 2)
        return {FrameIndex(0), FrameIndex(last)};
    const int air = std::max(6, (b - a) / 10);
    return {FrameIndex(std::max(0, a - air)), FrameIndex(std::min(last, b + air))};
}

std::map<PositionId, PositionProposal> proposalsFor(const CaseData& data, const Blueprint& blueprint, const Rep& rep,
                                                    const std::vector<double>& strikes,
                                                    std::map<PositionId, std::string>* reasons) {
    const auto take = data.takes.find(rep.take);
    const auto marks = data.marks.find(rep.take);
    if (take == data.takes.end() || marks == data.marks.end())
        return {};
    MotionOptions raw;
    raw.cutoff = CutoffNone{};
    const Motion motion = toMotion(take->second.steady ? steadied(marks->second, take->second.camera) : marks->second,
                                   timebaseOf(take->second), raw);
    const ViewSetup setup = setupOf(take->second);
    std::vector<std::map<PositionId, double>> misses;
    for (const Rep* other : repsOf(data, rep.take)) {
        if (other->id == rep.id || other->positions.empty())
            continue;
        const auto [a, b] = spanOf(data, *other);
        misses.push_back(
            missesOf(other->positions, proposePositions(blueprint, motion, setup, a, b, strikes), motion.time()));
    }
    const auto [first, last] = spanOf(data, rep);
    return proposePositions(blueprint, motion, setup, first, last, strikes, lessonsFrom(misses), reasons);
}

Result<std::shared_ptr<const Calibration>> calibrationOf(const Take& take) {
    if (take.calibration.empty())
        return std::shared_ptr<const Calibration>();
    const auto made = Calibration::make(take.calibration, take.width, take.height);
    if (!made)
        return made.error();
    return std::make_shared<const Calibration>(*made);
}

ViewSetup setupOf(const Take& take) {
    ViewSetup setup{take.view, take.facing, take.handedness};
    if (const auto calibration = calibrationOf(take))
        setup.calibration = *calibration;
    return setup;
}

Result<ViewLock> lockOf(const CaseData& data, const Link& link) {
    const auto a = data.takes.find(link.a), b = data.takes.find(link.b);
    if (a == data.takes.end() || b == data.takes.end())
        return Error{"one of the locked takes is gone", {}, {}, {}};
    const Timebase ta = timebaseOf(a->second), tb = timebaseOf(b->second);
    std::vector<SharedInstant> instants;
    for (const auto& [fa, fb] : link.shared)
        instants.push_back({ta.real(fa).value, tb.real(fb).value, ta.instantError(fa), tb.instantError(fb)});
    if (instants.empty() && link.sound) {
        ViewLock lock;
        lock.offset = link.sound->offset;
        lock.uOffset = link.sound->u;
        return lock;
    }
    return lockViews(instants);
}

ViewClocks::ViewClocks(const CaseData& data) {
    for (const auto& [id, link] : data.links)
        if (const auto lock = lockOf(data, link)) {
            m_locks.push_back({link.a, link.b, *lock});
            for (Id take : {link.a, link.b})
                if (!m_times.contains(take))
                    m_times[take] = timebaseOf(data.takes.at(take));
        }
}

std::map<Id, LockedFrame> ViewClocks::at(Id take, FrameIndex frame) const {
    std::map<Id, LockedFrame> out;
    if (!m_times.contains(take))
        return out;
    struct Place {
        double time, sigma;
    };
    std::map<Id, Place> known{{take, {m_times.at(take).real(frame).value, 0.0}}};
    std::vector<Id> open{take};
    while (!open.empty()) {
        const Id from = open.back();
        open.pop_back();
        for (const auto& [a, b, lock] : m_locks) {
            const Id to = a == from ? b : b == from ? a : 0;
            if (to == 0 || known.contains(to))
                continue;
            const Place place = known.at(from);
            const double there = a == from ? lock.toB(place.time) : lock.toA(place.time);
            const double u = lock.errorAt(a == from ? place.time : there) / (a == from ? 1.0 : lock.rate);
            known[to] = {there, std::hypot(place.sigma, u)};
            open.push_back(to);
        }
    }
    known.erase(take);
    for (const auto& [id, place] : known) {
        const Timebase& time = m_times.at(id);
        if (time.frames() == 0)
            continue;
        const FrameIndex f = time.nearest(RealTime(place.time));
        const double period = time.realPeriod(f);
        if (std::abs(time.real(f).value - place.time) > 0.51 * period + 1e-9)
            continue; // before its first frame or after its last
        out[id] = {f, std::hypot(place.sigma, time.instantError(f))};
    }
    return out;
}

std::map<Id, LockedFrame> lockedFrames(const CaseData& data, Id take, FrameIndex frame) {
    return data.links.empty() ? std::map<Id, LockedFrame>() : ViewClocks(data).at(take, frame);
}

Timebase timebaseOf(const Take& take) {
    std::optional<Hertz> rate;
    if (take.captureRate)
        rate = Hertz(*take.captureRate);
    auto time = Timebase::make(take.times, rate);
    return time ? *time : Timebase();
}

std::vector<const Rep*> repsOf(const CaseData& data, Id take) {
    std::vector<const Rep*> out;
    for (const auto& [id, rep] : data.reps)
        if (rep.take == take)
            out.push_back(&rep);
    std::stable_sort(out.begin(), out.end(), [](const Rep* x, const Rep* y) { return x->number < y->number; });
    return out;
}

std::vector<PositionId> positionsFor(const Blueprint& blueprint, View view) {
    std::set<PositionId> used;
    for (const auto& m : blueprint.measures)
        if (serves(view, m.definition.view)) {
            const auto read = positionsOf(m.definition);
            used.insert(read.begin(), read.end());
        }
    std::vector<PositionId> out;
    for (const auto& p : blueprint.positions)
        if (used.contains(p.id))
            out.push_back(p.id);
    return out;
}

bool isMarked(const TrackSet& marks, const LandmarkName& name, FrameIndex frame) {
    const auto track = marks.find(name);
    if (track == marks.end())
        return false;
    return track->second.contains(frame) || (kindOf(name) == PointKind::scene && fixedPoint(track->second));
}

std::vector<LandmarkName> wantedIn(const Blueprint& blueprint, const Take& take, const PositionId& at) {
    auto roles = blueprint.rolesAt(at, take.view);
    if (roles.empty())
        roles = blueprint.rolesFor(take.view);
    std::vector<LandmarkName> out;
    for (const auto& role : roles)
        out.push_back(resolveRole(role, take.handedness));
    const Side near = take.facing == Facing::left    ? Side::left
                      : take.facing == Facing::right ? Side::right
                                                     : take.handedness;
    for (const auto& name : landmarksOf(take.figure, near))
        if (std::find(out.begin(), out.end(), name) == out.end())
            out.push_back(name);
    return out;
}

std::vector<LandmarkName> missingAt(const CaseData& data, const Blueprint& blueprint, const Rep& rep,
                                    const PositionId& position) {
    std::vector<LandmarkName> out;
    const auto take = data.takes.find(rep.take);
    const auto placed = rep.positions.find(position);
    if (take == data.takes.end() || placed == rep.positions.end())
        return out;
    const auto marks = data.marks.find(rep.take);
    for (const auto& role : blueprint.rolesAt(position, take->second.view)) {
        const LandmarkName name = resolveRole(role, take->second.handedness);
        if (marks == data.marks.end() || !isMarked(marks->second, name, placed->second.frame))
            out.push_back(name);
    }
    return out;
}

Stage stageReached(const Blueprint& blueprint, const std::string& fault, const std::vector<DrillGate>& gates) {
    const Fault* f = blueprint.fault(fault);
    Stage reached = Stage::shadow;
    if (!f)
        return reached;
    for (const auto& g : gates) {
        if (std::find(f->drills.begin(), f->drills.end(), g.drill) == f->drills.end())
            continue;
        Stage s = g.stage;
        if (g.gate.answer == GateAnswer::stepUp && s != Stage::competition)
            s = static_cast<Stage>(static_cast<int>(s) + 1);
        else if (g.gate.answer == GateAnswer::stepDown && s != Stage::shadow)
            s = static_cast<Stage>(static_cast<int>(s) - 1);
        return s; // the newest practised drill of this fault decides
    }
    return reached;
}

RepFacts factsOf(const Blueprint& blueprint, const Rep& rep) {
    RepFacts facts;
    for (const auto& [checkpoint, seen] : rep.seen)
        facts.seen[checkpoint] = seen.verdict == SeenVerdict::yes      ? 1.0
                                 : seen.verdict == SeenVerdict::partly ? 0.5
                                                                       : 0.0;
    if (rep.worked)
        facts.effect = *rep.worked ? 1.0 : 0.0;
    facts.score = rep.score;
    facts.choice = choiceIsRight(blueprint, rep.situation, rep.choice);
    return facts;
}

Analysis analyse(const CaseData& data, const Blueprint& common, Day today, const KnownMotions& known, double sure,
                 const SetChoice& choice) {
    Analysis a;
    Blueprint blueprint = withOwnTargets(common, data.brief.targets);
    a.handErrors = handErrorsOf(data);
    measureReps(data, blueprint, known, a);
    chooseReps(data, choice, a);
    countChoices(data, blueprint, a);
    CompareOptions options;
    options.school = data.brief.school;
    options.decision.confidence = sure;
    const auto athlete = pick(a, a.athleteReps);
    chooseReference(data, blueprint, choice, a);
    options.situation = choice.situation ? *choice.situation : mainSituation(athlete, a.reference);
    a.situation = options.situation;
    auto compared = athlete;
    if (!a.situation.empty())
        std::erase_if(compared, [&](const MeasuredRep& r) { return r.situation != a.situation; });
    a.variations = variationsOf(blueprint, compared);
    const auto [early, late] = firstAndLast(compared);
    a.overReps = speedStory(blueprint, early, late);
    if (a.referenceKind != ReferenceKind::model)
        a.sinceOwn = speedStory(blueprint, a.reference, compared);
    a.schools = compareSchools(blueprint, athlete, a.reference);
    a.deviations = compare(blueprint, athlete, a.reference, options);
    compareEyes(blueprint, a);
    testLinks(data, blueprint, options, a);
    blueprint = withBeliefs(std::move(blueprint), a.beliefs);
    JudgeOptions judging;
    judging.hurting = hurtingFaults(blueprint, data.brief.athlete);
    for (const auto& d : openDecisions(data))
        if (blueprint.fault(d.fault))
            (d.kind == DecisionKind::takenUp ? judging.takenUp : judging.setAside).push_back(d.fault);
    a.judgement = judge(blueprint, a.deviations, judging);
    a.decided = decidedFaults(data, blueprint, a);
    attend(data, blueprint, a);
    a.views = checkViews(data, a.motions);
    readPractice(data, blueprint, today, a);

    // The plan that stands; where there is none, what would be proposed for two weeks.
    PlanInput planning = planInputOf(data, blueprint, a, today, 14);
    const bool stands = std::any_of(planning.standing.begin(), planning.standing.end(), [&](const PlannedBlock& b) {
        return b.day >= today && b.state != BlockState::dropped;
    });
    a.plan = stands ? replan(blueprint, planning, today, today - std::chrono::days(1)) : prescribe(blueprint, planning);

    followFocus(data, blueprint, a);
    for (const auto& g : data.brief.guesses) {
        GuessCheck c{g, {}};
        if (const Deviation* d = a.deviation(g.measure); d && d->value.reps > 0)
            c.perception = Perception{g.value, d->value.mean, d->value.u};
        a.guesses.push_back(c);
    }
    a.next = nextStep(data, blueprint, a, today);
    sayLacking(data, a);
    return a;
}

} // namespace riflesso
