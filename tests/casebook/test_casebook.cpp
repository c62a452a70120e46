#include "casebook/casebook.h"

#include "casebook/shipped.h"

#include <QSignalSpy>
#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

class TestCasebook : public QObject {
    Q_OBJECT
    std::unique_ptr<QTemporaryDir> m_dir;
    std::shared_ptr<Library> m_library;
    Id m_case = 0;
    std::unique_ptr<Casebook> m_book;

    void open() {
        m_book = std::move(
            *Casebook::open(m_library, m_case, *shippedBlueprint("fencing-lunge"), *dayFromIso("2026-11-23")));
    }
    Take take() const {
        Take t;
        t.title = "take";
        t.film = "a.mp4";
        t.width = 1280;
        t.height = 720;
        for (int i = 0; i < 300; ++i)
            t.times.push_back(i / 30.0);
        t.captureRate = 120;
        return t;
    }
    // Does a command, then compares the whole case before, after, undone and redone, in memory and in the library.
    template <typename F> void wholeCase(const char* name, F command) {
        const CaseData before = m_book->data();
        const int index = m_book->undoStack().index();
        QVERIFY2(command(), name);
        const CaseData after = m_book->data();
        QVERIFY2(!(after == before), name);
        QCOMPARE(m_book->undoStack().index(), index + 1);
        QVERIFY2(*m_library->load(m_case) == after, name);
        m_book->undoStack().undo();
        QVERIFY2(m_book->data() == before, name);
        QVERIFY2(*m_library->load(m_case) == before, name);
        m_book->undoStack().redo();
        QVERIFY2(m_book->data() == after, name);
        QVERIFY2(*m_library->load(m_case) == after, name);
    }
private slots:
    void init() {
        m_dir = std::make_unique<QTemporaryDir>();
        m_library = std::shared_ptr<Library>(std::move(*Library::create((m_dir->path() + "/lib").toStdString())));
        m_case = *m_library->addCase("fencing-lunge", Brief{});
        open();
    }
    void cleanup() {
        m_book.reset();
        m_library.reset();
    }
    void everyCommandUndoesAndRedoes() {
        Id t = 0, rep = 0, block = 0;
        wholeCase("setBrief", [&] {
            Brief b;
            b.athlete.name = "Ana";
            return m_book->setBrief(b);
        });
        wholeCase("addTake", [&] { return (t = m_book->addTake(take())) != 0; });
        wholeCase("setTake", [&] {
            Take changed = m_book->data().takes.at(t);
            changed.captureRate = 240;
            return m_book->setTake(changed, "rate");
        });
        wholeCase("addRep", [&] { return (rep = m_book->addRep(t)) != 0; });
        wholeCase("placePosition", [&] { return m_book->placePosition(rep, "on_guard", FrameIndex(20)); });
        wholeCase("movePosition", [&] { return m_book->placePosition(rep, "on_guard", FrameIndex(21)); });
        wholeCase("clearPosition", [&] { return m_book->clearPosition(rep, "on_guard"); });
        wholeCase("setMark", [&] { return m_book->setMark({t, FrameIndex(20), "neck"}, {{5, 6}, 1.5, How::hand}); });
        wholeCase("moveMark", [&] { return m_book->setMark({t, FrameIndex(20), "neck"}, {{7, 6}, 1.5, How::hand}); });
        wholeCase("removeMark", [&] { return m_book->removeMark({t, FrameIndex(20), "neck"}); });
        wholeCase("addBlock", [&] {
            return (block = m_book->addBlock({0, m_book->today(), "slow_count", Stage::slow, {{true, true}}, {}})) != 0;
        });
        wholeCase("setBlock", [&] {
            Block b = m_book->data().blocks.at(block);
            b.reps.push_back({false, true});
            return m_book->setBlock(b);
        });
        Rep first, second;
        first.first = FrameIndex(40);
        first.last = FrameIndex(100);
        second.first = FrameIndex(120);
        second.last = FrameIndex(180);
        wholeCase("addReps", [&] { return m_book->addReps(t, {second, first}); });
        Id early = 0;
        for (const Rep* r : repsOf(m_book->data(), t))
            if (r->first == FrameIndex(40))
                early = r->id;
        wholeCase("splitRep", [&] { return m_book->splitRep(early, FrameIndex(70)); });
        int last = -1; // numbered in order of time
        for (const Rep* r : repsOf(m_book->data(), t))
            if (r->first) {
                QVERIFY(r->first->value > last);
                last = r->first->value;
            }
        Id half = 0;
        for (const Rep* r : repsOf(m_book->data(), t))
            if (r->first == FrameIndex(70))
                half = r->id;
        wholeCase("mergeReps", [&] { return m_book->mergeReps(early, half); });
        QCOMPARE(m_book->data().reps.at(early).last->value, 100);
        Id other = 0, link = 0;
        wholeCase("addTake", [&] {
            Take front = take();
            front.view = View::front;
            front.facing = Facing::camera;
            return (other = m_book->addTake(front)) != 0;
        });
        wholeCase("addLink", [&] {
            Link l;
            l.a = t;
            l.b = other;
            l.shared = {{FrameIndex(50), FrameIndex(30)}};
            return (link = m_book->addLink(l)) != 0;
        });
        wholeCase("setLink", [&] {
            Link l = m_book->data().links.at(link);
            l.shared.emplace_back(FrameIndex(90), FrameIndex(70));
            return m_book->setLink(l, "share");
        });
        // Set once, it is set in both; where the other camera was not running yet it is set here only.
        wholeCase("placeInBoth", [&] { return m_book->placePosition(early, "heel_lands", FrameIndex(60)); });
        QCOMPARE(repsOf(m_book->data(), other).size(), std::size_t(1));
        QCOMPARE(repsOf(m_book->data(), other)[0]->positions.at("heel_lands").frame.value, 40);
        m_book->placePosition(early, "on_guard", FrameIndex(5));
        QVERIFY(!repsOf(m_book->data(), other)[0]->positions.contains("on_guard"));
        wholeCase("removeLink", [&] { return m_book->removeLink(link); });
        m_book->undoStack().undo();
        wholeCase("removeTake with its link", [&] { return m_book->removeTake(other); });
        QVERIFY(m_book->data().links.empty());
        m_book->setMark({t, FrameIndex(3), "head"}, {});
        wholeCase("removeTake", [&] { return m_book->removeTake(t); });
        QVERIFY(m_book->data().reps.empty() && m_book->data().marks.empty());
        m_book->undoStack().undo();
        QVERIFY(m_book->data().reps.contains(rep)); // with its reps and marks
        wholeCase("removeRep", [&] { return m_book->removeRep(rep); });
        // All the way back is where it began.
        while (m_book->undoStack().canUndo())
            m_book->undoStack().undo();
        CaseData start;
        start.id = m_case;
        start.blueprintId = "fencing-lunge";
        QVERIFY(m_book->data() == start);
    }
    void oneDragIsOneStep() {
        const Id t = m_book->addTake(take());
        const int index = m_book->undoStack().index();
        for (int i = 0; i < 12; ++i)
            QVERIFY(m_book->setMark({t, FrameIndex(4), "neck"}, {{100.0 + i, 50}, 1.5, How::hand}, 77));
        QCOMPARE(m_book->undoStack().index(), index + 1);
        m_book->setMark({t, FrameIndex(4), "neck"}, {{300, 50}, 1.5, How::hand}, 78);
        QCOMPARE(m_book->undoStack().index(), index + 2);
        m_book->undoStack().undo();
        QCOMPARE(m_book->data().marks.at(t).at("neck").at(FrameIndex(4)).at.x, 111.0);
        m_book->undoStack().undo();
        QVERIFY(!m_book->data().marks.contains(t));
        m_book->undoStack().redo();
        QCOMPARE(m_book->data().marks.at(t).at("neck").at(FrameIndex(4)).at.x, 111.0);
    }
    void eventsSayWhatChanged() {
        qRegisterMetaType<ChangeSet>();
        ChangeSet last;
        connect(m_book.get(), &Casebook::changed, this, [&](const ChangeSet& c) { last = c; });
        const Id t = m_book->addTake(take());
        QVERIFY((last.takes == std::vector<Id>{t}) && last.marks.empty() && !last.brief);
        m_book->setMark({t, FrameIndex(1), "head"}, {});
        QVERIFY((last.marks == std::vector<Id>{t}) && last.takes.empty());
        m_book->placePosition(m_book->addRep(t), "on_guard", FrameIndex(1));
        QVERIFY((last.reps == std::vector<Id>{t}));
        m_book->addBlock({});
        QVERIFY(last.blocks);
    }
    void aFailedSaveChangesNothing() {
        const Id t = m_book->addTake(take());
        const CaseData before = m_book->data();
        const int index = m_book->undoStack().index();
        QSignalSpy failed(m_book.get(), &Casebook::failed);
        m_library->limitPagesForTests(1);
        std::vector<Edit> many;
        for (int f = 0; f < 5000; ++f)
            many.push_back(MarkEdit{{t, FrameIndex(f), "left_shoulder"}, {}, Mark{}});
        QVERIFY(!m_book->perform("import", many));
        QCOMPARE(failed.count(), 1);
        QVERIFY(failed[0][0].toString().contains("the disk is full"));
        QVERIFY(m_book->data() == before);
        QCOMPARE(m_book->undoStack().index(), index);
        m_library->limitPagesForTests(0);
        QVERIFY(m_book->perform("import", many));
    }
    void nonsenseIsRefused() {
        QVERIFY(!m_book->placePosition(99, "on_guard", FrameIndex(1)));
        const Id t = m_book->addTake(take());
        QVERIFY(!m_book->placePosition(m_book->addRep(t), "no_such_position", FrameIndex(1)));
        QVERIFY(!m_book->removeMark({t, FrameIndex(1), "head"}));
        QVERIFY(!m_book->removeTake(99));
        QVERIFY(!m_book->setBlock({99, {}, {}, {}, {}, {}}));
        QVERIFY(m_book->setTake(m_book->data().takes.at(t), "same")); // nothing to do is no failure, and no undo step
    }
    void analysisFollowsTheMarks() {
        const Id t = m_book->addTake(take());
        const Id rep = m_book->addRep(t);
        m_book->placePosition(rep, "on_guard", FrameIndex(20));
        QVERIFY(m_book->analysing());
        QVERIFY(m_book->analysisNow().next.words.find("athlete") != std::string::npos); // first of all: who is it
        Brief b;
        b.athlete.name = "Ana";
        m_book->setBrief(b);
        QVERIFY(m_book->analysisNow().next.where == Workspace::marking);
        for (const auto& [name, x, y] :
             {std::tuple{"right_hip", 500.0, 400.0}, {"right_knee", 560.0, 500.0}, {"right_ankle", 520.0, 610.0}})
            m_book->setMark({t, FrameIndex(20), name}, {{x, y}, 1.5, How::hand});
        const auto& a = m_book->analysisNow();
        const Deviation* d = a.deviation("guard_knee");
        QVERIFY(d && d->value.reps == 1);
        QVERIFY(d->value.mean > 90 && d->value.mean < 180);
        QVERIFY(!d->judged && d->reason.find("model") != std::string::npos);
    }
    void theBookIsTheSameAfterReopening() {
        const Id t = m_book->addTake(take());
        m_book->setMark({t, FrameIndex(2), "head"}, {{9, 8}, 1, How::hand});
        const CaseData before = m_book->data();
        m_book.reset();
        open();
        QVERIFY(m_book->data() == before);
        QVERIFY(!m_book->undoStack().canUndo());
    }
};
QTEST_GUILESS_MAIN(TestCasebook)
#include "test_casebook.moc"
