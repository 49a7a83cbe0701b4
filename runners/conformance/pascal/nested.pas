program Deck;

procedure Outer;  //> -
var
  load: longint;

  procedure Inner;  //> -
  begin
    load := 3;  //> -
  end;

begin
  load := 2;  //> Outer.load=2
  Inner;  //> - ; Outer.load=3
end;

begin
  Outer;  //> - ; -
end.
