#pragma once
/// \file
/// The decision on a finding: why it stands where it stands, what was said and what was seen, and what a person makes
/// of it.

#include "desktop/findings/finding_list.h"
#include "desktop/parts/card.h"

#include <QComboBox>
#include <QPushButton>

namespace riflesso {

/// Everything that is pressed here is a step of the casebook's, to be taken back like any other.
class DecisionPanel : public Card {
    Q_OBJECT
public:
    explicit DecisionPanel(Workbench& bench, QWidget* parent = nullptr);
    /// \p item may be null: then it says how the set compares as a whole. Borrowed for the call.
    void show(const FindingItem* item);

signals:
    /// A finding of the coach's own was put down; \p key as FindingItem::key().
    void added(const std::string& key);

private:
    void showFault(const FindingItem& item);
    void showEvidence(const Finding& finding);
    void showPriority(const PriorityParts& parts);
    void showLinks(const std::string& cause);
    void showMeasure(const FindingItem& item);
    void addDecision(const FindingItem& item);
    void addTarget(const std::string& measure);
    void decide(DecisionKind kind, const std::string& reason = {});
    void askReason();
    void askTarget(const std::string& measure);
    void askGoal(const std::string& measure);
    void askOwnFinding();
    [[nodiscard]] QString sources(const Deviation& d) const;
    [[nodiscard]] QLabel* linked(const QString& html);
    void add(QWidget* w) { body()->addWidget(w); }

    Workbench& m_bench;
    FindingItem m_item;
};

} // namespace riflesso
