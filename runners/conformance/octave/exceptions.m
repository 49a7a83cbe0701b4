load = 4;  %> load=4
try
  load = [1 2](3);  %> -
  load = 5;
catch problem
  load = 7;  %> load=7
end
unwind_protect
  load = 8;  %> load=8
unwind_protect_cleanup
  load = 9;  %> load=9
end_unwind_protect
