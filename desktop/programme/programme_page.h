#pragma once
/// \file
/// Programme: the ladder of each focus, the weeks that can be bent by hand, the drill.

#include "desktop/parts/card.h"
#include "desktop/parts/key_table.h"
#include "desktop/programme/ladder_view.h"
#include "desktop/programme/plan_calendar.h"
#include "desktop/workbench/drill_card.h"
#include "desktop/workbench/workbench.h"

#include <QComboBox>
#include <QFutureWatcher>
#include <QPushButton>

namespace riflesso {

/// A gesture is kept at once; what stands round it is laid anew on a worker and joins the same undo step. Until a plan
/// is kept, a proposal is shown.
class ProgrammePage : public QWidget {
    Q_OBJECT
public:
    explicit ProgrammePage(Workbench& bench);
    [[nodiscard]] PlanCalendar* calendar() const { return m_calendar; }
    /// Is a plan under way on a worker?
    /// Busy hours and competitions of the next twelve weeks. False when it failed: the words are on the page.
    bool takeCalendarIn(const QString& file, const QString& competition);
    [[nodiscard]] bool planning() const { return m_watcher.isRunning(); }

private:
    /// What is done with a plan that a worker lays.
    struct Job {
        Day from{}, to{};
        QString what;
        int gesture = 0;
        bool keep = false; ///< else it is a proposal
    };
    void refresh();
    void showPlan();
    void showRules();
    void showDrill();
    void propose();
    void lay(const Job& job);
    void laid();
    void acceptProposal(int gesture);
    /// Changes one block by hand, and has the weeks round it laid anew.
    void bend(PlannedBlock block, const QString& what, bool around = true);
    void addDrill(const QString& drill, Day day);
    /// Makes or changes a drill of the coach's own; an empty id makes one.
    void editOwnDrill(const QString& id);
    void remove(std::size_t block);
    void menu(std::size_t block, const QPoint& at);
    void overrule(const Breach& breach);
    void consider(std::optional<std::size_t> block, const QString& drill, std::optional<Day> day);
    [[nodiscard]] bool stands() const;
    [[nodiscard]] PlanInput input() const;
    [[nodiscard]] std::vector<PlannedBlock> current() const;
    [[nodiscard]] int weeks() const { return m_weeks->currentData().toInt(); }
    [[nodiscard]] Day lastDay() const;

    [[nodiscard]] QHBoxLayout* makeBar();
    [[nodiscard]] QPushButton* makeCalendarFiles();
    void followBar();
    void followCalendar();
    void followBreach();
    void moveBlock(PlannedBlock block, Day to);

    Workbench& m_bench;
    KeyTable* m_keys;
    QComboBox* m_regime;
    QComboBox* m_weeks;
    QLabel* m_head;
    QPushButton* m_keep;
    QPushButton* m_anew;
    LadderView* m_ladder;
    PlanCalendar* m_calendar;
    QFrame* m_line;
    QLabel* m_words;
    QPushButton* m_mend;
    QPushButton* m_accept;
    DrillCard* m_drill;
    QFutureWatcher<Plan> m_watcher;
    std::optional<Job> m_job, m_waiting;
    std::map<Id, PlannedBlock> m_asked; ///< the plan that stood when the worker was asked
    Plan m_proposal;
    std::map<Day, double> m_taken;
    std::optional<Breach> m_breach; ///< that the line names
    std::optional<WayOut> m_way;
    int m_gesture = 1 << 20; ///< apart from those of other pages
};

} // namespace riflesso
