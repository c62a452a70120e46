#include "desktop/footage/panel_form.h"
#include "desktop/footage/panels.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "intake/intake.h"

#include <QGridLayout>

namespace riflesso {

CalibratePanel::CalibratePanel(Workbench& bench, StageView* stage) : TakePanel(bench), m_stage(stage) {
    m_length = metres(1.0, 1000.0, tr("Known length"));
    m_length->setObjectName("knownLength");
    m_width = metres(2.0, 1000.0, tr("Width of the rectangle"));
    m_height = metres(1.0, 1000.0, tr("Height of the rectangle"));
    m_x = metres(0.0, 1000.0, tr("Place of the point to the right"));
    m_y = metres(0.0, 1000.0, tr("Place of the point upwards"));
    m_x->setMinimum(-1000.0);
    m_y->setMinimum(-1000.0);
    m_distance = metres(0.0, 1000.0, tr("Camera to the movement"));
    m_depth = metres(0.0, 100.0, tr("By how much the movement leaves the plane"));
    m_distance->setSpecialValueText(tr("not known"));
    m_answer = wrapped({});
    m_answer->setObjectName("calibrationAnswer");
    m_list = new QVBoxLayout;
    m_list->setSpacing(2);
    m_all->addLayout(makeTools());
    m_all->addLayout(m_list);
    m_all->addWidget(m_answer);
    auto* f = form();
    f->addRow(tr("Camera distance"), m_distance);
    f->addRow(tr("Leaves the plane by"), m_depth);
    m_all->addLayout(f);
    m_camera = new QPushButton(tr("Does the camera move?"));
    m_camera->setObjectName("cameraPath");
    m_camera->setToolTip(tr("Follows the background through the film."));
    m_steady = new QCheckBox(tr("Take its movement out of the marks"));
    m_steady->setObjectName("steady");
    m_all->addWidget(m_camera);
    m_all->addWidget(m_steady);
    m_all->addStretch();

    followStage();
    connect(m_distance, &QDoubleSpinBox::editingFinished, this, [this] {
        edit(tr("set the camera's distance"), [this](CalibrationInput& c) {
            c.cameraDistance = m_distance->value() > 0 ? std::optional(m_distance->value()) : std::nullopt;
        });
    });
    connect(m_depth, &QDoubleSpinBox::editingFinished, this, [this] {
        edit(tr("say how far the movement leaves the plane"),
             [this](CalibrationInput& c) { c.depth = m_depth->value(); });
    });
    connect(m_camera, &QPushButton::clicked, this, &CalibratePanel::cameraPathWanted);
    connect(m_steady, &QCheckBox::clicked, this,
            [this](bool on) { change(tr("take the camera's movement out"), [on](Take& t) { t.steady = on; }); });
}

QGridLayout* CalibratePanel::makeTools() {
    const auto tool = [&](StageTool t, const QString& text, const QString& why, const char* name) {
        auto* b = new QPushButton(text);
        b->setCheckable(true);
        b->setToolTip(why);
        b->setObjectName(name);
        m_tools.emplace_back(t, b);
        connect(b, &QPushButton::clicked, this, [this, t, b] { useTool(b->isChecked() ? t : StageTool::none); });
        return b;
    };
    auto* grid = new QGridLayout;
    grid->setVerticalSpacing(4);
    grid->addWidget(tool(StageTool::plumb, tr("Vertical"), tr("Something that hangs or stands upright."), "toolPlumb"),
                    0, 0);
    grid->addWidget(tool(StageTool::horizon, tr("Level"), tr("The floor line seen from the side."), "toolLevel"), 0, 1);
    grid->addWidget(
        tool(StageTool::length, tr("Known length"), tr("In the plane in which the athlete moves."), "toolLength"), 1,
        0);
    grid->addWidget(m_length, 1, 1);
    grid->addWidget(tool(StageTool::rectangle, tr("Rectangle"), tr("Four corners of known size undo the perspective."),
                         "toolRectangle"),
                    2, 0);
    auto* size = new QHBoxLayout;
    size->setSpacing(3);
    size->addWidget(m_width);
    size->addWidget(m_height);
    grid->addLayout(size, 2, 1);
    grid->addWidget(
        tool(StageTool::point, tr("Known point"), tr("More points show how well the plane fits."), "toolPoint"), 3, 0);
    auto* place = new QHBoxLayout;
    place->setSpacing(3);
    place->addWidget(m_x);
    place->addWidget(m_y);
    grid->addLayout(place, 3, 1);
    grid->addWidget(tool(StageTool::edge, tr("Straight edge"),
                         tr("For lenses that bend the picture: an edge near the border."), "toolEdge"),
                    4, 0);
    grid->addWidget(tool(StageTool::check, tr("Measure"), tr("A second length you know: see the error."), "toolCheck"),
                    4, 1);
    for (auto* s : {m_width, m_height, m_x, m_y}) {
        s->setButtonSymbols(QAbstractSpinBox::NoButtons);
        s->setDecimals(2);
    }
    grid->setColumnStretch(1, 1);
    return grid;
}

// What is drawn on the picture.
void CalibratePanel::followStage() {
    connect(m_stage, &StageView::lineDrawn, this, [this](StageTool t, const DrawnLine& line) {
        if (t == StageTool::plumb)
            edit(tr("draw the vertical"), [&](CalibrationInput& c) { c.plumb = line; });
        else if (t == StageTool::horizon)
            edit(tr("draw the level"), [&](CalibrationInput& c) { c.horizon = line; });
        else if (t == StageTool::length)
            edit(tr("draw a known length"), [&](CalibrationInput& c) {
                c.lengths.push_back({line, m_length->value()});
            });
        else if (t == StageTool::check && m_bench.take()) {
            const auto c = calibrationOf(*m_bench.take());
            if (c && *c) {
                const auto l = (*c)->length(line.a, line.b, m_bench.take()->calibration.sigma);
                const QString unit = (*c)->metric() ? tr("m") : tr("px");
                m_stage->setCheck(line,
                                  tr("%1 ± %2 %3").arg(shownFigure(l.value, 3)).arg(shownFigure(l.u, 3)).arg(unit));
                emit said(tr("Measured %1 ± %2 %3. What should it be?")
                              .arg(shownFigure(l.value, 3))
                              .arg(shownFigure(l.u, 3))
                              .arg(unit));
            }
        }
        useTool(StageTool::none);
    });
    connect(m_stage, &StageView::pointsClicked, this, [this](StageTool t, const std::vector<Pixel>& p) {
        if (t == StageTool::rectangle) {
            const double w = m_width->value(), h = m_height->value();
            edit(tr("draw a rectangle"), [&](CalibrationInput& c) {
                c.points = {{p[0], 0, 0}, {p[1], w, 0}, {p[2], w, h}, {p[3], 0, h}};
            });
        } else if (t == StageTool::point) {
            edit(tr("set a known point"), [&](CalibrationInput& c) {
                c.points.push_back({p[0], m_x->value(), m_y->value()});
            });
        } else if (t == StageTool::edge) {
            edit(tr("draw a straight edge"), [&](CalibrationInput& c) { c.straight.push_back(p); });
        }
        useTool(StageTool::none);
    });
    connect(m_stage, &StageView::edited, this, [this](const CalibrationInput& drawn) {
        edit(tr("move a drawn end"), [&](CalibrationInput& c) { c = drawn; });
    });
    connect(m_stage, &StageView::toolPutAway, this, [this] { useTool(StageTool::none); });
}

void CalibratePanel::useTool(StageTool tool) {
    for (const auto& [t, b] : m_tools)
        b->setChecked(t == tool);
    m_stage->setTool(tool);
    if (tool != StageTool::none)
        m_stage->setFocus();
}

void CalibratePanel::edit(const QString& what, const std::function<void(CalibrationInput&)>& change_) {
    change(what, [&](Take& t) { change_(t.calibration); });
}

void CalibratePanel::refresh() {
    const Take* take = m_bench.take();
    setEnabled(take);
    m_stage->setDrawn(take ? take->calibration : CalibrationInput());
    clearLayout(m_list);
    if (!take)
        return;
    m_filling = true;
    const CalibrationInput& c = take->calibration;
    m_distance->setValue(c.cameraDistance.value_or(0.0));
    m_depth->setValue(c.depth);
    if (c.plumb)
        m_list->addWidget(removable(tr("a vertical"), [this] {
            edit(tr("take the vertical away"), [](CalibrationInput& x) { x.plumb.reset(); });
        }));
    if (c.horizon)
        m_list->addWidget(removable(tr("a level line"), [this] {
            edit(tr("take the level away"), [](CalibrationInput& x) { x.horizon.reset(); });
        }));
    for (std::size_t i = 0; i < c.lengths.size(); ++i)
        m_list->addWidget(removable(tr("a length of %1 m").arg(c.lengths[i].metres), [this, i] {
            edit(tr("take a length away"),
                 [i](CalibrationInput& x) { x.lengths.erase(x.lengths.begin() + static_cast<std::ptrdiff_t>(i)); });
        }));
    if (!c.points.empty())
        m_list->addWidget(
            removable(counted(static_cast<qsizetype>(c.points.size()), tr("known point"), tr("known points")),
                      [this] { edit(tr("take the points away"), [](CalibrationInput& x) { x.points.clear(); }); }));
    if (!c.straight.empty())
        m_list->addWidget(
            removable(counted(static_cast<qsizetype>(c.straight.size()), tr("straight edge"), tr("straight edges")),
                      [this] { edit(tr("take the edges away"), [](CalibrationInput& x) { x.straight.clear(); }); }));
    QStringList words;
    const auto made = calibrationOf(*take);
    if (!made) {
        words << q(made.error().text());
    } else if (!*made) {
        words << tr("Nothing is drawn: leans are read against the picture's own edge, lengths in body segments.");
    } else {
        const Calibration& k = **made;
        words << (k.metric() ? tr("Lengths are in metres.") : tr("No length is known: lengths in body segments."));
        if (k.tilt() && c.points.empty())
            words << tr("The true vertical leans %1 ± %2° in the picture; leans are set right by it.")
                         .arg(shownFigure(k.tilt()->value, 1))
                         .arg(shownFigure(k.tiltError().value, 1));
        if (k.reprojection())
            words << tr("What is drawn fits to %1 px.").arg(shownFigure(*k.reprojection(), 1));
        else if (c.points.size() == 4)
            words << tr("Four points always fit: a fifth would check them.");
        for (const auto& w : k.warnings())
            words << tr("Mind: %1.").arg(q(w));
    }
    if (!take->camera.empty()) {
        const CameraMotion m = motionOf(take->camera, take->width, take->height);
        const double share = 100.0 * m.shift / std::max(1, take->width);
        words << (m.shift < 2.0 && m.turn.value < 0.2
                      ? tr("The camera stands still (within %1 px).").arg(shownFigure(m.shift, 1))
                      : tr("Mind: the camera moves by up to %1 px (%2 % of the width) and turns by up to %3°%4.")
                            .arg(shownFigure(m.shift, 0))
                            .arg(shownFigure(share, 1))
                            .arg(shownFigure(m.turn.value, 1))
                            .arg(take->steady ? tr("; this is taken out")
                                              : tr(". Positions and leans are wrong by as much")));
    }
    m_answer->setText(words.join("\n"));
    m_steady->setEnabled(!take->camera.empty());
    m_steady->setChecked(take->steady);
    m_filling = false;
}

} // namespace riflesso
