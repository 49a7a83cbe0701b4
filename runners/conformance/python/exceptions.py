def weigh(load):  #> - ; weigh.load=4 ; weigh.load=0
    try:  #> - ; -
        return 8 // load  #> - ; raised=ZeroDivisionError: integer division or modulo by zero
    except ZeroDivisionError as problem:  #> weigh.problem=ZeroDivisionError('integer division or modulo by zero')
        return -1  #> -
    finally:
        print("weighed")  #> out=weighed\n ; out=weighed\n


first = weigh(4)  #> - ; first=2
second = weigh(0)  #> - ; second=-1
