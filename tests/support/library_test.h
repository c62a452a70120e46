#pragma once
/// \file
/// A library in a folder of its own, and a brief and a take with something in each field.

#include "library/library.h"

#include <QTemporaryDir>

#include <memory>

namespace riflesso::test {

inline Brief someBrief() {
    Brief b;
    b.athlete = {"Ana Quist", Side::left, "club", true};
    b.goal = "goal";
    b.thinks = "ü “quoted” \n line";
    b.minutes = {1, 2, 3, 4, 5, 6, 7};
    b.competitions = {*dayFromIso("2026-12-24")};
    b.guesses = {{"knee", -12.5}};
    b.wantsRebuild = false;
    b.school = "s";
    return b;
}

inline Take someTake(Id id) {
    Take t;
    t.id = id;
    t.title = "take";
    t.film = "a.mp4";
    t.performer = Performer::model;
    t.who = "Model A";
    t.handedness = Side::left;
    t.day = *dayFromIso("2026-11-01");
    t.view = View::front;
    t.facing = Facing::camera;
    t.stage = Stage::open;
    t.captureRate = 239.76;
    t.width = 1280;
    t.height = 720;
    t.times = {0.0, 1.0 / 3, 0.7};
    return t;
}

class LibraryTest : public QObject {
protected:
    std::unique_ptr<QTemporaryDir> m_dir;
    std::filesystem::path folder() const { return (m_dir->path() + "/lib").toStdString(); }
    std::unique_ptr<Library> fresh() {
        auto l = Library::create(folder());
        if (!l)
            qFatal("%s", l.error().text().c_str());
        return std::move(*l);
    }
};

} // namespace riflesso::test
