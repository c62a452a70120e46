// Words that stand in lists of names, for `make translations` to collect; word() looks them up. A test compares this
// with the lists.

#include "casebook/word_list.h"

#include <QtGlobal>

namespace riflesso {

std::span<const char* const> knownWords() {
    static const char* const words[] = {
        // stages
        QT_TRANSLATE_NOOP("word", "shadow"),
        QT_TRANSLATE_NOOP("word", "slow"),
        QT_TRANSLATE_NOOP("word", "constrained"),
        QT_TRANSLATE_NOOP("word", "fixed feed"),
        QT_TRANSLATE_NOOP("word", "varied feed"),
        QT_TRANSLATE_NOOP("word", "open"),
        QT_TRANSLATE_NOOP("word", "scored"),
        QT_TRANSLATE_NOOP("word", "competition"),
        // where a target comes from
        QT_TRANSLATE_NOOP("word", "model"),
        QT_TRANSLATE_NOOP("word", "literature"),
        QT_TRANSLATE_NOOP("word", "common practice"),
        QT_TRANSLATE_NOOP("word", "coach"),
        // where a point of the figure is marked
        QT_TRANSLATE_NOOP("word", "middle of the ear opening, or of the head"),
        QT_TRANSLATE_NOOP("word", "where neck and shoulders meet, in the middle"),
        QT_TRANSLATE_NOOP("word", "middle of the shoulder joint, under its bony tip"),
        QT_TRANSLATE_NOOP("word", "middle of the elbow joint"),
        QT_TRANSLATE_NOOP("word", "middle of the wrist joint"),
        QT_TRANSLATE_NOOP("word", "knuckle of the middle finger"),
        QT_TRANSLATE_NOOP("word", "tip of the thumb"),
        QT_TRANSLATE_NOOP("word", "tip of the index finger"),
        QT_TRANSLATE_NOOP("word", "tip of the little finger"),
        QT_TRANSLATE_NOOP("word", "middle of the hip joint, at the bony knob of the thigh"),
        QT_TRANSLATE_NOOP("word", "middle of the knee joint"),
        QT_TRANSLATE_NOOP("word", "middle of the ankle, at its bony knob"),
        QT_TRANSLATE_NOOP("word", "lowest point of the heel, at its back"),
        QT_TRANSLATE_NOOP("word", "tip of the foot or of the shoe"),
        QT_TRANSLATE_NOOP("word", "base of the big toe"),
        QT_TRANSLATE_NOOP("word", "base of the little toe"),
        // how a key position is found
        QT_TRANSLATE_NOOP("word", "begins"),
        QT_TRANSLATE_NOOP("word", "ends"),
        QT_TRANSLATE_NOOP("word", "leaves"),
        QT_TRANSLATE_NOOP("word", "lands"),
        QT_TRANSLATE_NOOP("word", "highest"),
        QT_TRANSLATE_NOOP("word", "lowest"),
        QT_TRANSLATE_NOOP("word", "crosses"),
        QT_TRANSLATE_NOOP("word", "strike"),
        // views
        QT_TRANSLATE_NOOP("word", "side"),
        QT_TRANSLATE_NOOP("word", "front"),
        QT_TRANSLATE_NOOP("word", "rear"),
        QT_TRANSLATE_NOOP("word", "above"),
        QT_TRANSLATE_NOOP("word", "below"),
        // directions
        QT_TRANSLATE_NOOP("word", "forward"),
        QT_TRANSLATE_NOOP("word", "up"),
        QT_TRANSLATE_NOOP("word", "across"),
        // what of a measure
        QT_TRANSLATE_NOOP("word", "length"),
        QT_TRANSLATE_NOOP("word", "straightness"),
        QT_TRANSLATE_NOOP("word", "detours"),
        QT_TRANSLATE_NOOP("word", "rate"),
        QT_TRANSLATE_NOOP("word", "speed"),
        QT_TRANSLATE_NOOP("word", "together"),
        QT_TRANSLATE_NOOP("word", "phase"),
        QT_TRANSLATE_NOOP("word", "duty"),
        QT_TRANSLATE_NOOP("word", "nearest"),
        QT_TRANSLATE_NOOP("word", "sequence"),
        QT_TRANSLATE_NOOP("word", "lag"),
        QT_TRANSLATE_NOOP("word", "shortest_lag"),
        QT_TRANSLATE_NOOP("word", "braking"),
        QT_TRANSLATE_NOOP("word", "inversions"),
        QT_TRANSLATE_NOOP("word", "count"),
        QT_TRANSLATE_NOOP("word", "first"),
        QT_TRANSLATE_NOOP("word", "feet"),
        QT_TRANSLATE_NOOP("word", "time"),
        QT_TRANSLATE_NOOP("word", "steps"),
        QT_TRANSLATE_NOOP("word", "share"),
        QT_TRANSLATE_NOOP("word", "difference"),
        QT_TRANSLATE_NOOP("word", "ratio"),
        QT_TRANSLATE_NOOP("word", "worked"),
        QT_TRANSLATE_NOOP("word", "score"),
        QT_TRANSLATE_NOOP("word", "turned"),
        QT_TRANSLATE_NOOP("word", "off"),
        // a choice that the program offers
        QT_TRANSLATE_NOOP("word", "decline it"),
        // faults that only simulated athletes have
        QT_TRANSLATE_NOOP("word", "layback drift"),
        QT_TRANSLATE_NOOP("word", "length fades"),
        QT_TRANSLATE_NOOP("word", "halting"),
        QT_TRANSLATE_NOOP("word", "low jump"),
        QT_TRANSLATE_NOOP("word", "rate fades"),
        // orders in which reps are fed
        QT_TRANSLATE_NOOP("word", "always so"),
        QT_TRANSLATE_NOOP("word", "in turn"),
        QT_TRANSLATE_NOOP("word", "mixed"),
        // segments of the body
        QT_TRANSLATE_NOOP("word", "shank"),
        QT_TRANSLATE_NOOP("word", "upper arm"),
        QT_TRANSLATE_NOOP("word", "forearm"),
        // rules of the plan
        QT_TRANSLATE_NOOP("word", "rest day"),
        QT_TRANSLATE_NOOP("word", "minutes"),
        QT_TRANSLATE_NOOP("word", "bout"),
        QT_TRANSLATE_NOOP("word", "sessions"),
        QT_TRANSLATE_NOOP("word", "gap"),
        QT_TRANSLATE_NOOP("word", "stage"),
        QT_TRANSLATE_NOOP("word", "new"),
        QT_TRANSLATE_NOOP("word", "load"),
        QT_TRANSLATE_NOOP("word", "partner"),
        QT_TRANSLATE_NOOP("word", "equipment"),
        QT_TRANSLATE_NOOP("word", "variations"),
        QT_TRANSLATE_NOOP("word", "focus"),
        QT_TRANSLATE_NOOP("word", "twice"),
        QT_TRANSLATE_NOOP("word", "ban"),
        // verdicts
        QT_TRANSLATE_NOOP("word", "inside"),
        QT_TRANSLATE_NOOP("word", "outside"),
        QT_TRANSLATE_NOOP("word", "undecided"),
        // what a coach decides
        QT_TRANSLATE_NOOP("word", "taken up"),
        QT_TRANSLATE_NOOP("word", "parked"),
        QT_TRANSLATE_NOOP("word", "not for this athlete"),
        // what became of a block
        QT_TRANSLATE_NOOP("word", "planned"),
        QT_TRANSLATE_NOOP("word", "done"),
        QT_TRANSLATE_NOOP("word", "moved"),
        QT_TRANSLATE_NOOP("word", "missed"),
        QT_TRANSLATE_NOOP("word", "dropped"),
        // tempo
        QT_TRANSLATE_NOOP("word", "each beat"),
        QT_TRANSLATE_NOOP("word", "1-2-3"),
        QT_TRANSLATE_NOOP("word", "1-2-3-4"),
        QT_TRANSLATE_NOOP("word", "long-short"),
        QT_TRANSLATE_NOOP("word", "in 2, out 1"),
        // parts of the body
        QT_TRANSLATE_NOOP("word", "head"),
        QT_TRANSLATE_NOOP("word", "neck"),
        QT_TRANSLATE_NOOP("word", "shoulder"),
        QT_TRANSLATE_NOOP("word", "elbow"),
        QT_TRANSLATE_NOOP("word", "wrist"),
        QT_TRANSLATE_NOOP("word", "hand"),
        QT_TRANSLATE_NOOP("word", "upper back"),
        QT_TRANSLATE_NOOP("word", "lower back"),
        QT_TRANSLATE_NOOP("word", "hip"),
        QT_TRANSLATE_NOOP("word", "thigh"),
        QT_TRANSLATE_NOOP("word", "knee"),
        QT_TRANSLATE_NOOP("word", "calf"),
        QT_TRANSLATE_NOOP("word", "ankle"),
        QT_TRANSLATE_NOOP("word", "foot"),
        // landmarks, without their side
        QT_TRANSLATE_NOOP("word", "heel"),
        QT_TRANSLATE_NOOP("word", "toe"),
        QT_TRANSLATE_NOOP("word", "thumb"),
        QT_TRANSLATE_NOOP("word", "index"),
        QT_TRANSLATE_NOOP("word", "little"),
        QT_TRANSLATE_NOOP("word", "big toe"),
        QT_TRANSLATE_NOOP("word", "little toe"),
        QT_TRANSLATE_NOOP("word", "ball"),
        // speeds of drills
        QT_TRANSLATE_NOOP("word", "easy"),
        QT_TRANSLATE_NOOP("word", "walking speed"),
        QT_TRANSLATE_NOOP("word", "half"),
        QT_TRANSLATE_NOOP("word", "three quarters"),
        QT_TRANSLATE_NOOP("word", "brisk"),
        QT_TRANSLATE_NOOP("word", "steady"),
        QT_TRANSLATE_NOOP("word", "full"),
        QT_TRANSLATE_NOOP("word", "race"),
        QT_TRANSLATE_NOOP("word", "steady to race"),
        // regimes
        QT_TRANSLATE_NOOP("word", "Rebuild"),
        QT_TRANSLATE_NOOP("word", "one session a week beside normal training: what is new needs room"),
        QT_TRANSLATE_NOOP("word", "Little and often"),
        QT_TRANSLATE_NOOP("word", "short bouts on most days: what is nearly owned settles by coming back to it"),
        QT_TRANSLATE_NOOP("word", "Keep"),
        QT_TRANSLATE_NOOP("word", "once in ten days: what is owned stays"),
        QT_TRANSLATE_NOOP("word", "Competition"),
        QT_TRANSLATE_NOOP("word", "attention outside; what is owned goes on and nothing is repaired"),
        // support work
        QT_TRANSLATE_NOOP("word", "Slowly, and never into pain. If it hurts, stop and ask a physiotherapist."),
        QT_TRANSLATE_NOOP("word", "Ankles: knee over toes"),
        QT_TRANSLATE_NOOP(
            "word", "One foot forward, heel down; bring the knee slowly over the toes and back. Ten each side, twice."),
        QT_TRANSLATE_NOOP("word", "Quiet steps down"),
        QT_TRANSLATE_NOOP("word", "Step down from a low step on one leg, knee over the middle of the foot, so slowly "
                                  "that nobody hears the landing. Six each side, twice."),
        QT_TRANSLATE_NOOP("word", "Hips: half kneeling"),
        QT_TRANSLATE_NOOP("word", "One knee on a cushion; push the hip of that side forward without arching the back. "
                                  "Half a minute each side, three times."),
        QT_TRANSLATE_NOOP("word", "Back: slow bridge"),
        QT_TRANSLATE_NOOP(
            "word",
            "On the back, feet near; lift the hips one breath long, stay one, come down two. Eight times, twice."),
        QT_TRANSLATE_NOOP("word", "Shoulders: wall slides"),
        QT_TRANSLATE_NOOP(
            "word",
            "Back and forearms to a wall; slide the arms up as far as they stay on it, and down again. Ten, twice."),
        QT_TRANSLATE_NOOP("word", "Forearm: slow lowering"),
        QT_TRANSLATE_NOOP(
            "word",
            "Lift a light weight with the help of the other hand, lower it alone over four counts. Eight, twice."),
        QT_TRANSLATE_NOOP("word", "One leg, eyes closed"),
        QT_TRANSLATE_NOOP("word", "Stand on one leg near a wall until the sway is small; then close the eyes. Half a "
                                  "minute each side, three times."),
        QT_TRANSLATE_NOOP("word", "Long breaths out"),
        QT_TRANSLATE_NOOP("word", "In over three counts, out over six, five minutes, sitting."),
        // where a capture rate is known from
        QT_TRANSLATE_NOOP("word", "stated by the analyst"),
        QT_TRANSLATE_NOOP("word", "a falling ball"),
        QT_TRANSLATE_NOOP("word", "a stopwatch in the picture"),
        QT_TRANSLATE_NOOP("word", "an ordinary film: as the file says"),
        QT_TRANSLATE_NOOP("word", "the camera's own clock"),
    };
    return words;
}

} // namespace riflesso
