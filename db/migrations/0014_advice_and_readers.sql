-- What a message was worth for a fault: whether its advice agrees with what mends it, and what it does not say, by the teacher.
alter table layer add column advice text check (advice in ('agrees', 'partly', 'misleads', 'none'));
alter table layer add column unsaid bytea not null default '';
-- How much is said of messages to a person, where that is another than to the course.
alter table student add column depth text check (depth in ('short', 'full'));
