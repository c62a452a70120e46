#pragma once
/// \file
/// The case's story as one line of time: films, practice, what was worked on, competitions. A click leads there.

#include "desktop/workbench/workbench.h"

#include <QWidget>

namespace riflesso {

class StoryLine : public QWidget {
    Q_OBJECT
public:
    explicit StoryLine(Workbench& bench, QWidget* parent = nullptr);
    [[nodiscard]] QSize sizeHint() const override { return {800, 92}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {300, 92}; }

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    bool event(QEvent* e) override;

private:
    struct Mark {
        enum class Kind { film, practice, competition } kind;
        Day day{};
        QString words;
        Id take = 0;
    };
    [[nodiscard]] std::vector<Mark> marks() const;
    void speak();
    [[nodiscard]] double placeOf(Day day) const;
    [[nodiscard]] const Mark* markAt(const std::vector<Mark>& all, const QPointF& at) const;
    Workbench& m_bench;
};

} // namespace riflesso
