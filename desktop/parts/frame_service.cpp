#include "desktop/parts/frame_service.h"

#include <QSettings>

namespace riflesso {
namespace {
constexpr std::size_t kOpenFilms = 6;
QString keyOf(const QString& film, int frame) {
    return film + '#' + QString::number(frame);
}
} // namespace

FrameService::FrameService() : m_cache(std::make_shared<FrameCache>(0)) {
    setLimit(QSettings().value("memory", kDefaultMegabytes).toInt());
}

FrameService::~FrameService() {
    m_open.clear(); // their threads end here, while this object still hears them
}

void FrameService::setLimit(int megabytes) {
    const auto all = static_cast<std::size_t>(std::clamp(megabytes, 64, 65536)) << 20;
    m_cache->setLimit(all / 5 * 4);
    m_stills.setMaxCost(static_cast<int>(all / 5 >> 10));
}

std::size_t FrameService::used() const {
    return m_cache->used() + (static_cast<std::size_t>(m_stills.totalCost()) << 10);
}

void FrameService::setShow(const QString& film, const ShowOptions& options) {
    if (const auto it = m_show.find(film); it != m_show.end() ? it->second == options : options == ShowOptions())
        return;
    m_show[film] = options;
    const auto keys = m_stills.keys();
    for (const QString& k : keys)
        if (k.startsWith(film + '#'))
            m_stills.remove(k);
}

QImage FrameService::painted(const QString& film, const DecodedFrame& picture, int side) const {
    const auto found = m_show.find(film);
    ShowOptions options = found == m_show.end() ? ShowOptions() : found->second;
    options.longestSide = side;
    options.rough = side > 0;
    auto pixels = picture.toPicture(options);
    if (!pixels)
        return {};
    QImage image = imageOf(std::move(*pixels));
    image.setDevicePixelRatio(double(image.width()) / picture.width());
    return image;
}

Reel& FrameService::reelOf(const QString& film) {
    Open& open = m_open[film];
    if (open.reel && open.missing)
        open = Open(); // tried again: the file may have come back
    open.asked = ++m_count;
    if (open.reel)
        return *open.reel;
    while (m_open.size() > kOpenFilms) {
        auto oldest = m_open.end();
        for (auto it = m_open.begin(); it != m_open.end(); ++it)
            if (it->first != film && (oldest == m_open.end() || it->second.asked < oldest->second.asked))
                oldest = it;
        m_open.erase(oldest);
    }
    Film::Options o;
    o.cache = m_cache;
    o.indexFolder = m_indexFolder.toStdString();
    Reel::Callbacks back;
    back.ready = [this, film](const Reel::Told& told) {
        // On the reel's thread: hand the decoded picture over, it is turned into pixels where it is shown.
        ++m_underway;
        QMetaObject::invokeMethod(
            this,
            [this, film, told] {
                if (const auto it = m_open.find(film); it != m_open.end() && told.missing)
                    it->second.missing = true;
                answer(film, told.frame, told.picture, QString::fromStdString(told.error));
                --m_underway;
            },
            Qt::QueuedConnection);
    };
    open.reel = std::make_unique<Reel>(film.toStdString(), o, back);
    return *open.reel;
}

QImage FrameService::show(const QString& film, int frame, int side) {
    if (const QImage* there = m_stills.object(keyOf(film, frame)))
        return *there;
    Reel& reel = reelOf(film);
    m_open[film].shown = frame;
    m_open[film].side = side;
    const DecodedPtr there = reel.want(FrameIndex(frame), true, side > 0);
    return there ? painted(film, *there, side) : QImage();
}

QImage FrameService::still(const QString& film, int frame) {
    if (const QImage* there = m_stills.object(keyOf(film, frame)))
        return *there;
    const DecodedPtr there = reelOf(film).want(FrameIndex(frame), false);
    if (!there)
        return {};
    const QImage image = painted(film, *there);
    m_stills.insert(keyOf(film, frame), new QImage(image), static_cast<int>(image.sizeInBytes() / 1024));
    return image;
}

void FrameService::travel(const QString& film, int frame, int direction) {
    reelOf(film).travel(FrameIndex(frame), direction);
}

bool FrameService::idle() const {
    if (m_underway > 0)
        return false;
    return std::all_of(m_open.begin(), m_open.end(),
                       [](const auto& o) { return !o.second.reel || o.second.reel->idle(); });
}

void FrameService::forget(const QString& film) {
    m_open.erase(film);
}

void FrameService::answer(const QString& film, int frame, const DecodedPtr& decoded, const QString& error) {
    const auto it = m_open.find(film);
    const int side = it == m_open.end() || it->second.shown != frame ? 0 : it->second.side;
    if (decoded && decoded->isHalved() && side == 0) {
        // The hand has gone on, or has come to rest here meanwhile.
        if (it != m_open.end() && it->second.shown == frame)
            if (const DecodedPtr whole = reelOf(film).want(FrameIndex(frame), true))
                answer(film, frame, whole, {});
        return;
    }
    const QImage picture = decoded ? painted(film, *decoded, side) : QImage();
    if (picture.isNull()) {
        emit frameFailed(film, frame, error);
        return;
    }
    if (side == 0)
        m_stills.insert(keyOf(film, frame), new QImage(picture), static_cast<int>(picture.sizeInBytes() / 1024));
    emit frameReady(film, frame, picture);
}

} // namespace riflesso
