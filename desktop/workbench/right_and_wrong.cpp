#include "desktop/workbench/right_and_wrong.h"

#include "desktop/theme/theme.h"
#include "desktop/workbench/rep_still.h"

#include <QFutureWatcher>

namespace riflesso {

RightAndWrong::RightAndWrong(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setAccessibleName(tr("Right and wrong, from the films of this case"));
    connect(&bench.frames(), &FrameService::frameReady, this, [this] { update(); });
}

void RightAndWrong::show(const std::string& fault) {
    m_fault = fault;
    update();
    const MeasureDefinition* none = nullptr;
    if (fault.empty() || m_simulated.contains(fault) || (shown(true, &none).first && shown(false, &none).first))
        return;
    m_simulated[fault] = {}; // on its way
    auto* made = new QFutureWatcher<SimulatedPair>(this);
    connect(made, &QFutureWatcherBase::finished, this, [this, made, fault] {
        m_simulated[fault] = made->result();
        made->deleteLater();
        update();
    });
    made->setFuture(m_bench.book().jobs().run(
        [blueprint = m_bench.blueprint(), fault] { return simulatedPair(blueprint, fault); }));
}

SimulatedPair RightAndWrong::simulated() const {
    const auto it = m_simulated.find(m_fault);
    return it == m_simulated.end() ? SimulatedPair() : it->second;
}

std::pair<Id, FrameIndex> RightAndWrong::shown(bool model, const MeasureDefinition** definition) const {
    const auto& a = m_bench.analysis();
    const Fault* fault = m_bench.blueprint().fault(m_fault);
    if (!fault)
        return {};
    for (const auto& indicator : fault->indicators) {
        const BlueprintMeasure* m = m_bench.blueprint().measure(indicator.measure);
        std::pair<Id, FrameIndex> best{0, {}};
        double worst = -1e300;
        for (const Id id : model ? a.modelReps : a.athleteReps)
            if (const auto it = a.measured.find(id); it != a.measured.end())
                for (const auto& v : it->second.values) {
                    // Of the model the one that is least so.
                    const double off = (indicator.direction == Deviance::high) != model ? v.value : -v.value;
                    if (v.measure == indicator.measure && !v.refused && !v.frames.empty() && off > worst) {
                        best = {id, v.frames.front()};
                        worst = off;
                    }
                }
        if (m && best.first) {
            *definition = &m->definition;
            return best;
        }
    }
    return {};
}

void RightAndWrong::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const double w = (width() - 8) / 2.0;
    for (const bool model : {true, false}) {
        const QRectF box(model ? 0 : w + 8, 0, w, height());
        const MeasureDefinition* definition = nullptr;
        const auto [rep, frame] = shown(model, &definition);
        if (!drawRepStill(p, m_bench, box, rep, frame, model ? t.hues.modelOnPicture : t.hues.athleteOnPicture,
                          definition)) {
            p.fillRect(box, t.panel);
            const SimulatedPair pair = simulated();
            if (const QImage& still = model ? pair.right : pair.wrong; !still.isNull()) {
                p.setRenderHint(QPainter::SmoothPixmapTransform);
                const QSizeF size = QSizeF(still.size()).scaled(box.size(), Qt::KeepAspectRatioByExpanding);
                const QSizeF part(box.width() / size.width() * still.width(),
                                  box.height() / size.height() * still.height());
                p.drawImage(
                    box, still,
                    QRectF(QPointF((still.width() - part.width()) / 2, (still.height() - part.height()) / 2), part));
                drawPlate(p, box, model ? tr("right, simulated") : tr("wrong, simulated"),
                          height() > 250 ? Type::strong : Type::small);
                continue;
            }
            p.setPen(t.quiet);
            p.setFont(typeface(Type::small));
            p.drawText(box, Qt::AlignCenter | Qt::TextWordWrap, tr("no picture yet"));
            continue;
        }
        drawPlate(p, box, model ? tr("right") : tr("wrong"), height() > 250 ? Type::strong : Type::small);
    }
}

} // namespace riflesso
