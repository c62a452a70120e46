#pragma once
/// \file
/// What is heard in practice besides the tempo: start, rest and end, and the cue, spoken.

#include <QBuffer>
#include <QObject>
#include <QString>

#include <memory>
#include <vector>

class QAudioSink;
class QProcess;

namespace riflesso {

enum class Chime {
    start, ///< two tones up
    rest,  ///< two tones down
    end    ///< one tone twice
};

/// Samples −1..1 at \p rate Hz; silent at both ends. Pure.
std::vector<float> chimeOf(Chime chime, double rate);

/// Interface thread. Without a sound device or a speech engine nothing is heard and nothing fails.
class Sounds : public QObject {
    Q_OBJECT
public:
    explicit Sounds(QObject* parent = nullptr);
    ~Sounds() override;
    void play(Chime chime);
    /// Samples −1..1 at \p rate Hz; what was playing ends.
    void play(const std::vector<float>& samples, double rate);
    /// Cuts off what is being said.
    void say(const QString& words);
    /// Is there a speech engine on this computer: speech-dispatcher, eSpeak NG or Flite?
    [[nodiscard]] static bool canSpeak();
    /// Asked for last, whether it was heard or not: for the screen and tests.
    [[nodiscard]] const QString& said() const { return m_said; }
    [[nodiscard]] int played() const { return m_played; }

private:
    std::unique_ptr<QAudioSink> m_sink;
    QBuffer m_samples;
    std::unique_ptr<QProcess> m_voice;
    QString m_said;
    int m_played = 0;
};

} // namespace riflesso
