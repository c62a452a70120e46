#pragma once
/// \file
/// Progress: the story, and the questions that a coach asks weeks later, each answered in a sentence and a picture.

#include "casebook/progress_questions.h"
#include "core/progress/sets.h"
#include "desktop/parts/card.h"
#include "desktop/progress/before_after.h"
#include "desktop/progress/point_chart.h"
#include "desktop/progress/story_line.h"
#include "desktop/workbench/right_and_wrong.h"
#include "desktop/workbench/workbench.h"
#include "handover/progress_words.h"

#include <QComboBox>
#include <QStackedWidget>

namespace riflesso {

/// A measure over its dates. The pointer on a point shows the reps behind it; a click leads to the one nearest to it.
class TrendChart : public PointChart {
    Q_OBJECT
public:
    explicit TrendChart(Workbench& bench, QWidget* parent = nullptr);
    void show(std::optional<FocusTrend> trend);
    [[nodiscard]] QSize minimumSizeHint() const override { return {420, 260}; }

protected:
    void paintEvent(QPaintEvent*) override;
    [[nodiscard]] QString wordsOf(std::size_t index) const override;
    void clicked(std::size_t index) override;

private:
    [[nodiscard]] const FocusTrend* trend() const { return m_trend ? &*m_trend : nullptr; }
    [[nodiscard]] std::vector<RepBehind> behind(std::size_t index) const;
    Workbench& m_bench;
    std::optional<FocusTrend> m_trend;
};

/// Share of reps inside by stage of stress, each with its interval, now and, hollow, in the weeks before. A click leads
/// to the newest rep that is outside.
class BreakChart : public PointChart {
    Q_OBJECT
public:
    explicit BreakChart(Workbench& bench, QWidget* parent = nullptr) : PointChart(parent), m_bench(bench) {
        setAccessibleName(tr("Where it breaks"));
    }
    void show(const ThenAndNow& broken, const std::string& measure, const Band& band);
    [[nodiscard]] QSize minimumSizeHint() const override { return {420, 220}; }

protected:
    void paintEvent(QPaintEvent*) override;
    [[nodiscard]] QString wordsOf(std::size_t index) const override;
    void clicked(std::size_t index) override;

private:
    [[nodiscard]] std::vector<RepBehind> behind(std::size_t index) const;
    Workbench& m_bench;
    ThenAndNow m_broken;
    std::vector<std::string> m_stages; ///< of now or then, in ladder order
    std::string m_measure;
    Band m_band;
};

/// What was felt against what was filmed, guess by guess: a hollow mark, a filled one with its error, and the gap
/// between them.
class FeltChart : public PointChart {
    Q_OBJECT
public:
    explicit FeltChart(QWidget* parent = nullptr) : PointChart(parent) { setAccessibleName(tr("Felt and filmed")); }
    struct Row {
        MeasureDefinition measure;
        std::vector<DatedPerception> guesses;
    };
    void show(std::vector<Row> rows);
    [[nodiscard]] QSize minimumSizeHint() const override { return {420, 220}; }

protected:
    void paintEvent(QPaintEvent*) override;
    [[nodiscard]] QString wordsOf(std::size_t index) const override;

private:
    std::vector<Row> m_rows;
};

/// Each rep's measure against its speed, the line through them, and where it leaves the band.
class SpeedChart : public PointChart {
    Q_OBJECT
public:
    explicit SpeedChart(Workbench& bench, QWidget* parent = nullptr);
    void show(const std::string& measure, const Band& band, std::vector<TimedRep> reps, const SpeedAnswer& answer);
    [[nodiscard]] QSize minimumSizeHint() const override { return {420, 220}; }

protected:
    void paintEvent(QPaintEvent*) override;
    [[nodiscard]] QString wordsOf(std::size_t index) const override;
    void clicked(std::size_t index) override;

private:
    [[nodiscard]] QRectF plot() const;
    [[nodiscard]] std::pair<double, double> rangeX() const;
    [[nodiscard]] std::pair<double, double> rangeY() const;
    [[nodiscard]] QPointF at(double x, double y) const;

    Workbench& m_bench;
    std::string m_measure;
    Band m_band;
    std::vector<TimedRep> m_reps;
    SpeedAnswer m_answer;
};

/// Week by week the minutes that were planned and those that were done, by stage, under the focus measure of those
/// weeks: dose and change on one line of time, without a claim that the one made the other.
class DoseChart : public PointChart {
    Q_OBJECT
public:
    explicit DoseChart(Workbench& bench, QWidget* parent = nullptr) : PointChart(parent), m_bench(bench) {
        setObjectName("doseChart");
        setAccessibleName(tr("Minutes planned and done, week by week"));
    }
    /// \p trend: may be null.
    void show(std::vector<PractisedWeek> weeks, const FocusTrend* trend);
    [[nodiscard]] QSize minimumSizeHint() const override { return {420, 260}; }

protected:
    void paintEvent(QPaintEvent*) override;
    [[nodiscard]] QString wordsOf(std::size_t index) const override; ///< the weeks first, then the measure's points
    void clicked(std::size_t index) override;

private:
    void drawWeeks(QPainter& p, const QRectF& area);
    void drawMeasure(QPainter& p, const QRectF& area);
    [[nodiscard]] double xOf(Day day, const QRectF& area) const;
    Workbench& m_bench;
    std::vector<PractisedWeek> m_weeks;
    std::optional<FocusTrend> m_trend;
};

/// Good share after each cue, with its interval and how likely it is the best; its words, or its picture.
class CueChart : public PointChart {
    Q_OBJECT
public:
    explicit CueChart(Workbench& bench, QWidget* parent = nullptr);
    /// \p trial: the days on which each was practised, told under the pointer. \p fault: what the picture cue shows.
    void show(const std::vector<CueStanding>& standings, const CueTrial& trial, const std::string& fault);
    [[nodiscard]] QSize minimumSizeHint() const override { return {420, 220}; }

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent* e) override;
    [[nodiscard]] QString wordsOf(std::size_t index) const override;

private:
    [[nodiscard]] double leftOf() const;
    [[nodiscard]] QRectF cueOf(std::size_t row) const;
    void placePicture();
    std::vector<CueStanding> m_standings;
    CueTrial m_trial;
    RightAndWrong* m_picture;
};

/// On top the story; below it one question at a time, answered first in one sentence, then as a picture.
class ProgressPage : public QWidget {
    Q_OBJECT
public:
    explicit ProgressPage(Workbench& bench);

private:
    void refresh();
    void fillMeasures();
    [[nodiscard]] std::optional<FocusTrend> chosenTrend() const;
    [[nodiscard]] std::vector<FeltChart::Row> feltRows() const;
    void fillMore(const FocusTrend* trend);
    Workbench& m_bench;
    StoryLine* m_story;
    QComboBox* m_which;
    QComboBox* m_by; ///< at which speed: as measured, or the effort as stated
    QLabel* m_answer;
    TrendChart* m_chart;
    BreakChart* m_breaks;
    SpeedChart* m_speed;
    CueChart* m_cues;
    DoseChart* m_dose;
    FeltChart* m_felt;
    QStackedWidget* m_pictures;
    BeforeAfter* m_before;
    Card* m_more;
    int m_question = 0;
};

} // namespace riflesso
