#include "core/programme/support.h"

#include "core/words/say.h"

#include <algorithm>

namespace riflesso {
namespace {

using std::chrono::days;

constexpr std::string_view kStop = "Slowly, and never into pain. If it hurts, stop and ask a physiotherapist.";
constexpr std::array<SupportWork, 8> kAll = {
    {{"support-ankle",
      "Ankles: knee over toes",
      "One foot forward, heel down; bring the knee slowly over the toes and back. "
      "Ten each side, twice.",
      kStop,
      5.0,
      {"ankle", "calf", "foot"}},
     {"support-knee",
      "Quiet steps down",
      "Step down from a low step on one leg, knee over the middle of the foot, so slowly "
      "that nobody hears the landing. Six each side, twice.",
      kStop,
      6.0,
      {"knee", "thigh"}},
     {"support-hip",
      "Hips: half kneeling",
      "One knee on a cushion; push the hip of that side forward without arching the back. "
      "Half a minute each side, three times.",
      kStop,
      6.0,
      {"hip"}},
     {"support-back",
      "Back: slow bridge",
      "On the back, feet near; lift the hips one breath long, stay one, come down two. Eight "
      "times, twice.",
      kStop,
      6.0,
      {"lower back", "upper back"}},
     {"support-shoulder",
      "Shoulders: wall slides",
      "Back and forearms to a wall; slide the arms up as far as they stay on it, and "
      "down again. Ten, twice.",
      kStop,
      5.0,
      {"shoulder", "neck"}},
     {"support-arm",
      "Forearm: slow lowering",
      "Lift a light weight with the help of the other hand, lower it alone over four "
      "counts. Eight, twice.",
      kStop,
      5.0,
      {"elbow", "wrist", "hand"}},
     {"support-balance",
      "One leg, eyes closed",
      "Stand on one leg near a wall until the sway is small; then close the eyes. Half "
      "a minute each side, three times.",
      kStop,
      4.0,
      {}},
     {"support-breath",
      "Long breaths out",
      "In over three counts, out over six, five minutes, sitting.",
      kStop,
      5.0,
      {}}}};

// "left knee" in the reader's language.
std::string partWords(std::string part) {
    std::replace(part.begin(), part.end(), ' ', '_');
    return spoken(part);
}

} // namespace

bool isMiddlePart(std::string_view part) {
    return part == "head" || part == "neck" || part == "upper back" || part == "lower back";
}

std::string_view withoutSide(std::string_view part) {
    for (const std::string_view side : {"left ", "right "})
        if (part.starts_with(side))
            part.remove_prefix(side.size());
    return part;
}

std::string partOf(const LandmarkName& landmark) {
    const auto line = landmark.find('_');
    const std::string side = line == std::string::npos ? "" : landmark.substr(0, line);
    std::string what = side == "left" || side == "right" ? landmark.substr(line + 1) : landmark;
    if (what == "heel" || what == "toe")
        what = "foot";
    if (std::find(kBodyParts.begin(), kBodyParts.end(), what) == kBodyParts.end())
        return {};
    return isMiddlePart(what) || side.empty() ? what : side + " " + what;
}

std::span<const SupportWork> allSupportWork() {
    return kAll;
}

const SupportWork* supportWork(std::string_view id) {
    const auto it = std::find_if(kAll.begin(), kAll.end(), [&](const SupportWork& w) { return w.id == id; });
    return it == kAll.end() ? nullptr : &*it;
}

const SupportWork* supportFor(std::string_view part) {
    const auto what = withoutSide(part);
    const auto it = std::find_if(kAll.begin(), kAll.end(), [&](const SupportWork& w) {
        return !what.empty() && std::find(w.parts.begin(), w.parts.end(), what) != w.parts.end();
    });
    return it == kAll.end() ? nullptr : &*it;
}

std::vector<PlannedBlock> supportBeside(const std::vector<SupportNeed>& needs, const PlanInput& in,
                                        const std::vector<PlannedBlock>& planned, std::vector<std::string>& notes) {
    constexpr int kAWeek = 2, kApart = 2; // times, days
    std::vector<PlannedBlock> out;
    for (const auto& need : needs) {
        if (need.pain) {
            notes.push_back(fill(say("plan", "It hurts now (%1): nothing is planned for it. Have it looked at by a "
                                             "doctor or a physiotherapist first."),
                                 {partWords(need.part)}));
            continue;
        }
        const SupportWork* work = supportFor(need.part);
        if (!work)
            continue;
        const auto of = [&](const PlannedBlock& b) { return b.drill == work->id; };
        for (Day monday = in.from - days(weekdayOf(in.from)); monday < in.from + days(in.days); monday += days(7)) {
            struct Candidate {
                bool session;
                Day day;
            };
            std::vector<Candidate> free;
            int there = 0;
            for (Day day = monday; day < monday + days(7); day += days(1)) {
                double left = availableOn(in, day);
                bool session = false;
                for (const auto* list : std::initializer_list<const std::vector<PlannedBlock>*>{&planned, &out})
                    for (const auto& b : *list)
                        if (b.day == day && b.state != BlockState::dropped && b.state != BlockState::missed) {
                            left -= b.minutes;
                            session = session || b.kind == BlockKind::session;
                            there += of(b);
                        }
                const auto unwanted = [&](const PlannedBlock& b) {
                    return b.day == day && of(b) && b.state == BlockState::dropped;
                };
                if (day >= in.from && day < in.from + days(in.days) && left + 1e-9 >= work->minutes &&
                    std::none_of(in.standing.begin(), in.standing.end(), unwanted))
                    free.push_back({session, day});
            }
            std::stable_sort(free.begin(), free.end(),
                             [](const Candidate& a, const Candidate& b) { return a.session < b.session; });
            for (const auto& c : free) {
                const auto near = [&](const PlannedBlock& b) {
                    return of(b) && std::abs((b.day - c.day).count()) < kApart && b.state != BlockState::dropped;
                };
                if (there >= kAWeek || std::any_of(out.begin(), out.end(), near) ||
                    std::any_of(planned.begin(), planned.end(), near))
                    continue;
                PlannedBlock b;
                b.day = c.day;
                b.drill = work->id;
                b.minutes = work->minutes;
                b.kind = BlockKind::support;
                b.rules = {fill(say("plan", "beside the technique, for the %1"), {partWords(need.part)}),
                           word(work->caution)};
                out.push_back(std::move(b));
                ++there;
            }
        }
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const PlannedBlock& a, const PlannedBlock& b) { return a.day < b.day; });
    return out;
}

std::string workName(const Blueprint& blueprint, const std::string& id) {
    if (const Drill* d = blueprint.drill(id))
        return d->name;
    const SupportWork* work = supportWork(id);
    return work ? word(work->name) : id;
}

} // namespace riflesso
