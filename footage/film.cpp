#include "footage/film.h"

#include "core/words/say.h"
#include "footage/decoded_frame_impl.h"
#include "footage/film_index.h"
#include "footage/frame_memory.h"
#include "footage/packet_source.h"
#include "footage/stream_facts.h"

extern "C" {
#include <libavutil/imgutils.h>
}

#include <algorithm>
#include <cmath>
#include <cstdlib>
#include <limits>

namespace riflesso {
namespace {

// Leaves the plane of lightness by itself, where there is one of 8 bits.
void dropColours(AVFrame& f) {
    switch (f.format) {
    case AV_PIX_FMT_YUVJ420P:
    case AV_PIX_FMT_YUVJ422P:
    case AV_PIX_FMT_YUVJ444P:
        f.color_range = AVCOL_RANGE_JPEG;
        [[fallthrough]];
    case AV_PIX_FMT_YUV420P:
    case AV_PIX_FMT_YUV422P:
    case AV_PIX_FMT_YUV444P:
    case AV_PIX_FMT_NV12:
        f.format = AV_PIX_FMT_GRAY8;
        for (int plane = 1; plane < 3; ++plane) {
            av_buffer_unref(&f.buf[plane]); // null where all planes share one
            f.data[plane] = nullptr;
            f.linesize[plane] = 0;
        }
        break;
    default:
        break;
    }
}

constexpr int kThreads = 2;
constexpr std::size_t kParkedBytes = 80u << 20; // that decoders left standing for the next jump may hold
constexpr std::size_t kParked = 3;              // of them at most
constexpr int kNowhere = -2;
constexpr int kWorthParking = 8; // frames of the group on either side of where a decoder stands

} // namespace

struct Film::Impl {
    // A decoder and how far it has come.
    struct Place {
        av::Codec codec;
        bool running = false;   // packets have gone in since the last restart
        bool drained = false;   // the end has gone in
        int lastSent = -1;      // number of the last packet that went in
        int lastOut = -1;       // last coded frame that came out
        int passedOver = -1;    // last of the frames not wanted whose packets may have been left out
        int validFrom = 0;      // pictures before the key frame of the last restart lack what they refer to
        unsigned long used = 0; // when it last served, by the count of jumps

        // Whether going on from here leads to coded frame `from`. Once the end has gone in, what is still inside comes
        // out.
        [[nodiscard]] bool onTheWay(int from, const FilmIndex& index) const {
            return running && lastSent >= (drained ? index.lastPacketOf(from) : index.keyPacketFor(from)) &&
                   lastOut >= 0 && lastOut < from && passedOver < from;
        }
    };

    std::filesystem::path path;
    Options options;
    std::unique_ptr<PacketSource> source;
    FilmIndex index;
    FilmInfo info;
    std::vector<double> times; // of shown frames: twice as many as coded ones when interlaced
    std::shared_ptr<FrameCache> cache;
    int cacheId = 0;
    std::size_t frameBytes = 0;

    FrameMemory memory; // of all decoders below
    Place here;         // of the decoder in use
    // For single frames far away, on one thread (a second costs a fifth more for little). They stay where they stood,
    // so that the next jump into the same group may go on from there.
    std::vector<Place> parked;
    unsigned long jumps = 0;
    long packetsIn = 0;      // of all decoders together
    int sourceAt = kNowhere; // number of the packet that the source gave last
    int lastAsked = -1000;   // shown frame

    ~Impl() {
        if (cache)
            cache->leave(cacheId);
    }

    [[nodiscard]] int perCoded() const { return index.interlaced ? 2 : 1; }
    [[nodiscard]] bool cancelled() const { return options.progress && !options.progress(1.0); }

    // The film's decoder, ready to take packets; null when there is none or it does not start: `why`.
    av::Codec openedDecoder(int threads, std::string* why = nullptr) {
        av::Codec c = av::decoderFor(source->stream(), threads);
        if (!c) {
            if (why)
                *why = "its codec is not known to this computer's FFmpeg";
            return nullptr;
        }
        // The table knows better than the first packets how far pictures are reordered; a decoder that learns it on
        // the way throws pictures away.
        memory.serve(*c);
        c->has_b_frames = std::max(c->has_b_frames, std::min(16, index.reorder));
        if (const int r = avcodec_open2(c.get(), c->codec, nullptr); r < 0) {
            if (why)
                *why = "its decoder does not start (" + av::text(r) + ")";
            return nullptr;
        }
        return c;
    }

    std::optional<Error> openDecoder() {
        std::string why;
        here.codec = openedDecoder(kThreads, &why);
        if (!here.codec)
            return Error{why, path.filename().string(), "nothing was changed", {}};
        return std::nullopt;
    }

    // A place from which a jump to `from` may begin: one that stands before it in its group, a new one, or the one that
    // has been idle longest.
    Place* placeFor(int from) {
        Place* best = nullptr;
        for (auto& p : parked)
            if (p.onTheWay(from, index) && (!best || p.lastOut > best->lastOut))
                best = &p;
        if (best)
            return best;
        // What the codec refers to, what waits for its turn and what is being worked on.
        const std::size_t each = frameBytes * static_cast<std::size_t>(perCoded() * (index.reorder + 5));
        const std::size_t most = std::clamp<std::size_t>(kParkedBytes / std::max<std::size_t>(1, each), 1, kParked);
        if (parked.size() < most) {
            Place p;
            p.codec = openedDecoder(1);
            if (p.codec)
                return &parked.emplace_back(std::move(p));
        }
        const auto last = [](const Place& p) { return p.running && !p.drained ? p.used : 0; };
        const auto idle = std::min_element(parked.begin(), parked.end(),
                                           [&](const Place& a, const Place& b) { return last(a) < last(b); });
        return idle == parked.end() ? nullptr : &*idle;
    }

    // While it lives another decoder stands in for the usual one.
    struct Borrowed {
        Impl& m;
        Place* other;
        Borrowed(Impl& impl, Place* place) : m(impl), other(place) {
            if (other) {
                std::swap(m.here, *other);
                m.here.used = ++m.jumps;
            }
        }
        ~Borrowed() {
            if (other)
                std::swap(m.here, *other);
        }
        Borrowed(const Borrowed&) = delete;
        Borrowed& operator=(const Borrowed&) = delete;
    };

    void describe() {
        const AVStream& stream = source->stream();
        info.codec = avcodec_get_name(stream.codecpar->codec_id);
        info.rotation = rotationOf(stream);
        info.pixelAspect = pixelAspectOf(stream, index.pixelAspect);
        const int w = std::max(1, static_cast<int>(std::lround(stream.codecpar->width * info.pixelAspect)));
        const int h = stream.codecpar->height;
        const bool turned = info.rotation % 180 != 0;
        info.width = turned ? h : w;
        info.height = turned ? w : h;
        info.interlaced = index.interlaced != 0;
        info.sound = source->sound();
        info.timesInvented = source->images();
        info.captureRate = captureTag(source->format().metadata, info.captureTag);
        if (!info.captureRate)
            info.captureRate = captureTag(stream.metadata, info.captureTag);
        for (std::size_t i = 0; i < index.times.size(); ++i) {
            times.push_back(index.times[i]);
            if (info.interlaced) {
                const double step = i + 1 < index.times.size() ? index.times[i + 1] - index.times[i]
                                    : i > 0                    ? index.times[i] - index.times[i - 1]
                                                               : 0.04;
                times.push_back(index.times[i] + step / 2.0);
            }
        }
        info.frames = static_cast<int>(times.size());
        info.keyFrames = static_cast<int>(std::count_if(index.packets.begin(), index.packets.end(),
                                                        [](const auto& p) { return p.key && p.frame >= 0; }));
        if (const auto base = Timebase::make(times, std::nullopt))
            info.fileRate = base->fileRate();
        double shortest = 1e300, longest = 0.0;
        for (std::size_t i = 1; i < times.size(); ++i) {
            shortest = std::min(shortest, times[i] - times[i - 1]);
            longest = std::max(longest, times[i] - times[i - 1]);
        }
        // Time bases of 1/600 and the like round each step by up to one tick; that is no variable rate.
        const double tick = av_q2d(stream.time_base);
        info.variableRate = times.size() > 2 && longest - shortest > 2.5 * tick && longest > 1.05 * shortest;
        const double lastStep = index.lastStep > 0.0        ? index.lastStep / perCoded()
                                : info.fileRate.value > 0.0 ? 1.0 / info.fileRate.value
                                                            : 0.0;
        info.duration = times.back() + lastStep;
        info.framesLost = index.lost;
        info.timesMended = index.mended;
        frameBytes = static_cast<std::size_t>(stream.codecpar->width) * static_cast<std::size_t>(h) * 3 / 2 /
                     static_cast<std::size_t>(perCoded());
    }

    bool restart(int keyPacket) {
        avcodec_flush_buffers(here.codec.get());
        here.running = true;
        here.drained = false;
        here.lastOut = here.passedOver = -1;
        here.lastSent = keyPacket - 1;
        const int shown = index.packets[static_cast<std::size_t>(keyPacket)].frame;
        here.validFrom = keyPacket == 0 ? 0 : std::max(0, shown);
        return goTo(keyPacket);
    }

    bool goTo(int number) {
        const bool there = source->seek(number);
        sourceAt = there ? number - 1 : kNowhere;
        return there;
    }

    // What goes into the decoder, by coded frames. Packets of frames outside that no other refers to are passed over.
    struct Wanted {
        int from = -1;
        int to = std::numeric_limits<int>::max();
        // No packet goes in after this one: the decoder is emptied instead, which saves the packets that it would
        // otherwise hold back, and must be restarted afterwards.
        int lastPacket = std::numeric_limits<int>::max();
    };

    // The next picture out of the decoder and its coded frame; null at the end.
    av::Frame next(const Wanted& w, int& coded) {
        av::Packet packet(av_packet_alloc());
        av::Frame frame(av_frame_alloc());
        if (!here.drained && sourceAt != here.lastSent && !goTo(here.lastSent + 1))
            return nullptr;
        while (true) {
            const int r = avcodec_receive_frame(here.codec.get(), frame.get());
            if (r == 0) {
                auto number = frame->reordered_opaque;
                coded = -1;
                if (number >= 0 && number < static_cast<std::int64_t>(index.packets.size())) {
                    coded = index.packets[static_cast<std::size_t>(number)].frame;
                    // A decoder may name the second field's packet for a pair.
                    if (coded < 0 && number > 0 && index.packets[static_cast<std::size_t>(number)].hidden == 2)
                        coded = index.packets[static_cast<std::size_t>(number) - 1].frame;
                }
                if (coded < here.validFrom || (frame->flags & AV_FRAME_FLAG_DISCARD)) {
                    av_frame_unref(frame.get());
                    continue;
                }
                return frame;
            }
            if (r != AVERROR(EAGAIN) || here.drained || cancelled())
                return nullptr;
            const int number = here.lastSent >= w.lastPacket ? -1 : source->next(packet.get());
            if (number < 0) {
                here.drained = true;
                avcodec_send_packet(here.codec.get(), nullptr);
                continue;
            }
            here.lastSent = sourceAt = number;
            const bool half = index.packets[static_cast<std::size_t>(number)].hidden == 2 && number > 0;
            const int shows = index.packets[static_cast<std::size_t>(half ? number - 1 : number)].frame;
            const bool outside = shows >= 0 && (shows < w.from || shows > w.to);
            here.codec->skip_frame = outside ? AVDISCARD_NONREF : AVDISCARD_DEFAULT;
            if (outside)
                here.passedOver = std::max(here.passedOver, shows);
            here.codec->reordered_opaque = number;
            ++packetsIn;
            avcodec_send_packet(here.codec.get(),
                                packet.get()); // a damaged packet is passed over; its frame will be missed
            av_packet_unref(packet.get());
        }
    }

    void keep(int coded, av::Frame frame) {
        if (options.lightness)
            dropColours(*frame);
        for (int k = 0; k < perCoded(); ++k) {
            auto impl = std::make_unique<DecodedFrame::Impl>();
            impl->frame.reset(k + 1 < perCoded() ? av_frame_clone(frame.get()) : frame.release());
            if (!impl->frame)
                return;
            impl->rotation = info.rotation;
            impl->pixelAspect = info.pixelAspect;
            if (index.interlaced) {
                // Containers disagree on how they state which field came first; the pictures themselves know.
                const AVFrame& f = *impl->frame;
                const bool topFirst = f.interlaced_frame ? f.top_field_first != 0 : index.interlaced == 1;
                impl->field = topFirst == (k == 0) ? Field::top : Field::bottom;
            }
            auto picture = std::make_shared<const DecodedFrame>(std::move(impl));
            frameBytes = std::max<std::size_t>(1, picture->bytes());
            const int shown = coded * perCoded() + k;
            if (halving) {
                auto half = picture->halved();
                halvable = halvable && half; // else read ahead whole from now on
                if (half)
                    cache->keepHalved(cacheId, shown, std::move(half));
                continue;
            }
            if (shown == wanted)
                got = picture; // held here too: the cache may be too small for even one
            cache->keep(cacheId, shown, std::move(picture));
        }
    }
    bool halving = false; // what is decoded is kept in half its size
    bool halvable = true; // until a picture could not be halved
    int wanted = -1;
    DecodedPtr got;

    enum class Then { after, before, elsewhere }; // where what is asked for next will lie
    enum class Ran { gotThere, missed, stopped };
    Ran run(int from, int to, const Wanted& w, const std::function<bool()>& goOn) {
        bool last = false;
        int coded = 0;
        while (av::Frame f = next(w, coded)) {
            here.lastOut = std::max(here.lastOut, coded);
            if (coded >= from && coded <= to)
                keep(coded, std::move(f));
            last = last || coded == to;
            if (coded >= to)
                break;
            if (goOn && !goOn())
                return Ran::stopped;
        }
        return last ? Ran::gotThere : cancelled() ? Ran::stopped : Ran::missed;
    }

    [[nodiscard]] int lastPacketOf(int from, int to) const {
        int last = index.lastPacketOf(to); // frames shown before it may come after it
        for (int f = from; f < to; ++f)
            last = std::max(last, index.lastPacketOf(f));
        return last;
    }

    // Decodes coded frames from..to into the cache. False when frame `to` was not given.
    bool decode(int from, int to, Then then, const std::function<bool()>& goOn) {
        int key = index.keyPacketFor(from);
        Place* const other = then == Then::elsewhere && !here.onTheWay(from, index) ? placeFor(from) : nullptr;
        const Borrowed borrowed(*this, other);
        Wanted w{from};
        if (then == Then::before) {
            w.to = to;
            w.lastPacket = lastPacketOf(from, to);
        } else if (then == Then::elsewhere) {
            // A place is worth keeping where the next jump may both come after it and be far from the key frame.
            const int start = index.keyFrameFor(from), beyond = to + kWorthParking;
            const bool middle =
                from - start >= kWorthParking && beyond < index.frames() && index.keyFrameFor(beyond) == start;
            w.to = to;
            if (!other || !middle)
                w.lastPacket = lastPacketOf(from, to);
        }
        if (here.onTheWay(from, index))
            if (const Ran r = run(from, to, w, goOn); r != Ran::missed)
                return r == Ran::gotThere;
        // When the group does not give the frame, what it refers to may lie in the one before.
        for (int attempt = 0; attempt < 2; ++attempt) {
            if (restart(key))
                if (const Ran r = run(from, to, w, goOn); r != Ran::missed)
                    return r == Ran::gotThere;
            const int shows = index.packets[static_cast<std::size_t>(key)].frame;
            if (key == 0 || shows <= 0)
                break;
            key = index.keyPacketFor(shows - 1);
        }
        here.running = false;
        return false;
    }

    Result<DecodedPtr> get(int shown, bool back) {
        if (shown < 0 || shown >= info.frames)
            return Error{riflesso::fill(say("error", "there is no frame %1: the film has frames 0 to %2"),
                                        {std::to_string(shown), std::to_string(info.frames - 1)}),
                         path.filename().string(),
                         {},
                         {}};
        const int step = shown - std::exchange(lastAsked, shown);
        const int direction = step > 0 ? 1 : step < 0 ? -1 : 0;
        cache->look(cacheId, shown, direction);
        if (auto there = cache->find(cacheId, shown))
            return there;
        const int coded = shown / perCoded();
        int from = coded;
        back = back || (step < 0 && step >= -4);
        if (back) {
            // Walking backwards: the frames before it will be asked for next, so they are kept on the way.
            const auto room = static_cast<int>(cache->share() / std::max<std::size_t>(1, frameBytes)) / perCoded();
            from = std::max(index.keyFrameFor(coded), coded - std::max(0, room - 2));
            // Reading ahead may have come part of the way.
            while (from < coded && cache->contains(cacheId, from * perCoded()))
                ++from;
        }
        wanted = shown;
        got.reset();
        decode(from, coded, back ? Then::before : std::abs(step) > 8 * perCoded() ? Then::elsewhere : Then::after, {});
        wanted = -1;
        if (auto picture = std::move(got))
            return picture;
        return Error{riflesso::fill(say("error", "frame %1 is damaged and cannot be shown"), {std::to_string(shown)}),
                     path.filename().string(),
                     "the other frames stay usable",
                     {}};
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
FrameCache& Film::cache() const {
    return *m_impl->cache;
}
long Film::packetsDecoded() const {
    return m_impl->packetsIn;
}
int Film::cacheId() const {
    return m_impl->cacheId;
}
std::size_t Film::frameBytes() const {
    return m_impl->frameBytes;
}

Result<std::unique_ptr<Film>> Film::open(const std::filesystem::path& path, const Options& options) {
    auto source = PacketSource::open(path, options.progress);
    if (!source)
        return source.error();
    auto impl = std::make_unique<Impl>();
    impl->path = path;
    impl->options = options;
    impl->source = std::move(*source);
    std::string fingerprint;
    std::optional<FilmIndex> kept;
    if (!options.indexFolder.empty() && !impl->source->images()) {
        fingerprint = cheapFingerprint(path);
        kept = readIndex(options.indexFolder, fingerprint);
    }
    if (kept) {
        impl->index = std::move(*kept);
        impl->source->useIndex(impl->index);
    } else {
        auto made = impl->source->makeIndex();
        if (!made)
            return made.error();
        impl->index = std::move(*made);
        if (!fingerprint.empty())
            keepIndex(options.indexFolder, fingerprint, impl->index);
    }
    impl->describe();
    impl->cache = options.cache ? options.cache : std::make_shared<FrameCache>(options.cacheBytes);
    impl->cacheId = impl->cache->join();
    if (auto e = impl->openDecoder())
        return *e;
    return std::unique_ptr<Film>(new Film(std::move(impl)));
}

Result<Picture> Film::firstPicture(const std::filesystem::path& path, const ShowOptions& show) {
    auto source = PacketSource::open(path, {});
    if (!source)
        return source.error();
    const AVStream& stream = (*source)->stream();
    av::Codec codec = av::decoderFor(stream, 1);
    if (!codec || avcodec_open2(codec.get(), codec->codec, nullptr) < 0)
        return Error{"its codec is not known to this computer's FFmpeg", path.filename().string(), {}, {}};
    av::Packet packet(av_packet_alloc());
    auto impl = std::make_unique<DecodedFrame::Impl>();
    impl->frame.reset(av_frame_alloc());
    impl->rotation = rotationOf(stream);
    for (int tries = 0; tries < 200; ++tries) {
        const bool more = (*source)->read(packet.get());
        avcodec_send_packet(codec.get(), more ? packet.get() : nullptr);
        av_packet_unref(packet.get());
        if (avcodec_receive_frame(codec.get(), impl->frame.get()) == 0) {
            impl->pixelAspect = pixelAspectOf(stream, av::believable(impl->frame->sample_aspect_ratio));
            return DecodedFrame(std::move(impl)).toPicture(show);
        }
        if (!more)
            break;
    }
    return Error{"not one frame in it can be decoded", path.filename().string(), "nothing was changed", {}};
}

Result<DecodedPtr> Film::decoded(FrameIndex index, bool backwards) {
    return m_impl->get(index.value, backwards);
}

Result<Picture> Film::frame(FrameIndex index) {
    const auto f = m_impl->get(index.value, false);
    if (!f)
        return f.error();
    auto picture = (*f)->toPicture();
    if (!picture)
        return Error{picture.error().what, m_impl->path.filename().string(), {}, {}};
    return picture;
}

bool Film::fill(FrameIndex from, FrameIndex to, bool backwards, const std::function<bool()>& goOn) {
    auto& m = *m_impl;
    int a = std::clamp(from.value, 0, m.info.frames - 1), b = std::clamp(to.value, 0, m.info.frames - 1);
    while (a <= b && m.cache->contains(m.cacheId, a))
        ++a;
    while (b >= a && m.cache->contains(m.cacheId, b))
        --b;
    if (a > b)
        return true;
    return m.decode(a / m.perCoded(), b / m.perCoded(), backwards ? Impl::Then::before : Impl::Then::after, goOn);
}

bool Film::halves() const {
    return m_impl->halvable && !m_impl->info.interlaced && !m_impl->options.lightness;
}

bool Film::fillHalved(FrameIndex from, FrameIndex to, const std::function<bool()>& goOn) {
    auto& m = *m_impl;
    const int a = std::clamp(from.value, 0, m.info.frames - 1), b = std::clamp(to.value, 0, m.info.frames - 1);
    if (!halves() || a > b)
        return false;
    m.halving = true;
    const bool whole = m.decode(a, b, Impl::Then::before, goOn);
    m.halving = false;
    return whole && m.cache->findHalved(m.cacheId, b);
}

bool Film::quickly(const std::function<bool(int, const DecodedFrame&)>& each) {
    auto& m = *m_impl;
    if (!m.restart(0))
        return false;
    // Only where others are left to see the movement by: a film of key frames alone is all passed over otherwise.
    m.here.codec->skip_loop_filter = AVDISCARD_ALL;
    int coded = 0;
    bool whole = true;
    const int hurry = m.index.reorder > 0 ? m.info.frames : -1;
    while (av::Frame f = m.next({hurry}, coded)) {
        auto own = std::make_unique<DecodedFrame::Impl>();
        own->frame = std::move(f);
        own->rotation = m.info.rotation;
        own->pixelAspect = m.info.pixelAspect;
        if (m.index.interlaced)
            own->field = Field::top;
        if (!each(coded * m.perCoded(), DecodedFrame(std::move(own)))) {
            whole = false;
            break;
        }
    }
    m.here.codec->skip_loop_filter = AVDISCARD_DEFAULT;
    m.here.running = false;
    return whole && !m.cancelled();
}

FrameIndex Film::groupStart(FrameIndex index) const {
    return FrameIndex(m_impl->index.keyFrameFor(index.value / m_impl->perCoded()) * m_impl->perCoded());
}

} // namespace riflesso
