#include "core/statistics/agreement.h"

#include <Eigen/Core>

#include <algorithm>
#include <cmath>
#include <set>

namespace riflesso {

std::optional<Agreement> agreementOf(const std::vector<std::pair<std::string, std::string>>& pairs) {
    if (pairs.size() < 2)
        return std::nullopt;
    std::set<std::string> drawers;
    for (const auto& [a, b] : pairs) {
        drawers.insert(a);
        drawers.insert(b);
    }
    Agreement out;
    out.words.assign(drawers.begin(), drawers.end());
    out.n = static_cast<int>(pairs.size());
    const auto place = [&](const std::string& word) {
        return static_cast<Eigen::Index>(std::lower_bound(out.words.begin(), out.words.end(), word) -
                                         out.words.begin());
    };
    const auto k = static_cast<Eigen::Index>(out.words.size());
    Eigen::MatrixXd p = Eigen::MatrixXd::Zero(k, k);
    for (const auto& [a, b] : pairs)
        p(place(a), place(b)) += 1.0 / out.n;
    const Eigen::VectorXd rows = p.rowwise().sum(), columns = p.colwise().sum();
    out.observed = p.trace();
    out.expected = rows.dot(columns);
    const double rest = 1.0 - out.expected;
    if (rest < 1e-12)
        return std::nullopt;
    out.kappa = (out.observed - out.expected) / rest;
    double sum = 0.0;
    for (Eigen::Index i = 0; i < k; ++i)
        for (Eigen::Index j = 0; j < k; ++j) {
            const double part = i == j ? rest - (rows[i] + columns[i]) * (1.0 - out.observed)
                                       : (rows[j] + columns[i]) * (1.0 - out.observed);
            sum += p(i, j) * part * part;
        }
    const double off = out.observed * out.expected - 2.0 * out.expected + out.observed;
    out.u = std::sqrt(std::max(0.0, sum - off * off) / out.n) / (rest * rest);
    out.interval = {std::max(-1.0, out.kappa - 1.96 * out.u), std::min(1.0, out.kappa + 1.96 * out.u)};
    return out;
}

} // namespace riflesso
