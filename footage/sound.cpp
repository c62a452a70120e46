#include "footage/sound.h"

#include "files/write_file.h"
#include "footage/av.h"

extern "C" {
#include <libavutil/channel_layout.h>
#include <libavutil/opt.h>
#include <libswresample/swresample.h>
}

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {
struct FreeResampler {
    void operator()(SwrContext* s) const { swr_free(&s); }
};
} // namespace

Result<Sound> soundOf(const std::filesystem::path& film, double rate, const std::function<bool(double)>& goOn) {
    av_log_set_level(AV_LOG_QUIET);
    const auto fail = [&](std::string what) {
        return Error{std::move(what), film.filename().string(), "nothing was changed", {}};
    };
    AVFormatContext* raw = nullptr;
    if (av::openFile(&raw, film) < 0)
        return fail("this is not a film that can be read");
    const av::Format format(raw);
    if (avformat_find_stream_info(raw, nullptr) < 0)
        return fail("this is not a film that can be read");
    const int best = av_find_best_stream(raw, AVMEDIA_TYPE_AUDIO, -1, -1, nullptr, 0);
    if (best < 0)
        return fail("the film has no sound");
    AVStream* stream = raw->streams[best];
    const int picture = av_find_best_stream(raw, AVMEDIA_TYPE_VIDEO, -1, -1, nullptr, 0);
    for (unsigned i = 0; i < raw->nb_streams; ++i)
        if (static_cast<int>(i) != best)
            raw->streams[i]->discard = AVDISCARD_ALL;
    const AVCodec* decoder = avcodec_find_decoder(stream->codecpar->codec_id);
    const av::Codec codec(decoder ? avcodec_alloc_context3(decoder) : nullptr);
    if (!codec || avcodec_parameters_to_context(codec.get(), stream->codecpar) < 0 ||
        avcodec_open2(codec.get(), decoder, nullptr) < 0)
        return fail("the codec of its sound is not known to this computer's FFmpeg");
    codec->pkt_timebase = stream->time_base;

    Sound out;
    out.rate = rate;
    std::unique_ptr<SwrContext, FreeResampler> resampler;
    const av::Packet packet(av_packet_alloc());
    const av::Frame frame(av_frame_alloc());
    std::optional<double> start;
    const auto take = [&]() -> bool {
        while (avcodec_receive_frame(codec.get(), frame.get()) == 0) {
            if (!start)
                start = frame->best_effort_timestamp != AV_NOPTS_VALUE
                            ? static_cast<double>(frame->best_effort_timestamp) * av_q2d(stream->time_base)
                            : 0.0;
            if (!resampler) {
                AVChannelLayout mono = AV_CHANNEL_LAYOUT_MONO;
                SwrContext* s = nullptr;
                if (frame->ch_layout.nb_channels <= 0 ||
                    swr_alloc_set_opts2(&s, &mono, AV_SAMPLE_FMT_FLT, static_cast<int>(rate), &frame->ch_layout,
                                        static_cast<AVSampleFormat>(frame->format), frame->sample_rate, 0, nullptr) < 0)
                    return false;
                resampler.reset(s);
                if (swr_init(s) < 0)
                    return false;
            }
            const auto room = swr_get_out_samples(resampler.get(), frame->nb_samples);
            const auto before = out.samples.size();
            out.samples.resize(before + static_cast<std::size_t>(std::max(0, room)));
            auto* to = reinterpret_cast<std::uint8_t*>(out.samples.data() + before);
            const int n = swr_convert(resampler.get(), &to, room,
                                      const_cast<const std::uint8_t**>(frame->extended_data), frame->nb_samples);
            out.samples.resize(before + static_cast<std::size_t>(std::max(0, n)));
            av_frame_unref(frame.get());
        }
        return true;
    };
    const double length = raw->duration > 0 ? static_cast<double>(raw->duration) / AV_TIME_BASE : 0.0;
    while (av_read_frame(raw, packet.get()) >= 0) {
        if (packet->stream_index == best) {
            avcodec_send_packet(codec.get(), packet.get());
            if (!take())
                return fail("its sound cannot be converted");
            const double done = static_cast<double>(out.samples.size()) / rate;
            if (goOn && !goOn(length > 0.0 ? std::min(1.0, done / length) : 0.0))
                return Error{"listening was cancelled",
                             film.filename().string(),
                             "nothing was changed",
                             {},
                             ErrorKind::cancelled};
        }
        av_packet_unref(packet.get());
    }
    avcodec_send_packet(codec.get(), nullptr);
    if (!take() || out.samples.empty())
        return fail("its sound holds nothing");
    // The film's clock begins at its first picture.
    double zero = 0.0;
    if (picture >= 0 && raw->streams[picture]->start_time != AV_NOPTS_VALUE)
        zero = static_cast<double>(raw->streams[picture]->start_time) * av_q2d(raw->streams[picture]->time_base);
    out.start = start.value_or(0.0) - zero;
    return out;
}

Status writeSound(const std::filesystem::path& file, const Sound& sound) {
    std::string bytes;
    const auto put = [&](std::uint32_t v, int n) { // little-endian
        for (int i = 0; i < n; ++i)
            bytes.push_back(static_cast<char>(v >> 8 * i & 0xff));
    };
    const auto rate = static_cast<std::uint32_t>(std::lround(sound.rate));
    const auto size = static_cast<std::uint32_t>(sound.samples.size() * 2);
    bytes = "RIFF";
    put(36 + size, 4);
    bytes += "WAVEfmt ";
    put(16, 4);
    put(1, 2); // plain PCM
    put(1, 2); // channels
    put(rate, 4);
    put(rate * 2, 4);
    put(2, 2);
    put(16, 2);
    bytes += "data";
    put(size, 4);
    for (const float s : sound.samples)
        put(static_cast<std::uint32_t>(std::lround(std::clamp(s, -1.0f, 1.0f) * 32767.0f)) & 0xffffu, 2);
    return writeFile(file, bytes);
}

} // namespace riflesso
