#include "reading/read_rep.h"

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

} // namespace

Result<MeasureValue> readRep(const std::filesystem::path& film, const Blueprint& blueprint, const ReadOptions& options,
                             const std::string& measure, const std::function<bool()>& goOn) {
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
    std::string refused = say("advice", "no rep can be seen on it");
    if (const MeasureValue* v = valueIn(read->analysis, measure, refused))
        return *v;
    return Error{refused, film.filename().string(), {}, {}};
}

} // namespace riflesso
