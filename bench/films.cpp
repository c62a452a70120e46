#include "bench/films.h"

#include "bench/mpv.h"
#include "bench/timing.h"
#include "desktop/parts/frame_service.h"
#include "desktop/parts/picture_view.h"
#include "footage/film.h"
#include "footage/film_writer.h"
#include "footage/reel.h"
#include "handover/pictures.h"

#include <opencv2/imgproc.hpp>
#include <opencv2/videoio.hpp>

#include <QApplication>
#include <QImage>
#include <QPainter>
#include <QTemporaryDir>
#include <QTest>

#include <cmath>
#include <cstdlib>
#include <random>
#include <thread>

namespace riflesso {
namespace {

namespace fs = std::filesystem;

template <typename Grey> int codeOf(int width, const Grey& grey) {
    const int step = width / 13;
    int n = 0;
    for (int bit = 0; bit < 12; ++bit)
        n |= (grey(bit * step + step / 2 - 4, 40) > 128) << bit;
    return n;
}

Film::Options small() {
    Film::Options o;
    o.cacheBytes = 8u << 20; // two pictures: every seek is a real one
    return o;
}

} // namespace

double decodingForwards(const fs::path& clip, int frames) {
    const auto film = Film::open(clip, small());
    return wall([&] {
               for (int i = 0; i < frames; ++i)
                   (void)(*film)->decoded(FrameIndex(i));
           }) /
           frames;
}

fs::path makeClip(const Clip& clip, bool variable) {
    const fs::path path =
        fs::temp_directory_path() / (std::string("riflesso-bench-") + clip.name + (variable ? "-v" : "") + ".mp4");
    FilmWriterOptions o;
    o.width = clip.width;
    o.height = clip.height;
    o.rate = Hertz(clip.rate);
    o.keyFrameEvery = 60;
    o.bFrames = 3;
    o.evenBFrames = true;
    o.quality = 20;
    auto writer = FilmWriter::create(path, o);
    std::mt19937 random(1);
    Picture p(o.width, o.height);
    int tick = 0;
    for (int f = 0; writer && f < clip.frames; ++f) {
        for (int y = 0; y < o.height; ++y)
            for (int x = 0; x < o.width; ++x) {
                const int texture = ((x + 5 * f) * 13 ^ (y - 3 * f) * 7) & 63;
                const auto v = static_cast<std::uint32_t>(90 + texture + static_cast<int>(random() & 3));
                p.pixels[static_cast<std::size_t>(y) * static_cast<std::size_t>(o.width) +
                         static_cast<std::size_t>(x)] = 0xff000000u | v << 16 | v << 8 | v;
            }
        const int step = clip.width / 13;
        for (int bit = 0; bit < 12; ++bit)
            for (int y = 20; y < 60; ++y)
                for (int x = bit * step; x < bit * step + step - 8; ++x)
                    p.pixels[static_cast<std::size_t>(y) * static_cast<std::size_t>(o.width) +
                             static_cast<std::size_t>(x)] = f >> bit & 1 ? 0xffffffffu : 0xff000000u;
        if (!(*writer)->add(p, tick))
            break;
        tick += variable ? 1 + f % 3 : 1;
    }
    if (writer)
        (void)(*writer)->finish();
    return path;
}
void exactness(const fs::path& constant, const fs::path& variable, int frames) {
    std::printf("exact frames from random access, of 40 each\n");
    for (const auto& [name, path] : {std::pair{"constant rate", constant}, {"variable rate", variable}}) {
        const auto film = Film::open(path, small());
        cv::VideoCapture peer(path.string());
        cv::Mat m;
        std::mt19937 random(3);
        int ours = 0, theirs = 0;
        for (int i = 0; i < 40; ++i) {
            const int f = static_cast<int>(random() % static_cast<unsigned>(frames));
            const auto p = (*film)->frame(FrameIndex(f));
            ours += p && codeOf(p->width, [&](int x, int y) { return p->at(x, y) & 0xff; }) == f;
            peer.set(cv::CAP_PROP_POS_FRAMES, f);
            theirs += peer.read(m) &&
                      codeOf(m.cols, [&](int x, int y) { return static_cast<int>(m.at<cv::Vec3b>(y, x)[0]); }) == f;
        }
        std::printf("  %-34s %d of 40   OpenCV %d of 40\n", name, ours, theirs);
    }
}

void seeks(const fs::path& clip, int frames) {
    std::printf("random exact seek, ms of processor time a seek\n");
    std::vector<int> order;
    std::mt19937 random(7);
    for (int i = 0; i < 24; ++i)
        order.push_back(static_cast<int>(random() % static_cast<unsigned>(frames)));
    const auto film = Film::open(clip, small());
    cv::VideoCapture capture(clip.string());
    cv::Mat m;
    const double n = static_cast<double>(order.size());
    double waited = 0.0;
    const double ours = cpu([&] {
                            waited = wall([&] {
                                for (int f : order)
                                    (void)(*film)->frame(FrameIndex(f));
                            });
                        }) /
                        n;
    const double theirs = cpu([&] {
                              for (int f : order) {
                                  capture.set(cv::CAP_PROP_POS_FRAMES, f);
                                  capture.read(m);
                              }
                          }) /
                          n;
    row("random exact seek", ours, "OpenCV CAP_PROP_POS_FRAMES", theirs, 0.4);
    std::printf("  one is waited for %.0f ms on average\n", waited / n);
    // The floor: what decoding each frame costs, times the distance to the key frame.
    double distance = 0.0;
    for (int f : order)
        distance += f - (*film)->groupStart(FrameIndex(f)).value + 1;
    const auto again = Film::open(clip, small());
    const double each = cpu([&] {
                            for (int i = 0; i < frames; ++i)
                                (void)(*again)->decoded(FrameIndex(i));
                        }) /
                        frames;
    row("same", ours, "decode time x distance", each * distance / n, 0.85);
}

// Backwards at `rate` steps a second; late: not there when its time has come. In motion it is painted as the window
// does, no larger than it is seen.
Steps backwards(const fs::path& clip, int from, int steps, double rate, std::size_t bytes, bool moving) {
    auto cache = std::make_shared<FrameCache>(bytes);
    Film::Options o;
    o.cache = cache;
    Reel reel(clip, o, {});
    ShowOptions show;
    if (moving) {
        show.longestSide = 1280;
        show.rough = true;
    }
    reel.travel(FrameIndex(from), -1);
    (void)reel.wait(FrameIndex(from), moving);
    reel.travel(FrameIndex(from), -1);
    while (!reel.idle()) // the hand has stood there for a moment
        std::this_thread::sleep_for(std::chrono::milliseconds(5));
    Steps s;
    std::vector<double> ms;
    const auto start = Clock::now();
    for (int i = 1; i <= steps; ++i) {
        std::this_thread::sleep_until(
            start + std::chrono::duration_cast<Clock::duration>(std::chrono::duration<double>(i / rate)));
        const FrameIndex f(from - i);
        reel.travel(f, -1);
        ms.push_back(wall([&] { (void)reel.wait(f, moving)->toPicture(show); }));
        s.late += ms.back() > 1000.0 / rate;
        s.most = std::max(s.most, cache->used());
    }
    s.median = share(ms, 0.5);
    s.p99 = share(ms, 0.99);
    return s;
}

void steppingBack(const fs::path& clip) {
    std::printf("one step back, ms\n");
    const Steps s = backwards(clip, 200, 150, 30.0, 410u << 20, false);
    cv::VideoCapture capture(clip.string());
    cv::Mat m;
    int at = 119;
    const double opencv = timed(7, [&] {
        capture.set(cv::CAP_PROP_POS_FRAMES, at--);
        capture.read(m);
    });
    row("sustained at 30 a second", s.median, "OpenCV", opencv, 1.0 / 30);
    if (const auto mpv = Mpv::open(clip)) {
        const double theirs = mpv->backSteps(2.0, 7);
        if (theirs > 0.0)
            row("same", s.median, "mpv frame-back-step", theirs, 1.0 / 30);
        else
            std::printf("  mpv did not answer\n");
    } else {
        std::printf("  mpv is not installed\n");
    }
    std::printf("  late steps across two key frames: %d of 150, slowest %.1f ms\n", s.late, s.p99);
}

// Flat out, frames a second: every frame of the clip from its end to its start, read ahead by the reel.
void reverse(const fs::path& clip, int frames) {
    std::printf("flat-out reverse play, frames a second\n");
    auto cache = std::make_shared<FrameCache>(410u << 20);
    Film::Options o;
    o.cache = cache;
    Reel reel(clip, o, {});
    (void)reel.wait(FrameIndex(0));
    const double back = wall([&] {
        for (int i = frames - 1; i >= 0; --i) {
            reel.travel(FrameIndex(i), -1);
            (void)reel.wait(FrameIndex(i));
        }
    });
    row("backwards", 1000.0 * frames / back, "own forward loop", 1000.0 / decodingForwards(clip, frames), 0.8, true);
    const double ffmpeg = wall([&] {
        if (std::system(("ffmpeg -v error -threads 2 -i " + clip.string() + " -f null - < /dev/null").c_str()) != 0)
            std::printf("  ffmpeg failed\n");
    });
    row("same", 1000.0 * frames / back, "ffmpeg -f null -", 1000.0 * frames / ffmpeg, 0.8, true);
}

// As a page does it: a frame at hand becomes a picture and is painted on the glass while others follow.
void painting(const fs::path& clip) {
    std::printf("convert and paint while moving, ms of processor time\n");
    constexpr int kTurns = 12, kTimes = 10;
    FrameService frames;
    const QString file = QString::fromStdString(clip.string());
    (void)frames.show(file, 0);
    frames.travel(file, 0, 1);
    while (!frames.idle())
        QApplication::processEvents(QEventLoop::AllEvents, 5);
    const auto decoding = Film::open(clip, small());
    PictureView view;
    view.resize(1280, 720);
    QImage window(view.size(), QImage::Format_RGB32);
    int painted = 0;
    const auto paint = [&] {
        const QImage picture = frames.show(file, 4 + painted++ % 12, view.sideInMotion());
        if (picture.isNull())
            std::printf("  a frame was not at hand\n");
        view.setPicture(picture);
        view.render(&window, {}, {}, QWidget::RenderFlags());
    };
    for (int i = 0; i < 3; ++i)
        paint();
    // Turn about: what else the machine does slows both alike. Painting is one thread's work, decoding that of two
    // which go on for a while by themselves.
    std::vector<double> ours, theirs;
    for (int turn = 0; turn < kTurns; ++turn) {
        ours.push_back(cpu(
                           [&] {
                               for (int i = 0; i < kTimes; ++i)
                                   paint();
                           },
                           RUSAGE_THREAD) /
                       kTimes);
        theirs.push_back(cpu([&] {
                             for (int i = 0; i < kTimes; ++i)
                                 (void)(*decoding)->decoded(FrameIndex(turn * kTimes + i));
                             std::this_thread::sleep_for(std::chrono::milliseconds(30));
                         }) /
                         kTimes);
    }
    row("convert and paint", share(ours, 0.5), "decoding the frame", share(theirs, 0.5), 0.2);
}

void opening(const fs::path& clip) {
    std::printf("open and index, ms\n");
    const std::string file = clip.string();
    row("open and index", timed(9, [&] { (void)Film::open(clip); }), "OpenCV VideoCapture",
        timed(9, [&] { cv::VideoCapture c(file); }), 0.6);
    row("first picture while indexing", timed(5, [&] { (void)Film::firstPicture(clip); }), "150 ms", 150.0, 1.0);
}

void locked(const fs::path& clip) {
    std::printf("three locked films step together, steps a second\n");
    auto cache = std::make_shared<FrameCache>(410u << 20);
    std::vector<std::unique_ptr<Reel>> reels;
    for (int k = 0; k < 3; ++k) {
        Film::Options o;
        o.cache = cache;
        reels.push_back(std::make_unique<Reel>(clip, o, Reel::Callbacks{}));
    }
    for (int i = 60; i < 90; ++i) // read once
        for (auto& r : reels)
            (void)r->wait(FrameIndex(i));
    const double ms = wall([&] {
        for (int i = 89; i >= 60; --i)
            for (auto& r : reels) {
                r->travel(FrameIndex(i), -1);
                (void)r->wait(FrameIndex(i))->toPicture();
            }
    });
    row("from the cache", 1000.0 * 30 / ms, "20 a second", 20.0, 1.0, true);
}

namespace {
// Pictures a second of so many films side by side on one surface, each with a figure drawn over it.
double together(const fs::path& clip, int films, bool fromCache) {
    constexpr int kFirst = 60, kLast = 120;
    auto cache = std::make_shared<FrameCache>(std::size_t(1200) << 20); // so that "from the cache" is
    std::vector<std::unique_ptr<Reel>> reels;
    for (int k = 0; k < films; ++k) {
        Film::Options o;
        o.cache = cache;
        reels.push_back(std::make_unique<Reel>(clip, o, Reel::Callbacks{}));
    }
    if (fromCache)
        for (int i = kFirst; i < kLast; ++i)
            for (auto& r : reels)
                (void)r->wait(FrameIndex(i));
    QImage surface(1280, 720, QImage::Format_RGB32);
    const int columns = films > 2 ? 2 : 1, rows = (films + columns - 1) / columns;
    ShowOptions show;
    show.longestSide = 1280 / columns;
    show.rough = true;
    const double ms = wall([&] {
        for (int i = kFirst; i < kLast; ++i) {
            QPainter p(&surface);
            p.setRenderHint(QPainter::Antialiasing);
            for (int k = 0; k < films; ++k) {
                auto& r = reels[static_cast<std::size_t>(k)];
                r->travel(FrameIndex(i), 1);
                auto picture = r->wait(FrameIndex(i))->toPicture(show);
                if (!picture)
                    return;
                const QRectF at(k % columns * 1280.0 / columns, k / columns * 720.0 / rows, 1280.0 / columns,
                                720.0 / rows);
                p.drawImage(at, imageOf(std::move(*picture)));
                p.setPen(QPen(Qt::yellow, 3));
                for (int line = 0; line < 20; ++line)
                    p.drawLine(at.center(), at.center() + QPointF(8.0 * line - 80.0, 5.0 * line + (i % 7)));
            }
        }
    });
    return 1000.0 * (kLast - kFirst) / ms;
}
} // namespace

void movingTogether(const fs::path& clip) {
    std::printf("films moving beside one another with figures, 1080p60, pictures a second of each\n");
    row("two from the cache", together(clip, 2, true), "60 a second", 60.0, 1.0, true);
    row("two that are decoded", together(clip, 2, false), "30 a second", 30.0, 1.0, true);
    row("four from the cache", together(clip, 4, true), "25 a second", 25.0, 1.0, true);
}

} // namespace riflesso
