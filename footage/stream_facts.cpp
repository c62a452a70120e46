#include "footage/stream_facts.h"

#include "core/statistics/numbers.h"
#include "footage/av.h"

extern "C" {
#include <libavutil/display.h>
}

#include <algorithm>
#include <cctype>
#include <cmath>

namespace riflesso {

int rotationOf(const AVStream& stream) {
    const auto* matrix = av_stream_get_side_data(&stream, AV_PKT_DATA_DISPLAYMATRIX, nullptr);
    if (!matrix)
        return 0;
    const double counter = av_display_rotation_get(reinterpret_cast<const int32_t*>(matrix));
    if (!std::isfinite(counter))
        return 0;
    const int quarter = static_cast<int>(std::lround(-counter / 90.0));
    return ((quarter % 4) + 4) % 4 * 90;
}

double pixelAspectOf(const AVStream& stream, double streamSays) {
    const double stated = av::statedAspect(stream);
    return stated > 0.0 ? stated : streamSays > 0.0 ? streamSays : 1.0;
}

std::optional<Hertz> captureTag(const AVDictionary* tags, std::string& name) {
    const AVDictionaryEntry* tag = nullptr;
    while ((tag = av_dict_get(tags, "", tag, AV_DICT_IGNORE_SUFFIX))) {
        std::string key = tag->key;
        std::transform(key.begin(), key.end(), key.begin(), [](unsigned char c) { return std::tolower(c); });
        std::erase_if(key, [](char c) { return c == '_' || c == '-' || c == '.' || c == ' '; });
        const bool states = key == "comandroidcapturefps" || key.ends_with("capturefps") ||
                            key.ends_with("captureframerate") || key.ends_with("capturerate");
        const double rate = numberFrom(tag->value).value_or(0.0);
        if (states && rate > 0.0 && rate < 100000.0) {
            name = tag->key;
            return Hertz(rate);
        }
    }
    return std::nullopt;
}

} // namespace riflesso
