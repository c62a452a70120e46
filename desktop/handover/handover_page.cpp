#include "desktop/handover/handover_page.h"

#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"

#include <QAbstractTextDocumentLayout>
#include <QDesktopServices>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QPainter>
#include <QUrl>

namespace riflesso {

HandoverPage::HandoverPage(Workbench& bench) : m_bench(bench) {
    connect(&m_writer, &QFutureWatcherBase::finished, this, [this] {
        const QString error = m_writer.result();
        m_state->setText(error.isEmpty() ? tr("report.pdf and report.html are in %1.").arg(m_folder) : error);
        if (error.isEmpty())
            emit said(m_state->text());
        else
            emit failed(error);
    });
    m_write = new QPushButton(tr("Make the athlete's folder …"));
    m_write->setObjectName("makeFolder");
    m_write->setToolTip(
        tr("Writes report.pdf (two pages) and report.html (one file with its pictures) to a folder of your choice."));
    m_state = wrapped({}, "quiet");
    m_pages = new QWidget;
    auto* pages = new QHBoxLayout(m_pages);
    pages->setSpacing(18);
    m_area = new QScrollArea;
    m_area->setWidgetResizable(true);
    m_area->setWidget(m_pages);
    auto* bar = new QHBoxLayout;
    bar->addWidget(m_write);
    bar->addWidget(m_state, 1);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(14, 8, 14, 10);
    all->addLayout(bar);
    all->addWidget(m_area, 1);
    connect(m_write, &QPushButton::clicked, this, [this] {
        if (const QString folder = QFileDialog::getExistingDirectory(this, tr("Folder for the report"));
            !folder.isEmpty())
            writeTo(folder);
    });
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
        else if (!m_wantedFolder.isEmpty())
            writeTo(std::exchange(m_wantedFolder, {}));
    });
}

void HandoverPage::showEvent(QShowEvent*) {
    gather();
}

void HandoverPage::gather() {
    if (!m_stale || m_watcher.isRunning())
        return;
    m_stale = false;
    m_state->setText(tr("Collecting the pictures …"));
    // A copy of plain values goes to the worker; marks that no picture shows are left out of it.
    auto copy = std::make_shared<CaseData>(m_bench.data());
    copy->marks.clear();
    auto analysis = std::make_shared<Analysis>(m_bench.analysis());
    m_watcher.setFuture(m_bench.book().jobs().run(
        [copy, analysis, blueprint = m_bench.blueprint(), media = m_bench.book().library().media()] {
            return std::make_shared<ReportContent>(gatherReport(*copy, blueprint, *analysis, media));
        }));
}

void HandoverPage::writeTo(const QString& folder) {
    if (m_stale || m_watcher.isRunning() || !m_content) {
        m_wantedFolder = folder; // written as soon as the pictures are there
        gather();
        return;
    }
    if (m_writer.isRunning())
        return;
    m_folder = folder;
    m_state->setText(tr("Writing the report …"));
    m_writer.setFuture(m_bench.book().jobs().run([content = m_content, folder] {
        const auto done = writeReport(*content, folder.toStdString());
        return done ? QString() : QString::fromStdString(done.error().text());
    }));
}

void HandoverPage::showPages() {
    clearLayout(m_pages->layout());
    auto* layout = static_cast<QHBoxLayout*>(m_pages->layout());
    layout->addStretch();
    const auto document = reportDocument(*m_content, 96);
    const QSizeF sheet = document->pageSize();
    for (int page = 0; page < document->pageCount(); ++page) {
        const double margin = 40;
        // Two pages beside one another fill the width.
        const double scale =
            std::clamp((m_area->viewport()->width() - 70) / 2.0 / (sheet.width() + 2 * margin), 0.5, 1.1);
        QImage image(QSizeF((sheet.width() + 2 * margin) * scale, (sheet.height() + 2 * margin) * scale).toSize() * 2,
                     QImage::Format_RGB32);
        image.setDevicePixelRatio(2);
        image.fill(Qt::white);
        QPainter p(&image);
        p.scale(scale, scale);
        p.translate(margin, margin - page * sheet.height());
        p.setClipRect(QRectF(0, page * sheet.height(), sheet.width(), sheet.height()));
        QAbstractTextDocumentLayout::PaintContext context;
        context.palette.setColor(QPalette::Text, Qt::black); // paper is white in both themes
        context.clip = QRectF(0, page * sheet.height(), sheet.width(), sheet.height());
        document->documentLayout()->draw(&p, context);
        p.end();
        auto* label = new QLabel;
        label->setPixmap(QPixmap::fromImage(image));
        label->setAccessibleName(tr("Page %1 of the report").arg(page + 1));
        layout->addWidget(label, 0, Qt::AlignTop);
    }
    layout->addStretch();
    m_state->setText(m_content->problem.empty()
                         ? tr("%1, as they print.").arg(counted(document->pageCount(), tr("page"), tr("pages")))
                         : QString::fromStdString(m_content->problem));
}

} // namespace riflesso
