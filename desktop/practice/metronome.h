#pragma once
/// \file
/// Clicks at a rate or in a pattern, made sample by sample: they keep time however busy the program is.

#include <QIODevice>
#include <QObject>
#include <QTimer>

#include <array>
#include <memory>
#include <string_view>
#include <vector>

class QAudioSink;

namespace riflesso {

/// Beats of one round, in beats: strong ones first. "1-2-3" is three beats, the first strong; "long-short" a strong
/// one, and after two thirds of two beats a weak one.
enum class TempoPattern { even, three, four, longShort, twoIn };
inline constexpr std::array<std::string_view, 5> kTempoNames = {"each beat", "1-2-3", "1-2-3-4", "long-short",
                                                                "in 2, out 1"};
struct Click {
    double at = 0.0; ///< beats since the round began
    bool strong = false;
};
struct TempoRound {
    double beats = 1.0;
    std::vector<Click> clicks;
};
TempoRound roundOf(TempoPattern pattern);

/// The sound of a tempo from \p begin to \p end (frames at \p rate Hz since it began). Values −1..1. Pure.
std::vector<float> clicksFrom(TempoPattern pattern, double beatsAMinute, double rate, long long begin, long long end);

/// Interface thread. Without a sound device the beat is only shown: `clicked` comes all the same.
class Metronome : public QObject {
    Q_OBJECT
public:
    explicit Metronome(QObject* parent = nullptr);
    ~Metronome() override;
    void start(TempoPattern pattern, double beatsAMinute);
    void stop();
    [[nodiscard]] bool running() const { return m_timer.isActive(); }
    [[nodiscard]] double beatsAMinute() const { return m_beats; }
    /// A beat a minute more or less, while it runs too.
    void change(double by);
    [[nodiscard]] bool audible() const { return m_sink != nullptr; }

signals:
    void clicked(bool strong);

private:
    class Source;
    void tick();
    TempoPattern m_pattern = TempoPattern::even;
    double m_beats = 60.0;
    std::unique_ptr<QAudioSink> m_sink;
    std::unique_ptr<Source> m_source;
    QTimer m_timer;
    qint64 m_began = 0;   ///< ms of the clock
    double m_shown = 0.0; ///< beats that were told
};

} // namespace riflesso
