#include "library/case_data.h"

namespace riflesso {

void applyTo(CaseData& data, const Edit& edit) {
    const auto put = [](auto& map, const auto& e) {
        if (e.after)
            map[e.key] = *e.after;
        else
            map.erase(e.key);
    };
    struct Visitor {
        CaseData& d;
        decltype(put)& p;
        void operator()(const BriefEdit& e) const {
            if (e.after)
                d.brief = *e.after;
        }
        void operator()(const TakeEdit& e) const { p(d.takes, e); }
        void operator()(const RepEdit& e) const { p(d.reps, e); }
        void operator()(const BlockEdit& e) const { p(d.blocks, e); }
        void operator()(const LinkEdit& e) const { p(d.links, e); }
        void operator()(const RepeatEdit& e) const { p(d.repeats, e); }
        void operator()(const DecisionEdit& e) const { p(d.decisions, e); }
        void operator()(const PlanEdit& e) const { p(d.planned, e); }
        void operator()(const NoteEdit& e) const { p(d.notes, e); }
        void operator()(const MarkEdit& e) const {
            auto& tracks = d.marks[e.key.take];
            auto& track = tracks[e.key.landmark];
            if (e.after)
                track[e.key.frame] = *e.after;
            else
                track.erase(e.key.frame);
            if (track.empty())
                tracks.erase(e.key.landmark);
            if (tracks.empty())
                d.marks.erase(e.key.take);
        }
    };
    std::visit(Visitor{data, put}, edit);
}

Edit reversed(const Edit& edit) {
    return std::visit(
        [](auto e) -> Edit {
            std::swap(e.before, e.after);
            return e;
        },
        edit);
}

} // namespace riflesso
