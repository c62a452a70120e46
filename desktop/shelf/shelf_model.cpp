#include "desktop/shelf/shelf_model.h"

#include "casebook/text.h"

#include <QtConcurrent/QtConcurrentMap>

#include <algorithm>
#include <map>
#include <numeric>

namespace riflesso {

bool ShelfAthlete::needsCoach() const {
    return std::any_of(cases.begin(), cases.end(),
                       [](const auto& c) { return c.card.needsCoach || c.card.next.empty(); });
}

QString ShelfAthlete::name() const {
    return athlete.name.empty() ? ShelfModel::tr("New athlete") : q(athlete.name);
}

QString ShelfAthlete::when(Day today) const {
    std::string filmed, practice;
    for (const auto& c : cases) {
        filmed = std::max(filmed, c.card.filmed);
        if (!c.card.practice.empty() && (practice.empty() || c.card.practice < practice))
            practice = c.card.practice;
    }
    QStringList parts;
    if (const auto day = dayFromIso(filmed)) {
        const auto ago = (today - *day).count();
        parts << (ago <= 0   ? ShelfModel::tr("filmed today")
                  : ago == 1 ? ShelfModel::tr("filmed yesterday")
                  : ago < 60 ? ShelfModel::tr("filmed %1 days ago").arg(ago)
                             : ShelfModel::tr("filmed %1 months ago").arg(ago / 30));
    } else {
        parts << ShelfModel::tr("not filmed yet");
    }
    if (const auto day = dayFromIso(practice); day && *day >= today) {
        const auto days = (*day - today).count();
        parts << (days == 0 ? ShelfModel::tr("practice today")
                            : ShelfModel::tr("next practice %1").arg(q(dayWords(*day))));
    }
    return parts.join(" · ");
}

void ShelfModel::fill(const std::vector<AthleteSummary>& athletes,
                      const std::function<QString(const std::string&)>& techniqueName) {
    std::map<std::string, QString> techniques;
    // What each card says, read by all cores: it is most of the work with thousands of cases.
    std::vector<std::vector<CaseCard>> cards(athletes.size());
    std::vector<std::size_t> numbers(athletes.size());
    std::iota(numbers.begin(), numbers.end(), std::size_t(0));
    QtConcurrent::blockingMap(numbers, [&](std::size_t i) {
        for (const auto& c : athletes[i].cases)
            cards[i].push_back(cardOn(cardFromJson(c.card), m_today));
    });
    beginResetModel();
    m_all.clear();
    m_all.reserve(athletes.size());
    for (std::size_t i = 0; i < athletes.size(); ++i) {
        const AthleteSummary& a = athletes[i];
        ShelfAthlete s{a.id, a.athlete, {}, {}};
        QStringList words{s.name(), q(a.athlete.squad)};
        for (std::size_t k = 0; k < a.cases.size(); ++k) {
            const auto& c = a.cases[k];
            const auto [name, fresh] = techniques.try_emplace(c.blueprintId);
            if (fresh)
                name->second = techniqueName(c.blueprintId);
            s.cases.push_back({c.id, name->second, std::move(cards[i][k]), c.blueprintId});
            words << name->second << q(s.cases.back().card.focus) << q(s.cases.back().card.next);
        }
        std::stable_sort(s.cases.begin(), s.cases.end(),
                         [](const auto& x, const auto& y) { return x.card.needsCoach > y.card.needsCoach; });
        s.found = words.join('\n').toLower();
        m_all.push_back(std::move(s));
    }
    // Who needs the coach comes first; among equals who was filmed last, since that is what people speak about.
    struct Place {
        bool needsCoach;
        std::string filmed;
        std::size_t index;
    };
    std::vector<Place> order;
    for (std::size_t i = 0; i < m_all.size(); ++i) {
        order.push_back({m_all[i].needsCoach(), {}, i});
        for (const auto& c : m_all[i].cases)
            order.back().filmed = std::max(order.back().filmed, c.card.filmed);
    }
    std::stable_sort(order.begin(), order.end(), [](const Place& a, const Place& b) {
        return a.needsCoach != b.needsCoach ? a.needsCoach : a.filmed > b.filmed;
    });
    std::vector<ShelfAthlete> sorted;
    sorted.reserve(m_all.size());
    for (const Place& p : order)
        sorted.push_back(std::move(m_all[p.index]));
    m_all = std::move(sorted);
    refresh();
    endResetModel();
}

std::vector<ShelfAthlete> ShelfModel::people(const QString& squad) const {
    std::vector<ShelfAthlete> out;
    for (const auto& a : m_all)
        if (!m_hidden.contains(a.id) && belongs(a, squad.isEmpty() ? Tab::everybody : Tab::squad, squad))
            out.push_back(a);
    return out;
}

void ShelfModel::show(Tab tab, const QString& squad) {
    beginResetModel();
    m_tab = tab;
    m_squad = squad;
    refresh();
    endResetModel();
}

void ShelfModel::search(const QString& text) {
    beginResetModel();
    m_words = text.toLower().split(' ', Qt::SkipEmptyParts);
    refresh();
    endResetModel();
}

void ShelfModel::hide(const std::set<Id>& athletes) {
    beginResetModel();
    m_hidden = athletes;
    refresh();
    endResetModel();
}

bool ShelfModel::belongs(const ShelfAthlete& a, Tab tab, const QString& squad) const {
    if (m_hidden.contains(a.id))
        return false;
    if (a.athlete.putAway || tab == Tab::putAway)
        return a.athlete.putAway && tab == Tab::putAway;
    return tab == Tab::everybody || (tab == Tab::needsMe && a.needsCoach()) ||
           (tab == Tab::squad && q(a.athlete.squad) == squad);
}

void ShelfModel::refresh() {
    m_shown.clear();
    for (std::size_t i = 0; i < m_all.size(); ++i)
        if (belongs(m_all[i], m_tab, m_squad) &&
            std::all_of(m_words.begin(), m_words.end(), [&](const QString& w) { return m_all[i].found.contains(w); }))
            m_shown.push_back(i);
}

const ShelfAthlete* ShelfModel::athlete(Id id) const {
    const auto it = std::find_if(m_all.begin(), m_all.end(), [id](const auto& a) { return a.id == id; });
    return it == m_all.end() ? nullptr : &*it;
}

QStringList ShelfModel::squads() const {
    QStringList out;
    for (const auto& a : m_all)
        if (!a.athlete.squad.empty() && !a.athlete.putAway && !m_hidden.contains(a.id))
            out << q(a.athlete.squad);
    out.removeDuplicates();
    out.sort(Qt::CaseInsensitive);
    return out;
}

int ShelfModel::countOf(Tab tab, const QString& squad) const {
    return static_cast<int>(
        std::count_if(m_all.begin(), m_all.end(), [&](const auto& a) { return belongs(a, tab, squad); }));
}

int ShelfModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0
                            : static_cast<int>(m_shown.size()) + (m_words.isEmpty() && m_tab != Tab::putAway ? 1 : 0);
}

QVariant ShelfModel::data(const QModelIndex& index, int role) const {
    if (!index.isValid() || index.row() >= rowCount())
        return {};
    if (isNew(index.row()))
        return role == Qt::DisplayRole || role == Qt::AccessibleTextRole ? QVariant(tr("New athlete")) : QVariant();
    const ShelfAthlete& a = at(index.row());
    if (role == AthleteRole)
        return QVariant::fromValue<qlonglong>(a.id);
    if (role == Qt::DisplayRole || role == Qt::AccessibleTextRole) {
        QStringList parts{a.name()};
        for (const auto& c : a.cases)
            parts << c.technique << q(c.card.next);
        return parts.join(", ");
    }
    return {};
}

} // namespace riflesso
