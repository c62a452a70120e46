#pragma once
/// \file
/// A film on a thread of its own, that reads ahead of the hand.

#include "footage/film.h"

#include <condition_variable>
#include <deque>
#include <mutex>
#include <thread>

namespace riflesso {

/// Thread-safe. Frames at hand come at once; others are fetched on the reel's thread and told through `ready`. Between
/// wishes it fills the cache in the direction of travel: forwards the next frames, backwards what is left of this group
/// of pictures and then the whole group before, which must be there before the hand gets to it.
class Reel {
public:
    struct Told {
        int frame = 0;
        DecodedPtr picture; ///< null when it failed
        std::string error;
        bool missing = false; ///< there is no such film
    };
    struct Callbacks {
        std::function<void(const Told&)> ready; ///< called on the reel's thread
        /// Called once when the film is open, with null when it is not (then every wish fails with the same words).
        std::function<void(const FilmInfo*)> opened;
    };

    /// Opens the film on its own thread; returns at once. \p options.cache must be set.
    Reel(std::filesystem::path path, Film::Options options, Callbacks callbacks);
    ~Reel();
    Reel(const Reel&) = delete;
    Reel& operator=(const Reel&) = delete;

    /// The frame when it is at hand, else null.
    [[nodiscard]] DecodedPtr find(FrameIndex frame) const;
    /// The same, and fetches it when it is not at hand. A droppable wish replaces an unanswered droppable one: while
    /// scrubbing only the newest frame counts.
    /// \p moving: it is looked at in passing, and a halved picture will do (DecodedFrame::halved()); what is read ahead
    /// is then kept so where groups of pictures are too large.
    DecodedPtr want(FrameIndex frame, bool droppable, bool moving = false);
    /// Where the hand is and where it goes (−1, 0, 1); what is read ahead follows it.
    void travel(FrameIndex at, int direction);
    /// Waits for a frame; for tests and measuring. Null when it cannot be had.
    DecodedPtr wait(FrameIndex frame, bool moving = false);
    /// Nothing is wished for and nothing is being read ahead.
    [[nodiscard]] bool idle() const;

private:
    struct Wish {
        int frame = 0;
        bool droppable = false;
        bool moving = false;
    };
    struct Plan {
        int from = 0, to = -1; // empty when to < from
        bool halved = false;
    };
    void work();
    Plan plan() const; // with the lock held, by the reel's thread
    bool interrupted() const;
    [[nodiscard]] DecodedPtr atHand(int film, int frame, bool moving) const;
    // With the lock held, by the reel's thread: whether what lies before a frame is kept in half its size.
    [[nodiscard]] bool halving(int frame) const;
    DecodedPtr fetchHalved(int frame); // without the lock

    std::filesystem::path m_path;
    Film::Options m_options;
    Callbacks m_callbacks;
    std::unique_ptr<Film> m_film; // made and used by the reel's thread; its cache by all
    mutable std::mutex m_mutex;   // protects everything below
    mutable std::condition_variable m_changed;
    std::deque<Wish> m_wishes;
    int m_cacheId = 0; // 0 until the film is open
    int m_frames = 0;
    std::string m_error;
    bool m_missing = false;
    int m_at = 0;
    int m_direction = 0;
    bool m_moving = false;                    // halved pictures will do
    unsigned long m_moves = 0, m_planned = 0; // what was read ahead for which move
    int m_answered = -1;
    bool m_stop = false;
    bool m_busy = true;
    std::thread m_thread; // last: starts when all the rest is there
};

} // namespace riflesso
