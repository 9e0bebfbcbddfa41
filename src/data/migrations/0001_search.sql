-- Words of a letter or a task for the box in the bar: accents folded, no language's grammar ("simple"), since names and
-- references are looked for as often as words. Kept by the database itself, so that no way of writing can forget it.
CREATE EXTENSION IF NOT EXISTS unaccent;
--> statement-breakpoint
CREATE FUNCTION jam_words(words text) RETURNS tsvector LANGUAGE sql IMMUTABLE PARALLEL SAFE
  AS $$ SELECT to_tsvector('simple', unaccent(left(coalesce(words, ''), 100000))) $$;
--> statement-breakpoint
CREATE FUNCTION jam_letter_words() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  NEW.search := setweight(jam_words(NEW.subject), 'A') || setweight(jam_words(NEW.from_name || ' ' || NEW.from_address), 'B')
    || setweight(jam_words((SELECT string_agg(f->>'name', ' ') FROM jsonb_array_elements(NEW.files) f)), 'B')
    || setweight(jam_words(NEW.text), 'D');
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER letter_words BEFORE INSERT OR UPDATE OF subject, text ON letter FOR EACH ROW EXECUTE FUNCTION jam_letter_words();
--> statement-breakpoint
CREATE FUNCTION jam_task_words() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  NEW.search := setweight(jam_words(NEW.title), 'A') || setweight(jam_words(NEW.fruit || ' ' || NEW.number), 'A');
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER task_words BEFORE INSERT OR UPDATE OF title ON task FOR EACH ROW EXECUTE FUNCTION jam_task_words();
--> statement-breakpoint
INSERT INTO reference_counter (id, last) VALUES (1, 100);
--> statement-breakpoint
INSERT INTO intake (id, count) VALUES (1, 0);
--> statement-breakpoint
-- An act is undone while an undo of it stands that was not undone itself.
CREATE FUNCTION jam_is_undone(entry bigint) RETURNS boolean LANGUAGE plpgsql STABLE AS $$
BEGIN
  RETURN EXISTS (SELECT 1 FROM history u WHERE u.undoes = entry AND NOT jam_is_undone(u.seq));
END $$;
