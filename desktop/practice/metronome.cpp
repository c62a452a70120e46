#include "desktop/practice/metronome.h"

#include <QAudioFormat>
#include <QAudioSink>
#include <QDateTime>
#include <QMediaDevices>

#include <algorithm>
#include <cmath>
#include <cstring>

namespace riflesso {
namespace {
constexpr double kRate = 48000.0;
constexpr double kClick = 0.03; // s
constexpr double kSlowest = 10.0, kFastest = 300.0;
} // namespace

TempoRound roundOf(TempoPattern pattern) {
    switch (pattern) {
    case TempoPattern::even:
        break;
    case TempoPattern::three:
        return {3.0, {{0.0, true}, {1.0, false}, {2.0, false}}};
    case TempoPattern::four:
        return {4.0, {{0.0, true}, {1.0, false}, {2.0, false}, {3.0, false}}};
    case TempoPattern::longShort:
        return {2.0, {{0.0, true}, {4.0 / 3.0, false}}};
    case TempoPattern::twoIn:
        return {3.0, {{0.0, true}, {2.0, false}}};
    }
    return {1.0, {{0.0, true}}};
}

std::vector<float> clicksFrom(TempoPattern pattern, double beatsAMinute, double rate, long long begin, long long end) {
    std::vector<float> out(static_cast<std::size_t>(std::max(0LL, end - begin)), 0.0f);
    const TempoRound round = roundOf(pattern);
    const double beat = 60.0 / std::clamp(beatsAMinute, kSlowest, kFastest); // s
    const auto length = static_cast<long long>(kClick * rate);
    // Rounds that may sound within this stretch.
    const double each = round.beats * beat * rate;
    const auto first = static_cast<long long>(std::floor((static_cast<double>(begin) - kClick * rate) / each));
    for (long long r = std::max(0LL, first); static_cast<double>(r) * each < static_cast<double>(end); ++r)
        for (const auto& c : round.clicks) {
            const auto at = std::llround(static_cast<double>(r) * each + c.at * beat * rate);
            for (long long i = std::max(0LL, begin - at); i < length && at + i < end; ++i) {
                const double t = static_cast<double>(i) / rate;
                out[static_cast<std::size_t>(at + i - begin)] =
                    static_cast<float>((c.strong ? 0.8 : 0.5) * std::exp(-t / 0.006) *
                                       std::sin(2.0 * 3.14159265358979 * (c.strong ? 1760.0 : 1175.0) * t));
            }
        }
    return out;
}

// Gives the device what comes next.
class Metronome::Source : public QIODevice {
public:
    Source(TempoPattern pattern, double beats) : m_pattern(pattern), m_beats(beats) { open(QIODevice::ReadOnly); }

protected:
    qint64 readData(char* to, qint64 most) override {
        const qint64 frames = std::min<qint64>(most / 2, 4096);
        const auto sound = clicksFrom(m_pattern, m_beats, kRate, m_at, m_at + frames);
        m_at += frames;
        for (std::size_t i = 0; i < sound.size(); ++i) {
            const auto v = static_cast<std::int16_t>(std::lround(32767.0f * sound[i]));
            std::memcpy(to + 2 * i, &v, 2);
        }
        return frames * 2;
    }
    qint64 writeData(const char*, qint64) override { return -1; }
    [[nodiscard]] qint64 bytesAvailable() const override { return 8192 + QIODevice::bytesAvailable(); }

private:
    TempoPattern m_pattern;
    double m_beats;
    long long m_at = 0;
};

Metronome::Metronome(QObject* parent) : QObject(parent) {
    m_timer.setInterval(5);
    m_timer.setTimerType(Qt::PreciseTimer);
    connect(&m_timer, &QTimer::timeout, this, &Metronome::tick);
}

Metronome::~Metronome() {
    stop();
}

void Metronome::start(TempoPattern pattern, double beatsAMinute) {
    stop();
    m_pattern = pattern;
    m_beats = std::clamp(beatsAMinute, kSlowest, kFastest);
    if (const QAudioDevice device = QMediaDevices::defaultAudioOutput(); !device.isNull()) {
        QAudioFormat format;
        format.setSampleRate(static_cast<int>(kRate));
        format.setChannelCount(1);
        format.setSampleFormat(QAudioFormat::Int16);
        m_source = std::make_unique<Source>(m_pattern, m_beats);
        m_sink = std::make_unique<QAudioSink>(device, format);
        m_sink->setBufferSize(static_cast<qsizetype>(kRate * 2 * 0.06)); // 60 ms ahead
        m_sink->start(m_source.get());
        if (m_sink->error() != QAudio::NoError)
            m_sink.reset();
    }
    m_began = QDateTime::currentMSecsSinceEpoch();
    m_shown = -1e-9;
    m_timer.start();
    tick();
}

void Metronome::stop() {
    m_timer.stop();
    if (m_sink)
        m_sink->stop();
    m_sink.reset();
    m_source.reset();
}

void Metronome::change(double by) {
    const double wanted = std::clamp(m_beats + by, kSlowest, kFastest);
    if (running())
        start(m_pattern, wanted);
    else
        m_beats = wanted;
}

void Metronome::tick() {
    const double beat = 60.0 / m_beats;
    const double now = static_cast<double>(QDateTime::currentMSecsSinceEpoch() - m_began) / 1000.0 / beat;
    const TempoRound round = roundOf(m_pattern);
    const double from = m_shown;
    m_shown = now;
    for (double start = std::floor(std::max(0.0, from) / round.beats) * round.beats; start <= now; start += round.beats)
        for (const auto& c : round.clicks)
            if (start + c.at > from && start + c.at <= now)
                emit clicked(c.strong);
}

} // namespace riflesso
