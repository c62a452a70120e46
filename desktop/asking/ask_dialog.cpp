#include "desktop/asking/ask_dialog.h"

#include "casebook/from_question.h"
#include "casebook/text.h"
#include "core/statistics/numbers.h"
#include "desktop/parts/card.h"
#include "desktop/theme/theme.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPainter>
#include <QVBoxLayout>

#include <cmath>

namespace riflesso {
namespace {

constexpr std::size_t kMostAsked = 4;

QString kindWords(const std::string& kind) {
    if (kind == "length")
        return AskDialog::tr("length");
    if (kind == "lean")
        return AskDialog::tr("lean from the vertical, + to the right");
    if (kind == "tilt")
        return AskDialog::tr("tilt from the level, + rises to the right");
    if (kind == "angle")
        return AskDialog::tr("angle at the second point");
    if (kind == "distance")
        return AskDialog::tr("distance of the third from the line through the others, + above it");
    if (kind == "rate")
        return AskDialog::tr("cycles a minute");
    if (kind == "ratio")
        return AskDialog::tr("first length over second");
    if (kind == "between")
        return AskDialog::tr("angle between the two lines");
    if (kind == "way")
        return AskDialog::tr("way of the first point");
    if (kind == "speed")
        return AskDialog::tr("its mean speed");
    if (kind == "turned")
        return AskDialog::tr("turn of the line");
    if (kind == "twist")
        return AskDialog::tr("turn about the line: 90° = the third point as far out as on the first frame");
    if (kind == "time")
        return AskDialog::tr("time between the frames");
    return q(kind);
}

QString answerText(const Answer& a) {
    if (!a.refused.empty())
        return q(a.refused);
    const std::string unit = a.unit == "1" ? "" : a.unit == "°" ? "°" : " " + a.unit;
    const int digits = std::clamp(1 - static_cast<int>(std::floor(std::log10(std::max(1e-9, a.u)))), 0, 4);
    return QString::fromUtf8("%1 ± %2%3").arg(shownFigure(a.value, digits), shownFigure(a.u, digits), q(unit));
}

} // namespace

AskView::AskView(Workbench& bench, QWidget* parent) : PictureView(parent), m_bench(bench) {
    setObjectName("askView");
    setAccessibleName(tr("The frame; click points on it"));
    connect(&bench.frames(), &FrameService::frameReady, this, [this](const QString& film, int frame, const QImage& p) {
        const auto take = m_bench.data().takes.find(m_take);
        if (take != m_bench.data().takes.end() && film == m_bench.filmPath(take->second) && frame == m_frame.value)
            setPicture(p);
    });
}

void AskView::setFrame(Id take, FrameIndex frame) {
    m_take = take;
    m_frame = frame;
    const auto it = m_bench.data().takes.find(take);
    if (it == m_bench.data().takes.end())
        return;
    if (const QImage p = m_bench.frames().still(m_bench.filmPath(it->second), frame.value); !p.isNull())
        setPicture(p);
    update();
}

void AskView::setPoints(std::vector<Pixel> points) {
    m_points = std::move(points);
    update();
    emit pointsChanged();
}

void AskView::setOther(std::vector<Pixel> points) {
    m_other = std::move(points);
    update();
}

// A mark that is near is what was meant.
Pixel AskView::caught(QPointF at) const {
    Pixel best{at.x(), at.y()};
    double nearest = near();
    if (const auto marks = m_bench.data().marks.find(m_take); marks != m_bench.data().marks.end())
        for (const auto& [name, track] : marks->second)
            if (const auto mark = track.find(m_frame); mark != track.end())
                if (const double d = std::hypot(mark->second.at.x - at.x(), mark->second.at.y - at.y()); d < nearest) {
                    nearest = d;
                    best = mark->second.at;
                }
    return best;
}

std::vector<LandmarkName> AskView::caughtBy() const {
    std::vector<LandmarkName> out(m_points.size());
    if (const auto marks = m_bench.data().marks.find(m_take); marks != m_bench.data().marks.end())
        for (std::size_t i = 0; i < m_points.size(); ++i)
            for (const auto& [name, track] : marks->second)
                if (const auto mark = track.find(m_frame);
                    mark != track.end() && mark->second.at.x == m_points[i].x && mark->second.at.y == m_points[i].y)
                    out[i] = name;
    return out;
}

void AskView::pointerPressed(QPointF at, Qt::KeyboardModifiers) {
    for (std::size_t i = 0; i < m_points.size(); ++i)
        if (std::hypot(m_points[i].x - at.x(), m_points[i].y - at.y()) < near()) {
            m_held = static_cast<int>(i);
            return;
        }
    if (m_points.size() >= kMostAsked || picture().isNull() || at.x() < 0 || at.y() < 0 ||
        at.x() > pictureSize().width() || at.y() > pictureSize().height())
        return;
    m_points.push_back(caught(at));
    m_held = static_cast<int>(m_points.size()) - 1;
    update();
    emit pointsChanged();
}

void AskView::pointerMoved(QPointF at, bool pressed) {
    if (!pressed || m_held < 0)
        return;
    m_points[static_cast<std::size_t>(m_held)] = caught(at);
    update();
    emit pointsChanged();
}

void AskView::paintOver(QPainter& p) {
    const Theme& t = theme();
    const QTransform map = toView();
    const auto draw = [&](const std::vector<Pixel>& points, double width) {
        p.setPen(QPen(QColor(0, 0, 0, 140), width + 2));
        for (const bool ink : {false, true}) {
            p.setPen(QPen(ink ? t.hues.athleteOnPicture : QColor(0, 0, 0, 140), ink ? width : width + 2));
            for (std::size_t i = 1; i < points.size(); ++i)
                if (points.size() != 4 || i != 2) // four points are two lines
                    p.drawLine(map.map(QPointF(points[i - 1].x, points[i - 1].y)),
                               map.map(QPointF(points[i].x, points[i].y)));
        }
        p.setFont(typeface(Type::small, true));
        for (std::size_t i = 0; i < points.size(); ++i) {
            const QPointF at = map.map(QPointF(points[i].x, points[i].y));
            p.setPen(QPen(t.hues.athleteOnPicture, width));
            p.setBrush(Qt::NoBrush);
            p.drawEllipse(at, 6, 6);
            p.drawLine(at - QPointF(2, 0), at + QPointF(2, 0));
            p.drawText(at + QPointF(9, -7), QString::number(i + 1));
        }
    };
    draw(m_other, 1.2);
    draw(m_points, 2.4);
}

AskDialog::AskDialog(Workbench& bench, QWidget* parent) : QDialog(parent), m_bench(bench) {
    setObjectName("askDialog");
    setWindowTitle(tr("Ask this frame"));
    setAttribute(Qt::WA_DeleteOnClose);
    resize(1040, 620);
    m_take = bench.take() ? bench.take()->id : 0;
    m_view = new AskView(bench);
    m_where = wrapped({}, "quiet");
    m_answers = wrapped({});
    m_answers->setObjectName("askAnswers");
    m_answers->setTextFormat(Qt::RichText);
    m_time = new QPushButton(tr("And on another frame (T)"));
    m_time->setObjectName("askTime");
    m_time->setToolTip(tr("Keeps these points; step to another frame and click the same ones again."));
    m_keep = new QPushButton(tr("Keep it as a finding"));
    m_keep->setObjectName("askKeep");
    m_begin = new QPushButton(tr("Begin a technique with it (W)"));
    m_begin->setObjectName("askBegin");
    m_begin->setToolTip(
        tr("Opens the workshop with a new blueprint whose first measure is this one. Its points must be "
           "marked landmarks."));
    auto* cycle = new QPushButton(tr("Count a cycle (C)"));
    cycle->setObjectName("askCycle");
    cycle->setToolTip(
        tr("Step to the same moment of each cycle and count it: the first press is where counting begins."));
    auto* again = new QPushButton(tr("Clear"));
    auto* close = new QPushButton(tr("Close"));
    auto* card = new Card(tr("What these points can answer"));
    card->body()->addWidget(m_where);
    card->body()->addWidget(m_answers);
    card->body()->addStretch();
    for (auto* b : {m_time, cycle, m_keep, m_begin, again, close}) {
        b->setAutoDefault(false);
        b->setFocusPolicy(Qt::NoFocus); // the keys belong to the frame
        card->body()->addWidget(b);
    }
    card->setFixedWidth(320);
    auto* all = new QHBoxLayout(this);
    all->addWidget(m_view, 1);
    all->addWidget(card);
    connect(m_view, &AskView::pointsChanged, this, &AskDialog::answer);
    connect(m_time, &QPushButton::clicked, this, &AskDialog::overTime);
    connect(m_keep, &QPushButton::clicked, this, &AskDialog::keep);
    connect(again, &QPushButton::clicked, this, [this] {
        m_first = -1;
        m_cycles = 0;
        m_firstPoints.clear();
        m_view->setOther({});
        m_view->setPoints({});
    });
    connect(cycle, &QPushButton::clicked, this, &AskDialog::countCycle);
    connect(m_begin, &QPushButton::clicked, this, &AskDialog::beginTechnique);
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    goTo(bench.frame());
}

void AskDialog::goTo(int frame) {
    const auto take = m_bench.data().takes.find(m_take);
    if (take == m_bench.data().takes.end())
        return;
    m_frame = std::clamp(frame, 0, std::max(0, static_cast<int>(take->second.times.size()) - 1));
    m_view->setFrame(m_take, FrameIndex(m_frame));
    answer();
}

// The first press is where counting begins; each later one on another frame is a cycle more.
void AskDialog::countCycle() {
    if (m_first < 0) {
        overTime();
        m_cycles = 0;
    } else if (m_frame != (m_cycles == 0 ? m_first : m_counted)) {
        ++m_cycles;
    }
    m_counted = m_frame;
    answer();
}

void AskDialog::beginTechnique() {
    if (!m_blueprint)
        return;
    emit techniqueBegun(*m_blueprint);
    accept();
}

void AskDialog::overTime() {
    m_cycles = 0;
    if (m_first < 0) {
        m_first = m_frame;
        m_firstPoints = m_view->points();
        m_view->setOther(m_firstPoints);
        m_view->setPoints({});
    } else {
        m_first = -1;
        m_firstPoints.clear();
        m_view->setOther({});
    }
    answer();
}

void AskDialog::answer() {
    m_words.clear();
    m_best.reset();
    const auto take = m_bench.data().takes.find(m_take);
    if (take == m_bench.data().takes.end())
        return;
    const auto time = timebaseOf(take->second);
    Question ask{m_view->points(), kAssumedHandSigma, FrameIndex(m_frame), {}, {}, 0, nullptr};
    if (m_first >= 0) {
        ask.frame = FrameIndex(m_first);
        ask.points = m_firstPoints;
        ask.second = FrameIndex(m_frame);
        if (m_view->points().size() == m_firstPoints.size())
            ask.secondPoints = m_view->points();
    }
    if (m_cycles > 0) { // counted up to there, wherever one looks now
        if (m_counted != m_frame)
            ask.secondPoints.clear();
        ask.second = FrameIndex(m_counted);
        ask.cycles = m_cycles;
    }
    const auto calibration = calibrationOf(take->second);
    if (calibration && *calibration)
        ask.calibration = calibration->get();
    const auto answers = riflesso::ask(ask, time);
    m_where->setText(
        m_first < 0 ? tr("Frame %1 of “%2”. Two points: a length, a lean. Three: an angle. Four: two lines.")
                          .arg(m_frame + 1)
                          .arg(q(take->second.title))
        : m_cycles > 0 ? tr("Frames %1 and %2: %3 counted. Click the same points again, or go on counting.")
                             .arg(m_first + 1)
                             .arg(m_counted + 1)
                             .arg(counted(m_cycles, tr("cycle"), tr("cycles")))
                       : tr("Frames %1 and %2. Click the same points again, or only read the time.")
                             .arg(m_first + 1)
                             .arg(m_frame + 1));
    QString html;
    QStringList words;
    if (answers)
        for (const auto& a : *answers) {
            html += QString("<p style=\"margin:0 0 10px 0\">%1<br><b style=\"font-size:18px\">%2</b></p>")
                        .arg(kindWords(a.kind).toHtmlEscaped(), answerText(a).toHtmlEscaped());
            if (a.refused.empty() && !m_best)
                m_best = a;
            if (a.refused.empty())
                words << kindWords(a.kind) + " " + answerText(a);
        }
    m_answers->setText(html);
    m_words = words.join(", ");
    m_blueprint.reset();
    if (answers && m_first < 0)
        for (const auto& a : *answers)
            if (!m_blueprint)
                m_blueprint = blueprintFrom(a, m_view->caughtBy(), m_bench.data().brief.athlete.handedness,
                                            take->second.facing, tr("New technique").toStdString());
    m_begin->setEnabled(m_blueprint.has_value());
    m_keep->setEnabled(!words.isEmpty());
    m_time->setText(m_first < 0 ? tr("And on another frame (T)") : tr("One frame only (T)"));
}

void AskDialog::keep() {
    const auto take = m_bench.data().takes.find(m_take);
    if (m_words.isEmpty() || take == m_bench.data().takes.end())
        return;
    FindingDecision d;
    d.kind = DecisionKind::parked; // what it is worth is decided in Findings
    d.words = tr("%1; frame %2 of “%3”").arg(m_words).arg(m_frame + 1).arg(q(take->second.title)).toStdString();
    FrameNote note;
    note.take = m_take;
    note.frame = FrameIndex(m_first >= 0 ? m_first : m_frame);
    note.points = m_first >= 0 ? m_firstPoints : m_view->points();
    if (m_first >= 0) {
        note.other = FrameIndex(m_frame);
        note.otherPoints = m_view->points();
    }
    if (m_best) {
        note.kind = m_best->kind;
        note.value = m_best->value;
        note.u = m_best->u;
        note.unit = m_best->unit;
    }
    note.words = m_words.toStdString();
    if (m_bench.book().decide(d, note))
        accept();
}

void AskDialog::keyPressEvent(QKeyEvent* e) {
    const int far = e->modifiers() & Qt::ShiftModifier ? 10 : 1;
    switch (e->key()) {
    case Qt::Key_Left:
        goTo(m_frame - far);
        break;
    case Qt::Key_Right:
        goTo(m_frame + far);
        break;
    case Qt::Key_T:
        overTime();
        break;
    case Qt::Key_C:
        countCycle();
        break;
    case Qt::Key_W:
        beginTechnique();
        break;
    case Qt::Key_Backspace:
        if (auto points = m_view->points(); !points.empty()) {
            points.pop_back();
            m_view->setPoints(points);
        }
        break;
    case Qt::Key_Return:
    case Qt::Key_Enter:
        keep();
        break;
    default:
        QDialog::keyPressEvent(e);
    }
}

} // namespace riflesso
