// The measure's targets: where they come from, their band, for which school and situation.

#include "desktop/workshop/measure_editor.h"

#include "casebook/text.h"
#include <QHBoxLayout>

#include <algorithm>
#include <cmath>
#include <limits>

namespace riflesso {
namespace {

constexpr double kOpen = 1e6; // a spin box at its end stands for an open end

// A number that may be left open at one end of its range: below (−1), above (+1), or not at all (0).
class EndSpin : public QDoubleSpinBox {
public:
    explicit EndSpin(int openEnd) : m_openEnd(openEnd) {}
    [[nodiscard]] QString textFromValue(double v) const override {
        return m_openEnd != 0 && v == end() ? open() : QDoubleSpinBox::textFromValue(v);
    }
    [[nodiscard]] double valueFromText(const QString& text) const override {
        return m_openEnd != 0 && text == open() ? end() : QDoubleSpinBox::valueFromText(text);
    }
    QValidator::State validate(QString& text, int& pos) const override {
        if (m_openEnd == 0 || text.isEmpty() || !open().startsWith(text))
            return QDoubleSpinBox::validate(text, pos);
        return text == open() ? QValidator::Acceptable : QValidator::Intermediate;
    }

private:
    [[nodiscard]] double end() const { return m_openEnd < 0 ? minimum() : maximum(); }
    static QString open() { return MeasureEditor::tr("open"); }
    int m_openEnd;
};

// The target that is shown, of a blueprint that may be changed or not.
template <typename B> auto& targetOf(B& b, int measure, int target) {
    auto& targets = b.measures[static_cast<std::size_t>(measure)].targets;
    return targets[std::min(static_cast<std::size_t>(target), targets.size() - 1)];
}

} // namespace

struct MeasureEditor::TargetFields {
    QComboBox* source;
    QDoubleSpinBox *lo, *hi, *floor;
    QComboBox *school, *situation;
    QPlainTextEdit* note;
};

void MeasureEditor::buildTargets() {
    m_target = ItemForm::box(tr("Which target"));
    m_targetForm = new ItemForm(m_document);
    auto& f = *m_targetForm;
    auto* line = new QHBoxLayout; // two short lines: both must stand beside the form in the smallest window
    auto* ends = new QHBoxLayout;
    const auto small = [](QHBoxLayout* into, const QString& label, QWidget* w) {
        into->addWidget(new QLabel(label));
        into->addWidget(w, 1);
    };
    auto* source = ItemForm::box(tr("Source"));
    for (const auto n : kTargetSourceNames)
        source->addItem(shownWord(n));
    source->setMinimumContentsLength(9);
    source->setObjectName("targetSource");
    small(line, tr("Source"), source);
    const auto spin = [&](QHBoxLayout* into, const QString& label, double lo, double hi, int openEnd) {
        auto* s = new EndSpin(openEnd);
        s->setAccessibleName(label);
        s->setRange(lo, hi);
        s->setDecimals(3);
        s->setButtonSymbols(QAbstractSpinBox::NoButtons);
        s->setMinimumWidth(64);
        small(into, label, s);
        return s;
    };
    auto* lo = spin(ends, tr("From"), -kOpen, kOpen, -1);
    auto* hi = spin(ends, tr("To"), -kOpen, kOpen, 1);
    auto* floor = spin(line, tr("Unit"), 1e-6, 1e5, 0);
    floor->setToolTip(tr("Half the width below which no band is narrower; for open bands the unit of severity"));
    lo->setObjectName("targetLo");
    hi->setObjectName("targetHi");
    f.layoutForm()->addRow(line);
    f.layoutForm()->addRow(ends);
    auto* second = new QHBoxLayout;
    auto* school = ItemForm::box(tr("School"));
    auto* situation = ItemForm::box(tr("Situation"));
    school->setMinimumContentsLength(7);
    situation->setMinimumContentsLength(7);
    second->addWidget(new QLabel(tr("School")));
    second->addWidget(school, 1);
    second->addWidget(new QLabel(tr("Situation")));
    second->addWidget(situation, 1);
    f.layoutForm()->addRow(second);
    auto* note = new QPlainTextEdit; // often longer than a line
    note->setAccessibleName(tr("Note"));
    note->setTabChangesFocus(true);
    note->setFixedHeight(52);
    note->setPlaceholderText(tr("where this target comes from"));
    f.layoutForm()->addRow(note);
    const TargetFields fields{source, lo, hi, floor, school, situation, note};
    f.onFill([this, fields] { fillTarget(fields); });
    keepTarget(fields);
}

void MeasureEditor::fillTarget(const TargetFields& w) {
    const Target& t = targetOf(m_document.value(), m_targetForm->index(), m_targetIndex);
    w.source->setCurrentIndex(static_cast<int>(t.source));
    const bool model = t.source == TargetSource::model;
    w.lo->setEnabled(!model);
    w.hi->setEnabled(!model);
    if (!w.lo->hasFocus())
        w.lo->setValue(std::isfinite(t.lo) ? t.lo : -kOpen);
    if (!w.hi->hasFocus())
        w.hi->setValue(std::isfinite(t.hi) ? t.hi : kOpen);
    if (!w.floor->hasFocus())
        w.floor->setValue(t.floor);
    Options schools = {{"", tr("all")}}, situations = {{"", tr("all")}};
    for (const auto& s : m_document.value().schools)
        schools.emplace_back(s.id, q(s.name));
    for (const auto& s : m_document.value().situations)
        situations.emplace_back(s.id, q(s.name));
    ItemForm::fillChoice(w.school, schools, t.school);
    ItemForm::fillChoice(w.situation, situations, t.situation);
    if (w.note->toPlainText() != q(t.note)) {
        const QSignalBlocker quiet(w.note);
        w.note->setPlainText(q(t.note));
        w.note->setToolTip(q(t.note));
    }
}

void MeasureEditor::keepTarget(const TargetFields& w) {
    const auto edit = [this](const QString& what, auto setter, bool merges = false) {
        m_targetForm->change(
            what, [&](Blueprint& b) { setter(targetOf(b, m_targetForm->index(), m_targetIndex)); },
            merges ? QString("target %1 %2 %3").arg(what).arg(m_targetForm->index()).arg(m_targetIndex) : QString());
    };
    connect(w.source, &QComboBox::activated, this, [this, edit](int i) {
        edit(tr("Source"), [&](Target& t) {
            t.source = static_cast<TargetSource>(i);
            if (t.source != TargetSource::model && !std::isfinite(t.lo) && !std::isfinite(t.hi)) {
                const Band band = m_plot->band(); // where it stood so far
                t.lo = std::isfinite(band.lo) ? band.lo : 0.0;
                t.hi = std::isfinite(band.hi) ? band.hi : t.lo + 2.0 * t.floor;
            }
        });
    });
    connect(w.lo, &QDoubleSpinBox::valueChanged, this, [edit](double v) {
        edit(
            "lo", [&](Target& t) { t.lo = v <= -kOpen ? -std::numeric_limits<double>::infinity() : v; }, true);
    });
    connect(w.hi, &QDoubleSpinBox::valueChanged, this, [edit](double v) {
        edit(
            "hi", [&](Target& t) { t.hi = v >= kOpen ? std::numeric_limits<double>::infinity() : v; }, true);
    });
    connect(w.floor, &QDoubleSpinBox::valueChanged, this, [edit](double v) {
        edit(
            "unit", [&](Target& t) { t.floor = v; }, true);
    });
    connect(w.school, &QComboBox::activated, this, [this, w, edit] {
        edit(tr("School"), [&](Target& t) { t.school = w.school->currentData().toString().toStdString(); });
    });
    connect(w.situation, &QComboBox::activated, this, [this, w, edit] {
        edit(tr("Situation"), [&](Target& t) { t.situation = w.situation->currentData().toString().toStdString(); });
    });
    connect(w.note, &QPlainTextEdit::textChanged, this, [w, edit] {
        edit(
            "note", [&](Target& t) { t.note = w.note->toPlainText().toStdString(); }, true);
    });
}

void MeasureEditor::fillTargets() {
    const auto* m = measure();
    const QSignalBlocker quiet(m_target);
    m_target->clear();
    for (const auto& t : m->targets) {
        QString label = shownWord(enumName(kTargetSourceNames, t.source));
        if (!t.school.empty())
            label += ", " + q(t.school);
        if (!t.situation.empty())
            label += ", " + q(t.situation);
        m_target->addItem(label);
    }
    m_targetIndex = std::clamp(m_targetIndex, 0, std::max(0, static_cast<int>(m->targets.size()) - 1));
    m_target->setCurrentIndex(m_targetIndex);
    m_targetForm->setEnabled(!m->targets.empty());
    if (!m->targets.empty())
        m_targetForm->setIndex(m_form->index());
}

} // namespace riflesso
