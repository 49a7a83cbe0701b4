import { type Neutral, neutral } from "./neutral.ts";

/** The user's clicks, each at a frame and a place; the run ends at the last frame. */
const clicks = (places: ReadonlyArray<readonly [frame: number, x: number, y: number]>, last: number) =>
  `${places.map(([frame, x, y]) => `frame ${frame}\nclick ${x} ${y}\n`).join("")}frame ${last}\n`;

export const sketchNeutral: readonly Neutral[] = [
  neutral(
    1,
    "The ferry at the pier",
    `
    size(240, 120);
    background(200, 225, 240);
    fill(90, 60, 30);
    rect(180, 60, 60, 60);
    fill(255);
    rect(90, 70, 80, 25);
    rect(110, 50, 40, 20);
    println("ferry at " + (90 + 80));
  `,
  ),
  neutral(
    1,
    "Flag of the islands",
    `
    size(180, 120);
    int third = width / 3;
    noStroke();
    fill(30, 80, 160);
    rect(0, 0, third, height);
    fill(255, 255, 255);
    rect(third, 0, third, height);
    fill(200, 40, 40);
    rect(third * 2, 0, third, height);
    println("stripe " + third);
  `,
  ),
  neutral(
    2,
    "Piles of the pier",
    `
    int piles = 6;
    size(240, 120);
    background(255);
    strokeWeight(4);
    for (int pile = 0; pile < piles; pile++) {
      int x = 20 + pile * 35;
      line(x, 40, x, 110);
    }
    line(10, 40, 230, 40);
    println("piles " + piles);
  `,
  ),
  neutral(
    2,
    "The ferry crosses",
    `
    int x = 0;

    void setup() {
      size(200, 80);
    }

    void draw() {
      background(20, 60, 100);
      fill(255);
      rect(x, 40, 30, 12);
      x = x + 3;
      if (x > 170) {
        x = 170;
      }
    }
  `,
    ["frame 1\n", "frame 20\n", "frame 58\n", "frame 70\n"],
  ),
  neutral(
    2,
    "High and low water",
    `
    int level = 20;
    int change = 2;

    void setup() {
      size(120, 100);
    }

    void draw() {
      background(255);
      level = level + change;
      if (level >= 60) {
        change = -2;
      } else if (level <= 10) {
        change = 2;
      }
      rect(0, height - level, width, level);
    }
  `,
    ["frame 5\n", "frame 20\n", "frame 21\n", "frame 46\n", "frame 60\n"],
  ),
  neutral(
    3,
    "Loads on the deck",
    `
    int[] loads = { 12, 30, 7, 25, 18 };

    void setup() {
      size(220, 120);
      background(240);
      int total = 0;
      for (int i = 0; i < loads.length; i++) {
        if (loads[i] >= 18) {
          fill(200, 60, 40);
        } else {
          fill(60, 140, 80);
        }
        rect(20 + i * 38, 100 - loads[i] * 2, 30, loads[i] * 2);
        total = total + loads[i];
      }
      println("total " + total);
    }
  `,
  ),
  neutral(
    3,
    "Cars come on deck",
    `
    int cars = 0;
    int places = 4;

    void setup() {
      size(200, 80);
    }

    void draw() {
      background(230);
      for (int place = 0; place < places; place++) {
        if (place < cars) {
          fill(200, 60, 40);
        } else {
          fill(255);
        }
        rect(10 + place * 45, 30, 35, 20);
      }
    }

    void mousePressed() {
      if (cars < places) {
        cars = cars + 1;
      } else {
        println("full");
      }
    }
  `,
    [
      "frame 2\n",
      clicks([[2, 20, 40]], 4),
      clicks(
        [
          [2, 20, 40],
          [4, 20, 40],
          [6, 20, 40],
        ],
        8,
      ),
      clicks(
        [
          [1, 5, 5],
          [2, 5, 5],
          [3, 5, 5],
          [4, 5, 5],
          [5, 5, 5],
        ],
        7,
      ),
    ],
  ),
  neutral(
    3,
    "Buoys where the mouse was",
    `
    int[] xs = new int[3];
    int count = 0;

    void setup() {
      size(160, 80);
    }

    void draw() {
      background(20, 60, 100);
      fill(255, 200, 0);
      for (int i = 0; i < count; i++) {
        circle(xs[i], 40, 12);
      }
    }

    void mousePressed() {
      if (count < xs.length) {
        xs[count] = mouseX;
        count++;
      }
      println("buoys " + count);
    }
  `,
    [
      "frame 3\n",
      clicks([[2, 30, 10]], 4),
      clicks(
        [
          [2, 30, 10],
          [3, 90, 70],
          [4, 120, 5],
          [5, 140, 5],
        ],
        8,
      ),
    ],
  ),
  neutral(
    4,
    "Light of the tower",
    `
    int turns = 0;

    void setup() {
      size(120, 120);
    }

    void draw() {
      background(0);
      int radius = reach(frameCount);
      if (radius == 30) {
        turns = turns + 1;
      }
      fill(255, 240, 150);
      circle(60, 60, radius);
      fill(255);
      text(turns, 10, 20);
    }

    int reach(int frame) {
      int step = frame % 8;
      if (step > 4) {
        step = 8 - step;
      }
      return 10 + step * 5;
    }
  `,
    ["frame 1\n", "frame 4\n", "frame 6\n", "frame 12\n", "frame 19\n"],
  ),
  neutral(
    4,
    "Steering with keys",
    `
    int x = 80;

    void setup() {
      size(200, 60);
    }

    void draw() {
      background(200, 225, 240);
      rect(x, 30, 24, 10);
    }

    void keyPressed() {
      if (keyCode == LEFT) {
        x = steered(x - 15);
      } else if (keyCode == RIGHT) {
        x = steered(x + 15);
      }
      println("at " + x);
    }

    int steered(int wanted) {
      if (wanted < 0) {
        return 0;
      }
      return min(wanted, 176);
    }
  `,
    [
      "frame 2\n",
      "key left\nframe 2\nkey right\nframe 3\nkey right\nframe 5\n",
      `${"key left\nframe 2\n".repeat(1)}${Array.from({ length: 6 }, (_, at) => `key left\nframe ${at + 3}\n`).join("")}`,
      Array.from({ length: 8 }, (_, at) => `key right\nframe ${at + 2}\n`).join(""),
      "key a\nframe 2\n",
    ],
  ),
  neutral(
    5,
    "Lanes of the deck, drawn",
    `
    int taken = 0;

    void setup() {
      size(200, 140);
      background(255);
      for (int lane = 0; lane < 4; lane++) {
        for (int row = 0; row < 3; row++) {
          if ((lane + row) % 3 == 0 || row > lane) {
            fill(90);
            taken++;
          } else {
            fill(60, 160, 80);
          }
          rect(15 + lane * 45, 15 + row * 40, 35, 30);
        }
      }
      println("taken " + taken);
    }
  `,
  ),
  neutral(
    5,
    "A fleet that turns",
    `
    Boat[] fleet = new Boat[3];

    void setup() {
      size(120, 90);
      for (int i = 0; i < fleet.length; i++) {
        fleet[i] = new Boat(10 + i * 30, 20 + i * 25, 2 + i);
      }
    }

    void draw() {
      background(20, 60, 100);
      for (int i = 0; i < fleet.length; i++) {
        fleet[i].move();
        rect(fleet[i].x, fleet[i].y, 14, 6);
      }
    }

    class Boat {
      int x;
      int y;
      int speed;

      Boat(int startX, int startY, int startSpeed) {
        x = startX;
        y = startY;
        speed = startSpeed;
      }

      void move() {
        x = x + speed;
        if (x > 106 || x < 0) {
          speed = -speed;
        }
      }
    }
  `,
    ["frame 1\n", "frame 10\n", "frame 30\n", "frame 60\n", "frame 110\n"],
  ),
];
