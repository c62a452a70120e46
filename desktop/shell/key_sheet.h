#pragma once
/// \file
/// The sheet of keys.

#include <QMenuBar>

namespace riflesso {

class CaseView;

/// As HTML: what is looked at first, then the other workspaces, then the window's own menus. All of it is read off the
/// actions themselves. \p open: null when no case is open. Makes the workspaces that were not shown yet. Interface
/// thread.
QString keySheet(const QMenuBar& menus, CaseView* open);

} // namespace riflesso
