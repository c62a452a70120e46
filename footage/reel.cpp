#include "footage/reel.h"

#include <algorithm>

namespace riflesso {
namespace {
// Frames read ahead in travel forwards: the decoder goes on from where it is, so few are enough.
constexpr int kAhead = 24;
} // namespace

Reel::Reel(std::filesystem::path path, Film::Options options, Callbacks callbacks)
    : m_path(std::move(path)), m_options(std::move(options)), m_callbacks(std::move(callbacks)) {
    m_thread = std::thread([this] { work(); });
}

Reel::~Reel() {
    {
        std::lock_guard lock(m_mutex);
        m_stop = true;
        m_wishes.clear();
    }
    m_changed.notify_all();
    m_thread.join();
}

DecodedPtr Reel::find(FrameIndex frame) const {
    int id = 0;
    {
        std::lock_guard lock(m_mutex);
        id = m_cacheId;
    }
    return id ? m_options.cache->find(id, frame.value) : nullptr;
}

DecodedPtr Reel::atHand(int film, int frame, bool moving) const {
    auto there = m_options.cache->find(film, frame);
    return there || !moving ? there : m_options.cache->findHalved(film, frame);
}

DecodedPtr Reel::want(FrameIndex frame, bool droppable, bool moving) {
    {
        std::lock_guard lock(m_mutex);
        if (droppable || moving) // a still for a board says nothing of the hand
            m_moving = moving;
        if (m_cacheId)
            if (auto there = atHand(m_cacheId, frame.value, moving))
                return there;
        if (std::any_of(m_wishes.begin(), m_wishes.end(),
                        [&](const Wish& w) { return w.frame == frame.value && (moving || !w.moving); }))
            return nullptr;
        if (droppable) {
            // What is looked at now goes before what fills the boards.
            std::erase_if(m_wishes, [](const Wish& w) { return w.droppable; });
            m_wishes.push_front({frame.value, droppable, moving});
        } else {
            m_wishes.push_back({frame.value, droppable, moving});
        }
    }
    m_changed.notify_all();
    return nullptr;
}

void Reel::travel(FrameIndex at, int direction) {
    {
        std::lock_guard lock(m_mutex);
        m_at = at.value;
        m_direction = direction;
        ++m_moves;
        if (m_cacheId)
            m_options.cache->look(m_cacheId, at.value, direction);
    }
    m_changed.notify_all();
}

DecodedPtr Reel::wait(FrameIndex frame, bool moving) {
    if (auto there = want(frame, false, moving))
        return there;
    std::unique_lock lock(m_mutex);
    while (true) {
        if (m_cacheId)
            if (auto there = atHand(m_cacheId, frame.value, moving))
                return there;
        const bool pending = m_busy || std::any_of(m_wishes.begin(), m_wishes.end(),
                                                   [&](const Wish& w) { return w.frame == frame.value; });
        if (m_stop || (!pending && m_answered == frame.value) || !m_error.empty())
            return nullptr;
        m_changed.wait(lock);
    }
}

bool Reel::idle() const {
    std::lock_guard lock(m_mutex);
    return m_wishes.empty() && !m_busy && m_planned == m_moves;
}

bool Reel::interrupted() const {
    std::lock_guard lock(m_mutex);
    return m_stop || std::any_of(m_wishes.begin(), m_wishes.end(), [](const Wish& w) { return w.droppable; });
}

// Two groups must find room, the one that the hand is in and the one before.
bool Reel::halving(int frame) const {
    if (!m_moving || m_direction >= 0 || !m_film->halves())
        return false;
    const auto group = static_cast<std::size_t>(frame - m_film->groupStart(FrameIndex(frame)).value + 1);
    const int before = m_film->groupStart(FrameIndex(frame)).value - 1;
    const auto other =
        before < 0 ? 0 : static_cast<std::size_t>(before - m_film->groupStart(FrameIndex(before)).value + 1);
    return (group + other + 4) * m_film->frameBytes() > m_options.cache->share();
}

// What is missing of the group up to a frame, and the frame itself.
DecodedPtr Reel::fetchHalved(int frame) {
    int from = m_film->groupStart(FrameIndex(frame)).value;
    while (from < frame && atHand(m_cacheId, from, true))
        ++from;
    (void)m_film->fillHalved(FrameIndex(from), FrameIndex(frame), {});
    return atHand(m_cacheId, frame, true);
}

Reel::Plan Reel::plan() const {
    const bool halved = halving(m_at);
    auto frameBytes = std::max<std::size_t>(1, m_film->frameBytes());
    std::size_t share = m_options.cache->share();
    if (halved) { // beside what is there whole
        for (int f = m_film->groupStart(FrameIndex(m_at)).value; f <= m_at; ++f)
            if (m_options.cache->contains(m_cacheId, f))
                share -= std::min(share, frameBytes);
        frameBytes = std::max<std::size_t>(1, frameBytes / 4);
    }
    const int room = std::max(2, static_cast<int>(share / frameBytes) - 2);
    const auto there = [&](int f) { return atHand(m_cacheId, f, halved) != nullptr; };
    if (m_direction >= 0) {
        int a = m_at + 1;
        const int b = std::min(m_frames - 1, m_at + std::min(kAhead, room / 2));
        while (a <= b && there(a))
            ++a;
        // Some are at hand still: the decoder is not started for each single frame.
        if (m_direction > 0 && a - m_at > kAhead * 2 / 3 && b < m_frames - 1)
            return {};
        return {a, b};
    }
    // What is missing of the group between its start and the hand; then the group before.
    int end = m_at;
    for (int groups = 0; groups < 3 && end >= 0; ++groups) {
        const int start = m_film->groupStart(FrameIndex(end)).value;
        int b = end;
        while (b >= start && there(b))
            --b;
        const int left = room - (m_at - b); // what still fits beside the frames between here and the hand
        if (b >= start) {
            const int want = std::min(b - start + 1, std::max(4, room / 2));
            return left >= want || groups == 0 ? Plan{std::max(start, b - std::max(want, 1) + 1), b, halved} : Plan{};
        }
        end = start - 1;
    }
    return {};
}

void Reel::work() {
    Film::Options options = m_options;
    options.progress = [this, outer = m_options.progress](double share) {
        std::lock_guard lock(m_mutex);
        return !m_stop && (!outer || outer(share));
    };
    auto film = Film::open(m_path, options);
    {
        std::lock_guard lock(m_mutex);
        if (film) {
            m_film = std::move(*film);
            m_cacheId = m_film->cacheId();
            m_frames = m_film->info().frames;
            m_options.cache->look(m_cacheId, m_at, m_direction);
        } else {
            m_error = film.error().text();
            m_missing = film.error().kind == ErrorKind::missing;
        }
    }
    if (m_callbacks.opened)
        m_callbacks.opened(m_film ? &m_film->info() : nullptr);
    std::unique_lock lock(m_mutex);
    while (!m_stop) {
        if (!m_wishes.empty()) {
            const Wish wish = m_wishes.front();
            const bool backwards = m_direction < 0 && m_at == wish.frame;
            const bool halved = m_film && wish.moving && backwards && halving(wish.frame);
            m_wishes.pop_front();
            m_busy = true;
            lock.unlock();
            Told told{wish.frame, nullptr, m_error, m_missing};
            if (halved)
                told.picture = fetchHalved(wish.frame);
            if (m_film && !told.picture) {
                auto got = m_film->decoded(FrameIndex(wish.frame), backwards);
                if (got)
                    told.picture = *got;
                else
                    told.error = got.error().text();
            }
            if (m_callbacks.ready)
                m_callbacks.ready(told);
            lock.lock();
            m_busy = false;
            m_answered = wish.frame;
            m_changed.notify_all();
            continue;
        }
        if (m_film && m_planned != m_moves) {
            const unsigned long move = m_moves;
            const Plan p = plan();
            if (p.to >= p.from) {
                const bool backwards = m_direction < 0;
                m_busy = true;
                lock.unlock();
                const auto goOn = [this] { return !interrupted(); };
                const FrameIndex from(p.from), to(p.to);
                const bool whole =
                    p.halved ? m_film->fillHalved(from, to, goOn) : m_film->fill(from, to, backwards, goOn);
                lock.lock();
                m_busy = false;
                // Damaged or squeezed-out frames are not tried again until the hand moves on.
                const Plan again = whole || !m_wishes.empty() ? plan() : p;
                if (again.from == p.from && again.to == p.to && m_wishes.empty())
                    m_planned = move;
            } else {
                m_planned = move;
            }
            m_changed.notify_all();
            continue;
        }
        m_busy = false;
        m_changed.notify_all();
        m_changed.wait(lock);
    }
    lock.unlock();
    std::unique_ptr<Film> closing = std::move(m_film);
}

} // namespace riflesso
