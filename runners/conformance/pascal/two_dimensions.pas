program Deck;

procedure Work;  //> -
var
  grid: array[1..2, 1..2] of longint;
  row, column: longint;
begin
  for row := 1 to 2 do  //> Work.row=1 ; Work.row=2 ; -
    for column := 1 to 2 do  //> Work.column=1 ; Work.column=2 ; - ; Work.column=1 ; Work.column=2 ; -
      grid[row, column] := row * column;  //> Work.grid=[[1, ?], [?, ?]] ; Work.grid=[[1, 2], [?, ?]] ; Work.grid=[[1, 2], [2, ?]] ; Work.grid=[[1, 2], [2, 4]]
  grid[2, 1] := 9;  //> Work.grid=[[1, 2], [9, 4]]
  grid[1] := grid[2];  //> Work.grid=[[9, 4], [9, 4]]
end;

begin
  Work;  //> - ; -
end.
