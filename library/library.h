#pragma once
/// \file
/// The case library: one folder with `library.sqlite`, `media/`, `copies/`.
///
/// Every edit is a committed transaction before apply() returns; a kill at any instant loses at most what was not yet
/// applied. One thread uses one Library; several programs may use the same folder at once.

#include "core/motion/result.h"
#include "library/case_data.h"

#include <chrono>
#include <filesystem>
#include <functional>
#include <map>
#include <memory>
#include <optional>
#include <set>
#include <string>
#include <vector>

namespace riflesso {

/// One technique of one athlete.
struct CaseSummary {
    Id id = 0;
    std::string athlete;
    std::string blueprintId;
    std::string goal;
    Id athleteId = 0;
    std::string card{}; ///< what the shelf shows of it, as the window wrote it last; empty = never
};

/// A person and his or her cases, oldest first; their goals are not read.
struct AthleteSummary {
    Id id = 0;
    Athlete athlete;
    std::vector<CaseSummary> cases;
};

/// Told the share done; false cancels.
using FileProgress = std::function<bool(double)>;

/// SHA-256 of a film, or of all files of a folder of pictures in the order of their names. Errors: unreadable;
/// cancelled.
Result<std::string> checksumOf(const std::filesystem::path& film, const FileProgress& progress = {});

enum class Access { write, read };

class Library {
public:
    /// The format this program reads and writes; a library of a newer one is refused.
    static constexpr int kFormat = 6;

    /// Makes a new, empty library; the folder may exist if it holds no library. Made under another name and named last:
    /// a killed program leaves none, and of two at once one is told that there is a library already.
    static Result<std::unique_ptr<Library>> create(const std::filesystem::path& folder);
    /// A library that cannot be written (write-protected, full disk) is opened to be read, through a copy in the
    /// temporary folder; Access::read asks for that. Errors: no library there, damaged, of a newer format. Before a
    /// change of format a copy is kept in `copies/`.
    static Result<std::unique_ptr<Library>> open(const std::filesystem::path& folder, Access access = Access::write);
    ~Library();
    Library(const Library&) = delete;
    Library& operator=(const Library&) = delete;

    [[nodiscard]] std::filesystem::path folder() const;
    [[nodiscard]] std::filesystem::path media() const { return folder() / "media"; }
    /// Films of single reps taken beside practice. Old ones make room for new ones; nothing else depends on them.
    [[nodiscard]] std::filesystem::path practiceClips(Id caseId) const {
        return folder() / "practice" / ("case-" + std::to_string(caseId));
    }
    /// Why it can only be read; nothing when it can be written.
    [[nodiscard]] const std::optional<Error>& readOnly() const;
    /// Where a take's film is, whether inside the library or outside.
    [[nodiscard]] std::filesystem::path filmOf(const Take& take) const;

    /// Of a case; empty when there is none of this number.
    Result<std::optional<std::string>> blueprintOf(Id caseId);
    Result<std::vector<CaseSummary>> cases();
    /// By name.
    Result<std::vector<AthleteSummary>> athletes();
    /// A case of a new athlete.
    Result<Id> addCase(const std::string& blueprintId, const Brief& brief);
    /// Another technique of an athlete; the brief's athlete is not looked at.
    Result<Id> addCase(const std::string& blueprintId, const Brief& brief, Id athlete);
    Status setAthlete(Id athlete, const Athlete& value);
    /// Another technique for a case in which nothing has been marked, placed or practised. Errors: something has.
    Status setBlueprint(Id caseId, const std::string& blueprintId);
    /// What the shelf shows of a case. Not part of the case: never undone, last one wins.
    /// Minutes that the athlete's other cases have planned, by day, from \p from on.
    [[nodiscard]] Result<std::map<Day, double>> minutesElsewhere(Id caseId, Day from) const;
    Status setCard(Id caseId, const std::string& card);
    /// Two entries of one person become one: the cases of \p other are \p athlete's, whose own values stay; \p other is
    /// gone. Errors: the same entry twice; one of them is not there.
    Status mergeAthletes(Id athlete, Id other);
    /// Films of an athlete's takes that lie inside the library, and what else belongs to the athlete, in words: what
    /// eraseAthlete() would take away.
    Result<std::vector<std::string>> belongingsOf(Id athlete);
    /// An athlete with all cases, and all films that no other take uses. Cannot be undone.
    Status eraseAthlete(Id athlete);
    Result<CaseData> load(Id caseId);

    /// Carries out all edits of a case or none. Nothing is changed when it fails. Errors: disk full; write-protected;
    /// another program has changed one of the rows since it was read here (kind conflict).
    Status apply(Id caseId, const std::vector<Edit>& edits);

    /// True once after another program has changed anything since load() or the last call.
    bool changedElsewhere();

    /// An id that nothing of this library has, in no program: taken from the file in lots. 0 when none could be had;
    /// apply() then says why.
    Id freshId();

    /// Checksums of the films of all takes, and where these are: so that no film is taken twice.
    Result<std::map<std::string, std::string>> knownFilms();

    /// Copies a film, or a folder of pictures, into media/ under a free name; gives that name. A failed or cancelled
    /// copy leaves nothing behind. Touches files only: may run on another thread.
    Result<std::string> bringIn(const std::filesystem::path& film, const FileProgress& progress = {}) const;

    /// What lies in media/ and belongs to no take, untouched for an hour: of killed programs. Deletes nothing.
    Result<std::vector<std::string>> strayFilms();
    /// Deletes a film from media/. Errors: a take uses it; not inside the library.
    Status removeFilm(const std::string& name);

    /// Looks for a take's film by its checksum in a folder and below. Empty when it is not there.
    [[nodiscard]] std::optional<std::filesystem::path> findMoved(const Take& take, const std::filesystem::path& under,
                                                                 const FileProgress& progress = {}) const;

    /// Where tables of frames are kept; may be deleted at any time.
    [[nodiscard]] std::filesystem::path indexFolder() const { return folder() / "index"; }

    /// Bounds the database's size in pages, so that tests can fill the disk. 0 = no bound.
    void limitPagesForTests(int pages);
    /// The n-th apply() from now on fails as on a full disk, once. 0 = none.
    void failForTests(int nth);
    void strayAfterForTests(std::chrono::seconds age) { m_strayAfter = age; }

private:
    struct Impl;
    explicit Library(std::unique_ptr<Impl> impl);
    Result<std::set<std::string>> filmNames();
    std::unique_ptr<Impl> m_impl;
    std::chrono::seconds m_strayAfter{3600};
};

} // namespace riflesso
