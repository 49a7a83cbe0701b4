import { slipsIn, slipsOf } from "../../edits/slipsOf.ts";

const drawn = `int cars = 4;

void setup() {
  size(200, 100);
  background(255);
  fill(0);
  for (int i = 0; i < cars; i++) {
    ellipse(20 + i * 40, 50, 10, 10);
  }
  println("cars " + cars);
  noLoop();
}
`;

const frames = `float level = 40;

void setup() {
  size(100, 100);
}

void draw() {
  if (level > 42) {
    println("full");
    exit();
  } else {
    level = level + 1;
  }
}
`;

const loads = `int[] loads = {4, 9, 2};

void setup() {
  int total = 0;
  for (int load : loads) {
    total = total + load;
  }
  println(total);
  println(loads.length);
  println(loads[2]);
  println(heavy(9));
  noLoop();
}

boolean heavy(int load) {
  return load > 5;
}
`;

// As beginners write them who know another language, or none yet.
slipsOf("sketch", [
  ...slipsIn(drawn, [
    ["refused", "name", "size(200, 100);", "Size(200, 100);"],
    ["refused", "sign", "size(200, 100);", "size(200 100);"],
    ["refused", "terminator", "size(200, 100);\n", "size(200, 100)\n"],
    ["refused", "name", "ellipse(20 + i * 40, 50, 10, 10);", "elipse(20 + i * 40, 50, 10, 10);"],
    ["refused", "terminator", "ellipse(20 + i * 40, 50, 10, 10);\n", "ellipse(20 + i * 40, 50, 10, 10)\n"],
    ["refused", "name", "void setup() {", "void Setup() {"],
    ["refused", "other-forms", "void setup() {", "setup() {"],
    ["refused", "other-forms", "void setup() {", "void setup {"],
    ["refused", "bracket", "void setup() {\n", "void setup()\n"],
    ["refused", "other-forms", "void setup() {\n", "function setup() {\n"],
    ["refused", "other-forms", "for (int i = 0; i < cars; i++) {", "for (int i = 0, i < cars, i++) {"],
    ["refused", "declaration", "for (int i = 0; i < cars; i++) {", "for (i = 0; i < cars; i++) {"],
    ["refused", "comparison", "for (int i = 0; i < cars; i++) {", "for (int i = 0; i <= cars; i++) {"],
    ["refused", "constant", "for (int i = 0; i < cars; i++) {", "for (int i = 1; i < cars; i++) {"],
    ["refused", "comparison", "for (int i = 0; i < cars; i++) {", "for (int i = 0; i > cars; i++) {"],
    ["refused", "terminator", "for (int i = 0; i < cars; i++) {", "for (int i = 0; i < cars; i++); {"],
    ["refused", "accumulation", "for (int i = 0; i < cars; i++) {", "for (int i = 0; i < cars; i--) {"],
    ["refused", "printing", 'println("cars " + cars);', 'print("cars " + cars);'],
    ["refused", "sign", 'println("cars " + cars);', 'println("cars " cars);'],
    ["refused", "name", 'println("cars " + cars);', 'printIn("cars " + cars);'],
    ["refused", "other-forms", 'println("cars " + cars);', 'console.log("cars " + cars);'],
    ["refused", "other-forms", 'println("cars " + cars);', "println('cars ' + cars);"],
    ["refused", "name", 'println("cars " + cars);', 'println("cars " + car);'],
    ["refused", "bracket", 'println("cars " + cars);', 'println("cars " + cars;'],
    ["refused", "sign", "int cars = 4;", "int cars == 4;"],
    ["refused", "sign", "int cars = 4;", "int cars 4;"],
    ["refused", "other-forms", "int cars = 4;\n", "cars = 4;\n"],
    ["refused", "text-or-number", "int cars = 4;", 'int cars = "4";'],
    ["refused", "other-forms", "int cars = 4;", "int cars = 4.0;"],
    ["refused", "declaration", "int cars = 4;", "String cars = 4;"],
    ["refused", "word", "int cars = 4;", "integer cars = 4;"],
    ["refused", "word", "int cars = 4;", "Int cars = 4;"],
    ["refused", "other-forms", "background(255);", "background 255;"],
    ["refused", "name", "background(255);", "backround(255);"],
    ["refused", "name", "noLoop();", "noloop();"],
    ["refused", "other-forms", "fill(0);", "fill[0];"],
  ]),
  ...slipsIn(frames, [
    ["refused", "bracket", "if (level > 42) {", "if level > 42 {"],
    ["refused", "other-blocks", "if (level > 42) {", "if (level > 42) then {"],
    ["refused", "other-forms", "if (level > 42) {", "if (level > 42):"],
    ["refused", "terminator", "if (level > 42) {", "if (level > 42); {"],
    ["refused", "sign", "if (level > 42) {", "if (level => 42) {"],
    ["refused", "comparison", "if (level > 42) {", "if (level < 42) {"],
    ["refused", "other-forms", "} else {", "} else if {"],
    ["refused", "word", "} else {", "} els {"],
    ["refused", "other-forms", "level = level + 1;", "level + 1;"],
    ["refused", "equality-sign", "level = level + 1;", "level == level + 1;"],
    ["refused", "arithmetic", "level = level + 1;", "level = level - 1;"],
    ["refused", "other-forms", "level = level + 1;", "float level = level + 1;"],
    ["refused", "name", "void draw() {", "void drew() {"],
    ["refused", "name", "void draw() {", "void Draw() {"],
    ["refused", "terminator", "float level = 40;\n", "float level = 40\n"],
    ["refused", "name", "float level = 40;", "float Level = 40;"],
  ]),
  ...slipsIn(loads, [
    ["refused", "other-forms", "int[] loads = {4, 9, 2};", "int loads = {4, 9, 2};"],
    ["refused", "other-forms", "int[] loads = {4, 9, 2};", "int[] loads = [4, 9, 2];"],
    ["refused", "other-forms", "int[] loads = {4, 9, 2};", "int[] loads = (4, 9, 2);"],
    ["refused", "other-forms", "int[] loads = {4, 9, 2};", "int loads[3] = {4, 9, 2};"],
    ["refused", "other-forms", "for (int load : loads) {", "for (int load in loads) {"],
    ["refused", "other-forms", "total = total + load;", "total + load;"],
    ["refused", "accumulation", "total = total + load;", "total = load;"],
    ["refused", "constant", "int total = 0;", "int total = 1;"],
    ["refused", "first-value", "int total = 0;", "int total;"],
    ["refused", "other-forms", "println(loads.length);", "println(loads.length());"],
    ["refused", "other-forms", "println(loads.length);", "println(loads.size());"],
    ["refused", "other-forms", "println(loads.length);", "println(len(loads));"],
    ["refused", "name", "println(loads.length);", "println(loads.lenght);"],
    ["refused", "constant", "println(loads[2]);", "println(loads[3]);"],
    ["refused", "other-forms", "println(loads[2]);", "println(loads(2));"],
    ["refused", "name", "println(heavy(9));", "println(heavey(9));"],
    ["refused", "word", "boolean heavy(int load) {", "bool heavy(int load) {"],
    ["refused", "result-type", "boolean heavy(int load) {", "void heavy(int load) {"],
    ["refused", "other-forms", "boolean heavy(int load) {", "heavy(int load) {"],
    ["refused", "other-forms", "boolean heavy(int load) {", "boolean heavy(load) {"],
    ["refused", "returned", "return load > 5;", "load > 5;"],
    ["refused", "returned", "return load > 5;", "println(load > 5);"],
    ["refused", "comparison", "return load > 5;", "return load < 5;"],
    ["refused", "terminator", "return load > 5;\n", "return load > 5\n"],
  ]),
]);
