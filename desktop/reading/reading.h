#pragma once
/// \file
/// First reading: one button on a fresh take or on a whole day.

#include "casebook/first_words.h"
#include "desktop/workbench/carrier.h"
#include "intake/find_body.h"

#include <QObject>

#include <deque>

namespace riflesso {

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

signals:
    void failed(const QString& message);
    /// In words, with the looks that would decide most.
    void done(const QString& words);
    /// Several people are in the film: the athlete has to be chosen.
    void whoIsIt(riflesso::Id take, riflesso::FrameIndex frame);

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
