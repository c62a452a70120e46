// A film read through once: which packets there are, in which order their pictures are shown, and when.

#include "footage/packet_source.h"

#include <algorithm>
#include <limits>
#include <map>

namespace riflesso {
namespace {

namespace fs = std::filesystem;

constexpr std::int64_t kNoTime = AV_NOPTS_VALUE;
static_assert(kNoTime == std::numeric_limits<std::int64_t>::min());

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

} // namespace riflesso
