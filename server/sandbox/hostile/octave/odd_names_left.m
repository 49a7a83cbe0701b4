symlink ("loop", "loop");
symlink ("/proc/1/mem", "link");
mkfifo ("pipe", 600);
fclose (fopen ("two\nlines", "w"));
unlink ("program.m");
disp ("left")
