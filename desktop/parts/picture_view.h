#pragma once
/// \file
/// A picture that zooms under the pointer and pans; the base of all frame views.

#include <QElapsedTimer>
#include <QImage>
#include <QPixmap>
#include <QTimer>
#include <QTransform>
#include <QWidget>

namespace riflesso {

/// Wheel: zoom at the pointer. Middle button, or Shift + left: pan. F or double-click on empty ground: fit.
/// Subclasses paint over it with toView() and hear pointer events in picture pixels.
class PictureView : public QWidget {
    Q_OBJECT
public:
    explicit PictureView(QWidget* parent = nullptr);

    /// One that was made smaller says so by its device pixel ratio; points are in the film's own pixels.
    void setPicture(const QImage& picture);
    void setMessage(const QString& message); ///< shown when there is no picture
    [[nodiscard]] const QImage& picture() const { return m_picture; }
    [[nodiscard]] QSize pictureSize() const { return m_size; } ///< in the film's own pixels
    /// How many pixels of the screen the longest side takes up while pictures follow one another and all of one is
    /// shown; 0 when a picture is looked at more closely or stands still, and so must be whole.
    [[nodiscard]] int sideInMotion() const;
    [[nodiscard]] QString message() const { return m_picture.isNull() ? m_message : QString(); }

    [[nodiscard]] QTransform toView() const; ///< picture pixels to widget
    [[nodiscard]] QPointF toPicture(QPointF view) const;
    [[nodiscard]] double zoom() const { return m_zoom; }
    void fit();
    /// Left and right swapped on the screen; points stay in the picture's own pixels.
    void setMirrored(bool mirrored);
    /// Shows this part when the picture is fitted; empty = all of it.
    void setCrop(const QRect& crop);
    void zoomBy(double factor, QPointF at);
    /// Puts a place of the picture into the middle, at the zoom there is. Nothing happens while all of it is shown.
    void centreOn(QPointF inPicture);

    [[nodiscard]] QSize sizeHint() const override { return {800, 450}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {320, 180}; }

signals:
    /// Some time after the last of pictures that followed one another: now is the time for a whole one.
    void rested();

protected:
    virtual void paintOver(QPainter&) {}
    virtual void pointerPressed(QPointF, Qt::KeyboardModifiers) {}
    virtual void pointerMoved(QPointF, bool /*pressed*/) {}
    virtual void pointerReleased(QPointF) {}

    void paintEvent(QPaintEvent*) override;
    void wheelEvent(QWheelEvent* e) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void mouseReleaseEvent(QMouseEvent* e) override;
    void resizeEvent(QResizeEvent*) override;

private:
    QImage m_picture;
    QSize m_size;
    QElapsedTimer m_since; // the last picture came
    QTimer m_rest;         // running while they follow one another
    QString m_message;
    double m_zoom = 1.0; // 1 = fits
    QPointF m_centre;    // in the picture, what stands in the middle of the view
    bool m_mirrored = false;
    QRect m_crop;
    bool m_panning = false;
    bool m_pressed = false;
    QPointF m_last;
};

/// A blueprint's small picture ("data:image/jpeg;base64,…"); null when there is none or it cannot be read. Decoded
/// once.
QPixmap pictureFromText(const std::string& encoded);

} // namespace riflesso
