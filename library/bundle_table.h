#pragma once
/// \file
/// The table of a bundle, riflesso.json: what is in it as values, and how a case in it differs from one that is here.
/// Used by bundle.cpp, which knows the zip.

#include "library/case_data.h"

#include <nlohmann/json.hpp>

#include <cstdint>
#include <filesystem>
#include <map>
#include <string>
#include <utility>
#include <vector>

namespace riflesso {

inline constexpr int kBundleFormat = 1;

/// One file in the zip beside the table.
struct BundlePart {
    std::uintmax_t bytes = 0;
    std::string sum; ///< SHA-256, hexadecimal
};

struct BundleTable {
    std::map<Id, Athlete> athletes;
    std::vector<std::pair<Id, CaseData>> cases; ///< with the bundle's athlete
    std::map<std::string, std::string> blueprints;
    std::map<std::string, BundlePart> parts;
};

/// A bundle that is not taken in, and why.
Error notTaken(std::string what, const std::filesystem::path& file, ErrorKind kind = ErrorKind::damaged);

/// Films and stills by plain names within one folder: nothing that could lead anywhere else.
bool plainName(const std::string& name);

nlohmann::json caseJson(const CaseData& data, Id athlete);
/// Nothing in it is believed. Errors: damaged, of a newer program, more than a bundle may hold.
Result<BundleTable> tableFrom(const std::string& text, const std::filesystem::path& file);

/// A case without what differs between libraries: numbers, and where films lie.
CaseData bare(const CaseData& data);
/// The day of the athlete's newest film, ISO; empty when there is none.
std::string newestOf(const CaseData& data);
/// In words, of two that are not the same.
std::string differenceOf(const CaseData& theirs, const CaseData& ours);

} // namespace riflesso
