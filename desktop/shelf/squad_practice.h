#pragma once
/// \file
/// Practice for several at once: tap a name, then the verdict.

#include "core/technique/blueprint.h"
#include "desktop/shelf/squad_sheet.h"
#include "desktop/workbench/rep_dots.h"

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QPushButton>

#include <memory>
#include <vector>

namespace riflesso {

/// Keys: 1 to 9 and 0 take the first ten athletes, up and down the others; G good, B not yet, Backspace takes the
/// chosen one's last rep back. Each verdict is written at once into a block of that athlete's case.
class SquadPractice : public QDialog {
    Q_OBJECT
public:
    SquadPractice(std::shared_ptr<Library> library, const Blueprint& blueprint, std::vector<SquadRow> rows,
                  const std::string& fault, Day today, QWidget* parent = nullptr);
    [[nodiscard]] std::size_t chosen() const { return m_chosen; }
    /// The block of an athlete, as it is kept; none before the first verdict.
    [[nodiscard]] std::optional<Block> block(std::size_t row) const;

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    struct Row {
        SquadRow who;
        std::optional<Block> block;
        QPushButton* name;
        RepDots* dots;
        QLabel* count;
    };
    void choose(std::size_t row);
    void verdict(bool good);
    void takeBack();
    bool write(Row& row, const Block& block);
    void showRow(const Row& row);

    std::shared_ptr<Library> m_library;
    Blueprint m_blueprint;
    Day m_today;
    std::vector<Row> m_rows;
    std::size_t m_chosen = 0;
    QComboBox* m_drill;
    QLabel* m_cue;
    QLabel* m_state;
};

} // namespace riflesso
