#include "handover/report.h"

#include "casebook/diary.h"
#include "casebook/drawing.h"
#include "casebook/progress_questions.h"
#include "casebook/sets.h"
#include "casebook/text.h"
#include "core/programme/at_home.h"
#include "core/programme/support.h"
#include "core/words/say.h"
#include "handover/clip.h"
#include "handover/guide.h"
#include "handover/words.h"

#include <QPainter>

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

namespace riflesso {
namespace {

namespace fs = std::filesystem;

struct Stills {
    const Take* take = nullptr;
    const Rep* rep = nullptr;
    std::map<PositionId, QImage> at;
};

// The pictures of a rep's key positions, or what went wrong.
std::string readStills(const FilmedCase& filmed, Id repId, const std::vector<PositionId>& positions, Stills& out) {
    out.rep = &filmed.data.reps.at(repId);
    out.take = &filmed.data.takes.at(out.rep->take);
    auto film = openFilmOf(filmed, *out.take);
    if (!film)
        return film.error().text();
    for (const auto& id : positions)
        if (const auto p = out.rep->positions.find(id); p != out.rep->positions.end()) {
            auto picture = (*film)->frame(p->second.frame);
            if (!picture)
                return picture.error().text();
            out.at[id] = imageOf(std::move(*picture));
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
            if (const auto& m = b.measure(d.measure)->definition; d.judged && serves(view, m.view) && m.at == id)
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

// What the page has to show of the key positions.
enum class Board { none, athlete, both };

QString boardHtml(Board board, int width) {
    if (board == Board::none)
        return {};
    QString h = QString("<p align=center><img src=\"picture:board\" width=\"%1\"></p>").arg(width);
    if (board == Board::both)
        h += "<p class=quiet align=center>" +
             says("report", "Above the line: you. Below it: the model, at the same moments of the movement.") + "</p>";
    return h;
}

QString goalOf(const CaseData& data) {
    return data.brief.goal.empty() ? QString("&ndash;") : escaped(data.brief.goal);
}

QImage drawBoard(const CaseData& data, const Analysis& a, const Blueprint& b, const Stills& athlete,
                 const Stills& model, const std::vector<PositionId>& positions) {
    constexpr int kWide = 330, kHigh = 330, kGap = 12, kLine = 46;
    const int n = static_cast<int>(positions.size());
    const bool both = !model.at.empty();
    QImage image(n * kWide + (n - 1) * kGap, (both ? 2 : 1) * kHigh + kLine, QImage::Format_RGB32);
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
    if (!both)
        return image; // nothing stands below the line
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
             escaped(d.judged ? directionWords(m, d) : say("report", "not judged: ") + d.reason));
}

QString pageOne(const CaseData& data, const Blueprint& b, const Analysis& a, Board board) {
    const auto& j = a.judgement;
    QString h;
    h += QString("<h1>%1 &middot; %2</h1>").arg(escaped(data.brief.athlete.name), escaped(b.name));
    h += says("report", "<p class=quiet>Goal: %1. Film of %2, %3 reps. Bands: %4.</p>")
             .arg(goalOf(data), a.judgedDay ? q(dateWords(*a.judgedDay)) : says("report", "no date"))
             .arg(a.athleteReps.size())
             .arg(data.brief.school.empty() ? says("report", "common to all schools")
                                            : says("report", "school ") + escaped(data.brief.school));
    if (const std::string marks = marksWords(data, a); !marks.empty())
        h += says("report", "<p class=quiet>Read from %1.%2</p>")
                 .arg(escaped(marks),
                      std::any_of(a.deviations.begin(), a.deviations.end(),
                                  [](const Deviation& d) { return d.value.drafts > 0; })
                          ? says("report", " Values called draft rest on what the machine found; nobody has "
                                           "checked those marks.")
                          : QString());
    h += says("report", "<h2>What is good</h2><ul>");
    for (const auto& s : j.strengths) {
        const auto& d = b.measure(s.measure)->definition;
        h += QString("<li>%1: %2</li>").arg(escaped(d.name), escaped(valueWords(d, a.deviation(s.measure)->value)));
    }
    if (j.strengths.empty())
        h += says("report", "<li>Nothing is measured yet.</li>");
    h += "</ul>";
    h += boardHtml(board, 660);
    h += says("report", "<h2>Work on this</h2>");
    if (j.focus.empty())
        h += says("report", "<p>No finding is sure enough to work on.</p>");
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
        h += says("report", "<p class=quiet>Why it comes first: %1.</p>").arg(escaped(whyWords(b, *f)));
        if (!fault.caution.empty())
            h += says("report", "<p class=caution>Caution: %1</p>").arg(escaped(fault.caution));
    }
    if (!j.expectedToFollow.empty()) {
        QStringList names;
        for (const auto& id : j.expectedToFollow)
            names << escaped(b.fault(id)->name);
        h += says("report", "<p>Expected to go with it, so leave alone for now: %1.</p>").arg(names.join(", "));
    }
    if (const auto steady = steadyWords(b, a); !steady.empty()) {
        h += says("report", "<h2>Steady or not</h2><ul>");
        for (const auto& line : steady)
            h += QString("<li>%1</li>").arg(escaped(line));
        h += "</ul>";
    }
    if (!a.guesses.empty()) {
        h += says("report", "<h2>Felt and filmed</h2><ul>");
        for (const auto& g : a.guesses)
            h += QString("<li>%1</li>").arg(escaped(guessWords(b, g)));
        h += "</ul>";
    }
    return h;
}

// A kept plan may hold a drill that the blueprint no longer has.
std::string nameOf(const Blueprint& b, const std::string& drill) {
    return workName(b, drill);
}

// What these two weeks hold, not the whole ladder.
QString drillTable(const Blueprint& b, const Analysis& a) {
    QString h = "<table width=\"100%\" cellspacing=0 cellpadding=3>";
    for (const auto& id : a.plan.ladder) {
        const Drill& d = *b.drill(id);
        if (std::none_of(a.plan.blocks.begin(), a.plan.blocks.end(),
                         [&](const PlannedBlock& p) { return p.drill == id; }))
            continue;
        h += QString("<tr><td width=\"27%\"><b>%1</b><br><span class=quiet>%2, %3</span></td><td>%4 "
                     "<b>&ldquo;%5&rdquo;</b>%6</td></tr>")
                 .arg(escaped(d.name), escaped(word(kStageNames[static_cast<std::size_t>(d.stage)])),
                      escaped(doseWords(d.dose)), escaped(howWords(d)), escaped(d.cue),
                      d.caution.empty()
                          ? QString()
                          : says("report", "<br><span class=caution>Caution: %1</span>").arg(escaped(d.caution)));
    }
    return h + "</table>";
}

QString nextWeeks(const Blueprint& b, const Analysis& a) {
    QString h = says("report", "<h2>The next two weeks</h2>");
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
        h += says("report", "<p>Two minutes at home: %1 (%2).</p>").arg(escaped(nameOf(b, drill)), when.join(", "));
    for (const auto& n : a.plan.notes)
        h += QString("<p>%1</p>").arg(escaped(n));
    return h;
}

QString allMeasures(const Blueprint& b, const Analysis& a) {
    QString h = says(
        "report",
        "<h2>All measures</h2><table width=\"100%\" cellspacing=0 cellpadding=1><tr><th align=left>Measure</th><th "
        "align=right>Value &plusmn; u</th><th align=right>Band</th><th align=left></th></tr>");
    for (const auto& d : a.deviations)
        h += measureRow(b, d);
    return h +
           says("report",
                "</table><p class=quiet>&#9675; inside the band, &#9679; outside, &#9680; undecided. u is the standard "
                "uncertainty from the marks and from the instant of the key position.</p>");
}

QString cautionsOf(const Blueprint& b) {
    QStringList cautions;
    for (const auto& c : b.cautions)
        cautions << escaped(c);
    return QString("<p class=caution>%1</p>").arg(cautions.join(" "));
}

// One page: what is good, one or two things, what to do for them.
QString athletesPage(const CaseData& data, const Blueprint& b, const Analysis& a, Board board) {
    constexpr std::size_t kGood = 3, kThings = 2;
    const auto& j = a.judgement;
    QString h =
        says("report", "<h1>%1 &middot; %2</h1><p class=quiet>Goal: %3. Film of %4.</p><h2>What is good</h2><ul>")
            .arg(escaped(data.brief.athlete.name), escaped(b.name), goalOf(data),
                 a.judgedDay ? q(dateWords(*a.judgedDay)) : says("report", "no date"));
    for (std::size_t i = 0; i < j.strengths.size() && i < kGood; ++i)
        h += QString("<li>%1</li>").arg(escaped(b.measure(j.strengths[i].measure)->definition.name));
    if (j.strengths.empty())
        h += says("report", "<li>Nothing is measured yet.</li>");
    h += "</ul>";
    h += boardHtml(board, 560);
    h += QString("<h2>%1</h2>").arg(j.focus.size() > 1 ? says("report", "Two things") : says("report", "One thing"));
    if (j.focus.empty())
        h += says("report", "<p>Nothing is sure enough to work on. Go on as you do.</p>");
    std::set<std::string> drills;
    for (std::size_t i = 0; i < j.focus.size() && i < kThings; ++i) {
        const Fault& fault = *b.fault(j.focus[i]);
        drills.insert(fault.drills.begin(), fault.drills.end());
        h += QString("<p><b>%1.</b> %2 <b>&ldquo;%3&rdquo;</b></p>")
                 .arg(escaped(fault.name), escaped(fault.why), escaped(fault.cue));
        if (!fault.caution.empty())
            h += says("report", "<p class=caution>Caution: %1</p>").arg(escaped(fault.caution));
    }
    return h + says("report", "<h2>What you do for it</h2>") + drillTable(b, a);
}

// The moment of the first focus measure on each day that shows it, side by side; nothing with fewer than three days.
void addDates(const FilmedCase& filmed, PaperContent& content) {
    constexpr std::size_t kMost = 6; // stills in the width of the page
    constexpr int kStill = 300, kWords = 44;
    if (filmed.analysis.trends.empty())
        return;
    const auto& measure = filmed.analysis.trends.front().measure;
    const BlueprintMeasure* m = filmed.blueprint.measure(measure);
    auto days = newestByDay(filmed.data, filmed.analysis, measure);
    if (!m || days.size() < 3)
        return;
    if (days.size() > kMost)
        days.erase(days.begin() + 1, days.end() - static_cast<std::ptrdiff_t>(kMost - 1));
    QImage strip(static_cast<int>(days.size()) * kStill, kStill + kWords, QImage::Format_RGB32);
    strip.fill(Qt::white);
    QPainter p(&strip);
    QFont font = p.font();
    font.setPixelSize(24);
    p.setFont(font);
    for (std::size_t i = 0; i < days.size(); ++i) {
        const Take& take = filmed.data.takes.at(filmed.data.reps.at(days[i].rep).take);
        auto film = openFilmOf(filmed, take);
        auto picture = film ? (*film)->frame(days[i].frame) : Result<Picture>(film.error());
        if (!picture)
            return; // what is missing is said with the pictures of the board
        std::map<LandmarkName, Pixel> points;
        for (const auto& [name, at] : pointsAt(filmed.data, filmed.analysis, take.id, days[i].frame))
            points[name] = {at.x(), at.y()};
        const int left = static_cast<int>(i) * kStill;
        p.drawImage(QRect(left, 0, kStill - 6, kStill), positionStill(std::move(*picture), points));
        p.setPen(Qt::black);
        p.drawText(QRect(left, kStill, kStill - 6, kWords), Qt::AlignCenter,
                   q(dayWords(days[i].day)).mid(4) + "   " + q(numberWords(m->definition, days[i].value)));
    }
    p.end();
    content.pictures["dates"] = strip;
    content.html += QString("<h2>%1</h2><img src=\"picture:dates\" width=\"%2\">")
                        .arg(says("report", "%1, day by day").arg(escaped(m->definition.name)))
                        .arg(std::min(660, 110 * static_cast<int>(days.size())));
}

// Where others are in the films: who was seen doing what, how often it was not so. Empty where the athlete is alone.
QString playersTable(const CaseData& data, const Blueprint& blueprint) {
    const auto tallies = tallyByPlayer(data);
    if (std::none_of(tallies.begin(), tallies.end(), [](const auto& t) { return !t.who.empty(); }))
        return {};
    QString h;
    for (const auto& t : tallies) {
        const auto c = std::find_if(blueprint.checkpoints.begin(), blueprint.checkpoints.end(),
                                    [&](const auto& x) { return x.id == t.checkpoint; });
        if (c == blueprint.checkpoints.end())
            continue;
        h += QString("<tr><td>%1</td><td>%2</td><td>%3</td></tr>")
                 .arg(escaped(t.who.empty() ? data.brief.athlete.name : t.who), escaped(c->name),
                      says("report", "yes %1, partly %2, no %3").arg(t.yes).arg(t.partly).arg(t.no));
    }
    return says("report", "<h2>Seen by eye, player by player</h2>") +
           "<table width=\"100%\" cellspacing=0 cellpadding=3>" + h + "</table>";
}

// The last days of practice as the diary has them: counted, why not, said. Empty when there were none.
QString practised(const CaseData& data, const Blueprint& b) {
    constexpr std::size_t kMostDays = 10;
    QString h;
    auto diary = diaryOf(data);
    diary.resize(std::min(diary.size(), kMostDays));
    for (const auto& day : diary) {
        QStringList lines;
        for (const Id id : day.blocks) {
            const Block& block = data.blocks.at(id);
            QStringList parts{escaped(nameOf(b, block.drill))};
            if (!block.reps.empty())
                parts << escaped(dayWords(DiaryDay{day.day, {}, goodReps(block), static_cast<int>(block.reps.size())}));
            for (const auto& words : {block.own ? ownWords(*block.own) : "", reasonWords(block), saidWords(block)})
                if (!words.empty())
                    parts << escaped(words);
            lines << parts.join("; ");
        }
        h += QString("<tr><td width=\"16%\">%1</td><td>%2</td></tr>").arg(q(dateWords(day.day)), lines.join("<br>"));
    }
    return h.isEmpty() ? h
                       : says("report", "<h2>What was practised</h2>") +
                             "<table width=\"100%\" cellspacing=0 cellpadding=3>" + h + "</table>";
}

// What the coach saw and kept, each with its frame.
void addNotes(const FilmedCase& filmed, PaperContent& content) {
    QString h;
    for (const auto& d : filmed.data.decisions) {
        const auto note = filmed.data.notes.find(d.second.note);
        if (d.second.closed || note == filmed.data.notes.end())
            continue;
        const Take& take = filmed.data.takes.at(note->second.take);
        auto film = openFilmOf(filmed, take);
        auto picture = film ? (*film)->frame(note->second.frame) : Result<Picture>(film.error());
        QString cell;
        if (picture) {
            QImage still(660, 372, QImage::Format_RGB32);
            QPainter p(&still);
            QFont font = p.font();
            font.setPixelSize(18);
            p.setFont(font);
            drawNote(p, QRectF(0, 0, still.width(), still.height()), imageOf(std::move(*picture)), note->second);
            p.end();
            const QString name = QString("note%1").arg(d.first);
            content.pictures[name] = still;
            cell = QString("<img src=\"picture:%1\" width=\"330\">").arg(name);
        } else {
            cell = QString("<span class=quiet>%1</span>").arg(escaped(picture.error().text()));
        }
        const Fault* fault = filmed.blueprint.fault(d.second.fault);
        h += says("report", "<p>%1<br><span class=quiet>Frame %2 of %3</span></p><p>%4</p>")
                 .arg(escaped(fault ? fault->name : d.second.words))
                 .arg(note->second.frame.value + 1)
                 .arg(escaped(take.title), cell);
    }
    if (!h.isEmpty())
        content.html += says("report", "<h2>Seen on the film</h2>") + h;
}

} // namespace

PaperContent gatherReport(const FilmedCase& filmed, Reader reader) {
    const auto& [data, b, a, media] = filmed;
    PaperContent content;
    content.title = q(data.brief.athlete.name + ", " + b.name);
    Stills athlete, model;
    const auto positions = tellingPositions(b, a, View::side, 4); // four fill the width of the page
    const Id own = repToShow(data, a.athleteReps), other = repToShow(data, a.modelReps);
    if (own)
        content.problem = readStills(filmed, own, positions, athlete);
    if (other && content.problem.empty())
        content.problem = readStills(filmed, other, positions, model);
    const Board shown = athlete.at.empty() ? Board::none : model.at.empty() ? Board::athlete : Board::both;
    if (shown != Board::none)
        content.pictures["board"] = drawBoard(data, a, b, athlete, model, positions);
    content.html = reader == Reader::coach ? pageOne(data, b, a, shown) : athletesPage(data, b, a, shown);
    if (!content.problem.empty())
        content.html += says("report", "<p class=caution>Pictures are missing: %1</p>").arg(escaped(content.problem));
    if (reader == Reader::coach) {
        addDates(filmed, content);
        addNotes(filmed, content);
    }
    if (reader == Reader::coach)
        content.html +=
            says("report", "<h2 class=newpage style=\"page-break-before:always\">Drills, in this order</h2>") +
            drillTable(b, a) + nextWeeks(b, a) + practised(data, b) + playersTable(data, b) + allMeasures(b, a);
    if (reader == Reader::parent)
        content.html += says(
            "report", "<h2>Consent</h2><p>Films and figures of a minor are kept with a guardian's consent only. They "
                      "stay on the coach's computer. You may have them handed over, or deleted, films included, at "
                      "any time: ask the coach.</p>");
    if (reader != Reader::athlete)
        content.html += cautionsOf(b);
    return content;
}

PaperContent gatherReport(const Casebook& book, Reader reader) {
    return gatherReport({book.data(), book.blueprint(), book.analysis(), book.library().media()}, reader);
}

PaperContent homeSheet(const CaseData& data, const Blueprint& b, const Analysis& a, Day today) {
    constexpr int kDays = 7;
    PaperContent content;
    content.title = q(say("report", "At home: ") + data.brief.athlete.name + ", " + b.name);
    QString rows;
    std::set<std::string> cautions;
    for (const auto& block : a.plan.blocks) {
        if (!atHome(block, data.brief.places) || block.kind == BlockKind::support || block.day < today ||
            block.day >= today + std::chrono::days(kDays) || block.state != BlockState::planned)
            continue;
        const Drill* d = b.drill(block.drill);
        const std::string cue = d ? d->cue : std::string();
        rows += says("report", "<tr><td width=\"20%\"><b>%1</b></td><td>%2, %3 min. <b>&ldquo;%4&rdquo;</b><br>%5</td>"
                               "<td width=\"24%\">&#9744; done &nbsp; good ___ of ___</td></tr>")
                    .arg(escaped(dayWords(block.day)), escaped(nameOf(b, block.drill)), QString::number(block.minutes),
                         escaped(cue), d ? escaped(d->how) : QString());
        if (d && !d->caution.empty())
            cautions.insert(d->caution);
    }
    content.html = says("report", "<h1>At home</h1><p class=quiet>%1, %2. Seven days from %3.</p>")
                       .arg(escaped(data.brief.athlete.name), escaped(b.name), q(dateWords(today)));
    content.html += rows.isEmpty() ? says("report", "<p>Nothing is planned at home in these days.</p>")
                                   : "<table width=\"100%\" cellspacing=0 cellpadding=4>" + rows + "</table>";
    for (const auto& c : cautions)
        content.html += says("report", "<p class=caution>Caution: %1</p>").arg(escaped(c));
    content.html += says("report", "<p class=caution>Pain, dizziness or a recent injury: stop, and see a physician or "
                                   "physiotherapist.</p>");
    return content;
}

} // namespace riflesso
