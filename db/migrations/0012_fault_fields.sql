-- What a fault depends on, beside its cause and the moment when it is noticed. All three are what a teacher says; null: as the
-- evidence says, which stands in the verdict.
alter table layer add column depends text check (depends in ('certain', 'depends on input', 'depends on surroundings', 'depends on chance', 'not reached'));
alter table layer add constraint layer_cause check (cause in ('syntax', 'runtime', 'logic'));
alter table layer add constraint layer_moment check (moment in ('while typing', 'on leaving the line', 'on translating', 'on reaching the line', 'on examining the result', 'only in some runs', 'not yet'));
