#pragma once
/// \file
/// The table of a film's frames: made once by reading packets, kept beside the library.

#include "core/motion/result.h"

#include <cstdint>
#include <filesystem>
#include <optional>
#include <string>
#include <unordered_map>
#include <vector>

namespace riflesso {

/// How a packet that was read after a seek is recognised.
enum class PacketIdentity : std::uint8_t {
    time,     ///< by its presentation time: all valid and distinct
    position, ///< by its place in the file
    count     ///< only by counting from the start
};

/// Frames in presentation order and packets in decoding order. A plain value.
struct FilmIndex {
    struct Packet {
        std::int64_t pts = 0;      ///< stream time base; INT64_MIN when the file states none
        std::int64_t dts = 0;      ///< same
        std::int64_t position = 0; ///< byte in the file; −1 unknown
        std::int32_t frame = -1;   ///< its place in presentation order; −1 when it gives no picture of its own
        std::uint8_t key = 0;      ///< decoding may begin here
        std::uint8_t hidden = 0;   ///< 1: decoded for others' sake, never shown (before the cut of an edit list);
                                   ///< 2: the second field of the packet before, shown with it
    };
    std::vector<Packet> packets;
    std::vector<std::int32_t> packetOf; ///< by frame
    std::vector<double> times;          ///< by frame, s from the first, strictly increasing
    PacketIdentity identity = PacketIdentity::time;
    std::int32_t reorder = 0;    ///< packets that the decoder must hold back
    std::int32_t lost = 0;       ///< frames announced but not there
    std::int32_t mended = 0;     ///< times that were missing, repeated or ran backwards and were put in order
    std::int32_t interlaced = 0; ///< 0 no, 1 top field first, 2 bottom field first
    double lastStep = 0.0;       ///< the last frame's own duration, s; 0 unknown
    double pixelAspect = 0.0;    ///< what the first picture says of its pixels' shape; 0 when the container says it

    [[nodiscard]] int frames() const { return static_cast<int>(times.size()); }
    /// The key packet from which a frame is reached: the last one shown no later than it.
    [[nodiscard]] int keyPacketFor(int frame) const;
    /// The last packet that holds a part of a frame: its own, or that of its second field.
    [[nodiscard]] int lastPacketOf(int frame) const;
    /// The frame that this key packet shows, or the first after it that has one.
    [[nodiscard]] int keyFrameFor(int frame) const;
    friend bool operator==(const FilmIndex&, const FilmIndex&) = default;
};
bool operator==(const FilmIndex::Packet& a, const FilmIndex::Packet& b);

/// The largest displacement between decoding and presentation order that any codec in use makes. Beyond it the time
/// stamps are not to be believed.
inline constexpr int kLargestReorder = 32;

/// Orders frames by presentation time. False when times are missing, repeated or displaced beyond belief: then the
/// order must come from the decoder.
bool orderByTime(FilmIndex& index);

/// Sets `times` from stamps in presentation order (\p tick s each), mending what does not increase.
void setTimes(FilmIndex& index, const std::vector<std::int64_t>& stamps, double tick);

/// A name for a film's content that is cheap to make: size and time of the file, and a hash of its ends.
std::string cheapFingerprint(const std::filesystem::path& film);

/// A kept index; empty when there is none, or it is damaged or of another version of this program.
std::optional<FilmIndex> readIndex(const std::filesystem::path& folder, const std::string& fingerprint);
/// What readIndex() makes of a file whose sum is right, without the sum; empty when it cannot be the table of a film.
std::optional<FilmIndex> indexFromBytes(const std::string& bytes);
/// Best effort: an index that cannot be kept is made again next time.
void keepIndex(const std::filesystem::path& folder, const std::string& fingerprint, const FilmIndex& index);

} // namespace riflesso
