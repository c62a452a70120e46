#include "desktop/theme/icons.h"

#include "desktop/theme/theme.h"

#include <QFile>
#include <QFontMetrics>
#include <QIconEngine>
#include <QPainter>
#include <QSvgRenderer>

#include <algorithm>
#include <memory>

namespace riflesso {
namespace {

class LineIcon : public QIconEngine {
public:
    LineIcon(std::shared_ptr<QSvgRenderer> drawn, bool onAccent) : m_drawn(std::move(drawn)), m_onAccent(onAccent) {}
    void paint(QPainter* painter, const QRect& rect, QIcon::Mode mode, QIcon::State state) override {
        // Drawn in black by itself; the ink is laid over what is there.
        // A square at the left; what is wider is the gap to the words.
        const int side = std::min(rect.width(), rect.height());
        const QRect place(rect.left(), rect.top() + (rect.height() - side) / 2, side, side);
        QPixmap ink(place.size() * painter->device()->devicePixelRatio());
        ink.fill(Qt::transparent);
        QPainter p(&ink);
        m_drawn->render(&p, QRectF(QPointF(), ink.size()));
        p.setCompositionMode(QPainter::CompositionMode_SourceIn);
        p.fillRect(ink.rect(), m_onAccent || state == QIcon::On ? theme().onAccent
                               : mode == QIcon::Disabled        ? theme().quiet
                                                                : theme().text);
        p.end();
        painter->save();
        if (mode == QIcon::Disabled)
            painter->setOpacity(painter->opacity() * 0.5);
        painter->drawPixmap(place, ink);
        painter->restore();
    }
    QPixmap pixmap(const QSize& size, QIcon::Mode mode, QIcon::State state) override {
        QPixmap out(size);
        out.fill(Qt::transparent);
        QPainter p(&out);
        paint(&p, QRect(QPoint(), size), mode, state);
        return out;
    }
    [[nodiscard]] QIconEngine* clone() const override { return new LineIcon(m_drawn, m_onAccent); }

private:
    std::shared_ptr<QSvgRenderer> m_drawn;
    bool m_onAccent;
};

} // namespace

QIcon lineIcon(const QString& name, bool onAccent) {
    QFile file(":/line-icons/" + name + ".svg");
    if (!file.open(QIODevice::ReadOnly))
        return {};
    auto drawn = std::make_shared<QSvgRenderer>(file.readAll().replace("currentColor", "#000000"));
    return drawn->isValid() ? QIcon(new LineIcon(std::move(drawn), onAccent)) : QIcon();
}

void setLineIcons(std::initializer_list<std::pair<QAbstractButton*, const char*>> icons) {
    for (const auto& [button, name] : icons) {
        // The two kinds of button that the style sheet puts on the accent.
        button->setIcon(lineIcon(name, button->objectName() == "next" || button->property("main").toBool()));
        const int high = QFontMetrics(typeface(Type::body)).ascent() + 3;
        button->setIconSize({high + 4, high});
    }
}

} // namespace riflesso
