// riflesso-cli: the same job without a window.

#include "cli/commands.h"

#include <CLI/CLI.hpp>

#include <QGuiApplication>

#include <clocale>
#include <cstdio>
#include <functional>
#include <sys/stat.h>

int main(int argc, char** argv) {
    using namespace riflesso;
    const std::vector<std::string> kViews(kViewNames.begin(), kViewNames.end());
    ::umask(0077); // films of people: for their owner's eyes
    // Reports need fonts, which need a platform; none of the commands needs a screen.
    qputenv("QT_QPA_PLATFORM", "offscreen");
    // Scripts read one line on standard error when something fails; what Qt thinks of the session is not it.
    qInstallMessageHandler([](QtMsgType type, const QMessageLogContext&, const QString& text) {
        if (type >= QtCriticalMsg)
            std::fprintf(stderr, "riflesso-cli: %s\n", qPrintable(text));
    });
    QGuiApplication application(argc, argv);
    std::setlocale(LC_NUMERIC, "C"); // Qt took the system's; scripts read points
    application.setApplicationName("riflesso-cli");

    CLI::App app{"From film to the next right drill, with every number honest about its error.", "riflesso-cli"};
    app.require_subcommand(1);
    app.set_version_flag("--version", RIFLESSO_VERSION);
    cli::FilmArguments f;
    cli::CaseArguments c;
    std::function<Status()> chosen;

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

    cli::CarryArguments ca;
    auto* carry = app.add_subcommand("carry", "Follow hand marks from frame to frame through a film");
    carry->add_option("FILM", ca.film, "the film")->required();
    carry->add_option("--marks", ca.marks, "tracks CSV with the marks made by hand")->required();
    carry->add_option("--out", ca.out, "tracks CSV to write: the hand marks and the carried ones")->required();
    carry->add_option("--from", ca.from, "first frame (the first marked one when left out)");
    carry->add_option("--to", ca.to, "last frame (the film's last when left out)");
    carry->add_option("--landmarks", ca.landmarks, "only these, with commas between");
    carry->add_option("--capture-rate", ca.captureRate, "Hz; without it the film's tag, or its own times");
    carry->callback([&] { chosen = [&] { return cli::carry(ca); }; });

    cli::FindArguments fi;
    auto* find = app.add_subcommand("find", "A draft of the body's landmarks through a film, found by a body model");
    find->add_option("FILM", fi.film, "the film")->required();
    find->add_option("--out", fi.out, "tracks CSV to write")->required();
    find->add_option("--frame", fi.frame, "the frame that the box is drawn on")->capture_default_str();
    find->add_option("--box", fi.box, "X,Y,W,H round the athlete, px; without it the most prominent person");
    find->add_option("--model", fi.model, "lite, full or heavy")->capture_default_str();
    find->add_option("--from", fi.from, "first frame");
    find->add_option("--to", fi.to, "last frame");
    find->callback([&] { chosen = [&] { return cli::find(fi); }; });

    std::string before, after;
    auto* blueprint = app.add_subcommand("blueprint", "Is a blueprint sound, and what changed in it");
    blueprint->require_subcommand(1);
    auto* check = blueprint->add_subcommand("check", "All that is wrong with it, each with its place");
    check->add_option("FILE", before, "a blueprint's file")->required();
    check->callback([&] { chosen = [&] { return cli::checkBlueprint(before); }; });
    auto* diff = blueprint->add_subcommand("diff", "Two versions side by side, in words");
    diff->add_option("BEFORE", before, "a blueprint's file")->required();
    diff->add_option("AFTER", after, "another one")->required();
    diff->callback([&] { chosen = [&] { return cli::diffBlueprints(before, after); }; });

    cli::PositionsArguments po;
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

    cli::ReliabilityArguments re;
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

    cli::SyncArguments s;
    auto* sync = app.add_subcommand("sync", "Two films of the same movement on one clock");
    sync->add_option("FILM_A", s.filmA, "the first film")->required();
    sync->add_option("FILM_B", s.filmB, "the second film")->required();
    sync->add_option("--at", s.at, "a shared instant as FRAME_A:FRAME_B; two and more give the rate too");
    sync->add_flag("--sound", s.sound, "by their sound tracks");
    sync->add_option("--rate-a", s.rateA, "capture rate of the first film, Hz (else its tag, or its own times)");
    sync->add_option("--rate-b", s.rateB, "capture rate of the second film, Hz");
    sync->add_flag("--json", s.json, "as JSON");
    sync->callback([&] { chosen = [&] { return cli::sync(s); }; });

    cli::CalibrateArguments k;
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

    cli::ImportArguments im;
    auto* bringIn = app.add_subcommand("import", "Films and folders of films into a case");
    bringIn->add_option("--library", im.library, "the library's folder")->required();
    bringIn->add_option("FILM", im.films, "films, folders of films, folders of pictures")->required();
    bringIn->add_option("--case", im.caseId, "the case's number (the first one when left out)");
    bringIn->add_option("--today", im.today, "the films' date (2026-11-23)");
    bringIn->add_flag("--refer", im.refer, "leave the films where they are");
    bringIn->callback([&] { chosen = [&] { return cli::bringIn(im); }; });

    cli::ReadArguments rd;
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

    cli::GateArguments ga;
    auto* gate = app.add_subcommand("gate", "Step up, stay, step down or count more: from the reps of a block");
    gate->add_option("--reps", ga.reps, "G for good, B for bad, as GGBGG")->required();
    gate->add_flag("--json", ga.json, "as JSON");
    gate->callback([&] { chosen = [&] { return cli::gate(ga); }; });

    cli::TableArguments ta;
    struct TableCommand {
        const char *name, *help, *option, *columns;
        Status (*run)(const cli::TableArguments&);
    };
    const TableCommand tableCommands[] = {
        {"breaks", "Where under stress a skill breaks, from reps by stage", "--table", "CSV stage,inside", cli::breaks},
        {"line", "A straight line through points with errors in both coordinates", "--points", "CSV x,ux,y,uy",
         cli::line},
        {"agree", "How far two people's verdicts agree (Cohen's kappa)", "--table",
         "CSV of two columns of verdicts, with a header", cli::agree}};
    for (const auto& command : tableCommands) {
        auto* sub = app.add_subcommand(command.name, command.help);
        sub->add_option(command.option, ta.file, command.columns)->required();
        if (command.run == cli::line)
            sub->add_option("--level", ta.level, "at which x the line reaches this y");
        sub->add_flag("--json", ta.json, "as JSON");
        sub->callback([&, run = command.run] { chosen = [&ta, run] { return run(ta); }; });
    }
    auto* progress = app.add_subcommand("progress", "Did it move, and when: a step, a drift or nothing");
    auto* history = progress->add_option("--history", ta.file, "CSV day,value,u,stage,pause instead of a library");
    progress->add_option("--library", c.library, "the library's folder")->excludes(history);
    progress->add_option("--case", c.caseId, "the case's number (the first one when left out)");
    progress->add_option("--today", c.today, "the day that counts as today (2026-11-23)");
    progress->add_option("--measure", c.measure, "only this measure; of the focus when left out");
    progress->add_flag("--json", ta.json, "as JSON");
    progress->callback([&] {
        if (c.library.empty() && ta.file.empty())
            throw CLI::RequiredError("--library or --history");
        chosen = [&] {
            c.json = ta.json;
            return ta.file.empty() ? cli::progress(c) : cli::history(ta);
        };
    });

    cli::AskArguments as;
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

    auto* demo = app.add_subcommand("demo", "Make the demo library in a folder (films are made once and kept)");
    demo->add_option("DIR", c.library, "the folder")->required();
    demo->add_option("--films", c.films, "where made films are kept between runs");
    demo->add_flag("--rest", c.restOnly, "add the others to a demo that is there; a program may have it open");
    demo->add_flag("--first-only", c.firstOnly, "only the first athlete, not her squad and the other techniques");
    demo->add_option("--today", c.today, "the demo's dates count back from here (2026-11-23)");
    demo->callback([&] { chosen = [&] { return cli::demo(c); }; });

    cli::TracksArguments tr;
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

    cli::SimulateArguments si;
    auto* simulate = app.add_subcommand("simulate", "A film of the simulated athlete, with its truth and marks");
    simulate->add_option("TECHNIQUE", si.technique, "a shipped blueprint's name")->required();
    simulate->add_option("DIR", si.out, "the folder for the film");
    simulate->add_option("--view", si.view, "side or front")->check(CLI::IsMember({"side", "front"}));
    simulate->add_option("--fault", si.faults, "a fault and its size, as knee_gives=0.02; several times");
    simulate->add_option("--reps", si.reps, "reps or cycles");
    simulate->add_option("--seed", si.seed, "of the variation from rep to rep");
    simulate->add_option("--rate", si.rate, "capture rate, Hz")->check(CLI::Range(10.0, 1000.0));
    simulate->add_option("--stored", si.stored, "rate of the file, Hz: slow motion when lower")
        ->check(CLI::Range(5.0, 1000.0));
    simulate->add_option("--stature", si.stature, "m")->check(CLI::Range(1.2, 2.3));
    simulate->add_option("--variation", si.variation, "0 = every rep alike, 1 = an ordinary good athlete")
        ->check(CLI::Range(0.0, 5.0));
    simulate->add_option("--size", si.size, "of the picture, as 640x360");
    simulate->add_flag("--list", si.list, "only say which faults there are");
    simulate->callback([&] { chosen = [&] { return cli::simulate(si); }; });

    auto* convert = app.add_subcommand("convert", "Tracks from one format to another: CSV, TRC, C3D; BVH in");
    convert->add_option("IN", tr.tracks, "the file to read")->required();
    convert->add_option("OUT", tr.out, "the file to write")->required();
    convert->add_option("--view", tr.view,
                        "side, front, or degrees round the athlete, 0 = from in front: what a virtual "
                        "camera sees of motion capture");
    convert->callback([&] { chosen = [&] { return cli::convert(tr); }; });

    struct CaseCommand {
        const char* name;
        const char* help;
        Status (*run)(const cli::CaseArguments&);
    };
    const CaseCommand commands[] = {
        {"compare", "The newest session against its targets", cli::compare},
        {"findings", "Strengths, findings in order, the focus and why", cli::findings},
        {"sets", "The sets of reps, or reps put into one", cli::sets},
        {"tally", "What was seen by eye of each player in the films", cli::tally},
        {"report", "The report as PDF and HTML", cli::report},
        {"tracks", "A take's marks as CSV, out and in; without a take, the list of takes", cli::tracks}};
    for (const auto& command : commands) {
        auto* sub = app.add_subcommand(command.name, command.help);
        auto* from = sub->add_option("--library", c.library, "the library's folder");
        if (command.run == cli::compare) {
            sub->add_option("--tables", ta.tables,
                            "two tables instead of a library, before and after: CSV "
                            "rep,measure,value,u,u_shared,camera")
                ->expected(2)
                ->excludes(from);
        } else
            from->required();
        sub->add_option("--case", c.caseId, "the case's number (the first one when left out)");
        sub->add_option("--today", c.today, "plan from this day (2026-11-23)");
        if (command.run == cli::compare || command.run == cli::findings) {
            sub->add_option(command.run == cli::compare ? "--above" : "--set", c.above,
                            "the set that is judged: \"2026-11-22 before\" or its name (the newest when left out)");
            sub->add_option("--below", c.below, "another set in the model's place");
            sub->add_option("--model", c.model, "which model, by name; \"\" = all together (the one with most reps)");
            sub->add_option("--situation", c.situation, "only reps of this situation; \"\" = all");
        }
        if (command.run == cli::sets) {
            sub->add_option("--put", c.put, "put reps into a set of this name");
            sub->add_option("--reps", c.reps, "their numbers in the library, with commas between");
        }
        if (std::string(command.name) == "report")
            sub->add_option("--out", c.out, "the folder to write report.pdf and report.html to")->required();
        else if (std::string(command.name) == "tracks") {
            sub->add_option("--take", c.take, "the take's number");
            auto* out = sub->add_option("--out", c.out, "write its marks to this file");
            sub->add_option("--in", c.in, "take the marks of this file over")->excludes(out);
        } else
            sub->add_flag("--json", c.json, "as JSON");
        sub->callback([&, run = command.run] {
            if (c.library.empty() && ta.tables.empty())
                throw CLI::RequiredError("--library or --tables");
            chosen = [&c, &ta, run] {
                ta.json = c.json;
                return run == cli::compare && !ta.tables.empty() ? cli::compareTables(ta) : run(c);
            };
        });
    }

    cli::TakeHomeArguments home;
    cli::addTakingHome(app, home, chosen);
    cli::PeopleArguments people;
    cli::addPeople(app, people, chosen);

    auto* plan = app.add_subcommand("plan", "Drills for the focus laid on the coming weeks; bent by hand");
    plan->add_option("--library", c.library, "the library's folder")->required();
    plan->add_option("--case", c.caseId, "the case's number (the first one when left out)");
    plan->add_option("--today", c.today, "plan from this day (2026-11-23)");
    plan->add_option("--weeks", c.weeks, "how many weeks, 1 to 12")->capture_default_str();
    plan->add_option("--regime", c.regime, "rebuild, often, keep or competition")
        ->check(CLI::IsMember({"rebuild", "often", "keep", "competition"}));
    plan->add_option("--reason", c.reason, "why, of a change by hand");
    plan->add_option("--by", c.name, "who makes it");
    plan->add_flag("--keep", c.keep, "keep it: from then on it stands and changes as little as possible");
    plan->add_flag("--json", c.json, "as JSON");
    plan->require_subcommand(0, 1);
    plan->callback([&] {
        if (!chosen)
            chosen = [&] { return cli::plan(c); };
    });
    for (const auto& [name, help] :
         std::initializer_list<std::pair<const char*, const char*>>{{"move", "A block to another day"},
                                                                    {"lock", "A block stays where it is"},
                                                                    {"unlock", "A block may change again"},
                                                                    {"drop", "Take a block away"},
                                                                    {"done", "Tick a block off"}}) {
        auto* by = plan->add_subcommand(name, help);
        by->fallthrough();
        by->add_option("BLOCK", c.block, "its number, as plan --json says after plan --keep")->required();
        if (std::string(name) == "move")
            by->add_option("DAY", c.day, "where to (2026-12-04)")->required();
        by->callback([&, verdict = std::string(name)] {
            c.verdict = verdict;
            chosen = [&] { return cli::planBlock(c); };
        });
    }
    auto* ics = plan->add_subcommand("ics", "The plan as a calendar file");
    ics->fallthrough();
    ics->add_option("OUT", c.out, "the file to write")->required();
    ics->add_flag("--home", c.homeOnly, "only what is done at home");
    ics->callback([&] { chosen = [&] { return cli::planCalendar(c); }; });

    auto* busy = plan->add_subcommand("busy", "Busy hours and competitions from a calendar file");
    busy->fallthrough();
    busy->add_option("FILE", c.in, "the calendar (.ics)")->required();
    busy->add_option("--competition", c.reason, "events with these words in their names are competitions");
    busy->callback([&] { chosen = [&] { return cli::planBusy(c); }; });

    auto* practice = app.add_subcommand("practice", "Blocks of practice");
    practice->require_subcommand(1);
    auto* log = practice->add_subcommand("log", "Count a block");
    log->add_option("CASE", c.caseId, "the case's number")->required();
    log->add_option("--library", c.library, "the library's folder")->required();
    log->add_option("--drill", c.drill, "the drill's id")->required();
    log->add_option("--reps", c.verdicts, "G for good, B for bad, as GGBGG")->required();
    log->add_option("--reason", c.reason, "what was wrong with the bad ones");
    log->add_option("--variation", c.variation, "the way they were fed or done: one for all, or one a rep with commas");
    log->add_option("--today", c.today, "the day (2026-11-23)");
    log->callback([&] { chosen = [&] { return cli::logPractice(c); }; });
    auto* list = practice->add_subcommand("list", "What was practised");
    list->add_option("--library", c.library, "the library's folder")->required();
    list->add_option("--case", c.caseId, "the case's number (the first one when left out)");
    list->add_option("--today", c.today, "the day that counts as today (2026-11-23)");
    list->add_flag("--json", c.json, "as JSON");
    list->callback([&] { chosen = [&] { return cli::listPractice(c); }; });

    auto* decide = app.add_subcommand("decide", "Take a finding up, park it, reject it, or close what was decided");
    decide->add_option("CASE", c.caseId, "the case's number")->required();
    decide->add_option("FAULT", c.fault, "the fault's id")->required();
    decide->add_option("WHAT", c.verdict, "take, park, reject or close")
        ->required()
        ->check(CLI::IsMember({"take", "park", "reject", "close"}));
    decide->add_option("--library", c.library, "the library's folder")->required();
    decide->add_option("--reason", c.reason, "why: build, age, old injury, taste, or your own words");
    decide->add_option("--today", c.today, "the day of the decision (2026-11-23)");
    decide->add_flag("--json", c.json, "as JSON");
    decide->callback([&] { chosen = [&] { return cli::decide(c); }; });

    auto* models = app.add_subcommand("models", "The model shelf: models that every case of a technique may use");
    models->add_option("WHAT", c.verdict, "list; keep: this case's model films; use: in this case; remove")
        ->required()
        ->check(CLI::IsMember({"list", "keep", "use", "remove"}));
    models->add_option("--library", c.library, "the library's folder")->required();
    models->add_option("--case", c.caseId, "the case's number");
    models->add_option("--name", c.name, "the model's name on the shelf");
    models->add_option("--situation", c.situation, "keep: what the model answers");
    models->add_option("--by", c.reason, "keep: who puts it there");
    models->add_option("--today", c.today, "keep: the day (2026-11-23)");
    models->add_flag("--json", c.json, "as JSON");
    models->callback([&] { chosen = [&] { return cli::models(c); }; });

    auto* drills = app.add_subcommand("drills", "The coach's own drills, kept beside a library");
    drills->add_option("WHAT", c.verdict, "list, add or remove")
        ->required()
        ->check(CLI::IsMember({"list", "add", "remove"}));
    drills->add_option("--library", c.library, "the library's folder")->required();
    drills->add_option("--technique", c.technique, "add: the blueprint's id");
    drills->add_option("--faults", c.fault, "add: what it answers, ids with commas between");
    drills->add_option("--file", c.file, "add: a drill as it stands in a blueprint's list, as JSON");
    drills->add_option("--drill", c.drill, "remove: its id");
    drills->add_flag("--json", c.json, "as JSON");
    drills->callback([&] { chosen = [&] { return cli::drills(c); }; });

    try {
        app.parse(argc, argv);
    } catch (const CLI::ParseError& e) {
        return app.exit(e) == 0 ? 0 : 2;
    }
    const Status status = chosen();
    if (!status) {
        std::fprintf(stderr, "riflesso-cli: %s\n", status.error().text().c_str());
        return 1;
    }
    if (std::fflush(stdout) != 0 || std::ferror(stdout)) {
        std::fprintf(stderr, "riflesso-cli: standard output: the result could not be written; is the disk full?\n");
        return 1;
    }
    return 0;
}
