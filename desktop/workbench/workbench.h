#pragma once
/// \file
/// What the workspaces share: the open case, the pictures, and what is being looked at.

#include "casebook/casebook.h"
#include "casebook/first_words.h"
#include "desktop/parts/frame_service.h"
#include "handover/clip.h"

#include <QObject>

#include <algorithm>

namespace riflesso {

/// Interface thread. Workspaces read and set the selection here and never talk to one another.
class Workbench : public QObject {
    Q_OBJECT
public:
    explicit Workbench(std::unique_ptr<Casebook> book) : m_book(std::move(book)) {
        connect(m_book.get(), &Casebook::analysed, this, [this] { m_snapshot.reset(); });
        connect(m_book.get(), &Casebook::changed, this, [this](const ChangeSet& c) {
            m_snapshot.reset();
            if (!c.takes.empty())
                applyPictures();
            repair();
        });
        m_frames.setIndexFolder(QString::fromStdString(m_book->library().indexFolder().string()));
        applyPictures();
        // Open where the work is: the newest take of the athlete.
        for (const auto& [id, take] : m_book->data().takes)
            if (take.performer == Performer::athlete &&
                (m_take == 0 || take.day >= m_book->data().takes.at(m_take).day) && !repsOf(m_book->data(), id).empty())
                m_take = id;
        repair();
        if (const Rep* r = rep(); r && !r->positions.empty())
            m_frame = firstFrameOf(*r);
    }

    [[nodiscard]] Casebook& book() const { return *m_book; }
    [[nodiscard]] const CaseData& data() const { return m_book->data(); }
    [[nodiscard]] const Analysis& analysis() const { return m_book->analysis(); }
    [[nodiscard]] const Blueprint& blueprint() const { return m_book->blueprint(); }
    FrameService& frames() { return m_frames; }
    /// The case as it is now, for workers: copied once after each change, when somebody asks for it.
    std::shared_ptr<const FilmedSnapshot> snapshot() {
        if (!m_snapshot)
            m_snapshot = std::make_shared<const FilmedSnapshot>(
                FilmedSnapshot{data(), blueprint(), analysis(), m_book->library().media()});
        return m_snapshot;
    }

    [[nodiscard]] const Take* take() const {
        const auto it = data().takes.find(m_take);
        return it == data().takes.end() ? nullptr : &it->second;
    }
    [[nodiscard]] const Rep* rep() const {
        const auto it = data().reps.find(m_rep);
        return it == data().reps.end() ? nullptr : &it->second;
    }
    [[nodiscard]] int frame() const { return m_frame; }
    [[nodiscard]] QString filmPath(const Take& take) const {
        return QString::fromStdString(m_book->library().filmOf(take).string());
    }

    void selectTake(Id take) {
        if (take == m_take)
            return;
        m_take = take;
        m_rep = 0;
        m_frame = 0;
        repair();
        if (const Rep* r = rep(); r && !r->positions.empty())
            m_frame = firstFrameOf(*r);
        emit selectionChanged();
        emit frameChanged();
    }
    void selectRep(Id rep) {
        if (!data().reps.contains(rep))
            return;
        const bool otherTake = data().reps.at(rep).take != m_take;
        m_take = data().reps.at(rep).take;
        m_rep = rep;
        if (const Rep& r = data().reps.at(rep); !r.positions.empty())
            m_frame = firstFrameOf(r);
        else if (otherTake)
            m_frame = 0;
        emit selectionChanged();
        emit frameChanged();
    }
    void setFrame(int frame) {
        const Take* t = take();
        const int last = t ? static_cast<int>(t->times.size()) - 1 : 0;
        frame = std::clamp(frame, 0, std::max(0, last));
        if (frame == m_frame)
            return;
        if (t)
            m_frames.travel(filmPath(*t), frame, frame > m_frame ? 1 : -1);
        m_frame = frame;
        emit frameChanged();
    }
    /// Show where a number came from: its take, rep and frame, in Marking.
    void showSource(Id rep, FrameIndex frame) {
        selectRep(rep);
        setFrame(frame.value);
        emit workspaceWanted(Workspace::marking);
    }
    /// The frames that a reading asks for; nextLook() leads through them.
    void setLooks(std::vector<Look> looks) {
        m_looks = std::move(looks);
        m_look = 0;
    }
    [[nodiscard]] std::size_t looksLeft() const { return m_looks.size() - m_look; }
    /// Goes to the next one in Marking; nothing when there is none left.
    std::optional<Look> nextLook() {
        while (m_look < m_looks.size()) {
            const Look look = m_looks[m_look++];
            if (!data().reps.contains(look.rep))
                continue; // it was taken away meanwhile
            showSource(look.rep, look.frame);
            return look;
        }
        return std::nullopt;
    }
    void goTo(const NextStep& step) {
        if (step.rep)
            selectRep(step.rep);
        else if (step.take)
            selectTake(step.take);
        if (step.frame)
            setFrame(step.frame->value);
        emit workspaceWanted(step.where);
    }

signals:
    void selectionChanged();
    void frameChanged();
    void workspaceWanted(riflesso::Workspace where);
    void diaryWanted(riflesso::Day day); ///< in Practice, open at the newest practised day up to this one

private:
    void applyPictures() {
        for (const auto& [id, take] : data().takes) {
            ShowOptions o;
            o.brightness = take.picture.brightness;
            o.contrast = take.picture.contrast;
            m_frames.setShow(filmPath(take), o);
        }
    }
    static int firstFrameOf(const Rep& r) {
        int first = r.positions.begin()->second.frame.value;
        for (const auto& [id, p] : r.positions)
            first = std::min(first, p.frame.value);
        return first;
    }
    // What was selected may have been removed, by undo too.
    void repair() {
        const Id oldTake = m_take, oldRep = m_rep;
        if (!data().takes.contains(m_take))
            m_take = data().takes.empty() ? 0 : data().takes.begin()->first;
        if (!data().reps.contains(m_rep) || data().reps.at(m_rep).take != m_take) {
            const auto reps = repsOf(data(), m_take);
            m_rep = reps.empty() ? 0 : reps.front()->id;
            if (m_take != oldTake && m_rep && !reps.front()->positions.empty())
                m_frame = firstFrameOf(*reps.front());
        }
        if (m_take != oldTake || m_rep != oldRep)
            emit selectionChanged();
    }

    std::unique_ptr<Casebook> m_book;
    FrameService m_frames;
    std::shared_ptr<const FilmedSnapshot> m_snapshot;
    std::vector<Look> m_looks;
    std::size_t m_look = 0;
    Id m_take = 0;
    Id m_rep = 0;
    int m_frame = 0;
};

} // namespace riflesso
