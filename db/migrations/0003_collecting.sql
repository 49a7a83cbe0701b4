-- What tools said of a version, each with where it came from; several tools may speak of one version.
create table tool_output (
  key text primary key,
  version text not null references version (key) on delete cascade,
  position integer not null,
  origin text not null default '',
  content bytea not null
);
create index tool_output_version on tool_output (version, position);
insert into tool_output (key, version, position, origin, content)
  select f.key || '-output', v.key, 0, '', f.error_output
  from faulty_case f join version v on v.faulty_case = f.key and v.number = 1
  where f.error_output is not null;
alter table faulty_case drop column error_output;

-- The version that the case was judged from when it was taken in; a later hand-in moves it on. `worked`: it was said or shown to work.
alter table version add column worked boolean not null default false;
alter table version add column handed_in boolean not null default false;
update version set handed_in = true where number = 1;

-- What it did instead, in the student's words; what the user did (JSON list of steps); the number of a fragment's first line; a note of the teacher's.
alter table faulty_case add column instead bytea not null default ''::bytea;
alter table faulty_case add column user_actions bytea not null default ''::bytea;
alter table faulty_case add column first_line integer not null default 1;
alter table faulty_case add column note bytea not null default ''::bytea;
-- The number that a student got for a hand-in; what the student added later stands in student_addition.
alter table faulty_case add column receipt text unique;
-- Lower-case text of programs, outputs and notes, without signs that a text column cannot hold.
alter table faulty_case add column search_text text not null default '';

-- Cases of one set come in one transaction; each has its own moment, so that a list keeps their order.
alter table faulty_case alter column created_at set default clock_timestamp();

create table student_addition (
  key text primary key,
  faulty_case text not null references faulty_case (key) on delete cascade,
  content bytea not null,
  created_at timestamptz not null default now()
);

create table warning_decision (
  key text primary key,
  faulty_case text not null references faulty_case (key) on delete cascade,
  about text not null,
  decision text not null check (decision in ('mend', 'accept', 'hide')),
  note bytea not null,
  decided_at timestamptz not null default now(),
  unique (faulty_case, about)
);

alter table course add column hand_in_code text unique;
alter table course add column hand_in_open boolean not null default false;
alter table course add column task text not null default '';
alter table course add column wording text not null default 'three';
alter table course add column depth text not null default 'full' check (depth in ('short', 'full'));

-- A set of files that a teacher looks through before anything of it is kept; gone when it is taken in or put away.
create table collection (
  key text primary key,
  course text references course (key) on delete cascade,
  name text not null,
  corrections text not null default '{}',
  refused text not null default '[]',
  state text not null default 'open' check (state in ('open', 'kept', 'judged', 'stopped')),
  cases text not null default '[]',
  created_at timestamptz not null default now()
);
create table collection_file (
  collection text not null references collection (key) on delete cascade,
  position integer not null,
  path text not null,
  bytes bytea not null,
  primary key (collection, position)
);
