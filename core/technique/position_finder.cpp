#include "core/technique/position_finder.h"
#include "core/words/say.h"

#include "core/motion/smoothing.h"
#include "core/statistics/summary.h"

#include <Eigen/Cholesky>
#include <Eigen/LU>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

constexpr int kFewest = 8;         // samples below which no rule is tried
constexpr double kMain = 0.40;     // share of the greatest speed that a movement must reach to be the one meant
constexpr double kSmooth = 12.0;   // Hz, for finding the way about; fits use the values themselves
constexpr double kSeenShare = 0.7; // of the weight of a movement's flank that must be marked
std::string hiddenThere() {
    return say("peg", "its points are hidden or unmarked just there");
}
constexpr double kModelError = 0.3; // of a frame: no curve is exactly what the model says

Error cannot(std::string why) {
    return {std::move(why), {}, {}, {}};
}

struct Grid {
    std::vector<double> t, v, smooth, speed, change; // change: of the speed
    std::vector<double> sigma;                       // standard error of v
    std::vector<bool> bridged;                       // nothing is marked there
    double step = 0.0;
    double noise = 0.0; // standard deviation of v about its smooth course
    [[nodiscard]] std::size_t size() const { return t.size(); }
};

// Even samples; short gaps are bridged in a straight line.
std::optional<Grid> gridOf(std::span<const RuleSample> s, double sign) {
    if (s.size() < kFewest || !(s.back().time > s.front().time))
        return std::nullopt;
    std::vector<double> steps;
    for (std::size_t i = 1; i < s.size(); ++i)
        steps.push_back(s[i].time - s[i - 1].time);
    Grid g;
    g.step = *median(steps);
    std::size_t k = 0;
    const auto n = static_cast<std::size_t>(std::floor((s.back().time - s.front().time) / g.step + 0.5)) + 1;
    for (std::size_t i = 0; i < n; ++i) {
        const double t = s.front().time + static_cast<double>(i) * g.step;
        while (k + 2 < s.size() && s[k + 1].time < t)
            ++k;
        const double share = std::clamp((t - s[k].time) / (s[k + 1].time - s[k].time), 0.0, 1.0);
        g.t.push_back(t);
        g.v.push_back(sign * (s[k].value + share * (s[k + 1].value - s[k].value)));
        g.sigma.push_back(s[k].sigma + share * (s[k + 1].sigma - s[k].sigma));
        g.bridged.push_back(s[k + 1].time - s[k].time > 1.5 * g.step && t > s[k].time + 0.5 * g.step &&
                            t < s[k + 1].time - 0.5 * g.step);
    }
    const Hertz rate(1.0 / g.step);
    g.smooth = zeroLag(g.v, Hertz(std::min(kSmooth, 0.4 * rate.value)), rate);
    g.speed = derivative(g.smooth, rate);
    g.change = derivative(g.speed, rate);
    double sum = 0.0;
    for (std::size_t i = 0; i < n; ++i)
        sum += (g.v[i] - g.smooth[i]) * (g.v[i] - g.smooth[i]);
    g.noise = std::sqrt(sum / static_cast<double>(n));
    return g;
}

double minimumJerk(double u) {
    return u <= 0.0 ? 0.0 : u >= 1.0 ? 1.0 : u * u * u * (10.0 - 15.0 * u + 6.0 * u * u);
}
double minimumJerkSlope(double u) {
    return u <= 0.0 || u >= 1.0 ? 0.0 : 30.0 * u * u * (1.0 - u) * (1.0 - u);
}
double inverseMinimumJerk(double share) {
    double lo = 0.0, hi = 1.0;
    for (int i = 0; i < 40; ++i)
        (minimumJerk((lo + hi) / 2) < share ? lo : hi) = (lo + hi) / 2;
    return (lo + hi) / 2;
}

// The first hump of the speed that is one of the large ones.
std::optional<std::size_t> firstMainPeak(const std::vector<double>& of) {
    const double most = *std::max_element(of.begin(), of.end());
    if (!(most > 0.0))
        return std::nullopt;
    for (std::size_t i = 1; i + 1 < of.size(); ++i)
        if (of[i] >= kMain * most && of[i] >= of[i - 1] && of[i] > of[i + 1])
            return i;
    return static_cast<std::size_t>(std::max_element(of.begin(), of.end()) - of.begin());
}

double meanOf(const std::vector<double>& v, std::size_t from, std::size_t to) {
    double sum = 0.0;
    for (std::size_t i = from; i <= to; ++i)
        sum += v[i];
    return sum / static_cast<double>(to - from + 1);
}

Result<FoundInstant> smoothEdge(const Grid& g, bool end) {
    const auto peak = firstMainPeak(g.speed);
    if (!peak)
        return cannot(say("peg", "nothing moves that way"));
    const double most = g.speed[*peak];
    std::size_t a = *peak, b = *peak;
    while (a > 0 && g.speed[a] > 0.04 * most)
        --a;
    while (b + 1 < g.size() && g.speed[b] > 0.04 * most)
        ++b;
    // Rest before and after: a little of it, if there is any.
    const auto rest = static_cast<std::size_t>(std::max(1.0, 0.06 / g.step));
    const double low = meanOf(g.v, a >= rest ? a - rest : 0, a),
                 high = meanOf(g.v, b, std::min(g.size() - 1, b + rest / 2));
    const double way = high - low;
    if (!(way > 6.0 * g.noise) || !(way > 0.0))
        return cannot(say("peg", "it does not move clearly more than the marks are unsure"));
    // u = S⁻¹(share) is a straight line over time for a minimum-jerk curve: fitted on the near side of the movement.
    // What is not marked has no weight, what is unsure has little.
    double sw = 0, st = 0, su = 0, stt = 0, stu = 0, all = 0, known = 0, unsure = 0;
    int n = 0;
    std::vector<std::array<double, 3>> used;
    for (std::size_t i = a; i <= b; ++i) {
        const double share = (g.v[i] - low) / way;
        if (end ? share < 0.30 || share > 0.97 : share < 0.03 || share > 0.70)
            continue;
        const double u = inverseMinimumJerk(share);
        const double slope = std::max(0.05, minimumJerkSlope(u));
        all += slope * slope;
        if (g.bridged[i])
            continue;
        known += slope * slope;
        const double error = std::hypot(g.sigma[i], g.noise, 0.005 * way) / way;
        const double w = slope * slope / (error * error);
        sw += w;
        st += w * g.t[i];
        su += w * u;
        stt += w * g.t[i] * g.t[i];
        stu += w * g.t[i] * u;
        unsure += w * g.sigma[i] * g.sigma[i];
        used.push_back({g.t[i], u, w});
        ++n;
    }
    const double det = sw * stt - st * st;
    if (n < 4 || !(det > 0.0))
        return cannot(say("peg", "the movement is over in too few frames"));
    const double rate = (sw * stu - st * su) / det, offset = (su - rate * st) / sw;
    if (!(rate > 0.0))
        return cannot(say("peg", "nothing moves that way"));
    const double target = end ? 1.0 : 0.0;
    FoundInstant out;
    out.time = (target - offset) / rate;
    double misfit = 0.0;
    for (const auto& [t, u, w] : used)
        misfit += w * (u - offset - rate * t) * (u - offset - rate * t);
    const double variance = misfit / std::max(1, n - 2); // of a sample of weight 1, in u
    const double centre = st / sw;
    const double atEdge = variance * (1.0 / sw + (out.time - centre) * (out.time - centre) * sw / det);
    // How flat the curve is where it is cut: the ends of the plateau are known to noise / √rest only.
    const double plateau = g.noise / way / std::sqrt(static_cast<double>(rest)) * 2.0;
    // Carried marks err together, which no fit shows: the whole curve may be bent by as much as they are unsure.
    const double together = std::sqrt(unsure / sw) / way;
    out.sigma = std::hypot(std::sqrt(std::max(0.0, atEdge)), plateau, together) / rate;
    // The plateau at the edge in question is read from marks too.
    const std::size_t restFrom = end         ? b
                                 : a >= rest ? a - rest
                                             : 0,
                      restTo = end ? std::min(g.size() - 1, b + rest / 2) : a;
    const auto hidden = std::count(g.bridged.begin() + static_cast<std::ptrdiff_t>(restFrom),
                                   g.bridged.begin() + static_cast<std::ptrdiff_t>(restTo) + 1, true);
    if (known < kSeenShare * all || 2 * hidden > static_cast<std::ptrdiff_t>(restTo - restFrom + 1)) {
        out.sure = false;
        out.why = hiddenThere();
    }
    if (way < 15.0 * g.noise) {
        out.sure = false;
        out.why = say("peg", "the movement is small against the error of the marks");
    }
    if ((!end && a == 0 && out.time < g.t.front()) || (end && b + 1 == g.size() && out.time > g.t.back())) {
        out.sure = false;
        out.why = end ? say("peg", "the movement does not come to rest before the rep ends")
                      : say("peg", "the movement is under way when the rep begins");
    }
    return out;
}

// Least squares of a line on one side of a bend and a parabola on the other, joined at the bend.
double bendMisfit(const Grid& g, std::size_t from, std::size_t to, double at, bool curvedAfter,
                  double* jump = nullptr) {
    Eigen::Matrix4d h = Eigen::Matrix4d::Zero();
    Eigen::Vector4d y = Eigen::Vector4d::Zero();
    double sum = 0.0;
    for (std::size_t i = from; i <= to; ++i) {
        if (g.bridged[i])
            continue;
        const double d = (g.t[i] - at) / 0.05; // about one for what is near
        const Eigen::Vector4d x(1.0, d < 0 ? d : 0.0, d < 0 ? 0.0 : d, (d > 0) == curvedAfter ? d * d : 0.0);
        h += x * x.transpose();
        y += g.v[i] * x;
        sum += g.v[i] * g.v[i];
    }
    h.diagonal().array() += 1e-9;
    const Eigen::Vector4d p = h.ldlt().solve(y);
    if (jump)
        *jump = (p[2] - p[1]) / 0.05;
    return std::max(0.0, sum - y.dot(p));
}

Result<FoundInstant> bend(const Grid& g, bool lands) {
    const auto peak = firstMainPeak(g.change);
    if (!peak)
        return cannot(say("peg", "nothing breaks away or stops"));
    const auto reach = static_cast<std::size_t>(std::max(4.0, 0.09 / g.step));
    const std::size_t from = *peak >= reach ? *peak - reach : 0, to = std::min(g.size() - 1, *peak + reach);
    if (to - from < 6)
        return cannot(say("peg", "the film is too slow to show the bend"));
    double best = 1e300, at = g.t[*peak];
    const double fine = g.step / 10.0;
    std::vector<std::pair<double, double>> profile;
    for (double t = g.t[from] + 2 * g.step; t <= g.t[to] - 2 * g.step; t += fine) {
        const double m = bendMisfit(g, from, to, t, !lands);
        profile.emplace_back(t, m);
        if (m < best) {
            best = m;
            at = t;
        }
    }
    FoundInstant out;
    out.time = at;
    double jump = 0.0;
    (void)bendMisfit(g, from, to, at, !lands, &jump);
    const auto first = g.bridged.begin() + static_cast<std::ptrdiff_t>(from),
               last = g.bridged.begin() + static_cast<std::ptrdiff_t>(to) + 1;
    const double dof = std::max<double>(1.0, static_cast<double>(std::count(first, last, false)) - 5.0);
    const double variance = std::max(best / dof, 1e-12);
    // The misfit rises by one variance at one standard error (likelihood profile).
    double wide = 0.0;
    for (const auto& [t, m] : profile)
        if (m <= best + variance)
            wide = std::max(wide, std::abs(t - at));
    out.sigma = std::max(wide, 0.5 * fine);
    if (!(jump * 0.03 > 3.0 * std::max(g.noise, std::sqrt(variance)))) {
        out.sure = false;
        out.why = say("peg", "the bend is small against the error of the marks");
    }
    // Marks on either side, and some right beside it: a straight bridge has bends at its ends that nobody has seen.
    int before = 0, after = 0;
    bool beside = true;
    for (std::size_t i = from; i <= to; ++i) {
        if (g.bridged[i])
            beside = beside && std::abs(g.t[i] - at) > 2.5 * g.step;
        else
            ++(g.t[i] < at ? before : after);
    }
    if (!beside || before < 4 || after < 4) {
        out.sure = false;
        out.why = hiddenThere();
    }
    if (peak == std::size_t{0} || at <= g.t[from] + 2.5 * g.step || at >= g.t[to] - 2.5 * g.step) {
        out.sure = false;
        out.why = say("peg", "the bend lies at the edge of what was looked at");
    }
    return out;
}

Result<FoundInstant> top(const Grid& g) {
    const auto at = static_cast<std::size_t>(std::max_element(g.smooth.begin(), g.smooth.end()) - g.smooth.begin());
    FoundInstant out;
    out.time = g.t[at];
    if (at == 0 || at + 1 == g.size()) {
        out.sure = false;
        out.why = say("peg", "the greatest value lies at the end of what was looked at");
        out.sigma = 2.0 * g.step;
        return out;
    }
    const auto reach = static_cast<std::size_t>(std::max(3.0, 0.04 / g.step));
    const std::size_t from = at >= reach ? at - reach : 0, to = std::min(g.size() - 1, at + reach);
    Eigen::Matrix3d h = Eigen::Matrix3d::Zero();
    Eigen::Vector3d y = Eigen::Vector3d::Zero();
    for (std::size_t i = from; i <= to; ++i) {
        const double d = g.t[i] - g.t[at];
        const Eigen::Vector3d x(1, d, d * d);
        h += x * x.transpose();
        y += g.v[i] * x;
    }
    const Eigen::Vector3d p = h.ldlt().solve(y);
    if (!(p[2] < 0.0))
        return cannot(say("peg", "the curve has no clear top"));
    const double d = std::clamp(-p[1] / (2.0 * p[2]), g.t[from] - g.t[at], g.t[to] - g.t[at]);
    out.time = g.t[at] + d;
    const double uSlope = g.noise * std::sqrt(std::max(0.0, h.inverse()(1, 1)));
    out.sigma = uSlope / (2.0 * -p[2]);
    if (out.sigma > 4.0 * g.step) {
        out.sure = false;
        out.why = say("peg", "the top is flat: any of several frames could be it");
    }
    return out;
}

Result<FoundInstant> crossing(const Grid& g, double level) {
    const auto rest = std::min<std::size_t>(g.size() / 4, static_cast<std::size_t>(std::max(1.0, 0.05 / g.step)));
    const double low = meanOf(g.v, 0, rest), high = *std::max_element(g.smooth.begin(), g.smooth.end());
    const double wanted = low + level * (high - low);
    for (std::size_t i = 1; i < g.size(); ++i)
        if (g.smooth[i - 1] < wanted && g.smooth[i] >= wanted) {
            FoundInstant out;
            out.time = g.t[i - 1] + g.step * (wanted - g.smooth[i - 1]) / (g.smooth[i] - g.smooth[i - 1]);
            out.sigma = g.noise / std::max(1e-9, g.speed[i]);
            return out;
        }
    return cannot(say("peg", "the level is not crossed"));
}

} // namespace

Result<std::vector<RuleSample>> ruleSeries(const SeriesSpec& spec, const Motion& motion, const ViewSetup& setup,
                                           FrameIndex first, FrameIndex last) {
    std::optional<Eigen::Vector2d> direction;
    if (spec.direction) {
        direction = inPicture(*spec.direction, setup);
        if (!direction)
            return cannot(refusedByDirection(*spec.direction));
    }
    std::vector<std::vector<LandmarkName>> points;
    for (const auto& p : spec.points) {
        points.emplace_back();
        for (const auto& role : p.landmarks)
            points.back().push_back(resolveRole(role, setup.handedness));
    }
    struct Read {
        Eigen::Vector2d at;
        double variance;
        bool draft = false;
    };
    const auto read = [&](std::size_t i, FrameIndex f) -> std::optional<Read> {
        Read r{Eigen::Vector2d::Zero(), 0.0};
        const auto n = static_cast<double>(points[i].size());
        for (const auto& name : points[i]) {
            const auto s = motion.at(name, f);
            if (!s)
                return std::nullopt;
            r.at += (setup.calibration ? setup.calibration->upright(s->at.vector()) : s->at.vector()) / n;
            r.variance += s->sigma * s->sigma / (n * n);
            r.draft = r.draft || s->draft;
        }
        return r;
    };
    std::vector<RuleSample> out;
    std::vector<Read> places;
    for (int f = first.value; f <= last.value; ++f) {
        std::vector<Read> p;
        for (std::size_t i = 0; i < points.size(); ++i)
            if (const auto r = read(i, FrameIndex(f)))
                p.push_back(*r);
        if (p.size() != points.size())
            continue;
        RuleSample s{FrameIndex(f), motion.time().real(FrameIndex(f)).value, 0.0, std::sqrt(p[0].variance),
                     std::any_of(p.begin(), p.end(), [](const Read& r) { return r.draft; })};
        if (spec.kind == SeriesKind::place) {
            if (p.size() == 2) { // against the second point
                p[0].at -= p[1].at;
                p[0].variance += p[1].variance;
                s.sigma = std::sqrt(p[0].variance);
            }
            s.value = p[0].at.dot(*direction);
        } else if (spec.kind == SeriesKind::speed && p.size() == 2) {
            p[0].at -= p[1].at;
            p[0].variance += p[1].variance;
            s.sigma = std::sqrt(p[0].variance);
        } else if (spec.kind == SeriesKind::distance) {
            s.value = (p[0].at - p[1].at).norm();
            s.sigma = std::sqrt(p[0].variance + p[1].variance);
        } else if (spec.kind == SeriesKind::angle) {
            s.value = includedAngle(p[0].at, p[1].at, p[2].at).value;
            if (!std::isfinite(s.value))
                continue;
            // First order (GUM 5.1.2): each end turns its leg, the vertex turns both.
            const double a = (p[0].at - p[1].at).norm(), c = (p[2].at - p[1].at).norm();
            const double vertex =
                1.0 / (a * a) + 1.0 / (c * c) - 2.0 * (p[0].at - p[1].at).dot(p[2].at - p[1].at) / (a * a * c * c);
            s.sigma = toDegrees(Radians(std::sqrt(p[0].variance / (a * a) + p[2].variance / (c * c) +
                                                  p[1].variance * std::max(0.0, vertex))))
                          .value;
        }
        out.push_back(s);
        places.push_back(p[0]);
    }
    if (spec.kind == SeriesKind::speed)
        for (std::size_t i = 0; i < out.size(); ++i) {
            const std::size_t a = i > 0 ? i - 1 : 0, b = std::min(i + 1, out.size() - 1);
            const Eigen::Vector2d d = places[b].at - places[a].at;
            const double dt = std::max(1e-9, out[b].time - out[a].time);
            out[i].value = (direction ? d.dot(*direction) : d.norm()) / dt;
        }
    if (out.size() < kFewest) {
        for (const auto& names : points)
            for (const auto& name : names)
                if (!motion.tracks().contains(name) || motion.tracks().at(name).samples.size() < kFewest)
                    return cannot(fill(say("peg", "the %1 is not marked on enough frames"), {spoken(name)}));
        return cannot(say("peg", "its points are not marked together on enough frames"));
    }
    return out;
}

Result<FoundInstant> findInstant(const PositionRule& rule, std::span<const RuleSample> samples,
                                 std::span<const double> strikes) {
    const bool down = rule.kind == RuleKind::lowest || (rule.falling && rule.kind != RuleKind::highest);
    // A thing that leaves upwards bends up, and one that lands from above bends up too.
    const double sign = rule.kind == RuleKind::lands ? (rule.falling ? 1.0 : -1.0) : down ? -1.0 : 1.0;
    const auto g = gridOf(samples, sign);
    if (!g)
        return cannot(say("peg", "its points are not marked together on enough frames"));
    Result<FoundInstant> found = cannot("");
    switch (rule.kind) {
    case RuleKind::begins:
        found = smoothEdge(*g, false);
        break;
    case RuleKind::ends:
        found = smoothEdge(*g, true);
        break;
    case RuleKind::leaves:
        found = bend(*g, false);
        break;
    case RuleKind::lands:
        found = bend(*g, true);
        break;
    case RuleKind::highest:
    case RuleKind::lowest:
        found = top(*g);
        break;
    case RuleKind::crosses:
        found = crossing(*g, rule.level);
        break;
    case RuleKind::strike: {
        const auto peak = std::max_element(g->smooth.begin(), g->smooth.end()) - g->smooth.begin();
        const double about = g->t[static_cast<std::size_t>(peak)];
        const double* nearest = nullptr;
        for (const double& s : strikes)
            if (s >= g->t.front() - g->step && s <= g->t.back() + g->step &&
                (!nearest || std::abs(s - about) < std::abs(*nearest - about)))
                nearest = &s;
        if (!nearest)
            return cannot(say("peg", "no strike is heard there"));
        // Sound takes 3 ms a metre: from memory 343 m/s; a camera stands some metres away.
        FoundInstant heard{*nearest, std::max(0.004, g->step / std::sqrt(12.0)), true, {}};
        if (std::abs(*nearest - about) > 0.12) {
            heard.sure = false;
            heard.why = say("peg", "what is heard lies far from what is seen");
        }
        found = heard;
        break;
    }
    }
    if (!found)
        return found;
    // Tops, levels and strikes are read off what is next to them.
    if (rule.kind != RuleKind::begins && rule.kind != RuleKind::ends && found->sure)
        for (std::size_t i = 0; i < g->size(); ++i)
            if (g->bridged[i] && std::abs(g->t[i] - found->time) < 2.5 * g->step) {
                found->sure = false;
                found->why = hiddenThere();
            }
    found->sigma = std::hypot(found->sigma, kModelError * g->step);
    if (found->sigma > 2.0 * g->step && found->sure) {
        found->sure = false;
        found->why = say("peg", "the curve leaves several frames open");
    }
    return found;
}

} // namespace riflesso
