for number = 1:64
  kill (1, number);
end
system ("kill -INT 1; kill -USR1 1; kill -KILL 1");
pause (0.1)
printf ("still here %d\n", getppid ())
