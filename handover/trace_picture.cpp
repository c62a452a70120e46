#include "handover/trace_picture.h"

#include "casebook/drawing.h"
#include "casebook/moving_side.h"
#include "casebook/text.h"
#include "core/mirror/exposures.h"
#include "core/motion/landmark.h"

#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>
#include <numeric>
#include <set>

namespace riflesso {
namespace {

constexpr int kEmptyPlaceFrames = 13; // pictures of which the empty place is made
constexpr std::size_t kEnough = 9;    // of those and the exposures: more pictures change a median little
constexpr std::size_t kBody = 4;      // points from which on the body is known and can be left out
constexpr double kLineHeight = 6;     // px: the waterline

struct Stretch {
    FrameIndex first, last;
};

Stretch stretchOf(const FilmedCase& f, const Rep& rep, const TraceOptions& o) {
    const auto span = spanOf(f.data, rep);
    Stretch s{span.first, span.second};
    if (const auto p = rep.positions.find(o.from); p != rep.positions.end())
        s.first = p->second.frame;
    if (const auto p = rep.positions.find(o.to); p != rep.positions.end())
        s.last = p->second.frame;
    return s;
}

std::vector<FrameIndex> exposuresOf(const FilmedCase& f, const Rep& rep, const TraceOptions& o, Stretch s) {
    if (!o.atPositions)
        return evenExposures(timebaseOf(f.data.takes.at(rep.take)), s.first, s.last, o.exposures);
    std::set<FrameIndex> at;
    for (const auto& [id, placed] : rep.positions)
        if (!(placed.frame < s.first) && !(s.last < placed.frame))
            at.insert(placed.frame);
    return {at.begin(), at.end()};
}

// The point of a hand or arm and that of a foot or leg that travel farthest over the stretch.
std::vector<LandmarkName> tellingPoints(const FilmedCase& f, const Take& take, Stretch s) {
    std::map<LandmarkName, double> way;
    std::map<LandmarkName, QPointF> last;
    for (int at = s.first.value; at <= s.last.value; ++at)
        for (const auto& [name, place] : pointsAt(f.data, f.analysis, take.id, FrameIndex(at))) {
            if (!onBody(name) || ofOther(name))
                continue;
            if (const auto before = last.find(name); before != last.end())
                way[name] += std::hypot(place.x() - before->second.x(), place.y() - before->second.y());
            last[name] = place;
        }
    const auto has = [](const LandmarkName& name, std::initializer_list<const char*> words) {
        return std::any_of(words.begin(), words.end(),
                           [&](const char* w) { return name.find(w) != std::string::npos; });
    };
    std::vector<LandmarkName> out;
    for (const bool leg : {false, true}) {
        const LandmarkName* best = nullptr;
        for (const auto& [name, length] : way)
            if (leg ? has(name, {"knee", "ankle", "heel", "toe"}) : has(name, {"elbow", "wrist", "hand"}))
                if (!best || length > way.at(*best))
                    best = &name;
        if (best)
            out.push_back(*best);
    }
    return out;
}

// The body as its marks tell: thick lines along the segments, a disc round the head.
std::vector<std::uint8_t> maskOf(const std::map<LandmarkName, QPointF>& points, double trunk, int width, int height) {
    QImage mask(width, height, QImage::Format_Grayscale8);
    mask.fill(0);
    QPainter p(&mask);
    std::vector<LandmarkName> names;
    for (const auto& [name, at] : points)
        names.push_back(name);
    p.setPen(QPen(Qt::white, std::max(8.0, trunk * 0.34), Qt::SolidLine, Qt::RoundCap));
    for (const auto& [a, b] : linesAmong(names))
        p.drawLine(points.at(a), points.at(b));
    p.setBrush(Qt::white);
    QPolygonF trunkSides; // between the lines lies the trunk
    for (const char* corner : {"left_shoulder", "right_shoulder", "right_hip", "left_hip"})
        if (const auto it = points.find(corner); it != points.end())
            trunkSides << it->second;
    p.drawPolygon(trunkSides);
    p.setPen(Qt::NoPen);
    for (const auto& [name, at] : points)
        if (kindOf(name) != PointKind::scene) {
            const double r = name == "head" ? trunk * 0.34 : std::max(6.0, trunk * 0.2);
            p.drawEllipse(at, r, r);
        }
    p.end();
    std::vector<std::uint8_t> out(static_cast<std::size_t>(width) * static_cast<std::size_t>(height));
    for (int y = 0; y < height; ++y)
        std::copy_n(mask.constScanLine(y), width, out.begin() + static_cast<std::ptrdiff_t>(y) * width);
    return out;
}

Picture cropped(const Picture& picture, const QRect& part) {
    Picture out;
    out.width = part.width();
    out.height = part.height();
    out.pixels.reserve(static_cast<std::size_t>(part.width()) * static_cast<std::size_t>(part.height()));
    for (int y = part.top(); y <= part.bottom(); ++y) {
        const auto row = picture.pixels.begin() + static_cast<std::ptrdiff_t>(y) * picture.width + part.left();
        out.pixels.insert(out.pixels.end(), row, row + part.width());
    }
    return out;
}

PixelView view(const Picture& p) {
    return {p.width, p.height, p.pixels.data()};
}

// The path of a point with ticks of equal time, the thicker the faster.
void drawPath(QPainter& p, const Timebase& time, const std::vector<std::pair<FrameIndex, QPointF>>& path, double tick,
              QColor colour, double width) {
    double fastest = 0.0;
    std::vector<double> speeds(path.size(), 0.0);
    for (std::size_t i = 1; i < path.size(); ++i) {
        const double dt = time.real(path[i].first).value - time.real(path[i - 1].first).value;
        const QPointF d = path[i].second - path[i - 1].second;
        speeds[i] = dt > 0.0 ? std::hypot(d.x(), d.y()) / dt : 0.0;
        fastest = std::max(fastest, speeds[i]);
    }
    for (const bool under : {true, false})
        for (std::size_t i = 1; i < path.size(); ++i) {
            const double w = width * (0.6 + 2.4 * (fastest > 0.0 ? speeds[i] / fastest : 0.0));
            p.setPen(QPen(under ? QColor(0, 0, 0, 150) : colour, under ? w + 2 : w, Qt::SolidLine, Qt::RoundCap));
            p.drawLine(path[i - 1].second, path[i].second);
        }
    if (path.empty() || !(tick > 0.0))
        return;
    double next = time.real(path.front().first).value;
    for (std::size_t i = 0; i + 1 < path.size(); ++i) {
        const double here = time.real(path[i].first).value, there = time.real(path[i + 1].first).value;
        for (; next < there && there > here; next += tick) {
            const QPointF d = path[i + 1].second - path[i].second;
            const QPointF at = path[i].second + d * ((next - here) / (there - here));
            const double length = std::max(1e-6, std::hypot(d.x(), d.y()));
            const QPointF across = QPointF(-d.y(), d.x()) / length * width * 2.6;
            p.setPen(QPen(QColor(0, 0, 0, 170), width + 2, Qt::SolidLine, Qt::RoundCap));
            p.drawLine(at - across, at + across);
            p.setPen(QPen(Qt::white, width, Qt::SolidLine, Qt::RoundCap));
            p.drawLine(at - across, at + across);
        }
    }
}

// The part \p shown of each of these frames, where the camera moved as the reference frame would show it.
Result<std::vector<Picture>> picturesAt(Film& film, const Take& take, const std::vector<FrameIndex>& wanted,
                                        const QRect& shown, const std::function<bool(double)>& goOn) {
    // In the order of the film, so that each group of pictures is decoded once.
    std::vector<std::size_t> order(wanted.size());
    std::iota(order.begin(), order.end(), std::size_t(0));
    std::stable_sort(order.begin(), order.end(), [&](std::size_t x, std::size_t y) { return wanted[x] < wanted[y]; });
    std::vector<Picture> pictures(wanted.size());
    for (std::size_t k = 0; k < order.size(); ++k) {
        const FrameIndex at = wanted[order[k]];
        if (goOn && !goOn(static_cast<double>(k) / static_cast<double>(wanted.size())))
            return Error{"the picture was cancelled", {}, {}, {}, ErrorKind::cancelled};
        auto picture = film.frame(at);
        if (!picture)
            return picture.error();
        // A moving camera: each frame is carried to where the reference frame would show it.
        if (const auto i = static_cast<std::size_t>(at.value); take.steady && i < take.camera.size()) {
            QImage still(picture->width, picture->height, QImage::Format_RGB32);
            still.fill(Qt::black);
            QPainter p(&still);
            p.setRenderHint(QPainter::SmoothPixmapTransform);
            const auto& m = take.camera[i]; // Qt multiplies rows from the left
            p.setTransform(QTransform(m(0, 0), m(1, 0), m(2, 0), m(0, 1), m(1, 1), m(2, 1), m(0, 2), m(1, 2), m(2, 2)));
            p.drawImage(0, 0, imageOf(std::move(*picture)));
            p.end();
            *picture = toPicture(still);
        }
        pictures[order[k]] = cropped(*picture, shown);
    }
    return pictures;
}

// The body with room about it, within the part that is shown.
PixelBox roomAbout(const std::map<LandmarkName, QPointF>& points, const QPoint& corner) {
    QRectF box;
    for (const auto& [name, at] : points)
        if (kindOf(name) != PointKind::scene)
            box = box.isNull() ? QRectF(at, QSizeF(1, 1)) : box.united(QRectF(at, QSizeF(1, 1)));
    const double room = std::max(box.width(), box.height()) * 0.16 + 8;
    box.adjust(-room, -room * 1.3, room, room);
    box.translate(-corner);
    return {static_cast<int>(box.left()), static_cast<int>(box.top()), static_cast<int>(box.right()),
            static_cast<int>(box.bottom())};
}

// The paths of the points that tell, and in words whose they are.
void drawPaths(QPainter& p, const FilmedCase& f, const TraceOptions& o, const MovingSide& side, const QRectF& target,
               Stretch s, const std::vector<FrameIndex>& frames, QColor colour) {
    const Take& take = f.data.takes.at(f.data.reps.at(side.rep).take);
    const Timebase time = timebaseOf(take);
    const QTransform to = sideTransform(f.data, side, target);
    auto names = o.points.empty() ? tellingPoints(f, take, s) : o.points;
    for (const auto& name : names) {
        std::vector<std::pair<FrameIndex, QPointF>> path;
        for (int at = s.first.value; at <= s.last.value; ++at) {
            const auto points = sidePoints(f.data, f.analysis, side, FrameIndex(at));
            if (const auto it = points.find(name); it != points.end())
                path.emplace_back(FrameIndex(at), to.map(it->second));
        }
        drawPath(p, time, path, o.tick, colour, o.width / 700.0);
    }
    QFont font("Lato");
    font.setPixelSize(std::max(12, o.width / 46));
    p.setFont(font);
    QStringList words;
    for (const auto& name : names)
        words << q(spoken(name));
    drawWords(p, QPointF(font.pixelSize() / 2.0, font.pixelSize() / 2.0),
              QString("%1, %2 s%3")
                  .arg(q(take.title))
                  .arg(time.real(frames.back()).value - time.real(frames.front()).value, 0, 'f', 2)
                  .arg(words.isEmpty() ? QString()
                                       : says("review", ": %1, a tick each %2 s").arg(words.join(", ")).arg(o.tick)),
              colour);
}

// One side: the exposures over the empty place, mirrored where it is shown so, and the paths.
Result<QImage> exposed(const FilmedCase& f, const TraceOptions& o, Id repId, const Take* leader, QColor colour,
                       const std::function<bool(double)>& goOn) {
    const Rep& rep = f.data.reps.at(repId);
    const Take& take = f.data.takes.at(rep.take);
    const Stretch s = stretchOf(f, rep, o);
    const auto frames = exposuresOf(f, rep, o, s);
    if (frames.size() < 2)
        return Error{"fewer than two exposures lie in this phase", take.title, "no picture was made",
                     "choose a longer phase, or more exposures", ErrorKind::wrongUse};
    auto film = openFilmOf(f, take);
    if (!film)
        return film.error();
    const Timebase time = timebaseOf(take);
    // The place is seen empty best when the athlete is elsewhere: over the whole take, not this rep alone.
    std::vector<FrameIndex> wanted =
        evenExposures(time, FrameIndex(0), FrameIndex(std::max(0, time.frames() - 1)), kEmptyPlaceFrames);
    // Any frame will do that is about there: the first of a group of pictures costs one to decode, others up to all of
    // it. The exposures themselves are decoded anyway and show what lies beside the athlete, too.
    const bool marked = std::all_of(frames.begin(), frames.end(), [&](FrameIndex at) {
        return pointsAt(f.data, f.analysis, take.id, at).size() >= kBody;
    });
    if (marked) {
        for (FrameIndex& at : wanted)
            at = (*film)->groupStart(at);
        wanted.erase(std::unique(wanted.begin(), wanted.end()), wanted.end());
    }
    const std::size_t empty = wanted.size();
    wanted.insert(wanted.end(), frames.begin(), frames.end());
    const MovingSide side = movingSide(f.data, f.analysis, repId, 2.2, leader);
    const QRect whole(0, 0, (*film)->info().width, (*film)->info().height);
    const QRect shown = side.box.toAlignedRect().adjusted(-2, -2, 2, 2) & whole; // nothing else is seen in the end
    if (shown.isEmpty())
        return Error{"the marks of this rep lie outside the picture", take.title, "no picture was made",
                     "look at them in Marking", ErrorKind::wrongUse};
    const auto decoded = picturesAt(**film, take, wanted, shown, goOn);
    if (!decoded)
        return decoded.error();
    const std::vector<Picture>& pictures = *decoded;
    std::vector<std::vector<std::uint8_t>> masks; // of all pictures; empty where nothing is marked
    for (std::size_t i = 0; i < wanted.size(); ++i) {
        auto points = pointsAt(f.data, f.analysis, take.id, wanted[i]);
        for (auto& [name, at] : points)
            at -= shown.topLeft();
        masks.push_back(points.size() >= kBody ? maskOf(points, side.trunk, pictures[i].width, pictures[i].height)
                                               : std::vector<std::uint8_t>());
    }
    const auto maskAt = [&](std::size_t i) { return masks[i].empty() ? nullptr : masks[i].data(); };
    std::vector<PixelView> views;
    std::vector<BodyMask> bodies;
    const std::size_t all = marked ? wanted.size() : empty;
    const std::size_t step = all > kEnough ? (all + kEnough - 1) / kEnough : 1;
    for (std::size_t i = 0; i < all; i += step) {
        views.push_back(view(pictures[i]));
        bodies.push_back(maskAt(i));
    }
    const auto background = medianBackground(views, bodies);
    if (!background)
        return background.error();
    std::vector<Exposure> exposures;
    for (std::size_t i = 0; i < frames.size(); ++i) {
        Exposure e{view(pictures[empty + i]), {}, maskAt(empty + i)};
        const auto points = pointsAt(f.data, f.analysis, take.id, frames[i]);
        if (points.size() >= kBody)
            e.body = roomAbout(points, shown.topLeft());
        exposures.push_back(e);
    }
    const auto mixed = chronophotograph(*background, exposures);
    if (!mixed)
        return mixed.error();
    const double scale = o.width / side.box.width();
    QImage out(o.width, std::max(2, static_cast<int>(std::lround(side.box.height() * scale))), QImage::Format_RGB32);
    QPainter p(&out);
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF target(QPointF(0, 0), QSizeF(out.size()));
    QImage seen(whole.size(), QImage::Format_RGB32);
    seen.fill(Qt::black);
    {
        QPainter in(&seen);
        in.drawImage(shown.topLeft(), QImage(reinterpret_cast<const uchar*>(mixed->data()), background->width,
                                             background->height, QImage::Format_RGB32));
    }
    drawSide(p, target, f.data, f.analysis, side, seen, frames.front(), colour, false);
    drawPaths(p, f, o, side, target, s, frames, colour);
    return out;
}

} // namespace

Result<QImage> tracePicture(const FilmedCase& f, const TraceOptions& o, const std::function<bool(double)>& goOn) {
    for (const Id id : {o.rep, o.other})
        if ((id != 0 || id == o.rep) && !f.data.reps.contains(id))
            return Error{"there is no such rep", std::to_string(id), "no picture was made", {}, ErrorKind::wrongUse};
    if (o.exposures < 2 || o.exposures > 24 || o.width < 64 || o.width > 4096)
        return Error{"a trace has 2 to 24 exposures and is 64 to 4096 px wide",
                     {},
                     "no picture was made",
                     {},
                     ErrorKind::wrongUse};
    const Hues hues = huesFor(true);
    const auto part = [&](double from) {
        return [&goOn, from, both = o.other != 0](double done) { return !goOn || goOn(both ? from + done / 2 : done); };
    };
    auto above = exposed(f, o, o.rep, nullptr, hues.athleteOnPicture, part(0.0));
    if (!above || o.other == 0)
        return above;
    const Take& leader = f.data.takes.at(f.data.reps.at(o.rep).take);
    const auto below = exposed(f, o, o.other, &leader, hues.modelOnPicture, part(0.5));
    if (!below)
        return below;
    QImage both(o.width, above->height() + below->height() + static_cast<int>(kLineHeight), QImage::Format_RGB32);
    both.fill(QColor("#e8edf0"));
    QPainter p(&both);
    p.drawImage(0, 0, *above);
    p.drawImage(0, above->height() + static_cast<int>(kLineHeight), *below);
    return both;
}

} // namespace riflesso
