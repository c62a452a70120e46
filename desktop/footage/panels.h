#pragma once
/// \file
/// What can be said and done about the take that is shown: one panel a subject.

#include "desktop/footage/rep_strip.h"
#include "desktop/footage/stage_view.h"
#include "desktop/workbench/workbench.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDateEdit>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSlider>
#include <QVBoxLayout>
#include <QWidget>

#include <functional>

namespace riflesso {

/// Common to all: the take is edited through one undoable command, and nothing is edited while the fields are filled.
class TakePanel : public QWidget {
    Q_OBJECT
public:
    explicit TakePanel(Workbench& bench, QWidget* parent = nullptr);
    virtual void refresh() = 0;

signals:
    void failed(const QString& message);
    void said(const QString& message);

protected:
    void change(const QString& what, const std::function<void(Take&)>& edit);
    Workbench& m_bench;
    QVBoxLayout* m_all;
    bool m_filling = false;
};

/// Title, who, when, view, stress; what the file says of itself.
class FilmPanel : public TakePanel {
    Q_OBJECT
public:
    explicit FilmPanel(Workbench& bench);
    void refresh() override;

signals:
    void searchWanted(); ///< look for a film that has been moved

private:
    void checkFilm(); ///< is the file still the film that was brought in?
    void takeAnew();
    QLabel* m_changed;
    QPushButton* m_anew;
    QString m_checked; ///< film and length that were compared last
    QLineEdit* m_title;
    QComboBox* m_who;
    QComboBox* m_hand;
    QDateEdit* m_day;
    QComboBox* m_view;
    QComboBox* m_facing;
    QComboBox* m_stage;
    QLabel* m_facts;
    QPushButton* m_search;
    QPushButton* m_remove;
};

/// The capture rate, where it is known from, and the checks of it.
class TimePanel : public TakePanel {
    Q_OBJECT
public:
    explicit TimePanel(Workbench& bench);
    void refresh() override;
    /// Filmed at an ordinary rate: the capture rate is the file's own. Of this take, or of all films of its day that
    /// have none, as one undo step.
    void asTheFileSays(bool wholeDay);

private:
    void connectAll();
    void check();
    QDoubleSpinBox* m_rate;
    QLineEdit* m_camera;
    QLabel* m_from;
    QPushButton* m_ordinary;
    QPushButton* m_ordinaryDay;
    QLabel* m_decides;
    QComboBox* m_kind;
    QDoubleSpinBox* m_first;
    QDoubleSpinBox* m_second;
    QLabel* m_frames;
    QLabel* m_answer;
    QPushButton* m_use;
    int m_a = -1, m_b = -1;
    double m_found = 0.0;
    Id m_take = 0;
};

/// Verticals, lengths, points and edges on the frame; how far to trust them.
class CalibratePanel : public TakePanel {
    Q_OBJECT
public:
    CalibratePanel(Workbench& bench, StageView* stage);
    void refresh() override;

signals:
    void cameraPathWanted(); ///< look whether the camera moves

private:
    void useTool(StageTool tool);
    [[nodiscard]] QGridLayout* makeTools();
    void followStage();
    void edit(const QString& what, const std::function<void(CalibrationInput&)>& change);
    StageView* m_stage;
    std::vector<std::pair<StageTool, QPushButton*>> m_tools;
    QDoubleSpinBox* m_length;
    QDoubleSpinBox* m_width;
    QDoubleSpinBox* m_height;
    QDoubleSpinBox* m_x;
    QDoubleSpinBox* m_y;
    QDoubleSpinBox* m_distance;
    QDoubleSpinBox* m_depth;
    QLabel* m_answer;
    QVBoxLayout* m_list;
    QPushButton* m_camera;
    QCheckBox* m_steady;
};

/// Finding reps, and what each one was.
class RepsPanel : public TakePanel {
    Q_OBJECT
public:
    RepsPanel(Workbench& bench, RepStrip* strip, StageView* stage);
    void refresh() override;

signals:
    void findWanted(int by); ///< RepsBy

private:
    void addFinding();
    void addSet(QFormLayout* form);
    void addLanding(QFormLayout* form);
    void keepTechnique();
    void keepEffect();
    void changeRep(const QString& what, const std::function<void(Rep&)>& edit);
    void useTool(StageTool tool);
    /// Asks for the name of a set for these reps, among those there are or a new one.
    void askSet(const std::vector<Id>& reps);
    RepStrip* m_strip;
    StageView* m_stage;
    QPushButton* m_landed;
    QPushButton* m_zone;
    QLabel* m_found;
    QPushButton* m_acceptAll;
    QPushButton* m_accept;
    QWidget* m_rep;
    QLabel* m_which;
    QComboBox* m_situation; ///< the blueprint's by name, or what is typed
    QComboBox* m_choice;
    QLineEdit* m_score;
    QComboBox* m_worked;
    QComboBox* m_stress;
    QComboBox* m_effort;
    QComboBox* m_set;
    QPushButton* m_setOn;
};

/// Another angle of the same rep: beside it, and locked to it.
class AnglesPanel : public TakePanel {
    Q_OBJECT
public:
    explicit AnglesPanel(Workbench& bench);
    void refresh() override;
    [[nodiscard]] Id beside() const; ///< the take chosen to stand beside; 0 = none
    void setOtherFrame(int frame) { m_otherFrame = frame; }

signals:
    void besideChanged();
    void soundWanted();

private:
    const Link* link() const;
    void share();
    QComboBox* m_beside;
    QPushButton* m_share;
    QPushButton* m_sound;
    QPushButton* m_unlock;
    QLabel* m_answer;
    QVBoxLayout* m_list;
    int m_otherFrame = 0;
};

/// How the picture is shown.
class PicturePanel : public TakePanel {
    Q_OBJECT
public:
    PicturePanel(Workbench& bench, StageView* stage);
    void refresh() override;

private:
    StageView* m_stage;
    QCheckBox* m_swap;
    QSlider* m_brightness;
    QSlider* m_contrast;
    QPushButton* m_crop;
    QPushButton* m_whole;
};

} // namespace riflesso
