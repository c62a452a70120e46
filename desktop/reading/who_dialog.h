#pragma once
/// \file
/// Who of the people in a film is the athlete: a picture of each to click, or its number.

#include "desktop/reading/reading.h"

#include <QDialog>

namespace riflesso {

class WhoDialog : public QDialog {
    Q_OBJECT
public:
    explicit WhoDialog(const WhoIsIt& who, QWidget* parent = nullptr);

signals:
    void chosen(const QRectF& box);
    /// None of them: a box is drawn by hand.
    void byHand();

protected:
    void keyPressEvent(QKeyEvent* e) override;
};

} // namespace riflesso
