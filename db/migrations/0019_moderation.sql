-- What a teacher decided for an answer to one item of a task of an edition: the same answer of others gets the same mark. `answer` is the SHA-256 of the
-- answer in its canonical form.
create table accepted_answer (
  edition text not null references sheet_edition (key) on delete cascade,
  task text not null,
  item text not null,
  answer text not null,
  earned numeric(6, 2) not null,
  reason bytea not null default ''::bytea,
  decided_at timestamptz not null default now(),
  primary key (edition, task, item, answer)
);

-- Which state of the scheme a mark was given by: 1, and one more for each answer that was decided since.
alter table mark add column scheme integer not null default 1;
