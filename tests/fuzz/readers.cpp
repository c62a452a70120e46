// What every reader does with any bytes at all: an error in words or a value, never a crash, never endless memory. One
// program a reader, chosen by RIFLESSO_READER; libFuzzer calls it. What is accepted is written and read once more where
// the program does so itself: it must be accepted again.

#include "core/technique/blueprint.h"
#include "files/write_file.h"
#include "finder/model_file.h"
#include "footage/film.h"
#include "footage/film_index.h"
#include "handover/review.h"
#include "intake/found_file.h"
#include "library/blueprint_json.h"
#include "library/bundle.h"
#include "library/calendar_file.h"
#include "library/case_json.h"
#include "library/csv_table.h"
#include "library/library.h"
#include "library/measure_json.h"
#include "library/model_json.h"
#include "library/motion_capture.h"
#include "library/tracks_csv.h"

#include <cmath>
#include <cstdint>
#include <cstdio>
#include <cstdlib>
#include <string>
#include <unistd.h>

using namespace riflesso;

namespace {

void demand(bool holds, const char* what) {
    if (holds)
        return;
    std::fprintf(stderr, "broken promise: %s\n", what);
    std::abort();
}

// Some readers take a file.
class ScratchFile {
public:
    explicit ScratchFile(const char* suffix)
        : m_path(std::filesystem::temp_directory_path() / ("riflesso-fuzz-" + std::to_string(::getpid()) + suffix)) {}
    ~ScratchFile() {
        std::error_code ignored;
        std::filesystem::remove(m_path, ignored);
    }
    const std::filesystem::path& holding(const std::string& bytes) const {
        demand(writeFile(m_path, bytes).ok(), "the scratch file can be written");
        return m_path;
    }

private:
    std::filesystem::path m_path;
};

[[maybe_unused]] void finite(const TrackSet& tracks) {
    for (const auto& [name, track] : tracks)
        for (const auto& [frame, mark] : track)
            demand(std::isfinite(mark.at.x) && std::isfinite(mark.at.y) && frame.value >= 0, "marks have places");
}

void read(const std::string& text) {
    const std::string name = "fuzzed";
#if defined(READ_csv)
    if (const auto t = tracksFromCsv(text, name)) {
        finite(t->tracks);
        demand(tracksFromCsv(tracksToCsv(t->tracks, t->times), name).ok(), "written tracks can be read");
    }
    (void)tableFromCsv(text, name, {"rep", "measure", "value"});
#elif defined(READ_blueprint)
    if (const auto b = blueprintFromJson(text, name))
        demand(blueprintFromJson(blueprintToJson(*b), name).ok(), "a written blueprint can be read");
    (void)measureFromJson(text);
#elif defined(READ_rows)
    (void)athleteFromJson(text);
    (void)briefFromJson(text);
    (void)takeFromJson(text);
    (void)repFromJson(text);
    (void)blockFromJson(text);
    (void)linkFromJson(text);
    (void)repeatFromJson(text);
    (void)decisionFromJson(text);
    (void)plannedFromJson(text);
    (void)calibrationFromJson(text);
    (void)modelFromJson(text, name);
    (void)placedRepsFromJson(text, name);
#elif defined(READ_bvh)
    (void)captureFromBvh(text, name);
#elif defined(READ_c3d)
    (void)captureFromC3d(text, name);
#elif defined(READ_trc)
    (void)captureFromTrc(text, name);
#elif defined(READ_tflite)
    const auto* bytes = reinterpret_cast<const std::uint8_t*>(text.data());
    (void)readModel({bytes, text.size()}, {0});
#elif defined(READ_calendar)
    (void)eventsFromCalendar(text, name, std::chrono::sys_days{std::chrono::year(2026) / 1 / 1},
                             std::chrono::sys_days{std::chrono::year(2026) / 12 / 31});
#elif defined(READ_film)
    static const ScratchFile file(".mp4");
    if (const auto film = Film::open(file.holding(text)))
        (void)(*film)->frame(FrameIndex(0));
#elif defined(READ_index)
    if (const auto index = indexFromBytes(text))
        for (int f = 0; f < index->frames(); ++f) {
            const auto last = static_cast<int>(index->packets.size());
            demand(index->keyPacketFor(f) >= 0 && index->keyPacketFor(f) < last, "a key packet is among the packets");
            demand(index->lastPacketOf(f) >= 0 && index->lastPacketOf(f) < last, "a last packet is among the packets");
            demand(index->keyFrameFor(f) >= 0 && index->keyFrameFor(f) < index->frames(), "a key frame is a frame");
        }
#elif defined(READ_found)
    static const ScratchFile file(".found");
    for (const auto& [frame, found] : FoundFile::read(file.holding(text)))
        demand(frame.value >= 0, "found frames are frames");
#elif defined(READ_review)
    static const std::filesystem::path folder = [] {
        std::string made = (std::filesystem::temp_directory_path() / "riflesso-fuzz-XXXXXX").string();
        demand(::mkdtemp(made.data()) != nullptr, "a folder can be made");
        return made;
    }();
    demand(writeFile(folder / "review.json", text).ok(), "the review can be written");
    (void)readReview(folder);
#elif defined(READ_bundle)
    static const auto library = [] {
        std::string folder = (std::filesystem::temp_directory_path() / "riflesso-fuzz-XXXXXX").string();
        demand(::mkdtemp(folder.data()) != nullptr, "a folder can be made");
        return std::move(*Library::create(folder + "/library"));
    }();
    static const ScratchFile file(".riflesso");
    (void)lookIntoBundle(*library, file.holding(text));
#else
#error "choose what is read: READ_csv, READ_blueprint, ..."
#endif
}

} // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    read(std::string(reinterpret_cast<const char*>(data), size));
    return 0;
}
