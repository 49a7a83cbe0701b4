-- What the evidence says of a version, as far as it is looked for later: its class, its message (also without names, numbers and paths), the kinds
-- of mistake that are suggested, and the family of the change that mends it. Made anew when it is judged or changes of it were looked for.
create table finding (
  version text primary key references version (key) on delete cascade,
  faulty_case text not null references faulty_case (key) on delete cascade,
  class text check (class in ('syntax', 'runtime', 'logic')),
  kind text check (kind in ('form', 'meaning')),
  symptom text not null default '',
  message bytea not null default ''::bytea,
  message_kind text,
  signature text,
  reported_line integer,
  family text,
  patterns jsonb not null default '[]',
  searched boolean not null default false,
  found_at timestamptz not null default now()
);
create index finding_case on finding (faulty_case);

-- A kind of mistake of a teacher's own: with an example that ran, or none yet.
create table own_pattern (
  key text primary key,
  owner text not null references teacher (key) on delete cascade,
  name text not null,
  says bytea not null default ''::bytea,
  mends bytea not null default ''::bytea,
  language text,
  right_text bytea not null default ''::bytea,
  faulty_text bytea not null default ''::bytea,
  input bytea not null default ''::bytea,
  recorded jsonb,
  created_at timestamptz not null default now(),
  deleted_at timestamptz
);
create index own_pattern_owner on own_pattern (owner);

-- A row for each fault of a case, and one for a case without any yet: everything that lists, charts and searches ask for. It follows from the
-- other tables and is made by them alone (the triggers below).
create table record (
  key text primary key,
  faulty_case text not null references faulty_case (key) on delete cascade,
  layer text references layer (key) on delete cascade,
  position integer not null,
  course text,
  assignment text,
  student text,
  language text not null,
  created_at timestamptz not null,
  state text not null check (state in ('open', 'judged', 'verified')),
  class text,
  kind text,
  confirmed boolean not null,
  outcome text,
  cause text,
  moment text,
  pattern text,
  pattern_confirmed boolean not null,
  message_kind text,
  signature text,
  family text,
  advice text,
  reported_line integer,
  faulty_line integer,
  distance integer,
  differs boolean not null,
  working_seconds integer,
  text_state text
);
create index record_case on record (faulty_case, position);
create index record_layer on record (layer);
create index record_newest on record (created_at desc, key);
create index record_signature on record (signature, created_at desc) where signature is not null;
create index record_pattern on record (pattern, created_at desc) where pattern is not null;
create index record_family on record (family, created_at desc) where family is not null;
create index record_course on record (course, created_at desc);
create index record_assignment on record (assignment, created_at desc);
create index record_student on record (student, created_at desc);

create function make_record(wanted text) returns void language sql as $$
  delete from record where faulty_case = wanted;
  insert into record (key, faulty_case, layer, position, course, assignment, student, language, created_at, state, class, kind, confirmed, outcome,
    cause, moment, pattern, pattern_confirmed, message_kind, signature, family, advice, reported_line, faulty_line, distance, differs,
    working_seconds, text_state)
  select coalesce(l.key, f.key), f.key, l.key, coalesce(l.position, 1), f.course, f.assignment, f.student, f.language, f.created_at,
    case when f.verified_at is not null then 'verified' when f.judged_at is not null then 'judged' else 'open' end,
    case when l.decided is not null then l.decided_class else coalesce(l.suggested_class, n.class) end,
    case when l.decided is not null then l.decided_kind else coalesce(l.suggested_kind, n.kind) end,
    l.decided is not null, l.outcome,
    coalesce(l.cause, l.verdict -> 'fields' ->> 'cause'), coalesce(l.moment, l.verdict -> 'fields' ->> 'moment'),
    coalesce(l.pattern, n.patterns -> 0 ->> 'id'), l.pattern is not null,
    n.message_kind, n.signature, n.family, l.advice, p.reported, p.faulty, p.reported - p.faulty,
    l.decided is not null and l.decided_class is distinct from (l.decided ->> 'suggested'),
    -- From the first version to the first that works; one that worked before the fault came in, and was handed over with it, is none of them.
    (select extract(epoch from min(v.created_at) filter (where v.worked
           or coalesce((select j.class is null from judged_version j where j.version = v.key), (select m.class is null from finding m where m.version = v.key), false))
         - min(v.created_at))::int
       from version v where v.faulty_case = f.key and v.handed_in and not (v.worked and v.number = 1)),
    f.text_state
  -- Each part is looked up by its key ("limit"): without counts of a table that has just grown whole tables would be read.
  from (select * from faulty_case where key = wanted limit 1) f
    left join layer l on l.faulty_case = f.key
    -- Where nobody has begun with it, the last version that shows a fault: a later one that works takes the fault out of no count.
    left join lateral (select * from finding x where x.version = coalesce(l.version_before, (
      select m.version from finding m where m.faulty_case = f.key
      order by (m.class is not null) desc, (select v.number from version v where v.key = m.version) desc limit 1)) limit 1) n on true
    left join lateral (
      select coalesce((l.verdict ->> 'reportedLine')::int, n.reported_line) as reported,
        (select (each ->> 'line')::int from jsonb_array_elements(coalesce(l.faulty_lines, '[]')) each where each ->> 'file' is null
           order by abs((each ->> 'line')::int - coalesce((l.verdict ->> 'reportedLine')::int, n.reported_line, 0)) limit 1) as faulty
    ) p on true
  where f.deleted_at is null
$$;

create function record_of_case() returns trigger language plpgsql as $$
begin
  perform make_record(new.key);
  return null;
end $$;
create function record_of_part() returns trigger language plpgsql as $$
begin
  perform make_record(coalesce(new.faulty_case, old.faulty_case));
  return null;
end $$;
create trigger record_case_changed
  after update of course, assignment, student, language, created_at, judged_at, verified_at, deleted_at, current_version, text_state on faulty_case
  for each row when (old is distinct from new) execute function record_of_case();
create trigger record_layer_changed after insert or update or delete on layer for each row execute function record_of_part();
create trigger record_finding_changed after insert or update or delete on finding for each row execute function record_of_part();
create trigger record_version_changed after update of worked, handed_in, created_at on version for each row execute function record_of_part();
create trigger record_judged_changed after insert or update or delete on judged_version for each row execute function record_of_part();

select count(make_record(key)) from faulty_case;

-- What a bundle said of a case that this version does not know: it goes out again with the case.
alter table faulty_case add column carried jsonb;
