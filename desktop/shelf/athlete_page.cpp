#include "desktop/shelf/athlete_page.h"

#include "casebook/body.h"
#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>

#include <algorithm>
#include <map>
#include <set>

namespace riflesso {
namespace {

// Seven days side by side: a bar of minutes a technique, stacked.
class WeekBars : public QWidget {
public:
    WeekBars(std::map<std::string, std::vector<std::pair<QString, double>>> minutes, Day today)
        : m_minutes(std::move(minutes)), m_today(today) {
        setMinimumHeight(150);
        setAccessibleName(AthletePage::tr("One week of minutes, all techniques"));
    }

protected:
    void paintEvent(QPaintEvent*) override {
        const Theme& t = theme();
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        p.fillRect(rect(), t.panel);
        double most = 30.0;
        for (const auto& [day, parts] : m_minutes) {
            double sum = 0.0;
            for (const auto& [name, minutes] : parts)
                sum += minutes;
            most = std::max(most, sum);
        }
        const double wide = width() / 7.0, base = height() - 26.0;
        for (int i = 0; i < 7; ++i) {
            const Day day = m_today + std::chrono::days(i);
            const double x = i * wide;
            p.setPen(t.quiet);
            p.setFont(typeface(Type::small));
            p.drawText(QRectF(x, base + 5, wide, 18), Qt::AlignHCenter, q(dayWords(day)));
            double y = base, sum = 0.0;
            if (const auto it = m_minutes.find(isoDate(day)); it != m_minutes.end())
                for (std::size_t k = 0; k < it->second.size(); ++k) {
                    const double high = (base - 30) * it->second[k].second / most;
                    y -= high;
                    sum += it->second[k].second;
                    QColor fill = t.hues.athlete;
                    fill.setAlpha(k % 2 ? 120 : 210); // techniques alternate, and are named in the bar
                    p.fillRect(QRectF(x + 8, y, wide - 16, high - 1), fill);
                    if (high > 15) {
                        p.setPen(t.onAccent);
                        p.drawText(QRectF(x + 10, y, wide - 20, high), Qt::AlignCenter,
                                   p.fontMetrics().elidedText(it->second[k].first, Qt::ElideRight,
                                                              static_cast<int>(wide - 22)));
                    }
                }
            p.setPen(sum > 0 ? t.text : t.quiet);
            p.setFont(typeface(Type::small, true));
            p.drawText(QRectF(x, y - 18, wide, 16), Qt::AlignHCenter,
                       sum > 0 ? AthletePage::tr("%1 min").arg(sum) : AthletePage::tr("free"));
        }
        p.setPen(QPen(t.line, 1));
        p.drawLine(QPointF(0, base), QPointF(width(), base));
    }

private:
    std::map<std::string, std::vector<std::pair<QString, double>>> m_minutes; ///< by day: technique and minutes
    Day m_today;
};

// How tall somebody was, day by day.
class StatureLine : public QWidget {
public:
    explicit StatureLine(std::vector<Growth> growth) : m_growth(std::move(growth)) {
        setObjectName("stature");
        setMinimumHeight(84);
        QStringList words;
        for (const auto& g : m_growth)
            words << AthletePage::tr("%1: %2 cm").arg(q(dayWords(g.day)), shownFigure(g.stature, 0));
        setAccessibleName(AthletePage::tr("Stature by date"));
        setAccessibleDescription(words.join(", "));
    }

protected:
    void paintEvent(QPaintEvent*) override {
        const Theme& t = theme();
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        p.fillRect(rect(), t.panel);
        const auto [low, high] = std::minmax_element(
            m_growth.begin(), m_growth.end(), [](const auto& a, const auto& b) { return a.stature < b.stature; });
        const double from = low->stature, over = std::max(4.0, high->stature - from);
        const double days = std::max<double>(1.0, (m_growth.back().day - m_growth.front().day).count());
        QPointF before;
        for (std::size_t i = 0; i < m_growth.size(); ++i) {
            const Growth& g = m_growth[i];
            const QPointF at(44 + (width() - 88) * (g.day - m_growth.front().day).count() / days,
                             height() - 28 - (height() - 56) * (g.stature - from) / over);
            p.setPen(QPen(t.hues.athlete, 2));
            if (i > 0)
                p.drawLine(before, at);
            p.setBrush(t.hues.athlete);
            p.drawEllipse(at, 4, 4);
            p.setPen(t.text);
            p.setFont(typeface(Type::small, true));
            // Between the first and the last those stand that have room.
            const bool room = i == 0 || i + 1 == m_growth.size() || at.x() - before.x() > 90;
            if (room) {
                p.drawText(QRectF(at.x() - 44, at.y() - 22, 88, 16), Qt::AlignHCenter,
                           AthletePage::tr("%1 cm").arg(shownFigure(g.stature, 0)));
                p.setPen(t.quiet);
                p.setFont(typeface(Type::small));
                p.drawText(QRectF(at.x() - 44, height() - 19, 88, 16), Qt::AlignHCenter, q(dayWords(g.day)));
            }
            before = at;
        }
    }

private:
    std::vector<Growth> m_growth; ///< one or more, by day
};

// Stature and segments by date; null where nothing was measured.
QWidget* growthCard(const Athlete& athlete, const std::map<std::string, std::map<std::string, double>>& segments) {
    if (athlete.growth.empty() && segments.empty())
        return nullptr;
    auto* card = new Card(AthletePage::tr("Growth"));
    if (!athlete.growth.empty())
        card->body()->addWidget(new StatureLine(athlete.growth));
    for (const auto& [name, days] : segments) {
        const auto words = [](const auto& one) {
            return AthletePage::tr("%1 cm (%2)")
                .arg(shownFigure(100.0 * one.second, 0), q(dayWords(dayFromIso(one.first).value_or(Day{}))));
        };
        card->body()->addWidget(wrapped(
            AthletePage::tr("%1: %2").arg(
                shownWord(name), days.size() < 2
                                     ? words(*days.begin())
                                     : AthletePage::tr("%1, now %2").arg(words(*days.begin()), words(*days.rbegin()))),
            "quiet"));
    }
    if (const auto words = growthWords(athlete); !words.empty())
        card->body()->addWidget(wrapped(q(words), "caution"));
    card->body()->addStretch(1);
    return card;
}

} // namespace

QString AthletePage::linesOf(const ShelfCase& c, const CardDetail& d, const std::optional<Blueprint>& b) {
    QStringList lines;
    lines << (c.card.focus.empty() ? tr("no focus yet") : tr("works on: %1").arg(q(c.card.focus)));
    QStringList held, seen;
    for (const auto& f : d.faults)
        if (const Fault* fault = b ? b->fault(f.fault) : nullptr) {
            if (f.standing == Standing::held)
                held << q(fault->name);
            if (f.standing == Standing::seen)
                seen << q(fault->name);
        }
    if (!seen.isEmpty())
        lines << tr("also seen: %1").arg(seen.join(", "));
    if (!held.isEmpty())
        lines << tr("held: %1").arg(held.join(", "));
    if (!c.card.next.empty())
        lines << tr("next: %1").arg(q(c.card.next));
    if (const auto day = dayFromIso(d.competition))
        lines << tr("competition on %1").arg(q(dateWords(*day)));
    return lines.join("\n");
}

QWidget* AthletePage::sharedCard(const std::vector<ShelfCase>& cases, const Blueprints& blueprint) {
    auto* shared = new Card(tr("What they share"));
    std::vector<std::vector<FaultStanding>> standings;
    for (const auto& c : cases)
        standings.push_back(detailFromJson(c.card.detail).faults);
    const auto parts = sharedParts(standings);
    for (const auto& part : parts) {
        QStringList faults;
        for (const auto& [technique, id] : part.faults) {
            const auto b = blueprint(cases[technique].blueprintId);
            const Fault* fault = b ? b->fault(id) : nullptr;
            faults << tr("%1 (%2)").arg(fault ? q(fault->name) : q(id), cases[technique].technique);
        }
        shared->body()->addWidget(wrapped(tr("<b>%1</b>, in %2 of %3 techniques: %4")
                                              .arg(q(part.part))
                                              .arg(part.techniques)
                                              .arg(cases.size())
                                              .arg(faults.join(", ").toHtmlEscaped())));
    }
    if (parts.empty())
        shared->body()->addWidget(
            wrapped(cases.size() < 2 ? tr("One technique so far. With a second one stands here what both lack.")
                                     : tr("No part of the body shows up in the faults of two techniques."),
                    "quiet"));
    shared->body()->addStretch(1);
    return shared;
}

QWidget* AthletePage::limitsCard(const QStringList& injuries) {
    auto* limits = new Card(tr("Injuries and limits"));
    limits->body()->addWidget(wrapped(injuries.isEmpty() ? tr("Nothing is noted. Ask before the first rep of each day.")
                                                         : injuries.join("\n"),
                                      injuries.isEmpty() ? "quiet" : "caution"));
    if (!injuries.isEmpty())
        limits->body()->addWidget(
            wrapped(tr("What hurts is left out, and seen by a physician or physiotherapist."), "caution"));
    limits->body()->addStretch(1);
    return limits;
}

AthletePage::AthletePage(const ShelfAthlete& athlete, const std::vector<ShelfAthlete>& others,
                         const Blueprints& blueprint, Day today, QWidget* parent)
    : QDialog(parent), m_athlete(athlete) {
    setObjectName("athletePage");
    setWindowTitle(athlete.name());
    resize(980, 640);
    auto* all = new QVBoxLayout(this);
    auto* top = new QHBoxLayout;
    auto* title = new QLabel(athlete.name());
    title->setObjectName("title");
    top->addWidget(title);
    top->addWidget(wrapped(athlete.when(today), "quiet"), 1);
    auto* more = new QPushButton(tr("Another technique …"));
    top->addWidget(more);
    all->addLayout(top);

    auto* techniques = new Card(tr("Techniques"));
    std::map<std::string, std::vector<std::pair<QString, double>>> week;
    std::size_t foci = 0;
    QStringList injuries;
    std::map<std::string, std::map<std::string, double>> segments; // m, by name and day
    for (const auto& note : athlete.athlete.body)
        injuries << q(bodyWords(note));
    for (const auto& c : athlete.cases) {
        const auto b = blueprint(c.blueprintId);
        const CardDetail d = detailFromJson(c.card.detail);
        foci += d.focus.size();
        auto* open = new QPushButton(c.technique);
        open->setObjectName("openTechnique");
        connect(open, &QPushButton::clicked, this, [this, id = c.id] {
            emit openCase(id);
            accept();
        });
        auto* row = new QHBoxLayout;
        row->addWidget(open);
        row->addWidget(wrapped(linesOf(c, d, b)), 1);
        techniques->body()->addLayout(row);
        for (const auto& [day, minutes] : d.week)
            week[day].emplace_back(c.technique, minutes);
        if (!d.injuries.empty() && !injuries.contains(q(d.injuries)))
            injuries << q(d.injuries);
        for (const auto& s : d.segments)
            segments[s.name][s.day] = std::max(segments[s.name][s.day], s.metres);
    }
    if (athlete.cases.empty())
        techniques->body()->addWidget(wrapped(tr("No technique yet."), "quiet"));
    if (foci > kFociAtOnce)
        techniques->body()->addWidget(
            wrapped(tr("%1 things are worked on at once over all techniques. Two at most stay "
                       "in one head: park one.")
                        .arg(foci),
                    "caution"));
    techniques->body()->addStretch(1);

    auto* minutes = new Card(tr("One week of minutes"));
    minutes->body()->addWidget(new WeekBars(week, today), 1);

    auto* middle = new QHBoxLayout;
    middle->addWidget(techniques, 3);
    auto* side = new QVBoxLayout;
    side->addWidget(sharedCard(athlete.cases, blueprint), 2);
    side->addWidget(limitsCard(injuries), 1);
    if (auto* growth = growthCard(athlete.athlete, segments))
        side->addWidget(growth, 1);
    middle->addLayout(side, 2);
    all->addLayout(middle, 3);
    all->addWidget(minutes, 2);

    all->addLayout(bottomRow(others));
    connect(more, &QPushButton::clicked, this, [this] {
        accept();
        emit anotherTechnique();
    });
}

QHBoxLayout* AthletePage::bottomRow(const std::vector<ShelfAthlete>& others) {
    auto* bottom = new QHBoxLayout;
    auto* hand = new QPushButton(tr("Hand over as a file …"));
    hand->setObjectName("handOver");
    hand->setToolTip(tr("Everything of this person as one file that Riflesso opens elsewhere."));
    bottom->addWidget(hand);
    auto* who = new QComboBox;
    who->setObjectName("mergeWith");
    who->setAccessibleName(tr("The other entry"));
    who->addItem(tr("The same person as …"), 0);
    for (const auto& o : others)
        if (o.id != m_athlete.id)
            who->addItem(o.name(), QVariant::fromValue<qlonglong>(o.id));
    auto* join = new QPushButton(tr("Make one"));
    join->setObjectName("mergeAthletes");
    join->setEnabled(false);
    connect(who, &QComboBox::currentIndexChanged, join, [join](int i) { join->setEnabled(i > 0); });
    bottom->addWidget(who);
    bottom->addWidget(join);
    bottom->addStretch(1);
    auto* erase = new QPushButton(tr("Delete wholly …"));
    erase->setObjectName("eraseWholly");
    erase->setToolTip(tr("At once, films included, with a list of what went: a guardian may ask for it."));
    bottom->addWidget(erase);
    auto* close = new QPushButton(tr("Close"));
    close->setDefault(true);
    bottom->addWidget(close);
    connect(hand, &QPushButton::clicked, this, [this] { emit handOver(); });
    connect(join, &QPushButton::clicked, this, [this, who] {
        const Id other = who->currentData().toLongLong();
        accept();
        emit merge(other);
    });
    connect(erase, &QPushButton::clicked, this, [this] {
        accept();
        emit eraseWholly();
    });
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    return bottom;
}

} // namespace riflesso
