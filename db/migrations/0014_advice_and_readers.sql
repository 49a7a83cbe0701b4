-- What a message is worth for a fault: whether its advice agrees with what mends it, and what it does not say, by the teacher.
alter table layer add column advice text check (advice in ('agrees', 'partly', 'misleads', 'none'));
alter table layer add column unsaid bytea not null default '';
-- How much is said of messages: by course, and otherwise for a person where that is wanted.
alter table course drop constraint course_depth_check;
alter table course add constraint course_depth_check check (depth in ('sentence', 'short', 'full'));
alter table student add column depth text check (depth in ('sentence', 'short', 'full'));
