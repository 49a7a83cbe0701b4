def climb(step):  #> - ; climb.step=2 ; climb.step=1 ; climb.step=0
    if step == 0:  #> - ; - ; -
        return 1  #> -
    below = climb(step - 1)  #> - ; - ; climb.below=1 & climb.step=1 ; climb.below=2 & climb.step=2
    return below * 2  #> - ; -


print(climb(2))  #> - ; out=4\n
