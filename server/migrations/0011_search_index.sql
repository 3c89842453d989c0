-- The first versions indexed fewer lengths of words. The index is made anew, so that it is the same everywhere.
DROP TABLE entry_search;
--> statement-breakpoint
CREATE VIRTUAL TABLE entry_search USING fts5(title, note, words, content='entry', content_rowid='rowid', tokenize='unicode61 remove_diacritics 2', prefix='2 3 4 5 6 7 8', detail=none);
--> statement-breakpoint
INSERT INTO entry_search(entry_search) VALUES ('rebuild');
