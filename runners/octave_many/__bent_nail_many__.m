## Tries many variants of one program: a fork of this process each, one after another, with the input in /tmp/typed. Variant K lies in
## /tmp/variants/K/NAME; in the end one answer each stands on standard output:
##     K EXIT SIGNAL MILLISECONDS OUT ERR
## with at most `most` bytes of what it printed and of what it wrote to standard error, each behind a "=" in base64. SIGNAL is -1 where it was ended after `seconds`. What a variant can reach are the other ones of the same
## search; what one seems to show is shown again by a run of its own before anybody relies on it.
function __bent_nail_many__ (count, seconds, name, most)
  warning ("off", "Octave:shadowed-function");
  for number = 1:count
    begun = time ();
    fflush (stdout);
    pid = fork ();
    if (pid < 0)
      return;
    endif
    if (pid == 0)
      be_the_variant (sprintf ("/tmp/variants/%d", number), name);
    endif
    signal = 0;
    do
      [ended, status] = waitpid (pid, WNOHANG ());
      if (ended == 0)
        if (time () - begun > seconds)
          kill (pid, 9);
          [ended, status] = waitpid (pid);
          signal = -1;
        else
          pause (0.002);
        endif
      endif
    until (ended != 0)
    if (signal == 0 && WIFSIGNALED (status))
      signal = WTERMSIG (status);
    endif
    code = 0;
    if (WIFEXITED (status))
      code = WEXITSTATUS (status);
    endif
    out = beginning (sprintf ("/tmp/variants/%d.out", number), most);
    err = beginning (sprintf ("/tmp/variants/%d.err", number), most);
    printf ("%d %d %d %d =%s =%s\n", number, code, signal, round ((time () - begun) * 1000), out, err);
  endfor
  fflush (stdout);
endfunction

## The process of a variant. Never returns.
function be_the_variant (folder, name)
  o = fopen ([folder ".out"], "w");
  e = fopen ([folder ".err"], "w");
  i = fopen ("/tmp/typed", "r");
  dup2 (o, stdout);
  dup2 (e, stderr);
  dup2 (i, stdin);
  code = 0;
  try
    source ([folder "/" name], "base");
  catch problem
    code = 1;
    if (strncmp (problem.message, "source: ", 8))
      ## A slip of grammar: what is wrong is only told by reading the file once more.
      try
        __parse_file__ ([folder "/" name]);
      catch problem
      end_try_catch
      problem.stack = problem.stack([]);
    endif
    fprintf (stderr, "error: %s\n", problem.message);
    said = false;
    for at = 1:numel (problem.stack)
      frame = problem.stack(at);
      if (! isempty (strfind (frame.name, "be_the_variant")))
        break;
      endif
      if (! said)
        fprintf (stderr, "error: called from\n");
        said = true;
      endif
      [~, own] = fileparts (frame.name);
      fprintf (stderr, "    %s at line %d column %d\n", own, frame.line, frame.column);
    endfor
  end_try_catch
  fflush (stdout);
  fflush (stderr);
  exit (code);
endfunction

function text = beginning (path, most)
  text = "";
  file = fopen (path, "r");
  if (file >= 0)
    bytes = fread (file, most, "uint8=>uint8");
    fclose (file);
    if (! isempty (bytes))
      text = base64_encode (bytes);
    endif
  endif
endfunction
