#pragma once
/// \file
/// Findings: left the list, in the middle the picture that shows the chosen one, right the decision, below the chain
/// from cause to consequence. What is judged and against what stands on top.

#include "desktop/findings/chain_view.h"
#include "desktop/findings/decision_panel.h"
#include "desktop/findings/finding_list.h"
#include "desktop/findings/landing_map.h"
#include "desktop/findings/set_table.h"
#include "desktop/findings/still_pair.h"
#include "desktop/parts/key_table.h"
#include "desktop/workbench/moving.h"

#include <QComboBox>
#include <QStackedWidget>

namespace riflesso {

class FindingsPage : public QWidget {
    Q_OBJECT
public:
    explicit FindingsPage(Workbench& bench);

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    void makeKeys();
    void refresh();
    void fillChoices();
    void choiceMade();
    void showChosen();
    void playPair(bool on);
    [[nodiscard]] QWidget* makeFindings();

    Workbench& m_bench;
    KeyTable* m_keys;
    QComboBox* m_above;
    QComboBox* m_below;
    QComboBox* m_situation;
    QLabel* m_context;
    QPushButton* m_findingsButton;
    QPushButton* m_setsButton;
    QPushButton* m_landingsButton;
    QStackedWidget* m_ways;
    FindingList* m_list;
    StillPair* m_pair;
    MirrorMoving* m_moving;
    QStackedWidget* m_picture;
    DecisionPanel* m_decision;
    ChainView* m_chain;
    SetTable* m_sets;
    LandingMap* m_landings;
};

} // namespace riflesso
