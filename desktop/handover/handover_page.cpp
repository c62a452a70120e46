#include "desktop/handover/handover_page.h"

#include "casebook/planner.h"
#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"
#include "handover/guide.h"
#include "library/calendar_file.h"
#include "simulator/technique_pictures.h"

#include <QAbstractTextDocumentLayout>
#include <QDateTime>
#include <QDir>
#include <QFileDialog>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QPainter>

namespace riflesso {
namespace {

// A sheet as it prints, with its margins, about \p wide.
QPixmap pageOf(const QTextDocument& document, int page, double wide) {
    constexpr double kMargin = 40;
    const QSizeF sheet = document.pageSize(), whole = sheet + QSizeF(2 * kMargin, 2 * kMargin);
    const double scale = std::clamp(wide / whole.width(), 0.5, 1.1);
    QImage image((whole * scale).toSize() * 2, QImage::Format_RGB32);
    image.setDevicePixelRatio(2);
    image.fill(Qt::white);
    QPainter p(&image);
    p.scale(scale, scale);
    p.translate(kMargin, kMargin - page * sheet.height());
    const QRectF part(0, page * sheet.height(), sheet.width(), sheet.height());
    p.setClipRect(part);
    QAbstractTextDocumentLayout::PaintContext context;
    context.palette.setColor(QPalette::Text, Qt::black); // paper is white in both themes
    context.clip = part;
    document.documentLayout()->draw(&p, context);
    p.end();
    return QPixmap::fromImage(image);
}

} // namespace

HandoverPage::HandoverPage(Workbench& bench) : m_bench(bench) {
    m_paperButton = new QPushButton(tr("On paper"));
    m_reviewButton = new QPushButton(tr("Review"));
    m_reviewButton->setObjectName("handoverReview");
    m_reviewButton->setToolTip(tr("Scene by scene, with your voice: a film to take home."));
    for (auto* b : {m_paperButton, m_reviewButton}) {
        b->setCheckable(true);
        b->setAutoExclusive(true);
    }
    m_paperButton->setChecked(true);
    m_reader = new QComboBox;
    m_reader->setObjectName("reportReader");
    m_reader->setAccessibleName(tr("For whom"));
    m_reader->addItems({tr("For the athlete"), tr("For the coach"), tr("For a parent")});
    m_reader->setCurrentIndex(bench.data().brief.athlete.minor ? 2 : 0);
    m_paper = new QComboBox;
    m_paper->setAccessibleName(tr("Paper"));
    m_paper->addItems({tr("A4"), tr("US Letter")});
    m_text = new QComboBox;
    m_text->setObjectName("reportText");
    m_text->setAccessibleName(tr("Size of the print"));
    for (const int percent : {100, 115, 130, 150})
        m_text->addItem(tr("Print %1 %").arg(percent), percent / 100.0);
    m_write = new QPushButton(tr("Make the athlete's folder …"));
    m_write->setObjectName("makeFolder");
    auto* guide = new QPushButton(tr("Guide of the technique …"));
    guide->setObjectName("makeGuide");
    guide->setToolTip(tr("The blueprint to print: key positions with pictures, faults, drills, cautions."));
    m_state = wrapped({}, "quiet");
    m_pages = new QWidget;
    auto* pages = new QGridLayout(m_pages); // two side by side, the next two below
    pages->setSpacing(18);
    for (const int beside : {0, 3})
        pages->setColumnStretch(beside, 1);
    m_again.setSingleShot(true);
    m_again.setInterval(120); // once a window has its new size, not all the way there
    connect(&m_again, &QTimer::timeout, this, [this] {
        if (m_content)
            showPages();
    });
    m_area = new QScrollArea;
    m_area->setWidgetResizable(true);
    m_area->setWidget(m_pages);
    m_review = new ReviewPanel(bench);
    m_ways = new QStackedWidget;
    m_ways->addWidget(m_area);
    m_ways->addWidget(m_review);
    auto* bar = new QHBoxLayout;
    for (QWidget* w : std::initializer_list<QWidget*>{m_paperButton, m_reviewButton, m_reader, m_paper, m_text})
        bar->addWidget(w);
    bar->addStretch(1);
    bar->addWidget(guide);
    bar->addWidget(m_write);
    m_jobs = new QVBoxLayout;
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(14, 8, 14, 10);
    all->addLayout(bar);
    all->addWidget(m_state);
    all->addLayout(m_jobs);
    all->addWidget(m_ways, 1);
    connect(m_paperButton, &QPushButton::clicked, this, [this] { showReview(false); });
    connect(m_reviewButton, &QPushButton::clicked, this, [this] { showReview(true); });
    connect(m_reader, &QComboBox::activated, this, [this] {
        m_stale = true;
        gather();
    });
    for (auto* box : {m_paper, m_text})
        connect(box, &QComboBox::activated, this, [this] {
            if (m_content)
                showPages();
        });
    connect(m_write, &QPushButton::clicked, this, [this] {
        if (const QString folder = QFileDialog::getExistingDirectory(this, tr("Where the folder goes"));
            !folder.isEmpty())
            writeTo(folder);
    });
    connect(guide, &QPushButton::clicked, this, &HandoverPage::writeGuide);
    connect(m_review, &ReviewPanel::failed, this, &HandoverPage::failed);
    connect(m_review, &ReviewPanel::changed, this, &HandoverPage::saySizes);
    connect(&bench.book(), &Casebook::analysed, this, [this] {
        m_stale = true;
        if (isVisible())
            gather();
    });
    connect(&m_watcher, &QFutureWatcherBase::finished, this, [this] {
        m_content = m_watcher.result();
        showPages();
        if (m_stale)
            gather();
    });
}

void HandoverPage::showEvent(QShowEvent*) {
    gather();
}

void HandoverPage::resizeEvent(QResizeEvent*) {
    m_again.start();
}

void HandoverPage::showReview(bool review) {
    m_ways->setCurrentIndex(review ? 1 : 0);
    (review ? m_reviewButton : m_paperButton)->setChecked(true);
    for (QWidget* w : std::initializer_list<QWidget*>{m_reader, m_paper, m_text})
        w->setVisible(!review);
    if (review)
        m_review->setFocus();
    saySizes();
}

void HandoverPage::gather() {
    if (!m_stale || m_watcher.isRunning())
        return;
    m_stale = false;
    m_state->setText(tr("Collecting the pictures …"));
    m_watcher.setFuture(m_bench.book().jobs().run(
        [snapshot = m_bench.snapshot(), reader = static_cast<Reader>(m_reader->currentIndex())] {
            return std::make_shared<PaperContent>(gatherReport(snapshot->filmed(), reader));
        }));
}

PaperOptions HandoverPage::paper() const {
    return {m_paper->currentIndex() == 1, m_text->currentData().toDouble()};
}

FolderOptions HandoverPage::options() const {
    FolderOptions o;
    o.reader = static_cast<Reader>(m_reader->currentIndex());
    o.paper = paper();
    if (const auto blocks = standingPlan(m_bench.data()); !blocks.empty())
        o.calendar = planToCalendar(m_bench.blueprint(), blocks,
                                    {false, std::to_string(m_bench.data().id), QDateTime::currentSecsSinceEpoch(),
                                     m_bench.data().brief.places});
    return o;
}

void HandoverPage::writeTo(const QString& folder) {
    if (m_running)
        return;
    QString target = folder;
    if (QDir dir(folder); dir.exists() && !dir.isEmpty()) {
        const QString name = QString("%1, %2, %3")
                                 .arg(q(m_bench.data().brief.athlete.name), q(m_bench.blueprint().name),
                                      q(isoDate(m_bench.book().today())))
                                 .replace('/', '-');
        target = dir.filePath(name);
        for (int n = 2; QFileInfo::exists(target); ++n)
            target = dir.filePath(QString("%1 (%2)").arg(name).arg(n));
    }
    m_running = true;
    m_write->setEnabled(false);
    auto* row = new JobRow(tr("The athlete's folder"), m_bench.book().jobs());
    m_jobs->addWidget(row);
    connect(row, &JobRow::finished, this, [this](bool) {
        m_running = false;
        m_write->setEnabled(true);
    });
    Review review = m_review->review();
    if (review.scenes.empty()) { // nobody looked at it yet
        const auto kept = readReview(m_review->folder());
        review = kept && *kept ? **kept : proposedReview(m_bench.data(), m_bench.blueprint(), m_bench.analysis());
    }
    row->start([this, snapshot = m_bench.snapshot(), review, target, o = options(), voices = m_review->folder(),
                today = m_bench.book().today()](const JobProgress& progress) -> std::function<void()> {
        const auto made = writeFolder(snapshot->filmed(), review, voices, today, o, target.toStdString(),
                                      [&](const std::string& what, double share) { return progress(what, share); });
        if (!made)
            return [this, error = made.error()] {
                m_state->setText(q(error.text()));
                if (error.kind != ErrorKind::cancelled)
                    emit failed(m_state->text());
            };
        std::uintmax_t bytes = 0;
        for (const auto& part : *made)
            bytes += part.bytes;
        return [this, bytes, n = made->size(), target] {
            m_state->setText(
                tr("%1 with %2, %3 MB, is in %4.")
                    .arg(QFileInfo(target).fileName(), counted(static_cast<qsizetype>(n), tr("file"), tr("files")))
                    .arg(shownFigure(static_cast<double>(bytes) / 1e6, 1))
                    .arg(QFileInfo(target).absolutePath()));
            emit said(m_state->text());
        };
    });
}

void HandoverPage::writeGuide() {
    const QString file = QFileDialog::getSaveFileName(this, tr("The guide of the technique"),
                                                      q(m_bench.blueprint().id) + ".pdf", tr("Paper (*.pdf)"));
    if (file.isEmpty())
        return;
    auto* row = new JobRow(QFileInfo(file).fileName(), m_bench.book().jobs());
    m_jobs->addWidget(row);
    row->start([this, file, blueprint = m_bench.blueprint(), paper = paper()](const JobProgress&) {
        std::map<PositionId, QImage> pictures;
        if (const auto simulated = positionPictures(blueprint.id)) // an own technique has no simulated athlete
            for (const auto& [id, p] : *simulated)
                pictures[id] = positionStill(p.picture, p.points);
        const auto done = writeBytes(file.toStdString(), paperPdf(techniqueGuide(blueprint, pictures), paper));
        const QString words = done ? tr("The guide is in %1.").arg(QFileInfo(file).fileName()) : q(done.error().text());
        return [this, words] { m_state->setText(words); };
    });
}

void HandoverPage::saySizes() {
    if (m_content && !m_content->problem.empty()) {
        m_state->setText(q(m_content->problem));
        return;
    }
    const FilmedCase filmed{m_bench.data(), m_bench.blueprint(), m_bench.analysis(), {}};
    const auto& review = m_review->review();
    double megabytes = 0.0;
    QStringList names;
    for (const auto& part : expectedParts(
             filmed,
             review.scenes.empty() ? proposedReview(m_bench.data(), m_bench.blueprint(), m_bench.analysis()) : review,
             options())) {
        names << q(part.file);
        megabytes += static_cast<double>(part.bytes) / 1e6;
    }
    m_state->setText(tr("The folder will hold %1: about %2 MB.").arg(names.join(", ")).arg(shownFigure(megabytes, 1)));
}

void HandoverPage::showPages() {
    clearLayout(m_pages->layout());
    auto* layout = static_cast<QGridLayout*>(m_pages->layout());
    int shown = 0;
    // The report, and beside it what is done at home; two pages beside one another fill the width.
    const double wide = (m_area->viewport()->width() - 70) / 2.0;
    std::vector<PaperContent> papers{*m_content};
    if (m_reader->currentIndex() != static_cast<int>(Reader::coach))
        papers.push_back(homeSheet(m_bench.data(), m_bench.blueprint(), m_bench.analysis(), m_bench.book().today()));
    for (const auto& content : papers) {
        const auto document = paperDocument(content, paper(), 96);
        for (int page = 0; page < document->pageCount(); ++page) {
            auto* label = new QLabel;
            label->setPixmap(pageOf(*document, page, wide));
            label->setAccessibleName(tr("Page %1 of what is printed").arg(shown + 1));
            layout->addWidget(label, shown / 2, 1 + shown % 2, Qt::AlignTop);
            ++shown;
        }
    }
    layout->setRowStretch(shown, 1);
    saySizes();
}

} // namespace riflesso
