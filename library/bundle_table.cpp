#include "library/bundle_table.h"

#include "core/words/say.h"

#include "library/case_json.h"
#include "library/json_reader.h"

#include <algorithm>
#include <cmath>
#include <type_traits>

namespace riflesso {
namespace {

using nlohmann::json;
namespace fs = std::filesystem;

constexpr std::uintmax_t kLargestPart = std::uintmax_t(256) << 30; // bytes, of a film
constexpr std::size_t kMostParts = 20000, kMostCases = 5000;

json marksJson(const TrackSet& tracks) {
    json out = json::object();
    for (const auto& [name, track] : tracks) {
        json marks = json::array();
        for (const auto& [frame, m] : track)
            marks.push_back({frame.value, m.at.x, m.at.y, m.sigma, static_cast<int>(m.how)});
        out[name] = std::move(marks);
    }
    return out;
}

TrackSet marksFrom(const json& j) {
    TrackSet out;
    for (const auto& [name, marks] : j.items())
        for (const auto& m : marks) {
            const int how = m.at(4).get<int>(), frame = m.at(0).get<int>();
            const Mark mark{
                {m.at(1).get<double>(), m.at(2).get<double>()}, m.at(3).get<double>(), static_cast<How>(how)};
            if (how < 0 || how >= static_cast<int>(kHowNames.size()) || frame < 0 || !std::isfinite(mark.at.x) ||
                !std::isfinite(mark.at.y) || !(mark.sigma > 0.0))
                throw std::out_of_range("a mark that cannot be");
            out[name][FrameIndex(frame)] = mark;
        }
    return out;
}

template <typename T> json bodies(const std::map<Id, T>& values) {
    json out = json::array();
    for (const auto& [id, value] : values) {
        out.push_back({{"id", id}, {"body", json::parse(toJson(value))}});
        if constexpr (std::is_same_v<T, Rep>) // whose take stands in a column of its own
            out.back()["take"] = value.take;
    }
    return out;
}

template <typename T> void read(const json& list, std::map<Id, T>& to, Result<T> (*parse)(const std::string&)) {
    for (const auto& one : list) {
        const Id id = one.at("id").get<Id>();
        T value = known(parse(one.at("body").dump()));
        value.id = id;
        if constexpr (std::is_same_v<T, Rep>)
            value.take = one.at("take").get<Id>();
        if (id <= 0 || !to.emplace(id, std::move(value)).second)
            throw std::out_of_range("two things of one number");
    }
}

// Throws what json throws, and std exceptions with words for what cannot be.
CaseData caseFrom(const json& j) {
    CaseData out;
    out.id = j.at("id").get<Id>();
    out.blueprintId = j.at("blueprint").get<std::string>();
    out.brief = known(briefFromJson(j.at("brief").dump()));
    for (const auto& t : j.at("takes")) {
        const Id id = t.at("id").get<Id>();
        Take take = known(takeFromJson(t.at("body").dump()));
        take.id = id;
        take.times = t.at("times").get<std::vector<double>>();
        if (id <= 0 || !out.takes.emplace(id, std::move(take)).second)
            throw std::out_of_range("two takes of one number");
        if (auto marks = marksFrom(t.at("marks")); !marks.empty())
            out.marks[id] = std::move(marks);
    }
    read(j.at("reps"), out.reps, repFromJson);
    read(j.at("links"), out.links, linkFromJson);
    read(j.at("repeats"), out.repeats, repeatFromJson);
    read(j.at("blocks"), out.blocks, blockFromJson);
    read(j.at("decisions"), out.decisions, decisionFromJson);
    read(j.at("plan"), out.planned, plannedFromJson);
    if (j.contains("notes")) // bundles of before had none
        read(j.at("notes"), out.notes, noteFromJson);
    const auto take = [&](Id id) {
        if (!out.takes.contains(id))
            throw std::out_of_range("a take that is not there");
    };
    for (const auto& [id, rep] : out.reps)
        take(rep.take);
    for (const auto& [id, repeat] : out.repeats)
        take(repeat.take);
    for (const auto& [id, note] : out.notes)
        take(note.take);
    for (const auto& [id, decision] : out.decisions)
        if (decision.note != 0 && !out.notes.contains(decision.note))
            throw std::out_of_range("a note that is not there");
    for (const auto& [id, link] : out.links) {
        take(link.a);
        take(link.b);
    }
    return out;
}

std::size_t marksIn(const CaseData& data) {
    std::size_t n = 0;
    for (const auto& [take, tracks] : data.marks)
        for (const auto& [name, track] : tracks)
            n += track.size();
    return n;
}

} // namespace

Error notTaken(std::string what, const fs::path& file, ErrorKind kind) {
    return {std::move(what), file.filename().string(), "nothing was taken in", {}, kind};
}

bool plainName(const std::string& name) {
    const auto slash = name.find('/');
    if (slash == std::string::npos || name.find('/', slash + 1) != std::string::npos)
        return false;
    const std::string folder = name.substr(0, slash), file = name.substr(slash + 1);
    return (folder == "films" || folder == "stills") && !file.empty() && file.size() < 250 && file[0] != '.' &&
           file.find_first_of("\\:*?\"<>|") == std::string::npos &&
           std::none_of(file.begin(), file.end(), [](unsigned char c) { return c < 32; });
}

json caseJson(const CaseData& data, Id athlete) {
    json takes = json::array();
    for (const auto& [id, take] : data.takes) {
        const auto marks = data.marks.find(id);
        takes.push_back({{"id", id},
                         {"body", json::parse(toJson(take))},
                         {"times", take.times},
                         {"marks", marks == data.marks.end() ? json::object() : marksJson(marks->second)}});
    }
    return {{"id", data.id},
            {"athlete", athlete},
            {"blueprint", data.blueprintId},
            {"brief", json::parse(toJson(data.brief))},
            {"takes", takes},
            {"reps", bodies(data.reps)},
            {"links", bodies(data.links)},
            {"repeats", bodies(data.repeats)},
            {"blocks", bodies(data.blocks)},
            {"decisions", bodies(data.decisions)},
            {"plan", bodies(data.planned)},
            {"notes", bodies(data.notes)}};
}

Result<BundleTable> tableFrom(const std::string& text, const fs::path& file) {
    try {
        const json all = json::parse(text);
        if (const int format = all.at("format").get<int>(); format != kBundleFormat)
            return notTaken(format > kBundleFormat ? "this bundle is of a newer program" : "this is no bundle", file,
                            format > kBundleFormat ? ErrorKind::newer : ErrorKind::damaged);
        BundleTable out;
        for (const auto& a : all.at("athletes"))
            out.athletes[a.at("id").get<Id>()] = known(athleteFromJson(a.at("body").dump()));
        if (all.at("cases").size() > kMostCases || all.at("files").size() > kMostParts)
            return notTaken("this bundle holds more than a bundle may", file);
        for (const auto& c : all.at("cases")) {
            const Id athlete = c.at("athlete").get<Id>();
            if (!out.athletes.contains(athlete))
                return notTaken("this bundle is damaged (a case of nobody)", file);
            out.cases.emplace_back(athlete, caseFrom(c));
            out.cases.back().second.brief.athlete = out.athletes.at(athlete);
        }
        for (const auto& [id, blueprint] : all.at("blueprints").items())
            out.blueprints[id] = blueprint.get<std::string>();
        for (const auto& [name, part] : all.at("files").items()) {
            BundlePart p{part.at("bytes").get<std::uintmax_t>(), part.at("sha256").get<std::string>()};
            if (!plainName(name) || p.bytes > kLargestPart || p.sum.size() != 64)
                return notTaken("this bundle is damaged (a part called " + name.substr(0, 60) + ")", file);
            out.parts[name] = std::move(p);
        }
        return out;
    } catch (const std::exception& e) {
        return notTaken(std::string("this bundle is damaged (") + e.what() + ")", file);
    }
}

CaseData bare(const CaseData& data) {
    CaseData out;
    out.blueprintId = data.blueprintId;
    out.brief = data.brief;
    out.brief.athlete = {};
    std::map<Id, Id> takes;
    for (const auto& [id, take] : data.takes) {
        const Id number = static_cast<Id>(takes.size()) + 1;
        takes[id] = number;
        Take t = take;
        t.id = number;
        t.film.clear();
        out.takes[number] = std::move(t);
        if (const auto marks = data.marks.find(id); marks != data.marks.end())
            out.marks[number] = marks->second;
    }
    const auto each = [](const auto& from, auto& to, const auto& change) {
        for (const auto& [id, value] : from) {
            auto v = value;
            v.id = static_cast<Id>(to.size()) + 1;
            change(v);
            to[v.id] = std::move(v);
        }
    };
    each(data.reps, out.reps, [&](Rep& r) { r.take = takes.at(r.take); });
    each(data.links, out.links, [&](Link& l) {
        l.a = takes.at(l.a);
        l.b = takes.at(l.b);
    });
    each(data.repeats, out.repeats, [&](RepeatMarking& r) { r.take = takes.at(r.take); });
    each(data.blocks, out.blocks, [](Block&) {});
    std::map<Id, Id> notes;
    for (const auto& [id, note] : data.notes) {
        notes[id] = static_cast<Id>(notes.size()) + 1;
        auto n = note;
        n.id = notes[id];
        n.take = takes.at(n.take);
        out.notes[n.id] = std::move(n);
    }
    each(data.decisions, out.decisions, [&](FindingDecision& d) { d.note = d.note == 0 ? 0 : notes.at(d.note); });
    each(data.planned, out.planned, [](PlannedBlock&) {});
    return out;
}

std::string newestOf(const CaseData& data) {
    std::string newest;
    for (const auto& [id, take] : data.takes)
        if (take.performer == Performer::athlete)
            newest = std::max(newest, isoDate(take.day));
    return newest;
}

std::string differenceOf(const CaseData& theirs, const CaseData& ours) {
    std::string out;
    const auto more = [&](const std::string& both, std::size_t a, std::size_t b) {
        if (a != b)
            out += (out.empty() ? "" : ", ") + fill(both, {std::to_string(a), std::to_string(b)});
    };
    more(say("bundle", "%1 takes in the file, %2 here"), theirs.takes.size(), ours.takes.size());
    more(say("bundle", "%1 reps in the file, %2 here"), theirs.reps.size(), ours.reps.size());
    more(say("bundle", "%1 marks in the file, %2 here"), marksIn(theirs), marksIn(ours));
    more(say("bundle", "%1 blocks of practice in the file, %2 here"), theirs.blocks.size(), ours.blocks.size());
    more(say("bundle", "%1 decisions in the file, %2 here"), theirs.decisions.size(), ours.decisions.size());
    more(say("bundle", "%1 notes on frames in the file, %2 here"), theirs.notes.size(), ours.notes.size());
    const std::string a = newestOf(theirs), b = newestOf(ours);
    if (a != b)
        out += (out.empty() ? "" : ", ") +
               (a > b ? say("bundle", "newer films in the file") : say("bundle", "newer films here"));
    return out.empty() ? say("bundle", "as much on both sides, and not the same") : out;
}

} // namespace riflesso
