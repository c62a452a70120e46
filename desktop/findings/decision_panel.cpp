#include "desktop/findings/decision_panel.h"

#include "casebook/text.h"
#include "desktop/theme/icons.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QCheckBox>
#include <QDateEdit>
#include <QDialog>
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLineEdit>
#include <QMenu>

#include <cmath>
#include <limits>

namespace riflesso {
namespace {

QString esc(const std::string& s) {
    return q(s).toHtmlEscaped();
}

QPushButton* button(const QString& text, const char* name) {
    auto* b = new QPushButton(text);
    b->setObjectName(name);
    return b;
}

// A dialog with a form, closed by OK or Cancel; it deletes itself.
struct Form {
    QDialog* dialog;
    QFormLayout* rows;
    QDialogButtonBox* buttons;
};
Form formFor(QWidget* parent, const QString& title) {
    auto* dialog = new QDialog(parent);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowTitle(title);
    auto* rows = new QFormLayout(dialog);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    QObject::connect(buttons, &QDialogButtonBox::accepted, dialog, &QDialog::accept);
    QObject::connect(buttons, &QDialogButtonBox::rejected, dialog, &QDialog::reject);
    return {dialog, rows, buttons};
}

QDoubleSpinBox* figure(const MeasureDefinition& def, double value) {
    auto* box = new QDoubleSpinBox;
    box->setRange(-1e6, 1e6);
    box->setDecimals(shownScale(def) > 1.0 ? 0 : isAngle(def) ? 1 : 2);
    box->setSuffix(q(shownUnit(def).empty() ? "" : (isAngle(def) ? "" : " ") + shownUnit(def)));
    box->setValue(std::isfinite(value) ? value * shownScale(def) : 0.0);
    return box;
}

} // namespace

DecisionPanel::DecisionPanel(Workbench& bench, QWidget* parent) : Card({}, parent), m_bench(bench) {}

QLabel* DecisionPanel::linked(const QString& html) {
    auto* label = wrapped(html);
    label->setTextFormat(Qt::RichText);
    label->setTextInteractionFlags(Qt::TextBrowserInteraction);
    connect(label, &QLabel::linkActivated, this, [this](const QString& link) {
        const QStringList parts = link.split(':'); // frame:REP:FRAME
        if (parts.size() == 3)
            m_bench.showSource(parts[1].toLongLong(), FrameIndex(parts[2].toInt()));
    });
    return label;
}

QString DecisionPanel::sources(const Deviation& d) const {
    const auto& def = m_bench.blueprint().measure(d.measure)->definition;
    QStringList links;
    for (const auto& [rep, v] : d.value.each)
        if (!v.frames.empty())
            links << QString("<a style=\"color:%4\" href=\"frame:%1:%2\">%3</a>")
                         .arg(q(rep))
                         .arg(v.frames.front().value)
                         .arg(esc(numberWords(def, v.value, v.u)).replace(' ', QChar::Nbsp), theme().hues.model.name());
    return links.join(" &nbsp; ");
}

void DecisionPanel::show(const FindingItem* item) {
    clearLayout(body());
    m_item = item ? *item : FindingItem{};
    if (!item)
        add(wrapped(tr("No finding yet."), "quiet"));
    else if (item->fault.empty() && item->decision == 0)
        showMeasure(*item);
    else
        showFault(*item);
    body()->addStretch();
    auto* own = button(tr("Something else that you see …"), "ownFinding");
    own->setToolTip(tr("A finding of your own: what the eye saw and no measure shows."));
    setLineIcons({{own, "eye"}});
    connect(own, &QPushButton::clicked, this, &DecisionPanel::askOwnFinding);
    add(own);
}

void DecisionPanel::showMeasure(const FindingItem& item) {
    const auto& b = m_bench.blueprint();
    const Deviation* d = m_bench.analysis().deviation(item.measure);
    const BlueprintMeasure* m = b.measure(item.measure);
    if (!d || !m)
        return;
    add(wrapped(q(m->definition.name), "title"));
    add(wrapped(q(m->definition.sentence)));
    add(linked(tr("<b>%1</b>, band %2 %3.<br>Reps: %4")
                   .arg(esc(valueWords(m->definition, d->value)), esc(bandWords(m->definition, d->band)),
                        esc(sourceWords(*d)), sources(*d))));
    if (item.group == FindingItem::Group::good)
        add(wrapped(tr("Inside with room to spare: say so first."), "model"));
    else if (!d->adviceText.empty())
        add(wrapped(tr("What would decide it: %1.").arg(q(d->adviceText)), "model"));
    addTarget(item.measure);
}

void DecisionPanel::showFault(const FindingItem& item) {
    const auto& a = m_bench.analysis();
    const auto& b = m_bench.blueprint();
    const Fault* fault = b.fault(item.fault);
    add(wrapped(item.name, "title"));
    if (fault) {
        add(wrapped(q(fault->why)));
        if (!fault->caution.empty())
            add(wrapped(tr("Caution: %1").arg(q(fault->caution)), "caution"));
    }
    for (const auto& c : a.conflicts) // shown together, and left to a person
        if (c.fault == item.fault)
            add(wrapped((c.eyeSaysFault
                             ? tr("Eye and film disagree: the eye sees it (%1), the measure does not (%2). Look "
                                  "at the frames again.")
                             : tr("Eye and film disagree: the measure shows it (%2), the eye does not (%1). Look "
                                  "at the frames again."))
                            .arg(q(b.measure(c.seen)->definition.name), q(b.measure(c.measure)->definition.name)),
                        "caution"));
    for (const auto& c : a.stayed)
        if (c.consequence == item.fault && b.fault(c.cause))
            add(wrapped(
                tr("It did not go with its cause: “%1” moved by more than its error, this stayed. Look for another "
                   "cause, or take it up by itself.")
                    .arg(q(b.fault(c.cause)->name)),
                "caution"));
    addDecision(item);
    if (!item.measure.empty())
        addTarget(item.measure);
    if (fault)
        add(wrapped(tr("“%1”").arg(q(fault->cue)), "strong"));
    const Finding* f = a.finding(item.fault);
    if (f) {
        showEvidence(*f);
        showPriority(f->parts);
    }
    // What was said stands beside what was seen.
    QStringList said;
    for (const auto& g : a.guesses)
        if (f && std::find(f->evidence.begin(), f->evidence.end(), g.guess.measure) != f->evidence.end())
            said << q(guessWords(b, g)) + ".";
    if (item.group == FindingItem::Group::working || said.size() > 0) {
        const auto& brief = m_bench.data().brief;
        if (!brief.thinks.empty())
            said << tr("The athlete says: “%1”").arg(q(brief.thinks));
        if (!brief.told.empty())
            said << tr("Heard from others: “%1”").arg(q(brief.told));
    }
    if (!said.isEmpty()) {
        add(wrapped(tr("Said and seen"), "strong"));
        for (const auto& line : said)
            add(wrapped(line, "quiet"));
    }
    showLinks(item.fault);
}

void DecisionPanel::showEvidence(const Finding& f) {
    const auto& a = m_bench.analysis();
    const auto& b = m_bench.blueprint();
    add(wrapped(tr("Seen in"), "strong"));
    for (const auto& id : f.evidence) {
        const Deviation& d = *a.deviation(id);
        const auto& measure = *b.measure(id);
        // What is read over all reps is one value: there is no rep of it to count.
        const QString habit = isAcrossReps(measure.definition.kind)
                                  ? tr("over %1 reps").arg(d.value.reps)
                                  : tr("%1 of %2 reps outside").arg(d.repsOutside).arg(d.value.reps);
        QString spread; // who is inconsistent, the athlete or the marks?
        for (const auto& v : a.variations)
            if (v.measure == id)
                spread = "<br>" + esc(variationWords(measure.definition, v)) + ".";
        add(linked(tr("%1: <b>%2</b>, band %3 %4. %5, %6.%8<br>Reps: %7")
                       .arg(esc(measure.definition.name), esc(valueWords(measure.definition, d.value)),
                            esc(bandWords(measure.definition, d.band)), esc(sourceWords(d)), habit,
                            esc(directionWords(measure, d)), sources(d), spread)));
    }
}

void DecisionPanel::showPriority(const PriorityParts& parts) {
    add(wrapped(tr("Why it stands where it stands"), "strong"));
    const auto n = [](double v) { return shownFigure(v, 2); };
    QString table = "<table cellpadding=1>";
    const auto row = [&](const QString& name, const QString& value) {
        table += QString("<tr><td>%1</td><td align=right>&nbsp;&nbsp;%2</td></tr>").arg(name, value);
    };
    if (parts.safety)
        row(tr("safety goes first"), tr("yes"));
    row(tr("its own size"), n(parts.ownSeverity));
    row(tr("+ what it brings about"), n(parts.consequences));
    row(tr("× how sure"), n(parts.probability));
    row(tr("× how readily it changes"), n(parts.trainability));
    row(tr("× how early it comes"), n(parts.earliness));
    row(tr("<b>= priority</b>"), "<b>" + n(parts.score()) + "</b>");
    add(linked(table + "</table>"));
}

// What goes with a cause, and how far that is believed.
void DecisionPanel::showLinks(const std::string& cause) {
    const auto& a = m_bench.analysis();
    const auto& b = m_bench.blueprint();
    QStringList links;
    for (const auto& belief : a.beliefs) {
        if (belief.cause != cause || !b.fault(belief.consequence))
            continue;
        const QString now = belief.checks == 0 ? tr("%1 by the book, not tested yet").arg(shownFigure(belief.prior, 2))
                                               : tr("%1 by the book, %2 after %3")
                                                     .arg(shownFigure(belief.prior, 2))
                                                     .arg(shownFigure(belief.posterior, 2))
                                                     .arg(counted(belief.checks, tr("check"), tr("checks")));
        links << tr("%1: %2").arg(q(b.fault(belief.consequence)->name), now);
    }
    if (!links.isEmpty()) {
        add(wrapped(tr("What goes with it"), "strong"));
        for (const auto& line : links)
            add(wrapped(line, "quiet"));
    }
}

void DecisionPanel::addDecision(const FindingItem& item) {
    const auto& decisions = m_bench.data().decisions;
    const auto it = decisions.find(item.decision);
    const FindingDecision* open = it == decisions.end() || it->second.closed ? nullptr : &it->second;
    if (open) {
        add(wrapped(tr("%1 on %2: %3")
                        .arg(shownWord(enumName(kDecisionKindNames, open->kind))
                                 .replace(0, 1, shownWord(enumName(kDecisionKindNames, open->kind)).at(0).toUpper()),
                             q(dayWords(open->day)), item.note),
                    open->kind == DecisionKind::takenUp ? "athlete" : "quiet"));
        if (open->kind == DecisionKind::takenUp) {
            auto* line = new QHBoxLayout;
            line->addWidget(new QLabel(tr("The athlete says")));
            auto* consent = new QComboBox;
            consent->setObjectName("consent");
            consent->setAccessibleName(tr("What the athlete says to it"));
            for (const auto& words : {tr("not asked yet"), tr("yes"), tr("not yet"), tr("no")})
                consent->addItem(words);
            consent->setCurrentIndex(static_cast<int>(open->consent));
            connect(consent, &QComboBox::activated, this, [this, id = open->id](int i) {
                const auto now = m_bench.data().decisions.find(id);
                if (now == m_bench.data().decisions.end())
                    return;
                FindingDecision changed = now->second;
                changed.consent = static_cast<Consent>(i);
                m_bench.book().setDecision(changed, tr("note what the athlete says"));
            });
            line->addWidget(consent, 1);
            body()->addLayout(line);
            if (open->consent == Consent::no || open->consent == Consent::notYet)
                add(wrapped(tr("Without a yes nothing is rebuilt: one trial week, or another focus."), "caution"));
        }
    }
    auto* take = button(tr("Take it up"), "takeUp");
    take->setProperty("main", true);
    auto* park = button(tr("Park it"), "park");
    auto* reject = button(tr("Not for this athlete …"), "reject");
    auto* close = button(tr("Done: close it"), "closeDecision");
    close->setToolTip(tr("It stays on record. A later film may bring it back."));
    setLineIcons({{take, "check"}, {park, "archive"}, {reject, "user-x"}, {close, "circle-check-big"}});
    connect(take, &QPushButton::clicked, this, [this] { decide(DecisionKind::takenUp); });
    connect(park, &QPushButton::clicked, this, [this] { decide(DecisionKind::parked); });
    connect(reject, &QPushButton::clicked, this, &DecisionPanel::askReason);
    connect(close, &QPushButton::clicked, this, [this] { m_bench.book().closeDecision(m_item.decision); });
    if (!open || open->kind != DecisionKind::takenUp)
        add(take);
    else
        add(close), delete take;
    auto* line = new QHBoxLayout;
    if (!open || open->kind != DecisionKind::parked)
        line->addWidget(park);
    else
        line->addWidget(close), delete park;
    if (!open || open->kind != DecisionKind::rejected)
        line->addWidget(reject);
    else
        line->addWidget(close), delete reject;
    if (!open)
        delete close;
    body()->addLayout(line);
}

void DecisionPanel::decide(DecisionKind kind, const std::string& reason) {
    FindingDecision d;
    if (const auto it = m_bench.data().decisions.find(m_item.decision); it != m_bench.data().decisions.end()) {
        d = it->second;
        d.kind = kind;
        d.reason = reason;
        d.day = m_bench.book().today();
    } else {
        d.fault = m_item.fault;
        d.kind = kind;
        d.reason = reason;
    }
    m_bench.book().decide(d);
}

void DecisionPanel::askReason() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const auto& [words, reason] :
         std::initializer_list<std::pair<QString, const char*>>{{tr("Build: these limbs do it otherwise"), "build"},
                                                                {tr("Age"), "age"},
                                                                {tr("An old injury"), "old injury"},
                                                                {tr("Taste: it is part of the style"), "taste"}})
        connect(menu->addAction(words), &QAction::triggered, this,
                [this, reason = std::string(reason)] { decide(DecisionKind::rejected, reason); });
    connect(menu->addAction(tr("Another reason …")), &QAction::triggered, this, [this] {
        const Form form = formFor(this, tr("Not for this athlete"));
        auto* reason = new QLineEdit;
        reason->setObjectName("reason");
        form.rows->addRow(tr("Because"), reason);
        form.rows->addRow(form.buttons);
        connect(form.dialog, &QDialog::accepted, this,
                [this, reason] { decide(DecisionKind::rejected, reason->text().trimmed().toStdString()); });
        form.dialog->open();
    });
    const auto* from = findChild<QPushButton*>("reject");
    menu->popup(from ? from->mapToGlobal(QPoint(0, from->height())) : QCursor::pos());
}

void DecisionPanel::addTarget(const std::string& measure) {
    const auto& def = m_bench.blueprint().measure(measure)->definition;
    const auto& brief = m_bench.data().brief;
    QStringList lines;
    for (const auto& t : brief.targets)
        if (t.measure == measure) {
            Band band{t.lo, t.hi, 1.0};
            lines << (t.off ? tr("not judged for this athlete") : tr("own target %1").arg(q(bandWords(def, band)))) +
                         (t.reason.empty() ? QString() : tr(": %1").arg(q(t.reason)));
        }
    if (brief.aim && brief.aim->measure == measure)
        lines << tr("goal %1 to %2%3")
                     .arg(q(numberWords(def, brief.aim->from)), q(numberWords(def, brief.aim->to)),
                          brief.aim->by ? tr(" by %1").arg(q(dayWords(*brief.aim->by))) : QString());
    for (const auto& line : lines)
        add(wrapped(line, "model"));
    auto* row = new QHBoxLayout;
    auto* target = button(tr("Own target …"), "ownTarget");
    auto* goal = button(tr("Goal …"), "goal");
    connect(target, &QPushButton::clicked, this, [this, measure] { askTarget(measure); });
    connect(goal, &QPushButton::clicked, this, [this, measure] { askGoal(measure); });
    row->addWidget(target);
    row->addWidget(goal);
    body()->addLayout(row);
}

void DecisionPanel::askTarget(const std::string& measure) {
    const MeasureDefinition& def = m_bench.blueprint().measure(measure)->definition;
    const Deviation* d = m_bench.analysis().deviation(measure);
    const Band band = d && d->judged ? d->band : Band{0, 0, 1};
    OwnTarget now;
    bool had = false;
    for (const auto& t : m_bench.data().brief.targets)
        if (t.measure == measure) {
            now = t;
            had = true;
        }
    const Form form = formFor(this, tr("Own target"));
    auto* low = new QCheckBox(tr("at least"));
    auto* high = new QCheckBox(tr("at most"));
    auto* lo = figure(def, had ? now.lo : band.lo);
    auto* hi = figure(def, had ? now.hi : band.hi);
    low->setChecked(std::isfinite(had ? now.lo : band.lo));
    high->setChecked(std::isfinite(had ? now.hi : band.hi));
    auto* off = new QCheckBox(tr("Do not judge this for this athlete"));
    off->setChecked(now.off);
    auto* reason = new QLineEdit(q(now.reason));
    reason->setPlaceholderText(tr("build, age, an old injury, taste …"));
    lo->setObjectName("targetLow");
    hi->setObjectName("targetHigh");
    off->setObjectName("targetOff");
    reason->setObjectName("targetReason");
    form.rows->addRow(new QLabel(q(def.name)));
    form.rows->addRow(low, lo);
    form.rows->addRow(high, hi);
    form.rows->addRow(off);
    form.rows->addRow(tr("Because"), reason);
    if (had) {
        auto* remove = form.buttons->addButton(tr("Back to the common one"), QDialogButtonBox::ResetRole);
        connect(remove, &QPushButton::clicked, form.dialog, [this, measure, dialog = form.dialog] {
            Brief brief = m_bench.data().brief;
            std::erase_if(brief.targets, [&](const OwnTarget& t) { return t.measure == measure; });
            m_bench.book().setBrief(brief);
            dialog->reject();
        });
    }
    form.rows->addRow(form.buttons);
    connect(form.dialog, &QDialog::accepted, this, [=, this, &def] {
        OwnTarget own;
        own.measure = measure;
        own.off = off->isChecked();
        if (low->isChecked())
            own.lo = lo->value() / shownScale(def);
        if (high->isChecked())
            own.hi = hi->value() / shownScale(def);
        if (own.lo > own.hi)
            std::swap(own.lo, own.hi);
        own.reason = reason->text().trimmed().toStdString();
        Brief brief = m_bench.data().brief;
        std::erase_if(brief.targets, [&](const OwnTarget& t) { return t.measure == measure; });
        if (own.off || low->isChecked() || high->isChecked())
            brief.targets.push_back(own);
        m_bench.book().setBrief(brief);
    });
    form.dialog->open();
}

void DecisionPanel::askGoal(const std::string& measure) {
    const MeasureDefinition& def = m_bench.blueprint().measure(measure)->definition;
    const Deviation* d = m_bench.analysis().deviation(measure);
    const auto& aim = m_bench.data().brief.aim;
    const bool had = aim && aim->measure == measure;
    const double value = d ? d->value.mean : 0.0;
    const double edge = !d || !d->judged     ? value
                        : value < d->band.lo ? d->band.lo
                        : value > d->band.hi ? d->band.hi
                                             : value;
    const Form form = formFor(this, tr("Goal"));
    auto* from = figure(def, had ? aim->from : value);
    auto* to = figure(def, had ? aim->to : edge);
    to->setObjectName("goalTo");
    auto* by = new QDateEdit(QDate::fromString(
        q(isoDate(had && aim->by ? *aim->by : m_bench.book().today() + std::chrono::days(42))), Qt::ISODate));
    by->setCalendarPopup(true);
    form.rows->addRow(new QLabel(q(def.name)));
    form.rows->addRow(tr("From"), from);
    form.rows->addRow(tr("To"), to);
    form.rows->addRow(tr("By"), by);
    if (had) {
        auto* remove = form.buttons->addButton(tr("No goal"), QDialogButtonBox::ResetRole);
        connect(remove, &QPushButton::clicked, form.dialog, [this, dialog = form.dialog] {
            Brief brief = m_bench.data().brief;
            brief.aim.reset();
            m_bench.book().setBrief(brief);
            dialog->reject();
        });
    }
    form.rows->addRow(form.buttons);
    connect(form.dialog, &QDialog::accepted, this, [=, this, &def] {
        Brief brief = m_bench.data().brief;
        brief.aim = Goal{measure, from->value() / shownScale(def), to->value() / shownScale(def),
                         dayFromIso(by->date().toString(Qt::ISODate).toStdString())};
        m_bench.book().setBrief(brief);
    });
    form.dialog->open();
}

void DecisionPanel::askOwnFinding() {
    const Form form = formFor(this, tr("Something that you see"));
    auto* fault = new QComboBox;
    fault->setObjectName("ownFault");
    fault->addItem(tr("in my own words:"), QString());
    for (const auto& f : m_bench.blueprint().faults)
        if (!decisionOn(m_bench.data(), f.id))
            fault->addItem(q(f.name), q(f.id));
    auto* words = new QLineEdit;
    words->setObjectName("ownWords");
    connect(fault, &QComboBox::currentIndexChanged, words, [words](int i) { words->setEnabled(i == 0); });
    form.rows->addRow(tr("What"), fault);
    form.rows->addRow(QString(), words);
    auto* frame = new QCheckBox;
    frame->setObjectName("ownFrame");
    if (const Take* take = m_bench.take()) {
        frame->setText(tr("with the frame looked at last (%1 of “%2”)").arg(m_bench.frame() + 1).arg(q(take->title)));
        frame->setChecked(true);
        form.rows->addRow(QString(), frame);
    }
    form.rows->addRow(form.buttons);
    connect(form.dialog, &QDialog::accepted, this, [=, this] {
        FindingDecision d;
        d.fault = fault->currentData().toString().toStdString();
        d.words = d.fault.empty() ? words->text().trimmed().toStdString() : std::string();
        if (d.fault.empty() && d.words.empty())
            return;
        FrameNote note;
        if (const Take* take = m_bench.take(); take && frame->isChecked()) {
            note.take = take->id;
            note.frame = FrameIndex(m_bench.frame());
            note.words = words->text().trimmed().toStdString();
        }
        if (!m_bench.book().decide(d, note))
            return;
        FindingItem own;
        own.fault = d.fault;
        own.decision = m_bench.data().decisions.empty() ? 0 : m_bench.data().decisions.rbegin()->first;
        emit added(own.key());
    });
    form.dialog->open();
}

} // namespace riflesso
