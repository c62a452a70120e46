#include "desktop/practice/sounds.h"

#include <QAudioFormat>
#include <QAudioSink>
#include <QMediaDevices>
#include <QProcess>
#include <QStandardPaths>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace riflesso {
namespace {
constexpr double kToneRate = 48000.0, kTone = 0.16, kFade = 0.015; // Hz, s, s

// The system's own engine, and how it is told what to say: a program and the arguments before the words.
struct Engine {
    QString program;
    QStringList before;
};
Engine engine() {
    for (const auto& e : {Engine{"spd-say", {"--wait", "--"}}, Engine{"espeak-ng", {"--"}}, Engine{"flite", {"-t"}}})
        if (const QString found = QStandardPaths::findExecutable(e.program); !found.isEmpty())
            return {found, e.before};
    return {};
}
} // namespace

std::vector<float> chimeOf(Chime chime, double rate) {
    const double tones[2] = {chime == Chime::start  ? 659.3
                             : chime == Chime::rest ? 880.0
                                                    : 659.3,
                             chime == Chime::start ? 880.0 : 659.3};
    std::vector<float> out;
    const auto length = static_cast<int>(kTone * rate);
    for (const double tone : tones)
        for (int i = 0; i < length; ++i) {
            const double t = i / rate, left = kTone - t;
            const double loud = 0.35 * std::clamp(std::min(t, left) / kFade, 0.0, 1.0);
            out.push_back(static_cast<float>(loud * std::sin(2.0 * std::numbers::pi * tone * t)));
        }
    out.push_back(0.0f);
    return out;
}

Sounds::Sounds(QObject* parent) : QObject(parent) {}
Sounds::~Sounds() {
    if (m_voice)
        m_voice->kill();
}

bool Sounds::canSpeak() {
    return !engine().program.isEmpty();
}

void Sounds::play(Chime chime) {
    play(chimeOf(chime, kToneRate), kToneRate);
}

void Sounds::play(const std::vector<float>& samples, double rate) {
    ++m_played;
    const QAudioDevice device = QMediaDevices::defaultAudioOutput();
    if (device.isNull())
        return;
    QByteArray bytes;
    for (const float v : samples) {
        const auto sample = static_cast<qint16>(std::lround(32767.0f * std::clamp(v, -1.0f, 1.0f)));
        bytes.append(reinterpret_cast<const char*>(&sample), sizeof sample);
    }
    QAudioFormat format;
    format.setSampleRate(static_cast<int>(rate));
    format.setChannelCount(1);
    format.setSampleFormat(QAudioFormat::Int16);
    m_sink.reset();
    m_samples.close();
    m_samples.setData(bytes);
    m_samples.open(QIODevice::ReadOnly);
    m_sink = std::make_unique<QAudioSink>(device, format);
    m_sink->start(&m_samples);
}

void Sounds::say(const QString& words) {
    m_said = words;
    const Engine e = engine();
    if (m_voice) { // what is still being said ends
        m_voice->kill();
        m_voice->waitForFinished(200);
        m_voice.reset();
    }
    if (words.isEmpty() || e.program.isEmpty())
        return;
    m_voice = std::make_unique<QProcess>();
    m_voice->setStandardOutputFile(QProcess::nullDevice());
    m_voice->setStandardErrorFile(QProcess::nullDevice());
    m_voice->start(e.program, e.before + QStringList{words});
}

} // namespace riflesso
