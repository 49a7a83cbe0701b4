-- Tries by which a person narrows a fault down: lines switched off, values printed or set in a copy of a version. The version
-- itself stays as it is.
create table narrow_try (
  key text primary key,
  faulty_case text not null references faulty_case(key) on delete cascade,
  version text not null references version(key) on delete cascade,
  check_name text not null,
  probes jsonb not null,
  -- What the person believed, and how the run ended, with what came out, short.
  belief bytea not null,
  result jsonb not null,
  who text not null,
  tried_at timestamptz not null default clock_timestamp()
);
create index narrow_try_case on narrow_try (faulty_case, tried_at);
create index narrow_try_version on narrow_try (version);
