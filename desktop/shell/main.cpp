// riflesso: the window.

#include "desktop/shell/main_window.h"
#include "desktop/shell/settings_dialog.h"
#include "desktop/shell/walk.h"
#include "desktop/theme/language.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QApplication>
#include <QCommandLineParser>
#include <QDate>
#include <QIcon>
#include <QSettings>

#include <clocale>
#include <cstdio>
#include <sys/stat.h>

int main(int argc, char** argv) {
    using namespace riflesso;
    ::umask(0077); // films of people: for their owner's eyes
    bool display =
        !qgetenv("DISPLAY").isEmpty() || !qgetenv("WAYLAND_DISPLAY").isEmpty() || !qgetenv("QT_QPA_PLATFORM").isEmpty();
    for (int i = 1; i < argc; ++i)
        if (QByteArray(argv[i]).startsWith("--walk"))
            display = display || (qputenv("QT_QPA_PLATFORM", "offscreen"), true);
    if (!display) {
        std::fprintf(
            stderr,
            "riflesso: there is no display here. Use riflesso-cli, or --walk FOLDER for pictures of each workspace.\n");
        return 1;
    }
    QApplication app(argc, argv);
    std::setlocale(LC_NUMERIC, "C"); // Qt took the system's
    app.setApplicationName("Riflesso");
    QIcon icon(":/icons/riflesso-48.png");
    icon.addFile(":/icons/riflesso-128.png");
    QApplication::setWindowIcon(icon);
    QGuiApplication::setDesktopFileName("org.riflesso.Riflesso");
    app.setOrganizationName("Riflesso");
    app.setApplicationVersion(RIFLESSO_VERSION);

    QCommandLineParser parser;
    parser.setApplicationDescription("From film to the next right drill, with every number honest about its error.");
    parser.addHelpOption();
    parser.addVersionOption();
    const QCommandLineOption library("library", "Open this library.", "DIR");
    const QCommandLineOption caseId("case", "Open this case of it.", "ID", "0");
    const QCommandLineOption today("today", "Plan from this day instead of the real one (2026-11-23).", "DATE");
    const QCommandLineOption walkTo(
        "walk", "Without a hand: write one picture a workspace, print findings and plan, and end.", "FOLDER");
    const QCommandLineOption dark("dark", "Use the dark theme.");
    const QCommandLineOption size("size", "Size of the window, as 1280x800.", "WxH");
    parser.addPositionalArgument("bundle", "A bundle (.riflesso) to take in.", "[bundle]");
    const QCommandLineOption language("language", "Speak this language: en, it.", "CODE");
    parser.addOptions({library, caseId, today, walkTo, dark, size, language});
    parser.process(app);

    const QString date = parser.isSet(today) ? parser.value(today) : QDate::currentDate().toString(Qt::ISODate);
    const auto day = dayFromIso(date.toStdString());
    if (!day) {
        std::fprintf(stderr, "riflesso: --today must be a date like 2026-11-23\n");
        return 2;
    }
    if (!loadFonts())
        std::fprintf(stderr, "riflesso: the shipped fonts could not be loaded; the system's are used\n");
    const Preferences preferences = parser.isSet(walkTo) ? Preferences() : Preferences::read();
    speakLanguage(parser.isSet(language) ? parser.value(language) : preferences.language);
    setTextPercent(preferences.textPercent);
    useTheme(parser.isSet(dark) || preferences.dark() ? Theme::night() : Theme::light());

    MainWindow window(*day);
    if (parser.isSet(walkTo))
        window.resize(1280, 800);
    if (const auto wh = parser.value(size).split('x'); wh.size() == 2)
        window.resize(wh[0].toInt(), wh[1].toInt());
    if (!parser.isSet(library)) {
        if (!parser.isSet(walkTo))
            window.openStart();
    } else if (!window.openLibrary(parser.value(library), parser.value(caseId).toLongLong())) {
        std::fprintf(stderr, "riflesso: %s\n", qPrintable(window.welcomeError()));
        if (parser.isSet(walkTo))
            return 1;
    }
    if (parser.isSet(walkTo)) {
        if (!window.library()) {
            std::fprintf(stderr, "riflesso: --walk needs --library\n");
            return 2;
        }
        const auto done = walk(window, parser.value(walkTo));
        if (!done) {
            std::fprintf(stderr, "riflesso: %s\n", done.error().text().c_str());
            return 1;
        }
        std::printf("%s\n%s", findingsWords(window.caseView()->bench().book()).c_str(),
                    planWords(window.caseView()->bench().book()).c_str());
        return 0;
    }
    window.show();
    if (const auto named = parser.positionalArguments(); !named.isEmpty() && window.library())
        window.takeBundleIn(named.front());
    return app.exec();
}
