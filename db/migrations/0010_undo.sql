-- What a case was before each change that a person made, so that the change can be undone: its own columns, its layers and
-- its checks (versions are only ever added). `revision`: the case's when the change was made; it can be undone as long as
-- that is the newest. Changes of one press have its key in common and are undone together.
create table undo_step (
  key text primary key,
  faulty_case text not null references faulty_case (key) on delete cascade,
  revision integer not null,
  press text not null,
  says text not null,
  who text not null,
  snapshot jsonb not null,
  made_at timestamptz not null default clock_timestamp()
);
create index undo_step_case on undo_step (faulty_case, revision);
create index undo_step_press on undo_step (press);
