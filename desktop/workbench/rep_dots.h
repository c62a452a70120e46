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
    /// The last ten. One with a film has a small triangle in it.
    void show(const std::vector<PractisedRep>& reps);
    [[nodiscard]] QSize sizeHint() const override { return {460, 44}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {220, 36}; }

signals:
    void clicked(int rep); ///< its place among those that were given

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;

private:
    static constexpr int kDots = 10;
    [[nodiscard]] double step() const;
    struct Dot {
        bool good = false, filmed = false;
    };
    std::vector<Dot> m_dots;
    int m_first = 0; ///< the place of the first dot's rep
};

} // namespace riflesso
