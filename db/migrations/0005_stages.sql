-- The data by the stages of the job: who owns what, assignments, checks with editions of their own, what lists ask for as
-- columns, the rest as jsonb, and an index for every reference.
create extension if not exists pg_trgm;

-- JSON that was kept as text, as jsonb. What jsonb cannot hold (NUL, surrogates without a partner) stands behind a mark, as
-- server/database/rows.ts writes and reads it.
create function bent_nail_jsonb(given text) returns jsonb language sql immutable as
  'select regexp_replace(replace(given, chr(63743), chr(63743) || ''f8ff''), ''(?<!\\)((?:\\\\)*)\\u(0000|d[89a-f][0-9a-f]{2})'', ''\1'' || chr(63743) || ''\2'', ''g'')::jsonb';

create table teacher (
  key text primary key,
  name text not null,
  created_at timestamptz not null default now()
);
insert into teacher (key, name) values ('first', 'Teacher');

alter table course add column owner text references teacher (key);
update course set owner = 'first';
alter table course alter column owner set not null;

-- What a teacher asks of a class. It has taken over the task and the hand-in address of its course.
create table assignment (
  key text primary key,
  course text not null references course (key) on delete cascade,
  position integer not null default 0,
  title text not null,
  statement bytea not null default ''::bytea,
  comparison jsonb not null default '{}',
  hand_in_code text unique,
  hand_in_open boolean not null default false,
  created_at timestamptz not null default now()
);
insert into assignment (key, course, title, statement, hand_in_code, hand_in_open)
  select key || '-1', key, name, convert_to(task, 'UTF8'), hand_in_code, hand_in_open
  from course where task <> '' or hand_in_code is not null;
alter table course drop column task, drop column hand_in_code, drop column hand_in_open;
alter table faulty_case add column assignment text references assignment (key) on delete set null;
update faulty_case f set assignment = f.course || '-1'
  where f.receipt is not null and exists (select 1 from assignment a where a.key = f.course || '-1');
alter table collection add column assignment text references assignment (key) on delete set null;

-- What a handed-in program is recognised by when it comes again, so that its text need not be read for that. Filled in when
-- it is first asked for.
alter table version add column fingerprint text;

-- A check belongs to an assignment or to a case. Its edition goes up when it changes; runs and verifications name it.
-- `comparison` holds what differs from the assignment's rules of comparing.
alter table program_check alter column faulty_case drop not null;
alter table program_check add column assignment text references assignment (key) on delete cascade;
alter table program_check add constraint program_check_owner check (num_nonnulls(assignment, faulty_case) = 1);
alter table program_check add column edition integer not null default 1;
alter table program_check add column visible boolean not null default false;
alter table program_check add column comparison jsonb not null default '{}';
update program_check set comparison = '{"ignorePrompts": true}' where ignore_prompts;
alter table program_check drop column ignore_prompts;
update program_check c set edition = f.checks_edition from faulty_case f where f.key = c.faulty_case;
alter table program_check alter column surroundings drop default;
alter table program_check alter column surroundings type jsonb using bent_nail_jsonb(surroundings);
alter table program_check alter column surroundings set default '{}';

-- Runs of checks that are gone or have another edition now can be made again and go.
delete from run r where not exists
  (select 1 from program_check c where c.key = r.program_check and c.edition = r.check_edition);
alter table run add constraint run_check foreign key (program_check) references program_check (key) on delete cascade;
alter table run alter column limits type jsonb using bent_nail_jsonb(limits);
alter table run alter column outcome type jsonb using bent_nail_jsonb(outcome);

-- A layer: what the evidence suggests and what the teacher decided stand beside each other in columns of their own.
alter table layer add column suggested_class text check (suggested_class in ('syntax', 'runtime', 'logic'));
alter table layer add column suggested_kind text check (suggested_kind in ('form', 'meaning'));
alter table layer add column decided_class text check (decided_class in ('syntax', 'runtime', 'logic'));
alter table layer add column decided_kind text check (decided_kind in ('form', 'meaning'));
alter table layer add column outcome text not null default 'fault' check (outcome in ('fault', 'no fault', 'stops on purpose'));
alter table layer add column symptom text not null default '';
alter table layer add column cause text;
alter table layer add column moment text;
alter table layer add column pattern text;
alter table layer alter column verdict type jsonb using bent_nail_jsonb(verdict);
alter table layer alter column decided type jsonb using bent_nail_jsonb(decided);
alter table layer alter column faulty_lines drop default;
alter table layer alter column faulty_lines type jsonb using bent_nail_jsonb(faulty_lines);
alter table layer alter column faulty_lines set default '[]';
alter table layer alter column fix type jsonb using bent_nail_jsonb(fix);
alter table layer alter column first_fix type jsonb using bent_nail_jsonb(first_fix);
alter table layer alter column verified type jsonb using bent_nail_jsonb(verified);
update layer set
  suggested_class = verdict ->> 'class', suggested_kind = verdict ->> 'kind', symptom = coalesce(verdict ->> 'symptom', ''),
  verdict = verdict - 'class' - 'kind' - 'symptom',
  decided_class = decided ->> 'class', decided_kind = decided ->> 'kind', decided = decided - 'class' - 'kind';
-- A place without a file is one of the main file.
update layer set faulty_lines = (select jsonb_agg(place - 'file') from jsonb_array_elements(faulty_lines) place)
  where faulty_lines <> '[]';
-- "Verified" lists the checks it rests on with their editions; one that was out of date names editions that never were.
update layer l set verified = (l.verified - 'checksEdition') || jsonb_build_object('checks',
    (select coalesce(jsonb_agg(jsonb_build_object('check', c.key, 'edition',
        case when (l.verified ->> 'checksEdition')::integer = f.checks_edition then c.edition else 0 end) order by c.position), '[]')
      from program_check c where c.faulty_case = f.key))
  from faulty_case f where f.key = l.faulty_case and l.verified is not null;
alter table faulty_case drop column checks_edition;

-- A mending that a search found: the edits on a base version and what they rest on.
create table found_fix (
  key text primary key,
  faulty_case text not null references faulty_case (key) on delete cascade,
  base_version text not null references version (key) on delete cascade,
  edits jsonb not null,
  checks jsonb not null,
  translator text not null,
  tried integer not null,
  state text not null default 'proposed' check (state in ('proposed', 'taken', 'refused', 'out of date')),
  who text references teacher (key) on delete set null,
  created_at timestamptz not null default now()
);

-- How a course draws trace tables, by name and version; exercises carry a copy.
create table table_style (
  key text primary key,
  course text not null references course (key) on delete cascade,
  name text not null,
  version integer not null default 1,
  content jsonb not null,
  created_at timestamptz not null default now(),
  unique (course, name, version)
);

alter table exercise alter column content type jsonb using bent_nail_jsonb(content);
alter table sheet_edition alter column content type jsonb using bent_nail_jsonb(content);
alter table collection alter column corrections drop default;
alter table collection alter column corrections type jsonb using bent_nail_jsonb(corrections);
alter table collection alter column corrections set default '{}';
alter table collection alter column refused drop default;
alter table collection alter column refused type jsonb using bent_nail_jsonb(refused);
alter table collection alter column refused set default '[]';
alter table collection alter column cases drop default;
alter table collection alter column cases type jsonb using bent_nail_jsonb(cases);
alter table collection alter column cases set default '[]';

-- Which teacher changed what is kept as a former value; it goes with its case.
alter table former_value alter column former type jsonb using bent_nail_jsonb(former);
alter table former_value add column teacher text references teacher (key) on delete set null;
update former_value set teacher = 'first' where who = 'teacher';
delete from former_value where faulty_case is not null
  and not exists (select 1 from faulty_case f where f.key = former_value.faulty_case);
alter table former_value add constraint former_value_case
  foreign key (faulty_case) references faulty_case (key) on delete cascade;

drop function bent_nail_jsonb(text);

-- Every reference has an index: what is deleted or asked for by its owner is found without reading the whole table.
create index course_owner on course (owner);
create index assignment_course on assignment (course, position);
create index faulty_case_course on faulty_case (course, created_at desc);
create index faulty_case_student on faulty_case (student);
create index faulty_case_assignment on faulty_case (assignment);
create index version_parent on version (parent);
create index version_file_hash on version_file (hash);
create index program_check_assignment on program_check (assignment, position);
create index layer_version_before on layer (version_before);
create index layer_version_after on layer (version_after);
create index layer_class on layer (decided_class, faulty_case);
create index run_check on run (program_check);
create index exercise_case on exercise (faulty_case);
create index sheet_course on sheet (course);
create index sheet_exercise_exercise on sheet_exercise (exercise);
create index sitting_student on sitting (student);
create index collection_course on collection (course);
create index collection_assignment on collection (assignment);
create index student_addition_case on student_addition (faulty_case, created_at);
create index former_value_teacher on former_value (teacher);
create index found_fix_case on found_fix (faulty_case);
create index found_fix_base_version on found_fix (base_version);
create index found_fix_who on found_fix (who);

-- Parts of words are found by their groups of three letters.
create index faulty_case_search on faulty_case using gin (search_text gin_trgm_ops);
