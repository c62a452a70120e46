#pragma once
/// \file
/// The review: scenes in order, the picture as the athlete will see it, and the coach's voice and pointer over it.

#include "desktop/parts/key_table.h"
#include "desktop/workbench/voice.h"
#include "desktop/workbench/workbench.h"
#include "handover/review_film.h"

#include <QComboBox>
#include <QElapsedTimer>
#include <QFutureWatcher>
#include <QHBoxLayout>
#include <QImage>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMouseEvent>
#include <QProgressBar>
#include <QPushButton>
#include <QTimer>
#include <QWidget>

#include <memory>

namespace riflesso {

/// Where a scene is seen and pointed at.
class SceneStage : public QWidget {
    Q_OBJECT
public:
    explicit SceneStage(QWidget* parent = nullptr);
    void setPicture(const QImage& picture);
    /// What the pointer did, and up to when it is drawn.
    void setPointer(const std::vector<PointerSample>* pointer, double at);
    [[nodiscard]] QRectF pictureRect() const;
    [[nodiscard]] const QImage& picture() const { return m_picture; }
    [[nodiscard]] QSize sizeHint() const override { return {640, 360}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {320, 180}; }

signals:
    /// x and y as shares of the picture; drawing = a button is held.
    void pointed(double x, double y, bool drawing);

protected:
    void paintEvent(QPaintEvent*) override;
    void mouseMoveEvent(QMouseEvent* e) override { tell(e->position(), e->buttons() != Qt::NoButton); }
    void mousePressEvent(QMouseEvent* e) override { tell(e->position(), true); }
    void mouseReleaseEvent(QMouseEvent* e) override { tell(e->position(), false); }

private:
    void tell(QPointF at, bool drawing);
    QImage m_picture;
    const std::vector<PointerSample>* m_pointer = nullptr;
    double m_at = 0.0;
};

/// Interface thread; pictures are made by a worker, the newest wish first. What is changed is kept at once.
class ReviewPanel : public QWidget {
    Q_OBJECT
public:
    explicit ReviewPanel(Workbench& bench);
    ~ReviewPanel() override;
    [[nodiscard]] const Review& review() const { return m_review; }
    [[nodiscard]] std::filesystem::path folder() const;
    /// Starts to record the scene, or ends it and goes on to the next.
    void record();
    [[nodiscard]] bool recording() const { return m_recording; }
    [[nodiscard]] bool busy() const { return m_making.isRunning(); } ///< a picture is being made
    void play();
    [[nodiscard]] bool playing() const { return m_clock.isActive() && !m_recording; }
    void choose(int row);
    [[nodiscard]] int chosen() const { return m_list->currentRow(); }
    void move(int by);
    void drop();
    void takeBack();
    /// The frame that is looked at in Marking or Mirror becomes a scene.
    void addFrame();
    void makeAnew();

signals:
    void changed();
    void failed(const QString& message);

protected:
    void showEvent(QShowEvent*) override;
    void hideEvent(QHideEvent*) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    struct Source; // what pictures are made of, shared with the worker
    QPushButton* button(const QString& words, const char* name, const QString& why, QAction* action);
    void makeOrder(QVBoxLayout& under);
    void makeWords(QVBoxLayout& under);
    [[nodiscard]] QHBoxLayout* makeTransport();
    void breathe();
    [[nodiscard]] Scene* scene();
    void load();
    void keep();
    void fill();
    void openScene();
    void wish();
    void tick();
    void stop();
    void endRecording();
    void say();
    [[nodiscard]] double now() const;

    Workbench& m_bench;
    KeyTable* m_keys;
    Review m_review;
    bool m_loaded = false, m_recording = false, m_paused = false;
    QListWidget* m_list;
    SceneStage* m_stage;
    QLineEdit* m_words;
    QLineEdit* m_caption;
    QPushButton* m_record;
    QPushButton* m_pause;
    QPushButton* m_play;
    QPushButton* m_takeBack;
    QComboBox* m_microphone;
    QProgressBar* m_level;
    QLabel* m_state;
    std::unique_ptr<Voice> m_voice;
    Sound m_sound;
    std::vector<PointerSample> m_pointer;
    QTimer m_clock;
    QElapsedTimer m_since;
    qint64 m_before = 0; ///< ms that went by before a pause
    std::shared_ptr<Source> m_source;
    struct Shown {
        QImage picture;
        QString problem;
    };
    QFutureWatcher<Shown> m_making;
    bool m_wished = false;
};

} // namespace riflesso
