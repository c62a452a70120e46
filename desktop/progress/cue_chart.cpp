// Which cue works.

#include "desktop/progress/progress_page.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace riflesso {

CueChart::CueChart(Workbench& bench, QWidget* parent) : PointChart(parent) {
    setAccessibleName(tr("Which cue works"));
    m_picture = new RightAndWrong(bench, this);
    m_picture->hide();
}

void CueChart::show(const std::vector<CueStanding>& standings, const CueTrial& trial, const std::string& fault) {
    m_standings = standings;
    m_trial = trial;
    const bool pictured =
        std::any_of(standings.begin(), standings.end(), [](const CueStanding& c) { return c.cue == kPictureCue; });
    m_picture->setVisible(pictured);
    if (pictured)
        m_picture->show(fault);
    placePicture();
    QStringList words;
    for (const auto& c : standings)
        words << tr("%1: %2 of %3 good").arg(q(cueName(c.cue))).arg(c.good).arg(c.n);
    setAccessibleDescription(words.join(". "));
    update();
}

// The left column holds a cue's words or its picture, the rest its bar.
double CueChart::leftOf() const {
    return std::max(150.0, width() * 0.3);
}

QRectF CueChart::cueOf(std::size_t row) const {
    const double high =
        std::min(180.0, (height() - 56.0) / std::max<double>(1.0, static_cast<double>(m_standings.size())));
    return {12.0, 16.0 + high * static_cast<double>(row), leftOf() - 36.0, high - 10.0};
}

void CueChart::placePicture() {
    for (std::size_t i = 0; i < m_standings.size(); ++i)
        if (m_standings[i].cue == kPictureCue)
            m_picture->setGeometry(cueOf(i).toRect());
}

void CueChart::resizeEvent(QResizeEvent* e) {
    PointChart::resizeEvent(e);
    placePicture();
}

QString CueChart::wordsOf(std::size_t index) const {
    if (index >= m_standings.size())
        return {};
    const auto& c = m_standings[index];
    QString words = tr("\u201c%1\u201d: %2 of %3 good, 95 % from %4 to %5 %")
                        .arg(q(cueName(c.cue)))
                        .arg(c.good)
                        .arg(c.n)
                        .arg(std::lround(100 * c.interval.lo))
                        .arg(std::lround(100 * c.interval.hi));
    constexpr std::size_t kMost = 8; // days that one takes in
    if (const auto days = m_trial.days.find(c.cue); days != m_trial.days.end())
        for (std::size_t i = days->second.size() > kMost ? days->second.size() - kMost : 0; i < days->second.size();
             ++i)
            words += "\n" + tr("%1: %2 of %3 good")
                                .arg(q(dayWords(days->second[i].day)))
                                .arg(days->second[i].good)
                                .arg(days->second[i].n);
    return words;
}

void CueChart::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    forget();
    if (m_standings.empty()) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::strong));
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                   tr("Practice counts reps by the cue they were done with."));
        return;
    }
    const auto n = static_cast<int>(m_standings.size());
    const double left = leftOf(), right = width() - 24.0, top = cueOf(0).top(), row = cueOf(0).height() + 10.0;
    const auto x = [&](double share) { return left + share * (right - left); };
    for (int i = 0; i < n; ++i) {
        const auto& c = m_standings[static_cast<std::size_t>(i)];
        const double y = top + i * row;
        p.setPen(t.text);
        p.setFont(typeface(Type::body, true));
        const QRectF line(left, y, right - left, 20);
        const QString standing =
            c.more > 0 ? tr("%1 more to compare").arg(c.more) : tr("the best with %1").arg(shownFigure(c.pBest, 2));
        if (c.cue != kPictureCue)
            p.drawText(cueOf(static_cast<std::size_t>(i)), Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap,
                       tr("\u201c%1\u201d").arg(q(c.cue)));
        p.setFont(typeface(Type::small));
        p.setPen(t.quiet);
        p.drawText(line, Qt::AlignRight | Qt::AlignVCenter,
                   n == 1 ? tr("%1 of %2 good").arg(c.good).arg(c.n)
                          : tr("%1 of %2 good, %3").arg(c.good).arg(c.n).arg(standing));
        const double bar = y + 26, high = std::clamp(0.2 * row, 8.0, 30.0);
        p.setPen(Qt::NoPen);
        p.setBrush(t.line);
        p.drawRoundedRect(QRectF(left, bar, right - left, high), 3, 3);
        QColor pale = t.hues.athlete;
        pale.setAlpha(90);
        p.setBrush(pale);
        p.drawRect(QRectF(x(c.interval.lo), bar, x(c.interval.hi) - x(c.interval.lo), high));
        p.setBrush(t.hues.athlete);
        p.drawRect(QRectF(x(c.share) - 2, bar - 3, 4, high + 6));
        place(QPointF(x(c.share), bar + high / 2));
    }
    p.setFont(typeface(Type::small));
    p.setPen(t.quiet);
    for (const double share : {0.0, 0.25, 0.5, 0.75, 1.0}) // within the bars' ends
        p.drawText(QRectF(x(share) - (share == 0.0   ? 0
                                      : share == 1.0 ? 80
                                                     : 40),
                          top + n * row - 4, 80, 16),
                   share == 0.0   ? Qt::AlignLeft
                   : share == 1.0 ? Qt::AlignRight
                                  : Qt::AlignHCenter,
                   tr("%1 %").arg(std::lround(100 * share)));
}

} // namespace riflesso
