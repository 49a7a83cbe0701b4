-- Lessons: parts in order (core/lessons/lesson.ts), for a kind of reader (core/lessons/classTexts.ts), in the order of their
-- course, with a code by which students read it.
create table lesson (
  key text primary key,
  course text not null references course (key) on delete cascade,
  title text not null,
  reader text not null default 'school',
  position integer not null,
  code text not null unique,
  -- What students may read: nothing, what comes before it is held, or all of it with what came out.
  open text not null default 'closed' check (open in ('closed', 'before', 'whole')),
  content jsonb not null default '{"parts":[]}',
  revision integer not null default 1,
  created_at timestamptz not null default now(),
  changed_at timestamptz not null default now()
);
create index lesson_course on lesson (course, position);

-- A teacher's own words for an idea (core/lessons/ideas.ts), which stand beside what is explained in a course.
create table own_words (
  course text not null references course (key) on delete cascade,
  idea text not null,
  words text not null,
  primary key (course, idea)
);
