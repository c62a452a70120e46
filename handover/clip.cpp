#include "handover/clip.h"

#include "casebook/drawing.h"
#include "casebook/moving_side.h"
#include "casebook/text.h"
#include "files/write_file.h"
#include "footage/film_pieces.h"
#include "library/case_json.h"

#include <QCryptographicHash>
#include <QFontDatabase>
#include <QPainter>

#include <algorithm>
#include <cmath>
#include <future>
#include <map>
#include <mutex>

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
        // Pictures that are being decoded while the one before is drawn. Drawing reads a decoded picture only, so that
        // it never waits for the film; the film is asked by one thread at a time.
        std::mutex asked;
        std::map<FrameIndex, std::future<Result<DecodedPtr>>> ahead; // of whoever draws

        void decodeAhead(FrameIndex frame) {
            if (film && !ahead.contains(frame))
                ahead[frame] = std::async(std::launch::async, [this, frame]() -> Result<DecodedPtr> {
                    const std::lock_guard hold(asked);
                    return film->decoded(frame);
                });
        }
        Result<Picture> picture(FrameIndex frame) {
            decodeAhead(frame);
            const auto decoded = ahead.extract(frame).mapped().get();
            // What nobody came for is of no use any more.
            while (!ahead.empty() && ahead.begin()->first < frame)
                ahead.erase(ahead.begin());
            if (!decoded)
                return decoded.error();
            return (*decoded)->toPicture();
        }
    };
    FilmedCase filmed;
    ClipOptions options;
    Side own, other;
    std::optional<MovingSide> ghost;
    std::optional<FilmLock> lock;
    std::vector<FrameIndex> frames;
    const BlueprintMeasure* measure = nullptr;

    Impl(const FilmedCase& f, const ClipOptions& o) : filmed(f), options(o) {}

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
        auto picture = s.picture(frame);
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
    auto impl = std::make_unique<Impl>(filmed, o);
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

void ClipPictures::decodeAhead(FrameIndex frame) {
    m_impl->own.decodeAhead(frame);
    if (m_impl->lock && !m_impl->ghost)
        m_impl->other.decodeAhead(m_impl->lock->follower(frame));
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
        clock += says("review", ", %1 times slower").arg(q(shortFigure(o.slow, 3)));
    const QFontMetricsF metrics(font);
    drawWords(p, QPointF(margin, o.height - 2.2 * metrics.height()), clock);
    return image;
}

// What the pictures of a clip come from, as one number: another one as soon as anything in them would be.
QByteArray clipKey(const FilmedCase& filmed, const ClipOptions& o) {
    QCryptographicHash hash(QCryptographicHash::Sha256);
    const auto add = [&](const QString& text) { hash.addData((text + '\n').toUtf8()); };
    const auto number = [&](double v) { add(QString::number(v, 'g', 17)); };
    for (const Id id : {o.rep, o.other}) {
        if (!filmed.data.reps.contains(id))
            continue;
        const Rep& rep = filmed.data.reps.at(id);
        const Take& take = filmed.data.takes.at(rep.take);
        add(QString::fromStdString(toJson(rep)) + QString::fromStdString(toJson(take)));
        if (const auto marks = filmed.data.marks.find(take.id); marks != filmed.data.marks.end())
            for (const auto& [name, track] : marks->second)
                for (const auto& [frame, m] : track) {
                    add(QString::fromStdString(name));
                    for (const double v : {static_cast<double>(frame.value), m.at.x, m.at.y})
                        number(v);
                }
    }
    for (const double v : {static_cast<double>(o.ghost), static_cast<double>(o.lock), static_cast<double>(o.figure),
                           static_cast<double>(o.wholePicture), o.slow, o.rate, static_cast<double>(o.width),
                           static_cast<double>(o.height), static_cast<double>(o.first.value_or(FrameIndex(-1)).value),
                           static_cast<double>(o.last.value_or(FrameIndex(-1)).value)})
        number(v);
    add(o.title + '\n' + QString::fromStdString(o.measure));
    add(says("review", ", %1 times slower")); // the language that is written on it
    return hash.result().toHex();
}

Status writeClip(const FilmedCase& filmed, const ClipOptions& o, const std::filesystem::path& file,
                 const std::function<bool(double)>& goOn, std::size_t piece) {
    auto pictures = ClipPictures::open(filmed, o);
    if (!pictures)
        return pictures.error();
    FilmWriterOptions as;
    as.width = o.width;
    as.height = o.height;
    as.rate = Hertz(o.rate);
    // While one picture is encoded the next is drawn, and the one after that decoded.
    const auto& frames = (*pictures)->frames();
    const auto after = [&](FrameIndex frame) {
        const auto it = std::upper_bound(frames.begin(), frames.end(), frame);
        return it == frames.end() ? std::optional<FrameIndex>() : std::optional(*it);
    };
    const auto made = [&](FrameIndex frame) {
        return std::async(std::launch::async, [&pictures, frame, then = after(frame)]() -> Result<Picture> {
            (*pictures)->decodeAhead(frame);
            if (then)
                (*pictures)->decodeAhead(*then);
            const auto image = (*pictures)->picture(frame);
            return image ? Result<Picture>(toPicture(*image)) : Result<Picture>(image.error());
        });
    };
    const auto write = [&](FilmWriter& writer, std::size_t from, std::size_t to) -> Status {
        std::future<Result<Picture>> next = made(frames[from]); // waited for before the pictures go
        Picture shown;
        for (std::size_t i = from; i < to; ++i) {
            if (goOn && !goOn(static_cast<double>(i) / static_cast<double>(frames.size())))
                return Error{"the clip was cancelled",
                             file.filename().string(),
                             "no file was written",
                             {},
                             ErrorKind::cancelled};
            if (i == from || frames[i] != frames[i - 1]) {
                auto picture = next.get();
                if (!picture)
                    return picture.error();
                shown = std::move(*picture);
                if (const auto then = after(frames[i]); then && *then <= frames[to - 1])
                    next = made(*then);
            }
            if (auto s = writer.add(shown); !s)
                return s;
        }
        return Done{};
    };
    if (frames.size() <= piece) {
        auto writer = FilmWriter::create(file, as);
        if (!writer)
            return writer.error();
        const auto s = write(**writer, 0, frames.size());
        return s ? (*writer)->finish() : s;
    }
    auto pieces = FilmPieces::open(file, as, clipKey(filmed, o).toStdString());
    if (!pieces)
        return pieces.error();
    int n = 0;
    for (std::size_t from = 0; from < frames.size(); from += piece, ++n)
        if (auto s =
                pieces->make(n, [&](FilmWriter& w) { return write(w, from, std::min(frames.size(), from + piece)); });
            !s)
            return s;
    auto whole = pieces->joined(n);
    if (!whole)
        return whole.error();
    const auto done = (*whole)->finish();
    pieces->clear();
    return done;
}

Status writeClips(const FilmedCase& filmed, const std::vector<ClipOptions>& clips, const std::filesystem::path& file,
                  const std::function<bool(double)>& goOn) {
    namespace fs = std::filesystem;
    if (clips.size() == 1)
        return writeClip(filmed, clips.front(), file, goOn);
    fs::path list = file;
    list.replace_extension(".unfinished");
    std::error_code ec;
    std::map<std::string, std::string> written; // what each file shows
    if (fs::exists(list, ec)) {
        const auto text = readFile(list);
        if (!text)
            return text.error();
        for (const auto& line : QString::fromStdString(*text).split('\n', Qt::SkipEmptyParts))
            written[line.section(' ', 1).toStdString()] = line.section(' ', 0, 0).toStdString();
    }
    for (std::size_t i = 0; i < clips.size(); ++i) {
        fs::path one = file;
        one.replace_filename(file.stem().string() + "-" + std::to_string(i + 1) + file.extension().string());
        const auto share = [&](double s) {
            return !goOn || goOn((static_cast<double>(i) + s) / static_cast<double>(clips.size()));
        };
        const std::string key = clipKey(filmed, clips[i]).toStdString();
        std::string& shown = written[one.filename().string()];
        if (shown != key || !fs::exists(one, ec))
            if (auto s = writeClip(filmed, clips[i], one, share); !s)
                return s;
        shown = key;
        std::string kept;
        for (const auto& [name, what] : written)
            kept += what + " " + name + "\n";
        if (auto s = writeFile(list, kept); !s)
            return s;
    }
    fs::remove(list, ec);
    return Done{};
}

} // namespace riflesso
