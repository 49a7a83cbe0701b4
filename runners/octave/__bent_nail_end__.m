## Called when the interpreter ends: what is not written yet is written.
function __bent_nail_end__ ()
  __bent_nail__ (9);
endfunction
