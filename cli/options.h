#pragma once
/// \file
/// What the command line understands.

#include "cli/commands.h"

#include <CLI/CLI.hpp>

#include <functional>
#include <string>

namespace riflesso::cli {

/// What was given, by command; the options write into it, so it stays where it is until the command has run.
struct Arguments {
    FilmArguments film;
    CaseArguments ofCase;
    CarryArguments carry;
    FindArguments find;
    PositionsArguments positions;
    ReliabilityArguments reliability;
    SyncArguments sync;
    CalibrateArguments calibrate;
    AskArguments ask;
    ImportArguments bringIn;
    ReadArguments read;
    GateArguments gate;
    TableArguments table;
    TracksArguments tracks;
    SimulateArguments simulate;
    std::string before;
    std::string after;
    TakeHomeArguments home;
    PeopleArguments people;
    std::function<Status()> chosen; ///< what the command does
};

/// Commands on films and tracks, without a library.
void addFilmCommands(CLI::App& app, Arguments& all);
/// Commands on a library's cases, and on tables.
void addCaseCommands(CLI::App& app, Arguments& all);

} // namespace riflesso::cli
