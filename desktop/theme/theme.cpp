#include "desktop/theme/theme.h"

#include <QApplication>
#include <QFontDatabase>
#include <QPalette>
#include <QRegularExpression>

#include <algorithm>

static void initTheme() {
    Q_INIT_RESOURCE(theme);
}

namespace riflesso {
namespace {
Theme& current() {
    static Theme t = Theme::light();
    return t;
}

int& percent() {
    static int p = 100;
    return p;
}
} // namespace

Theme Theme::light() {
    return {false,
            QColor("#eef1f2"),
            QColor("#fbfcfc"),
            QColor("#ffffff"),
            QColor("#d9dfe1"),
            QColor("#1a2226"),
            QColor("#505c63"),
            QColor("#c3ccd0"),
            QColor("#2f4858"),
            QColor("#ffffff"),
            QColor("#7d3b0e"),
            huesFor(false)};
}

Theme Theme::night() {
    return {true,
            QColor("#13181b"),
            QColor("#1b2226"),
            QColor("#232c31"),
            QColor("#0c1012"),
            QColor("#e8edef"),
            QColor("#a3b0b6"),
            QColor("#36434a"),
            QColor("#c9dbe4"),
            QColor("#13181b"),
            QColor("#f0b98c"),
            huesFor(true)};
}

QString Theme::styleSheet() const {
    const auto c = [](const QColor& colour) { return colour.name(); };
    QString s = R"(
QFrame#card, QWidget#card { background: @panel; border: 1px solid @line; border-radius: 6px; }
QLabel#title { font-size: 20px; font-weight: bold; }
QLabel#strong { font-size: 15px; font-weight: bold; }
QLabel#quiet { color: @quiet; font-size: 12px; }
QLabel#caution { color: @caution; font-size: 12px; }
QLabel#athlete { color: @athlete; font-weight: bold; }
QLabel#model { color: @model; font-weight: bold; }
QPushButton { background: @panel; border: 1px solid @line; border-radius: 5px; padding: 5px 11px; }
QPushButton:hover { border-color: @quiet; }
QPushButton:disabled { color: @quiet; border-style: dashed; }
QPushButton:focus, QLineEdit:focus, QPlainTextEdit:focus, QListWidget:focus { border: 2px solid @model; }
QPushButton#next, QPushButton[main="true"] { background: @accent; color: @onAccent; border-color: @accent; font-weight: bold; padding: 6px 14px; }
QPushButton:checked { background: @accent; color: @onAccent; }
QLineEdit, QPlainTextEdit, QListWidget { background: @field; border: 1px solid @line; border-radius: 4px; padding: 3px; selection-background-color: @accent; selection-color: @onAccent; }
QListWidget::item { padding: 4px 2px; }
QListWidget::item:selected { background: @accent; color: @onAccent; }
QTabBar#shelfTabs::tab { color: @quiet; background: transparent; border: none; border-bottom: 3px solid @line; padding: 6px 14px; margin-right: 10px; }
QTabBar#shelfTabs::tab:selected { color: @text; border-bottom-color: @athlete; }
QTabBar#shelfTabs::tab:focus { color: @model; }
QScrollArea { border: none; background: transparent; }
QScrollArea > QWidget > QWidget { background: transparent; }
QScrollBar:vertical { background: transparent; width: 10px; } QScrollBar::handle:vertical { background: @line; border-radius: 4px; min-height: 30px; }
QScrollBar:horizontal { background: transparent; height: 10px; } QScrollBar::handle:horizontal { background: @line; border-radius: 4px; min-width: 30px; }
QScrollBar::add-line, QScrollBar::sub-line { width: 0; height: 0; }
QSplitter::handle { background: @line; } QSplitter::handle:horizontal { width: 3px; } QSplitter::handle:vertical { height: 3px; }
QToolTip { background: @text; color: @ground; border: none; padding: 5px; }
QMenu { background: @panel; border: 1px solid @line; } QMenu::item:selected { background: @accent; color: @onAccent; }
QStatusBar { color: @quiet; }
)";
    const std::pair<const char*, QColor> names[] = {
        {"@ground", ground},   {"@panel", panel},          {"@field", field},     {"@onAccent", onAccent},
        {"@text", text},       {"@quiet", quiet},          {"@line", line},       {"@accent", accent},
        {"@caution", caution}, {"@athlete", hues.athlete}, {"@model", hues.model}};
    for (const auto& [name, colour] : names)
        s.replace(name, c(colour));
    // Sizes of letters in the style sheet grow with the rest.
    static const QRegularExpression size("font-size: (\\d+)px");
    auto it = size.globalMatch(s);
    QString scaled;
    qsizetype from = 0;
    while (it.hasNext()) {
        const auto m = it.next();
        scaled += s.mid(from, m.capturedStart() - from) +
                  QString("font-size: %1px").arg(qRound(m.captured(1).toInt() * percent() / 100.0));
        from = m.capturedEnd();
    }
    return scaled + s.mid(from);
}

void setTextPercent(int p) {
    percent() = std::clamp(p, 100, 150);
}

int textPercent() {
    return percent();
}

const Theme& theme() {
    return current();
}

void useTheme(const Theme& t) {
    current() = t;
    if (qApp) {
        // One drawing style everywhere, whatever the desktop: the controls take their colours from the palette.
        QApplication::setStyle("Fusion");
        QPalette p;
        p.setColor(QPalette::Window, t.ground);
        p.setColor(QPalette::Base, t.field);
        p.setColor(QPalette::AlternateBase, t.panel);
        p.setColor(QPalette::Button, t.panel);
        for (auto role : {QPalette::WindowText, QPalette::Text, QPalette::ButtonText, QPalette::ToolTipBase})
            p.setColor(role, t.text);
        p.setColor(QPalette::ToolTipText, t.ground);
        p.setColor(QPalette::PlaceholderText, t.quiet);
        p.setColor(QPalette::Highlight, t.accent);
        p.setColor(QPalette::HighlightedText, t.onAccent);
        p.setColor(QPalette::Link, t.hues.model);
        p.setColor(QPalette::Mid, t.line);
        for (auto role : {QPalette::WindowText, QPalette::Text, QPalette::ButtonText})
            p.setColor(QPalette::Disabled, role, t.quiet);
        QApplication::setPalette(p);
        QApplication::setFont(typeface(Type::body));
        qApp->setStyleSheet(t.styleSheet());
        for (QWidget* w : QApplication::topLevelWidgets())
            w->update();
    }
}

bool loadFonts() {
    initTheme();
    bool all = true;
    for (const char* face : {"Regular", "Semibold", "Bold"})
        all = QFontDatabase::addApplicationFont(QString(":/fonts/Lato-%1.ttf").arg(face)) >= 0 && all;
    QApplication::setFont(typeface(Type::body));
    return all;
}

QFont typeface(Type size, bool bold) {
    constexpr int pixels[] = {11, 13, 15, 20, 40};
    QFont f("Lato");
    f.setPixelSize(qRound(pixels[static_cast<int>(size)] * percent() / 100.0));
    f.setBold(bold);
    return f;
}

} // namespace riflesso
