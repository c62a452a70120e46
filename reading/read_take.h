#pragma once
/// \file
/// A first reading of a film by the machine alone: the body found, reps cut, key positions proposed, measures taken,
/// findings drafted. Everything it gives is a draft.

#include "casebook/analysis.h"
#include "casebook/first_words.h"
#include "core/technique/rep_cutter.h"
#include "intake/find_body.h"

#include <filesystem>
#include <functional>

namespace riflesso {

/// From the skeleton of a take: reps with their key positions, as values of the case. Key positions that the rules see
/// are proposed (hollow pegs). \p strikes: s of real time. Pure.
std::vector<Rep> cutReps(const Take& take, const TrackSet& marks, const Blueprint& blueprint,
                         std::span<const double> strikes = {});

/// A key position as a rule proposes it: a hollow peg.
PlacedPosition proposed(const PositionProposal& proposal, const Motion& motion);

/// Strikes in the film's sound, s of real time, when a rule of the blueprint listens for one; else none, and the sound
/// is not read.
std::vector<double> heardIn(const std::filesystem::path& film, const Take& take, const Blueprint& blueprint);

/// Which way the athlete looks in a side view, from heels and toes; nothing when they do not agree.
std::optional<Facing> facingOf(const TrackSet& marks);

/// The same, and where feet do not tell (an archer stands across) the way in which the rules see more key positions
/// surely.
Facing facingFor(const Take& take, const TrackSet& marks, const Blueprint& blueprint);

struct ReadOptions {
    Take take; ///< with what is known of it: view, handedness, capture rate if known; its times are filled in
    std::optional<Facing> facing; ///< from heels and toes when left out
    Athlete athlete;
    std::filesystem::path indexFolder, keep; ///< as in FindBodyOptions; may be empty
    Day today{};
};

struct FirstReading {
    CaseData data; ///< one take, its reps and marks
    Analysis analysis;
    std::vector<Look> looks;
    double finderSeconds = 0.0, wallSeconds = 0.0; ///< of this machine's clock
};

/// \p goOn: what is being done and the share done; false stops, and what was found so far is kept in `keep`. Runs on
/// any thread. Errors: those of findBody(); cancelled.
Result<FirstReading> readFilm(const std::filesystem::path& film, const Blueprint& blueprint, const ReadOptions& options,
                              const std::function<bool(const std::string&, double)>& goOn = {});

} // namespace riflesso
