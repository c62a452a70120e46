#include "footage/decoded_frame_impl.h"

#include <libyuv/convert_argb.h>
#include <libyuv/scale.h>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

Picture turned(Picture in, int degrees, bool mirrored) {
    if (degrees == 0 && !mirrored)
        return in;
    const bool swap = degrees % 180 != 0;
    auto out = Picture::unset(swap ? in.height : in.width, swap ? in.width : in.height);
    for (int y = 0; y < in.height; ++y)
        for (int x = 0; x < in.width; ++x) {
            int ox = x, oy = y;
            if (degrees == 90) {
                ox = in.height - 1 - y;
                oy = x;
            } else if (degrees == 180) {
                ox = in.width - 1 - x;
                oy = in.height - 1 - y;
            } else if (degrees == 270) {
                ox = y;
                oy = in.width - 1 - x;
            }
            if (mirrored)
                ox = out.width - 1 - ox;
            out.pixels[static_cast<std::size_t>(oy) * static_cast<std::size_t>(out.width) +
                       static_cast<std::size_t>(ox)] = in.at(x, y);
        }
    return out;
}

void adjust(Picture& p, double brightness, double contrast) {
    std::uint32_t table[256];
    for (int i = 0; i < 256; ++i) {
        const double v = (i / 255.0 - 0.5) * contrast + 0.5 + brightness;
        table[i] = static_cast<std::uint32_t>(std::lround(std::clamp(v, 0.0, 1.0) * 255.0));
    }
    for (auto& c : p.pixels)
        c = 0xff000000u | table[c >> 16 & 0xff] << 16 | table[c >> 8 & 0xff] << 8 | table[c & 0xff];
}

// The planes of one field, or of the whole picture.
struct Lines {
    const std::uint8_t* data[4] = {};
    int stride[4] = {};
    int height = 0;
};

Lines linesOf(const DecodedFrame::Impl& f) {
    Lines l;
    const bool field = f.field != Field::both;
    for (int i = 0; i < 4; ++i) {
        l.data[i] = f.frame->data[i];
        l.stride[i] = f.frame->linesize[i];
        const bool plane = i == 0 || (f.frame->data[i] && f.frame->linesize[i] != 0);
        if (field && plane && l.data[i]) {
            if (f.field == Field::bottom)
                l.data[i] += l.stride[i];
            l.stride[i] *= 2;
        }
    }
    l.height = field ? f.frame->height / 2 : f.frame->height;
    return l;
}

SwsContext* scaler(int w, int h, AVPixelFormat from, int ow, int oh, AVPixelFormat to, int flags) {
    thread_local av::Scaler kept;
    kept.reset(sws_getCachedContext(kept.release(), w, h, from, ow, oh, to, flags, nullptr, nullptr, nullptr));
    return kept.get();
}

bool isHd(const AVFrame& f) {
    return f.colorspace == AVCOL_SPC_BT709 || (f.colorspace == AVCOL_SPC_UNSPECIFIED && f.height >= 720);
}

// The pixels of a picture as large as the film, or the nearest ones of a smaller: then only the lines that it shows are
// turned into pixels, and picked from. False where brightness and colours do not lie as most films have them, in three
// planes of 8 bits.
bool nearestPixels(const AVFrame& f, const Lines& lines, Picture& out) {
    const bool all = f.color_range == AVCOL_RANGE_JPEG || f.format == AV_PIX_FMT_YUVJ420P;
    if ((f.format != AV_PIX_FMT_YUV420P && f.format != AV_PIX_FMT_YUVJ420P) || lines.height < 1)
        return false;
    const auto& matrix = isHd(f) ? (all ? libyuv::kYuvF709Constants : libyuv::kYuvH709Constants)
                                 : (all ? libyuv::kYuvJPEGConstants : libyuv::kYuvI601Constants);
    const auto convert = [&](std::ptrdiff_t row, int rows, std::uint32_t* to) {
        libyuv::I420ToARGBMatrix(lines.data[0] + row * lines.stride[0], lines.stride[0],
                                 lines.data[1] + row / 2 * lines.stride[1], lines.stride[1],
                                 lines.data[2] + row / 2 * lines.stride[2], lines.stride[2],
                                 reinterpret_cast<std::uint8_t*>(to), 4 * f.width, &matrix, f.width, rows);
    };
    if (out.width == f.width && out.height == lines.height) {
        convert(0, out.height, out.pixels.data());
        return true;
    }
    std::vector<std::uint32_t> line(static_cast<std::size_t>(f.width));
    std::vector<int> from(static_cast<std::size_t>(out.width));
    for (int x = 0; x < out.width; ++x)
        from[static_cast<std::size_t>(x)] = static_cast<int>((2LL * x + 1) * f.width / (2LL * out.width));
    for (int y = 0; y < out.height; ++y) {
        convert(static_cast<std::ptrdiff_t>((2LL * y + 1) * lines.height / (2LL * out.height)), 1, line.data());
        std::uint32_t* const target =
            out.pixels.data() + static_cast<std::size_t>(y) * static_cast<std::size_t>(out.width);
        for (std::size_t x = 0; x < from.size(); ++x)
            target[x] = line[static_cast<std::size_t>(from[x])];
    }
    return true;
}

// Square pixels: the width is stretched, as players do.
int wide(const DecodedFrame::Impl& f) {
    return std::max(1, static_cast<int>(std::lround(f.frame->width * f.pixelAspect)));
}

// Of the picture as it was decoded, across and down, before it is turned.
std::pair<int, int> wholeOf(const DecodedFrame::Impl& f) {
    if (f.wholeWidth > 0)
        return {std::max(1, static_cast<int>(std::lround(f.wholeWidth * f.pixelAspect))), f.wholeHeight};
    return {wide(f), f.frame->height};
}

} // namespace

DecodedFrame::DecodedFrame(std::unique_ptr<Impl> impl) : m_impl(std::move(impl)) {}
DecodedFrame::~DecodedFrame() = default;

std::size_t DecodedFrame::bytes() const {
    std::size_t n = 0;
    for (const auto* buffer : m_impl->frame->buf)
        if (buffer)
            n += buffer->size;
    return m_impl->field == Field::both ? n : n / 2; // both fields share one picture
}

int DecodedFrame::width() const {
    const auto [across, down] = wholeOf(*m_impl);
    return m_impl->rotation % 180 == 0 ? across : down;
}

int DecodedFrame::height() const {
    const auto [across, down] = wholeOf(*m_impl);
    return m_impl->rotation % 180 == 0 ? down : across;
}

bool DecodedFrame::isHalved() const {
    return m_impl->wholeWidth > 0;
}

std::shared_ptr<const DecodedFrame> DecodedFrame::halved() const {
    const AVFrame& f = *m_impl->frame;
    if (m_impl->field != Field::both || isHalved() || f.width < 4 || f.height < 4)
        return nullptr;
    auto half = std::make_unique<Impl>();
    half->rotation = m_impl->rotation;
    half->pixelAspect = m_impl->pixelAspect;
    half->wholeWidth = f.width;
    half->wholeHeight = f.height;
    half->frame.reset(av_frame_alloc());
    if (!half->frame)
        return nullptr;
    AVFrame& h = *half->frame;
    h.format = f.format;
    h.width = f.width / 2;
    h.height = f.height / 2;
    if (av_frame_get_buffer(&h, 0) < 0 || av_frame_copy_props(&h, &f) < 0)
        return nullptr;
    if (h.colorspace == AVCOL_SPC_UNSPECIFIED) // which is guessed by the size, of the whole
        h.colorspace = isHd(f) ? AVCOL_SPC_BT709 : AVCOL_SPC_SMPTE170M;
    if (f.format == AV_PIX_FMT_YUV420P || f.format == AV_PIX_FMT_YUVJ420P) {
        libyuv::I420Scale(f.data[0], f.linesize[0], f.data[1], f.linesize[1], f.data[2], f.linesize[2], f.width,
                          f.height, h.data[0], h.linesize[0], h.data[1], h.linesize[1], h.data[2], h.linesize[2],
                          h.width, h.height, libyuv::kFilterBox);
    } else {
        const auto format = static_cast<AVPixelFormat>(f.format);
        SwsContext* sws = scaler(f.width, f.height, format, h.width, h.height, format, SWS_FAST_BILINEAR);
        if (!sws)
            return nullptr;
        sws_scale(sws, f.data, f.linesize, 0, f.height, h.data, h.linesize);
    }
    return std::make_shared<const DecodedFrame>(std::move(half));
}

bool DecodedFrame::damaged() const {
    return m_impl->frame->decode_error_flags != 0 || (m_impl->frame->flags & AV_FRAME_FLAG_CORRUPT) != 0;
}

Result<Picture> DecodedFrame::toPicture(const ShowOptions& options) const {
    const AVFrame& f = *m_impl->frame;
    const Lines lines = linesOf(*m_impl);
    int w = wide(*m_impl);
    int h = f.height;
    if (const int longest = std::max(w, h); options.longestSide > 0 && longest > options.longestSide) {
        w = std::max(1, static_cast<int>(std::lround(static_cast<double>(w) * options.longestSide / longest)));
        h = std::max(1, static_cast<int>(std::lround(static_cast<double>(h) * options.longestSide / longest)));
    }
    const bool scaled = w != f.width || h != lines.height;
    const auto format = static_cast<AVPixelFormat>(f.format);
    auto p = Picture::unset(w, h);
    if (!((options.rough || !scaled) && nearestPixels(f, lines, p))) {
        SwsContext* sws = lines.height > 0 ? scaler(f.width, lines.height, format, w, h, AV_PIX_FMT_BGRA,
                                                    scaled ? SWS_FAST_BILINEAR : SWS_POINT)
                                           : nullptr;
        if (!sws)
            return Error{"its pixel format cannot be shown", {}, {}, {}};
        const int* table = sws_getCoefficients(isHd(f) ? SWS_CS_ITU709 : SWS_CS_ITU601);
        sws_setColorspaceDetails(sws, table, f.color_range == AVCOL_RANGE_JPEG, sws_getCoefficients(SWS_CS_DEFAULT), 1,
                                 0, 1 << 16, 1 << 16);
        auto* data = reinterpret_cast<std::uint8_t*>(p.pixels.data());
        std::uint8_t* planes[4] = {data, nullptr, nullptr, nullptr};
        const int strides[4] = {w * 4, 0, 0, 0};
        sws_scale(sws, lines.data, lines.stride, 0, lines.height, planes, strides);
    }
    if (options.brightness != 0.0 || options.contrast != 1.0)
        adjust(p, options.brightness, options.contrast);
    return turned(std::move(p), m_impl->rotation, options.mirrored);
}

std::vector<std::uint8_t> DecodedFrame::toGrey(int width, int height) const {
    const bool swap = m_impl->rotation % 180 != 0;
    const int w = swap ? height : width, h = swap ? width : height;
    const Lines lines = linesOf(*m_impl);
    std::vector<std::uint8_t> flat;
    flat.reserve(static_cast<std::size_t>(w) * static_cast<std::size_t>(h) + 64); // as Picture::unset
    flat.resize(static_cast<std::size_t>(w) * static_cast<std::size_t>(h));
    SwsContext* sws = scaler(m_impl->frame->width, lines.height, static_cast<AVPixelFormat>(m_impl->frame->format), w,
                             h, AV_PIX_FMT_GRAY8, SWS_FAST_BILINEAR);
    if (!sws)
        return flat;
    std::uint8_t* planes[4] = {flat.data(), nullptr, nullptr, nullptr};
    const int strides[4] = {w, 0, 0, 0};
    sws_scale(sws, lines.data, lines.stride, 0, lines.height, planes, strides);
    if (m_impl->rotation == 0)
        return flat;
    std::vector<std::uint8_t> out(flat.size());
    for (int y = 0; y < h; ++y)
        for (int x = 0; x < w; ++x) {
            int ox = w - 1 - x, oy = h - 1 - y;
            if (m_impl->rotation == 90) {
                ox = h - 1 - y;
                oy = x;
            } else if (m_impl->rotation == 270) {
                ox = y;
                oy = w - 1 - x;
            }
            out[static_cast<std::size_t>(oy) * static_cast<std::size_t>(width) + static_cast<std::size_t>(ox)] =
                flat[static_cast<std::size_t>(y) * static_cast<std::size_t>(w) + static_cast<std::size_t>(x)];
        }
    return out;
}

} // namespace riflesso
