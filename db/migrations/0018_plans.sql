-- Exercises with planted faults, planned for a set: what they are planted in, what is wanted, how far the work is, and what
-- came of it. A plan may come of an assignment's model, and of what its programs get wrong.
create table plan (
  key text primary key,
  title text not null,
  course text references course (key) on delete set null,
  assignment text references assignment (key) on delete set null,
  language text not null,
  file_name text not null,
  program bytea not null default ''::bytea,
  checks jsonb not null default '[]',
  wish jsonb not null,
  state text not null default 'waiting' check (state in ('waiting', 'done', 'failed')),
  tried integer not null default 0,
  of_all integer not null default 0,
  planned bytea not null default '[]'::bytea,
  said jsonb not null default '[]',
  seconds real not null default 0,
  sheet text references sheet (key) on delete set null,
  created_at timestamptz not null default now()
);
create index plan_new on plan (created_at desc);

-- What the check of an exercise before it is set found, for the revision that it had then.
alter table exercise add column checked_revision integer;
alter table exercise add column reasons jsonb not null default '[]';
create index plan_course on plan (course);
create index plan_assignment on plan (assignment);
create index plan_sheet on plan (sheet);
