#include "library/library.h"

#include "library/case_json.h"
#include "tests/support/library_test.h"

#include <QDir>
#include <QFile>
#include <QSqlDatabase>
#include <QSqlError>
#include <QSqlQuery>
#include <QTemporaryDir>
#include <QTest>

#include <csignal>
#include <set>
#include <sys/stat.h>
#include <sys/types.h>
#include <sys/wait.h>
#include <thread>
#include <unistd.h>

using namespace riflesso;
using test::someBrief, test::someTake;

namespace {

void execute(const QString& file, const QString& sql) {
    {
        auto db = QSqlDatabase::addDatabase("QSQLITE", "raw");
        db.setDatabaseName(file);
        QVERIFY(db.open());
        QSqlQuery query(db);
        QVERIFY(query.exec(sql));
    }
    QSqlDatabase::removeDatabase("raw");
}

} // namespace

class TestLibrary : public test::LibraryTest {
    Q_OBJECT
private slots:
    void init() { m_dir = std::make_unique<QTemporaryDir>(); }

    void everythingComesBack() {
        Id caseId = 0;
        CaseData expected;
        {
            auto l = fresh();
            caseId = *l->addCase("fencing-lunge", Brief{});
            const Id take = l->freshId(), rep = l->freshId(), block = l->freshId();
            QVERIFY(take != rep && rep != block);
            expected.id = caseId;
            expected.blueprintId = "fencing-lunge";
            expected.brief = someBrief();
            expected.takes[take] = someTake(take);
            expected.reps[rep] = {rep, take, 3, {{"a", {FrameIndex(1), std::nullopt}}, {"b", {FrameIndex(2), 0.004}}}};
            expected.blocks[block] = {block,
                                      *dayFromIso("2026-11-02"),
                                      "drill",
                                      Stage::slow,
                                      {{true, false, ""}, {{}, true, "late"}, {false, {}, ""}},
                                      "note",
                                      "point first"};
            expected.reps[rep].set = "after the hint";
            FindingDecision decision{rep + 50,
                                     "hand_late",
                                     "",
                                     DecisionKind::rejected,
                                     "build",
                                     *dayFromIso("2026-11-03"),
                                     Consent::notYet,
                                     *dayFromIso("2026-11-09")};
            expected.decisions[decision.id] = decision;
            PlannedBlock planned;
            planned.day = *dayFromIso("2026-11-05");
            planned.drill = "wall_point";
            planned.minutes = 6.5;
            planned.kind = BlockKind::home;
            planned.state = BlockState::moved;
            planned.locked = true;
            planned.accepted = {"minutes"};
            planned.why = "asked for it";
            planned.id = rep + 51;
            expected.planned[planned.id] = planned;
            Brief& brief = expected.brief;
            brief.aim = Goal{"knee", 120.5, 110, *dayFromIso("2026-12-24")};
            OwnTarget own;
            own.measure = "knee";
            own.hi = 130;
            own.reason = "long shins";
            brief.targets = {own};
            brief.alone[3] = true;
            brief.places[2] = PracticePlace::home;
            brief.lacks = {{{"tape"}, {"tape", "a box, high"}}};
            brief.regime = "keep";
            expected.marks[take]["left_knee"][FrameIndex(1)] = {{1.25, -2.5}, 0.75, How::proxy};
            QVERIFY(l->apply(
                caseId,
                {BriefEdit{{}, Brief{}, expected.brief}, TakeEdit{take, {}, expected.takes[take]},
                 RepEdit{rep, {}, expected.reps[rep]}, BlockEdit{block, {}, expected.blocks[block]},
                 DecisionEdit{decision.id, {}, decision}, PlanEdit{planned.id, {}, planned},
                 MarkEdit{{take, FrameIndex(1), "left_knee"}, {}, expected.marks[take]["left_knee"][FrameIndex(1)]}}));
        }
        auto l = Library::open(folder());
        QVERIFY(l.ok());
        const auto back = (*l)->load(caseId);
        QVERIFY2(back.ok(), back ? "" : back.error().text().c_str());
        QVERIFY(*back == expected);
        QVERIFY((*l)->freshId() > expected.blocks.rbegin()->first); // ids are not given twice
        const auto cases = (*l)->cases();
        QCOMPARE(cases->size(), std::size_t(1));
        QCOMPARE(cases->front().athlete, std::string("Ana Quist"));
        QVERIFY(!(*l)->load(99));
    }
    void changingATakeKeepsItsReps() {
        auto l = fresh();
        const Id c = *l->addCase("x", Brief{});
        const Id take = l->freshId(), rep = l->freshId();
        QVERIFY(l->apply(c, {TakeEdit{take, {}, someTake(take)}, RepEdit{rep, {}, Rep{rep, take, 1, {}}}}));
        Take changed = someTake(take);
        changed.captureRate.reset();
        QVERIFY(l->apply(c, {TakeEdit{take, someTake(take), changed}}));
        const auto data = l->load(c);
        QCOMPARE(data->reps.size(), std::size_t(1));
        QVERIFY(!data->takes.at(take).captureRate);
    }
    void allOrNothing() {
        auto l = fresh();
        const Id c = *l->addCase("x", Brief{});
        // A rep of a take that does not exist breaks the second edit; the first must not stay.
        const auto s = l->apply(c, {BriefEdit{{}, Brief{}, someBrief()}, RepEdit{7, {}, Rep{7, 4711, 1, {}}}});
        QVERIFY(!s);
        QVERIFY(s.error().text().find("as it was before") != std::string::npos);
        QVERIFY(l->load(c)->brief == Brief{});
        QVERIFY(l->apply(c, {BriefEdit{{}, Brief{}, someBrief()}})); // and it goes on working
    }
    void aFullDiskLosesNothing() {
        auto l = fresh();
        const Id c = *l->addCase("x", Brief{});
        const Id take = l->freshId();
        QVERIFY(l->apply(c, {TakeEdit{take, {}, someTake(take)}}));
        l->limitPagesForTests(1); // SQLite then holds at its present size, as on a full disk
        std::vector<Edit> many;
        for (int f = 0; f < 4000; ++f)
            many.push_back(MarkEdit{{take, FrameIndex(f), "left_shoulder"}, {}, Mark{}});
        const auto s = l->apply(c, many);
        QVERIFY(!s);
        QVERIFY2(s.error().text().find("the disk is full") != std::string::npos, s.error().text().c_str());
        QVERIFY(l->load(c)->marks.empty());
        l->limitPagesForTests(0);
        QVERIFY(l->apply(c, many));
        QCOMPARE(l->load(c)->marks.at(take).at("left_shoulder").size(), std::size_t(4000));
    }
    void writeProtected() {
        Id c = 0;
        {
            auto l = fresh();
            c = *l->addCase("x", someBrief());
        }
        // Root may write anywhere, so a child that is nobody tries. It answers by its exit code.
        for (const auto& [path, mode] : {std::pair{m_dir->path().toStdString(), 0755u},
                                         {folder().string(), 0555u},
                                         {(folder() / "library.sqlite").string(), 0444u}})
            QVERIFY(::chmod(path.c_str(), mode) == 0);
        const pid_t child = fork();
        if (child == 0) {
            if (::getuid() == 0 && ::setuid(65534) != 0)
                _exit(10);
            auto l = Library::open(folder());
            std::string text = l ? std::string() : l.error().text();
            if (l) {
                const auto s = (*l)->apply(c, {BriefEdit{{}, someBrief(), Brief{}}});
                text = s ? std::string() : s.error().text();
            }
            _exit(text.empty() ? 11 : text.find("write-protected") == std::string::npos ? 12 : 0);
        }
        int status = 0;
        ::waitpid(child, &status, 0);
        QVERIFY(WIFEXITED(status));
        QCOMPARE(WEXITSTATUS(status), 0); // 11: it was written all the same; 12: the words are not clear
        ::chmod(folder().c_str(), 0755);
        ::chmod((folder() / "library.sqlite").c_str(), 0644);
        QVERIFY((*Library::open(folder()))->load(c)->brief == someBrief()); // untouched
    }
    void aNewerLibraryIsRefused() {
        { fresh(); }
        const QString file = QString::fromStdString((folder() / "library.sqlite").string());
        execute(file, "PRAGMA user_version = 99");
        const auto l = Library::open(folder());
        QVERIFY(!l);
        QVERIFY2(l.error().text().find("newer Riflesso (format 99") != std::string::npos, l.error().text().c_str());
    }
    void whatIsNoLibrary() {
        QVERIFY(Library::open(folder()).error().what.find("no library") != std::string::npos);
        QDir().mkpath(QString::fromStdString(folder().string()));
        QFile garbage(QString::fromStdString((folder() / "library.sqlite").string()));
        QVERIFY(garbage.open(QIODevice::WriteOnly));
        garbage.write(QByteArray("garbage").repeated(1000));
        garbage.close();
        QVERIFY2(Library::open(folder()).error().what.find("damaged or is no library") != std::string::npos,
                 Library::open(folder()).error().text().c_str());
        QVERIFY(!Library::create(folder())); // and it is not written over
        QFile again(garbage.fileName());
        QVERIFY(again.open(QIODevice::ReadOnly));
        QCOMPARE(again.size(), qint64(7000));
        execute(m_dir->path() + "/other.sqlite", "CREATE TABLE t (x)");
        QDir().mkpath(m_dir->path() + "/other");
        QFile::rename(m_dir->path() + "/other.sqlite", m_dir->path() + "/other/library.sqlite");
        QVERIFY(
            Library::open((m_dir->path() + "/other").toStdString()).error().what.find("not a library of Riflesso") !=
            std::string::npos);
        QVERIFY(!Library::create("/proc/no-such-place"));
    }
    void damagedRowsAreNamed() {
        Id c = 0;
        {
            auto l = fresh();
            c = *l->addCase("x", Brief{});
            const Id take = l->freshId();
            QVERIFY(l->apply(c, {TakeEdit{take, {}, someTake(take)}}));
        }
        execute(QString::fromStdString((folder() / "library.sqlite").string()),
                "UPDATE takes SET body = '{\"title\": 3}'");
        const auto data = (*Library::open(folder()))->load(c);
        QVERIFY(!data);
        QVERIFY2(data.error().text().find("title") != std::string::npos, data.error().text().c_str());
    }
    void filmsAreCopiedUnderFreeNames() {
        auto l = fresh();
        QFile film(m_dir->filePath("lunge.mp4"));
        QVERIFY(film.open(QIODevice::WriteOnly));
        film.write("film");
        film.close();
        const auto source = film.fileName().toStdString();
        QCOMPARE(*l->bringIn(source), std::string("lunge.mp4"));
        QCOMPARE(*l->bringIn(source), std::string("lunge-2.mp4"));
        QVERIFY(std::filesystem::exists(l->media() / "lunge-2.mp4"));
        QVERIFY(!l->bringIn(m_dir->filePath("none.mp4").toStdString()));
        QVERIFY(!std::filesystem::exists(l->media() / "none.mp4.part"));
        Take t = someTake(1);
        QVERIFY(l->filmOf(t) == l->media() / "a.mp4");
        t.film = "/elsewhere/b.mp4";
        QVERIFY(l->filmOf(t) == "/elsewhere/b.mp4");
    }
    void killedInTheMidst() {
        // A child writes mark after mark and says each number once it is committed; it is killed without warning.
        // Whatever it said must be there afterwards.
        auto l = fresh();
        const Id c = *l->addCase("x", Brief{});
        const Id take = l->freshId();
        QVERIFY(l->apply(c, {TakeEdit{take, {}, someTake(take)}}));
        l.reset();
        int written = -1;
        for (int round = 0; round < 8; ++round) {
            int channel[2];
            QVERIFY(pipe(channel) == 0);
            const int start = written + 1;
            const pid_t child = fork();
            if (child == 0) {
                auto mine = Library::open(folder());
                for (int f = start; mine; ++f) {
                    if (!(*mine)->apply(
                            c, {MarkEdit{{take, FrameIndex(f), "head"}, {}, Mark{{double(f), 0}, 1, How::hand}}}))
                        _exit(2);
                    if (write(channel[1], &f, sizeof f) != sizeof f)
                        _exit(3);
                }
                _exit(1);
            }
            ::close(channel[1]);
            const int wanted = 3 + round * 5;
            int f = -1;
            for (int i = 0; i < wanted && read(channel[0], &f, sizeof f) == sizeof f; ++i)
                written = f;
            ::kill(child, SIGKILL);
            ::waitpid(child, nullptr, 0);
            while (read(channel[0], &f, sizeof f) == sizeof f)
                written = f;
            ::close(channel[0]);
            auto after = Library::open(folder());
            QVERIFY2(after.ok(), after ? "" : after.error().text().c_str());
            const auto data = (*after)->load(c);
            QVERIFY(data.ok());
            const auto& track = data->marks.at(take).at("head");
            for (int k = 0; k <= written; ++k)
                QVERIFY2(track.contains(FrameIndex(k)), qPrintable(QString("mark %1 is lost").arg(k)));
            QVERIFY(static_cast<int>(track.size()) <= written + 2); // at most the one under way
            written = track.rbegin()->first.value;
        }
        QVERIFY(written > 100);
    }
    // Two programs, as two Libraries on the same folder.
    void idsAreNeverGivenTwice() {
        auto a = fresh();
        auto b = std::move(*Library::open(folder()));
        std::set<Id> ids;
        for (int i = 0; i < 200; ++i) {
            QVERIFY(ids.insert(a->freshId()).second);
            QVERIFY(ids.insert(b->freshId()).second);
        }
        QVERIFY(!ids.contains(0));
    }
    void whoComesSecondIsTold() {
        auto a = fresh();
        const Id c = *a->addCase("x", Brief{});
        const Id take = a->freshId();
        QVERIFY(a->apply(c, {TakeEdit{take, {}, someTake(take)}}));
        auto b = std::move(*Library::open(folder()));
        const auto seen = *b->load(c);
        Take mine = someTake(take), theirs = someTake(take);
        mine.title = "mine";
        theirs.title = "theirs";
        QVERIFY(a->apply(c, {TakeEdit{take, someTake(take), theirs}}));
        const auto s = b->apply(c, {BriefEdit{{}, seen.brief, someBrief()}, TakeEdit{take, seen.takes.at(take), mine}});
        QVERIFY(!s && s.error().kind == ErrorKind::conflict);
        QVERIFY(b->changedElsewhere() && !b->changedElsewhere());
        const auto now = *b->load(c);
        QCOMPARE(now.takes.at(take).title, std::string("theirs"));
        QVERIFY(now.brief == Brief{}); // nothing of the failed change was written
        QVERIFY(b->apply(c, {TakeEdit{take, theirs, mine}}));
        QVERIFY(!b->changedElsewhere()); // its own change is nothing foreign
        // A row that was removed and made again is not the one that was known.
        QVERIFY(a->load(c).ok());
        QVERIFY(a->apply(c, {TakeEdit{take, mine, std::nullopt}}));
        QVERIFY(a->apply(c, {TakeEdit{take, {}, theirs}}));
        QVERIFY(!b->apply(c, {TakeEdit{take, mine, mine}}));
        // Marks by what they are.
        const MarkKey key{take, FrameIndex(1), "neck"};
        QVERIFY(a->apply(c, {MarkEdit{key, {}, Mark{{1, 2}, 1, How::hand}}}));
        QVERIFY(b->apply(c, {MarkEdit{key, {}, Mark{{3, 2}, 1, How::hand}}}).error().kind == ErrorKind::conflict);
        QVERIFY(b->apply(c, {MarkEdit{key, Mark{{3, 2}, 1, How::hand}, Mark{}}}).error().kind == ErrorKind::conflict);
        QVERIFY(b->apply(c, {MarkEdit{key, Mark{{1, 2}, 1, How::hand}, Mark{{4, 2}, 1, How::hand}}}));
    }
    void onlyReadWhenAskedFor() {
        Id c = 0;
        { c = *fresh()->addCase("x", someBrief()); }
        auto l = std::move(*Library::open(folder(), Access::read));
        QVERIFY(l->readOnly());
        QVERIFY(l->load(c)->brief == someBrief());
        QVERIFY(!l->apply(c, {BriefEdit{{}, someBrief(), Brief{}}}));
        QVERIFY(!l->addCase("x", Brief{}) && l->freshId() == 0);
        QVERIFY((*Library::open(folder()))->load(c)->brief == someBrief());
    }
    void strayFilmsAreFoundNotDeleted() {
        auto l = fresh();
        const Id c = *l->addCase("x", Brief{});
        const Id take = l->freshId();
        QVERIFY(l->apply(c, {TakeEdit{take, {}, someTake(take)}}));
        for (const char* name : {"a.mp4", "stray.mp4", "half.mp4.part"}) {
            QFile f(QString::fromStdString((l->media() / name).string()));
            QVERIFY(f.open(QIODevice::WriteOnly));
        }
        QVERIFY(l->strayFilms()->empty()); // just written: perhaps on its way into a take
        l->strayAfterForTests(std::chrono::seconds(0));
        QCOMPARE(l->strayFilms()->size(), std::size_t(2));
        QVERIFY(!l->removeFilm("a.mp4")); // a take uses it
        QVERIFY(!l->removeFilm("../library.sqlite"));
        QVERIFY(l->removeFilm("stray.mp4"));
        QCOMPARE(l->strayFilms()->size(), std::size_t(1));
    }
    void filmsOfOneNameAtOnce() {
        auto l = fresh();
        // Small films often: one may be whole between another's look for a free name and its taking of it.
        for (int round = 0; round < 40; ++round) {
            std::vector<std::string> sources;
            for (int i = 0; i < 6; ++i) {
                QDir().mkpath(m_dir->filePath(QString::number(i)));
                QFile film(m_dir->filePath(QString("%1/same%2.mp4").arg(i).arg(round)));
                QVERIFY(film.open(QIODevice::WriteOnly));
                film.write(QByteArray(4000 * (i + 1), static_cast<char>('a' + i)));
                sources.push_back(film.fileName().toStdString());
            }
            std::vector<std::string> names(sources.size());
            {
                std::vector<std::jthread> all;
                for (std::size_t i = 0; i < sources.size(); ++i)
                    all.emplace_back([&, i] { names[i] = l->bringIn(sources[i]).value(); });
            }
            QCOMPARE(std::set<std::string>(names.begin(), names.end()).size(), sources.size());
            for (std::size_t i = 0; i < names.size(); ++i) {
                QFile film(QString::fromStdString((l->media() / names[i]).string()));
                QVERIFY(film.open(QIODevice::ReadOnly)); // whole and nobody else's
                QCOMPARE(film.readAll(),
                         QByteArray(static_cast<qsizetype>(4000 * (i + 1)), static_cast<char>('a' + i)));
            }
        }
    }
    void onlyTheOwnerMayLook() {
        auto l = fresh();
        (void)l->addCase("x", Brief{});
        QFile source(m_dir->filePath("film.mp4"));
        QVERIFY(source.open(QIODevice::WriteOnly));
        source.close();
        QVERIFY(l->bringIn(source.fileName().toStdString()).ok());
        for (const auto& path :
             {folder(), folder() / "media", folder() / "library.sqlite", folder() / "media/film.mp4"}) {
            struct stat about {};
            QCOMPARE(::stat(path.c_str(), &about), 0);
            QVERIFY2((about.st_mode & 077u) == 0, path.c_str());
        }
    }
    void editsTurnRound() {
        CaseData data;
        const Edit e = MarkEdit{{5, FrameIndex(2), "head"}, {}, Mark{{1, 2}, 1, How::hand}};
        const CaseData before = data;
        applyTo(data, e);
        QCOMPARE(data.marks.at(5).at("head").size(), std::size_t(1));
        applyTo(data, reversed(e));
        QVERIFY(data == before);
    }
    void aLibraryOfFormat1IsBroughtUpToDate() {
        const auto folder = std::filesystem::path(m_dir->path().toStdString()) / "old";
        { // as the first version made it: without links and cameras
            auto l = std::move(*Library::create(folder));
            QVERIFY(l->addCase("fencing-lunge", someBrief()).ok());
            QVERIFY(l->apply(1, {TakeEdit{5, {}, someTake(5)}}).ok());
        }
        {
            QSqlDatabase db = QSqlDatabase::addDatabase("QSQLITE", "old");
            db.setDatabaseName(QString::fromStdString((folder / "library.sqlite").string()));
            QVERIFY(db.open());
            QSqlQuery query(db);
            const QString athlete = QString::fromStdString(toJson(someBrief().athlete));
            for (const QString& sql :
                 {QString("UPDATE cases SET brief = json_insert(brief, '$.athlete', json('%1'))").arg(athlete),
                  QString("INSERT INTO cases (id, blueprint, brief) SELECT 2, 'rowing-ergometer', brief FROM cases"),
                  QString("DROP TABLE links"), QString("DROP TABLE repeats"), QString("DROP TABLE decisions"),
                  QString("DROP TABLE planned"), QString("DROP TABLE notes"), QString("DROP TABLE ids"),
                  QString("DROP TABLE athletes"), QString("DROP INDEX cases_of_athlete"),
                  QString("ALTER TABLE takes DROP COLUMN camera"), QString("ALTER TABLE cases DROP COLUMN athlete"),
                  QString("ALTER TABLE cases DROP COLUMN card")})
                QVERIFY2(query.exec(sql), qPrintable(sql + query.lastError().text()));
            for (const char* table : {"cases", "takes", "reps", "blocks"})
                QVERIFY(query.exec(QString("ALTER TABLE %1 DROP COLUMN version").arg(table)) &&
                        query.exec(QString("ALTER TABLE %1 DROP COLUMN sum").arg(table)));
            QVERIFY(query.exec("ALTER TABLE marks DROP COLUMN sum") && query.exec("PRAGMA user_version = 1"));
        }
        QSqlDatabase::removeDatabase("old");
        auto l = Library::open(folder);
        QVERIFY2(l.ok(), l ? "" : l.error().text().c_str());
        auto data = (*l)->load(1);
        QVERIFY(data.ok() && data->takes.at(5) == someTake(5));
        QVERIFY(data->brief == someBrief());
        // Two cases of one name and hand are one person's; the library as it was is kept.
        const auto athletes = *(*l)->athletes();
        QCOMPARE(athletes.size(), std::size_t(1));
        QCOMPARE(athletes[0].cases.size(), std::size_t(2));
        QVERIFY(std::filesystem::exists(folder / "copies"));
        QVERIFY(!std::filesystem::is_empty(folder / "copies"));
        // And what is new is kept.
        Take t = someTake(5);
        t.checksum = "ab";
        t.captureFrom = "a falling ball";
        t.set = "after the hint";
        t.calibration.plumb = {{1, 2}, {3, 4}};
        t.calibration.horizon = {{1, 2}, {30, 4}};
        t.calibration.lengths = {{{{5, 6}, {7, 8}}, 1.5}};
        t.calibration.points = {{{1, 1}, 0.5, 0.25}};
        t.calibration.straight = {{{0, 0}, {1, 1}, {2, 2}}};
        t.calibration.cameraDistance = 6.5;
        t.calibration.depth = 0.2;
        t.picture = {0.2, 1.5, true, {1, 2, 3, 4}};
        t.camera = {Eigen::Matrix3d::Identity(), 2.0 * Eigen::Matrix3d::Identity()};
        t.steady = true;
        Rep r;
        r.id = 6;
        r.take = 5;
        r.first = FrameIndex(3);
        r.last = FrameIndex(9);
        r.situation = "late parry";
        r.choice = "disengage";
        r.worked = false;
        r.stage = Stage::open;
        r.landed = Landing{FrameIndex(7), {12.5, 3}};
        t.zone = Zone{{10, 20}, {30, 20}};
        FrameNote note{
            9,   5,   FrameIndex(3), {{1, 2}, {3, 4.5}},       FrameIndex(6), {{2, 2}, {3, 3}}, "angle", 90.5,
            1.5, "°", "the knee",    *dayFromIso("2026-11-20")};
        FindingDecision own{10, {}, "the knee", DecisionKind::parked, {}, note.day, Consent::notAsked, {}, 9};
        Take other = someTake(7);
        Link link;
        link.id = 8;
        link.a = 5;
        link.b = 7;
        link.shared = {{FrameIndex(1), FrameIndex(2)}};
        link.sound = SoundMatch{0.5, 0.001, 1.7, 0.4};
        QVERIFY((*l)->apply(1, {TakeEdit{5, someTake(5), t}, TakeEdit{7, {}, other}, RepEdit{6, {}, r},
                                LinkEdit{8, {}, link}, NoteEdit{9, {}, note}, DecisionEdit{10, {}, own}})
                    .ok());
        data = (*l)->load(1);
        QVERIFY2(data.ok(), data ? "" : data.error().text().c_str());
        QVERIFY(data->takes.at(5) == t && data->reps.at(6) == r && data->links.at(8) == link);
        QVERIFY(data->notes.at(9) == note && data->decisions.at(10) == own);
        l = Library::open(folder);
        QVERIFY((*l)->freshId() > 5);
        QCOMPARE((*l)->knownFilms()->at("ab"), t.film);
    }
};
QTEST_GUILESS_MAIN(TestLibrary)
#include "test_library.moc"
