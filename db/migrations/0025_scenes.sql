-- The exercises of an edition in another scene (other names and numbers, the same faults on the same lines, tasks of the same
-- keys), for who does a practice sheet again. Scene 0 is the edition as it was set.
create table edition_scene (
  edition text not null references sheet_edition (key) on delete cascade,
  number integer not null check (number > 0),
  content jsonb not null,
  primary key (edition, number)
);
alter table sitting add column scene integer not null default 0;
