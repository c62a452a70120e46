#include "casebook/analysts.h"
#include "casebook/repeat.h"
#include "casebook/shipped.h"

#include <QTest>

#include <algorithm>
#include <random>
#include <set>

using namespace riflesso;

class TestRepeat : public QObject {
    Q_OBJECT
    CaseData m_data;
    Blueprint m_blueprint;
private slots:
    void initTestCase() {
        m_blueprint = *shippedBlueprint("fencing-lunge");
        Take t;
        t.id = 1;
        t.facing = Facing::left;
        for (int f = 0; f < 200; ++f)
            t.times.push_back(f / 30.0);
        m_data.takes[1] = t;
        // Knees that bend from frame to frame, marked by hand on every fifth frame, carried between.
        for (int f = 0; f < 200; ++f)
            for (const auto& [name, x, y] : {std::tuple{"right_hip", 300.0, 200.0},
                                             {"right_knee", 300.0 + 0.3 * f, 300.0},
                                             {"right_ankle", 300.0, 400.0},
                                             {"left_hip", 320.0, 200.0},
                                             {"neck", 300.0, 90.0}})
                m_data.marks[1][name][FrameIndex(f)] = {{x, y}, 1.5, f % 5 ? How::tracked : How::hand};
    }
    void framesAreHiddenAmongOthers() {
        const auto r = planRepeat(m_data, m_blueprint, 1, "A. Nother", *dayFromIso("2026-11-23"), 4);
        QVERIFY(r.ok());
        QCOMPARE(r->frames.size(), std::size_t(14));
        QCOMPARE(std::count_if(r->frames.begin(), r->frames.end(), [](FrameIndex f) { return f.value % 5 == 0; }), 10);
        std::set<FrameIndex> once(r->frames.begin(), r->frames.end());
        QCOMPARE(once.size(), r->frames.size());
        QVERIFY(!std::is_sorted(r->frames.begin(), r->frames.end()));
        QVERIFY(planRepeat(m_data, m_blueprint, 1, {}, {}, 5)->frames != r->frames);
        QVERIFY(planRepeat(m_data, m_blueprint, 1, {}, {}, 4)->frames == r->frames);
        QVERIFY(r->marks.empty() && openAt(*r, r->frames[0]) == r->landmarks);
        CaseData nothing = m_data;
        nothing.marks.clear();
        QVERIFY(!planRepeat(nothing, m_blueprint, 1, {}, {}, 4));
        QVERIFY(!planRepeat(m_data, m_blueprint, 9, {}, {}, 4));
    }
    void oneGoesOnWhereOneStopped() {
        RepeatMarking r;
        r.frames = {FrameIndex(7), FrameIndex(3)};
        r.landmarks = {"neck", "left_hip"};
        QCOMPARE(nextOpenFrame(r)->value, 7);
        r.marks = {{FrameIndex(7), "neck", {}}, {FrameIndex(7), "left_hip", {}}};
        QCOMPARE(nextOpenFrame(r)->value, 3);
        QCOMPARE(openAt(r, FrameIndex(3)).size(), std::size_t(2));
        r.marks.push_back({FrameIndex(3), "neck", {}});
        QCOMPARE(openAt(r, FrameIndex(3)), std::vector<LandmarkName>{"left_hip"});
        r.marks.push_back({FrameIndex(3), "left_hip", {}});
        QVERIFY(!nextOpenFrame(r));
    }
    void measureByMeasure() {
        RepeatMarking r;
        std::mt19937 random(8);
        std::normal_distribution<double> e(0.0, 1.0);
        for (int f = 0; f < 200; f += 10)
            for (const char* n : {"right_hip", "right_knee", "right_ankle"}) {
                const Pixel p = m_data.marks[1][n][FrameIndex(f)].at;
                r.marks.push_back({FrameIndex(f), n, {p.x + e(random), p.y + e(random)}});
            }
        const auto all = agreementByMeasure(m_blueprint, m_data.takes[1], m_data.marks[1], againOf(r));
        const auto knee =
            std::find_if(all.begin(), all.end(), [](const MeasureAgreement& a) { return a.measure == "guard_knee"; });
        QVERIFY(knee != all.end() && knee->frames == 20 && knee->reliability && knee->limits);
        QVERIFY(knee->reliability->icc21.value > 0.98);
        // 1 px on limbs of 100 px is about 1.4 degrees of difference; SEM is that over √2.
        QVERIFY(knee->reliability->sem > 0.4 && knee->reliability->sem < 1.7);
        QVERIFY(knee->unit == "°" || !knee->unit.empty());
        const auto elbow =
            std::find_if(all.begin(), all.end(), [](const MeasureAgreement& a) { return a.measure == "guard_elbow"; });
        QVERIFY(elbow != all.end() && elbow->frames == 0 && !elbow->reliability && !elbow->why.empty());
    }
    // Ben sets the knee five pixels further forward than Anna does: known from Anna's film, taken off Ben's.
    void twoAnalysts() {
        CaseData data = m_data;
        data.takes[1].markedBy = "Anna";
        Take bens = data.takes[1];
        bens.id = 2;
        bens.markedBy = "Ben";
        data.takes[2] = bens;
        const auto leaning = [&](double forward, Id take, const char* by) {
            RepeatMarking r;
            r.id = 7;
            r.take = take;
            r.analyst = by;
            for (int f = 0; f < 200; f += 10)
                for (const char* n : {"right_hip", "right_knee", "right_ankle"}) {
                    const Pixel p = m_data.marks[1][n][FrameIndex(f)].at;
                    r.marks.push_back({FrameIndex(f), n, {p.x + (n[6] == 'k' ? forward : 0.0), p.y}});
                }
            return r;
        };
        QVERIFY(!differenceOf(data, m_blueprint, "guard_knee", "Anna", "Ben"));
        MeasuredRep rep;
        MeasureValue v;
        v.measure = "guard_knee";
        v.value = 150.0;
        v.u = 1.0;
        rep.values = {v};
        data.repeats[7] = leaning(5.0, 1, "Ben");
        const auto known = differenceOf(data, m_blueprint, "guard_knee", "Anna", "Ben");
        QVERIFY(known && known->n == 20 && std::abs(known->more) > 1.0);
        const auto back = differenceOf(data, m_blueprint, "guard_knee", "Ben", "Anna");
        QVERIFY(back && std::abs(back->more + known->more) < 1e-9 && back->u == known->u);
        const auto read = asReadBy(*known, "guard_knee", rep);
        QVERIFY(std::abs(read.values[0].value - (150.0 - known->more)) < 1e-9);
        QVERIFY(read.values[0].u >= 1.0 && read.values[0].uShared >= known->u - 1e-12);
        QCOMPARE(asReadBy(*known, "land_trunk", rep).values[0].value, 150.0);
        // What has no value on a frame cannot be told.
        QVERIFY(!differenceOf(data, m_blueprint, "lunge_time", "Anna", "Ben"));
        // Another analyst is another set-up, so that no shared error is thought to cancel.
        QVERIFY(setupName(data, data.takes[1]) != setupName(data, data.takes[2]));
        QCOMPARE(setupName(data, data.takes[2]), setupName(data, bens));
    }
};
QTEST_APPLESS_MAIN(TestRepeat)
#include "test_repeat.moc"
