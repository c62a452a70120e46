#include "reading/read_rep.h"

#include "core/technique/position_finder.h"
#include "core/words/say.h"
#include "footage/film.h"

namespace riflesso {
namespace {

// The value on whichever rep of the film has one: there should be one rep, and stillness before and after it.
const MeasureValue* valueIn(const Analysis& analysis, const std::string& measure, std::string& refused) {
    for (const auto& [rep, measured] : analysis.measured)
        for (const auto& v : measured.values)
            if (v.measure == measure) {
                if (!v.refused)
                    return &v;
                refused = v.reason;
            }
    return nullptr;
}

// The key positions that the rules see from the first frame to the last.
std::optional<Rep> wholeFilm(const CaseData& data, const Blueprint& blueprint) {
    const auto& [id, take] = *data.takes.begin();
    const auto marks = data.marks.find(id);
    if (marks == data.marks.end() || take.times.empty())
        return std::nullopt;
    MotionOptions raw;
    raw.cutoff = CutoffNone{};
    const Motion motion = toMotion(marks->second, timebaseOf(take), raw);
    Rep rep;
    rep.id = id + 1;
    rep.take = id;
    rep.number = 1;
    rep.first = FrameIndex(0);
    rep.last = FrameIndex(static_cast<int>(take.times.size()) - 1);
    for (const auto& [position, p] : proposePositions(blueprint, motion, setupOf(take), *rep.first, *rep.last))
        rep.positions[position] = proposed(p, motion);
    return rep.positions.empty() ? std::nullopt : std::optional(rep);
}

} // namespace

Result<MeasureValue> readRep(const std::filesystem::path& film, const Blueprint& blueprint, const ReadOptions& options,
                             const std::vector<std::string>& measures, const std::function<bool()>& goOn) {
    ReadOptions own = options;
    {
        const auto opened = Film::open(film);
        if (!opened)
            return opened.error();
        const auto& times = (*opened)->times();
        if (times.size() < 2 || !(times.back() > times.front()))
            return Error{say("advice", "the film of this rep has no length"), film.filename().string(), {}, {}};
        own.take.captureRate = static_cast<double>(times.size() - 1) / (times.back() - times.front());
    }
    auto read = readFilm(film, blueprint, own, [&](const std::string&, double) { return !goOn || goOn(); });
    if (!read)
        return read.error();
    if (read->data.reps.empty() && !read->data.takes.empty()) // cut out closely: the film is the rep
        if (const auto rep = wholeFilm(read->data, blueprint)) {
            read->data.reps[rep->id] = *rep;
            read->analysis = analyse(read->data, blueprint, options.today);
        }
    std::string why;
    for (const auto& measure : measures) {
        std::string refused = say("advice", "no rep can be seen on it");
        if (const MeasureValue* v = valueIn(read->analysis, measure, refused))
            return *v;
        if (why.empty())
            why = refused;
    }
    return Error{why, film.filename().string(), {}, {}};
}

} // namespace riflesso
