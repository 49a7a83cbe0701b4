source = fopen ("/dev/stdin", "r");
printf ("name %s\n", fgetl (source))
printf ("again %s\n", fgetl (source))
