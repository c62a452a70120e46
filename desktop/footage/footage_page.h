#pragma once
/// \file
/// Footage: bring films in, look at them frame by frame, say what they are.

#include "desktop/footage/camera_panel.h"
#include "desktop/footage/panels.h"
#include "desktop/footage/transport.h"
#include "desktop/parts/job_row.h"
#include "desktop/parts/key_table.h"

#include "desktop/parts/pages.h"
#include <QButtonGroup>
#include <QListWidget>
#include <QSplitter>
#include <QStringList>

#include <deque>

namespace riflesso {

class FootagePage : public QWidget {
    Q_OBJECT
public:
    explicit FootagePage(Workbench& bench);

    /// Films and folders, one after the other, in the background; each becomes a take.
    void bringIn(const QStringList& places);
    /// Something is under way in the background.
    [[nodiscard]] bool busy() const;
    /// 0 film, 1 time, 2 calibrate, 3 reps, 4 angles, 5 picture.
    void showPanel(int which);
    void openCamera();
    [[nodiscard]] StageView* stage() const { return m_stage; }
    [[nodiscard]] RepStrip* strip() const { return m_strip; }

signals:
    /// Read this take, or all of its day.
    void readWanted(riflesso::Id take, bool day);
    void said(const QString& message);   ///< for the status line
    void failed(const QString& message); ///< for the error bar

protected:
    void showEvent(QShowEvent*) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    struct Waiting {
        QString film;
        bool own = false; ///< recorded into the library's folder: not copied again
        JobRow* row = nullptr;
        QString set{}; ///< of its reps
    };
    struct Beside {
        Id take = 0;
        int frame = 0;
        QWidget* box = nullptr;
        QLabel* title = nullptr;
        PictureView* view = nullptr;
    };
    void makeKeys();
    QWidget* makeLeft();
    QWidget* makeMiddle();
    QWidget* makeRight();
    void refreshList();
    void refreshPanels();
    void showFrame();
    void showBeside();
    void followLocks();
    void stepBeside(int frames);
    JobRow* job(const QString& what);
    void enqueue(const QStringList& films, bool own, const QString& set = {});
    void startNext();
    void findReps(int by);
    void lockBySound();
    void lookAtCamera();
    void searchFilm();

    Workbench& m_bench;
    KeyTable* m_keys;
    Pages* m_modes; // the films, or the camera
    QListWidget* m_list;
    QCheckBox* m_refer;
    QVBoxLayout* m_jobs;
    StageView* m_stage;
    QSplitter* m_views;
    RepStrip* m_strip;
    Transport* m_transport;
    Pages* m_panels;
    QButtonGroup* m_tabs;
    FilmPanel* m_film;
    TimePanel* m_time;
    CalibratePanel* m_calibrate;
    RepsPanel* m_reps;
    AnglesPanel* m_angles;
    PicturePanel* m_picture;
    CameraPanel* m_camera = nullptr;
    std::vector<Beside> m_beside;
    std::unique_ptr<ViewClocks> m_clocks;
    std::deque<Waiting> m_waiting;
    bool m_bringing = false;
    int m_running = 0; // jobs
    bool m_filling = false;
};

} // namespace riflesso
