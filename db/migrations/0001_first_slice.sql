-- Courses and their students. A student is a label, not an account; the personal code keeps others from sitting in their name.
create table course (
  key text primary key,
  name text not null,
  language text not null,
  endless_class text not null default 'logic' check (endless_class in ('logic', 'runtime')),
  created_at timestamptz not null default now()
);

create table student (
  key text primary key,
  course text not null references course (key) on delete cascade,
  label text not null,
  personal_code text not null,
  position integer not null,
  unique (course, label)
);

-- Texts of programs, once each, as the bytes that were handed in.
create table content (
  hash text primary key,
  bytes bytea not null
);

create table faulty_case (
  key text primary key,
  course text references course (key) on delete set null,
  student text references student (key) on delete set null,
  language text not null,
  title text not null,
  intent bytea not null,
  changed_last bytea not null,
  error_output bytea,
  symptom text check (symptom in ('never ends', 'nothing appears')),
  current_version text,
  checks_edition integer not null default 1,
  revision integer not null default 1,
  created_at timestamptz not null default now(),
  judged_at timestamptz,
  verified_at timestamptz,
  deleted_at timestamptz
);
create index faulty_case_list on faulty_case (created_at desc, key) where deleted_at is null;
create index faulty_case_tray on faulty_case (created_at desc, key) where deleted_at is null and judged_at is null;

-- Versions are only ever added.
create table version (
  key text primary key,
  faulty_case text not null references faulty_case (key) on delete cascade,
  number integer not null,
  origin text not null,
  parent text references version (key),
  created_at timestamptz not null default now(),
  unique (faulty_case, number)
);

create table version_file (
  version text not null references version (key) on delete cascade,
  position integer not null,
  name text not null,
  hash text not null references content (hash),
  encoding text not null,
  primary key (version, position)
);

create table program_check (
  key text primary key,
  faulty_case text not null references faulty_case (key) on delete cascade,
  position integer not null,
  input bytea not null,
  expected bytea,
  kind text not null check (kind in ('normal', 'boundary', 'erroneous')),
  ignore_prompts boolean not null default false,
  handed_in boolean not null default false
);
create index program_check_case on program_check (faulty_case, position);

-- One fault of a case: before and after versions, the confirmed verdict, the faulty lines in the version before.
create table layer (
  key text primary key,
  faulty_case text not null references faulty_case (key) on delete cascade,
  position integer not null,
  version_before text not null references version (key),
  version_after text references version (key),
  verdict text not null,
  decided text,
  faulty_lines text not null default '[]',
  fix text,
  first_fix text,
  intention bytea,
  verified text,
  unique (faulty_case, position)
);

create table run (
  key text primary key,
  version text not null references version (key) on delete cascade,
  program_check text,
  check_edition integer not null,
  translator text not null,
  limits text not null,
  outcome text not null,
  created_at timestamptz not null default now()
);
create index run_version on run (version, program_check, check_edition);

-- What was decided before: former values of verdicts, marks and schemes, who changed them, when and why.
create table former_value (
  key text primary key,
  about text not null,
  about_key text not null,
  former text not null,
  who text not null,
  reason text not null,
  changed_at timestamptz not null default now()
);
create index former_value_about on former_value (about, about_key, changed_at);

create table exercise (
  key text primary key,
  faulty_case text references faulty_case (key) on delete set null,
  title text not null,
  content text not null,
  revision integer not null default 1,
  created_at timestamptz not null default now(),
  deleted_at timestamptz
);

create table sheet (
  key text primary key,
  course text not null references course (key) on delete cascade,
  title text not null,
  code text not null unique,
  state text not null default 'draft' check (state in ('draft', 'set', 'closed')),
  released_at timestamptz,
  revision integer not null default 1,
  created_at timestamptz not null default now()
);

create table sheet_exercise (
  sheet text not null references sheet (key) on delete cascade,
  exercise text not null references exercise (key),
  position integer not null,
  level integer,
  primary key (sheet, exercise)
);

-- A sheet as it was set; sittings and marks refer to this and nothing later.
create table sheet_edition (
  key text primary key,
  sheet text not null references sheet (key) on delete cascade,
  number integer not null,
  content text not null,
  created_at timestamptz not null default now(),
  unique (sheet, number)
);

create table sitting (
  key text primary key,
  edition text not null references sheet_edition (key) on delete cascade,
  student text not null references student (key) on delete cascade,
  started_at timestamptz not null default now(),
  handed_in_at timestamptz,
  unique (edition, student)
);

create table answer (
  sitting text not null references sitting (key) on delete cascade,
  task text not null,
  revision integer not null,
  content bytea not null,
  saved_at timestamptz not null default now(),
  primary key (sitting, task)
);

create table mark (
  key text primary key,
  sitting text not null references sitting (key) on delete cascade,
  task text not null,
  item text not null,
  earned numeric(6, 2),
  possible numeric(6, 2) not null,
  suggested numeric(6, 2),
  reason bytea not null,
  marker text not null check (marker in ('program', 'teacher')),
  made_at timestamptz not null default now(),
  unique (sitting, task, item)
);
