#include "desktop/workbench/moving.h"

#include "casebook/drawing.h"
#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

constexpr double kLine = 4;   // px: the waterline
constexpr double kBeside = 8; // px between two angles

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
    m_athlete = {};
    m_model = {};
    m_athlete.side.rep = athlete;
    m_model.side.rep = model;
    m_aspect = 0.0;
    m_loop.reset();
    m_clocks.emplace(m_bench.data());
    update();
}

QRectF MirrorMoving::upper() const {
    return {0, 0, double(width()), (height() - kLine) / 2};
}

QRectF MirrorMoving::lower() const {
    return {0, (height() + kLine) / 2, double(width()), (height() - kLine) / 2};
}

std::optional<int> MirrorMoving::modelFrame() const {
    if (!takeOf(m_athlete.side.rep) || !takeOf(m_model.side.rep))
        return std::nullopt;
    return movingLock(m_bench.data(), m_bench.blueprint(), m_athlete.side.rep, m_model.side.rep, m_lock)
        .follower(FrameIndex(m_bench.frame()))
        .value;
}

// The same rep in a take that is locked to its own; 0 = there is none.
Id MirrorMoving::otherAngle(Id rep) const {
    const auto& d = m_bench.data();
    const auto own = d.reps.find(rep);
    if (own == d.reps.end() || !m_clocks)
        return 0;
    const auto [first, last] = spanOf(d, own->second); // the other film may begin later than this rep
    for (const auto& [take, at] : m_clocks->at(own->second.take, first + (last - first) / 2))
        for (const Rep* r : repsOf(d, take))
            if (r->number == own->second.number)
                return r->id;
    return 0;
}

bool MirrorMoving::hasAngles() const {
    return otherAngle(m_athlete.side.rep) != 0;
}

std::pair<FrameIndex, FrameIndex> MirrorMoving::stretch() const {
    const auto rep = m_bench.data().reps.find(m_athlete.side.rep);
    if (rep == m_bench.data().reps.end())
        return {};
    return m_loop ? *m_loop : spanOf(m_bench.data(), rep->second);
}

void MirrorMoving::setLoop(bool phase) {
    m_loop.reset();
    const auto rep = m_bench.data().reps.find(m_athlete.side.rep);
    if (phase && rep != m_bench.data().reps.end()) {
        std::vector<int> bounds;
        for (const auto& [id, placed] : rep->second.positions)
            bounds.push_back(placed.frame.value);
        std::sort(bounds.begin(), bounds.end());
        const auto after = std::upper_bound(bounds.begin(), bounds.end(), m_bench.frame());
        if (after != bounds.begin() && after != bounds.end() && *(after - 1) < *after)
            m_loop = {FrameIndex(*(after - 1)), FrameIndex(*after)};
    }
    if (playing())
        begin();
    emit changed();
}

// From the playhead on, or from the end that playing starts at.
void MirrorMoving::begin() {
    const auto [first, last] = stretch();
    const int from = m_speed < 0 ? last.value : first.value, to = m_speed < 0 ? first.value : last.value;
    if (m_bench.frame() < first.value || m_bench.frame() > last.value || m_bench.frame() == to)
        m_bench.setFrame(from);
    m_begun = timebaseOf(*takeOf(m_athlete.side.rep)).real(FrameIndex(m_bench.frame())).value;
    m_clock.start();
}

void MirrorMoving::play(bool on) {
    if (on == playing())
        return;
    if (!on) {
        m_timer.stop();
    } else {
        if (!takeOf(m_athlete.side.rep))
            return;
        begin();
        m_timer.start();
    }
    emit changed();
}

void MirrorMoving::setSpeed(double speed) {
    const double size = std::clamp(std::abs(speed), 1.0 / 16, 2.0);
    m_speed = speed < 0 ? -size : size;
    if (playing())
        begin();
    emit changed();
}

void MirrorMoving::setByClock(bool byClock) {
    m_lock = byClock ? LockKind::clock : LockKind::movement;
    update();
    emit changed();
}

void MirrorMoving::setGhost(double strength) {
    m_ghost = std::clamp(strength, 0.0, 1.0);
    update();
    emit changed();
}

void MirrorMoving::setAngles(bool angles) {
    m_angles = angles && hasAngles();
    m_aspect = 0.0;
    update();
    emit changed();
}

void MirrorMoving::step(int frames) {
    play(false);
    m_bench.setFrame(m_bench.frame() + frames);
}

void MirrorMoving::tick() {
    const Take* a = takeOf(m_athlete.side.rep);
    if (!a || m_bench.take() != a) {
        play(false); // another take was chosen
        return;
    }
    const Timebase time = timebaseOf(*a);
    const auto [first, last] = stretch();
    double at = m_begun + m_speed * static_cast<double>(m_clock.elapsed()) / 1000.0;
    if (at > time.real(last).value || at < time.real(first).value) { // round and round
        at = m_begun = time.real(m_speed < 0 ? last : first).value;
        m_clock.start();
    }
    m_bench.setFrame(time.nearest(RealTime(at)).value);
}

void MirrorMoving::measure() {
    const auto& d = m_bench.data();
    const auto half = [&](Half& h, Id rep) {
        const Take* leader = takeOf(m_athlete.side.rep);
        h.side = takeOf(rep) ? movingSide(d, m_bench.analysis(), rep, m_aspect,
                                          takeOf(rep)->view == (leader ? leader->view : View::side) ? leader : nullptr)
                             : MovingSide{};
    };
    half(m_athlete, m_athlete.side.rep);
    half(m_model, m_model.side.rep);
    half(m_athleteAngle, m_angles ? otherAngle(m_athlete.side.rep) : 0);
    half(m_modelAngle, m_angles ? otherAngle(m_model.side.rep) : 0);
}

void MirrorMoving::paintHalf(QPainter& p, const QRectF& whole, Half& half, FrameIndex frame, QColor colour) {
    const QRectF target = calmPart(whole, half.side); // no wider than the film itself
    const Take* take = takeOf(half.side.rep);
    const QString film = m_bench.filmPath(*take);
    // Of one film two frames at once: neither may drop the other.
    const Take *a = takeOf(m_athlete.side.rep), *m = takeOf(m_model.side.rep);
    const bool same = a && m && a->film == m->film;
    const int side = playing() ? static_cast<int>(std::max(target.width(), target.height()) * devicePixelRatioF() *
                                                  take->width / std::max(1.0, half.side.box.width()))
                               : 0;
    const QImage now = same ? m_bench.frames().still(film, frame.value)
                            : m_bench.frames().show(film, frame.value, std::min(side, 1280));
    if (!now.isNull()) // else the one before stays until this one is there
        half.picture = now;
    QImage picture = half.picture;
    picture.setDevicePixelRatio(1.0);
    drawSide(p, target, m_bench.data(), m_bench.analysis(), half.side, picture, frame, colour);
    if (const auto other = modelFrame(); &half == &m_athlete && m_ghost > 0.0 && other)
        drawGhost(p, target, m_bench.data(), m_bench.analysis(), half.side, frame, m_model.side, FrameIndex(*other),
                  theme().hues.modelOnPicture, m_ghost);
}

void MirrorMoving::paintLine(QPainter& p, const QRectF& whole, Half& main, Half& angle, FrameIndex frame,
                             QColor colour) {
    QRectF place = whole;
    if (const Take* other = takeOf(angle.side.rep)) {
        place.setWidth((whole.width() - kBeside) / 2);
        const auto at = m_clocks->at(m_bench.data().reps.at(main.side.rep).take, frame);
        if (const auto there = at.find(other->id); there != at.end())
            paintHalf(p, place.translated(place.width() + kBeside, 0), angle, there->second.frame, colour);
    }
    paintHalf(p, place, main, frame, colour);
}

void MirrorMoving::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    p.fillRect(rect(), t.stage);
    const double wide = m_angles ? (upper().width() - kBeside) / 2 : upper().width();
    if (const double aspect = wide / std::max(1.0, upper().height()); std::abs(aspect - m_aspect) > 1e-3) {
        m_aspect = aspect;
        measure();
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
    const Take *a = takeOf(m_athlete.side.rep), *m = takeOf(m_model.side.rep);
    // Since the rep began.
    const auto seconds = [&](const Take& take, Id rep, int frame) {
        const Timebase time = timebaseOf(take);
        const auto from = spanOf(m_bench.data(), m_bench.data().reps.at(rep)).first;
        return shownFigure(time.real(FrameIndex(frame)).value - time.real(from).value, 2);
    };
    if (!a) {
        say(upper(), tr("Cut a rep and place its key positions first."));
    } else {
        const int frame =
            std::clamp(m_bench.take() == a ? m_bench.frame() : 0, 0, static_cast<int>(a->times.size()) - 1);
        paintLine(p, upper(), m_athlete, m_athleteAngle, FrameIndex(frame), t.hues.athleteOnPicture);
        chip(upper(), tr("%1, %2 s").arg(q(a->title), seconds(*a, m_athlete.side.rep, frame)), t.hues.athlete, false);
    }
    if (!m) {
        say(lower(), tr("Bring in a model performance from this view, and it moves here below the line."));
    } else if (const auto frame = a ? modelFrame() : std::nullopt) {
        paintLine(p, lower(), m_model, m_modelAngle, FrameIndex(*frame), t.hues.modelOnPicture);
        chip(lower(), tr("%1, %2 s").arg(q(m->title), seconds(*m, m_model.side.rep, *frame)), t.hues.model, true);
    }
    p.fillRect(QRectF(0, upper().bottom(), width(), kLine), t.text);
}

} // namespace riflesso
