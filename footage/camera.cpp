#include "footage/camera.h"

#include "footage/decoded_frame_impl.h"

extern "C" {
#include <libavdevice/avdevice.h>
}

#include <algorithm>
#include <cerrno>
#include <cmath>

namespace riflesso {
namespace {

class DeviceCamera : public Camera {
public:
    DeviceCamera(std::filesystem::path device, std::string format)
        : m_device(std::move(device)), m_kind(std::move(format)) {}

    std::string name() const override { return m_device.filename().string(); }
    Hertz rate() const override { return m_rate; }

    Status start() override {
        av_log_set_level(AV_LOG_QUIET);
        avdevice_register_all();
        const auto fail = [&](std::string what, std::string advice) {
            return Error{std::move(what), name(), "nothing was recorded", std::move(advice)};
        };
        const AVInputFormat* kind = av_find_input_format(m_kind.c_str());
        if (!kind)
            return fail("this computer's FFmpeg cannot read cameras", "install libavdevice59");
        AVFormatContext* raw = nullptr;
        const int r = avformat_open_input(&raw, m_device.c_str(), kind, nullptr);
        if (r == AVERROR(ENOENT) || r == AVERROR(ENODEV) || r == AVERROR(ENXIO))
            return fail("the camera is not there", "plug it in, or choose another");
        if (r == AVERROR(EBUSY))
            return fail("the camera is in use by another program", "close that program and try again");
        if (r == AVERROR(EACCES) || r == AVERROR(EPERM))
            return fail("this user may not use the camera", "add the user to the group “video”");
        if (r < 0)
            return fail("the camera does not start (" + av::text(r) + ")", "unplug it and plug it in again");
        m_format.reset(raw);
        if (avformat_find_stream_info(raw, nullptr) < 0)
            return fail("the camera gives no pictures", {});
        m_stream = av_find_best_stream(raw, AVMEDIA_TYPE_VIDEO, -1, -1, nullptr, 0);
        if (m_stream < 0)
            return fail("the camera gives no pictures", {});
        const AVStream& stream = *raw->streams[m_stream];
        m_codec = av::decoderFor(stream, 1);
        if (!m_codec || avcodec_open2(m_codec.get(), m_codec->codec, nullptr) < 0)
            return fail("the camera's picture format is not known", {});
        const double rate = av_q2d(stream.avg_frame_rate.num > 0 ? stream.avg_frame_rate : stream.r_frame_rate);
        m_rate = Hertz(rate > 0.0 && rate < 2000.0 ? rate : 30.0);
        m_zero.reset();
        return Done{};
    }

    Result<LivePicture> next() override {
        const av::Packet packet(av_packet_alloc());
        while (true) {
            auto impl = std::make_unique<DecodedFrame::Impl>();
            impl->frame.reset(av_frame_alloc());
            if (avcodec_receive_frame(m_codec.get(), impl->frame.get()) == 0) {
                const AVStream& stream = *m_format->streams[m_stream];
                const double t = static_cast<double>(impl->frame->best_effort_timestamp) * av_q2d(stream.time_base);
                if (!m_zero)
                    m_zero = t;
                auto picture = DecodedFrame(std::move(impl)).toPicture();
                if (!picture)
                    return picture.error();
                return LivePicture{t - *m_zero, std::make_shared<const Picture>(std::move(*picture))};
            }
            int r = 0;
            while ((r = av_read_frame(m_format.get(), packet.get())) >= 0 && packet->stream_index != m_stream)
                av_packet_unref(packet.get());
            if (r < 0)
                return Error{"the camera gives no more pictures", name(), "what was recorded so far is kept",
                             "is it still plugged in?"};
            avcodec_send_packet(m_codec.get(), packet.get());
            av_packet_unref(packet.get());
        }
    }

    void stop() override {
        m_codec.reset();
        m_format.reset();
    }

private:
    std::filesystem::path m_device;
    std::string m_kind;
    av::Format m_format;
    av::Codec m_codec;
    int m_stream = -1;
    Hertz m_rate{30.0};
    std::optional<double> m_zero;
};

std::size_t bytesOf(const Picture& p) {
    return p.pixels.size() * sizeof(std::uint32_t);
}

} // namespace

std::vector<std::filesystem::path> videoDevices() {
    std::vector<std::filesystem::path> out;
    std::error_code ec;
    for (std::filesystem::directory_iterator it("/dev", ec), end; !ec && it != end; it.increment(ec))
        if (it->path().filename().string().starts_with("video"))
            out.push_back(it->path());
    std::sort(out.begin(), out.end());
    return out;
}

std::unique_ptr<Camera> deviceCamera(const std::filesystem::path& device, const std::string& format) {
    return std::make_unique<DeviceCamera>(device, format);
}

Picture evenSized(const Picture& picture) {
    if (picture.width % 2 == 0 && picture.height % 2 == 0)
        return picture;
    Picture cut(picture.width & ~1, picture.height & ~1);
    for (int y = 0; y < cut.height; ++y)
        std::copy_n(picture.pixels.begin() + static_cast<std::ptrdiff_t>(y) * picture.width, cut.width,
                    cut.pixels.begin() + static_cast<std::ptrdiff_t>(y) * cut.width);
    return cut;
}

LiveView::LiveView(std::unique_ptr<Camera> camera, Callbacks callbacks, std::size_t bytes)
    : m_camera(std::move(camera)), m_callbacks(std::move(callbacks)), m_bytes(bytes) {
    m_thread = std::thread([this] { work(); });
}

LiveView::~LiveView() {
    m_stop = true;
    m_thread.join();
    if (m_writer)
        (void)m_writer->finish();
}

std::shared_ptr<const Picture> LiveView::newest() const {
    std::lock_guard lock(m_mutex);
    return m_past.empty() ? nullptr : m_past.back().picture;
}

std::shared_ptr<const Picture> LiveView::ago(double seconds) const {
    std::lock_guard lock(m_mutex);
    if (m_past.empty())
        return nullptr;
    const double wanted = m_past.back().time - seconds;
    if (wanted < m_past.front().time - 1e-9)
        return nullptr;
    // The newest that is no younger than asked.
    const auto it = std::upper_bound(m_past.begin(), m_past.end(), wanted + 1e-9,
                                     [](double t, const LivePicture& p) { return t < p.time; });
    return std::prev(it)->picture;
}

std::vector<LivePicture> LiveView::between(double from, double to) const {
    std::lock_guard lock(m_mutex);
    std::vector<LivePicture> out;
    for (const LivePicture& p : m_past)
        if (p.time >= from && p.time <= to)
            out.push_back(p);
    return out;
}

double LiveView::reach() const {
    std::lock_guard lock(m_mutex);
    return m_past.empty() ? 0.0 : m_past.back().time - m_past.front().time;
}

double LiveView::running() const {
    std::lock_guard lock(m_mutex);
    return m_past.empty() ? 0.0 : m_past.back().time - m_first;
}

void LiveView::record(const std::filesystem::path& film) {
    std::lock_guard lock(m_mutex);
    m_wanted = film;
    m_writeError.reset();
    m_lastTick = -1;
}

bool LiveView::recording() const {
    std::lock_guard lock(m_mutex);
    return m_wanted.has_value();
}

Status LiveView::stopRecording() {
    std::lock_guard lock(m_mutex);
    m_wanted.reset();
    auto writer = std::move(m_writer);
    if (m_writeError)
        return *m_writeError;
    if (!writer)
        return Error{"no picture came while recording", {}, "no film was written", {}};
    return writer->finish();
}

void LiveView::work() {
    if (const auto s = m_camera->start(); !s) {
        if (m_callbacks.failed)
            m_callbacks.failed(s.error().text());
        return;
    }
    // Finer than the camera's rate, so that its real times are kept; whole for 24, 25, 30, 60 and 30000/1001 a second.
    constexpr double kTicks = 30000.0;
    while (!m_stop) {
        const auto got = m_camera->next();
        if (!got) {
            if (m_callbacks.failed)
                m_callbacks.failed(got.error().text());
            break;
        }
        {
            std::lock_guard lock(m_mutex);
            if (m_first < 0.0)
                m_first = got->time;
            if (!m_past.empty() && got->time <= m_past.back().time)
                continue;
            m_past.push_back(*got);
            m_used += bytesOf(*got->picture);
            while (m_used > m_bytes && m_past.size() > 1) {
                m_used -= bytesOf(*m_past.front().picture);
                m_past.pop_front();
            }
            if (m_wanted && !m_writeError) {
                if (!m_writer) {
                    FilmWriterOptions o;
                    o.width = got->picture->width & ~1;
                    o.height = got->picture->height & ~1;
                    o.rate = Hertz(kTicks);
                    auto w = FilmWriter::create(*m_wanted, o);
                    if (w)
                        m_writer = std::move(*w);
                    else
                        m_writeError = w.error();
                    m_writeZero = got->time;
                }
                const int tick = static_cast<int>(std::lround((got->time - m_writeZero) * kTicks));
                if (m_writer && tick > m_lastTick) {
                    m_lastTick = tick;
                    if (const auto s = m_writer->add(evenSized(*got->picture), tick); !s) {
                        m_writeError = s.error();
                        m_writer.reset();
                    }
                }
            }
        }
        if (m_callbacks.taken)
            m_callbacks.taken(*got);
        if (m_callbacks.picture)
            m_callbacks.picture();
    }
    m_camera->stop();
}

} // namespace riflesso
