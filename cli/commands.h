#pragma once
/// \file
/// The commands of riflesso-cli. Each returns a Status; main() turns an Error into one line and exit code 1.

#include "core/motion/result.h"
#include "core/programme/calendar.h"

#include <optional>
#include <string>

namespace riflesso::cli {

struct FilmArguments {
    std::string film, out, tracks, measure, cutoff = "auto";
    int frame = 0;
    bool json = false, times = false;
    std::string side = "right", facing = "right";
    std::optional<double> captureRate;
};
Status probe(const FilmArguments& a);
Status frame(const FilmArguments& a);
Status series(const FilmArguments& a);

struct CaseArguments {
    std::string library, out, in, films, today;
    long long caseId = 0; ///< 0: the only case, or the first
    long long take = 0;   ///< for tracks
    bool json = false;
};
Status demo(const CaseArguments& a);
Status measure(const CaseArguments& a);
Status compare(const CaseArguments& a);
Status findings(const CaseArguments& a);
Status plan(const CaseArguments& a);
Status report(const CaseArguments& a);
/// Lists the takes, writes a take's marks as tracks CSV, or reads such a file into it (all or nothing).
Status tracks(const CaseArguments& a);

/// Rounds for output: enough digits to compute with, few enough to read.
double rounded(double v, int digits = 4);

} // namespace riflesso::cli
