-- What further inputs showed of a version that passes its checks, as it was tried last (as check_strength is kept).
create table further_inputs (
  version text primary key references version (key) on delete cascade,
  checks text not null,
  state text not null default 'waiting',
  tried integer not null default 0,
  of integer not null default 0,
  result bytea,
  measured_at timestamptz not null default now()
);

-- Fixes that a teacher accepts for a version, each with what it is meant for; one of them may be preferred.
create table kept_fix (
  key text primary key,
  version text not null references version (key) on delete cascade,
  faulty_case text not null references faulty_case (key) on delete cascade,
  content bytea not null,
  intention bytea not null default '',
  preferred boolean not null default false,
  kept_at timestamptz not null default now()
);
create index kept_fix_version on kept_fix (version);
create index kept_fix_case on kept_fix (faulty_case);
