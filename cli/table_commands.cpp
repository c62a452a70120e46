// Answers on tables and frames from anywhere, without a library.

#include "cli/commands.h"

#include "core/measure/question.h"
#include "core/progress/history.h"
#include "core/progress/sets.h"
#include "core/statistics/agreement.h"
#include "core/statistics/line.h"
#include "core/statistics/numbers.h"
#include "files/write_file.h"
#include "footage/film.h"
#include "library/case_json.h"
#include "library/csv_table.h"

#include <algorithm>
#include <cctype>
#include <cmath>
#include <cstdio>
#include <map>

namespace riflesso::cli {
namespace {

using nlohmann::json;

Result<CsvTable> readTable(const std::string& file, const std::vector<std::string>& needed) {
    const auto text = readFile(file);
    if (!text)
        return text.error();
    return tableFromCsv(*text, std::filesystem::path(file).filename().string(), needed);
}

std::string lower(std::string text) {
    std::transform(text.begin(), text.end(), text.begin(),
                   [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return text;
}

std::optional<bool> yesOrNo(const std::string& text) {
    const auto word = lower(text);
    for (const char* yes : {"1", "true", "yes", "y", "inside", "good", "g"})
        if (word == yes)
            return true;
    for (const char* no : {"0", "false", "no", "n", "outside", "bad", "b"})
        if (word == no)
            return false;
    return std::nullopt;
}

Result<std::vector<SetValue>> readSet(const std::string& file) {
    const auto table = readTable(file, {"rep", "measure", "value", "u"});
    if (!table)
        return table.error();
    std::vector<SetValue> out;
    for (std::size_t r = 0; r < table->rows.size(); ++r) {
        SetValue v{table->cell(r, "rep"), table->cell(r, "measure"), 0.0, 0.0, 0.0, table->cell(r, "camera")};
        std::vector<std::pair<const char*, double*>> fields = {{"value", &v.value}, {"u", &v.u}};
        if (!table->cell(r, "u_shared").empty())
            fields.emplace_back("u_shared", &v.uShared);
        for (const auto& [name, target] : fields) {
            const auto number = table->number(r, name);
            if (!number)
                return number.error();
            if (target != &v.value && *number < 0.0)
                return table->wrong(r, std::string(name) + " cannot be negative");
            *target = *number;
        }
        out.push_back(std::move(v));
    }
    return out;
}

} // namespace

json changeJson(const SetChange& c) {
    return {{"change", c.change},        {"u", c.u},
            {"mdc95", c.mdc95},          {"p", c.p},
            {"p_adjusted", c.pAdjusted}, {"moved", c.moved},
            {"before", c.meanBefore},    {"after", c.meanAfter},
            {"reps_before", c.before},   {"reps_after", c.after},
            {"scattered", c.scattered}};
}

Status compareTables(const TableArguments& a) {
    const auto before = readSet(a.tables.at(0)), after = readSet(a.tables.at(1));
    if (!before)
        return before.error();
    if (!after)
        return after.error();
    const auto changes = compareSets(*before, *after);
    if (!a.json) {
        std::printf("%s\n", inWords(changes).c_str());
        return Done{};
    }
    json out = json::object();
    for (const auto& c : changes)
        out[c.measure] = changeJson(c);
    std::printf("%s\n", out.dump(1).c_str());
    return Done{};
}

Status breaks(const TableArguments& a) {
    const auto table = readTable(a.file, {"stage", "inside"});
    if (!table)
        return table.error();
    std::vector<StageCount> counts; // known stages by the ladder, others behind them as they come
    for (const auto name : kStageNames)
        counts.push_back({std::string(name), 0, 0});
    for (std::size_t r = 0; r < table->rows.size(); ++r) {
        const auto name = table->cell(r, "stage");
        const auto inside = yesOrNo(table->cell(r, "inside"));
        if (!inside)
            return table->wrong(r, "inside must be 1 or 0, yes or no, not \"" + table->cell(r, "inside") + "\"");
        const auto stage = stageFromText(name);
        auto it = stage ? counts.begin() + static_cast<std::ptrdiff_t>(*stage)
                        : std::find_if(counts.begin(), counts.end(), [&](const auto& c) { return c.stage == name; });
        if (it == counts.end())
            it = counts.insert(it, {name, 0, 0});
        if (stage)
            it->stage = name; // as the table calls it
        ++it->n;
        it->inside += *inside;
    }
    const auto found = whereItBreaks(counts);
    if (!a.json) {
        std::printf("%s\n", found.words.c_str());
        return Done{};
    }
    json stages = json::array();
    for (const auto& s : found.stages)
        stages.push_back({{"stage", s.stage},
                          {"n", s.n},
                          {"inside", s.inside},
                          {"share", s.share},
                          {"low", s.interval.lo},
                          {"high", s.interval.hi},
                          {"isotonic", s.smoothed},
                          {"p_owned", s.pOwned},
                          {"p_broken", s.pBroken}});
    const auto orNull = [](const std::optional<std::string>& s) { return s ? json(*s) : json(nullptr); };
    std::printf("%s\n", json{{"stages", stages},
                             {"owned", orNull(found.owned)},
                             {"breaks", orNull(found.breaks)},
                             {"unsure", found.unsure.empty() ? json(nullptr) : json(found.unsure)},
                             {"more", found.more},
                             {"words", found.words}}
                            .dump(1)
                            .c_str());
    return Done{};
}

Status history(const TableArguments& a) {
    const auto table = readTable(a.file, {"day", "value", "u"});
    if (!table)
        return table.error();
    struct Row {
        HistoryPoint point;
        std::string stage;
        bool afterPause = false;
    };
    std::vector<Row> rows;
    bool dates = true;
    for (std::size_t r = 0; r < table->rows.size(); ++r) {
        Row row;
        const auto text = table->cell(r, "day");
        const auto date = dayFromIso(text);
        const auto number = numberFrom(text);
        if (!date && (!number || std::abs(*number) > 3e6))
            return table->wrong(r, "day must be a date like 2026-11-23 or a number of days, not \"" + text + "\"");
        if (r > 0 && dates != date.has_value())
            return table->wrong(r, "days are all dates or all numbers");
        dates = date.has_value();
        row.point.day = date ? *date : Day(std::chrono::days(std::lround(*number)));
        for (const auto& [name, target] : {std::pair{"value", &row.point.value}, std::pair{"u", &row.point.u}}) {
            const auto value = table->number(r, name);
            if (!value)
                return value.error();
            *target = *value;
        }
        if (!(row.point.u > 0.0))
            return table->wrong(r, "u must be above 0");
        row.stage = table->cell(r, "stage");
        const auto pause = table->cell(r, "pause");
        const auto length = numberFrom(pause);
        row.afterPause = yesOrNo(pause).value_or(length && *length >= 14.0);
        rows.push_back(row);
    }
    std::stable_sort(rows.begin(), rows.end(), [](const auto& x, const auto& y) { return x.point.day < y.point.day; });
    // Points of different stages are different things: the stage with most of them is judged, the newest of equals.
    std::map<std::string, int> count;
    std::string judged;
    for (const auto& row : rows)
        if (++count[row.stage] >= count[judged])
            judged = row.stage;
    std::vector<HistoryPoint> points;
    json retention = json::array();
    const auto dayJson = [&](Day day) { return dates ? json(isoDate(day)) : json(day.time_since_epoch().count()); };
    for (const auto& row : rows) {
        if (row.stage != judged)
            continue;
        const auto& p = row.point;
        if (!points.empty() && (row.afterPause || (p.day - points.back().day).count() >= 14)) {
            const double change = p.value - points.back().value, mdc = 1.96 * std::hypot(p.u, points.back().u);
            retention.push_back(
                {{"day", dayJson(p.day)}, {"change", change}, {"mdc95", mdc}, {"kept", std::abs(change) <= mdc}});
        }
        points.push_back(p);
    }
    const auto h = historyOf(points);
    if (!a.json) {
        std::printf("%s\n", h.words.c_str());
        return Done{};
    }
    json set = json::array();
    for (const auto day : h.days)
        set.push_back(dayJson(day));
    std::printf("%s\n", json{{"kind", kHistoryKindNames[static_cast<std::size_t>(h.kind)]},
                             {"p", {{"nothing", h.pNothing}, {"step", h.pStep}, {"drift", h.pDrift}}},
                             {"day", h.day ? dayJson(*h.day) : json(nullptr)},
                             {"day_set", set},
                             {"change", h.change},
                             {"u", h.u},
                             {"stage", judged},
                             {"points", points.size()},
                             {"retention", retention},
                             {"words", h.words}}
                            .dump(1)
                            .c_str());
    return Done{};
}

Status line(const TableArguments& a) {
    const auto table = readTable(a.file, {"x", "ux", "y", "uy"});
    if (!table)
        return table.error();
    std::vector<PointWithErrors> points(table->rows.size());
    for (std::size_t r = 0; r < points.size(); ++r)
        for (const auto& [name, target] : {std::pair{"x", &points[r].x}, std::pair{"ux", &points[r].ux},
                                           std::pair{"y", &points[r].y}, std::pair{"uy", &points[r].uy}}) {
            const auto value = table->number(r, name);
            if (!value)
                return value.error();
            *target = *value;
        }
    const auto fit = lineThrough(points);
    if (!fit)
        return Error{"no line can be drawn: it needs three points at different places, each with an error above 0",
                     table->file,
                     {},
                     {}};
    json out = {{"slope", fit->slope},
                {"u_slope", fit->uSlope},
                {"intercept", fit->intercept},
                {"u_intercept", fit->uIntercept},
                {"covariance", fit->covariance},
                {"chi2", fit->chi2},
                {"dof", fit->dof}};
    const auto crossing = a.level ? crossingOf(*fit, *a.level) : std::nullopt;
    if (crossing) {
        out["x_at_level"] = crossing->x;
        if (crossing->interval)
            out["interval95"] = {crossing->interval->lo, crossing->interval->hi};
        else
            out["interval95"] = nullptr;
    }
    if (a.json)
        std::printf("%s\n", out.dump(1).c_str());
    else
        std::printf("y = %s ± %s + (%s ± %s) x, chi2 %s of %d\n", general(fit->intercept, 5).c_str(),
                    general(fit->uIntercept, 2).c_str(), general(fit->slope, 5).c_str(),
                    general(fit->uSlope, 2).c_str(), general(fit->chi2, 4).c_str(), fit->dof);
    return Done{};
}

Status agree(const TableArguments& a) {
    const auto table = readTable(a.file, {});
    if (!table)
        return table.error();
    if (table->columns.size() < 2)
        return Error{"two columns of verdicts are needed", table->file, {}, {}};
    std::vector<std::pair<std::string, std::string>> pairs;
    for (const auto& row : table->rows)
        if (!row[0].empty() && !row[1].empty())
            pairs.emplace_back(row[0], row[1]);
    const auto agreement = agreementOf(pairs);
    if (!agreement)
        return Error{"nothing can be told: fewer than two pairs, or both always say the same", table->file, {}, {}};
    if (a.json)
        std::printf("%s\n", json{{"kappa", agreement->kappa},
                                 {"u", agreement->u},
                                 {"low", agreement->interval.lo},
                                 {"high", agreement->interval.hi},
                                 {"n", agreement->n},
                                 {"observed", agreement->observed},
                                 {"expected", agreement->expected}}
                                .dump(1)
                                .c_str());
    else
        std::printf("kappa %.2f, 95 %% %.2f to %.2f; they agree on %.0f %% of %d\n", agreement->kappa,
                    agreement->interval.lo, agreement->interval.hi, 100.0 * agreement->observed, agreement->n);
    return Done{};
}

Status ask(const AskArguments& a) {
    const auto pointsOf = [](const std::vector<std::string>& texts) -> Result<std::vector<Pixel>> {
        std::vector<Pixel> out;
        for (const auto& text : texts) {
            const auto comma = text.find(',');
            const auto x = numberFrom(text.substr(0, comma));
            const auto y = comma == std::string::npos ? std::nullopt : numberFrom(text.substr(comma + 1));
            if (!x || !y)
                return Error{"a point is X,Y in px, not \"" + text + "\"", "--points", {}, {}, ErrorKind::wrongUse};
            out.push_back({*x, *y});
        }
        return out;
    };
    const auto points = pointsOf(a.points), second = pointsOf(a.secondPoints);
    if (!points)
        return points.error();
    if (!second)
        return second.error();
    const auto film = Film::open(a.film);
    if (!film)
        return film.error();
    const FilmInfo& info = (*film)->info();
    Question q{*points, a.sigma, FrameIndex(a.frame), {}, *second, a.cycles, nullptr};
    if (a.secondFrame)
        q.second = FrameIndex(*a.secondFrame);
    for (const int frame : {a.frame, a.secondFrame.value_or(a.frame)})
        if (frame < 0 || frame >= info.frames)
            return Error{"there is no frame " + std::to_string(frame) + "; the film has 0 to " +
                             std::to_string(info.frames - 1),
                         a.film,
                         {},
                         {}};
    for (const auto* list : {&q.points, &q.secondPoints})
        for (const auto& p : *list)
            if (p.x < 0 || p.y < 0 || p.x > info.width || p.y > info.height)
                return Error{"the point " + general(p.x, 6) + "," + general(p.y, 6) + " is outside the picture of " +
                                 std::to_string(info.width) + " x " + std::to_string(info.height),
                             a.film,
                             {},
                             {}};
    std::optional<Calibration> calibration;
    if (!a.calibration.empty()) {
        const auto text = readFile(a.calibration);
        if (!text)
            return text.error();
        const auto drawn = calibrationFromJson(*text);
        if (!drawn)
            return drawn.error();
        auto made = Calibration::make(*drawn, info.width, info.height);
        if (!made)
            return made.error();
        calibration = std::move(*made);
        q.calibration = &*calibration;
    }
    const auto time =
        Timebase::make((*film)->times(), a.captureRate ? std::optional(Hertz(*a.captureRate)) : info.captureRate);
    if (!time)
        return time.error();
    const auto answers = riflesso::ask(q, *time);
    if (!answers)
        return answers.error();
    if (answers->empty())
        return Error{"one point on one frame answers nothing; two give a length, lean and tilt, three an angle, four a "
                     "ratio",
                     "--points",
                     {},
                     {},
                     ErrorKind::wrongUse};
    json out = json::array();
    for (const auto& x : *answers) {
        if (!a.json) {
            if (x.refused.empty())
                std::printf("%s %s ± %s %s\n", x.kind.c_str(), general(x.value, 5).c_str(), general(x.u, 2).c_str(),
                            x.unit.c_str());
            else
                std::printf("%s: %s\n", x.kind.c_str(), x.refused.c_str());
            continue;
        }
        json j = {{"kind", x.kind}, {"unit", x.unit}};
        if (x.refused.empty()) {
            j["value"] = x.value;
            j["u"] = x.u;
        } else
            j["refused"] = x.refused;
        out.push_back(j);
    }
    if (a.json)
        std::printf("%s\n", out.dump(1).c_str());
    return Done{};
}

} // namespace riflesso::cli
