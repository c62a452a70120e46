#include "desktop/progress/progress_page.h"

#include "casebook/text.h"
#include "casebook/trends.h"
#include "desktop/theme/theme.h"
#include "desktop/workbench/rep_still.h"
#include "handover/progress_words.h"
#include "handover/words.h"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QPainter>
#include <QSignalBlocker>

#include <algorithm>
#include <cmath>
#include <map>

namespace riflesso {
ProgressPage::ProgressPage(Workbench& bench) : m_bench(bench) {
    m_story = new StoryLine(bench);
    m_which = new QComboBox;
    m_which->setObjectName("progressMeasure");
    m_which->setAccessibleName(tr("Measure"));
    m_by = new QComboBox;
    m_by->setObjectName("speedBy");
    m_by->setAccessibleName(tr("What reps are held against"));
    m_by->addItems({tr("speed as measured"), tr("effort as stated")});
    connect(m_by, &QComboBox::activated, this, [this] { refresh(); });
    m_answer = wrapped({}, "title");
    m_answer->setObjectName("progressAnswer");
    m_answer->setStyleSheet("font-size: 17px; font-weight: bold;");
    m_chart = new TrendChart(bench);
    m_breaks = new BreakChart(bench);
    m_pictures = new QStackedWidget;
    m_pictures->addWidget(m_chart);
    m_pictures->addWidget(m_breaks);
    m_speed = new SpeedChart(bench);
    m_pictures->addWidget(m_speed);
    m_cues = new CueChart(bench);
    m_pictures->addWidget(m_cues);
    m_dose = new DoseChart(bench);
    m_pictures->addWidget(m_dose);
    m_felt = new FeltChart;
    m_pictures->addWidget(m_felt);
    m_before = new BeforeAfter(bench);
    m_more = new Card(tr("What went with it"));
    auto* bar = new QGridLayout;
    bar->setSpacing(6);
    int wide = 0; // of all questions in one row, px
    const QStringList questions{tr("Did it move?"),     tr("Where does it break?"),
                                tr("At which speed?"),  tr("Does feeling meet film?"),
                                tr("Which cue works?"), tr("Was it practised?")};
    std::vector<QPushButton*> asked;
    for (int i = 0; i < questions.size(); ++i) {
        auto* b = new QPushButton(questions[i]);
        b->setObjectName(QString("question%1").arg(i + 1));
        b->setCheckable(true);
        b->setAutoExclusive(true);
        b->setChecked(i == 0);
        connect(b, &QPushButton::clicked, this, [this, i] {
            m_question = i;
            refresh();
        });
        wide += b->sizeHint().width() + bar->spacing();
        asked.push_back(b);
    }
    connect(m_story, &StoryLine::cueWanted, asked[4], &QPushButton::click);
    const int columns = wide > 1060 ? 3 : static_cast<int>(asked.size()); // what has no room in a row stands in two
    for (int i = 0; i < static_cast<int>(asked.size()); ++i)
        bar->addWidget(asked[static_cast<std::size_t>(i)], i / columns, i % columns);
    bar->setColumnMinimumWidth(columns, 12);
    bar->addWidget(m_which, 0, columns + 1);
    bar->addWidget(m_by, 0, columns + 2);
    bar->setColumnStretch(columns + 1, 1);
    auto* side = new QVBoxLayout;
    side->setSpacing(8);
    side->addWidget(m_before, 3);
    side->addWidget(m_more, 2);
    auto* lower = new QHBoxLayout;
    lower->setSpacing(12);
    lower->addWidget(m_pictures, 2);
    lower->addLayout(side, 1);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(14, 8, 14, 10);
    all->setSpacing(8);
    all->addWidget(m_story);
    all->addLayout(bar);
    all->addWidget(m_answer);
    all->addLayout(lower, 1);
    connect(m_which, &QComboBox::activated, this, [this] { refresh(); });
    auto* seen = new WhenSeen(this, [this] { refresh(); });
    connect(&bench.book(), &Casebook::analysed, seen, [seen] { (*seen)(); });
    refresh();
}

// What is worked on first, then every other measure that has a band and a value.
void ProgressPage::fillMeasures() {
    const auto& a = m_bench.analysis();
    const auto& b = m_bench.blueprint();
    const QSignalBlocker quiet(m_which);
    m_which->clear();
    for (const auto& t : a.trends)
        m_which->addItem(QString("%1: %2").arg(q(b.fault(t.fault)->name), q(b.measure(t.measure)->definition.name)),
                         q(t.measure));
    const auto others = followedMeasures(b, a);
    bool parted = m_which->count() == 0;
    for (const auto& id : others) {
        if (m_which->findData(q(id)) >= 0)
            continue;
        if (!parted)
            m_which->insertSeparator(m_which->count());
        parted = true;
        m_which->addItem(q(b.measure(id)->definition.name), q(id));
    }
    m_which->setEnabled(m_which->count() > 0);
}

std::optional<FocusTrend> ProgressPage::chosenTrend() const {
    const std::string measure = m_which->currentData().toString().toStdString();
    if (measure.empty())
        return std::nullopt;
    const auto& a = m_bench.analysis();
    for (const auto& t : a.trends)
        if (t.measure == measure)
            return t;
    std::string fault; // what it shows
    for (const auto& f : m_bench.blueprint().faults)
        for (const auto& i : f.indicators)
            if (i.measure == measure && fault.empty())
                fault = f.id;
    return trendOf(m_bench.data(), m_bench.blueprint(), a, fault, measure);
}

void ProgressPage::refresh() {
    const auto& a = m_bench.analysis();
    const auto& b = m_bench.blueprint();
    const QString chosen = m_which->currentData().toString();
    fillMeasures();
    if (const int i = m_which->findData(chosen); i >= 0)
        m_which->setCurrentIndex(i);
    const auto followed = chosenTrend();
    const FocusTrend* trend = followed ? &*followed : nullptr;
    m_chart->show(followed);
    m_story->update();
    const auto broken = trend ? breakOf(m_bench.data(), a, *trend) : ThenAndNow{};
    m_breaks->show(broken, trend ? trend->measure : std::string(), trend ? trend->band : Band{});
    m_before->show(trend ? trend->measure : std::string());
    enum Question { moved, breaks, atSpeed, feeling, whichCue, practised };
    m_pictures->setCurrentWidget(m_question == breaks      ? static_cast<QWidget*>(m_breaks)
                                 : m_question == atSpeed   ? static_cast<QWidget*>(m_speed)
                                 : m_question == feeling   ? static_cast<QWidget*>(m_felt)
                                 : m_question == whichCue  ? static_cast<QWidget*>(m_cues)
                                 : m_question == practised ? static_cast<QWidget*>(m_dose)
                                                           : m_chart);
    std::string answer;
    m_by->hide();
    switch (m_question) {
    case breaks:
        answer = trend ? broken.words : std::string();
        if (const auto ways = variationWords(m_bench.data(), b); !ways.empty())
            answer += (answer.empty() ? "" : " ") + ways;
        break;
    case atSpeed:
        if (trend) {
            auto stated = statedReps(m_bench.data(), a, trend->measure);
            m_by->setVisible(!stated.empty());
            const auto by = !stated.empty() && m_by->currentIndex() == 1 ? SpeedBy::effort : SpeedBy::speed;
            auto reps = by == SpeedBy::effort ? std::move(stated) : timedReps(m_bench.data(), b, a, trend->measure);
            const auto found = whereItFallsApart(reps, trend->band, by);
            answer = speedWords(b, trend->measure, found);
            if (const auto tires = fatigueWords(m_bench.data(), b, a, trend->measure); !tires.empty())
                answer += (answer.empty() ? "" : " ") + tires;
            m_speed->show(trend->measure, trend->band, std::move(reps), found);
        }
        break;
    case feeling:
        answer = feelingWords(m_bench.data(), b, a);
        m_felt->show(feltRows());
        break;
    case whichCue: {
        const auto trial = cueTrial(m_bench.data(), b);
        const auto standings = compareCues(trial.cues);
        answer = cueWords(b, trial, standings);
        const auto of = std::find_if(b.faults.begin(), b.faults.end(), [&](const Fault& f) {
            return std::find(f.drills.begin(), f.drills.end(), trial.drill) != f.drills.end();
        });
        m_cues->show(standings, trial, trend ? trend->fault : of == b.faults.end() ? std::string() : of->id);
        break;
    }
    case practised:
        answer = practisedWords(m_bench.data(), m_bench.book().today());
        if (const auto useless = trend ? uselessDrillWords(m_bench.data(), b, *trend) : ""; !useless.empty())
            answer += " " + useless;
        m_dose->show(practisedWeeks(m_bench.data(), b, m_bench.book().today()), trend);
        break;
    default:
        if (trend)
            for (const auto& words :
                 {movedWords(b, *trend), productWords(m_bench.data(), b, a, *trend), againstLastWords(b, *trend),
                  againstBestWords(b, *trend), sourceWords(b, *trend), keptWords(m_bench.data(), b, *trend),
                  transferredWords(*trend), goalWords(b, m_bench.data().brief.aim, *trend)})
                answer += words.empty() ? "" : (answer.empty() ? "" : " ") + words;
    }
    m_answer->setText(answer.empty() ? tr("Findings give the focus first; each later film adds a point here.")
                                     : q(answer));
    fillMore(trend);
}

std::vector<FeltChart::Row> ProgressPage::feltRows() const {
    std::vector<FeltChart::Row> out;
    for (const auto& g : m_bench.analysis().guesses)
        if (const BlueprintMeasure* m = m_bench.blueprint().measure(g.guess.measure)) {
            auto over = feltOverTime(m_bench.data(), m_bench.analysis(), g.guess.measure);
            if (over.empty() && g.perception) // of no known day: what stands now
                over.push_back({m_bench.book().today(), *g.perception});
            out.push_back({m->definition, std::move(over)});
        }
    return out;
}

void ProgressPage::fillMore(const FocusTrend* trend) {
    clearLayout(m_more->body());
    const auto& a = m_bench.analysis();
    const auto& b = m_bench.blueprint();
    const auto add = [this](const QString& text, const char* style = "") {
        m_more->body()->addWidget(wrapped(text, style));
    };
    if (trend)
        for (const auto& link : a.beliefs) {
            if (link.cause != trend->fault || !b.fault(link.consequence))
                continue;
            const QString name = q(b.fault(link.consequence)->name);
            if (link.checks == 0)
                add(tr("%1: not put to the test yet").arg(name), "quiet");
            else
                add(link.followed == link.checks ? tr("%1 went too").arg(name)
                    : link.followed == 0         ? tr("%1 stayed: a fault of its own").arg(name)
                                         : tr("%1 went %2 of %3 times").arg(name).arg(link.followed).arg(link.checks));
        }
    for (const auto& d : a.decided)
        if (const Fault* f = b.fault(d.decision.fault); f && d.decision.kind == DecisionKind::takenUp)
            add(tr("%1: %2").arg(q(f->name), q(d.words)), "athlete");
    for (const auto& g : a.gates) {
        if (m_more->body()->count() > 5)
            break;
        const Drill& d = *b.drill(g.drill);
        add(tr("<b>%1</b>: %2").arg(q(d.name).toHtmlEscaped(), q(g.gate.words)));
    }
    if (m_more->body()->count() == 0)
        add(tr("Nothing yet: film again under the same stress."), "quiet");
    m_more->body()->addStretch();
}

} // namespace riflesso
