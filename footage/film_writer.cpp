#include "footage/film_writer.h"

#include "files/write_file.h"

extern "C" {
#include <libavcodec/avcodec.h>
#include <libavcodec/bsf.h>
#include <libavformat/avformat.h>
#include <libavutil/opt.h>
}

#include <algorithm>
#include <cmath>

namespace riflesso {

struct FilmWriter::Impl {
    std::filesystem::path path, part;
    AVFormatContext* format = nullptr;
    AVCodecContext* codec = nullptr;
    AVStream* stream = nullptr;
    AVFrame* frame = nullptr;
    AVPacket* packet = nullptr;
    AVCodecContext* voice = nullptr;
    AVStream* voiceStream = nullptr;
    std::vector<float> waiting; // sound that does not fill a frame yet
    std::int64_t voiceNext = 0;
    std::int64_t next = 0;
    bool finished = false;

    ~Impl() {
        av_packet_free(&packet);
        av_frame_free(&frame);
        avcodec_free_context(&codec);
        avcodec_free_context(&voice);
        if (format) {
            if (format->pb)
                avio_closep(&format->pb);
            avformat_free_context(format);
        }
        if (!finished) {
            std::error_code ec;
            std::filesystem::remove(part, ec);
        }
    }

    Error failed(const std::string& what) const {
        return {what, path.filename().string(), "no file of this name was written or changed",
                "is the disk full or write-protected?"};
    }

    Status drain() { return drain(codec, stream); }
    Status drain(AVCodecContext* from, AVStream* to) {
        while (true) {
            const int r = avcodec_receive_packet(from, packet);
            if (r == AVERROR(EAGAIN) || r == AVERROR_EOF)
                return Done{};
            if (r < 0)
                return failed("a picture or sound could not be encoded");
            if (packet->duration == 0) // without one the last picture would have no time of its own and be hidden
                packet->duration = 1;
            av_packet_rescale_ts(packet, from->time_base, to->time_base);
            packet->stream_index = to->index;
            if (av_interleaved_write_frame(format, packet) < 0)
                return failed("the film could not be written");
        }
    }
};

namespace {
// A sound encoder and its track. AAC is what telephones write.
bool addVoice(AVFormatContext* format, AVCodecContext*& voice, AVStream*& stream, double rate) {
    const AVCodec* encoder = avcodec_find_encoder(AV_CODEC_ID_AAC);
    if (!encoder)
        return false;
    voice = avcodec_alloc_context3(encoder);
    voice->sample_rate = static_cast<int>(rate);
    voice->sample_fmt = AV_SAMPLE_FMT_FLTP;
    voice->bit_rate = 96000;
    voice->time_base = {1, voice->sample_rate};
    const AVChannelLayout mono = AV_CHANNEL_LAYOUT_MONO;
    av_channel_layout_copy(&voice->ch_layout, &mono);
    if (format->oformat->flags & AVFMT_GLOBALHEADER)
        voice->flags |= AV_CODEC_FLAG_GLOBAL_HEADER;
    if (avcodec_open2(voice, encoder, nullptr) < 0)
        return false;
    stream = avformat_new_stream(format, nullptr);
    stream->time_base = voice->time_base;
    return avcodec_parameters_from_context(stream->codecpar, voice) >= 0;
}

// False when there is no memory. The format owns them.
bool addChapters(AVFormatContext* format, const std::vector<FilmChapter>& chapters) {
    if (chapters.empty())
        return true;
    format->chapters = static_cast<AVChapter**>(av_calloc(chapters.size(), sizeof(AVChapter*)));
    if (!format->chapters)
        return false;
    for (std::size_t i = 0; i < chapters.size(); ++i) {
        auto* c = static_cast<AVChapter*>(av_mallocz(sizeof(AVChapter)));
        if (!c)
            return false;
        c->id = static_cast<std::int64_t>(i + 1);
        c->time_base = {1, 1000};
        c->start = std::llround(chapters[i].begin * 1000.0);
        c->end = std::llround(chapters[i].end * 1000.0);
        av_dict_set(&c->metadata, "title", chapters[i].title.c_str(), 0);
        format->chapters[format->nb_chapters++] = c;
    }
    return true;
}

// Full-range RGB to video-range YUV 4:2:0 by ITU-R BT.709 (parts of 2^15); the chroma of a square of four is that of
// their mean. Several times as quick as the general converter, which writing films waited for.
__attribute__((optimize("O3"))) void lumaRow(const std::uint32_t* __restrict in, std::uint8_t* __restrict out,
                                             int width) {
    for (int x = 0; x < width; ++x) {
        const int r = in[x] >> 16 & 0xff, g = in[x] >> 8 & 0xff, b = in[x] & 0xff;
        out[x] = static_cast<std::uint8_t>((5983 * r + 20127 * g + 2032 * b + (1 << 14)) / (1 << 15) + 16);
    }
}
__attribute__((optimize("O3"))) void chromaRow(const std::uint32_t* __restrict upper,
                                               const std::uint32_t* __restrict lower, std::uint8_t* __restrict cb,
                                               std::uint8_t* __restrict cr, int width) {
    constexpr int kZero = 128 << 17, kHalf = 1 << 16; // of sums of four
    for (int x = 0; x < width / 2; ++x) {
        const std::uint32_t p[4] = {upper[2 * x], upper[2 * x + 1], lower[2 * x], lower[2 * x + 1]};
        int r = 0, g = 0, b = 0;
        for (const std::uint32_t one : p) {
            r += one >> 16 & 0xff;
            g += one >> 8 & 0xff;
            b += one & 0xff;
        }
        cb[x] = static_cast<std::uint8_t>((14392 * b - 3298 * r - 11094 * g + kZero + kHalf) >> 17);
        cr[x] = static_cast<std::uint8_t>((14392 * r - 13073 * g - 1319 * b + kZero + kHalf) >> 17);
    }
}
void toYuv(const Picture& picture, AVFrame& out) {
    const int w = picture.width;
    const auto row = [&](int y) {
        return picture.pixels.data() + static_cast<std::size_t>(y) * static_cast<std::size_t>(w);
    };
    for (int y = 0; y < picture.height; y += 2) {
        lumaRow(row(y), out.data[0] + y * out.linesize[0], w);
        lumaRow(row(y + 1), out.data[0] + (y + 1) * out.linesize[0], w);
        chromaRow(row(y), row(y + 1), out.data[1] + y / 2 * out.linesize[1], out.data[2] + y / 2 * out.linesize[2], w);
    }
}
} // namespace

FilmWriter::FilmWriter(std::unique_ptr<Impl> impl) : m_impl(std::move(impl)) {}
FilmWriter::~FilmWriter() = default;

Result<std::unique_ptr<FilmWriter>> FilmWriter::create(const std::filesystem::path& path, const FilmWriterOptions& o) {
    av_log_set_level(AV_LOG_QUIET);
    auto w = std::make_unique<Impl>();
    w->path = path;
    w->part = halfOf(path);
    std::error_code leftover;
    std::filesystem::remove(w->part, leftover); // of a killed program, or a link that must not be followed
    if (o.width <= 0 || o.height <= 0 || o.width % 2 || o.height % 2 || !(o.rate.value > 0))
        return w->failed("width and height must be even and the rate positive");
    const AVCodec* encoder = avcodec_find_encoder_by_name("libx264");
    if (!encoder)
        return w->failed("this computer's FFmpeg cannot write H.264");
    if (avformat_alloc_output_context2(&w->format, nullptr, "mp4", w->part.c_str()) < 0)
        return w->failed("no MP4 can be made");
    w->codec = avcodec_alloc_context3(encoder);
    w->codec->width = o.width;
    w->codec->height = o.height;
    w->codec->pix_fmt = AV_PIX_FMT_YUV420P;
    w->codec->color_range = AVCOL_RANGE_MPEG;
    w->codec->colorspace = AVCOL_SPC_BT709;
    w->codec->time_base = av_inv_q(av_d2q(o.rate.value, 100000));
    w->codec->framerate = av_d2q(o.rate.value, 100000);
    w->codec->gop_size = o.keyFrameEvery;
    w->codec->max_b_frames = o.bFrames;
    w->codec->thread_count = 2;
    av_opt_set(w->codec->priv_data, "preset", "veryfast", 0);
    av_opt_set(w->codec->priv_data, "crf", std::to_string(o.quality).c_str(), 0);
    if (o.evenBFrames)
        av_opt_set(w->codec->priv_data, "x264-params", "b-adapt=0", 0);
    if (w->format->oformat->flags & AVFMT_GLOBALHEADER)
        w->codec->flags |= AV_CODEC_FLAG_GLOBAL_HEADER;
    if (avcodec_open2(w->codec, encoder, nullptr) < 0)
        return w->failed("the encoder does not start");
    w->stream = avformat_new_stream(w->format, nullptr);
    w->stream->time_base = w->codec->time_base;
    avcodec_parameters_from_context(w->stream->codecpar, w->codec);
    if (o.soundRate > 0.0 && !addVoice(w->format, w->voice, w->voiceStream, o.soundRate))
        return w->failed("no sound can be written");
    if (!addChapters(w->format, o.chapters))
        return w->failed("there is not enough memory");
    AVDictionary* options = nullptr;
    if (o.captureRateTag) {
        av_dict_set(&w->format->metadata, "com.android.capture.fps", std::to_string(o.captureRateTag->value).c_str(),
                    0);
        av_dict_set(&options, "movflags", "use_metadata_tags", 0);
    }
    const bool opened = avio_open(&w->format->pb, ("file:" + w->part.string()).c_str(), AVIO_FLAG_WRITE) >= 0 &&
                        avformat_write_header(w->format, &options) >= 0;
    av_dict_free(&options);
    if (!opened)
        return w->failed("the film could not be written");
    w->frame = av_frame_alloc();
    w->frame->format = w->codec->pix_fmt;
    w->frame->width = o.width;
    w->frame->height = o.height;
    w->packet = av_packet_alloc();
    if (av_frame_get_buffer(w->frame, 0) < 0)
        return w->failed("there is not enough memory");
    return std::unique_ptr<FilmWriter>(new FilmWriter(std::move(w)));
}

Status FilmWriter::add(const Picture& picture, std::optional<int> ticks) {
    auto& w = *m_impl;
    if (picture.width != w.codec->width || picture.height != w.codec->height)
        return w.failed("a picture has another size than the film");
    if (ticks && *ticks < w.next)
        return w.failed("pictures must be added in the order of time");
    if (av_frame_make_writable(w.frame) < 0)
        return w.failed("there is not enough memory");
    toYuv(picture, *w.frame);
    w.frame->pts = ticks ? *ticks : w.next;
    w.next = w.frame->pts + 1;
    if (avcodec_send_frame(w.codec, w.frame) < 0)
        return w.failed("a picture could not be encoded");
    return w.drain();
}

Status FilmWriter::addFilm(const std::filesystem::path& film) {
    auto& w = *m_impl;
    struct Input {
        AVFormatContext* format = nullptr;
        AVBSFContext* plain = nullptr; // packets as the encoder gives them: the muxer turns them into MP4's way again
        ~Input() {
            av_bsf_free(&plain);
            avformat_close_input(&format);
        }
    } in;
    if (avformat_open_input(&in.format, ("file:" + film.string()).c_str(), av_find_input_format("mp4"), nullptr) < 0)
        return w.failed("a piece of the film cannot be read");
    const int track = av_find_best_stream(in.format, AVMEDIA_TYPE_VIDEO, -1, -1, nullptr, 0);
    const AVStream* from = track < 0 ? nullptr : in.format->streams[track];
    if (!from || from->codecpar->width != w.codec->width || from->codecpar->height != w.codec->height)
        return w.failed("a piece of the film has another size than the film");
    const AVBitStreamFilter* filter = av_bsf_get_by_name("h264_mp4toannexb");
    if (!filter || av_bsf_alloc(filter, &in.plain) < 0 ||
        avcodec_parameters_copy(in.plain->par_in, from->codecpar) < 0)
        return w.failed("a piece of the film cannot be read");
    in.plain->time_base_in = from->time_base;
    if (av_bsf_init(in.plain) < 0)
        return w.failed("a piece of the film cannot be read");
    const auto begin = av_rescale_q(w.next, w.codec->time_base, w.stream->time_base);
    int r = 0;
    while ((r = av_read_frame(in.format, w.packet)) >= 0) {
        if (w.packet->stream_index != track) {
            av_packet_unref(w.packet);
            continue;
        }
        // One packet in, one out: this filter holds none back.
        if (av_bsf_send_packet(in.plain, w.packet) < 0 || av_bsf_receive_packet(in.plain, w.packet) < 0)
            return w.failed("a piece of the film cannot be read");
        av_packet_rescale_ts(w.packet, from->time_base, w.stream->time_base);
        w.packet->pts += begin;
        w.packet->dts += begin;
        w.packet->stream_index = w.stream->index;
        w.packet->pos = -1;
        ++w.next;
        if (av_interleaved_write_frame(w.format, w.packet) < 0)
            return w.failed("the film could not be written");
    }
    return r == AVERROR_EOF ? Status(Done{}) : Status(w.failed("a piece of the film cannot be read"));
}

Status FilmWriter::addSound(const std::vector<float>& samples) {
    auto& w = *m_impl;
    if (!w.voice)
        return w.failed("the film was begun without sound");
    w.waiting.insert(w.waiting.end(), samples.begin(), samples.end());
    const auto size = static_cast<std::size_t>(w.voice->frame_size);
    std::size_t used = 0;
    for (; used + size <= w.waiting.size(); used += size) {
        AVFrame* f = av_frame_alloc();
        f->nb_samples = w.voice->frame_size;
        f->format = w.voice->sample_fmt;
        f->sample_rate = w.voice->sample_rate;
        av_channel_layout_copy(&f->ch_layout, &w.voice->ch_layout);
        const bool room = av_frame_get_buffer(f, 0) >= 0;
        if (room)
            std::copy_n(w.waiting.begin() + static_cast<std::ptrdiff_t>(used), size,
                        reinterpret_cast<float*>(f->data[0]));
        f->pts = w.voiceNext;
        w.voiceNext += f->nb_samples;
        const bool sent = room && avcodec_send_frame(w.voice, f) >= 0;
        av_frame_free(&f);
        if (!sent)
            return w.failed("sound could not be encoded");
        if (auto s = w.drain(w.voice, w.voiceStream); !s)
            return s;
    }
    w.waiting.erase(w.waiting.begin(), w.waiting.begin() + static_cast<std::ptrdiff_t>(used));
    return Done{};
}

Status FilmWriter::finish() {
    auto& w = *m_impl;
    if (w.voice) {
        if (!w.waiting.empty()) // the last frame is filled up with silence
            if (auto s = addSound(std::vector<float>(static_cast<std::size_t>(w.voice->frame_size) -
                                                     w.waiting.size() % static_cast<std::size_t>(w.voice->frame_size)));
                !s)
                return s;
        avcodec_send_frame(w.voice, nullptr);
        if (auto s = w.drain(w.voice, w.voiceStream); !s)
            return s;
    }
    avcodec_send_frame(w.codec, nullptr);
    if (auto s = w.drain(); !s)
        return s;
    if (av_write_trailer(w.format) < 0 || avio_closep(&w.format->pb) < 0)
        return w.failed("the film could not be written to its end");
    if (const auto s = finishHalf(w.path); !s)
        return s;
    w.finished = true;
    return Done{};
}

} // namespace riflesso
