// What riflesso-cli says and changes in a library: the case read, decided and planned, its tracks, what is taken home.

#include "tests/support/cli_run.h"
#include "tests/support/demo_copy.h"
#include "tests/support/python.h"

#include <QFile>
#include <QJsonArray>
#include <QSet>
#include <QTest>

using namespace riflesso;

class TestCliCases : public test::CliTest {
    Q_OBJECT
    test::Answer onCase(const QString& command, QStringList more = {"--json"}) const {
        return run(QStringList{command, "--library", RIFLESSO_DEMO_DIR, "--case", "1", "--today", "2026-11-23"} + more);
    }
private slots:
    void caseCommands() {
        const auto values = onCase("measure").json()["values"].toArray();
        QVERIFY(values.size() > 8 * 15);
        int traced = 0;
        for (const auto& v : values)
            traced += !v.toObject()["frames"].toArray().isEmpty();
        QVERIFY(traced > 100);
        const auto deviations = onCase("compare").json()["deviations"].toArray();
        QCOMPARE(deviations.size(), 19);
        for (const auto& d : deviations)
            QVERIFY(QStringList({"inside", "outside", "undecided", "not judged"})
                        .contains(d.toObject()["state"].toString()));
        const auto findings = onCase("findings").json();
        QCOMPARE(findings["findings"].toArray()[0].toObject()["fault"].toString(), QString("hand_late"));
        QCOMPARE(findings["focus"].toArray()[0].toString(), QString("hand_late"));
        QVERIFY(!findings["strengths"].toArray().isEmpty());
        const auto plan = onCase("plan").json();
        QVERIFY(!plan["blocks"].toArray().isEmpty() && !plan["ladder"].toArray().isEmpty());
        for (const char* command : {"measure", "compare", "findings", "plan"}) {
            const auto text = onCase(command, {});
            QCOMPARE(text.code, 0);
            QVERIFY(text.out.size() > 200 && !text.out.startsWith('{'));
        }
    }
    void setsDecisionsAndThePlan() {
        const QString library = m_dir.filePath("deciding");
        QVERIFY(test::copyDemo(library));
        const auto in = [&](QStringList a, QStringList more = {}) {
            const auto answer = run(a + QStringList{"--library", library, "--today", "2026-11-23"} + more);
            if (answer.code != 0)
                qWarning() << a << answer.err;
            return answer;
        };
        const auto sets = in({"sets", "--json"}).json()["sets"].toArray();
        QCOMPARE(sets.size(), 2);
        const auto reps = sets[0].toObject()["reps"].toArray();
        const QString two = QString("%1,%2").arg(reps[3].toInt()).arg(reps[4].toInt());
        QCOMPARE(in({"sets", "--put", "after the hint", "--reps", two}).code, 0);
        const auto judged = in({"findings", "--set", "after the hint", "--json"}).json();
        QCOMPARE(judged["set"].toString(), QString("2026-11-22 after the hint"));
        const auto compared =
            in({"compare", "--above", "after the hint", "--below", "2026-11-06 fixed feed", "--json"}).json();
        QVERIFY(compared["changes"].toObject()["hand_lead"].toObject()["moved"].toBool());
        failsInOneLine(in({"findings", "--set", "tomorrow"}), "no set");
        const auto decided =
            in({"decide", "1", "trunk_falls", "park", "--reason", "one thing at a time", "--json"}).json();
        QCOMPARE(decided["decisions"].toArray()[0].toObject()["kind"].toString(), QString("parked"));
        QVERIFY(!decided["focus"].toArray().contains("trunk_falls"));
        failsInOneLine(in({"decide", "1", "no_such", "take"}), "no fault");
        // The plan: kept, bent, ticked, written out.
        const auto plan = in({"plan", "--weeks", "3", "--keep", "--json"}).json();
        const auto blocks = plan["blocks"].toArray();
        QVERIFY(!blocks.isEmpty() && plan["clash"].toArray().isEmpty() && plan["way_out"].isNull());
        const auto first = blocks[0].toObject();
        QVERIFY(first["id"].toInt() > 0 && first["state"].toString() == "planned");
        const QString id = QString::number(first["id"].toInt());
        const auto moved = in({"plan", "move", id, "2026-11-25"}); // a day of rest
        QVERIFY2(moved.code == 0 && moved.out.contains("day of rest") && moved.out.contains("way out"), moved.out);
        const auto again = in({"plan", "--weeks", "3", "--json"}).json();
        QVERIFY(!again["clash"].toArray().isEmpty() && again["way_out"].isString());
        QCOMPARE(in({"plan", "drop", id}).code, 0);
        failsInOneLine(in({"plan", "drop", "99999"}), "no block");
        const QString file = m_dir.filePath("plan.ics");
        QCOMPARE(in({"plan", "ics", file, "--weeks", "3"}).code, 0);
        const auto events = test::runReference("calendar_file.py", {}, {file})["events"].toArray();
        QVERIFY(events.size() >= blocks.size() - 1);
        int cancelled = 0;
        QSet<QString> uids;
        for (const auto& e : events) {
            cancelled += e.toObject()["status"].toString() == "CANCELLED";
            uids.insert(e.toObject()["uid"].toString());
            QVERIFY(e.toObject()["description"].toString().contains("Cue: ") && e.toObject()["sequence"].toInt() > 0);
        }
        QCOMPARE(cancelled, 1);
        QCOMPARE(uids.size(), events.size());
        QVERIFY(in({"practice", "log", "1", "--drill", "coin_drop", "--reps", "GGBGGGGG", "--reason", "foot first"})
                    .out.contains("good of"));
        const auto practised = in({"practice", "list", "--json"}).json()["blocks"].toArray();
        QCOMPARE(practised.last().toObject()["reps"].toString(), QString("GGBGGGGG"));
        // Ways of feeding: one for all, or one a rep.
        QVERIFY(practised.last().toObject()["variations"].toArray().isEmpty());
        QCOMPARE(in({"practice", "log", "1", "--drill", "glove_call", "--reps", "GBGBGBGBGBGBGBGBGBGB", "--variation",
                     "high,low,high,low,high,low,high,low,high,low,high,low,high,low,high,low,high,low,high,low"})
                     .code,
                 0);
        const auto ways = in({"practice", "list", "--json"}).json()["blocks"].toArray().last().toObject();
        QCOMPARE(ways["variations"].toArray().size(), 20);
        QCOMPARE(ways["variations"].toArray()[1].toString(), QString("low"));
        failsInOneLine(
            in({"practice", "log", "1", "--drill", "glove_call", "--reps", "GBG", "--variation", "high,low"}),
            "variations");
        QVERIFY(in({"progress", "--json"}).json()["variation_words"].toString().contains("low is the weaker way"));
        const auto progress = in({"progress", "--json"}).json();
        const auto hand = progress["measures"].toArray()[0].toObject();
        QCOMPARE(hand["measure"].toString(), QString("hand_lead"));
        QCOMPARE(hand["points"].toArray().size(), 2);
        QVERIFY(hand["words"].toString().startsWith("Yes: +101 ms") && hand["kind"].toString() == "nothing");
        QVERIFY(progress["agreement"].toObject()["n"].toInt() > 40);
    }
    void tracksGoOutAndIn() {
        const QString library = m_dir.filePath("copy");
        QVERIFY(test::copyDemo(library));
        const auto tracks = [&](QStringList more) { return run(QStringList{"tracks", "--library", library} + more); };
        const auto list = QString(tracks({}).out).split('\n', Qt::SkipEmptyParts);
        QCOMPARE(list.size(), 5);
        QString marked, bare;
        for (const auto& line : list)
            if (line.contains("Yesterday, side"))
                marked = line.section(' ', 0, 0);
            else if (line.contains("Yesterday, front"))
                bare = line.section(' ', 0, 0);
        QCOMPARE(tracks({"--take", marked, "--out", m_dir.filePath("a.csv")}).code, 0);
        QFile a(m_dir.filePath("a.csv"));
        QVERIFY(a.open(QIODevice::ReadOnly));
        const QByteArray rows = a.readAll();
        QVERIFY(rows.startsWith("time_s,frame,landmark,x_px,y_px,sigma_px,how\n"));
        QVERIFY(rows.count('\n') > 20000);
        failsInOneLine(tracks({"--take", bare, "--out", m_dir.filePath("b.csv")}), "no marks");
        const QString small =
            write("in.csv", "time_s,frame,landmark,x_px,y_px,sigma_px,how\n0.1,3,neck,700,200,2,hand\n");
        QCOMPARE(tracks({"--take", bare, "--in", small}).code, 0);
        QCOMPARE(tracks({"--take", bare, "--out", m_dir.filePath("b.csv")}).code, 0);
        QFile b(m_dir.filePath("b.csv"));
        QVERIFY(b.open(QIODevice::ReadOnly));
        QVERIFY(b.readAll().contains(",3,neck,700.000,200.000,2.000,hand"));
        failsInOneLine(
            tracks({"--take", bare, "--in", write("late.csv", "time_s,frame,landmark,x_px,y_px\n9,90000,neck,1,1\n")}),
            "behind the end");
        failsInOneLine(
            tracks({"--take", bare, "--in", write("slow.csv", "time_s,frame,landmark,x_px,y_px\n0.2,30,neck,1,1\n")}),
            "another frame rate");
        failsInOneLine(tracks({"--take", "999", "--out", m_dir.filePath("c.csv")}), "no take 999");
        failsInOneLine(tracks({"--take", bare}), "--out FILE or --in FILE");
        QCOMPARE(tracks({"--take", bare, "--in", small, "--out", small}).code, 2);
    }
    void report() {
        QCOMPARE(onCase("report", {"--out", m_dir.filePath("report")}).code, 0);
        QVERIFY(QFile::exists(m_dir.filePath("report/report.pdf")));
        failsInOneLine(onCase("report", {"--out", "/proc/report"}), "cannot be made");
    }
    void badCases() {
        failsInOneLine(run({"findings", "--library", m_dir.filePath("nowhere")}), "no library");
        failsInOneLine(run({"findings", "--library", RIFLESSO_DEMO_DIR, "--case", "77"}), "no case 77");
        failsInOneLine(run({"plan", "--library", RIFLESSO_DEMO_DIR, "--today", "tomorrow"}), "--today");
        failsInOneLine(run({"demo", RIFLESSO_DEMO_DIR, "--films", QString(RIFLESSO_SOURCE_DIR) + "/build/demo-films"}),
                       "a library already");
        failsInOneLine(run({"demo", "/proc/demo"}), "cannot be made");
    }
    void whatIsTakenHomeIsCheckedFirst() {
        const QString library = m_dir.filePath("home-library");
        QVERIFY(test::copyDemo(library));
        QVERIFY(run({"export", "--out", "x.mp4"}).code == 2); // of what?
        QVERIFY(run({"export", m_dir.filePath("gone.mp4"), "--out", "x.mp4"}).code == 1);
        QVERIFY(run({"export", "--library", library, "--size", "big", "--out", m_dir.filePath("x.mp4")}).code == 1);
        QVERIFY(run({"export", "--library", library, "--take", "1", "--rep", "99", "--out", m_dir.filePath("x.mp4")})
                    .code == 1);
        QVERIFY(!QFile::exists(m_dir.filePath("x.mp4")));
        const auto scenes = run({"review", "1", "--library", library, "--scenes"});
        QCOMPARE(scenes.code, 0);
        const auto list = QJsonDocument::fromJson(scenes.out).object()["scenes"].toArray();
        QVERIFY(list.size() > 3);
        QCOMPARE(list[0].toObject()["kind"].toString(), QString("good"));
        const auto squad = run({"squad", "--library", library, "--today", "2026-11-23", "--json"});
        const auto faults = QJsonDocument::fromJson(squad.out).object()["techniques"].toArray()[0].toObject()["faults"];
        QCOMPARE(faults.toArray().size(), 8);
        QVERIFY(run({"person", "Nobody", "--library", library}).code == 1);
        // The demo's athlete was cured of a cause: that link was put to the test, by too few to change the technique.
        const auto tested = run({"links", "--library", library, "--today", "2026-11-23", "--json"});
        const auto links = QJsonDocument::fromJson(tested.out).object()["links"].toArray();
        QVERIFY2(!links.isEmpty(), tested.out.constData());
        for (const auto& value : links) {
            const auto l = value.toObject();
            QVERIFY(l["checks"].toInt() >= 1 && l["athletes"].toInt() >= 1 &&
                    l["followed"].toInt() <= l["checks"].toInt() &&
                    l["propose"].toBool() == (l["checks"].toInt() >= 6));
        }
        QVERIFY(run({"bundle", "in", m_dir.filePath("gone.riflesso"), "--library", library}).code == 1);
        QVERIFY(run({"guide", "no-such-technique", "--out", m_dir.filePath("g.pdf")}).code == 1);
    }
};
QTEST_GUILESS_MAIN(TestCliCases)
#include "test_cli_cases.moc"
