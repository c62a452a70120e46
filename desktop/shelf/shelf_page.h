#pragma once
/// \file
/// The shelf: what opens when no case is open. Athletes as cards.

#include "desktop/parts/job_row.h"
#include "desktop/shelf/shelf_model.h"

#include <QLabel>
#include <QLineEdit>
#include <QListView>
#include <QPushButton>
#include <QTabBar>
#include <QThreadPool>
#include <QVBoxLayout>
#include <QWidget>

#include <memory>
#include <set>

namespace riflesso {

/// Interface thread; stills are decoded on a thread of its own. Deletions are carried out when the shelf's owner calls
/// finishDeleting(), when the program ends: until then they can be undone.
class AthletePage;
class SquadSheet;

class ShelfPage : public QWidget {
    Q_OBJECT
public:
    ShelfPage(std::shared_ptr<Library> library, Day today);
    ~ShelfPage() override;

    /// Reads the library anew.
    void refresh();
    /// Opens the dialog for a new athlete; \p films are brought in when it is accepted.
    void newAthlete(const QStringList& films = {});
    /// Without a dialog. 0 when it failed.
    Id addAthlete(const Athlete& athlete, const std::string& blueprintId);
    void deleteAthlete(Id athlete);
    /// The last deletion is taken back. False when there was none.
    bool undoDelete();
    void putAway(Id athlete, bool away);
    /// One person, all techniques.
    AthletePage* showAthlete(Id athlete);
    /// The squad of the chosen tab, or everybody.
    SquadSheet* showSquad();
    /// Deletes at once, after asking with a list of what goes. \p sure: without asking.
    void eraseWholly(Id athlete, bool sure = false);
    void merge(Id athlete, Id other);
    /// Athletes with all cases and films as one bundle, by a worker; `said` or `failed` tells how it went.
    void handOver(const std::vector<Id>& athletes, const QString& file);
    /// Somebody and all of their cases once more, over the same films; clips of practice and reviews stay with the
    /// first.
    void duplicate(Id athlete);
    /// Looks into a bundle, by a worker, and opens the dialog for it; when it is none, `failed` says why.
    void takeIn(const QString& file);
    /// Athletes that are to be deleted when the program ends.
    [[nodiscard]] const std::vector<Id>& deleted() const { return m_deleted; }
    void setDeleted(std::vector<Id> athletes);

    [[nodiscard]] ShelfModel& model() { return m_model; }
    [[nodiscard]] QListView* cards() const { return m_cards; }
    [[nodiscard]] QLineEdit* searchField() const { return m_search; }
    [[nodiscard]] QTabBar* tabs() const { return m_tabs; }
    /// Are stills being made, or a bundle?
    [[nodiscard]] bool busy() const { return !m_making.empty() || m_running > 0; }

signals:
    void openCase(riflesso::Id caseId);
    /// Films dropped on a card: open the case and bring them in.
    void filmsFor(riflesso::Id caseId, const QStringList& films);
    void failed(const QString& message);
    void said(const QString& message);

protected:
    void dragEnterEvent(QDragEnterEvent* e) override;
    void dragMoveEvent(QDragMoveEvent* e) override;
    void dropEvent(QDropEvent* e) override;
    void resizeEvent(QResizeEvent* e) override;
    bool eventFilter(QObject* watched, QEvent* e) override;

private:
    void buildCards();
    void fillTabs();
    void chooseTab(int index);
    void openRow(const QModelIndex& index);
    void menuFor(const QModelIndex& index, const QPoint& at);
    void addTechnique(Id athlete);
    void setSquad(Id athlete);
    void edit(Id athlete, const std::function<void(Athlete&)>& change);
    void makeStill(const ShelfCase& of);
    void handOver(Id athlete);
    JobRow* job(const QString& what);
    [[nodiscard]] std::function<std::optional<Blueprint>(const std::string&)> blueprints() const;
    void sayEmpty();
    [[nodiscard]] QModelIndex cardAt(const QPoint& globalPosition) const;
    [[nodiscard]] QString techniqueName(const std::string& blueprintId) const;
    bool chooseTechnique(const QString& title, QString* name, std::string* blueprintId, Athlete* athlete);

    std::shared_ptr<Library> m_library;
    ShelfModel m_model;
    QLineEdit* m_search;
    QTabBar* m_tabs;
    QPushButton* m_squad;
    QListView* m_cards;
    QLabel* m_empty;
    QWidget* m_undoBar;
    QLabel* m_undoText;
    std::vector<Id> m_deleted;
    QThreadPool m_stills;
    std::set<Id> m_making, m_without; ///< cases
    QVBoxLayout* m_rows;
    int m_running = 0;
    Jobs m_jobs; ///< stopped and waited for before anything else goes
};

/// Where a case's still is kept.
std::filesystem::path stillOf(const Library& library, Id caseId);

} // namespace riflesso
