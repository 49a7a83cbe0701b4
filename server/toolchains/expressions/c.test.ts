import { between, form } from "./generate.ts";
import { testExpressions } from "./testExpressions.ts";

testExpressions("c", {
  printed: (told) => (told.kind === "letter" || told.kind === "truth" ? { ...told, kind: "whole" } : told),
  sorts: ["whole", "real", "truth"],
  values: {
    ...{
      load: { type: "int", text: "7" },
      cars: { type: "int", text: "-3" },
      top: { type: "int", text: "2147483600" },
    },
    ...{ seats: { type: "unsigned int", text: "4" }, far: { type: "long int", text: "5000000000" } },
    ...{ small: { type: "short int", text: "-300" }, byte: { type: "unsigned char", text: "200" } },
    ...{
      sign: { type: "char", text: "'T'" },
      fare: { type: "double", text: "2.5" },
      tide: { type: "float", text: "-0.1" },
    },
    ...{ full: { type: "_Bool", text: "true" }, boat: { type: "char*", text: '"Tern"' } },
    loads: {
      ...{ type: "list", id: 1, shape: "list" },
      items: [4, 9, -2].map((each) => ({ value: { type: "int", text: String(each) } })),
    },
  },
  grammar: {
    brackets: 0.4,
    literals: {
      whole: ["0", "1", "2", "3", "10", "0x1F", "017", "5L", "7u", "'a'", "100000", "3000000000"],
      real: ["0.5", "1.25", "3.0", "1e3", "2.5f"],
    },
    names: {
      whole: [..."load cars top seats far small byte sign full".split(" "), "loads[0]", "loads[2]", "boat[1]"],
      real: ["fare", "tide"],
      truth: ["full"],
    },
    forms: {
      whole: [
        ...between("+ - * /", ["whole", "whole"]),
        ...["%", "&", "|", "^"].map((sign) => form(`({0} ${sign} {1})`, "whole", "whole")),
        ...[
          form("-{0}", "whole"),
          form("~{0}", "whole"),
          form("!{0}", "whole"),
          form("({0} ? {1} : {2})", "truth", "whole", "whole"),
        ],
        ...[
          form("(int) {0}", "whole"),
          form("(char) {0}", "whole"),
          form("(unsigned) {0}", "whole"),
          form("(long) {0}", "whole"),
        ],
        ...[
          form("({0} << 2)", "whole"),
          form("({0} >> 1)", "whole"),
          form("(int) ({0})", "real"),
          form("{0} + {1}", "whole", "truth"),
        ],
        form("loads[1]"),
      ],
      real: [
        ...between("+ - * /", ["real", "real"]),
        ...between("+ - * /", ["whole", "real"]),
        ...[form("-{0}", "real"), form("(float) ({0})", "real"), form("(double) {0}", "whole")],
        form("({0} ? {1} : {2})", "truth", "whole", "real"),
      ],
      truth: [
        ...between("< <= > >= == !=", ["whole", "whole"]),
        ...between("< >= ==", ["real", "whole"]),
        ...between("&& ||", ["truth", "truth"]),
        ...between("&& ||", ["whole", "truth"]),
        ...[form("!{0}", "truth"), form("{0} < {1} < {2}", "whole", "whole", "whole"), form("!{0}", "real")],
      ],
    },
  },
  program: (expressions) => `#include <stdio.h>
#include <stdbool.h>
static void whole(int number, long long value) { printf("%d whole %lld\\n", number, value); }
static void large(int number, unsigned long long value) { printf("%d whole %llu\\n", number, value); }
static void real(int number, double value) { printf("%d real %.17g\\n", number, value); }
#define show(number, value) _Generic((value), float: real, double: real, unsigned long: large, unsigned long long: large, default: whole)(number, value)
int main(void)
{
    int load = 7, cars = -3, top = 2147483600;
    unsigned seats = 4;
    long far = 5000000000;
    short small = -300;
    unsigned char byte = 200;
    char sign = 'T';
    double fare = 2.5;
    float tide = -0.1f;
    bool full = true;
    char *boat = "Tern";
    int loads[3] = {4, 9, -2};
${expressions.map((expression, number) => `    show(${number}, ${expression});`).join("\n")}
    return 0;
}
`,
});
