// One connection, its transactions, and rows with versions and sums.

#include "library/rows.h"

#include "library/database.h"
#include "tests/support/library_test.h"

#include <QTest>

#include <set>

using namespace riflesso;

class TestRows : public test::LibraryTest {
    Q_OBJECT
    std::filesystem::path file() const { return folder() / "library.sqlite"; }
private slots:
    void init() { m_dir = std::make_unique<QTemporaryDir>(); }

    void whatWasNotDoneIsUndone() {
        fresh();
        Database database(file());
        QVERIFY(database.connect());
        QVERIFY(database.run("CREATE TABLE t (a INTEGER)"));
        {
            Transaction open(database);
            QVERIFY(open.begun());
            QVERIFY(database.run("INSERT INTO t VALUES (1)"));
        }
        QCOMPARE(*database.number("SELECT count(*) FROM t"), qint64(0));
        {
            Transaction whole(database);
            QVERIFY(database.run("INSERT INTO t VALUES (2)"));
            QVERIFY(whole.done());
        }
        QCOMPARE(*database.number("SELECT a FROM t"), qint64(2));
        const auto wrong = database.run("INSERT INTO nowhere VALUES (1)");
        QVERIFY(!wrong && wrong.error().text().find("nowhere") != std::string::npos);
        QVERIFY(!database.number("SELECT a FROM t WHERE a = 9")); // no row is no number
    }
    void whoWritesAtTheSameTimeIsTold() {
        fresh();
        Database one(file()), other(file());
        QVERIFY(one.connect() && other.connect());
        QVERIFY(other.run("PRAGMA busy_timeout = 50")); // the usual three seconds are not waited for here
        const Transaction held(one);
        const Transaction wanted(other);
        QVERIFY(held.begun() && !wanted.begun());
        QVERIFY(wanted.begun().error().kind == ErrorKind::conflict);
    }
    void whatIsNoLibraryIsSaid() {
        QDir().mkpath(QString::fromStdString(folder().string()));
        QFile damaged(QString::fromStdString(file().string()));
        QVERIFY(damaged.open(QIODevice::WriteOnly));
        damaged.write(QByteArray(5000, 'x'));
        damaged.close();
        Database database(file());
        auto s = database.connect();
        if (s)
            s = database.run("CREATE TABLE t (a)");
        QVERIFY(!s && s.error().kind == ErrorKind::damaged);
    }
    // What the steps of a real old library lead to is test_library's.
    void theOlderTheMoreSteps() {
        for (int format = 1; format <= 5; ++format)
            QVERIFY(!stepsFrom(format).empty());
        QVERIFY(stepsFrom(6).empty());
        for (int format = 2; format <= 5; ++format)
            QVERIFY(stepsFrom(format).size() < stepsFrom(format - 1).size());
        Database database(":memory:");
        QVERIFY(database.connect());
        for (const char* statement : schema())
            QVERIFY2(database.run(statement), statement);
        QVERIFY(*database.number("SELECT count(*) FROM sqlite_master WHERE type = 'table'") > 8);
    }
    // FNV-1a of 64 bits; what "a" and "foobar" come to: the authors' test vectors (draft-eastlake-fnv, appendix).
    void sumsAreThePublishedOnes() {
        QCOMPARE(static_cast<quint64>(sumOf({})), quint64(0xcbf29ce484222325));
        for (const auto& [text, published] :
             {std::pair{"a", quint64(0xaf63dc4c8601ec8c)}, {"foobar", 0x85944171f73967e8}})
            QCOMPARE(static_cast<quint64>(sumOf({text})), (published ^ 0xffu) * 0x100000001b3u); // each part is closed
        std::set<qint64> all;
        for (int i = 0; i < 1000; ++i)
            all.insert(sumOf({QByteArray::number(i), "x"}));
        QCOMPARE(all.size(), std::size_t(1000));
        QVERIFY(sumOf({"ab", "c"}) != sumOf({"a", "bc"})); // where one part ends counts
    }
    void aRowKnowsItsVersion() {
        auto l = fresh();
        const Id id = *l->addCase("x", test::someBrief());
        const Id take = l->freshId();
        QVERIFY(l->apply(id, {TakeEdit{take, {}, test::someTake(take)}}));
        Database a(file()), b(file());
        QVERIFY(a.connect() && b.connect());
        Rows mine(a), theirs(b);
        const auto before = mine.load(id);
        QVERIFY(before && before->takes.contains(take));
        QVERIFY(theirs.load(id));
        Take changed = before->takes.at(take);
        changed.title = "mine";
        const auto write = [&](Database& database, Rows& rows, const Take& after) {
            Transaction t(database);
            Status s = rows.write(id, TakeEdit{take, before->takes.at(take), after});
            if (s)
                s = t.done();
            s ? rows.keep() : rows.forget();
            return s;
        };
        QVERIFY(write(a, mine, changed));
        changed.title = "theirs";
        const auto second = write(b, theirs, changed); // knows an older version of the row
        QVERIFY(!second && second.error().kind == ErrorKind::conflict);
        QCOMPARE(theirs.load(id)->takes.at(take).title, std::string("mine"));
        QVERIFY(write(b, theirs, changed)); // having read it
        QVERIFY(mine.check());
    }
    void aFlippedByteIsFound() {
        auto l = fresh();
        const Id id = *l->addCase("x", test::someBrief());
        const Id take = l->freshId();
        QVERIFY(l->apply(id, {TakeEdit{take, {}, test::someTake(take)}}));
        Database database(file());
        QVERIFY(database.connect());
        Rows rows(database);
        QVERIFY(rows.check());
        QVERIFY(database.run("UPDATE takes SET body = replace(body, '239.76', '239.77')"));
        QVERIFY(!rows.check());
        const auto read = rows.load(id);
        QVERIFY(!read && read.error().kind == ErrorKind::damaged);
    }
};

QTEST_GUILESS_MAIN(TestRows)
#include "test_rows.moc"
