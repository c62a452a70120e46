#include "footage/frame_memory.h"

extern "C" {
#include <libavutil/imgutils.h>
#include <libavutil/pixdesc.h>
}

#include <sys/mman.h>

#include <algorithm>
#include <vector>

namespace riflesso {
namespace {

constexpr std::size_t kPage = 2u << 20;      // a large page of this kind of computer
constexpr std::size_t kAtOnce = 16u << 20;   // asked of the system, or one plane where that is more
constexpr std::size_t kSmall = 256u << 10;   // a plane for which the usual way is as good
constexpr std::size_t kAlign = 64;           // of planes: the widest registers
constexpr std::size_t kBeyond = 16 + kAlign; // decoders may read so far past the end

std::size_t upTo(std::size_t n, std::size_t unit) {
    return (n + unit - 1) / unit * unit;
}

// Blocks cut into planes of one size. Given back when the last of them has come home.
class Blocks {
public:
    Blocks() = default;
    ~Blocks() {
        for (const auto& [at, length] : m_mapped)
            munmap(at, length);
    }
    Blocks(const Blocks&) = delete;
    Blocks& operator=(const Blocks&) = delete;

    std::uint8_t* cut(std::size_t bytes) {
        const std::size_t step = upTo(bytes, kAlign);
        if (m_left < step) {
            const std::size_t block = upTo(std::max(step, kAtOnce), kPage), length = block + kPage;
            void* const at = mmap(nullptr, length, PROT_READ | PROT_WRITE, MAP_PRIVATE | MAP_ANONYMOUS, -1, 0);
            if (at == MAP_FAILED)
                return nullptr;
            m_mapped.emplace_back(at, length);
            m_next = reinterpret_cast<std::uint8_t*>(upTo(reinterpret_cast<std::uintptr_t>(at), kPage));
            m_left = block;
            madvise(m_next, block, MADV_HUGEPAGE); // where there are none, small ones do as well
        }
        std::uint8_t* const out = m_next;
        m_next += step;
        m_left -= step;
        return out;
    }

private:
    std::vector<std::pair<void*, std::size_t>> m_mapped;
    std::uint8_t* m_next = nullptr;
    std::size_t m_left = 0;
};

// The pool asks while it is locked.
AVBufferRef* fresh(void* blocks, std::size_t bytes) {
    std::uint8_t* const at = static_cast<Blocks*>(blocks)->cut(bytes);
    return at ? av_buffer_create(
                    at, bytes, [](void*, std::uint8_t*) {}, nullptr, 0)
              : nullptr;
}

void giveBack(void* blocks) {
    delete static_cast<Blocks*>(blocks);
}

} // namespace

FrameMemory::~FrameMemory() {
    for (auto& p : m_planes)
        av_buffer_pool_uninit(&p.pool);
}

AVBufferRef* FrameMemory::plane(std::size_t which, std::size_t bytes) {
    const std::lock_guard lock(m_mutex);
    Plane& p = m_planes[which];
    if (p.bytes != bytes) {
        av_buffer_pool_uninit(&p.pool);
        auto blocks = std::make_unique<Blocks>();
        p.pool = av_buffer_pool_init2(bytes, blocks.get(), fresh, giveBack);
        if (p.pool)
            blocks.release();
        p.bytes = p.pool ? bytes : 0;
    }
    return p.pool ? av_buffer_pool_get(p.pool) : nullptr;
}

// As avcodec_default_get_buffer2 does it, but for where the planes lie.
int FrameMemory::give(AVCodecContext* decoder, AVFrame* frame, int flags) {
    const AVPixFmtDescriptor* const format = av_pix_fmt_desc_get(static_cast<AVPixelFormat>(frame->format));
    constexpr auto kOther = AV_PIX_FMT_FLAG_PAL | AV_PIX_FMT_FLAG_HWACCEL | AV_PIX_FMT_FLAG_BITSTREAM;
    if (!(decoder->codec->capabilities & AV_CODEC_CAP_DR1) || !format || format->flags & kOther)
        return avcodec_default_get_buffer2(decoder, frame, flags);
    int width = frame->width, height = frame->height, align[AV_NUM_DATA_POINTERS] = {}, stride[4] = {};
    avcodec_align_dimensions2(decoder, &width, &height, align);
    for (bool even = false; !even;) {
        if (const int r = av_image_fill_linesizes(stride, static_cast<AVPixelFormat>(frame->format), width); r < 0)
            return r;
        even = true;
        for (int i = 0; i < 4; ++i)
            even = even && (stride[i] == 0 || stride[i] % align[i] == 0);
        width += width & ~(width - 1);
    }
    const std::ptrdiff_t strides[4] = {stride[0], stride[1], stride[2], stride[3]};
    std::size_t bytes[4] = {};
    if (const int r = av_image_fill_plane_sizes(bytes, static_cast<AVPixelFormat>(frame->format), height, strides);
        r < 0)
        return r;
    if (bytes[0] < kSmall)
        return avcodec_default_get_buffer2(decoder, frame, flags);
    auto& self = *static_cast<FrameMemory*>(decoder->opaque);
    for (std::size_t i = 0; i < 4 && bytes[i] > 0; ++i) {
        frame->buf[i] = self.plane(i, bytes[i] + kBeyond);
        if (!frame->buf[i]) {
            av_frame_unref(frame);
            return AVERROR(ENOMEM);
        }
        frame->data[i] = frame->buf[i]->data;
        frame->linesize[i] = stride[i];
    }
    frame->extended_data = frame->data;
    return 0;
}

void FrameMemory::serve(AVCodecContext& decoder) {
    decoder.opaque = this;
    decoder.get_buffer2 = give;
#pragma GCC diagnostic push
#pragma GCC diagnostic ignored "-Wdeprecated-declarations" // without a word FFmpeg 5 asks one thread at a time
    decoder.thread_safe_callbacks = 1;
#pragma GCC diagnostic pop
}

} // namespace riflesso
