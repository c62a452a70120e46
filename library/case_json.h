#pragma once
/// \file
/// Case data as JSON bodies, as they stand in the library's tables.

#include "core/motion/result.h"
#include "library/case_data.h"

#include <string>

namespace riflesso {

std::string toJson(const Athlete& athlete);
std::string toJson(const Brief& brief); ///< without the athlete, who has a row of his or her own
std::string toJson(const Take& take);   ///< without its frame times, which are kept beside it as numbers
std::string toJson(const Rep& rep);
std::string toJson(const Block& block);
std::string toJson(const Link& link);
std::string toJson(const RepeatMarking& repeat);
std::string toJson(const FindingDecision& decision);
std::string toJson(const FrameNote& note);
std::string toJson(const PlannedBlock& block); ///< without what is made anew
/// Drawn lines, known lengths and points as they stand in a take; also a file format of its own (`riflesso-cli
/// calibrate`).
std::string toJson(const CalibrationInput& calibration);

/// Errors name the field. Ids are not in the body; callers set them.
Result<Athlete> athleteFromJson(const std::string& text);
Result<Brief> briefFromJson(const std::string& text);
Result<Take> takeFromJson(const std::string& text);
Result<Rep> repFromJson(const std::string& text);
Result<Block> blockFromJson(const std::string& text);
Result<Link> linkFromJson(const std::string& text);
Result<RepeatMarking> repeatFromJson(const std::string& text);
Result<FindingDecision> decisionFromJson(const std::string& text);
Result<PlannedBlock> plannedFromJson(const std::string& text);
Result<FrameNote> noteFromJson(const std::string& text);
Result<CalibrationInput> calibrationFromJson(const std::string& text);

} // namespace riflesso
