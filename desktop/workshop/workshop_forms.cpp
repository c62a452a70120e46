// The workshop's forms: one a kind of thing of a blueprint.

#include "desktop/workshop/workshop.h"

#include "casebook/shipped.h"
#include "casebook/text.h"
#include "core/technique/position_finder.h"
#include "desktop/parts/card.h"
#include "desktop/parts/picture_view.h"
#include "desktop/theme/theme.h"
#include "files/write_file.h"
#include "library/blueprint_json.h"

#include <QHBoxLayout>
#include <QVBoxLayout>

#include <algorithm>

namespace riflesso {

namespace {
auto at(auto& list, int i) -> auto& {
    return list[static_cast<std::size_t>(i)];
}

// A name that is edited through the document, so that ids and references follow.
QLineEdit* nameField(ItemForm& form, Part part) {
    auto* e = new QLineEdit;
    e->setObjectName("itemName");
    form.layoutForm()->addRow(ItemForm::tr("Name"), e);
    form.onFill([&form, e, part] {
        if (const QString t = form.document().nameOf(part, form.index()); e->text() != t)
            e->setText(t);
    });
    QObject::connect(e, &QLineEdit::textEdited, &form, [&form, part](const QString& t) {
        if (!form.filling())
            form.document().rename(part, form.index(), t);
    });
    return e;
}

// Things of the blueprint that are chosen from a list: a check box each.
template <typename Field>
QListWidget* checkList(ItemForm& form, const QString& label, std::function<Options()> options, Field field) {
    auto* list = new QListWidget;
    list->setAccessibleName(label);
    list->setMaximumHeight(150);
    form.layoutForm()->addRow(label, list);
    form.onFill([&form, list, options, field] {
        const QSignalBlocker quiet(list);
        const auto& chosen = field(form.document().value(), form.index());
        const int row = list->currentRow();
        list->clear();
        for (const auto& [id, name] : options()) {
            auto* item = new QListWidgetItem(name, list);
            item->setData(Qt::UserRole, q(id));
            item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
            item->setCheckState(std::find(chosen.begin(), chosen.end(), id) != chosen.end() ? Qt::Checked
                                                                                            : Qt::Unchecked);
        }
        list->setCurrentRow(row);
    });
    QObject::connect(list, &QListWidget::itemChanged, &form, [&form, label, field](QListWidgetItem* item) {
        const std::string id = item->data(Qt::UserRole).toString().toStdString();
        const bool on = item->checkState() == Qt::Checked;
        form.change(label, [&](Blueprint& b) {
            auto& chosen = field(b, form.index());
            std::erase(chosen, id);
            if (on)
                chosen.push_back(id);
        });
    });
    return list;
}

// Rows of a measure, one of its two sides and a number: one each, as many as there are, and an empty one.
template <typename Row> struct MeasureRows {
    const char* object;         ///< the box's name
    QString label, side, value; ///< for screens and undo; what the two fields of a row are called
    QStringList sides{};        ///< words of Deviance
    Row fresh{};                ///< of the empty row
    Deviance Row::*direction = nullptr;
    double Row::*number = nullptr;
    std::function<bool(const BlueprintMeasure&)> offered{};
    std::function<void(QDoubleSpinBox&, const Row&)> dress{}; ///< range and steps of the number
};

template <typename Row, typename List> void measureRows(ItemForm* f, const MeasureRows<Row>& how, List list) {
    auto* rows = new QVBoxLayout;
    rows->setSpacing(3);
    auto* box = new QWidget;
    box->setObjectName(how.object);
    box->setLayout(rows);
    f->layoutForm()->addRow(how.label, box);
    f->onFill([f, rows, how, list] {
        clearLayout(rows);
        const std::vector<Row>& there = list(f->document().value(), f->index());
        Options measures = {{"", Workshop::tr("(one more measure)")}};
        for (const auto& m : f->document().value().measures)
            if (how.offered(m))
                measures.emplace_back(m.definition.id, q(m.definition.name));
        for (std::size_t k = 0; k <= there.size(); ++k) {
            const Row one = k < there.size() ? there[k] : how.fresh;
            auto* line = new QHBoxLayout;
            auto* measure = ItemForm::box(Workshop::tr("Measure"));
            ItemForm::fillChoice(measure, measures, one.measure);
            auto* way = ItemForm::box(how.side);
            way->addItems(how.sides);
            way->setMinimumContentsLength(7);
            way->setCurrentIndex(static_cast<int>(one.*how.direction));
            auto* number = new QDoubleSpinBox;
            number->setAccessibleName(how.value);
            how.dress(*number, one);
            number->setValue(one.*how.number);
            line->addWidget(measure, 1);
            line->addWidget(way);
            line->addWidget(number);
            rows->addLayout(line);
            const auto edit = [f, k, how, list, measure, way, number] {
                f->change(how.label, [&](Blueprint& b) {
                    auto& all = list(b, f->index());
                    Row changed = how.fresh;
                    changed.measure = measure->currentData().toString().toStdString();
                    changed.*how.direction = static_cast<Deviance>(way->currentIndex());
                    changed.*how.number = number->value();
                    if (changed.measure.empty()) {
                        if (k < all.size())
                            all.erase(all.begin() + static_cast<std::ptrdiff_t>(k));
                        return;
                    }
                    if (all.size() <= k)
                        all.resize(k + 1);
                    all[k] = changed;
                });
            };
            // Not at once: the row that is edited is made anew.
            QObject::connect(measure, &QComboBox::activated, f, edit, Qt::QueuedConnection);
            QObject::connect(way, &QComboBox::activated, f, edit, Qt::QueuedConnection);
            QObject::connect(
                number, &QDoubleSpinBox::editingFinished, f,
                [number, before = one.*how.number, edit] {
                    if (number->value() != before)
                        edit();
                },
                Qt::QueuedConnection);
        }
    });
}
} // namespace

void Workshop::buildItems() {
    m_items = new QListWidget;
    m_items->setObjectName("items");
    m_items->setWordWrap(true);
    m_items->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_items->setResizeMode(QListView::Adjust);
    m_items->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Expanding);
    m_itemsSide = new QWidget;
    m_itemsSide->setMinimumWidth(212); // and as wide as its buttons' words
    m_itemsSide->setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Preferred);
    auto* side = new QVBoxLayout(m_itemsSide);
    side->setContentsMargins(0, 0, 0, 0);
    side->addWidget(m_items, 1);
    auto* buttons = new QHBoxLayout;
    auto* order = new QHBoxLayout;
    const auto button = [&](const QString& text, const QString& why, const char* name, auto what) {
        auto* b = new QPushButton(text);
        b->setToolTip(why);
        b->setAccessibleName(why);
        b->setObjectName(name);
        b->setStyleSheet("padding: 3px 5px; min-width: 0;");
        (text.size() > 2 ? buttons : order)->addWidget(b, static_cast<int>(text.size()));
        connect(b, &QPushButton::clicked, this, what);
    };
    button(tr("Add"), tr("Add one"), "add", [this] {
        if (const auto p = part()) {
            const int i = m_document->add(*p);
            fillItems();
            m_items->setCurrentRow(i);
            if (auto* name = m_pages->currentWidget()->findChild<QLineEdit*>("itemName")) {
                name->setFocus();
                name->selectAll();
            }
        }
    });
    button(tr("Copy"), tr("One more like this"), "copy", [this] {
        if (const int i = m_items->currentRow(); part() && i >= 0) {
            m_document->copy(*part(), i);
            m_items->setCurrentRow(i + 1);
        }
    });
    button(tr("Remove"), tr("Take it away"), "remove", [this] {
        if (const int i = m_items->currentRow(); part() && i >= 0)
            m_document->remove(*part(), i);
    });
    for (const int by : {-1, 1})
        button(by < 0 ? "↑" : "↓", by < 0 ? tr("Earlier in the list") : tr("Later in the list"), by < 0 ? "up" : "down",
               [this, by] {
                   if (const int i = m_items->currentRow(); part() && i >= 0) {
                       m_document->move(*part(), i, by);
                       m_items->setCurrentRow(std::clamp(i + by, 0, m_items->count() - 1));
                   }
               });
    side->addLayout(buttons);
    side->addLayout(order);
}

ItemForm* Workshop::techniqueForm() {
    auto* f = new ItemForm(*m_document);
    f->line(
         tr("Name"), [](auto& b, int) -> auto& { return b.name; })
        ->setObjectName("techniqueName");
    f->words(
        tr("Cautions"), tr("parted by |"), [](auto& b, int) -> auto& { return b.cautions; }, '|');
    auto* landmarks = f->words(
        tr("Landmarks"), tr("in the order in which the eye goes"), [](auto& b, int) -> auto& { return b.landmarks; });
    landmarks->setToolTip(tr("lead_ is the side of the weapon or of the preferred hand, rear_ the other one"));
    auto* words = wrapped({}, "quiet");
    words->setObjectName("overview");
    f->layoutForm()->addRow(words);
    f->onFill([this, words] {
        const auto& b = m_document->value();
        QStringList stages;
        for (int s = 0; s < static_cast<int>(kStageNames.size()); ++s) {
            const auto n = std::count_if(b.drills.begin(), b.drills.end(),
                                         [&](const Drill& d) { return static_cast<int>(d.stage) == s; });
            if (n > 0)
                stages << QString("%1 %2").arg(shownWord(kStageNames[static_cast<std::size_t>(s)])).arg(n);
        }
        words->setText(tr("%1, version %2: %3 key positions, %4 measures, %5 faults, %6 drills.\nDrills by stage: %7.")
                           .arg(q(b.id))
                           .arg(b.version)
                           .arg(b.positions.size())
                           .arg(b.measures.size())
                           .arg(b.faults.size())
                           .arg(b.drills.size())
                           .arg(stages.join(", ")));
    });
    f->setIndex(0);
    return f;
}

namespace {
// A rule that is not there reads as its usual values.
constexpr auto ruleOf = [](auto& b, int i) -> auto& {
    static PositionRule usual;
    auto& r = at(b.positions, i).rule;
    return r ? *r : const_cast<std::remove_reference_t<decltype(*r)>&>(static_cast<const PositionRule&>(usual));
};
} // namespace

ItemForm* Workshop::positionForm() {
    auto* f = new ItemForm(*m_document);
    nameField(*f, Part::positions);
    f->area(
        tr("How to recognise it"), [](auto& b, int i) -> auto& { return at(b.positions, i).words; });
    pictureField(f);
    ruleKindField(f);
    std::vector<QWidget*> rows;
    rows.push_back(f->enumChoice<SeriesKind>(
        tr("of the"), kSeriesKindNames, [](auto& b, int i) -> auto& { return ruleOf(b, i).series.kind; }));
    rows.push_back(rulePointsField(f));
    rows.push_back(ruleDirectionField(f));
    rows.push_back(f->truth(
        tr("downwards, or backwards"), [](auto& b, int i) -> auto& { return ruleOf(b, i).falling; }));
    rows.push_back(f->number(
        tr("Level"), 0.01, 0.99, 2, 0.05, [](auto& b, int i) -> auto& { return ruleOf(b, i).level; }));
    const auto others = [this, f] {
        Options out = {{"", tr("the ends of the rep")}};
        for (const auto& p : m_document->value().positions)
            if (p.id != at(m_document->value().positions, f->index()).id)
                out.emplace_back(p.id, q(p.name));
        return out;
    };
    rows.push_back(f->choice(
        tr("Not before"), others, [](auto& b, int i) -> auto& { return ruleOf(b, i).after; }));
    rows.push_back(f->choice(
        tr("Not after"), others, [](auto& b, int i) -> auto& { return ruleOf(b, i).before; }));
    rows.push_back(f->whole(
        tr("Frames added"), -50, 50, [](auto& b, int i) -> auto& { return ruleOf(b, i).frames; }));
    m_ruleResult = wrapped({}, "quiet");
    m_ruleResult->setObjectName("ruleResult");
    f->layoutForm()->addRow(tr("On this rep"), m_ruleResult);
    f->onFill([this, f, rows] {
        const bool has = at(m_document->value().positions, f->index()).rule.has_value();
        for (auto* w : rows)
            f->layoutForm()->setRowVisible(
                w,
                has && (w != rows[4] || at(m_document->value().positions, f->index()).rule->kind == RuleKind::crosses));
    });
    return f;
}

void Workshop::pictureField(ItemForm* f) {
    m_picture = new QLabel;
    m_picture->setFixedSize(240, 160);
    m_picture->setAlignment(Qt::AlignCenter);
    m_picture->setObjectName("positionPicture");
    auto* row = new QHBoxLayout;
    row->addWidget(m_picture);
    auto* take = new QPushButton(tr("Take the picture from the film"));
    take->setObjectName("takePicture");
    take->setToolTip(tr("The frame that is shown in Footage and Marking"));
    take->setEnabled(m_bench != nullptr);
    auto* none = new QPushButton(tr("No picture"));
    auto* column = new QVBoxLayout;
    column->addWidget(take);
    column->addWidget(none);
    column->addStretch();
    row->addLayout(column, 1);
    f->layoutForm()->addRow(tr("Picture"), row);
    connect(take, &QPushButton::clicked, this, &Workshop::takePicture);
    connect(none, &QPushButton::clicked, f,
            [f] { f->change(tr("No picture"), [f](Blueprint& b) { at(b.positions, f->index()).picture.clear(); }); });
    f->onFill([this, f] {
        const std::string& encoded = at(m_document->value().positions, f->index()).picture;
        const QPixmap picture = pictureFromText(encoded);
        if (picture.isNull())
            m_picture->setText(tr("no picture yet"));
        else
            m_picture->setPixmap(picture.scaled(m_picture->size(), Qt::KeepAspectRatio, Qt::SmoothTransformation));
    });
}

// The rule by which the program proposes a key position.
void Workshop::ruleKindField(ItemForm* f) {
    auto* when = ItemForm::box(tr("Found when"));
    when->addItem(tr("no rule: placed by hand"), -1);
    for (int i = 0; i < static_cast<int>(kRuleKindNames.size()); ++i)
        when->addItem(shownWord(kRuleKindNames[static_cast<std::size_t>(i)]), i);
    f->layoutForm()->addRow(tr("Found when it"), when);
    f->onFill([this, f, when] {
        const auto& r = at(m_document->value().positions, f->index()).rule;
        when->setCurrentIndex(r ? static_cast<int>(r->kind) + 1 : 0);
    });
    connect(when, &QComboBox::activated, f, [f, when](int) {
        f->change(tr("Rule"), [&](Blueprint& b) {
            auto& p = at(b.positions, f->index());
            const int kind = when->currentData().toInt();
            if (kind < 0) {
                p.rule.reset();
                return;
            }
            if (!p.rule) {
                p.rule = PositionRule();
                p.rule->series.points = {{{b.landmarks.empty() ? "lead_wrist" : b.landmarks.front()}}};
                p.rule->series.direction = Direction::up;
                if (b.landmarks.empty())
                    b.landmarks.push_back("lead_wrist");
            }
            p.rule->kind = static_cast<RuleKind>(kind);
        });
    });
}

QWidget* Workshop::rulePointsField(ItemForm* f) {
    auto* points = new QLineEdit;
    points->setPlaceholderText(tr("lead_wrist; three for an angle, two for a distance"));
    f->layoutForm()->addRow(tr("of"), points);
    f->onFill([this, f, points] {
        QStringList names;
        for (const auto& p : ruleOf(m_document->value(), f->index()).series.points)
            names << q(riflesso::textOf(p));
        if (!points->hasFocus() || !points->isModified())
            points->setText(names.join(", "));
    });
    connect(points, &QLineEdit::editingFinished, f, [this, f, points] {
        if (!points->isModified())
            return;
        points->setModified(false);
        std::vector<PointSpec> out;
        for (const QString& text : points->text().split(',', Qt::SkipEmptyParts)) {
            const auto p = pointFromText(text.trimmed().toStdString());
            if (!p) {
                m_message->setText(tr("“%1” is no landmark.").arg(text.trimmed()));
                return;
            }
            out.push_back(*p);
        }
        f->change(tr("Points of the rule"), [&](Blueprint& b) {
            ruleOf(b, f->index()).series.points = out;
            for (const auto& p : out)
                for (const auto& role : p.landmarks)
                    if (std::find(b.landmarks.begin(), b.landmarks.end(), role) == b.landmarks.end())
                        b.landmarks.push_back(role);
        });
    });
    return points;
}

QWidget* Workshop::ruleDirectionField(ItemForm* f) {
    auto* direction = ItemForm::box(tr("Direction"));
    direction->addItem(tr("any"), -1);
    for (int i = 0; i < static_cast<int>(kDirectionNames.size()); ++i)
        direction->addItem(shownWord(kDirectionNames[static_cast<std::size_t>(i)]), i);
    f->layoutForm()->addRow(tr("Direction"), direction);
    f->onFill([this, f, direction] {
        const auto& d = ruleOf(m_document->value(), f->index()).series.direction;
        direction->setCurrentIndex(d ? static_cast<int>(*d) + 1 : 0);
    });
    connect(direction, &QComboBox::activated, f, [f, direction] {
        f->change(tr("Direction"), [&](Blueprint& b) {
            const int i = direction->currentData().toInt();
            ruleOf(b, f->index()).series.direction = i < 0 ? std::nullopt : std::optional(static_cast<Direction>(i));
        });
    });
    return direction;
}

void Workshop::takePicture() {
    auto* f = m_forms[Room::positions];
    const Take* take = m_bench ? m_bench->take() : nullptr;
    if (!take || f->index() < 0) {
        m_message->setText(tr("Open a take in Footage first."));
        return;
    }
    const QImage picture = m_bench->frames().still(m_bench->filmPath(*take), m_bench->frame());
    if (picture.isNull()) {
        m_message->setText(tr("That frame is not read yet; look at it in Footage, then try again."));
        return;
    }
    // Cropped to the body, small: a blueprint is a file that people send to one another.
    const auto points = pointsAt(m_bench->data(), m_bench->analysis(), take->id, FrameIndex(m_bench->frame()));
    const QRect crop = bodyBox(points, picture.size(), 1.5).toRect().intersected(picture.rect());
    const QByteArray bytes =
        encoded(picture.copy(crop).scaled(360, 240, Qt::KeepAspectRatio, Qt::SmoothTransformation), "JPEG", 82);
    f->change(tr("Picture"), [&](Blueprint& b) {
        at(b.positions, f->index()).picture = "data:image/jpeg;base64," + bytes.toBase64().toStdString();
    });
}

void Workshop::tryRule() {
    auto* f = m_forms[Room::positions];
    const Rep* rep = m_bench ? m_bench->rep() : nullptr;
    if (f->index() < 0 || f->index() >= m_document->count(Part::positions))
        return;
    if (!rep) {
        m_ruleResult->setText(tr("Open a case with a rep to try the rule on it."));
        return;
    }
    const auto& position = at(m_document->value().positions, f->index());
    std::map<PositionId, std::string> reasons;
    const auto found = proposalsFor(m_bench->data(), m_document->value(), *rep, {}, &reasons);
    const auto it = found.find(position.id);
    const auto placed = rep->positions.find(position.id);
    QString text;
    if (it != found.end())
        text = tr("found on frame %1 ± %2 ms%3")
                   .arg(it->second.frame.value + 1)
                   .arg(shownFigure(1000 * it->second.sigma, 0))
                   .arg(it->second.sure ? QString() : tr(", unsure: %1").arg(q(it->second.why)));
    else
        text = position.rule ? tr("not found: %1").arg(q(reasons.contains(position.id) ? reasons.at(position.id) : ""))
                             : tr("no rule");
    if (placed != rep->positions.end())
        text += tr("; it stands on frame %1").arg(placed->second.frame.value + 1);
    m_ruleResult->setText(text);
}

ItemForm* Workshop::faultForm() {
    auto* f = new ItemForm(*m_document);
    nameField(*f, Part::faults);
    f->area(
        tr("What it costs"), [](auto& b, int i) -> auto& { return at(b.faults, i).why; });
    f->choice(
        tr("First shows at"), [this] { return optionsOf(m_document->value().positions); },
        [](auto& b, int i) -> auto& { return at(b.faults, i).phase; });
    f->line(
        tr("Cue"), [](auto& b, int i) -> auto& { return at(b.faults, i).cue; });
    f->area(
        tr("Caution"), [](auto& b, int i) -> auto& { return at(b.faults, i).caution; }, 40);
    f->truth(
        tr("can hurt: comes first"), [](auto& b, int i) -> auto& { return at(b.faults, i).safety; });
    f->number(
        tr("How readily it changes"), 0.05, 1.0, 2, 0.05,
        [](auto& b, int i) -> auto& { return at(b.faults, i).trainability; });
    MeasureRows<Indicator> seen{"indicators", tr("Seen in"), tr("Too low or too high"), tr("Weight")};
    seen.sides = QStringList{tr("too low"), tr("too high")};
    seen.fresh = {"", Deviance::high, 0.9};
    seen.direction = &Indicator::direction;
    seen.number = &Indicator::weight;
    seen.offered = [](const BlueprintMeasure&) { return true; };
    seen.dress = [](QDoubleSpinBox& weight, const Indicator&) {
        weight.setRange(0.05, 1.0);
        weight.setSingleStep(0.05);
    };
    measureRows(
        f, seen, [](auto& b, int i) -> auto& { return at(b.faults, i).indicators; });
    checkList(
        *f, tr("Drills"), [this] { return optionsOf(m_document->value().drills); },
        [](auto& b, int i) -> auto& { return at(b.faults, i).drills; });
    return f;
}

ItemForm* Workshop::drillForm() {
    auto* f = new ItemForm(*m_document);
    const auto drill = [](auto& b, int i) -> auto& {
        return at(b.drills, i);
    };
    nameField(*f, Part::drills);
    f->area(
        tr("How"), [drill](auto& b, int i) -> auto& { return drill(b, i).how; }, 64);
    f->enumChoice<Stage>(
        tr("Stage"), kStageNames, [drill](auto& b, int i) -> auto& { return drill(b, i).stage; });
    f->whole(
        tr("Sets"), 1, 100, [drill](auto& b, int i) -> auto& { return drill(b, i).dose.sets; });
    f->whole(
        tr("Reps a set"), 1, 1000, [drill](auto& b, int i) -> auto& { return drill(b, i).dose.reps; });
    f->number(
        tr("Minutes"), 0.5, 240, 1, 1, [drill](auto& b, int i) -> auto& { return drill(b, i).dose.minutes; });
    f->line(
        tr("Cue"), [drill](auto& b, int i) -> auto& { return drill(b, i).cue; });
    f->line(
        tr("Contrast"), [drill](auto& b, int i) -> auto& { return drill(b, i).contrast; });
    f->area(
        tr("Caution"), [drill](auto& b, int i) -> auto& { return drill(b, i).caution; }, 40);
    f->words(
        tr("Equipment"), tr("parted by commas"), [drill](auto& b, int i) -> auto& { return drill(b, i).equipment; });
    f->line(
        tr("Speed"), [drill](auto& b, int i) -> auto& { return drill(b, i).speed; });
    f->words(
        tr("Variations"), tr("from where, how high, which side: parted by commas"), [drill](auto& b, int i) -> auto& {
            return drill(b, i).variations;
        });
    f->truth(
        tr("needs a partner"), [drill](auto& b, int i) -> auto& { return drill(b, i).partner; });
    f->truth(
        tr("can be done alone at home"), [drill](auto& b, int i) -> auto& { return drill(b, i).home; });
    return f;
}

// A row a limit beyond which it is better declined.
void Workshop::limitRows(ItemForm& form) {
    MeasureRows<DeclineLimit> limits{"declineLimits", tr("Better declined when"), tr("Below or above"), tr("Limit")};
    limits.sides = QStringList{tr("below"), tr("above")};
    limits.direction = &DeclineLimit::beyond;
    limits.number = &DeclineLimit::bound;
    limits.offered = [](const BlueprintMeasure& m) {
        return !isAcrossReps(m.definition.kind) && m.definition.kind != MeasureKind::choice;
    };
    limits.dress = [this](QDoubleSpinBox& bound, const DeclineLimit& now) {
        bound.setRange(-10000.0, 10000.0);
        bound.setDecimals(3);
        if (const auto* m = m_document->value().measure(now.measure))
            bound.setSuffix(" " + q(unitOf(m->definition)));
    };
    measureRows(
        &form, limits, [](auto& b, int i) -> auto& { return at(b.situations, i).decline; });
}

ItemForm* Workshop::namedForm(Part part) {
    auto* f = new ItemForm(*m_document);
    nameField(*f, part);
    switch (part) {
    case Part::profiles:
        f->area(
            tr("In words"), [](auto& b, int i) -> auto& { return at(b.profiles, i).words; });
        checkList(
            *f, tr("Made of, the first to repair first"), [this] { return optionsOf(m_document->value().faults); },
            [](auto& b, int i) -> auto& { return at(b.profiles, i).faults; });
        break;
    case Part::schools:
        f->area(
            tr("What it teaches"), [](auto& b, int i) -> auto& { return at(b.schools, i).words; });
        break;
    case Part::situations:
        f->area(
            tr("How to recognise it"), [](auto& b, int i) -> auto& { return at(b.situations, i).words; });
        f->words(
            tr("Right choices"), tr("parted by commas"),
            [](auto& b, int i) -> auto& { return at(b.situations, i).choices; });
        limitRows(*f);
        break;
    default:
        f->area(
            tr("Question"), [](auto& b, int i) -> auto& { return at(b.checkpoints, i).question; });
        f->choice(
            tr("Judged at"), [this] { return optionsOf(m_document->value().positions); },
            [](auto& b, int i) -> auto& { return at(b.checkpoints, i).at; });
    }
    return f;
}

} // namespace riflesso
