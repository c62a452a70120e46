#pragma once
/// \file
/// Clocks of the bench, and how it prints.

#include <algorithm>
#include <chrono>
#include <cstdio>
#include <functional>
#include <vector>

#include <sys/resource.h>

namespace riflesso {

using Clock = std::chrono::steady_clock;
/// ms since then.
inline double since(Clock::time_point start) {
    return std::chrono::duration<double, std::milli>(Clock::now() - start).count();
}
inline double wall(const std::function<void()>& what) {
    const auto start = Clock::now();
    what();
    return since(start);
}
/// Processor time of this process and its threads, ms.
inline double cpu(const std::function<void()>& what, int who = RUSAGE_SELF) {
    const auto now = [who] {
        rusage u{};
        getrusage(who, &u);
        const auto ms = [](const timeval& t) {
            return 1e3 * static_cast<double>(t.tv_sec) + 1e-3 * static_cast<double>(t.tv_usec);
        };
        return ms(u.ru_utime) + ms(u.ru_stime);
    };
    const double before = now();
    what();
    return now() - before;
}
/// The value below which a share of them lies.
inline double share(std::vector<double> v, double p) {
    std::sort(v.begin(), v.end());
    return v.empty() ? 0.0 : v[std::min(v.size() - 1, static_cast<std::size_t>(p * static_cast<double>(v.size())))];
}
/// Median ms of some runs.
inline double timed(int runs, const std::function<void()>& what) {
    std::vector<double> ms;
    for (int i = 0; i < runs; ++i)
        ms.push_back(wall(what));
    return share(ms, 0.5);
}
/// Prints a figure beside a peer's, and whether their ratio keeps within the budget.
inline void row(const char* what, double ours, const char* peer, double theirs, double budget, bool atLeast = false) {
    const double ratio = theirs > 0.0 ? ours / theirs : 0.0;
    const bool kept = atLeast ? ratio >= budget : ratio <= budget;
    std::printf("  %-34s %9.2f   %-28s %9.2f   ratio %6.3f  %s %.3f  %s\n", what, ours, peer, theirs, ratio,
                atLeast ? "at least" : "at most", budget, kept ? "kept" : "MISSED");
    std::fflush(stdout);
}

} // namespace riflesso
