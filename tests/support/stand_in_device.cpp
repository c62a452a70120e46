// A Video4Linux device that is not there, for tests: preloaded (LD_PRELOAD), it answers open, ioctl and mmap for paths
// that begin with /dev/video-standin, so that FFmpeg's own v4l2 code runs against it, frame by frame.
//
// 320x240, YUYV, 30 a second. Each picture carries its number as eight squares, black 0, white 1, lowest bit left.
// "-busy" is in use by someone else (as real ones say it: when the format is set), "-forbidden" may not be opened,
// "-unplugged" goes after 12 pictures.

#include <linux/videodev2.h>

#include <dlfcn.h>
#include <fcntl.h>
#include <sys/ioctl.h>
#include <sys/mman.h>
#include <time.h>
#include <unistd.h>

#include <array>
#include <cerrno>
#include <cstdarg>
#include <cstdint>
#include <cstring>
#include <deque>
#include <map>
#include <mutex>
#include <string>

namespace {

constexpr unsigned kWidth = 320, kHeight = 240, kBytes = kWidth * kHeight * 2, kMost = 4;
constexpr long kPeriod = 1'000'000'000L / 30; // ns

struct Device {
    std::string path;
    std::array<std::array<std::uint8_t, kBytes>, kMost> buffers;
    unsigned count = 0;
    std::deque<unsigned> waiting; // handed back by the program, to be filled next
    unsigned number = 0;
    timespec next{};
    [[nodiscard]] bool is(const char* what) const { return path.find(what) != std::string::npos; }
};

std::mutex mutex;
std::map<int, Device> devices;

template <typename F> F real(const char* name) {
    return reinterpret_cast<F>(dlsym(RTLD_NEXT, name));
}

void draw(std::array<std::uint8_t, kBytes>& to, unsigned number) {
    for (unsigned y = 0; y < kHeight; ++y)
        for (unsigned x = 0; x < kWidth; ++x) {
            const bool square = y < 40 && x < 8 * 40;
            const std::uint8_t luma =
                square ? ((number >> (x / 40)) & 1 ? 235 : 16) : static_cast<std::uint8_t>(60 + x / 4);
            to[2 * (y * kWidth + x)] = luma;
            to[2 * (y * kWidth + x) + 1] = 128;
        }
}

int refuse(int why) {
    errno = why;
    return -1;
}

int dequeue(Device& d, v4l2_buffer& b) {
    if (d.is("-unplugged") && d.number >= 12)
        return refuse(ENODEV);
    if (d.waiting.empty())
        return refuse(EAGAIN);
    clock_nanosleep(CLOCK_MONOTONIC, TIMER_ABSTIME, &d.next, nullptr);
    b.index = d.waiting.front();
    d.waiting.pop_front();
    draw(d.buffers[b.index], d.number);
    b.bytesused = b.length = kBytes;
    b.sequence = d.number++;
    b.flags = V4L2_BUF_FLAG_TIMESTAMP_MONOTONIC;
    b.timestamp = {d.next.tv_sec, d.next.tv_nsec / 1000};
    d.next.tv_nsec += kPeriod;
    if (d.next.tv_nsec >= 1'000'000'000L) {
        d.next.tv_nsec -= 1'000'000'000L;
        ++d.next.tv_sec;
    }
    return 0;
}

int answer(Device& d, unsigned long request, void* argument) {
    switch (request) {
    case VIDIOC_QUERYCAP: {
        auto& c = *static_cast<v4l2_capability*>(argument);
        c = {};
        std::strcpy(reinterpret_cast<char*>(c.driver), "stand-in");
        std::strcpy(reinterpret_cast<char*>(c.card), "Stand-in camera");
        c.capabilities = V4L2_CAP_VIDEO_CAPTURE | V4L2_CAP_STREAMING;
        return 0;
    }
    case VIDIOC_G_INPUT:
        *static_cast<int*>(argument) = 0;
        return 0;
    case VIDIOC_ENUMINPUT: {
        auto& i = *static_cast<v4l2_input*>(argument);
        if (i.index > 0)
            return refuse(EINVAL);
        i = {};
        i.type = V4L2_INPUT_TYPE_CAMERA;
        return 0;
    }
    case VIDIOC_S_FMT:
        if (d.is("-busy"))
            return refuse(EBUSY);
        [[fallthrough]];
    case VIDIOC_G_FMT: {
        auto& pix = static_cast<v4l2_format*>(argument)->fmt.pix;
        pix.width = kWidth;
        pix.height = kHeight;
        pix.pixelformat = V4L2_PIX_FMT_YUYV;
        pix.field = V4L2_FIELD_NONE;
        pix.bytesperline = 2 * kWidth;
        pix.sizeimage = kBytes;
        return 0;
    }
    case VIDIOC_G_PARM:
    case VIDIOC_S_PARM: {
        auto& p = static_cast<v4l2_streamparm*>(argument)->parm.capture;
        p.capability = V4L2_CAP_TIMEPERFRAME;
        p.timeperframe = {1, 30};
        return 0;
    }
    case VIDIOC_REQBUFS: {
        auto& r = *static_cast<v4l2_requestbuffers*>(argument);
        d.count = r.count = std::min(r.count, kMost);
        return 0;
    }
    case VIDIOC_QUERYBUF: {
        auto& b = *static_cast<v4l2_buffer*>(argument);
        if (b.index >= d.count)
            return refuse(EINVAL);
        b.length = kBytes;
        b.m.offset = b.index * (1u << 20);
        return 0;
    }
    case VIDIOC_QBUF:
        d.waiting.push_back(static_cast<v4l2_buffer*>(argument)->index);
        return 0;
    case VIDIOC_STREAMON:
        clock_gettime(CLOCK_MONOTONIC, &d.next);
        return 0;
    case VIDIOC_STREAMOFF:
        return 0;
    case VIDIOC_DQBUF:
        return dequeue(d, *static_cast<v4l2_buffer*>(argument));
    default:
        return refuse(ENOTTY);
    }
}

int openOurs(const char* path) {
    const std::string name(path);
    if (name.find("-forbidden") != std::string::npos)
        return refuse(EACCES);
    const int fd = real<int (*)(const char*, int, ...)>("open")("/dev/null", O_RDWR | O_CLOEXEC);
    std::lock_guard lock(mutex);
    devices[fd].path = name;
    return fd;
}

bool ours(const char* path) {
    return path && std::strncmp(path, "/dev/video-standin", 18) == 0;
}

void* mapOurs(int fd, off64_t offset) {
    std::lock_guard lock(mutex);
    const auto d = devices.find(fd);
    return d == devices.end() ? nullptr : d->second.buffers[static_cast<std::size_t>(offset >> 20)].data();
}

mode_t modeOf(int flags, va_list arguments) {
    return (flags & (O_CREAT | O_TMPFILE)) ? va_arg(arguments, mode_t) : 0;
}

} // namespace

extern "C" {

int open(const char* path, int flags, ...) {
    va_list arguments;
    va_start(arguments, flags);
    const mode_t mode = modeOf(flags, arguments);
    va_end(arguments);
    return ours(path) ? openOurs(path) : real<int (*)(const char*, int, ...)>("open")(path, flags, mode);
}

int open64(const char* path, int flags, ...) {
    va_list arguments;
    va_start(arguments, flags);
    const mode_t mode = modeOf(flags, arguments);
    va_end(arguments);
    return ours(path) ? openOurs(path) : real<int (*)(const char*, int, ...)>("open64")(path, flags, mode);
}

int ioctl(int fd, unsigned long request, ...) noexcept {
    va_list arguments;
    va_start(arguments, request);
    void* argument = va_arg(arguments, void*);
    va_end(arguments);
    Device* device = nullptr;
    {
        std::lock_guard lock(mutex);
        if (const auto d = devices.find(fd); d != devices.end())
            device = &d->second;
    }
    // The kernel looks at the lower half only; callers differ in how they widen it.
    return device ? answer(*device, request & 0xffffffffUL, argument)
                  : real<int (*)(int, unsigned long, ...)>("ioctl")(fd, request, argument);
}

void* mmap64(void* at, std::size_t length, int protection, int flags, int fd, off64_t offset) noexcept {
    if (void* mine = mapOurs(fd, offset))
        return mine;
    return real<void* (*)(void*, std::size_t, int, int, int, off64_t)>("mmap64")(at, length, protection, flags, fd,
                                                                                 offset);
}

void* mmap(void* at, std::size_t length, int protection, int flags, int fd, off_t offset) noexcept {
    return mmap64(at, length, protection, flags, fd, offset);
}

int munmap(void* at, std::size_t length) noexcept {
    {
        std::lock_guard lock(mutex);
        for (const auto& [fd, d] : devices)
            for (const auto& b : d.buffers)
                if (at == b.data())
                    return 0;
    }
    return real<int (*)(void*, std::size_t)>("munmap")(at, length);
}

int close(int fd) {
    {
        std::lock_guard lock(mutex);
        devices.erase(fd);
    }
    return real<int (*)(int)>("close")(fd);
}
}
