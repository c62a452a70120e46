#include "footage/film.h"

extern "C" {
#include <libavcodec/avcodec.h>
#include <libavformat/avformat.h>
#include <libavutil/display.h>
#include <libavutil/imgutils.h>
#include <libswscale/swscale.h>
}

#include <algorithm>
#include <cmath>
#include <cstdlib>
#include <list>
#include <map>
#include <unordered_map>

namespace riflesso {
namespace {

struct FreeFormat {
    void operator()(AVFormatContext* c) const { avformat_close_input(&c); }
};
struct FreeCodec {
    void operator()(AVCodecContext* c) const { avcodec_free_context(&c); }
};
struct FreeFrame {
    void operator()(AVFrame* f) const { av_frame_free(&f); }
};
struct FreePacket {
    void operator()(AVPacket* p) const { av_packet_free(&p); }
};
struct FreeSws {
    void operator()(SwsContext* s) const { sws_freeContext(s); }
};
using FramePtr = std::unique_ptr<AVFrame, FreeFrame>;
using PacketPtr = std::unique_ptr<AVPacket, FreePacket>;

std::string avText(int code) {
    char buffer[AV_ERROR_MAX_STRING_SIZE] = {};
    av_strerror(code, buffer, sizeof buffer);
    return buffer;
}

Error cannotOpen(const std::filesystem::path& path, std::string what) {
    return {std::move(what), path.filename().string(), "nothing was changed", {}};
}

int rotationOf(const AVStream* stream) {
    const auto* matrix = av_stream_get_side_data(stream, AV_PKT_DATA_DISPLAYMATRIX, nullptr);
    if (!matrix)
        return 0;
    const double counter = av_display_rotation_get(reinterpret_cast<const int32_t*>(matrix));
    if (!std::isfinite(counter))
        return 0;
    const int quarter = static_cast<int>(std::lround(-counter / 90.0));
    return ((quarter % 4) + 4) % 4 * 90;
}

Picture rotated(Picture in, int degrees) {
    if (degrees == 0)
        return in;
    const bool swap = degrees != 180;
    Picture out(swap ? in.height : in.width, swap ? in.width : in.height);
    for (int y = 0; y < in.height; ++y)
        for (int x = 0; x < in.width; ++x) {
            int ox = in.width - 1 - x, oy = in.height - 1 - y;
            if (degrees == 90) {
                ox = in.height - 1 - y;
                oy = x;
            } else if (degrees == 270) {
                ox = y;
                oy = in.width - 1 - x;
            }
            out.pixels[static_cast<std::size_t>(oy) * static_cast<std::size_t>(out.width) +
                       static_cast<std::size_t>(ox)] = in.at(x, y);
        }
    return out;
}

} // namespace

struct Film::Impl {
    std::filesystem::path path;
    std::unique_ptr<AVFormatContext, FreeFormat> format;
    std::unique_ptr<AVCodecContext, FreeCodec> codec;
    std::unique_ptr<SwsContext, FreeSws> sws;
    AVStream* stream = nullptr;
    FilmInfo info;
    Options options;

    std::vector<std::int64_t> pts; // presentation order, stream time base
    std::vector<bool> key;         // frame i starts a decodable group
    std::vector<double> times;     // s from the first frame
    std::unordered_map<std::int64_t, int> indexOf;
    bool sequentialOnly = false; // time stamps are missing or repeated: frames are counted from the start

    int decodedLast = -1; // last frame the decoder gave; -1 after a seek
    bool needKey = true;  // after a seek nothing before a key packet goes to the decoder
    int validFrom = 0;    // pictures before the key frame of the last seek lack what they refer to
    bool drained = false;

    // Newest first; the cache holds the decoder's own YUV pictures.
    std::list<std::pair<int, FramePtr>> cache;
    std::map<int, std::list<std::pair<int, FramePtr>>::iterator> cached;
    std::size_t cacheUsed = 0;

    static std::size_t bytesOf(const AVFrame& f) {
        const int n = av_image_get_buffer_size(static_cast<AVPixelFormat>(f.format), f.width, f.height, 1);
        return n > 0 ? static_cast<std::size_t>(n) : 0;
    }

    void remember(int index, FramePtr frame) {
        if (cached.contains(index))
            return;
        cacheUsed += bytesOf(*frame);
        cache.emplace_front(index, std::move(frame));
        cached[index] = cache.begin();
        while (cacheUsed > options.cacheBytes && cache.size() > 1) {
            cacheUsed -= bytesOf(*cache.back().second);
            cached.erase(cache.back().first);
            cache.pop_back();
        }
    }

    std::optional<Error> openDecoder() {
        const AVCodec* decoder = avcodec_find_decoder(stream->codecpar->codec_id);
        if (!decoder)
            return cannotOpen(path, "its codec is not known to this computer's FFmpeg");
        codec.reset(avcodec_alloc_context3(decoder));
        avcodec_parameters_to_context(codec.get(), stream->codecpar);
        codec->pkt_timebase = stream->time_base;
        codec->thread_count = 2;
        // Frames just after a key frame that is no full restart are good pictures too: ask for them.
        codec->flags |= AV_CODEC_FLAG_OUTPUT_CORRUPT;
        codec->flags2 |= AV_CODEC_FLAG2_SHOW_ALL;
        if (const int r = avcodec_open2(codec.get(), decoder, nullptr); r < 0)
            return cannotOpen(path, "its decoder does not start (" + avText(r) + ")");
        return std::nullopt;
    }

    std::optional<Error> buildIndex() {
        struct Entry {
            std::int64_t pts;
            bool key;
        };
        std::vector<Entry> entries;
        PacketPtr packet(av_packet_alloc());
        std::int64_t lastDuration = 0;
        while (av_read_frame(format.get(), packet.get()) >= 0) {
            if (packet->stream_index == stream->index && !(packet->flags & AV_PKT_FLAG_DISCARD)) {
                if (packet->pts == AV_NOPTS_VALUE)
                    sequentialOnly = true;
                entries.push_back({packet->pts, (packet->flags & AV_PKT_FLAG_KEY) != 0});
                lastDuration = packet->duration;
            }
            av_packet_unref(packet.get());
        }
        if (!sequentialOnly) {
            std::stable_sort(entries.begin(), entries.end(),
                             [](const Entry& a, const Entry& b) { return a.pts < b.pts; });
            for (std::size_t i = 1; i < entries.size(); ++i)
                sequentialOnly = sequentialOnly || entries[i].pts == entries[i - 1].pts;
        }
        if (sequentialOnly) {
            entries.clear();
            if (auto e = restart(0))
                return e;
            std::int64_t last = 0;
            while (FramePtr f = decodeNext()) {
                std::int64_t t = f->best_effort_timestamp;
                const std::int64_t step = std::max<std::int64_t>(1, f->pkt_duration);
                if (!entries.empty() && (t == AV_NOPTS_VALUE || t <= last))
                    t = last + step;
                if (t == AV_NOPTS_VALUE)
                    t = 0;
                last = t;
                entries.push_back({t, f->key_frame != 0});
            }
        }
        if (entries.empty())
            return cannotOpen(path, "not one frame in it can be read");
        const double tick = av_q2d(stream->time_base);
        for (const auto& e : entries) {
            indexOf[e.pts] = static_cast<int>(pts.size());
            pts.push_back(e.pts);
            key.push_back(e.key);
            times.push_back(static_cast<double>(e.pts - entries.front().pts) * tick);
        }
        info.frames = static_cast<int>(pts.size());
        info.keyFrames = static_cast<int>(std::count(key.begin(), key.end(), true));
        if (const auto base = Timebase::make(times, std::nullopt))
            info.fileRate = base->fileRate();
        double shortest = 1e300, longest = 0.0;
        for (std::size_t i = 1; i < times.size(); ++i) {
            shortest = std::min(shortest, times[i] - times[i - 1]);
            longest = std::max(longest, times[i] - times[i - 1]);
        }
        // Time bases of 1/600 and the like round each step by up to one tick; that is no variable rate.
        info.variableRate = times.size() > 2 && longest - shortest > 2.5 * tick && longest > 1.05 * shortest;
        const double lastStep = lastDuration > 0            ? static_cast<double>(lastDuration) * tick
                                : info.fileRate.value > 0.0 ? 1.0 / info.fileRate.value
                                                            : 0.0;
        info.duration = times.back() + lastStep;
        if (stream->nb_frames > info.frames && !sequentialOnly)
            info.framesLost = static_cast<int>(stream->nb_frames - info.frames);
        return std::nullopt;
    }

    // Puts the decoder before the key frame of frame `index`. Reads from the very start when the file cannot seek
    // there.
    std::optional<Error> restart(int index) {
        avcodec_flush_buffers(codec.get());
        decodedLast = -1;
        needKey = true;
        validFrom = sequentialOnly ? 0 : index;
        drained = false;
        std::int64_t target = stream->start_time != AV_NOPTS_VALUE ? stream->start_time : 0;
        if (!sequentialOnly && !pts.empty())
            target = pts[static_cast<std::size_t>(index)];
        int r = av_seek_frame(format.get(), stream->index, target, AVSEEK_FLAG_BACKWARD);
        if (r < 0)
            r = av_seek_frame(format.get(), -1, std::numeric_limits<std::int64_t>::min() / 2, AVSEEK_FLAG_BACKWARD);
        if (r < 0)
            r = avformat_seek_file(format.get(), -1, std::numeric_limits<std::int64_t>::min(), 0,
                                   std::numeric_limits<std::int64_t>::max(), AVSEEK_FLAG_BYTE);
        if (r < 0)
            return cannotOpen(path, "it cannot be rewound (" + avText(r) + ")");
        return std::nullopt;
    }

    // The next picture out of the decoder, or null at the end.
    FramePtr decodeNext() {
        PacketPtr packet(av_packet_alloc());
        FramePtr frame(av_frame_alloc());
        while (true) {
            const int r = avcodec_receive_frame(codec.get(), frame.get());
            if (r == 0) {
                if (frame->flags & AV_FRAME_FLAG_DISCARD) {
                    av_frame_unref(frame.get());
                    continue;
                }
                return frame;
            }
            if (r != AVERROR(EAGAIN) || drained)
                return nullptr;
            int read = 0;
            while ((read = av_read_frame(format.get(), packet.get())) >= 0 && packet->stream_index != stream->index)
                av_packet_unref(packet.get());
            if (read < 0) {
                drained = true;
                avcodec_send_packet(codec.get(), nullptr);
                continue;
            }
            if (needKey && !(packet->flags & AV_PKT_FLAG_KEY)) {
                av_packet_unref(packet.get());
                continue;
            }
            needKey = false;
            avcodec_send_packet(codec.get(), packet.get()); // a damaged packet is passed over; its frame will be missed
            av_packet_unref(packet.get());
        }
    }

    // Index of a decoded picture, or -1 when it is none of the film's frames.
    int place(const AVFrame& f) const {
        if (sequentialOnly)
            return decodedLast + 1;
        const std::int64_t t = f.pts != AV_NOPTS_VALUE ? f.pts : f.best_effort_timestamp;
        const auto it = indexOf.find(t);
        return it == indexOf.end() ? -1 : it->second;
    }

    int keyBefore(int index) const {
        while (index > 0 && !key[static_cast<std::size_t>(index)])
            --index;
        return index;
    }

    // Decodes until frame `index` is in the cache. False when the decoder ran past it.
    bool decodeTo(int index) {
        while (FramePtr f = decodeNext()) {
            const int at = place(*f);
            if (at < validFrom)
                continue;
            decodedLast = at;
            remember(at, std::move(f));
            if (at == index)
                return true;
            if (at > index)
                return false;
        }
        return false;
    }

    std::optional<Error> fetch(int index) {
        if (cached.contains(index))
            return std::nullopt;
        const int start = sequentialOnly ? 0 : keyBefore(index);
        const bool goOn = decodedLast >= start && decodedLast < index && !drained;
        if (goOn && decodeTo(index))
            return std::nullopt;
        // From the key frame; when that does not give it (a seek that landed late, a damaged group), from earlier ones.
        int from = start;
        for (int tries = 0; tries < 3; ++tries) {
            if (auto e = restart(from))
                return e;
            if (decodeTo(index))
                return std::nullopt;
            if (from == 0)
                break;
            from = tries == 0 ? keyBefore(from - 1) : 0;
        }
        // Some containers cannot find a time exactly: read from the first byte.
        if (av_seek_frame(format.get(), -1, 0, AVSEEK_FLAG_BYTE) >= 0) {
            avcodec_flush_buffers(codec.get());
            decodedLast = -1;
            needKey = true;
            validFrom = 0;
            drained = false;
            if (decodeTo(index))
                return std::nullopt;
        }
        return Error{"frame " + std::to_string(index) + " is damaged and cannot be shown",
                     path.filename().string(),
                     "the other frames stay usable",
                     {}};
    }

    Result<Picture> convert(const AVFrame& f) {
        sws.reset(sws_getCachedContext(sws.release(), f.width, f.height, static_cast<AVPixelFormat>(f.format), f.width,
                                       f.height, AV_PIX_FMT_BGRA, SWS_POINT, nullptr, nullptr, nullptr));
        if (!sws)
            return Error{"its pixel format cannot be shown", path.filename().string(), {}, {}};
        const bool hd = f.colorspace == AVCOL_SPC_BT709 || (f.colorspace == AVCOL_SPC_UNSPECIFIED && f.height >= 720);
        sws_setColorspaceDetails(sws.get(), sws_getCoefficients(hd ? SWS_CS_ITU709 : SWS_CS_ITU601),
                                 f.color_range == AVCOL_RANGE_JPEG, sws_getCoefficients(SWS_CS_DEFAULT), 1, 0, 1 << 16,
                                 1 << 16);
        Picture p(f.width, f.height);
        auto* data = reinterpret_cast<std::uint8_t*>(p.pixels.data());
        std::uint8_t* planes[4] = {data, nullptr, nullptr, nullptr};
        const int strides[4] = {f.width * 4, 0, 0, 0};
        sws_scale(sws.get(), f.data, f.linesize, 0, f.height, planes, strides);
        return rotated(std::move(p), info.rotation);
    }
};

Film::Film(std::unique_ptr<Impl> impl) : m_impl(std::move(impl)) {}
Film::~Film() = default;
const FilmInfo& Film::info() const {
    return m_impl->info;
}
const std::vector<double>& Film::times() const {
    return m_impl->times;
}

Result<std::unique_ptr<Film>> Film::open(const std::filesystem::path& path, const Options& options) {
    av_log_set_level(AV_LOG_QUIET); // errors are said once, in our own words
    std::error_code ec;
    const auto status = std::filesystem::status(path, ec);
    if (!std::filesystem::exists(status))
        return cannotOpen(path, "there is no such file");
    if (std::filesystem::is_directory(status))
        return cannotOpen(path, "this is a folder, not a film");
    if (std::filesystem::is_regular_file(status) && std::filesystem::file_size(path, ec) == 0 && !ec)
        return cannotOpen(path, "the file is empty");

    auto impl = std::make_unique<Impl>();
    impl->path = path;
    impl->options = options;
    AVFormatContext* raw = nullptr;
    if (const int r = avformat_open_input(&raw, path.c_str(), nullptr, nullptr); r < 0) {
        if (r == AVERROR(EACCES))
            return cannotOpen(path, "this user may not read the file");
        return cannotOpen(path, "this is not a film, or its beginning or end is cut off (" + avText(r) + ")");
    }
    impl->format.reset(raw);
    if (avformat_find_stream_info(raw, nullptr) < 0)
        return cannotOpen(path, "this is not a film that can be read");
    const int best = av_find_best_stream(raw, AVMEDIA_TYPE_VIDEO, -1, -1, nullptr, 0);
    if (best < 0 || (raw->streams[best]->disposition & AV_DISPOSITION_ATTACHED_PIC))
        return cannotOpen(path, raw->nb_streams > 0 ? "the file has no moving picture (sound only)"
                                                    : "the file holds nothing that can be read");
    impl->stream = raw->streams[best];
    for (unsigned i = 0; i < raw->nb_streams; ++i)
        if (static_cast<int>(i) != best)
            raw->streams[i]->discard = AVDISCARD_ALL;
    const AVCodecParameters* p = impl->stream->codecpar;
    if (p->width <= 0 || p->height <= 0)
        return cannotOpen(path, "the film does not say how large its picture is");
    if (auto e = impl->openDecoder())
        return *e;
    impl->info.codec = avcodec_get_name(p->codec_id);
    impl->info.rotation = rotationOf(impl->stream);
    const bool turned = impl->info.rotation % 180 != 0;
    impl->info.width = turned ? p->height : p->width;
    impl->info.height = turned ? p->width : p->height;
    // The tag that telephones write for slow motion; the only one that states the rate of capture.
    if (const auto* tag = av_dict_get(raw->metadata, "com.android.capture.fps", nullptr, 0)) {
        const double rate = std::atof(tag->value);
        if (rate > 0.0 && rate < 100000.0)
            impl->info.captureRate = Hertz(rate);
    }
    if (auto e = impl->buildIndex())
        return *e;
    return std::unique_ptr<Film>(new Film(std::move(impl)));
}

Result<Picture> Film::frame(FrameIndex index) {
    if (index.value < 0 || index.value >= m_impl->info.frames)
        return Error{"there is no frame " + std::to_string(index.value) + ": the film has frames 0 to " +
                         std::to_string(m_impl->info.frames - 1),
                     m_impl->path.filename().string(),
                     {},
                     {}};
    if (auto e = m_impl->fetch(index.value))
        return *e;
    return m_impl->convert(*m_impl->cached.at(index.value)->second);
}

} // namespace riflesso
