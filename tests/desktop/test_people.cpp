// A squad as a sheet, small and large, and one person over several techniques: from their cards alone.

#include "desktop/shelf/athlete_page.h"
#include "desktop/shelf/squad_practice.h"
#include "desktop/shelf/squad_sheet.h"

#include "casebook/shipped.h"
#include "desktop/theme/theme.h"

#include <QApplication>
#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QSignalSpy>
#include <QTemporaryDir>
#include <QTest>

#include <algorithm>

using namespace riflesso;

class TestPeople : public QObject {
    Q_OBJECT
    const Day m_today = *dayFromIso("2026-11-23");

    static std::optional<Blueprint> blueprint(const std::string& id) {
        auto b = shippedBlueprint(id);
        return b ? std::optional(std::move(*b)) : std::nullopt;
    }
    static void picture(const char* name, QWidget& of) {
        if (const QString folder = qEnvironmentVariable("RIFLESSO_PICTURES"); !folder.isEmpty())
            of.grab().save(folder + "/" + name + ".png");
    }
    // A card on which each fault stands as a digit says.
    static ShelfCase card(Id id, const char* technique, unsigned digits, double value = 0.0) {
        const auto b = blueprint(technique);
        CardDetail d;
        for (const auto& f : b->faults) {
            d.faults.push_back({f.id, static_cast<Standing>(digits % 6), digits % 6 == 2 ? 1.5 : 0.5, {"trunk"}});
            digits = digits * 1103515245u + 12345u;
            digits >>= 3;
        }
        d.measures = {{b->measures.front().definition.id, value, 0.05, 1.0, 1.5}};
        d.focus = {b->faults.front().id};
        d.week = {{"2026-11-24", 20.0}, {"2026-11-26", 10.0}};
        ShelfCase c;
        c.id = id;
        c.technique = QString::fromStdString(b->name);
        c.blueprintId = technique;
        c.card.detail = toJson(d);
        return c;
    }
    static std::vector<ShelfAthlete> squad(int n) {
        const char* names[] = {"Ada Linn", "Bo Karsten", "Cleo Amari", "Dag Holt",
                               "Eve Sund", "Finn Moor",  "Gia Stark",  "Hal Ogden"};
        std::vector<ShelfAthlete> out;
        for (int i = 0; i < n; ++i) {
            ShelfAthlete a;
            a.id = 100 + i;
            a.athlete.name = names[i % 8] + (i < 8 ? std::string() : " " + std::to_string(i / 8 + 1));
            a.cases.push_back(card(i + 1, "fencing-lunge", static_cast<unsigned>(7919 * i + 13), 0.9 + 0.02 * i));
            out.push_back(a);
        }
        return out;
    }
private slots:
    void initTestCase() {
        QVERIFY(loadFonts());
        useTheme(Theme::light());
    }
    void practiceTogether() {
        QTemporaryDir dir;
        std::shared_ptr<Library> library = std::move(*Library::create(dir.filePath("library").toStdString()));
        std::vector<SquadRow> rows;
        for (const char* name : {"Ada Linn", "Bo Karsten", "Cleo Amari"}) {
            Brief brief;
            brief.athlete.name = name;
            SquadRow row;
            row.member.name = name;
            row.caseId = *library->addCase("fencing-lunge", brief);
            rows.push_back(row);
        }
        const auto b = *blueprint("fencing-lunge");
        const Fault& fault = b.faults.front();
        SquadPractice dialog(library, b, rows, fault.id, m_today);
        dialog.show();
        QVERIFY(!dialog.block(0));
        QTest::keyClick(&dialog, Qt::Key_G);
        QTest::keyClick(&dialog, Qt::Key_3);
        QCOMPARE(dialog.chosen(), std::size_t(2));
        for (const auto key : {Qt::Key_B, Qt::Key_G, Qt::Key_G, Qt::Key_Backspace})
            QTest::keyClick(&dialog, key);
        QTest::keyClick(&dialog, Qt::Key_9); // nobody
        QCOMPARE(dialog.chosen(), std::size_t(2));
        picture("squad-practice", dialog);
        // Written at once, each into the own case.
        const auto reopened = std::move(*Library::open(dir.filePath("library").toStdString()));
        const auto reps = [&](std::size_t i) {
            std::string out;
            const auto kept = reopened->load(rows[i].caseId);
            for (const auto& [id, block] : kept->blocks)
                for (const auto& r : block.reps)
                    out += *r.coach ? 'G' : 'B';
            return out;
        };
        QCOMPARE(reps(0), std::string("G"));
        QCOMPARE(reps(1), std::string());
        QCOMPARE(reps(2), std::string("BG"));
        const auto first = reopened->load(rows[0].caseId);
        QCOMPARE(first->blocks.begin()->second.drill, fault.drills.front());
        // Another drill is another block.
        auto* drills = dialog.findChild<QComboBox*>("squadDrill");
        drills->setCurrentIndex(1);
        emit drills->activated(1);
        QTest::keyClick(&dialog, Qt::Key_G);
        QCOMPARE(reopened->load(rows[2].caseId)->blocks.size(), std::size_t(2));
    }
    void aSquad_data() {
        QTest::addColumn<int>("n");
        QTest::addColumn<bool>("dark");
        QTest::newRow("of eight") << 8 << false;
        QTest::newRow("of eight, dark") << 8 << true;
        QTest::newRow("of forty") << 40 << false;
    }
    void aSquad() {
        QFETCH(int, n);
        QFETCH(bool, dark);
        useTheme(dark ? Theme::night() : Theme::light());
        SquadSheet sheet("Thursday", squad(n), blueprint, m_today);
        sheet.show();
        QVERIFY(QTest::qWaitForWindowExposed(&sheet));
        auto* table = sheet.table();
        const auto faults = blueprint("fencing-lunge")->faults.size();
        QVERIFY(table->sizeHint().height() > n * 28);
        QVERIFY(table->cell(static_cast<std::size_t>(n) - 1, faults - 1).bottom() < table->height());
        picture(qPrintable(QString("squad-%1%2").arg(n).arg(dark ? "-dark" : "")), sheet);
        // Words for who cannot see the shapes: a line an athlete.
        QCOMPARE(table->accessibleDescription().split('\n').size(), static_cast<qsizetype>(n));
        // A click on a row opens its case.
        QSignalSpy opened(&sheet, &SquadSheet::openCase);
        QTest::mouseClick(table, Qt::LeftButton, {}, table->cell(2, 1).center().toPoint());
        QCOMPARE(opened.size(), 1);
        QCOMPARE(opened[0][0].value<Id>(), Id(3));
        useTheme(Theme::light());
    }
    void theSessionNamesEverybodyWhoHasIt() {
        const auto people = squad(8);
        SquadSheet sheet("Thursday", people, blueprint, m_today);
        std::vector<SquadMember> members;
        for (const auto& a : people)
            members.push_back({a.cases[0].id, a.athlete.name, detailFromJson(a.cases[0].card.detail).faults, {}, {}});
        const auto session = sessionForAll(members, 3);
        QVERIFY(!session.fault.empty());
        const QString html = sheet.sessionHtml();
        for (const auto& pair : session.pairs)
            QVERIFY(html.contains(QString::fromStdString(members[pair.learner].name)));
        QVERIFY(html.contains("Station 1") && html.contains("Caution"));
    }
    void namesAreTextThere() {
        auto people = squad(2);
        people[0].athlete.name = "<b>x</b>";
        people[1].athlete.name = "<i>y</i>";
        const QString html = SquadSheet("S", people, blueprint, m_today).sessionHtml();
        QVERIFY(!html.contains("<b>x</b>") && !html.contains("<i>y</i>"));
    }
    void aSquadNobodyKnowsAnythingOf() {
        auto people = squad(3);
        for (auto& a : people)
            a.cases[0].card.detail.clear(); // never opened since
        SquadSheet sheet("New", people, blueprint, m_today);
        QVERIFY(sheet.sessionHtml().contains("Nobody here is known"));
        SquadSheet none("Empty", {}, blueprint, m_today);
        QVERIFY(!none.sessionHtml().isEmpty());
        // A technique whose blueprint is gone is shown as nothing, not as a crash.
        for (auto& a : people)
            a.cases[0].blueprintId = "gone";
        SquadSheet gone("Gone", people, blueprint, m_today);
        gone.grab();
    }
    void severalTechniquesAreOneTable() {
        auto people = squad(4);
        people[0].cases.push_back(card(50, "race-walking", 99));
        SquadSheet sheet("Both", people, blueprint, m_today);
        auto* technique = sheet.findChild<QComboBox*>("squadTechnique");
        QCOMPARE(technique->count(), 2);
        QCOMPARE(technique->currentData().toString(), QString("fencing-lunge")); // what most do
        technique->setCurrentIndex(1);
        emit technique->activated(1);
        QCOMPARE(sheet.table()->accessibleDescription().split('\n').size(), qsizetype(1));
    }
    void onePersonOverAll() {
        ShelfAthlete a;
        a.id = 1;
        a.athlete.name = "Ada Linn";
        a.cases = {card(1, "fencing-lunge", 2), card(2, "race-walking", 2), card(3, "archery-shot", 2)};
        AthletePage page(a, squad(3), blueprint, m_today);
        page.show();
        QVERIFY(QTest::qWaitForWindowExposed(&page));
        picture("athlete-three", page);
        QCOMPARE(page.findChildren<QPushButton*>("openTechnique").size(), qsizetype(3));
        QStringList words;
        for (const auto* label : page.findChildren<QLabel*>())
            words << label->text();
        const QString all = words.join('\n');
        QVERIFY(all.contains("Two at most")); // three foci at once
        QVERIFY(all.contains("in 3 of 3 techniques"));
        auto* who = page.findChild<QComboBox*>("mergeWith");
        auto* join = page.findChild<QPushButton*>("mergeAthletes");
        QVERIFY(!join->isEnabled());
        who->setCurrentIndex(2);
        QVERIFY(join->isEnabled());
        QSignalSpy merged(&page, &AthletePage::merge);
        QTest::mouseClick(join, Qt::LeftButton);
        QCOMPARE(merged.size(), 1);
        QCOMPARE(merged[0][0].value<Id>(), Id(101));
    }
};
QTEST_MAIN(TestPeople)
#include "test_people.moc"
