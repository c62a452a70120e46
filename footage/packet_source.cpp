#include "footage/packet_source.h"

#include <algorithm>
#include <cctype>
#include <cstring>
#include <fstream>
#include <limits>
#include <map>

namespace riflesso {
namespace {
constexpr std::int64_t kNoTime = AV_NOPTS_VALUE;
static_assert(kNoTime == std::numeric_limits<std::int64_t>::min());

namespace fs = std::filesystem;

Error cannotOpen(const fs::path& path, std::string what) {
    return {std::move(what), path.filename().string(), "nothing was changed", {}};
}

constexpr const char* kPictureEndings[] = {".png", ".jpg", ".jpeg", ".bmp", ".tif", ".tiff", ".webp", ".ppm", ".pgm"};

// "shot2" before "shot10".
bool naturally(const fs::path& a, const fs::path& b) {
    const std::string x = a.filename().string(), y = b.filename().string();
    std::size_t i = 0, j = 0;
    while (i < x.size() && j < y.size()) {
        const auto digit = [](char c) { return std::isdigit(static_cast<unsigned char>(c)) != 0; };
        if (digit(x[i]) && digit(y[j])) {
            std::size_t ie = i, je = j;
            while (ie < x.size() && digit(x[ie]))
                ++ie;
            while (je < y.size() && digit(y[je]))
                ++je;
            while (i < ie - 1 && x[i] == '0')
                ++i;
            while (j < je - 1 && y[j] == '0')
                ++j;
            if (ie - i != je - j)
                return ie - i < je - j;
            if (const int c = x.compare(i, ie - i, y, j, je - j); c != 0)
                return c < 0;
            i = ie;
            j = je;
        } else {
            if (x[i] != y[j])
                return x[i] < y[j];
            ++i;
            ++j;
        }
    }
    return x.size() - i < y.size() - j;
}

// The pictures of a folder that share the commonest ending.
std::vector<fs::path> picturesIn(const fs::path& folder) {
    std::map<std::string, std::vector<fs::path>> byEnding;
    std::error_code ec;
    for (fs::directory_iterator it(folder, ec), end; !ec && it != end; it.increment(ec)) {
        std::string ending = it->path().extension().string();
        std::transform(ending.begin(), ending.end(), ending.begin(), [](unsigned char c) { return std::tolower(c); });
        if (it->is_regular_file(ec) &&
            std::find(std::begin(kPictureEndings), std::end(kPictureEndings), ending) != std::end(kPictureEndings))
            byEnding[ending].push_back(it->path());
    }
    std::vector<fs::path> most;
    for (auto& [ending, files] : byEnding)
        if (files.size() > most.size())
            most = std::move(files);
    std::sort(most.begin(), most.end(), naturally);
    return most;
}

int interrupted(void* goOn) {
    const auto& ask = *static_cast<const PacketSource::GoOn*>(goOn);
    return ask && !ask(-1.0);
}

// Looks into packets without decoding them. Inert where the codec has no parser.
class Parser {
public:
    explicit Parser(const AVStream& stream)
        : m_codec(avcodec_alloc_context3(avcodec_find_decoder(stream.codecpar->codec_id))) {
        if (m_codec && avcodec_parameters_to_context(m_codec.get(), stream.codecpar) >= 0)
            m_parser = av_parser_init(stream.codecpar->codec_id);
        if (m_parser)
            m_parser->flags |= PARSER_FLAG_COMPLETE_FRAMES;
    }
    ~Parser() {
        if (m_parser)
            av_parser_close(m_parser);
    }
    Parser(const Parser&) = delete;
    Parser& operator=(const Parser&) = delete;

    /// What it says of a packet, the next one in decoding order; null when it says nothing.
    const AVCodecParserContext* read(const AVPacket& p) {
        if (!m_parser)
            return nullptr;
        std::uint8_t* out = nullptr;
        int size = 0;
        av_parser_parse2(m_parser, m_codec.get(), &out, &size, p.data, p.size, p.pts, p.dts, p.pos);
        return m_parser;
    }

private:
    av::Codec m_codec;
    AVCodecParserContext* m_parser = nullptr;
};

// Looks into the first packets for the order of fields that the container does not state.
int fieldOrder(const AVStream& stream, const std::vector<av::Packet>& packets) {
    int order = stream.codecpar->field_order;
    if (order == AV_FIELD_UNKNOWN) {
        Parser parser(stream);
        for (std::size_t i = 0; i < packets.size() && order == AV_FIELD_UNKNOWN; ++i)
            if (const auto* said = parser.read(*packets[i]))
                order = said->field_order;
    }
    switch (order) {
    case AV_FIELD_TT:
    case AV_FIELD_BT:
        return 1;
    case AV_FIELD_BB:
    case AV_FIELD_TB:
        return 2;
    default:
        return 0;
    }
}

// A packet of H.264 or HEVC as MP4 and Matroska hold it, cut off soon after its first slice has begun: a decoder reads
// all headers from it and has no picture to work on, which would cost more than reading the whole table of frames.
std::vector<std::uint8_t> headOf(const AVPacket& packet, const AVCodecParameters& p) {
    constexpr std::size_t kEnough = 256; // bytes of a slice: its header and a little more
    const auto* extra = p.extradata;
    const bool hevc = p.codec_id == AV_CODEC_ID_HEVC;
    const int at = hevc ? 21 : 4; // where the number of bytes of a length is stated
    std::vector<std::uint8_t> out(packet.data, packet.data + packet.size);
    if ((!hevc && p.codec_id != AV_CODEC_ID_H264) || p.extradata_size <= at || extra[0] != 1)
        return out;
    const auto wide = static_cast<std::size_t>(extra[at] & 3) + 1;
    for (std::size_t i = 0; i + wide < out.size();) {
        std::size_t length = 0;
        for (std::size_t k = 0; k < wide; ++k)
            length = length << 8 | out[i + k];
        const int type = hevc ? out[i + wide] >> 1 & 63 : out[i + wide] & 31;
        if (hevc ? type < 32 : type >= 1 && type <= 5) {
            const std::size_t kept = std::min({length, kEnough, out.size() - i - wide});
            for (std::size_t k = 0; k < wide; ++k)
                out[i + k] = static_cast<std::uint8_t>(kept >> 8 * (wide - 1 - k));
            out.resize(i + wide + kept);
            return out;
        }
        i += wide + length;
    }
    return out;
}

// The shape of pixels as the stream itself states it, where the container is silent; else 0.
double aspectInStream(const AVStream& stream, const std::vector<av::Packet>& packets) {
    if (av::statedAspect(stream) > 0.0 || packets.empty())
        return 0.0;
    av::Codec decoder = av::decoderFor(stream, 1);
    if (!decoder)
        return 0.0;
    decoder->error_concealment = 0;
    if (avcodec_open2(decoder.get(), decoder->codec, nullptr) < 0)
        return 0.0;
    const auto head = headOf(*packets.front(), *stream.codecpar);
    av::Packet packet(av_packet_alloc());
    if (av_new_packet(packet.get(), static_cast<int>(head.size())) < 0)
        return 0.0;
    std::copy(head.begin(), head.end(), packet->data);
    avcodec_send_packet(decoder.get(), packet.get());
    return av::believable(decoder->sample_aspect_ratio);
}

// Some writers put down decoding times as presentation times: nothing is reordered although there are B-pictures.
bool hasBPictures(const AVStream& stream, const std::vector<av::Packet>& packets) {
    Parser parser(stream);
    return std::any_of(packets.begin(), packets.end(), [&](const av::Packet& p) {
        const auto* said = parser.read(*p);
        return said && said->pict_type == AV_PICTURE_TYPE_B;
    });
}

// Which packets hold a second field only, so that two of them make one picture. Camcorders write such streams.
class FieldPairs {
public:
    explicit FieldPairs(const AVStream& stream)
        : m_parser(stream), m_possible(stream.codecpar->codec_id == AV_CODEC_ID_H264) {}
    bool isSecond(const AVPacket& p) {
        const auto* said = m_possible ? m_parser.read(p) : nullptr;
        if (!said)
            return false;
        const auto structure = said->picture_structure;
        const bool field =
            structure == AV_PICTURE_STRUCTURE_TOP_FIELD || structure == AV_PICTURE_STRUCTURE_BOTTOM_FIELD;
        const bool second = field && m_open && structure != m_first;
        m_open = field && !second;
        m_first = structure;
        return second;
    }

private:
    Parser m_parser;
    bool m_possible;
    bool m_open = false;
    AVPictureStructure m_first = AV_PICTURE_STRUCTURE_UNKNOWN;
};

} // namespace

Result<std::unique_ptr<PacketSource>> PacketSource::open(const fs::path& path, const GoOn& goOn) {
    av_log_set_level(AV_LOG_QUIET); // errors are said once, in our own words
    std::error_code ec;
    const auto status = fs::status(path, ec);
    if (!fs::exists(status))
        return cannotOpen(path, "there is no such file");
    auto source = std::make_unique<PacketSource>();
    source->m_path = path;
    source->m_goOn = goOn;
    fs::path file = path;
    if (fs::is_directory(status)) {
        source->m_images = picturesIn(path);
        if (source->m_images.empty())
            return cannotOpen(path, "this is a folder without pictures, not a film");
        file = source->m_images.front();
    } else if (!fs::is_regular_file(status)) {
        return cannotOpen(path, "this is no ordinary file"); // reading a pipe or a device might never end
    } else if (fs::file_size(path, ec) == 0 && !ec) {
        return cannotOpen(path, "the file is empty");
    }
    AVFormatContext* raw = avformat_alloc_context();
    if (!raw)
        return cannotOpen(path, "there is not enough memory");
    raw->interrupt_callback = {interrupted, &source->m_goOn};
    if (const int r = av::openFile(&raw, file); r < 0) {
        if (r == AVERROR(EACCES))
            return cannotOpen(path, "this user may not read the file");
        if (r == AVERROR_EXIT) {
            Error e = cannotOpen(path, "opening it was cancelled");
            e.kind = ErrorKind::cancelled;
            return e;
        }
        return cannotOpen(path, "this is not a film, or its beginning or end is cut off (" + av::text(r) + ")");
    }
    source->m_format.reset(raw);
    // MP4, MOV, Matroska and WebM say everything in their headers. Looking into packets, as FFmpeg otherwise does,
    // decodes some and takes longer than reading the whole table of frames.
    const std::string name = raw->iformat->name;
    const bool plain = name.find("mp4") != std::string::npos || name.find("matroska") != std::string::npos;
    const auto complete = [](const AVStream* s) {
        const auto* p = s->codecpar;
        return p->codec_type != AVMEDIA_TYPE_VIDEO ||
               (p->codec_id != AV_CODEC_ID_NONE && p->width > 0 && p->height > 0);
    };
    source->m_headersSay =
        plain && raw->nb_streams > 0 && std::all_of(raw->streams, raw->streams + raw->nb_streams, complete);
    if (source->m_headersSay)
        raw->flags |= AVFMT_FLAG_NOPARSE | AVFMT_FLAG_NOFILLIN;
    else if (avformat_find_stream_info(raw, nullptr) < 0)
        return cannotOpen(path, "this is not a film that can be read");
    const int best = av_find_best_stream(raw, AVMEDIA_TYPE_VIDEO, -1, -1, nullptr, 0);
    if (best < 0 || (raw->streams[best]->disposition & AV_DISPOSITION_ATTACHED_PIC))
        return cannotOpen(path, raw->nb_streams > 0 ? "the file has no moving picture (sound only)"
                                                    : "the file holds nothing that can be read");
    source->m_stream = raw->streams[best];
    source->m_sound = av_find_best_stream(raw, AVMEDIA_TYPE_AUDIO, -1, -1, nullptr, 0) >= 0;
    for (unsigned i = 0; i < raw->nb_streams; ++i)
        if (static_cast<int>(i) != best)
            raw->streams[i]->discard = AVDISCARD_ALL;
    if (source->m_stream->codecpar->width <= 0 || source->m_stream->codecpar->height <= 0)
        return cannotOpen(path, "the film does not say how large its picture is");
    return source;
}

bool PacketSource::reopen() {
    m_count = 0;
    m_heldNumber = -1;
    if (images())
        return true;
    const int wanted = m_stream->index;
    AVFormatContext* raw = avformat_alloc_context();
    if (!raw)
        return false;
    raw->interrupt_callback = {interrupted, &m_goOn};
    if (av::openFile(&raw, m_path) < 0)
        return false;
    av::Format again(raw);
    if (m_headersSay)
        raw->flags |= AVFMT_FLAG_NOPARSE | AVFMT_FLAG_NOFILLIN;
    else if (avformat_find_stream_info(raw, nullptr) < 0)
        return false;
    if (wanted >= static_cast<int>(raw->nb_streams))
        return false;
    m_format = std::move(again);
    m_stream = raw->streams[wanted];
    for (unsigned i = 0; i < raw->nb_streams; ++i)
        if (static_cast<int>(i) != wanted)
            raw->streams[i]->discard = AVDISCARD_ALL;
    return true;
}

bool PacketSource::read(AVPacket* packet) {
    if (images()) {
        if (m_count >= static_cast<int>(m_images.size()))
            return false;
        std::ifstream file(m_images[static_cast<std::size_t>(m_count)], std::ios::binary);
        const std::string bytes((std::istreambuf_iterator<char>(file)), std::istreambuf_iterator<char>());
        if (av_new_packet(packet, static_cast<int>(std::max<std::size_t>(1, bytes.size()))) < 0)
            return false;
        std::memcpy(packet->data, bytes.data(), bytes.size());
        packet->pts = packet->dts = m_count++;
        packet->duration = 1;
        packet->flags |= AV_PKT_FLAG_KEY;
        return true;
    }
    while (av_read_frame(m_format.get(), packet) >= 0) {
        if (packet->stream_index == m_stream->index) {
            ++m_count;
            return true;
        }
        av_packet_unref(packet);
    }
    return false;
}

namespace {

// The order of frames is the decoder's.
void setOrder(FilmIndex& index, const std::vector<std::int32_t>& order) {
    index.packetOf = order;
    index.reorder = 0;
    for (auto& p : index.packets)
        p.frame = -1;
    for (std::size_t i = 0; i < order.size(); ++i) {
        index.packets[static_cast<std::size_t>(order[i])].frame = static_cast<std::int32_t>(i);
        index.reorder = std::max(index.reorder, std::min(kLargestReorder / 2, order[i] - static_cast<std::int32_t>(i)));
    }
}

// The times of the frames, in their order.
std::vector<std::int64_t> stampsOf(const FilmIndex& index) {
    std::vector<std::int64_t> stamps;
    for (auto p : index.packetOf)
        stamps.push_back(index.packets[static_cast<std::size_t>(p)].pts);
    return stamps;
}

// Those times put right, where they are not on the pictures they belong to or not there at all. \p ordered: they are
// valid and distinct.
std::vector<std::int64_t> mendedStamps(const FilmIndex& index, bool ordered) {
    std::vector<std::int64_t> stamps = stampsOf(index);
    if (ordered)
        std::sort(stamps.begin(), stamps.end());
    if (std::all_of(stamps.begin(), stamps.end(), [](auto s) { return s == kNoTime; })) {
        // No presentation time at all (AVI): frames are even in decoding time.
        std::vector<std::int64_t> dts;
        for (const auto& p : index.packets)
            if (p.dts != kNoTime)
                dts.push_back(p.dts);
        std::sort(dts.begin(), dts.end());
        if (dts.size() >= stamps.size())
            stamps.assign(dts.begin(), dts.begin() + static_cast<std::ptrdiff_t>(stamps.size()));
    }
    return stamps;
}

} // namespace

// A folder of pictures: one a frame, 25 a second.
FilmIndex PacketSource::imageIndex() {
    FilmIndex index;
    for (std::size_t i = 0; i < m_images.size(); ++i) {
        const auto t = static_cast<std::int64_t>(i);
        index.packets.push_back({t, t, t, -1, 1, 0});
    }
    index.lastStep = 0.04;
    orderByTime(index);
    std::vector<std::int64_t> stamps;
    for (std::size_t i = 0; i < m_images.size(); ++i)
        stamps.push_back(static_cast<std::int64_t>(i));
    setTimes(index, stamps, 0.04);
    index.identity = PacketIdentity::time;
    useIndex(index);
    return index;
}

Error PacketSource::cancelled() const {
    return Error{
        "reading it was cancelled", m_path.filename().string(), "nothing was changed", {}, ErrorKind::cancelled};
}

// Every packet from the first to the last; the first ones are kept for what only a decoder tells of them.
Status PacketSource::readPackets(FilmIndex& index, std::vector<av::Packet>& first, std::int64_t& lastDuration) {
    std::error_code ec;
    const auto size = static_cast<double>(std::max<std::uintmax_t>(1, fs::file_size(m_path, ec)));
    av::Packet packet(av_packet_alloc());
    const bool camcorder = (m_format->iformat->flags & AVFMT_TS_DISCONT) != 0;
    FieldPairs pairs(*m_stream);
    std::vector<std::size_t> seconds;
    while (read(packet.get())) {
        const AVPacket& p = *packet;
        const auto number = index.packets.size();
        if (p.flags & AV_PKT_FLAG_CORRUPT && !camcorder) {
            ++m_broken; // cut off in the middle
        } else {
            const bool hidden = (p.flags & AV_PKT_FLAG_DISCARD) != 0;
            index.packets.push_back({p.pts, p.dts, p.pos, -1,
                                     static_cast<std::uint8_t>((p.flags & AV_PKT_FLAG_KEY) != 0),
                                     static_cast<std::uint8_t>(hidden)});
            // Camcorders may change their mind in the middle; other films are what they are from the start.
            if ((camcorder || first.size() < 64 || !seconds.empty()) && pairs.isSecond(p))
                seconds.push_back(number);
            lastDuration = p.duration;
            if (first.size() < 64)
                first.emplace_back(av_packet_clone(packet.get()));
        }
        if (number % 64 == 0 && m_goOn && !m_goOn(p.pos > 0 ? std::min(1.0, static_cast<double>(p.pos) / size) : 0.0))
            return cancelled();
        av_packet_unref(packet.get());
    }
    if (index.packets.empty())
        return cannotOpen(m_path, "not one frame in it can be read");
    for (std::size_t s : seconds) // the second field of a pair is decoded with the first and shows nothing of its own
        index.packets[s].hidden = 2;
    for (std::size_t s : seconds)
        if (index.packets[s].pts == kNoTime)
            index.packets[s].pts = s > 0 ? index.packets[s - 1].pts : 0;
    return Done{};
}

// The numbers of the packets in the order in which a decoder shows their pictures; in the file's order where every
// picture stands alone.
Result<std::vector<std::int32_t>> PacketSource::shownOrder(FilmIndex& index) {
    const auto* codec = avcodec_descriptor_get(m_stream->codecpar->codec_id);
    std::vector<std::int32_t> order;
    if (codec && (codec->props & AV_CODEC_PROP_INTRA_ONLY)) {
        for (std::size_t i = 0; i < index.packets.size(); ++i)
            if (!index.packets[i].hidden)
                order.push_back(static_cast<std::int32_t>(i));
        return order;
    }
    av::Packet packet(av_packet_alloc());
    useIndex(index);
    if (!reopen())
        return cannotOpen(m_path, "it cannot be read a second time");
    av::Codec decoder = av::decoderFor(*m_stream, 2);
    if (!decoder || avcodec_open2(decoder.get(), decoder->codec, nullptr) < 0)
        return cannotOpen(m_path, "its codec is not known to this computer's FFmpeg");
    av::Frame frame(av_frame_alloc());
    const auto take = [&] {
        while (avcodec_receive_frame(decoder.get(), frame.get()) == 0) {
            const auto number = frame->reordered_opaque;
            if (number >= 0 && number < static_cast<std::int64_t>(index.packets.size()))
                order.push_back(static_cast<std::int32_t>(number));
            av_frame_unref(frame.get());
        }
    };
    for (int number = 0; read(packet.get()); ++number) {
        decoder->reordered_opaque = number;
        avcodec_send_packet(decoder.get(), packet.get());
        av_packet_unref(packet.get());
        take();
        if (m_goOn && !m_goOn(static_cast<double>(number) / static_cast<double>(index.packets.size())))
            return cancelled();
    }
    avcodec_send_packet(decoder.get(), nullptr);
    take();
    // A packet may give one picture only.
    std::vector<bool> seen(index.packets.size());
    std::erase_if(order, [&](std::int32_t number) {
        const auto n = static_cast<std::size_t>(number);
        const bool twice = seen[n];
        seen[n] = true;
        return twice;
    });
    return order;
}

Result<FilmIndex> PacketSource::makeIndex() {
    if (images())
        return imageIndex();
    FilmIndex index;
    std::vector<av::Packet> first; // for the order of fields
    std::int64_t lastDuration = 0;
    if (const auto read = readPackets(index, first, lastDuration); !read)
        return read.error();
    const double tick = av_q2d(m_stream->time_base);
    index.interlaced = fieldOrder(*m_stream, first);
    index.pixelAspect = aspectInStream(*m_stream, first);

    std::vector<std::int64_t> stamps;
    const auto positionsDiffer = [&] {
        std::vector<std::int64_t> at;
        for (const auto& p : index.packets)
            at.push_back(p.position);
        std::sort(at.begin(), at.end());
        return at.front() >= 0 && std::adjacent_find(at.begin(), at.end()) == at.end();
    };
    const bool ordered = orderByTime(index);
    if (ordered && (index.reorder > 0 || !hasBPictures(*m_stream, first))) {
        index.identity = PacketIdentity::time;
        stamps = stampsOf(index);
    } else {
        index.identity = positionsDiffer() ? PacketIdentity::position : PacketIdentity::count;
        const auto order = shownOrder(index);
        if (!order)
            return order.error();
        if (order->empty())
            return cannotOpen(m_path, "not one frame in it can be decoded");
        setOrder(index, *order);
        stamps = mendedStamps(index, ordered);
    }
    setTimes(index, stamps, tick);
    if (ordered && index.identity != PacketIdentity::time)
        for (std::size_t i = 0; i < stamps.size(); ++i)
            index.mended += index.packets[static_cast<std::size_t>(index.packetOf[i])].pts != stamps[i];
    index.lastStep = lastDuration > 0 ? static_cast<double>(lastDuration) * tick : 0.0;
    const auto there = static_cast<std::int64_t>(index.packets.size());
    index.lost = m_broken;
    if (m_stream->nb_frames > there && m_headersSay)
        index.lost = static_cast<std::int32_t>(std::min<std::int64_t>(m_stream->nb_frames - there, 1 << 30));
    useIndex(index);
    if (index.identity == PacketIdentity::count && !reopen())
        return cannotOpen(m_path, "it cannot be read a second time");
    return index;
}

void PacketSource::useIndex(const FilmIndex& index) {
    m_identity = index.identity;
    m_places.clear();
    m_numbers.clear();
    m_numbers.reserve(index.packets.size());
    for (std::size_t i = 0; i < index.packets.size(); ++i) {
        const auto& p = index.packets[i];
        m_places.emplace_back(p.dts != AV_NOPTS_VALUE ? p.dts : p.pts, p.position);
        if (m_identity == PacketIdentity::time)
            m_numbers.emplace(p.pts, static_cast<int>(i));
        else if (m_identity == PacketIdentity::position)
            m_numbers.emplace(p.position, static_cast<int>(i));
    }
    m_heldNumber = -1;
}

int PacketSource::numberOf(const AVPacket& packet) const {
    if (m_identity == PacketIdentity::count)
        return m_count - 1;
    const auto it = m_numbers.find(m_identity == PacketIdentity::time ? packet.pts : packet.pos);
    return it == m_numbers.end() ? -1 : it->second;
}

// Reads on until the packet; it is then held for next(). False when it is already past.
bool PacketSource::landed(int number) {
    if (!m_held)
        m_held.reset(av_packet_alloc());
    av_packet_unref(m_held.get());
    while (read(m_held.get())) {
        const int n = numberOf(*m_held);
        if (n == number) {
            m_heldNumber = n;
            return true;
        }
        av_packet_unref(m_held.get());
        if (n > number || (m_goOn && !m_goOn(-1.0)))
            return false;
    }
    return false;
}

bool PacketSource::seek(int number) {
    m_heldNumber = -1;
    if (images()) {
        m_count = number;
        return true;
    }
    if (m_identity == PacketIdentity::count)
        return reopen() && landed(number);
    const auto& [time, byte] = m_places[static_cast<std::size_t>(number)];
    // Streams without a table are entered at the very byte; files with one at the time.
    const bool stream = (m_format->iformat->flags & AVFMT_TS_DISCONT) != 0;
    if (stream && byte >= 0 && av_seek_frame(m_format.get(), m_stream->index, byte, AVSEEK_FLAG_BYTE) >= 0 &&
        landed(number))
        return true;
    if (time != AV_NOPTS_VALUE && av_seek_frame(m_format.get(), m_stream->index, time, AVSEEK_FLAG_BACKWARD) >= 0 &&
        landed(number))
        return true;
    if (m_goOn && !m_goOn(-1.0))
        return false;
    return reopen() && landed(number);
}

int PacketSource::next(AVPacket* packet) {
    if (m_heldNumber >= 0) {
        av_packet_move_ref(packet, m_held.get());
        return std::exchange(m_heldNumber, -1);
    }
    if (!read(packet))
        return -1;
    if (images())
        return m_count - 1;
    int n = numberOf(*packet);
    while (n < 0) { // a packet that the index left out (cut off)
        av_packet_unref(packet);
        if (!read(packet))
            return -1;
        n = numberOf(*packet);
    }
    return n;
}

} // namespace riflesso
