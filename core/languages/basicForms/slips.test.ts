import { slipsIn, slipsOf } from "../../edits/slipsOf.ts";

const total = `Module Deck
    Sub Main()
        Dim total As Integer = 0
        For car As Integer = 1 To 3
            total = total + car
        Next
        Console.WriteLine(total)
    End Sub
End Module
`;

const height = `Module Deck
    Sub Main()
        Dim height As Integer = CInt(Console.ReadLine())
        If height > 3 Then
            Console.WriteLine("high")
        ElseIf height > 1 Then
            Console.WriteLine("middle")
        Else
            Console.WriteLine("low")
        End If
    End Sub
End Module
`;

const fare = `Module Deck
    Function Fare(age As Integer) As Integer
        If age < 15 Then
            Return 3
        End If
        Return 8
    End Function

    Sub Main()
        Console.WriteLine(Fare(14))
        Console.WriteLine(Fare(15))
    End Sub
End Module
`;

const heaviest = `Module Deck
    Sub Main()
        Dim loads() As Integer = {4, 9, 2}
        Dim heaviest As Integer = loads(0)
        For place As Integer = 0 To loads.Length - 1
            If loads(place) > heaviest And loads(place) < 100 Then
                heaviest = loads(place)
            End If
        Next
        Console.WriteLine("Heaviest: " & heaviest)
        Console.WriteLine(17 Mod 5)
        Console.WriteLine(17 \\ 5)
    End Sub
End Module
`;

const waning = `Module Deck
    Sub Main()
        Dim load As Integer = 3
        Do While load > 0
            Console.WriteLine(load)
            load = load - 1
        Loop
    End Sub
End Module
`;

// As beginners write them who know another language, or none yet.
slipsOf("basic-forms", [
  ...slipsIn(total, [
    ["refused", "other-forms", "Dim total As Integer = 0", "Dim total As Int = 0"],
    ["refused", "other-forms", "Dim total As Integer = 0", "Dim total Integer = 0"],
    ["refused", "other-forms", "Dim total As Integer = 0", "int total = 0"],
    ["refused", "sign", "Dim total As Integer = 0", "Dim total As Integer = 0;"],
    ["refused", "other-forms", "Dim total As Integer = 0", "total As Integer = 0"],
    ["refused", "sign", "Dim total As Integer = 0", "Dim total As Integer == 0"],
    ["refused", "constant", "Dim total As Integer = 0", "Dim total As Integer = 1"],
    ["refused", "name", "Dim total As Integer = 0", "Dim totl As Integer = 0"],
    ["refused", "other-forms", "For car As Integer = 1 To 3", "For car As Integer = 1 To 3 Then"],
    ["refused", "other-forms", "For car As Integer = 1 To 3", "For car As Integer = 1, 3"],
    ["refused", "other-forms", "For car As Integer = 1 To 3", "For car As Integer = 1 Until 3"],
    ["refused", "other-forms", "For car As Integer = 1 To 3", "For Each car As Integer = 1 To 3"],
    ["refused", "other-forms", "For car As Integer = 1 To 3", "For car As Integer In 1 To 3"],
    ["refused", "other-forms", "total = total + car", "total + car"],
    ["refused", "sign", "total = total + car", "total == total + car"],
    ["refused", "accumulation", "total = total + car", "total = car"],
    ["refused", "arithmetic", "total = total + car", "total = total - car"],
    ["refused", "sign", "total = total + car", "total := total + car"],
    ["refused", "sign", "total = total + car", "total = total + car;"],
    ["refused", "other-forms", "Next", "Next total"],
    ["refused", "other-forms", "Next", "End For"],
    ["refused", "other-forms", "Next", "Loop"],
    ["refused", "other-forms", "Next", "End If"],
    ["refused", "text-or-number", "Console.WriteLine(total)", 'Console.WriteLine("total")'],
    ["refused", "other-forms", "Console.WriteLine(total)", "Console.WriteLin(total)"],
    ["refused", "bracket", "Console.WriteLine(total)", "Console.WriteLine(total"],
    ["refused", "other-forms", "Console.WriteLine(total)", "print(total)"],
    ["refused", "other-forms", "Console.WriteLine(total)", "System.out.println(total)"],
    ["refused", "other-forms", "Console.WriteLine(total)", "Console.Write Line(total)"],
    ["refused", "other-forms", "Console.WriteLine(total)", "WriteLine(total)"],
    ["refused", "other-forms", "Console.WriteLine(total)", "Console.PrintLine(total)"],
    ["refused", "other-forms", "    End Sub\n", "    End\n"],
    ["refused", "other-forms", "    End Sub\n", "    End Function\n"],
    ["refused", "other-forms", "Sub Main()\n", "Void Main()\n"],
    ["refused", "other-forms", "Sub Main()\n", "Function Main()\n"],
    ["refused", "other-forms", "End Module\n", "End Class\n"],
  ]),
  ...slipsIn(height, [
    ["refused", "other-forms", "If height > 3 Then\n", "If height > 3:\n"],
    ["refused", "other-forms", "If height > 3 Then\n", "If height > 3 Than\n"],
    ["refused", "other-forms", "If height > 3 Then\n", "If height > 3 Do\n"],
    ["refused", "comparison", "If height > 3 Then\n", "If height < 3 Then\n"],
    ["refused", "other-forms", "ElseIf height > 1 Then\n", "Elif height > 1 Then\n"],
    ["refused", "other-forms", "ElseIf height > 1 Then\n", "Else height > 1 Then\n"],
    ["refused", "other-forms", "Else\n", "Else Then\n"],
    ["refused", "other-forms", "End If\n", "End\n"],
    ["refused", "other-forms", "        End If\n", ""],
    ["refused", "other-forms", "End If\n", "Next\n"],
    ["refused", "other-forms", "End If\n", "End While\n"],
    ["refused", "text-or-number", 'Console.WriteLine("low")', "Console.WriteLine(low)"],
    ["refused", "other-forms", 'Console.WriteLine("low")', "Console.WriteLine('low')"],
    ["refused", "quote", 'Console.WriteLine("low")', 'Console.WriteLine("low)'],
    ["refused", "bracket", "CInt(Console.ReadLine())", "CInt(Console.ReadLine()"],
    ["refused", "name", "CInt(Console.ReadLine())", "CInt(Console.ReadLin())"],
    ["refused", "other-forms", "CInt(Console.ReadLine())", "CInt(input())"],
  ]),
  ...slipsIn(fare, [
    ["refused", "other-forms", "Function Fare(age As Integer) As Integer", "Sub Fare(age As Integer) As Integer"],
    ["refused", "other-forms", "Function Fare(age As Integer) As Integer", "Function Fare(Integer age) As Integer"],
    ["refused", "other-forms", "Function Fare(age As Integer) As Integer", "Function Fare(age Integer) As Integer"],
    ["refused", "other-forms", "    End Function\n\n    Sub", "    End Sub\n\n    Sub"],
    ["refused", "comparison", "age < 15", "age <= 15"],
    ["refused", "comparison", "age < 15", "age > 15"],
    ["refused", "constant", "age < 15", "age < 14"],
    ["refused", "other-forms", "Return 3", "Returns 3"],
    ["refused", "other-forms", "Return 3", "Retrun 3"],
    ["refused", "sign", "Return 3", "Return 3;"],
    ["refused", "call-brackets", "Fare(14)", "Fare 14"],
    ["refused", "bracket", "Fare(14)", "Fare(14"],
    ["refused", "other-forms", "Fare(14)", "Fare[14]"],
  ]),
  ...slipsIn(heaviest, [
    ["refused", "other-forms", "Dim loads() As Integer = {4, 9, 2}", "Dim loads As Integer = {4, 9, 2}"],
    ["refused", "other-forms", "Dim loads() As Integer = {4, 9, 2}", "Dim loads() As Integer = [4, 9, 2]"],
    ["refused", "other-forms", "Dim loads() As Integer = {4, 9, 2}", "Dim loads[] As Integer = {4, 9, 2}"],
    ["refused", "other-forms", "Dim loads() As Integer = {4, 9, 2}", "Dim loads() As Integer = (4, 9, 2)"],
    ["refused", "other-forms", "Dim loads() As Integer = {4, 9, 2}", "Dim loads(3) As Integer = {4, 9, 2}"],
    ["refused", "other-forms", "loads(0)", "loads[0]"],
    ["refused", "constant", "loads(0)", "loads(3)"],
    ["refused", "name", "To loads.Length - 1", "To loads.Lenght - 1"],
    ["refused", "other-forms", "To loads.Length - 1", "To len(loads) - 1"],
    ["refused", "comparison", "If loads(place) > heaviest And", "If loads(place) < heaviest And"],
    ["refused", "other-forms", "heaviest And loads", "heaviest && loads"],
    ["refused", "logic-word", "> heaviest And", "> heaviest Or"],
    ["refused", "other-forms", "> heaviest And loads(place) < 100", "> heaviest And < 100"],
    ["refused", "swapped", "heaviest = loads(place)", "loads(place) = heaviest"],
    ["refused", "sign", "heaviest = loads(place)", "heaviest == loads(place)"],
    ["refused", "other-forms", '"Heaviest: " & heaviest', '"Heaviest: " heaviest'],
    ["refused", "arithmetic", '"Heaviest: " & heaviest', '"Heaviest: " + heaviest'],
    ["refused", "other-forms", "17 Mod 5", "17 % 5"],
    ["refused", "arithmetic", "17 \\ 5", "17 / 5"],
    ["refused", "other-forms", "17 \\ 5", "17 // 5"],
    ["refused", "other-forms", "17 \\ 5", "17 DIV 5"],
  ]),
  ...slipsIn(waning, [
    ["refused", "comparison", "Do While load > 0\n", "Do While load >= 0\n"],
    ["refused", "other-forms", "Do While load > 0\n", "Do While load > 0 Then\n"],
    ["refused", "other-forms", "load = load - 1\n", "load--\n"],
    ["refused", "other-forms", "load = load - 1\n", "load - 1\n"],
    ["refused", "arithmetic", "load = load - 1\n", "load = load + 1\n"],
    ["refused", "other-forms", "Loop\n", "End While\n"],
    ["refused", "other-forms", "Loop\n", "Next\n"],
    ["refused", "other-forms", "Loop\n", "End Do\n"],
    ["refused", "other-forms", "        Loop\n", ""],
  ]),
]);
