#pragma once
/// \file
/// Tables from anywhere: comma-separated text with a header (RFC 4180, without line ends inside fields).

#include "core/motion/result.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace riflesso {

/// The fields of one line, quotes and the spaces around them taken off; views into \p line. Commas inside quotes do
/// not separate.
std::vector<std::string_view> csvCells(std::string_view line);

/// The lines of a text one after the other, without their ends and without a byte order mark.
class CsvLines {
public:
    explicit CsvLines(std::string_view text);
    /// False at the end.
    bool next(std::string_view& line);
    [[nodiscard]] int number() const { return m_number; } ///< of the last line, from 1

private:
    std::string_view m_rest;
    int m_number = 0;
};

struct CsvTable {
    std::string file; ///< for words
    std::vector<std::string> columns;
    std::vector<std::vector<std::string>> rows; ///< each as long as `columns`
    std::vector<int> lines;                     ///< in the file, from 1, by row

    [[nodiscard]] std::optional<std::size_t> column(std::string_view name) const;
    /// The field of a row; empty when there is no such column.
    [[nodiscard]] std::string cell(std::size_t row, std::string_view name) const;
    /// Errors name the line and what stands there instead of a number.
    [[nodiscard]] Result<double> number(std::size_t row, std::string_view name) const;
    [[nodiscard]] Error wrong(std::size_t row, const std::string& what) const;
};

/// Errors: empty, a needed column is missing from the header, a row with more fields than the header, a needed field
/// that is empty, no rows at all, more than a million rows.
Result<CsvTable> tableFromCsv(const std::string& text, const std::string& fileName,
                              const std::vector<std::string>& needed);

} // namespace riflesso
