import type { RightProgram } from "./program.ts";

/** Right programs in Octave. */
export const octavePrograms: readonly RightProgram[] = [
  {
    name: "fares",
    language: "octave",
    text: `people = input("");
total = 0;
for k = 1:people
  age = input("");
  if age < 6
    fare = 0;
  elseif age < 16
    fare = 3;
  else
    fare = 7;
  end
  total = total + fare;
end
printf("Total %d\\n", total);
if total > 20 && people > 2
  printf("Group\\n");
else
  printf("Single\\n");
end
`,
    inputs: ["2\n30\n12\n", "3\n5\n6\n16\n", "4\n20\n30\n15\n60\n", "2\n60\n70\n"],
  },
  {
    name: "tides",
    language: "octave",
    text: `n = input("");
tides = zeros(1, n);
for k = 1:n
  tides(k) = input("");
end
high = tides(1);
rising = 0;
for k = 2:n
  if tides(k) > high
    high = tides(k);
  end
  if tides(k) > tides(k - 1)
    rising = rising + 1;
  end
end
printf("High %d\\n", high);
printf("Mean %.2f\\n", sum(tides) / n);
printf("Rising %d\\n", rising);
`,
    inputs: ["3\n2\n5\n4\n", "4\n-3\n-1\n-2\n-9\n", "1\n7\n"],
  },
];
