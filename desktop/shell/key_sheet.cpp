#include "desktop/shell/key_sheet.h"

#include "desktop/parts/key_table.h"
#include "desktop/shell/case_view.h"

#include <QCoreApplication>
#include <QMenu>

namespace riflesso {
namespace {

QString section(const QString& title, const std::vector<KeyTable::Row>& rows) {
    if (rows.empty())
        return {};
    QString html = "<h3>" + title.toHtmlEscaped() + "</h3><table>";
    for (const auto& row : rows)
        html += QString("<tr><td><b>%1</b>&nbsp;&nbsp;</td><td>%2</td></tr>")
                    .arg(row.keys.toHtmlEscaped(), row.words.toHtmlEscaped());
    return html + "</table>";
}

std::vector<KeyTable::Row> rowsOf(const QMenuBar& menus) {
    std::vector<KeyTable::Row> rows;
    for (const QAction* menu : menus.actions())
        for (const QAction* action : menu->menu() ? menu->menu()->actions() : QList<QAction*>()) {
            QStringList keys;
            for (const auto& key : action->shortcuts())
                keys += key.toString(QKeySequence::NativeText);
            if (!keys.isEmpty())
                rows.push_back({keys.join("\u00a0\u00a0"), action->text().remove('&')});
        }
    return rows;
}

} // namespace

QString keySheet(const QMenuBar& menus, CaseView* open) {
    QString html;
    if (open) {
        std::vector<Workspace> order{open->current()};
        for (int i = 0; i < kWorkspaces; ++i)
            if (const auto w = static_cast<Workspace>(i); w != open->current())
                order.push_back(w);
        for (const Workspace w : order)
            if (const KeyTable* table = KeyTable::of(open->page(w)))
                html += section(workspaceName(w), table->rows());
    }
    return html + section(QCoreApplication::translate("KeySheet", "Everywhere"), rowsOf(menus));
}

} // namespace riflesso
