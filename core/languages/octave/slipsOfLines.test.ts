import { slipsIn, slipsOf } from "../../edits/slipsOf.ts";

const deck = `1;
function most = heaviest(loads)
  most = loads(1);
  for load = loads
    if load > most
      most = load;
    end
  end
end

loads = [4, 9, 2];
names = {'Tern', 'Gannet'};
turns = 3;
total = 0;
while turns > 0
  total = total + turns;
  turns = turns - 1;
end
for i = 1:length(loads)
  total = total + loads(i);
end
if strcmp(names{1}, 'Tern') && total > 20
  printf('Heaviest %d\\n', heaviest(loads));
else
  disp(total);
end
`;

// As beginners write them who know another language, or none yet.
slipsOf("octave", [
  ...slipsIn(deck, [
    ["refused", "other-forms", "function most = heaviest(loads)", "function most = heaviest loads"],
    ["refused", "other-forms", "most = loads(1);", "most = loads[1];"],
    ["refused", "constant", "most = loads(1);", "most = loads(0);"],
    ["refused", "equality-sign", "most = loads(1);", "most == loads(1);"],
    ["refused", "other-forms", "for load = loads", "for load in loads"],
    ["refused", "other-forms", "for load = loads", "for (load : loads)"],
    ["refused", "other-forms", "for load = loads", "foreach load in loads"],
    ["refused", "sign", "for load = loads", "for load = loads:"],
    ["refused", "other-blocks", "if load > most", "if load > most then"],
    ["refused", "sign", "if load > most", "if load > most:"],
    ["refused", "sign", "if load > most", "if load >> most"],
    ["refused", "comparison", "if load > most", "if load < most"],
    ["refused", "swapped", "most = load;", "load = most;"],
    ["refused", "equality-sign", "most = load;", "most == load;"],
    ["refused", "name", "most = load;", "most = laod;"],
    ["refused", "other-forms", "loads = [4, 9, 2];", "loads = (4, 9, 2);"],
    ["refused", "other-forms", "loads = [4, 9, 2];", "loads = {4, 9, 2};"],
    ["refused", "bracket", "loads = [4, 9, 2];", "loads = [4, 9, 2;"],
    ["refused", "equality-sign", "loads = [4, 9, 2];", "loads == [4, 9, 2];"],
    ["refused", "sign", "loads = [4, 9, 2];", "loads := [4, 9, 2];"],
    ["refused", "other-forms", "loads = [4, 9, 2];", "int loads = [4, 9, 2];"],
    ["refused", "other-forms", "names = {'Tern', 'Gannet'};", "names = ['Tern', 'Gannet'];"],
    ["refused", "other-blocks", "while turns > 0", "while turns > 0 do"],
    ["refused", "comparison", "while turns > 0", "while turns < 0"],
    ["refused", "word", "while turns > 0", "While turns > 0"],
    ["refused", "sign", "total = total + turns;", "total + turns;"],
    ["refused", "name", "total = total + turns;", "total = totl + turns;"],
    ["refused", "arithmetic", "turns = turns - 1;", "turns = turns + 1;"],
    ["refused", "sign", "turns = turns - 1;", "turns - 1;"],
    ["refused", "other-forms", "for i = 1:length(loads)", "for i = 1 to length(loads)"],
    ["refused", "other-forms", "for i = 1:length(loads)", "for i in 1:length(loads)"],
    ["refused", "other-forms", "for i = 1:length(loads)", "for i = 1:len(loads)"],
    ["refused", "other-forms", "for i = 1:length(loads)", "for i = 1..length(loads)"],
    ["refused", "constant", "for i = 1:length(loads)", "for i = 0:length(loads)"],
    ["refused", "other-forms", "for i = 1:length(loads)", "for i = 1,length(loads)"],
    ["refused", "other-forms", "for i = 1:length(loads)", "for i = 1:loads.length"],
    ["refused", "other-forms", "total = total + loads(i);", "total = total + loads[i];"],
    ["refused", "index-left-out", "total = total + loads(i);", "total = total + loads;"],
    ["refused", "equal-texts", "strcmp(names{1}, 'Tern')", "names{1} == 'Tern'"],
    ["refused", "other-forms", "strcmp(names{1}, 'Tern')", "strcmp(names{1} 'Tern')"],
    ["refused", "constant", "strcmp(names{1}, 'Tern')", "strcmp(names{0}, 'Tern')"],
    ["refused", "bracket", "strcmp(names{1}, 'Tern')", "strcmp(names{1}, 'Tern'"],
    ["refused", "word", "&&", "and"],
    ["refused", "logic-word", "&&", "||"],
    ["refused", "sign", "printf('Heaviest %d\\n', heaviest(loads));", "printf('Heaviest %d\\n' heaviest(loads));"],
    ["refused", "name", "printf('Heaviest %d\\n', heaviest(loads));", "print('Heaviest %d\\n', heaviest(loads));"],
    [
      "refused",
      "other-forms",
      "printf('Heaviest %d\\n', heaviest(loads));",
      "printf('Heaviest %d\\n', heaviest[loads]);",
    ],
    ["refused", "name", "printf('Heaviest %d\\n', heaviest(loads));", "printf('Heaviest %d\\n', heaviest(load));"],
    ["refused", "call-brackets", "disp(total);", "disp total;"],
    ["refused", "other-forms", "disp(total);", "print(total);"],
    ["refused", "other-forms", "disp(total);", "disp[total];"],
    ["refused", "sign", "else\n", "else:\n"],
    ["refused", "word", "else\n", "els\n"],
    ["refused", "first-value", "total = 0;\n", ""],
  ]),
]);
