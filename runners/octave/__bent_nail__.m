## The recorder: called from places that were put into a program (core/languages/octave/instrument.ts), it writes what every executed line
## did, as the stream of tokens that the Python recorder describes, to descriptor 60 (commands.py says how).
##
## __bent_nail__(0, file, line, names)        a line is about to run; `names` are those that it gives a value
## __bent_nail__(1, file, line, names, value) the line's condition was evaluated; returns it
## __bent_nail__(2, file, line, names)        a pass of a loop begins, the counter has its value
## __bent_nail__(3, file, line, names, name)  a function was entered
## __bent_nail__(4)                           a function or the program ends here
function result = __bent_nail__ (kind, file, line, names, value)
  persistent fid = -1;
  persistent used = 16;
  persistent count = 0;
  persistent limit = 20000;
  persistent tokens = {};
  persistent depths = [];
  persistent numbers = [];
  persistent files = [];
  persistent lines = [];
  persistent pending = {};
  persistent waiting = [];
  persistent known = {};
  persistent frames = 0;
  persistent columns = struct ();
  persistent column_count = 0;
  persistent has_maps = false;
  persistent longs = struct ();

  if (kind == 9)
    if (fid >= 0)
      [used, tokens] = flush_tokens (fid, used, tokens, 0);
    endif
    return;
  endif
  if (fid < 0)
    fid = fopen ("/proc/self/fd/60", "r+");
    limit = str2double (getenv ("BENT_NAIL_STEPS"));
    atexit ("__bent_nail_end__");
  endif
  if (kind == 1)
    result = value;
  endif

  ## Which call is this? Calls deeper than it are over.
  depth = numel (dbstack ()) - 1;
  while (! isempty (depths) && depths(end) > depth)
    depths(end) = []; numbers(end) = []; files(end) = []; lines(end) = []; pending(end) = []; waiting(end) = []; known(end) = [];
  endwhile
  if (kind == 3 && ! isempty (depths) && depths(end) == depth)
    depths(end) = []; numbers(end) = []; files(end) = []; lines(end) = []; pending(end) = []; waiting(end) = []; known(end) = [];
  endif
  entered = isempty (depths) || depths(end) < depth;
  if (entered)
    if (kind == 4)
      return;
    endif
    if (! isempty (depths))
      waiting(end) = 1;
    endif
    frames++;
    depths(end+1) = depth; numbers(end+1) = frames; files(end+1) = file; lines(end+1) = line; pending{end+1} = {}; waiting(end+1) = 0; known{end+1} = struct ();
    if (kind == 3)
      tokens{end+1} = sprintf ("[\"c\",%d,%d,%d,%d,\"%s\"]", frames, file, numel (depths) - 1, line, value);
      count++;
    else
      tokens{end+1} = sprintf ("[\"f\",%d,%d,%d]", frames, file, numel (depths) - 1);
    endif
  elseif (waiting(end))
    waiting(end) = 0;
    tokens{end+1} = sprintf ("[\"r\",%d,%d,%d,%d]", numbers(end), files(end), numel (depths) - 1, lines(end));
    count++;
  endif

  ## First what the line before did in this call is seen; then the new step begins, and what has its value already is told: the counter
  ## of a loop, the parameters of a function.
  for phase = 1:2
    look = {};
    if (phase == 1 && kind != 3)
      look = pending{end};
      if (has_maps)
        ## Maps are shared: a call may have changed them.
        of_map = strncmp (struct2cell (known{end}), "[\"Map\"", 6);
        shared = fieldnames (known{end})(of_map)';
        look = [look, shared(! ismember (shared, look))];
      endif
      if (kind == 2)
        ## The counter has the value of the pass that begins.
        look(strcmp (look, names{1})) = [];
      endif
    elseif (phase == 2)
      if (kind == 4)
        pending{end} = {};
        if (numel (depths) > 1)
          ## The line that made the call goes on at once, since it may print before it gives anything a value.
          depths(end) = []; numbers(end) = []; files(end) = []; lines(end) = []; pending(end) = []; waiting(end) = []; known(end) = [];
          waiting(end) = 0;
          tokens{end+1} = sprintf ("[\"r\",%d,%d,%d,%d]", numbers(end), files(end), numel (depths) - 1, lines(end));
          count++;
          stamp (fid, lines(end), count);
        endif
        return;
      endif
      if (kind != 3)
        count++;
        tokens{end+1} = sprintf ("%d", line);
      endif
      if (kind == 1 && (isnumeric (value) || islogical (value)))
        if (! isempty (value) && all (value(:)))
          tokens{end+1} = "[\"k\",true]";
        else
          tokens{end+1} = "[\"k\",false]";
        endif
      endif
      lines(end) = line;
      pending{end} = names;
      if (count > limit)
        [used, tokens] = flush_tokens (fid, used, tokens, 1);
        kill (getpid (), 9);
      endif
      if (mod (count, 32) == 0)
        [used, tokens] = flush_tokens (fid, used, tokens, 0);
      endif
      stamp (fid, line, count);
      if (kind == 2)
        look = names(1);
      elseif (kind == 3)
        look = names;
      endif
    endif
    for index = 1:numel (look)
      name = look{index};
      if (! evalin ("caller", ["exist(\"" name "\", \"var\")"]))
        continue;
      endif
      held = evalin ("caller", name);
      shown = value_token (held, 0);
      if (numel (held) > 200 && isrow (held) && (isnumeric (held) || islogical (held)))
        [shown, longs] = with_behind (shown, longs, sprintf ("f%d_%s", numbers(end), name), held);
      endif
      scope = double (depth > 1 && ! evalin ("caller", ["isglobal(\"" name "\")"]));
      ## What is global belongs to the program, whoever changes it.
      frame = 1 + scope * (numel (known) - 1);
      if (isfield (known{frame}, name) && strcmp (known{frame}.(name), shown))
        continue;
      endif
      known{frame}.(name) = shown;
      if (strncmp (shown, "[\"Map\"", 6))
        has_maps = true;
      endif
      key = [name "_" char("0" + scope)];
      if (! isfield (columns, key))
        column_count++;
        columns.(key) = column_count;
        tokens{end+1} = sprintf ("[\"d\",%d,%d,\"%s\"]", column_count, scope, name);
      endif
      tokens{end+1} = sprintf ("-%d", columns.(key));
      tokens{end+1} = shown;
    endfor
  endfor
endfunction

## A long list as a token, with what changed last behind the part that is written: its places and values. `longs` remembers what lists held.
function [shown, longs] = with_behind (shown, longs, key, held)
  places = [];
  if (isfield (longs, key))
    old = longs.(key).held;
    places = longs.(key).places(longs.(key).places <= numel (held));
    both = min (numel (old), numel (held));
    [was, is] = deal (old(201:both), held(201:both));
    changed = [find(! (was == is | (isnan (was) & isnan (is)))) + 200, max(both, 200)+1:numel(held)];
    for place = changed(max (1, end - 2):end)
      places(places == place) = [];
      places(end+1) = place;
    endfor
    places = places(max (1, end - 2):end);
  endif
  longs.(key) = struct ("held", held, "places", places);
  if (! isempty (places))
    parts = arrayfun (@(place) sprintf ("[\"%d\",[\"%s\",\"%s\"]]", place, class (held), number_text (held(place))), places, "UniformOutput", false);
    shown = [shown(1:end-1) ",[" strjoin(parts, ",") "]]"];
  endif
endfunction

## The line and step for the keeper of the console.
function stamp (fid, line, count)
  fseek (fid, 4, SEEK_SET);
  fwrite (fid, [line, count], "uint32");
  fflush (fid);
endfunction

function [used, tokens] = flush_tokens (fid, used, tokens, reason)
  data = unicode2native (["[" strjoin(tokens, ",") "]"], "utf-8");
  fseek (fid, used, SEEK_SET);
  fwrite (fid, numel (data), "uint32");
  fwrite (fid, data, "uint8");
  used += 4 + numel (data);
  fseek (fid, 0, SEEK_SET);
  fwrite (fid, used, "uint32");
  fseek (fid, 12, SEEK_SET);
  fwrite (fid, reason, "uint32");
  fflush (fid);
  tokens = {};
endfunction

function text = value_token (held, depth)
  if (isnumeric (held) || islogical (held))
    if (isscalar (held))
      text = ["[\"" class(held) "\",\"" number_text(held) "\"]"];
      return;
    endif
    if (isrow (held) && isreal (held))
      shown = held(1:min (end, 200));
      if (islogical (shown) || isinteger (shown) || all (shown == fix (shown) & abs (shown) < 1e15))
        ## Whole numbers, all at once.
        parts = sprintf (["[\"" class(held) "\",\"%d\"],"], shown)(1:end-1);
      else
        parts = strjoin (arrayfun (@(each) ["[\"" class(held) "\",\"" number_text(each) "\"]"], shown, "UniformOutput", false), ",");
      endif
      text = ["[\"list\",null,0,[" parts "],\"l\"" length_text(held, 200) "]"];
      return;
    endif
    text = plain (class (held), matrix_text (held));
  elseif (ischar (held))
    if (rows (held) <= 1)
      text = plain ("char", ["\"" cut_text(held) "\""]);
    else
      text = plain ("char", sprintf ("(%dx%d char)", rows (held), columns (held)));
    endif
  elseif (iscell (held) && depth < 4)
    parts = cellfun (@(each) value_token (each, depth + 1), held(1:min (end, 100)), "UniformOutput", false);
    if (isempty (held))
      text = plain ("cell", "{}");
    else
      text = ["[\"cell\",null,0,[" strjoin(parts(:)', ",") "],\"s\"]"];
    endif
  elseif (isstruct (held) && ! isscalar (held) && isvector (held) && depth < 4)
    parts = arrayfun (@(each) value_token (each, depth + 1), held(1:min (end, 100)), "UniformOutput", false);
    text = ["[\"list\",null,0,[" strjoin(parts(:)', ",") "],\"l\"" length_text(held, 100) "]"];
  elseif (isobject (held) && isa (held, "containers.Map") && depth < 4)
    names = keys (held);
    names = names(1:min (end, 100));
    parts = cellfun (@(name) ["[" quoted(key_text (name)) "," value_token(held(name), depth + 1) "]"], names, "UniformOutput", false);
    text = ["[\"Map\",null,0,[" strjoin(parts(:)', ",") "],\"d\"" length_text(held, 100) "]"];
  elseif (isstruct (held) && isscalar (held) && depth < 4)
    names = fieldnames (held);
    parts = cellfun (@(name) ["[" quoted(name) "," value_token(held.(name), depth + 1) "]"], names, "UniformOutput", false);
    text = ["[\"struct\",null,0,[" strjoin(parts', ",") "],\"o\"]"];
  elseif (is_function_handle (held))
    text = plain ("function", func2str (held));
  else
    text = plain (class (held), sprintf ("(%dx%d %s)", rows (held), columns (held), class (held)));
  endif
endfunction

function text = cut_text (held)
  text = held(1:min (end, 200));
  if (numel (held) > 200)
    text = [text "…"];
  endif
endfunction

function text = key_text (key)
  if (ischar (key))
    text = ["\"" cut_text(key) "\""];
  else
    text = number_text (key);
  endif
endfunction

function text = length_text (held, most)
  text = "";
  if (numel (held) > most)
    text = sprintf (",%d", numel (held));
  endif
endfunction

function text = plain (type, shown)
  text = ["[\"" type "\"," quoted(shown) "]"];
endfunction

function text = quoted (shown)
  shown = strrep (shown, "\\", "\\\\");
  shown = strrep (shown, "\"", "\\\"");
  shown = regexprep (shown, "[\\x00-\\x1f]", " ");
  text = ["\"" shown "\""];
endfunction

function text = number_text (number)
  if (islogical (number) || isinteger (number))
    text = sprintf ("%d", number);
  elseif (iscomplex (number))
    text = num2str (number, 5);
  elseif (number == fix (number) && abs (number) < 1e15)
    text = sprintf ("%d", number);
  elseif (isnan (number))
    text = "NaN";
  elseif (isinf (number))
    text = ifelse_text (number > 0, "Inf", "-Inf");
  elseif (abs (number) >= 0.1 && abs (number) < 1)
    text = sprintf ("%.4g", number);
  else
    text = sprintf ("%.5g", number);
  endif
endfunction

function text = ifelse_text (condition, one, other)
  if (condition)
    text = one;
  else
    text = other;
  endif
endfunction

function text = matrix_text (held)
  if (isempty (held))
    text = sprintf ("[](%dx%d)", rows (held), columns (held));
  elseif (ndims (held) > 2 || numel (held) > 400)
    text = sprintf ("(%s matrix)", strjoin (arrayfun (@(each) sprintf ("%d", each), size (held), "UniformOutput", false), "x"));
  else
    parts = cell (1, rows (held));
    for row = 1:rows (held)
      cells = arrayfun (@number_text, held(row, :), "UniformOutput", false);
      parts{row} = strjoin (cells, " ");
    endfor
    text = ["[" strjoin(parts, "; ") "]"];
  endif
endfunction
