#pragma once
/// \file
/// A copy of the demo library that a test may change, and what a careful eye would see in its films.

#include <QDir>
#include <QFile>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QMap>
#include <QPointF>

namespace riflesso::test {

/// Copies library.sqlite and media/ to \p folder.
inline bool copyDemo(const QString& folder) {
    QDir().mkpath(folder + "/media");
    bool ok = QFile::copy(QString(RIFLESSO_DEMO_DIR) + "/library.sqlite", folder + "/library.sqlite");
    for (const char* wal : {"-wal"}) // changes not folded in yet
        if (QFile::exists(QString(RIFLESSO_DEMO_DIR) + "/library.sqlite" + wal))
            ok = ok &&
                 QFile::copy(QString(RIFLESSO_DEMO_DIR) + "/library.sqlite" + wal, folder + "/library.sqlite" + wal);
    for (const QString& film : QDir(QString(RIFLESSO_DEMO_DIR) + "/media").entryList(QDir::Files))
        ok = ok && QFile::copy(QString(RIFLESSO_DEMO_DIR) + "/media/" + film, folder + "/media/" + film);
    return ok;
}

/// The simulated analyst's eye for a film: where the landmarks are on a frame, and the frames of the key positions.
struct Eye {
    QMap<QString, int> positions; ///< of the first rep
    QMap<QString, QPointF> at;    ///< on the frame of `position`
};

inline Eye lookAt(const QString& film, const QString& position) {
    Eye eye;
    const QDir films(QString(RIFLESSO_SOURCE_DIR) + "/build/demo-films");
    const auto pegs = films.entryList({film + "-*.pegs.json"}, QDir::Files, QDir::Time);
    const auto marks = films.entryList({film + "-*.marks.csv"}, QDir::Files, QDir::Time);
    if (pegs.isEmpty() || marks.isEmpty())
        return eye;
    QFile p(films.filePath(pegs.front())), m(films.filePath(marks.front()));
    if (!p.open(QIODevice::ReadOnly) || !m.open(QIODevice::ReadOnly))
        return eye;
    const auto first =
        QJsonDocument::fromJson(p.readAll()).object()["reps"].toArray()[0].toObject()["positions"].toObject();
    for (auto it = first.begin(); it != first.end(); ++it)
        eye.positions[it.key()] = it.value().toInt();
    for (const auto& line : QString(m.readAll()).split('\n')) {
        const auto cells = line.split(',');
        if (cells.size() > 4 && cells[1].toInt() == eye.positions[position])
            eye.at[cells[2]] = QPointF(cells[3].toDouble(), cells[4].toDouble());
    }
    return eye;
}

} // namespace riflesso::test
