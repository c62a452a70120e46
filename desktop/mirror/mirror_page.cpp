#include "desktop/mirror/mirror_page.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QVBoxLayout>

namespace riflesso {
MirrorPage::MirrorPage(Workbench& bench) : m_bench(bench) {
    m_athlete = new QComboBox;
    m_athlete->setAccessibleName(tr("The athlete's rep"));
    m_model = new QComboBox;
    m_model->setAccessibleName(tr("The model's rep"));
    m_measure = new QComboBox;
    m_measure->setAccessibleName(tr("Measure of the curve"));
    for (const auto& m : bench.blueprint().measures)
        if (!isOfSpan(m.definition.kind))
            m_measure->addItem(q(m.definition.name), q(m.definition.id));
    m_board = new MirrorBoard(bench);
    m_curve = new MirrorCurve(bench);
    m_ribbon = new Ribbon(bench, true);
    const auto label = [](const QString& text, const char* style) {
        auto* l = new QLabel(text);
        l->setObjectName(style);
        return l;
    };
    auto* bar = new QHBoxLayout;
    bar->addWidget(label(tr("Above the line"), "athlete"));
    bar->addWidget(m_athlete, 2);
    bar->addSpacing(12);
    bar->addWidget(label(tr("Below it"), "model"));
    bar->addWidget(m_model, 2);
    bar->addSpacing(12);
    bar->addWidget(label(tr("Curve"), "quiet"));
    bar->addWidget(m_measure, 2);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(10, 8, 10, 8);
    all->setSpacing(6);
    all->addLayout(bar);
    all->addWidget(m_board, 1);
    all->addWidget(m_ribbon);
    all->addWidget(m_curve);
    m_curve->setFixedHeight(118);

    connect(m_athlete, &QComboBox::activated, this, [this](int i) {
        m_bench.selectRep(m_athlete->itemData(i).toLongLong());
        refresh(); // another view may want another model
    });
    connect(m_model, &QComboBox::activated, this, &MirrorPage::showChosen);
    connect(m_measure, &QComboBox::activated, this, [this] {
        m_measureChosen = true;
        showChosen();
    });
    connect(m_board, &MirrorBoard::measureChosen, this, [this](const QString& measure) {
        if (const int i = m_measure->findData(measure); i >= 0) {
            m_measure->setCurrentIndex(i);
            m_measureChosen = true;
            showChosen();
        }
    });
    connect(&bench, &Workbench::selectionChanged, this, &MirrorPage::refresh);
    auto* seen = new WhenSeen(this, [this] { refresh(); });
    connect(&bench.book(), &Casebook::analysed, seen, [seen] { (*seen)(); });
    refresh();
}

void MirrorPage::refresh() {
    const CaseData& kept = m_bench.data();
    const auto label = [&](const Rep& rep) {
        const Take& take = kept.takes.at(rep.take);
        return QString("%1, rep %2").arg(q(take.title)).arg(rep.number);
    };
    Id wanted = m_bench.rep() ? m_bench.rep()->id : 0;
    m_athlete->clear();
    for (const auto& [id, rep] : kept.reps)
        if (kept.takes.contains(rep.take) && kept.takes.at(rep.take).performer == Performer::athlete &&
            !rep.positions.empty())
            m_athlete->addItem(label(rep), QVariant::fromValue<qlonglong>(id));
    int index = m_athlete->findData(QVariant::fromValue<qlonglong>(wanted));
    if (index < 0 && !m_bench.analysis().athleteReps.empty())
        index = m_athlete->findData(QVariant::fromValue<qlonglong>(m_bench.analysis().athleteReps.front()));
    m_athlete->setCurrentIndex(index >= 0 ? index : 0);
    const auto shown = kept.reps.find(m_athlete->currentData().toLongLong());
    const Id before = m_model->currentData().toLongLong();
    m_model->clear();
    for (const auto& [id, rep] : kept.reps)
        if (kept.takes.contains(rep.take) && kept.takes.at(rep.take).performer == Performer::model &&
            shown != kept.reps.end() && kept.takes.at(rep.take).view == kept.takes.at(shown->second.take).view)
            m_model->addItem(label(rep), QVariant::fromValue<qlonglong>(id));
    if (const int i = m_model->findData(QVariant::fromValue<qlonglong>(before)); i >= 0)
        m_model->setCurrentIndex(i);
    // The curve of what the findings rest on, as far as it has one.
    for (const auto& f : m_bench.analysis().judgement.findings)
        for (const auto& measure : f.evidence)
            if (const int i = m_measure->findData(q(measure)); i >= 0 && !m_measureChosen) {
                m_measure->setCurrentIndex(i);
                showChosen();
                return;
            }
    showChosen();
}

void MirrorPage::showChosen() {
    const Id athlete = m_athlete->currentData().toLongLong(), model = m_model->currentData().toLongLong();
    m_board->setReps(athlete, model);
    m_ribbon->setModelRep(model);
    std::vector<Id> models;
    for (int i = 0; i < m_model->count(); ++i)
        models.push_back(m_model->itemData(i).toLongLong());
    m_curve->show(m_measure->currentData().toString().toStdString(), athlete, models);
}

} // namespace riflesso
