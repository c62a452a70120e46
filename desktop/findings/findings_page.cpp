#include "desktop/findings/findings_page.h"

#include "casebook/text.h"
#include "desktop/theme/icons.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QScrollArea>

namespace riflesso {
namespace {
QScrollArea* scrolled(QWidget* w) {
    auto* area = new QScrollArea;
    area->setWidgetResizable(true);
    area->setWidget(w);
    area->setFrameShape(QFrame::NoFrame);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    return area;
}
} // namespace

FindingsPage::FindingsPage(Workbench& bench) : m_bench(bench), m_keys(new KeyTable(this)) {
    makeKeys();
    m_above = new QComboBox;
    m_above->setObjectName("judgedSet");
    m_above->setAccessibleName(tr("The set that is judged"));
    m_below = new QComboBox;
    m_below->setObjectName("againstSet");
    m_below->setAccessibleName(tr("What it is compared with"));
    m_situation = new QComboBox;
    m_situation->setAccessibleName(tr("Situation"));
    m_context = new QLabel;
    m_context->setObjectName("quiet");
    m_findingsButton = new QPushButton(tr("Findings"));
    m_findingsButton->setObjectName("findingsWay");
    m_setsButton = new QPushButton(tr("Set against set"));
    m_setsButton->setObjectName("setsWay");
    m_setsButton->setToolTip(tr("A row a measure, a column a set: what moved, and what works in which situation."));
    m_landingsButton = new QPushButton(tr("Where it lands"));
    m_landingsButton->setObjectName("landingsWay");
    m_landingsButton->setToolTip(tr("Each rep's effect on a map, against its zone."));
    for (auto* b : {m_findingsButton, m_setsButton, m_landingsButton}) {
        b->setCheckable(true);
        b->setAutoExclusive(true);
    }
    m_findingsButton->setChecked(true);
    auto* bar = new QHBoxLayout;
    bar->addWidget(m_findingsButton);
    bar->addWidget(m_setsButton);
    bar->addWidget(m_landingsButton);
    bar->addSpacing(10);
    bar->addWidget(new QLabel(tr("Judged")));
    bar->addWidget(m_above, 3);
    bar->addWidget(new QLabel(tr("against")));
    bar->addWidget(m_below, 3);
    bar->addWidget(m_situation, 2);
    bar->addSpacing(6);
    bar->addWidget(m_context, 4);

    m_sets = new SetTable(bench);
    m_ways = new QStackedWidget;
    m_ways->addWidget(makeFindings());
    m_landings = new LandingMap(bench);
    m_ways->addWidget(m_sets);
    m_ways->addWidget(m_landings);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(14, 8, 14, 10);
    all->setSpacing(8);
    all->addLayout(bar);
    all->addWidget(m_ways, 1);

    for (auto* box : {m_above, m_below, m_situation}) {
        box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        box->setMinimumContentsLength(12);
        connect(box, &QComboBox::activated, this, &FindingsPage::choiceMade);
    }
    setLineIcons({{m_findingsButton, "list"}, {m_setsButton, "table-2"}, {m_landingsButton, "target"}});
    connect(m_findingsButton, &QPushButton::clicked, this, [this] { m_ways->setCurrentIndex(0); });
    connect(m_setsButton, &QPushButton::clicked, this, [this] {
        playPair(false);
        m_sets->refresh();
        m_ways->setCurrentIndex(1);
    });
    connect(m_landingsButton, &QPushButton::clicked, this, [this] {
        playPair(false);
        m_landings->refresh();
        m_ways->setCurrentIndex(2);
    });
    auto* seen = new WhenSeen(this, [this] { refresh(); });
    connect(&bench.book(), &Casebook::analysed, seen, [seen] { (*seen)(); });
    refresh();
}

QWidget* FindingsPage::makeFindings() {
    m_list = new FindingList(m_bench);
    m_pair = new StillPair(m_bench);
    m_moving = new MirrorMoving(m_bench);
    m_picture = new QStackedWidget;
    m_picture->addWidget(m_pair);
    m_picture->addWidget(m_moving);
    m_decision = new DecisionPanel(m_bench);
    m_chain = new ChainView(m_bench);
    m_chain->setFixedHeight(132);
    auto* page = new QWidget;
    auto* listArea = scrolled(m_list);
    listArea->setFixedWidth(292);
    auto* decisionArea = scrolled(m_decision);
    decisionArea->setFixedWidth(344);
    auto* centre = new QVBoxLayout;
    centre->setSpacing(6);
    centre->addWidget(m_picture, 1);
    centre->addWidget(m_chain);
    auto* all = new QHBoxLayout(page);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(12);
    all->addWidget(listArea);
    all->addLayout(centre, 1);
    all->addWidget(decisionArea);
    connect(m_list, &FindingList::changed, this, &FindingsPage::showChosen);
    connect(m_list, &FindingList::wanted, listArea,
            [listArea](const QRect& box) { listArea->ensureVisible(box.center().x(), box.center().y(), 0, 60); });
    connect(m_decision, &DecisionPanel::added, m_list, &FindingList::chooseWhenThere);
    connect(m_chain, &ChainView::faultChosen, this,
            [this](const QString& fault) { m_list->choose("fault:" + fault.toStdString()); });
    connect(m_pair, &StillPair::repChanged, this, [this] { playPair(false); });
    return page;
}

void FindingsPage::fillChoices() {
    const auto& a = m_bench.analysis();
    const auto name = [](const RepSet& s) {
        return tr("%1, %2 (%3)")
            .arg(shownWord(s.key.name), q(dayWords(s.key.day)),
                 counted(static_cast<qsizetype>(s.reps.size()), tr("rep"), tr("reps")));
    };
    m_above->clear();
    m_below->clear();
    if (a.models.size() < 2)
        m_below->addItem(tr("the model"), QString());
    for (const auto& model : a.models.size() < 2 ? std::vector<std::string>{} : a.models) {
        m_below->addItem(tr("model: %1").arg(q(model)), "model:" + q(model));
        if (!a.below && model == a.model)
            m_below->setCurrentIndex(m_below->count() - 1);
    }
    if (a.models.size() > 1) {
        m_below->addItem(tr("all models together"), "model:");
        if (!a.below && a.model.empty())
            m_below->setCurrentIndex(m_below->count() - 1);
    }
    for (const auto& s : a.sets) {
        m_above->addItem(name(s), q(textOf(s.key)));
        if (a.above && s.key == *a.above)
            m_above->setCurrentIndex(m_above->count() - 1);
        else
            m_below->addItem(name(s), q(textOf(s.key)));
        if (a.below && s.key == *a.below)
            m_below->setCurrentIndex(m_below->count() - 1);
    }
    m_situation->clear();
    m_situation->addItem(tr("every situation"), QString());
    for (const auto& s : a.situations) {
        m_situation->addItem(q(s), q(s));
        if (s == a.situation)
            m_situation->setCurrentIndex(m_situation->count() - 1);
    }
    m_situation->setVisible(!a.situations.empty());
    QStringList context;
    for (const auto& line : contextWords(m_bench.book()))
        context << q(line);
    const auto steady = steadyWords(m_bench.blueprint(), a);
    QStringList tip = context;
    for (const auto& line : steady)
        tip << q(line);
    m_context->setText(context.isEmpty() ? steady.empty() ? QString() : q(steady.front()) : context.front());
    m_context->setWordWrap(true);
    m_context->setToolTip(tip.join("\n"));
}

void FindingsPage::choiceMade() {
    SetChoice choice;
    const auto& a = m_bench.analysis();
    // The newest set is what is judged when nothing is chosen: a film that comes in later then takes its place.
    if (m_above->currentIndex() > 0)
        if (const RepSet* s = findSet(a.sets, m_above->currentData().toString().toStdString()))
            choice.above = s->key;
    if (const QString model = m_below->currentData().toString(); model.startsWith("model:"))
        choice.model = model.mid(6).toStdString();
    else if (const auto below = model.toStdString(); !below.empty())
        if (const RepSet* s = findSet(a.sets, below))
            choice.below = s->key;
    if (!a.situations.empty())
        choice.situation = m_situation->currentData().toString().toStdString();
    m_bench.book().setView(choice);
}

void FindingsPage::refresh() {
    fillChoices();
    m_chain->refresh();
    m_list->refresh();
    if (m_ways->currentIndex() == 1)
        m_sets->refresh();
    if (m_ways->currentIndex() == 2)
        m_landings->refresh();
    showChosen();
}

void FindingsPage::showChosen() {
    const FindingItem* item = m_list->chosen();
    playPair(false);
    m_pair->show(item ? item->measure : std::string());
    if (item)
        m_pair->showNote(item->frame);
    m_decision->show(item);
    if (item && !item->fault.empty())
        m_chain->choose(item->fault);
}

void FindingsPage::playPair(bool on) {
    if (on && (m_pair->rep() == 0 || m_pair->modelRep() == 0))
        return;
    if (on) {
        m_bench.selectRep(m_pair->rep());
        m_moving->setReps(m_pair->rep(), m_pair->modelRep());
    }
    m_picture->setCurrentIndex(on ? 1 : 0);
    m_moving->play(on);
}

void FindingsPage::makeKeys() {
    m_keys->tell("↑\u00a0\u00a0↓", tr("finding before, after"));
    m_keys->add(tr("rep before, after"), {"Left"}, [this] { m_pair->step(-1); });
    m_keys->add(tr("rep before, after"), {"Right"}, [this] { m_pair->step(1); });
    m_keys->add(tr("play athlete and model, stop"), {"Space"}, [this] { playPair(m_picture->currentIndex() == 0); });
}

void FindingsPage::keyPressEvent(QKeyEvent* e) {
    if (m_ways->currentIndex() != 0 || !m_keys->press(e))
        QWidget::keyPressEvent(e);
}

} // namespace riflesso
