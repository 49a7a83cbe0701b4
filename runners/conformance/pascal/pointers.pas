program Deck;
type
  PNode = ^TNode;
  TNode = record
    load: longint;
    next: PNode;
  end;

procedure Work;  //> -
var
  first: PNode;
begin
  new(first);  //> -
  first^.load := 4;
  first^.next := nil;  //> Work.first=TNODE(LOAD=4, NEXT=nil)
  first^.load := 5;  //> Work.first=TNODE(LOAD=5, NEXT=nil)
end;

begin
  Work;  //> - ; -
end.
