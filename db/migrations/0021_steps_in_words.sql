-- Pseudocode is run now; what was kept under its name until now are steps in words, which nothing runs.
update faulty_case set language = 'steps' where language = 'pseudocode';
