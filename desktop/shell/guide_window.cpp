#include "desktop/shell/guide_window.h"

#include "desktop/theme/language.h"
#include "desktop/theme/theme.h"

#include <QFile>
#include <QHBoxLayout>
#include <QImage>
#include <QRegularExpression>
#include <QTextBlock>
#include <QTextDocument>
#include <QTextList>
#include <QVBoxLayout>

static void initGuide() {
    Q_INIT_RESOURCE(guide_pages);
    Q_INIT_RESOURCE(guide_pictures);
}

namespace riflesso {
namespace {

// Pictures of the views, made by the program's own walk; a page without one has none.
QString pictureOf(const QString& id) {
    const QString file = ":/guide/pictures/" + id + ".png";
    return QFile::exists(file) ? file : QString();
}

} // namespace

QStringList GuideWindow::pages() {
    return {"index",         "first-film",   "how-to-film", "what-plus-minus-means",
            "cautions",      "shelf",        "brief",       "footage",
            "marking",       "mirror",       "findings",    "programme",
            "practice",      "progress",     "handover",    "how-often",
            "own-technique", "two-analysts", "command-line"};
}

QString GuideWindow::pageText(const QString& id) {
    initGuide();
    QFile own(":/guide/" + spokenLanguage() + "/" + id + ".md"), english(":/guide/" + id + ".md");
    QFile& file = own.exists() ? own : english;
    return file.open(QIODevice::ReadOnly) ? QString::fromUtf8(file.readAll()) : QString();
}

QString GuideWindow::titleOf(const QString& id) {
    const QString text = pageText(id);
    return text.startsWith("# ") ? text.mid(2, text.indexOf('\n') - 2) : id;
}

GuideWindow::GuideWindow(QWidget* parent) : QDialog(parent) {
    initGuide();
    setObjectName("guide");
    setWindowTitle(tr("Guide"));
    resize(980, 680);
    m_search = new QLineEdit;
    m_search->setObjectName("guideSearch");
    m_search->setPlaceholderText(tr("Search the guide"));
    m_search->setClearButtonEnabled(true);
    m_search->setAccessibleName(tr("Search the guide"));
    m_list = new QListWidget;
    m_list->setObjectName("guidePages");
    m_list->setAccessibleName(tr("Pages of the guide"));
    for (const auto& id : pages()) {
        auto* item = new QListWidgetItem(titleOf(id), m_list);
        item->setData(Qt::UserRole, id);
        item->setSizeHint(QSize(0, 2 * QFontMetrics(m_list->font()).height()));
    }
    m_text = new QTextBrowser;
    m_text->setObjectName("guideText");
    m_text->setOpenLinks(false);
    m_text->setFont(typeface(Type::body));
    m_text->document()->setDocumentMargin(18);
    auto* side = new QVBoxLayout;
    side->addWidget(m_search);
    side->addWidget(m_list, 1);
    auto* all = new QHBoxLayout(this);
    all->addLayout(side, 1);
    all->addWidget(m_text, 3);
    connect(m_search, &QLineEdit::textChanged, this, &GuideWindow::search);
    connect(m_search, &QLineEdit::returnPressed, this, [this] {
        for (int i = 0; i < m_list->count(); ++i)
            if (!m_list->item(i)->isHidden()) {
                m_list->setCurrentRow(i);
                return;
            }
    });
    connect(m_list, &QListWidget::currentItemChanged, this, [this](QListWidgetItem* item) {
        if (item)
            showPage(item->data(Qt::UserRole).toString());
    });
    connect(m_text, &QTextBrowser::anchorClicked, this,
            [this](const QUrl& link) { showPage(link.path().remove(".md")); });
    showPage("index");
}

void GuideWindow::showPage(const QString& id) {
    const QString text = pageText(id);
    if (text.isEmpty() || id == m_page)
        return;
    m_page = id;
    m_text->setMarkdown(text);
    for (QTextBlock b = m_text->document()->begin(); b.isValid(); b = b.next()) { // air between paragraphs
        QTextBlockFormat format = b.blockFormat();
        format.setTopMargin(format.headingLevel() > 0 ? 4 : 0);
        format.setBottomMargin(b.textList() ? 4 : 10);
        format.setLineHeight(125, QTextBlockFormat::ProportionalHeight);
        QTextCursor(b).setBlockFormat(format);
    }
    if (const QString picture = pictureOf(id); !picture.isEmpty()) {
        QTextCursor end(m_text->document());
        end.movePosition(QTextCursor::End);
        end.insertBlock();
        QImage image(picture);
        m_text->document()->addResource(QTextDocument::ImageResource, QUrl("guide:picture"),
                                        image.scaledToWidth(640, Qt::SmoothTransformation));
        end.insertImage("guide:picture");
    }
    m_text->moveCursor(QTextCursor::Start);
    for (int i = 0; i < m_list->count(); ++i)
        if (m_list->item(i)->data(Qt::UserRole).toString() == id)
            m_list->setCurrentRow(i);
}

// Pages that hold all words stay on the list.
void GuideWindow::search(const QString& words) {
    const QStringList all = words.split(' ', Qt::SkipEmptyParts);
    for (int i = 0; i < m_list->count(); ++i) {
        const QString text = pageText(m_list->item(i)->data(Qt::UserRole).toString());
        bool found = true;
        for (const auto& w : all)
            found = found && text.contains(w, Qt::CaseInsensitive);
        m_list->item(i)->setHidden(!found);
    }
}

} // namespace riflesso
