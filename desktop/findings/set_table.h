#pragma once
/// \file
/// Set against set: a row a measure, a column a set; situations against choices; and who was seen doing what.

#include "desktop/parts/card.h"
#include "desktop/workbench/workbench.h"

#include <QTableWidget>

namespace riflesso {

/// The judged set last, the ones before it to its left, oldest first; the change from the last but one to it.
class SetTable : public QWidget {
    Q_OBJECT
public:
    explicit SetTable(Workbench& bench, QWidget* parent = nullptr);
    void refresh();
    static constexpr std::size_t kMost = 4; ///< sets side by side

private:
    void fillSets();
    void fillChoices();
    void fillBreaks();
    void fillPlayers();
    Workbench& m_bench;
    QLabel* m_words;
    QTableWidget* m_table;
    QLabel* m_breaks;
    QTableWidget* m_choices;
    QLabel* m_choicesTitle;
    QLabel* m_playersTitle;
    QTableWidget* m_players;
};

} // namespace riflesso
