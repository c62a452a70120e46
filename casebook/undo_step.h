#pragma once
/// \file
/// Steps on the undo stack: lists of edits that have already been carried out, how they merge, and whether they still
/// fit to what is there. Private to this room and its tests.

#include "library/case_data.h"

#include <QUndoCommand>

#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// What an edit says was there but is not, in words; nothing when all edits can be carried out one after the other.
std::optional<std::string> mismatch(const CaseData& data, const std::vector<Edit>& edits);

/// The edits that turn one state of a case into another. Takes come before what refers to them, and go after it.
std::vector<Edit> differences(const CaseData& from, const CaseData& to);

/// Remembers; does nothing by itself. The casebook carries the edits out and then moves the stack.
class UndoStep : public QUndoCommand {
public:
    UndoStep(const QString& what, const std::vector<Edit>& edits, int gesture);
    ~UndoStep() override;

    /// The edits as one of each thing: the oldest `before` with the newest `after`, in the order of the first.
    static std::vector<Edit> merged(const std::vector<Edit>& first, const std::vector<Edit>& second);

    /// What is to be carried out to take the step back, or to do it again.
    [[nodiscard]] std::vector<Edit> edits(bool back) const;

    void redo() override {}
    void undo() override {}
    int id() const override { return m_gesture == 0 ? -1 : 1; }
    bool mergeWith(const QUndoCommand* other) override;

private:
    struct Merger; // a carry merges hundreds of times: what there is is looked up, not gone through
    std::unique_ptr<Merger> m_merger;
    int m_gesture;
};

} // namespace riflesso
