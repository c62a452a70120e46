#include "desktop/workshop/document.h"

#include "casebook/measure_drawing.h"
#include "casebook/text.h"

#include <QUndoCommand>

#include <algorithm>

namespace riflesso {
namespace {

// Calls `f` with the list of a part. Works on const and other blueprints.
template <typename B, typename F> auto withList(B& b, Part part, F f) {
    switch (part) {
    case Part::positions:
        return f(b.positions);
    case Part::measures:
        return f(b.measures);
    case Part::faults:
        return f(b.faults);
    case Part::drills:
        return f(b.drills);
    case Part::schools:
        return f(b.schools);
    case Part::situations:
        return f(b.situations);
    case Part::profiles:
        return f(b.profiles);
    case Part::checkpoints:
        break;
    }
    return f(b.checkpoints);
}

auto& idIn(auto& item) {
    if constexpr (requires { item.definition; })
        return item.definition.id;
    else
        return item.id;
}
auto& nameIn(auto& item) {
    if constexpr (requires { item.definition; })
        return item.definition.name;
    else
        return item.name;
}

std::vector<std::string> idsIn(const Blueprint& b, Part part) {
    return withList(b, part, [](const auto& list) {
        std::vector<std::string> ids;
        for (const auto& item : list)
            ids.push_back(idIn(item));
        return ids;
    });
}

// Everything that refers to an item of a part by its id.
void renameReferences(Blueprint& b, Part part, const std::string& from, const std::string& to) {
    const auto follow = [&](std::string& id) {
        if (id == from)
            id = to;
    };
    const auto all = [&](std::vector<std::string>& ids) { std::for_each(ids.begin(), ids.end(), follow); };
    switch (part) {
    case Part::positions:
        for (auto& p : b.positions)
            if (p.rule) {
                follow(p.rule->after);
                follow(p.rule->before);
            }
        for (auto& m : b.measures) {
            follow(m.definition.at);
            follow(m.definition.until);
            all(m.definition.events);
        }
        for (auto& f : b.faults)
            follow(f.phase);
        for (auto& c : b.checkpoints)
            follow(c.at);
        break;
    case Part::measures:
        for (auto& m : b.measures)
            all(m.definition.of);
        for (auto& f : b.faults)
            for (auto& i : f.indicators)
                follow(i.measure);
        break;
    case Part::faults:
        for (auto& f : b.faults)
            for (auto& c : f.causes)
                follow(c.fault);
        for (auto& p : b.profiles)
            all(p.faults);
        break;
    case Part::drills:
        for (auto& f : b.faults)
            all(f.drills);
        break;
    case Part::schools:
        for (auto& m : b.measures)
            for (auto& t : m.targets)
                follow(t.school);
        break;
    case Part::situations:
        for (auto& m : b.measures)
            for (auto& t : m.targets)
                follow(t.situation);
        break;
    case Part::checkpoints:
        for (auto& m : b.measures)
            follow(m.definition.checkpoint);
        break;
    case Part::profiles:
        break;
    }
}

} // namespace

std::string idFrom(const QString& name, const std::vector<std::string>& taken) {
    std::string id;
    for (const QChar c : name.toLower().normalized(QString::NormalizationForm_KD)) {
        if (c.unicode() < 128 && c.isLetterOrNumber())
            id += c.toLatin1();
        else if (!id.empty() && id.back() != '_' && !c.isMark())
            id += '_';
    }
    while (!id.empty() && (id.back() == '_'))
        id.pop_back();
    while (!id.empty() && !(id.front() >= 'a' && id.front() <= 'z'))
        id.erase(id.begin());
    if (id.empty())
        id = "item";
    std::string unique = id;
    for (int n = 2; std::find(taken.begin(), taken.end(), unique) != taken.end(); ++n)
        unique = id + "_" + std::to_string(n);
    return unique;
}

class WorkshopDocument::Step : public QUndoCommand {
public:
    Step(WorkshopDocument& document, Blueprint after, const QString& what, QString gesture)
        : QUndoCommand(what), m_document(document), m_before(document.m_value), m_after(std::move(after)),
          m_gesture(std::move(gesture)) {}
    void undo() override { m_document.set(m_before); }
    void redo() override { m_document.set(m_after); }
    [[nodiscard]] int id() const override { return m_gesture.isEmpty() ? -1 : 1; }
    bool mergeWith(const QUndoCommand* other) override {
        const auto* next = static_cast<const Step*>(other);
        if (next->m_gesture != m_gesture)
            return false;
        m_after = next->m_after;
        return true;
    }

private:
    WorkshopDocument& m_document;
    Blueprint m_before, m_after;
    QString m_gesture;
};

WorkshopDocument::WorkshopDocument(Blueprint blueprint, QObject* parent) : QObject(parent) {
    open(std::move(blueprint));
}

void WorkshopDocument::open(Blueprint blueprint) {
    m_undo.clear();
    m_saved = blueprint;
    set(std::move(blueprint));
    emit listsChanged();
}

void WorkshopDocument::markSaved(int version) {
    m_value.version = version;
    m_saved = m_value;
    m_undo.clear();
    emit changed();
}

void WorkshopDocument::set(Blueprint blueprint) {
    bool lists = false;
    for (const Part part : {Part::positions, Part::measures, Part::faults, Part::drills, Part::schools,
                            Part::situations, Part::profiles, Part::checkpoints}) {
        const auto names = [&](const Blueprint& b) {
            return withList(b, part, [](const auto& list) {
                std::vector<std::string> out;
                for (const auto& item : list)
                    out.push_back(nameIn(item));
                return out;
            });
        };
        lists = lists || names(m_value) != names(blueprint);
    }
    m_value = std::move(blueprint);
    linkMeasures(m_value.measures);
    m_problems = problemsOf(m_value);
    if (lists)
        emit listsChanged();
    emit changed();
}

void WorkshopDocument::change(const QString& what, const std::function<void(Blueprint&)>& edit,
                              const QString& gesture) {
    Blueprint after = m_value;
    edit(after);
    m_undo.push(new Step(*this, std::move(after), what, gesture));
}

int WorkshopDocument::count(Part part) const {
    return withList(m_value, part, [](const auto& list) { return static_cast<int>(list.size()); });
}

QString WorkshopDocument::nameOf(Part part, int index) const {
    return withList(m_value, part, [&](const auto& list) { return q(nameIn(list[static_cast<std::size_t>(index)])); });
}

int WorkshopDocument::add(Part part) {
    const auto ids = idsIn(m_value, part);
    change(tr("Add"), [&](Blueprint& b) {
        const std::string position = b.positions.empty() ? "" : b.positions.front().id;
        switch (part) {
        case Part::positions:
            b.positions.push_back({idFrom(tr("New position"), ids), tr("New position").toStdString(), {}, {}, {}});
            break;
        case Part::measures: {
            BlueprintMeasure m;
            m.definition = exampleOf(MeasureKind::angle);
            m.definition.id = idFrom(tr("New measure"), ids);
            m.definition.name = tr("New measure").toStdString();
            m.definition.at = position;
            m.targets.push_back({});
            m.targets.front().floor = 5.0;
            b.measures.push_back(std::move(m));
            break;
        }
        case Part::faults: {
            Fault f;
            f.id = idFrom(tr("New fault"), ids);
            f.name = tr("New fault").toStdString();
            f.phase = position;
            b.faults.push_back(std::move(f));
            break;
        }
        case Part::drills: {
            Drill d;
            d.id = idFrom(tr("New drill"), ids);
            d.name = tr("New drill").toStdString();
            b.drills.push_back(std::move(d));
            break;
        }
        case Part::schools:
            b.schools.push_back({idFrom(tr("New school"), ids), tr("New school").toStdString(), {}});
            break;
        case Part::situations:
            b.situations.push_back({idFrom(tr("New situation"), ids), tr("New situation").toStdString(), {}, {}});
            break;
        case Part::profiles:
            b.profiles.push_back({idFrom(tr("New profile"), ids), tr("New profile").toStdString(), {}, {}});
            break;
        case Part::checkpoints:
            b.checkpoints.push_back(
                {idFrom(tr("New checkpoint"), ids), tr("New checkpoint").toStdString(), {}, position});
            break;
        }
    });
    return count(part) - 1;
}

void WorkshopDocument::copy(Part part, int index) {
    const auto ids = idsIn(m_value, part);
    change(tr("Copy"), [&](Blueprint& b) {
        withList(b, part, [&](auto& list) {
            auto item = list[static_cast<std::size_t>(index)];
            nameIn(item) += tr(", copy").toStdString();
            idIn(item) = idFrom(q(nameIn(item)), ids);
            list.insert(list.begin() + index + 1, std::move(item));
        });
    });
}

void WorkshopDocument::remove(Part part, int index) {
    change(tr("Remove"),
           [&](Blueprint& b) { withList(b, part, [&](auto& list) { list.erase(list.begin() + index); }); });
}

void WorkshopDocument::move(Part part, int index, int by) {
    if (index + by < 0 || index + by >= count(part))
        return;
    change(tr("Order"), [&](Blueprint& b) {
        withList(b, part, [&](auto& list) {
            std::swap(list[static_cast<std::size_t>(index)], list[static_cast<std::size_t>(index + by)]);
        });
    });
}

void WorkshopDocument::rename(Part part, int index, const QString& name) {
    const auto kept = idsIn(m_saved, part);
    auto others = idsIn(m_value, part);
    const std::string old = others[static_cast<std::size_t>(index)];
    others.erase(others.begin() + index);
    const bool follows = std::find(kept.begin(), kept.end(), old) == kept.end();
    others.insert(others.end(), kept.begin(), kept.end());
    const std::string id = follows ? idFrom(name, others) : old;
    change(
        tr("Name"),
        [&](Blueprint& b) {
            withList(b, part, [&](auto& list) {
                nameIn(list[static_cast<std::size_t>(index)]) = name.toStdString();
                idIn(list[static_cast<std::size_t>(index)]) = id;
            });
            if (id != old)
                renameReferences(b, part, old, id);
        },
        QString("name %1 %2").arg(static_cast<int>(part)).arg(index));
}

} // namespace riflesso
