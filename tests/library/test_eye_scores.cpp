#include "library/eye_scores.h"

#include "files/write_file.h"

#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

class TestEyeScores : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::filesystem::path file(const char* name) const { return m_dir.filePath(name).toStdString(); }
    const std::vector<EyeSession> m_sessions = {
        {*dayFromIso("2026-11-20"),
         "fencing-lunge",
         "trunk_falls_deg",
         1.0,
         30.0,
         {{10.0, true, 12.0}, {2.0, false}, {0.0, false}}},
        {*dayFromIso("2026-11-27"), "fencing-lunge", "trunk_falls_deg", 1.0, 30.0, {{5.0, true}}},
        {*dayFromIso("2026-11-27"), "race-walking", "flight", 0.015, 0.45, {{0.1, false}}}};
private slots:
    void whatIsKeptIsReadBack() {
        QVERIFY(readEyeSessions(file("none.json"))->empty()); // nothing yet is no error
        QVERIFY(keepEyeSessions(file("deep/scores.json"), m_sessions));
        const auto read = readEyeSessions(file("deep/scores.json"));
        QVERIFY(read.ok());
        QCOMPARE(read->size(), m_sessions.size());
        for (std::size_t i = 0; i < read->size(); ++i) {
            QCOMPARE((*read)[i].day, m_sessions[i].day);
            QCOMPARE((*read)[i].fault, m_sessions[i].fault);
            QCOMPARE((*read)[i].looks.size(), m_sessions[i].looks.size());
            for (std::size_t k = 0; k < (*read)[i].looks.size(); ++k)
                QVERIFY((*read)[i].looks[k].size == m_sessions[i].looks[k].size &&
                        (*read)[i].looks[k].said == m_sessions[i].looks[k].said &&
                        (*read)[i].looks[k].guessed == m_sessions[i].looks[k].guessed);
        }
    }
    void weeksAreOneStory() {
        const auto s = staircaseOf(m_sessions, "fencing-lunge", "trunk_falls_deg");
        QCOMPARE(s.looks(), 4);
        QCOMPARE(staircaseOf(m_sessions, "race-walking", "flight").looks(), 1);
        QCOMPARE(staircaseOf(m_sessions, "race-walking", "trunk_falls_deg").looks(), 0);
        QVERIFY(s.threshold() > 1.0 && s.threshold() < 30.0);
    }
    void whatIsDamagedIsSaid() {
        for (const char* bad : {"", "{", "{}", "[]", "{\"sessions\":[{}]}",
                                "{\"sessions\":[{\"day\":\"soon\",\"technique\":\"a\",\"fault\":\"b\",\"smallest\":1,"
                                "\"largest\":2,\"looks\":[]}]}",
                                "{\"sessions\":[{\"day\":\"2026-11-20\",\"technique\":\"a\",\"fault\":\"b\","
                                "\"smallest\":2,\"largest\":1,\"looks\":[]}]}",
                                "{\"sessions\":[{\"day\":\"2026-11-20\",\"technique\":\"a\",\"fault\":\"b\","
                                "\"smallest\":1,\"largest\":2,\"looks\":[[-1,true]]}]}",
                                "{\"sessions\":[{\"day\":\"2026-11-20\",\"technique\":\"a\",\"fault\":\"b\","
                                "\"smallest\":1,\"largest\":2,\"looks\":[[1,true,0]]}]}"}) {
            QVERIFY(writeFile(file("bad.json"), bad));
            const auto read = readEyeSessions(file("bad.json"));
            QVERIFY2(!read.ok() && read.error().kind == ErrorKind::damaged, bad);
        }
        QVERIFY(!keepEyeSessions("/proc/none/scores.json", m_sessions).ok());
    }
};
QTEST_GUILESS_MAIN(TestEyeScores)
#include "test_eye_scores.moc"
