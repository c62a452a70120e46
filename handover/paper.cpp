#include "handover/paper.h"

#include "core/words/say.h"
#include "files/write_file.h"
#include "handover/pictures.h"

#include <QBuffer>
#include <QPageSize>
#include <QPainter>
#include <QPdfWriter>

#include <algorithm>

namespace riflesso {
namespace {

namespace fs = std::filesystem;

constexpr double kMargin = 16.0; // mm
constexpr int kDpi = 96;         // the document's own measure; the writer scales it

// Sizes of print, in pt, each times the reader's wish.
QString styleOf(double size) {
    const auto pt = [&](double v) { return QString::number(v * size, 'f', 1) + "pt"; };
    return QString("h1{font-size:%1;margin:0 0 2pt 0} h2{font-size:%2;margin:9pt 0 3pt 0;color:#1b6587} "
                   "p,li,td,th{font-size:%3;margin:2pt 0} ul{margin:2pt 0} .quiet{color:#4d5960;font-size:%4} "
                   ".caution{color:#7a3a10;font-size:%4}")
        .arg(pt(17.0), pt(11.5), pt(8.5), pt(8.0));
}

} // namespace

QString escaped(const std::string& utf8) {
    return QString::fromStdString(utf8).toHtmlEscaped();
}

std::unique_ptr<QTextDocument> paperDocument(const PaperContent& content, const PaperOptions& options, int dpi) {
    auto document = std::make_unique<QTextDocument>();
    for (const auto& [name, image] : content.pictures)
        document->addResource(QTextDocument::ImageResource, QUrl("picture:" + name), image);
    const double size = std::clamp(options.textSize, 1.0, 1.5);
    document->setDefaultStyleSheet(styleOf(size));
    QFont font("Lato");
    font.setPointSizeF(8.5 * size);
    document->setDefaultFont(font);
    document->setDocumentMargin(0);
    document->setHtml("<body>" + content.html + "</body>");
    const QSizeF sheet = QPageSize(options.letter ? QPageSize::Letter : QPageSize::A4).size(QPageSize::Millimeter) -
                         QSizeF(2 * kMargin, 2 * kMargin);
    document->setPageSize(sheet / 25.4 * dpi);
    return document;
}

QByteArray paperPdf(const PaperContent& content, const PaperOptions& options) {
    QByteArray pdf;
    QBuffer buffer(&pdf);
    buffer.open(QIODevice::WriteOnly);
    QPdfWriter writer(&buffer);
    writer.setTitle(content.title);
    writer.setCreator("Riflesso");
    writer.setPageSize(QPageSize(options.letter ? QPageSize::Letter : QPageSize::A4));
    writer.setPageMargins(QMarginsF(kMargin, kMargin, kMargin, kMargin), QPageLayout::Millimeter);
    writer.setResolution(kDpi);
    auto document = paperDocument(content, options, kDpi);
    document->setPageSize(QSizeF(writer.width(), writer.height()));
    QPainter painter(&writer);
    for (int page = 0; page < document->pageCount(); ++page) {
        if (page > 0)
            writer.newPage();
        painter.save();
        painter.translate(0, -page * document->pageSize().height());
        const QRectF sheet(0, page * document->pageSize().height(), document->pageSize().width(),
                           document->pageSize().height());
        painter.setClipRect(sheet);
        document->drawContents(&painter, sheet);
        painter.restore();
    }
    painter.end();
    return pdf;
}

QByteArray paperHtml(const PaperContent& content, bool phone) {
    QString html = content.html;
    for (const auto& [name, image] : content.pictures)
        html.replace("picture:" + name, "data:image/jpeg;base64," + encoded(image, "JPG", 88).toBase64());
    if (!content.clips.empty()) {
        html += "<h2>In motion</h2>";
        for (const auto& [title, bytes] : content.clips)
            html += QString("<p class=quiet>%1</p><video muted loop autoplay playsinline controls "
                            "src=\"data:video/mp4;base64,%2\"></video>")
                        .arg(title.toHtmlEscaped(), QString::fromLatin1(bytes.toBase64()));
    }
    return QString("<!doctype html><html lang=en><head><meta charset=utf-8><meta name=viewport "
                   "content=\"width=device-width\"><title>%1</title><style>body{font-family:Lato,sans-serif;"
                   "max-width:%4em;margin:2em auto;padding:0 1em;color:#1c2429;line-height:1.4} "
                   "table{border-collapse:collapse} td,th{border-bottom:1px solid #d5dbde;vertical-align:top} "
                   "img,video{width:100%;height:auto} "
                   "p,li,td,th{font-size:%5px!important} .quiet,.caution{font-size:14px!important} "
                   "h1{font-size:26px!important} h2{font-size:19px!important} %2</style></head><body>%3</body></html>")
        .arg(content.title.toHtmlEscaped(), styleOf(1.0), html, QString::number(phone ? 24 : 52),
             QString::number(phone ? 18 : 15))
        .toUtf8();
}

Status writePaper(const PaperContent& content, const PaperOptions& options, const fs::path& folder,
                  const std::string& name) {
    std::error_code ec;
    fs::create_directories(folder, ec);
    if (ec)
        return Error{fill(say("error", "the folder cannot be made (%1)"), {ec.message()}),
                     folder.filename().string(),
                     "nothing was written",
                     {}};
    const QByteArray pdf = paperPdf(content, options), page = paperHtml(content);
    // Both or neither: a new PDF beside an old page would contradict it.
    const fs::path pdfPath = folder / (name + ".pdf"), pagePath = folder / (name + ".html");
    const auto before = readFile(pdfPath);
    if (const auto s = writeBytes(pdfPath, pdf); !s)
        return s;
    if (const auto s = writeBytes(pagePath, page); !s) {
        if (!before || !writeFile(pdfPath, *before))
            fs::remove(pdfPath, ec);
        return s;
    }
    return Done{};
}

} // namespace riflesso
