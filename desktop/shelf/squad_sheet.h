#pragma once
/// \file
/// The squad at one technique: who has what, how a measure lies over all, and one session for everybody.

#include "core/progress/squad.h"
#include "core/technique/blueprint.h"
#include "desktop/shelf/shelf_model.h"

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QScrollArea>

#include <functional>
#include <optional>

namespace riflesso {

/// One athlete's row, from the card of the case of this technique.
struct SquadRow {
    SquadMember member;
    Id caseId = 0;
    CardDetail detail;
};

/// Rows athletes, columns faults; a shape each standing. A click opens the case.
class SquadTable : public QWidget {
    Q_OBJECT
public:
    explicit SquadTable(QWidget* parent = nullptr);
    void show(const Blueprint& blueprint, std::vector<SquadRow> rows);
    /// Rows and columns grow to fill a place, within bounds.
    void fit(QSize place);
    [[nodiscard]] QRectF cell(std::size_t row, std::size_t column) const;
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override { return sizeHint(); }

signals:
    void openCase(riflesso::Id caseId);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    bool event(QEvent* e) override;

private:
    [[nodiscard]] std::size_t phaseOf(const std::string& fault) const; ///< its place among the key positions
    void drawPhases(QPainter& p, double head, double foot) const;
    [[nodiscard]] double headHeight() const;
    Blueprint m_blueprint;
    std::vector<SquadRow> m_rows;
    std::vector<SquadFault> m_faults;
    double m_row = 30, m_cell = 46; ///< px
};

/// A measure over the squad: each athlete a dot with its uncertainty, the band behind.
class SquadMeasure : public QWidget {
    Q_OBJECT
public:
    explicit SquadMeasure(QWidget* parent = nullptr) : QWidget(parent) {
        setAccessibleName(tr("The measure of everybody"));
    }
    void show(const MeasureDefinition& definition, const std::vector<SquadRow>& rows);
    [[nodiscard]] QSize sizeHint() const override { return {560, 150}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {300, 130}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    std::optional<MeasureDefinition> m_definition;
    std::vector<std::pair<QString, CardDetail::Measure>> m_values;
};

/// Everything of it comes from the cards: no case is opened.
class SquadSheet : public QDialog {
    Q_OBJECT
public:
    /// \p blueprint: gives a technique by its id, if there is one.
    SquadSheet(const QString& squad, const std::vector<ShelfAthlete>& athletes,
               std::function<std::optional<Blueprint>(const std::string&)> blueprint, Day today,
               QWidget* parent = nullptr);
    [[nodiscard]] SquadTable* table() const { return m_table; }
    /// The session as a sheet to print.
    [[nodiscard]] QString sessionHtml() const;

signals:
    void openCase(riflesso::Id caseId);
    /// Several practise at once; the fault is the session's, empty when there is none.
    void practiceWanted(const riflesso::Blueprint& blueprint, const std::vector<riflesso::SquadRow>& rows,
                        const QString& fault);

protected:
    void resizeEvent(QResizeEvent* e) override;

private:
    void fill();
    void print();

    QString m_squad;
    std::vector<ShelfAthlete> m_athletes;
    std::function<std::optional<Blueprint>(const std::string&)> m_blueprintOf;
    Day m_today;
    Blueprint m_blueprint;
    std::vector<SquadRow> m_rows;
    QComboBox* m_technique;
    QComboBox* m_measure;
    SquadTable* m_table;
    QScrollArea* m_area;
    SquadMeasure* m_values;
    QLabel* m_session;
};

} // namespace riflesso
