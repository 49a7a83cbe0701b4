Sub Main  '> -
  Dim all, one, text
  all = Array(3, "vans", 2.5)  '> Main.all=[3, "vans", 2.5]
  For Each one In all  '> Main.one=3 ; Main.one="vans" ; Main.one=2.5
    text = text & one & "/"  '> Main.text="3/" ; Main.text="3/vans/" ; Main.text="3/vans/2.5/"
  Next one
End Sub
