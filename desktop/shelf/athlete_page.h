#pragma once
/// \file
/// One person, all techniques: what is worked on, what they share, one week of minutes, and what belongs to the person.

#include "core/technique/blueprint.h"
#include "desktop/shelf/shelf_model.h"

#include <QDialog>

#include <functional>
#include <optional>

namespace riflesso {

/// Everything comes from the cards: no case is opened. Changes are asked for by signals.
class AthletePage : public QDialog {
    Q_OBJECT
public:
    /// \p others: people this entry may be made one with.
    AthletePage(const ShelfAthlete& athlete, const std::vector<ShelfAthlete>& others,
                std::function<std::optional<Blueprint>(const std::string&)> blueprint, Day today,
                QWidget* parent = nullptr);

signals:
    void openCase(riflesso::Id caseId);
    void anotherTechnique();
    /// \p other becomes part of this athlete.
    void merge(riflesso::Id other);
    /// Deleted at once and wholly, after the list of what goes has been read.
    void eraseWholly();
    /// All that belongs to the person as one file.
    void handOver();

private:
    ShelfAthlete m_athlete;
};

} // namespace riflesso
