#pragma once
/// \file
/// Pictures for the screen: one reel a film, all under one limit of memory.

#include "footage/reel.h"
#include "handover/pictures.h"

#include <QCache>
#include <QImage>
#include <QObject>
#include <QString>

#include <atomic>
#include <list>
#include <map>

namespace riflesso {

/// Asks from and answers to the interface thread. Each open film has a thread of its own that decodes and reads ahead;
/// the last six films stay open. Memory: four fifths of the limit for decoded pictures, a fifth for painted ones.
class FrameService : public QObject {
    Q_OBJECT
public:
    static constexpr int kDefaultMegabytes = 512;
    FrameService();
    ~FrameService() override;

    /// Where tables of frames are kept. Set before the first film is asked for.
    void setIndexFolder(const QString& folder) { m_indexFolder = folder; }
    /// For all caches together.
    void setLimit(int megabytes);
    [[nodiscard]] std::size_t used() const;

    /// How a film's pictures are to be made from now on (brightness, contrast). What is on screen must be asked anew.
    void setShow(const QString& film, const ShowOptions& options);

    /// The picture if it is at hand, else a null image and frameReady() later. While scrubbing only the newest frame
    /// counts: it is dropped for a newer one. \p side: of a film in motion, roughly made pictures whose longest side is
    /// so many pixels will do (their device pixel ratio says how much smaller they are); 0 = all there is to see.
    QImage show(const QString& film, int frame, int side = 0);
    /// Like show(), but never dropped for a newer one.
    QImage still(const QString& film, int frame);
    /// Where the hand is in a film and where it goes: what is read ahead follows it.
    void travel(const QString& film, int frame, int direction);
    [[nodiscard]] bool idle() const;
    /// A file has changed its place: a film that could not be opened is tried again.
    void forget(const QString& film);

signals:
    void frameReady(const QString& film, int frame, const QImage& picture);
    void frameFailed(const QString& film, int frame, const QString& why);

private:
    struct Open {
        std::unique_ptr<Reel> reel;
        bool missing = false;
        unsigned long asked = 0;
        int shown = -1; // the frame asked for last to be shown, and how large it need be
        int side = 0;
    };
    Reel& reelOf(const QString& film);
    QImage painted(const QString& film, const DecodedFrame& picture, int side = 0) const;
    void answer(const QString& film, int frame, const DecodedPtr& picture, const QString& error);

    QString m_indexFolder;
    std::shared_ptr<FrameCache> m_cache;
    std::map<QString, ShowOptions> m_show;
    QCache<QString, QImage> m_stills; // cost in kB
    std::map<QString, Open> m_open;
    unsigned long m_count = 0;
    std::atomic<int> m_underway{0}; // answers on their way to the interface thread
};

} // namespace riflesso
