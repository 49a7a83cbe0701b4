program Deck;
type
  TBoat = record
    cars: longint;
    name: string[8];
  end;

procedure Load(var boat: TBoat; more: longint);  //> Load.boat=TBoat(cars=3, name='Tern') & Load.more=2
begin
  boat.cars := boat.cars + more;  //> Load.boat=TBoat(cars=5, name='Tern')
end;

procedure Work;  //> -
var
  tern, other: TBoat;
begin
  tern.cars := 3;  //> Work.tern=TBoat(cars=3, name=?)
  tern.name := 'Tern';  //> Work.tern=TBoat(cars=3, name='Tern')
  Load(tern, 2);  //> - ; Work.tern=TBoat(cars=5, name='Tern')
  other := tern;  //> Work.other=TBoat(cars=5, name='Tern')
  with other do
  begin
    cars := 1;  //> Work.other=TBoat(cars=1, name='Tern')
    name := 'Auk';  //> Work.other=TBoat(cars=1, name='Auk')
  end;
end;

begin
  Work;  //> - ; -
end.
