#include "footage/rep_camera.h"

#include "footage/film.h"

#include <algorithm>
#include <cmath>

namespace riflesso {

RepCamera::RepCamera(std::unique_ptr<Camera> camera, Callbacks callbacks, std::size_t bytes)
    : m_callbacks(std::move(callbacks)),
      m_live(std::move(camera),
             {m_callbacks.picture, [this](const LivePicture& taken) { look(taken); }, m_callbacks.failed}, bytes) {}

void RepCamera::look(const LivePicture& taken) {
    if (const double ago = m_struck.exchange(-1.0); ago >= 0.0 && !m_strike) // one that follows at once is an echo
        m_strike = taken.time - ago;
    if (m_bySound) {
        if (!m_strike || taken.time < *m_strike + kAfterStrike)
            return;
        auto pictures = m_live.between(*m_strike - kBeforeStrike, *m_strike + kAfterStrike);
        m_strike.reset();
        if (!pictures.empty() && m_callbacks.rep)
            m_callbacks.rep(std::move(pictures));
        return;
    }
    m_strike.reset();
    const auto changed = m_change.add(smallGrey(*taken.picture));
    const double dt = taken.time - m_before;
    m_before = taken.time;
    if (!changed || dt <= 0.0)
        return;
    if (const auto rep = m_watch.add(taken.time, *changed / dt); rep && m_callbacks.rep)
        if (auto pictures = m_live.between(rep->begin, rep->end); !pictures.empty())
            m_callbacks.rep(std::move(pictures));
}

Status writeRepFilm(const std::vector<LivePicture>& pictures, const std::filesystem::path& film) {
    if (pictures.empty())
        return Error{"there are no pictures to keep", film.filename().string(), "no film was written", {}};
    constexpr double kTicks = 30000.0; // as a recording: a camera's real times are kept
    FilmWriterOptions o;
    o.width = pictures.front().picture->width & ~1;
    o.height = pictures.front().picture->height & ~1;
    o.rate = Hertz(kTicks);
    auto writer = FilmWriter::create(film, o);
    if (!writer)
        return writer.error();
    int last = -1;
    for (const LivePicture& p : pictures) {
        const int tick = static_cast<int>(std::lround((p.time - pictures.front().time) * kTicks));
        if (tick <= last)
            continue;
        last = tick;
        if (const auto s = (*writer)->add(evenSized(*p.picture), tick); !s)
            return s;
    }
    return (*writer)->finish();
}

Result<std::vector<LivePicture>> readRepFilm(const std::filesystem::path& path, int most) {
    Film::Options o;
    o.cacheBytes = 16u << 20;
    const auto film = Film::open(path, o);
    if (!film)
        return film.error();
    if ((*film)->info().frames > most)
        return Error{"this film is too long to be one rep", path.filename().string(), "nothing is shown", {}};
    std::vector<LivePicture> out;
    for (int i = 0; i < (*film)->info().frames; ++i) {
        auto picture = (*film)->frame(FrameIndex(i));
        if (!picture)
            return picture.error();
        out.push_back(
            {(*film)->times()[static_cast<std::size_t>(i)], std::make_shared<const Picture>(std::move(*picture))});
    }
    return out;
}

std::uintmax_t keepWithin(const std::filesystem::path& folder, std::uintmax_t bytes) {
    namespace fs = std::filesystem;
    struct Kept {
        fs::file_time_type at;
        fs::path path;
        std::uintmax_t size = 0;
    };
    std::vector<Kept> all;
    std::uintmax_t sum = 0;
    std::error_code ec;
    for (fs::directory_iterator it(folder, ec), end; !ec && it != end; it.increment(ec)) {
        std::error_code gone; // another program may take one away meanwhile
        const auto size = it->file_size(gone);
        const auto at = fs::last_write_time(it->path(), gone);
        if (gone || it->path().extension() != ".mp4")
            continue;
        all.push_back({at, it->path(), size});
        sum += size;
    }
    std::sort(all.begin(), all.end(),
              [](const Kept& a, const Kept& b) { return a.at != b.at ? a.at < b.at : a.path < b.path; });
    for (std::size_t i = 0; i + 1 < all.size() && sum > bytes; ++i)
        if (std::error_code failed; fs::remove(all[i].path, failed))
            sum -= all[i].size;
    return sum;
}

} // namespace riflesso
