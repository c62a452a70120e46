// riflesso-cli: the same job without a window.

#include "cli/commands.h"

#include <CLI/CLI.hpp>

#include <QGuiApplication>

#include <cstdio>
#include <functional>

int main(int argc, char** argv) {
    using namespace riflesso;
    // Reports need fonts, which need a platform; none of the commands needs a screen.
    qputenv("QT_QPA_PLATFORM", "offscreen");
    // Scripts read one line on standard error when something fails; what Qt thinks of the session is not it.
    qInstallMessageHandler([](QtMsgType type, const QMessageLogContext&, const QString& text) {
        if (type >= QtCriticalMsg)
            std::fprintf(stderr, "riflesso-cli: %s\n", qPrintable(text));
    });
    QGuiApplication application(argc, argv);
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

    auto* frame = app.add_subcommand("frame", "Exactly frame N of a film as PNG (0-based, in presentation order)");
    frame->add_option("FILM", f.film, "the film")->required();
    frame->add_option("N", f.frame, "the frame")->required();
    frame->add_option("OUT", f.out, "the PNG to write")->required();
    frame->callback([&] { chosen = [&] { return cli::frame(f); }; });

    auto* series = app.add_subcommand("series", "A measure over time from tracks");
    series->add_option("--tracks", f.tracks, "tracks CSV: time_s,frame,landmark,x_px,y_px,sigma_px,how")->required();
    series->add_option("--measure", f.measure, "the measure as JSON")->required();
    series->add_option("--cutoff", f.cutoff, "effective cut-off of both passes in Hz, auto or none")
        ->capture_default_str();
    series->add_option("--capture-rate", f.captureRate, "Hz; without it the file's own times are true");
    series->add_option("--side", f.side, "the weapon hand, for roles like lead_knee")
        ->check(CLI::IsMember({"left", "right"}));
    series->add_option("--facing", f.facing, "where forward points")->check(CLI::IsMember({"left", "right", "camera"}));
    series->add_flag("--json", f.json, "as JSON");
    series->callback([&] { chosen = [&] { return cli::series(f); }; });

    auto* demo = app.add_subcommand("demo", "Make the demo library in a folder (films are made once and kept)");
    demo->add_option("DIR", c.library, "the folder")->required();
    demo->add_option("--films", c.films, "where made films are kept between runs");
    demo->add_option("--today", c.today, "the demo's dates count back from here (2026-11-23)");
    demo->callback([&] { chosen = [&] { return cli::demo(c); }; });

    struct CaseCommand {
        const char* name;
        const char* help;
        Status (*run)(const cli::CaseArguments&);
    };
    const CaseCommand commands[] = {
        {"measure", "Every measure of every marked rep, with its uncertainty", cli::measure},
        {"compare", "The newest session against its targets", cli::compare},
        {"findings", "Strengths, findings in order, the focus and why", cli::findings},
        {"plan", "Drills for the focus on the next two weeks", cli::plan},
        {"report", "The report as PDF and HTML", cli::report},
        {"tracks", "A take's marks as CSV, out and in; without a take, the list of takes", cli::tracks}};
    for (const auto& command : commands) {
        auto* sub = app.add_subcommand(command.name, command.help);
        sub->add_option("--library", c.library, "the library's folder")->required();
        sub->add_option("--case", c.caseId, "the case's number (the first one when left out)");
        sub->add_option("--today", c.today, "plan from this day (2026-11-23)");
        if (std::string(command.name) == "report")
            sub->add_option("--out", c.out, "the folder to write report.pdf and report.html to")->required();
        else if (std::string(command.name) == "tracks") {
            sub->add_option("--take", c.take, "the take's number");
            auto* out = sub->add_option("--out", c.out, "write its marks to this file");
            sub->add_option("--in", c.in, "take the marks of this file over")->excludes(out);
        } else
            sub->add_flag("--json", c.json, "as JSON");
        sub->callback([&, run = command.run] { chosen = [&c, run] { return run(c); }; });
    }

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
