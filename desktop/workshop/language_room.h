#pragma once
/// \file
/// The blueprint's texts in other languages: as written at the left, in the chosen language at the right.

#include "desktop/workshop/document.h"

#include <QComboBox>
#include <QLabel>
#include <QTableWidget>
#include <QWidget>

namespace riflesso {

class LanguageRoom : public QWidget {
    Q_OBJECT
public:
    explicit LanguageRoom(WorkshopDocument& document, QWidget* parent = nullptr);
    /// Brings the table up to date; while it is hidden nothing is done.
    void fill();
    [[nodiscard]] QTableWidget* table() const { return m_table; }
    [[nodiscard]] QComboBox* language() const { return m_language; }

private:
    void keep(int row);
    WorkshopDocument& m_document;
    QComboBox* m_language;
    QLabel* m_state;
    QTableWidget* m_table;
    bool m_filling = false;
};

} // namespace riflesso
