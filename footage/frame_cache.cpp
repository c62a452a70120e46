#include "footage/frame_cache.h"

#include <algorithm>
#include <cstdlib>

namespace riflesso {
namespace {
// Films looked at within so many looks count as looked at together (locked views take turns).
constexpr unsigned long kTogether = 32;
} // namespace

std::size_t FrameCache::limit() const {
    std::lock_guard lock(m_mutex);
    return m_limit;
}

void FrameCache::setLimit(std::size_t bytes) {
    std::lock_guard lock(m_mutex);
    m_limit = bytes;
    makeRoom();
}

std::size_t FrameCache::used() const {
    std::lock_guard lock(m_mutex);
    return m_used;
}

std::size_t FrameCache::share() const {
    std::lock_guard lock(m_mutex);
    const auto active = std::count_if(m_films.begin(), m_films.end(), [&](const auto& f) {
        return f.second.looked > 0 && m_count - f.second.looked < kTogether;
    });
    return m_limit / static_cast<std::size_t>(std::max<std::ptrdiff_t>(1, active));
}

int FrameCache::join() {
    std::lock_guard lock(m_mutex);
    m_films[m_next];
    return m_next++;
}

void FrameCache::leave(int film) {
    std::lock_guard lock(m_mutex);
    for (const auto* kept : {&m_films[film].frames, &m_films[film].halved})
        for (const auto& [frame, picture] : *kept)
            m_used -= picture->bytes();
    m_films.erase(film);
}

DecodedPtr FrameCache::find(int film, int frame, std::map<int, DecodedPtr> Film::*where) const {
    std::lock_guard lock(m_mutex);
    const auto f = m_films.find(film);
    if (f == m_films.end())
        return nullptr;
    const auto& kept = f->second.*where;
    const auto it = kept.find(frame);
    return it == kept.end() ? nullptr : it->second;
}

DecodedPtr FrameCache::find(int film, int frame) const {
    return find(film, frame, &Film::frames);
}

DecodedPtr FrameCache::findHalved(int film, int frame) const {
    return find(film, frame, &Film::halved);
}

bool FrameCache::contains(int film, int frame) const {
    return find(film, frame) != nullptr;
}

void FrameCache::keep(int film, int frame, DecodedPtr picture, std::map<int, DecodedPtr> Film::*where) {
    std::lock_guard lock(m_mutex);
    const auto f = m_films.find(film);
    if (f == m_films.end() || (f->second.*where).contains(frame))
        return;
    m_used += picture->bytes();
    (f->second.*where).emplace(frame, std::move(picture));
    makeRoom();
}

void FrameCache::keep(int film, int frame, DecodedPtr picture) {
    keep(film, frame, std::move(picture), &Film::frames);
}

void FrameCache::keepHalved(int film, int frame, DecodedPtr picture) {
    keep(film, frame, std::move(picture), &Film::halved);
}

void FrameCache::look(int film, int frame, int direction) {
    std::lock_guard lock(m_mutex);
    const auto f = m_films.find(film);
    if (f == m_films.end())
        return;
    f->second.at = frame;
    f->second.direction = direction;
    f->second.looked = ++m_count;
}

void FrameCache::makeRoom() {
    while (m_used > m_limit) {
        std::map<int, DecodedPtr>* worst = nullptr;
        int worstFrame = 0;
        double worstScore = -1.0;
        for (auto& [id, film] : m_films) {
            const bool idle = film.looked == 0 || m_count - film.looked >= kTogether;
            for (auto* kept : {&film.frames, &film.halved}) {
                if (kept->empty())
                    continue;
                // Within a film the worst is at one of its ends.
                for (int frame : {kept->begin()->first, kept->rbegin()->first}) {
                    const double ahead = (frame - film.at) * (film.direction < 0 ? -1.0 : 1.0);
                    double score = film.direction == 0 ? std::abs(ahead) : ahead >= 0 ? ahead : 8.0 - 4.0 * ahead;
                    if (idle)
                        score += 1e6 + static_cast<double>(m_count - film.looked);
                    // Films with larger pictures, or more of them, give first.
                    if (score > worstScore) {
                        worstScore = score;
                        worst = kept;
                        worstFrame = frame;
                    }
                }
            }
        }
        if (!worst)
            return;
        const auto it = worst->find(worstFrame);
        m_used -= it->second->bytes();
        worst->erase(it);
    }
}

} // namespace riflesso
