program Deck;

procedure Work;  //> -
var
  load: longint;
  full, late: boolean;
begin
  load := 5;  //> Work.load=5
  full := (load > 3) and (load < 9);  //> Work.full=true
  late := not full or (load mod 2 = 0);  //> Work.late=false
  if full and not late then  //> -
    load := load - 1  //> Work.load=4
  else
    load := 0;
end;

begin
  Work;  //> - ; -
end.
