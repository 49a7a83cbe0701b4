1;  %> -
function word = word_of(holds)  %> word_of.holds=1
  if (holds) word = "yes"; else word = "no"; end  %> word_of.word="yes"
end
load = 5;  %> load=5
if load > 9  %> -
  kind = "high";
elseif load > 3  %> -
  kind = "mid";  %> kind="mid"
else
  kind = "low";
end
kind = word_of(load > 4);  %> - ; kind="yes"
