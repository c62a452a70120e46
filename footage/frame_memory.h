#pragma once
/// \file
/// Where decoders put their pictures. Private to this room.

#include "footage/av.h"

#include <array>
#include <mutex>

namespace riflesso {

/// Memory for the pictures of one film's decoders, in large pages. Filling a cache of 400 MB page by page of 4 KB costs
/// a third of the decoding time on a virtual machine. Pictures go back here and are used again; they may outlive the
/// decoders and this object. Thread-safe.
class FrameMemory {
public:
    FrameMemory() = default;
    ~FrameMemory();
    FrameMemory(const FrameMemory&) = delete;
    FrameMemory& operator=(const FrameMemory&) = delete;

    /// The pictures of a decoder that is not open yet will lie here; this object must outlive it.
    void serve(AVCodecContext& decoder);

private:
    struct Plane {
        std::size_t bytes = 0;
        AVBufferPool* pool = nullptr;
    };
    static int give(AVCodecContext* decoder, AVFrame* frame, int flags);
    AVBufferRef* plane(std::size_t which, std::size_t bytes);

    std::mutex m_mutex;
    std::array<Plane, 4> m_planes; // one size of picture at a time; another makes new ones
};

} // namespace riflesso
