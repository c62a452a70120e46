#include "desktop/workbench/drill_card.h"

#include "casebook/body.h"
#include "casebook/text.h"
#include "core/programme/support.h"
#include "core/technique/own_drill.h"
#include "desktop/theme/theme.h"
#include "desktop/workbench/right_and_wrong.h"
#include "handover/progress_words.h"
#include "handover/words.h"

#include <QPainter>
#include <QPainterPath>
#include <QPushButton>

#include <algorithm>
#include <cmath>

namespace riflesso {

void GateBar::show(int good, int bad, const GateZones& zones) {
    m_zones = zones;
    m_good = good;
    m_bad = bad;
    setAccessibleDescription(tr("%1 good of %2").arg(good).arg(good + bad));
    update();
}

void GateBar::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    const GateOptions zone = gateOptions(m_zones);
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const double left = 4, right = width() - 4.0, line = height() - 33.0;
    const auto x = [&](double share) { return left + (right - left) * share; };
    p.setPen(Qt::NoPen);
    p.setBrush(t.line);
    p.drawRoundedRect(QRectF(left, line - 6, right - left, 12), 5, 5);
    QColor band = t.hues.model;
    band.setAlphaF(0.32f);
    p.setBrush(band);
    p.drawRect(QRectF(x(zone.poorRate), line - 6, x(zone.easyRate) - x(zone.poorRate), 12));
    p.setFont(typeface(Type::small));
    p.setPen(t.quiet);
    const QRectF words(left, line + 10, right - left, 18);
    p.drawText(QRectF(x(0.0), words.top(), x(zone.poorRate) - x(0.0), 18), Qt::AlignLeft, tr("too hard"));
    p.drawText(QRectF(x(zone.poorRate), words.top(), x(zone.easyRate) - x(zone.poorRate), 18),
               Qt::AlignHCenter | Qt::AlignTop, tr("learning"));
    p.drawText(words, Qt::AlignRight, tr("easy"));
    if (m_good + m_bad == 0)
        return;
    if (line > 40) { // room for what is believed of the rate: Beta(1 + good, 1 + bad)
        QPainterPath curve;
        double highest = 0.0;
        const auto density = [&](double share) {
            return std::exp(m_good * std::log(std::max(1e-9, share)) + m_bad * std::log(std::max(1e-9, 1 - share)) -
                            m_good * std::log((m_good + 1e-9) / (m_good + m_bad)) -
                            m_bad * std::log((m_bad + 1e-9) / (m_good + m_bad)));
        };
        for (int i = 0; i <= 100; ++i)
            highest = std::max(highest, density(i / 100.0));
        for (int i = 0; i <= 100; ++i) {
            const QPointF at(x(i / 100.0), line - 8 - (line - 14) * density(i / 100.0) / highest);
            i ? curve.lineTo(at) : curve.moveTo(at);
        }
        p.setPen(QPen(t.hues.athlete, 2));
        p.setBrush(Qt::NoBrush);
        p.drawPath(curve);
    }
    const auto interval = wilson(m_good, m_good + m_bad);
    p.setPen(QPen(t.hues.athlete, 2));
    p.drawLine(QPointF(x(interval.lo), line), QPointF(x(interval.hi), line));
    p.setBrush(t.hues.athlete);
    p.drawEllipse(QPointF(x(static_cast<double>(m_good) / (m_good + m_bad)), line), 6, 6);
}

DrillCard::DrillCard(Workbench& bench, QWidget* parent) : Card({}, parent), m_bench(bench) {}

void DrillCard::show(const std::string& id, const std::string& fault) {
    clearLayout(body());
    m_rules = nullptr;
    const Drill* d = m_bench.blueprint().drill(id);
    if (const SupportWork* work = d ? nullptr : supportWork(id)) {
        body()->addWidget(wrapped(shownWord(work->name), "title"));
        body()->addWidget(wrapped(tr("beside the technique, %1 minutes").arg(work->minutes), "quiet"));
        body()->addWidget(wrapped(shownWord(work->how)));
        body()->addWidget(wrapped(tr("Caution: %1").arg(shownWord(work->caution)), "caution"));
        body()->addWidget(m_rules = wrapped({}, "quiet"));
        body()->addStretch();
        return;
    }
    if (!d) {
        body()->addWidget(wrapped(tr("Choose a drill on the ladder or a block in the weeks."), "quiet"));
        body()->addStretch();
        return;
    }
    const auto add = [this](QWidget* w) { body()->addWidget(w); };
    add(wrapped(q(d->name), "title"));
    add(wrapped(tr("%1, %2%3")
                    .arg(shownWord(kStageNames[static_cast<std::size_t>(d->stage)]), q(doseWords(d->dose)),
                         d->speed.empty() ? QString() : tr(", %1").arg(shownWord(d->speed))),
                "quiet"));
    add(wrapped(tr("“%1”").arg(q(d->cue)), "athlete"));
    auto* pictures = new RightAndWrong(m_bench);
    pictures->show(fault);
    add(pictures);
    add(wrapped(q(howWords(*d))));
    if (!d->contrast.empty())
        add(wrapped(tr("Right and wrong: %1").arg(q(d->contrast)), "quiet"));
    QStringList needs;
    const auto& lacks = m_bench.data().brief.lacks;
    for (const auto& e : d->equipment)
        needs << (isLacking(m_bench.blueprint(), lacks[0], e) ? tr("%1 (not at hand)").arg(q(e)) : q(e));
    if (d->partner)
        needs << tr("a partner");
    if (!needs.isEmpty())
        add(wrapped(tr("Needs: %1").arg(needs.join(", ")), "quiet"));
    if (!d->caution.empty())
        add(wrapped(tr("Caution: %1").arg(q(d->caution)), "caution"));
    for (const auto& note : notesForDrill(m_bench.blueprint(), id, m_bench.data().brief.athlete))
        add(wrapped((note.pain ? tr("It works on what hurts (%1): ask a doctor or a physiotherapist first.")
                               : tr("Mind what is noted: %1."))
                        .arg(q(bodyWords(note))),
                    "caution"));
    for (const auto& g : m_bench.analysis().gates)
        if (g.drill == d->id) {
            add(wrapped(tr("Gate: %1").arg(q(g.gate.words)), "model"));
            auto* bar = new GateBar;
            bar->show(g.good, g.bad, m_bench.blueprint().gate);
            add(bar);
        }
    for (const auto& trend : m_bench.analysis().trends)
        if (trend.fault == fault)
            if (const auto help = drillHelpWords(m_bench.data(), m_bench.blueprint(), trend, d->id); !help.empty())
                add(wrapped(tr("Does it help? %1").arg(q(help))));
    m_rules = wrapped({}, "quiet");
    add(m_rules);
    addButtons(id);
    body()->addStretch();
}

// Never for this athlete; the coach's own can be changed.
void DrillCard::addButtons(const std::string& id) {
    const auto& banned = m_bench.data().brief.banned;
    const bool isBanned = std::find(banned.begin(), banned.end(), id) != banned.end();
    if (isBanned)
        body()->addWidget(wrapped(tr("Banned for this athlete: it is never planned."), "caution"));
    auto* ban = new QPushButton(isBanned ? tr("Allow it again") : tr("Never for this athlete"));
    ban->setObjectName("banDrill");
    connect(ban, &QPushButton::clicked, this, [this, id, isBanned] {
        Brief brief = m_bench.data().brief;
        if (isBanned)
            std::erase(brief.banned, id);
        else
            brief.banned.push_back(id);
        m_bench.book().perform(isBanned ? tr("allow a drill again") : tr("ban a drill"),
                               {BriefEdit{{}, m_bench.data().brief, brief}});
    });
    body()->addWidget(ban);
    if (isOwnDrill(id)) {
        auto* edit = new QPushButton(tr("Change this drill …"));
        edit->setObjectName("editDrill");
        connect(edit, &QPushButton::clicked, this, [this, id] { emit editWanted(q(id)); });
        body()->addWidget(edit);
    }
}

void DrillCard::setRules(const QStringList& rules) {
    if (m_rules)
        m_rules->setText(rules.isEmpty() ? QString() : rules.join("; ") + ".");
}

} // namespace riflesso
