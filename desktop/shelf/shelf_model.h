#pragma once
/// \file
/// Athletes as rows for the shelf: which are shown, and in which order. No widgets.

#include "core/programme/calendar.h"
#include "library/case_card.h"
#include "library/library.h"

#include <QAbstractListModel>
#include <QString>
#include <QStringList>

#include <functional>
#include <set>
#include <vector>

namespace riflesso {

/// One technique of an athlete on the shelf.
struct ShelfCase {
    Id id = 0;
    QString technique;
    CaseCard card;
    std::string blueprintId{};
};

struct ShelfAthlete {
    Id id = 0;
    Athlete athlete;
    std::vector<ShelfCase> cases; ///< the one most in need first
    QString found;                ///< what searching looks through, in small letters

    [[nodiscard]] bool needsCoach() const;
    /// Name, or "New athlete".
    [[nodiscard]] QString name() const;
    /// "filmed 2 days ago · next practice Sat", as far as known.
    [[nodiscard]] QString when(Day today) const;
};

/// Interface thread. Everything is kept in memory: a thousand athletes are filtered within a keystroke.
class ShelfModel : public QAbstractListModel {
    Q_OBJECT
public:
    /// Besides these the tabs are squads, by name.
    enum class Tab { needsMe, everybody, squad, putAway };
    enum Role { AthleteRole = Qt::UserRole };

    explicit ShelfModel(Day today) : m_today(today) {}

    /// \p techniqueName gives the words for a blueprint's id; asked once for each id.
    void fill(const std::vector<AthleteSummary>& athletes,
              const std::function<QString(const std::string&)>& techniqueName);
    void show(Tab tab, const QString& squad = {});
    /// Words that must all be found in name, techniques, focus, squad or what is next.
    void search(const QString& text);
    /// Not shown, as if deleted; shown again when taken out of the set.
    void hide(const std::set<Id>& athletes);

    /// The row after the last athlete is the place for a new one; not while searching, nor among those put away.
    [[nodiscard]] bool isNew(int row) const { return row == static_cast<int>(m_shown.size()); }
    [[nodiscard]] const ShelfAthlete& at(int row) const { return m_all[m_shown[static_cast<std::size_t>(row)]]; }
    [[nodiscard]] const ShelfAthlete* athlete(Id id) const;
    [[nodiscard]] QStringList squads() const;
    /// Everybody who is neither hidden nor put away; of a squad where one is named.
    [[nodiscard]] std::vector<ShelfAthlete> people(const QString& squad = {}) const;
    [[nodiscard]] int countOf(Tab tab, const QString& squad = {}) const;
    [[nodiscard]] Day today() const { return m_today; }

    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;

private:
    void refresh();
    [[nodiscard]] bool belongs(const ShelfAthlete& a, Tab tab, const QString& squad) const;

    Day m_today;
    std::vector<ShelfAthlete> m_all; ///< in the order "who needs me next"
    std::vector<std::size_t> m_shown;
    std::set<Id> m_hidden;
    Tab m_tab = Tab::everybody;
    QString m_squad;
    QStringList m_words;
};

} // namespace riflesso
