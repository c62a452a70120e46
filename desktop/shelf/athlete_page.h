#pragma once
/// \file
/// One person, all techniques: what is worked on, what they share, one week of minutes, and what belongs to the person.

#include "core/technique/blueprint.h"
#include "desktop/shelf/shelf_model.h"

#include <QDialog>

#include <functional>
#include <optional>

class QHBoxLayout;

namespace riflesso {

struct CardDetail;

/// Everything comes from the cards: no case is opened. Changes are asked for by signals.
class AthletePage : public QDialog {
    Q_OBJECT
public:
    /// A technique by its id, if it is known.
    using Blueprints = std::function<std::optional<Blueprint>(const std::string&)>;
    /// \p others: people this entry may be made one with.
    AthletePage(const ShelfAthlete& athlete, const std::vector<ShelfAthlete>& others, const Blueprints& blueprint,
                Day today, QWidget* parent = nullptr);

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
    /// What is worked on in a technique, what is held, what comes next.
    static QString linesOf(const ShelfCase& c, const CardDetail& detail, const std::optional<Blueprint>& b);
    /// Parts of the body that show up in the faults of two techniques and more.
    static QWidget* sharedCard(const std::vector<ShelfCase>& cases, const Blueprints& blueprint);
    static QWidget* limitsCard(const QStringList& injuries);
    /// What is done with the person as a whole.
    QHBoxLayout* bottomRow(const std::vector<ShelfAthlete>& others);
    ShelfAthlete m_athlete;
};

} // namespace riflesso
