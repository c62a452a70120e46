// riflesso-cli: the same job without a window.

#include "cli/options.h"

#include <CLI/CLI.hpp>

#include <QGuiApplication>

#include <clocale>
#include <cstdio>
#include <sys/stat.h>

int main(int argc, char** argv) {
    using namespace riflesso;
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
    cli::Arguments all;
    cli::addFilmCommands(app, all);
    cli::addCaseCommands(app, all);
    cli::addTakingHome(app, all.home, all.chosen);
    cli::addPeople(app, all.people, all.chosen);

    try {
        app.parse(argc, argv);
    } catch (const CLI::ParseError& e) {
        return app.exit(e) == 0 ? 0 : 2;
    }
    const Status status = all.chosen();
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
