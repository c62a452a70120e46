#pragma once
/// \file
/// The blueprint that is being built: one value, undone and redone as a whole, checked at every change.

#include "core/technique/difference.h"
#include "core/technique/validate.h"

#include <QObject>
#include <QUndoStack>

#include <functional>

namespace riflesso {

/// The lists of a blueprint that one edits item by item.
enum class Part { positions, measures, faults, drills, schools, situations, profiles, checkpoints };

class WorkshopDocument : public QObject {
    Q_OBJECT
public:
    explicit WorkshopDocument(Blueprint blueprint, QObject* parent = nullptr);

    [[nodiscard]] const Blueprint& value() const { return m_value; }
    /// As it was last saved or opened.
    [[nodiscard]] const Blueprint& saved() const { return m_saved; }
    [[nodiscard]] const std::vector<BlueprintProblem>& problems() const { return m_problems; }
    [[nodiscard]] bool changedSinceSaved() const { return !m_undo.isClean(); }
    QUndoStack& undoStack() { return m_undo; }

    /// Does an edit as one step of undo. Edits of the same \p gesture that follow each other are one step.
    void change(const QString& what, const std::function<void(Blueprint&)>& edit, const QString& gesture = {});
    /// Another blueprint altogether; forgets the undo steps.
    void open(Blueprint blueprint);
    void markSaved(int version);

    // Items -----------------------------------------------------------------------------------------------------------
    [[nodiscard]] int count(Part part) const;
    [[nodiscard]] QString nameOf(Part part, int index) const;
    /// Adds an item with sound beginnings; gives its index.
    int add(Part part);
    void copy(Part part, int index);
    void remove(Part part, int index);
    /// Exchanges an item with the one \p by places further on.
    void move(Part part, int index, int by);
    /// Sets the name; the id of an item that was never saved follows it, and everything that refers to it.
    void rename(Part part, int index, const QString& name);

signals:
    void changed();
    /// The number, order or names of items changed.
    void listsChanged();

private:
    class Step;
    void set(Blueprint blueprint);
    Blueprint m_value, m_saved;
    std::vector<BlueprintProblem> m_problems;
    QUndoStack m_undo;
};

/// Lower case letters, digits and _, beginning with a letter, unlike any of \p taken.
std::string idFrom(const QString& name, const std::vector<std::string>& taken);

} // namespace riflesso
