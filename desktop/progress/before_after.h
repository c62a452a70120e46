#pragma once
/// \file
/// The same moment of the movement on different days, beside one another, the model below the waterline.

#include "casebook/progress_questions.h"
#include "desktop/workbench/workbench.h"

namespace riflesso {

/// Two days, the first and the newest at first; or a strip of all of them. A click on a still, or Space, shows the
/// strip; there two clicks choose two days. Left and right change the first of the two, with Shift the second.
class BeforeAfter : public QWidget {
    Q_OBJECT
public:
    explicit BeforeAfter(Workbench& bench, QWidget* parent = nullptr);
    void show(const std::string& measure);
    [[nodiscard]] bool strip() const { return m_strip; }
    /// The days that are shown, oldest first.
    [[nodiscard]] std::vector<Day> days() const;
    [[nodiscard]] QRectF placeOf(std::size_t shown) const; ///< of the still of days()[shown]
    [[nodiscard]] QSize minimumSizeHint() const override { return {260, 200}; }
    static constexpr std::size_t kMost = 8; ///< stills of a strip: the first day and the newest ones

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    [[nodiscard]] std::vector<RepBehind> shown() const;
    void say();
    Workbench& m_bench;
    std::string m_measure;
    std::vector<RepBehind> m_all;         ///< one a day
    std::optional<Day> m_first, m_second; ///< chosen; else the first and the newest
    std::optional<Day> m_picked;          ///< in the strip: the first of two clicks
    bool m_strip = false;
};

} // namespace riflesso
