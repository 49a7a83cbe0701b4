load = 1  #> load=1


def outer():  #> - ; -
    load = 2  #> outer.load=2

    def inner():  #> - ; inner.load=2
        nonlocal load
        load = 3  #> inner.load=3

    inner()  #> - ; outer.load=3
    return load  #> -


result = outer()  #> - ; result=3
