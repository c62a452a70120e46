#include "bench/taking_home.h"

#include "bench/timing.h"
#include "core/motion/motion.h"
#include "handover/trace_picture.h"

#include <QProcess>

#include <cmath>
#include <cstdio>

namespace riflesso {
namespace {

// The film as a case of one rep, with a body marked on each frame.
std::unique_ptr<FilmedSnapshot> marked(const std::filesystem::path& clip) {
    auto out = std::make_unique<FilmedSnapshot>();
    const auto film = Film::open(clip);
    if (!film)
        return nullptr;
    Take take;
    take.id = 1;
    take.film = clip.string();
    take.width = (*film)->info().width;
    take.height = (*film)->info().height;
    take.times = (*film)->times();
    const char* names[] = {"left_shoulder", "right_shoulder", "left_elbow", "right_elbow", "left_wrist", "right_wrist",
                           "left_hip",      "right_hip",      "left_knee",  "right_knee",  "left_ankle", "right_ankle"};
    TrackSet tracks;
    for (int f = 0; f < static_cast<int>(take.times.size()); ++f)
        for (int i = 0; i < 12; ++i)
            tracks[names[i]][FrameIndex(f)] = {
                {500.0 + 3.0 * f + 40.0 * (i % 2), 200.0 + 60.0 * (i / 2)}, 1.0, How::hand};
    out->analysis.motions[1] = std::make_shared<Motion>(toMotion(tracks, timebaseOf(take)));
    out->data.marks[1] = std::move(tracks);
    Rep rep;
    rep.id = rep.take = 1;
    rep.first = FrameIndex(0);
    rep.last = FrameIndex(static_cast<int>(take.times.size()) - 1);
    out->data.reps[1] = rep;
    out->data.takes[1] = std::move(take);
    return out;
}

} // namespace

void takingHome(const std::filesystem::path& clip, int frames) {
    const auto one = marked(clip);
    if (!one)
        return;
    const FilmedCase filmed = one->filmed();
    const auto out = std::filesystem::temp_directory_path() / "riflesso-bench-clip.mp4";
    std::printf("taken home, %d frames of 1080p60\n", frames);
    ClipOptions o;
    o.rep = 1;
    o.rate = 60.0;
    o.wholePicture = true;
    const double ours = wall([&] { (void)writeClip(filmed, o, out); });
    const double theirs = wall([&] {
        QProcess::execute("ffmpeg", {"-v", "error", "-y", "-i", QString::fromStdString(clip.string()), "-vf",
                                     "drawbox=x=500:y=200:w=300:h=600:color=orange:t=4", "-c:v", "libx264", "-preset",
                                     "veryfast", "-crf", "22", QString::fromStdString(out.string())});
    });
    row("pictures a second, figure drawn", 1000.0 * frames / ours, "ffmpeg, box drawn", 1000.0 * frames / theirs, 0.9,
        true);
    TraceOptions t;
    t.rep = 1;
    t.exposures = 12;
    t.width = 1920;
    // A phase of a second; the empty place is looked for over the whole film.
    auto phase = marked(clip);
    phase->data.reps[1].first = FrameIndex(std::min(30, frames / 4));
    phase->data.reps[1].last = *phase->data.reps[1].first + std::min(60, frames / 2);
    row("twelve exposures on one picture, ms", wall([&] { (void)tracePicture(phase->filmed(), t); }), "1.5 s", 1500.0,
        1.0, false);
    std::error_code ec;
    std::filesystem::remove(out, ec);
}

} // namespace riflesso
