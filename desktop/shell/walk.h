#pragma once
/// \file
/// Walks an open case without a hand: one PNG a workspace.

#include "desktop/shell/main_window.h"

namespace riflesso {

/// Waits until nothing is being measured or decoded, at most \p milliseconds. True when all is quiet.
bool settle(MainWindow& window, int milliseconds = 600000);

/// Writes 1-brief.png … 9-handover.png into \p folder.
Status walk(MainWindow& window, const QString& folder);

} // namespace riflesso
