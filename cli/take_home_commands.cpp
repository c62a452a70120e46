// What is taken home: clips, traces, the review, the folder, the guide of a technique.

#include "cli/commands.h"

#include "casebook/casebook.h"
#include "casebook/drawing.h"
#include "casebook/planner.h"
#include "casebook/text.h"
#include "files/write_file.h"
#include "handover/folder.h"
#include "handover/guide.h"
#include "handover/trace_picture.h"
#include "library/calendar_file.h"
#include "library/tracks_csv.h"
#include "simulator/technique_pictures.h"

#include <CLI/CLI.hpp>

#include <algorithm>
#include <cstdio>
#include <ctime>

namespace riflesso::cli {
namespace {

using nlohmann::json;

// A film from anywhere with its tracks, as a case of one rep.
Result<FilmedSnapshot> anywhere(const TakeHomeArguments& a) {
    const auto film = Film::open(a.film);
    if (!film)
        return film.error();
    FilmedSnapshot out;
    Take take;
    take.id = 1;
    take.title = std::filesystem::path(a.film).filename().string();
    take.film = std::filesystem::absolute(a.film).string();
    take.width = (*film)->info().width;
    take.height = (*film)->info().height;
    take.times = (*film)->times();
    if (a.captureRate)
        take.captureRate = a.captureRate;
    else if ((*film)->info().captureRate)
        take.captureRate = (*film)->info().captureRate->value;
    if (!a.tracks.empty()) {
        const auto text = readFile(a.tracks);
        if (!text)
            return text.error();
        auto tracks = tracksFromCsv(*text, a.tracks);
        if (!tracks)
            return tracks.error();
        out.analysis.motions[1] = std::make_shared<Motion>(toMotion(tracks->tracks, timebaseOf(take)));
        out.data.marks[1] = std::move(tracks->tracks);
    }
    Rep rep;
    rep.id = 1;
    rep.take = 1;
    rep.first = FrameIndex(0);
    rep.last = FrameIndex(static_cast<int>(take.times.size()) - 1);
    out.data.reps[1] = rep;
    out.data.takes[1] = std::move(take);
    return out;
}

// The rep that is wanted: a take's by number, or the judged one of a side view.
Result<Id> repOf(const CaseData& data, const Analysis& analysis, const TakeHomeArguments& a) {
    if (a.take != 0) {
        for (const Rep* rep : repsOf(data, a.take))
            if (rep->number == a.rep)
                return rep->id;
        return Error{"take " + std::to_string(a.take) + " has no rep " + std::to_string(a.rep),
                     a.library,
                     {},
                     {},
                     ErrorKind::wrongUse};
    }
    for (const Id id : analysis.athleteReps)
        if (data.takes.at(data.reps.at(id).take).view == View::side && data.reps.at(id).number >= a.rep)
            return id;
    return Error{"there is no judged rep; say --take and --rep", a.library, {}, {}, ErrorKind::wrongUse};
}

// A model's rep of the same view; 0 = none.
Id modelFor(const CaseData& data, const Analysis& analysis, Id rep) {
    const View view = data.takes.at(data.reps.at(rep).take).view;
    for (const Id id : analysis.modelReps)
        if (data.takes.at(data.reps.at(id).take).view == view)
            return id;
    return 0;
}

Result<ClipOptions> clipOptions(const TakeHomeArguments& a) {
    ClipOptions o;
    o.lock = a.clock ? LockKind::clock : LockKind::movement;
    o.figure = a.overlays;
    o.slow = a.slow;
    o.rate = a.rate;
    o.title = q(a.title);
    o.measure = a.measure;
    o.wholePicture = a.whole;
    if (std::sscanf(a.size.c_str(), "%dx%d", &o.width, &o.height) != 2)
        return Error{"a size is written as 1920x1080", "--size", {}, {}, ErrorKind::wrongUse};
    if (a.from)
        o.first = FrameIndex(*a.from);
    if (a.to)
        o.last = FrameIndex(*a.to);
    return o;
}

CaseArguments caseOf(const TakeHomeArguments& a) {
    CaseArguments c;
    c.library = a.library;
    c.caseId = a.caseId;
    c.today = a.today;
    return c;
}

FilmedCase filmedOf(Casebook& book) {
    return {book.data(), book.blueprint(), book.analysisNow(), book.library().media()};
}

} // namespace

Status exportClip(const TakeHomeArguments& a) {
    auto options = clipOptions(a);
    if (!options)
        return options.error();
    if (!a.film.empty()) {
        const auto from = anywhere(a);
        if (!from)
            return from.error();
        options->rep = 1;
        return writeClip(from->filmed(), *options, a.out);
    }
    const auto book = openCase(caseOf(a));
    if (!book)
        return book.error();
    const FilmedCase filmed = filmedOf(**book);
    const auto rep = repOf(filmed.data, filmed.analysis, a);
    if (!rep)
        return rep.error();
    options->rep = *rep;
    options->other = a.pair || a.ghost ? modelFor(filmed.data, filmed.analysis, *rep) : 0;
    options->ghost = a.ghost;
    return writeClip(filmed, *options, a.out);
}

Status trace(const TakeHomeArguments& a) {
    TraceOptions o;
    o.exposures = a.exposures;
    o.atPositions = a.atPositions;
    o.from = a.fromPosition;
    o.to = a.toPosition;
    o.points = a.points;
    if (!a.film.empty()) {
        const auto from = anywhere(a);
        if (!from)
            return from.error();
        o.rep = 1;
        const auto image = tracePicture(from->filmed(), o);
        return image ? writePicture(a.out, *image) : Status(image.error());
    }
    const auto book = openCase(caseOf(a));
    if (!book)
        return book.error();
    const FilmedCase filmed = filmedOf(**book);
    const auto rep = repOf(filmed.data, filmed.analysis, a);
    if (!rep)
        return rep.error();
    o.rep = *rep;
    o.other = a.pair ? modelFor(filmed.data, filmed.analysis, *rep) : 0;
    const auto image = tracePicture(filmed, o);
    return image ? writePicture(a.out, *image) : Status(image.error());
}

Status review(const TakeHomeArguments& a) {
    const auto book = openCase(caseOf(a));
    if (!book)
        return book.error();
    const FilmedCase filmed = filmedOf(**book);
    const auto folder = reviewFolder((*book)->library().folder(), filmed.data.id);
    auto kept = readReview(folder);
    if (!kept)
        return kept.error();
    const Review review = *kept ? **kept : proposedReview(filmed.data, filmed.blueprint, filmed.analysis);
    if (a.scenes) {
        json list = json::array();
        for (const auto& s : review.scenes)
            list.push_back({{"kind", kSceneKindNames[static_cast<std::size_t>(s.kind)]},
                            {"words", s.words},
                            {"rep", s.rep},
                            {"other", s.other},
                            {"measure", s.measure},
                            {"frame", s.frame ? json(s.frame->value) : json(nullptr)},
                            {"seconds", s.seconds},
                            {"spoken", s.spoken}});
        std::printf("%s\n", json{{"kept", kept->has_value()}, {"scenes", list}}.dump(1).c_str());
    }
    if (a.out.empty())
        return Done{};
    std::optional<Sound> voice;
    if (!a.voice.empty()) {
        auto read = soundOf(a.voice, 48000.0);
        if (!read)
            return read.error();
        voice = std::move(*read);
    }
    return writeReviewFilm(filmed, review, folder, a.out, {}, voice);
}

Status takeHome(const TakeHomeArguments& a) {
    const auto book = openCase(caseOf(a));
    if (!book)
        return book.error();
    const FilmedCase filmed = filmedOf(**book);
    const auto today = todayOf(caseOf(a));
    if (!today)
        return today.error();
    const auto voices = reviewFolder((*book)->library().folder(), filmed.data.id);
    const auto kept = readReview(voices);
    if (!kept)
        return kept.error();
    FolderOptions o;
    const auto reader = std::find(kReaderNames.begin(), kReaderNames.end(), a.reader);
    o.reader = static_cast<Reader>(reader - kReaderNames.begin());
    o.paper.letter = a.letter;
    if (const auto blocks = standingPlan(filmed.data); !blocks.empty())
        o.calendar =
            planToCalendar(filmed.blueprint, blocks,
                           {false, std::to_string(filmed.data.id), std::time(nullptr), filmed.data.brief.places});
    const auto made =
        writeFolder(filmed, *kept ? **kept : proposedReview(filmed.data, filmed.blueprint, filmed.analysis), voices,
                    *today, o, a.out);
    if (!made)
        return made.error();
    for (const auto& part : *made)
        std::printf("%-14s %8.1f kB  %s\n", part.file.c_str(), static_cast<double>(part.bytes) / 1000.0,
                    part.what.c_str());
    return Done{};
}

Status guide(const TakeHomeArguments& a) {
    const auto blueprint = blueprintNamed(a.blueprint);
    if (!blueprint)
        return blueprint.error();
    std::map<PositionId, QImage> pictures;
    if (const auto simulated = positionPictures(blueprint->id)) // an own technique has no simulated athlete
        for (const auto& [id, p] : *simulated)
            pictures[id] = positionStill(p.picture, p.points);
    const auto content = techniqueGuide(*blueprint, pictures);
    const std::string suffix = std::filesystem::path(a.out).extension().string();
    return writeBytes(a.out, suffix == ".html" ? paperHtml(content) : paperPdf(content, {a.letter, 1.0}));
}

void addTakingHome(CLI::App& app, TakeHomeArguments& a, std::function<Status()>& chosen) {
    const auto fromLibrary = [&](CLI::App* sub, bool required) {
        auto* library = sub->add_option("--library", a.library, "the library's folder");
        if (required)
            library->required();
        sub->add_option("--case", a.caseId, "the case's number (the first one when left out)");
        sub->add_option("--today", a.today, "the day that counts as today (2026-11-23)");
        return library;
    };
    const auto fromAnywhere = [&](CLI::App* sub) {
        auto* library = fromLibrary(sub, false);
        sub->add_option("--take", a.take, "the take's number");
        sub->add_option("--rep", a.rep, "the rep's number in the take")->capture_default_str();
        auto* film = sub->add_option("FILM", a.film, "a film from anywhere instead of a library")->excludes(library);
        sub->add_option("--tracks", a.tracks, "its tracks, CSV")->needs(film);
        sub->add_option("--capture-rate", a.captureRate, "Hz, when it was slow motion")
            ->check(CLI::Range(1.0, 100000.0))
            ->needs(film);
        sub->add_option("--out", a.out, "the file to write")->required();
        sub->add_flag("--pair", a.pair, "with the model under the waterline");
    };
    const auto run = [&chosen, &a](CLI::App* sub, Status (*command)(const TakeHomeArguments&), bool either) {
        sub->callback([&chosen, &a, command, either] {
            if (either && a.film.empty() && a.library.empty())
                throw CLI::RequiredError("FILM or --library");
            chosen = [&a, command] { return command(a); };
        });
    };
    auto* clip = app.add_subcommand("export", "A rep or a film as a clip to take home");
    fromAnywhere(clip);
    clip->add_flag("--overlays", a.overlays, "with what is marked drawn on it");
    clip->add_flag("--ghost", a.ghost, "with the model's figure over the athlete");
    clip->add_flag("--clock", a.clock, "locked by the clock, not by the movement");
    clip->add_flag("--whole", a.whole, "the whole picture instead of the part round the body");
    clip->add_option("--slow", a.slow, "times slower than life")->check(CLI::Range(0.25, 64.0));
    clip->add_option("--rate", a.rate, "pictures a second of the clip")->check(CLI::Range(1.0, 240.0));
    clip->add_option("--size", a.size, "as 1920x1080, or 1080x1920 for a telephone");
    clip->add_option("--title", a.title, "words in its corner");
    clip->add_option("--measure", a.measure, "a measure's id, drawn on the figure");
    clip->add_option("--from", a.from, "first frame, counted from 0");
    clip->add_option("--to", a.to, "last frame, counted from 0");
    run(clip, exportClip, true);
    auto* picture = app.add_subcommand("trace", "A phase on one picture: exposures and paths");
    fromAnywhere(picture);
    picture->add_option("--exposures", a.exposures, "how many, at equal times")->check(CLI::Range(2, 24));
    picture->add_flag("--at-positions", a.atPositions, "one a key position instead");
    picture->add_option("--from", a.fromPosition, "id of the key position where the phase begins");
    picture->add_option("--to", a.toPosition, "id of the key position where it ends");
    picture->add_option("--points", a.points, "landmarks whose paths are drawn");
    run(picture, trace, true);
    auto* film = app.add_subcommand("review", "The review of a case: its scenes, and as a film");
    film->add_option("CASE", a.caseId, "the case's number")->required();
    film->add_option("--library", a.library, "the library's folder")->required();
    film->add_option("--today", a.today, "the day that counts as today (2026-11-23)");
    film->add_flag("--scenes", a.scenes, "say the scenes, as JSON");
    film->add_option("--out", a.out, "write the film to this file (MP4; captions and stills beside it)");
    film->add_option("--voice", a.voice, "a sound file: one voice for the whole film");
    run(film, review, false);
    auto* folder = app.add_subcommand("folder", "The athlete's folder: review, report, home work, calendar");
    folder->add_option("CASE", a.caseId, "the case's number")->required();
    folder->add_option("DIR", a.out, "the folder to make")->required();
    folder->add_option("--library", a.library, "the library's folder")->required();
    folder->add_option("--today", a.today, "the day that counts as today (2026-11-23)");
    folder->add_option("--for", a.reader, "athlete, coach or parent")
        ->check(CLI::IsMember({"athlete", "coach", "parent"}));
    folder->add_flag("--letter", a.letter, "paper of US Letter size instead of A4");
    run(folder, takeHome, false);
    auto* book = app.add_subcommand("guide", "A technique's blueprint as a guide to print");
    book->add_option("BLUEPRINT", a.blueprint, "a shipped one's name, or a file")->required();
    book->add_option("--out", a.out, "the file to write: .pdf, or .html")->required();
    book->add_flag("--letter", a.letter, "paper of US Letter size instead of A4");
    run(book, guide, false);
}

} // namespace riflesso::cli
