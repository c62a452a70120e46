#pragma once
/// \file
/// First reading: one button on a fresh take or on a whole day.

#include "casebook/first_words.h"
#include "desktop/workbench/carrier.h"
#include "intake/find_body.h"

#include <QImage>
#include <QObject>
#include <QRectF>

#include <deque>

namespace riflesso {

/// Several people are in a film: one of its frames, and where they stand on it, the tallest first. px.
struct WhoIsIt {
    Id take = 0;
    FrameIndex frame;
    std::vector<QRectF> boxes;
    QImage picture;
};

/// Interface thread. Drafts the body (which can be cancelled and goes on later where it was), puts the direction right,
/// cuts the reps from the skeleton with their key positions proposed, waits for the measures and says what came of it.
/// Reps that are there already are left alone.
class FirstReader : public QObject {
    Q_OBJECT
public:
    FirstReader(Workbench& bench, Carrier& carrier, QObject* parent);

    void read(Id take);
    /// All takes of this one's day and performer.
    void readDay(Id take);
    [[nodiscard]] bool running() const { return m_take != 0; }
    /// The answer to whoIsIt(): reading goes on with the body in this box, and with the takes that wait.
    void choose(const WhoIsIt& who, const QRectF& box);
    /// No answer: this take and those that wait are left alone.
    void leave();

signals:
    void failed(const QString& message);
    /// In words, with the looks that would decide most.
    void done(const QString& words);
    /// The athlete has to be chosen; reading waits for choose() or leave().
    void whoIsIt(const riflesso::WhoIsIt& who);

private:
    void next();
    void lookForPeople();
    void draft(const Somebody& somebody);
    void cut();
    void take(const std::vector<Rep>& reps, std::optional<Facing> facing);
    void finish();
    [[nodiscard]] bool drafted() const;

    Workbench& m_bench;
    Carrier& m_carrier;
    std::deque<Id> m_waiting;
    Id m_take = 0; // being read
    bool m_drafting = false;
    bool m_measuring = false;
    bool m_cut = false; // something was: there is something to say
    int m_reps = 0;
};

} // namespace riflesso
