// The shelf's people: one person's page, the squad sheet, and bundles out and in.

#include "desktop/shelf/shelf_page.h"

#include "casebook/shipped.h"
#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/shelf/arrival_dialog.h"
#include "desktop/shelf/athlete_page.h"
#include "desktop/shelf/squad_practice.h"
#include "desktop/shelf/squad_sheet.h"
#include "desktop/theme/language.h"

#include <QFileDialog>
#include <QMessageBox>
#include <QTemporaryDir>

namespace riflesso {

AthletePage* ShelfPage::showAthlete(Id id) {
    const ShelfAthlete* a = m_model.athlete(id);
    if (!a)
        return nullptr;
    auto* page = new AthletePage(*a, m_model.people(), blueprints(), m_model.today(), this);
    page->setAttribute(Qt::WA_DeleteOnClose);
    connect(page, &AthletePage::openCase, this, &ShelfPage::openCase);
    connect(page, &AthletePage::anotherTechnique, this, [this, id] { addTechnique(id); });
    connect(page, &AthletePage::merge, this, [this, id](Id other) { merge(id, other); });
    connect(page, &AthletePage::eraseWholly, this, [this, id] { eraseWholly(id); });
    connect(page, &AthletePage::handOver, this, [this, id] { handOver(id); });
    page->open();
    return page;
}

SquadSheet* ShelfPage::showSquad() {
    const QString which = m_tabs->tabData(m_tabs->currentIndex()).toString();
    const QString squad = which.startsWith("squad:") ? which.mid(6) : QString();
    auto* sheet = new SquadSheet(squad.isEmpty() ? tr("Everybody") : squad, m_model.people(squad), blueprints(),
                                 m_model.today(), this);
    sheet->setAttribute(Qt::WA_DeleteOnClose);
    connect(sheet, &SquadSheet::openCase, this, &ShelfPage::openCase);
    connect(sheet, &SquadSheet::practiceWanted, this,
            [this, sheet](const Blueprint& blueprint, const std::vector<SquadRow>& rows, const QString& fault) {
                auto* practice =
                    new SquadPractice(m_library, blueprint, rows, fault.toStdString(), m_model.today(), sheet);
                practice->setAttribute(Qt::WA_DeleteOnClose);
                practice->open();
            });
    sheet->open();
    return sheet;
}

std::function<std::optional<Blueprint>(const std::string&)> ShelfPage::blueprints() const {
    return [folder = m_library->folder()](const std::string& id) -> std::optional<Blueprint> {
        auto b = blueprintFor(folder, id);
        return b ? std::optional(asSpoken(std::move(*b))) : std::nullopt;
    };
}

void ShelfPage::merge(Id athlete, Id other) {
    if (const auto done = m_library->mergeAthletes(athlete, other); !done)
        emit failed(q(done.error().text()));
    refresh();
}

void ShelfPage::eraseWholly(Id athlete, bool sure) {
    const ShelfAthlete* a = m_model.athlete(athlete);
    if (!a)
        return;
    const auto all = m_library->belongingsOf(athlete);
    if (!all) {
        emit failed(q(all.error().text()));
        return;
    }
    QStringList list;
    for (const auto& one : *all)
        list << q(one);
    const QString name = a->name();
    if (!sure) {
        QMessageBox box(QMessageBox::Warning, tr("Delete %1 wholly").arg(name),
                        tr("%1 is deleted now, and nothing brings it back. The daily copies of the library still hold "
                           "the figures, not the films, until they are replaced within seven days of use.")
                            .arg(name),
                        QMessageBox::Cancel, this);
        box.setDetailedText(list.join('\n'));
        auto* erase = box.addButton(tr("Delete now"), QMessageBox::DestructiveRole);
        box.setDefaultButton(QMessageBox::Cancel);
        box.exec();
        if (box.clickedButton() != erase)
            return;
    }
    if (const auto done = m_library->eraseAthlete(athlete); !done) {
        emit failed(q(done.error().text()));
    } else {
        emit said(tr("%1 is deleted: %2.").arg(name, list.join("; ")));
    }
    refresh();
}

void ShelfPage::handOver(Id athlete) {
    const ShelfAthlete* a = m_model.athlete(athlete);
    if (!a)
        return;
    const QString file = QFileDialog::getSaveFileName(this, tr("Hand %1 over").arg(a->name()),
                                                      a->name() + kBundleSuffix, tr("Riflesso bundles (*.riflesso)"));
    if (!file.isEmpty())
        handOver({athlete}, file);
}

JobRow* ShelfPage::job(const QString& what) {
    auto* row = new JobRow(what, m_jobs);
    m_rows->addWidget(row);
    ++m_running;
    connect(row, &JobRow::finished, this, [this] { --m_running; });
    return row;
}

void ShelfPage::handOver(const std::vector<Id>& athletes, const QString& file) {
    std::vector<Id> cases;
    for (const Id id : athletes)
        if (const ShelfAthlete* a = m_model.athlete(id))
            for (const auto& c : a->cases)
                cases.push_back(c.id);
    const QString target = file.endsWith(kBundleSuffix) ? file : file + kBundleSuffix;
    const QString name = QFileInfo(target).fileName();
    job(name)->start([this, cases, target, name,
                      folder = m_library->folder()](const JobProgress& progress) -> std::function<void()> {
        const auto done = [&]() -> Status {
            const auto library = Library::open(folder);
            if (!library)
                return library.error();
            BundleOptions options;
            auto blueprints = blueprintsOf(**library, cases);
            if (!blueprints)
                return blueprints.error();
            options.blueprints = std::move(*blueprints);
            options.progress = [&](double share) { return progress({}, share); };
            return writeBundle(**library, cases, target.toStdString(), options);
        }();
        return [this, done, name] {
            if (done)
                emit said(tr("%1 holds everything.").arg(name));
            else if (done.error().kind != ErrorKind::cancelled)
                emit failed(q(done.error().text()));
        };
    });
}

void ShelfPage::duplicate(Id athlete) {
    const ShelfAthlete* a = m_model.athlete(athlete);
    if (!a || a->cases.empty())
        return;
    std::vector<Id> cases;
    for (const auto& c : a->cases)
        cases.push_back(c.id);
    Athlete copy = a->athlete;
    copy.name = tr("%1 (copy)").arg(a->name()).toStdString();
    job(q(copy.name))
        ->start([this, cases, copy, folder = m_library->folder()](const JobProgress&) -> std::function<void()> {
            const auto done = [&]() -> Status {
                const auto library = Library::open(folder);
                if (!library)
                    return library.error();
                // As a bundle without films, taken in beside itself: what a bundle carries is what belongs to a person.
                const QTemporaryDir lobby;
                const std::filesystem::path file = (lobby.path() + "/copy" + kBundleSuffix).toStdString();
                BundleOptions options;
                options.films = false;
                auto blueprints = blueprintsOf(**library, cases);
                if (!blueprints)
                    return blueprints.error();
                options.blueprints = std::move(*blueprints);
                if (auto s = writeBundle(**library, cases, file, options); !s)
                    return s;
                std::vector<BundleChoice> all;
                for (std::size_t i = 0; i < cases.size(); ++i)
                    all.push_back({i, 0});
                const auto made = takeInBundle(**library, file, all);
                if (!made)
                    return made.error();
                const auto summaries = (*library)->cases();
                if (!summaries)
                    return summaries.error();
                for (const auto& c : *summaries)
                    if (c.id == made->front())
                        return (*library)->setAthlete(c.athleteId, copy);
                return Done{};
            }();
            return [this, done] {
                if (!done)
                    emit failed(q(done.error().text()));
                refresh();
            };
        });
}

void ShelfPage::takeIn(const QString& file) {
    struct Looked {
        BundleContents contents;
        ArrivingBlueprints blueprints;
    };
    job(QFileInfo(file).fileName())
        ->start([this, file, folder = m_library->folder()](const JobProgress&) -> std::function<void()> {
            const auto looked = [&]() -> Result<Looked> {
                const auto library = Library::open(folder);
                if (!library)
                    return library.error();
                auto contents = lookIntoBundle(**library, file.toStdString());
                if (!contents)
                    return contents.error();
                auto blueprints = arrivingBlueprints(folder, contents->blueprints);
                if (!blueprints)
                    return blueprints.error();
                return Looked{std::move(*contents), std::move(*blueprints)};
            }();
            return [this, looked, file, folder] {
                if (!looked) {
                    emit failed(q(looked.error().text()));
                    return;
                }
                auto* dialog = new ArrivalDialog(folder, file, looked->contents, looked->blueprints, this);
                dialog->setAttribute(Qt::WA_DeleteOnClose);
                connect(dialog, &QDialog::accepted, this, [this, dialog] {
                    refresh();
                    emit said(
                        tr("%1 taken in.")
                            .arg(counted(static_cast<qsizetype>(dialog->cases().size()), tr("case"), tr("cases"))));
                });
                dialog->open();
            };
        });
}

} // namespace riflesso
