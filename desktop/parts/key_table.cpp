#include "desktop/parts/key_table.h"

#include <QAbstractButton>
#include <QKeySequence>
#include <QWidget>

#include <algorithm>

namespace riflesso {
namespace {

const QString kBetween = "\u00a0\u00a0"; // a comma between keys would read as one of them

QString arrow(Qt::Key key) {
    switch (key) {
    case Qt::Key_Left:
        return "←";
    case Qt::Key_Right:
        return "→";
    case Qt::Key_Up:
        return "↑";
    case Qt::Key_Down:
        return "↓";
    default:
        return {};
    }
}

// As it stands on the keyboard, in the reader's language.
QString shownKey(const QString& portable) {
    const QKeyCombination c = QKeySequence(portable, QKeySequence::PortableText)[0];
    const QString plain = QKeySequence(c).toString(QKeySequence::NativeText), glyph = arrow(c.key());
    if (glyph.isEmpty())
        return plain;
    QString name = QKeySequence(c.key()).toString(QKeySequence::NativeText);
    return plain.left(plain.size() - name.size()) + glyph;
}

QString shownKeys(const QStringList& keys) {
    QStringList shown;
    for (const QString& key : keys)
        if (!key.endsWith("Enter")) // the one of the number pad, beside Return
            shown += shownKey(key);
    return shown.join(kBetween);
}

QString beginning(const QString& words, bool capital) {
    return (capital ? words.left(1).toUpper() : words.left(1).toLower()) + words.mid(1);
}

} // namespace

KeyTable::KeyTable(QWidget* page) : QObject(page) {}

const KeyTable* KeyTable::of(const QWidget* page) {
    const auto tables = page->findChildren<QObject*>();
    for (const QObject* o : tables)
        if (const auto* table = dynamic_cast<const KeyTable*>(o))
            return table;
    return nullptr;
}

QAction* KeyTable::add(const QString& words, const QStringList& keys, std::function<void()> run) {
    auto* action = new QAction(beginning(words, true), this);
    QList<QKeySequence> shown;
    for (const QString& key : keys)
        shown.append(QKeySequence(key, QKeySequence::PortableText));
    action->setShortcuts(shown);
    action->setShortcutContext(Qt::WidgetShortcut); // told in menus, heard by press()
    connect(action, &QAction::triggered, this, run);
    hear(keys, [action] { action->trigger(); });
    if (keys.isEmpty())
        return action;
    const QString row = beginning(words, false);
    const auto same = std::find_if(m_rows.begin(), m_rows.end(), [&](const Row& r) { return r.words == row; });
    if (same != m_rows.end())
        same->keys += kBetween + shownKeys(keys);
    else
        m_rows.push_back({shownKeys(keys), row});
    return action;
}

void KeyTable::addSteps(const QString& words, const QString& before, std::function<void(int)> step) {
    for (const auto& [arrow, way] : {std::pair{"Left", -1}, {"Right", 1}}) {
        add(words, {before + arrow}, [step, n = way] { step(n); });
        also({before + "Shift+" + arrow}, [step, n = 10 * way] { step(n); });
    }
}

void KeyTable::also(const QStringList& keys, std::function<void()> run) {
    hear(keys, std::move(run));
}

void KeyTable::tell(const QString& keys, const QString& words) {
    m_rows.push_back({keys, beginning(words, false)});
}

void KeyTable::describe(QAbstractButton* button, const QAction* action, const QString& why) {
    QStringList keys;
    for (const auto& key : action->shortcuts())
        keys += key.toString(QKeySequence::PortableText);
    button->setToolTip(keys.isEmpty() ? why : QString("%1 (%2)").arg(why, shownKeys(keys)));
}

void KeyTable::give(QAbstractButton* button, QAction* action, const QString& why) {
    describe(button, action, why);
    connect(button, &QAbstractButton::clicked, action, &QAction::trigger);
}

void KeyTable::hear(const QStringList& keys, std::function<void()> run) {
    for (const QString& key : keys) {
        const QKeySequence sequence(key, QKeySequence::PortableText);
        if (sequence.count() != 1 || sequence[0].key() == Qt::Key_unknown ||
            !m_heard.emplace(sequence[0].toCombined(), run).second)
            m_clashes += key;
    }
}

bool KeyTable::press(const QKeyEvent* event) const {
    const auto modifiers = event->modifiers() & (Qt::ShiftModifier | Qt::ControlModifier | Qt::AltModifier);
    const auto key = static_cast<Qt::Key>(event->key());
    auto it = m_heard.find(QKeyCombination(modifiers, key).toCombined());
    // A sign may need Shift or AltGr on one keyboard and none on another.
    if (it == m_heard.end() && !(modifiers & Qt::ControlModifier))
        it = m_heard.find(QKeyCombination(key).toCombined());
    if (it == m_heard.end())
        return false;
    const auto run = it->second; // it may end the page
    run();
    return true;
}

} // namespace riflesso
