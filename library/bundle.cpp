#include "library/bundle.h"

#include "files/write_file.h"
#include "library/case_json.h"

#include <nlohmann/json.hpp>

#include <QCryptographicHash>
#include <QDateTime>

#include <archive.h>
#include <archive_entry.h>

#include <algorithm>
#include <cmath>
#include <fstream>
#include <memory>
#include <set>
#include <type_traits>

namespace riflesso {
namespace {

using nlohmann::json;
namespace fs = std::filesystem;

constexpr int kFormat = 1;
constexpr const char* kTable = "riflesso.json";
constexpr std::uintmax_t kLargestTable = 768u << 20;               // bytes, of the table unpacked
constexpr std::uintmax_t kLargestPart = std::uintmax_t(256) << 30; // bytes, of a film
constexpr std::size_t kMostParts = 20000, kMostCases = 5000;

Error notTaken(std::string what, const fs::path& file, ErrorKind kind = ErrorKind::damaged) {
    return {std::move(what), file.filename().string(), "nothing was taken in", {}, kind};
}

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

// ---- values ----

json marksJson(const TrackSet& tracks) {
    json out = json::object();
    for (const auto& [name, track] : tracks) {
        json marks = json::array();
        for (const auto& [frame, m] : track)
            marks.push_back({frame.value, m.at.x, m.at.y, m.sigma, static_cast<int>(m.how)});
        out[name] = std::move(marks);
    }
    return out;
}

TrackSet marksFrom(const json& j) {
    TrackSet out;
    for (const auto& [name, marks] : j.items())
        for (const auto& m : marks) {
            const int how = m.at(4).get<int>(), frame = m.at(0).get<int>();
            const Mark mark{
                {m.at(1).get<double>(), m.at(2).get<double>()}, m.at(3).get<double>(), static_cast<How>(how)};
            if (how < 0 || how >= static_cast<int>(kHowNames.size()) || frame < 0 || !std::isfinite(mark.at.x) ||
                !std::isfinite(mark.at.y) || !(mark.sigma > 0.0))
                throw std::out_of_range("a mark that cannot be");
            out[name][FrameIndex(frame)] = mark;
        }
    return out;
}

template <typename T> json bodies(const std::map<Id, T>& values) {
    json out = json::array();
    for (const auto& [id, value] : values) {
        out.push_back({{"id", id}, {"body", json::parse(toJson(value))}});
        if constexpr (std::is_same_v<T, Rep>) // whose take stands in a column of its own
            out.back()["take"] = value.take;
    }
    return out;
}

json caseJson(const CaseData& data, Id athlete) {
    json takes = json::array();
    for (const auto& [id, take] : data.takes) {
        const auto marks = data.marks.find(id);
        takes.push_back({{"id", id},
                         {"body", json::parse(toJson(take))},
                         {"times", take.times},
                         {"marks", marks == data.marks.end() ? json::object() : marksJson(marks->second)}});
    }
    return {{"id", data.id},
            {"athlete", athlete},
            {"blueprint", data.blueprintId},
            {"brief", json::parse(toJson(data.brief))},
            {"takes", takes},
            {"reps", bodies(data.reps)},
            {"links", bodies(data.links)},
            {"repeats", bodies(data.repeats)},
            {"blocks", bodies(data.blocks)},
            {"decisions", bodies(data.decisions)},
            {"plan", bodies(data.planned)},
            {"notes", bodies(data.notes)}};
}

template <typename T> T known(Result<T> r) {
    if (!r)
        throw std::runtime_error(r.error().text());
    return std::move(*r);
}

template <typename T> void read(const json& list, std::map<Id, T>& to, Result<T> (*parse)(const std::string&)) {
    for (const auto& one : list) {
        const Id id = one.at("id").get<Id>();
        T value = known(parse(one.at("body").dump()));
        value.id = id;
        if constexpr (std::is_same_v<T, Rep>)
            value.take = one.at("take").get<Id>();
        if (id <= 0 || !to.emplace(id, std::move(value)).second)
            throw std::out_of_range("two things of one number");
    }
}

// Throws what json throws, and std exceptions with words for what cannot be.
CaseData caseFrom(const json& j) {
    CaseData out;
    out.id = j.at("id").get<Id>();
    out.blueprintId = j.at("blueprint").get<std::string>();
    out.brief = known(briefFromJson(j.at("brief").dump()));
    for (const auto& t : j.at("takes")) {
        const Id id = t.at("id").get<Id>();
        Take take = known(takeFromJson(t.at("body").dump()));
        take.id = id;
        take.times = t.at("times").get<std::vector<double>>();
        if (id <= 0 || !out.takes.emplace(id, std::move(take)).second)
            throw std::out_of_range("two takes of one number");
        if (auto marks = marksFrom(t.at("marks")); !marks.empty())
            out.marks[id] = std::move(marks);
    }
    read(j.at("reps"), out.reps, repFromJson);
    read(j.at("links"), out.links, linkFromJson);
    read(j.at("repeats"), out.repeats, repeatFromJson);
    read(j.at("blocks"), out.blocks, blockFromJson);
    read(j.at("decisions"), out.decisions, decisionFromJson);
    read(j.at("plan"), out.planned, plannedFromJson);
    if (j.contains("notes")) // bundles of before had none
        read(j.at("notes"), out.notes, noteFromJson);
    const auto take = [&](Id id) {
        if (!out.takes.contains(id))
            throw std::out_of_range("a take that is not there");
    };
    for (const auto& [id, rep] : out.reps)
        take(rep.take);
    for (const auto& [id, repeat] : out.repeats)
        take(repeat.take);
    for (const auto& [id, note] : out.notes)
        take(note.take);
    for (const auto& [id, decision] : out.decisions)
        if (decision.note != 0 && !out.notes.contains(decision.note))
            throw std::out_of_range("a note that is not there");
    for (const auto& [id, link] : out.links) {
        take(link.a);
        take(link.b);
    }
    return out;
}

// A case without what differs between libraries: numbers, and where films lie.
CaseData bare(const CaseData& data) {
    CaseData out;
    out.blueprintId = data.blueprintId;
    out.brief = data.brief;
    out.brief.athlete = {};
    std::map<Id, Id> takes;
    for (const auto& [id, take] : data.takes) {
        const Id number = static_cast<Id>(takes.size()) + 1;
        takes[id] = number;
        Take t = take;
        t.id = number;
        t.film.clear();
        out.takes[number] = std::move(t);
        if (const auto marks = data.marks.find(id); marks != data.marks.end())
            out.marks[number] = marks->second;
    }
    const auto each = [](const auto& from, auto& to, const auto& change) {
        for (const auto& [id, value] : from) {
            auto v = value;
            v.id = static_cast<Id>(to.size()) + 1;
            change(v);
            to[v.id] = std::move(v);
        }
    };
    each(data.reps, out.reps, [&](Rep& r) { r.take = takes.at(r.take); });
    each(data.links, out.links, [&](Link& l) {
        l.a = takes.at(l.a);
        l.b = takes.at(l.b);
    });
    each(data.repeats, out.repeats, [&](RepeatMarking& r) { r.take = takes.at(r.take); });
    each(data.blocks, out.blocks, [](Block&) {});
    std::map<Id, Id> notes;
    for (const auto& [id, note] : data.notes) {
        notes[id] = static_cast<Id>(notes.size()) + 1;
        auto n = note;
        n.id = notes[id];
        n.take = takes.at(n.take);
        out.notes[n.id] = std::move(n);
    }
    each(data.decisions, out.decisions, [&](FindingDecision& d) { d.note = d.note == 0 ? 0 : notes.at(d.note); });
    each(data.planned, out.planned, [](PlannedBlock&) {});
    return out;
}

std::string newestOf(const CaseData& data) {
    std::string newest;
    for (const auto& [id, take] : data.takes)
        if (take.performer == Performer::athlete)
            newest = std::max(newest, isoDate(take.day));
    return newest;
}

std::size_t marksIn(const CaseData& data) {
    std::size_t n = 0;
    for (const auto& [take, tracks] : data.marks)
        for (const auto& [name, track] : tracks)
            n += track.size();
    return n;
}

std::string differenceOf(const CaseData& theirs, const CaseData& ours) {
    std::string out;
    const auto more = [&](const char* what, std::size_t a, std::size_t b) {
        if (a != b)
            out += (out.empty() ? "" : ", ") + std::to_string(a) + " " + what + " in the file, " + std::to_string(b) +
                   " here";
    };
    more("takes", theirs.takes.size(), ours.takes.size());
    more("reps", theirs.reps.size(), ours.reps.size());
    more("marks", marksIn(theirs), marksIn(ours));
    more("blocks of practice", theirs.blocks.size(), ours.blocks.size());
    more("decisions", theirs.decisions.size(), ours.decisions.size());
    more("notes on frames", theirs.notes.size(), ours.notes.size());
    const std::string a = newestOf(theirs), b = newestOf(ours);
    if (a != b)
        out += (out.empty() ? "" : ", ") + std::string(a > b ? "newer films in the file" : "newer films here");
    return out.empty() ? "as much on both sides, and not the same" : out;
}

// ---- the zip ----

struct Part {
    std::uintmax_t bytes = 0;
    std::string sum;
};

struct Table {
    std::map<Id, Athlete> athletes;
    std::vector<std::pair<Id, CaseData>> cases; ///< with the bundle's athlete
    std::map<std::string, std::string> blueprints;
    std::map<std::string, Part> parts;
};

// Films and voices by plain names within one folder: nothing that could lead anywhere else.
bool plainName(const std::string& name) {
    const auto slash = name.find('/');
    if (slash == std::string::npos || name.find('/', slash + 1) != std::string::npos)
        return false;
    const std::string folder = name.substr(0, slash), file = name.substr(slash + 1);
    return (folder == "films" || folder == "stills") && !file.empty() && file.size() < 250 && file[0] != '.' &&
           file.find_first_of("\\:*?\"<>|") == std::string::npos &&
           std::none_of(file.begin(), file.end(), [](unsigned char c) { return c < 32; });
}

Result<Table> tableFrom(const std::string& text, const fs::path& file) {
    try {
        const json all = json::parse(text);
        if (const int format = all.at("format").get<int>(); format != kFormat)
            return notTaken(format > kFormat ? "this bundle is of a newer program" : "this is no bundle", file,
                            format > kFormat ? ErrorKind::newer : ErrorKind::damaged);
        Table out;
        for (const auto& a : all.at("athletes"))
            out.athletes[a.at("id").get<Id>()] = known(athleteFromJson(a.at("body").dump()));
        if (all.at("cases").size() > kMostCases || all.at("files").size() > kMostParts)
            return notTaken("this bundle holds more than a bundle may", file);
        for (const auto& c : all.at("cases")) {
            const Id athlete = c.at("athlete").get<Id>();
            if (!out.athletes.contains(athlete))
                return notTaken("this bundle is damaged (a case of nobody)", file);
            out.cases.emplace_back(athlete, caseFrom(c));
            out.cases.back().second.brief.athlete = out.athletes.at(athlete);
        }
        for (const auto& [id, blueprint] : all.at("blueprints").items())
            out.blueprints[id] = blueprint.get<std::string>();
        for (const auto& [name, part] : all.at("files").items()) {
            Part p{part.at("bytes").get<std::uintmax_t>(), part.at("sha256").get<std::string>()};
            if (!plainName(name) || p.bytes > kLargestPart || p.sum.size() != 64)
                return notTaken("this bundle is damaged (a part called " + name.substr(0, 60) + ")", file);
            out.parts[name] = std::move(p);
        }
        return out;
    } catch (const std::exception& e) {
        return notTaken(std::string("this bundle is damaged (") + e.what() + ")", file);
    }
}

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

Result<Table> readTable(archive* zip, const fs::path& file) {
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
            return failed("there is no case " + std::to_string(id), ErrorKind::missing);
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
                return failed("the film " + name + " is not there", ErrorKind::missing);
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
        json{{"format", kFormat},        {"made", QDateTime::currentDateTimeUtc().toString(Qt::ISODate).toStdString()},
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
    std::uintmax_t all = 0, done = 0;
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
    std::map<std::string, fs::path> unpacked;
    archive_entry* e = nullptr;
    int state = ARCHIVE_OK;
    while (unpacked.size() < wanted.size() && (state = archive_read_next_header(zip->get(), &e)) == ARCHIVE_OK) {
        if (!ordinary(e))
            return notTaken("this bundle is damaged (something in it is no ordinary file)", file);
        const std::string name = archive_entry_pathname(e);
        if (!table->parts.contains(name) || unpacked.contains(name))
            return notTaken("this bundle is damaged (a part that its table does not know)", file);
        if (!wanted.contains(name))
            continue;
        const Part& part = table->parts.at(name);
        const fs::path to = lobby / std::to_string(unpacked.size());
        std::ofstream out(to, std::ios::binary);
        QCryptographicHash sum(QCryptographicHash::Sha256);
        std::uintmax_t bytes = 0;
        std::string block(1u << 20, '\0');
        while (true) {
            const auto n = archive_read_data(zip->get(), block.data(), block.size());
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
            return notTaken("this bundle is damaged (" + name + " has another sum)", file);
        unpacked[name] = to;
    }
    if (unpacked.size() < wanted.size())
        return notTaken("this bundle is cut off", file);

    // Films that are here already are used; the others come in under free names.
    const auto here = library.knownFilms();
    if (!here)
        return here.error();
    std::vector<std::string> brought;
    const auto undo = [&] {
        for (const auto& film : brought)
            (void)library.removeFilm(film);
    };
    std::map<std::string, std::string> films; // by name in the bundle
    for (const auto& [name, from] : unpacked) {
        if (const auto known = here->find(table->parts.at(name).sum); known != here->end()) {
            films[name] = known->second;
            continue;
        }
        fs::create_directories(lobby / ("as-" + from.filename().string()), ec);
        const fs::path named = lobby / ("as-" + from.filename().string()) / name.substr(6);
        fs::rename(from, named, ec);
        auto in = library.bringIn(named);
        if (!in) {
            undo();
            return in.error();
        }
        fs::remove(named, ec);
        brought.push_back(*in);
        films[name] = *in;
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
            applied = library.apply(*made, edits);
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
