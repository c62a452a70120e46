#include "casebook/undo_step.h"

#include "casebook/casebook.h"
#include "casebook/shipped.h"

#include <QSignalSpy>
#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

namespace {

Take someTake() {
    Take t;
    t.title = "take";
    t.film = "a.mp4";
    t.width = 640;
    t.height = 360;
    for (int i = 0; i < 100; ++i)
        t.times.push_back(i / 60.0);
    return t;
}

Mark at(double x) {
    return {{x, 10}, 1.0, How::hand};
}

} // namespace

class TestUndoStep : public QObject {
    Q_OBJECT
    std::unique_ptr<QTemporaryDir> m_dir;
    std::shared_ptr<Library> m_library;
    std::unique_ptr<Casebook> m_book;
    Id m_case = 0;

    // A case with two takes, reps, marks, a block, a link.
    void fill() {
        const Id a = m_book->addTake(someTake()), b = m_book->addTake(someTake());
        const Id rep = m_book->addRep(a);
        m_book->addReps(
            a, {Rep{0, a, 0, {}, FrameIndex(10), FrameIndex(40)}, Rep{0, a, 0, {}, FrameIndex(50), FrameIndex(90)}});
        m_book->placePosition(rep, m_book->blueprint().positions[0].id, FrameIndex(5));
        for (int f = 0; f < 3; ++f)
            m_book->setMark({a, FrameIndex(f), "left_knee"}, at(f));
        Link link;
        link.a = a;
        link.b = b;
        link.shared = {{FrameIndex(1), FrameIndex(2)}};
        m_book->addLink(link);
        Block block;
        block.drill = m_book->blueprint().drills[0].id;
        m_book->addBlock(block);
    }

    // Every command there is, each on the case as fill() leaves it.
    std::vector<std::pair<QString, std::function<bool()>>> commands() {
        Casebook& b = *m_book;
        const auto& d = b.data();
        const Id take = d.takes.begin()->first, other = d.takes.rbegin()->first, rep = d.reps.begin()->first;
        const PositionId position = b.blueprint().positions[0].id, second = b.blueprint().positions[1].id;
        Brief brief = d.brief;
        brief.goal = "another";
        brief.athlete.name = "Another";
        Take changed = d.takes.at(take);
        changed.title = "changed";
        Rep situated = d.reps.at(rep);
        situated.situation = "s";
        Block block = d.blocks.begin()->second;
        block.note = "n";
        Link link = d.links.begin()->second;
        link.shared.emplace_back(FrameIndex(5), FrameIndex(6));
        RepeatMarking repeat;
        repeat.take = take;
        std::vector<Id> spans;
        for (const auto& [id, r] : d.reps)
            if (r.first)
                spans.push_back(id);
        return {{"setBrief", [&b, brief] { return b.setBrief(brief); }},
                {"addTake", [&b] { return b.addTake(someTake()) != 0; }},
                {"setTake", [&b, changed] { return b.setTake(changed, "x"); }},
                {"removeTake", [&b, other] { return b.removeTake(other); }},
                {"removeTake with all", [&b, take] { return b.removeTake(take); }},
                {"addRep", [&b, take] { return b.addRep(take) != 0; }},
                {"removeRep", [&b, rep] { return b.removeRep(rep); }},
                {"placePosition", [&b, rep, second] { return b.placePosition(rep, second, FrameIndex(7)); }},
                {"clearPosition", [&b, rep, position] { return b.clearPosition(rep, position); }},
                {"setMark",
                 [&b, take] {
                     return b.setMark({take, FrameIndex(9), "neck"}, at(1));
                 }},
                {"setMark again",
                 [&b, take] {
                     return b.setMark({take, FrameIndex(1), "left_knee"}, at(7));
                 }},
                {"removeMark",
                 [&b, take] {
                     return b.removeMark({take, FrameIndex(1), "left_knee"});
                 }},
                {"putMarks",
                 [&b, take] {
                     return b.putMarks(take, {{"neck", {{FrameIndex(3), {{1, 1}, 1, How::tracked}}}}}, "x");
                 }},
                {"swapSides", [&b, take] { return b.swapSides(take, FrameIndex(0), FrameIndex(9)); }},
                {"addRepeat", [&b, repeat] { return b.addRepeat(repeat) != 0; }},
                {"addReps",
                 [&b, take] {
                     return b.addReps(take, {Rep{0, take, 0, {}, FrameIndex(92), FrameIndex(95)}});
                 }},
                {"setRep", [&b, situated] { return b.setRep(situated, "x"); }},
                {"splitRep", [&b, spans] { return b.splitRep(spans[0], FrameIndex(20)); }},
                {"mergeReps", [&b, spans] { return b.mergeReps(spans[0], spans[1]); }},
                {"addLink",
                 [&b, take, other] {
                     Link l;
                     l.a = take;
                     l.b = other;
                     l.shared = {{FrameIndex(3), FrameIndex(3)}};
                     return b.addLink(l) != 0;
                 }},
                {"setLink", [&b, link] { return b.setLink(link, "x"); }},
                {"removeLink", [&b, link] { return b.removeLink(link.id); }},
                {"addBlock",
                 [&b] {
                     Block x;
                     x.drill = b.blueprint().drills[0].id;
                     return b.addBlock(x) != 0;
                 }},
                {"setBlock", [&b, block] { return b.setBlock(block); }},
                {"putInSet",
                 [&b, spans] {
                     return b.putInSet({spans[0], spans[1]}, "after the hint");
                 }},
                {"decide", [&b] {
                     FindingDecision taken;
                     taken.fault = b.blueprint().faults[0].id;
                     return b.decide(taken);
                 }}};
    }
private slots:
    void init() {
        m_dir = std::make_unique<QTemporaryDir>();
        m_library = std::move(*Library::create((m_dir->path() + "/lib").toStdString()));
        m_case = *m_library->addCase("fencing-lunge", Brief{});
        m_book = std::move(
            *Casebook::open(m_library, m_case, *shippedBlueprint("fencing-lunge"), *dayFromIso("2026-11-23")));
    }
    void cleanup() {
        m_book.reset();
        m_library.reset();
    }

    // For every command: the write fails, the undo's write fails, the redo's write fails. Nothing is lost or half done,
    // the step stays where it was, and afterwards it works.
    void everyWriteMayFail() {
        fill();
        const int steps = m_book->undoStack().index();
        for (std::size_t i = 0; i < commands().size(); ++i) {
            auto [name, run] = commands()[i];
            const QByteArray n = name.toUtf8();
            QSignalSpy failed(m_book.get(), &Casebook::failed);
            const CaseData before = m_book->data();
            m_library->failForTests(1);
            QVERIFY2(!run(), n.constData());
            QCOMPARE(failed.count(), 1);
            QVERIFY2(m_book->data() == before, n.constData());
            QCOMPARE(m_book->undoStack().index(), steps);

            QVERIFY2(run(), n.constData());
            const CaseData after = m_book->data();
            QVERIFY2(!(after == before), n.constData());
            QCOMPARE(m_book->undoStack().index(), steps + 1);

            m_library->failForTests(1);
            QVERIFY2(!m_book->undo(), n.constData());
            QVERIFY2(m_book->data() == after, n.constData());
            QCOMPARE(m_book->undoStack().index(), steps + 1);
            QVERIFY2(m_book->undo(), n.constData());
            QVERIFY2(m_book->data() == before, n.constData());

            m_library->failForTests(1);
            QVERIFY2(!m_book->redo(), n.constData());
            QVERIFY2(m_book->data() == before, n.constData());
            QCOMPARE(m_book->undoStack().index(), steps);
            QVERIFY2(m_book->redo(), n.constData());
            QVERIFY2(m_book->data() == after, n.constData());
            QVERIFY2(*m_library->load(m_case) == after, n.constData());
            QVERIFY2(m_book->undo(), n.constData());
            QVERIFY2(*m_library->load(m_case) == before, n.constData());
            QCOMPARE(failed.count(), 3);
        }
    }
    // A drag of twenty steps of which the n-th fails: the others are one step, and taking it back gives what was there.
    void aFailedStepOfAGestureIsNotMerged() {
        fill();
        const Id take = m_book->data().takes.begin()->first;
        const MarkKey key{take, FrameIndex(1), "left_knee"};
        const CaseData before = m_book->data();
        const int steps = m_book->undoStack().index();
        for (int nth = 1; nth <= 20; ++nth) {
            for (int i = 1; i <= 20; ++i) {
                if (i == nth)
                    m_library->failForTests(1);
                QCOMPARE(m_book->setMark(key, at(100 + i), nth), i != nth);
            }
            QCOMPARE(m_book->undoStack().index(), steps + 1);
            QCOMPARE(m_book->data().marks.at(take).at("left_knee").at(FrameIndex(1)).at.x, nth == 20 ? 119.0 : 120.0);
            QVERIFY(m_book->undo());
            QVERIFY(m_book->data() == before);
        }
    }
    void mergingKeepsTheOldestBefore() {
        const MarkKey k{1, FrameIndex(1), "neck"}, other{1, FrameIndex(2), "neck"};
        const auto out =
            UndoStep::merged({MarkEdit{k, at(1), at(2)}},
                             {MarkEdit{other, {}, at(5)}, MarkEdit{k, at(2), at(3)}, MarkEdit{k, at(3), {}}});
        QCOMPARE(out.size(), std::size_t(2));
        const auto& first = std::get<MarkEdit>(out[0]);
        QVERIFY(first.before == std::optional(at(1)) && !first.after);
    }
    void differencesTurnOneCaseIntoTheOther() {
        fill();
        const CaseData full = m_book->data();
        CaseData none;
        none.id = full.id;
        none.blueprintId = full.blueprintId;
        for (const auto& [from, to] : {std::pair{none, full}, {full, none}, {full, full}}) {
            CaseData data = from;
            const auto edits = differences(from, to);
            QVERIFY(!mismatch(from, edits));
            for (const auto& e : edits)
                applyTo(data, e);
            QVERIFY(data == to);
        }
        QVERIFY(differences(full, full).empty());
    }
    // Another program changes the case while this one has it open.
    void whatAnotherProgramChangedIsTakenIn() {
        fill();
        const Id take = m_book->data().takes.begin()->first;
        QVERIFY(m_book->setMark({take, FrameIndex(1), "left_knee"}, at(50)));
        auto other = std::move(*Library::open(m_library->folder()));
        auto theirs = *other->load(m_case);
        const Mark now = theirs.marks.at(take).at("left_knee").at(FrameIndex(1));
        QVERIFY(other->apply(m_case, {MarkEdit{{take, FrameIndex(1), "left_knee"}, now, at(60)},
                                      MarkEdit{{take, FrameIndex(2), "neck"}, {}, at(70)}}));
        // Writing over it unseen is refused, and what is newer is shown at once.
        QSignalSpy failed(m_book.get(), &Casebook::failed), taken(m_book.get(), &Casebook::foreignTaken);
        QVERIFY(!m_book->setMark({take, FrameIndex(1), "left_knee"}, at(51)));
        QCOMPARE(failed.count(), 1);
        QCOMPARE(taken.count(), 1);
        QCOMPARE(m_book->data().marks.at(take).at("left_knee").at(FrameIndex(1)).at.x, 60.0);
        QCOMPARE(m_book->data().marks.at(take).at("neck").at(FrameIndex(2)).at.x, 70.0);
        // The step before would take their change back unseen: it says so and stays.
        const int index = m_book->undoStack().index();
        QVERIFY(!m_book->undo());
        QVERIFY(failed.last()[0].toString().contains("another program"));
        QCOMPARE(m_book->undoStack().index(), index);
        QVERIFY(m_book->setMark({take, FrameIndex(1), "left_knee"}, at(52))); // and now it is known
        // What this program writes itself is nothing foreign; what others wrote just before is not swallowed by it.
        QVERIFY(other->load(m_case).ok());
        QVERIFY(other->apply(m_case, {MarkEdit{{take, FrameIndex(3), "neck"}, {}, at(80)}}));
        QVERIFY(m_book->setMark({take, FrameIndex(4), "neck"}, at(81)));
        QVERIFY(m_book->takeInForeign());
        QCOMPARE(m_book->data().marks.at(take).at("neck").at(FrameIndex(3)).at.x, 80.0);
        QCOMPARE(taken.count(), 2);
        QVERIFY(m_book->takeInForeign());
        QCOMPARE(taken.count(), 2);
    }
    void aRemovedFilmIsGoneWhenTheCaseIsClosed() {
        QFile film(QString::fromStdString((m_library->media() / "a.mp4").string()));
        QVERIFY(film.open(QIODevice::WriteOnly));
        film.close();
        const Id take = m_book->addTake(someTake());
        QVERIFY(m_book->removeTake(take));
        QVERIFY(film.exists()); // the step may be taken back
        QVERIFY(m_book->undo());
        m_book.reset();
        QVERIFY(film.exists());
        m_book = std::move(
            *Casebook::open(m_library, m_case, *shippedBlueprint("fencing-lunge"), *dayFromIso("2026-11-23")));
        QVERIFY(m_book->removeTake(take));
        m_book.reset();
        QVERIFY(!film.exists());
    }
};

QTEST_GUILESS_MAIN(TestUndoStep)
#include "test_undo_step.moc"
