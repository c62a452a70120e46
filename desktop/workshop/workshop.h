#pragma once
/// \file
/// The blueprint workshop: a window of its own in which a technique is described without writing JSON.

#include "desktop/workbench/workbench.h"
#include "desktop/workshop/cause_graph.h"
#include "desktop/workshop/language_room.h"
#include "desktop/workshop/measure_editor.h"

#include <QListWidget>
#include <QStackedWidget>
#include <QTextBrowser>

#include <filesystem>

namespace riflesso {

class Workshop : public QWidget {
    Q_OBJECT
public:
    /// \p library: where blueprints are kept. \p bench: the open case, to try things on; may be null.
    Workshop(Blueprint blueprint, std::filesystem::path library, Workbench* bench, QWidget* parent = nullptr);
    [[nodiscard]] WorkshopDocument& document() { return *m_document; }

    /// The rooms of the workshop, in the order of the list at the left.
    enum class Room {
        technique,
        positions,
        measures,
        faults,
        causes,
        drills,
        profiles,
        schools,
        situations,
        checkpoints,
        languages,
        changes
    };
    void show(Room room, int item = -1);
    [[nodiscard]] MeasureEditor* measureEditor() const { return m_measures; }
    [[nodiscard]] CauseGraph* graph() const { return m_graph; }
    [[nodiscard]] LanguageRoom* languages() const { return m_languages; }
    /// Asks nothing: for tests and for the dialogs of the window.
    bool importFile(const QString& file);
    bool exportFile(const QString& file);
    bool keep();
    /// A new blueprint with something in it already, under an id that no other has.
    void begin(Blueprint blueprint);

signals:
    /// A version was kept in the library.
    void kept(const QString& id);

protected:
    void closeEvent(QCloseEvent* e) override;

private:
    void buildBar(QLayout* into);
    /// The list of a room's items with its buttons.
    void buildItems();
    void buildPages();
    void connectAll();
    ItemForm* positionForm();
    void pictureField(ItemForm* f);
    void ruleKindField(ItemForm* f);
    QWidget* rulePointsField(ItemForm* f);
    QWidget* ruleDirectionField(ItemForm* f);
    ItemForm* faultForm();
    ItemForm* drillForm();
    ItemForm* techniqueForm();
    ItemForm* namedForm(Part part);
    void limitRows(ItemForm& form);
    QWidget* causesRoom();
    QWidget* changesRoom();
    void fillItems();
    void refresh();
    void showChanges();
    void sayProblems();
    /// What is wrong with the names that people know instead of ids.
    [[nodiscard]] QString inNames(const BlueprintProblem& problem) const;
    void tryRule();
    void takePicture();
    void toProblem(const QString& place);
    [[nodiscard]] std::optional<Part> part() const;

    WorkshopDocument* m_document;
    std::filesystem::path m_library;
    Workbench* m_bench;
    QListWidget* m_rooms;
    QWidget* m_itemsSide;
    QListWidget* m_items;
    QStackedWidget* m_pages;
    std::map<Room, ItemForm*> m_forms;
    MeasureEditor* m_measures;
    CauseGraph* m_graph;
    LanguageRoom* m_languages;
    QDoubleSpinBox* m_strength;
    QLabel* m_linkWords;
    QComboBox *m_linkFrom, *m_linkTo;
    QTextBrowser* m_changes;
    QComboBox *m_before, *m_after;
    QListWidget* m_problems;
    QLabel *m_title, *m_message, *m_ruleResult, *m_picture;
    QPushButton *m_keep, *m_undo, *m_redo;
    Room m_room = Room::technique;
    Room m_itemsOf = Room::technique; ///< whose items the list shows
};

} // namespace riflesso
