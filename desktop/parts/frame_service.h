#pragma once
/// \file
/// Pictures for the screen, decoded on a thread of their own.

#include "footage/film.h"

#include <QCache>
#include <QImage>
#include <QObject>
#include <QString>

#include <condition_variable>
#include <deque>
#include <mutex>
#include <thread>

namespace riflesso {

/// Asks from and answers to the interface thread. One worker owns the open films (the last three) and decodes in order
/// of asking, except that show() of the same film replaces an unanswered show(): while scrubbing only the newest frame
/// counts. Memory: decoded films 3 × 96 MB, pictures on screen 150 MB at most.
class FrameService : public QObject {
    Q_OBJECT
public:
    FrameService();
    ~FrameService() override;

    /// The picture if it is at hand, else a null image and frameReady() later.
    QImage show(const QString& film, int frame);
    /// Like show(), but never dropped for a newer one.
    QImage still(const QString& film, int frame);
    [[nodiscard]] bool idle() const;

signals:
    void frameReady(const QString& film, int frame, const QImage& picture);
    void frameFailed(const QString& film, int frame, const QString& why);

private:
    struct Wish {
        QString film;
        int frame = 0;
        bool droppable = false;
    };
    QImage ask(const QString& film, int frame, bool droppable);
    void work();
    void answer(const Wish& wish, const QImage& picture, const QString& error);

    QCache<QString, QImage> m_pictures; // interface thread only; cost in kB
    mutable std::mutex m_mutex;         // protects: m_wishes, m_stop, m_busy
    std::condition_variable m_changed;
    std::deque<Wish> m_wishes;
    bool m_stop = false;
    bool m_busy = false;
    std::thread m_thread;
};

} // namespace riflesso
