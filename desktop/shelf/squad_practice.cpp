#include "desktop/shelf/squad_practice.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QScrollArea>
#include <QVBoxLayout>

#include <algorithm>

namespace riflesso {

SquadPractice::SquadPractice(std::shared_ptr<Library> library, const Blueprint& blueprint, std::vector<SquadRow> rows,
                             const std::string& fault, Day today, QWidget* parent)
    : QDialog(parent), m_library(std::move(library)), m_blueprint(blueprint), m_today(today) {
    setObjectName("squadPractice");
    setWindowTitle(tr("Practise together"));
    resize(900, 640);
    m_drill = new QComboBox;
    m_drill->setObjectName("squadDrill");
    m_drill->setAccessibleName(tr("Drill"));
    m_drill->setFocusPolicy(Qt::ClickFocus);
    const Fault* wanted = blueprint.fault(fault);
    for (const auto& d : blueprint.drills) // those of the session first
        if (wanted && std::find(wanted->drills.begin(), wanted->drills.end(), d.id) != wanted->drills.end())
            m_drill->addItem(q(d.name), q(d.id));
    for (const auto& d : blueprint.drills)
        if (m_drill->findData(q(d.id)) < 0)
            m_drill->addItem(q(d.name), q(d.id));
    m_cue = new QLabel;
    m_cue->setObjectName("title");
    m_cue->setWordWrap(true);
    m_state =
        new QLabel(tr("A digit or a click takes an athlete; G is good, B not yet; Backspace takes the last one back."));
    m_state->setObjectName("quiet");
    m_state->setWordWrap(true);
    auto* list = new QWidget;
    auto* grid = new QGridLayout(list);
    grid->setColumnStretch(1, 1);
    for (std::size_t i = 0; i < rows.size(); ++i) {
        Row row{rows[i], {}, new QPushButton, new RepDots, new QLabel};
        const QString digit = i < 10 ? QString::number((i + 1) % 10) + "  " : QString();
        row.name->setText(digit + q(rows[i].member.name));
        row.name->setCheckable(true);
        row.name->setMinimumSize(190, 44);
        row.name->setFocusPolicy(Qt::NoFocus);
        row.count->setMinimumWidth(110);
        connect(row.name, &QPushButton::clicked, this, [this, i] { choose(i); });
        const int at = static_cast<int>(i);
        grid->addWidget(row.name, at, 0);
        grid->addWidget(row.dots, at, 1);
        grid->addWidget(row.count, at, 2);
        m_rows.push_back(std::move(row));
    }
    grid->setRowStretch(static_cast<int>(rows.size()), 1);
    auto* area = new QScrollArea;
    area->setWidgetResizable(true);
    area->setWidget(list);
    area->setFrameShape(QFrame::NoFrame);
    auto* close = new QPushButton(tr("Close"));
    close->setAutoDefault(false);
    close->setFocusPolicy(Qt::NoFocus);
    auto* top = new QHBoxLayout;
    top->addWidget(m_drill, 1);
    top->addWidget(close);
    auto* all = new QVBoxLayout(this);
    all->addLayout(top);
    all->addWidget(m_cue);
    all->addWidget(area, 1);
    all->addWidget(m_state);
    connect(close, &QPushButton::clicked, this, &QDialog::accept);
    const auto drill = [this] {
        const Drill* d = m_blueprint.drill(m_drill->currentData().toString().toStdString());
        m_cue->setText(d ? tr("“%1”").arg(q(d->cue)) : QString());
        for (auto& row : m_rows) { // another drill, other blocks
            row.block.reset();
            showRow(row);
        }
        setFocus();
    };
    connect(m_drill, &QComboBox::activated, this, drill);
    drill();
    choose(0);
}

std::optional<Block> SquadPractice::block(std::size_t row) const {
    return row < m_rows.size() ? m_rows[row].block : std::nullopt;
}

void SquadPractice::choose(std::size_t row) {
    if (row >= m_rows.size())
        return;
    m_chosen = row;
    for (std::size_t i = 0; i < m_rows.size(); ++i)
        m_rows[i].name->setChecked(i == row);
    setFocus();
}

void SquadPractice::showRow(const Row& row) {
    const auto reps = row.block ? row.block->reps : std::vector<PractisedRep>();
    row.dots->show(reps);
    const auto good = std::count_if(reps.begin(), reps.end(), [](const PractisedRep& r) { return r.good(); });
    row.count->setText(reps.empty() ? QString() : tr("%1 of %2 good").arg(good).arg(reps.size()));
    row.name->setAccessibleDescription(row.count->text());
}

bool SquadPractice::write(Row& row, const Block& block) {
    const auto done = m_library->apply(row.who.caseId, {BlockEdit{block.id, row.block, block}});
    if (!done) {
        m_state->setObjectName("caution");
        m_state->setText(q(done.error().text()));
        return false;
    }
    row.block = block;
    showRow(row);
    return true;
}

void SquadPractice::verdict(bool good) {
    if (m_chosen >= m_rows.size() || m_drill->currentIndex() < 0)
        return;
    Row& row = m_rows[m_chosen];
    Block block;
    if (row.block) {
        block = *row.block;
    } else {
        block.id = m_library->freshId();
        block.day = m_today;
        block.drill = m_drill->currentData().toString().toStdString();
        if (const Drill* d = m_blueprint.drill(block.drill))
            block.stage = d->stage;
    }
    block.reps.push_back({{}, good, {}, {}});
    write(row, block);
}

void SquadPractice::takeBack() {
    if (m_chosen >= m_rows.size() || !m_rows[m_chosen].block || m_rows[m_chosen].block->reps.empty())
        return;
    Block block = *m_rows[m_chosen].block;
    block.reps.pop_back();
    write(m_rows[m_chosen], block);
}

void SquadPractice::keyPressEvent(QKeyEvent* e) {
    if (e->key() >= Qt::Key_0 && e->key() <= Qt::Key_9)
        choose(static_cast<std::size_t>((e->key() - Qt::Key_0 + 9) % 10));
    else if (e->key() == Qt::Key_Down)
        choose(m_chosen + 1);
    else if (e->key() == Qt::Key_Up && m_chosen > 0)
        choose(m_chosen - 1);
    else if (e->key() == Qt::Key_G || e->key() == Qt::Key_PageDown)
        verdict(true);
    else if (e->key() == Qt::Key_B || e->key() == Qt::Key_PageUp)
        verdict(false);
    else if (e->key() == Qt::Key_Backspace)
        takeBack();
    else
        QDialog::keyPressEvent(e);
}

} // namespace riflesso
