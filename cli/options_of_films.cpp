#include "cli/options.h"

#include <initializer_list>
#include <string>
#include <utility>
#include <vector>

namespace riflesso::cli {
namespace {

// What a film is, its frames, a measure over its tracks, its reps.
void addFilms(CLI::App& app, Arguments& all) {
    auto& chosen = all.chosen;
    auto& f = all.film;
    auto* probe = app.add_subcommand("probe", "What a film is: codec, size, frames, rates");
    probe->add_option("FILM", f.film, "the film")->required();
    probe->add_flag("--json", f.json, "as JSON");
    probe->add_flag("--times", f.times, "with the presentation time of each frame");
    probe->callback([&] { chosen = [&] { return cli::probe(f); }; });

    auto* frame =
        app.add_subcommand("frame", "Exactly frame N of a film as PNG (0-based, in presentation order); several "
                                    "as N1,N2,… in any order with %d in the name");
    frame->add_option("FILM", f.film, "the film")->required();
    frame->add_option("N", f.frames, "the frame, or several with commas between")
        ->required()
        ->check(CLI::Validator(
            [](std::string& text) {
                return text.find_first_not_of("0123456789,") == std::string::npos && !text.empty()
                           ? std::string()
                           : std::string("frames are whole numbers with commas between");
            },
            "FRAMES"));
    frame->add_option("OUT", f.out, "the PNG to write; %d in it becomes the frame's number")->required();
    frame->callback([&] { chosen = [&] { return cli::frame(f); }; });

    auto* series = app.add_subcommand("series", "A measure over time from tracks");
    series->add_option("--tracks", f.tracks, "tracks CSV: time_s,frame,landmark,x_px,y_px,sigma_px,how")->required();
    series->add_option("--measure", f.measure, "the measure as JSON")->required();
    series->add_option("--cutoff", f.cutoff, "effective cut-off of both passes in Hz, auto or none")
        ->capture_default_str();
    series->add_option("--capture-rate", f.captureRate, "Hz; without it the file's own times are true");
    series->add_option("--side", f.side, "the weapon hand, for roles like lead_knee")
        ->check(CLI::IsMember({"left", "right"}));
    series->add_option("--facing", f.facing, "where forward points")
        ->check(CLI::IsMember({"left", "right", "camera", "away"}));
    series->add_flag("--json", f.json, "as JSON");
    series->callback([&] { chosen = [&] { return cli::series(f); }; });

    auto* reps = app.add_subcommand("reps", "Where the reps of a long take may be");
    reps->add_option("FILM", f.film, "the film")->required();
    reps->add_option("--by", f.by, "what they are found by")
        ->check(CLI::IsMember({"motion", "sound", "cycle"}))
        ->capture_default_str();
    reps->add_option("--capture-rate", f.captureRate, "Hz; without it the film's tag, or its own times");
    reps->add_flag("--json", f.json, "as JSON");
    reps->callback([&] { chosen = [&] { return cli::reps(f); }; });
}

// Marks carried, bodies found, key positions proposed.
void addMarks(CLI::App& app, Arguments& all) {
    auto& chosen = all.chosen;
    auto& ca = all.carry;
    auto& fi = all.find;
    auto& po = all.positions;
    static const std::vector<std::string> kViews(kViewNames.begin(), kViewNames.end());
    auto* carry = app.add_subcommand("carry", "Follow hand marks from frame to frame through a film");
    carry->add_option("FILM", ca.film, "the film")->required();
    carry->add_option("--marks", ca.marks, "tracks CSV with the marks made by hand")->required();
    carry->add_option("--out", ca.out, "tracks CSV to write: the hand marks and the carried ones")->required();
    carry->add_option("--from", ca.from, "first frame (the first marked one when left out)");
    carry->add_option("--to", ca.to, "last frame (the film's last when left out)");
    carry->add_option("--landmarks", ca.landmarks, "only these, with commas between");
    carry->add_option("--capture-rate", ca.captureRate, "Hz; without it the film's tag, or its own times");
    carry->callback([&] { chosen = [&] { return cli::carry(ca); }; });

    auto* find = app.add_subcommand("find", "A draft of the body's landmarks through a film, found by a body model");
    find->add_option("FILM", fi.film, "the film")->required();
    find->add_option("--out", fi.out, "tracks CSV to write")->required();
    find->add_option("--frame", fi.frame, "the frame that the box is drawn on")->capture_default_str();
    find->add_option("--box", fi.box, "X,Y,W,H round the athlete, px; without it the most prominent person");
    find->add_option("--model", fi.model, "lite, full or heavy")->capture_default_str();
    find->add_option("--from", fi.from, "first frame");
    find->add_option("--to", fi.to, "last frame");
    find->callback([&] { chosen = [&] { return cli::find(fi); }; });

    auto* positions =
        app.add_subcommand("positions", "Key positions proposed from tracks, each with its standard error");
    positions->add_option("--tracks", po.tracks, "tracks CSV")->required();
    positions->add_option("--blueprint", po.blueprint, "a shipped blueprint's name or a file")->capture_default_str();
    positions->add_option("--film", po.film, "the film, for positions that are heard");
    positions->add_option("--from", po.from, "first frame of the rep");
    positions->add_option("--to", po.to, "last frame of the rep");
    positions->add_option("--capture-rate", po.captureRate, "Hz; without it the file's own times are true");
    positions->add_option("--view", po.view, "from where the camera looks")->check(CLI::IsMember(kViews));
    positions->add_option("--side", po.side, "the weapon hand")->check(CLI::IsMember({"left", "right"}));
    positions->add_option("--facing", po.facing, "where forward points")
        ->check(CLI::IsMember({"left", "right", "camera", "away"}));
    positions->add_flag("--json", po.json, "as JSON");
    positions->callback([&] { chosen = [&] { return cli::positions(po); }; });
}

// Blueprints checked and compared.
void addBlueprints(CLI::App& app, Arguments& all) {
    auto& chosen = all.chosen;
    auto& before = all.before;
    auto& after = all.after;
    auto* blueprint = app.add_subcommand("blueprint", "Is a blueprint sound, and what changed in it");
    blueprint->require_subcommand(1);
    auto* check = blueprint->add_subcommand("check", "All that is wrong with it, each with its place");
    check->add_option("FILE", before, "a blueprint's file")->required();
    check->callback([&] { chosen = [&] { return cli::checkBlueprint(before); }; });
    auto* diff = blueprint->add_subcommand("diff", "Two versions side by side, in words");
    diff->add_option("BEFORE", before, "a blueprint's file")->required();
    diff->add_option("AFTER", after, "another one")->required();
    diff->callback([&] { chosen = [&] { return cli::diffBlueprints(before, after); }; });
}

// Reliability, clocks of two films, calibration, questions.
void addInstruments(CLI::App& app, Arguments& all) {
    auto& chosen = all.chosen;
    auto& re = all.reliability;
    auto& s = all.sync;
    auto& k = all.calibrate;
    auto& as = all.ask;
    static const std::vector<std::string> kViews(kViewNames.begin(), kViewNames.end());
    auto* reliability = app.add_subcommand("reliability", "Two markings of the same frames: how far they agree");
    reliability->add_option("MARKS_A", re.a, "tracks CSV")->required();
    reliability->add_option("MARKS_B", re.b, "tracks CSV of the same frames, marked again")->required();
    reliability->add_option("--measure", re.measures, "a measure as JSON; may be given again");
    reliability->add_option("--blueprint", re.blueprint, "all measures of a blueprint (name or file)");
    reliability->add_option("--view", re.view, "from where the camera looks")->check(CLI::IsMember(kViews));
    reliability->add_option("--side", re.side, "the weapon hand")->check(CLI::IsMember({"left", "right"}));
    reliability->add_option("--facing", re.facing, "where forward points")
        ->check(CLI::IsMember({"left", "right", "camera", "away"}));
    reliability->add_flag("--json", re.json, "as JSON");
    reliability->callback([&] { chosen = [&] { return cli::reliability(re); }; });

    auto* sync = app.add_subcommand("sync", "Two films of the same movement on one clock");
    sync->add_option("FILM_A", s.filmA, "the first film")->required();
    sync->add_option("FILM_B", s.filmB, "the second film")->required();
    sync->add_option("--at", s.at, "a shared instant as FRAME_A:FRAME_B; two and more give the rate too");
    sync->add_flag("--sound", s.sound, "by their sound tracks");
    sync->add_option("--rate-a", s.rateA, "capture rate of the first film, Hz (else its tag, or its own times)");
    sync->add_option("--rate-b", s.rateB, "capture rate of the second film, Hz");
    sync->add_flag("--json", s.json, "as JSON");
    sync->callback([&] { chosen = [&] { return cli::sync(s); }; });

    auto* calibrate =
        app.add_subcommand("calibrate", "From pixels to the plane: vertical, scale, perspective; with errors");
    calibrate->add_option("--in", k.input, "drawn things as JSON");
    calibrate->add_option("--size", k.size, "the picture as WIDTH,HEIGHT")->capture_default_str();
    calibrate->add_option("--plumb", k.plumb, "a vertical line: x1,y1,x2,y2 in px");
    calibrate->add_option("--horizon", k.horizon, "a level line: x1,y1,x2,y2");
    calibrate->add_option("--length", k.lengths, "a known length: x1,y1,x2,y2,metres; may be given again");
    calibrate->add_option("--point", k.points, "a known point: px,py,x,y with x, y in m (y up); four and more");
    calibrate->add_option("--check", k.checks, "measure another known length: x1,y1,x2,y2,metres");
    calibrate->add_flag("--json", k.json, "as JSON");
    calibrate->callback([&] { chosen = [&] { return cli::calibrate(k); }; });

    auto* ask = app.add_subcommand("ask", "What points clicked on a frame can answer, each with its error");
    ask->add_option("FILM", as.film, "the film")->required();
    ask->add_option("--frame", as.frame, "the frame, from 0")->required();
    ask->add_option("--points", as.points, "X,Y in px, one to four with spaces between");
    ask->add_option("--to", as.secondFrame, "another frame: time between, way, speed");
    ask->add_option("--to-points", as.secondPoints, "the same points on the other frame");
    ask->add_option("--cycles", as.cycles, "counted between the two frames: cycles a minute");
    ask->add_option("--sigma", as.sigma, "standard error of a click, px")
        ->check(CLI::Range(0.0, 1000.0))
        ->capture_default_str();
    ask->add_option("--calibration", as.calibration, "drawn things as JSON, as calibrate reads them");
    ask->add_option("--capture-rate", as.captureRate, "Hz; without it the film's tag, else times are refused");
    ask->add_flag("--json", as.json, "as JSON");
    ask->callback([&] { chosen = [&] { return cli::ask(as); }; });
}

// Films brought in and read.
void addReading(CLI::App& app, Arguments& all) {
    auto& chosen = all.chosen;
    auto& im = all.bringIn;
    auto& rd = all.read;
    static const std::vector<std::string> kViews(kViewNames.begin(), kViewNames.end());
    auto* bringIn = app.add_subcommand("import", "Films and folders of films into a case");
    bringIn->add_option("--library", im.library, "the library's folder")->required();
    bringIn->add_option("FILM", im.films, "films, folders of films, folders of pictures")->required();
    bringIn->add_option("--case", im.caseId, "the case's number (the first one when left out)");
    bringIn->add_option("--today", im.today, "the films' date (2026-11-23)");
    bringIn->add_flag("--refer", im.refer, "leave the films where they are");
    bringIn->callback([&] { chosen = [&] { return cli::bringIn(im); }; });

    auto* read =
        app.add_subcommand("read", "A first reading of a film: body, reps, key positions, measures, findings, all "
                                   "drafts. Frames count from 0");
    read->add_option("FILM", rd.film, "the film")->required();
    read->add_option("--blueprint", rd.blueprint, "a shipped blueprint's name or a file")->capture_default_str();
    read->add_option("--capture-rate", rd.captureRate, "Hz; without it the film's tag, else times are refused");
    read->add_option("--view", rd.view, "from where the camera looks")->check(CLI::IsMember(kViews));
    read->add_option("--facing", rd.facing, "where forward points; seen from heels and toes when left out")
        ->check(CLI::IsMember({"left", "right"}));
    read->add_option("--side", rd.side, "the stronger hand")->check(CLI::IsMember({"left", "right"}));
    read->add_option("--library", rd.library,
                     "keep the film and what was read in this library (made when there is none)");
    read->add_option("--keep", rd.keep,
                     "a file for what is found on the way: a reading that was stopped goes on there");
    read->add_option("--athlete", rd.athlete, "whose film it is");
    read->add_option("--today", rd.today, "the film's date (2026-11-23)");
    read->add_flag("--json", rd.json, "as JSON");
    read->callback([&] { chosen = [&] { return cli::read(rd); }; });
}

// Measures and models, from libraries or from tracks.
void addTracks(CLI::App& app, Arguments& all) {
    auto& chosen = all.chosen;
    auto& tr = all.tracks;
    auto& c = all.ofCase;
    const auto tracksOptions = [&tr](CLI::App* sub) {
        sub->add_option("--blueprint", tr.blueprint, "a shipped blueprint's name or a file")->capture_default_str();
        sub->add_option("--positions", tr.positions,
                        "the reps' key positions as JSON; proposed by the blueprint's rules when left out");
        sub->add_option("--capture-rate", tr.captureRate, "Hz; without it the file's own times are true");
        sub->add_option("--view", tr.view,
                        "from where the camera looks: side, front, rear, or degrees round the athlete for "
                        "motion capture");
        sub->add_option("--side", tr.side, "the weapon hand")->check(CLI::IsMember({"left", "right"}));
        sub->add_option("--facing", tr.facing, "where forward points")
            ->check(CLI::IsMember({"left", "right", "camera", "away"}));
    };
    auto* measure = app.add_subcommand("measure", "Every measure of every marked rep, with its uncertainty");
    auto* ofLibrary = measure->add_option("--library", c.library, "the library's folder");
    measure->add_option("--case", c.caseId, "the case's number (the first one when left out)");
    measure->add_option("--today", c.today, "plan from this day (2026-11-23)");
    measure->add_option("--tracks", tr.tracks, "tracks (CSV, TRC, C3D, BVH) instead of a library")->excludes(ofLibrary);
    tracksOptions(measure);
    measure->add_flag("--json", c.json, "as JSON");
    measure->callback([&] {
        chosen = [&] {
            tr.json = c.json;
            return tr.tracks.empty() ? cli::measure(c) : cli::measureTracks(tr);
        };
    });

    auto* model = app.add_subcommand("model", "Model performances");
    model->require_subcommand(1);
    auto* modelFrom = model->add_subcommand("from", "A model performance from libraries' cases or tracks");
    modelFrom->add_option("IN", tr.inputs, "libraries (their model takes), tracks (CSV, TRC, C3D, BVH)")->required();
    modelFrom->add_option("--out", tr.out, "the model's file")->required();
    modelFrom->add_option("--case", tr.caseId, "only this case of the libraries (all of them when left out)");
    modelFrom->add_option("--name", tr.name, "what it is called");
    modelFrom->add_option("--school", tr.school, "the school it stands for");
    tracksOptions(modelFrom);
    modelFrom->callback([&] { chosen = [&] { return cli::modelFrom(tr); }; });

    auto* convert = app.add_subcommand("convert", "Tracks from one format to another: CSV, TRC, C3D; BVH in");
    convert->add_option("IN", tr.tracks, "the file to read")->required();
    convert->add_option("OUT", tr.out, "the file to write")->required();
    convert->add_option("--view", tr.view,
                        "side, front, or degrees round the athlete, 0 = from in front: what a virtual "
                        "camera sees of motion capture");
    convert->callback([&] { chosen = [&] { return cli::convert(tr); }; });
}

} // namespace

void addFilmCommands(CLI::App& app, Arguments& all) {
    for (const auto add : {addFilms, addMarks, addBlueprints, addInstruments, addReading, addTracks})
        add(app, all);
}

} // namespace riflesso::cli
