[status, said] = system ("python3 -c 'import mmap; mmap.mmap(-1, 64 << 20)' 2>&1 | tail -n 1");
printf ("refused %d\n", ! isempty (strfind (said, "not permitted")))
