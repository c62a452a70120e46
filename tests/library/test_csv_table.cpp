// Tables from anywhere: what is read, and what is refused in words that name the line.

#include "library/csv_table.h"

#include <QTest>

using namespace riflesso;

namespace {
std::string wrong(const std::string& text, const std::vector<std::string>& needed = {"a", "b"}) {
    const auto table = tableFromCsv(text, "some.csv", needed);
    return table ? std::string() : table.error().text();
}
bool says(const std::string& words, const char* what) {
    return words.find(what) != std::string::npos;
}
} // namespace

class TestCsvTable : public QObject {
    Q_OBJECT
private slots:
    void cells() {
        using Cells = std::vector<std::string_view>;
        QVERIFY((csvCells("a,b,,c") == Cells{"a", "b", "", "c"}));
        QVERIFY((csvCells(" a , \"b, and more\" ,c ") == Cells{"a", "b, and more", "c"}));
        QVERIFY((csvCells("") == Cells{""}));
        QVERIFY((csvCells("a,") == Cells{"a", ""}));
        QVERIFY((csvCells("\"open, never closed") == Cells{"open, never closed"}));
    }
    void whatIsRead() {
        // A mark at the beginning, Windows' line ends, an empty line, columns in any order, one more than asked for.
        const auto table = tableFromCsv("\xEF\xBB\xBF"
                                        "b,c,a\r\n1,x,2.5\r\n\r\n-3e2,,0\r\n",
                                        "some.csv", {"a", "b"});
        QVERIFY2(table.ok(), table ? "" : table.error().text().c_str());
        QCOMPARE(table->rows.size(), std::size_t(2));
        QCOMPARE(*table->number(0, "a"), 2.5);
        QCOMPARE(*table->number(1, "b"), -300.0);
        QCOMPARE(table->cell(0, "c"), std::string("x"));
        QCOMPARE(table->cell(1, "c"), std::string());
        QCOMPARE(table->cell(0, "no such column"), std::string());
        QVERIFY(!table->column("d") && *table->column("c") == 1);
        // A row that ends early lacks only what nobody needs.
        QVERIFY(tableFromCsv("a,b,c\n1,2\n", "some.csv", {"a", "b"}).ok());
    }
    void whatIsRefused() {
        QVERIFY(says(wrong(""), "some.csv: the file is empty"));
        QVERIFY(says(wrong("\n\n"), "empty"));
        QVERIFY(says(wrong("a,b\n"), "no rows"));
        QVERIFY(says(wrong("a,c\n1,2\n"), "the column b is missing"));
        QVERIFY(says(wrong("a,b\n1,2\n3,\n"), "line 3: the field b is missing"));
        QVERIFY(says(wrong("a,b\n1,2,3\n"), "line 2: the row has more fields"));
        const auto table = tableFromCsv("a,b\n1,2\n\nhigh,2\n", "some.csv", {"a", "b"});
        QVERIFY(table.ok());
        const auto number = table->number(1, "a");
        QVERIFY(!number && says(number.error().text(), "line 4: a must be a number, not “high”"));
        for (const char* none : {"nan", "inf", "1,5", "0x10", "1 2"})
            QVERIFY(!tableFromCsv("a\n\"" + std::string(none) + "\"\n", "x", {"a"})->number(0, "a"));
        // Not text at all: refused or read, never more.
        std::string bytes;
        for (int i = 0; i < 4096; ++i)
            bytes += static_cast<char>((i * 131 + 7) % 256);
        QVERIFY(!wrong(bytes).empty());
    }
};

QTEST_APPLESS_MAIN(TestCsvTable)
#include "test_csv_table.moc"
