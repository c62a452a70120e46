#include "library/bundle.h"

#include "core/words/say.h"
#include "library/bundle_table.h"

#include "files/write_file.h"
#include "library/case_json.h"

#include <nlohmann/json.hpp>

#include <QCryptographicHash>
#include <QDateTime>

#include <archive.h>
#include <archive_entry.h>

#include <algorithm>
#include <fstream>
#include <memory>
#include <set>

namespace riflesso {
namespace {

using nlohmann::json;
namespace fs = std::filesystem;

constexpr const char* kTable = "riflesso.json";
constexpr std::uintmax_t kLargestTable = 768u << 20; // bytes, of the table unpacked

struct FreeReader {
    void operator()(archive* a) const { archive_read_free(a); }
};
struct FreeWriter {
    void operator()(archive* a) const { archive_write_free(a); }
};
struct FreeEntry {
    void operator()(archive_entry* e) const { archive_entry_free(e); }
};
using Reader = std::unique_ptr<archive, FreeReader>;
using Writer = std::unique_ptr<archive, FreeWriter>;

Result<Reader> openZip(const fs::path& file) {
    std::error_code ec;
    if (!fs::is_regular_file(file, ec))
        return notTaken("this is no file that can be read", file, ErrorKind::missing);
    Reader a(archive_read_new());
    archive_read_support_format_zip_seekable(a.get());
    if (archive_read_open_filename(a.get(), file.c_str(), 1 << 16) != ARCHIVE_OK)
        return notTaken("this is no bundle", file);
    return a;
}

// An ordinary file and nothing else: no folder, no link, nothing locked.
bool ordinary(archive_entry* e) {
    return archive_entry_filetype(e) == AE_IFREG && !archive_entry_symlink(e) && !archive_entry_hardlink(e) &&
           !archive_entry_is_encrypted(e) && archive_entry_pathname(e);
}

Result<BundleTable> readTable(archive* zip, const fs::path& file) {
    archive_entry* e = nullptr;
    if (archive_read_next_header(zip, &e) != ARCHIVE_OK || !ordinary(e) ||
        std::string(archive_entry_pathname(e)) != kTable)
        return notTaken("this is no bundle", file);
    std::string text, block(1u << 16, '\0');
    while (true) {
        const auto n = archive_read_data(zip, block.data(), block.size());
        if (n == 0)
            break;
        if (n < 0)
            return notTaken("this bundle is damaged", file);
        text.append(block.data(), static_cast<std::size_t>(n));
        if (text.size() > kLargestTable)
            return notTaken("this bundle holds more than a bundle may", file);
    }
    return tableFrom(text, file);
}

// Puts bytes into an archive; false when they could not be written.
bool putPart(archive* zip, const std::string& name, std::uintmax_t bytes, bool packed,
             const std::function<bool(const std::function<bool(const char*, std::size_t)>&)>& give) {
    (void)(packed ? archive_write_zip_set_compression_deflate(zip) : archive_write_zip_set_compression_store(zip));
    const std::unique_ptr<archive_entry, FreeEntry> entry(archive_entry_new());
    archive_entry_set_pathname(entry.get(), name.c_str());
    archive_entry_set_filetype(entry.get(), AE_IFREG);
    archive_entry_set_perm(entry.get(), 0600);
    archive_entry_set_size(entry.get(), static_cast<la_int64_t>(bytes));
    if (archive_write_header(zip, entry.get()) != ARCHIVE_OK)
        return false;
    return give([&](const char* data, std::size_t n) {
        return archive_write_data(zip, data, n) == static_cast<la_ssize_t>(n);
    });
}

// Parts of a bundle laid beside the films and checked: where each is now, by its name in the bundle.
Result<std::map<std::string, fs::path>> unpack(archive* zip, const BundleTable& table,
                                               const std::set<std::string>& wanted, const fs::path& lobby,
                                               const fs::path& file, const FileProgress& progress) {
    std::map<std::string, fs::path> unpacked;
    std::uintmax_t all = 0, done = 0;
    for (const auto& name : wanted)
        all += table.parts.at(name).bytes;
    archive_entry* e = nullptr;
    int state = ARCHIVE_OK;
    while (unpacked.size() < wanted.size() && (state = archive_read_next_header(zip, &e)) == ARCHIVE_OK) {
        if (!ordinary(e))
            return notTaken(say("error", "this bundle is damaged (something in it is no ordinary file)"), file);
        const std::string name = archive_entry_pathname(e);
        if (!table.parts.contains(name) || unpacked.contains(name))
            return notTaken(say("error", "this bundle is damaged (a part that its table does not know)"), file);
        if (!wanted.contains(name))
            continue;
        const BundlePart& part = table.parts.at(name);
        const fs::path to = lobby / std::to_string(unpacked.size());
        std::ofstream out(to, std::ios::binary);
        QCryptographicHash sum(QCryptographicHash::Sha256);
        std::uintmax_t bytes = 0;
        std::string block(1u << 20, '\0');
        while (true) {
            const auto n = archive_read_data(zip, block.data(), block.size());
            if (n == 0)
                break;
            if (n < 0 || (bytes += static_cast<std::uintmax_t>(n)) > part.bytes)
                return notTaken("this bundle is damaged (" + name + ")", file);
            sum.addData({block.data(), static_cast<qsizetype>(n)});
            out.write(block.data(), n);
            done += static_cast<std::uintmax_t>(n);
            if (progress && !progress(all > 0 ? static_cast<double>(done) / static_cast<double>(all) : 1.0))
                return notTaken("taking it in was cancelled", file, ErrorKind::cancelled);
        }
        out.close();
        if (!out)
            return notTaken("its films could not be written", file, ErrorKind::full);
        if (bytes != part.bytes || sum.result().toHex().toStdString() != part.sum)
            return notTaken(fill(say("error", "this bundle is damaged (%1 has another sum)"), {name}), file);
        unpacked[name] = to;
    }
    if (unpacked.size() < wanted.size())
        return notTaken("this bundle is cut off", file);
    return unpacked;
}

// Films that are here already are used; the others come in under free names, which are noted in \p brought. By name in
// the bundle.
Result<std::map<std::string, std::string>> bringFilms(Library& library, const BundleTable& table,
                                                      const std::map<std::string, fs::path>& unpacked,
                                                      const fs::path& lobby, std::vector<std::string>& brought) {
    const auto here = library.knownFilms();
    if (!here)
        return here.error();
    std::map<std::string, std::string> films;
    std::error_code ec;
    for (const auto& [name, from] : unpacked) {
        if (const auto known = here->find(table.parts.at(name).sum); known != here->end()) {
            films[name] = known->second;
            continue;
        }
        fs::create_directories(lobby / ("as-" + from.filename().string()), ec);
        const fs::path named = lobby / ("as-" + from.filename().string()) / name.substr(6);
        fs::rename(from, named, ec);
        auto in = library.bringIn(named);
        if (!in)
            return in.error();
        fs::remove(named, ec);
        brought.push_back(*in);
        films[name] = *in;
    }
    return films;
}

// All of an arriving case under new ids.
std::vector<Edit> editsOf(Library& library, CaseData& data, const std::map<std::string, std::string>& films) {
    std::vector<Edit> edits;
    std::map<Id, Id> takes;
    for (auto& [id, take] : data.takes) {
        takes[id] = library.freshId();
        take.id = takes[id];
        if (const auto film = films.find("films/" + take.film); film != films.end())
            take.film = film->second;
        edits.push_back(TakeEdit{take.id, {}, take});
        if (const auto marks = data.marks.find(id); marks != data.marks.end())
            for (const auto& [landmark, track] : marks->second)
                for (const auto& [frame, mark] : track)
                    edits.push_back(MarkEdit{{take.id, frame, landmark}, {}, mark});
    }
    const auto all_of = [&]<typename EditType>(auto& values, const auto& change, EditType*) {
        for (auto& [id, value] : values) {
            value.id = library.freshId();
            change(value);
            edits.push_back(EditType{value.id, {}, value});
        }
    };
    const auto nothing = [](auto&) {};
    all_of(
        data.reps, [&](Rep& r) { r.take = takes.at(r.take); }, static_cast<RepEdit*>(nullptr));
    all_of(
        data.links,
        [&](Link& l) {
            l.a = takes.at(l.a);
            l.b = takes.at(l.b);
        },
        static_cast<LinkEdit*>(nullptr));
    all_of(
        data.repeats, [&](RepeatMarking& r) { r.take = takes.at(r.take); }, static_cast<RepeatEdit*>(nullptr));
    all_of(data.blocks, nothing, static_cast<BlockEdit*>(nullptr));
    std::map<Id, Id> notes;
    all_of(
        data.notes, [&](FrameNote& n) { n.take = takes.at(n.take); }, static_cast<NoteEdit*>(nullptr));
    for (const auto& [id, note] : data.notes)
        notes[id] = note.id;
    all_of(
        data.decisions, [&](FindingDecision& d) { d.note = d.note == 0 ? 0 : notes.at(d.note); },
        static_cast<DecisionEdit*>(nullptr));
    all_of(data.planned, nothing, static_cast<PlanEdit*>(nullptr));
    return edits;
}

} // namespace

Status writeBundle(Library& library, const std::vector<Id>& cases, const fs::path& file, const BundleOptions& options) {
    const auto failed = [&](std::string what, ErrorKind kind = ErrorKind::other) {
        return Error{std::move(what), file.filename().string(), "no bundle was written", {}, kind};
    };
    if (cases.empty())
        return failed("no case was chosen", ErrorKind::wrongUse);
    const auto summaries = library.cases();
    if (!summaries)
        return summaries.error();
    json athletes = json::array(), list = json::array(), blueprints = json::object(), files = json::object();
    std::set<Id> people;
    std::map<std::string, fs::path> sources; // by name in the bundle
    std::uintmax_t all = 0;
    for (const Id id : cases) {
        const auto summary =
            std::find_if(summaries->begin(), summaries->end(), [&](const CaseSummary& c) { return c.id == id; });
        if (summary == summaries->end())
            return failed(fill(say("error", "there is no case %1"), {std::to_string(id)}), ErrorKind::missing);
        auto data = library.load(id);
        if (!data)
            return data.error();
        if (people.insert(summary->athleteId).second)
            athletes.push_back({{"id", summary->athleteId}, {"body", json::parse(toJson(data->brief.athlete))}});
        if (const auto b = options.blueprints.find(data->blueprintId); b != options.blueprints.end())
            blueprints[b->first] = b->second;
        for (auto& [take, value] : data->takes) {
            const fs::path film = library.filmOf(value);
            std::error_code ec;
            const std::string name = film.filename().string();
            value.film = name; // where it lay is nobody's business elsewhere
            if (!options.films || fs::is_directory(film, ec) || !plainName("films/" + name) ||
                sources.contains("films/" + name))
                continue;
            if (!fs::is_regular_file(film, ec))
                return failed(fill(say("error", "the film %1 is not there"), {name}), ErrorKind::missing);
            sources["films/" + name] = film;
        }
        list.push_back(caseJson(*data, summary->athleteId));
        if (const fs::path still = library.folder() / "stills" / (std::to_string(id) + ".jpg"); fs::exists(still))
            sources["stills/" + std::to_string(id) + ".jpg"] = still;
    }
    for (const auto& [name, source] : sources) {
        std::error_code ec;
        const auto bytes = fs::file_size(source, ec);
        const auto sum = checksumOf(source, [&](double) { return !options.progress || options.progress(0.0); });
        if (!sum)
            return sum.error();
        files[name] = {{"bytes", bytes}, {"sha256", *sum}};
        all += bytes;
    }
    const std::string table =
        json{{"format", kBundleFormat},  {"made", QDateTime::currentDateTimeUtc().toString(Qt::ISODate).toStdString()},
             {"athletes", athletes},     {"cases", list},
             {"blueprints", blueprints}, {"files", files}}
            .dump(1, ' ', false, json::error_handler_t::replace);

    const fs::path half = halfOf(file);
    std::error_code ec;
    fs::remove(half, ec);
    Writer zip(archive_write_new());
    archive_write_set_format_zip(zip.get());
    bool ok = archive_write_open_filename(zip.get(), half.c_str()) == ARCHIVE_OK;
    ok = ok && putPart(zip.get(), kTable, table.size(), true,
                       [&](const auto& put) { return put(table.data(), table.size()); });
    std::uintmax_t done = 0;
    bool cancelled = false;
    for (auto it = sources.begin(); it != sources.end() && ok; ++it) {
        std::ifstream in(it->second, std::ios::binary);
        ok =
            in &&
            putPart(zip.get(), it->first, files[it->first]["bytes"].get<std::uintmax_t>(), false, [&](const auto& put) {
                std::string block(1u << 20, '\0');
                while (in.read(block.data(), static_cast<std::streamsize>(block.size())), in.gcount() > 0) {
                    done += static_cast<std::uintmax_t>(in.gcount());
                    if (options.progress &&
                        !options.progress(all > 0 ? static_cast<double>(done) / static_cast<double>(all) : 1.0)) {
                        cancelled = true;
                        return false;
                    }
                    if (!put(block.data(), static_cast<std::size_t>(in.gcount())))
                        return false;
                }
                return !in.bad();
            });
    }
    ok = archive_write_close(zip.get()) == ARCHIVE_OK && ok;
    zip.reset();
    Status finished = ok          ? finishHalf(file)
                      : cancelled ? Status(failed("the bundle was cancelled", ErrorKind::cancelled))
                                  : Status(failed("the bundle could not be written; is the disk full?"));
    if (!finished)
        fs::remove(half, ec);
    return finished;
}

Result<BundleContents> lookIntoBundle(Library& library, const fs::path& file) {
    auto zip = openZip(file);
    if (!zip)
        return zip.error();
    const auto table = readTable(zip->get(), file);
    if (!table)
        return table.error();
    const auto people = library.athletes();
    if (!people)
        return people.error();
    const auto films = library.knownFilms();
    if (!films)
        return films.error();
    std::map<Id, CaseData> ours; // read once, and only those that may be the same
    BundleContents out;
    out.blueprints = table->blueprints;
    for (const auto& [name, part] : table->parts)
        out.bytes += name.rfind("films/", 0) == 0 ? part.bytes : 0;
    for (std::size_t i = 0; i < table->cases.size(); ++i) {
        const CaseData& theirs = table->cases[i].second;
        BundledCase c;
        c.index = i;
        c.athlete = theirs.brief.athlete.name;
        c.blueprintId = theirs.blueprintId;
        c.takes = theirs.takes.size();
        c.reps = theirs.reps.size();
        c.newest = newestOf(theirs);
        std::set<std::string> sums;
        for (const auto& [id, take] : theirs.takes) {
            c.films += table->parts.contains("films/" + take.film);
            if (!take.checksum.empty())
                sums.insert(take.checksum);
        }
        const bool shared = std::any_of(sums.begin(), sums.end(), [&](const auto& s) { return films->contains(s); });
        for (const auto& person : *people) {
            if (person.athlete.name == c.athlete && c.sameAthlete == 0)
                c.sameAthlete = person.id;
            for (const auto& summary : person.cases) {
                if (summary.blueprintId != c.blueprintId || c.sameCase != 0 || !shared)
                    continue;
                if (!ours.contains(summary.id)) {
                    auto read = library.load(summary.id);
                    if (!read)
                        return read.error();
                    ours[summary.id] = std::move(*read);
                }
                const CaseData& mine = ours.at(summary.id);
                if (std::none_of(mine.takes.begin(), mine.takes.end(),
                                 [&](const auto& t) { return sums.contains(t.second.checksum); }))
                    continue;
                c.sameCase = summary.id;
                c.sameAthlete = person.id;
                c.identical = bare(mine) == bare(theirs);
                if (!c.identical)
                    c.difference = differenceOf(theirs, mine);
            }
        }
        out.cases.push_back(std::move(c));
    }
    return out;
}

Result<std::vector<Id>> takeInBundle(Library& library, const fs::path& file, const std::vector<BundleChoice>& arrivals,
                                     const FileProgress& progress) {
    auto zip = openZip(file);
    if (!zip)
        return zip.error();
    auto table = readTable(zip->get(), file);
    if (!table)
        return table.error();
    std::set<std::string> wanted; // parts
    for (const auto& a : arrivals) {
        if (a.index >= table->cases.size())
            return notTaken("there is no such case in the bundle", file, ErrorKind::wrongUse);
        for (const auto& [id, take] : table->cases[a.index].second.takes)
            if (table->parts.contains("films/" + take.film))
                wanted.insert("films/" + take.film);
    }
    std::uintmax_t all = 0;
    for (const auto& name : wanted)
        all += table->parts.at(name).bytes;
    std::error_code ec;
    if (const auto room = fs::space(library.folder(), ec); !ec && room.available < all)
        return notTaken("the disk has no room for its films", file, ErrorKind::full);

    // Everything is unpacked beside the films first, and checked.
    const fs::path lobby = library.media() / (".arriving-" + std::to_string(library.freshId()) + ".part");
    struct Sweep {
        fs::path folder;
        ~Sweep() {
            std::error_code e;
            fs::remove_all(folder, e);
        }
    } const sweep{lobby};
    fs::create_directories(lobby, ec);
    const auto unpacked = unpack(zip->get(), *table, wanted, lobby, file, progress);
    if (!unpacked)
        return unpacked.error();
    std::vector<std::string> brought;
    const auto undo = [&] {
        for (const auto& film : brought)
            (void)library.removeFilm(film);
    };
    const auto films = bringFilms(library, *table, *unpacked, lobby, brought);
    if (!films) {
        undo();
        return films.error();
    }
    std::vector<Id> out;
    // Everybody comes in as somebody new, who goes again when anything fails; only then two entries become one.
    std::map<std::pair<Id, Id>, Id> people; // the bundle's athlete and the wanted one: who was made
    for (const auto& a : arrivals) {
        auto& [athlete, data] = table->cases[a.index];
        const auto key = std::pair(athlete, a.athlete);
        const auto made = people.contains(key) ? library.addCase(data.blueprintId, data.brief, people.at(key))
                                               : library.addCase(data.blueprintId, data.brief);
        Status applied = made ? Status(Done{}) : Status(made.error());
        if (made) {
            if (const auto cases = library.cases())
                for (const auto& c : *cases)
                    if (c.id == *made)
                        people[key] = c.athleteId;
            out.push_back(*made);
            applied = library.apply(*made, editsOf(library, data, *films));
        }
        if (!applied) {
            for (const auto& [whose, person] : people)
                (void)library.eraseAthlete(person);
            undo();
            return applied.error();
        }
    }
    for (const auto& [whose, person] : people)
        if (whose.second != 0)
            if (const auto one = library.mergeAthletes(whose.second, person); !one)
                return one.error();
    return out;
}

} // namespace riflesso
