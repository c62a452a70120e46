#include "desktop/workshop/measure_editor.h"

#include "casebook/measure_drawing.h"
#include "casebook/text.h"
#include "casebook/tried_measure.h"
#include "core/mirror/reference.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QHBoxLayout>
#include <QScrollArea>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

Options positionsOf(const Blueprint& b) {
    Options out;
    for (const auto& p : b.positions)
        out.emplace_back(p.id, q(p.name));
    return out;
}

QString textOf(const std::vector<PointSpec>& points) {
    QStringList out;
    for (const auto& p : points)
        out << q(riflesso::textOf(p));
    return out.join(", ");
}

std::optional<std::vector<PointSpec>> pointsFrom(const QString& text) {
    std::vector<PointSpec> out;
    for (const QString& part : text.split(',', Qt::SkipEmptyParts)) {
        const auto p = pointFromText(part.trimmed().toStdString());
        if (!p)
            return std::nullopt;
        out.push_back(*p);
    }
    return out;
}

// Landmarks that a measure reads must be in the blueprint's list.
void ensureLandmarks(Blueprint& b, const MeasureDefinition& d) {
    for (const auto& spec : pointsOf(d))
        for (const auto& role : spec.landmarks)
            if (std::find(b.landmarks.begin(), b.landmarks.end(), role) == b.landmarks.end())
                b.landmarks.push_back(role);
}

constexpr auto definitionOf = [](auto& blueprint, int i) -> auto& {
    return blueprint.measures[static_cast<std::size_t>(i)].definition;
};

} // namespace

MeasureEditor::MeasureEditor(WorkshopDocument& document, Workbench* bench, QWidget* parent)
    : QWidget(parent), m_document(document), m_bench(bench) {
    m_form = new ItemForm(document);
    m_kind = new QPushButton;
    m_kind->setObjectName("kindButton");
    m_picker = new FigurePicker;
    m_plot = new BandPlot;
    m_results = wrapped({}, "quiet");
    m_results->setObjectName("results");
    buildFields();
    buildTargets();
    auto* scroll = atTopOfScroll(m_form);
    scroll->setMinimumWidth(262);
    auto* right = new QVBoxLayout;
    right->setSpacing(6);
    right->addWidget(m_picker, 3);
    auto* bar = new QHBoxLayout;
    bar->addWidget(new QLabel(tr("Target")));
    bar->addWidget(m_target, 1);
    auto* more = new QPushButton(tr("Add a target"));
    auto* less = new QPushButton(tr("Remove"));
    more->setObjectName("addTarget");
    bar->addWidget(more);
    bar->addWidget(less);
    right->addLayout(bar);
    right->addWidget(m_targetForm);
    right->addWidget(m_plot);
    auto* resultsScroll = new QScrollArea;
    resultsScroll->setWidget(m_results);
    resultsScroll->setWidgetResizable(true);
    resultsScroll->setFrameShape(QFrame::NoFrame);
    resultsScroll->setMinimumHeight(54);
    right->addWidget(resultsScroll, 1);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->addWidget(scroll, 5);
    all->addLayout(right, 6);
    connect(m_picker, &FigurePicker::pointsChosen, this, &MeasureEditor::setPoints);
    connect(m_target, &QComboBox::activated, this, [this](int i) {
        m_targetIndex = i;
        fill();
    });
    connect(more, &QPushButton::clicked, this, [this] {
        m_form->change(tr("Add a target"), [&](Blueprint& b) {
            auto& targets = b.measures[static_cast<std::size_t>(m_form->index())].targets;
            Target t;
            t.source = TargetSource::coach;
            t.floor = targets.empty() ? 5.0 : targets.front().floor;
            t.lo = 0.0;
            targets.push_back(t);
        });
        m_targetIndex = measure() ? static_cast<int>(measure()->targets.size()) - 1 : 0;
        fill();
    });
    connect(less, &QPushButton::clicked, this, [this] {
        if (!measure() || measure()->targets.size() < 2)
            return;
        m_form->change(tr("Remove a target"), [&](Blueprint& b) {
            auto& targets = b.measures[static_cast<std::size_t>(m_form->index())].targets;
            targets.erase(targets.begin() + m_targetIndex);
        });
    });
    connect(m_plot, &BandPlot::bandDragged, this, [this](double lo, double hi) {
        m_form->change(
            tr("Drag the band"),
            [&](Blueprint& b) {
                auto& t = b.measures[static_cast<std::size_t>(m_form->index())]
                              .targets[static_cast<std::size_t>(m_targetIndex)];
                if (t.source == TargetSource::model) { // a model's band is as wide as its floor at least
                    t.floor = std::max(1e-6, (hi - lo) / 2.0);
                } else {
                    t.lo = lo;
                    t.hi = hi;
                }
            },
            QString("band %1 %2").arg(m_form->index()).arg(m_targetIndex));
    });
}

const BlueprintMeasure* MeasureEditor::measure() const {
    const auto& all = m_document.value().measures;
    const int i = m_form->index();
    return i >= 0 && i < static_cast<int>(all.size()) ? &all[static_cast<std::size_t>(i)] : nullptr;
}

void MeasureEditor::setIndex(int index) {
    m_targetIndex = 0;
    m_form->setIndex(index);
    fillBeside();
}

void MeasureEditor::setPoints(const std::vector<PointSpec>& points) {
    m_form->change(tr("Points"), [&](Blueprint& b) {
        auto& d = b.measures[static_cast<std::size_t>(m_form->index())].definition;
        d.points = points;
        ensureLandmarks(b, d);
    });
}

QWidget* MeasureEditor::row(const QString& key, QWidget* field) {
    m_fields[key] = field;
    return field;
}

void MeasureEditor::buildFields() {
    buildKind();
    buildPlace();
    buildPoints();
    buildDirection();
    buildNumbers();
    buildEvents();
    buildLinks();
    buildMeaning();
}

void MeasureEditor::buildKind() {
    auto& f = *m_form;
    auto* layout = m_form->layoutForm();
    auto* name = new QLineEdit;
    name->setObjectName("itemName");
    layout->addRow(tr("Name"), name);
    f.onFill([this, name] {
        if (const QString t = q(definitionOf(m_document.value(), m_form->index()).name); name->text() != t)
            name->setText(t);
    });
    connect(name, &QLineEdit::textEdited, this,
            [this](const QString& t) { m_document.rename(Part::measures, m_form->index(), t); });
    layout->addRow(tr("Kind"), m_kind);
    connect(m_kind, &QPushButton::clicked, this, [this] {
        KindSheet sheet(definitionOf(m_document.value(), m_form->index()).kind, this);
        if (sheet.exec() != QDialog::Accepted)
            return;
        m_form->change(tr("Kind"), [&](Blueprint& b) {
            auto& d = definitionOf(b, m_form->index());
            MeasureDefinition fresh = exampleOf(sheet.chosen());
            fresh.id = d.id;
            fresh.name = d.name;
            fresh.sentence = d.sentence;
            fresh.at = d.at.empty() && !b.positions.empty() ? b.positions.front().id : d.at;
            fresh.until = d.until;
            if (needsUntil(fresh) && (fresh.until.empty() || fresh.until == fresh.at) && !b.positions.empty())
                fresh.until = b.positions.back().id;
            if (!d.points.empty() && d.points.size() == fresh.points.size() &&
                pointDuties(fresh).size() == pointDuties(d).size())
                fresh.points = d.points;
            fresh.base.clear();
            d = std::move(fresh);
            ensureLandmarks(b, d);
        });
    });
    auto* aspect = ItemForm::box(tr("What of it"));
    layout->addRow(tr("What of it"), row("aspect", aspect));
    f.onFill([this, aspect] {
        const auto& d = definitionOf(m_document.value(), m_form->index());
        const QSignalBlocker quiet(aspect);
        aspect->clear();
        for (const Aspect a : aspectsOf(d.kind))
            aspect->addItem(shownWord(enumName(kAspectNames, a)).replace('_', ' '), static_cast<int>(a));
        aspect->setCurrentIndex(aspect->findData(static_cast<int>(d.aspect)));
    });
    connect(aspect, &QComboBox::activated, this, [this, aspect] {
        m_form->change(tr("What of it"), [&](Blueprint& b) {
            auto& d = definitionOf(b, m_form->index());
            d.aspect = static_cast<Aspect>(aspect->currentData().toInt());
            if (d.kind == MeasureKind::overlap)
                d.events.resize(d.aspect == Aspect::nearest ? 0 : 4);
            if (d.kind == MeasureKind::interval)
                d.events.resize(d.aspect == Aspect::ratio ? 2 : 0);
        });
    });
}

// When it is read.
void MeasureEditor::buildPlace() {
    auto& f = *m_form;
    f.area(
        tr("For the athlete"), [](auto& b, int i) -> auto& { return definitionOf(b, i).sentence; }, 46);
    const auto positions = [this] { return positionsOf(m_document.value()); };
    row("at", f.choice(
                  tr("At"), positions, [](auto& b, int i) -> auto& { return definitionOf(b, i).at; }));
    row("until", f.choice(
                     tr("Until"), positions, [](auto& b, int i) -> auto& { return definitionOf(b, i).until; }));
    row("reduction",
        f.enumChoice<Reduction>(
            tr("Of the phase"), kReductionNames, [](auto& b, int i) -> auto& { return definitionOf(b, i).reduction; }));
    m_fields["reduction"]->setToolTip(tr(
        "“at” reads it at the position, “just before” from the frames before it only, because a contact changes what "
        "follows; anything else over the frames until the second"));
}

void MeasureEditor::buildPoints() {
    auto& f = *m_form;
    auto* layout = m_form->layoutForm();
    auto* points = new QLineEdit;
    points->setObjectName("points");
    points->setPlaceholderText(tr("lead_hip, lead_knee, lead_ankle; two joined by + are their middle"));
    layout->addRow(tr("Points"), row("points", points));
    f.onFill([this, points] {
        if (const QString t = textOf(definitionOf(m_document.value(), m_form->index()).points);
            !points->hasFocus() || !points->isModified()) {
            points->setText(t);
            points->setCursorPosition(0);
        }
    });
    connect(points, &QLineEdit::editingFinished, this, [this, points] {
        if (!points->isModified())
            return;
        points->setModified(false);
        if (const auto p = pointsFrom(points->text()))
            setPoints(*p);
        else
            m_results->setText(tr("“%1” has a name in it that is no landmark.").arg(points->text()));
    });
    row("reading",
        f.enumChoice<AngleReading>(
            tr("Reading"), kAngleReadingNames, [](auto& b, int i) -> auto& { return definitionOf(b, i).reading; }));
    row("view", f.enumChoice<View>(
                    tr("Seen from"), kViewNames, [](auto& b, int i) -> auto& { return definitionOf(b, i).view; }));
}

void MeasureEditor::buildDirection() {
    auto& f = *m_form;
    auto* layout = m_form->layoutForm();
    auto* direction = ItemForm::box(tr("Direction"));
    direction->addItem(tr("any"), -1);
    for (int i = 0; i < static_cast<int>(kDirectionNames.size()); ++i)
        direction->addItem(shownWord(kDirectionNames[static_cast<std::size_t>(i)]), i);
    layout->addRow(tr("Direction"), row("direction", direction));
    f.onFill([this, direction] {
        const auto& d = definitionOf(m_document.value(), m_form->index());
        direction->setCurrentIndex(d.direction ? static_cast<int>(*d.direction) + 1 : 0);
    });
    connect(direction, &QComboBox::activated, this, [this, direction] {
        m_form->change(tr("Direction"), [&](Blueprint& b) {
            auto& d = definitionOf(b, m_form->index());
            const int i = direction->currentData().toInt();
            d.direction = i < 0 ? std::nullopt : std::optional(static_cast<Direction>(i));
            if (d.direction == Direction::across && d.view == View::side)
                d.view = View::front;
            if (d.direction == Direction::forward && (d.view == View::front || d.view == View::rear))
                d.view = View::side;
        });
    });
    auto* per = new QLineEdit;
    per->setPlaceholderText(tr("two ends of a segment, or metres; empty = pixels"));
    layout->addRow(tr("Unit of length"), row("per", per));
    f.onFill([this, per] {
        const auto& d = definitionOf(m_document.value(), m_form->index());
        if (const QString t = d.metres ? tr("metres") : textOf(d.per); !per->hasFocus() || !per->isModified())
            per->setText(t);
    });
    connect(per, &QLineEdit::editingFinished, this, [this, per] {
        if (!per->isModified())
            return;
        per->setModified(false);
        const QString text = per->text().trimmed();
        const auto p = pointsFrom(text);
        m_form->change(tr("Unit of length"), [&](Blueprint& b) {
            auto& d = definitionOf(b, m_form->index());
            d.metres = text.compare(tr("metres"), Qt::CaseInsensitive) == 0 || text == "m";
            d.per = d.metres || !p ? std::vector<PointSpec>() : *p;
            ensureLandmarks(b, d);
        });
    });
}

void MeasureEditor::buildNumbers() {
    auto& f = *m_form;
    row("perName", f.line(
                       tr("Name of the unit"), [](auto& b, int i) -> auto& { return definitionOf(b, i).perName; }));
    row("level",
        f.number(
            tr("Slower than"), 0, 1e5, 2, 0.1, [](auto& b, int i) -> auto& { return definitionOf(b, i).level; }));
    row("height",
        f.number(
            tr("Lower than"), 0, 1e5, 2, 0.05, [](auto& b, int i) -> auto& { return definitionOf(b, i).height; }));
    row("fullWidth",
        f.number(
            tr("Full width"), 0, 100, 3, 0.01, [](auto& b, int i) -> auto& { return definitionOf(b, i).fullWidth; }));
    row("fullWidthSigma", f.number(
                              tr("± of that"), 0, 100, 3, 0.01,
                              [](auto& b, int i) -> auto& { return definitionOf(b, i).fullWidthSigma; }));
    row("cycles",
        f.number(
            tr("Cycles"), 0.01, 1000, 2, 1, [](auto& b, int i) -> auto& { return definitionOf(b, i).cycles; }));
    row("lo", f.number(
                  tr("Back from"), -1e5, 1e5, 2, 1, [](auto& b, int i) -> auto& { return definitionOf(b, i).lo; }));
    row("hi", f.number(
                  tr("Back to"), -1e5, 1e5, 2, 1, [](auto& b, int i) -> auto& { return definitionOf(b, i).hi; }));
    row("rms", f.truth(
                   tr("root mean square instead of the largest"),
                   [](auto& b, int i) -> auto& { return definitionOf(b, i).rms; }));
    row("ownLine", f.truth(
                       tr("against its own line"), [](auto& b, int i) -> auto& { return definitionOf(b, i).ownLine; }));
}

void MeasureEditor::buildEvents() {
    auto& f = *m_form;
    auto* layout = m_form->layoutForm();
    const auto positions = [this] { return positionsOf(m_document.value()); };
    const QStringList events = {tr("First on"), tr("First off"), tr("Second on"), tr("Second off")};
    for (std::size_t k = 0; k < 4; ++k) {
        auto* c = ItemForm::box(events[static_cast<qsizetype>(k)]);
        layout->addRow(events[static_cast<qsizetype>(k)], row("event" + QString::number(k), c));
        f.onFill([this, c, k, positions] {
            const auto& d = definitionOf(m_document.value(), m_form->index());
            ItemForm::fillChoice(c, positions(), k < d.events.size() ? d.events[k] : std::string());
        });
        connect(c, &QComboBox::activated, this, [this, c, k] {
            m_form->change(tr("Events"), [&](Blueprint& b) {
                auto& d = definitionOf(b, m_form->index());
                d.events.resize(d.kind == MeasureKind::overlap ? 4 : 2);
                d.events[k] = c->currentData().toString().toStdString();
            });
        });
    }
    for (std::size_t k = 0; k < 2; ++k) {
        const QString label = k == 0 ? tr("Read of") : tr("and of");
        auto* c = ItemForm::box(label);
        layout->addRow(label, row("of" + QString::number(k), c));
        f.onFill([this, c, k] {
            const auto& d = definitionOf(m_document.value(), m_form->index());
            Options others;
            for (const auto& m : m_document.value().measures)
                if (m.definition.id != d.id)
                    others.emplace_back(m.definition.id, q(m.definition.name));
            ItemForm::fillChoice(c, others, k < d.of.size() ? d.of[k] : std::string());
        });
        connect(c, &QComboBox::activated, this, [this, c, k] {
            m_form->change(tr("Read of"), [&](Blueprint& b) {
                auto& d = definitionOf(b, m_form->index());
                if (d.of.size() <= k)
                    d.of.resize(k + 1);
                d.of[k] = c->currentData().toString().toStdString();
            });
        });
    }
}

void MeasureEditor::buildLinks() {
    auto& f = *m_form;
    auto* layout = m_form->layoutForm();
    auto* links = new QPlainTextEdit;
    links->setFixedHeight(74);
    links->setTabChangesFocus(true);
    links->setPlaceholderText(tr("one a line, in order: hips: lead_hip+rear_hip"));
    layout->addRow(tr("Links"), row("links", links));
    f.onFill([this, links] {
        if (links->hasFocus())
            return;
        QStringList lines;
        for (const auto& l : definitionOf(m_document.value(), m_form->index()).links)
            lines << q(l.name) + ": " + textOf(l.points);
        links->setPlainText(lines.join('\n'));
    });
    links->installEventFilter(new LeaveFilter(links, [this, links] {
        std::vector<ChainLink> out;
        for (const QString& text : links->toPlainText().split('\n', Qt::SkipEmptyParts)) {
            const auto colon = text.indexOf(':');
            const auto p = pointsFrom(text.mid(colon + 1));
            if (colon < 1 || !p) {
                m_results->setText(tr("“%1” is no link: a name, a colon, one to three landmarks.").arg(text));
                return;
            }
            out.push_back({text.left(colon).trimmed().toStdString(), *p});
        }
        if (m_form->index() >= 0 && out != definitionOf(m_document.value(), m_form->index()).links)
            m_form->change(tr("Links"), [&](Blueprint& b) {
                auto& d = definitionOf(b, m_form->index());
                d.links = out;
                ensureLandmarks(b, d);
            });
    }));
}

void MeasureEditor::buildMeaning() {
    auto& f = *m_form;
    row("checkpoint", f.choice(
                          tr("Checkpoint"),
                          [this] {
                              Options out;
                              for (const auto& c : m_document.value().checkpoints)
                                  out.emplace_back(c.id, q(c.name));
                              return out;
                          },
                          [](auto& b, int i) -> auto& { return definitionOf(b, i).checkpoint; }));
    f.line(
        tr("Too low means"), [](auto& b, int i) -> auto& { return b.measures[static_cast<std::size_t>(i)].tooLow; });
    f.line(
        tr("Too high means"), [](auto& b, int i) -> auto& { return b.measures[static_cast<std::size_t>(i)].tooHigh; });
}

void MeasureEditor::showRows() {
    const auto* m = measure();
    if (!m)
        return;
    const auto& d = m->definition;
    const auto is = [&](std::initializer_list<MeasureKind> kinds) {
        return std::find(kinds.begin(), kinds.end(), d.kind) != kinds.end();
    };
    using K = MeasureKind;
    const bool feet = d.kind == K::contacts || (d.kind == K::recovery && d.aspect == Aspect::steps);
    const bool way = d.kind == K::cadence && d.aspect != Aspect::rate; // a rate is read from its positions alone
    const bool lengths = is({K::offset, K::order, K::stack, K::speed, K::path, K::stillness, K::dwell, K::gap, K::turn,
                             K::facing, K::swing, K::twist}) ||
                         way || feet || (d.kind == K::amid && d.aspect == Aspect::off) ||
                         (d.kind == K::overlap && d.aspect == Aspect::nearest);
    const std::map<QString, bool> shown = {
        {"aspect", !aspectsOf(d.kind).empty()},
        {"at", !is({K::symmetry, K::spread, K::drift})},
        {"until", needsUntil(d)},
        {"reduction", !isOfSpan(d.kind) && !isDerived(d.kind) && !isNoted(d.kind)},
        {"points", !pointDuties(d).isEmpty() && !(d.kind == K::recovery && !feet)},
        {"reading", is({K::angle, K::between})},
        {"view", !isDerived(d.kind) && !isNoted(d.kind)},
        {"direction",
         is({K::lean, K::offset, K::order, K::speed, K::path, K::gap, K::turn, K::clock, K::angle, K::between}) ||
             way || (d.kind == K::amid && d.aspect == Aspect::off) ||
             (d.kind == K::overlap && d.aspect == Aspect::nearest)},
        {"per", lengths},
        {"perName", (lengths && !d.per.empty()) || (d.kind == K::effect && d.aspect == Aspect::score)},
        {"level", d.kind == K::dwell || feet},
        {"height", feet},
        {"fullWidth", hasFullWidth(d.kind)},
        {"fullWidthSigma", hasFullWidth(d.kind)},
        {"cycles", d.kind == K::cadence},
        {"lo", d.kind == K::recovery},
        {"hi", d.kind == K::recovery},
        {"rms", is({K::stack, K::stillness})},
        {"ownLine", d.kind == K::stack},
        {"of0", isDerived(d.kind)},
        {"of1", d.kind == K::symmetry},
        {"links", d.kind == K::chain},
        {"checkpoint", d.kind == K::seen}};
    for (const auto& [key, visible] : shown)
        m_form->layoutForm()->setRowVisible(m_fields.at(key), visible);
    const bool ratio = d.kind == K::interval && d.aspect == Aspect::ratio;
    const QStringList events = ratio ? QStringList{tr("Compared: from"), tr("until")}
                                     : QStringList{tr("First on"), tr("First off"), tr("Second on"), tr("Second off")};
    for (int k = 0; k < 4; ++k) {
        QWidget* box = m_fields.at("event" + QString::number(k));
        m_form->layoutForm()->setRowVisible(box,
                                            (d.kind == K::overlap && d.aspect != Aspect::nearest) || (ratio && k < 2));
        if (auto* label = qobject_cast<QLabel*>(m_form->layoutForm()->labelForField(box)); label && k < events.size())
            label->setText(events[k]);
    }
    m_picker->setPickable(shown.at("points"));
    m_kind->setText(kindTitle(d.kind) + " …");
    m_kind->setToolTip(kindWords(d.kind));
}

void MeasureEditor::fill() {
    if (measure())
        m_form->fill();
    fillBeside();
}

// Everything but the form's own fields.
void MeasureEditor::fillBeside() {
    const auto* m = measure();
    setEnabled(m != nullptr);
    if (!m)
        return;
    fillTargets();
    showRows();
    std::vector<std::string> others;
    bool two = false;
    for (const auto& role : m_document.value().landmarks) {
        two = two || ofOther(role);
        if (!onBody(role))
            others.push_back(role);
    }
    m_picker->setDefinition(m->definition, others,
                            two || m->definition.kind == MeasureKind::gap || m->definition.kind == MeasureKind::facing);
    tryIt();
}

void MeasureEditor::tryIt() {
    const auto* m = measure();
    const auto& d = m->definition;
    std::vector<BandPlot::Dot> dots;
    std::vector<MeasuredRep> model;
    QStringList lines;
    if (const auto problem = problemOf(d); !problem.empty()) {
        m_results->setText(q(problem));
    } else if (m_bench) {
        for (const auto& t : tryMeasure(m_document.value(), d, m_bench->data(), m_bench->analysis())) {
            const auto rep = m_bench->data().reps.find(t.rep);
            const QString whose =
                rep != m_bench->data().reps.end()
                    ? tr("%1, rep %2").arg(q(m_bench->data().takes.at(rep->second.take).title)).arg(rep->second.number)
                : t.model ? tr("all reps of the model")
                          : tr("all reps");
            const QString said = t.value.refused ? tr("cannot be read: %1").arg(q(t.value.reason))
                                                 : q(valueWords(d, t.value.value, t.value.u));
            lines << QString("%1: %2").arg(whose, said);
            if (t.value.refused)
                continue;
            dots.push_back({t.value.value, t.value.u, t.model, lines.back()});
            if (t.model) {
                MeasuredRep one;
                one.rep = whose.toStdString();
                one.values = {t.value};
                one.values.front().measure = d.id;
                model.push_back(std::move(one));
            }
        }
        m_results->setText(lines.isEmpty()
                               ? tr("No take of this case shows it: it needs a view %1.").arg(q(fromWhere(d.view)))
                               : lines.join('\n'));
    } else {
        m_results->setText(tr("Open a case to try it on its films."));
    }
    Band band{-std::numeric_limits<double>::infinity(), std::numeric_limits<double>::infinity(), 1.0};
    if (!m->targets.empty()) {
        BlueprintMeasure plain = *m;
        if (isAcrossReps(d.kind)) // its value is given already
            plain.definition.kind = MeasureKind::ratio;
        if (const auto b = bandOf(plain, m->targets[static_cast<std::size_t>(m_targetIndex)], model))
            band = *b;
    }
    const bool ms = isTime(d);
    m_plot->show(std::move(dots), band, ms ? 1000.0 : 1.0, ms ? "ms" : q(unitOf(d)));
}

} // namespace riflesso
