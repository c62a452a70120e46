#pragma once
/// \file
/// The measure of a blueprint: its kind, its points on the figure, its target on the loaded reps.

#include "desktop/workbench/workbench.h"
#include "desktop/workshop/band_plot.h"
#include "desktop/workshop/figure_picker.h"
#include "desktop/workshop/form.h"

#include <QLabel>
#include <QPushButton>

namespace riflesso {

class MeasureEditor : public QWidget {
    Q_OBJECT
public:
    /// \p bench: the open case, on whose reps the measure is tried; may be null.
    MeasureEditor(WorkshopDocument& document, Workbench* bench, QWidget* parent = nullptr);
    void setIndex(int index);
    void fill();
    [[nodiscard]] FigurePicker* picker() const { return m_picker; }
    [[nodiscard]] BandPlot* plot() const { return m_plot; }

private:
    void buildFields();
    void buildKind();
    void buildPlace();
    void buildPoints();
    void buildDirection();
    void buildNumbers();
    void buildEvents();
    void buildLinks();
    void buildMeaning();
    QWidget* row(const QString& key, QWidget* field);
    struct TargetFields;
    void buildTargets();
    void fillTarget(const TargetFields& fields);
    void keepTarget(const TargetFields& fields);
    void fillTargets();
    void fillBeside();
    void showRows();
    void tryIt();
    void setPoints(const std::vector<PointSpec>& points);
    [[nodiscard]] const BlueprintMeasure* measure() const;

    WorkshopDocument& m_document;
    Workbench* m_bench;
    ItemForm* m_form;
    QPushButton* m_kind;
    FigurePicker* m_picker;
    BandPlot* m_plot;
    QLabel* m_results;
    QComboBox* m_target;
    ItemForm* m_targetForm;
    std::map<QString, QWidget*> m_fields; ///< rows that only some kinds have
    int m_targetIndex = 0;
};

} // namespace riflesso
