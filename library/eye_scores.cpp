#include "library/eye_scores.h"

#include "core/words/say.h"
#include "files/write_file.h"

#include <nlohmann/json.hpp>

#include <cmath>

namespace riflesso {

using nlohmann::json;

Staircase staircaseOf(const std::vector<EyeSession>& sessions, const std::string& technique, const std::string& fault) {
    double smallest = 1e-3, largest = 1.0;
    for (const auto& s : sessions)
        if (s.technique == technique && s.fault == fault) {
            smallest = s.smallest;
            largest = s.largest;
        }
    return staircaseOf(sessions, technique, fault, smallest, largest);
}

Staircase staircaseOf(const std::vector<EyeSession>& sessions, const std::string& technique, const std::string& fault,
                      double smallest, double largest) {
    Staircase out(smallest, largest);
    for (const auto& s : sessions)
        if (s.technique == technique && s.fault == fault)
            for (const auto& look : s.looks)
                out.add(look);
    return out;
}

Result<std::vector<EyeSession>> readEyeSessions(const std::filesystem::path& file) {
    std::error_code ec;
    if (!std::filesystem::exists(file, ec))
        return std::vector<EyeSession>{};
    const auto text = readFile(file, 32u << 20);
    if (!text)
        return text.error();
    const auto damaged = [&](const std::string& why) {
        return Error{fill(say("error", "these are no scores (%1)"), {why}),
                     file.filename().string(),
                     "nothing was changed",
                     {},
                     ErrorKind::damaged};
    };
    try {
        std::vector<EyeSession> out;
        const json all = json::parse(*text);
        for (const auto& s : all.at("sessions")) {
            const auto day = dayFromIso(s.at("day").get<std::string>());
            EyeSession session{day.value_or(Day{}),
                               s.at("technique").get<std::string>(),
                               s.at("fault").get<std::string>(),
                               s.at("smallest").get<double>(),
                               s.at("largest").get<double>(),
                               {}};
            if (!day || !(session.smallest > 0.0) || !(session.largest > session.smallest))
                return damaged("a session that cannot be");
            for (const auto& l : s.at("looks")) {
                FaultLook look{l.at(0).get<double>(), l.at(1).get<bool>(), {}};
                if (l.size() > 2)
                    look.guessed = l.at(2).get<double>();
                if (!(look.size >= 0.0) || !std::isfinite(look.size) ||
                    (look.guessed && (!(*look.guessed > 0.0) || !std::isfinite(*look.guessed))))
                    return damaged("a look that cannot be");
                session.looks.push_back(look);
            }
            out.push_back(std::move(session));
        }
        return out;
    } catch (const json::exception& e) {
        return damaged(e.what());
    }
}

Status keepEyeSessions(const std::filesystem::path& file, const std::vector<EyeSession>& sessions) {
    json list = json::array();
    for (const auto& s : sessions) {
        json looks = json::array();
        for (const auto& l : s.looks) {
            looks.push_back({l.size, l.said});
            if (l.guessed)
                looks.back().push_back(*l.guessed);
        }
        list.push_back({{"day", isoDate(s.day)},
                        {"technique", s.technique},
                        {"fault", s.fault},
                        {"smallest", s.smallest},
                        {"largest", s.largest},
                        {"looks", looks}});
    }
    std::error_code ec;
    if (!file.parent_path().empty())
        std::filesystem::create_directories(file.parent_path(), ec);
    return writeFile(file, json{{"format", 1}, {"sessions", list}}.dump(1) + "\n");
}

} // namespace riflesso
