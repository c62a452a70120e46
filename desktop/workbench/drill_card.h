#pragma once
/// \file
/// A drill: how it goes, right and wrong as pictures, its gate on the zone in which one learns.

#include "desktop/parts/card.h"
#include "desktop/workbench/workbench.h"

namespace riflesso {

/// The gate's zone as a bar: from half to about six in seven one learns; the dot is the share that was good, with its
/// 95 % interval.
class GateBar : public QWidget {
    Q_OBJECT
public:
    explicit GateBar(QWidget* parent = nullptr) : QWidget(parent) { setAccessibleName(tr("Gate")); }
    void show(int good, int bad, const GateZones& zones = {});
    [[nodiscard]] QSize sizeHint() const override { return {240, 44}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {140, 40}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    int m_good = 0, m_bad = 0;
    GateZones m_zones;
};

class DrillCard : public Card {
    Q_OBJECT
public:
    explicit DrillCard(Workbench& bench, QWidget* parent = nullptr);
    /// \p fault: for which it is done here; its pictures are of that.
    void show(const std::string& drill, const std::string& fault);
    /// What was planned of it, with the day's rules; empty = nothing chosen in the calendar.
    void setRules(const QStringList& rules);

signals:
    void editWanted(const QString& drill); ///< of the coach's own

private:
    void addButtons(const std::string& id);

    Workbench& m_bench;
    QLabel* m_rules = nullptr;
};

} // namespace riflesso
