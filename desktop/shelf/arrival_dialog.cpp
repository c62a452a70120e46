#include "desktop/shelf/arrival_dialog.h"

#include "casebook/shipped.h"
#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "library/blueprint_json.h"

#include <QApplication>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QScrollArea>

#include <algorithm>

namespace riflesso {
namespace {
constexpr int kLeaveOut = -1;
} // namespace

std::map<std::string, std::string> ownBlueprints(Library& library, const std::vector<Id>& cases) {
    std::map<std::string, std::string> out;
    const auto all = library.cases();
    if (!all)
        return out;
    for (const auto& c : *all) {
        if (std::find(cases.begin(), cases.end(), c.id) == cases.end() || out.contains(c.blueprintId))
            continue;
        const auto own = blueprintFor(library.folder(), c.blueprintId);
        const auto shipped = shippedBlueprint(c.blueprintId);
        if (own && (!shipped || blueprintToJson(*own) != blueprintToJson(*shipped)))
            out[c.blueprintId] = blueprintToJson(*own);
    }
    return out;
}

ArrivalDialog::ArrivalDialog(Library& library, const QString& file, const BundleContents& contents, QWidget* parent)
    : QDialog(parent), m_library(library), m_file(file), m_contents(contents) {
    setObjectName("arrivalDialog");
    setWindowTitle(tr("What arrives: %1").arg(QFileInfo(file).fileName()));
    resize(720, std::min(600, 150 + 130 * static_cast<int>(contents.cases.size())));
    auto* list = new QVBoxLayout;
    for (const auto& c : contents.cases) {
        auto* card = new Card(tr("%1: %2").arg(q(c.athlete), q(c.blueprintId)));
        QString words = tr("%1, %2, %3")
                            .arg(counted(static_cast<qsizetype>(c.takes), tr("take"), tr("takes")),
                                 counted(static_cast<qsizetype>(c.reps), tr("rep"), tr("reps")),
                                 counted(static_cast<qsizetype>(c.films), tr("film"), tr("films")));
        if (!c.newest.empty())
            words += tr(", newest of %1").arg(q(c.newest));
        card->body()->addWidget(wrapped(words, "quiet"));
        if (c.identical)
            card->body()->addWidget(wrapped(tr("It is here already, to the last mark.")));
        else if (c.sameCase != 0)
            card->body()->addWidget(wrapped(tr("A case with the same film is here: %1.").arg(q(c.difference))));
        else if (c.sameAthlete != 0)
            card->body()->addWidget(wrapped(tr("Somebody called %1 is here.").arg(q(c.athlete))));
        auto* choice = new QComboBox;
        choice->setAccessibleName(tr("What becomes of it"));
        choice->addItem(tr("Leave it out"), qlonglong(kLeaveOut));
        choice->addItem(tr("Take it in, as somebody new"), qlonglong(0));
        if (c.sameAthlete != 0)
            choice->addItem(tr("Take it in, beside what %1 has here").arg(q(c.athlete)), qlonglong(c.sameAthlete));
        choice->setCurrentIndex(c.identical ? 0 : choice->count() - 1);
        card->body()->addWidget(choice);
        m_choices.push_back(choice);
        list->addWidget(card);
    }
    list->addStretch(1);
    auto* inside = new QWidget;
    inside->setLayout(list);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setWidget(inside);
    m_state = wrapped(tr("Nothing that is here is overwritten. Films of %1 MB come with it.")
                          .arg(static_cast<double>(contents.bytes) / 1e6, 0, 'f', 1),
                      "quiet");
    m_bar = new QProgressBar;
    m_bar->setRange(0, 1000);
    m_bar->hide();
    m_take = new QPushButton(tr("Take in"));
    m_take->setObjectName("arrivalTake");
    m_take->setDefault(true);
    auto* cancel = new QPushButton(tr("Cancel"));
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(m_state, 1);
    buttons->addWidget(cancel);
    buttons->addWidget(m_take);
    auto* all = new QVBoxLayout(this);
    all->addWidget(scroll, 1);
    all->addWidget(m_bar);
    all->addLayout(buttons);
    connect(cancel, &QPushButton::clicked, this, [this] {
        m_cancelled = true;
        reject();
    });
    connect(m_take, &QPushButton::clicked, this, [this] {
        if (takeIn())
            accept();
    });
}

bool ArrivalDialog::takeIn() {
    std::vector<BundleChoice> arrivals;
    for (std::size_t i = 0; i < m_choices.size(); ++i)
        if (const auto what = m_choices[i]->currentData().toLongLong(); what != kLeaveOut)
            arrivals.push_back({m_contents.cases[i].index, what});
    if (arrivals.empty())
        return true;
    m_take->setEnabled(false);
    m_bar->show();
    // Blueprints that this library does not know; one of the same name stays as it is here.
    for (const auto& a : arrivals) {
        const auto& id = m_contents.cases[a.index].blueprintId;
        const auto text = m_contents.blueprints.find(id);
        if (text == m_contents.blueprints.end() || blueprintFor(m_library.folder(), id))
            continue;
        const auto blueprint = blueprintFromJson(text->second, id);
        const auto kept = blueprint ? keepBlueprint(m_library.folder(), *blueprint) : Result<int>(blueprint.error());
        if (!kept) {
            m_state->setText(q(kept.error().text()));
            m_take->setEnabled(true);
            return false;
        }
    }
    const auto in = takeInBundle(m_library, m_file.toStdString(), arrivals, [this](double share) {
        m_bar->setValue(static_cast<int>(1000 * share));
        QApplication::processEvents();
        return !m_cancelled;
    });
    m_take->setEnabled(true);
    m_bar->hide();
    if (!in) {
        m_state->setText(q(in.error().text()));
        return false;
    }
    m_cases = *in;
    return true;
}

} // namespace riflesso
