#include "desktop/parts/frame_service.h"

#include <list>

namespace riflesso {
namespace {
QString keyOf(const QString& film, int frame) {
    return film + '#' + QString::number(frame);
}
constexpr int kPicturesKb = 150 * 1024;
constexpr std::size_t kFilmBytes = 96u << 20;
constexpr std::size_t kOpenFilms = 3;
} // namespace

FrameService::FrameService() : m_pictures(kPicturesKb) {
    m_thread = std::thread([this] { work(); });
}

FrameService::~FrameService() {
    {
        std::lock_guard lock(m_mutex);
        m_stop = true;
        m_wishes.clear();
    }
    m_changed.notify_all();
    m_thread.join();
}

QImage FrameService::show(const QString& film, int frame) {
    return ask(film, frame, true);
}
QImage FrameService::still(const QString& film, int frame) {
    return ask(film, frame, false);
}

bool FrameService::idle() const {
    std::lock_guard lock(m_mutex);
    return m_wishes.empty() && !m_busy;
}

QImage FrameService::ask(const QString& film, int frame, bool droppable) {
    if (const QImage* there = m_pictures.object(keyOf(film, frame)))
        return *there;
    {
        std::lock_guard lock(m_mutex);
        for (const auto& w : m_wishes)
            if (w.film == film && w.frame == frame)
                return {};
        if (droppable)
            std::erase_if(m_wishes, [&](const Wish& w) { return w.droppable && w.film == film; });
        // What is looked at now goes before what fills the boards.
        if (droppable)
            m_wishes.push_front({film, frame, droppable});
        else
            m_wishes.push_back({film, frame, droppable});
    }
    m_changed.notify_one();
    return {};
}

void FrameService::work() {
    struct Open {
        QString path;
        std::unique_ptr<Film> film;
        QString error;
    };
    std::list<Open> open; // newest first
    while (true) {
        Wish wish;
        {
            std::unique_lock lock(m_mutex);
            m_busy = false;
            m_changed.wait(lock, [&] { return m_stop || !m_wishes.empty(); });
            if (m_stop)
                return;
            wish = m_wishes.front();
            m_wishes.pop_front();
            m_busy = true;
        }
        auto it = std::find_if(open.begin(), open.end(), [&](const Open& o) { return o.path == wish.film; });
        if (it == open.end()) {
            auto film = Film::open(wish.film.toStdString(), {.cacheBytes = kFilmBytes, .cache = {}, .indexFolder = {}, .progress = {}});
            if (film)
                open.push_front({wish.film, std::move(*film), {}});
            else
                open.push_front({wish.film, nullptr, QString::fromStdString(film.error().text())});
            while (open.size() > kOpenFilms)
                open.pop_back();
        } else {
            open.splice(open.begin(), open, it);
        }
        QImage image;
        QString error = open.front().error;
        if (open.front().film) {
            const auto picture = open.front().film->frame(FrameIndex(wish.frame));
            if (picture)
                image = QImage(reinterpret_cast<const uchar*>(picture->pixels.data()), picture->width, picture->height,
                               QImage::Format_RGB32)
                            .copy();
            else
                error = QString::fromStdString(picture.error().text());
        } else {
            open.pop_front(); // tried again next time: the file may have come back
        }
        QMetaObject::invokeMethod(
            this, [this, wish, image, error] { answer(wish, image, error); }, Qt::QueuedConnection);
    }
}

void FrameService::answer(const Wish& wish, const QImage& picture, const QString& error) {
    if (picture.isNull()) {
        emit frameFailed(wish.film, wish.frame, error);
        return;
    }
    m_pictures.insert(keyOf(wish.film, wish.frame), new QImage(picture),
                      static_cast<int>(picture.sizeInBytes() / 1024));
    emit frameReady(wish.film, wish.frame, picture);
}

} // namespace riflesso
