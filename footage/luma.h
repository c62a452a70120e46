#pragma once
/// \file
/// The lightness of a decoded picture for OpenCV. Private to this room.

#include "footage/decoded_frame_impl.h"

#include <opencv2/core.hpp>

namespace riflesso {

/// Without a copy where the decoder's own plane will do: then it lives as long as \p frame. Upright, \p width × \p
/// height.
inline cv::Mat lumaOf(const DecodedFrame& frame, int width, int height) {
    const auto& impl = frame.impl();
    const AVFrame& f = *impl.frame;
    const bool plain = impl.field == Field::both && impl.rotation == 0 && impl.pixelAspect == 1.0 &&
                       (f.format == AV_PIX_FMT_YUV420P || f.format == AV_PIX_FMT_YUVJ420P ||
                        f.format == AV_PIX_FMT_YUV422P || f.format == AV_PIX_FMT_NV12 || f.format == AV_PIX_FMT_GRAY8);
    if (plain)
        return cv::Mat(f.height, f.width, CV_8UC1, f.data[0], static_cast<std::size_t>(f.linesize[0]));
    auto grey = frame.toGrey(width, height);
    return cv::Mat(height, width, CV_8UC1, grey.data()).clone();
}

} // namespace riflesso
