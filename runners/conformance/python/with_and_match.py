class Gate:  #> - ; -
    def __enter__(self):  #> - ; __enter__.self=Gate()
        print("open")  #> out=open\n
        return 5  #> -

    def __exit__(self, *what):  #> - ; __exit__.self=Gate() & __exit__.what=(None, None, None)
        print("shut")  #> out=shut\n


with Gate() as width:  #> - ; width=5 ; - ; -
    match width:  #> -
        case 5:  #> -
            kind = "wide"  #> kind='wide'
