#pragma once
/// \file
/// Paints an athlete's card.

#include "desktop/shelf/shelf_model.h"

#include <QPixmap>
#include <QStyledItemDelegate>

namespace riflesso {

class CardDelegate : public QStyledItemDelegate {
public:
    using Still = std::function<QPixmap(const ShelfCase&)>;
    CardDelegate(const ShelfModel& model, Still still) : m_model(model), m_still(std::move(still)) {}

    /// Of a card of this width, its margins included.
    static int heightFor(int width);
    void paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const override;
    [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;

private:
    const ShelfModel& m_model;
    Still m_still;
};

} // namespace riflesso
