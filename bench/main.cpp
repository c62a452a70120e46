// Speed as ratios against a public peer (OpenCV's VideoCapture) on the same clip in the same run. Never a test.

#include "casebook/analysis.h"
#include "casebook/shipped.h"
#include "footage/film.h"
#include "footage/film_writer.h"

#include <opencv2/videoio.hpp>

#include <algorithm>
#include <chrono>
#include <cmath>
#include <cstdio>
#include <functional>
#include <random>

#include <sys/resource.h>

using namespace riflesso;

namespace {

// Processor time of this process and its threads, ms.
double cpu() {
    rusage u{};
    getrusage(RUSAGE_SELF, &u);
    const auto ms = [](const timeval& t) { return 1e3 * static_cast<double>(t.tv_sec) + 1e-3 * static_cast<double>(t.tv_usec); };
    return ms(u.ru_utime) + ms(u.ru_stime);
}
double cpuOf(const std::function<void()>& what) {
    const double before = cpu();
    what();
    return cpu() - before;
}

// Median of some runs, ms.
double timed(int runs, const std::function<void()>& what) {
    std::vector<double> ms;
    for (int i = 0; i < runs; ++i) {
        const auto start = std::chrono::steady_clock::now();
        what();
        ms.push_back(std::chrono::duration<double, std::milli>(std::chrono::steady_clock::now() - start).count());
    }
    std::sort(ms.begin(), ms.end());
    return ms[ms.size() / 2];
}

void row(const char* what, double ours, double peer, double budget) {
    std::printf("%-34s %9.2f ms  peer %9.2f ms  ratio %.2f  (budget %.2f)\n", what, ours, peer, ours / peer, budget);
}

// 1080p60 with B-frames and groups of 60: textured movement and noise, as heavy as a real film.
std::filesystem::path makeClip() {
    const auto path = std::filesystem::temp_directory_path() / "riflesso-bench.mp4";
    FilmWriterOptions o;
    o.width = 1920;
    o.height = 1080;
    o.rate = Hertz(60);
    o.keyFrameEvery = 60;
    o.bFrames = 3;
    o.evenBFrames = true;
    o.quality = 20;
    auto writer = FilmWriter::create(path, o);
    std::mt19937 random(1);
    Picture p(o.width, o.height);
    for (int f = 0; writer && f < 240; ++f) {
        for (int y = 0; y < o.height; ++y)
            for (int x = 0; x < o.width; ++x) {
                const int texture = ((x + 5 * f) * 13 ^ (y - 3 * f) * 7) & 63;
                const auto v = static_cast<std::uint32_t>(90 + texture + static_cast<int>(random() & 3));
                p.pixels[static_cast<std::size_t>(y) * 1920 + static_cast<std::size_t>(x)] =
                    0xff000000u | v << 16 | v << 8 | v;
            }
        if (!(*writer)->add(p))
            break;
    }
    if (writer)
        (void)(*writer)->finish();
    return path;
}

// A dense take of `reps` reps of 33 frames, all landmarks marked.
CaseData denseCase(int reps) {
    CaseData data;
    Take take;
    take.id = 1;
    take.captureRate = 120;
    take.facing = Facing::left;
    const auto blueprint = shippedBlueprint("fencing-lunge");
    for (int f = 0; f < reps * 33; ++f) {
        take.times.push_back(f / 30.0);
        int k = 0;
        for (const auto& role : blueprint->landmarks)
            data.marks[1][resolveRole(role, Side::right)][FrameIndex(f)] = {
                {400 + 40 * std::sin(f * 0.2 + k), 300 + 20.0 * ++k}, 1.5, How::hand};
    }
    data.takes[1] = take;
    for (int r = 0; r < reps; ++r) {
        Rep rep{r + 2, 1, r + 1, {}};
        int at = r * 33 + 2;
        for (const auto& p : blueprint->positions)
            rep.positions[p.id] = {FrameIndex(at += 4), std::nullopt};
        data.reps[rep.id] = rep;
    }
    return data;
}

} // namespace

int main() {
    const auto clip = makeClip();
    const std::string file = clip.string();
    row("open and index 1080p60", timed(7, [&] { (void)Film::open(clip); }),
        timed(7, [&] { cv::VideoCapture c(file); }), 0.6);

    std::vector<int> order;
    std::mt19937 random(7);
    for (int i = 0; i < 16; ++i)
        order.push_back(static_cast<int>(random() % 238));
    const auto film = Film::open(clip, {.cacheBytes = 8u << 20, .cache = {}, .indexFolder = {}, .progress = {}}); // a cache of two frames: every seek is a real one
    cv::VideoCapture capture(file);
    cv::Mat picture;
    if (film) {
        const double ours = timed(3,
                                  [&] {
                                      for (int f : order)
                                          (void)(*film)->frame(FrameIndex(f));
                                  }) /
                            16;
        const double peer = timed(3,
                                  [&] {
                                      for (int f : order) {
                                          capture.set(cv::CAP_PROP_POS_FRAMES, f);
                                          capture.read(picture);
                                      }
                                  }) /
                            16;
        row("cpu seek", cpuOf([&] {
                                      for (int f : order)
                                          (void)(*film)->frame(FrameIndex(f));
                                  }) /
                            16, cpuOf([&] {
                                      for (int f : order) {
                                          capture.set(cv::CAP_PROP_POS_FRAMES, f);
                                          capture.read(picture);
                                      }
                                  }) /
                            16, 0.4);
        row("random exact seek", ours, peer, 0.4);
        const auto cached = Film::open(clip);
        (void)(*cached)->frame(FrameIndex(119));
        int at = 119;
        const double back = timed(40, [&] { (void)(*cached)->frame(FrameIndex(at--)); });
        int peerAt = 119;
        const double peerBack = timed(5, [&] {
            capture.set(cv::CAP_PROP_POS_FRAMES, peerAt--);
            capture.read(picture);
        });
        row("one step back", back, peerBack, 1.0 / 30);
    }
    const auto blueprint = shippedBlueprint("fencing-lunge");
    for (int reps : {6, 60}) {
        const CaseData data = denseCase(reps);
        const Analysis once = analyse(data, *blueprint, Day{});
        std::printf("evaluate a blueprint, %3d reps, %4d frames  %7.2f ms  (budget 50 ms at 60 reps)\n", reps,
                    reps * 33, timed(5, [&] { (void)analyse(data, *blueprint, Day{}, once.motions); }));
    }
    std::filesystem::remove(clip);
    return 0;
}
