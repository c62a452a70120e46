#pragma once
/// \file
/// In which way the next rep is fed or done: from the left or the right, high or low, near or far.

#include <array>
#include <cstddef>
#include <cstdint>
#include <string_view>

namespace riflesso {

/// kept: one way until another is chosen; inTurn: each after the other; mixed: each as often, in an order that nobody
/// knows beforehand. What is learnt in a mixed order lasts longer, though it looks worse on the day (J. B. Shea &
/// R. L. Morgan 1979, "Contextual interference effects", J. Exp. Psychol. Hum. Learn. Mem. 5:179-187, from memory).
enum class FeedOrder : unsigned char { kept, inTurn, mixed };
inline constexpr std::array<std::string_view, 3> kFeedOrderNames = {"always so", "in turn", "mixed"};

/// The way of the next rep, 0-based among \p ways; 0 when there is none or one. \p done: reps of the block so far;
/// \p last: the way of the last one, or what is chosen now. A mixed order takes each way once in every round of
/// \p ways reps; the same \p seed gives the same order.
std::size_t nextWay(FeedOrder order, std::size_t ways, std::size_t done, std::size_t last, std::uint64_t seed);

} // namespace riflesso
