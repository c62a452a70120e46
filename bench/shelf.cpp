#include "bench/shelf.h"

#include "bench/timing.h"
#include "casebook/casebook.h"
#include "casebook/shipped.h"
#include "desktop/shelf/athlete_page.h"
#include "desktop/shelf/shelf_page.h"
#include "desktop/shelf/squad_sheet.h"
#include "desktop/shell/main_window.h"
#include "library/case_card.h"

#include <QApplication>
#include <QLineEdit>
#include <QListView>
#include <QMainWindow>
#include <QTemporaryDir>
#include <QTest>

#include <algorithm>
#include <cstdio>

namespace riflesso {
namespace {

constexpr int kAthletes = 1000, kEach = 3, kTakes = 10;

std::string nameOf(int i) {
    static const char* const first[] = {"Ada", "Bo", "Cleo", "Dan", "Elif", "Finn", "Gita", "Hugo", "Ines", "Jan"};
    return std::string(first[i % 10]) + " " + std::to_string(i);
}

// Cards and takes as the window writes them; the first case has ten takes.
std::unique_ptr<Library> made(const std::filesystem::path& folder, Day today) {
    auto library = Library::create(folder);
    if (!library)
        return nullptr;
    const auto ids = shippedBlueprintIds();
    for (int i = 0; i < kAthletes; ++i) {
        Id person = 0;
        for (int k = 0; k < kEach; ++k) {
            Brief brief;
            brief.athlete.name = nameOf(i);
            brief.athlete.squad = "squad " + std::to_string(i / 40);
            const auto id = (*library)->addCase(ids[static_cast<std::size_t>((i + k) % static_cast<int>(ids.size()))],
                                                brief, person);
            if (!id)
                return nullptr;
            if (person == 0) {
                const auto all = (*library)->cases();
                for (const auto& c : all ? *all : std::vector<CaseSummary>())
                    if (c.id == *id)
                        person = c.athleteId;
            }
            CaseCard card;
            card.next = "Mark six looks";
            CardDetail detail;
            for (int f = 0; f < 6; ++f)
                detail.faults.push_back({"fault" + std::to_string(f), static_cast<Standing>(f % 5), 0.1 * f, {"legs"}});
            card.detail = toJson(detail);
            (void)(*library)->setCard(*id, toJson(card));
            if (i == 0 && k == 0)
                for (int t = 0; t < kTakes; ++t) {
                    Take take;
                    take.id = (*library)->freshId();
                    take.title = "take " + std::to_string(t);
                    take.day = today - std::chrono::days(t);
                    take.width = 1280;
                    take.height = 720;
                    TrackSet tracks;
                    std::vector<Edit> edits;
                    for (int f = 0; f < 600; ++f)
                        take.times.push_back(f / 60.0);
                    edits.push_back(TakeEdit{take.id, {}, take});
                    for (int f = 0; f < 600; f += 4)
                        for (const char* name : {"left_hip", "left_knee", "left_ankle", "left_wrist"})
                            edits.push_back(
                                MarkEdit{{take.id, FrameIndex(f), name}, {}, Mark{{100.0 + f, 200}, 1.0, How::hand}});
                    if (!(*library)->apply(*id, edits))
                        return nullptr;
                }
        }
        if (i % 200 == 199)
            std::fprintf(stderr, "  %d athletes made\n", i + 1);
    }
    return std::move(*library);
}

double shown(QWidget& w) {
    return wall([&] {
        w.resize(1280, 800);
        w.show();
        QApplication::processEvents();
        w.grab();
    });
}

} // namespace

void manyAthletes() {
    QTemporaryDir dir;
    const auto folder = std::filesystem::path(dir.path().toStdString()) / "library";
    const Day today = *dayFromIso("2026-11-23");
    std::printf("%d athletes, %d cases\n", kAthletes, kAthletes * kEach);
    if (!made(folder, today)) {
        std::printf("  the library could not be made\n");
        return;
    }
    QMainWindow empty;
    const double peer = shown(empty);
    std::unique_ptr<MainWindow> window;
    const double start = wall([&] {
        window = std::make_unique<MainWindow>(today);
        window->openLibrary(QString::fromStdString(folder.string()));
        window->showShelf();
        (void)shown(*window);
    });
    row("start to a usable shelf, ms", start, "empty window", 1.5 * peer + 150.0, 1.0, false);
    auto* shelf = window->findChild<ShelfPage*>();
    if (!shelf)
        return;
    std::vector<double> keys;
    shelf->searchField()->setFocus();
    for (const char c : std::string("cleo 42")) {
        keys.push_back(wall([&] {
            QTest::keyClick(shelf->searchField(), c);
            QApplication::processEvents(); // what has changed is painted in it
        }));
    }
    std::sort(keys.begin(), keys.end());
    std::printf("  a key in the search to glass: median %.1f, slowest %.1f ms (asked: 16)\n", keys[keys.size() / 2],
                keys.back());
    shelf->searchField()->clear();
    const double squad = wall([&] {
        auto* sheet = shelf->showSquad();
        QApplication::processEvents();
        if (sheet)
            static_cast<QWidget*>(sheet)->grab();
    });
    std::printf("  the squad sheet of everybody to glass: %.0f ms (asked: 300 for 200 athletes)\n", squad);
    const double page = wall([&] {
        auto* one = shelf->showAthlete(1);
        QApplication::processEvents();
        if (one)
            static_cast<QWidget*>(one)->grab();
    });
    std::printf("  an athlete's page to glass: %.0f ms (asked: 300)\n", page);
    for (auto* w : QApplication::topLevelWidgets())
        if (w != window.get() && w != &empty)
            w->close();
    const double open = wall([&] {
        window->openCase(1);
        QApplication::processEvents();
        window->grab();
    });
    std::printf("  a case of %d takes to glass: %.0f ms (asked: 300)\n", kTakes, open);
}

} // namespace riflesso
