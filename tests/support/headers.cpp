// Nothing of its own: the tests reuse the headers that were compiled with this file.
