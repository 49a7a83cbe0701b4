import type { DemoCase } from "../cases.ts";

const fares = `Public Class Form1
    ' Fares of the morning crossing
    Private Sub btnWork_Click(sender As Object, e As EventArgs) Handles btnWork.Click
        Dim adults As Integer
        Dim children As Integer
        Dim fare As Decimal
        adults = CInt(txtAdults.Text)
        children = CInt(txtChildren.Text)
        fare = adults * 4 + children * 2
        If chkReturn.Checked Then
            fare = fare * 2
        End If
        lblFare.Text = fare.ToString("0.00")
    End Sub

    Private Sub btnClear_Click(sender As Object, e As EventArgs) Handles btnClear.Click
        txtAdults.Text = ""
        txtChildren.Text = ""
        lblFare.Text = ""
    End Sub
End Class
`;
const guarded = fares.replace(
  "        children = CInt(txtChildren.Text)\n",
  '        If txtChildren.Text <> "" Then children = CInt(txtChildren.Text)\n',
);

const counter = `Public Class Form1
    ' One press for each car that drives on deck; the deck has room for three
    Private cars As Integer = 0

    Private Sub btnCar_Click(sender As Object, e As EventArgs) Handles btnCar.Click
        cars = cars + 1
        lblCars.Text = cars & " on deck"
        If cars > 3 Then
            btnCar.Enabled = False
            lblCars.Text = "Full"
        End If
    End Sub

    Private Sub btnNew_Click(sender As Object, e As EventArgs)
        cars = 0
        lblCars.Text = "0 on deck"
        btnCar.Enabled = True
    End Sub
End Class
`;
const full = counter.replace("cars > 3", "cars >= 3");

const tides = `Module Tides
    ' Prints how high the tide stands above the quay, hour by hour
    Sub Main()
        Dim heights() As Double = {1.5, 2.25, 3, 2.5}
        Dim quay As Double = 2
        For hour As Integer = 0 To heights.Length - 1
            If heights(hour) > quay Then
                Console.WriteLine(hour & ": " + heights(hour) - quay)
            Else
                Console.WriteLine(hour & ": dry")
        Next
    End Sub
End Module
`;
const closed = tides.replace('": dry")\n        Next', '": dry")\n            End If\n        Next');
const summed = closed.replace("+ heights(hour) - quay)", "& heights(hour) - quay)");

const boats = `Module Boats
    ' Finds the boat with the most seats
    Sub Main()
        Dim names() As String = {"Gannet", "Puffin", "Tern"}
        Dim seats() As Integer = {40, 65, 24}
        Dim best As Integer = 0
        For place As Integer = 1 To names.Length
            If seats(place) > seats(best) Then best = place
        Next
        Console.WriteLine(names(best) & " has " & seats(best) & " seats")
    End Sub
End Module
`;

const share = `Option Strict On
Module Share
    ' Shares the cars among the decks
    Sub Main()
        Console.Write("Cars? ")
        Dim cars As Integer = Console.ReadLine()
        Console.Write("Decks? ")
        Dim decks As Integer = CInt(Console.ReadLine())
        Console.WriteLine("Each deck takes " & cars \\ decks)
    End Sub
End Module
`;

/**
 * Typed Basic: an empty box that is no number, a limit that one press too many shows beside a button that nobody answers, an End If that is missing before
 * a plus between a text and a number, a place past the end, a silent conversion under strict rules.
 */
export const basicFormsCases: readonly DemoCase[] = [
  {
    language: "basic-forms",
    name: "Fares.vb",
    title: "The fare form, without children",
    intent: "Work out the fare of adults at 4 and children at 2, twice for a return; an empty box counts as none.",
    student: "T-29",
    program: fares,
    input: "type txtAdults 3\ntick chkReturn\npress btnWork\n",
    expected: "form lblFare = 24.00\n",
    mended: [guarded],
  },
  {
    language: "basic-forms",
    name: "Cars.vb",
    title: "Cars on deck, press by press",
    intent: "A press lets one more car on deck; with three of them it is full and the button cannot be used.",
    student: "T-30",
    program: counter,
    input: "press btnCar\npress btnCar\npress btnCar\n",
    expected: "form lblCars = Full\nform btnCar usable = no\n",
    mended: [full],
  },
  {
    language: "basic-forms",
    name: "Tides.vb",
    title: "Tide above the quay",
    intent: "Print for each hour how high the tide stands above the quay, or that it is dry.",
    student: "T-31",
    program: tides,
    input: "",
    expected: "0: dry\n1: 0.25\n2: 1\n3: 0.5\n",
    mended: [closed, summed],
  },
  {
    language: "basic-forms",
    name: "Boats.vb",
    title: "The boat with the most seats",
    intent: "Print the name and the seats of the boat that has most.",
    student: "T-32",
    program: boats,
    input: "",
    expected: "Puffin has 65 seats\n",
    mended: [boats.replace("To names.Length", "To names.Length - 1")],
  },
  {
    language: "basic-forms",
    name: "Share.vb",
    title: "Cars shared among decks, strict rules",
    intent: "Read cars and decks and print how many cars each deck takes.",
    student: "T-33",
    program: share,
    input: "17\n4\n",
    expected: "Cars? Decks? Each deck takes 4\n",
    mended: [share.replace("= Console.ReadLine()", "= CInt(Console.ReadLine())")],
  },
];
