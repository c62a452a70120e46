#pragma once
/// \file
/// The report: two pages of PDF and one self-contained HTML file, with the athlete's own pictures.

#include "casebook/casebook.h"

#include <QImage>
#include <QString>
#include <QTextDocument>

#include <filesystem>
#include <map>
#include <memory>

namespace riflesso {

/// Everything the report shows; a plain value that may go to a worker thread.
struct ReportContent {
    QString html; ///< body with pictures as <img src="picture:NAME">
    std::map<QString, QImage> pictures;
    QString title;
    std::string problem; ///< a film that could not be opened; the report then lacks its pictures and says so
};

/// Opens the films of the judged and the model's rep for their stills. Takes a moment; needs no interface thread.
ReportContent gatherReport(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                           const std::filesystem::path& media);
ReportContent gatherReport(const Casebook& book);

/// The report as it prints: A4 at \p dpi. Owns its pictures.
std::unique_ptr<QTextDocument> reportDocument(const ReportContent& content, int dpi);

/// Writes report.pdf and report.html into \p folder. Both appear whole or not at all.
Status writeReport(const ReportContent& content, const std::filesystem::path& folder);

} // namespace riflesso
