#pragma once
/// \file
/// Findings: strengths first, then the chain, the focus and why, what cannot be decided, and the guess beside the
/// truth.

#include "desktop/findings/chain_view.h"
#include "desktop/parts/card.h"

namespace riflesso {

class FindingsPage : public QWidget {
    Q_OBJECT
public:
    explicit FindingsPage(Workbench& bench);

private:
    void refresh();
    void showFault();
    /// Links to the frames that a deviation was read from.
    [[nodiscard]] QString sources(const Deviation& d) const;
    void follow(const QString& link);
    [[nodiscard]] QLabel* linked(const QString& html);

    Workbench& m_bench;
    QHBoxLayout* m_strengths;
    ChainView* m_chain;
    Card* m_why;
    Card* m_undecided;
    Card* m_felt;
    Card* m_steady;
    QLabel* m_head;
};

} // namespace riflesso
