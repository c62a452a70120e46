#pragma once
/// \file
/// Marking: pegs by keys, landmarks by click in guided order, drag, nudge; saved at once.

#include "desktop/marking/curve_panel.h"
#include "desktop/marking/draft_panel.h"
#include "desktop/marking/eye_panel.h"
#include "desktop/marking/guide.h"
#include "desktop/marking/mark_canvas.h"
#include "desktop/marking/points_panel.h"
#include "desktop/marking/repeat_panel.h"
#include "desktop/marking/trust_strip.h"
#include "desktop/parts/key_table.h"
#include "desktop/workbench/carrier.h"
#include "desktop/workbench/ribbon.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QTabWidget>
#include <QTimer>
#include <QToolButton>

namespace riflesso {

class MarkingPage : public QWidget {
    Q_OBJECT
public:
    explicit MarkingPage(Workbench& bench);
    [[nodiscard]] MarkCanvas* canvas() const { return m_canvas; }
    [[nodiscard]] Carrier* carrier() const { return m_carrier; }
    [[nodiscard]] DraftPanel* draft() const { return m_draft; }
    [[nodiscard]] TrustStrip* trust() const { return m_trust; }
    [[nodiscard]] QTabWidget* tabs() const { return m_tabs; }

    /// Places the key position of this number (0-based) on the frame shown; starts a rep when there is none.
    void placePeg(int index);
    /// Goes to the next place of this rep where something is missing.
    void nextOpen();
    void startRep();
    /// Carries the rep's hand marks through its frames; one landmark only when \p alone.
    void carryRep(bool alone = false);
    /// Hollow pegs where the rules of the blueprint see the key positions.
    void propose();
    /// Goes to the frame whose correction would make the measures surest.
    void worstNext();
    /// The side with the loupe stands on the left for the left hand.
    void setLeftHanded(bool left);
    /// All hollow pegs of this rep; or those of every rep of the take that are surer than a frame.
    void acceptAll(bool everyRep);
    /// To the next hollow peg that is unsure by more than a frame, in this rep and then in the others.
    void unsureNext();
    /// Accepts the hollow peg of this frame, or the carried mark that is asked for; else goes to the next hollow peg.
    void accept();
    /// The nearest frame before with marks, on this one; sides swapped when \p mirror.
    void copyBefore(bool mirror);
    void swapSidesFromHere();
    /// This rep like a marked one of the same take.
    void startLikeMarked();
    /// Reads hidden landmarks of the rep from others, where the blueprint says how.
    void readByProxy();

signals:
    void failed(const QString& message);
    void said(const QString& message);

protected:
    void showEvent(QShowEvent*) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    void refreshTakes();
    void refresh();
    void showFrame();
    [[nodiscard]] QString calledHere(const LandmarkName& landmark) const;
    void say();
    void advance();
    void makeKeys();
    void makePegKeys();
    void makePointKeys();
    void makeParts();
    [[nodiscard]] QHBoxLayout* makeBar();
    [[nodiscard]] QHBoxLayout* makeTools();
    void makeTabs();
    void followParts();
    void followCase();
    void togglePlay();
    void toLandmark(int way);
    void nudge(double right, double down);
    void zoom(double by);
    void toPeg(int direction);
    void movePeg(int frames);
    void followAthlete();
    void listen();
    [[nodiscard]] const Ask* askHere() const;
    [[nodiscard]] std::vector<LandmarkName> wanted() const; ///< landmarks asked for on the frame shown
    /// What another angle says against a mark of this frame; null when nothing.
    [[nodiscard]] const ViewMismatch* mismatchHere() const;
    void showOtherView();
    [[nodiscard]] PositionId positionHere() const;
    [[nodiscard]] std::set<LandmarkName> markedHere() const;

    Workbench& m_bench;
    KeyTable* m_keys;
    // The ones that a button or a menu has, too.
    QAction *m_newRep, *m_next, *m_propose, *m_carry, *m_worstNext, *m_hide, *m_swap, *m_copy, *m_copySwapped, *m_like,
        *m_beginDraft, *m_playing, *m_stay;
    QComboBox* m_takes;
    QComboBox* m_reps;
    MarkCanvas* m_canvas;
    PointsPanel* m_points;
    FigureGuide* m_guide;
    QLabel* m_where;
    Loupe* m_loupe;
    QListWidget* m_pegs;
    QLabel* m_words;
    Ribbon* m_ribbon;
    TrustStrip* m_trust;
    Carrier* m_carrier;
    DraftPanel* m_draft;
    QTabWidget* m_tabs;
    CurvePanel* m_curves;
    EyePanel* m_eye;
    RepeatPanel* m_repeat;
    QPushButton* m_worst;
    QLabel* m_doubt;
    std::map<Id, std::pair<int, int>> m_doubts; // by rep: before the last change, and now
    QString doubtWords(Id rep, const Attention& attention);
    QToolButton* m_follow;
    std::vector<double> m_strikes; // heard in the take, s of real time
    Id m_strikesOf = 0;
    QPushButton* m_play;
    QTimer m_player;
};

} // namespace riflesso
