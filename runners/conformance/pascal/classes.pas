program Ferry;
{$mode objfpc}
type
  TCar = class
    weight: longint;
    constructor Create(load: longint);
    function Twice: longint;
  end;

constructor TCar.Create(load: longint);  //> Create.load=3
begin
  weight := load;  //> Create.Self=TCar(weight=3)
end;

function TCar.Twice: longint;  //> Twice.Self=TCar(weight=3)
begin
  weight := weight + 1;  //> Twice.Self=TCar(weight=4)
  Result := weight * 2;  //> Twice.Result=8
end;

procedure Work;  //> -
var
  car: TCar;
  twice: longint;
begin
  car := TCar.Create(3);  //> - ; Work.car=TCar(weight=3)
  twice := car.Twice;  //> - ; Work.car=TCar(weight=4) & Work.twice=8
end;

begin
  Work;  //> - ; -
end.
