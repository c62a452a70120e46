#pragma once
/// \file
/// Files dropped on a window, as a file manager does it.

#include <QApplication>
#include <QDropEvent>
#include <QMimeData>
#include <QUrl>
#include <QWidget>

namespace riflesso::test {

/// False when the window does not take them.
inline bool drop(QWidget* window, const QStringList& files) {
    QMimeData mime;
    QList<QUrl> urls;
    for (const auto& f : files)
        urls << QUrl::fromLocalFile(f);
    mime.setUrls(urls);
    QDragEnterEvent enter(QPoint(400, 400), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(window, &enter);
    QDropEvent event(QPointF(400, 400), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(window, &event);
    return enter.isAccepted();
}

} // namespace riflesso::test
