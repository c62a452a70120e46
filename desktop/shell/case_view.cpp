#include "desktop/shell/case_view.h"

#include "desktop/brief/brief_page.h"
#include "desktop/findings/findings_page.h"
#include "desktop/mirror/mirror_page.h"
#include "desktop/programme/programme_page.h"
#include "desktop/progress/progress_page.h"
#include "desktop/reading/who_dialog.h"

#include <QHBoxLayout>
#include <QVBoxLayout>

namespace riflesso {

CaseView::CaseView(std::unique_ptr<Casebook> book) : m_bench(std::move(book)) {
    m_strip = new CaseStrip(m_bench);
    m_path = new PathStrip(m_bench);
    m_pages = new Pages;
    for (int i = 0; i < kWorkspaces; ++i) {
        auto* place = new QWidget;
        auto* room = new QVBoxLayout(place);
        room->setContentsMargins(0, 0, 0, 0);
        m_pages->addWidget(place);
    }
    m_marking = static_cast<MarkingPage*>(made(Workspace::marking)); // it carries, whichever page is shown

    m_error = new QFrame;
    m_error->setObjectName("card");
    m_errorText = new QLabel;
    m_errorText->setObjectName("caution");
    m_errorText->setWordWrap(true);
    m_errorText->setTextInteractionFlags(Qt::TextSelectableByMouse);
    auto* close = new QPushButton(tr("Understood"));
    auto* errorLine = new QHBoxLayout(m_error);
    errorLine->addWidget(m_errorText, 1);
    errorLine->addWidget(close);
    m_error->hide();

    m_reading = new FirstReader(m_bench, *m_marking->carrier(), this);
    m_read = new QFrame;
    m_read->setObjectName("card");
    m_readText = new QLabel;
    m_readText->setObjectName("strong");
    m_readText->setWordWrap(true);
    auto* look = new QPushButton(tr("Look at them (W)"));
    look->setObjectName("next");
    auto* findings = new QPushButton(tr("Findings"));
    auto* put = new QPushButton(tr("Close"));
    auto* readLine = new QHBoxLayout(m_read);
    readLine->addWidget(m_readText, 1);
    readLine->addWidget(look);
    readLine->addWidget(findings);
    readLine->addWidget(put);
    m_read->hide();
    connect(m_reading, &FirstReader::done, this, [this, look](const QString& words) {
        m_readText->setText(words);
        look->setVisible(m_bench.looksLeft() > 0);
        m_read->show();
        show(Workspace::findings);
    });
    connect(look, &QPushButton::clicked, this, [this] { m_marking->worstNext(); });
    connect(findings, &QPushButton::clicked, this, [this] { show(Workspace::findings); });
    connect(put, &QPushButton::clicked, m_read, &QWidget::hide);
    connect(m_reading, &FirstReader::failed, this, &CaseView::showError);
    connect(m_reading, &FirstReader::whoIsIt, this, [this](const WhoIsIt& who) {
        auto* dialog = new WhoDialog(who, this);
        dialog->setAttribute(Qt::WA_DeleteOnClose);
        connect(dialog, &WhoDialog::chosen, this, [this, who](const QRectF& box) { m_reading->choose(who, box); });
        connect(dialog, &QDialog::rejected, m_reading, &FirstReader::leave);
        connect(dialog, &WhoDialog::byHand, this, [this, who] {
            m_reading->leave();
            m_bench.selectTake(who.take);
            m_bench.setFrame(who.frame.value);
            show(Workspace::marking);
            m_marking->draft()->begin();
            emit said(tr("Draw a box round the athlete, press Enter, and read it again when the draft is there."));
        });
        dialog->open();
    });

    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(0);
    all->addWidget(m_strip);
    all->addWidget(m_path);
    auto* news = new QVBoxLayout;
    news->setContentsMargins(14, 4, 14, 0);
    news->addWidget(m_error);
    news->addWidget(m_read);
    all->addLayout(news);
    all->addWidget(m_pages, 1);

    connect(close, &QPushButton::clicked, m_error, &QWidget::hide);
    connect(m_strip, &CaseStrip::shelfWanted, this, &CaseView::shelfWanted);
    connect(m_path, &PathStrip::chosen, this, &CaseView::show);
    connect(&m_bench, &Workbench::workspaceWanted, this, &CaseView::show);
    connect(&m_bench, &Workbench::diaryWanted, this, [this](Day day) {
        show(Workspace::practice);
        static_cast<PracticePage*>(made(Workspace::practice))->showDiary(day);
    });
    connect(&m_bench.book(), &Casebook::failed, this, &CaseView::showError);
    connect(m_marking, &MarkingPage::failed, this, &CaseView::showError);
    connect(m_marking, &MarkingPage::said, this, &CaseView::said);
    show(m_bench.data().takes.empty() ? Workspace::brief : Workspace::findings);
}

CaseView::~CaseView() {
    // What is being typed is committed, and the pages go before the case they look at.
    if (QWidget* typing = focusWidget())
        typing->clearFocus();
    delete m_reading;
    delete m_pages;
    delete m_path;
    delete m_strip;
}

// A page is made when it is first looked at: all nine at once took most of the time in which a case opens.
QWidget* CaseView::made(Workspace w) {
    QWidget*& page = m_made[static_cast<std::size_t>(w)];
    if (page)
        return page;
    switch (w) {
    case Workspace::brief:
        page = new BriefPage(m_bench);
        break;
    case Workspace::footage: {
        auto* footage = new FootagePage(m_bench);
        connect(footage, &FootagePage::readWanted, this, [this](Id take, bool day) {
            m_read->hide();
            show(Workspace::marking); // where the body appears
            day ? m_reading->readDay(take) : m_reading->read(take);
        });
        connect(footage, &FootagePage::failed, this, &CaseView::showError);
        connect(footage, &FootagePage::said, this, &CaseView::said);
        page = footage;
        break;
    }
    case Workspace::marking:
        page = new MarkingPage(m_bench);
        break;
    case Workspace::mirror:
        page = new MirrorPage(m_bench);
        break;
    case Workspace::findings:
        page = new FindingsPage(m_bench);
        break;
    case Workspace::programme:
        page = new ProgrammePage(m_bench);
        break;
    case Workspace::practice:
        page = new PracticePage(m_bench);
        break;
    case Workspace::progress:
        page = new ProgressPage(m_bench);
        break;
    case Workspace::handover: {
        auto* handover = new HandoverPage(m_bench);
        connect(handover, &HandoverPage::failed, this, &CaseView::showError);
        connect(handover, &HandoverPage::said, this, &CaseView::said);
        page = handover;
        break;
    }
    }
    m_pages->widget(static_cast<int>(w))->layout()->addWidget(page);
    return page;
}

void CaseView::show(Workspace w) {
    QWidget* page = made(w);
    m_pages->setCurrentIndex(static_cast<int>(w));
    m_path->setCurrent(w);
    if (w == Workspace::marking)
        m_marking->canvas()->setFocus();
    else
        page->setFocus();
}

void CaseView::showError(const QString& message) {
    m_errorText->setText(message);
    m_error->show();
}

} // namespace riflesso
