#pragma once
/// \file
/// Pages on top of one another.

#include <QStackedWidget>

namespace riflesso {

/// A stack that does not ask every page how high it would be at each width. Each new word in a label has the window
/// laid out anew; asking the hidden pages took 30 ms of it.
class Pages : public QStackedWidget {
public:
    using QStackedWidget::QStackedWidget;
    [[nodiscard]] bool hasHeightForWidth() const override { return false; }
};

} // namespace riflesso
