#include "library/csv_table.h"

#include "core/statistics/numbers.h"
#include "core/words/say.h"

#include <algorithm>

namespace riflesso {
namespace {
constexpr std::size_t kMostRows = 1'000'000;
}

std::vector<std::string_view> csvCells(std::string_view line) {
    std::vector<std::string_view> cells;
    while (true) {
        bool quoted = false;
        std::size_t end = 0;
        while (end < line.size() && (quoted || line[end] != ',')) {
            quoted ^= line[end] == '"';
            ++end;
        }
        auto cell = line.substr(0, end);
        while (!cell.empty() && (cell.front() == ' ' || cell.front() == '"'))
            cell.remove_prefix(1);
        while (!cell.empty() && (cell.back() == ' ' || cell.back() == '"'))
            cell.remove_suffix(1);
        cells.push_back(cell);
        if (end == line.size())
            return cells;
        line.remove_prefix(end + 1);
    }
}

CsvLines::CsvLines(std::string_view text) : m_rest(text) {
    if (m_rest.substr(0, 3) == "\xEF\xBB\xBF")
        m_rest.remove_prefix(3);
}

bool CsvLines::next(std::string_view& line) {
    if (m_rest.empty())
        return false;
    const auto end = m_rest.find('\n');
    line = m_rest.substr(0, end);
    m_rest.remove_prefix(end == std::string_view::npos ? m_rest.size() : end + 1);
    ++m_number;
    if (!line.empty() && line.back() == '\r')
        line.remove_suffix(1);
    return true;
}

std::optional<std::size_t> CsvTable::column(std::string_view name) const {
    const auto it = std::find(columns.begin(), columns.end(), name);
    if (it == columns.end())
        return std::nullopt;
    return static_cast<std::size_t>(it - columns.begin());
}

std::string CsvTable::cell(std::size_t row, std::string_view name) const {
    const auto at = column(name);
    return at ? rows[row][*at] : std::string();
}

Result<double> CsvTable::number(std::size_t row, std::string_view name) const {
    const auto text = cell(row, name);
    if (const auto value = numberFrom(text))
        return *value;
    return wrong(row, fill(say("error", "%1 must be a number, not “%2”"), {std::string(name), text}));
}

Error CsvTable::wrong(std::size_t row, const std::string& what) const {
    return Error{what, fill(say("error", "%1 line %2"), {file, std::to_string(lines[row])}), {}, {}};
}

Result<CsvTable> tableFromCsv(const std::string& text, const std::string& fileName,
                              const std::vector<std::string>& needed) {
    CsvTable out;
    out.file = fileName;
    CsvLines lines(text);
    for (std::string_view line; lines.next(line);) {
        if (line.find_first_not_of(" ,") == std::string_view::npos)
            continue;
        const auto cells = csvCells(line);
        if (out.columns.empty()) {
            out.columns.assign(cells.begin(), cells.end());
            for (const auto& name : needed)
                if (!out.column(name))
                    return Error{
                        fill(say("error", "the column %1 is missing from the header"), {name}), fileName, {}, {}};
            continue;
        }
        out.rows.emplace_back(cells.begin(), cells.end());
        out.lines.push_back(lines.number());
        auto& row = out.rows.back();
        if (row.size() > out.columns.size())
            return out.wrong(out.rows.size() - 1, "the row has more fields than the header");
        row.resize(out.columns.size());
        for (const auto& name : needed)
            if (row[*out.column(name)].empty())
                return out.wrong(out.rows.size() - 1, fill(say("error", "the field %1 is missing"), {name}));
        if (out.rows.size() > kMostRows)
            return Error{"more than a million rows", fileName, {}, {}};
    }
    if (out.columns.empty())
        return Error{"the file is empty", fileName, {}, {}};
    if (out.rows.empty())
        return Error{"the file has a header but no rows", fileName, {}, {}};
    return out;
}

} // namespace riflesso
