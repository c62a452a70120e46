#include "desktop/workbench/voice.h"

#include "simulator/microphone.h"

#include <QAudioDevice>
#include <QAudioSource>
#include <QElapsedTimer>
#include <QMediaDevices>

#include <cmath>

namespace riflesso {
namespace {

QString simulatedName() {
    return Voice::tr("Simulated microphone");
}

// Strikes in a hall, one a second, in real time.
class SimulatedVoice : public Voice {
public:
    SimulatedVoice() {
        m_timer.setInterval(40);
        connect(&m_timer, &QTimer::timeout, this, [this] { give(); });
    }
    void start() override {
        m_given = 0.0;
        m_clock.start();
        m_timer.start();
    }
    void stop() override {
        if (m_timer.isActive())
            give();
        m_timer.stop();
    }

private:
    void give() {
        const double now = static_cast<double>(m_clock.elapsed()) / 1000.0;
        if (now <= m_given)
            return;
        SimulatedMicrophone microphone;
        microphone.rate = kRate;
        microphone.seed = static_cast<unsigned>(m_given * 1000.0) + 1;
        std::vector<double> strikes;
        for (double at = std::floor(m_given) - 1.0; at < now; at += 1.0)
            strikes.push_back(at + 0.5);
        emit heard(hear(microphone, strikes, m_given, now).samples);
        m_given = now;
    }
    QTimer m_timer;
    QElapsedTimer m_clock;
    double m_given = 0.0;
};

class DeviceVoice : public Voice {
public:
    explicit DeviceVoice(const QAudioDevice& device) : m_device(device) {}
    void start() override {
        QAudioFormat format;
        format.setSampleRate(static_cast<int>(kRate));
        format.setChannelCount(1);
        format.setSampleFormat(QAudioFormat::Int16);
        if (!m_device.isFormatSupported(format)) {
            emit failed(tr("%1 does not give sound at 48,000 Hz.").arg(m_device.description()));
            return;
        }
        m_source = std::make_unique<QAudioSource>(m_device, format);
        m_from = m_source->start();
        if (!m_from || m_source->error() != QAudio::NoError) {
            emit failed(tr("%1 does not start.").arg(m_device.description()));
            return;
        }
        connect(m_from, &QIODevice::readyRead, this, [this] { give(); });
        connect(m_source.get(), &QAudioSource::stateChanged, this, [this](QAudio::State state) {
            if (state == QAudio::StoppedState && m_source && m_source->error() != QAudio::NoError)
                emit failed(tr("%1 was pulled out.").arg(m_device.description()));
        });
    }
    void stop() override {
        if (!m_source)
            return;
        give();
        m_source->disconnect(this);
        m_source->stop();
        m_source.reset();
        m_from = nullptr;
    }

private:
    void give() {
        if (!m_from)
            return;
        m_rest += m_from->readAll();
        const auto n = m_rest.size() / 2;
        std::vector<float> samples(static_cast<std::size_t>(n));
        const auto* bytes = reinterpret_cast<const uchar*>(m_rest.constData());
        for (qsizetype i = 0; i < n; ++i)
            samples[static_cast<std::size_t>(i)] =
                static_cast<float>(static_cast<std::int16_t>(bytes[2 * i] | bytes[2 * i + 1] << 8)) / 32768.0f;
        m_rest.remove(0, 2 * n);
        if (!samples.empty())
            emit heard(samples);
    }
    QAudioDevice m_device;
    std::unique_ptr<QAudioSource> m_source;
    QIODevice* m_from = nullptr;
    QByteArray m_rest;
};

} // namespace

QStringList Voice::names() {
    QStringList out;
    const QAudioDevice usual = QMediaDevices::defaultAudioInput();
    if (!usual.isNull())
        out << usual.description();
    for (const auto& d : QMediaDevices::audioInputs())
        if (!out.contains(d.description()))
            out << d.description();
    return out << simulatedName();
}

std::unique_ptr<Voice> Voice::open(const QString& name) {
    if (name != simulatedName())
        for (const auto& d : QMediaDevices::audioInputs())
            if (d.description() == name)
                return std::make_unique<DeviceVoice>(d);
    return std::make_unique<SimulatedVoice>();
}

} // namespace riflesso
