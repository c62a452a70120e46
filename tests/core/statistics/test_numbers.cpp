#include "core/statistics/numbers.h"

#include <QTest>

#include <clocale>
#include <cmath>
#include <cstdio>
#include <limits>

using namespace riflesso;

class TestNumbers : public QObject {
    Q_OBJECT
private slots:
    // Against the C library under the C locale.
    void writtenAsPrintfDoes() {
        const std::string was = std::setlocale(LC_NUMERIC, nullptr);
        std::setlocale(LC_NUMERIC, "C");
        char text[400];
        for (const double v : {0.0, -0.0, 1.5, -2.345, 0.0005, 1e-9, 123456.789, 1e21, -1e300}) {
            for (int digits = 0; digits < 7; ++digits) {
                std::snprintf(text, sizeof text, "%.*f", digits, v);
                QCOMPARE(fixed(v, digits), std::string(text));
                std::snprintf(text, sizeof text, "%.*g", digits + 1, v);
                QCOMPARE(general(v, digits + 1), std::string(text));
            }
        }
        std::setlocale(LC_NUMERIC, was.c_str());
    }
    void aCommaLocaleChangesNothing() {
        const std::string was = std::setlocale(LC_NUMERIC, nullptr);
        if (!std::setlocale(LC_NUMERIC, "de_DE.UTF-8"))
            QFAIL("the locale de_DE.UTF-8 is missing: packaging/make-locale.sh makes it");
        char text[16];
        std::snprintf(text, sizeof text, "%.1f", 1.5);
        QCOMPARE(std::string(text), std::string("1,5")); // or this test could not fail
        QCOMPARE(fixed(1.5, 1), std::string("1.5"));
        QCOMPARE(general(0.25, 3), std::string("0.25"));
        QCOMPARE(numberFrom("119.88").value(), 119.88);
        QVERIFY(!numberFrom("119,88"));
        std::setlocale(LC_NUMERIC, was.c_str());
    }
    void onlyWholeFiniteNumbersAreRead() {
        QCOMPARE(numberFrom(" +1.5e3\r").value(), 1500.0);
        QCOMPARE(numberFrom("-0").value(), 0.0);
        for (const char* bad : {"", " ", "1.5x", "nan", "inf", "-inf", "1e999", "+-1", "++1", "1 2", "0x10"})
            QVERIFY2(!numberFrom(bad), bad);
    }
};

QTEST_GUILESS_MAIN(TestNumbers)
#include "test_numbers.moc"
