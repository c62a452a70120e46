#pragma once
/// \file
/// What really happened in a film of the simulated athlete: NAME.truth.json.

#include "tests/support/scripted_analyst.h"

#include <QDir>
#include <QFile>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>

namespace riflesso::test {

/// One rep of a film and the frames round it.
struct RepTruth {
    FilmTruth truth;
    int first = 0, last = 0;
};

inline std::vector<RepTruth> readTruth(const QString& file) {
    QFile f(file);
    if (!f.open(QIODevice::ReadOnly))
        qFatal("no truth");
    const auto root = QJsonDocument::fromJson(f.readAll()).object();
    FilmTruth t;
    t.rate = root["capture_rate_hz"].toDouble();
    t.frames = root["frames"].toInt();
    const auto landmarks = root["landmarks"].toObject();
    for (auto it = landmarks.begin(); it != landmarks.end(); ++it)
        for (const auto& p : it.value().toArray())
            t.places[it.key().toStdString()].push_back({p.toArray()[0].toDouble(), p.toArray()[1].toDouble()});
    std::vector<RepTruth> out;
    for (const auto& r : root["reps"].toArray()) {
        RepTruth rep{t, 0, 0};
        double lo = 1e9, hi = 0;
        const auto positions = r.toObject()["positions"].toObject();
        for (auto it = positions.begin(); it != positions.end(); ++it) {
            const double at = it.value().toObject()["frame"].toDouble();
            rep.truth.positions[it.key().toStdString()] = at;
            lo = std::min(lo, at);
            hi = std::max(hi, at);
        }
        rep.first = std::max(0, static_cast<int>(lo) - 20);
        rep.last = std::min(t.frames - 1, static_cast<int>(hi) + 12);
        out.push_back(std::move(rep));
    }
    return out;
}

/// A film of the demo by the beginning of its name; empty when it was not made.
inline QString demoFilm(const char* name) {
    const QDir films(QString(RIFLESSO_SOURCE_DIR) + "/build/demo-films");
    const auto all = films.entryList({QString(name) + "-*.mp4"}, QDir::Files, QDir::Time);
    return all.isEmpty() ? QString() : films.filePath(all.front());
}

} // namespace riflesso::test
