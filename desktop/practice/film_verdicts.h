#pragma once
/// \file
/// Verdicts on film: the athlete's reps one after another in hidden order; the athlete says, then the coach, then the
/// measure shows.

#include "casebook/film_verdicts.h"
#include "desktop/workbench/workbench.h"

#include <QComboBox>
#include <QDialog>
#include <QElapsedTimer>
#include <QLabel>
#include <QPushButton>
#include <QTimer>

namespace riflesso {

/// A rep that plays round and round in half its speed; nothing on it tells which one it is.
class LoopView : public QWidget {
    Q_OBJECT
public:
    explicit LoopView(Workbench& bench, QWidget* parent = nullptr);
    void show(Id rep);
    [[nodiscard]] bool hasPicture() const { return !m_last.isNull(); }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Workbench& m_bench;
    Id m_rep = 0;
    QTimer m_timer;
    QElapsedTimer m_clock;
    QImage m_last;
};

/// Keys: G or Right is good, B or Left is not; Space goes on. Each rep is kept as soon as it is judged.
class FilmVerdictsDialog : public QDialog {
    Q_OBJECT
public:
    /// \p seed decides the order.
    FilmVerdictsDialog(Workbench& bench, unsigned seed, QWidget* parent = nullptr);
    [[nodiscard]] int judged() const { return static_cast<int>(m_at); }
    [[nodiscard]] QString question() const { return m_ask->text(); }

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    enum class Turn { athlete, coach, shown, over };
    void begin();
    void say(bool good);
    void next();
    void sayTurn();
    void keep();

    Workbench& m_bench;
    unsigned m_seed;
    std::vector<Id> m_reps;
    std::size_t m_at = 0;
    Turn m_turn = Turn::athlete;
    PractisedRep m_now;
    Id m_block = 0;
    QComboBox* m_measure;
    LoopView* m_view;
    QLabel* m_count;
    QLabel* m_ask;
    QLabel* m_answer;
    QPushButton* m_good;
    QPushButton* m_bad;
    QPushButton* m_next;
};

} // namespace riflesso
