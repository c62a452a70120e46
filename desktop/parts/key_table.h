#pragma once
/// \file
/// A page's actions, each once: its keys, its line in a menu, its button's tooltip and the sheet of keys come from
/// here.

#include <QAction>
#include <QKeyEvent>
#include <QObject>
#include <QString>
#include <QStringList>

#include <functional>
#include <map>
#include <vector>

class QAbstractButton;

namespace riflesso {

/// Interface thread. Belongs to the page, whose keyPressEvent() asks press(). The keys are no shortcuts of the window:
/// whatever has the focus inside the page (a list, a field, a button) hears them first, as somebody who works by keys
/// expects.
class KeyTable : public QObject {
public:
    explicit KeyTable(QWidget* page);
    /// The table of a page, or of the first part of it that has one; null when it has none.
    static const KeyTable* of(const QWidget* page);

    /// \p words: as the sheet says it, in the reader's language; lines with the same words become one. \p keys: as
    /// QKeySequence reads them, one key each ("Shift+Left"); none for what only a menu offers.
    QAction* add(const QString& words, const QStringList& keys, std::function<void()> run);
    /// Left and right arrow, with \p before in front of them ("Ctrl+"): one step, ten with Shift.
    void addSteps(const QString& words, const QString& before, std::function<void(int)> step);
    /// Keys without a line of their own: the line above speaks of them ("with Shift ten").
    void also(const QStringList& keys, std::function<void()> run);
    /// A line for keys that a part of the page hears, or that are too many to be named one by one.
    void tell(const QString& keys, const QString& words);
    /// The button's tooltip says \p why and the action's keys.
    static void describe(QAbstractButton* button, const QAction* action, const QString& why);
    /// The same, and the button does what the action does.
    static void give(QAbstractButton* button, QAction* action, const QString& why);

    /// Does what the key stands for. False when it stands for nothing here. Shift and Alt are asked for only where two
    /// actions share a key; Ctrl always.
    [[nodiscard]] bool press(const QKeyEvent* event) const;

    struct Row {
        QString keys, words; ///< "C  Shift+C", "carry this rep's marks …"
    };
    /// In the order in which they were added.
    [[nodiscard]] const std::vector<Row>& rows() const { return m_rows; }
    /// Keys that two actions claim; empty in a sound table.
    [[nodiscard]] const QStringList& clashes() const { return m_clashes; }

private:
    void hear(const QStringList& keys, std::function<void()> run);

    std::vector<Row> m_rows;
    std::map<int, std::function<void()>> m_heard; // by QKeyCombination::toCombined()
    QStringList m_clashes;
};

} // namespace riflesso
