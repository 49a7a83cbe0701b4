-- Rules of marking that a teacher changed for a task of an edition after it was set, the newest one counting: the edition itself stays as it was.
-- `rules` holds numbers by their names (core/exercises/taskKind.ts).
create table scheme_rule (
  edition text not null references sheet_edition (key) on delete cascade,
  task text not null,
  number integer not null,
  rules jsonb not null,
  reason bytea not null default ''::bytea,
  made_at timestamptz not null default now(),
  primary key (edition, task, number)
);
