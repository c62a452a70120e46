#pragma once
/// \file
/// Footage: bring films in, look at them frame by frame, say what they are.

#include "desktop/parts/picture_view.h"
#include "desktop/parts/ribbon.h"

#include <QComboBox>
#include <QDateEdit>
#include <QDoubleSpinBox>
#include <QFutureWatcher>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QStringList>

namespace riflesso {

class FootagePage : public QWidget {
    Q_OBJECT
public:
    explicit FootagePage(Workbench& bench);
    ~FootagePage() override { m_watcher.waitForFinished(); }

    /// Copies films into the library and adds a take for each, one after the other, in the background.
    void bringIn(const QStringList& files);

signals:
    void said(const QString& message);   ///< for the status line
    void failed(const QString& message); ///< for the error bar

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    struct Brought {
        std::optional<Take> take;
        QString error;
    };
    void refreshList();
    void refreshForm();
    void showFrame();
    void change(const QString& what, const std::function<void(Take&)>& edit);
    void startNext();

    Workbench& m_bench;
    QListWidget* m_list;
    PictureView* m_view;
    Ribbon* m_ribbon;
    QLabel* m_facts;
    QLineEdit* m_title;
    QComboBox* m_who;
    QDateEdit* m_day;
    QDoubleSpinBox* m_rate;
    QLabel* m_decides;
    QComboBox* m_viewKind;
    QComboBox* m_facing;
    QComboBox* m_stage;
    QComboBox* m_hand;
    QPushButton* m_remove;
    QWidget* m_form;
    QStringList m_waiting;
    QFutureWatcher<Brought> m_watcher;
    bool m_filling = false;
};

} // namespace riflesso
