# Packages as locked; nothing where they are in place already. To be sourced: what is compiled here (SQLite, minutes on
# one core) can be left to go on beside what does not need it.
placed() { [ -f node_modules/.installed ] && [ ! package-lock.json -nt node_modules/.installed ]; }
packages() { placed || npm ci --ignore-scripts --no-audit --no-fund --loglevel=error; }
# Half as much for the compiler to think about: one shop's database asks for no more, and it is there a minute sooner.
compiled() { placed || { CFLAGS=-O1 CXXFLAGS=-O1 npm rebuild --loglevel=error && touch node_modules/.installed; }; }
