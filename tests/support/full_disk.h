#pragma once
/// \file
/// A disk that is full, as far as one process can tell: files may grow to a few bytes only.

#include <csignal>
#include <sys/resource.h>

namespace riflesso::test {

/// While it lives, writing beyond \p bytes fails in this process.
class FullDisk {
public:
    explicit FullDisk(rlim_t bytes) {
        m_signal = std::signal(SIGXFSZ, SIG_IGN);
        getrlimit(RLIMIT_FSIZE, &m_before);
        const rlimit small{bytes, m_before.rlim_max};
        setrlimit(RLIMIT_FSIZE, &small);
    }
    ~FullDisk() {
        setrlimit(RLIMIT_FSIZE, &m_before);
        std::signal(SIGXFSZ, m_signal);
    }
    FullDisk(const FullDisk&) = delete;
    FullDisk& operator=(const FullDisk&) = delete;

private:
    rlimit m_before{};
    void (*m_signal)(int) = nullptr;
};

} // namespace riflesso::test
