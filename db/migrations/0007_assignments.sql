-- The assignment: what a set of programs should do, said once. Its checks, its model programs, and what came of judging.
alter table assignment add column languages jsonb not null default '[]';
alter table assignment add column input_shape jsonb not null default '[]';
alter table assignment add column revision integer not null default 1;

-- The rules of comparing have words of their own now.
update assignment set comparison = '{"prompts": "ignored"}' where comparison ->> 'ignorePrompts' = 'true';
update assignment set comparison = '{}' where comparison ? 'ignorePrompts';
update program_check set comparison = '{"prompts": "ignored"}' where comparison ->> 'ignorePrompts' = 'true';
update program_check set comparison = '{"prompts": "compared"}' where comparison ->> 'ignorePrompts' = 'false';

-- Programs that do what is asked, each in its language, and what students begin with.
create table model_program (
  key text primary key,
  assignment text not null references assignment (key) on delete cascade,
  position integer not null default 0,
  language text not null,
  created_at timestamptz not null default now()
);
create index model_program_assignment on model_program (assignment, position);
create table model_file (
  model text not null references model_program (key) on delete cascade,
  position integer not null,
  name text not null,
  bytes bytea not null,
  primary key (model, position)
);
create table starter_file (
  assignment text not null references assignment (key) on delete cascade,
  position integer not null,
  name text not null,
  bytes bytea not null,
  primary key (assignment, position)
);

-- What a model did under an input (`setting`: the digest of what is typed in and lies beside it). A model that changes is
-- another model.
create table model_run (
  model text not null references model_program (key) on delete cascade,
  setting text not null,
  translator text not null,
  outcome jsonb not null,
  pieces jsonb,
  created_at timestamptz not null default now(),
  primary key (model, setting)
);

-- A check has a name and a purpose in words. `pieces`: its intended output as a model gave it; `worked_out_by` names that
-- model; what is not confirmed is a proposal and judges nothing.
alter table program_check add column name text not null default '';
alter table program_check add column purpose text not null default '';
alter table program_check add column pieces jsonb;
alter table program_check add column worked_out_by text references model_program (key) on delete set null;
alter table program_check add column confirmed boolean not null default true;
create index program_check_worked_out_by on program_check (worked_out_by);

-- What judging a version that was handed in came to, check by check, for the overview of its assignment. It can be made
-- again from the runs. `glance`: the cells in short (check, edition and a letter each), `alike`: what the first failing one
-- shows, so that an overview of hundreds reads no more than it draws.
create table judged_version (
  version text primary key references version (key) on delete cascade,
  assignment text not null references assignment (key) on delete cascade,
  faulty_case text not null references faulty_case (key) on delete cascade,
  class text,
  kind text,
  cells jsonb not null,
  glance text not null,
  alike text not null,
  judged_at timestamptz not null default now()
);
create index judged_version_assignment on judged_version (assignment);
create index judged_version_case on judged_version (faulty_case);

-- What a check of an assignment was before goes with the assignment.
alter table former_value add column assignment text references assignment (key) on delete cascade;
create index former_value_assignment on former_value (assignment);
