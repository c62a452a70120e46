#include "desktop/shelf/card_delegate.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QPainter>
#include <QPainterPath>

namespace riflesso {
namespace {

constexpr int kMargin = 6, kInner = 9;

int lineHeight(Type type, bool bold = false) {
    return QFontMetrics(typeface(type, bold)).lineSpacing();
}

int wordsHeight() {
    return lineHeight(Type::strong, true) + lineHeight(Type::body) + lineHeight(Type::body) * 2 + 12 +
           lineHeight(Type::body) + 12;
}

} // namespace

int CardDelegate::heightFor(int width) {
    return 2 * kMargin + 2 * kInner + (width - 2 * kMargin - 2 * kInner) * 5 / 8 + wordsHeight();
}

QSize CardDelegate::sizeHint(const QStyleOptionViewItem& option, const QModelIndex&) const {
    return option.rect.size();
}

void CardDelegate::paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& index) const {
    const Theme& t = theme();
    p->save();
    p->setRenderHint(QPainter::Antialiasing);
    p->setRenderHint(QPainter::SmoothPixmapTransform);
    const QRectF card = QRectF(option.rect).adjusted(kMargin, kMargin, -kMargin, -kMargin);
    const bool focused = option.state & QStyle::State_Selected, hovered = option.state & QStyle::State_MouseOver;
    const bool fresh = m_model.isNew(index.row());
    const QColor edge = focused ? t.hues.model : hovered || fresh ? t.quiet : t.line;
    p->setPen(QPen(edge, focused ? 2 : 1, fresh ? Qt::DashLine : Qt::SolidLine));
    p->setBrush(fresh ? QBrush(Qt::NoBrush) : QBrush(t.panel));
    p->drawRoundedRect(card, 6, 6);
    if (fresh) {
        p->setPen(t.quiet);
        p->setFont(typeface(Type::strong));
        p->drawText(card.adjusted(16, 16, -16, -16), Qt::AlignCenter | Qt::TextWordWrap,
                    ShelfModel::tr("Drop films here\nfor a new athlete"));
        p->restore();
        return;
    }
    const ShelfAthlete& a = m_model.at(index.row());

    QRectF picture(card.left() + kInner, card.top() + kInner, card.width() - 2 * kInner,
                   (card.width() - 2 * kInner) * 5 / 8);
    QPainterPath round;
    round.addRoundedRect(picture, 4, 4);
    p->fillPath(round, t.stage);
    const QPixmap still = a.cases.empty() ? QPixmap() : m_still(a.cases.front());
    if (!still.isNull()) {
        p->save();
        p->setClipPath(round);
        const QSizeF size = QSizeF(still.size()).scaled(picture.size(), Qt::KeepAspectRatioByExpanding);
        p->drawPixmap(QRectF(picture.center() - QPointF(size.width() / 2, size.height() / 2), size), still,
                      still.rect());
        p->restore();
    } else {
        p->setPen(t.quiet);
        p->setFont(typeface(Type::body));
        const bool filmed = !a.cases.empty() && !a.cases.front().card.film.empty();
        p->drawText(picture, Qt::AlignCenter | Qt::TextWordWrap,
                    filmed ? ShelfModel::tr("Looking into the film …") : ShelfModel::tr("Drop a film here"));
    }

    double y = picture.bottom() + 8;
    const double left = picture.left(), width = picture.width();
    const auto line = [&](const QString& words, const QFont& font, const QColor& colour) {
        const QFontMetricsF m(font);
        p->setFont(font);
        p->setPen(colour);
        p->drawText(QRectF(left, y, width, m.lineSpacing()), Qt::AlignLeft | Qt::AlignVCenter,
                    m.elidedText(words, Qt::ElideRight, width));
        y += m.lineSpacing();
    };
    line(a.name(), typeface(Type::strong, true), t.text);
    QStringList techniques;
    for (const auto& c : a.cases)
        techniques << c.technique;
    line(techniques.isEmpty() ? ShelfModel::tr("No technique yet") : techniques.join(", "), typeface(Type::body),
         t.quiet);
    y += 5;
    // What is next: filled when it is the coach's turn, an outline when it is not.
    const QFont body = typeface(Type::body);
    const QFontMetricsF m(body);
    const QRectF next(left, y, width, 2 * m.lineSpacing() + 10);
    const bool mine = a.needsCoach();
    QColor ground = t.hues.athlete;
    ground.setAlphaF(0.14f);
    p->setPen(mine ? Qt::NoPen : QPen(t.line, 1));
    p->setBrush(mine ? QBrush(ground) : Qt::NoBrush);
    p->drawRoundedRect(next, 4, 4);
    p->setPen(t.text);
    p->setFont(body);
    QString words = a.cases.empty() ? QString() : q(a.cases.front().card.next);
    if (words.isEmpty())
        words = ShelfModel::tr("Open it to see what is next");
    p->drawText(next.adjusted(8, 5, -8, -5), Qt::AlignLeft | Qt::AlignVCenter | Qt::TextWordWrap,
                m.elidedText(words, Qt::ElideRight, 2 * (width - 24)));
    y = next.bottom() + 6;
    line(a.when(m_model.today()), typeface(Type::body), t.quiet);
    p->restore();
}

} // namespace riflesso
