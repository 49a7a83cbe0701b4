import type { DemoCase } from "../cases.ts";

const semicolon = `using System;

class Boarding
{
    static void Main()
    {
        int places = 6;
        int booked = 4

        Console.WriteLine("Places left: " + (places - booked));
    }
}
`;

const share = `using System;

class Share
{
    static int Each(int load, int decks)
    {
        return load / decks;
    }

    static void Main()
    {
        Console.Write("Decks? ");
        int decks = int.Parse(Console.ReadLine());
        Console.WriteLine("On each deck: " + Each(24, decks - 2));
    }
}
`;

const highest = `using System;

class Highest
{
    static void Main()
    {
        double[] heights = { -1.2, -0.4, -2.1 };
        double highest = 0;
        foreach (double height in heights)
        {
            if (height > highest) highest = height;
        }
        Console.WriteLine("Highest tide: " + highest);
    }
}
`;

const layers = `using System;

class Names
{
    static void Main()
    {
        string[] names = { "Gannet", "Tern", "Fulmar" };
        for (int i = 1; i <= 3; i++)
        {
            Console.WriteLine(i + " " + names[i]);
        }
        Console.Writeline("That is all");
    }
}
`;
const layersSecond = layers.replace("Writeline", "WriteLine");

/**
 * C#: a semicolon missing above the reported line, a zero divisor, a wrong start value, and two faults one behind the
 * other.
 */
export const csharpCases: readonly DemoCase[] = [
  {
    language: "csharp",
    name: "Boarding.cs",
    title: "Boarding list in C#",
    intent: "Print how many places are left on the Kittiwake.",
    student: "T-09",
    program: semicolon,
    input: "",
    expected: "Places left: 2\n",
    mended: [],
  },
  {
    language: "csharp",
    name: "Share.cs",
    title: "Load shared between decks in C#",
    intent: "Share 24 tonnes evenly between the decks that are typed in.",
    student: "T-10",
    program: share,
    input: "2\n",
    expected: "Decks? On each deck: 12\n",
    mended: [],
  },
  {
    language: "csharp",
    name: "Highest.cs",
    title: "Highest tide in C#",
    intent: "Print the highest of the tide heights, which may all lie below zero.",
    student: "T-01",
    program: highest,
    input: "",
    expected: "Highest tide: -0.4\n",
    mended: [highest.replace("highest = 0;", "highest = heights[0];")],
  },
  {
    language: "csharp",
    name: "Names.cs",
    title: "Passenger list in C#",
    intent: "Print the passengers with their numbers.",
    student: "T-02",
    program: layers,
    input: "",
    expected: "1 Gannet\n2 Tern\n3 Fulmar\nThat is all\n",
    mended: [layersSecond, layersSecond.replace("names[i]", "names[i - 1]")],
  },
];
