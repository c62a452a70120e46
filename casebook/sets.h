#pragma once
/// \file
/// Sets: reps that are judged together, named by hand or by their day and stage.

#include "core/mirror/reference.h"
#include "core/progress/sets.h"
#include "library/case_data.h"

#include <map>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// Names a set. Written as "2026-11-22 before" on the command line and in lists.
struct SetKey {
    Day day{};
    std::string name; ///< given by hand, or the stage's
    friend auto operator<=>(const SetKey&, const SetKey&) = default;
};
std::string textOf(const SetKey& key);

struct RepSet {
    SetKey key;
    bool byHand = false;
    Stage stage = Stage::shadow; ///< of most of its reps
    std::vector<Id> reps;        ///< in the order of takes and numbers
};

/// The athlete's reps as sets, the newest first: by day, within a day by the newest rep.
std::vector<RepSet> setsOf(const CaseData& data);

/// The set of that name; a name alone ("before") is the newest of that name. Null when there is none.
const RepSet* findSet(const std::vector<RepSet>& sets, const std::string& text);
const RepSet* findSet(const std::vector<RepSet>& sets, const SetKey& key);

/// What tells one camera set-up from another: the view, and the calibration where one is drawn. Errors that all reps
/// share are the same under one name.
std::string setupName(const CaseData& data, const Take& take);

/// Measured values of reps as the comparison of sets takes them. What a body model's drafts share is the same in every
/// film from that side.
std::vector<SetValue> setValues(const CaseData& data, const std::map<Id, MeasuredRep>& measured,
                                const std::vector<Id>& reps);

/// How often a checkpoint was seen of a player: in how many reps it was so, partly, or not.
struct PlayerTally {
    std::string who; ///< empty: the athlete
    std::string checkpoint;
    int yes = 0, partly = 0, no = 0;
    [[nodiscard]] int all() const { return yes + partly + no; }
};
/// By player and checkpoint over the reps of the athlete's films, the athlete first, then by name; only what was
/// judged.
std::vector<PlayerTally> tallyByPlayer(const CaseData& data);

/// The rep's own stage, else its take's.
Stage stageOf(const CaseData& data, const Rep& rep);

/// By stage in ladder order: how many of the athlete's reps have this measure inside the band; only those of films from
/// a day on, or before one, when it is given.
std::vector<StageCount> insideByStage(const CaseData& data, const std::map<Id, MeasuredRep>& measured,
                                      const std::string& measure, const Band& band, std::optional<Day> from = {},
                                      std::optional<Day> before = {});

} // namespace riflesso
