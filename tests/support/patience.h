#pragma once

#include <QTest>

// How long a test waits for what has to come: Qt's own five seconds are too few on a machine four times slower.
// Included by every test that uses these two.

namespace riflesso::test {
inline constexpr int kPatience = 900000; // milliseconds
} // namespace riflesso::test

#undef QTRY_VERIFY
#undef QTRY_COMPARE
#define QTRY_VERIFY(expression) QTRY_VERIFY_WITH_TIMEOUT(expression, riflesso::test::kPatience)
#define QTRY_COMPARE(computed, expected) QTRY_COMPARE_WITH_TIMEOUT(computed, expected, riflesso::test::kPatience)
