#include "core/mirror/attention.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

class TestAttention : public QObject {
    Q_OBJECT
    Blueprint m_blueprint;
    TrackSet m_marks;
    Positions m_positions;

    static BlueprintMeasure angle(const char* id, const char* at, std::vector<std::string> points, double floor) {
        BlueprintMeasure m;
        m.definition.id = id;
        m.definition.at = at;
        for (const auto& p : points)
            m.definition.points.push_back({{p}});
        Target t;
        t.floor = floor;
        m.targets.push_back(t);
        return m;
    }
    Attention ask(std::map<std::string, Band> bands = {}) const {
        MotionOptions raw;
        raw.cutoff = CutoffNone{};
        const Motion motion = toMotion(m_marks, Timebase::constant(100, Hertz(120)), raw);
        AttentionInput in{m_blueprint, motion, m_marks, m_positions, {}};
        in.bands = std::move(bands);
        return worstFirst(in);
    }
private slots:
    void init() {
        m_blueprint = {};
        m_blueprint.measures = {angle("knee", "late", {"left_hip", "left_knee", "left_ankle"}, 6.0),
                                angle("elbow", "early", {"left_shoulder", "left_elbow", "left_wrist"}, 6.0)};
        m_positions = {{"early", {FrameIndex(20), 0.0001}}, {"late", {FrameIndex(60), 0.0001}}};
        m_marks.clear();
        const std::map<LandmarkName, Pixel> body = {{"left_hip", {300, 300}},   {"left_knee", {310, 400}},
                                                    {"left_ankle", {300, 500}}, {"left_shoulder", {300, 150}},
                                                    {"left_elbow", {360, 200}}, {"left_wrist", {430, 190}}};
        for (const auto& [name, at] : body)
            for (int f = 15; f < 70; ++f)
                m_marks[name][FrameIndex(f)] = {at, 1.5, How::tracked};
    }
    void contentWhenNothingWouldHelp() {
        const auto a = ask();
        QVERIFY(a.asks.empty() && a.open.empty());
    }
    // Not the largest σ: the one that the measures feel.
    void whatTheMeasuresFeelComesFirst() {
        m_marks["left_knee"][FrameIndex(60)].sigma = 5.2;
        m_marks["left_elbow"][FrameIndex(20)].sigma = 5.0; // a shorter limb: more degrees for less pixels
        m_marks["left_hip"][FrameIndex(40)].sigma = 30.0;  // no measure reads it there
        const auto a = ask();
        QCOMPARE(a.asks.size(), std::size_t(2));
        QCOMPARE(a.asks[0].frame.value, 20);
        QCOMPARE(a.asks[0].landmarks.front(), LandmarkName("left_elbow"));
        QCOMPARE(a.asks[0].measures.front(), std::string("elbow"));
        QCOMPARE(a.asks[1].frame.value, 60);
        QVERIFY(a.asks[0].gain > a.asks[1].gain && a.asks[1].gain > 0.0);
        QCOMPARE(a.open.size(), std::size_t(2));
        QVERIFY(a.beyondUs.empty());
        QCOMPARE(a.frames(), 2);
    }
    void decidedIsDecided() {
        m_marks["left_knee"][FrameIndex(60)].sigma = 6.0;
        // The knee stands at 168.6°: far inside a wide band, whatever the mark.
        QVERIFY(ask({{"knee", {100.0, 300.0, 100.0}}}).asks.empty());
        QVERIFY(ask({{"knee", {20.0, 60.0, 20.0}}}).asks.empty()); // far outside too
        QCOMPARE(ask({{"knee", {160.0, 176.0, 8.0}}}).asks.size(), std::size_t(1));
    }
    void handMarksAreNotAskedForAgain() {
        m_marks["left_knee"][FrameIndex(60)] = {{310, 400}, 6.0, How::hand};
        const auto a = ask();
        QVERIFY(a.asks.empty());
        QCOMPARE(a.beyondUs, std::vector<std::string>{"knee"}); // but it is said that nothing would decide it
    }
    void whatIsMissingComesFirstAndHiddenIsLeftAlone() {
        m_marks["left_elbow"][FrameIndex(20)].sigma = 5.0;
        m_marks["left_ankle"].erase(FrameIndex(60));
        auto a = ask();
        QCOMPARE(a.asks.front().frame.value, 60);
        QVERIFY(a.asks.front().missing);
        QCOMPARE(a.asks.front().landmarks.front(), LandmarkName("left_ankle"));
        m_marks["left_ankle"][FrameIndex(60)] = {{}, 0.0, How::hidden};
        a = ask();
        QCOMPARE(a.asks.size(), std::size_t(1));
        QCOMPARE(a.asks.front().frame.value, 20);
    }
    // Doing what is asked, one frame after the other, ends with nothing asked, as often as was said.
    void itKeepsItsWord() {
        for (const char* n : {"left_hip", "left_knee", "left_ankle", "left_elbow", "left_wrist"})
            for (auto& [frame, mark] : m_marks[n])
                mark.sigma = 5.0;
        auto a = ask();
        const int said = a.frames();
        int done = 0;
        while (!a.asks.empty() && done < 20) {
            for (const auto& name : a.asks.front().landmarks)
                m_marks[name][a.asks.front().frame] = {m_marks[name][a.asks.front().frame].at, 1.5, How::hand};
            a = ask();
            ++done;
        }
        QCOMPARE(done, said);
    }
};
QTEST_APPLESS_MAIN(TestAttention)
#include "test_attention.moc"
