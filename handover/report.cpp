#include "handover/report.h"

#include "casebook/drawing.h"
#include "casebook/text.h"
#include "files/write_file.h"
#include "footage/film.h"
#include "handover/words.h"

#include <QAbstractTextDocumentLayout>
#include <QBuffer>
#include <QFile>
#include <QPageSize>
#include <QPainter>
#include <QPdfWriter>

#include <algorithm>
#include <cmath>
#include <map>

namespace riflesso {
namespace {

namespace fs = std::filesystem;

QString escaped(const std::string& s) {
    return q(s).toHtmlEscaped();
}

QImage toImage(const Picture& p) {
    return QImage(reinterpret_cast<const uchar*>(p.pixels.data()), p.width, p.height, QImage::Format_RGB32).copy();
}

struct Stills {
    const Take* take = nullptr;
    const Rep* rep = nullptr;
    std::map<PositionId, QImage> at;
};

// The pictures of a rep's key positions, or what went wrong.
std::string readStills(const CaseData& data, Id repId, const fs::path& media, const std::vector<PositionId>& positions,
                       Stills& out) {
    out.rep = &data.reps.at(repId);
    out.take = &data.takes.at(out.rep->take);
    const fs::path file(out.take->film);
    auto film = Film::open(file.is_absolute() ? file : media / file);
    if (!film)
        return film.error().text();
    for (const auto& id : positions)
        if (const auto p = out.rep->positions.find(id); p != out.rep->positions.end()) {
            const auto picture = (*film)->frame(p->second.frame);
            if (!picture)
                return picture.error().text();
            out.at[id] = toImage(*picture);
        }
    return {};
}

// The side-view rep whose most key positions are placed: the one worth showing.
Id repToShow(const CaseData& data, const std::vector<Id>& reps) {
    Id best = 0;
    std::size_t most = 0;
    for (Id id : reps) {
        const Rep& r = data.reps.at(id);
        const bool side = data.takes.at(r.take).view == View::side;
        const std::size_t n = r.positions.size() + (side ? 100 : 0);
        if (n > most) {
            most = n;
            best = id;
        }
    }
    return best;
}

// The key positions where most is to be seen: those whose measures deviate most, in the order of the movement.
std::vector<PositionId> tellingPositions(const Blueprint& b, const Analysis& a, View view, std::size_t most) {
    std::vector<std::pair<double, PositionId>> ranked;
    for (const auto& id : positionsFor(b, view)) {
        double severity = 0;
        for (const auto& d : a.deviations)
            if (const auto& m = b.measure(d.measure)->definition; d.judged && m.view == view && m.at == id)
                severity = std::max(severity, std::abs(d.verdict.severity));
        ranked.emplace_back(severity, id);
    }
    std::stable_sort(ranked.begin(), ranked.end(), [](const auto& x, const auto& y) { return x.first > y.first; });
    ranked.resize(std::min(ranked.size(), most));
    std::vector<PositionId> out;
    for (const auto& [severity, id] : ranked)
        out.push_back(id);
    std::sort(out.begin(), out.end(),
              [&](const auto& x, const auto& y) { return b.positionOrder(x) < b.positionOrder(y); });
    return out;
}

QImage board(const CaseData& data, const Analysis& a, const Blueprint& b, const Stills& athlete, const Stills& model,
             const std::vector<PositionId>& positions) {
    constexpr int kWide = 330, kHigh = 330, kGap = 12, kLine = 46;
    const int n = static_cast<int>(positions.size());
    QImage image(n * kWide + (n - 1) * kGap, 2 * kHigh + kLine, QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter painter(&image);
    const Hues hues = huesFor(false);
    QFont font = painter.font();
    font.setPixelSize(22);
    painter.setFont(font);
    for (int i = 0; i < n; ++i) {
        const int x = i * (kWide + kGap);
        const auto still = [&](const Stills& s, int y, QColor colour) {
            const auto it = s.at.find(positions[static_cast<std::size_t>(i)]);
            if (it == s.at.end() || !s.rep)
                return;
            const auto points = pointsAt(data, a, s.take->id, s.rep->positions.at(it->first).frame);
            drawStill(painter, QRectF(x, y, kWide, kHigh), it->second, bodyBox(points, it->second.size(), 1.0), points,
                      s.take->facing, colour);
        };
        still(athlete, 0, hues.athleteOnPicture);
        still(model, kHigh + kLine, hues.modelOnPicture);
        painter.setPen(QColor("#1c2429"));
        painter.drawText(QRect(x, kHigh, kWide, kLine), Qt::AlignCenter,
                         q(b.position(positions[static_cast<std::size_t>(i)])->name));
    }
    painter.setPen(QPen(QColor("#7f8b92"), 2));
    painter.drawLine(0, kHigh + 3, image.width(), kHigh + 3);
    return image;
}

QString measureRow(const Blueprint& b, const Deviation& d) {
    const auto& m = *b.measure(d.measure);
    const QString value = d.value.reps > 0 ? escaped(valueWords(m.definition, d.value)) : QString("&ndash;");
    const QString band = d.judged ? escaped(bandWords(m.definition, d.band)) : QString("&ndash;");
    const char* mark = !d.judged                                 ? ""
                       : d.verdict.decision == Decision::inside  ? "&#9675;"
                       : d.verdict.decision == Decision::outside ? "&#9679;"
                                                                 : "&#9680;";
    return QString("<tr><td>%1</td><td align=right>%2</td><td align=right>%3</td><td>%4 %5</td></tr>")
        .arg(escaped(m.definition.name), value, band, mark,
             escaped(d.judged ? directionWords(m, d) : "not judged: " + d.reason));
}

QString pageOne(const CaseData& data, const Blueprint& b, const Analysis& a, bool pictures) {
    const auto& j = a.judgement;
    QString h;
    h += QString("<h1>%1 &middot; %2</h1>").arg(escaped(data.brief.athlete.name), escaped(b.name));
    h +=
        QString("<p class=quiet>Goal: %1. Film of %2, %3 reps. Bands: %4.</p>")
            .arg(escaped(data.brief.goal), a.judgedDay ? q(isoDate(*a.judgedDay)) : QString("no date"))
            .arg(a.athleteReps.size())
            .arg(data.brief.school.empty() ? QString("common to all schools") : "school " + escaped(data.brief.school));
    if (const std::string marks = marksWords(data, a); !marks.empty())
        h += QString("<p class=quiet>Read from %1.%2</p>")
                 .arg(escaped(marks), std::any_of(a.deviations.begin(), a.deviations.end(),
                                                  [](const Deviation& d) { return d.value.drafts > 0; })
                                          ? QString(" Values called draft rest on what the machine found; nobody has "
                                                    "checked those marks.")
                                          : QString());
    h += "<h2>What is good</h2><ul>";
    for (const auto& s : j.strengths) {
        const auto& d = b.measure(s.measure)->definition;
        h += QString("<li>%1: %2</li>").arg(escaped(d.name), escaped(valueWords(d, a.deviation(s.measure)->value)));
    }
    if (j.strengths.empty())
        h += "<li>Nothing is measured yet.</li>";
    h += "</ul>";
    if (pictures)
        h += "<p class=quiet>Above the line: you. Below it: the model, at the same moments of the movement.</p><p "
             "align=center><img src=\"picture:board\" width=\"660\"></p>";
    h += "<h2>Work on this</h2>";
    if (j.focus.empty())
        h += "<p>No finding is sure enough to work on.</p>";
    for (const auto& id : j.focus) {
        const Finding* f = a.finding(id);
        const Fault& fault = *b.fault(id);
        h += QString("<p><b>%1.</b> %2 <b>&ldquo;%3&rdquo;</b></p>")
                 .arg(escaped(fault.name), escaped(fault.why), escaped(fault.cue));
        if (!f) { // taken up, and this film does not find it
            for (const auto& d : a.decided)
                if (d.decision.fault == id)
                    h += QString("<p class=quiet>%1</p>").arg(escaped(d.words));
            continue;
        }
        for (std::size_t i = 0; i < f->evidence.size() && i < 2; ++i)
            h += QString("<p class=quiet>%1</p>").arg(escaped(deviationWords(b, *a.deviation(f->evidence[i]))));
        h += QString("<p class=quiet>Why it comes first: %1.</p>").arg(escaped(whyWords(b, *f)));
        if (!fault.caution.empty())
            h += QString("<p class=caution>Caution: %1</p>").arg(escaped(fault.caution));
    }
    if (!j.expectedToFollow.empty()) {
        QStringList names;
        for (const auto& id : j.expectedToFollow)
            names << escaped(b.fault(id)->name);
        h += QString("<p>Expected to go with it, so leave alone for now: %1.</p>").arg(names.join(", "));
    }
    if (const auto steady = steadyWords(b, a); !steady.empty()) {
        h += "<h2>Steady or not</h2><ul>";
        for (const auto& line : steady)
            h += QString("<li>%1</li>").arg(escaped(line));
        h += "</ul>";
    }
    if (!a.guesses.empty()) {
        h += "<h2>Felt and filmed</h2><ul>";
        for (const auto& g : a.guesses)
            h += QString("<li>%1</li>").arg(escaped(guessWords(b, g)));
        h += "</ul>";
    }
    return h;
}

// A kept plan may hold a drill that the blueprint no longer has.
std::string nameOf(const Blueprint& b, const std::string& drill) {
    const Drill* d = b.drill(drill);
    return d ? d->name : drill;
}

QString pageTwo(const Blueprint& b, const Analysis& a) {
    QString h = "<h2 class=newpage style=\"page-break-before:always\">Drills, in this order</h2><table width=\"100%\" "
                "cellspacing=0 cellpadding=3>";
    for (const auto& id : a.plan.ladder) {
        const Drill& d = *b.drill(id);
        // The athlete takes home what these two weeks hold, not the whole ladder.
        if (std::none_of(a.plan.blocks.begin(), a.plan.blocks.end(),
                         [&](const PlannedBlock& p) { return p.drill == id; }))
            continue;
        h +=
            QString("<tr><td width=\"27%\"><b>%1</b><br><span class=quiet>%2, %3</span></td><td>%4 "
                    "<b>&ldquo;%5&rdquo;</b>%6</td></tr>")
                .arg(escaped(d.name), escaped(std::string(kStageNames[static_cast<std::size_t>(d.stage)])),
                     escaped(doseWords(d.dose)), escaped(d.how), escaped(d.cue),
                     d.caution.empty() ? QString()
                                       : QString("<br><span class=caution>Caution: %1</span>").arg(escaped(d.caution)));
    }
    h += "</table><h2>The next two weeks</h2>";
    if (!a.plan.infeasible.empty())
        h += QString("<p>%1</p>").arg(escaped(a.plan.infeasible));
    QStringList days;
    Day last{};
    std::map<std::string, QStringList> home; // by drill: the days
    for (const auto& block : a.plan.blocks) {
        // A kept plan may go on for months; what is further off changes before it comes.
        if (block.day >= a.plan.blocks.front().day + std::chrono::days(14))
            break;
        if (block.home()) {
            home[block.drill] << q(dayWords(block.day));
            continue;
        }
        const QString what = QString("%1 (%2 min)").arg(escaped(nameOf(b, block.drill))).arg(block.minutes);
        if (!days.isEmpty() && block.day == last)
            days.last() += ", " + what;
        else
            days << QString("<b>%1</b>: %2").arg(q(dayWords(block.day)), what);
        last = block.day;
    }
    h += "<p>" + days.join("<br>") + "</p>";
    for (const auto& [drill, when] : home)
        h += QString("<p>Two minutes at home: %1 (%2).</p>").arg(escaped(nameOf(b, drill)), when.join(", "));
    for (const auto& n : a.plan.notes)
        h += QString("<p>%1</p>").arg(escaped(n));
    h += "<h2>All measures</h2><table width=\"100%\" cellspacing=0 cellpadding=1><tr><th align=left>Measure</th><th "
         "align=right>Value &plusmn; u</th><th align=right>Band</th><th align=left></th></tr>";
    for (const auto& d : a.deviations)
        h += measureRow(b, d);
    h += "</table><p class=quiet>&#9675; inside the band, &#9679; outside, &#9680; undecided. u is the standard "
         "uncertainty from the marks and from the instant of the key position.</p>";
    QStringList cautions;
    for (const auto& c : b.cautions)
        cautions << escaped(c);
    h += QString("<p class=caution>%1</p>").arg(cautions.join(" "));
    return h;
}

constexpr const char* kStyle =
    "h1{font-size:17pt;margin:0 0 2pt 0} h2{font-size:11.5pt;margin:9pt 0 3pt 0;color:#1b6587} "
    "p,li,td,th{font-size:8.5pt;margin:2pt 0} ul{margin:2pt 0} .quiet{color:#4d5960;font-size:8pt} "
    ".caution{color:#7a3a10;font-size:8pt}";

} // namespace

ReportContent gatherReport(const CaseData& data, const Blueprint& b, const Analysis& a, const fs::path& media) {
    ReportContent content;
    content.title = q(data.brief.athlete.name + ", " + b.name);
    Stills athlete, model;
    const auto positions = tellingPositions(b, a, View::side, 4); // four fill the width of the page
    const Id own = repToShow(data, a.athleteReps), other = repToShow(data, a.modelReps);
    if (own)
        content.problem = readStills(data, own, media, positions, athlete);
    if (other && content.problem.empty())
        content.problem = readStills(data, other, media, positions, model);
    const bool pictures = !athlete.at.empty();
    if (pictures)
        content.pictures["board"] = board(data, a, b, athlete, model, positions);
    content.html = pageOne(data, b, a, pictures);
    if (!content.problem.empty())
        content.html += QString("<p class=caution>Pictures are missing: %1</p>").arg(escaped(content.problem));
    content.html += pageTwo(b, a);
    return content;
}

ReportContent gatherReport(const Casebook& book) {
    return gatherReport(book.data(), book.blueprint(), book.analysis(), book.library().media());
}

std::unique_ptr<QTextDocument> reportDocument(const ReportContent& content, int dpi) {
    auto document = std::make_unique<QTextDocument>();
    for (const auto& [name, image] : content.pictures)
        document->addResource(QTextDocument::ImageResource, QUrl("picture:" + name), image);
    document->setDefaultStyleSheet(kStyle);
    QFont font("Lato");
    font.setPointSizeF(8.5);
    document->setDefaultFont(font);
    document->setDocumentMargin(0);
    document->setHtml("<body>" + content.html + "</body>");
    document->setPageSize(QSizeF(178.0 / 25.4 * dpi, 265.0 / 25.4 * dpi));
    return document;
}

Status writeReport(const ReportContent& content, const fs::path& folder) {
    std::error_code ec;
    fs::create_directories(folder, ec);
    if (ec)
        return Error{"the folder cannot be made (" + ec.message() + ")",
                     folder.filename().string(),
                     "no report was written",
                     {}};
    QByteArray pdf;
    {
        QBuffer buffer(&pdf);
        buffer.open(QIODevice::WriteOnly);
        QPdfWriter writer(&buffer);
        writer.setTitle(content.title);
        writer.setCreator("Riflesso");
        writer.setPageSize(QPageSize(QPageSize::A4));
        writer.setPageMargins(QMarginsF(16, 16, 16, 16), QPageLayout::Millimeter);
        constexpr int kDpi = 96; // the document's own measure; the writer scales it
        writer.setResolution(kDpi);
        auto document = reportDocument(content, kDpi);
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
    }
    QString html = content.html;
    for (const auto& [name, image] : content.pictures) {
        QByteArray bytes;
        QBuffer buffer(&bytes);
        buffer.open(QIODevice::WriteOnly);
        image.save(&buffer, "JPG", 88);
        html.replace("picture:" + name, "data:image/jpeg;base64," + bytes.toBase64());
    }
    html = QString("<!doctype html><html lang=en><head><meta "
                   "charset=utf-8><title>%1</title><style>body{font-family:Lato,sans-serif;max-width:52em;margin:2em "
                   "auto;padding:0 1em;"
                   "color:#1c2429;line-height:1.4} table{border-collapse:collapse} td,th{border-bottom:1px solid "
                   "#d5dbde;vertical-align:top} img{width:100%;height:auto} "
                   "p,li,td,th{font-size:15px!important} .quiet,.caution{font-size:14px!important} "
                   "h1{font-size:26px!important} h2{font-size:19px!important} %2</style></head><body>%3</body></html>")
               .arg(content.title.toHtmlEscaped(), kStyle, html);
    // Both or neither: a new PDF beside an old page would contradict it.
    const QByteArray page = html.toUtf8();
    const fs::path pdfPath = folder / "report.pdf", pagePath = folder / "report.html";
    const auto before = readFile(pdfPath);
    if (const auto s = writeFile(pdfPath, {pdf.constData(), static_cast<std::size_t>(pdf.size())}); !s)
        return s;
    if (const auto s = writeFile(pagePath, {page.constData(), static_cast<std::size_t>(page.size())}); !s) {
        if (!before || !writeFile(pdfPath, *before))
            fs::remove(pdfPath, ec);
        return s;
    }
    return Done{};
}

} // namespace riflesso
