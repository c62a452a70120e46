#include "casebook/shipped.h"

#include "library/blueprint_json.h"

#include <QDir>
#include <QFile>

static void initShippedBlueprints() {
    Q_INIT_RESOURCE(shipped_blueprints);
} // must stand outside any namespace

namespace riflesso {

std::vector<std::string> shippedBlueprintIds() {
    initShippedBlueprints();
    std::vector<std::string> ids;
    for (const QString& file : QDir(":/blueprints").entryList({"*.json"}, QDir::Files, QDir::Name))
        ids.push_back(file.chopped(5).toStdString());
    return ids;
}

Result<Blueprint> shippedBlueprint(const std::string& id) {
    initShippedBlueprints();
    QFile file(":/blueprints/" + QString::fromStdString(id) + ".json");
    if (!file.open(QIODevice::ReadOnly))
        return Error{"no blueprint \"" + id + "\" ships with this program", {}, {}, {}};
    return blueprintFromJson(file.readAll().toStdString(), id + ".json");
}

} // namespace riflesso
