#include "desktop/findings/finding_list.h"

#include "casebook/text.h"
#include "desktop/parts/band_rows.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <set>

namespace riflesso {
namespace {
constexpr int kTitle = 22, kCardGap = 5;

// What shows a fault in this film best: its evidence, else the first of its indicators that was judged.
std::string shownBy(const Workbench& bench, const std::string& fault) {
    if (const Finding* f = bench.analysis().finding(fault); f && !f->evidence.empty())
        return f->evidence.front();
    if (const Fault* known = bench.blueprint().fault(fault))
        for (const auto& indicator : known->indicators)
            if (const Deviation* d = bench.analysis().deviation(indicator.measure); d && d->judged)
                return indicator.measure;
    return {};
}

int rowHeight() {
    return QFontMetrics(typeface(Type::body)).lineSpacing() + 28;
}
} // namespace

std::vector<FindingItem> findingItems(const Workbench& bench) {
    using Group = FindingItem::Group;
    const auto& a = bench.analysis();
    const auto& b = bench.blueprint();
    std::vector<FindingItem> out;
    std::set<std::string> listed;
    for (const auto& s : a.judgement.strengths)
        out.push_back({Group::good, {}, s.measure, 0, q(b.measure(s.measure)->definition.name), {}, 0});
    const auto decided = [&](DecisionKind kind, Group group) {
        for (const auto& d : a.decided) {
            if (d.decision.kind != kind)
                continue;
            const Fault* f = b.fault(d.decision.fault);
            const QString reason = d.decision.reason.empty() ? QString() : q(d.decision.reason) + ", ";
            out.push_back({group, d.decision.fault, f ? shownBy(bench, d.decision.fault) : std::string(), d.decision.id,
                           f ? q(f->name) : q(d.decision.words), reason + q(d.words), d.decision.note});
        }
    };
    const auto faults = [&](const std::vector<std::string>& ids, Group group) {
        for (const auto& id : ids)
            if (b.fault(id) && listed.insert(id).second)
                out.push_back({group, id, shownBy(bench, id), 0, q(b.fault(id)->name), {}, 0});
    };
    for (const auto& d : a.decided)
        listed.insert(d.decision.fault);
    decided(DecisionKind::takenUp, Group::working);
    if (!out.empty() && out.back().group == Group::working)
        faults(a.judgement.expectedToFollow, Group::follows);
    std::vector<std::string> found;
    for (const auto& f : a.judgement.findings)
        found.push_back(f.fault);
    faults(found, Group::found);
    for (const auto& m : a.judgement.undecided)
        out.push_back({Group::undecided, {}, m, 0, q(b.measure(m)->definition.name), {}, 0});
    decided(DecisionKind::parked, Group::parked);
    decided(DecisionKind::rejected, Group::rejected);
    return out;
}

QString groupName(FindingItem::Group group) {
    switch (group) {
    case FindingItem::Group::good:
        return FindingList::tr("Good");
    case FindingItem::Group::working:
        return FindingList::tr("Working on");
    case FindingItem::Group::follows:
        return FindingList::tr("Would go with it");
    case FindingItem::Group::found:
        return FindingList::tr("Found");
    case FindingItem::Group::undecided:
        return FindingList::tr("Not decided");
    case FindingItem::Group::parked:
        return FindingList::tr("Parked");
    case FindingItem::Group::rejected:
        return FindingList::tr("Not for this athlete");
    }
    return {};
}

FindingList::FindingList(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setObjectName("findingList");
    setAccessibleName(tr("Findings"));
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
}

void FindingList::refresh() {
    m_items = findingItems(m_bench);
    if (const auto it =
            std::find_if(m_items.begin(), m_items.end(), [&](const auto& i) { return i.key() == m_awaited; });
        it != m_items.end())
        m_chosen = std::exchange(m_awaited, {});
    if (!chosen()) {
        // What is worked on first, else what was found first.
        m_chosen.clear();
        for (const auto group : {FindingItem::Group::working, FindingItem::Group::found, FindingItem::Group::undecided,
                                 FindingItem::Group::good})
            for (const auto& i : m_items)
                if (m_chosen.empty() && i.group == group)
                    m_chosen = i.key();
    }
    QStringList spoken;
    for (const auto& i : m_items)
        spoken << groupName(i.group) + ": " + i.name;
    setAccessibleDescription(spoken.join("; "));
    updateGeometry();
    update();
}

const FindingItem* FindingList::chosen() const {
    const auto it = std::find_if(m_items.begin(), m_items.end(), [&](const auto& i) { return i.key() == m_chosen; });
    return it == m_items.end() ? nullptr : &*it;
}

void FindingList::chooseWhenThere(const std::string& key) {
    if (!choose(key))
        m_awaited = key;
}

bool FindingList::choose(const std::string& key) {
    if (std::none_of(m_items.begin(), m_items.end(), [&](const auto& i) { return i.key() == key; }))
        return false;
    if (m_chosen == key)
        return true;
    m_chosen = key;
    update();
    emit wanted(boxOf(key));
    emit changed();
    return true;
}

QRect FindingList::boxOf(const std::string& key) const {
    for (const auto& place : places())
        if (m_items[place.item].key() == key)
            return place.box;
    return {};
}

std::vector<FindingList::Place> FindingList::places() const {
    std::vector<Place> out;
    int y = 0;
    for (std::size_t i = 0; i < m_items.size(); ++i) {
        Place place{i, {}, -1};
        if (i == 0 || m_items[i].group != m_items[i - 1].group) {
            y += i == 0 ? 0 : 3;
            place.title = y;
            y += kTitle;
        }
        place.box = QRect(0, y, width() - 1, rowHeight());
        y += rowHeight() + kCardGap;
        out.push_back(place);
    }
    return out;
}

QSize FindingList::sizeHint() const {
    const auto all = places();
    return {290, all.empty() ? 60 : all.back().box.bottom() + 4};
}

void FindingList::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    if (m_items.empty()) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::body));
        p.drawText(rect(), Qt::AlignLeft | Qt::TextWordWrap,
                   tr("Nothing is measured yet. Mark a rep of the athlete, and bring in a model."));
        return;
    }
    const QFont body = typeface(Type::body), strong = typeface(Type::body, true), small = typeface(Type::small);
    const QFontMetricsF metrics(strong);
    for (const auto& place : places()) {
        const FindingItem& item = m_items[place.item];
        if (place.title >= 0) {
            p.setFont(strong);
            p.setPen(item.group == FindingItem::Group::working ? t.hues.athlete : t.quiet);
            p.drawText(QRectF(3, place.title, width() - 6, kTitle - 2), Qt::AlignLeft | Qt::AlignVCenter,
                       groupName(item.group));
        }
        const bool chosen = item.key() == m_chosen;
        const QRectF box = QRectF(place.box).adjusted(0.5, 0.5, -0.5, -0.5);
        p.setPen(QPen(chosen ? (hasFocus() ? t.hues.model : t.hues.athlete) : t.line, chosen ? 2 : 1));
        p.setBrush(t.panel);
        p.drawRoundedRect(box, 5, 5);
        const Deviation* d = item.measure.empty() ? nullptr : m_bench.analysis().deviation(item.measure);
        const BlueprintMeasure* m = m_bench.blueprint().measure(item.measure);
        p.setFont(item.group == FindingItem::Group::working ? strong : body);
        p.setPen(t.text);
        const QRectF inner = box.adjusted(9, 4, -9, -4);
        p.drawText(QRectF(inner.x(), inner.y(), inner.width(), metrics.lineSpacing()), Qt::AlignLeft | Qt::AlignVCenter,
                   QFontMetricsF(p.font()).elidedText(item.name, Qt::ElideRight, inner.width()));
        p.setFont(small);
        if (!d || !d->judged || !m) {
            p.setPen(t.quiet);
            p.drawText(QRectF(inner.x(), inner.bottom() - 17, inner.width(), 17), Qt::AlignLeft | Qt::AlignVCenter,
                       QFontMetricsF(small).elidedText(item.note, Qt::ElideRight, inner.width()));
            continue;
        }
        const QString number = q(numberWords(m->definition, d->value.mean, d->value.u));
        const double w = QFontMetricsF(strong).horizontalAdvance(number) + 6;
        drawOnBand(p, QRectF(inner.x() - 4, inner.bottom() - 17, inner.width() - w, 16), d->value.mean, d->value.u,
                   d->band, d->verdict.decision);
        p.setFont(strong);
        p.setPen(d->verdict.decision == Decision::outside ? t.hues.athlete : t.text);
        p.drawText(QRectF(inner.right() - w, inner.bottom() - 18, w, 18), Qt::AlignRight | Qt::AlignVCenter, number);
    }
}

void FindingList::mousePressEvent(QMouseEvent* e) {
    for (const auto& place : places())
        if (place.box.contains(e->position().toPoint()))
            choose(m_items[place.item].key());
}

void FindingList::keyPressEvent(QKeyEvent* e) {
    const int step = e->key() == Qt::Key_Down ? 1 : e->key() == Qt::Key_Up ? -1 : 0;
    if (step == 0 || m_items.empty()) {
        QWidget::keyPressEvent(e);
        return;
    }
    int at = 0;
    for (std::size_t i = 0; i < m_items.size(); ++i)
        if (m_items[i].key() == m_chosen)
            at = static_cast<int>(i);
    choose(m_items[static_cast<std::size_t>(std::clamp(at + step, 0, static_cast<int>(m_items.size()) - 1))].key());
}

} // namespace riflesso
