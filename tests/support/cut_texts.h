#pragma once
/// \file
/// What is cut on the glass.

#include <QAbstractButton>
#include <QLabel>
#include <QStringList>
#include <QWidget>

namespace riflesso::test {

/// Labels and buttons whose words need more room than they have.
inline QStringList cutTexts(QWidget* in) {
    QStringList cut;
    for (auto* l : in->findChildren<QLabel*>()) {
        if (!l->isVisible() || l->text().isEmpty() || l->height() == 0)
            continue;
        const int needs = l->wordWrap() ? l->heightForWidth(l->width()) : l->sizeHint().height();
        if (needs > l->height() + 1 || (!l->wordWrap() && l->sizeHint().width() > l->width() + 1))
            cut << QString("%1 (%2x%3, needs %4x%5)")
                       .arg(l->text().left(50))
                       .arg(l->width())
                       .arg(l->height())
                       .arg(l->sizeHint().width())
                       .arg(needs);
    }
    for (auto* b : in->findChildren<QAbstractButton*>())
        if (b->isVisible() && !b->text().isEmpty() &&
            (b->minimumSizeHint().width() > b->width() + 1 || b->fontMetrics().height() > b->height()))
            cut << b->text();
    return cut;
}

} // namespace riflesso::test
