#include "desktop/workshop/language_room.h"

#include "casebook/text.h"
#include "core/technique/texts.h"
#include "desktop/parts/card.h"
#include "desktop/theme/language.h"

#include <QHeaderView>
#include <QVBoxLayout>

namespace riflesso {

LanguageRoom::LanguageRoom(WorkshopDocument& document, QWidget* parent) : QWidget(parent), m_document(document) {
    m_language = new QComboBox;
    m_language->setObjectName("blueprintLanguage");
    m_language->setAccessibleName(tr("Language of the translation"));
    for (const auto& l : languages())
        if (l.code != "en")
            m_language->addItem(l.name, l.code);
    m_state = wrapped({}, "quiet");
    m_table = new QTableWidget(0, 2);
    m_table->setObjectName("blueprintTexts");
    m_table->setAccessibleName(tr("Texts and their translations"));
    m_table->setHorizontalHeaderLabels({tr("As written"), tr("Translated")});
    m_table->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    m_table->verticalHeader()->hide();
    m_table->verticalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    m_table->setWordWrap(true);
    m_table->setTabKeyNavigation(false); // Tab leads out of it
    auto* line = new QHBoxLayout;
    line->addWidget(m_language);
    line->addWidget(m_state, 1);
    auto* all = new QVBoxLayout(this);
    all->addLayout(line);
    all->addWidget(m_table, 1);
    connect(m_language, &QComboBox::currentIndexChanged, this, &LanguageRoom::fill);
    connect(m_table, &QTableWidget::cellChanged, this, [this](int row, int column) {
        if (column == 1 && !m_filling)
            keep(row);
    });
}

void LanguageRoom::keep(int row) {
    const auto code = m_language->currentData().toString().toStdString();
    const auto text = m_table->item(row, 0)->text().toStdString();
    const auto said = m_table->item(row, 1)->text().trimmed().toStdString();
    m_document.change(tr("translate a text"), [&](Blueprint& b) {
        if (said.empty())
            b.languages[code].erase(text);
        else
            b.languages[code][text] = said;
        if (b.languages[code].empty())
            b.languages.erase(code);
    });
}

void LanguageRoom::fill() {
    if (!isVisible())
        return;
    const auto texts = textsOf(m_document.value());
    const auto known = m_document.value().languages.find(m_language->currentData().toString().toStdString());
    m_filling = true;
    m_table->setRowCount(static_cast<int>(texts.size()));
    int done = 0;
    for (int row = 0; row < m_table->rowCount(); ++row) {
        const std::string& text = texts[static_cast<std::size_t>(row)];
        QString said;
        if (known != m_document.value().languages.end())
            if (const auto it = known->second.find(text); it != known->second.end())
                said = q(it->second);
        done += !said.isEmpty();
        for (const auto& [column, words] : {std::pair{0, q(text)}, {1, said}}) {
            if (!m_table->item(row, column))
                m_table->setItem(row, column, new QTableWidgetItem);
            if (m_table->item(row, column)->text() != words)
                m_table->item(row, column)->setText(words);
        }
        m_table->item(row, 0)->setFlags(Qt::ItemIsSelectable | Qt::ItemIsEnabled);
    }
    m_filling = false;
    m_state->setText(
        tr("%1 of %2 texts are translated; the others are shown as written.").arg(done).arg(m_table->rowCount()));
}

} // namespace riflesso
