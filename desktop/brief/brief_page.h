#pragma once
/// \file
/// Brief: ask before looking. One page.

#include "desktop/brief/body_map.h"
#include "desktop/workbench/workbench.h"

#include <QMenu>

#include <QCheckBox>
#include <QComboBox>
#include <QDateEdit>
#include <QDoubleSpinBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QSpinBox>
#include <QWidget>

namespace riflesso {

class BriefPage : public QWidget {
    Q_OBJECT
public:
    explicit BriefPage(Workbench& bench);

private:
    void makeFields();
    [[nodiscard]] QLayout* makeModels();
    [[nodiscard]] QWidget* makeWho();
    [[nodiscard]] QWidget* makeAsked();
    [[nodiscard]] QWidget* makeGuesses();
    [[nodiscard]] QWidget* makeTime();
    [[nodiscard]] QWidget* makeAtHand();
    void makeCompetitions(QVBoxLayout& under);
    [[nodiscard]] QWidget* makeBody();
    [[nodiscard]] QWidget* makeCautions();
    void fill();
    void setCompetitions(std::vector<Day> days);
    void save();
    void bringModel();
    void dropModels();
    void fillShelf();
    void shelve();

    struct GuessRow {
        QComboBox* measure;
        QDoubleSpinBox* value;
        QLabel* truth;
    };
    struct AtHand {
        std::string equipment;
        std::array<QCheckBox*, 2> there; ///< by place; none at home where nothing that needs it is done there
    };
    Workbench& m_bench;
    QLineEdit* m_name;
    QComboBox* m_hand;
    QLineEdit* m_level;
    QCheckBox* m_minor;
    QLineEdit* m_goal;
    QPlainTextEdit* m_thinks;
    QPlainTextEdit* m_told;
    QPlainTextEdit* m_injuries;
    QCheckBox* m_wants;
    QComboBox* m_school;
    QComboBox* m_reference;
    QLabel* m_models;
    QMenu* m_shelf;
    BodyMap* m_body;
    QDoubleSpinBox* m_stature;
    QLabel* m_growth;
    std::array<QSpinBox*, 7> m_minutes{};
    std::array<QCheckBox*, 7> m_alone{};
    std::array<QCheckBox*, 7> m_home{};
    std::vector<AtHand> m_atHand;
    QLabel* m_aim;
    QDateEdit* m_competition;
    QHBoxLayout* m_competitions; ///< a button each, which takes it away
    std::array<GuessRow, 2> m_guesses{};
    bool m_filling = false;
};

} // namespace riflesso
