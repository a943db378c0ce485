-- Makes the large workspace out of the demo: 50 devices, one of them ('Wren') with 30 builds, about 400 trials,
-- 20,000 runs (5,000 on its last build), 60,000 readings, 2,000 failures, 1,000 photos. For measuring only.
SET client_min_messages = warning;

-- What becomes what in the copy that is being made; whatever is not listed stays as it is.
CREATE TEMP TABLE moved (old UUID PRIMARY KEY, new UUID NOT NULL);
-- How often each run is copied; looked up by the row that is being made.
CREATE TEMP TABLE copies (id UUID PRIMARY KEY, times INT NOT NULL);

-- An identifier made of a word, with the marks that addresses are held against.
CREATE FUNCTION pg_temp.made(word TEXT) RETURNS UUID LANGUAGE sql IMMUTABLE AS
	$$ SELECT overlay(overlay(md5(word) PLACING '7' FROM 13) PLACING 'a' FROM 17)::uuid $$;

CREATE FUNCTION pg_temp.moved_id(was UUID) RETURNS UUID LANGUAGE sql STABLE AS
	$$ SELECT coalesce((SELECT new FROM moved WHERE old = was), was) $$;

CREATE FUNCTION pg_temp.moved_text(was TEXT) RETURNS TEXT LANGUAGE plpgsql STABLE AS $$
DECLARE one TEXT;
BEGIN
	FOR one IN SELECT DISTINCT m[1] FROM regexp_matches(was, '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}', 'g') m LOOP
		was := replace(was, one, pg_temp.moved_id(one::uuid)::text);
	END LOOP;
	RETURN was;
END $$;

CREATE FUNCTION pg_temp.marked(hash TEXT, mark TEXT) RETURNS TEXT LANGUAGE sql IMMUTABLE AS $$ SELECT encode(sha256((hash || mark)::bytea), 'hex') $$;

-- Copies the rows of a table whose identifiers are in 'moved'.
-- HOW: further columns with the expression that makes them.
CREATE FUNCTION pg_temp.copy_rows(what TEXT, how JSONB DEFAULT '{}') RETURNS INT LANGUAGE plpgsql AS $$
DECLARE made TEXT; n INT;
BEGIN
	SELECT string_agg(CASE
		WHEN how ? column_name THEN how->>column_name
		WHEN udt_name = 'uuid' AND column_name <> 'workspace_id' THEN format('pg_temp.moved_id(x.%I)', column_name)
		WHEN udt_name = 'jsonb' THEN format('pg_temp.moved_text(x.%I::text)::jsonb', column_name)
		ELSE format('x.%I', column_name) END, ', ' ORDER BY ordinal_position)
	INTO made FROM information_schema.columns WHERE table_schema = 'public' AND table_name = what;
	EXECUTE format('INSERT INTO %I SELECT %s FROM %I x WHERE x.id IN (SELECT old FROM moved)', what, made, what);
	GET DIAGNOSTICS n = ROW_COUNT;
	RETURN n;
END $$;

CREATE FUNCTION pg_temp.copy_configurations(device UUID, mark TEXT) RETURNS VOID LANGUAGE sql AS $$
	INSERT INTO configuration (hash, content, belongs_to)
	SELECT pg_temp.marked(hash, mark), pg_temp.moved_text(content::text)::jsonb, pg_temp.moved_id(belongs_to) FROM configuration
	WHERE hash IN (SELECT configuration FROM run WHERE id IN (SELECT old FROM moved))
$$;

CREATE FUNCTION pg_temp.list(tables TEXT[], belonging UUID, mark TEXT) RETURNS VOID LANGUAGE plpgsql AS $$
DECLARE one TEXT;
BEGIN
	FOREACH one IN ARRAY tables LOOP
		EXECUTE format('INSERT INTO moved SELECT id, pg_temp.made(id || %L) FROM %I WHERE belongs_to = %L', mark, one, belonging);
	END LOOP;
END $$;

-- 48 further devices, each a copy of one of the two.
DO $$
DECLARE
	whole TEXT[] := ARRAY['device', 'metric', 'use_case', 'requirement', 'revision', 'method', 'article', 'parameter', 'part', 'trial', 'run', 'reading',
		'observation', 'failure', 'cause', 'photo', 'change', 'decision', 'candidate'];
	source RECORD; k INT; one TEXT;
BEGIN
	FOR source IN SELECT id, name, workspace_id FROM device LOOP
		FOR k IN 1..24 LOOP
			TRUNCATE moved;
			PERFORM pg_temp.list(whole, source.id, 'device' || k);
			ANALYZE moved;
			FOREACH one IN ARRAY whole LOOP
				IF one = 'run' THEN PERFORM pg_temp.copy_configurations(source.id, 'device' || k); END IF;
				PERFORM pg_temp.copy_rows(one, CASE one
					WHEN 'device' THEN jsonb_build_object('name', format('x.name || %L', ' ' || k + 1))
					WHEN 'run' THEN jsonb_build_object('configuration', format('pg_temp.marked(x.configuration, %L)', 'device' || k))
					ELSE '{}' END);
			END LOOP;
		END LOOP;
	END LOOP;
END $$;

-- The builds of Wren, four more times, each line going on from the last one's end.
DO $$
DECLARE
	wren UUID := (SELECT id FROM device WHERE name = 'Wren');
	parts TEXT[] := ARRAY['revision', 'article', 'parameter', 'part', 'trial', 'run', 'reading', 'observation', 'failure', 'cause', 'photo', 'change', 'candidate'];
	one TEXT; k INT; at_end UUID := (SELECT id FROM revision WHERE device_id = wren AND letter = 'F');
BEGIN
	CREATE TEMP TABLE first AS SELECT id FROM revision WHERE device_id = wren AND letter <> 'D′';
	FOR k IN 1..4 LOOP
		TRUNCATE moved;
		IF k = 4 THEN DELETE FROM first WHERE id = (SELECT id FROM revision WHERE device_id = wren AND letter = 'A'); END IF;
		INSERT INTO moved SELECT id, pg_temp.made(id || 'build' || k) FROM first;
		FOREACH one IN ARRAY parts LOOP
			IF one IN ('article', 'parameter', 'part', 'trial', 'observation', 'failure', 'photo', 'change', 'candidate') THEN
				EXECUTE format('INSERT INTO moved SELECT id, pg_temp.made(id || %L) FROM %I WHERE revision_id IN (SELECT id FROM first)', 'build' || k, one);
			ELSIF one = 'run' THEN
				INSERT INTO moved SELECT r.id, pg_temp.made(r.id || 'build' || k) FROM run r JOIN trial t ON t.id = r.trial_id WHERE t.revision_id IN (SELECT id FROM first);
			ELSIF one = 'reading' THEN
				INSERT INTO moved SELECT g.id, pg_temp.made(g.id || 'build' || k) FROM reading g JOIN moved m ON m.old = g.run_id;
			ELSIF one = 'cause' THEN
				INSERT INTO moved SELECT c.id, pg_temp.made(c.id || 'build' || k) FROM cause c JOIN moved m ON m.old = c.failure_id;
			END IF;
		END LOOP;
		ANALYZE moved;
		FOREACH one IN ARRAY parts LOOP
			IF one = 'run' THEN PERFORM pg_temp.copy_configurations(wren, 'build' || k); END IF;
			PERFORM pg_temp.copy_rows(one, CASE one
				WHEN 'revision' THEN jsonb_build_object(
					'letter', format('x.letter || %L', k + 1), 'created_at', format('x.created_at + interval %L', k * 100 || ' days'),
					'parent_id', format('coalesce((SELECT new FROM moved WHERE old = x.parent_id), %L::uuid)', at_end))
				WHEN 'article' THEN jsonb_build_object('serial', format('x.serial || %L', '/' || k + 1))
				WHEN 'run' THEN jsonb_build_object('configuration', format('pg_temp.marked(x.configuration, %L)', 'build' || k))
				WHEN 'candidate' THEN jsonb_build_object('decision_id', 'NULL', 'choice', '''open''')
				ELSE '{}' END);
		END LOOP;
		at_end := pg_temp.made((SELECT id FROM revision WHERE device_id = wren AND letter = 'F') || 'build' || k);
	END LOOP;
END $$;

-- Each trial of Wren twice, then its runs so often that there are 20,000, 5,000 of them on the last build.
DO $$
DECLARE
	wren UUID := (SELECT id FROM device WHERE name = 'Wren');
	last UUID := (SELECT id FROM revision WHERE device_id = (SELECT id FROM device WHERE name = 'Wren') AND letter = 'F5');
	one TEXT; k INT; n INT;
BEGIN
	FOR k IN 0..130 LOOP
		TRUNCATE moved;
		IF k = 0 THEN
			INSERT INTO moved SELECT id, pg_temp.made(id || 'trial') FROM trial WHERE belongs_to = wren;
			INSERT INTO moved SELECT id, pg_temp.made(id || 'trial') FROM run WHERE belongs_to = wren;
		ELSE
			IF k = 1 THEN
				-- Those with three readings more often, for the sake of the readings.
				INSERT INTO copies SELECT r.id, CASE WHEN t.revision_id = last THEN CASE WHEN q.n >= 3 THEN 119 ELSE 15 END ELSE CASE WHEN q.n >= 3 THEN 15 ELSE 1 END END
				FROM run r JOIN trial t ON t.id = r.trial_id LEFT JOIN LATERAL (SELECT count(*) n FROM reading g WHERE g.run_id = r.id) q ON true
				WHERE r.belongs_to = wren;
			END IF;
			INSERT INTO moved SELECT id, pg_temp.made(id || 'run' || k) FROM copies WHERE times >= k;
		END IF;
		INSERT INTO moved SELECT g.id, pg_temp.made(g.id || 'run' || k) FROM reading g JOIN moved m ON m.old = g.run_id;
		INSERT INTO moved SELECT f.id, pg_temp.made(f.id || 'run' || k) FROM failure f JOIN moved m ON m.old = f.run_id;
		INSERT INTO moved SELECT c.id, pg_temp.made(c.id || 'run' || k) FROM cause c JOIN moved m ON m.old = c.failure_id;
		INSERT INTO moved SELECT p.id, pg_temp.made(p.id || 'run' || k) FROM photo p JOIN moved m ON m.old = p.run_id WHERE (SELECT count(*) FROM photo WHERE belongs_to = wren) < 1000;
		ANALYZE moved;
		FOREACH one IN ARRAY ARRAY['trial', 'run', 'reading', 'failure', 'cause', 'photo'] LOOP
			PERFORM pg_temp.copy_rows(one, CASE
				-- Values that are alike to the last digit would flatter what is worked out from them.
				WHEN one = 'reading' AND k > 0 THEN jsonb_build_object(
					'current_si', format('x.current_si * (1 + 0.02 * sin(%s * 1.7 + x.current_si))', k),
					'current_value', format('x.current_value * (1 + 0.02 * sin(%s * 1.7 + x.current_si))', k))
				WHEN one = 'run' AND k > 0 THEN jsonb_build_object('number', 'x.number + 1000 * ' || k, 'started_at', format('x.started_at + interval %L', k || ' minutes'))
				WHEN one = 'trial' THEN jsonb_build_object('name', 'x.name || '' again''')
				ELSE '{}' END);
		END LOOP;
	END LOOP;
END $$;

-- A plan lays out 500 runs at most: of a trial with one, what is beyond goes to its other copy, which has none then.
UPDATE run SET trial_id = t.id, number = number + 1000000 FROM trial t JOIN trial again ON again.id = pg_temp.made(t.id || 'trial')
WHERE run.trial_id = again.id AND again.layout IS NOT NULL
	AND run.id NOT IN (SELECT id FROM run few WHERE few.trial_id = again.id ORDER BY number LIMIT 500);
UPDATE trial SET layout = NULL WHERE (SELECT count(*) FROM run WHERE trial_id = trial.id) > 500;

-- Numbers in a row, as runs have them.
CREATE TEMP TABLE numbered AS
	SELECT id, row_number() OVER (PARTITION BY trial_id ORDER BY number) AS at FROM run WHERE belongs_to = (SELECT id FROM device WHERE name = 'Wren');
-- Out of the way first, since numbers of a trial are unique.
UPDATE run SET number = 1000000 + n.at FROM numbered n WHERE n.id = run.id;
UPDATE run SET number = n.at FROM numbered n WHERE n.id = run.id;

-- A failure for every tenth run.
INSERT INTO failure SELECT pg_temp.made(r.id || 'failure'), f.version, f.fingerprint, r.started_at, f.created_by, r.started_at, NULL, f.mode, f.place, f.consequence, f.stage, f.note,
	f.workspace_id, t.revision_id, r.id, r.article_id, f.belongs_to, f.received_at, f.brought_in, f.levels, NULL, f.question, NULL, f.feared, f.guard, f.brought_in_by
FROM (SELECT *, row_number() OVER (ORDER BY id) n FROM run WHERE belongs_to = (SELECT id FROM device WHERE name = 'Wren')) r
JOIN trial t ON t.id = r.trial_id
JOIN (SELECT *, row_number() OVER (ORDER BY id) n FROM failure WHERE belongs_to = (SELECT id FROM device WHERE name = 'Wren') LIMIT 20) f ON f.n = 1 + r.n % 20
WHERE r.n % 11 = 0 AND (SELECT count(*) FROM failure WHERE belongs_to = (SELECT id FROM device WHERE name = 'Wren')) < 1500;

-- A photo for every twentieth.
INSERT INTO photo (id, version, fingerprint, created_at, created_by, changed_at, caption, sha256, width, height, bytes, workspace_id, revision_id, run_id,
	belongs_to, received_at, brought_in, kind, type, state, problem, source, lies, name, marks, brought_in_by)
SELECT pg_temp.made(r.id || 'photo'), p.version, p.fingerprint, r.started_at, p.created_by, r.started_at, p.caption, p.sha256, p.width, p.height, p.bytes,
	p.workspace_id, t.revision_id, r.id, p.belongs_to, p.received_at, p.brought_in, p.kind, p.type, p.state, p.problem, p.source, p.lies, p.name, p.marks, p.brought_in_by
FROM (SELECT *, row_number() OVER (ORDER BY id) n FROM run WHERE belongs_to = (SELECT id FROM device WHERE name = 'Wren')) r
JOIN trial t ON t.id = r.trial_id
JOIN (SELECT *, row_number() OVER (ORDER BY id) n FROM photo WHERE belongs_to = (SELECT id FROM device WHERE name = 'Wren') LIMIT 20) p ON p.n = 1 + r.n % 20
WHERE r.n % 22 = 0;

UPDATE device SET counter = counter + 1;
DELETE FROM summary;
SELECT (SELECT count(*) FROM device) || ' devices; Wren has ' || (SELECT count(*) FROM revision WHERE belongs_to = w.id) || ' builds, '
	|| (SELECT count(*) FROM trial WHERE belongs_to = w.id) || ' trials, ' || (SELECT count(*) FROM run WHERE belongs_to = w.id) || ' runs, '
	|| (SELECT count(*) FROM reading WHERE belongs_to = w.id) || ' readings, ' || (SELECT count(*) FROM failure WHERE belongs_to = w.id) || ' failures, '
	|| (SELECT count(*) FROM photo WHERE belongs_to = w.id) || ' photos; '
	|| (SELECT count(*) FROM run r JOIN trial t ON t.id = r.trial_id JOIN revision v ON v.id = t.revision_id WHERE v.device_id = w.id AND v.letter = 'F5') || ' runs on its last build'
FROM device w WHERE name = 'Wren';
