#pragma once
/// \file
/// Decoded pictures of all open films under one limit of memory.

#include "footage/decoded_frame.h"

#include <cstddef>
#include <map>
#include <mutex>

namespace riflesso {

/// Thread-safe. What is thrown out first: pictures of films that are not looked at, then those behind the direction of
/// travel, then those furthest ahead. (Oldest-first would throw away exactly what reverse play needs next.)
class FrameCache {
public:
    explicit FrameCache(std::size_t bytes) : m_limit(bytes) {}

    [[nodiscard]] std::size_t limit() const;
    void setLimit(std::size_t bytes);
    [[nodiscard]] std::size_t used() const;
    /// What one of the films now looked at may fill.
    [[nodiscard]] std::size_t share() const;

    /// A number for a film that uses this cache.
    int join();
    void leave(int film);

    [[nodiscard]] DecodedPtr find(int film, int frame) const;
    [[nodiscard]] bool contains(int film, int frame) const;
    void keep(int film, int frame, DecodedPtr picture);
    /// The same for halved pictures (DecodedFrame::halved()), which are never found as whole ones.
    [[nodiscard]] DecodedPtr findHalved(int film, int frame) const;
    void keepHalved(int film, int frame, DecodedPtr picture);
    /// Says what is looked at: pictures near it in this direction (−1, 0, 1) stay longest.
    void look(int film, int frame, int direction);

private:
    struct Film {
        int at = 0;
        int direction = 0;
        unsigned long looked = 0; // by the count below
        std::map<int, DecodedPtr> frames, halved;
    };
    [[nodiscard]] DecodedPtr find(int film, int frame, std::map<int, DecodedPtr> Film::*where) const;
    void keep(int film, int frame, DecodedPtr picture, std::map<int, DecodedPtr> Film::*where);
    void makeRoom(); // with the lock held

    mutable std::mutex m_mutex; // protects everything below
    std::size_t m_limit;
    std::size_t m_used = 0;
    unsigned long m_count = 0;
    int m_next = 1;
    std::map<int, Film> m_films;
};

} // namespace riflesso
