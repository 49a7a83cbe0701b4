-- A check may change what lies beside the program: JSON {file name: its text, or null where the file is to be absent}.
alter table program_check add column surroundings text not null default '{}';
