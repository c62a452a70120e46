# Makes the demo library afresh: tests change copies of it, never the library itself.
file(REMOVE_RECURSE ${DEMO})
execute_process(COMMAND ${CLI} demo ${DEMO} --first-only --films ${FILMS} --today 2026-11-23 RESULT_VARIABLE result)
if(NOT result EQUAL 0)
  message(FATAL_ERROR "the demo library could not be made")
endif()
