#include "desktop/shelf/arrival_dialog.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"

#include <QFileInfo>
#include <QHBoxLayout>
#include <QScrollArea>

#include <algorithm>
#include <set>

namespace riflesso {
namespace {
constexpr int kLeaveOut = -1;
} // namespace

ArrivalDialog::ArrivalDialog(const std::filesystem::path& library, const QString& file, const BundleContents& contents,
                             ArrivingBlueprints blueprints, QWidget* parent)
    : QDialog(parent), m_library(library), m_file(file), m_contents(contents), m_blueprints(std::move(blueprints)) {
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
        if (m_blueprints.described.contains(c.blueprintId))
            card->body()->addWidget(wrapped(tr("Its technique is described otherwise there. Here it is judged by what "
                                               "is here: figures may differ."),
                                            "caution"));
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
                          .arg(shownFigure(static_cast<double>(contents.bytes) / 1e6, 1)),
                      "quiet");
    m_rows = new QVBoxLayout;
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
    all->addLayout(m_rows);
    all->addLayout(buttons);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject); // what is under way is stopped with the dialog
    connect(m_take, &QPushButton::clicked, this, &ArrivalDialog::takeIn);
}

void ArrivalDialog::takeIn() {
    std::vector<BundleChoice> choices;
    std::set<std::string> techniques;
    for (std::size_t i = 0; i < m_choices.size(); ++i)
        if (const auto what = m_choices[i]->currentData().toLongLong(); what != kLeaveOut) {
            choices.push_back({m_contents.cases[i].index, what});
            techniques.insert(m_contents.cases[i].blueprintId);
        }
    if (choices.empty()) {
        accept();
        return;
    }
    std::vector<Blueprint> fresh;
    for (const auto& b : m_blueprints.fresh)
        if (techniques.contains(b.id))
            fresh.push_back(b);
    m_take->setEnabled(false);
    auto* row = new JobRow(QFileInfo(m_file).fileName(), m_jobs);
    m_rows->addWidget(row);
    row->start([this, folder = m_library, file = m_file.toStdString(), choices,
                fresh](const JobProgress& progress) -> std::function<void()> {
        const auto made = [&]() -> Result<std::vector<Id>> {
            const auto library = Library::open(folder);
            if (!library)
                return library.error();
            for (const auto& b : fresh)
                if (const auto kept = keepBlueprint(folder, b); !kept)
                    return kept.error();
            return takeInBundle(**library, file, choices, [&](double share) { return progress({}, share); });
        }();
        return [this, made] {
            m_take->setEnabled(true);
            if (!made) {
                m_state->setText(q(made.error().text()));
                return;
            }
            m_cases = *made;
            accept();
        };
    });
}

} // namespace riflesso
