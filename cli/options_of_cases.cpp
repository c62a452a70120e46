#include "cli/options.h"

#include <initializer_list>
#include <string>
#include <utility>
#include <vector>

namespace riflesso::cli {
namespace {

// What is told from tables, without a library.
void addTables(CLI::App& app, Arguments& all) {
    auto& chosen = all.chosen;
    auto& ga = all.gate;
    auto& ta = all.table;
    auto& c = all.ofCase;
    auto* gate = app.add_subcommand("gate", "Step up, stay, step down or count more: from the reps of a block");
    gate->add_option("--reps", ga.reps, "G for good, B for bad, as GGBGG")->required();
    gate->add_flag("--json", ga.json, "as JSON");
    gate->callback([&] { chosen = [&] { return cli::gate(ga); }; });

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
}

// The demo and films of the simulated athlete.
void addSimulator(CLI::App& app, Arguments& all) {
    auto& chosen = all.chosen;
    auto& c = all.ofCase;
    auto& si = all.simulate;
    auto* demo = app.add_subcommand("demo", "Make the demo library in a folder (films are made once and kept)");
    demo->add_option("DIR", c.library, "the folder")->required();
    demo->add_option("--films", c.films, "where made films are kept between runs");
    demo->add_flag("--rest", c.restOnly, "add the others to a demo that is there; a program may have it open");
    demo->add_flag("--first-only", c.firstOnly, "only the first athlete, not her squad and the other techniques");
    demo->add_option("--today", c.today, "the demo's dates count back from here (2026-11-23)");
    demo->callback([&] { chosen = [&] { return cli::demo(c); }; });

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
}

// What a case of a library says.
void addCases(CLI::App& app, Arguments& all) {
    auto& chosen = all.chosen;
    auto& c = all.ofCase;
    auto& ta = all.table;
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
}

// The plan.
void addPlan(CLI::App& app, Arguments& all) {
    auto& chosen = all.chosen;
    auto& c = all.ofCase;
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
}

// Practice and decisions.
void addPractice(CLI::App& app, Arguments& all) {
    auto& chosen = all.chosen;
    auto& c = all.ofCase;
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
}

// Models and drills kept beside a library.
void addShelves(CLI::App& app, Arguments& all) {
    auto& chosen = all.chosen;
    auto& c = all.ofCase;
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
}

} // namespace

void addCaseCommands(CLI::App& app, Arguments& all) {
    for (const auto add : {addTables, addSimulator, addCases, addPlan, addPractice, addShelves})
        add(app, all);
}

} // namespace riflesso::cli
