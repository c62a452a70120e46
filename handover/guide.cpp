#include "handover/guide.h"

#include "core/words/say.h"

#include "casebook/drawing.h"
#include "casebook/text.h"
#include "handover/clip.h"
#include "handover/words.h"

#include <QPainter>

namespace riflesso {
namespace {

// A picture as a blueprint keeps it: "data:image/jpeg;base64,…".
QImage kept(const std::string& data) {
    const QByteArray text = QByteArray::fromStdString(data);
    const auto comma = text.indexOf(',');
    return comma < 0 ? QImage() : QImage::fromData(QByteArray::fromBase64(text.mid(comma + 1)));
}

QString targetWords(const Blueprint& b, const BlueprintMeasure& m) {
    QStringList out;
    for (const auto& t : m.targets) {
        Band band;
        band.lo = t.lo;
        band.hi = t.hi;
        QString one = t.source == TargetSource::model
                          ? says("report", "as the model, within %1").arg(q(numberWords(m.definition, t.floor)))
                          : q(bandWords(m.definition, band));
        for (const auto& s : b.schools)
            if (s.id == t.school)
                one += " (" + escaped(s.name) + ")";
        for (const auto& s : b.situations)
            if (s.id == t.situation)
                one += " (" + escaped(s.name) + ")";
        out << one + ", <span class=quiet>" + escaped(word(kTargetSourceNames[static_cast<std::size_t>(t.source)])) +
                   (t.note.empty() ? QString() : ": " + escaped(t.note)) + "</span>";
    }
    return out.join("<br>");
}

} // namespace

QImage positionStill(Picture picture, const std::map<LandmarkName, Pixel>& points) {
    constexpr int kSide = 330; // px
    QImage still(kSide, kSide, QImage::Format_RGB32);
    QPainter p(&still);
    std::map<LandmarkName, QPointF> body;
    for (const auto& [name, at] : points)
        body[name] = {at.x, at.y};
    const QSizeF size(picture.width, picture.height);
    drawStill(p, QRectF(0, 0, kSide, kSide), imageOf(std::move(picture)), bodyBox(body, size, 1.0), body, Facing::right,
              huesFor(false).modelOnPicture);
    return still;
}

PaperContent techniqueGuide(const Blueprint& b, const std::map<PositionId, QImage>& pictures) {
    PaperContent content;
    content.title = q(b.name);
    QString h =
        says("report", "<h1>%1</h1><p class=quiet>Version %2. Key positions, what is looked at, what goes wrong, what "
                       "helps.</p>")
            .arg(escaped(b.name))
            .arg(b.version);
    for (const auto& c : b.cautions)
        h += QString("<p class=caution>%1</p>").arg(escaped(c));
    if (!b.schools.empty()) {
        h += says("report", "<h2>Schools</h2>");
        for (const auto& s : b.schools)
            h += QString("<p><b>%1.</b> %2</p>").arg(escaped(s.name), escaped(s.words));
    }
    h += says("report", "<h2>Key positions</h2><table width=\"100%\" cellspacing=0 cellpadding=4>");
    int number = 0;
    for (const auto& p : b.positions) {
        QImage image;
        if (const auto it = pictures.find(p.id); it != pictures.end())
            image = it->second;
        if (image.isNull() && !p.picture.empty())
            image = kept(p.picture);
        QString cell;
        if (!image.isNull()) {
            const QString name = "position-" + q(p.id);
            content.pictures[name] = image;
            cell = QString("<img src=\"picture:%1\" width=\"150\">").arg(name.toHtmlEscaped());
        }
        QStringList looks;
        for (const auto& c : b.checkpoints)
            if (c.at == p.id)
                looks << says("report", "By eye: ") + escaped(c.question);
        for (const auto& m : b.measures)
            if (m.definition.at == p.id)
                looks << escaped(m.definition.name) + ": " + targetWords(b, m);
        h += QString("<tr><td width=\"26%\">%1</td><td><b>%2. %3</b><br>%4%5</td></tr>")
                 .arg(cell)
                 .arg(++number)
                 .arg(escaped(p.name), escaped(p.words), looks.isEmpty() ? QString() : "<br>" + looks.join("<br>"));
    }
    h += says("report", "</table><h2>What goes wrong, and what helps</h2>");
    for (const auto& f : b.faults) {
        QStringList drills, causes;
        for (const auto& id : f.drills)
            if (const Drill* d = b.drill(id))
                drills << escaped(d->name);
        for (const auto& c : f.causes)
            if (const Fault* cause = b.fault(c.fault))
                causes << escaped(cause->name);
        h += QString("<p><b>%1.</b> %2 <b>&ldquo;%3&rdquo;</b>%4%5%6</p>")
                 .arg(escaped(f.name), escaped(f.why), escaped(f.cue),
                      causes.isEmpty() ? QString() : says("report", "<br>Often comes from: ") + causes.join(", ") + ".",
                      drills.isEmpty() ? QString() : says("report", "<br>Drills: ") + drills.join(", ") + ".",
                      f.caution.empty()
                          ? QString()
                          : says("report", "<br><span class=caution>Caution: ") + escaped(f.caution) + "</span>");
    }
    h += says("report", "<h2>Drills, easiest first</h2><table width=\"100%\" cellspacing=0 cellpadding=3>");
    for (std::size_t stage = 0; stage < kStageNames.size(); ++stage)
        for (const auto& d : b.drills)
            if (static_cast<std::size_t>(d.stage) == stage)
                h += QString("<tr><td width=\"26%\"><b>%1</b><br><span class=quiet>%2, %3%4</span></td><td>%5 "
                             "<b>&ldquo;%6&rdquo;</b>%7</td></tr>")
                         .arg(escaped(d.name), escaped(word(kStageNames[stage])), escaped(doseWords(d.dose)),
                              d.home ? says("report", ", also at home") : "", escaped(howWords(d)), escaped(d.cue),
                              d.caution.empty() ? QString()
                                                : says("report", "<br><span class=caution>Caution: ") +
                                                      escaped(d.caution) + "</span>");
    content.html = h + "</table>";
    return content;
}

} // namespace riflesso
