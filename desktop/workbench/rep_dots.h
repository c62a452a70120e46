#pragma once
/// \file
/// The last reps of a block as dots.

#include "library/case_data.h"

#include <QWidget>

#include <vector>

namespace riflesso {

/// The last ten reps: filled = good, hollow = not yet.
class RepDots : public QWidget {
    Q_OBJECT
public:
    explicit RepDots(QWidget* parent = nullptr) : QWidget(parent) {}
    void show(const std::vector<PractisedRep>& reps);
    [[nodiscard]] QSize sizeHint() const override { return {460, 44}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {220, 36}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    std::vector<bool> m_good;
};

} // namespace riflesso
