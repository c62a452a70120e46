#pragma once
/// \file
/// What Footage's panels are made of. Private to this folder.

#include "casebook/text.h"
#include "core/programme/calendar.h"
#include "desktop/parts/card.h"

#include <QComboBox>
#include <QDate>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QPushButton>

#include <array>
#include <functional>
#include <string>

namespace riflesso {

template <std::size_t N> void fill(QComboBox* box, const std::array<std::string_view, N>& names) {
    for (auto n : names)
        box->addItem(shownWord(n));
}
inline QDate toDate(Day d) {
    return QDate::fromString(q(isoDate(d)), Qt::ISODate);
}
inline QFormLayout* form() {
    auto* f = new QFormLayout;
    f->setRowWrapPolicy(QFormLayout::WrapLongRows);
    f->setLabelAlignment(Qt::AlignLeft);
    f->setContentsMargins(0, 0, 0, 0);
    f->setVerticalSpacing(5);
    return f;
}
inline QDoubleSpinBox* metres(double value, double most, const QString& name) {
    auto* s = new QDoubleSpinBox;
    s->setRange(0.0, most);
    s->setDecimals(3);
    s->setSingleStep(0.1);
    s->setValue(value);
    s->setSuffix(" m");
    s->setAccessibleName(name);
    return s;
}
// A line with a small button that takes the thing away.
inline QWidget* removable(const QString& words, const std::function<void()>& remove) {
    auto* row = new QWidget;
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    auto* text = wrapped(words);
    auto* away = new QPushButton(QObject::tr("Take away"));
    away->setAccessibleName(QObject::tr("Take away: %1").arg(words));
    line->addWidget(text, 1);
    line->addWidget(away);
    QObject::connect(away, &QPushButton::clicked, row, remove);
    return row;
}

} // namespace riflesso
