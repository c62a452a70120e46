#include "core/progress/feed.h"

#include <numeric>
#include <random>
#include <vector>

namespace riflesso {

std::size_t nextWay(FeedOrder order, std::size_t ways, std::size_t done, std::size_t last, std::uint64_t seed) {
    if (ways < 2)
        return 0;
    switch (order) {
    case FeedOrder::inTurn:
        return done == 0 ? last % ways : (last + 1) % ways;
    case FeedOrder::mixed: {
        std::vector<std::size_t> round(ways);
        std::iota(round.begin(), round.end(), std::size_t{0});
        // The engine's numbers are the same everywhere; std::shuffle's use of them is not.
        std::mt19937_64 random(seed * 1'000'003 + done / ways);
        for (std::size_t i = ways - 1; i > 0; --i)
            std::swap(round[i], round[random() % (i + 1)]);
        return round[done % ways];
    }
    case FeedOrder::kept:
        break;
    }
    return last < ways ? last : 0;
}

} // namespace riflesso
