#include "desktop/marking/repeat_panel.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"

#include <QHBoxLayout>
#include <QHeaderView>
#include <QPainter>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>

namespace riflesso {

AgreementView::AgreementView(QWidget* parent) : QWidget(parent) {
    setAccessibleName(tr("Limits of agreement"));
    setToolTip(tr("Each dot is a frame: the difference of its two readings over their mean. 95 of 100 differences lie "
                  "between the dashed lines (Bland & Altman 1986)."));
}

void AgreementView::setLimits(const std::optional<BlandAltman>& limits, const QString& unit) {
    m_limits = limits;
    m_unit = unit;
    update();
}

void AgreementView::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.field);
    p.setFont(typeface(Type::small));
    p.setPen(t.quiet);
    if (!m_limits) {
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                   tr("Choose a measure that was read on three frames or more."));
        return;
    }
    const QRectF a = QRectF(rect()).adjusted(38, 8, -8, -16);
    double x0 = 1e300, x1 = -1e300, most = std::max(std::abs(m_limits->limits.lo), std::abs(m_limits->limits.hi));
    for (const auto& d : m_limits->points) {
        x0 = std::min(x0, d.mean);
        x1 = std::max(x1, d.mean);
        most = std::max(most, std::abs(d.difference));
    }
    most = std::max(1e-9, 1.15 * most);
    const auto y = [&](double v) { return a.center().y() - v / most * a.height() / 2; };
    p.setPen(t.line);
    p.drawRect(a);
    p.drawLine(QPointF(a.left(), y(0)), QPointF(a.right(), y(0)));
    for (const auto& [value, style] : {std::pair{m_limits->bias, Qt::SolidLine},
                                       {m_limits->limits.lo, Qt::DashLine},
                                       {m_limits->limits.hi, Qt::DashLine}}) {
        p.setPen(QPen(t.text, 1.3, style));
        p.drawLine(QPointF(a.left(), y(value)), QPointF(a.right(), y(value)));
        p.setPen(t.quiet);
        p.drawText(QRectF(0, y(value) - 7, 35, 14), Qt::AlignRight | Qt::AlignVCenter, shownFigure(value, 1));
    }
    p.drawText(QRectF(a.left(), a.bottom() + 1, a.width(), 14), Qt::AlignLeft,
               tr("difference over mean, %1").arg(m_unit));
    p.setPen(Qt::NoPen);
    p.setBrush(t.hues.athlete);
    for (const auto& d : m_limits->points)
        p.drawEllipse(
            QPointF(a.left() + 6 + (d.mean - x0) / std::max(1e-9, x1 - x0) * (a.width() - 12), y(d.difference)), 3, 3);
}

RepeatPanel::RepeatPanel(Workbench& bench) : m_bench(bench) {
    m_words = wrapped({}, "strong");
    m_words->setObjectName("repeatWords");
    m_analyst = new QLineEdit;
    m_analyst->setObjectName("analyst");
    m_analyst->setPlaceholderText(tr("Who marks"));
    m_analyst->setAccessibleName(tr("Who marks"));
    m_markedBy = new QLineEdit;
    m_markedBy->setObjectName("markedBy");
    m_markedBy->setPlaceholderText(tr("nobody in particular"));
    m_markedBy->setAccessibleName(tr("The first marks are by"));
    m_markedBy->setToolTip(
        tr("Where two people mark, their numbers are compared only when it is known how much more one "
           "reads than the other: from frames that both have marked."));
    connect(m_markedBy, &QLineEdit::editingFinished, this, [this] {
        const Take* take = m_bench.take();
        const std::string by = m_markedBy->text().trimmed().toStdString();
        if (!take || take->markedBy == by)
            return;
        Take changed = *take;
        changed.markedBy = by;
        m_bench.book().setTake(changed, tr("say who marked"));
    });
    m_begin = new QPushButton(tr("Mark 10 frames again"));
    m_begin->setObjectName("beginRepeat");
    m_begin->setToolTip(
        tr("Marked frames come once more, hidden among others, without their marks. It can be stopped and "
           "gone on with on another day."));
    m_stop = new QPushButton(tr("Stop for now"));
    m_stop->setObjectName("stopRepeat");
    m_sigma = wrapped({}, "quiet");
    m_sigma->setObjectName("markSigma");
    m_table = new QTableWidget(0, 4);
    m_table->setObjectName("agreement");
    m_table->setAccessibleName(tr("Agreement of each measure"));
    m_table->setHorizontalHeaderLabels({tr("Measure"), tr("SEM"), tr("MDC95"), tr("ICC(2,1)")});
    m_table->verticalHeader()->hide();
    m_table->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
    for (int c : {1, 2, 3})
        m_table->horizontalHeader()->setSectionResizeMode(c, QHeaderView::ResizeToContents);
    m_table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    m_table->setWordWrap(false);
    m_table->setFont(typeface(Type::small));
    m_table->verticalHeader()->setDefaultSectionSize(22);
    m_table->setSelectionBehavior(QAbstractItemView::SelectRows);
    m_plot = new AgreementView;
    auto* top = new QHBoxLayout;
    top->addWidget(m_analyst, 1);
    top->addWidget(m_begin);
    top->addWidget(m_stop);
    auto* by = new QHBoxLayout;
    by->addWidget(new QLabel(tr("The first marks are by")));
    by->addWidget(m_markedBy, 1);
    auto* which = makeChoice();
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(5);
    all->addWidget(m_words);
    all->addLayout(by);
    all->addLayout(top);
    all->addLayout(which);
    all->addWidget(m_sigma);
    all->addWidget(m_table, 3);
    all->addWidget(m_plot, 2);
    connect(m_begin, &QPushButton::clicked, this, &RepeatPanel::begin);
    connect(m_stop, &QPushButton::clicked, this, &RepeatPanel::stop);
    connect(m_first, &QComboBox::activated, this, &RepeatPanel::showResult);
    connect(m_second, &QComboBox::activated, this, &RepeatPanel::showResult);
    connect(m_table, &QTableWidget::currentCellChanged, this, [this](int row) {
        const Take* take = m_bench.take();
        if (!take || row < 0)
            return;
        m_plot->setLimits(std::nullopt, {});
        if (const auto* item = m_table->item(row, 0); item && item->data(Qt::UserRole).isValid())
            m_plot->setLimits(item->data(Qt::UserRole).value<std::optional<BlandAltman>>(),
                              item->data(Qt::UserRole + 1).toString());
    });
    connect(&bench.book(), &Casebook::changed, this, [this](const ChangeSet& c) {
        if (c.repeats || !c.takes.empty())
            refresh();
    });
    connect(&bench, &Workbench::selectionChanged, this, [this] {
        const Take* take = m_bench.take();
        if (m_running && (!m_bench.data().repeats.contains(m_running) || !take ||
                          m_bench.data().repeats.at(m_running).take != take->id))
            stop();
        refresh();
    });
    refresh();
}

// Which two markings are held against each other; the second one can be taken away.
QHBoxLayout* RepeatPanel::makeChoice() {
    m_first = new QComboBox;
    m_second = new QComboBox;
    m_first->setObjectName("repeatFirst");
    m_second->setObjectName("repeatSecond");
    m_first->setAccessibleName(tr("These marks"));
    m_second->setAccessibleName(tr("against these"));
    m_forget = new QPushButton(tr("Take away"));
    m_forget->setObjectName("forgetRepeat");
    m_forget->setToolTip(tr("The marking named on the left goes, and what was learnt from it; Undo brings it back."));
    connect(m_forget, &QPushButton::clicked, this,
            [this] { m_bench.book().removeRepeat(m_second->currentData().toLongLong()); });
    auto* which = new QHBoxLayout;
    which->addWidget(m_first, 2);
    which->addWidget(new QLabel(tr("and")));
    which->addWidget(m_second, 3);
    which->addWidget(m_forget);
    return which;
}

void RepeatPanel::begin() {
    const Take* take = m_bench.take();
    if (!take)
        return;
    // What was stopped is gone on with.
    for (const auto& [id, r] : m_bench.data().repeats)
        if (r.take == take->id && nextOpenFrame(r) &&
            (m_analyst->text().isEmpty() || r.analyst == m_analyst->text().trimmed().toStdString())) {
            m_running = id;
            emit runningChanged();
            goOn();
            refresh();
            return;
        }
    // Another analyst is shown the same frames as the one before, so that the two can be compared.
    const std::string analyst = m_analyst->text().trimmed().toStdString();
    const auto& repeats = m_bench.data().repeats;
    const auto own = std::count_if(repeats.begin(), repeats.end(), [&](const auto& r) {
        return r.second.take == take->id && r.second.analyst == analyst;
    });
    const auto plan = planRepeat(m_bench.data(), m_bench.blueprint(), take->id, analyst, m_bench.book().today(),
                                 static_cast<unsigned>(take->id * 7919 + 13 * own));
    if (!plan) {
        m_words->setText(q(plan.error().text()));
        return;
    }
    m_running = m_bench.book().addRepeat(*plan);
    if (m_running) {
        emit runningChanged();
        goOn();
    }
    refresh();
}

void RepeatPanel::stop() {
    if (!m_running)
        return;
    m_running = 0;
    emit runningChanged();
    refresh();
}

void RepeatPanel::goOn() {
    if (!m_running || !m_bench.data().repeats.contains(m_running))
        return;
    if (const auto frame = nextOpenFrame(m_bench.data().repeats.at(m_running))) {
        m_bench.setFrame(frame->value);
        refresh();
    } else {
        stop();
    }
}

void RepeatPanel::refresh() {
    const Take* take = m_bench.take();
    if (m_running && !m_bench.data().repeats.contains(m_running)) {
        m_running = 0; // undone
        emit runningChanged();
    }
    m_begin->setVisible(!m_running);
    m_analyst->setVisible(!m_running);
    m_stop->setVisible(m_running != 0);
    if (!m_markedBy->hasFocus() || !take)
        m_markedBy->setText(take ? q(take->markedBy) : QString());
    m_markedBy->setEnabled(take);
    bool open = false;
    QVariant a = m_first->currentData(), b = m_second->currentData();
    m_first->clear();
    m_second->clear();
    m_first->addItem(tr("the first marks"), 0);
    if (take)
        for (const auto& [id, r] : m_bench.data().repeats)
            if (r.take == take->id) {
                open = open || nextOpenFrame(r).has_value();
                const QString name = (r.analyst.empty() ? tr("again") : q(r.analyst)) + ", " + q(dateWords(r.day));
                m_first->addItem(name, QVariant::fromValue<qlonglong>(id));
                m_second->addItem(name, QVariant::fromValue<qlonglong>(id));
            }
    m_first->setCurrentIndex(std::max(0, m_first->findData(a)));
    m_second->setCurrentIndex(
        std::max(m_second->count() - 1 < 0 ? -1 : m_second->findData(b), m_second->count() > 0 ? 0 : -1));
    const bool any = m_second->count() > 0;
    m_first->setEnabled(any);
    m_second->setEnabled(any);
    m_forget->setVisible(any && !m_running);
    m_begin->setText(open ? tr("Go on marking again") : tr("Mark 10 frames again"));
    if (m_running) {
        const auto& r = m_bench.data().repeats.at(m_running);
        const auto done =
            std::count_if(r.frames.begin(), r.frames.end(), [&](FrameIndex f) { return openAt(r, f).empty(); });
        m_words->setText(tr("Frame %1 of %2. The first marks are not shown: mark what you see.")
                             .arg(std::min<qsizetype>(done + 1, static_cast<qsizetype>(r.frames.size())))
                             .arg(r.frames.size()));
    } else {
        m_words->setText(any ? tr("How far two markings of the same frames agree:")
                             : tr("How good are your marks? Mark some frames again and see."));
    }
    showResult();
}

void RepeatPanel::showResult() {
    const Take* take = m_bench.take();
    m_table->setRowCount(0);
    m_plot->setLimits(std::nullopt, {});
    m_sigma->clear();
    const Id second = m_second->currentData().toLongLong(), first = m_first->currentData().toLongLong();
    if (!take || !m_bench.data().repeats.contains(second) || m_running)
        return;
    const auto tracks = m_bench.data().marks.find(take->id);
    const TrackSet again = againOf(m_bench.data().repeats.at(second));
    const TrackSet one = m_bench.data().repeats.contains(first) ? againOf(m_bench.data().repeats.at(first))
                         : tracks == m_bench.data().marks.end() ? TrackSet()
                                                                : tracks->second;
    const auto errors = markErrors(one, again);
    if (const auto all = errors.find({}); all != errors.end()) {
        QString worst;
        double most = 0.0;
        for (const auto& [name, e] : errors)
            if (!name.empty() && e.n >= 3 && e.sigma > most) {
                most = e.sigma;
                worst = q(spoken(name));
            }
        m_sigma->setText(
            tr("A mark is good to %1 px (%2 marks)%3. %4")
                .arg(shownFigure(all->second.sigma, 2))
                .arg(all->second.n)
                .arg(worst.isEmpty() ? QString() : tr("; the %1 is worst, %2 px").arg(worst).arg(shownFigure(most, 2)))
                .arg(first == 0 && all->second.n >= 12
                         ? tr("This replaces the assumed %1 px everywhere.").arg(shownFigure(kAssumedHandSigma, 1))
                         : QString()));
    } else {
        m_sigma->setText(tr("These two have no frame in common yet."));
    }
    for (const auto& g : agreementByMeasure(m_bench.blueprint(), *take, one, again)) {
        if (g.frames == 0)
            continue;
        const int row = m_table->rowCount();
        m_table->insertRow(row);
        auto* name = new QTableWidgetItem(q(m_bench.blueprint().measure(g.measure)->definition.name));
        name->setToolTip(q(m_bench.blueprint().measure(g.measure)->definition.name) +
                         (g.unit.empty() ? QString() : ", " + q(g.unit)));
        name->setData(Qt::UserRole, QVariant::fromValue(g.limits));
        name->setData(Qt::UserRole + 1, q(g.unit));
        m_table->setItem(row, 0, name);
        const auto cell = [&](int column, const QString& text, const QString& tip) {
            auto* item = new QTableWidgetItem(text);
            item->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
            item->setToolTip(tip);
            m_table->setItem(row, column, item);
        };
        if (g.reliability) {
            const auto& r = *g.reliability;
            cell(1, shownFigure(r.sem, 2), tr("standard error of a reading, %1").arg(q(g.unit)));
            cell(2, shownFigure(r.mdc95, 2), tr("the smallest change worth believing, %1").arg(q(g.unit)));
            constexpr int kFewest = 5; // frames below which a correlation is chance
            cell(3, g.frames < kFewest ? tr("–") : shownFigure(r.icc21.value, 2),
                 g.frames < kFewest ? tr("Too few frames for a correlation: %1").arg(g.frames)
                                    : tr("ICC(2,1) %1, 95 % from %2 to %3; ICC(3,1) %4, from %5 to %6; %7 frames")
                                          .arg(shownFigure(r.icc21.value, 3))
                                          .arg(shownFigure(r.icc21.interval.lo, 3))
                                          .arg(shownFigure(r.icc21.interval.hi, 3))
                                          .arg(shownFigure(r.icc31.value, 3))
                                          .arg(shownFigure(r.icc31.interval.lo, 3))
                                          .arg(shownFigure(r.icc31.interval.hi, 3))
                                          .arg(g.frames));
        } else {
            cell(1, tr("–"), q(g.why));
        }
    }
    if (m_table->rowCount() > 0)
        m_table->setCurrentCell(0, 0);
}

} // namespace riflesso
