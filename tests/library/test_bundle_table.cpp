// The table of a bundle as values, without a zip.

#include "library/bundle_table.h"

#include "tests/support/library_test.h"

#include <QTest>

using namespace riflesso;
using nlohmann::json;

namespace {

CaseData someCase() {
    CaseData data;
    data.id = 40;
    data.blueprintId = "fencing-lunge";
    data.brief = test::someBrief();
    data.takes[7] = test::someTake(7);
    data.takes[9] = test::someTake(9);
    data.takes[9].performer = Performer::athlete;
    data.takes[9].day = *dayFromIso("2026-11-20");
    data.marks[9]["head"][FrameIndex(1)] = {{10.25, -3}, 1.5, How::hand};
    Rep rep;
    rep.id = 11;
    rep.take = 9;
    rep.positions["launch"].frame = FrameIndex(2);
    data.reps[11] = rep;
    Link link;
    link.id = 12;
    link.a = 9;
    link.b = 7;
    data.links[12] = link;
    FrameNote note;
    note.id = 13;
    note.take = 9;
    note.words = "heel";
    data.notes[13] = note;
    FindingDecision decision;
    decision.id = 14;
    decision.fault = "hand_late";
    decision.note = 13;
    data.decisions[14] = decision;
    return data;
}

json table(const CaseData& data) {
    return {{"format", kBundleFormat},
            {"athletes", {{{"id", 3}, {"body", json::parse(R"({"name": "Ana Quist", "handedness": "left",
                "level": "club", "minor": true})")}}}},
            {"cases", {caseJson(data, 3)}},
            {"blueprints", json::object()},
            {"files", {{"films/a.mp4", {{"bytes", 5}, {"sha256", std::string(64, 'a')}}}}}};
}

} // namespace

class TestBundleTable : public QObject {
    Q_OBJECT
private slots:
    void aCaseThereAndBack() {
        const CaseData data = someCase();
        const auto read = tableFrom(table(data).dump(), "x.riflesso");
        QVERIFY2(read, read ? "" : read.error().text().c_str());
        QCOMPARE(read->cases.size(), std::size_t(1));
        QCOMPARE(read->cases[0].first, Id(3));
        CaseData back = read->cases[0].second;
        QVERIFY(back.brief.athlete.name == "Ana Quist");
        back.brief.athlete = data.brief.athlete;
        QVERIFY(back == data);
        QVERIFY(read->parts.at("films/a.mp4").bytes == 5);
    }
    void whatCannotBeIsRefused() {
        const CaseData data = someCase();
        const auto refused = [&](const std::function<void(json&)>& spoil, const std::string& words) {
            json j = table(data);
            spoil(j);
            const auto r = tableFrom(j.dump(), "x.riflesso");
            return !r && r.error().what.find(words) != std::string::npos;
        };
        QVERIFY(refused([](json& j) { j["format"] = 2; }, "newer"));
        QVERIFY(refused([](json& j) { j["format"] = 0; }, "no bundle"));
        QVERIFY(refused([](json& j) { j["cases"][0]["athlete"] = 4; }, "nobody"));
        QVERIFY(refused([](json& j) { j["cases"][0]["reps"][0]["take"] = 8; }, "a take that is not there"));
        QVERIFY(
            refused([](json& j) { j["cases"][0]["decisions"][0]["body"]["note"] = 99; }, "a note that is not there"));
        QVERIFY(
            refused([](json& j) { j["cases"][0]["takes"][1]["marks"]["head"][0][3] = 0; }, "a mark that cannot be"));
        QVERIFY(refused([](json& j) { j["cases"][0]["takes"][1]["id"] = 7; }, "two takes of one number"));
        QVERIFY(refused([](json& j) { j["files"]["films/../a"] = j["files"]["films/a.mp4"]; }, "a part called"));
        QVERIFY(refused([](json& j) { j.erase("athletes"); }, "damaged"));
        QVERIFY(!tableFrom("", "x.riflesso"));
    }
    void namesLeadNowhereElse() {
        for (const char* good : {"films/a.mp4", "stills/7.jpg", "films/ü b.mov"})
            QVERIFY2(plainName(good), good);
        for (const char* bad : {"a.mp4", "films/", "films/.hidden", "films/../a", "films/a/b", "/films/a", "other/a",
                                "films/a\\b", "films/a\nb", "films/c:a"})
            QVERIFY2(!plainName(bad), bad);
        QVERIFY(!plainName("films/" + std::string(250, 'a')));
    }
    // Two libraries give other numbers to the same things.
    void bareCasesAreTheSameUnderOtherNumbers() {
        const CaseData here = someCase();
        CaseData there;
        there.id = 1;
        there.blueprintId = here.blueprintId;
        there.brief = here.brief;
        for (const auto& [id, take] : here.takes) {
            there.takes[id + 100] = take;
            there.takes[id + 100].id = id + 100;
            there.takes[id + 100].film = "elsewhere.mp4";
        }
        there.marks[109] = here.marks.at(9);
        there.reps[500] = here.reps.at(11);
        there.reps[500].id = 500;
        there.reps[500].take = 109;
        there.links[1] = here.links.at(12);
        there.links[1].id = 1;
        there.links[1].a = 109;
        there.links[1].b = 107;
        there.notes[2] = here.notes.at(13);
        there.notes[2].id = 2;
        there.notes[2].take = 109;
        there.decisions[3] = here.decisions.at(14);
        there.decisions[3].id = 3;
        there.decisions[3].note = 2;
        QVERIFY(bare(here) == bare(there));
        there.marks[109]["head"][FrameIndex(1)].at.x += 1;
        QVERIFY(!(bare(here) == bare(there)));
    }
    void differencesInWords() {
        const CaseData ours = someCase();
        CaseData theirs = ours;
        theirs.notes.clear();
        theirs.takes[9].day = *dayFromIso("2026-11-25");
        QCOMPARE(newestOf(theirs), std::string("2026-11-25")); // the model's film does not count
        const std::string words = differenceOf(theirs, ours);
        QVERIFY2(words.find("0 notes on frames in the file, 1 here") != std::string::npos, words.c_str());
        QVERIFY(words.find("newer films in the file") != std::string::npos);
        QVERIFY(differenceOf(ours, theirs).find("newer films here") != std::string::npos);
        QVERIFY(!differenceOf(ours, ours).empty());
    }
};

QTEST_GUILESS_MAIN(TestBundleTable)
#include "test_bundle_table.moc"
