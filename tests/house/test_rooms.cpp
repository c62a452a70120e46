// The rooms' arrows point one way. Reads every #include of the project and fails when one runs against the plan.

#include <QDirIterator>
#include <QFile>
#include <QRegularExpression>
#include <QTest>

#include <map>
#include <set>

namespace {

using Rooms = std::set<QString>;

// What each room may include, itself apart. docs/ARCHITECTURE.md holds the same table for people.
const std::map<QString, Rooms>& plan() {
    static const std::map<QString, Rooms> rooms = [] {
        std::map<QString, Rooms> r;
        r["core/statistics"] = {};
        r["core/words"] = {"core/statistics"};
        r["core/motion"] = {"core/statistics", "core/words"};
        // Within core/ each room may include the one before and whatever that one may.
        const QStringList line = {"core/motion", "core/measure",   "core/technique", "core/mirror",
                                  "core/judge",  "core/programme", "core/progress"};
        for (int i = 1; i < line.size(); ++i) {
            r[line[i]] = r[line[i - 1]];
            r[line[i]].insert(line[i - 1]);
        }
        Rooms core = r["core/progress"];
        core.insert("core/progress");
        const auto with = [](Rooms a, std::initializer_list<QString> more) {
            a.insert(more);
            return a;
        };
        r["files"] = {"core/motion", "core/words"}; // nothing but the words of errors
        r["footage"] = {"core/motion", "core/statistics", "core/words", "files"};
        r["finder"] = {"core/motion", "core/statistics", "core/words"};
        r["library"] = with(core, {"files"});
        r["intake"] = with(core, {"files", "library", "footage", "finder"});
        r["casebook"] = with(core, {"files", "library"});
        r["reading"] = with(core, {"files", "library", "footage", "finder", "intake", "casebook"});
        r["simulator"] = {"core/motion", "core/statistics", "files", "footage"};
        r["handover"] = with(core, {"files", "library", "casebook", "footage"});
        r["demo"] = with(core, {"files", "library", "casebook", "simulator", "footage"});
        r["cli"] = with(core, {"files", "library", "casebook", "simulator", "footage", "finder", "intake", "handover",
                               "demo", "reading"});
        r["desktop"] = r["cli"];
        r["bench"] = with(r["cli"], {"desktop"});
        return r;
    }();
    return rooms;
}

QString roomOf(const QString& path) {
    const QStringList parts = path.split('/');
    return parts[0] == "core" && parts.size() > 1 ? "core/" + parts[1] : parts[0];
}

// Floors of the window, lowest first; every other folder of desktop/ is a page, which no other page may include.
int floorOf(const QString& path) {
    static const QStringList low = {"theme", "parts", "workbench"};
    const QString folder = path.section('/', 1, 1);
    return folder == "shell" ? 4 : low.contains(folder) ? int(low.indexOf(folder)) : 3;
}

struct Include {
    QString file, target;
    int line;
};

std::vector<Include> includesOf(const QString& relative, const QByteArray& text) {
    static const QRegularExpression pattern("^\\s*#\\s*include\\s*[<\"]([^>\"]+)[>\"]",
                                            QRegularExpression::MultilineOption);
    std::vector<Include> out;
    const QString source = QString::fromUtf8(text);
    auto it = pattern.globalMatch(source);
    while (it.hasNext()) {
        const auto m = it.next();
        out.push_back({relative, m.captured(1), static_cast<int>(source.left(m.capturedStart()).count('\n')) + 1});
    }
    return out;
}

// Empty when the include is allowed, else why not.
QString complaint(const Include& i) {
    const QString from = roomOf(i.file);
    if (from == "tests")
        return {};
    if (!plan().contains(from))
        return "the room " + from + " is not in the plan";
    const QString to = roomOf(i.target);
    if (plan().contains(to) && i.target.contains('/')) {
        if (from == "desktop" && to == "desktop") {
            const bool samePage = i.file.section('/', 1, 1) == i.target.section('/', 1, 1);
            return samePage || floorOf(i.target) < floorOf(i.file)
                       ? QString()
                       : i.file + " may not look up or beside it: " + i.target;
        }
        if (to == from || plan().at(from).contains(to))
            return {};
        return from + " may not include " + to;
    }
    if (i.target.startsWith("tests/"))
        return "the product may not include tests";
    static const QRegularExpression interface(
        "^(Q[A-Z]|Qt|opencv|libav|libsw|sqlite|nlohmann|CLI/|filesystem$|fstream$)");
    if (from.startsWith("core/") && interface.match(i.target).hasMatch())
        return "core/ knows no interface, files or codecs: " + i.target;
    static const QRegularExpression widgets("^(QWidget|QtWidgets|QApplication|QMainWindow|QDialog|QLabel|QPushButton)");
    if (from != "desktop" && from != "bench" && widgets.match(i.target).hasMatch())
        return from + " knows no widgets: " + i.target;
    if (from != "footage" && i.target.startsWith("libav"))
        return "codecs live in footage/";
    if (from != "library" && i.target.startsWith("QSql"))
        return "the database lives in library/";
    return {};
}

// The longest block that ends with a } of its own: functions, and loops at the same depth. Lines, and where it begins.
// Reads clang-format's layout: what a block belongs to stands above it, no deeper than its closing brace.
std::pair<int, int> longestBlock(const QByteArray& text) {
    const auto lines = text.split('\n');
    std::map<qsizetype, int> begun; // by depth: the last line that stood there
    std::pair<int, int> longest{0, 0};
    for (int i = 0; i < lines.size(); ++i) {
        const QByteArray line = lines[i].trimmed();
        if (line.isEmpty() || line.startsWith('#'))
            continue;
        const qsizetype depth = lines[i].indexOf(line);
        if (line == "}" && begun.contains(depth))
            longest = std::max(longest, {i - begun[depth] + 1, begun[depth] + 1});
        else
            begun[depth] = i;
    }
    return longest;
}

// Every source of the product, from the project's folder.
QStringList sources() {
    QStringList out;
    for (const char* top : {"core", "files", "footage", "finder", "library", "intake", "casebook", "reading",
                            "simulator", "handover", "demo", "cli", "desktop", "bench"}) {
        QDirIterator it(QString(RIFLESSO_SOURCE_DIR) + "/" + top, {"*.h", "*.cpp"}, QDir::Files,
                        QDirIterator::Subdirectories);
        while (it.hasNext())
            out << QDir(RIFLESSO_SOURCE_DIR).relativeFilePath(it.next());
    }
    return out;
}
QByteArray textOf(const QString& source) {
    QFile file(QString(RIFLESSO_SOURCE_DIR) + "/" + source);
    return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray();
}

} // namespace

class TestRooms : public QObject {
    Q_OBJECT
private slots:
    void arrowsPointOneWay() {
        QStringList wrong;
        const QStringList files = sources();
        for (const QString& file : files)
            for (const auto& i : includesOf(file, textOf(file)))
                if (const QString why = complaint(i); !why.isEmpty())
                    wrong << QString("%1:%2: %3").arg(i.file).arg(i.line).arg(why);
        QVERIFY(files.size() > 80); // it really read the tree
        QVERIFY2(wrong.isEmpty(), qPrintable(wrong.join('\n')));
    }
    void theCheckCanFail() {
        QVERIFY(!complaint({"core/motion/x.h", "core/measure/evaluate.h", 1}).isEmpty());
        QVERIFY(!complaint({"core/judge/x.cpp", "QString", 1}).isEmpty());
        QVERIFY(!complaint({"core/judge/x.cpp", "fstream", 1}).isEmpty());
        QVERIFY(!complaint({"library/x.cpp", "casebook/casebook.h", 1}).isEmpty());
        QVERIFY(!complaint({"casebook/x.cpp", "QWidget", 1}).isEmpty());
        QVERIFY(!complaint({"cli/x.cpp", "desktop/theme/theme.h", 1}).isEmpty());
        QVERIFY(!complaint({"simulator/x.cpp", "library/library.h", 1}).isEmpty());
        QVERIFY(!complaint({"desktop/x.cpp", "libavcodec/avcodec.h", 1}).isEmpty());
        QVERIFY(!complaint({"desktop/x.cpp", "QSqlQuery", 1}).isEmpty());
        QVERIFY(!complaint({"desktop/parts/x.h", "desktop/workbench/workbench.h", 1}).isEmpty());
        QVERIFY(!complaint({"desktop/mirror/x.h", "desktop/findings/set_table.h", 1}).isEmpty());
        QVERIFY(complaint({"desktop/shell/x.h", "desktop/findings/set_table.h", 1}).isEmpty());
        QVERIFY(complaint({"desktop/mirror/x.h", "desktop/mirror/board.h", 1}).isEmpty());
        QVERIFY(!complaint({"desktop/x.cpp", "tests/support/python.h", 1}).isEmpty());
        QVERIFY(complaint({"core/judge/x.cpp", "core/mirror/reference.h", 1}).isEmpty());
        QVERIFY(complaint({"core/judge/x.cpp", "core/statistics/summary.h", 1}).isEmpty());
        QVERIFY(complaint({"desktop/x.cpp", "handover/words.h", 1}).isEmpty());
        QCOMPARE(includesOf("f", "#include <a>\n  # include \"b/c.h\"\n").size(), std::size_t(2));
    }
    void filesAndFunctionsStayShort() {
        const Rooms tables = {"casebook/word_list.cpp", "casebook/measure_words.cpp"}; // plain tables may be long
        QStringList wrong;
        for (const QString& file : sources()) {
            const QByteArray text = textOf(file);
            const auto [lines, from] = longestBlock(text);
            if (lines > 100 && !tables.contains(file))
                wrong << QString("%1:%2: %3 lines in one function").arg(file).arg(from).arg(lines);
            if (const auto all = text.count('\n'); all > 600)
                wrong << QString("%1: %2 lines").arg(file).arg(all);
        }
        QVERIFY2(wrong.isEmpty(), qPrintable(wrong.join('\n')));
        QCOMPARE(longestBlock("void a() {\n    b();\n}\nint c(int d,\n      int e) {\n    f();\n\n    g();\n}\n"),
                 std::pair(6, 4));
    }
    // Whoever changes a value's meaning finds its test by its header's name.
    void everyHeaderOfTheHeartIsNamedByATest() {
        std::set<QString> named;
        QDirIterator tests(QString(RIFLESSO_SOURCE_DIR) + "/tests", {"*.cpp", "*.h"}, QDir::Files,
                           QDirIterator::Subdirectories);
        while (tests.hasNext()) {
            QFile file(tests.next());
            QVERIFY(file.open(QIODevice::ReadOnly));
            for (const auto& i : includesOf(file.fileName(), file.readAll()))
                named.insert(i.target);
        }
        QStringList missing;
        int seen = 0;
        for (const QString& file : sources()) {
            const QString room = file.section('/', 0, 0);
            if (!file.endsWith(".h") || (room != "core" && room != "library" && room != "casebook"))
                continue;
            ++seen;
            if (!named.contains(file))
                missing << file;
        }
        QVERIFY(seen > 80);
        QVERIFY2(missing.isEmpty(), qPrintable(missing.join("\n")));
    }
    void picturesAndPagesAgree() {
        // Each picture in docs/screenshots is linked from the README, and there are fewer than twenty.
        QFile readme(QString(RIFLESSO_SOURCE_DIR) + "/README.md");
        QVERIFY(readme.open(QIODevice::ReadOnly));
        const QByteArray text = readme.readAll();
        const auto pictures =
            QDir(QString(RIFLESSO_SOURCE_DIR) + "/docs/screenshots").entryList({"*.png"}, QDir::Files);
        QVERIFY(pictures.size() >= 9 && pictures.size() < 20);
        for (const auto& p : pictures)
            QVERIFY2(text.contains("docs/screenshots/" + p.toUtf8()), qPrintable(p));
    }
};
QTEST_GUILESS_MAIN(TestRooms)
#include "test_rooms.moc"
