#include "core/words/say.h"

#include "core/statistics/numbers.h"

#include <algorithm>
#include <mutex>

namespace riflesso {
namespace {

std::mutex guard;
std::shared_ptr<const Language> current;

std::string spoken(const char* context, const char* text, const char* comment, int n) {
    const auto language = languageInUse();
    return language && language->said ? language->said(context, text, comment, n) : std::string(text);
}

} // namespace

void useLanguage(std::shared_ptr<const Language> language) {
    const std::lock_guard lock(guard);
    current = std::move(language);
}

std::shared_ptr<const Language> languageInUse() {
    const std::lock_guard lock(guard);
    return current;
}

std::string say(const char* context, const char* text) {
    return spoken(context, text, nullptr, -1);
}

std::string sayCount(const char* context, const char* many, const char* one, std::size_t n) {
    std::string text = spoken(context, many, one, static_cast<int>(std::min<std::size_t>(n, 1'000'000'000)));
    if (text == many && n == 1)
        text = one;
    if (const auto at = text.find("%n"); at != std::string::npos)
        text.replace(at, 2, std::to_string(n));
    return text;
}

std::string word(std::string_view english) {
    return spoken("word", std::string(english).c_str(), nullptr, -1);
}

std::string fill(std::string_view text, std::initializer_list<std::string> values) {
    std::string out;
    out.reserve(text.size() + 16 * values.size());
    for (std::size_t i = 0; i < text.size(); ++i) {
        const bool place = text[i] == '%' && i + 1 < text.size() && text[i + 1] >= '1' && text[i + 1] <= '9';
        const auto which = place ? static_cast<std::size_t>(text[i + 1] - '1') : 0;
        if (!place || which >= values.size()) {
            out += text[i];
            continue;
        }
        out += *(values.begin() + which);
        ++i;
    }
    return out;
}

namespace {

std::string withOurSign(std::string text) {
    if (const auto language = languageInUse())
        std::replace(text.begin(), text.end(), '.', language->decimal);
    return text;
}

} // namespace

std::string figure(double value, int digits) {
    return withOurSign(fixed(value, digits));
}

std::string shortFigure(double value, int significant) {
    return withOurSign(general(value, significant));
}

} // namespace riflesso
