## In the place of the built-in one where many variants are tried: what is typed in stands between two signs in the output, so that it is known
## what was printed before it.
function value = input (prompt, kind)
  fputs (stdout, prompt);
  line = fgetl (stdin);
  if (! ischar (line))
    error ("input: reading user-input failed!");
  endif
  fprintf (stdout, "\x02%s\x03", line);
  if (nargin > 1)
    value = line;
  elseif (isempty (strtrim (line)))
    value = [];
  else
    value = evalin ("caller", line);
  endif
endfunction
