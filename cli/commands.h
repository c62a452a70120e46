#pragma once
/// \file
/// The commands of riflesso-cli. Each returns a Status; main() turns an Error into one line and exit code 1.

#include "core/measure/evaluate.h"
#include "core/motion/result.h"
#include "core/programme/calendar.h"
#include "core/progress/sets.h"
#include "core/technique/blueprint.h"

#include <nlohmann/json.hpp>

#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace CLI {
class App;
}

namespace riflesso {
class Casebook;
}

namespace riflesso::cli {

struct FilmArguments {
    std::string film, out, tracks, measure, cutoff = "auto";
    std::string frames; ///< one number, or several with commas between
    std::string by = "motion";
    bool json = false, times = false;
    std::string side = "right", facing = "right";
    std::optional<double> captureRate;
};
Status probe(const FilmArguments& a);
Status frame(const FilmArguments& a);
Status series(const FilmArguments& a);
Status reps(const FilmArguments& a);

struct CarryArguments {
    std::string film, marks, out, landmarks;
    std::optional<int> from, to;
    std::optional<double> captureRate;
};
Status carry(const CarryArguments& a);

struct FindArguments {
    std::string film, out, box, model = "full";
    int frame = 0;
    std::optional<int> from, to;
};
/// A draft of the body's landmarks, of kind found.
Status find(const FindArguments& a);

/// Prints all problems of a blueprint's file; fails when there are any.
Status checkBlueprint(const std::string& file);
Status diffBlueprints(const std::string& before, const std::string& after);

struct PositionsArguments {
    std::string tracks, blueprint = "fencing-lunge", film, view = "side", side = "right", facing = "right";
    std::optional<int> from, to;
    std::optional<double> captureRate;
    bool json = false;
};
/// Key positions proposed from tracks, each with its standard error.
Status positions(const PositionsArguments& a);

struct ReliabilityArguments {
    std::string a, b, blueprint, view = "side", side = "right", facing = "right";
    std::vector<std::string> measures;
    bool json = false;
};
/// Two markings of the same frames: error a landmark in px, and for each measure ICC, SEM, MDC95, limits of agreement.
Status reliability(const ReliabilityArguments& a);

struct SyncArguments {
    std::string filmA, filmB;
    std::vector<std::string> at; ///< "frame of a:frame of b"
    std::optional<double> rateA, rateB;
    bool sound = false, json = false;
};
Status sync(const SyncArguments& a);

struct CalibrateArguments {
    std::string input, plumb, horizon, size = "1920,1080";
    std::vector<std::string> lengths, points, checks;
    bool json = false;
};
Status calibrate(const CalibrateArguments& a);

struct ImportArguments {
    std::string library, today;
    std::vector<std::string> films;
    long long caseId = 0;
    bool refer = false;
};
/// Goes on after a film that fails; its Error names each one.
Status bringIn(const ImportArguments& a);

struct ReadArguments {
    std::string film, blueprint = "fencing-lunge", view = "side", facing, side = "right", library, athlete, today, keep;
    std::optional<double> captureRate;
    bool json = false;
};
/// The body, reps, key positions, measures and findings of a film, all drafts; kept only when a library is named.
Status read(const ReadArguments& a);

struct GateArguments {
    std::string reps; ///< G and B
    bool json = false;
};
/// What the gate says of a block of reps, today.
Status gate(const GateArguments& a);

struct TableArguments {
    std::string file;
    std::vector<std::string> tables; ///< of compareTables: two, before and after
    std::optional<double> level;     ///< of line: where is it reached
    bool json = false;
};
/// A measure's change from one set to another.
nlohmann::json changeJson(const SetChange& change);
/// Two sets of reps (CSV rep,measure,value,u,u_shared,camera): what moved from the first to the second.
Status compareTables(const TableArguments& a);
/// Where under stress a skill breaks (CSV stage,inside).
Status breaks(const TableArguments& a);
/// Step, drift or nothing (CSV day,value,u,stage,pause).
Status history(const TableArguments& a);
/// A line with errors in both coordinates (CSV x,ux,y,uy).
Status line(const TableArguments& a);
/// Cohen's kappa of the first two columns of a CSV.
Status agree(const TableArguments& a);

struct AskArguments {
    std::string film, calibration; ///< calibration: what was drawn, as JSON; may be empty
    int frame = 0, cycles = 0;
    std::optional<int> secondFrame;
    std::vector<std::string> points, secondPoints; ///< "X,Y" in px
    double sigma = 1.5;                            ///< px
    std::optional<double> captureRate;
    bool json = false;
};
/// What clicked points of a frame, or of two, can answer.
Status ask(const AskArguments& a);

struct CaseArguments {
    std::string library, out, in, films, today;
    long long caseId = 0; ///< 0: the only case, or the first
    long long take = 0;   ///< for tracks
    bool json = false;
    std::optional<std::string> model;         ///< compared with: by name; empty text = all together
    std::string name, file, technique;        ///< of models and drills
    std::string above, below;                 ///< sets: "2026-11-22 before", or a name alone; empty = newest, model
    std::optional<std::string> situation;     ///< only reps of it
    std::string put, reps;                    ///< of sets: a name, and the reps that get it (ids with commas between)
    std::string fault, verdict, reason;       ///< of decide
    int weeks = 2;                            ///< of plan
    std::string regime;                       ///< of plan: another than the brief's
    bool keep = false;                        ///< of plan: what is shown is kept
    long long block = 0;                      ///< of plan move, lock, drop
    std::string day;                          ///< of plan move: where to
    bool homeOnly = false;                    ///< of plan ics
    bool firstOnly = false, restOnly = false; ///< of demo
    std::string drill, verdicts, variation;   ///< of practice log
    std::string measure;                      ///< of progress; empty = those of the focus
};
Status demo(const CaseArguments& a);
Status measure(const CaseArguments& a);
Status compare(const CaseArguments& a);
Status findings(const CaseArguments& a);
Status plan(const CaseArguments& a);
/// Each focus measure over its dates: did it move, when, where does it break; feeling; practice.
Status progress(const CaseArguments& a);
/// One block of the kept plan by hand: verdict says move, lock, unlock, drop, done or accept.
Status planBlock(const CaseArguments& a);
/// Busy hours and competitions from an iCalendar file; reason: what a competition's words hold.
Status planBusy(const CaseArguments& a);
/// The plan as iCalendar.
Status planCalendar(const CaseArguments& a);
/// A block of practice, and those there are.
Status logPractice(const CaseArguments& a);
Status listPractice(const CaseArguments& a);
/// Lists the sets, or puts reps into one.
Status sets(const CaseArguments& a);
/// What was seen by eye of each player in the films: how often a checkpoint was so, partly, or not.
Status tally(const CaseArguments& a);
/// Takes a finding up, parks it, rejects it, or closes what was decided.
Status decide(const CaseArguments& a);
/// The model shelf: verdict says list, keep, use or remove.
Status models(const CaseArguments& a);
/// The coach's own drills: verdict says list, add (from a JSON file) or remove.
Status drills(const CaseArguments& a);
Status report(const CaseArguments& a);
/// Lists the takes, writes a take's marks as tracks CSV, or reads such a file into it (all or nothing).
Status tracks(const CaseArguments& a);

struct TracksArguments {
    std::string tracks, blueprint = "fencing-lunge", positions, view = "side", side = "right", facing = "right";
    std::string out, name, school;
    std::vector<std::string> inputs; ///< of model from: libraries and tracks
    std::optional<double> captureRate;
    std::int64_t caseId = 0; ///< of model from: only this case of a library; 0 = all
    bool json = false;
};
/// Every measure of every rep of tracks from anywhere: value, u, unit, state, reason of refusal.
Status measureTracks(const TracksArguments& a);
Status modelFrom(const TracksArguments& a);
Status convert(const TracksArguments& a);

struct SimulateArguments {
    std::string technique, out, view = "side", size = "1280x720";
    std::vector<std::string> faults; ///< "name=size"
    int reps = 1;
    unsigned seed = 1;
    double rate = 120.0, stored = 30.0, stature = 1.8, variation = 1.0;
    bool list = false;
};
/// A film of the simulated athlete, with its truth, marks and pegs beside it.
Status simulate(const SimulateArguments& a);

struct TakeHomeArguments {
    std::string library, today, film, tracks, out, title, measure, voice, blueprint;
    std::string size = "1920x1080", reader = "athlete";
    std::string fromPosition, toPosition; ///< of trace
    std::vector<std::string> points;      ///< of trace
    long long caseId = 0, take = 0;
    int rep = 1, exposures = 8;
    std::optional<int> from, to; ///< frames
    std::optional<double> captureRate;
    double slow = 1.0, rate = 30.0;
    bool overlays = false, pair = false, ghost = false, clock = false, whole = false, atPositions = false;
    bool scenes = false, letter = false;
};
/// A rep, or a film from anywhere, as a clip.
Status exportClip(const TakeHomeArguments& a);
/// A phase on one picture.
Status trace(const TakeHomeArguments& a);
/// The scenes of a case's review, and the review as a film.
Status review(const TakeHomeArguments& a);
/// The athlete's folder.
Status takeHome(const TakeHomeArguments& a);
/// A blueprint as a guide to print.
Status guide(const TakeHomeArguments& a);
/// Adds these five to the program. \p a and \p chosen outlive the app.
void addTakingHome(CLI::App& app, TakeHomeArguments& a, std::function<Status()>& chosen);

struct PeopleArguments {
    std::string library, today, name, squad, file;
    long long caseId = 0;
    bool noFilms = false, look = false, json = false;
};
/// One athlete over all techniques.
Status person(const PeopleArguments& a);
/// Who has what, and one session for all.
Status squad(const PeopleArguments& a);
/// Causes put to the test over all athletes of a technique.
Status links(const PeopleArguments& a);
/// What the window's training of the eye has found so far.
Status eye(const PeopleArguments& a);
/// Cases as one file, out and in.
Status bundleOut(const PeopleArguments& a);
Status bundleIn(const PeopleArguments& a);
/// Adds these to the program. \p a and \p chosen outlive the app.
void addPeople(CLI::App& app, PeopleArguments& a, std::function<Status()>& chosen);

/// The day that the arguments name, or today's.
Result<Day> todayOf(const CaseArguments& a);
/// The case that the arguments name.
Result<std::unique_ptr<Casebook>> openCase(const CaseArguments& a);
/// Runs a command of the casebook; its words when it fails.
Status saved(Casebook& book, const std::function<bool(Casebook&)>& command);
/// A shipped blueprint's name, or a file.
Result<Blueprint> blueprintNamed(const std::string& name);
/// A measured value of a rep: value, u and its parts, frames; or the reason why it was refused.
nlohmann::json valueJson(const MeasureDefinition& definition, const MeasureValue& value);

/// Rounds for output: enough digits to compute with, few enough to read.
double rounded(double v, int digits = 4);

} // namespace riflesso::cli
