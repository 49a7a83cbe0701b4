1;  %> -
function note(seats)  %> note.seats={"Tern": 2}
  seats("Gull") = 5;  %> note.seats={"Gull": 5, "Tern": 2}
end
seats = containers.Map();  %> seats={}
seats("Tern") = 2;  %> seats={"Tern": 2}
note(seats);  %> - ; seats={"Gull": 5, "Tern": 2}
remove(seats, "Tern");  %> seats={"Gull": 5}
