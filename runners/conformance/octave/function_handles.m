twice = @(n) n * 2;  %> twice=@(n) n * 2
load = twice(4);  %> load=8
loads = arrayfun(twice, [1 2]);  %> loads=[2, 4]
