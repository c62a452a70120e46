#pragma once
/// \file
/// A long film made in pieces that outlive a stop, so that the same call goes on where it was.

#include "footage/film_writer.h"

#include <functional>
#include <memory>

namespace riflesso {

/// While the film is being made its pieces lie in a folder beside it, NAME.pieces, each whole or not there, with a key
/// of what they show. Pieces of another key are thrown away. One thread at a time.
class FilmPieces {
public:
    /// \p key: changes as soon as anything in the pictures does; one line. \p as: of the whole film; pieces have its
    /// pictures alone. Errors: something else lies at the folder's name; another program is at it; no right to write; a
    /// full disk.
    static Result<FilmPieces> open(const std::filesystem::path& file, const FilmWriterOptions& as, std::string key);
    /// Where the pieces of a film lie.
    static std::filesystem::path folderOf(const std::filesystem::path& file);

    /// Piece \p index from 0, made by \p add unless it is there; add's error is passed on and leaves no piece.
    /// Any other than "cancelled" takes the others away too.
    Status make(int index, const std::function<Status(FilmWriter&)>& add);
    /// The whole film of so many pieces, with the sound of each (empty for a silent film), ready for finish().
    /// An error takes the pieces away.
    Result<std::unique_ptr<FilmWriter>> joined(int pieces, const std::vector<std::vector<float>>& sound = {}) const;
    /// Takes the pieces away: to be called when the film is finished.
    void clear() const;

private:
    FilmPieces(std::filesystem::path file, FilmWriterOptions as) : m_file(std::move(file)), m_as(std::move(as)) {}
    [[nodiscard]] std::filesystem::path piece(int index) const;
    std::filesystem::path m_file;
    FilmWriterOptions m_as;
    std::shared_ptr<const int> m_held; ///< the key's file, locked for as long as this lives
};

} // namespace riflesso
