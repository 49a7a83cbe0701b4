import type { RightProgram } from "./program.ts";

const main = (body: string, functions = "") => `using System;
using System.Collections.Generic;

class Program
{
${functions}    static void Main()
    {
${body}    }
}
`;

/** Right programs in C#. */
export const csharpPrograms: readonly RightProgram[] = [
  {
    name: "fares",
    language: "csharp",
    text: main(
      `        int people = int.Parse(Console.ReadLine());
        double total = 0;
        for (int i = 0; i < people; i++)
        {
            int age = int.Parse(Console.ReadLine());
            total += Fare(age);
        }
        Console.WriteLine("Total " + total);
        if (total > 20 || people > 5)
        {
            Console.WriteLine("Group");
        }
        else
        {
            Console.WriteLine("Single");
        }
`,
      `    static double Fare(int age)
    {
        if (age < 6)
            return 0;
        if (age < 16)
            return 3.5;
        return 7;
    }

`,
    ),
    inputs: ["2\n30\n12\n", "3\n5\n6\n16\n", "4\n20\n30\n15\n60\n", "6\n1\n2\n3\n4\n5\n6\n"],
  },
  {
    name: "list",
    language: "csharp",
    text: main(`        List<int> loads = new List<int>();
        string line = Console.ReadLine();
        while (line != "stop")
        {
            loads.Add(int.Parse(line));
            line = Console.ReadLine();
        }
        int sum = 0;
        int most = 0;
        foreach (int load in loads)
        {
            sum += load;
            if (load > most)
            {
                most = load;
            }
        }
        Console.WriteLine("Sum " + sum);
        Console.WriteLine("Most " + most);
        double mean = (double)sum / loads.Count;
        Console.WriteLine("Mean " + mean);
        for (int i = loads.Count - 1; i >= 0; i--)
        {
            Console.Write(loads[i] + " ");
        }
        Console.WriteLine();
`),
    inputs: ["4\n7\nstop\n", "1\n2\n4\n8\nstop\n", "5\nstop\n"],
  },
  {
    name: "clock",
    language: "csharp",
    text: main(
      `        int start = int.Parse(Console.ReadLine());
        int length = int.Parse(Console.ReadLine());
        int end = (start + length) % 1440;
        Console.WriteLine(Text(end));
        int boats = 0;
        int now = start;
        while (now < start + length)
        {
            boats++;
            now += 25;
        }
        Console.WriteLine(boats + " boats");
`,
      `    static string Text(int minutes)
    {
        int hours = minutes / 60;
        int rest = minutes % 60;
        string text = hours + ":";
        if (rest < 10)
        {
            text += "0";
        }
        return text + rest;
    }

`,
    ),
    inputs: ["480\n65\n", "1430\n20\n", "600\n100\n"],
  },
];
