#include "handover/captions.h"

#include <QTest>

using namespace riflesso;

class TestCaptions : public QObject {
    Q_OBJECT
private slots:
    void asTheStandardWritesThem() {
        // W3C WebVTT, section 1.1: the header, an empty line, cues with hh:mm:ss.ttt.
        QCOMPARE(webVtt({{0.0, 2.5, "The foot first"}, {3661.25, 3662.0, "Later"}}),
                 std::string("WEBVTT\n\n1\n00:00:00.000 --> 00:00:02.500\nThe foot first\n\n"
                             "2\n01:01:01.250 --> 01:01:02.000\nLater\n"));
    }
    void nothingInTheWordsHasAMeaning() {
        const std::string text = webVtt({{0, 1, "a --> b\n\n<b>&\r\nNOTE"}});
        QVERIFY(text.find("a --&gt; b") != std::string::npos);
        QVERIFY(text.find("&lt;b&gt;&amp;") != std::string::npos);
        QCOMPARE(std::count(text.begin(), text.end(), '\n'), 5); // no line more than a cue has
    }
    void whatCannotBeShownIsLeftOut() {
        QCOMPARE(webVtt({{0, 1, "  "}, {2, 2, "no time"}, {-1, 1, "before"}, {3, 1, "backwards"}}),
                 std::string("WEBVTT\n"));
        QVERIFY(webVtt({{0, 1, ""}, {1, 2, "one"}}).find("\n1\n") != std::string::npos); // numbered without gaps
    }
};
QTEST_GUILESS_MAIN(TestCaptions)
#include "test_captions.moc"
