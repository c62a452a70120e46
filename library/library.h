#pragma once
/// \file
/// The case library: one folder with `library.sqlite` and `media/`.
///
/// Every edit is a committed transaction before apply() returns; a kill at any instant loses at most what was not yet
/// applied. One thread uses one Library.

#include "core/motion/result.h"
#include "library/case_data.h"

#include <filesystem>
#include <functional>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

struct CaseSummary {
    Id id = 0;
    std::string athlete;
    std::string blueprintId;
    std::string goal;
};

/// Told the share done; false cancels.
using FileProgress = std::function<bool(double)>;

/// SHA-256 of a film, or of all files of a folder of pictures in the order of their names. Errors: unreadable;
/// cancelled.
Result<std::string> checksumOf(const std::filesystem::path& film, const FileProgress& progress = {});

class Library {
public:
    /// The format this program reads and writes; a library of a newer one is refused.
    static constexpr int kFormat = 3;

    /// Makes a new, empty library; the folder may exist if it holds no library.
    static Result<std::unique_ptr<Library>> create(const std::filesystem::path& folder);
    /// Errors: no library there, damaged, of a newer format, not writable.
    static Result<std::unique_ptr<Library>> open(const std::filesystem::path& folder);
    ~Library();
    Library(const Library&) = delete;
    Library& operator=(const Library&) = delete;

    [[nodiscard]] std::filesystem::path folder() const;
    [[nodiscard]] std::filesystem::path media() const { return folder() / "media"; }
    /// Where a take's film is, whether inside the library or outside.
    [[nodiscard]] std::filesystem::path filmOf(const Take& take) const;

    Result<std::vector<CaseSummary>> cases();
    Result<Id> addCase(const std::string& blueprintId, const Brief& brief);
    Result<CaseData> load(Id caseId);

    /// Carries out all edits of a case or none. Nothing is changed when it fails.
    Status apply(Id caseId, const std::vector<Edit>& edits);

    /// An id that no take, rep or block of this library has.
    Id freshId();

    /// Checksums of the films of all takes, and where these are: so that no film is taken twice.
    Result<std::map<std::string, std::string>> knownFilms();

    /// Copies a film, or a folder of pictures, into media/ under a free name; gives that name. A failed or cancelled
    /// copy leaves nothing behind. Touches files only: may run on another thread.
    Result<std::string> bringIn(const std::filesystem::path& film, const FileProgress& progress = {}) const;

    /// Looks for a take's film by its checksum in a folder and below. Empty when it is not there.
    [[nodiscard]] std::optional<std::filesystem::path> findMoved(const Take& take, const std::filesystem::path& under,
                                                                 const FileProgress& progress = {}) const;

    /// Where tables of frames are kept; may be deleted at any time.
    [[nodiscard]] std::filesystem::path indexFolder() const { return folder() / "index"; }

    /// Bounds the database's size in pages, so that tests can fill the disk. 0 = no bound.
    void limitPagesForTests(int pages);

private:
    struct Impl;
    explicit Library(std::unique_ptr<Impl> impl);
    std::unique_ptr<Impl> m_impl;
};

} // namespace riflesso
