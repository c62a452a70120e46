#include "casebook/diary.h"

#include "core/words/say.h"

#include <algorithm>
#include <map>

namespace riflesso {
namespace {

// Those that are there, parted by a sign.
std::string strung(std::initializer_list<std::string> parts, const char* sign) {
    std::string out;
    for (const auto& p : parts)
        if (!p.empty())
            out += (out.empty() ? "" : sign) + p;
    return out;
}

std::string minuteWords(double minutes) {
    const auto whole = static_cast<std::size_t>(minutes + 0.5);
    return sayCount("diary", "%n minutes", "%n minute", whole);
}

} // namespace

int goodReps(const Block& block) {
    return static_cast<int>(
        std::count_if(block.reps.begin(), block.reps.end(), [](const auto& r) { return r.good(); }));
}

std::vector<DiaryDay> diaryOf(const CaseData& data) {
    std::map<Day, DiaryDay, std::greater<>> days;
    for (const auto& [id, b] : data.blocks) {
        if (!b.film.empty())
            continue;
        DiaryDay& d = days[b.day];
        d.day = b.day;
        d.blocks.push_back(id);
        d.reps += static_cast<int>(b.reps.size());
        d.good += goodReps(b);
        d.alone += b.own ? b.own->minutes : 0.0;
    }
    std::vector<DiaryDay> out;
    for (auto& [day, d] : days)
        out.push_back(std::move(d));
    return out;
}

std::string dayWords(const DiaryDay& d) {
    const std::string counted =
        d.reps > 0 ? fill(say("diary", "%1 of %2 good"), {std::to_string(d.good), std::to_string(d.reps)}) : "";
    const std::string alone = d.alone > 0.0 ? fill(say("diary", "%1 alone"), {minuteWords(d.alone)}) : "";
    return strung({counted, alone}, ", ");
}

std::string reasonWords(const Block& block) {
    std::vector<std::pair<std::string, int>> counts; // in the order in which they first came
    for (const auto& r : block.reps) {
        if (r.good() || r.reason.empty())
            continue;
        const auto it = std::find_if(counts.begin(), counts.end(), [&](const auto& c) { return c.first == r.reason; });
        if (it == counts.end())
            counts.emplace_back(r.reason, 1);
        else
            ++it->second;
    }
    std::stable_sort(counts.begin(), counts.end(), [](const auto& a, const auto& b) { return a.second > b.second; });
    std::string out;
    for (const auto& [reason, n] : counts)
        out += (out.empty() ? "" : ", ") + fill(say("diary", "%1 (%2)"), {reason, std::to_string(n)});
    return out;
}

std::string ownWords(const SelfCoached& own) {
    const auto hits = static_cast<std::size_t>(std::max(0, own.hits));
    return strung({minuteWords(own.minutes), hits > 0 ? sayCount("diary", "%n hits", "%n hit", hits) : "", own.where},
                  ", ");
}

const Block* lastSaid(const CaseData& data, const std::string& drill, Day day, Id apart) {
    const Block* out = nullptr;
    for (const auto& [id, b] : data.blocks)
        if (b.drill == drill && b.day <= day && id != apart && b.film.empty() && !saidWords(b).empty() &&
            (!out || b.day >= out->day)) // ids grow: of one day the later one
            out = &b;
    return out;
}

std::string saidWords(const Block& block) {
    const auto quoted = [](const std::string& words) { return words.empty() ? words : "“" + words + "”"; };
    const std::string next =
        block.own && !block.own->next.empty() ? fill(say("diary", "to try: %1"), {block.own->next}) : "";
    return strung({quoted(block.note), block.own ? quoted(block.own->noticed) : "", next}, "; ");
}

} // namespace riflesso
