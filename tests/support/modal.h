#pragma once
/// \file
/// Dialogs that are answered when they are there, however long a slow machine takes to show them.

#include <QApplication>
#include <QPointer>
#include <QTest>
#include <QTimer>
#include <QWidget>

#include <functional>

namespace riflesso::test {

/// Once a modal window is there: \p act answers it. One that a failed check left open is closed, so that the test ends
/// with its words and not at its limit of time.
inline void whenModal(QObject* owner, const std::function<void(QWidget*)>& act) {
    auto* timer = new QTimer(owner);
    QObject::connect(timer, &QTimer::timeout, owner, [timer, act] {
        const QPointer<QWidget> modal = QApplication::activeModalWidget();
        if (!modal)
            return;
        timer->stop();
        timer->deleteLater();
        act(modal);
        if (modal && QTest::currentTestFailed())
            modal->close();
    });
    timer->start(50);
}

} // namespace riflesso::test
