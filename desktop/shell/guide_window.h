#pragma once
/// \file
/// The guide: a page a step of the job, searchable, with current pictures. F1 opens the page of what is seen.

#include <QDialog>
#include <QLineEdit>
#include <QListWidget>
#include <QTextBrowser>

namespace riflesso {

/// Pages ship inside the program (docs/guide). Interface thread.
class GuideWindow : public QDialog {
    Q_OBJECT
public:
    explicit GuideWindow(QWidget* parent = nullptr);
    /// Page ids, in reading order: "first-film", "marking".
    static QStringList pages();
    /// The text of a page; empty when there is none.
    static QString pageText(const QString& id);
    static QString titleOf(const QString& id);
    void showPage(const QString& id);
    [[nodiscard]] const QString& page() const { return m_page; }
    [[nodiscard]] QLineEdit* searchField() const { return m_search; }
    [[nodiscard]] QListWidget* list() const { return m_list; }
    [[nodiscard]] QString shownText() const { return m_text->toPlainText(); }

private:
    void search(const QString& words);
    QLineEdit* m_search;
    QListWidget* m_list;
    QTextBrowser* m_text;
    QString m_page;
};

} // namespace riflesso
