#pragma once
/// \file
/// A titled panel, and a filter that tells when an editor is left.

#include <QEvent>
#include <QFrame>
#include <QLabel>
#include <QVBoxLayout>

#include <functional>
#include <utility>

namespace riflesso {

/// A panel with a strong title; put things into body().
class Card : public QFrame {
public:
    explicit Card(const QString& title, QWidget* parent = nullptr) : QFrame(parent) {
        setObjectName("card");
        auto* layout = new QVBoxLayout(this);
        layout->setContentsMargins(12, 9, 12, 9);
        layout->setSpacing(6);
        if (!title.isEmpty()) {
            auto* label = new QLabel(title);
            label->setObjectName("strong");
            label->setWordWrap(true);
            layout->addWidget(label);
        }
        m_body = new QVBoxLayout;
        m_body->setSpacing(5);
        layout->addLayout(m_body, 1);
    }
    [[nodiscard]] QVBoxLayout* body() const { return m_body; }

private:
    QVBoxLayout* m_body;
};

/// Calls back when the watched widget loses the focus: text areas have no editingFinished.
class LeaveFilter : public QObject {
public:
    LeaveFilter(QObject* watched, std::function<void()> left) : QObject(watched), m_left(std::move(left)) {}
    bool eventFilter(QObject*, QEvent* e) override {
        if (e->type() == QEvent::FocusOut)
            m_left();
        return false;
    }

private:
    std::function<void()> m_left;
};

/// Brings a page up to date at once while it is seen, else when it is next shown: eight hidden pages filled anew after
/// each analysis would keep the window from answering.
class WhenSeen : public QObject {
public:
    WhenSeen(QWidget* page, std::function<void()> refresh)
        : QObject(page), m_page(page), m_refresh(std::move(refresh)) {
        page->installEventFilter(this);
    }
    void operator()() {
        if (m_page->isVisible())
            m_refresh();
        else
            m_stale = true;
    }
    bool eventFilter(QObject*, QEvent* e) override {
        if (e->type() == QEvent::Show && std::exchange(m_stale, false))
            m_refresh();
        return false;
    }

private:
    QWidget* m_page;
    std::function<void()> m_refresh;
    bool m_stale = false;
};

/// Removes everything a layout holds, widgets too, so that it can be filled anew.
inline void clearLayout(QLayout* layout) {
    while (QLayoutItem* item = layout->takeAt(0)) {
        if (item->widget()) {
            item->widget()->hide(); // it lives until the next round of events
            item->widget()->deleteLater();
        }
        if (item->layout())
            clearLayout(item->layout());
        delete item;
    }
}

/// "1 rep", "5 reps": the program ships without a catalogue for %n.
inline QString counted(qsizetype n, const QString& one, const QString& many) {
    return QString("%1 %2").arg(n).arg(n == 1 ? one : many);
}

/// A label that wraps, with a style name of the theme's ("quiet", "strong", "caution", "").
inline QLabel* wrapped(const QString& text, const char* style = "") {
    auto* label = new QLabel(text);
    label->setObjectName(style);
    label->setWordWrap(true);
    label->setTextInteractionFlags(Qt::TextSelectableByMouse);
    return label;
}

} // namespace riflesso
