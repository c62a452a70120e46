#include "handover/review_film.h"

#include "casebook/drawing.h"
#include "casebook/text.h"
#include "core/statistics/numbers.h"
#include "files/write_file.h"
#include "footage/film_pieces.h"
#include "library/case_json.h"

#include <QCryptographicHash>
#include <QLineF>
#include <QRadialGradient>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

namespace fs = std::filesystem;

constexpr double kBand = 0.14;       // of the height: the words under an upright picture
constexpr double kColumn = 0.33;     // of the width: the words beside a lying one
constexpr double kSoundRate = 48000; // Hz
constexpr double kFade = 1.5;        // s until a stroke is gone
constexpr double kLightStays = 0.4;  // s without news of the pointer until its light goes

int even(double v) {
    return std::max(2, static_cast<int>(std::lround(v / 2)) * 2);
}

QString titleOf(SceneKind kind) {
    switch (kind) {
    case SceneKind::good:
        return says("review", "What is good");
    case SceneKind::cause:
        return says("review", "The cause");
    case SceneKind::consequence:
        return says("review", "What it brings about");
    case SceneKind::todo:
        return says("review", "What to do");
    case SceneKind::said:
        return says("review", "What was said");
    case SceneKind::own:
        break;
    }
    return {};
}

// Words as large as fit, at most \p largest px high.
void drawFitting(QPainter& p, const QRectF& box, const QString& words, int largest, int flags) {
    QFont font("Lato");
    for (int size = largest; size >= 9; --size) {
        font.setPixelSize(size);
        if (const QRectF needed = QFontMetricsF(font).boundingRect(box, flags | Qt::TextWordWrap, words);
            needed.height() <= box.height() && needed.width() <= box.width())
            break;
    }
    p.setFont(font);
    p.drawText(box, flags | Qt::TextWordWrap, words);
}

} // namespace

Result<std::unique_ptr<ScenePictures>> ScenePictures::open(const FilmedCase& filmed, const Scene& scene,
                                                           const ReviewFilmOptions& options) {
    std::unique_ptr<ScenePictures> out(new ScenePictures(scene, options));
    // Words stand where the films leave room.
    const bool lying = options.width > options.height;
    const QSize room(options.width - (lying ? even(options.width * kColumn) : 0),
                     options.height - (lying ? 0 : even(options.height * kBand)));
    if (const auto note = filmed.data.notes.find(scene.note); note != filmed.data.notes.end()) {
        auto film = openFilmOf(filmed, filmed.data.takes.at(note->second.take));
        auto frame = film ? (*film)->frame(note->second.frame) : Result<Picture>(film.error());
        if (!frame)
            return frame.error();
        out->m_still = QImage(room, QImage::Format_RGB32);
        out->m_still.fill(QColor("#14181b"));
        QPainter p(&out->m_still);
        QFont font("Lato");
        font.setPixelSize(std::max(11, room.height() / 30));
        p.setFont(font);
        drawNote(p, QRectF(QPointF(0, 0), QSizeF(room)), imageOf(std::move(*frame)), note->second);
        return out;
    }
    if (scene.rep == 0 || !filmed.data.reps.contains(scene.rep))
        return out;
    ClipOptions clip;
    clip.rep = scene.rep;
    clip.other = filmed.data.reps.contains(scene.other) ? scene.other : 0;
    clip.measure = scene.measure;
    clip.slow = scene.slow;
    clip.rate = options.rate;
    clip.width = room.width();
    clip.height = room.height();
    auto pictures = ClipPictures::open(filmed, clip);
    if (!pictures)
        return pictures.error();
    out->m_clip = std::move(*pictures);
    out->m_frames = scene.frame ? std::vector{*scene.frame} : out->m_clip->frames();
    return out;
}

std::size_t ScenePictures::indexAt(double seconds) const {
    if (m_frames.size() < 2)
        return 0;
    return static_cast<std::size_t>(std::max(0.0, std::floor(seconds * m_options.rate + 1e-9))) % m_frames.size();
}

Result<QImage> ScenePictures::at(double seconds) {
    return numbered(indexAt(seconds));
}

Result<QImage> ScenePictures::numbered(std::size_t index) {
    const int width = m_options.width, height = m_options.height;
    QImage image(width, height, QImage::Format_RGB32);
    image.fill(QColor("#14181b"));
    QPainter p(&image);
    p.setRenderHint(QPainter::Antialiasing);
    const double margin = width * 0.02;
    p.setPen(QColor("#e8edf0"));
    if (!m_clip && m_still.isNull()) { // words alone
        QFont font("Lato");
        font.setPixelSize(std::max(11, height / 26));
        p.setFont(font);
        p.setPen(QColor("#9fb0b8"));
        p.drawText(QRectF(margin * 3, height * 0.14, width - 6 * margin, height * 0.1), Qt::AlignLeft | Qt::AlignBottom,
                   titleOf(m_scene.kind));
        p.setPen(QColor("#e8edf0"));
        drawFitting(p, QRectF(margin * 3, height * 0.26, width - 6 * margin, height * 0.6), q(m_scene.words),
                    std::max(12, height / 14), Qt::AlignLeft | Qt::AlignTop);
        return image;
    }
    const auto picture =
        m_clip ? m_clip->picture(m_frames[std::min(index, m_frames.size() - 1)]) : Result<QImage>(m_still);
    if (!picture)
        return picture.error();
    p.drawImage(width - picture->width(), 0, *picture);
    if (picture->width() == width) {
        drawFitting(p, QRectF(margin, picture->height() + 4, width - 2 * margin, height - picture->height() - 8),
                    q(m_scene.words), std::max(12, width / 22), Qt::AlignCenter);
        return image;
    }
    const QRectF column(margin, height * 0.1, width - picture->width() - 2 * margin, height * 0.8);
    QFont font("Lato");
    font.setPixelSize(std::max(11, height / 30));
    p.setFont(font);
    p.setPen(QColor("#9fb0b8"));
    p.drawText(QRectF(column.left(), column.top(), column.width(), font.pixelSize() * 1.6), Qt::AlignLeft,
               titleOf(m_scene.kind));
    p.setPen(QColor("#e8edf0"));
    drawFitting(p, column.adjusted(0, font.pixelSize() * 1.9, 0, 0), q(m_scene.words), std::max(12, height / 18),
                Qt::AlignLeft | Qt::AlignTop);
    return image;
}

void drawPointer(QPainter& p, const QRectF& picture, const std::vector<PointerSample>& pointer, double at) {
    const auto place = [&](const PointerSample& s) {
        return QPointF(picture.left() + s.x * picture.width(), picture.top() + s.y * picture.height());
    };
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    const double size = std::max(picture.width(), picture.height());
    const PointerSample* last = nullptr;
    for (std::size_t i = 0; i < pointer.size() && pointer[i].at <= at; ++i) {
        last = &pointer[i];
        if (i == 0 || !pointer[i].drawing || !pointer[i - 1].drawing)
            continue;
        const double left = 1.0 - (at - pointer[i].at) / kFade;
        if (left <= 0.0)
            continue;
        QColor ink("#fff2b0");
        ink.setAlphaF(static_cast<float>(left));
        p.setPen(QPen(QColor(0, 0, 0, static_cast<int>(120 * left)), size / 150, Qt::SolidLine, Qt::RoundCap));
        p.drawLine(place(pointer[i - 1]), place(pointer[i]));
        p.setPen(QPen(ink, size / 260, Qt::SolidLine, Qt::RoundCap));
        p.drawLine(place(pointer[i - 1]), place(pointer[i]));
    }
    if (last && !last->drawing && at - last->at <= kLightStays) {
        const double radius = size / 28;
        QRadialGradient light(place(*last), radius);
        light.setColorAt(0.0, QColor(255, 248, 200, 190));
        light.setColorAt(0.35, QColor(255, 248, 200, 110));
        light.setColorAt(1.0, QColor(255, 248, 200, 0));
        p.setPen(Qt::NoPen);
        p.setBrush(light);
        p.drawEllipse(place(*last), radius, radius);
    }
    p.restore();
}

double lengthOf(const Scene& scene, const std::optional<Sound>& voice, double rate) {
    const double wanted =
        voice && voice->rate > 0.0 ? static_cast<double>(voice->samples.size()) / voice->rate : scene.seconds;
    return std::max(1.0, std::ceil(wanted * rate - 1e-9)) / rate;
}

namespace {

struct Made {
    double begin = 0.0, length = 0.0;
    std::vector<float> voice; ///< exactly as long as the scene; empty = the film is silent
};

// How the scenes lie in the film, with their voices.
Result<std::vector<Made>> laidOut(const Review& review, const fs::path& voices, const ReviewFilmOptions& o,
                                  const std::optional<Sound>& whole) {
    std::vector<Made> out;
    std::vector<std::optional<Sound>> spoken(review.scenes.size());
    bool sound = whole.has_value();
    double own = 0.0;
    for (std::size_t i = 0; i < review.scenes.size(); ++i) {
        const Scene& s = review.scenes[i];
        if (s.spoken && !whole) {
            auto voice = soundOf(voiceFile(voices, s), kSoundRate);
            if (!voice)
                return voice.error();
            spoken[i] = std::move(*voice);
            sound = true;
        }
        own += s.seconds;
    }
    const double stretch = whole && own > 0.0 ? static_cast<double>(whole->samples.size()) / whole->rate / own : 1.0;
    double begin = 0.0;
    for (std::size_t i = 0; i < review.scenes.size(); ++i) {
        Scene s = review.scenes[i];
        s.seconds *= stretch;
        Made m{begin, lengthOf(s, spoken[i], o.rate), {}};
        if (sound) {
            const auto n = static_cast<std::size_t>(std::llround((begin + m.length) * kSoundRate) -
                                                    std::llround(begin * kSoundRate));
            if (spoken[i]) {
                m.voice = std::move(spoken[i]->samples);
            } else if (whole) {
                const auto from =
                    std::min(whole->samples.size(), static_cast<std::size_t>(std::llround(begin * whole->rate)));
                const auto to = std::min(whole->samples.size(), from + n);
                m.voice.assign(whole->samples.begin() + static_cast<std::ptrdiff_t>(from),
                               whole->samples.begin() + static_cast<std::ptrdiff_t>(to));
            }
            m.voice.resize(n, 0.0f);
        }
        begin += m.length;
        out.push_back(std::move(m));
    }
    return out;
}

// What the pictures of a review come from; its sound is read anew each time.
std::string keyOf(const FilmedCase& filmed, const Review& review, const std::vector<Made>& laid,
                  const ReviewFilmOptions& o) {
    QCryptographicHash hash(QCryptographicHash::Sha256);
    const auto add = [&](const std::string& text) { hash.addData(QByteArray::fromStdString(text) + '\n'); };
    for (std::size_t i = 0; i < review.scenes.size(); ++i) {
        const Scene& s = review.scenes[i];
        add(textOf(s) + general(laid[i].length, 12));
        ClipOptions clip;
        clip.rep = s.rep;
        clip.other = s.other;
        hash.addData(clipKey(filmed, clip));
        if (const auto note = filmed.data.notes.find(s.note); note != filmed.data.notes.end())
            add(toJson(note->second));
    }
    add(general(o.width, 6) + " " + general(o.height, 6) + " " + general(o.rate, 12));
    return hash.result().toHex().toStdString();
}

Status writeScene(FilmWriter& writer, ScenePictures& pictures, const Scene& scene, long long count, double rate,
                  const std::function<bool(double)>& goOn) {
    QImage shown;
    Picture last;
    std::size_t which = 0;
    for (long long k = 0; k < count; ++k) {
        const double at = static_cast<double>(k) / rate;
        if (!goOn(at))
            return Error{"the review was cancelled", {}, "no film was written", {}, ErrorKind::cancelled};
        const std::size_t index = pictures.indexAt(at);
        if (k == 0 || index != which) {
            auto image = pictures.numbered(index);
            if (!image)
                return image.error();
            shown = std::move(*image);
            which = index;
            if (scene.pointer.empty())
                last = toPicture(shown);
        }
        if (!scene.pointer.empty()) {
            QImage with = shown;
            QPainter p(&with);
            drawPointer(p, QRectF(with.rect()), scene.pointer, at);
            p.end();
            last = toPicture(with);
        }
        if (auto s = writer.add(last); !s)
            return s;
    }
    return Done{};
}

fs::path stillFile(const fs::path& film, std::size_t index) {
    fs::path still = film;
    still.replace_extension();
    still += "-" + std::to_string(index + 1) + ".png";
    return still;
}

} // namespace

Status writeReviewFilm(const FilmedCase& filmed, const Review& review, const fs::path& voices, const fs::path& file,
                       const ReviewFilmOptions& o, const std::optional<Sound>& whole,
                       const std::function<bool(double)>& goOn) {
    if (review.scenes.empty())
        return Error{
            "the review has no scene", file.filename().string(), "no film was written", {}, ErrorKind::wrongUse};
    if (whole && std::abs(whole->rate - kSoundRate) > 0.5)
        return Error{"a voice is read at 48,000 Hz", {}, "no film was written", {}, ErrorKind::wrongUse};
    auto laid = laidOut(review, voices, o, whole);
    if (!laid)
        return laid.error();
    FilmWriterOptions as;
    as.width = o.width;
    as.height = o.height;
    as.rate = Hertz(o.rate);
    as.soundRate = laid->front().voice.empty() ? 0.0 : kSoundRate;
    std::vector<Caption> captions;
    for (std::size_t i = 0; i < laid->size(); ++i) {
        const Scene& s = review.scenes[i];
        const double end = (*laid)[i].begin + (*laid)[i].length;
        as.chapters.push_back({(*laid)[i].begin, end, s.words});
        captions.push_back({(*laid)[i].begin, end, s.caption.empty() ? s.words : s.caption});
    }
    // A piece a scene: what was stopped is gone on with.
    auto pieces = FilmPieces::open(file, as, keyOf(filmed, review, *laid, o));
    if (!pieces)
        return pieces.error();
    const double total = laid->back().begin + laid->back().length;
    std::vector<QByteArray> stills;
    std::vector<std::vector<float>> sound;
    for (std::size_t i = 0; i < laid->size(); ++i) {
        auto pictures = ScenePictures::open(filmed, review.scenes[i], o);
        if (!pictures)
            return pictures.error();
        const auto first = (*pictures)->numbered((*pictures)->indexAt(0.0));
        if (!first)
            return first.error();
        stills.push_back(encoded(*first, "PNG"));
        const auto share = [&](double at) { return !goOn || goOn(((*laid)[i].begin + at) / total); };
        if (auto s = pieces->make(static_cast<int>(i),
                                  [&](FilmWriter& w) {
                                      return writeScene(w, **pictures, review.scenes[i],
                                                        std::llround((*laid)[i].length * o.rate), o.rate, share);
                                  });
            !s)
            return s;
        sound.push_back(std::move((*laid)[i].voice));
    }
    auto writer = pieces->joined(static_cast<int>(laid->size()), sound);
    if (!writer)
        return writer.error();
    // Small files under half names first, the film next, then all names: a full disk leaves what was there before.
    fs::path vtt = file;
    vtt.replace_extension(".vtt");
    std::vector<fs::path> beside{vtt};
    for (std::size_t i = 0; i < stills.size(); ++i)
        beside.push_back(stillFile(file, i));
    Status done = Done{};
    for (std::size_t i = 0; i < beside.size() && done; ++i) {
        std::error_code ec;
        done = fs::is_directory(beside[i], ec)
                   ? Status(Error{"a folder is in the way", beside[i].filename().string(), "no film was written", {}})
               : i == 0 ? writeFile(halfOf(vtt), webVtt(captions))
                        : writeBytes(halfOf(beside[i]), stills[i - 1]);
    }
    if (done)
        done = (*writer)->finish();
    pieces->clear();
    for (const auto& path : beside) {
        std::error_code ec;
        if (!done)
            fs::remove(halfOf(path), ec);
        else
            done = finishHalf(path);
    }
    return done;
}

} // namespace riflesso
