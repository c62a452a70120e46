#include "cli/commands.h"

#include "casebook/casebook.h"
#include "casebook/shipped.h"
#include "core/statistics/numbers.h"
#include "files/write_file.h"
#include "intake/intake.h"
#include "library/blueprint_json.h"
#include "library/case_json.h"

#include <nlohmann/json.hpp>

#include <QDate>

#include <chrono>
#include <cmath>
#include <cstdio>
#include <sstream>

#include <unistd.h>

namespace riflesso::cli {

using nlohmann::json;

namespace {

// "1,2,3" as numbers.
Result<std::vector<double>> numbers(const std::string& text, std::size_t count, const std::string& option) {
    std::vector<double> out;
    std::stringstream in(text);
    std::string part;
    while (std::getline(in, part, ',')) {
        const auto v = numberFrom(part);
        if (!v)
            return Error{option + " needs numbers with commas between, not \"" + text + "\"", {}, {}, {}};
        out.push_back(*v);
    }
    if (out.size() != count)
        return Error{
            option + " needs " + std::to_string(count) + " numbers, not " + std::to_string(out.size()), {}, {}, {}};
    return out;
}

Result<double> slowness(const std::string& film, const std::optional<double>& captureRate) {
    const auto opened = Film::open(film);
    if (!opened)
        return opened.error();
    const auto& info = (*opened)->info();
    const double capture = captureRate ? *captureRate : info.captureRate ? info.captureRate->value : 0.0;
    if (capture <= 0.0 || info.fileRate.value <= 0.0)
        return 1.0; // the film plays at true speed, as far as anybody has said
    return capture / info.fileRate.value;
}

} // namespace

Status sync(const SyncArguments& a) {
    const auto first = Film::open(a.filmA), second = Film::open(a.filmB);
    if (!first)
        return first.error();
    if (!second)
        return second.error();
    const auto slowA = slowness(a.filmA, a.rateA), slowB = slowness(a.filmB, a.rateB);
    if (a.sound) {
        const auto m = matchFilms(a.filmA, *slowA, a.filmB, *slowB);
        if (!m)
            return m.error();
        if (a.json)
            std::printf("%s\n", json{{"by", "sound"},
                                     {"offset_s", rounded(m->offset, 6)},
                                     {"u_s", rounded(m->u, 6)},
                                     {"quality", rounded(m->quality, 3)},
                                     {"peak", rounded(m->peak, 3)}}
                                    .dump()
                                    .c_str());
        else
            std::printf(
                "the second film is at %+.4f s (± %.4f) when the first is at 0; the best place is %.1f times as "
                "clear as the next\n",
                m->offset, m->u, m->quality);
        return Done{};
    }
    std::vector<SharedInstant> instants;
    for (const auto& text : a.at) {
        int fa = 0, fb = 0;
        char rest = 0;
        if (std::sscanf(text.c_str(), "%d:%d%c", &fa, &fb, &rest) != 2)
            return Error{"--at must be two frames like 120:98, not \"" + text + "\"", {}, {}, {}};
        if (fa < 0 || fb < 0 || fa >= (*first)->info().frames || fb >= (*second)->info().frames)
            return Error{"--at " + text + " names a frame that is not there", {}, {}, {}};
        const auto base = [](const Film& film, double slow) {
            return *Timebase::make(film.times(), Hertz(film.info().fileRate.value * slow));
        };
        const Timebase ta = base(**first, *slowA), tb = base(**second, *slowB);
        instants.push_back({ta.real(FrameIndex(fa)).value, tb.real(FrameIndex(fb)).value,
                            ta.instantError(FrameIndex(fa)), tb.instantError(FrameIndex(fb))});
    }
    if (instants.empty())
        return Error{"say --sound, or at least one shared instant: --at FRAME_A:FRAME_B", {}, {}, {}};
    const auto lock = lockViews(instants);
    if (!lock)
        return lock.error();
    if (a.json) {
        std::printf("%s\n", json{{"by", "instants"},
                                 {"offset_s", rounded(lock->offset, 6)},
                                 {"u_s", rounded(lock->uOffset, 6)},
                                 {"rate", rounded(lock->rate, 8)},
                                 {"u_rate", rounded(lock->uRate, 8)},
                                 {"residuals_s", lock->residuals}}
                                .dump()
                                .c_str());
    } else {
        std::printf("second = %+.4f s %+.6f × first (± %.4f s)\n", lock->offset, lock->rate, lock->uOffset);
        for (std::size_t i = 0; i < lock->residuals.size(); ++i)
            std::printf("%s: off by %+.4f s\n", a.at[i].c_str(), lock->residuals[i]);
    }
    return Done{};
}

Status reps(const FilmArguments& a) {
    const auto by = *enumFromName<RepsBy>(kRepsByNames, a.by);
    const auto slow = slowness(a.film, a.captureRate);
    if (!slow)
        return slow.error();
    const auto found = findReps(a.film, {}, by, *slow);
    if (!found)
        return found.error();
    const auto film = Film::open(a.film);
    const auto& times = (*film)->times();
    json list = json::array();
    for (const auto& r : found->spans) {
        const double t0 = times[static_cast<std::size_t>(r.first.value)],
                     t1 = times[static_cast<std::size_t>(r.last.value)];
        list.push_back({{"first", r.first.value},
                        {"last", r.last.value},
                        {"start_s", rounded(t0, 4)},
                        {"end_s", rounded(t1, 4)},
                        {"strength", rounded(r.strength, 3)}});
        if (!a.json)
            std::printf("frames %d to %d, %.2f to %.2f s\n", r.first.value, r.last.value, t0, t1);
    }
    if (a.json)
        std::printf("%s\n", json{{"by", a.by}, {"reps", list}}.dump(1).c_str());
    else if (list.empty())
        std::printf("nothing stands out from the rest\n");
    return Done{};
}

Status calibrate(const CalibrateArguments& a) {
    CalibrationInput in;
    if (!a.input.empty()) {
        const auto text = readFile(a.input);
        if (!text)
            return text.error();
        const auto read = calibrationFromJson(*text);
        if (!read)
            return read.error();
        in = *read;
    }
    const auto line = [](const std::vector<double>& v) { return DrawnLine{{v[0], v[1]}, {v[2], v[3]}}; };
    for (const auto& [text, what] : {std::pair{a.plumb, &in.plumb}, std::pair{a.horizon, &in.horizon}}) {
        if (text.empty())
            continue;
        const auto v = numbers(text, 4, what == &in.plumb ? "--plumb" : "--horizon");
        if (!v)
            return v.error();
        *what = line(*v);
    }
    for (const auto& text : a.lengths) {
        const auto v = numbers(text, 5, "--length");
        if (!v)
            return v.error();
        in.lengths.push_back({line(*v), (*v)[4]});
    }
    for (const auto& text : a.points) {
        const auto v = numbers(text, 4, "--point");
        if (!v)
            return v.error();
        in.points.push_back({{(*v)[0], (*v)[1]}, (*v)[2], (*v)[3]});
    }
    if (in.empty())
        return Error{"nothing is drawn: give --plumb, --horizon, --length or four times --point, or a file with --in",
                     {},
                     {},
                     {}};
    const auto size = numbers(a.size, 2, "--size");
    if (!size)
        return size.error();
    const auto c = Calibration::make(in, static_cast<int>((*size)[0]), static_cast<int>((*size)[1]));
    if (!c)
        return c.error();
    json out = {{"metric", c->metric()}, {"warnings", c->warnings()}};
    if (c->tilt()) {
        out["tilt_deg"] = rounded(c->tilt()->value, 4);
        out["u_tilt_deg"] = rounded(c->tiltError().value, 4);
    }
    if (c->reprojection())
        out["reprojection_px"] = rounded(*c->reprojection(), 4);
    if (c->oblique())
        out["oblique_deg"] = rounded(c->oblique()->value, 3);
    if (c->radialError() > 0.0) {
        out["radial"] = rounded(c->radial(), 6);
        out["u_radial"] = rounded(c->radialError(), 6);
    }
    out["checks"] = json::array();
    for (const auto& text : a.checks) {
        const auto v = numbers(text, 5, "--check");
        if (!v)
            return v.error();
        const auto l = c->length({(*v)[0], (*v)[1]}, {(*v)[2], (*v)[3]}, in.sigma);
        out["checks"].push_back(
            {{"m", rounded(l.value, 5)}, {"u_m", rounded(l.u, 5)}, {"error_m", rounded(l.value - (*v)[4], 5)}});
    }
    if (a.json) {
        std::printf("%s\n", out.dump(1).c_str());
        return Done{};
    }
    std::printf("%s\n", c->metric() ? "lengths are in metres" : "no length is known: pixels");
    if (c->tilt())
        std::printf("the camera is tilted by %.2f° (± %.2f°)\n", c->tilt()->value, c->tiltError().value);
    if (c->reprojection())
        std::printf("the drawn things fit to %.2f px\n", *c->reprojection());
    for (const auto& k : out["checks"])
        std::printf("check: %.3f m (± %.3f), off by %+.3f m\n", k["m"].get<double>(), k["u_m"].get<double>(),
                    k["error_m"].get<double>());
    for (const auto& w : c->warnings())
        std::printf("mind: %s\n", w.c_str());
    return Done{};
}

Status bringIn(const ImportArguments& a) {
    const std::string text = a.today.empty() ? QDate::currentDate().toString(Qt::ISODate).toStdString() : a.today;
    const auto today = dayFromIso(text);
    if (!today)
        return Error{"--today must be a date like 2026-11-23, not \"" + text + "\"", {}, {}, {}};
    auto opened = Library::open(a.library);
    if (!opened)
        return opened.error();
    std::shared_ptr<Library> library(std::move(*opened));
    const auto cases = library->cases();
    if (!cases)
        return cases.error();
    Id id = a.caseId;
    std::string blueprintId;
    for (const auto& c : *cases)
        if (id == 0 || c.id == id) {
            id = c.id;
            blueprintId = c.blueprintId;
            break;
        }
    if (blueprintId.empty())
        return Error{"there is no such case in the library", {}, "nothing was changed", {}};
    auto blueprint = blueprintFor(a.library, blueprintId);
    if (!blueprint)
        return blueprint.error();
    auto book = Casebook::open(library, id, std::move(*blueprint), *today);
    if (!book)
        return book.error();
    std::vector<std::filesystem::path> films;
    std::vector<std::string> failed;
    for (const auto& f : a.films) {
        const auto found = filmsIn(f);
        if (found.empty())
            failed.push_back(std::filesystem::path(f).filename().string() + ": there is no film in this folder");
        films.insert(films.end(), found.begin(), found.end());
    }
    const bool terminal = isatty(STDERR_FILENO) != 0;
    int done = 0;
    for (std::size_t i = 0; i < films.size(); ++i) {
        IntakeOptions options;
        options.copy = !a.refer;
        options.today = *today;
        options.handedness = (*book)->data().brief.athlete.handedness;
        if (const auto known = library->knownFilms())
            options.known = *known;
        for (const auto& [takeId, take] : (*book)->data().takes)
            if (!take.checksum.empty())
                options.inCase[take.checksum] = take.title;
        const auto began = std::chrono::steady_clock::now();
        const auto in = takeIn(*library, films[i], options, [&](const std::string& doing, double share) {
            if (!terminal)
                return true;
            const double spent = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
            std::fprintf(stderr, "\r\033[K%zu of %zu  %s: %s %3.0f %%", i + 1, films.size(),
                         films[i].filename().string().c_str(), doing.c_str(), 100.0 * share);
            if (share > 0.05 && spent > 1.0)
                std::fprintf(stderr, ", %.0f s to go", spent / share * (1.0 - share));
            return true;
        });
        if (terminal)
            std::fprintf(stderr, "\r\033[K");
        if (!in) {
            failed.push_back(in.error().text());
            continue;
        }
        if (!(*book)->addTake(in->take)) {
            failed.push_back(films[i].filename().string() + ": could not be saved");
            continue;
        }
        ++done;
        std::printf("%s: %d frames%s%s\n", films[i].filename().string().c_str(), in->info.frames,
                    in->take.captureRate ? "" : ", capture rate not stated",
                    in->info.framesLost > 0 ? (", " + std::to_string(in->info.framesLost) + " frames lost").c_str()
                                            : "");
    }
    (*book)->analysisNow();
    if (failed.empty())
        return Done{};
    std::string all;
    for (const auto& f : failed)
        all += (all.empty() ? "" : "\nriflesso-cli: ") + f;
    return Error{all, {}, {}, {}};
}

} // namespace riflesso::cli
