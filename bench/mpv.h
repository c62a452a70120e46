#pragma once
/// \file
/// mpv as a peer: started without a picture or sound, driven over its IPC socket.

#include <algorithm>
#include <chrono>
#include <cstring>
#include <filesystem>
#include <memory>
#include <string>
#include <thread>
#include <vector>

#include <csignal>
#include <fcntl.h>
#include <poll.h>
#include <spawn.h>
#include <sys/socket.h>
#include <sys/un.h>
#include <sys/wait.h>
#include <unistd.h>

namespace riflesso {

class Mpv {
public:
    static std::unique_ptr<Mpv> open(const std::filesystem::path& film) {
        auto m = std::unique_ptr<Mpv>(new Mpv);
        m->m_place = (std::filesystem::temp_directory_path() / ("riflesso-mpv-" + std::to_string(getpid()))).string();
        const std::string ipc = "--input-ipc-server=" + m->m_place;
        const std::string file = film.string();
        std::vector<std::string> words = {
            "mpv", "--no-config", "--vo=null", "--ao=null", "--pause", "--really-quiet", "--keep-open=yes", ipc, file};
        std::vector<char*> argv;
        for (auto& w : words)
            argv.push_back(w.data());
        argv.push_back(nullptr);
        if (posix_spawnp(&m->m_process, "mpv", nullptr, nullptr, argv.data(), environ) != 0)
            return nullptr;
        for (int tries = 0; tries < 200; ++tries) {
            m->m_socket = socket(AF_UNIX, SOCK_STREAM, 0);
            sockaddr_un address{};
            address.sun_family = AF_UNIX;
            std::strncpy(address.sun_path, m->m_place.c_str(), sizeof address.sun_path - 1);
            if (connect(m->m_socket, reinterpret_cast<sockaddr*>(&address), sizeof address) == 0)
                return m;
            close(m->m_socket);
            m->m_socket = -1;
            std::this_thread::sleep_for(std::chrono::milliseconds(20));
        }
        return nullptr;
    }
    ~Mpv() {
        if (m_socket >= 0)
            close(m_socket);
        if (m_process > 0) {
            kill(m_process, SIGTERM);
            waitpid(m_process, nullptr, 0);
        }
        unlink(m_place.c_str());
    }

    /// Median time of a step back from `second`, ms; 0 when it does not answer.
    double backSteps(double second, int steps) {
        ask("{\"command\":[\"seek\"," + std::to_string(second) + ",\"absolute+exact\"]}\n", "\"playback-restart\"");
        std::vector<double> ms;
        for (int i = 0; i < steps; ++i) {
            const auto start = std::chrono::steady_clock::now();
            if (!ask("{\"command\":[\"frame-back-step\"]}\n", "\"playback-restart\""))
                return 0.0;
            ms.push_back(std::chrono::duration<double, std::milli>(std::chrono::steady_clock::now() - start).count());
        }
        std::sort(ms.begin(), ms.end());
        return ms[ms.size() / 2];
    }

private:
    Mpv() = default;
    // Sends, and reads until the event.
    bool ask(const std::string& command, const char* event) {
        if (write(m_socket, command.data(), command.size()) < 0)
            return false;
        std::string heard;
        const auto start = std::chrono::steady_clock::now();
        while (std::chrono::steady_clock::now() - start < std::chrono::seconds(15)) {
            pollfd p{m_socket, POLLIN, 0};
            if (poll(&p, 1, 200) <= 0)
                continue;
            char buffer[4096];
            const auto n = read(m_socket, buffer, sizeof buffer);
            if (n <= 0)
                return false;
            heard.append(buffer, static_cast<std::size_t>(n));
            if (heard.find(event) != std::string::npos)
                return true;
        }
        return false;
    }
    pid_t m_process = 0;
    int m_socket = -1;
    std::string m_place;
};

} // namespace riflesso
