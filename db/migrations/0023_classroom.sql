-- A student who has left a course stays with what was handed in; no list to choose from shows the label any more.
alter table student add column left_at timestamptz;

-- How a sheet is sat (core/sheets/sittingRules.ts), and what is said to everybody who sits it now.
alter table sheet add column rules jsonb not null default '{}';
alter table sheet add column word text not null default '';
alter table sheet add column paused_at timestamptz;
alter table sheet add column bell_at timestamptz;
alter table sheet_exercise add column section text not null default '';

-- Several tries at an edition by one student; time given to one; who handed it in.
alter table sitting add column attempt integer not null default 1;
alter table sitting drop constraint sitting_edition_student_key;
alter table sitting add constraint sitting_attempt unique (edition, student, attempt);
alter table sitting add column extra_seconds integer not null default 0;
alter table sitting add column paused_seconds integer not null default 0;
alter table sitting add column handed_in_by text not null default 'student' check (handed_in_by in ('student', 'teacher', 'bell'));

-- Students who may sit a sheet that is closed for the others.
create table later_sitting (
  sheet text not null references sheet (key) on delete cascade,
  student text not null references student (key) on delete cascade,
  allowed_at timestamptz not null default now(),
  primary key (sheet, student)
);
create index later_sitting_student on later_sitting (student);

-- Which page of a browser wrote an answer last, and the how manieth of its answers that was: the same one sent twice is
-- taken once. When it was typed, by the clock of the browser.
alter table answer add column writer text not null default '';
alter table answer add column count integer not null default 0;
alter table answer add column typed_at timestamptz;

-- What came after a sitting had been handed in: the teacher decides. `former` is what it took the place of.
create table late_answer (
  key text primary key,
  sitting text not null references sitting (key) on delete cascade,
  task text not null,
  content bytea not null,
  former bytea,
  typed_at timestamptz,
  arrived_at timestamptz not null default now(),
  decided text check (decided in ('taken', 'left')),
  decided_at timestamptz
);
create index late_answer_sitting on late_answer (sitting);

-- What students had run while they sat: for the teacher's live view, never for marks.
create table sitting_try (
  key text primary key,
  sitting text not null references sitting (key) on delete cascade,
  exercise text not null,
  text bytea not null,
  input bytea not null,
  console bytea not null,
  ended text not null,
  error text not null default '',
  tried_at timestamptz not null default clock_timestamp()
);
create index sitting_try_sitting on sitting_try (sitting, tried_at);
