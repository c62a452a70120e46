#pragma once
/// \file
/// Sentences of the program in the reader's language. Core writes them in English, as whole sentences with places for
/// values; what shows them (the window, a report) may set a language that gives the same sentence in another one. With
/// none set the English stands as it is written, which is what the command line and every file say.
///
/// Sentences are collected by `lupdate` (see `make translations`), which reads say() and sayCount() by their literals:
/// a context, then the sentence. Values are filled in afterwards, so that a language may order them as it likes.

#include <chrono>
#include <functional>
#include <initializer_list>
#include <memory>
#include <string>
#include <string_view>

namespace riflesso {

/// How one language says things. Its functions are called from any thread.
struct Language {
    /// The sentence for \p text of \p context; \p comment tells two like ones apart (null for none); \p n chooses among
    /// forms of number, -1 where there is none. Gives \p text back where it knows no better.
    std::function<std::string(const char* context, const char* text, const char* comment, int n)> said;
    char decimal = '.';
    /// A day in short, "Mon 4 Jan"; may be empty.
    std::function<std::string(std::chrono::sys_days)> day;
};

/// From now on; null for English. May be called while others speak: each sentence is of one language.
void useLanguage(std::shared_ptr<const Language> language);
/// Null for English.
std::shared_ptr<const Language> languageInUse();

/// The sentence as the reader's language has it.
std::string say(const char* context, const char* text);
/// As say(), with the form that belongs to \p n, which stands where the sentence has "%n": \p one for exactly one.
std::string sayCount(const char* context, const char* many, const char* one, std::size_t n);
/// One of the program's words, as stand in its lists of names: a stage, a view, a landmark. Those that no list knows,
/// such as what a user called an implement, come back as they are.
std::string word(std::string_view english);
/// \p text with %1 … %9 replaced by \p values in one pass: what a value holds is never read as a place.
std::string fill(std::string_view text, std::initializer_list<std::string> values);
/// A number for the eye: the reader's decimal sign, \p digits after it. Never for what a program reads again.
std::string figure(double value, int digits);
/// The same with as few digits as tell it, at most \p significant ones: for the ticks of an axis.
std::string shortFigure(double value, int significant);

} // namespace riflesso
