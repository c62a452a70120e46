#pragma once
/// \file
/// What a DecodedFrame holds. Private to this room.

#include "footage/av.h"
#include "footage/decoded_frame.h"

namespace riflesso {

struct DecodedFrame::Impl {
    av::Frame frame;
    Field field = Field::both;
    int rotation = 0;         // degrees clockwise: 0, 90, 180, 270
    double pixelAspect = 1.0; // width of a pixel / its height
    int wholeWidth = 0;       // of the decoder's picture when this one is half of it, else 0
    int wholeHeight = 0;
};

} // namespace riflesso
