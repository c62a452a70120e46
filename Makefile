# The front door. Everything a reader needs: make demo, make test.
SHELL := /bin/bash
BUILD := build/release
JOBS  := $(shell nproc)
DEMO  := build/demo-library
FILMS := build/demo-films
# Without those that draw for minutes by themselves; valgrind makes them thirty times as long.
VALGRIND_TESTS := test_distributions test_say test_numbers test_summary test_series test_units test_landmark test_timebase \
  test_smoothing test_motion test_calibration test_sync test_rep_watch test_body_schema test_proxy test_draft \
  test_position_finder test_rep_cutter test_difference test_attention test_reliability test_rate_check test_definition \
  test_evaluate test_twist test_views test_shared_errors test_question test_extreme test_times test_blueprint \
  test_decision test_reference test_registration test_film_lock test_exposures test_judge test_calendar test_support \
  test_own_drill test_trend test_squad

.PHONY: translations kills package check-package valgrind soak help demo test check-long build packages test-packages configure bench format lint asan tsan fuzz fuzz-long clean

help:
	@echo "make demo    build, make the demo library, start the program with it"
	@echo "make test    build and run all tests"
	@echo "make check-long   the statistics with the whole of their draws, half an hour"
	@echo "make build   the release build, programs in $(BUILD)/bin/"
	@echo "make bench   speed figures as ratios;  make package  a .deb of both programs"
	@echo "make check-package   the package in a fresh system (root);  make valgrind   core's tests under valgrind;  make soak   an hour through the window;  make kills   a thousand kills"
	@echo "make translations   collect what is to be translated into desktop/languages"
	@echo "make format  clang-format on all sources;  make lint  clang-tidy on core/"
	@echo "make asan    tests under address sanitizer;  make tsan  under thread sanitizer"
	@echo "make fuzz    every reader given damaged files for a minute each;  make fuzz-long  100,000 of them each"

# Installs what running and building need and is missing, and says so first.
packages:
	@bash packaging/install-missing.sh packaging/debian-packages.txt packaging/debian-build-packages.txt

# What tests and the bench need besides.
test-packages: packages
	@bash packaging/install-missing.sh packaging/debian-test-packages.txt
	@bash packaging/make-locale.sh

configure: packages
	@bash finder/models/fetch.sh --missing
	@mkdir -p build && { cmake --preset release > build/configure.log 2>&1 || { cat build/configure.log; exit 1; }; }

build: configure test-packages
	@cmake --build --preset release -j $(JOBS)

demo: configure
	@echo "Building the two programs (first time: about twelve minutes on two cores), then filming the demo (two to three minutes)."
	@cmake --build --preset release -j $(JOBS) --target riflesso riflesso-cli
	@if [ ! -f $(DEMO)/library.sqlite ]; then $(BUILD)/bin/riflesso-cli demo $(DEMO) --first-only --films $(FILMS); fi
	@if [ -n "$$DISPLAY$$WAYLAND_DISPLAY" ]; then \
	  $(BUILD)/bin/riflesso-cli demo $(DEMO) --rest --films $(FILMS) > build/demo-rest.log 2>&1 & \
	  $(BUILD)/bin/riflesso --library $(DEMO); \
	else \
	  echo "There is no display here: the same program runs off screen and writes one picture a workspace to build/demo-pictures."; \
	  $(BUILD)/bin/riflesso --library $(DEMO) --walk build/demo-pictures && ls build/demo-pictures/*.png; \
	fi

test: build
	@cd $(BUILD) && ctest --output-on-failure -j $(JOBS)

# A Debian package in build/release, with its dependencies worked out by dpkg-shlibdeps.
package: build
	@cd $(BUILD) && cpack -G DEB > cpack.log 2>&1 || { cat cpack.log; exit 1; }; ls $(CURDIR)/$(BUILD)/*.deb | xargs -n1 basename

# The package in a fresh system: installed with what it needs, started, removed. As root.
check-package: package
	@bash packaging/install-missing.sh packaging/debian-package-check.txt
	@bash packaging/check-package.sh $$(ls -t $(BUILD)/*.deb | head -n 1)

# An hour of a scripted analyst through the window: memory and pace stay level. Then an hour more while another program
# writes into the same library.
SOAK_SECONDS := 3600
soak: build
	@cd $(BUILD) && QT_QPA_PLATFORM=offscreen RIFLESSO_SOAK=$(SOAK_SECONDS) QTEST_FUNCTION_TIMEOUT=86400000 ./tests/test_soak

# A thousand kills in the midst of marking, practice, speaking and writing: about three quarters of an hour.
kills: build
	@cd $(BUILD) && QT_QPA_PLATFORM=offscreen RIFLESSO_KILLS=250 QTEST_FUNCTION_TIMEOUT=86400000 ./tests/test_killed

# Core's tests under valgrind: no error, nothing lost. About a quarter of an hour.
valgrind: test-packages
	@bash packaging/install-missing.sh packaging/debian-package-check.txt
	@cd $(BUILD) && for t in $(VALGRIND_TESTS); do \
	  echo "$$t"; QTEST_FUNCTION_TIMEOUT=3600000 valgrind -q --error-exitcode=9 --leak-check=full --errors-for-leak-kinds=definite \
	    --suppressions=$(CURDIR)/packaging/valgrind.supp ./tests/$$t > valgrind-$$t.log 2>&1 || { cat valgrind-$$t.log; exit 1; }; done

bench: build
	@$(BUILD)/bin/riflesso-bench

format:
	@git ls-files '*.cpp' '*.h' | xargs clang-format -i

# Collects what the window and the sentences of core are to say; what is new stands unfinished in desktop/languages.
CATALOGUES := $(wildcard desktop/languages/*.ts)
LUPDATE := $(firstword $(wildcard /usr/lib/qt6/bin/lupdate) lupdate)
translations:
	@$(LUPDATE) -silent -no-obsolete -locations none -I. -tr-function-alias translate+=say -tr-function-alias translate+=sayCount \
	  -tr-function-alias translate+=says \
	  desktop core casebook handover reading files library footage intake finder demo -ts $(CATALOGUES)

lint: build
	@git ls-files 'core/*.cpp' | xargs clang-tidy -p $(BUILD) --quiet --extra-arg=-Wno-unknown-warning-option

asan: test-packages
	@cmake --preset $@ > /dev/null && cmake --build --preset $@ -j $(JOBS) && cd build/$@ && ctest --output-on-failure -LE slow
# What Debian's libraries do among themselves is left out; where they carry our work over threads is said in
# tests/support/arrivals.cpp.
tsan: export TSAN_OPTIONS = ignore_noninstrumented_modules=1 die_after_fork=0 history_size=7 suppressions=$(CURDIR)/packaging/tsan.supp
tsan: test-packages
	@cmake --preset $@ > /dev/null && cmake --build --preset $@ -j $(JOBS) && cd build/$@ && ctest --output-on-failure -LE slow

# Statistics over simulated athletes with the whole of their draws: about half an hour on two cores. The suite takes a
# part of each.
check-long: build
	@cd $(BUILD) && RIFLESSO_LONG=1 ctest --output-on-failure -j $(JOBS) -R '^(make_demo_films|test_athletes|test_every_kind|test_drafting)$$'

# Damaged files into every reader, under address and undefined-behaviour sanitizers. What breaks one is left in build/fuzz.
FUZZ_SECONDS := 55
FUZZ_RUNS    := -1
fuzz: test-packages
	@bash packaging/install-missing.sh packaging/debian-fuzz-packages.txt
	@cmake --preset fuzz > build/fuzz-configure.log 2>&1 || { cat build/fuzz-configure.log; exit 1; }
	@cmake --build --preset fuzz -j $(JOBS)
	@bash tests/fuzz/run.sh build/fuzz $(FUZZ_SECONDS) $(FUZZ_RUNS)
fuzz-long:
	@$(MAKE) fuzz FUZZ_SECONDS=3600 FUZZ_RUNS=100000

clean:
	rm -rf build
