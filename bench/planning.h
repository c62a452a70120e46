#pragma once
/// \file
/// How long the plan takes, and a new one round a gesture.

namespace riflesso {

void planning();

} // namespace riflesso
