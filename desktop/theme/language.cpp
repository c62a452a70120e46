#include "desktop/theme/language.h"

#include "core/technique/texts.h"
#include "core/words/say.h"

#include <QApplication>
#include <QDate>
#include <QLibraryInfo>
#include <QLocale>
#include <QTranslator>

static void initLanguages() {
    Q_INIT_RESOURCE(languages);
}

namespace riflesso {
namespace {

// Half again as long, as translations from English are.
class Pseudo : public QTranslator {
public:
    [[nodiscard]] bool isEmpty() const override { return false; }
    [[nodiscard]] QString translate(const char* context, const char* source, const char*, int) const override {
        const QString text = QString::fromUtf8(source);
        if (text.trimmed().isEmpty() || QByteArray(context).startsWith('Q')) // Qt's own
            return {};
        QString more;
        while (2 * more.size() < text.size())
            more += " ooo";
        const auto tab = text.indexOf('\t'); // the key of a menu's line
        return "[" + text.left(tab) + more + "]" + (tab < 0 ? QString() : text.mid(tab));
    }
};

// Empty until a language is spoken the first time: English, in the system's numbers.
QString& inUse() {
    static QString code;
    return code;
}

} // namespace

QList<SpokenLanguage> languages() {
    return {{"en", "English"}, {"it", "Italiano"}};
}

QString shippedLanguage(const QString& code) {
    const QString wanted = code == "system" ? QLocale::system().name().section('_', 0, 0) : code;
    for (const auto& l : languages())
        if (l.code == wanted)
            return wanted;
    return wanted == "pseudo" ? wanted : "en";
}

void speakLanguage(const QString& code) {
    initLanguages();
    static QTranslator program, qt;
    static Pseudo pseudo;
    const QString wanted = shippedLanguage(code);
    if (wanted == inUse())
        return;
    for (QTranslator* t : {&program, &qt, static_cast<QTranslator*>(&pseudo)})
        QCoreApplication::removeTranslator(t);
    const bool english = wanted == "en" || wanted == "pseudo";
    if (wanted == "pseudo") {
        QCoreApplication::installTranslator(&pseudo);
    } else if (!english) {
        if (qt.load("qtbase_" + wanted, QLibraryInfo::path(QLibraryInfo::TranslationsPath)))
            QCoreApplication::installTranslator(&qt);
        if (program.load(":/languages/riflesso_" + wanted + ".qm"))
            QCoreApplication::installTranslator(&program);
    }
    // Numbers in fields as in sentences: the system's ways where it speaks this language (or none), else the language's
    // own; English with the day before the month.
    const QLocale system = QLocale::system();
    const QLocale own = english ? QLocale(QLocale::English, QLocale::UnitedKingdom) : QLocale(wanted);
    const bool alike = system.language() == own.language() || (english && system.language() == QLocale::C);
    const QLocale locale = alike ? system : own;
    QLocale::setDefault(locale);
    if (wanted == "en") {
        useLanguage(nullptr);
    } else {
        auto language = std::make_shared<Language>();
        language->said = [](const char* context, const char* text, const char* comment, int n) {
            return QCoreApplication::translate(context, text, comment, n).toStdString();
        };
        language->decimal = english                                      ? '.'
                            : locale.decimalPoint().toLatin1().isEmpty() ? '.'
                                                                         : locale.decimalPoint().toLatin1()[0];
        const QLocale dates = english ? QLocale(QLocale::English) : locale;
        language->day = [dates](std::chrono::sys_days day) {
            const std::chrono::year_month_day ymd(day);
            const QDate date(int(ymd.year()), int(unsigned(ymd.month())), int(unsigned(ymd.day())));
            return dates.toString(date, "ddd d MMM").toStdString();
        };
        useLanguage(std::move(language));
    }
    inUse() = wanted;
}

QString spokenLanguage() {
    return inUse().isEmpty() ? "en" : inUse();
}

QString dateFormat() {
    QString format = QLocale().dateFormat(QLocale::ShortFormat);
    if (!format.contains("yyyy"))
        format.replace("yy", "yyyy");
    return format;
}

Blueprint asSpoken(Blueprint blueprint) {
    return inLanguage(std::move(blueprint), spokenLanguage().toStdString());
}

} // namespace riflesso
