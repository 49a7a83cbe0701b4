-- A plan by which a program is written and tested part by part: for each part an expression and the value that it is to have, and
-- what it had when it was tried last.
create table part_check (
  key text primary key,
  faulty_case text not null references faulty_case(key) on delete cascade,
  part text not null,
  expression bytea not null,
  expected bytea not null,
  -- The value, and how the run ended where there is none; with the version that it was tried on.
  result jsonb,
  made_at timestamptz not null default clock_timestamp()
);
create index part_check_case on part_check (faulty_case, made_at);
