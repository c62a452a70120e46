// Papers: sizes, readers, what is escaped, what stands on a page for whom; the guide of every shipped technique.

#include "handover/guide.h"
#include "handover/pictures.h"
#include "handover/report.h"

#include "casebook/shipped.h"
#include "files/write_file.h"

#include <QGuiApplication>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;
namespace fs = std::filesystem;

class TestPaper : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    const Day m_today = *dayFromIso("2026-11-23");
    const Blueprint m_blueprint = *shippedBlueprint("fencing-lunge");

    static QByteArray output(const char* program, const QStringList& arguments) {
        QProcess p;
        p.start(program, arguments);
        p.waitForFinished(240000);
        return p.readAllStandardOutput();
    }
    QByteArray textOf(const QByteArray& pdf) const {
        const fs::path file = m_dir.filePath("some.pdf").toStdString();
        if (!writeBytes(file, pdf))
            return {};
        return output("pdftotext", {"-layout", m_dir.filePath("some.pdf"), "-"});
    }
    QByteArray infoOf(const QByteArray& pdf) const {
        (void)textOf(pdf);
        return output("pdfinfo", {m_dir.filePath("some.pdf")});
    }
    // A case with one finding that is worked on, another that should follow, and a plan.
    struct Case {
        CaseData data;
        Analysis analysis;
    };
    Case found() const {
        Case c;
        c.data.brief.athlete.name = "Ines <Karr>";
        c.data.brief.goal = "Hit & stay";
        auto& j = c.analysis.judgement;
        Finding f;
        f.fault = "hand_late";
        f.evidence = {};
        j.findings = {f};
        j.focus = {"hand_late", "rear_leg_soft"};
        j.expectedToFollow = {"trunk_falls"};
        PlannedBlock b;
        b.day = m_today + std::chrono::days(1);
        b.drill = "slow_count";
        b.minutes = 5;
        c.analysis.plan.blocks = {b};
        b.drill = "wall_point";
        b.kind = BlockKind::home;
        b.minutes = 2;
        c.analysis.plan.blocks.push_back(b);
        c.analysis.plan.ladder = {"wall_point", "slow_count", "coin_drop"};
        return c;
    }
    PaperContent report(const Case& c, Reader reader) const {
        return gatherReport({c.data, m_blueprint, c.analysis, {}}, reader);
    }
private slots:
    void sheetsHaveTheirSizes() {
        PaperContent content;
        content.html = "<h1>One</h1><p>Two</p>";
        content.title = "Title";
        QVERIFY(infoOf(paperPdf(content, {})).contains("(A4)"));
        QVERIFY(infoOf(paperPdf(content, {true, 1.0})).contains("letter"));
        QVERIFY(infoOf(paperPdf(content, {})).contains("Title:           Title"));
        const auto a4 = paperDocument(content, {}, 96)->pageSize(),
                   letter = paperDocument(content, {true, 1.0}, 96)->pageSize();
        QVERIFY(letter.width() > a4.width() && letter.height() < a4.height());
    }
    void largerPrintNeedsMoreRoom() {
        PaperContent content;
        for (int i = 0; i < 120; ++i)
            content.html += "<p>A line of words that is long enough to be a line of words on a page of paper.</p>";
        const int small = paperDocument(content, {false, 1.0}, 96)->pageCount(),
                  large = paperDocument(content, {false, 1.5}, 96)->pageCount();
        QVERIFY2(large > small, qPrintable(QString("%1 and %2").arg(small).arg(large)));
        QCOMPARE(paperDocument(content, {false, 9.0}, 96)->pageCount(), large); // no larger than that
    }
    void whatUsersWriteIsText() {
        QCOMPARE(escaped("<b>&\"x\""), QString("&lt;b&gt;&amp;&quot;x&quot;"));
        const auto c = found();
        for (const Reader reader : {Reader::athlete, Reader::coach, Reader::parent}) {
            const QByteArray page = paperHtml(report(c, reader));
            QVERIFY(page.contains("Ines &lt;Karr&gt;") && !page.contains("<Karr>"));
            QVERIFY(page.contains("Hit &amp; stay"));
            QVERIFY(!page.contains("http://") && !page.contains("https://") && !page.contains("<script"));
        }
    }
    void theAthleteHasOnePageAndTwoThingsAtMost() {
        auto c = found();
        c.analysis.judgement.focus = {"hand_late", "rear_leg_soft", "trunk_falls"};
        const auto content = report(c, Reader::athlete);
        QVERIFY(content.html.contains("Two things"));
        QVERIFY(content.html.contains(escaped(m_blueprint.fault("rear_leg_soft")->name)));
        QVERIFY(!content.html.contains(escaped(m_blueprint.fault("trunk_falls")->name)));
        QVERIFY(!content.html.contains("All measures"));
        QVERIFY(content.html.contains(escaped(m_blueprint.drill("slow_count")->name)));
        QVERIFY(!content.html.contains(escaped(m_blueprint.drill("coin_drop")->name))); // not in these weeks
        QVERIFY(infoOf(paperPdf(content, {})).contains("Pages:           1"));
        c.analysis.judgement.focus = {"hand_late"};
        QVERIFY(report(c, Reader::athlete).html.contains("One thing"));
        c.analysis.judgement.focus.clear();
        QVERIFY(report(c, Reader::athlete).html.contains("Go on as you do"));
    }
    void theCoachHasAllAParentTheCautions() {
        const auto c = found();
        const auto coach = report(c, Reader::coach), parent = report(c, Reader::parent),
                   athlete = report(c, Reader::athlete);
        QVERIFY(coach.html.contains("All measures") && coach.html.contains("The next two weeks"));
        QVERIFY(coach.html.contains(escaped(m_blueprint.fault("trunk_falls")->name)));
        QVERIFY(parent.html.contains("guardian") && parent.html.contains("deleted"));
        for (const auto& caution : m_blueprint.cautions) {
            QVERIFY(coach.html.contains(escaped(caution)));
            QVERIFY(parent.html.contains(escaped(caution)));
        }
        QVERIFY(!athlete.html.contains("guardian"));
    }
    void theCoachReadsWhatWasPractised() {
        auto c = found();
        c.data.blocks.clear();
        QVERIFY(!report(c, Reader::coach).html.contains("What was practised"));
        Block counted, alone;
        counted.day = alone.day = *dayFromIso("2026-11-20");
        counted.drill = alone.drill = m_blueprint.drills.front().id;
        counted.reps = {{true, {}, {}}, {false, {}, "too <early>"}};
        alone.own = SelfCoached{25, 0, {}, 0, 0, {}, "half the distance"};
        c.data.blocks = {{1, counted}, {2, alone}};
        const auto html = report(c, Reader::coach).html;
        QVERIFY(html.contains("What was practised") && html.contains("1 of 2 good"));
        QVERIFY(html.contains("too &lt;early&gt; (1)"));
        QVERIFY(html.contains("25 minutes") && html.contains("to try: half the distance"));
        QVERIFY(!report(c, Reader::athlete).html.contains("What was practised"));
    }
    void picturesAndClipsAreInTheFile() {
        PaperContent content;
        content.html = "<img src=\"picture:one\">";
        QImage image(20, 10, QImage::Format_RGB32);
        image.fill(Qt::red);
        content.pictures["one"] = image;
        content.clips["A <clip>"] = QByteArray("film");
        const QByteArray page = paperHtml(content);
        QVERIFY(page.contains("data:image/jpeg;base64,") && !page.contains("picture:one"));
        QVERIFY(page.contains("data:video/mp4;base64," + QByteArray("film").toBase64()));
        QVERIFY(page.contains("muted") && page.contains("A &lt;clip&gt;"));
        QVERIFY(!paperHtml(PaperContent{}).contains("<video"));
        QVERIFY(textOf(paperPdf(content, {})).simplified().isEmpty()); // on paper the picture alone
    }
    void aTelephoneGetsANarrowColumn() {
        PaperContent content;
        content.html = "<p>x</p>";
        QVERIFY(paperHtml(content, true).contains("max-width:24em"));
        QVERIFY(paperHtml(content, false).contains("max-width:52em"));
        QVERIFY(paperHtml(content, true).contains("width=device-width"));
    }
    void bothFilesOrNeither() {
        PaperContent content;
        content.html = "<p>first</p>";
        const fs::path folder = m_dir.filePath("both").toStdString();
        QVERIFY(writePaper(content, {}, folder, "a"));
        const auto before = readFile(folder / "a.pdf");
        // The page cannot be written: the paper is what it was.
        fs::remove(folder / "a.html");
        fs::create_directories(folder / "a.html" / "in the way");
        content.html = "<p>second</p>";
        QVERIFY(!writePaper(content, {}, folder, "a"));
        QCOMPARE(*readFile(folder / "a.pdf"), *before);
        QVERIFY(!writePaper(content, {}, "/proc/none", "a"));
    }
    void whatIsDoneAtHome() {
        auto c = found();
        const auto sheet = homeSheet(c.data, m_blueprint, c.analysis, m_today);
        QVERIFY(sheet.html.contains(escaped(m_blueprint.drill("wall_point")->name)));
        QVERIFY(!sheet.html.contains(escaped(m_blueprint.drill("slow_count")->name))); // that is done in the hall
        QVERIFY(sheet.html.contains("physician"));
        c.analysis.plan.blocks[1].state = BlockState::done;
        QVERIFY(homeSheet(c.data, m_blueprint, c.analysis, m_today).html.contains("Nothing is planned"));
        c.analysis.plan.blocks[1].state = BlockState::planned;
        c.analysis.plan.blocks[1].drill = "a drill that is gone";
        QVERIFY(homeSheet(c.data, m_blueprint, c.analysis, m_today).html.contains("a drill that is gone"));
    }
    void everyTechniqueHasAGuide_data() {
        QTest::addColumn<QString>("id");
        for (const auto& id : shippedBlueprintIds())
            QTest::newRow(id.c_str()) << QString::fromStdString(id);
    }
    void everyTechniqueHasAGuide() {
        QFETCH(QString, id);
        const auto b = shippedBlueprint(id.toStdString());
        QVERIFY(b.ok());
        const auto content = techniqueGuide(*b, {});
        for (const auto& f : b->faults) {
            QVERIFY2(content.html.contains(escaped(f.name)), f.id.c_str());
            QVERIFY2(f.caution.empty() || content.html.contains(escaped(f.caution)), f.id.c_str());
        }
        for (const auto& s : b->schools)
            QVERIFY2(content.html.contains(escaped(s.words)), s.id.c_str());
        for (const auto& m : b->measures)
            if (!m.definition.at.empty())
                QVERIFY2(content.html.contains(escaped(m.definition.name)), m.definition.id.c_str());
        const QByteArray pdf = paperPdf(content, {});
        QVERIFY(pdf.size() > 10000);
        QVERIFY(textOf(pdf).contains("What goes wrong"));
    }
};
QTEST_MAIN(TestPaper)
#include "test_paper.moc"
