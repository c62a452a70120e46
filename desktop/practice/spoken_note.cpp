#include "desktop/practice/spoken_note.h"

#include "casebook/text.h"
#include "desktop/theme/icons.h"
#include "footage/sound.h"

#include <QHBoxLayout>

#include <cmath>

namespace riflesso {
namespace {
constexpr double kLongestNote = 120.0; // s: a note, no lecture
}

std::filesystem::path spokenNoteOf(const Casebook& book, Id block) {
    return book.library().practiceClips(book.data().id) / ("note-" + std::to_string(block) + ".wav");
}

SpokenNote::SpokenNote(Sounds& sounds, QWidget* parent) : QWidget(parent), m_sounds(sounds) {
    m_speak = new QPushButton;
    m_speak->setObjectName("speakNote");
    m_speak->setFocusPolicy(Qt::NoFocus);
    m_speak->setToolTip(tr("A spoken note on this block. (V)"));
    m_hear = new QPushButton;
    m_hear->setObjectName("hearNote");
    m_hear->setFocusPolicy(Qt::NoFocus);
    m_hear->setToolTip(tr("Hear the spoken note of this block."));
    setLineIcons({{m_hear, "play"}});
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(4);
    row->addWidget(m_speak);
    row->addWidget(m_hear);
    m_problem = new QLabel;
    m_problem->setObjectName("caution");
    m_problem->hide();
    row->addWidget(m_problem);
    connect(m_speak, &QPushButton::clicked, this, &SpokenNote::toggle);
    connect(m_hear, &QPushButton::clicked, this, [this] {
        if (const auto sound = soundOf(m_file))
            m_sounds.play(sound->samples, sound->rate);
        else
            fail(q(sound.error().text()));
    });
    say();
}

SpokenNote::~SpokenNote() {
    blockSignals(true); // who would hear them is going, too
    setFile({});
}

void SpokenNote::hideEvent(QHideEvent*) {
    if (recording()) // nobody is listened to unseen
        toggle();
}

void SpokenNote::setFile(const std::filesystem::path& file) {
    if (file == m_file)
        return;
    if (recording())
        toggle();
    m_file = file;
    m_seconds = 0.0;
    if (std::error_code ec; !file.empty() && std::filesystem::exists(file, ec))
        if (const auto sound = soundOf(file); sound && sound->rate > 0.0)
            m_seconds = static_cast<double>(sound->samples.size()) / sound->rate;
    say();
}

void SpokenNote::toggle() {
    if (m_file.empty())
        return;
    if (!recording()) {
        m_spoken.clear();
        m_problem->hide();
        m_voice = Voice::open(Voice::names().front());
        connect(m_voice.get(), &Voice::heard, this, [this](const std::vector<float>& samples) {
            m_spoken.insert(m_spoken.end(), samples.begin(), samples.end());
            if (static_cast<double>(m_spoken.size()) > kLongestNote * Voice::kRate)
                QMetaObject::invokeMethod(
                    this, [this] { recording() ? toggle() : void(); }, Qt::QueuedConnection);
        });
        connect(m_voice.get(), &Voice::failed, this, [this](const QString& why) { fail(why); });
        m_voice->start();
        say();
        return;
    }
    m_voice->stop();
    m_voice.reset();
    if (!m_spoken.empty()) {
        Sound sound;
        sound.rate = Voice::kRate;
        sound.samples = std::move(m_spoken);
        m_spoken = {};
        const double seconds = static_cast<double>(sound.samples.size()) / sound.rate;
        std::error_code ec;
        std::filesystem::create_directories(m_file.parent_path(), ec);
        if (const auto kept = writeSound(m_file, sound))
            m_seconds = seconds;
        else
            fail(q(kept.error().text()));
    }
    say();
    emit done();
}

void SpokenNote::fail(const QString& why) {
    m_problem->setText(why);
    m_problem->show();
}

void SpokenNote::say() {
    m_speak->setEnabled(!m_file.empty());
    m_speak->setText(recording() ? tr("Stop (V)") : tr("Speak (V)"));
    setLineIcons({{m_speak, recording() ? "square" : "mic"}});
    m_hear->setVisible(m_seconds > 0.0 && !recording());
    m_hear->setText(tr("%1 s").arg(std::lround(std::max(1.0, m_seconds))));
}

} // namespace riflesso
