-- Full-text search over the diary. Triggers keep it in step with `entry`, whoever writes it. Prefixes that are not
-- indexed take five times as long, so every length that people type is; without positions the index stays small.
CREATE VIRTUAL TABLE entry_search USING fts5(title, note, words, content='entry', content_rowid='rowid', tokenize='unicode61 remove_diacritics 2', prefix='2 3 4 5 6 7 8', detail=none);
--> statement-breakpoint
CREATE TRIGGER entry_search_insert AFTER INSERT ON entry BEGIN
  INSERT INTO entry_search(rowid, title, note, words) VALUES (new.rowid, new.title, new.note, new.words);
END;
--> statement-breakpoint
CREATE TRIGGER entry_search_delete AFTER DELETE ON entry BEGIN
  INSERT INTO entry_search(entry_search, rowid, title, note, words) VALUES ('delete', old.rowid, old.title, old.note, old.words);
END;
--> statement-breakpoint
CREATE TRIGGER entry_search_update AFTER UPDATE ON entry BEGIN
  INSERT INTO entry_search(entry_search, rowid, title, note, words) VALUES ('delete', old.rowid, old.title, old.note, old.words);
  INSERT INTO entry_search(rowid, title, note, words) VALUES (new.rowid, new.title, new.note, new.words);
END;
