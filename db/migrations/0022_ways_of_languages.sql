-- How a course writes and reads languages that have more than one way of it, by language.
alter table course add column ways jsonb not null default '{}';
