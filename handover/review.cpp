#include "handover/review.h"

#include "core/words/say.h"

#include "casebook/decisions.h"
#include "casebook/shown_rep.h"
#include "files/write_file.h"
#include "handover/words.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <cmath>
#include <set>

namespace riflesso {
namespace {

using nlohmann::json;
namespace fs = std::filesystem;

constexpr std::size_t kMostScenes = 200, kMostPointer = 20000, kLongestText = 4000;
constexpr std::uintmax_t kLargestFile = 16u << 20;
constexpr std::size_t kConsequences = 3, kStrengths = 2, kDrills = 2; // as many as somebody keeps in mind

// The rep and the moment that show a measure, with the one it is compared with.
Scene sceneOf(const CaseData& data, const Blueprint& b, const Analysis& a, SceneKind kind, const std::string& measure) {
    Scene s;
    s.kind = kind;
    s.measure = measure;
    const auto own = shownReps(data, b, a, measure, false), model = shownReps(data, b, a, measure, true);
    if (!own.empty()) {
        const auto& shown = own[kind == SceneKind::good ? 0 : farthestOff(a, measure, own)];
        s.rep = shown.rep;
        s.frame = shown.frame;
    }
    if (!model.empty())
        s.other = model.front().rep;
    return s;
}

std::string upper(std::string words) {
    if (!words.empty() && words[0] >= 'a' && words[0] <= 'z')
        words[0] = static_cast<char>(words[0] - 'a' + 'A');
    return words;
}

Error damaged(const fs::path& file, const std::string& why) {
    return {"this is not a review (" + why + ")", file.filename().string(), "nothing was changed",
            "it can be put aside; a new one is made of the findings", ErrorKind::damaged};
}

json sceneJson(const Scene& s) {
    json pointer = json::array();
    for (const auto& p : s.pointer)
        pointer.push_back({p.at, p.x, p.y, p.drawing});
    json out = {{"id", s.id},           {"kind", kSceneKindNames[static_cast<std::size_t>(s.kind)]},
                {"words", s.words},     {"rep", s.rep},
                {"other", s.other},     {"measure", s.measure},
                {"seconds", s.seconds}, {"slow", s.slow},
                {"spoken", s.spoken},   {"caption", s.caption},
                {"pointer", pointer}};
    if (s.frame)
        out["frame"] = s.frame->value;
    if (s.note != 0)
        out["note"] = s.note;
    return out;
}

// Throws json's exceptions, and std::out_of_range for what lies beyond its bounds.
Scene sceneFrom(const json& j) {
    const auto within = [](double v, double lo, double hi) {
        if (!(v >= lo && v <= hi))
            throw std::out_of_range("a figure beyond its bounds");
        return v;
    };
    const auto text = [](const json& t) {
        auto s = t.get<std::string>();
        if (s.size() > kLongestText)
            throw std::out_of_range("a text of more than 4,000 bytes");
        return s;
    };
    Scene s;
    s.id = j.at("id").get<int>();
    const auto kind = std::find(kSceneKindNames.begin(), kSceneKindNames.end(), j.at("kind").get<std::string>());
    if (kind == kSceneKindNames.end() || s.id <= 0)
        throw std::out_of_range("a scene of no known kind");
    s.kind = static_cast<SceneKind>(kind - kSceneKindNames.begin());
    s.words = text(j.at("words"));
    s.rep = j.at("rep").get<Id>();
    s.other = j.at("other").get<Id>();
    s.measure = text(j.at("measure"));
    if (j.contains("frame"))
        s.frame = FrameIndex(j.at("frame").get<int>());
    if (j.contains("note"))
        s.note = j.at("note").get<Id>();
    s.seconds = within(j.at("seconds").get<double>(), 1.0, 120.0);
    s.slow = within(j.at("slow").get<double>(), 0.25, 64.0);
    s.spoken = j.at("spoken").get<bool>();
    s.caption = text(j.at("caption"));
    if (j.at("pointer").size() > kMostPointer)
        throw std::out_of_range("a pointer of more than 20,000 places");
    for (const auto& p : j.at("pointer"))
        s.pointer.push_back({within(p.at(0).get<double>(), 0.0, 3600.0), within(p.at(1).get<double>(), 0.0, 1.0),
                             within(p.at(2).get<double>(), 0.0, 1.0), p.at(3).get<bool>()});
    return s;
}

fs::path fileOf(const fs::path& folder) {
    return folder / "review.json";
}

} // namespace

int addScene(Review& review, Scene scene) {
    scene.id = review.nextId++;
    review.scenes.push_back(std::move(scene));
    return review.scenes.back().id;
}

Review proposedReview(const CaseData& data, const Blueprint& b, const Analysis& a) {
    Review out;
    const auto& j = a.judgement;
    for (std::size_t i = 0; i < j.strengths.size() && i < kStrengths; ++i) {
        const auto& measure = j.strengths[i].measure;
        Scene s = sceneOf(data, b, a, SceneKind::good, measure);
        s.words = fill(say("review", "Good, and to be kept: %1, %2"),
                       {b.measure(measure)->definition.name,
                        valueWords(b.measure(measure)->definition, a.deviation(measure)->value)});
        if (i == 0)
            s.frame.reset(); // the first thing that is seen moves
        addScene(out, std::move(s));
    }
    for (const auto& id : j.focus) {
        const Fault* fault = b.fault(id);
        const Finding* f = a.finding(id);
        if (!fault || !f || f->evidence.empty())
            continue;
        Scene s = sceneOf(data, b, a, SceneKind::cause, f->evidence.front());
        s.words = fill(
            say("review", "The cause: %1. %2"),
            {fault->name, upper(directionWords(*b.measure(f->evidence.front()), *a.deviation(f->evidence.front())))});
        s.seconds = 8.0;
        addScene(out, s);
        s.frame.reset(); // and once more as it moves
        s.words = fault->why.empty() ? fault->name : fault->why;
        addScene(out, std::move(s));
    }
    std::size_t shown = 0;
    for (const auto& id : j.expectedToFollow) {
        const Finding* f = a.finding(id);
        if (!f || f->evidence.empty() || shown++ == kConsequences)
            continue;
        Scene s = sceneOf(data, b, a, SceneKind::consequence, f->evidence.front());
        s.words = fill(say("review", "It should go with the cause: %1"), {b.fault(id)->name});
        addScene(out, std::move(s));
    }
    for (const auto& d : openDecisions(data))
        if (const auto note = data.notes.find(d.note); note != data.notes.end()) {
            Scene s;
            s.kind = SceneKind::own;
            s.note = note->first;
            const Fault* fault = b.fault(d.fault);
            s.words = fault ? fault->name : d.words;
            addScene(out, std::move(s));
        }
    std::set<std::string> drills;
    for (const auto& block : a.plan.blocks) {
        const Drill* d = b.drill(block.drill);
        if (!d || drills.size() == kDrills || !drills.insert(d->id).second)
            continue;
        Scene s;
        s.kind = SceneKind::todo;
        s.words = fill(say("review", "To do: %1, %2. “%3”"), {d->name, doseWords(d->dose), d->cue});
        if (const auto reps = a.modelReps; !reps.empty())
            s.rep = reps.front(); // good performers are shown, not words alone
        addScene(out, std::move(s));
    }
    for (const auto& [who, words] :
         {std::pair<std::string, std::string>{say("review", "You said: %1"), data.brief.thinks},
          {say("review", "You were told: %1"), data.brief.told}})
        if (!words.empty()) {
            Scene s;
            s.kind = SceneKind::said;
            s.words = fill(who, {words});
            addScene(out, std::move(s));
        }
    return out;
}

fs::path reviewFolder(const fs::path& library, Id caseId) {
    return library / "reviews" / ("case-" + std::to_string(caseId));
}

fs::path voiceFile(const fs::path& folder, const Scene& scene) {
    return folder / ("scene-" + std::to_string(scene.id) + ".wav");
}

Result<std::optional<Review>> readReview(const fs::path& folder) {
    std::error_code ec;
    const fs::path file = fileOf(folder);
    if (!fs::exists(file, ec))
        return std::optional<Review>();
    const auto bytes = readFile(file, kLargestFile);
    if (!bytes)
        return bytes.error();
    try {
        const json all = json::parse(*bytes);
        if (all.at("format").get<int>() != 1)
            return damaged(file, "of another format");
        if (all.at("scenes").size() > kMostScenes)
            return damaged(file, "more than 200 scenes");
        Review out;
        std::set<int> ids;
        for (const auto& s : all.at("scenes")) {
            out.scenes.push_back(sceneFrom(s));
            if (!ids.insert(out.scenes.back().id).second)
                return damaged(file, "two scenes of one number");
        }
        out.nextId = std::max(all.at("next").get<int>(), ids.empty() ? 1 : *ids.rbegin() + 1);
        return std::optional(out);
    } catch (const std::exception& e) {
        return damaged(file, e.what());
    }
}

std::string textOf(const Scene& scene) {
    return sceneJson(scene).dump(-1, ' ', true, json::error_handler_t::replace);
}

Status keepReview(const fs::path& folder, const Review& review) {
    std::error_code ec;
    fs::create_directories(folder, ec);
    if (ec)
        return Error{fill(say("error", "the folder cannot be made (%1)"), {ec.message()}),
                     folder.filename().string(),
                     "the review was not kept",
                     {}};
    json scenes = json::array();
    for (const auto& s : review.scenes)
        scenes.push_back(sceneJson(s));
    return writeFile(fileOf(folder), json{{"format", 1}, {"next", review.nextId}, {"scenes", scenes}}.dump(
                                         1, ' ', false, json::error_handler_t::replace) +
                                         "\n");
}

} // namespace riflesso
