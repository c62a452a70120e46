#include "library/tracks_csv.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

namespace {
const std::string kHeader = "time_s,frame,landmark,x_px,y_px,sigma_px,how\n";
std::string error(const std::string& rows) {
    const auto r = tracksFromCsv(kHeader + rows, "t.csv");
    return r ? "no error" : r.error().text();
}
} // namespace

class TestTracksCsv : public QObject {
    Q_OBJECT
private slots:
    void goesBothWays() {
        TrackSet tracks;
        tracks["left_knee"][FrameIndex(0)] = {{1.5, 2.25}, 0.8, How::hand};
        tracks["left_knee"][FrameIndex(1)] = {{3, 4}, 1.2, How::tracked};
        tracks["foil_tip"][FrameIndex(1)] = {{-5, 1000.125}, 3, How::proxy};
        const auto back = tracksFromCsv(tracksToCsv(tracks, {0.0, 1.0 / 30}), "t.csv");
        QVERIFY2(back.ok(), back ? "" : back.error().text().c_str());
        QVERIFY(back->tracks == tracks);
        QCOMPARE(back->times.size(), std::size_t(2));
        QVERIFY(std::abs(back->times[1] - 1.0 / 30) < 1e-8);
    }
    void optionalColumnsAndOrder() {
        const auto r =
            tracksFromCsv("landmark,frame,time_s,y_px,x_px\r\nhead,0,0,20,10\r\nhead,1,0.1,21,11\r\n\r\n", "t.csv");
        QVERIFY(r.ok());
        const Mark& m = r->tracks.at("head").at(FrameIndex(1));
        QCOMPARE(m.at, (Pixel{11, 21}));
        QCOMPARE(m.sigma, kAssumedHandSigma);
        QVERIFY(m.how == How::hand);
        QVERIFY(tracksFromCsv("\xEF\xBB\xBF" + kHeader + "0,0,head,1,1,,\n", "t.csv").ok());
    }
    void framesThatNoRowNames() {
        const auto r = tracksFromCsv(kHeader + "0.2,2,head,1,1,1,hand\n0.5,5,head,1,1,1,hand\n", "t.csv");
        QVERIFY(r.ok());
        for (std::size_t i = 0; i < 6; ++i)
            QVERIFY(std::abs(r->times[i] - 0.1 * double(i)) < 1e-12);
    }
    void errorsNameTheirPlace_data() {
        QTest::addColumn<QString>("rows");
        QTest::addColumn<QString>("says");
        QTest::newRow("nan") << "0,0,head,nan,1,1,hand\n"
                             << "line 2: x_px must be a number";
        QTest::newRow("inf") << "0,0,head,1,inf,1,hand\n"
                             << "y_px must be a number";
        QTest::newRow("word") << "0,0,head,1,abc,1,hand\n"
                              << "not “abc”";
        QTest::newRow("landmark") << "0,0,head,1,1,1,hand\n0,0,left_nose,1,1,1,hand\n"
                                  << "line 3: “left_nose” is no landmark";
        QTest::newRow("sigma") << "0,0,head,1,1,-1,hand\n"
                               << "sigma_px";
        QTest::newRow("how") << "0,0,head,1,1,1,guessed\n"
                             << "not “guessed”";
        QTest::newRow("frame") << "0,1.5,head,1,1,1,hand\n"
                               << "frame must be a whole number";
        QTest::newRow("negative frame") << "0,-1,head,1,1,1,hand\n"
                                        << "from 0 on";
        QTest::newRow("huge frame") << "0,99999999999,head,1,1,1,hand\n"
                                    << "frame must be";
        QTest::newRow("missing") << "0,0,head,1\n"
                                 << "the field y_px is missing";
        QTest::newRow("double") << "0,0,head,1,1,1,hand\n0,0,head,2,2,1,hand\n"
                                << "line 3: head stands twice on frame 0";
        QTest::newRow("two times") << "0,0,head,1,1,1,hand\n0.1,0,neck,2,2,1,hand\n"
                                   << "two different times";
        QTest::newRow("backwards") << "0.2,0,head,1,1,1,hand\n0.1,1,head,2,2,1,hand\n"
                                   << "frame 1 is not later";
    }
    void errorsNameTheirPlace() {
        QFETCH(QString, rows);
        QFETCH(QString, says);
        const std::string text = error(rows.toStdString());
        QVERIFY2(text.find(says.toStdString()) != std::string::npos, text.c_str());
        QVERIFY(text.find("t.csv") != std::string::npos);
        QVERIFY(text.find("nothing was taken over") != std::string::npos);
    }
    void headersAreChecked() {
        QVERIFY(tracksFromCsv("", "t.csv").error().what.find("empty") != std::string::npos);
        QVERIFY(
            tracksFromCsv("time_s,frame,landmark,x_px\n0,0,head,1\n", "t.csv").error().what.find("y_px is missing") !=
            std::string::npos);
        QVERIFY(tracksFromCsv("time_s,frame,landmark,x_m,y_m\n0,0,head,1,1\n", "t.csv").error().what.find("x_px") !=
                std::string::npos); // wrong unit
        QVERIFY(tracksFromCsv(kHeader, "t.csv").error().what.find("no marks") != std::string::npos);
    }
};
QTEST_GUILESS_MAIN(TestTracksCsv)
#include "test_tracks_csv.moc"
