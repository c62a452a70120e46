#pragma once
/// \file
/// Forms that edit one item of a blueprint, field by field.

#include "casebook/text.h"
#include "desktop/workshop/document.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QScrollArea>
#include <QSignalBlocker>
#include <QSpinBox>
#include <QVBoxLayout>

namespace riflesso {

/// A scroll area in which a form keeps to the top: rows that are hidden leave no room behind.
inline QWidget* atTopOfScroll(QWidget* inner) {
    auto* column = new QWidget;
    auto* stacked = new QVBoxLayout(column);
    stacked->setContentsMargins(0, 0, 4, 0);
    stacked->addWidget(inner);
    stacked->addStretch(1);
    auto* scroll = new QScrollArea;
    scroll->setWidget(column);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    return scroll;
}

/// Ids and the names by which people know them.
using Options = std::vector<std::pair<std::string, QString>>;
/// Things with an id and a name as options.
template <typename List> Options optionsOf(const List& list) {
    Options out;
    for (const auto& x : list)
        out.emplace_back(x.id, q(x.name));
    return out;
}

/// A field is given as a function `(auto& blueprint, int index) -> auto&`, so that the same one reads and writes.
class ItemForm : public QWidget {
    Q_OBJECT
public:
    explicit ItemForm(WorkshopDocument& document, QWidget* parent = nullptr) : QWidget(parent), m_document(document) {
        m_form = new QFormLayout(this);
        m_form->setContentsMargins(4, 4, 4, 4);
        m_form->setFieldGrowthPolicy(QFormLayout::AllNonFixedFieldsGrow);
    }
    [[nodiscard]] int index() const { return m_index; }
    [[nodiscard]] QFormLayout* layoutForm() const { return m_form; }
    [[nodiscard]] WorkshopDocument& document() const { return m_document; }
    void setIndex(int index) {
        m_index = index;
        fill();
    }
    /// From the document into the widgets. What is being typed stays.
    void fill() {
        if (m_index < 0)
            return;
        m_filling = true;
        for (const auto& f : m_fills)
            f();
        m_filling = false;
    }
    void onFill(std::function<void()> f) { m_fills.push_back(std::move(f)); }
    [[nodiscard]] bool filling() const { return m_filling; }
    /// Another hand than the form's own fields: an edit of this item.
    void change(const QString& what, const std::function<void(Blueprint&)>& edit, const QString& gesture = {}) {
        if (!m_filling && m_index >= 0)
            m_document.change(what, edit, gesture);
    }

    template <typename F> QLineEdit* line(const QString& label, F field) {
        auto* e = new QLineEdit;
        e->setAccessibleName(label);
        m_form->addRow(label, e);
        onFill([this, e, field] {
            if (const QString t = q(field(m_document.value(), m_index)); e->text() != t) {
                e->setText(t);
                if (!e->hasFocus())
                    e->setCursorPosition(0); // its beginning is what tells
            }
        });
        connect(e, &QLineEdit::textEdited, this, [this, label, field](const QString& t) {
            change(
                label, [&](Blueprint& b) { field(b, m_index) = t.toStdString(); }, gesture(label));
        });
        return e;
    }
    template <typename F> QPlainTextEdit* area(const QString& label, F field, int height = 52) {
        auto* e = new QPlainTextEdit;
        e->setAccessibleName(label);
        e->setTabChangesFocus(true);
        e->setFixedHeight(height);
        m_form->addRow(label, e);
        onFill([this, e, field] {
            if (const QString t = q(field(m_document.value(), m_index)); e->toPlainText() != t)
                e->setPlainText(t);
        });
        connect(e, &QPlainTextEdit::textChanged, this, [this, label, field, e] {
            change(
                label, [&](Blueprint& b) { field(b, m_index) = e->toPlainText().toStdString(); }, gesture(label));
        });
        return e;
    }
    /// One of \p options, by id. What is not among them is shown as it is.
    template <typename F> QComboBox* choice(const QString& label, std::function<Options()> options, F field) {
        auto* c = box(label);
        m_form->addRow(label, c);
        onFill([this, c, options, field] { fillChoice(c, options(), field(m_document.value(), m_index)); });
        connect(c, &QComboBox::activated, this, [this, label, field, c] {
            change(label, [&](Blueprint& b) { field(b, m_index) = c->currentData().toString().toStdString(); });
        });
        return c;
    }
    template <typename E, std::size_t N, typename F>
    QComboBox* enumChoice(const QString& label, const std::array<std::string_view, N>& names, F field) {
        auto* c = box(label);
        for (const auto n : names)
            c->addItem(shownWord(n).replace('_', ' '));
        m_form->addRow(label, c);
        onFill([this, c, field] { c->setCurrentIndex(static_cast<int>(field(m_document.value(), m_index))); });
        connect(c, &QComboBox::activated, this, [this, label, field](int i) {
            change(label, [&](Blueprint& b) { field(b, m_index) = static_cast<E>(i); });
        });
        return c;
    }
    template <typename F>
    QDoubleSpinBox* number(const QString& label, double lo, double hi, int decimals, double step, F field) {
        auto* s = new QDoubleSpinBox;
        s->setAccessibleName(label);
        s->setRange(lo, hi);
        s->setDecimals(decimals);
        s->setSingleStep(step);
        m_form->addRow(label, s);
        onFill([this, s, field] {
            if (!s->hasFocus() || s->value() != field(m_document.value(), m_index))
                s->setValue(field(m_document.value(), m_index));
        });
        connect(s, &QDoubleSpinBox::valueChanged, this, [this, label, field](double v) {
            change(
                label, [&](Blueprint& b) { field(b, m_index) = v; }, gesture(label));
        });
        return s;
    }
    template <typename F> QSpinBox* whole(const QString& label, int lo, int hi, F field) {
        auto* s = new QSpinBox;
        s->setAccessibleName(label);
        s->setRange(lo, hi);
        m_form->addRow(label, s);
        onFill([this, s, field] { s->setValue(field(m_document.value(), m_index)); });
        connect(s, &QSpinBox::valueChanged, this, [this, label, field](int v) {
            change(
                label, [&](Blueprint& b) { field(b, m_index) = v; }, gesture(label));
        });
        return s;
    }
    template <typename F> QCheckBox* truth(const QString& label, F field) {
        auto* c = new QCheckBox(label);
        m_form->addRow(QString(), c);
        onFill([this, c, field] { c->setChecked(field(m_document.value(), m_index)); });
        connect(c, &QCheckBox::clicked, this,
                [this, label, field](bool on) { change(label, [&](Blueprint& b) { field(b, m_index) = on; }); });
        return c;
    }
    /// A list of words, parted by \p mark; taken over when the field is left.
    template <typename F> QLineEdit* words(const QString& label, const QString& hint, F field, char mark = ',') {
        auto* e = new QLineEdit;
        e->setAccessibleName(label);
        e->setPlaceholderText(hint);
        m_form->addRow(label, e);
        onFill([this, e, field, mark] {
            QStringList parts;
            for (const auto& w : field(m_document.value(), m_index))
                parts << q(w);
            if (const QString t = parts.join(QString(mark) + ' '); !e->hasFocus() || !e->isModified())
                e->setText(t);
        });
        connect(e, &QLineEdit::editingFinished, this, [this, label, field, e, mark] {
            if (!e->isModified())
                return;
            e->setModified(false);
            std::vector<std::string> out;
            for (const QString& part : e->text().split(mark, Qt::SkipEmptyParts))
                if (!part.trimmed().isEmpty())
                    out.push_back(part.trimmed().toStdString());
            change(label, [&](Blueprint& b) { field(b, m_index) = out; });
        });
        return e;
    }

    static QComboBox* box(const QString& name) {
        auto* c = new QComboBox;
        c->setAccessibleName(name);
        c->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        c->setMinimumContentsLength(14);
        return c;
    }
    static void fillChoice(QComboBox* c, const Options& options, const std::string& value) {
        const QSignalBlocker quiet(c);
        c->clear();
        for (const auto& [id, name] : options)
            c->addItem(name, q(id));
        int i = c->findData(q(value));
        if (i < 0) {
            c->addItem(value.empty() ? tr("(choose)") : tr("%1 (is not there)").arg(q(value)), q(value));
            i = c->count() - 1;
        }
        c->setCurrentIndex(i);
    }

protected:
    [[nodiscard]] QString gesture(const QString& label) const {
        return QString("%1 %2 %3").arg(reinterpret_cast<quintptr>(this)).arg(m_index).arg(label);
    }

private:
    WorkshopDocument& m_document;
    QFormLayout* m_form;
    std::vector<std::function<void()>> m_fills;
    int m_index = -1;
    bool m_filling = false;
};

} // namespace riflesso
