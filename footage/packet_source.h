#pragma once
/// \file
/// The packets of a film's picture track, each with its number. Private to this room.

#include "core/motion/result.h"
#include "footage/av.h"
#include "footage/film_index.h"

#include <filesystem>
#include <functional>
#include <unordered_map>

namespace riflesso {

/// A film that cannot be read, and why; nothing was changed by trying.
Error cannotOpen(const std::filesystem::path& path, std::string what, ErrorKind kind = ErrorKind::other);

/// Reads packets in decoding order and knows which one it read, also after a seek.
class PacketSource {
public:
    using GoOn = std::function<bool(double)>; ///< told the share read; false cancels

    static Result<std::unique_ptr<PacketSource>> open(const std::filesystem::path& path, const GoOn& goOn);

    [[nodiscard]] const AVStream& stream() const { return *m_stream; }
    [[nodiscard]] const AVFormatContext& format() const { return *m_format; }
    [[nodiscard]] bool images() const { return !m_images.empty(); }
    [[nodiscard]] bool sound() const { return m_sound; }

    /// Reads the film through. Afterwards next() and seek() may be used.
    Result<FilmIndex> makeIndex();
    /// An index that was kept.
    void useIndex(const FilmIndex& index);

    /// So that next() gives packet \p number first. False when the file cannot be read there.
    bool seek(int number);
    /// The next packet and its number; −1 at the end.
    int next(AVPacket* packet);
    /// The next packet without a number (before there is an index); false at the end.
    bool read(AVPacket* packet);

private:
    FilmIndex imageIndex();
    [[nodiscard]] Error cancelled() const;
    Status readPackets(FilmIndex& index, std::vector<av::Packet>& first, std::int64_t& lastDuration);
    Result<std::vector<std::int32_t>> shownOrder(FilmIndex& index);
    bool reopen();
    bool landed(int number);
    int numberOf(const AVPacket& packet) const;

    std::filesystem::path m_path;
    std::vector<std::filesystem::path> m_images;
    GoOn m_goOn;
    av::Format m_format;
    AVStream* m_stream = nullptr;
    bool m_sound = false;
    bool m_headersSay = false; // the container's header is enough, no packet needs looking into
    PacketIdentity m_identity = PacketIdentity::count;
    std::vector<std::pair<std::int64_t, std::int64_t>> m_places; // dts (or pts) and byte of each packet
    std::unordered_map<std::int64_t, int> m_numbers;             // by pts or position
    int m_count = 0;                                             // packets read, when counting
    av::Packet m_held;                                           // read already while looking for its place
    int m_heldNumber = -1;
    int m_broken = 0; // packets cut off by the end of the file
};

} // namespace riflesso
