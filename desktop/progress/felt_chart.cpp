// Does feeling meet film, guess by guess.

#include "desktop/progress/progress_page.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace riflesso {

void FeltChart::show(std::vector<Row> rows) {
    std::erase_if(rows, [](const Row& r) { return r.guesses.empty(); });
    m_rows = std::move(rows);
    QStringList words;
    std::size_t n = 0;
    for (const auto& r : m_rows)
        for (std::size_t i = 0; i < r.guesses.size(); ++i)
            words << wordsOf(n++);
    setAccessibleDescription(words.join(". "));
    update();
}

QString FeltChart::wordsOf(std::size_t index) const {
    for (const auto& r : m_rows) {
        if (index < r.guesses.size()) {
            const auto& g = r.guesses[index];
            return tr("%1, %2: felt %3, filmed %4, %5 apart")
                .arg(q(r.measure.name), q(dayWords(g.day)), q(numberWords(r.measure, g.felt.guess)),
                     q(valueWords(r.measure, g.felt.measured, g.felt.u)),
                     q(numberWords(r.measure, std::abs(g.felt.gap()), g.felt.u)));
        }
        index -= r.guesses.size();
    }
    return {};
}

void FeltChart::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    forget();
    if (m_rows.empty()) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::strong));
        p.drawText(rect().adjusted(30, 0, -30, 0), Qt::AlignCenter | Qt::TextWordWrap,
                   tr("Ask for a guess in the Brief before each film: here it stands beside what the film says."));
        return;
    }
    const double each = (height() - 12.0) / static_cast<double>(m_rows.size());
    for (std::size_t k = 0; k < m_rows.size(); ++k) {
        const Row& row = m_rows[k];
        const QRectF box(20, 8 + static_cast<double>(k) * each, width() - 40, each);
        p.setFont(typeface(Type::body, true));
        p.setPen(t.text);
        p.drawText(QRectF(box.left(), box.top(), box.width(), 20), Qt::AlignLeft | Qt::AlignVCenter,
                   q(row.measure.name));
        const QRectF plot = box.adjusted(96, 28, -46, -30);
        double lo = 1e300, hi = -1e300;
        for (const auto& g : row.guesses) {
            lo = std::min({lo, g.felt.guess, g.felt.measured - g.felt.u});
            hi = std::max({hi, g.felt.guess, g.felt.measured + g.felt.u});
        }
        const double room = std::max(1e-9, 0.12 * (hi - lo));
        const auto y = [&](double v) { return plot.bottom() - (v - lo + room) / (hi - lo + 2 * room) * plot.height(); };
        p.setPen(QPen(t.line, 1));
        p.drawLine(plot.bottomLeft(), plot.bottomRight());
        const auto n = static_cast<double>(row.guesses.size());
        for (std::size_t i = 0; i < row.guesses.size(); ++i) {
            const auto& g = row.guesses[i];
            const double x = plot.left() + (static_cast<double>(i) + 0.5) / n * plot.width();
            const QPointF felt(x, y(g.felt.guess)), film(x, y(g.felt.measured));
            p.setPen(QPen(t.quiet, 2, Qt::DotLine));
            p.drawLine(felt, film);
            p.setPen(QPen(t.hues.athlete, 1.6));
            p.drawLine(QPointF(x, y(g.felt.measured - g.felt.u)), QPointF(x, y(g.felt.measured + g.felt.u)));
            p.setBrush(t.hues.athlete);
            p.drawEllipse(film, 6, 6);
            p.setPen(QPen(t.text, 2));
            p.setBrush(t.panel);
            p.drawPolygon(
                QPolygonF({felt + QPointF(0, -8), felt + QPointF(8, 0), felt + QPointF(0, 8), felt + QPointF(-8, 0)}));
            place((felt + film) / 2);
            p.setFont(typeface(Type::body));
            p.setPen(t.text);
            // Beside the marks, apart from one another where the marks are not.
            const double push = std::max(0.0, 20.0 - std::abs(felt.y() - film.y())) / 2.0;
            const auto label = [&](QPointF at, const QPointF& other, const QString& words) {
                const double off = at.y() < other.y() ? -push : push;
                p.drawText(QRectF(at.x() + 13, at.y() + off - 10, 110, 20), Qt::AlignLeft | Qt::AlignVCenter, words);
            };
            label(felt, film, q(numberWords(row.measure, g.felt.guess)));
            label(film, felt, q(numberWords(row.measure, g.felt.measured, g.felt.u)));
            p.setFont(typeface(Type::small));
            p.setPen(t.quiet);
            p.drawText(QRectF(x - 70, plot.bottom() + 4, 140, 16), Qt::AlignCenter, q(dayWords(g.day)));
            if (i == 0) { // said once, at the marks themselves
                p.setFont(typeface(Type::body));
                p.setPen(t.quiet);
                p.drawText(QRectF(box.left(), felt.y() - 10, 90, 20), Qt::AlignLeft | Qt::AlignVCenter, tr("felt"));
                if (std::abs(felt.y() - film.y()) > 18)
                    p.drawText(QRectF(box.left(), film.y() - 10, 90, 20), Qt::AlignLeft | Qt::AlignVCenter,
                               tr("filmed"));
            }
        }
    }
}

} // namespace riflesso
