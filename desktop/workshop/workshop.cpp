#include "desktop/workshop/workshop.h"

#include "casebook/shipped.h"
#include "core/technique/position_finder.h"
#include "desktop/parts/card.h"
#include "desktop/parts/picture_view.h"
#include "desktop/theme/theme.h"
#include "files/write_file.h"
#include "library/blueprint_json.h"

#include <QCloseEvent>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QMessageBox>
#include <QRegularExpression>
#include <QShortcut>
#include <QVBoxLayout>

namespace riflesso {
namespace {

constexpr std::array kRooms = {
    QT_TRANSLATE_NOOP("riflesso::Workshop", "Technique"),  QT_TRANSLATE_NOOP("riflesso::Workshop", "Key positions"),
    QT_TRANSLATE_NOOP("riflesso::Workshop", "Measures"),   QT_TRANSLATE_NOOP("riflesso::Workshop", "Faults"),
    QT_TRANSLATE_NOOP("riflesso::Workshop", "Causes"),     QT_TRANSLATE_NOOP("riflesso::Workshop", "Drills"),
    QT_TRANSLATE_NOOP("riflesso::Workshop", "Profiles"),   QT_TRANSLATE_NOOP("riflesso::Workshop", "Schools"),
    QT_TRANSLATE_NOOP("riflesso::Workshop", "Situations"), QT_TRANSLATE_NOOP("riflesso::Workshop", "Checkpoints"),
    QT_TRANSLATE_NOOP("riflesso::Workshop", "Languages"),  QT_TRANSLATE_NOOP("riflesso::Workshop", "Changes")};

std::optional<Part> partOf(Workshop::Room room) {
    switch (room) {
    case Workshop::Room::positions:
        return Part::positions;
    case Workshop::Room::measures:
        return Part::measures;
    case Workshop::Room::faults:
        return Part::faults;
    case Workshop::Room::drills:
        return Part::drills;
    case Workshop::Room::profiles:
        return Part::profiles;
    case Workshop::Room::schools:
        return Part::schools;
    case Workshop::Room::situations:
        return Part::situations;
    case Workshop::Room::checkpoints:
        return Part::checkpoints;
    default:
        return std::nullopt;
    }
}

} // namespace

Workshop::Workshop(Blueprint blueprint, std::filesystem::path library, Workbench* bench, QWidget* parent)
    : QWidget(parent, Qt::Window), m_document(new WorkshopDocument(std::move(blueprint), this)),
      m_library(std::move(library)), m_bench(bench) {
    setObjectName("workshop");
    setWindowTitle(tr("Blueprint workshop"));
    setAttribute(Qt::WA_DeleteOnClose);
    setMinimumSize(1024, 700);
    resize(1280, 800);
    m_rooms = new QListWidget;
    m_rooms->setObjectName("rooms");
    m_rooms->setAccessibleName(tr("Rooms of the workshop"));
    for (const char* name : kRooms)
        new QListWidgetItem(tr(name), m_rooms);
    m_rooms->setFixedWidth(std::clamp(m_rooms->sizeHintForColumn(0) + 34, 138, 190)); // their counts come after them
    buildItems();
    buildPages();
    m_problems = new QListWidget;
    m_problems->setObjectName("problems");
    m_problems->setAccessibleName(tr("What is still to be mended"));
    m_problems->setWordWrap(true);
    m_message = wrapped({}, "quiet");
    m_message->setObjectName("message");

    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(12, 10, 12, 10);
    all->setSpacing(8);
    auto* bar = new QHBoxLayout;
    buildBar(bar);
    all->addLayout(bar);
    auto* middle = new QHBoxLayout;
    middle->setSpacing(10);
    middle->addWidget(m_rooms);
    middle->addWidget(m_itemsSide);
    middle->addWidget(m_pages, 1);
    all->addLayout(middle, 1);
    all->addWidget(m_message);
    all->addWidget(m_problems);

    connectAll();
    new QShortcut(QKeySequence::Undo, this, [this] { m_document->undoStack().undo(); });
    new QShortcut(QKeySequence("Ctrl+Shift+Z"), this, [this] { m_document->undoStack().redo(); });
    new QShortcut(QKeySequence::Save, this, [this] { keep(); });
    new QShortcut(QKeySequence::Close, this, [this] { close(); });
    m_rooms->setCurrentRow(static_cast<int>(Room::measures));
    m_rooms->setFocus();
    refresh();
}

void Workshop::buildPages() {
    m_pages = new QStackedWidget;
    m_forms[Room::technique] = techniqueForm();
    m_forms[Room::positions] = positionForm();
    m_measures = new MeasureEditor(*m_document, m_bench);
    m_languages = new LanguageRoom(*m_document);
    m_forms[Room::faults] = faultForm();
    m_forms[Room::drills] = drillForm();
    for (const Room r : {Room::profiles, Room::schools, Room::situations, Room::checkpoints})
        m_forms[r] = namedForm(*partOf(r));
    for (int i = 0; i < static_cast<int>(kRooms.size()); ++i) {
        const auto room = static_cast<Room>(i);
        m_pages->addWidget(room == Room::measures    ? m_measures
                           : room == Room::causes    ? causesRoom()
                           : room == Room::languages ? m_languages
                           : room == Room::changes   ? changesRoom()
                                                     : atTopOfScroll(m_forms.at(room)));
    }
}

void Workshop::connectAll() {
    connect(m_rooms, &QListWidget::currentRowChanged, this, [this](int row) {
        if (row >= 0)
            show(static_cast<Room>(row));
    });
    connect(m_items, &QListWidget::currentRowChanged, this, [this](int row) {
        if (m_room == Room::measures)
            m_measures->setIndex(row);
        else if (m_forms.contains(m_room) && m_room != Room::technique) {
            m_forms[m_room]->setIndex(row);
            m_forms[m_room]->setEnabled(row >= 0);
        }
        if (m_room == Room::positions)
            tryRule();
    });
    connect(m_document, &WorkshopDocument::changed, this, &Workshop::refresh);
    connect(m_document, &WorkshopDocument::listsChanged, this, &Workshop::fillItems);
    connect(m_problems, &QListWidget::itemActivated, this,
            [this](QListWidgetItem* item) { toProblem(item->data(Qt::UserRole).toString()); });
    connect(m_problems, &QListWidget::itemClicked, this,
            [this](QListWidgetItem* item) { toProblem(item->data(Qt::UserRole).toString()); });
}

void Workshop::begin(Blueprint b) {
    b.id = idFrom(q(b.name), blueprintIds(m_library));
    std::replace(b.id.begin(), b.id.end(), '_', '-');
    b.cautions = m_document->value().cautions;
    const bool measures = !b.measures.empty();
    m_document->open(std::move(b));
    if (measures)
        show(Room::measures, 0);
}

std::optional<Part> Workshop::part() const {
    return partOf(m_room);
}

void Workshop::buildBar(QLayout* into) {
    auto* bar = static_cast<QHBoxLayout*>(into);
    m_title = new QLabel;
    m_title->setObjectName("title");
    bar->addWidget(m_title, 1);
    const auto button = [&](const QString& text, const QString& why, const char* name, auto what) {
        auto* b = new QPushButton(text);
        b->setToolTip(why);
        b->setObjectName(name);
        bar->addWidget(b);
        connect(b, &QPushButton::clicked, this, what);
        return b;
    };
    m_undo = button(tr("Undo"), tr("Ctrl+Z"), "undo", [this] { m_document->undoStack().undo(); });
    m_redo = button(tr("Redo"), tr("Ctrl+Shift+Z"), "redo", [this] { m_document->undoStack().redo(); });
    button(tr("From scratch"), tr("A new technique with nothing in it"), "fresh", [this] {
        Blueprint b;
        b.name = tr("New technique").toStdString();
        b.positions = {{"start", tr("Start").toStdString(), {}, {}, {}}, {"end", tr("End").toStdString(), {}, {}, {}}};
        begin(std::move(b));
        show(Room::technique);
    });
    button(tr("Open …"), tr("Another blueprint of this library"), "openOther", [this] {
        QDialog choose(this);
        choose.setWindowTitle(tr("Which blueprint"));
        auto* list = new QListWidget;
        for (const auto& id : blueprintIds(m_library))
            if (const auto b = blueprintFor(m_library, id)) {
                auto* item = new QListWidgetItem(tr("%1, version %2").arg(q(b->name)).arg(b->version), list);
                item->setData(Qt::UserRole, q(id));
            }
        auto* v = new QVBoxLayout(&choose);
        v->addWidget(list);
        connect(list, &QListWidget::itemActivated, &choose, &QDialog::accept);
        list->setCurrentRow(0);
        auto* ok = new QPushButton(tr("Open"));
        ok->setDefault(true);
        v->addWidget(ok);
        connect(ok, &QPushButton::clicked, &choose, &QDialog::accept);
        if (choose.exec() == QDialog::Accepted && list->currentItem())
            if (auto b = blueprintFor(m_library, list->currentItem()->data(Qt::UserRole).toString().toStdString()))
                m_document->open(std::move(*b));
    });
    button(tr("Import …"), tr("A blueprint's JSON file"), "import", [this] {
        if (const QString f =
                QFileDialog::getOpenFileName(this, tr("Import a blueprint"), {}, tr("Blueprints (*.json)"));
            !f.isEmpty())
            importFile(f);
    });
    button(tr("Export …"), tr("As a JSON file, for others"), "export", [this] {
        if (const QString f = QFileDialog::getSaveFileName(
                this, tr("Export the blueprint"), q(m_document->value().id) + ".json", tr("Blueprints (*.json)"));
            !f.isEmpty())
            exportFile(f);
    });
    m_keep = button(tr("Keep this version"), tr("Ctrl+S: into the library, as the next version; earlier ones stay"),
                    "keep", [this] { keep(); });
}

QWidget* Workshop::causesRoom() {
    auto* room = new QWidget;
    auto* all = new QVBoxLayout(room);
    all->setContentsMargins(0, 0, 0, 0);
    m_graph = new CauseGraph;
    all->addWidget(m_graph, 1);
    auto* bar = new QHBoxLayout;
    m_linkWords = wrapped(tr("Drag from a cause to its consequence. Click a line to change it."), "quiet");
    bar->addWidget(m_linkWords, 1);
    m_strength = new QDoubleSpinBox;
    m_strength->setRange(0.05, 1.0);
    m_strength->setSingleStep(0.1);
    m_strength->setAccessibleName(tr("Strength"));
    m_strength->setObjectName("strength");
    auto* gone = new QPushButton(tr("Take the line away"));
    bar->addWidget(new QLabel(tr("Strength")));
    bar->addWidget(m_strength);
    bar->addWidget(gone);
    all->addLayout(bar);
    auto* byKeys = new QHBoxLayout;
    m_linkFrom = ItemForm::box(tr("Cause"));
    m_linkTo = ItemForm::box(tr("Consequence"));
    auto* join = new QPushButton(tr("Add"));
    byKeys->addWidget(m_linkFrom, 1);
    byKeys->addWidget(new QLabel(tr("causes")));
    byKeys->addWidget(m_linkTo, 1);
    byKeys->addWidget(join);
    all->addLayout(byKeys);
    const auto want = [this](const QString& cause, const QString& fault) {
        Blueprint trial = m_document->value();
        for (auto& f : trial.faults)
            if (f.id == fault.toStdString()) {
                if (f.id == cause.toStdString() || std::any_of(f.causes.begin(), f.causes.end(), [&](const Cause& c) {
                        return c.fault == cause.toStdString();
                    }))
                    return;
                f.causes.push_back({cause.toStdString(), 0.5});
            }
        for (const auto& p : problemsOf(trial))
            if (!p.circle.empty()) {
                m_message->setText(tr("That cannot be: %1.").arg(inNames(p)));
                return;
            }
        m_message->clear();
        m_document->change(tr("Cause"), [&](Blueprint& b) { b = trial; });
        m_graph->choose(CauseGraph::Link{cause.toStdString(), fault.toStdString()});
    };
    const auto edit = [this](const QString& what, auto f, const QString& gesture = {}) {
        if (const auto link = m_graph->chosen())
            m_document->change(
                what,
                [&](Blueprint& b) {
                    for (auto& fault : b.faults)
                        if (fault.id == link->fault)
                            f(fault.causes, link->cause);
                },
                gesture);
    };
    const auto strength = [this, edit](double s) {
        if (m_graph->chosen())
            edit(
                tr("Strength"),
                [s](std::vector<Cause>& causes, const std::string& of) {
                    for (auto& c : causes)
                        if (c.fault == of)
                            c.strength = s;
                },
                q("strength " + m_graph->chosen()->cause + " " + m_graph->chosen()->fault));
    };
    const auto drop = [edit] {
        edit(tr("Take the line away"), [](std::vector<Cause>& causes, const std::string& of) {
            std::erase_if(causes, [&](const Cause& c) { return c.fault == of; });
        });
    };
    connect(m_graph, &CauseGraph::linkWanted, this, want);
    connect(m_graph, &CauseGraph::strengthWanted, this, strength);
    connect(m_graph, &CauseGraph::removalWanted, this, drop);
    connect(m_graph, &CauseGraph::linkChosen, this, &Workshop::refresh);
    connect(gone, &QPushButton::clicked, this, drop);
    connect(join, &QPushButton::clicked, this,
            [this, want] { want(m_linkFrom->currentData().toString(), m_linkTo->currentData().toString()); });
    connect(m_strength, &QDoubleSpinBox::valueChanged, this, [this, strength](double v) {
        if (m_strength->hasFocus())
            strength(v);
    });
    return room;
}

QWidget* Workshop::changesRoom() {
    auto* room = new QWidget;
    auto* all = new QVBoxLayout(room);
    all->setContentsMargins(0, 0, 0, 0);
    auto* bar = new QHBoxLayout;
    m_before = ItemForm::box(tr("From version"));
    m_after = ItemForm::box(tr("To version"));
    bar->addWidget(new QLabel(tr("From")));
    bar->addWidget(m_before);
    bar->addWidget(new QLabel(tr("to")));
    bar->addWidget(m_after);
    bar->addStretch();
    all->addLayout(bar);
    m_changes = new QTextBrowser;
    m_changes->setObjectName("changes");
    all->addWidget(m_changes, 1);
    for (auto* c : {m_before, m_after})
        connect(c, &QComboBox::activated, this, &Workshop::showChanges);
    return room;
}

void Workshop::showChanges() {
    const auto pick = [this](QComboBox* c) -> Result<Blueprint> {
        const int version = c->currentData().toInt();
        if (version < 0)
            return version == -1 ? m_document->value() : m_document->saved();
        return keptVersion(m_library, m_document->value().id, version);
    };
    const auto before = pick(m_before), after = pick(m_after);
    if (!before || !after) {
        m_changes->setPlainText(q((before ? after : before).error().text()));
        return;
    }
    QString html;
    std::string place;
    for (const auto& c : differences(*before, *after)) {
        if (c.place != place)
            html += QString("<p><b>%1</b></p>").arg(q(c.place).toHtmlEscaped());
        place = c.place;
        html += QString("<p style='margin-left:14px'>%1</p>").arg(q(c.what).toHtmlEscaped());
    }
    m_changes->setHtml(html.isEmpty() ? tr("Nothing is different.") : html);
}

void Workshop::show(Room room, int item) {
    m_room = room;
    m_message->clear();
    const QSignalBlocker quiet(m_rooms);
    m_rooms->setCurrentRow(static_cast<int>(room));
    m_itemsSide->setVisible(partOf(room).has_value());
    m_pages->setCurrentIndex(static_cast<int>(room));
    if (room == Room::changes) {
        for (auto* c : {m_before, m_after}) {
            c->clear();
            c->addItem(tr("as it is now"), -1);
            c->addItem(tr("as it was opened"), -2);
            for (const int v : keptVersions(m_library, m_document->value().id))
                c->addItem(tr("version %1").arg(v), v);
        }
        m_before->setCurrentIndex(1);
        m_after->setCurrentIndex(0);
        showChanges();
    }
    if (room == Room::causes || room == Room::languages)
        refresh();
    fillItems();
    if (item >= 0)
        m_items->setCurrentRow(item);
}

void Workshop::fillItems() {
    const auto p = part();
    if (!p)
        return;
    const int was = m_items->currentRow(), row = std::min(std::max(0, was), m_document->count(*p) - 1);
    {
        const QSignalBlocker quiet(m_items);
        m_items->clear();
        for (int i = 0; i < m_document->count(*p); ++i)
            new QListWidgetItem(QString("%1  %2").arg(i + 1).arg(m_document->nameOf(*p, i)), m_items);
        m_items->setCurrentRow(row);
    }
    // The same item in the same room is brought up to date by refresh(): once a key press is enough.
    if (row != was || m_room != m_itemsOf)
        emit m_items->currentRowChanged(row);
    m_itemsOf = m_room;
}

void Workshop::refresh() {
    const auto& b = m_document->value();
    m_title->setText(tr("%1, version %2%3")
                         .arg(q(b.name))
                         .arg(b.version)
                         .arg(m_document->changedSinceSaved() ? tr(", changed") : QString()));
    auto& stack = m_document->undoStack();
    m_undo->setEnabled(stack.canUndo());
    m_undo->setToolTip(stack.canUndo() ? tr("Undo: %1").arg(stack.undoText()) : tr("Ctrl+Z"));
    m_redo->setEnabled(stack.canRedo());
    for (int i = 0; i < static_cast<int>(kRooms.size()); ++i) {
        const auto p = partOf(static_cast<Room>(i));
        m_rooms->item(i)->setText(
            p ? QString("%1  %2").arg(tr(kRooms[static_cast<std::size_t>(i)])).arg(m_document->count(*p))
              : tr(kRooms[static_cast<std::size_t>(i)]));
    }
    if (m_room == Room::measures)
        m_measures->fill();
    else if (m_forms.contains(m_room) &&
             (m_room == Room::technique || m_forms[m_room]->index() < m_document->count(*partOf(m_room))))
        m_forms[m_room]->fill();
    if (m_room == Room::positions)
        tryRule();
    m_languages->fill();
    sayProblems();
    if (m_room != Room::causes)
        return; // what is not seen is brought up to date when it is shown
    m_graph->setBlueprint(b);
    const auto chosen = m_graph->chosen();
    for (auto* c : {m_linkFrom, m_linkTo})
        ItemForm::fillChoice(c, optionsOf(b.faults), c->currentData().toString().toStdString());
    m_strength->setEnabled(chosen.has_value());
    if (chosen)
        if (const Fault* f = b.fault(chosen->fault))
            for (const auto& c : f->causes)
                if (c.fault == chosen->cause) {
                    const QSignalBlocker quiet(m_strength);
                    m_strength->setValue(c.strength);
                    m_linkWords->setText(tr("“%1” causes “%2”").arg(q(b.fault(c.fault)->name), q(f->name)));
                }
    if (!chosen)
        m_linkWords->setText(tr("Drag from a cause to its consequence. Click a line to change it."));
}

QString Workshop::inNames(const BlueprintProblem& problem) const {
    if (problem.circle.empty())
        return q(problem.what);
    QStringList names;
    for (const auto& id : problem.circle) {
        const Fault* f = m_document->value().fault(id);
        names << (f ? tr("“%1”").arg(q(f->name)) : q(id));
    }
    return q(fill(say("problem", "causes run in a circle: %1"), {names.join(" → ").toStdString()}));
}

void Workshop::sayProblems() {
    m_problems->clear();
    const auto& problems = m_document->problems();
    m_problems->setFixedHeight(problems.empty() ? 30 : 74);
    m_keep->setEnabled(problems.empty());
    if (problems.empty()) {
        auto* item = new QListWidgetItem(tr("Sound: nothing to mend."), m_problems);
        item->setFlags(Qt::ItemIsEnabled);
        return;
    }
    static const QRegularExpression indexed("^(\\w+)\\[(\\d+)\\]\\.?(.*)$");
    for (const auto& p : problems) {
        QString where = q(p.place);
        if (const auto match = indexed.match(where); match.hasMatch()) {
            static const std::map<QString, Part> parts = {
                {"positions", Part::positions}, {"measures", Part::measures},      {"faults", Part::faults},
                {"drills", Part::drills},       {"schools", Part::schools},        {"situations", Part::situations},
                {"profiles", Part::profiles},   {"checkpoints", Part::checkpoints}};
            if (const auto it = parts.find(match.captured(1));
                it != parts.end() && match.captured(2).toInt() < m_document->count(it->second)) {
                const QString field = match.captured(3);
                where = QString("“%1”%2").arg(m_document->nameOf(it->second, match.captured(2).toInt()),
                                              field.isEmpty() ? QString() : ", " + field);
            }
        }
        auto* item = new QListWidgetItem(QString("%1: %2").arg(where, inNames(p)), m_problems);
        item->setData(Qt::UserRole, q(p.place));
        item->setToolTip(tr("Click to go there"));
    }
}

void Workshop::toProblem(const QString& place) {
    static const std::map<QString, Room> rooms = {{"positions", Room::positions},    {"measures", Room::measures},
                                                  {"drills", Room::drills},          {"profiles", Room::profiles},
                                                  {"schools", Room::schools},        {"situations", Room::situations},
                                                  {"checkpoints", Room::checkpoints}};
    static const QRegularExpression head("^(\\w+)(?:\\[(\\d+)\\])?");
    const auto match = head.match(place);
    if (place == "faults")
        show(Room::causes);
    else if (match.captured(1) == "faults")
        show(Room::faults, match.captured(2).toInt());
    else if (const auto it = rooms.find(match.captured(1)); it != rooms.end())
        show(it->second, match.captured(2).isEmpty() ? -1 : match.captured(2).toInt());
    else if (!place.isEmpty())
        show(Room::technique);
}

bool Workshop::importFile(const QString& file) {
    auto b = readBlueprint(file.toStdString());
    if (!b) {
        m_message->setText(q(b.error().text()));
        return false;
    }
    m_document->open(std::move(*b));
    m_message->setText(tr("Imported; it is kept in this library when you keep a version."));
    return true;
}

bool Workshop::exportFile(const QString& file) {
    if (const auto s = writeFile(file.toStdString(), blueprintToJson(m_document->value())); !s) {
        m_message->setText(q(s.error().text()));
        return false;
    }
    m_message->setText(tr("Written: %1").arg(file));
    return true;
}

bool Workshop::keep() {
    if (!m_document->problems().empty()) {
        m_message->setText(tr("Mend what is listed below first."));
        return false;
    }
    const auto version = keepBlueprint(m_library, m_document->value());
    if (!version) {
        m_message->setText(q(version.error().text()));
        return false;
    }
    m_document->markSaved(*version);
    m_message->setText(
        tr("Kept as version %1. Cases of this technique use it when they are next opened.").arg(*version));
    emit kept(q(m_document->value().id));
    return true;
}

void Workshop::closeEvent(QCloseEvent* e) {
    if (m_document->changedSinceSaved()) {
        const auto answer = QMessageBox::question(this, tr("Close the workshop"),
                                                  tr("What was changed since the last kept version is lost."),
                                                  QMessageBox::Discard | QMessageBox::Cancel, QMessageBox::Cancel);
        if (answer != QMessageBox::Discard) {
            e->ignore();
            return;
        }
    }
    e->accept();
}

} // namespace riflesso
