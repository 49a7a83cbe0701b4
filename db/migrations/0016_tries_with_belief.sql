-- A version that is a try: what the person believed, and what became of it, in words.
alter table version add column belief bytea not null default '';
alter table version add column result text check (result in ('verified', 'next fault', 'not mended', 'open'));
