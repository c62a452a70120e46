#include "handover/report.h"

#include "casebook/sets.h"
#include "handover/words.h"

#include "casebook/shipped.h"
#include "tests/support/demo_copy.h"

#include <QFile>
#include <QGuiApplication>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;
using std::chrono::days;

class TestReport : public QObject {
    Q_OBJECT
    std::unique_ptr<Casebook> m_book;
    QTemporaryDir m_dir;

    static std::string run(const char* program, const QStringList& arguments) {
        QProcess p;
        p.start(program, arguments);
        p.waitForFinished(240000);
        return p.readAllStandardOutput().toStdString();
    }
private slots:
    void initTestCase() {
        auto l = Library::open(RIFLESSO_DEMO_DIR);
        QVERIFY(l.ok());
        m_book = std::move(*Casebook::open(std::shared_ptr<Library>(std::move(*l)), 1,
                                           *shippedBlueprint("fencing-lunge"), *dayFromIso("2026-11-23")));
        m_book->analysisNow();
    }
    void twoPagesAndOneFile() {
        const auto content = gatherReport(*m_book);
        QVERIFY2(content.problem.empty(), content.problem.c_str());
        const std::string folder = (m_dir.path() + "/out").toStdString();
        const auto s = writePaper(content, {}, folder, "report");
        QVERIFY2(s.ok(), s ? "" : s.error().text().c_str());
        const QString pdf = m_dir.path() + "/out/report.pdf";
        const std::string info = run("pdfinfo", {pdf});
        QVERIFY2(info.find("Pages:           2") != std::string::npos, info.c_str());
        QVERIFY(info.find("A4") != std::string::npos);
        // What is written can be read back: the athlete, the first finding, a drill, the caution.
        const std::string text = run("pdftotext", {"-layout", pdf, "-"});
        for (const char* words :
             {"Mira Tolland", "Hand later than foot", "Wait for the coin", "It does not diagnose", "All measures"})
            QVERIFY2(text.find(words) != std::string::npos, words);
        const std::string images = run("pdfimages", {"-list", pdf});
        QVERIFY(images.find("image") != std::string::npos); // the athlete's own pictures are in it
        QFile html(m_dir.path() + "/out/report.html");
        QVERIFY(html.open(QIODevice::ReadOnly));
        const QByteArray h = html.readAll();
        QVERIFY(h.contains("data:image/jpeg;base64,"));
        QVERIFY(!h.contains("picture:") && !h.contains("http")); // self-contained: nothing is fetched
        QVERIFY(h.size() > 40000);
    }
    // Others in the film stand in the coach's report, by name, and in nobody else's.
    void playersAreForTheCoach() {
        CaseData data = m_book->data();
        const auto& checkpoint = m_book->blueprint().checkpoints.front();
        for (auto& [id, rep] : data.reps)
            if (data.takes.at(rep.take).performer == Performer::athlete)
                rep.seenOf["Ilse <b>"][checkpoint.id] = {SeenVerdict::no, FrameIndex(0), {}, {}};
        const FilmedCase filmed{data, m_book->blueprint(), m_book->analysis(), m_book->library().media()};
        QVERIFY(!gatherReport(*m_book).html.contains("player by player"));
        const QString coach = gatherReport(filmed).html;
        QVERIFY(coach.contains("player by player") && coach.contains("Ilse &lt;b&gt;"));
        QVERIFY(coach.contains(QString("yes 0, partly 0, no %1").arg(tallyByPlayer(data).front().no)));
        for (const Reader reader : {Reader::athlete, Reader::parent})
            QVERIFY(!gatherReport(filmed, reader).html.contains("Ilse"));
    }
    void aFocusThatTheFilmDoesNotShow() {
        // Taken up by a person, found by no film; and a block of a drill that nobody knows any more.
        const QString library = m_dir.path() + "/decided";
        QVERIFY(test::copyDemo(library));
        auto l = Library::open(library.toStdString());
        QVERIFY(l.ok());
        auto book = std::move(*Casebook::open(std::shared_ptr<Library>(std::move(*l)), 1,
                                              *shippedBlueprint("fencing-lunge"), *dayFromIso("2026-11-23")));
        book->analysisNow();
        std::string quiet;
        for (const auto& f : book->blueprint().faults)
            if (!book->analysis().finding(f.id))
                quiet = f.id;
        FindingDecision d;
        d.fault = quiet;
        QVERIFY(book->decide(d));
        PlannedBlock planned;
        planned.day = *dayFromIso("2026-11-26");
        planned.drill = "gone_with_an_old_version";
        planned.minutes = 5;
        QVERIFY(book->setPlanned(planned, "x"));
        planned.day += days(60);
        planned.drill = "too_far_off_to_print";
        QVERIFY(book->setPlanned(planned, "x"));
        planned.day = *dayFromIso("2026-11-28");
        planned.drill = "wall_point";
        planned.kind = BlockKind::home;
        planned.minutes = 2;
        QVERIFY(book->setPlanned(planned, "x"));
        QCOMPARE(book->analysisNow().judgement.focus, std::vector<std::string>{quiet});
        const auto content = gatherReport(*book);
        const std::string folder = (m_dir.path() + "/quiet").toStdString();
        QVERIFY(writePaper(content, {}, folder, "report").ok());
        const std::string text = run("pdftotext", {"-layout", m_dir.path() + "/quiet/report.pdf", "-"});
        QVERIFY(text.find("held: look again") != std::string::npos || text.find("does not show") != std::string::npos ||
                text.find("cannot decide") != std::string::npos);
        QVERIFY(text.find("gone_with_an_old_version") != std::string::npos);
        QVERIFY(text.find("too_far_off_to_print") == std::string::npos);
        QVERIFY(text.find("at home: Point to the wall (Sat 28 Nov)") != std::string::npos);
    }
    void picturesAreThePositionsThemselves() {
        const auto content = gatherReport(*m_book);
        const QImage board = content.pictures.at("board");
        QVERIFY(board.width() > 4 * board.height() / 3);
        // Above and below the line two different performers: their jackets' colours differ.
        const auto redness = [&](int y) {
            double sum = 0;
            for (int x = 0; x < board.width(); x += 3)
                sum += qRed(board.pixel(x, y)) - qBlue(board.pixel(x, y));
            return sum;
        };
        QVERIFY(redness(150) > 1.2 * redness(150 + 376)); // hers is red, the model's is white
    }
    void aMissingFilmIsSaidAndTheRestWritten() {
        const auto content =
            gatherReport({m_book->data(), m_book->blueprint(), m_book->analysis(), m_dir.path().toStdString()});
        QVERIFY(content.problem.find("no such file") != std::string::npos);
        QVERIFY(content.html.contains("Pictures are missing"));
        QVERIFY(writePaper(content, {}, (m_dir.path() + "/bare").toStdString(), "report").ok());
    }
    void placesThatCannotBeWritten() {
        const auto content =
            gatherReport({m_book->data(), m_book->blueprint(), m_book->analysis(), m_dir.path().toStdString()});
        const auto s = writePaper(content, {}, "/proc/report", "report");
        QVERIFY(!s);
        QVERIFY(s.error().untouched.find("nothing was written") != std::string::npos);
    }
    void numbersInWords() {
        const auto& b = m_book->blueprint();
        const auto& knee = b.measure("rear_knee")->definition;
        const auto& lead = b.measure("hand_lead")->definition;
        const auto& width = b.measure("guard_width")->definition;
        const auto& toe = b.measure("knee_over_toe")->definition;
        QCOMPARE(numberWords(knee, 112.44), std::string("112.4°"));
        QCOMPARE(valueWords(knee, 112.44, 1.06), std::string("112.4 ± 1.1°"));
        QCOMPARE(valueWords(lead, -0.152, 0.0034), std::string("−152 ± 3 ms"));
        QCOMPARE(numberWords(lead, -0.0001), std::string("0 ms")); // no minus nothing
        QCOMPARE(numberWords(width, 1.2049), std::string("1.20"));
        QCOMPARE(numberWords(toe, -0.5), std::string("−0.50 shins"));
        QCOMPARE(bandWords(knee, {102, 118.4, 8}), std::string("102 to 118°"));
        QCOMPARE(bandWords(toe, {-std::numeric_limits<double>::infinity(), 0, 1}), std::string("at most 0.00 shins"));
        QCOMPARE(doseWords({3, 6, 5}), std::string("3 sets of 6, 5 min"));
        QCOMPARE(doseWords({1, 10, 2.5}), std::string("1 set of 10, 2.5 min"));
        QCOMPARE(dayWords(*dayFromIso("2026-11-23")), std::string("Mon 23 Nov"));
        QCOMPARE(dateWords(*dayFromIso("2027-01-04")), std::string("4 Jan 2027"));
    }
    void findingsReadAsAPersonWouldSayThem() {
        const std::string f = findingsWords(*m_book);
        QVERIFY(f.find("Strengths") < f.find("Findings")); // strengths first, always
        QVERIFY(f.find("1. Hand later than foot  [work on this]") != std::string::npos);
        QVERIFY(f.find("[expected to follow]") != std::string::npos);
        QVERIFY(f.find("film it from the front") != std::string::npos);
        const std::string p = planWords(*m_book);
        QVERIFY(p.find("caution:") != std::string::npos);
        QVERIFY(p.find("count 3 more") != std::string::npos);
        QVERIFY(f.find("From rep to rep the athlete varies on ") != std::string::npos);
    }
    void whichOfTheTwoMadeTheSpeed() {
        const Blueprint walk = *shippedBlueprint("race-walking");
        Analysis a;
        SpeedStory s{"speed", "rate", "stride", {1.5, 0.003, 2.2, 0.01}, {1.4, 0.003, 2.2, 0.01}, 3, 3, {}, 3.19};
        s.change = speedChange(s.before, s.after);
        a.overReps = s;
        const auto rate = steadyWords(walk, a);
        QCOMPARE(rate.size(), std::size_t(1));
        QVERIFY2(rate[0].find("Speed fell by 0.22") == 0 && rate[0].find("(7 %)") != std::string::npos &&
                     rate[0].find("it is the rate.") != std::string::npos,
                 rate[0].c_str());
        a.overReps->after = {1.501, 0.003, 2.2, 0.01};
        a.overReps->change = speedChange(s.before, a.overReps->after);
        QVERIFY(steadyWords(walk, a)[0].find("did not change") != std::string::npos);
        Variation v{"trunk", 5, {3.0, 1.0, 0.5, 3.2}, Varies::marks, 0.1};
        a.variations = {v};
        QVERIFY(steadyWords(walk, a)[1].find("1 measure differs") == 0);
        v.by = Varies::athlete;
        QVERIFY(variationWords(walk.measure("trunk")->definition, v).find("the athlete varies") != std::string::npos);
    }
};
QTEST_MAIN(TestReport)
#include "test_report.moc"
