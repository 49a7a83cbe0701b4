-- What a search for small changes of a version found: whole mendings, best first, and changes after which it starts. It can
-- be made again, so it goes when a version goes or a name in it is replaced. `checks`: the editions of the checks that it
-- was made for; with others it is out of date. `state`: waiting (or going on), done, stopped.
create table fix_search (
  version text primary key references version (key) on delete cascade,
  faulty_case text not null references faulty_case (key) on delete cascade,
  checks text not null,
  state text not null default 'waiting',
  fixes bytea not null default '[]',
  starts bytea not null default '[]',
  tried integer not null default 0,
  seconds real not null default 0,
  not_searched text,
  searched_at timestamptz not null default now()
);
create index fix_search_case on fix_search (faulty_case);

-- How strong the checks of an assignment are, as it was measured last; `checks` are the editions that it was measured for.
create table check_strength (
  assignment text primary key references assignment (key) on delete cascade,
  checks text not null,
  state text not null default 'waiting',
  tried integer not null default 0,
  of integer not null default 0,
  result bytea,
  measured_at timestamptz not null default now()
);
