#include "core/statistics/multiple.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace riflesso {

std::vector<double> falseDiscoveryAdjusted(std::span<const double> p) {
    std::vector<std::size_t> order;
    for (std::size_t i = 0; i < p.size(); ++i)
        if (!std::isnan(p[i]))
            order.push_back(i);
    std::sort(order.begin(), order.end(), [&](auto a, auto b) { return p[a] < p[b]; });
    std::vector<double> out(p.size(), std::numeric_limits<double>::quiet_NaN());
    const auto m = static_cast<double>(order.size());
    double least = 1.0;
    for (std::size_t rank = order.size(); rank > 0; --rank) {
        least = std::min(least, p[order[rank - 1]] * m / static_cast<double>(rank));
        out[order[rank - 1]] = least;
    }
    return out;
}

std::vector<double> neverRising(std::span<const double> values, std::span<const double> weights,
                                std::vector<std::size_t>* blocks) {
    struct Block {
        double mean, weight;
        std::size_t first, last;
    };
    std::vector<Block> pooled;
    for (std::size_t i = 0; i < values.size(); ++i) {
        pooled.push_back({values[i], weights[i], i, i});
        while (pooled.size() > 1 && pooled.back().mean > pooled[pooled.size() - 2].mean) {
            const Block upper = pooled.back();
            pooled.pop_back();
            Block& lower = pooled.back();
            const double weight = lower.weight + upper.weight;
            lower.mean = (lower.mean * lower.weight + upper.mean * upper.weight) / weight;
            lower.weight = weight;
            lower.last = upper.last;
        }
    }
    std::vector<double> out(values.size());
    if (blocks)
        blocks->assign(values.size(), 0);
    for (const auto& b : pooled)
        for (std::size_t i = b.first; i <= b.last; ++i) {
            out[i] = b.mean;
            if (blocks)
                (*blocks)[i] = b.first;
        }
    return out;
}

} // namespace riflesso
