#pragma once
/// \file
/// The frame in Footage, with what is drawn on it: verticals, known lengths, points, edges, the crop.

#include "core/motion/calibration.h"
#include "desktop/parts/picture_view.h"

namespace riflesso {

enum class StageTool { none, plumb, horizon, length, rectangle, point, edge, check, crop, landed, zone };

/// Tools draw by dragging (lines, crop) or clicking (points, edges, zone, landing); Esc puts the tool away. Without a
/// tool the ends of what is drawn can be dragged.
class StageView : public PictureView {
    Q_OBJECT
public:
    explicit StageView(QWidget* parent = nullptr);

    void setTool(StageTool tool);
    [[nodiscard]] StageTool tool() const { return m_tool; }
    /// What the take has; painted with its sizes. \p check: the line measured last, with its words.
    void setDrawn(const CalibrationInput& drawn);
    void setCheck(const std::optional<DrawnLine>& line, const QString& words);
    /// Where the take's reps should land (middle and a point of the edge), and where this one did.
    void setLanding(const std::optional<std::pair<Pixel, Pixel>>& zone, const std::optional<Pixel>& landed);
    [[nodiscard]] static QString prompt(StageTool tool, std::size_t clicks);
    /// Points clicked so far with this tool.
    [[nodiscard]] const std::vector<Pixel>& clicks() const { return m_clicks; }
    /// An edge is finished by this (Enter, or a double click).
    void finishEdge();

signals:
    void lineDrawn(riflesso::StageTool tool, const riflesso::DrawnLine& line);
    void pointsClicked(riflesso::StageTool tool, const std::vector<riflesso::Pixel>& points);
    void cropDrawn(const QRect& crop);
    void edited(const riflesso::CalibrationInput& drawn);
    void toolPutAway();

protected:
    void paintOver(QPainter& painter) override;
    void pointerPressed(QPointF at, Qt::KeyboardModifiers modifiers) override;
    void pointerMoved(QPointF at, bool pressed) override;
    void pointerReleased(QPointF at) override;
    void keyPressEvent(QKeyEvent* e) override;
    void mouseDoubleClickEvent(QMouseEvent* e) override;

private:
    std::vector<Pixel*> ends();

    StageTool m_tool = StageTool::none;
    CalibrationInput m_drawn;
    std::optional<DrawnLine> m_check, m_dragged;
    std::optional<std::pair<Pixel, Pixel>> m_zone;
    std::optional<Pixel> m_landed;
    QString m_checkWords;
    std::vector<Pixel> m_clicks;
    Pixel* m_held = nullptr;
};

} // namespace riflesso
