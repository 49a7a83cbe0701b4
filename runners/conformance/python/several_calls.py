def twice(n):  #> - ; twice.n=2 ; twice.n=3
    m = n * 2  #> twice.m=4 ; twice.m=6
    return m  #> - ; -


both = twice(2) + twice(3)  #> - ; - ; both=10
