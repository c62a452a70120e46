#include "desktop/mirror/trace_view.h"

#include "casebook/text.h"
#include "core/motion/landmark.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QPainter>
#include <QSignalBlocker>
#include <QVBoxLayout>

namespace riflesso {
namespace {

// The picture as large as it fits.
class Glass : public QWidget {
public:
    explicit Glass(const QImage& picture) : m_shown(picture) {
        setAccessibleName(MirrorTrace::tr("The movement on one picture, athlete above, model below"));
        setMinimumSize(320, 180);
        setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.fillRect(rect(), theme().stage);
        if (m_shown.isNull())
            return;
        p.setRenderHint(QPainter::SmoothPixmapTransform);
        const QSizeF size = QSizeF(m_shown.size()).scaled(QSizeF(this->size()), Qt::KeepAspectRatio);
        p.drawImage(QRectF(QPointF((width() - size.width()) / 2, (height() - size.height()) / 2), size), m_shown);
    }

private:
    const QImage& m_shown;
};

} // namespace

MirrorTrace::MirrorTrace(Workbench& bench) : m_bench(bench) {
    m_exposures = new QSpinBox;
    m_exposures->setObjectName("traceExposures");
    m_exposures->setRange(2, 24);
    m_exposures->setValue(7);
    m_exposures->setAccessibleName(tr("Exposures"));
    m_atPositions = new QCheckBox(tr("one a key position"));
    m_atPositions->setObjectName("traceAtPositions");
    m_from = new QComboBox;
    m_from->setAccessibleName(tr("The phase begins at"));
    m_to = new QComboBox;
    m_to->setAccessibleName(tr("The phase ends at"));
    m_save = new QPushButton(tr("Save the picture …"));
    m_state = wrapped({}, "quiet");
    m_glass = new Glass(m_picture);
    const auto quiet = [](const QString& words) {
        auto* label = new QLabel(words);
        label->setObjectName("quiet");
        return label;
    };
    m_points = new QListWidget;
    m_points->setObjectName("tracePoints");
    m_points->setAccessibleName(tr("Points whose paths are drawn"));
    auto* what = new Card(tr("The phase"));
    what->body()->addWidget(quiet(tr("from")));
    what->body()->addWidget(m_from);
    what->body()->addWidget(quiet(tr("to")));
    what->body()->addWidget(m_to);
    auto* count = new QHBoxLayout;
    count->addWidget(quiet(tr("Exposures")));
    count->addWidget(m_exposures);
    count->addStretch(1);
    what->body()->addLayout(count);
    what->body()->addWidget(m_atPositions);
    auto* paths = new Card(tr("Paths"));
    paths->body()->addWidget(m_points, 1);
    paths->body()->addWidget(
        wrapped(tr("Thicker is faster; a tick each tenth of a second. Nothing chosen: what travels "
                   "farthest of arms and of legs."),
                "quiet"));
    auto* side = new QVBoxLayout;
    side->addWidget(what);
    side->addWidget(paths, 1);
    side->addWidget(m_state);
    side->addWidget(m_save);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->addWidget(m_glass, 4);
    all->addLayout(side, 1);
    fillPhases();
    const auto anew = [this] {
        m_exposures->setEnabled(!m_atPositions->isChecked());
        m_stale = true;
        make();
    };
    connect(m_exposures, &QSpinBox::valueChanged, this, anew);
    connect(m_atPositions, &QCheckBox::toggled, this, anew);
    connect(m_from, &QComboBox::activated, this, anew);
    connect(m_to, &QComboBox::activated, this, anew);
    connect(m_points, &QListWidget::itemChanged, this, anew);
    connect(m_save, &QPushButton::clicked, this, &MirrorTrace::save);
    connect(&m_watcher, &QFutureWatcherBase::finished, this, &MirrorTrace::take);
}

MirrorTrace::~MirrorTrace() {
    if (m_stop)
        *m_stop = true;
    m_watcher.waitForFinished();
}

void MirrorTrace::fillPhases() {
    m_from->addItem(tr("the beginning"), QString());
    m_to->addItem(tr("the end"), QString());
    for (const auto& p : m_bench.blueprint().positions) {
        m_from->addItem(q(p.name), q(p.id));
        m_to->addItem(q(p.name), q(p.id));
    }
}

// Known once the marks are read.
void MirrorTrace::fillPoints() {
    if (m_points->count() > 0)
        return;
    const QSignalBlocker quiet(m_points);
    if (const auto rep = m_bench.data().reps.find(m_athlete); rep != m_bench.data().reps.end())
        if (const auto motion = m_bench.analysis().motions.find(rep->second.take);
            motion != m_bench.analysis().motions.end())
            for (const auto& [name, track] : motion->second->tracks())
                if (kindOf(name) != PointKind::scene) {
                    auto* item = new QListWidgetItem(q(spoken(name)), m_points);
                    item->setData(Qt::UserRole, q(name));
                    item->setFlags(Qt::ItemIsEnabled | Qt::ItemIsUserCheckable | Qt::ItemIsSelectable);
                    item->setCheckState(Qt::Unchecked);
                }
}

void MirrorTrace::setReps(Id athlete, Id model) {
    if (athlete == m_athlete && model == m_model)
        return;
    m_athlete = athlete;
    m_model = model;
    m_stale = true;
    m_points->clear();
    if (isVisible())
        make();
}

void MirrorTrace::make() {
    if (!m_stale)
        return;
    if (m_watcher.isRunning()) { // the one that runs is of no use any more
        *m_stop = true;
        m_again = true;
        return;
    }
    m_stale = false;
    if (!m_bench.data().reps.contains(m_athlete)) {
        m_state->setText(tr("Cut a rep and place its key positions first."));
        return;
    }
    fillPoints();
    TraceOptions o;
    o.rep = m_athlete;
    o.other = m_bench.data().reps.contains(m_model) ? m_model : 0;
    o.exposures = m_exposures->value();
    o.atPositions = m_atPositions->isChecked();
    o.from = m_from->currentData().toString().toStdString();
    o.to = m_to->currentData().toString().toStdString();
    for (int i = 0; i < m_points->count(); ++i)
        if (m_points->item(i)->checkState() == Qt::Checked)
            o.points.push_back(m_points->item(i)->data(Qt::UserRole).toString().toStdString());
    o.width = 1200;
    m_state->setText(tr("Exposing …"));
    m_stop = std::make_shared<std::atomic<bool>>(false);
    m_watcher.setFuture(m_bench.book().jobs().run(
        [snapshot = m_bench.snapshot(), o, stop = m_stop, token = m_bench.book().jobs().stopToken()] {
            const auto image =
                tracePicture(snapshot->filmed(), o, [&](double) { return !*stop && !token.stop_requested(); });
            return image ? Made{*image, {}} : Made{{}, q(image.error().text())};
        }));
}

void MirrorTrace::take() {
    if (std::exchange(m_again, false)) {
        m_stale = true;
        make();
        return;
    }
    const Made made = m_watcher.result();
    m_state->setText(made.problem);
    m_picture = made.picture;
    m_save->setEnabled(!m_picture.isNull());
    m_glass->update();
}

void MirrorTrace::save() {
    const QString file =
        QFileDialog::getSaveFileName(this, tr("Save the picture"), tr("trace.png"), tr("Pictures (*.png *.jpg)"));
    if (file.isEmpty() || m_picture.isNull())
        return;
    const auto done = writePicture(file.toStdString(), m_picture);
    m_state->setText(done ? tr("Saved as %1.").arg(QFileInfo(file).fileName()) : q(done.error().text()));
}

} // namespace riflesso
