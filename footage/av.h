#pragma once
/// \file
/// Owners of FFmpeg's objects. Private to this room.

extern "C" {
#include <libavcodec/avcodec.h>
#include <libavformat/avformat.h>
#include <libswscale/swscale.h>
}

#include <cstdint>
#include <filesystem>
#include <memory>
#include <string>

namespace riflesso::av {

struct Free {
    void operator()(AVFormatContext* c) const { avformat_close_input(&c); }
    void operator()(AVCodecContext* c) const { avcodec_free_context(&c); }
    void operator()(AVFrame* f) const { av_frame_free(&f); }
    void operator()(AVPacket* p) const { av_packet_free(&p); }
    void operator()(SwsContext* s) const { sws_freeContext(s); }
};
using Format = std::unique_ptr<AVFormatContext, Free>;
using Codec = std::unique_ptr<AVCodecContext, Free>;
using Frame = std::unique_ptr<AVFrame, Free>;
using Packet = std::unique_ptr<AVPacket, Free>;
using Scaler = std::unique_ptr<SwsContext, Free>;

inline std::string text(int code) {
    char buffer[AV_ERROR_MAX_STRING_SIZE] = {};
    av_strerror(code, buffer, sizeof buffer);
    return buffer;
}

/// Opens a file of this computer and nothing else. FFmpeg would take "http:x.mp4" for an address, and a playlist in a
/// file for a list of things to fetch: only the protocol "file" and kinds of files that hold their pictures themselves
/// are allowed. Returns FFmpeg's code; \p context as avformat_open_input().
inline int openFile(AVFormatContext** context, const std::filesystem::path& file) {
    AVDictionary* options = nullptr;
    av_dict_set(&options, "protocol_whitelist", "file", 0);
    av_dict_set(
        &options, "format_whitelist",
        "mov,matroska,avi,mpegts,mpeg,mpegvideo,h264,hevc,m4v,obu,av1,ivf,ogg,flv,asf,mxf,nut,dv,gif,apng,mjpeg,"
        "yuv4mpegpipe,wav,mp3,aac,flac,png_pipe,jpeg_pipe,bmp_pipe,tiff_pipe,webp_pipe,pgm_pipe,ppm_pipe,image2",
        0);
    const int code = avformat_open_input(context, ("file:" + file.string()).c_str(), nullptr, &options);
    av_dict_free(&options);
    return code;
}

/// A decoder for a stream, or null. \p threads pictures are worked on at once.
inline Codec decoderFor(const AVStream& stream, int threads) {
    const AVCodec* decoder = avcodec_find_decoder(stream.codecpar->codec_id);
    if (!decoder)
        return nullptr;
    Codec c(avcodec_alloc_context3(decoder));
    if (!c || avcodec_parameters_to_context(c.get(), stream.codecpar) < 0)
        return nullptr;
    c->pkt_timebase = stream.time_base;
    c->thread_count = threads;
    // Frames just after a key frame that is no full restart are good pictures too: ask for them.
    c->flags |= AV_CODEC_FLAG_OUTPUT_CORRUPT;
    c->flags2 |= AV_CODEC_FLAG2_SHOW_ALL;
    return c;
}

/// Width of a pixel / its height where a rational states it believably, else 0.
inline double believable(AVRational aspect) {
    const double a = aspect.num > 0 && aspect.den > 0 ? av_q2d(aspect) : 0.0;
    return a > 0.1 && a < 10.0 ? a : 0.0; // beyond: a damaged tag
}

/// What the container says of the shape of pixels; 0 when it says nothing.
inline double statedAspect(const AVStream& stream) {
    const double a = believable(stream.sample_aspect_ratio);
    return a > 0.0 ? a : believable(stream.codecpar->sample_aspect_ratio);
}

} // namespace riflesso::av
