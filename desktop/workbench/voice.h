#pragma once
/// \file
/// What the coach says: a microphone of this computer, or the simulated one that ships with the program.

#include <QObject>
#include <QStringList>
#include <QTimer>

#include <memory>
#include <vector>

namespace riflesso {

/// Gives sound as it comes, one channel, −1..1. Interface thread.
class Voice : public QObject {
    Q_OBJECT
public:
    static constexpr double kRate = 48000.0; ///< Hz of what is heard

    /// Names of the microphones, the usual one first; the simulated one is always the last.
    static QStringList names();
    /// Errors come as `failed` when it is started.
    static std::unique_ptr<Voice> open(const QString& name);

    virtual void start() = 0;
    virtual void stop() = 0;

signals:
    void heard(const std::vector<float>& samples);
    void failed(const QString& message);
};

} // namespace riflesso
