program Deck;

procedure Put(var load: longint; value: longint);  //> Put.load=1 & Put.value=6
begin
  load := value;  //> Put.load=6
end;

procedure Wrap(var load: longint);  //> Wrap.load=1
begin
  Put(load, 6);  //> - ; Wrap.load=6
end;

procedure Work;  //> -
var
  deck: longint;
begin
  deck := 1;  //> Work.deck=1
  Wrap(deck);  //> - ; Work.deck=6
end;

begin
  Work;  //> - ; -
end.
