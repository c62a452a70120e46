#pragma once
/// \file
/// One text with pictures, for paper (PDF) and as one self-contained HTML file.

#include "core/motion/result.h"

#include <QByteArray>
#include <QImage>
#include <QString>
#include <QTextDocument>

#include <filesystem>
#include <map>
#include <memory>
#include <string>

namespace riflesso {

/// A plain value that may go to a worker thread. Text of users is escaped by whoever makes it: escaped().
struct PaperContent {
    QString html; ///< body with pictures as <img src="picture:NAME">
    std::map<QString, QImage> pictures;
    std::map<QString, QByteArray> clips{}; ///< MP4 files by title; only on the HTML page, muted, round and round
    QString title;
    std::string problem{}; ///< a film that could not be opened; what lacks its pictures says so
};

struct PaperOptions {
    bool letter = false;   ///< US Letter instead of A4
    double textSize = 1.0; ///< 1 to 1.5
};

QString escaped(const std::string& utf8);

/// As it prints, at \p dpi. Owns its pictures.
std::unique_ptr<QTextDocument> paperDocument(const PaperContent& content, const PaperOptions& options, int dpi);
QByteArray paperPdf(const PaperContent& content, const PaperOptions& options);
/// \p phone: one narrow column with large print.
QByteArray paperHtml(const PaperContent& content, bool phone = false);

/// Writes NAME.pdf and NAME.html into \p folder, which is made when it is not there. Both appear whole, or neither
/// changes.
Status writePaper(const PaperContent& content, const PaperOptions& options, const std::filesystem::path& folder,
                  const std::string& name);

} // namespace riflesso
