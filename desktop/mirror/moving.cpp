#include "desktop/mirror/moving.h"

#include "casebook/drawing.h"
#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

constexpr double kLine = 4; // px: the waterline

// Between shoulders and hips; 0 when they are not there.
double trunkOf(const std::map<LandmarkName, QPointF>& points, QPointF* hips = nullptr) {
    const auto middle = [&](const char* part) -> std::optional<QPointF> {
        const auto l = points.find(std::string("left_") + part), r = points.find(std::string("right_") + part);
        if (l != points.end() && r != points.end())
            return (l->second + r->second) / 2;
        return l != points.end()   ? std::optional(l->second)
               : r != points.end() ? std::optional(r->second)
                                   : std::nullopt;
    };
    const auto hip = middle("hip");
    auto top = middle("shoulder");
    if (const auto neck = points.find("neck"); neck != points.end())
        top = neck->second;
    if (!hip || !top)
        return 0.0;
    if (hips)
        *hips = *hip;
    return std::hypot(top->x() - hip->x(), top->y() - hip->y());
}

} // namespace

MirrorMoving::MirrorMoving(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setAccessibleName(tr("Both films moving, athlete above, model below"));
    m_timer.setInterval(15);
    m_timer.setTimerType(Qt::PreciseTimer);
    connect(&m_timer, &QTimer::timeout, this, &MirrorMoving::tick);
    connect(&bench.frames(), &FrameService::frameReady, this, [this] { update(); });
    connect(&bench, &Workbench::frameChanged, this, [this] { update(); });
}

const Take* MirrorMoving::takeOf(Id rep) const {
    const auto& d = m_bench.data();
    const auto r = d.reps.find(rep);
    return r == d.reps.end() ? nullptr : &d.takes.at(r->second.take);
}

void MirrorMoving::setReps(Id athlete, Id model) {
    m_athlete = {athlete, {}, {}, 0.0};
    m_model = {model, {}, {}, 0.0};
    m_aspect = 0.0;
    update();
}

QRectF MirrorMoving::upper() const {
    return {0, 0, double(width()), (height() - kLine) / 2};
}

QRectF MirrorMoving::lower() const {
    return {0, (height() + kLine) / 2, double(width()), (height() - kLine) / 2};
}

PhaseMap MirrorMoving::mapOf(Id rep) const {
    // Only positions that both have can carry the same moment.
    const auto& d = m_bench.data();
    std::vector<PositionId> shared;
    for (const auto& p : m_bench.blueprint().positions)
        if (d.reps.at(m_athlete.rep).positions.contains(p.id) && d.reps.at(m_model.rep).positions.contains(p.id))
            shared.push_back(p.id);
    // What comes out of order in either cannot carry both.
    for (const Id other : {m_athlete.rep, m_model.rep}) {
        const PhaseMap own(shared, d.reps.at(other).positions);
        for (const auto& id : own.skipped())
            std::erase(shared, id);
    }
    return PhaseMap(shared, d.reps.at(rep).positions);
}

std::optional<int> MirrorMoving::modelFrame() const {
    const Take *a = takeOf(m_athlete.rep), *m = takeOf(m_model.rep);
    if (!a || !m)
        return std::nullopt;
    const PhaseMap athlete = mapOf(m_athlete.rep), model = mapOf(m_model.rep);
    if (!athlete.usable() || !model.usable())
        return std::nullopt;
    const int last = static_cast<int>(m->times.size()) - 1, frame = m_bench.frame();
    const Timebase ta = timebaseOf(*a), tm = timebaseOf(*m);
    const double startA = athlete.frame(athlete.firstPhase()), endA = athlete.frame(athlete.lastPhase()),
                 startM = model.frame(model.firstPhase()), endM = model.frame(model.lastPhase());
    const auto real = [](const Timebase& t, double f) {
        return t.real(FrameIndex(static_cast<int>(std::lround(f)))).value;
    };
    // Beyond the shared positions, and by the clock everywhere, the same time apart.
    const bool inside = frame >= startA && frame <= endA;
    if (inside && !m_byClock)
        return std::clamp(static_cast<int>(std::lround(model.frame(athlete.phase(frame)))), 0, last);
    const bool fromEnd = !m_byClock && frame > endA;
    const double since = real(ta, frame) - real(ta, fromEnd ? endA : startA);
    const double wanted = real(tm, fromEnd ? endM : startM) + since;
    const double slow =
        tm.captureRate() && tm.fileRate().value > 0.0 ? tm.captureRate()->value / tm.fileRate().value : 1.0;
    return std::clamp(tm.nearest(MediaTime(wanted * slow)).value, 0, last);
}

void MirrorMoving::play(bool on) {
    if (on == playing())
        return;
    if (!on) {
        m_timer.stop();
        emit changed();
        return;
    }
    const Take* a = takeOf(m_athlete.rep);
    if (!a)
        return;
    const auto [first, last] = spanOf(m_bench.data(), m_bench.data().reps.at(m_athlete.rep));
    if (m_bench.frame() < first.value || m_bench.frame() >= last.value)
        m_bench.setFrame(first.value);
    m_begun = timebaseOf(*a).real(FrameIndex(m_bench.frame())).value;
    m_clock.start();
    m_timer.start();
    emit changed();
}

void MirrorMoving::setSpeed(double speed) {
    const bool was = playing();
    play(false);
    m_speed = std::clamp(speed, 1.0 / 16, 2.0);
    play(was);
    emit changed();
}

void MirrorMoving::setByClock(bool byClock) {
    m_byClock = byClock;
    update();
    emit changed();
}

void MirrorMoving::setGhost(bool ghost) {
    m_ghost = ghost;
    update();
    emit changed();
}

void MirrorMoving::step(int frames) {
    play(false);
    m_bench.setFrame(m_bench.frame() + frames);
}

void MirrorMoving::tick() {
    const Take* a = takeOf(m_athlete.rep);
    if (!a || m_bench.take() != a) {
        play(false); // another take was chosen
        return;
    }
    const Timebase time = timebaseOf(*a);
    const auto [first, last] = spanOf(m_bench.data(), m_bench.data().reps.at(m_athlete.rep));
    double at = m_begun + m_speed * static_cast<double>(m_clock.elapsed()) / 1000.0;
    if (at > time.real(last).value) { // round and round
        at = m_begun = time.real(first).value;
        m_clock.start();
    }
    const double slow =
        time.captureRate() && time.fileRate().value > 0.0 ? time.captureRate()->value / time.fileRate().value : 1.0;
    m_bench.setFrame(time.nearest(MediaTime(at * slow)).value);
}

void MirrorMoving::measure(Half& half, double aspect) const {
    const Take* take = takeOf(half.rep);
    if (!take)
        return;
    const auto [first, last] = spanOf(m_bench.data(), m_bench.data().reps.at(half.rep));
    // Corners of all bodies of the rep: the crop must not move with the body.
    std::map<LandmarkName, QPointF> corners;
    double trunk = 0.0;
    int n = 0;
    const int every = std::max(1, (last - first) / 24);
    for (int f = first.value; f <= last.value; f += every) {
        const auto points = pointsAt(m_bench.data(), m_bench.analysis(), take->id, FrameIndex(f));
        for (const auto& [name, at] : points)
            if (onBody(name))
                corners[name + std::to_string(f)] = at;
        if (const double t = trunkOf(points); t > 0.0) {
            trunk += t;
            ++n;
        }
    }
    half.box = bodyBox(corners, QSizeF(take->width, take->height), aspect) & QRectF(0, 0, take->width, take->height);
    half.trunk = n > 0 ? trunk / n : 0.0;
}

bool MirrorMoving::mirrored(const Half& half) const {
    const Take* take = takeOf(half.rep);
    if (take->picture.swapped)
        return true;
    // The model looks the way the athlete looks.
    const Take* a = takeOf(m_athlete.rep);
    return &half == &m_model && a && take->facing != Facing::camera && a->facing != Facing::camera &&
           (take->facing != a->facing) != a->picture.swapped;
}

void MirrorMoving::paintHalf(QPainter& p, const QRectF& whole, Half& half, int frame, QColor colour) {
    // No wider than the film itself: the sides stay calm.
    const double shown = std::min(whole.width(), whole.height() * half.box.width() / std::max(1.0, half.box.height()));
    const QRectF target(whole.center().x() - shown / 2, whole.top(), shown, whole.height());
    const Take* take = takeOf(half.rep);
    const Take *a = takeOf(m_athlete.rep), *m = takeOf(m_model.rep);
    const QString film = m_bench.filmPath(*take);
    // Of one film two frames at once: neither may drop the other.
    const bool same = a && m && a->film == m->film;
    const int side = playing() ? static_cast<int>(std::max(target.width(), target.height()) * devicePixelRatioF() *
                                                  take->width / std::max(1.0, half.box.width()))
                               : 0;
    QImage now = same ? m_bench.frames().still(film, frame) : m_bench.frames().show(film, frame, std::min(side, 1280));
    if (now.isNull())
        now = half.picture; // the one before stays until this one is there
    half.picture = now;
    auto points = pointsAt(m_bench.data(), m_bench.analysis(), take->id, FrameIndex(frame));
    QRectF box = half.box;
    Facing facing = take->facing;
    if (mirrored(half)) {
        now = now.mirrored(true, false);
        for (auto& [name, at] : points)
            at.setX(take->width - at.x());
        box.moveLeft(take->width - box.right());
        if (facing != Facing::camera)
            facing = facing == Facing::left ? Facing::right : Facing::left;
    }
    if (!now.isNull() && now.width() != take->width) { // a roughly made one: drawStill() reads the film's own pixels
        now.setDevicePixelRatio(1.0);
        now = now.scaledToWidth(take->width, Qt::FastTransformation);
    }
    drawStill(p, target, now, box, points, facing, colour);
    if (&half == &m_athlete && m_ghost && m) {
        if (const auto other = modelFrame()) {
            auto ghost = pointsAt(m_bench.data(), m_bench.analysis(), m->id, FrameIndex(*other));
            if (mirrored(m_model))
                for (auto& [name, at] : ghost)
                    at.setX(m->width - at.x());
            QPointF hips, here;
            if (trunkOf(ghost, &hips) > 0.0 && trunkOf(points, &here) > 0.0 && m_model.trunk > 0.0 &&
                half.trunk > 0.0) {
                const double scale = half.trunk / m_model.trunk;
                for (auto& [name, at] : ghost)
                    at = here + (at - hips) * scale;
                QTransform to;
                to.translate(target.left(), target.top());
                to.scale(target.width() / box.width(), target.height() / box.height());
                to.translate(-box.left(), -box.top());
                p.save();
                p.setClipRect(target);
                drawFigure(p, ghost, to, facing, theme().hues.modelOnPicture, 2.2);
                p.restore();
            }
        }
    }
}

void MirrorMoving::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    p.fillRect(rect(), t.stage);
    const double aspect = upper().width() / std::max(1.0, upper().height());
    if (std::abs(aspect - m_aspect) > 1e-3) {
        m_aspect = aspect;
        measure(m_athlete, aspect);
        measure(m_model, aspect);
    }
    const auto say = [&](const QRectF& where, const QString& words) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::strong));
        p.drawText(where, Qt::AlignCenter | Qt::TextWordWrap, words);
    };
    const auto chip = [&](const QRectF& where, const QString& words, QColor colour, bool atBottom) {
        const QFont font = typeface(Type::body, true);
        const QFontMetricsF metrics(font);
        const QSizeF size(metrics.horizontalAdvance(words) + 16, metrics.lineSpacing() + 6);
        const QRectF box(QPointF(where.left() + 8, atBottom ? where.bottom() - size.height() - 8 : where.top() + 8),
                         size);
        QColor ground = t.panel;
        ground.setAlphaF(0.86f);
        p.setPen(Qt::NoPen);
        p.setBrush(ground);
        p.drawRoundedRect(box, 4, 4);
        p.setPen(colour);
        p.setFont(font);
        p.drawText(box, Qt::AlignCenter, words);
    };
    const Take *a = takeOf(m_athlete.rep), *m = takeOf(m_model.rep);
    const auto seconds = [](const Take& take, int frame, Id, double from) {
        return QString::number(timebaseOf(take).real(FrameIndex(frame)).value - from, 'f', 2);
    };
    if (!a) {
        say(upper(), tr("Cut a rep and place its key positions first."));
    } else {
        const int frame =
            std::clamp(m_bench.take() == a ? m_bench.frame() : 0, 0, static_cast<int>(a->times.size()) - 1);
        paintHalf(p, upper(), m_athlete, frame, t.hues.athleteOnPicture);
        const double from =
            timebaseOf(*a).real(spanOf(m_bench.data(), m_bench.data().reps.at(m_athlete.rep)).first).value;
        chip(upper(), tr("%1, %2 s").arg(q(a->title), seconds(*a, frame, 0, from)), t.hues.athlete, false);
    }
    if (!m) {
        say(lower(), tr("Bring in a model performance from this view, and it moves here below the line."));
    } else if (const auto frame = a ? modelFrame() : std::nullopt) {
        paintHalf(p, lower(), m_model, *frame, t.hues.modelOnPicture);
        const double from =
            timebaseOf(*m).real(spanOf(m_bench.data(), m_bench.data().reps.at(m_model.rep)).first).value;
        chip(lower(), tr("%1, %2 s").arg(q(m->title), seconds(*m, *frame, 0, from)), t.hues.model, true);
    } else {
        say(lower(), tr("These two share fewer than two key positions: place more of them."));
    }
    p.fillRect(QRectF(0, upper().bottom(), width(), kLine), t.text);
}

} // namespace riflesso
