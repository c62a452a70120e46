#include "desktop/findings/findings_page.h"

#include "casebook/measure_drawing.h"
#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QHBoxLayout>
#include <QPainter>
#include <QScrollArea>

namespace riflesso {
namespace {
QString esc(const std::string& s) {
    return q(s).toHtmlEscaped();
}
// What a measure measures, shown on the figure.
QLabel* drawingOf(const MeasureDefinition& definition) {
    constexpr int kWidth = 56, kHeight = 68;
    const Theme& t = theme();
    auto* label = new QLabel;
    const double ratio = label->devicePixelRatioF();
    QPixmap picture(static_cast<int>(kWidth * ratio), static_cast<int>(kHeight * ratio));
    picture.setDevicePixelRatio(ratio);
    picture.fill(Qt::transparent);
    QPainter p(&picture);
    drawMeasure(p, QRectF(0, 0, kWidth, kHeight), definition,
                {t.quiet, t.hues.athlete, t.text, t.panel, typeface(Type::small)});
    p.end();
    label->setPixmap(picture);
    label->setToolTip(q(definition.sentence));
    label->setAccessibleName(q(definition.sentence));
    return label;
}

QScrollArea* scrolled(QWidget* w) {
    auto* area = new QScrollArea;
    area->setWidgetResizable(true);
    area->setWidget(w);
    area->setFrameShape(QFrame::NoFrame);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    return area;
}
} // namespace

FindingsPage::FindingsPage(Workbench& bench) : m_bench(bench) {
    m_head = new QLabel;
    m_head->setObjectName("quiet");
    m_head->setWordWrap(true);
    m_strengths = new QHBoxLayout;
    m_strengths->setSpacing(10);
    m_chain = new ChainView(bench);
    m_why = new Card({});
    m_undecided = new Card(tr("Cannot be decided yet"));
    m_felt = new Card(tr("Felt and filmed"));
    m_steady = new Card(tr("Steady or not"));

    auto* left = new QVBoxLayout;
    left->setSpacing(8);
    auto* strengthsTitle = new QLabel(tr("What is good"));
    strengthsTitle->setObjectName("strong");
    left->addWidget(m_head);
    left->addWidget(strengthsTitle);
    left->addLayout(m_strengths);
    auto* chainTitle = new QLabel(tr("From cause to consequence"));
    chainTitle->setObjectName("strong");
    left->addWidget(chainTitle);
    left->addWidget(m_chain, 1);
    auto* bottom = new QHBoxLayout;
    bottom->setSpacing(10);
    auto* undecidedArea = scrolled(m_undecided);
    auto* feltArea = scrolled(m_felt);
    auto* steadyArea = scrolled(m_steady);
    bottom->addWidget(undecidedArea, 3);
    bottom->addWidget(steadyArea, 2);
    bottom->addWidget(feltArea, 2);
    steadyArea->setFixedHeight(168);
    undecidedArea->setFixedHeight(168);
    feltArea->setFixedHeight(168);
    left->addLayout(bottom);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(14, 8, 14, 10);
    all->setSpacing(12);
    all->addLayout(left, 1);
    auto* whyArea = scrolled(m_why);
    whyArea->setFixedWidth(370);
    all->addWidget(whyArea);

    connect(m_chain, &ChainView::faultChosen, this, &FindingsPage::showFault);
    auto* seen = new WhenSeen(this, [this] { refresh(); });
    connect(&bench.book(), &Casebook::analysed, seen, [seen] { (*seen)(); });
    refresh();
}

QLabel* FindingsPage::linked(const QString& html) {
    auto* label = wrapped(html);
    label->setTextFormat(Qt::RichText);
    label->setTextInteractionFlags(Qt::TextBrowserInteraction);
    connect(label, &QLabel::linkActivated, this, &FindingsPage::follow);
    return label;
}

void FindingsPage::follow(const QString& link) {
    const QStringList parts = link.split(':'); // frame:REP:FRAME
    if (parts.size() == 3)
        m_bench.showSource(parts[1].toLongLong(), FrameIndex(parts[2].toInt()));
}

QString FindingsPage::sources(const Deviation& d) const {
    const auto& def = m_bench.blueprint().measure(d.measure)->definition;
    QStringList links;
    for (const auto& [rep, v] : d.value.each)
        if (!v.frames.empty())
            links << QString("<a style=\"color:%4\" href=\"frame:%1:%2\">%3</a>")
                         .arg(q(rep))
                         .arg(v.frames.front().value)
                         .arg(esc(numberWords(def, v.value, v.u)), theme().hues.model.name());
    return links.join(" &nbsp; ");
}

void FindingsPage::refresh() {
    const auto& a = m_bench.analysis();
    const auto& b = m_bench.blueprint();
    m_head->setText(a.judgedDay ? tr("Film of %1, %2. Every underlined value leads to its frame.")
                                      .arg(q(isoDate(*a.judgedDay)),
                                           counted(static_cast<qsizetype>(a.athleteReps.size()), tr("rep"), tr("reps")))
                                : tr("No session of the athlete is measured yet."));
    for (const auto& line : contextWords(m_bench.book()))
        m_head->setText(m_head->text() + " " + q(line));
    clearLayout(m_strengths);
    for (const auto& s : a.judgement.strengths) {
        const Deviation& d = *a.deviation(s.measure);
        const auto& def = b.measure(s.measure)->definition;
        auto* card = new Card({});
        card->setToolTip(q(deviationWords(b, d)));
        card->body()->addWidget(wrapped(q(def.name), "quiet"));
        auto* value = new QLabel(q(valueWords(def, d.value)));
        value->setObjectName("strong");
        card->body()->addWidget(value);
        card->body()->addWidget(wrapped(tr("band %1").arg(q(bandWords(def, d.band))), "quiet"));
        m_strengths->addWidget(card, 1);
    }
    if (a.judgement.strengths.empty())
        m_strengths->addWidget(wrapped(tr("Nothing measured yet."), "quiet"));
    m_chain->refresh();

    clearLayout(m_undecided->body());
    for (const auto& d : a.deviations) {
        if (d.judged && d.verdict.decision != Decision::undecided)
            continue;
        const auto& def = b.measure(d.measure)->definition;
        QString line = QString("<b>%1</b>: ").arg(esc(def.name));
        if (d.judged)
            line += QString("%1, band %2. %3.").arg(sources(d), esc(bandWords(def, d.band)), esc(d.adviceText));
        else
            line += d.adviceText.empty() ? esc(d.reason) + "." : esc(d.reason) + ", so " + esc(d.adviceText) + ".";
        m_undecided->body()->addWidget(linked(line));
    }
    for (const auto& f : a.judgement.possible)
        m_undecided->body()->addWidget(linked(tr("<b>%1</b> is possible (certainty %2 %), not sure enough to work on.")
                                                  .arg(esc(b.fault(f.fault)->name))
                                                  .arg(std::lround(100 * f.parts.probability))));
    if (m_undecided->body()->count() == 0)
        m_undecided->body()->addWidget(wrapped(tr("Every measure of this film could be decided."), "quiet"));
    m_undecided->body()->addStretch();

    clearLayout(m_felt->body());
    for (const auto& g : a.guesses)
        m_felt->body()->addWidget(wrapped(q(guessWords(b, g)) + "."));
    if (a.guesses.empty())
        m_felt->body()->addWidget(wrapped(tr("No guess yet. Ask in the Brief: how big does it feel?"), "quiet"));
    m_felt->body()->addStretch();

    clearLayout(m_steady->body());
    for (const auto& line : steadyWords(b, a))
        m_steady->body()->addWidget(wrapped(q(line)));
    if (m_steady->body()->count() == 0)
        m_steady->body()->addWidget(wrapped(tr("Three reps or more of one day tell who varies."), "quiet"));
    m_steady->body()->addStretch();
    showFault();
}

void FindingsPage::showFault() {
    clearLayout(m_why->body());
    const auto& a = m_bench.analysis();
    const auto& b = m_bench.blueprint();
    const Finding* f = a.finding(m_chain->chosen());
    auto* body = m_why->body();
    if (!f) {
        body->addWidget(wrapped(tr("No finding yet."), "quiet"));
        body->addStretch();
        return;
    }
    const Fault& fault = *b.fault(f->fault);
    const auto& j = a.judgement;
    const bool focus = std::find(j.focus.begin(), j.focus.end(), f->fault) != j.focus.end();
    const bool follows =
        std::find(j.expectedToFollow.begin(), j.expectedToFollow.end(), f->fault) != j.expectedToFollow.end();
    body->addWidget(wrapped(focus     ? tr("Work on this")
                            : follows ? tr("Leave it: expected to go with its cause")
                                      : tr("Later"),
                            "athlete"));
    body->addWidget(wrapped(q(fault.name), "title"));
    body->addWidget(wrapped(q(fault.why)));
    auto* cue = wrapped(tr("“%1”").arg(q(fault.cue)), "strong");
    body->addWidget(cue);
    if (!fault.caution.empty())
        body->addWidget(wrapped(tr("Caution: %1").arg(q(fault.caution)), "caution"));
    body->addSpacing(6);
    body->addWidget(wrapped(tr("Seen in"), "strong"));
    for (const auto& m : f->evidence) {
        const Deviation& d = *a.deviation(m);
        const auto& measure = *b.measure(m);
        // What is read over all reps is one value: there is no rep of it to count.
        const QString habit = isAcrossReps(measure.definition.kind)
                                  ? tr("over %1 reps").arg(d.value.reps)
                                  : tr("%1 of %2 reps outside").arg(d.repsOutside).arg(d.value.reps);
        QString spread; // who is inconsistent, the athlete or the marks?
        for (const auto& v : a.variations)
            if (v.measure == m)
                spread = "<br>" + esc(variationWords(measure.definition, v)) + ".";
        auto* text = linked(QString("%1: <b>%2</b>, band %3 %4. %5, %6.%8<br>Reps: %7")
                                .arg(esc(measure.definition.name), esc(valueWords(measure.definition, d.value)),
                                     esc(bandWords(measure.definition, d.band)), esc(sourceWords(d)), habit,
                                     esc(directionWords(measure, d)), sources(d), spread));
        auto* line = new QHBoxLayout;
        line->setSpacing(8);
        line->addWidget(drawingOf(measure.definition), 0, Qt::AlignTop);
        line->addWidget(text, 1);
        body->addLayout(line);
    }
    body->addSpacing(6);
    body->addWidget(wrapped(tr("Why it stands where it stands"), "strong"));
    const auto& parts = f->parts;
    const auto n = [](double v) { return QString::number(v, 'f', 2); };
    QString table = "<table cellpadding=2>";
    const auto row = [&](const QString& name, const QString& value) {
        table += QString("<tr><td>%1</td><td align=right>&nbsp;%2</td></tr>").arg(name, value);
    };
    if (parts.safety)
        row(tr("safety goes first"), tr("yes"));
    row(tr("its own severity"), n(parts.ownSeverity));
    row(tr("+ what it causes"), n(parts.consequences));
    row(tr("× how sure"), n(parts.probability));
    row(tr("× how readily it changes"), n(parts.trainability));
    row(tr("× how early it comes"), n(parts.earliness));
    row(tr("<b>= priority</b>"), "<b>" + n(parts.score()) + "</b>");
    body->addWidget(linked(table + "</table>"));
    for (const auto& d : f->downstream)
        body->addWidget(
            wrapped(tr("Feeds “%1” with strength %2.").arg(q(b.fault(d.fault)->name), n(d.strength)), "quiet"));
    body->addStretch();
}

} // namespace riflesso
