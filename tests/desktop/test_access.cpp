// What a screen reader is told and where Tab leads, on every page of the real window.

#include "desktop/theme/theme.h"
#include "tests/support/colour_vision.h"
#include "tests/support/contrast.h"
#include "tests/support/patience.h"
#include "tests/support/window_test.h"

#include <QAbstractButton>
#include <QAbstractItemView>
#include <QAbstractSpinBox>
#include <QAccessible>
#include <QApplication>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QTest>

#include <array>
#include <map>
#include <set>

using namespace riflesso;

class TestAccess : public test::WindowTest {
    Q_OBJECT
    static constexpr std::array kPages = {Workspace::brief,    Workspace::footage,  Workspace::marking,
                                          Workspace::mirror,   Workspace::findings, Workspace::programme,
                                          Workspace::practice, Workspace::progress, Workspace::handover};

    // What shows something by where it stands and in which colour.
    inline static const std::set<QByteArray> kCharts = {
        "riflesso::BodyMap",    "riflesso::RepStrip",   "riflesso::Ribbon",      "riflesso::TrustStrip",
        "riflesso::ChainView",  "riflesso::StillPair",  "riflesso::FindingList", "riflesso::PlanCalendar",
        "riflesso::RepDots",    "riflesso::GateBar",    "riflesso::LadderView",  "riflesso::StoryLine",
        "riflesso::TrendChart", "riflesso::SpeedChart", "riflesso::CueChart",    "riflesso::FeltChart",
        "riflesso::BreakChart", "riflesso::DoseChart"};

    static QString nameOf(QWidget* w) {
        const QAccessibleInterface* i = QAccessible::queryAccessibleInterface(w);
        return i ? i->text(QAccessible::Name) : QString();
    }
    static QString called(QWidget* w) { return QString("%1 %2").arg(w->metaObject()->className(), w->objectName()); }
    // What a hand can do something with.
    static bool isControl(QWidget* w) {
        if (!w->isVisible() || !w->isEnabled())
            return false;
        if (qobject_cast<QAbstractSpinBox*>(w->parentWidget()) || qobject_cast<QComboBox*>(w->parentWidget()))
            return false; // the line inside is the box's own
        return qobject_cast<QAbstractButton*>(w) || qobject_cast<QComboBox*>(w) || qobject_cast<QLineEdit*>(w) ||
               qobject_cast<QAbstractSpinBox*>(w) || qobject_cast<QAbstractItemView*>(w) ||
               qobject_cast<QPlainTextEdit*>(w) || w->focusPolicy() & Qt::TabFocus;
    }
private slots:
    void initTestCase() {
        QAccessible::setActive(true);
        prepare("RiflessoTestAccess");
        openWindow();
    }
    void cleanupTestCase() { m_window.reset(); }

    void everyControlHasANameAndARole() {
        QStringList wrong;
        int seen = 0;
        for (const Workspace page : kPages) {
            go(page);
            for (QWidget* w : view()->page(page)->findChildren<QWidget*>()) {
                if (!isControl(w) || w->inherits("QScrollArea") || w->inherits("QScrollBar") ||
                    QByteArray(w->metaObject()->className()).startsWith("QComboBoxPrivate"))
                    continue;
                ++seen;
                const QAccessibleInterface* i = QAccessible::queryAccessibleInterface(w);
                if (!i || i->role() == QAccessible::NoRole)
                    wrong << QString("page %1: no role: %2").arg(static_cast<int>(page)).arg(called(w));
                else if (nameOf(w).trimmed().isEmpty())
                    wrong << QString("page %1: no name: %2").arg(static_cast<int>(page)).arg(called(w));
            }
        }
        wrong.removeDuplicates();
        QVERIFY2(seen > 100, qPrintable(QString::number(seen)));
        QVERIFY2(wrong.isEmpty(), qPrintable("\n" + wrong.join('\n')));
    }
    // Words against what lies behind them, as they are on the glass: 4.5 : 1 (WCAG 2.1, 1.4.3) in both themes.
    void wordsStandOutFromTheirGround() {
        QStringList pale;
        int seen = 0;
        for (const bool dark : {false, true}) {
            useTheme(dark ? Theme::night() : Theme::light());
            for (const Workspace page : kPages) {
                go(page);
                constexpr int kFine = 3; // so fine that the middle of a stroke has its full colour
                QImage glass(m_window->size() * kFine, QImage::Format_RGB32);
                glass.setDevicePixelRatio(kFine);
                m_window->render(&glass);
                for (QWidget* w : m_window->findChildren<QWidget*>()) {
                    const auto* label = qobject_cast<QLabel*>(w);
                    const auto* button = qobject_cast<QAbstractButton*>(w);
                    if (!w->isVisible() || !w->isEnabled() || (!label && !button) ||
                        (label ? label->text() : button->text()).trimmed().isEmpty() ||
                        w->visibleRegion().boundingRect().size() != w->size())
                        continue;
                    const QRect at(w->mapTo(m_window.get(), QPoint(0, 0)) * kFine, w->size() * kFine);
                    const QImage words = glass.copy(at);
                    std::map<QRgb, int> colours;
                    for (int y = 0; y < words.height(); ++y)
                        for (int x = 0; x < words.width(); ++x)
                            ++colours[words.pixel(x, y)];
                    const auto ground =
                        std::max_element(colours.begin(), colours.end(), [](const auto& a, const auto& b) {
                            return a.second < b.second;
                        })->first;
                    double best = 1.0;
                    for (const auto& [colour, count] : colours)
                        if (count >= 4)
                            best = std::max(best, test::contrast(QColor(colour), QColor(ground)));
                    ++seen;
                    if (best < 4.5)
                        pale << QString("%1 page %2, %3 “%4”: %5")
                                    .arg(dark ? "dark" : "light")
                                    .arg(static_cast<int>(page))
                                    .arg(called(w), (label ? label->text() : button->text()).left(40))
                                    .arg(best, 0, 'f', 2);
                }
            }
        }
        useTheme(Theme::light());
        pale.removeDuplicates();
        QVERIFY2(seen > 300, qPrintable(QString::number(seen)));
        QVERIFY2(pale.isEmpty(), qPrintable("\n" + pale.join('\n')));
    }
    void theSimulationIsRight() {
        for (const auto& cones : test::kWithoutCones) {
            for (const auto& row : cones)
                QVERIFY(std::abs(row[0] + row[1] + row[2] - 1.0) < 1e-5);
            QVERIFY(test::farApart(test::seenWithout(cones, QColor("#808080")), QColor("#808080")) < 0.5);
        }
        // Red and green of one lightness, which two of the three cannot tell apart.
        const QColor red("#b85c4a"), green("#7a7d2e");
        QVERIFY(test::farApart(red, green) > 40.0);
        for (const std::size_t i : {0U, 1U})
            QVERIFY2(test::farApart(test::seenWithout(test::kWithoutCones[i], red),
                                    test::seenWithout(test::kWithoutCones[i], green)) < 30.0,
                     qPrintable(QString::number(test::farApart(test::seenWithout(test::kWithoutCones[i], red),
                                                               test::seenWithout(test::kWithoutCones[i], green)))));
        QVERIFY(std::abs(test::farApart(Qt::black, Qt::white) - 100.0) < 0.1);
    }
    // Whatever two colours of a duty stand in one chart can be told apart by everybody, and from their ground.
    void chartsAreSeenWithoutOneKindOfCones() {
        QStringList wrong;
        std::set<QByteArray> seen;
        int pairs = 0;
        const auto look = [&](const QString& where, QWidget* page) {
            const Theme& t = theme();
            const std::array<std::pair<const char*, QColor>, 4> duties = {
                {{"athlete", t.hues.athlete}, {"model", t.hues.model}, {"accent", t.accent}, {"caution", t.caution}}};
            for (QWidget* w : page->findChildren<QWidget*>()) {
                const QByteArray name = w->metaObject()->className();
                if (!w->isVisible() || !kCharts.contains(name))
                    continue;
                seen.insert(name);
                const QImage shown = w->grab().toImage().convertToFormat(QImage::Format_RGB32);
                std::map<QRgb, int> colours;
                for (int y = 0; y < shown.height(); ++y)
                    for (int x = 0; x < shown.width(); ++x)
                        ++colours[shown.pixel(x, y)];
                std::vector<std::pair<QString, QColor>> there;
                for (const auto& [duty, colour] : duties)
                    if (const auto it = colours.find(colour.rgb()); it != colours.end() && it->second >= 12)
                        there.emplace_back(duty, colour);
                there.emplace_back(
                    "ground", QColor(std::max_element(colours.begin(), colours.end(), [](const auto& a, const auto& b) {
                                         return a.second < b.second;
                                     })->first));
                for (std::size_t i = 0; i < there.size(); ++i)
                    for (std::size_t k = i + 1; k < there.size(); ++k)
                        for (std::size_t cones = 0; cones < test::kWithoutCones.size(); ++cones) {
                            if (there[i].second == there[k].second)
                                continue;
                            ++pairs;
                            const double apart =
                                test::farApart(test::seenWithout(test::kWithoutCones[cones], there[i].second),
                                               test::seenWithout(test::kWithoutCones[cones], there[k].second));
                            if (apart < 12.0)
                                wrong << QString("%1, %2: %3 and %4 are %5 apart without cones %6")
                                             .arg(where, name, there[i].first, there[k].first)
                                             .arg(apart, 0, 'f', 1)
                                             .arg(cones);
                        }
            }
        };
        for (const bool dark : {false, true}) {
            useTheme(dark ? Theme::night() : Theme::light());
            for (const Workspace page : kPages) {
                go(page);
                const QString where = QString("%1 page %2").arg(dark ? "dark" : "light").arg(static_cast<int>(page));
                look(where, view()->page(page));
                if (page == Workspace::progress)
                    for (int question = 1; question <= 6; ++question) {
                        press(qPrintable(QString("question%1").arg(question)));
                        look(where + QString(", question %1").arg(question), view()->page(page));
                    }
            }
        }
        useTheme(Theme::light());
        wrong.removeDuplicates();
        QVERIFY2(wrong.isEmpty(), qPrintable("\n" + wrong.join('\n')));
        QStringList missing;
        for (const auto& name : kCharts)
            if (!seen.contains(name))
                missing << name;
        QVERIFY2(missing.isEmpty(), qPrintable(missing.join(", ")));
        QVERIFY(pairs > 100);
    }
    // What is painted says in words what it shows.
    void paintedViewsSpeak() {
        const std::pair<Workspace, std::vector<const char*>> painted[] = {
            {Workspace::brief, {"riflesso::BodyMap"}},
            {Workspace::footage, {"riflesso::RepStrip"}},
            {Workspace::marking, {"riflesso::Ribbon", "riflesso::TrustStrip"}},
            {Workspace::mirror, {"riflesso::MirrorBoard", "riflesso::Ribbon", "riflesso::MirrorCurve"}},
            {Workspace::findings, {"riflesso::FindingList", "riflesso::ChainView", "riflesso::StillPair"}},
            {Workspace::programme, {"riflesso::PlanCalendar", "riflesso::LadderView"}},
            {Workspace::practice, {"riflesso::RepDots", "riflesso::GateBar"}},
            {Workspace::progress, {"riflesso::StoryLine", "riflesso::TrendChart"}}};
        QStringList wrong;
        for (const auto& [page, classes] : painted) {
            go(page);
            if (page == Workspace::progress)
                press("question1");
            for (const char* name : classes) {
                bool found = false;
                for (QWidget* w : view()->page(page)->findChildren<QWidget*>()) {
                    if (qstrcmp(w->metaObject()->className(), name) != 0 || !w->isVisible())
                        continue;
                    found = true;
                    const QAccessibleInterface* i = QAccessible::queryAccessibleInterface(w);
                    if (!i || nameOf(w).isEmpty() ||
                        (i->text(QAccessible::Description).isEmpty() && i->childCount() == 0 && nameOf(w).size() < 20))
                        wrong << QString("%1 says \"%2\", \"%3\"")
                                     .arg(name, nameOf(w), i ? i->text(QAccessible::Description) : "");
                }
                if (!found)
                    wrong << QString("%1 is not on page %2").arg(name).arg(static_cast<int>(page));
            }
        }
        QVERIFY2(wrong.isEmpty(), qPrintable("\n" + wrong.join('\n')));
    }
    // Tab goes round every page and never stays.
    void tabGoesRound() {
        m_window->activateWindow();
        QTRY_VERIFY(m_window->isActiveWindow());
        for (const Workspace page : kPages) {
            go(page);
            QWidget* first = nullptr;
            for (QWidget* w : view()->page(page)->findChildren<QWidget*>())
                if (!first && w->isVisible() && w->isEnabled() && w->focusPolicy() & Qt::TabFocus)
                    first = w;
            if (!first)
                continue;
            first->setFocus();
            std::set<QWidget*> met;
            QWidget* last = nullptr;
            int same = 0;
            bool round = false;
            for (int i = 0; i < 300 && !round; ++i) {
                QWidget* now = QApplication::focusWidget();
                // A date has parts of its own that Tab walks through, a text its links.
                same = now == last ? same + 1 : 0;
                QVERIFY2(now && same < (now->inherits("QLabel") ? 40 : 5),
                         qPrintable(QString("page %1: Tab stays at %2")
                                        .arg(static_cast<int>(page))
                                        .arg(now ? called(now) : QString("nothing"))));
                round = i > 0 && now == first;
                met.insert(now);
                last = now;
                QTest::keyClick(now, Qt::Key_Tab);
            }
            QVERIFY2(round, qPrintable(QString("page %1: Tab does not come back after %2 widgets")
                                           .arg(static_cast<int>(page))
                                           .arg(met.size())));
        }
    }
};

QTEST_MAIN(TestAccess)
#include "test_access.moc"
