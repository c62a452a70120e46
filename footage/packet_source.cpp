#include "footage/packet_source.h"

#include <algorithm>
#include <cctype>
#include <cstring>
#include <fstream>
#include <map>

namespace riflesso {
namespace {
namespace fs = std::filesystem;

constexpr const char* kPictureEndings[] = {".png", ".jpg", ".jpeg", ".bmp", ".tif", ".tiff", ".webp", ".ppm", ".pgm"};

// "shot2" before "shot10".
bool naturally(const fs::path& a, const fs::path& b) {
    const std::string x = a.filename().string(), y = b.filename().string();
    std::size_t i = 0, j = 0;
    while (i < x.size() && j < y.size()) {
        const auto digit = [](char c) { return std::isdigit(static_cast<unsigned char>(c)) != 0; };
        if (digit(x[i]) && digit(y[j])) {
            std::size_t ie = i, je = j;
            while (ie < x.size() && digit(x[ie]))
                ++ie;
            while (je < y.size() && digit(y[je]))
                ++je;
            while (i < ie - 1 && x[i] == '0')
                ++i;
            while (j < je - 1 && y[j] == '0')
                ++j;
            if (ie - i != je - j)
                return ie - i < je - j;
            if (const int c = x.compare(i, ie - i, y, j, je - j); c != 0)
                return c < 0;
            i = ie;
            j = je;
        } else {
            if (x[i] != y[j])
                return x[i] < y[j];
            ++i;
            ++j;
        }
    }
    return x.size() - i < y.size() - j;
}

// The pictures of a folder that share the commonest ending.
std::vector<fs::path> picturesIn(const fs::path& folder) {
    std::map<std::string, std::vector<fs::path>> byEnding;
    std::error_code ec;
    for (fs::directory_iterator it(folder, ec), end; !ec && it != end; it.increment(ec)) {
        std::string ending = it->path().extension().string();
        std::transform(ending.begin(), ending.end(), ending.begin(), [](unsigned char c) { return std::tolower(c); });
        if (it->is_regular_file(ec) &&
            std::find(std::begin(kPictureEndings), std::end(kPictureEndings), ending) != std::end(kPictureEndings))
            byEnding[ending].push_back(it->path());
    }
    std::vector<fs::path> most;
    for (auto& [ending, files] : byEnding)
        if (files.size() > most.size())
            most = std::move(files);
    std::sort(most.begin(), most.end(), naturally);
    return most;
}

int interrupted(void* goOn) {
    const auto& ask = *static_cast<const PacketSource::GoOn*>(goOn);
    return ask && !ask(-1.0);
}
} // namespace

Error cannotOpen(const std::filesystem::path& path, std::string what, ErrorKind kind) {
    return {std::move(what), path.filename().string(), "nothing was changed", {}, kind};
}

Result<std::unique_ptr<PacketSource>> PacketSource::open(const fs::path& path, const GoOn& goOn) {
    av_log_set_level(AV_LOG_QUIET); // errors are said once, in our own words
    std::error_code ec;
    const auto status = fs::status(path, ec);
    if (!fs::exists(status))
        return cannotOpen(path, "there is no such file", ErrorKind::missing);
    auto source = std::make_unique<PacketSource>();
    source->m_path = path;
    source->m_goOn = goOn;
    fs::path file = path;
    if (fs::is_directory(status)) {
        source->m_images = picturesIn(path);
        if (source->m_images.empty())
            return cannotOpen(path, "this is a folder without pictures, not a film");
        file = source->m_images.front();
    } else if (!fs::is_regular_file(status)) {
        return cannotOpen(path, "this is no ordinary file"); // reading a pipe or a device might never end
    } else if (fs::file_size(path, ec) == 0 && !ec) {
        return cannotOpen(path, "the file is empty");
    }
    AVFormatContext* raw = avformat_alloc_context();
    if (!raw)
        return cannotOpen(path, "there is not enough memory");
    raw->interrupt_callback = {interrupted, &source->m_goOn};
    if (const int r = av::openFile(&raw, file); r < 0) {
        if (r == AVERROR(EACCES))
            return cannotOpen(path, "this user may not read the file");
        if (r == AVERROR_EXIT) {
            Error e = cannotOpen(path, "opening it was cancelled");
            e.kind = ErrorKind::cancelled;
            return e;
        }
        return cannotOpen(path, "this is not a film, or its beginning or end is cut off (" + av::text(r) + ")");
    }
    source->m_format.reset(raw);
    // MP4, MOV, Matroska and WebM say everything in their headers. Looking into packets, as FFmpeg otherwise does,
    // decodes some and takes longer than reading the whole table of frames.
    const std::string name = raw->iformat->name;
    const bool plain = name.find("mp4") != std::string::npos || name.find("matroska") != std::string::npos;
    const auto complete = [](const AVStream* s) {
        const auto* p = s->codecpar;
        return p->codec_type != AVMEDIA_TYPE_VIDEO ||
               (p->codec_id != AV_CODEC_ID_NONE && p->width > 0 && p->height > 0);
    };
    source->m_headersSay =
        plain && raw->nb_streams > 0 && std::all_of(raw->streams, raw->streams + raw->nb_streams, complete);
    if (source->m_headersSay)
        raw->flags |= AVFMT_FLAG_NOPARSE | AVFMT_FLAG_NOFILLIN;
    else if (avformat_find_stream_info(raw, nullptr) < 0)
        return cannotOpen(path, "this is not a film that can be read");
    const int best = av_find_best_stream(raw, AVMEDIA_TYPE_VIDEO, -1, -1, nullptr, 0);
    if (best < 0 || (raw->streams[best]->disposition & AV_DISPOSITION_ATTACHED_PIC))
        return cannotOpen(path, raw->nb_streams > 0 ? "the file has no moving picture (sound only)"
                                                    : "the file holds nothing that can be read");
    source->m_stream = raw->streams[best];
    source->m_sound = av_find_best_stream(raw, AVMEDIA_TYPE_AUDIO, -1, -1, nullptr, 0) >= 0;
    for (unsigned i = 0; i < raw->nb_streams; ++i)
        if (static_cast<int>(i) != best)
            raw->streams[i]->discard = AVDISCARD_ALL;
    if (source->m_stream->codecpar->width <= 0 || source->m_stream->codecpar->height <= 0)
        return cannotOpen(path, "the film does not say how large its picture is");
    return source;
}

bool PacketSource::reopen() {
    m_count = 0;
    m_heldNumber = -1;
    if (images())
        return true;
    const int wanted = m_stream->index;
    AVFormatContext* raw = avformat_alloc_context();
    if (!raw)
        return false;
    raw->interrupt_callback = {interrupted, &m_goOn};
    if (av::openFile(&raw, m_path) < 0)
        return false;
    av::Format again(raw);
    if (m_headersSay)
        raw->flags |= AVFMT_FLAG_NOPARSE | AVFMT_FLAG_NOFILLIN;
    else if (avformat_find_stream_info(raw, nullptr) < 0)
        return false;
    if (wanted >= static_cast<int>(raw->nb_streams))
        return false;
    m_format = std::move(again);
    m_stream = raw->streams[wanted];
    for (unsigned i = 0; i < raw->nb_streams; ++i)
        if (static_cast<int>(i) != wanted)
            raw->streams[i]->discard = AVDISCARD_ALL;
    return true;
}

bool PacketSource::read(AVPacket* packet) {
    if (images()) {
        if (m_count >= static_cast<int>(m_images.size()))
            return false;
        std::ifstream file(m_images[static_cast<std::size_t>(m_count)], std::ios::binary);
        const std::string bytes((std::istreambuf_iterator<char>(file)), std::istreambuf_iterator<char>());
        if (av_new_packet(packet, static_cast<int>(std::max<std::size_t>(1, bytes.size()))) < 0)
            return false;
        std::memcpy(packet->data, bytes.data(), bytes.size());
        packet->pts = packet->dts = m_count++;
        packet->duration = 1;
        packet->flags |= AV_PKT_FLAG_KEY;
        return true;
    }
    while (av_read_frame(m_format.get(), packet) >= 0) {
        if (packet->stream_index == m_stream->index) {
            ++m_count;
            return true;
        }
        av_packet_unref(packet);
    }
    return false;
}

void PacketSource::useIndex(const FilmIndex& index) {
    m_identity = index.identity;
    m_places.clear();
    m_numbers.clear();
    m_numbers.reserve(index.packets.size());
    for (std::size_t i = 0; i < index.packets.size(); ++i) {
        const auto& p = index.packets[i];
        m_places.emplace_back(p.dts != AV_NOPTS_VALUE ? p.dts : p.pts, p.position);
        if (m_identity == PacketIdentity::time)
            m_numbers.emplace(p.pts, static_cast<int>(i));
        else if (m_identity == PacketIdentity::position)
            m_numbers.emplace(p.position, static_cast<int>(i));
    }
    m_heldNumber = -1;
}

int PacketSource::numberOf(const AVPacket& packet) const {
    if (m_identity == PacketIdentity::count)
        return m_count - 1;
    const auto it = m_numbers.find(m_identity == PacketIdentity::time ? packet.pts : packet.pos);
    return it == m_numbers.end() ? -1 : it->second;
}

// Reads on until the packet; it is then held for next(). False when it is already past.
bool PacketSource::landed(int number) {
    if (!m_held)
        m_held.reset(av_packet_alloc());
    av_packet_unref(m_held.get());
    while (read(m_held.get())) {
        const int n = numberOf(*m_held);
        if (n == number) {
            m_heldNumber = n;
            return true;
        }
        av_packet_unref(m_held.get());
        if (n > number || (m_goOn && !m_goOn(-1.0)))
            return false;
    }
    return false;
}

bool PacketSource::seek(int number) {
    m_heldNumber = -1;
    if (images()) {
        m_count = number;
        return true;
    }
    if (m_identity == PacketIdentity::count)
        return reopen() && landed(number);
    const auto& [time, byte] = m_places[static_cast<std::size_t>(number)];
    // Streams without a table are entered at the very byte; files with one at the time.
    const bool stream = (m_format->iformat->flags & AVFMT_TS_DISCONT) != 0;
    if (stream && byte >= 0 && av_seek_frame(m_format.get(), m_stream->index, byte, AVSEEK_FLAG_BYTE) >= 0 &&
        landed(number))
        return true;
    if (time != AV_NOPTS_VALUE && av_seek_frame(m_format.get(), m_stream->index, time, AVSEEK_FLAG_BACKWARD) >= 0 &&
        landed(number))
        return true;
    if (m_goOn && !m_goOn(-1.0))
        return false;
    return reopen() && landed(number);
}

int PacketSource::next(AVPacket* packet) {
    if (m_heldNumber >= 0) {
        av_packet_move_ref(packet, m_held.get());
        return std::exchange(m_heldNumber, -1);
    }
    if (!read(packet))
        return -1;
    if (images())
        return m_count - 1;
    int n = numberOf(*packet);
    while (n < 0) { // a packet that the index left out (cut off)
        av_packet_unref(packet);
        if (!read(packet))
            return -1;
        n = numberOf(*packet);
    }
    return n;
}

} // namespace riflesso
