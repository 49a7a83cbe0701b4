-- What came out where no message did; programs that are read and never run; where a case comes from.
alter table faulty_case add column came_out bytea not null default ''::bytea;
alter table faulty_case add column only_read boolean not null default false;
update faulty_case set only_read = true where first_line > 1;
alter table faulty_case add column source text not null default '';

-- A fault may lie between two lines or outside of the program; why it is not where the tool said; what it is, in words.
alter table layer add column place text not null default 'lines' check (place in ('lines', 'after the line', 'outside'));
alter table layer add column place_reason bytea not null default ''::bytea;
alter table layer add column explanation bytea not null default ''::bytea;

-- Marks are released by edition: a new edition takes none of an earlier one back.
alter table sheet_edition add column released_at timestamptz;
update sheet_edition e set released_at = s.released_at from sheet s where s.key = e.sheet;

-- What the translator said of the text as it was handed in, as a whole; known once it was run here.
alter table faulty_case add column text_state text check (text_state in ('errors', 'warnings only', 'clean'));

-- A trace table that the teacher wrote, for what no translator runs.
alter table faulty_case add column hand_table bytea not null default ''::bytea;
