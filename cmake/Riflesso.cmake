# The two functions every CMakeLists of the project uses.

# riflesso_room(<target> SOURCES ... [LINKS ...] [QT])
# A static library for one room, with the product's warnings as errors. QT switches moc on.
function(riflesso_room target)
  cmake_parse_arguments(ROOM "QT" "" "SOURCES;LINKS" ${ARGN})
  add_library(${target} STATIC ${ROOM_SOURCES})
  target_include_directories(${target} PUBLIC ${PROJECT_SOURCE_DIR})
  target_link_libraries(${target} PUBLIC ${ROOM_LINKS} PRIVATE riflesso_warnings)
  if(ROOM_QT)
    set_target_properties(${target} PROPERTIES AUTOMOC ON)
  endif()
endfunction()

# riflesso_test(<name> SOURCE file.cpp [LINKS ...] [LABELS ...] [FILMS] [ENVIRONMENT ...])
# One Qt Test executable per tested header. FILMS: the test needs the demo library to have been made.
function(riflesso_test name)
  cmake_parse_arguments(T "FILMS" "SOURCE" "LINKS;LABELS;ENVIRONMENT" ${ARGN})
  add_executable(${name} ${T_SOURCE})
  set_target_properties(${name} PROPERTIES AUTOMOC ON RUNTIME_OUTPUT_DIRECTORY ${PROJECT_BINARY_DIR}/tests)
  target_include_directories(${name} PRIVATE ${PROJECT_SOURCE_DIR})
  target_link_libraries(${name} PRIVATE ${T_LINKS} Qt6::Test riflesso_warnings)
  # Tests need not be quick; -O1 builds them in half the time. g++ 12 raises a false alarm on variants of optionals.
  target_compile_options(${name} PRIVATE $<$<CONFIG:Release>:-O1> -Wno-maybe-uninitialized)
  target_compile_definitions(${name} PRIVATE
    RIFLESSO_SOURCE_DIR="${PROJECT_SOURCE_DIR}"
    RIFLESSO_BIN_DIR="${PROJECT_BINARY_DIR}/bin"
    RIFLESSO_DEMO_DIR="${PROJECT_BINARY_DIR}/demo-library"
    RIFLESSO_SCRATCH_DIR="${PROJECT_BINARY_DIR}/tests")
  add_test(NAME ${name} COMMAND ${name})
  set_tests_properties(${name} PROPERTIES TIMEOUT 600
    ENVIRONMENT "QT_QPA_PLATFORM=offscreen;QTEST_FUNCTION_TIMEOUT=590000;${T_ENVIRONMENT}" LABELS "${T_LABELS}")
  if(T_FILMS)
    set_tests_properties(${name} PROPERTIES FIXTURES_REQUIRED demo_films)
  endif()
endfunction()
