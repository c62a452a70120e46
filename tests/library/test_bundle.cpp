#include "library/bundle.h"

#include "casebook/analysis.h"
#include "casebook/shipped.h"
#include "tests/support/demo_copy.h"

#include <QFile>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

#include <algorithm>
#include <random>

using namespace riflesso;
namespace fs = std::filesystem;

class TestBundle : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::unique_ptr<Library> m_demo;
    std::vector<Id> m_all;

    fs::path path(const QString& name) const { return m_dir.filePath(name).toStdString(); }
    std::unique_ptr<Library> fresh(const QString& name) const { return std::move(*Library::create(path(name))); }
    static Analysis analysed(Library& library, Id id) {
        const auto data = library.load(id);
        return analyse(*data, *shippedBlueprint(data->blueprintId), *dayFromIso("2026-11-23"));
    }
    // What is in a library, so that a refused bundle can be seen to have left nothing.
    static QStringList everything(const fs::path& folder) {
        QStringList out;
        for (const auto& e : fs::recursive_directory_iterator(folder))
            if (e.path().filename().string().rfind("library.sqlite", 0) != 0)
                out << QString::fromStdString(e.path().lexically_relative(folder).string());
        out.sort();
        return out;
    }
    static QByteArray bytesOf(const fs::path& file) {
        QFile f(QString::fromStdString(file.string()));
        return f.open(QIODevice::ReadOnly) ? f.readAll() : QByteArray();
    }
    static void write(const fs::path& file, const QByteArray& bytes) {
        QFile f(QString::fromStdString(file.string()));
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write(bytes);
    }
    std::vector<BundleChoice> everyone() const {
        std::vector<BundleChoice> out;
        for (std::size_t i = 0; i < m_all.size(); ++i)
            out.push_back({i, 0});
        return out;
    }
    // Python's zipfile makes what our writer never would.
    bool python(const QString& code, const QStringList& arguments) const {
        QProcess p;
        p.start("/usr/bin/python3", QStringList{"-c", code} + arguments);
        const bool well = p.waitForFinished(240000) && p.exitCode() == 0;
        if (!well)
            qWarning("%s", p.readAllStandardError().constData());
        return well;
    }
private slots:
    void initTestCase() {
        QVERIFY(test::copyDemo(m_dir.filePath("demo")));
        auto opened = Library::open(path("demo"));
        QVERIFY(opened);
        m_demo = std::move(*opened);
        const auto cases = m_demo->cases();
        for (const auto& c : *cases)
            m_all.push_back(c.id);
        QVERIFY(!m_all.empty());
        const auto done = writeBundle(*m_demo, m_all, path("all.riflesso"), {});
        QVERIFY2(done.ok(), done ? "" : done.error().text().c_str());
    }
    void elsewhereTheSameToTheLastDigit() {
        auto other = fresh("other");
        const auto in = takeInBundle(*other, path("all.riflesso"), everyone());
        QVERIFY2(in.ok(), in ? "" : in.error().text().c_str());
        QCOMPARE(in->size(), m_all.size());
        QCOMPARE(other->athletes()->size(), m_demo->athletes()->size());
        for (std::size_t i = 0; i < m_all.size(); ++i) {
            const Analysis a = analysed(*m_demo, m_all[i]), b = analysed(*other, (*in)[i]);
            QCOMPARE(a.deviations.size(), b.deviations.size());
            for (std::size_t k = 0; k < a.deviations.size(); ++k) {
                QVERIFY(a.deviations[k].value.mean == b.deviations[k].value.mean);
                QVERIFY(a.deviations[k].value.u == b.deviations[k].value.u);
            }
            QCOMPARE(a.judgement.focus, b.judgement.focus);
            const auto taken = other->load((*in)[i]);
            for (const auto& [id, take] : taken->takes)
                QVERIFY2(fs::exists(other->filmOf(take)), take.film.c_str());
        }
        // Once more: it is the same, and nothing is copied twice.
        const auto contents = lookIntoBundle(*other, path("all.riflesso"));
        QVERIFY(contents);
        for (const auto& c : contents->cases)
            QVERIFY2(c.sameCase != 0 && c.identical, c.difference.c_str());
        const auto before = everything(path("other")).filter("media/");
        QVERIFY(takeInBundle(*other, path("all.riflesso"), everyone()));
        QCOMPARE(everything(path("other")).filter("media/"), before);
        QCOMPARE(other->cases()->size(), 2 * m_all.size()); // beside one another, unasked nothing is overwritten
    }
    void whatIsNewerIsSaidAndSomebodyKnownStaysOne() {
        auto other = fresh("known");
        QVERIFY(takeInBundle(*other, path("all.riflesso"), {{0, 0}}));
        const Id person = (*other->athletes())[0].id, mine = (*other->cases())[0].id;
        auto data = *other->load(mine);
        Block block;
        block.id = other->freshId();
        block.day = *dayFromIso("2026-11-22");
        block.drill = "x";
        block.reps = {{true, {}, {}}};
        QVERIFY(other->apply(mine, {BlockEdit{block.id, {}, block}}));
        const auto contents = lookIntoBundle(*other, path("all.riflesso"));
        QVERIFY(contents);
        QVERIFY(!contents->cases[0].identical);
        QVERIFY(contents->cases[0].difference.find("blocks of practice") != std::string::npos);
        QCOMPARE(contents->cases[0].sameAthlete, person);
        QVERIFY(takeInBundle(*other, path("all.riflesso"), {{0, person}}));
        QCOMPARE(other->athletes()->size(), std::size_t(1));
        QCOMPARE((*other->athletes())[0].cases.size(), std::size_t(2));
    }
    void withoutFilmsItIsSmallAndAnybodyCanReadIt() {
        BundleOptions o;
        o.films = false;
        o.blueprints["own"] = "{}";
        QVERIFY(writeBundle(*m_demo, m_all, path("small.riflesso"), o));
        QVERIFY(fs::file_size(path("small.riflesso")) * 4 < fs::file_size(path("all.riflesso")));
        QVERIFY(python("import sys, zipfile, json\n"
                       "z = zipfile.ZipFile(sys.argv[1]); assert z.testzip() is None\n"
                       "t = json.loads(z.read('riflesso.json')); assert t['format'] == 1 and t['cases'][0]['takes']",
                       {m_dir.filePath("small.riflesso")}));
        auto other = fresh("small");
        const auto in = takeInBundle(*other, path("small.riflesso"), {{0, 0}});
        QVERIFY(in);
        QVERIFY(!other->load(in->front())->marks.empty());
    }
    // One row of every kind with all that it can hold, against the schema that is published; then tables that it must
    // refuse. By python3-jsonschema.
    void theTableKeepsToItsSchema() {
        QVERIFY(test::copyDemo(m_dir.filePath("rich")));
        auto opened = Library::open(path("rich"));
        QVERIFY(opened);
        Library& rich = **opened;
        const Id id = m_all.front();
        const auto data = *rich.load(id);
        const Day day = *dayFromIso("2026-11-22");
        Block block;
        block.id = rich.freshId();
        block.day = day;
        block.drill = "x";
        block.cue = "soft knees";
        block.film = "a take";
        block.own = SelfCoached{20, 4, "hall", 3, 7, "calm", "slower"};
        block.reps = {{true, false, "late", true, "2026-11-22-101010-000.mp4"}};
        const Rep before = data.reps.begin()->second;
        Rep rep = before;
        rep.situation = "s";
        rep.choice = "c";
        rep.worked = true;
        rep.set = "after";
        rep.landed = Landing{FrameIndex(3), {10.5, 20.0}};
        rep.seen["look"] = Seen{SeenVerdict::partly, FrameIndex(2), "hip", Pixel{1.0, 2.0}};
        rep.seenOf["Ilse"]["look"] = Seen{SeenVerdict::no, FrameIndex(3), "late", Pixel{3.0, 4.0}};
        const Take& plain = data.takes.at(rep.take);
        Take take = plain;
        take.filmedWith = "telephone";
        take.markedBy = "Anna";
        take.figure.extra = {"other2_head"};
        take.figure.called = {{2, "Ilse"}};
        const FrameNote note{rich.freshId(), rep.take, FrameIndex(4), {{1, 2}}, FrameIndex(9), {{3, 4}},
                             "way",          1.0,      0.1,           "m",      "far",         day};
        FindingDecision decision;
        decision.id = rich.freshId();
        decision.fault = "late_hand";
        decision.reason = "build";
        decision.day = day;
        decision.closed = day;
        decision.note = note.id;
        PlannedBlock planned;
        planned.id = rich.freshId();
        planned.day = day;
        planned.drill = "x";
        planned.minutes = 5.0;
        planned.locked = true;
        planned.why = "moved by the coach";
        QVERIFY(rich.apply(id, {BlockEdit{block.id, {}, block}, RepEdit{rep.id, before, rep},
                                TakeEdit{take.id, plain, take}, NoteEdit{note.id, {}, note},
                                DecisionEdit{decision.id, {}, decision}, PlanEdit{planned.id, {}, planned}}));
        // What was written is what is read.
        const auto again = Library::open(path("rich"));
        QVERIFY(again);
        const auto read = *(*again)->load(id);
        QVERIFY(read.reps.at(rep.id) == rep && read.takes.at(take.id) == take);
        BundleOptions o;
        o.films = false;
        QVERIFY(writeBundle(rich, {id}, path("rich.riflesso"), o));
        QVERIFY(python("import sys, zipfile, json, jsonschema, copy\n"
                       "t = json.loads(zipfile.ZipFile(sys.argv[1]).read('riflesso.json'))\n"
                       "s = json.load(open(sys.argv[2])); jsonschema.Draft7Validator.check_schema(s)\n"
                       "v = jsonschema.Draft7Validator(s)\n"
                       "for e in v.iter_errors(t): print(list(e.path), e.message[:200], file=sys.stderr)\n"
                       "assert v.is_valid(t)\n"
                       "c = t['cases'][0]\n"
                       "assert all(c[k] for k in ('takes', 'reps', 'blocks', 'decisions', 'plan', 'notes'))\n"
                       "def refused(change):\n"
                       "    bad = copy.deepcopy(t); change(bad['cases'][0], bad); assert not v.is_valid(bad)\n"
                       "refused(lambda c, t: c['blocks'][-1]['body']['reps'][0].update(clip='../out.mp4'))\n"
                       "refused(lambda c, t: c['takes'][0]['body'].update(view='inside'))\n"
                       "refused(lambda c, t: c['reps'][0]['body'].pop('number'))\n"
                       "refused(lambda c, t: c['notes'][0]['body'].update(frame=-1))\n"
                       "refused(lambda c, t: t['files'].update({'films/../x': {'bytes': 1, 'sha256': '0' * 64}}))\n"
                       "refused(lambda c, t: t.update(format=2))\n",
                       {m_dir.filePath("rich.riflesso"), QString(RIFLESSO_SOURCE_DIR) + "/docs/bundle.schema.json"}));
    }
    void whatCannotBeWrittenLeavesNothing() {
        QVERIFY(!writeBundle(*m_demo, {}, path("none.riflesso"), {}));
        QVERIFY(!writeBundle(*m_demo, {99999}, path("none.riflesso"), {}));
        BundleOptions o;
        int asked = 0;
        o.progress = [&](double) { return ++asked < 3; };
        QVERIFY(!writeBundle(*m_demo, m_all, path("none.riflesso"), o));
        QVERIFY(!fs::exists(path("none.riflesso")) && !fs::exists(path("none.riflesso.part")));
    }
    void hostileOnesAreRefusedAndLeaveNothing_data() {
        QTest::addColumn<QString>("code");
        const QString head = "import sys, zipfile, json, hashlib\n"
                             "a = zipfile.ZipFile(sys.argv[1]); t = json.loads(a.read('riflesso.json'))\n"
                             "films = [n for n in a.namelist() if n.startswith('films/')]\n"
                             "o = zipfile.ZipFile(sys.argv[2], 'w', zipfile.ZIP_DEFLATED)\n";
        const auto add = [&](const char* name, const char* body) { QTest::newRow(name) << head + body; };
        add("a way out", "n = films[0]; d = a.read(n); t['files']['../../out.mp4'] = t['files'].pop(n)\n"
                         "o.writestr('riflesso.json', json.dumps(t)); o.writestr('../../out.mp4', d); o.close()");
        add("a part nobody knows", "o.writestr('riflesso.json', json.dumps(t)); o.writestr('films/extra.sh', b'x')\n"
                                   "[o.writestr(n, a.read(n)) for n in films]; o.close()");
        add("a link", "o.writestr('riflesso.json', json.dumps(t))\n"
                      "i = zipfile.ZipInfo(films[0]); i.create_system = 3; i.external_attr = 0o120777 << 16\n"
                      "o.writestr(i, '/etc/passwd'); o.close()");
        add("a bomb",
            "n = films[0]; o.writestr('riflesso.json', json.dumps(t)); o.writestr(n, bytes(300 << 20)); o.close()");
        add("another sum",
            "o.writestr('riflesso.json', json.dumps(t))\n"
            "for n in films:\n  d = bytearray(a.read(n)); d[len(d) // 2] ^= 1; o.writestr(n, bytes(d))\no.close()");
        add("a part is missing", "o.writestr('riflesso.json', json.dumps(t)); o.close()");
        add("no table", "[o.writestr(n, a.read(n)) for n in films]; o.close()");
        add("a newer one", "t['format'] = 2; o.writestr('riflesso.json', json.dumps(t)); o.close()");
        add("a rep of no take",
            "t['cases'][0]['reps'][0]['take'] = 999999; o.writestr('riflesso.json', json.dumps(t)); o.close()");
        add("nobody's case", "t['cases'][0]['athlete'] = 77777; o.writestr('riflesso.json', json.dumps(t)); o.close()");
        add("a mark of infinity",
            "k = t['cases'][0]['takes'][0]['marks']; m = next(iter(k.values())); m[0][1] = 1e999\n"
            "o.writestr('riflesso.json', json.dumps(t)); o.close()");
    }
    void hostileOnesAreRefusedAndLeaveNothing() {
        QFETCH(QString, code);
        const QString name = QString("hostile-%1").arg(qHash(QTest::currentDataTag()));
        QVERIFY(python(code, {m_dir.filePath("all.riflesso"), m_dir.filePath(name + ".riflesso")}));
        auto other = fresh(name);
        const auto before = everything(path(name));
        const auto in = takeInBundle(*other, path(name + ".riflesso"), everyone());
        QVERIFY(!in.ok());
        QVERIFY(!in.error().what.empty() && !in.error().where.empty());
        QCOMPARE(everything(path(name)), before);
        QVERIFY(other->cases()->empty() && other->athletes()->empty());
        QVERIFY(!fs::exists(m_dir.filePath("out.mp4").toStdString()) && !fs::exists("out.mp4"));
    }
    // Flipped, cut and doubled bytes: refused with words or read whole, never anything between.
    void mutations() {
        BundleOptions o;
        o.films = false;
        QVERIFY(writeBundle(*m_demo, {m_all.front()}, path("small-case.riflesso"), o));
        const QByteArray whole = bytesOf(path("small-case.riflesso"));
        auto other = fresh("mutated");
        std::mt19937 random(11);
        int refused = 0;
        constexpr int kMutations = 300; // 2,000 take two minutes with sanitizers
        for (int i = 0; i < kMutations; ++i) {
            QByteArray bad = whole;
            const auto at = [&] { return static_cast<qsizetype>(random() % static_cast<unsigned>(bad.size())); };
            if (i % 3 == 0)
                bad.truncate(at());
            else
                for (unsigned k = 0; k <= random() % 8; ++k)
                    bad[at()] = static_cast<char>(random());
            write(path("mutated.riflesso"), bad);
            refused += !lookIntoBundle(*other, path("mutated.riflesso")).ok();
        }
        QVERIFY2(refused > kMutations / 2, qPrintable(QString::number(refused)));
        QVERIFY(other->cases()->empty());
    }
};
QTEST_GUILESS_MAIN(TestBundle)
#include "test_bundle.moc"
