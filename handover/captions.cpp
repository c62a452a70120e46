#include "handover/captions.h"

#include <cmath>
#include <cstdio>

namespace riflesso {
namespace {

std::string clock(double seconds) {
    const long long ms = std::llround(seconds * 1000.0);
    char text[40];
    std::snprintf(text, sizeof text, "%02lld:%02lld:%02lld.%03lld", ms / 3600000, ms / 60000 % 60, ms / 1000 % 60,
                  ms % 1000);
    return text;
}

// An empty line would end the caption, and & < > have a meaning ("-->" among them).
std::string inWebVtt(const std::string& words) {
    std::string out;
    for (const char c : words) {
        if (c == '&')
            out += "&amp;";
        else if (c == '<')
            out += "&lt;";
        else if (c == '>')
            out += "&gt;";
        else if (c == '\n' || c == '\r')
            out += out.empty() || out.back() == ' ' ? "" : " ";
        else if (c != '\0')
            out += c;
    }
    return out;
}

} // namespace

std::string webVtt(const std::vector<Caption>& captions) {
    std::string out = "WEBVTT\n";
    int number = 0;
    for (const auto& c : captions) {
        const std::string words = inWebVtt(c.words);
        if (words.find_first_not_of(' ') == std::string::npos || !(c.end > c.begin) || c.begin < 0.0)
            continue;
        out += "\n" + std::to_string(++number) + "\n" + clock(c.begin) + " --> " + clock(c.end) + "\n" + words + "\n";
    }
    return out;
}

} // namespace riflesso
