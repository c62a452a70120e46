#include "files/write_file.h"

#include "core/words/say.h"

#include <cerrno>
#include <cstring>
#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

namespace riflesso {
namespace {

namespace fs = std::filesystem;

Error notWritten(const fs::path& path, int why) {
    const std::string advice = why == ENOSPC || why == EDQUOT                  ? "make room on the disk and do it again"
                               : why == EACCES || why == EPERM || why == EROFS ? "choose a place that you may write to"
                               : why == ENOENT                                 ? "does the folder exist?"
                                                                               : "is the disk still there?";
    return {"the file could not be written (" + std::string(std::strerror(why)) + ")", path.filename().string(),
            "what was there before is untouched", advice};
}

// A file that closes itself.
class Descriptor {
public:
    explicit Descriptor(int fd) : m_fd(fd) {}
    ~Descriptor() {
        if (m_fd >= 0)
            ::close(m_fd);
    }
    Descriptor(const Descriptor&) = delete;
    Descriptor& operator=(const Descriptor&) = delete;
    [[nodiscard]] int get() const { return m_fd; }
    // Some systems say only here that the disk was full.
    [[nodiscard]] bool close() {
        const int fd = m_fd;
        m_fd = -1;
        return ::close(fd) == 0;
    }

private:
    int m_fd;
};

// A name is on the disk only when its folder is. Not every file system can; the file itself is safe then.
void syncFolder(const fs::path& of) {
    const fs::path folder = of.parent_path().empty() ? fs::path(".") : of.parent_path();
    const Descriptor d(::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC));
    if (d.get() >= 0)
        ::fsync(d.get());
}

} // namespace

fs::path halfOf(const fs::path& whole) {
    fs::path half = whole;
    half += ".part";
    return half;
}

bool isHalf(const fs::path& path) {
    return path.extension() == ".part";
}

Status writeFile(const fs::path& path, std::string_view bytes) {
    const fs::path half = halfOf(path);
    ::unlink(half.c_str());
    const auto fail = [&](int why) {
        ::unlink(half.c_str());
        return notWritten(path, why);
    };
    Descriptor d(::open(half.c_str(), O_WRONLY | O_CREAT | O_EXCL | O_NOFOLLOW | O_CLOEXEC, 0600));
    if (d.get() < 0)
        return notWritten(path, errno);
    while (!bytes.empty()) {
        const ssize_t n = ::write(d.get(), bytes.data(), bytes.size());
        if (n < 0 && errno == EINTR)
            continue;
        if (n <= 0)
            return fail(n < 0 ? errno : ENOSPC);
        bytes.remove_prefix(static_cast<std::size_t>(n));
    }
    if (::fsync(d.get()) != 0 || !d.close())
        return fail(errno);
    if (::rename(half.c_str(), path.c_str()) != 0)
        return fail(errno);
    syncFolder(path);
    return Done{};
}

Status reserveHalf(const fs::path& whole, bool folder) {
    const fs::path half = halfOf(whole);
    int why = 0;
    if (folder) {
        why = ::mkdir(half.c_str(), 0700) == 0 ? 0 : errno;
    } else {
        const Descriptor d(::open(half.c_str(), O_WRONLY | O_CREAT | O_EXCL | O_NOFOLLOW | O_CLOEXEC, 0600));
        why = d.get() >= 0 ? 0 : errno;
    }
    // Looked at only now: who had this half file before may have finished it since the caller chose the name.
    std::error_code ec;
    if (why == 0 && fs::exists(fs::symlink_status(whole, ec)) && !(folder && fs::is_empty(whole, ec))) {
        fs::remove(half, ec);
        why = EEXIST;
    }
    if (why == 0)
        return Done{};
    Error e = notWritten(whole, why);
    if (why == EEXIST)
        e.kind = ErrorKind::conflict;
    return e;
}

Status finishHalf(const fs::path& whole) {
    const fs::path half = halfOf(whole);
    {
        std::error_code ec;
        const int how = fs::is_directory(half, ec) ? O_RDONLY | O_DIRECTORY : O_RDWR;
        Descriptor d(::open(half.c_str(), how | O_NOFOLLOW | O_CLOEXEC));
        if (d.get() < 0 || ::fsync(d.get()) != 0 || !d.close())
            return notWritten(whole, errno);
    }
    if (::rename(half.c_str(), whole.c_str()) != 0)
        return notWritten(whole, errno);
    syncFolder(whole);
    return Done{};
}

Result<std::string> readFile(const fs::path& path, std::uintmax_t limit) {
    const auto refused = [&](const std::string& what) {
        return Error{what, path.filename().string(), "nothing was changed", {}};
    };
    // Opening a pipe would wait for its other end.
    const Descriptor d(::open(path.c_str(), O_RDONLY | O_NONBLOCK | O_CLOEXEC));
    if (d.get() < 0)
        return refused(errno == ENOENT ? "there is no such file"
                                       : "the file cannot be read (" + std::string(std::strerror(errno)) + ")");
    struct stat about {};
    if (::fstat(d.get(), &about) != 0)
        return refused("the file cannot be read");
    if (S_ISDIR(about.st_mode))
        return refused("this is a folder");
    if (!S_ISREG(about.st_mode))
        return refused("this is no ordinary file");
    if (static_cast<std::uintmax_t>(about.st_size) > limit)
        return refused(fill(say("error", "the file is larger than %1 MB"), {std::to_string(limit >> 20)}));
    std::string bytes(static_cast<std::size_t>(about.st_size), '\0');
    std::size_t read = 0;
    while (read < bytes.size()) {
        const ssize_t n = ::read(d.get(), bytes.data() + read, bytes.size() - read);
        if (n < 0 && errno == EINTR)
            continue;
        if (n < 0)
            return refused(fill(say("error", "the file cannot be read (%1)"), {std::string(std::strerror(errno))}));
        if (n == 0)
            break; // it became shorter meanwhile
        read += static_cast<std::size_t>(n);
    }
    bytes.resize(read);
    return bytes;
}

} // namespace riflesso
