-- What a photo shows may be said later than it is taken, and put right.
GRANT UPDATE (caption) ON photos TO meridex_app;
