#include "handover/clip.h"

#include "casebook/drawing.h"
#include "casebook/moving_side.h"
#include "casebook/text.h"
#include "footage/film_writer.h"

#include <QFontDatabase>
#include <QPainter>

#include <algorithm>
#include <cmath>
#include <future>

namespace riflesso {
namespace {

constexpr int kSmallest = 64, kLargest = 4096; // px of a side
constexpr double kWaterline = 0.006;           // of the height

Error wrong(std::string what, std::string where) {
    return {std::move(what), std::move(where), "no clip was written", {}, ErrorKind::wrongUse};
}

} // namespace

Result<std::unique_ptr<Film>> openFilmOf(const FilmedCase& filmed, const Take& take, std::size_t cacheBytes) {
    const std::filesystem::path file(take.film);
    Film::Options options;
    options.cacheBytes = cacheBytes;
    return Film::open(file.is_absolute() ? file : filmed.media / file, options);
}

struct ClipPictures::Impl {
    struct Side {
        MovingSide side;
        const Take* take = nullptr;
        std::unique_ptr<Film> film;
        QRectF target;
    };
    FilmedCase filmed;
    ClipOptions options;
    Side own, other;
    std::optional<MovingSide> ghost;
    std::optional<FilmLock> lock;
    std::vector<FrameIndex> frames;
    const BlueprintMeasure* measure = nullptr;

    Status openSide(Side& s, Id rep, const Take* leader) {
        s.take = &filmed.data.takes.at(filmed.data.reps.at(rep).take);
        auto film = openFilmOf(filmed, *s.take);
        if (!film)
            return film.error();
        s.film = std::move(*film);
        s.side = movingSide(filmed.data, filmed.analysis, rep, s.target.width() / s.target.height(), leader);
        if (options.wholePicture)
            s.side.box = QRectF(0, 0, s.take->width, s.take->height);
        // The whole of the place is filled where the film reaches so far, else the film stands in its middle.
        const double scale = std::min(s.target.width() / s.side.box.width(), s.target.height() / s.side.box.height());
        const QSizeF size = s.side.box.size() * scale;
        s.target = QRectF(s.target.center() - QPointF(size.width(), size.height()) / 2, size);
        return Done{};
    }

    Status paint(QPainter& p, Side& s, FrameIndex frame, QColor colour) {
        auto picture = s.film->frame(frame);
        if (!picture)
            return picture.error();
        drawSide(p, s.target, filmed.data, filmed.analysis, s.side, imageOf(std::move(*picture)), frame, colour,
                 options.figure);
        if (measure && serves(s.take->view, measure->definition.view)) {
            p.save();
            p.setClipRect(s.target);
            drawRead(p, measure->definition, s.take->handedness,
                     sidePoints(filmed.data, filmed.analysis, s.side, frame),
                     sideTransform(filmed.data, s.side, s.target), colour, {});
            p.restore();
        }
        return Done{};
    }
};

ClipPictures::ClipPictures(std::unique_ptr<Impl> impl) : m_impl(std::move(impl)) {}
ClipPictures::~ClipPictures() = default;

Result<std::unique_ptr<ClipPictures>> ClipPictures::open(const FilmedCase& filmed, const ClipOptions& o) {
    for (const Id id : {o.rep, o.other})
        if (id != 0 && !filmed.data.reps.contains(id))
            return wrong("there is no such rep", std::to_string(id));
    if (o.rep == 0)
        return wrong("a clip shows a rep", "rep 0");
    if (o.width < kSmallest || o.width > kLargest || o.height < kSmallest || o.height > kLargest || o.width % 2 ||
        o.height % 2)
        return wrong("a clip has 64 to 4096 pixels each way, even numbers",
                     std::to_string(o.width) + "x" + std::to_string(o.height));
    if (!(o.slow >= 0.25 && o.slow <= 64.0) || !(o.rate >= 1.0 && o.rate <= 240.0))
        return wrong("a clip is up to 64 times slower than life, with 1 to 240 pictures a second",
                     std::to_string(o.slow) + " at " + std::to_string(o.rate));
    auto impl = std::make_unique<Impl>(Impl{filmed, o, {}, {}, {}, {}, {}, nullptr});
    const Rep& rep = filmed.data.reps.at(o.rep);
    const Take& take = filmed.data.takes.at(rep.take);
    const auto span = spanOf(filmed.data, rep);
    const int last = static_cast<int>(take.times.size()) - 1;
    const FrameIndex from(std::clamp(o.first.value_or(span.first).value, 0, std::max(0, last))),
        to(std::clamp(o.last.value_or(span.second).value, 0, std::max(0, last)));
    impl->frames = framesShown(timebaseOf(take), from, to, o.rate, o.slow);
    if (impl->frames.empty())
        return wrong("there is nothing between these frames",
                     std::to_string(from.value) + " to " + std::to_string(to.value));
    const bool below = o.other != 0 && !o.ghost;
    const double line = below ? o.height * kWaterline : 0.0;
    const double half = below ? (o.height - line) / 2 : o.height;
    impl->own.target = QRectF(0, 0, o.width, half);
    if (auto s = impl->openSide(impl->own, o.rep, nullptr); !s)
        return s.error();
    if (o.other != 0) {
        impl->lock = movingLock(filmed.data, filmed.blueprint, o.rep, o.other, o.lock);
        if (o.ghost) {
            impl->ghost = movingSide(filmed.data, filmed.analysis, o.other, 1.0, &take);
        } else {
            impl->other.target = QRectF(0, half + line, o.width, half);
            if (auto s = impl->openSide(impl->other, o.other, &take); !s)
                return s.error();
        }
    }
    impl->measure = filmed.blueprint.measure(o.measure);
    return std::unique_ptr<ClipPictures>(new ClipPictures(std::move(impl)));
}

const std::vector<FrameIndex>& ClipPictures::frames() const {
    return m_impl->frames;
}

Result<QImage> ClipPictures::picture(FrameIndex frame) {
    auto& w = *m_impl;
    const ClipOptions& o = w.options;
    const Hues hues = huesFor(true);
    QImage image(o.width, o.height, QImage::Format_RGB32);
    image.fill(QColor("#14181b"));
    QPainter p(&image);
    p.setRenderHint(QPainter::Antialiasing);
    QFont font("Lato");
    font.setPixelSize(std::max(12, std::min(o.width, o.height) / 36));
    p.setFont(font);
    if (auto s = w.paint(p, w.own, frame, hues.athleteOnPicture); !s)
        return s.error();
    if (w.lock) {
        const FrameIndex there = w.lock->follower(frame);
        if (w.ghost) {
            drawGhost(p, w.own.target, w.filmed.data, w.filmed.analysis, w.own.side, frame, *w.ghost, there,
                      hues.modelOnPicture);
        } else {
            if (auto s = w.paint(p, w.other, there, hues.modelOnPicture); !s)
                return s.error();
            const double line = o.height * kWaterline;
            p.fillRect(QRectF(0, (o.height - line) / 2, o.width, line), QColor("#e8edf0"));
        }
    }
    const double margin = font.pixelSize() * 0.6;
    if (!o.title.isEmpty())
        drawWords(p, QPointF(margin, margin), o.title);
    const auto [first, last] = spanOf(w.filmed.data, w.filmed.data.reps.at(o.rep));
    const Timebase time = timebaseOf(*w.own.take);
    QString clock = says("review", "%1 s").arg(shownFigure(time.real(frame).value - time.real(first).value, 2));
    if (o.slow > 1.0)
        clock += says("review", ", %1 times slower").arg(o.slow, 0, 'g', 3);
    const QFontMetricsF metrics(font);
    drawWords(p, QPointF(margin, o.height - 2.2 * metrics.height()), clock);
    return image;
}

Status writeClip(const FilmedCase& filmed, const ClipOptions& o, const std::filesystem::path& file,
                 const std::function<bool(double)>& goOn) {
    auto pictures = ClipPictures::open(filmed, o);
    if (!pictures)
        return pictures.error();
    FilmWriterOptions as;
    as.width = o.width;
    as.height = o.height;
    as.rate = Hertz(o.rate);
    auto writer = FilmWriter::create(file, as);
    if (!writer)
        return writer.error();
    // The next picture is put together while this one is encoded.
    const auto& frames = (*pictures)->frames();
    const auto made = [&](FrameIndex frame) {
        return std::async(std::launch::async, [&pictures, frame]() -> Result<Picture> {
            const auto image = (*pictures)->picture(frame);
            return image ? Result<Picture>(toPicture(*image)) : Result<Picture>(image.error());
        });
    };
    std::future<Result<Picture>> next = made(frames.front()); // waited for before the pictures go
    Picture shown;
    for (std::size_t i = 0; i < frames.size(); ++i) {
        if (goOn && !goOn(static_cast<double>(i) / static_cast<double>(frames.size())))
            return Error{
                "the clip was cancelled", file.filename().string(), "no file was written", {}, ErrorKind::cancelled};
        if (i == 0 || frames[i] != frames[i - 1]) {
            auto picture = next.get();
            if (!picture)
                return picture.error();
            shown = std::move(*picture);
            const auto other = std::find_if(frames.begin() + static_cast<std::ptrdiff_t>(i), frames.end(),
                                            [&](FrameIndex f) { return f != frames[i]; });
            if (other != frames.end())
                next = made(*other);
        }
        if (auto s = (*writer)->add(shown); !s)
            return s;
    }
    return (*writer)->finish();
}

} // namespace riflesso
