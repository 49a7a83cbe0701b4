-- The case that a former value belongs to, so that it goes with its student although what it was about (a check that was removed) is gone before.
alter table former_value add column faulty_case text;
update former_value set faulty_case = (select l.faulty_case from layer l where l.key = about_key) where about = 'layer';
update former_value set faulty_case = (select c.faulty_case from program_check c where c.key = about_key) where about = 'check';
create index former_value_faulty_case on former_value (faulty_case);
