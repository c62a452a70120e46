#include "footage/film_index.h"

#include "files/write_file.h"

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <cstring>
#include <fstream>
#include <limits>

namespace riflesso {
namespace {

namespace fs = std::filesystem;
constexpr std::int64_t kNone = std::numeric_limits<std::int64_t>::min();
constexpr std::uint32_t kMagic = 0x58495252; // "RRIX"
constexpr std::uint32_t kVersion = 2;        // grows with any change of what is kept

std::uint64_t hash(const void* data, std::size_t size, std::uint64_t h = 1469598103934665603ull) {
    const auto* p = static_cast<const unsigned char*>(data); // FNV-1a
    for (std::size_t i = 0; i < size; ++i)
        h = (h ^ p[i]) * 1099511628211ull;
    return h;
}

template <typename T> void put(std::string& out, const T& v) {
    out.append(reinterpret_cast<const char*>(&v), sizeof v);
}
template <typename T> bool get(const std::string& in, std::size_t& at, T& v) {
    if (in.size() - at < sizeof v)
        return false;
    std::memcpy(&v, in.data() + at, sizeof v);
    at += sizeof v;
    return true;
}

} // namespace

bool operator==(const FilmIndex::Packet& a, const FilmIndex::Packet& b) {
    return a.pts == b.pts && a.dts == b.dts && a.position == b.position && a.frame == b.frame && a.key == b.key &&
           a.hidden == b.hidden;
}

int FilmIndex::keyPacketFor(int frame) const {
    const int own = packetOf[static_cast<std::size_t>(frame)];
    for (int p = own; p > 0; --p) {
        const auto& packet = packets[static_cast<std::size_t>(p)];
        if (packet.hidden == 2)
            continue; // half a picture
        // A key packet that is shown later than the frame (leading pictures of an open group) does not hold it.
        const bool earlier = packet.hidden ? packet.pts <= packets[static_cast<std::size_t>(own)].pts
                                           : packet.frame >= 0 && packet.frame <= frame;
        if (packet.key && earlier)
            return p;
    }
    return 0;
}

int FilmIndex::lastPacketOf(int frame) const {
    const auto own = static_cast<std::size_t>(packetOf[static_cast<std::size_t>(frame)]);
    return static_cast<int>(own + 1 < packets.size() && packets[own + 1].hidden == 2 ? own + 1 : own);
}

int FilmIndex::keyFrameFor(int frame) const {
    const int f = packets[static_cast<std::size_t>(keyPacketFor(frame))].frame;
    return f < 0 || f > frame ? 0 : f;
}

bool orderByTime(FilmIndex& index) {
    std::vector<std::int32_t> order;
    for (std::size_t i = 0; i < index.packets.size(); ++i) {
        if (index.packets[i].pts == kNone)
            return false;
        if (!index.packets[i].hidden)
            order.push_back(static_cast<std::int32_t>(i));
    }
    if (order.empty())
        return false;
    const std::vector<std::int32_t> decoding = order;
    const auto n = order.size();
    std::stable_sort(order.begin(), order.end(), [&](std::int32_t a, std::int32_t b) {
        return index.packets[static_cast<std::size_t>(a)].pts < index.packets[static_cast<std::size_t>(b)].pts;
    });
    std::int32_t reorder = 0;
    for (std::size_t i = 0; i < n; ++i) {
        if (i > 0 && index.packets[static_cast<std::size_t>(order[i])].pts ==
                         index.packets[static_cast<std::size_t>(order[i - 1])].pts)
            return false;
        reorder = std::max(reorder, order[i] - decoding[i]);
    }
    if (reorder > kLargestReorder)
        return false;
    index.reorder = reorder;
    index.packetOf = order;
    for (std::size_t i = 0; i < n; ++i)
        index.packets[static_cast<std::size_t>(order[i])].frame = static_cast<std::int32_t>(i);
    return true;
}

void setTimes(FilmIndex& index, const std::vector<std::int64_t>& stamps, double tick) {
    // The usual step, for what must be mended: the median of those that are steps forward.
    std::vector<std::int64_t> steps;
    for (std::size_t i = 1; i < stamps.size(); ++i)
        if (stamps[i] != kNone && stamps[i - 1] != kNone && stamps[i] > stamps[i - 1])
            steps.push_back(stamps[i] - stamps[i - 1]);
    double usual = 0.04;
    if (!steps.empty()) {
        std::nth_element(steps.begin(), steps.begin() + static_cast<std::ptrdiff_t>(steps.size() / 2), steps.end());
        usual = static_cast<double>(steps[steps.size() / 2]) * tick;
    }
    if (!(usual > 0.0) || !std::isfinite(usual))
        usual = 0.04;
    std::int64_t zero = kNone;
    for (auto s : stamps)
        if (s != kNone) {
            zero = s;
            break;
        }
    index.times.clear();
    index.mended = 0;
    double shift = 0.0; // after a jump backwards the rest follows where the film had got to
    for (std::size_t i = 0; i < stamps.size(); ++i) {
        const double last = i > 0 ? index.times.back() : -usual;
        double t = stamps[i] == kNone || zero == kNone
                       ? last + usual
                       : (static_cast<double>(stamps[i]) - static_cast<double>(zero)) * tick + shift;
        if (i == 0) {
            index.mended += stamps[i] == kNone;
            t = 0.0;
        } else if (stamps[i] == kNone || !(t > last) || !std::isfinite(t)) {
            ++index.mended;
            if (stamps[i] != kNone && t < last - 1.5 * usual)
                shift += last + usual - t;
            t = last + usual;
            // Between two good stamps when the next one is near.
            for (std::size_t j = i + 1; j < std::min(stamps.size(), i + 4); ++j) {
                const double next = (static_cast<double>(stamps[j]) - static_cast<double>(zero)) * tick + shift;
                if (stamps[j] != kNone && zero != kNone && next > last) {
                    t = std::min(t, last + (next - last) / static_cast<double>(j - i + 1));
                    break;
                }
            }
        }
        index.times.push_back(t);
    }
}

std::string cheapFingerprint(const fs::path& film) {
    std::error_code ec;
    const auto size = fs::file_size(film, ec);
    const auto time = fs::last_write_time(film, ec).time_since_epoch().count();
    std::ifstream in(film, std::ios::binary);
    std::string ends(65536, '\0');
    in.read(ends.data(), 65536);
    std::uint64_t h = hash(ends.data(), static_cast<std::size_t>(in.gcount()));
    if (size > 65536) {
        in.clear();
        in.seekg(-32768, std::ios::end);
        in.read(ends.data(), 32768);
        h = hash(ends.data(), static_cast<std::size_t>(in.gcount()), h);
    }
    h = hash(&size, sizeof size, h);
    h = hash(&time, sizeof time, h);
    char buffer[17];
    std::snprintf(buffer, sizeof buffer, "%016llx", static_cast<unsigned long long>(h));
    return buffer;
}

void keepIndex(const fs::path& folder, const std::string& fingerprint, const FilmIndex& index) {
    std::string out;
    put(out, kMagic);
    put(out, kVersion);
    put(out, static_cast<std::uint64_t>(index.packets.size()));
    put(out, static_cast<std::uint64_t>(index.times.size()));
    put(out, index.identity);
    put(out, index.reorder);
    put(out, index.lost);
    put(out, index.mended);
    put(out, index.interlaced);
    put(out, index.lastStep);
    put(out, index.pixelAspect);
    for (const auto& p : index.packets) {
        put(out, p.pts);
        put(out, p.dts);
        put(out, p.position);
        put(out, p.frame);
        put(out, p.key);
        put(out, p.hidden);
    }
    for (auto p : index.packetOf)
        put(out, p);
    for (double t : index.times)
        put(out, t);
    put(out, hash(out.data(), out.size()));
    std::error_code ec;
    fs::create_directories(folder, ec);
    // A table that cannot be kept is made again next time.
    (void)writeFile(folder / (fingerprint + ".index"), out);
}

std::optional<FilmIndex> readIndex(const fs::path& folder, const std::string& fingerprint) {
    std::ifstream file(folder / (fingerprint + ".index"), std::ios::binary);
    if (!file)
        return std::nullopt;
    const std::string in((std::istreambuf_iterator<char>(file)), std::istreambuf_iterator<char>());
    if (in.size() < sizeof(std::uint64_t))
        return std::nullopt;
    std::uint64_t sum = 0;
    std::memcpy(&sum, in.data() + in.size() - sizeof sum, sizeof sum);
    if (sum != hash(in.data(), in.size() - sizeof sum))
        return std::nullopt;
    return indexFromBytes(in.substr(0, in.size() - sizeof sum));
}

std::optional<FilmIndex> indexFromBytes(const std::string& in) {
    constexpr std::size_t kPacket = 3 * sizeof(std::int64_t) + sizeof(std::int32_t) + 2,
                          kFrame = sizeof(std::int32_t) + sizeof(double);
    std::size_t at = 0;
    std::uint32_t magic = 0, version = 0;
    std::uint64_t packets = 0, frames = 0;
    FilmIndex x;
    if (!get(in, at, magic) || !get(in, at, version) || magic != kMagic || version != kVersion ||
        !get(in, at, packets) || !get(in, at, frames) || packets > in.size() / kPacket || frames > in.size() / kFrame ||
        !get(in, at, x.identity) || !get(in, at, x.reorder) || !get(in, at, x.lost) || !get(in, at, x.mended) ||
        !get(in, at, x.interlaced) || !get(in, at, x.lastStep) || !get(in, at, x.pixelAspect))
        return std::nullopt;
    if (x.identity > PacketIdentity::count || x.reorder < 0 || x.interlaced < 0 || x.interlaced > 2 ||
        !std::isfinite(x.lastStep) || !std::isfinite(x.pixelAspect))
        return std::nullopt;
    x.packets.resize(packets);
    for (auto& p : x.packets)
        if (!get(in, at, p.pts) || !get(in, at, p.dts) || !get(in, at, p.position) || !get(in, at, p.frame) ||
            !get(in, at, p.key) || !get(in, at, p.hidden) || p.frame < -1 ||
            (p.frame >= 0 && static_cast<std::uint64_t>(p.frame) >= frames))
            return std::nullopt;
    x.packetOf.resize(frames);
    for (auto& p : x.packetOf)
        if (!get(in, at, p) || p < 0 || static_cast<std::uint64_t>(p) >= packets)
            return std::nullopt;
    x.times.resize(frames);
    for (std::size_t i = 0; i < x.times.size(); ++i)
        if (!get(in, at, x.times[i]) || !std::isfinite(x.times[i]) || (i > 0 && x.times[i] <= x.times[i - 1]))
            return std::nullopt;
    return at == in.size() ? std::optional(std::move(x)) : std::nullopt;
}

} // namespace riflesso
