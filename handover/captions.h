#pragma once
/// \file
/// Captions of a film as WebVTT (W3C candidate recommendation "WebVTT: The Web Video Text Tracks Format").

#include <string>
#include <vector>

namespace riflesso {

/// What is read from \p begin to \p end, s of file time.
struct Caption {
    double begin = 0.0, end = 0.0;
    std::string words; ///< UTF-8; any text: what WebVTT gives a meaning to is escaped
};

/// Captions without words, or that end before they begin, are left out.
std::string webVtt(const std::vector<Caption>& captions);

} // namespace riflesso
