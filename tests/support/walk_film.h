#pragma once
/// \file
/// A film of a real walker: the joints of the motion file 01_01.bvh (Debian's assimp-testmodels) before the simulated
/// camera, with the places of all landmarks.

#include "footage/film_writer.h"
#include "simulator/renderer.h"
#include "tests/support/python.h"
#include "tests/support/scripted_analyst.h"

#include <QFile>
#include <QJsonArray>
#include <QJsonObject>

namespace riflesso::test {

/// No frames when the motion file is not installed or the film cannot be written.
inline FilmTruth filmWalk(const std::filesystem::path& path, int frames = 140) {
    const QString file = "/usr/share/assimp/models/BVH/01_01.bvh";
    if (!QFile::exists(file))
        return {};
    const auto reference = runReference("bvh_body.py", {}, {file, "60", QString::number(frames)});
    if (reference.isEmpty())
        return {};
    std::vector<Joints> bodies(static_cast<std::size_t>(frames));
    const auto point = [](const QJsonValue& v) {
        const auto a = v.toArray();
        return Eigen::Vector3d(a[0].toDouble(), a[1].toDouble(), a[2].toDouble());
    };
    const auto joints = reference["joints"].toObject();
    const auto chest = reference["chest"].toArray();
    for (int i = 0; i < frames; ++i) {
        for (auto it = joints.begin(); it != joints.end(); ++it)
            bodies[static_cast<std::size_t>(i)].at[it.key().toStdString()] = point(it.value().toArray()[i]);
        bodies[static_cast<std::size_t>(i)].chest = point(chest[i]);
    }
    const double dt = reference["dt"].toDouble();
    const auto bodyAt = [&](double t) { // between two frames in a straight line
        const double f = std::clamp(t / dt, 0.0, frames - 1.001);
        const auto i = static_cast<std::size_t>(f);
        const double s = f - static_cast<double>(i);
        Joints j = bodies[i];
        for (auto& [name, p] : j.at)
            p += s * (bodies[i + 1].at.at(name) - p);
        return j;
    };
    const SimulatedCamera camera;
    const Renderer renderer(camera, Outfit{});
    FilmWriterOptions o;
    o.width = camera.width;
    o.height = camera.height;
    auto writer = FilmWriter::create(path, o);
    if (!writer)
        return {};
    FilmTruth truth;
    truth.rate = 1.0 / dt;
    for (int i = 0; i < frames; ++i) {
        if (!(*writer)->add(renderer.frame(i * dt, bodyAt, static_cast<unsigned>(i))).ok())
            return {};
        for (const auto& [name, p] : bodyAt(i * dt + camera.exposure / 2).at)
            truth.places[name].push_back(camera.project(p));
    }
    if (!(*writer)->finish().ok())
        return {};
    truth.frames = frames;
    return truth;
}

} // namespace riflesso::test
