// The coach's own eye: one fault, any of them, films of one's own; how large it was.

#include "desktop/eye/eye_trainer.h"
#include "tests/support/patience.h"
#include "tests/support/window_test.h"

#include <QComboBox>
#include <QDir>
#include <QFile>
#include <QTest>

#include <algorithm>

using namespace riflesso;

class TestEye : public test::WindowTest {
    Q_OBJECT
private slots:
    void initTestCase() {
        prepare("RiflessoTestEye");
        openWindow();
    }
    void cleanupTestCase() { m_window.reset(); }

    void theCoachsOwnEye() {
        const std::filesystem::path scores = m_dir.filePath("eye.json").toStdString();
        {
            EyeTrainer trainer(scores, m_today, nullptr, 90);
            trainer.show();
            trainer.choose("fencing-lunge", "trunk_falls_deg");
            bool sized = false;
            for (int i = 0; i < 5; ++i) {
                QTRY_VERIFY(trainer.ready());
                if (i == 2)
                    picture("eye", &trainer);
                const double size = trainer.size();
                QTest::keyClick(&trainer, size > 8.0 ? Qt::Key_Y : Qt::Key_N);
                QCOMPARE(trainer.asksSize(), size > 8.0);
                if (trainer.asksSize()) { // and how large it was
                    if (!sized)
                        picture("eye-size", &trainer);
                    QTest::keyClick(&trainer, sized ? Qt::Key_Return : Qt::Key_4);
                    sized = true;
                }
            }
            QVERIFY(trainer.verdict().contains("5 looks"));
        }
        const auto kept = readEyeSessions(scores);
        QVERIFY(kept.ok() && kept->size() == 1 && kept->front().looks.size() == 5);
        QCOMPARE(kept->front().looks[3].size, 0.0); // one in four is without the fault
        for (const auto& look : kept->front().looks)
            QVERIFY(!look.guessed || (look.said && *look.guessed > 0.0));
        QCOMPARE(std::count_if(kept->front().looks.begin(), kept->front().looks.end(),
                               [](const auto& l) { return l.guessed.has_value(); }),
                 std::count_if(kept->front().looks.begin(), kept->front().looks.end(),
                               [](const auto& l) { return l.said && l.size > 0.0; }) > 0
                     ? 1
                     : 0);
        QCOMPARE(staircaseOf(*kept, "fencing-lunge", "trunk_falls_deg").looks(), 5);
    }
    // A place that cannot be written is said at once; the answers are kept as soon as it can.
    void anAnswerThatCannotBeKeptIsSaid() {
        const QString folder = m_dir.filePath("no-folder");
        QFile file(folder);
        QVERIFY(file.open(QFile::WriteOnly));
        file.close();
        const std::filesystem::path scores = (folder + "/eye.json").toStdString();
        EyeTrainer trainer(scores, m_today, nullptr, 90);
        trainer.show();
        trainer.choose("fencing-lunge", "trunk_falls_deg");
        const auto no = [&] {
            QTRY_VERIFY(trainer.ready());
            QTest::keyClick(&trainer, Qt::Key_N);
        };
        no();
        QVERIFY2(trainer.verdict().contains("eye.json"), qPrintable(trainer.verdict()));
        QVERIFY(QFile::remove(folder) && QDir().mkdir(folder));
        no();
        QVERIFY2(!trainer.verdict().contains("eye.json"), qPrintable(trainer.verdict()));
        const auto kept = readEyeSessions(scores);
        QVERIFY(kept.ok() && kept->size() == 1);
        QCOMPARE(kept->front().looks.size(), 2u); // the one that could not be kept, too
    }
    // Any of the technique's faults may be there: which one is it?
    void whichFaultIsIt() {
        const std::filesystem::path scores = m_dir.filePath("eye-which.json").toStdString();
        EyeTrainer trainer(scores, m_today, nullptr, 90);
        trainer.show();
        trainer.choose("fencing-lunge", EyeTrainer::kAnyFault);
        int there = 0, confused = 0;
        for (int i = 0; i < 6; ++i) {
            QTRY_VERIFY(trainer.ready());
            if (i == 0)
                picture("eye-which", &trainer);
            const std::string shown = trainer.fault();
            if (i == 1 || trainer.size() == 0.0) { // a wrong one, where nothing or another fault is
                const std::string other = shown == "trunk_falls_deg" ? "hand_late_s" : "trunk_falls_deg";
                trainer.answer(other);
                ++confused;
                QVERIFY(!trainer.asksSize());
                continue;
            }
            trainer.answer(shown);
            QVERIFY(trainer.asksSize());
            QTest::keyClick(&trainer, Qt::Key_3);
            ++there;
        }
        QVERIFY(there > 0 && confused > 0);
        const auto kept = readEyeSessions(scores);
        QVERIFY(kept.ok() && kept->size() >= 2); // a session a fault
        int sized = 0, alarms = 0;
        for (const auto& s : *kept)
            for (const auto& l : s.looks) {
                sized += l.guessed.has_value();
                alarms += l.size == 0.0 && l.said;
            }
        QCOMPARE(sized, there);
        QCOMPARE(alarms, confused); // called where it was not
    }
    // The same on films of one's own: what a measure is sure of is what was there.
    void theEyeOnOnesOwnFilms() {
        OwnEye own = ownEyeOf(view()->bench());
        QVERIFY2(!own.measures.empty(), "the demo has reps outside and inside");
        for (const auto& m : own.measures) {
            const auto outside = std::count_if(m.reps.begin(), m.reps.end(), [](auto& r) { return r.beyond > 0.0; });
            QVERIFY(outside >= 2 && static_cast<std::ptrdiff_t>(m.reps.size()) - outside >= 2);
            for (const auto& r : m.reps)
                QVERIFY(r.frames.size() >= 2 && r.frames.size() <= 150 && r.rate > 1.0);
        }
        const std::string measure = own.measures.front().id, technique = own.technique;
        const std::filesystem::path scores = m_dir.filePath("own-eye.json").toStdString();
        {
            EyeTrainer trainer(scores, m_today, nullptr, 90, own);
            trainer.show();
            trainer.choose(EyeTrainer::kOwnFilms, QString::fromStdString("own:" + measure));
            for (int i = 0; i < 4; ++i) {
                QTRY_VERIFY(trainer.ready());
                if (i == 2)
                    picture("eye-own", &trainer);
                QTest::keyClick(&trainer, trainer.size() > 0.0 ? Qt::Key_Y : Qt::Key_N);
                if (trainer.asksSize())
                    QTest::keyClick(&trainer, Qt::Key_2);
            }
            QVERIFY2(trainer.verdict().contains("4 looks"), qPrintable(trainer.verdict()));
        }
        const auto kept = readEyeSessions(scores);
        QVERIFY(kept.ok() && kept->size() == 1 && kept->front().looks.size() == 4);
        QCOMPARE(kept->front().fault, "own:" + measure);
        QCOMPARE(kept->front().technique, technique);
        QCOMPARE(kept->front().looks[3].size, 0.0);
        // A case without sure reps offers nothing of its own.
        EyeTrainer bare(scores, m_today, nullptr, 90, OwnEye{});
        QCOMPARE(bare.findChild<QComboBox*>("eyeTechnique")->findData(EyeTrainer::kOwnFilms), -1);
    }
};
QTEST_MAIN(TestEye)
#include "test_eye.moc"
