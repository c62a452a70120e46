#pragma once
/// \file
/// Films on their way into a case: what is taken, what it says of itself, where its reps may be, how two fit together.
/// Used by the desktop and the command line. Runs on any thread; touches files, never the database.

#include "core/motion/rep_finder.h"
#include "footage/film.h"
#include "library/library.h"

#include <filesystem>
#include <functional>
#include <map>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace riflesso {

/// How Take::captureFrom begins when a tag of the film said the rate; the tag's name follows.
inline constexpr std::string_view kFromTag = "the film's tag ";

/// The films that a file or folder stands for: a file itself; a folder of pictures itself; of another folder all films
/// in it and below, by name. Empty when there is none.
std::vector<std::filesystem::path> filmsIn(const std::filesystem::path& place);

/// What is going on, in words, and the share done of this film; false cancels.
using IntakeProgress = std::function<bool(const std::string& doing, double share)>;

struct IntakeOptions {
    bool copy = true; ///< false: the film stays where it is and is referred to
    Day today{};
    Side handedness = Side::right;
    std::map<std::string, std::string> known;  ///< checksum → film of the library (Library::knownFilms)
    std::map<std::string, std::string> inCase; ///< checksum → title of a take of this case
};

struct Intake {
    Take take; ///< without an id
    FilmInfo info;
    bool wasThere = false; ///< the library had the film already (from another case); nothing was copied
};

/// Reads the film through, checks that it is not in the case already, copies it. Errors in words; then nothing is left
/// behind. A capture rate is set only when the film's own tags state it.
Result<Intake> takeIn(const Library& library, const std::filesystem::path& film, const IntakeOptions& options,
                      const IntakeProgress& progress = {});

/// The take as its film is now: another length, size, checksum. Nothing when its frames and size are those the take
/// knows. Everything else of it stays. \p deep: the checksum is taken too, which reads the whole file.
Result<std::optional<Take>> filmAnew(const std::filesystem::path& film, const std::filesystem::path& indexFolder,
                                     const Take& take, bool deep);

/// How reps are looked for.
enum class RepsBy { motion, sound, cycle };
inline constexpr std::array<std::string_view, 3> kRepsByNames = {"motion", "sound", "cycle"};

struct RepProposals {
    std::vector<RepSpan> spans;
    std::vector<double> energy;  ///< by frame; empty when looked for by sound
    std::vector<double> strikes; ///< s of file time; only by sound
};
/// \p slow: file time / real time (4 for 120 Hz played at 30). Errors: unreadable, no sound, cancelled. Finding nothing
/// is no error.
Result<RepProposals> findReps(const std::filesystem::path& film, const std::filesystem::path& indexFolder, RepsBy by,
                              double slow, const std::function<bool(double)>& goOn = {});

/// By which offset in s of real time b follows a, from their sound. \p slowA, \p slowB as above: slow motion stretches
/// the sound with the picture.
Result<SoundMatch> matchFilms(const std::filesystem::path& a, double slowA, const std::filesystem::path& b,
                              double slowB, const std::function<bool(double)>& goOn = {});

} // namespace riflesso
