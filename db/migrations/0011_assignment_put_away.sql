-- An assignment that is put away is offered nowhere and takes no hand-ins; what belongs to it stays as it is, and it can be
-- taken back.
alter table assignment add column put_away_at timestamptz;
