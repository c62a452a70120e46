#pragma once
/// \file
/// The findings as a list: what is good, what is worked on, what would follow, what was found, what cannot be decided,
/// what was set aside; each on its band.

#include "desktop/workbench/workbench.h"

#include <QWidget>

#include <string>
#include <vector>

namespace riflesso {

struct FindingItem {
    enum class Group { good, working, follows, found, undecided, parked, rejected };
    Group group = Group::found;
    std::string fault;   ///< empty for a strength or an undecided measure
    std::string measure; ///< that shows it; empty when none does
    Id decision = 0;     ///< open decision; 0 = none
    QString name;
    QString note; ///< beside the name where there is no number
    Id frame = 0; ///< the frame note that shows it; 0 = none
    [[nodiscard]] std::string key() const {
        return fault.empty() ? decision ? "own:" + std::to_string(decision) : "measure:" + measure : "fault:" + fault;
    }
};

/// In the order of the groups, within a group by priority.
std::vector<FindingItem> findingItems(const Workbench& bench);
QString groupName(FindingItem::Group group);

/// Click or arrow keys choose.
class FindingList : public QWidget {
    Q_OBJECT
public:
    explicit FindingList(Workbench& bench, QWidget* parent = nullptr);
    void refresh();
    [[nodiscard]] const FindingItem* chosen() const;
    /// Now, or at the refresh that brings it.
    void chooseWhenThere(const std::string& key);
    /// False when it is not in the list.
    bool choose(const std::string& key);
    [[nodiscard]] const std::vector<FindingItem>& items() const { return m_items; }
    [[nodiscard]] QRect boxOf(const std::string& key) const;
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override { return {200, sizeHint().height()}; }

signals:
    void changed();
    /// The chosen row's box, to be scrolled into sight.
    void wanted(const QRect& box);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    struct Place {
        std::size_t item;
        QRect box;
        int title = -1; ///< y of the group's title above it; −1 = none
    };
    [[nodiscard]] std::vector<Place> places() const;
    Workbench& m_bench;
    std::vector<FindingItem> m_items;
    std::string m_chosen;
    std::string m_awaited; ///< chosen as soon as it is in the list
};

} // namespace riflesso
