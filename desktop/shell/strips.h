#pragma once
/// \file
/// The case strip on top and the path of the nine workspaces under it.

#include "desktop/workbench/workbench.h"

#include <QAbstractButton>
#include <QLabel>
#include <QPushButton>
#include <QWidget>

namespace riflesso {

/// Athlete, technique, date; at the right the one thing to do next, clickable.
class CaseStrip : public QWidget {
    Q_OBJECT
public:
    explicit CaseStrip(Workbench& bench);
    [[nodiscard]] QPushButton* nextButton() const { return m_next; }

signals:
    void shelfWanted();

private:
    void refresh();
    Workbench& m_bench;
    QLabel* m_case;
    QLabel* m_detail;
    QPushButton* m_next;
};

/// One workspace on the path: its name above the waterline, what it still lacks below.
class Station : public QAbstractButton {
    Q_OBJECT
public:
    Station(int number, const QString& name);
    void setLacking(const QString& lacking);
    [[nodiscard]] QSize sizeHint() const override { return {112, 50}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    int m_number;
    QString m_name, m_lacking;
};

class PathStrip : public QWidget {
    Q_OBJECT
public:
    explicit PathStrip(Workbench& bench);
    void setCurrent(Workspace w);
    [[nodiscard]] Station* station(Workspace w) const { return m_stations[static_cast<std::size_t>(w)]; }

signals:
    void chosen(riflesso::Workspace w);

private:
    void refresh();
    Workbench& m_bench;
    std::array<Station*, kWorkspaces> m_stations{};
};

/// The names of the workspaces, in working order.
QString workspaceName(Workspace w);
/// The same in every language: "brief"; names the guide's page and the walk's picture.
QString workspaceId(Workspace w);

} // namespace riflesso
