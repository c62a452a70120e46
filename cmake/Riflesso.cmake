# The two functions every CMakeLists of the project uses.

# riflesso_room(<target> SOURCES ... [LINKS ...] [QT])
# A static library for one room, with the product's warnings as errors. QT switches moc on.
function(riflesso_room target)
  cmake_parse_arguments(ROOM "QT" "" "SOURCES;LINKS" ${ARGN})
  add_library(${target} STATIC ${ROOM_SOURCES})
  target_include_directories(${target} PUBLIC ${PROJECT_SOURCE_DIR})
  target_link_libraries(${target} PUBLIC ${ROOM_LINKS} PRIVATE riflesso_warnings)
  # Half of a source's time goes into these headers.
  target_precompile_headers(${target} PRIVATE <map> <optional> <string> <variant> <vector> <Eigen/Dense>)
  if(ROOM_QT)
    set_target_properties(${target} PROPERTIES AUTOMOC ON)
  endif()
endfunction()

# What all tests of one kind read first, read once: test_headers without the window's classes, test_window_headers with.
function(riflesso_test_headers name)
  cmake_parse_arguments(H "" "" "LINKS;HEADERS" ${ARGN})
  add_library(${name} OBJECT ${PROJECT_SOURCE_DIR}/tests/support/headers.cpp)
  set_target_properties(${name} PROPERTIES UNITY_BUILD OFF)
  target_link_libraries(${name} PRIVATE ${H_LINKS} Eigen3::Eigen Qt6::Core Qt6::Test riflesso_warnings)
  target_compile_options(${name} PRIVATE $<$<CONFIG:Release>:-O1> -Wno-maybe-uninitialized)
  target_precompile_headers(${name} PRIVATE <map> <optional> <string> <variant> <vector> <Eigen/Dense> <QTest> ${H_HEADERS})
endfunction()

# riflesso_test(<name> SOURCE file.cpp [LINKS ...] [LABELS ...] [FILMS] [ENVIRONMENT ...] [PARTS ...])
# One Qt Test executable per tested header. FILMS: the test needs the demo library to have been made. PARTS: functions
# of a long test that are run as tests of their own, so that two can run beside one another; the first has its name, and
# functions with commas between stay together.
function(riflesso_test name)
  cmake_parse_arguments(T "FILMS" "SOURCE" "LINKS;LABELS;ENVIRONMENT;PARTS" ${ARGN})
  add_executable(${name} ${T_SOURCE})
  set_target_properties(${name} PROPERTIES AUTOMOC ON UNITY_BUILD OFF RUNTIME_OUTPUT_DIRECTORY ${PROJECT_BINARY_DIR}/tests)
  target_include_directories(${name} PRIVATE ${PROJECT_SOURCE_DIR})
  target_link_libraries(${name} PRIVATE ${T_LINKS} Qt6::Test riflesso_warnings)
  # Tests need not be quick; -O1 builds them in half the time. g++ 12 raises a false alarm on variants of optionals.
  target_compile_options(${name} PRIVATE $<$<CONFIG:Release>:-O1> -Wno-maybe-uninitialized)
  if(T_LINKS MATCHES "desktop|casebook" AND RIFLESSO_SANITIZE STREQUAL "thread")
    target_sources(${name} PRIVATE ${PROJECT_SOURCE_DIR}/tests/support/arrivals.cpp)
    target_link_libraries(${name} PRIVATE Qt6::Concurrent opencv_core)
  endif()
  if("desktop" IN_LIST T_LINKS)
    target_precompile_headers(${name} REUSE_FROM test_window_headers)
  elseif(T_LINKS MATCHES "^core")
    target_precompile_headers(${name} REUSE_FROM test_headers)
  endif()
  target_compile_definitions(${name} PRIVATE
    RIFLESSO_SOURCE_DIR="${PROJECT_SOURCE_DIR}"
    RIFLESSO_BIN_DIR="${PROJECT_BINARY_DIR}/bin"
    RIFLESSO_DEMO_DIR="${PROJECT_BINARY_DIR}/demo-library"
    RIFLESSO_SCRATCH_DIR="${PROJECT_BINARY_DIR}/tests")
  list(POP_FRONT T_PARTS first)
  string(REPLACE "," ";" functions "${first}")
  add_test(NAME ${name} COMMAND ${name} ${functions})
  set(tests ${name})
  foreach(part ${T_PARTS})
    string(REPLACE "," ";" functions "${part}")
    list(GET functions 0 called)
    add_test(NAME ${name}_${called} COMMAND ${name} ${functions})
    list(APPEND tests ${name}_${called})
  endforeach()
  set_tests_properties(${tests} PROPERTIES TIMEOUT 1800
    ENVIRONMENT "QT_QPA_PLATFORM=offscreen;QTEST_FUNCTION_TIMEOUT=1790000;${T_ENVIRONMENT}" LABELS "${T_LABELS}")
  if(T_FILMS)
    set_tests_properties(${tests} PROPERTIES FIXTURES_REQUIRED demo_films)
  endif()
  # Once more where numbers are written with a comma and the day begins fourteen hours earlier.
  if(T_LABELS MATCHES "^(core|files|library|cli)$")
    add_test(NAME ${name}_german COMMAND ${name})
    set_tests_properties(${name}_german PROPERTIES TIMEOUT 1800 LABELS "${T_LABELS};german"
      ENVIRONMENT "QT_QPA_PLATFORM=offscreen;QTEST_FUNCTION_TIMEOUT=1790000;LC_ALL=de_DE.UTF-8;TZ=Etc/GMT-14;${T_ENVIRONMENT}")
    if(T_FILMS)
      set_tests_properties(${name}_german PROPERTIES FIXTURES_REQUIRED demo_films)
    endif()
  endif()
endfunction()
