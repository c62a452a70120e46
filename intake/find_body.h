#pragma once
/// \file
/// A draft of a whole take: the body found on every frame, forwards and backwards from the one with the box.

#include "core/motion/result.h"
#include "finder/person_detector.h"

#include <filesystem>
#include <functional>
#include <string>
#include <vector>

namespace riflesso {

struct FindBodyOptions {
    std::filesystem::path model;    ///< .tflite; see modelFile()
    std::filesystem::path detector; ///< looks again after a loss; empty = the way ends there
    std::filesystem::path indexFolder;
    FrameIndex frame;                   ///< on which the box was drawn
    BodyBox box{};                      ///< px; no width = the most prominent person, which needs the detector
    FrameIndex first{0}, last{1 << 30}; ///< of the film, ends included; clipped to it
    /// A file that keeps what is found (intake/found_file.h); frames in it are not looked at again while it shows the
    /// body of the box on its frame. Empty = nothing is kept.
    std::filesystem::path keep;
};

/// Frames on which another body seems to stand where the one of the box stood.
struct Taken {
    FrameIndex first, last;
    bool back = false; ///< the body of the box was found again after it (forwards) or before it (backwards)
};

struct FoundBody {
    FoundFrames frames;              ///< those asked for that show the body
    std::vector<FrameIndex> nobody;  ///< frames on which nobody is found, though looked at
    std::vector<Taken> somebodyElse; ///< not among `frames`; in no order
    int looked = 0;                  ///< frames looked at now; the others were known
    bool whole = true;               ///< false when stopped; what was found is kept
};

/// \p goOn: share done; false stops. Errors: unreadable film; no model; nobody in the box; what is found cannot be
/// kept.
Result<FoundBody> findBody(const std::filesystem::path& film, const FindBodyOptions& options,
                           const std::function<bool(double)>& goOn = {});

/// Everybody on a frame, the most prominent first. Errors: unreadable film; no model.
Result<std::vector<Person>> peopleOn(const std::filesystem::path& film, FrameIndex frame,
                                     const std::filesystem::path& detector,
                                     const std::filesystem::path& indexFolder = {});

/// Where a film shows somebody best.
struct Somebody {
    FrameIndex frame;
    BodyBox box{};
    int asLarge = 1; ///< people on that frame at least three quarters as tall: any of them may be meant
    std::vector<Person> people{}; ///< everybody on that frame
};
/// Looks at fifteen frames all over the film: athletes walk in and out of the picture. The tallest body that stands clear of
/// the picture's sides. Errors: unreadable film; no model; nobody on any of them.
Result<Somebody> somebodyIn(const std::filesystem::path& film, const std::filesystem::path& detector,
                            const std::filesystem::path& indexFolder = {});

/// The file of a model ("lite", "full", "heavy", "person"): in the folder RIFLESSO_MODELS, else beside the installed
/// program, else in the sources it was built from. Errors: not there; not the file that the program knows (SHA-256).
Result<std::filesystem::path> modelFile(const std::string& name);

} // namespace riflesso
