#include "desktop/mirror/export_dialog.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "footage/film_pieces.h"

#include <QFileDialog>
#include <QFormLayout>
#include <QHBoxLayout>

namespace riflesso {

ExportDialog::ExportDialog(Workbench& bench, Id athlete, Id model, std::pair<FrameIndex, FrameIndex> stretch,
                           bool byClock, QWidget* parent)
    : QDialog(parent), m_bench(bench), m_athlete(athlete), m_model(model), m_stretch(stretch), m_byClock(byClock) {
    setObjectName("exportDialog");
    setWindowTitle(tr("A clip to take home"));
    m_what = new QComboBox;
    m_what->setObjectName("exportWhat");
    m_what->addItem(tr("This rep"), 0);
    m_what->addItem(tr("The part that is played"), 1);
    m_what->addItem(tr("All reps of this take, a clip each"), 2);
    m_sides = new QComboBox;
    m_sides->setObjectName("exportSides");
    m_sides->addItem(tr("The athlete alone"), 0);
    if (model != 0) {
        m_sides->addItem(tr("The athlete above, the other below the line"), 1);
        m_sides->addItem(tr("The athlete with the other's figure as a ghost"), 2);
        m_sides->setCurrentIndex(1);
    }
    m_slow = new QComboBox;
    m_slow->setObjectName("exportSlow");
    for (const double slow : {1.0, 2.0, 4.0, 8.0, 16.0})
        m_slow->addItem(slow == 1.0 ? tr("As fast as it was") : tr("%1 times slower").arg(slow), slow);
    m_slow->setCurrentIndex(2);
    m_size = new QComboBox;
    m_size->setObjectName("exportSize");
    m_size->addItem(tr("1920 x 1080"), QSize(1920, 1080));
    m_size->addItem(tr("1080 x 1920, for a telephone"), QSize(1080, 1920));
    m_size->addItem(tr("1280 x 720, half the bytes"), QSize(1280, 720));
    m_figure = new QCheckBox(tr("with what is marked drawn on it"));
    m_figure->setChecked(true);
    m_title = new QLineEdit(q(bench.data().brief.athlete.name));
    m_title->setAccessibleName(tr("Title"));
    m_state = wrapped({}, "quiet");
    m_write = new QPushButton(tr("Write …"));
    m_write->setObjectName("exportWrite");
    m_write->setDefault(true);
    auto* close = new QPushButton(tr("Close"));
    auto* form = new QFormLayout;
    form->addRow(tr("What"), m_what);
    form->addRow(tr("Sides"), m_sides);
    form->addRow(tr("Speed"), m_slow);
    form->addRow(tr("Size"), m_size);
    form->addRow(tr("Title"), m_title);
    form->addRow({}, m_figure);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(m_state, 1);
    buttons->addWidget(close);
    buttons->addWidget(m_write);
    m_jobs = new QVBoxLayout;
    auto* all = new QVBoxLayout(this);
    all->addLayout(form);
    all->addLayout(m_jobs);
    all->addStretch(1);
    all->addLayout(buttons);
    resize(520, 260);
    for (auto* box : {m_what, m_slow, m_size})
        connect(box, &QComboBox::activated, this, &ExportDialog::saySize);
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    connect(m_write, &QPushButton::clicked, this, [this] {
        const QString file =
            QFileDialog::getSaveFileName(this, tr("Write the clip"), tr("clip.mp4"), tr("Films (*.mp4)"));
        if (!file.isEmpty())
            writeTo(file.endsWith(".mp4", Qt::CaseInsensitive) ? file : file + ".mp4");
    });
    saySize();
}

std::vector<ClipOptions> ExportDialog::wanted() const {
    ClipOptions o;
    o.rep = m_athlete;
    o.other = m_sides->currentData().toInt() == 0 ? 0 : m_model;
    o.ghost = m_sides->currentData().toInt() == 2;
    o.lock = m_byClock ? LockKind::clock : LockKind::movement;
    o.figure = m_figure->isChecked();
    o.slow = m_slow->currentData().toDouble();
    o.width = m_size->currentData().toSize().width();
    o.height = m_size->currentData().toSize().height();
    o.title = m_title->text();
    const int what = m_what->currentData().toInt();
    if (what == 1) {
        o.first = m_stretch.first;
        o.last = m_stretch.second;
    }
    if (what != 2)
        return {o};
    std::vector<ClipOptions> out;
    for (const Rep* rep : repsOf(m_bench.data(), m_bench.data().reps.at(m_athlete).take)) {
        out.push_back(o);
        out.back().rep = rep->id;
        out.back().title += tr(", rep %1").arg(rep->number);
    }
    return out;
}

void ExportDialog::saySize() {
    double seconds = 0.0;
    for (const auto& o : wanted()) {
        const Rep& rep = m_bench.data().reps.at(o.rep);
        const Timebase time = timebaseOf(m_bench.data().takes.at(rep.take));
        const auto span = spanOf(m_bench.data(), rep);
        seconds +=
            (time.real(o.last.value_or(span.second)).value - time.real(o.first.value_or(span.first)).value) * o.slow;
    }
    m_state->setText(tr("%1 s of film.").arg(shownFigure(seconds, 1)));
}

void ExportDialog::writeTo(const QString& file) {
    if (m_running)
        return;
    m_running = true;
    m_write->setEnabled(false);
    auto* row = new JobRow(QFileInfo(file).fileName(), m_bench.book().jobs());
    m_jobs->addWidget(row);
    connect(row, &JobRow::finished, this, [this](bool) {
        m_running = false;
        m_write->setEnabled(true);
    });
    row->start([this, snapshot = m_bench.snapshot(), clips = wanted(),
                file](const JobProgress& progress) -> std::function<void()> {
        const auto done = writeClips(snapshot->filmed(), clips, file.toStdString(),
                                     [&](double share) { return progress({}, share); });
        QString words = done ? QString() : q(done.error().text());
        if (!done && (clips.size() > 1 || std::filesystem::exists(FilmPieces::folderOf(file.toStdString()))))
            words += ' ' + tr("Written to the same name again it goes on where it was.");
        return [this, words, n = clips.size(), file] {
            m_state->setText(!words.isEmpty() ? words
                             : n == 1         ? tr("Written: %1.").arg(QFileInfo(file).fileName())
                                              : tr("%1 clips are written.").arg(n));
        };
    });
}

} // namespace riflesso
