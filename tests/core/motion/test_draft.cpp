// Drafts: sides put right, nonsense frames left out, honest teaching (against kriging worked by hand), joining.

#include "core/motion/draft.h"
#include "core/motion/draft_error.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {

// A body that walks to the right, its legs and arms swinging against one another.
FoundFrame walker(int i) {
    FoundFrame f;
    f.height = 400.0;
    f.presence = 1.0;
    const double x = 200.0 + 4.0 * i, swing = 60.0 * std::sin(0.15 * i);
    const auto put = [&](const LandmarkName& name, double dx, double y) {
        f.points[name] = {{x + dx, y}, {0.0, 0.0}, 0.99, 1.0};
    };
    put("head", 0, 100);
    put("neck", 0, 150);
    for (const double side : {-1.0, 1.0}) {
        const std::string s = side < 0 ? "left_" : "right_";
        put(s + "shoulder", 4 * side, 160);
        put(s + "elbow", -0.5 * side * swing, 210);
        put(s + "wrist", -side * swing, 250);
        put(s + "hand", -1.1 * side * swing, 262);
        put(s + "hip", 5 * side, 290);
        put(s + "knee", 0.6 * side * swing, 380);
        put(s + "ankle", side * swing, 470);
        put(s + "heel", side * swing - 10, 480);
        put(s + "toe", side * swing + 25, 484);
    }
    return f;
}

FoundFrames walk(int frames) {
    FoundFrames out;
    for (int i = 0; i < frames; ++i)
        out[FrameIndex(i)] = walker(i);
    return out;
}

void swapLegs(FoundFrame& f) {
    for (const char* part : {"knee", "ankle", "heel", "toe"})
        std::swap(f.points.at(std::string("left_") + part), f.points.at(std::string("right_") + part));
}

} // namespace

class TestDraft : public QObject {
    Q_OBJECT
private slots:
    void sidesArePutRight() {
        const FoundFrames truth = walk(80);
        FoundFrames mixed = truth;
        for (int i : {10, 11, 12, 30, 31, 52})
            swapLegs(mixed.at(FrameIndex(i)));
        QVERIFY(mixed != truth);
        QCOMPARE(untangled(mixed), truth);
        QCOMPARE(untangled(truth), truth);
        QVERIFY(untangled({}).empty());
    }
    // Where the passes disagree the one that fits its neighbours is believed, not their mean.
    void thePassThatFits() {
        const FoundFrames truth = walk(40);
        FoundFrames mixed = truth;
        for (int i : {20, 21}) {
            FoundPoint& p = mixed.at(FrameIndex(i)).points.at("right_wrist");
            p.at.x += 60.0; // the first pass is right, the second is 120 px off
            p.apart = {-60.0, 0.0};
        }
        const auto out = untangled(mixed);
        for (int i : {20, 21})
            QVERIFY(std::abs(out.at(FrameIndex(i)).points.at("right_wrist").at.x -
                             truth.at(FrameIndex(i)).points.at("right_wrist").at.x) < 0.01);
    }
    // A limb that is nowhere is left out on that frame; a swap behind it is still noticed.
    void nonsenseIsLeftOut() {
        const FoundFrames truth = walk(60);
        FoundFrames mixed = truth;
        for (auto* name : {"left_knee", "left_ankle", "left_heel", "left_toe", "right_knee", "right_ankle",
                           "right_heel", "right_toe"})
            mixed.at(FrameIndex(25)).points.at(name).at = {900.0 + 7.0 * name[6], 80.0};
        for (int i = 26; i < 34; ++i)
            swapLegs(mixed.at(FrameIndex(i)));
        const auto out = untangled(mixed);
        QVERIFY(!out.at(FrameIndex(25)).points.contains("left_ankle"));
        QVERIFY(out.at(FrameIndex(25)).points.contains("left_wrist"));
        QCOMPARE(out.at(FrameIndex(30)), truth.at(FrameIndex(30)));
    }
    void somebodyElseIsNoticed() {
        FoundFrames frames = walk(60);
        QVERIFY(!somebodyElseFrom(frames, FrameIndex(0), 1));
        for (int i = 0; i < 60; ++i) // a turning body's colours change slowly
            frames.at(FrameIndex(i)).likeness = 1.0 - 0.006 * i;
        QVERIFY(!somebodyElseFrom(frames, FrameIndex(0), 1));
        frames.at(FrameIndex(30)).likeness = 0.1; // one frame is no other body
        QVERIFY(!somebodyElseFrom(frames, FrameIndex(0), 1));
        for (int i = 40; i < 60; ++i)
            frames.at(FrameIndex(i)).likeness = 0.2;
        const auto from = somebodyElseFrom(frames, FrameIndex(0), 1);
        QVERIFY(from.has_value());
        QCOMPARE(from->value, 40);
        for (int i = 0; i < 20; ++i)
            frames.at(FrameIndex(i)).height = 200.0;
        const auto back = somebodyElseFrom(frames, FrameIndex(39), -1);
        QVERIFY(back.has_value());
        QCOMPARE(back->value, 19);
    }
    void sigmaGrowsWithDoubt() {
        const FoundPoint sure{{0, 0}, {0, 0}, 1.0, 0.0};
        const double least = foundSigma("left_knee", sure, 400.0);
        QVERIFY(least > 2.0 && least < 12.0);
        QVERIFY(foundSigma("left_knee", {{0, 0}, {10, 0}, 1.0, 0.0}, 400.0) > 1.3 * least);
        QVERIFY(foundSigma("left_knee", {{0, 0}, {0, 0}, 1.0, 15.0}, 400.0) > 1.3 * least);
        QVERIFY(foundSigma("left_knee", {{0, 0}, {0, 0}, 0.1, 0.0}, 400.0) > 1.3 * least);
        QVERIFY(foundSigma("left_knee", sure, 400.0, {30.0}) > 1.3 * least);
        QVERIFY(foundSigma("left_knee", sure, 400.0, {0.0, 0.9}) > 1.3 * least);
        QVERIFY(foundSigma("left_knee", sure, 400.0, {0.0, 0.0, 5.0}) > 1.3 * least);
        QVERIFY(std::abs(foundSigma("right_knee", sure, 800.0) - 2.0 * least) < 1e-9);
        const auto marks = draftMarks(walk(30));
        QCOMPARE(marks.size(), std::size_t(20));
        QCOMPARE(marks.at("head").at(FrameIndex(3)).how, How::found);
    }
    // However much is taught round a frame, what changes from frame to frame stays, and little more.
    void lessonsLeaveTheJitter() {
        static_assert(kDraftConstant > 0 && kDraftPose > 0 && kDraftSlow > 0 && kDraftJitter > 0);
        static_assert(kDraftInCommon < 1.0 - kDraftJitter);
        Track draft, hands;
        for (int i = 0; i < 100; ++i) {
            draft[FrameIndex(i)] = {{100.0 + i, 50.0}, 10.0, How::found};
            if (i != 50)
                hands[FrameIndex(i)] = {{100.0 + i, 50.0}, 1e-3, How::hand};
        }
        const double sigma = taught(draft, hands, 0.01).at(FrameIndex(50)).sigma;
        const double surer = (2.0 * 6.0) / (2.0 * 6.0 + 2.0 * 99); // 99 lessons found nothing amiss
        const double left = sigma * sigma / (100.0 * surer);
        QVERIFY2(left > kDraftJitter && left < 2.0 * kDraftJitter, qPrintable(QString::number(left)));
    }
    // One hand mark, worked by hand (Rasmussen & Williams 2006, eq. 2.23-2.24 with one observation): the mean is
    // k·z/(k0 + noise), the variance 1 − k²/(k0 + noise), in units of the draft's.
    void oneHandMarkTeaches() {
        Track draft;
        for (int i = 0; i < 200; ++i)
            draft[FrameIndex(i)] = {{100.0 + i, 50.0}, 10.0, How::found};
        Track hands;
        hands[FrameIndex(50)] = {{156.0, 47.0}, 2.0, How::hand}; // 6 px right, 3 px up
        const double period = 0.01;
        const Track out = taught(draft, hands, period);
        const double noise = 0.04, at = 1.0 + noise;
        for (int f : {50, 60, 199}) {
            const double k = 0.50 + 0.46 * std::exp(-std::abs(f - 50) * period / 0.35);
            const Mark& m = out.at(FrameIndex(f));
            QVERIFY(std::abs(m.at.x - (100.0 + f + 6.0 * k / at)) < 1e-9);
            QVERIFY(std::abs(m.at.y - (50.0 - 3.0 * k / at)) < 1e-9);
            const double scale2 = (2.0 * 6.0 + 0.45 / at) / (2.0 * 6.0 + 2.0);
            QVERIFY(std::abs(m.sigma - 10.0 * std::sqrt(scale2 * (1.0 - k * k / at))) < 1e-9);
            QCOMPARE(m.how, How::found);
        }
        QVERIFY(out.at(FrameIndex(50)).sigma < out.at(FrameIndex(199)).sigma);
        QCOMPARE(taught(draft, {}, period), draft);
    }
    // Errors of the kind that is assumed: what is taught is nearer, and sigma stays honest.
    void teachingIsHonest() {
        std::mt19937 random(3);
        std::normal_distribution<double> normal(0.0, 1.0);
        double z = 0.0, before = 0.0, after = 0.0;
        int n = 0;
        for (int round = 0; round < 200; ++round) {
            const double period = 1.0 / 120.0, keep = std::exp(-period / 0.35);
            Track draft, hands;
            double constant[2], slow[2];
            for (int a : {0, 1}) {
                constant[a] = std::sqrt(0.50) * normal(random);
                slow[a] = std::sqrt(0.46) * normal(random);
            }
            for (int i = 0; i < 240; ++i) {
                double e[2];
                for (int a : {0, 1}) {
                    slow[a] = keep * slow[a] + std::sqrt(0.46 * (1.0 - keep * keep)) * normal(random);
                    e[a] = 10.0 * (constant[a] + slow[a] + std::sqrt(0.04) * normal(random));
                }
                draft[FrameIndex(i)] = {{e[0], e[1]}, 10.0, How::found}; // the truth is at the origin
                if (i % 60 == 30)
                    hands[FrameIndex(i)] = {{1.5 * normal(random), 1.5 * normal(random)}, 1.5, How::hand};
            }
            for (const auto& [frame, m] : taught(draft, hands, period)) {
                if (hands.contains(frame))
                    continue;
                z += (m.at.x * m.at.x + m.at.y * m.at.y) / (2.0 * m.sigma * m.sigma);
                after += m.at.x * m.at.x + m.at.y * m.at.y;
                before += std::pow(draft.at(frame).at.x, 2) + std::pow(draft.at(frame).at.y, 2);
                ++n;
            }
        }
        const double normalised = std::sqrt(z / n);
        QVERIFY2(normalised > 0.95 && normalised < 1.05, qPrintable(QString::number(normalised)));
        QVERIFY(after < 0.45 * before);
    }
    // Where the body looks alike it errs alike: a mark of one stride teaches the same moment of the next.
    void alikePosesTeachOneAnother() {
        const FoundFrames frames = walk(126); // a stride is 2π/0.15 ≈ 42 frames
        const TrackSet drafts = draftMarks(frames);
        const Poses poses(drafts);
        QVERIFY(*poses.distance(FrameIndex(10), FrameIndex(52)) < 0.02);
        QVERIFY(*poses.distance(FrameIndex(10), FrameIndex(31)) > 0.10);
        QVERIFY(!poses.distance(FrameIndex(10), FrameIndex(500)));
        Track hands;
        hands[FrameIndex(10)] = {drafts.at("left_ankle").at(FrameIndex(10)).at, 1.0, How::hand};
        hands[FrameIndex(10)].at.x += 8.0;
        const Track out = taught(drafts.at("left_ankle"), hands, 1.0 / 30.0, poses);
        QVERIFY(out.at(FrameIndex(94)).sigma < 0.9 * out.at(FrameIndex(31 + 42)).sigma);
    }
    void joinedByTheirErrors() {
        Track draft, carried, hands;
        for (int i = 0; i < 6; ++i)
            draft[FrameIndex(i)] = {{10.0, 0.0}, 4.0, How::found};
        carried[FrameIndex(1)] = {{13.0, 0.0}, 4.0, How::tracked}; // as sure: the middle
        carried[FrameIndex(2)] = {{13.0, 0.0}, 1.0, How::tracked}; // surer by far: as it is
        carried[FrameIndex(8)] = {{99.0, 0.0}, 2.0, How::tracked}; // no draft there
        hands[FrameIndex(3)] = {{1.0, 1.0}, 1.5, How::hand};
        hands[FrameIndex(4)] = {{0.0, 0.0}, 0.0, How::hidden};
        const Track out = fused(draft, carried, hands);
        QCOMPARE(out.at(FrameIndex(0)), draft.at(FrameIndex(0)));
        QVERIFY(std::abs(out.at(FrameIndex(1)).at.x - 11.5) < 1e-9);
        QVERIFY(std::abs(out.at(FrameIndex(1)).sigma - 4.0 / std::sqrt(2.0)) < 1e-9);
        QCOMPARE(out.at(FrameIndex(1)).how, How::found);
        QCOMPARE(out.at(FrameIndex(2)), carried.at(FrameIndex(2)));
        QVERIFY(!out.contains(FrameIndex(3)) && !out.contains(FrameIndex(4)));
        QCOMPARE(out.at(FrameIndex(8)), carried.at(FrameIndex(8)));
        TrackSet marks;
        marks["head"] = hands;
        const TrackSet all = joined({{"head", draft}, {"neck", draft}}, {{"head", carried}}, marks, 0.01, {"head"});
        QVERIFY(all.contains("head") && !all.contains("neck"));
        QVERIFY(!all.at("head").contains(FrameIndex(3)));
    }
    void severalPeople() {
        TrackSet tracks;
        for (const char* name : {"left_knee", "other_left_knee", "foil_tip", "ball"})
            tracks[name][FrameIndex(0)] = {{1.0, 2.0}, 1.0, How::hand};
        tracks["other_left_knee"][FrameIndex(0)].at.x = 9.0;
        tracks["other2_left_knee"] = {};
        const TrackSet first = ofPerson(tracks, 0), second = ofPerson(tracks, 1);
        QVERIFY(first.size() == 1 && first.at("left_knee").begin()->second.at.x == 1.0);
        QVERIFY(second.size() == 1 && second.at("left_knee").begin()->second.at.x == 9.0);
        QVERIFY(ofPerson(tracks, 2).contains("left_knee") && asPerson(second, 2).contains("other2_left_knee"));
        QVERIFY(asPerson(second, 1).contains("other_left_knee") && asPerson(second, 0) == second);
    }
};
QTEST_GUILESS_MAIN(TestDraft)
#include "test_draft.moc"
