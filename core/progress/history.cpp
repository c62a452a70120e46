#include "core/progress/history.h"
#include "core/words/say.h"

#include "core/statistics/numbers.h"
#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace riflesso {
namespace {

constexpr double kPriorNothing = 0.5, kPriorStep = 0.35, kPriorDrift = 0.15;
constexpr double kSizes[] = {2.0, 4.0, 8.0}; // of a change, in median u

// A change along x (0 to 1) over a level that is not known.
struct Fit {
    double evidence = 1.0; // against no change
    double change = 0.0, u = 0.0;
};

Fit fitAlong(const std::vector<HistoryPoint>& points, const std::vector<double>& x, double unit) {
    double sum = 0.0, xBar = 0.0, yBar = 0.0;
    for (std::size_t i = 0; i < points.size(); ++i) {
        const double w = 1.0 / (points[i].u * points[i].u);
        sum += w;
        xBar += w * x[i];
        yBar += w * points[i].value;
    }
    xBar /= sum;
    yBar /= sum;
    double sxx = 0.0, sxy = 0.0;
    for (std::size_t i = 0; i < points.size(); ++i) {
        const double w = 1.0 / (points[i].u * points[i].u);
        sxx += w * (x[i] - xBar) * (x[i] - xBar);
        sxy += w * (x[i] - xBar) * (points[i].value - yBar);
    }
    Fit out{0.0, sxy / sxx, 1.0 / std::sqrt(sxx)};
    for (const double size : kSizes) {
        const double tau2 = size * unit * size * unit;
        // Capped: beyond e^600 it is certain anyway, and infinities would make NaN of the shares.
        out.evidence += std::exp(std::min(600.0, 0.5 * sxy * sxy * tau2 / (1.0 + tau2 * sxx))) /
                        std::sqrt(1.0 + tau2 * sxx) / std::size(kSizes);
    }
    return out;
}

} // namespace

History historyOf(std::vector<HistoryPoint> points) {
    std::erase_if(points, [](const auto& p) { return !(p.u > 0.0) || !std::isfinite(p.u) || !std::isfinite(p.value); });
    std::sort(points.begin(), points.end(), [](const auto& a, const auto& b) { return a.day < b.day; });
    History out;
    std::set<Day> dates;
    std::vector<double> errors;
    for (const auto& p : points) {
        dates.insert(p.day);
        errors.push_back(p.u);
    }
    if (dates.size() < 3) {
        out.words = say("progress", "From fewer than three dates nothing can be told.");
        return out;
    }
    const double unit = *median(errors);
    const std::vector<Day> days(dates.begin(), dates.end());
    std::vector<Fit> steps;
    std::vector<double> x(points.size());
    double step = 0.0;
    for (std::size_t k = 1; k < days.size(); ++k) {
        for (std::size_t i = 0; i < points.size(); ++i)
            x[i] = points[i].day >= days[k] ? 1.0 : 0.0;
        steps.push_back(fitAlong(points, x, unit));
        step += steps.back().evidence;
    }
    const double span = static_cast<double>((days.back() - days.front()).count());
    for (std::size_t i = 0; i < points.size(); ++i)
        x[i] = static_cast<double>((points[i].day - days.front()).count()) / span;
    const Fit drift = fitAlong(points, x, unit);
    const double a = kPriorNothing, b = kPriorStep * step / static_cast<double>(steps.size()),
                 c = kPriorDrift * drift.evidence;
    out.pNothing = a / (a + b + c);
    out.pStep = b / (a + b + c);
    out.pDrift = c / (a + b + c);

    std::vector<std::size_t> order(steps.size());
    for (std::size_t i = 0; i < order.size(); ++i)
        order[i] = i;
    std::stable_sort(order.begin(), order.end(), [&](auto p, auto q) { return steps[p].evidence > steps[q].evidence; });
    double held = 0.0;
    for (const auto i : order) {
        out.days.push_back(days[i + 1]);
        held += steps[i].evidence / step;
        if (held >= 0.95)
            break;
    }
    std::sort(out.days.begin(), out.days.end());
    out.day = days[order.front() + 1];

    if (out.pStep > out.pNothing && out.pStep > out.pDrift) {
        out.kind = HistoryKind::step;
        out.change = steps[order.front()].change;
        out.u = steps[order.front()].u;
        out.words =
            fill(out.days.size() > 1 ? say("progress", "It changed at once, by %1 ± %2, most likely by %3 (%4 to %5).")
                                     : say("progress", "It changed at once, by %1 ± %2, most likely by %3."),
                 {general(out.change, 3), general(out.u, 2), dateWords(*out.day), dateWords(out.days.front()),
                  dateWords(out.days.back())});
    } else if (out.pDrift > out.pNothing) {
        out.kind = HistoryKind::drift;
        out.change = drift.change;
        out.u = drift.u;
        out.words = fill(say("progress", "It moved little by little, by %1 ± %2 in %3 days."),
                         {general(out.change, 3), general(out.u, 2), std::to_string(static_cast<int>(span))});
    } else {
        out.words = say("progress", "Nothing moved that these errors would show.");
    }
    return out;
}

} // namespace riflesso
