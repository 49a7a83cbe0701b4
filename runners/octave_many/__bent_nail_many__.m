## Runs many programs one after another in one interpreter. The list holds a line for each, the path of its main file. Which one comes next is
## told by descriptor 61; how it ended by descriptor 62: its exit code, and "clean" if the next one finds everything as it was
## (runners/sandbox/bent_nail_sandbox/command_tries.py). One that ends the interpreter ends this one.
function __bent_nail_many__ (list)
  paths = strsplit (strtrim (fileread (list)), "\n");
  orders = fopen ("/proc/self/fd/61", "r");
  answers = fopen ("/proc/self/fd/62", "w");
  ## A program's own calls are counted from here.
  max_recursion_depth (max_recursion_depth () + 3);
  first = state ();
  fputs (answers, "ready\n");
  fflush (answers);
  while (! isempty (order = next (orders)))
    lasterr ("");
    code = run_one (paths{str2double(order) + 1});
    fflush (stdout);
    fflush (stderr);
    for file = setdiff (fopen ("all")', [orders, answers])
      fclose (file);
    endfor
    ## After the end of what is typed in nothing is read any more.
    left = ! isempty (strfind (lasterr (), "reading user-input failed"));
    evalin ("base", "clear -all");
    left = left || ! isequal (state (), first);
    if (left)
      word = "left";
    else
      word = "clean";
    endif
    fprintf (answers, "%d %s\n", code, word);
    fflush (answers);
  endwhile
endfunction

## The next line, byte by byte: whatever reads lines here waits for what comes behind one.
function order = next (orders)
  order = "";
  while (! isempty (byte = fread (orders, 1, "uint8=>char")) && byte != "\n")
    order(end + 1) = byte;
  endwhile
endfunction

## What a program may set that is not gone with its names.
function found = state ()
  found = {warning(), fopen("all"), path(), pwd(), output_precision(), format()};
endfunction

## Runs the program of a main file. Returns its exit code.
function code = run_one (main)
  code = 0;
  try
    source (main, "base");
  catch problem
    code = 1;
    if (strncmp (problem.message, "source: ", 8))
      ## A slip of grammar: what is wrong is only told by reading the file once more.
      try
        __parse_file__ (main);
      catch problem
      end_try_catch
      problem.stack = problem.stack([]);
    endif
    fflush (stdout);
    fprintf (stderr, "error: %s\n", problem.message);
    said = false;
    for at = 1:numel (problem.stack)
      frame = problem.stack(at);
      if (strncmp (frame.name, "__bent_nail_many__", 18))
        break;
      endif
      if (! said)
        fprintf (stderr, "error: called from\n");
        said = true;
      endif
      [~, own] = fileparts (frame.name);
      if (frame.line > 0)
        fprintf (stderr, "    %s at line %d column %d\n", own, frame.line, frame.column);
      else
        fprintf (stderr, "    %s\n", own);
      endif
    endfor
  end_try_catch
endfunction
