1;  %> -
function result = climb(step)  %> climb.step=2 ; climb.step=1 ; climb.step=0
  if step == 0  %> - ; - ; -
    result = 1;  %> climb.result=1
    return;  %> -
  end
  below = climb(step - 1);  %> - ; - ; climb.below=1 & climb.step=1 ; climb.below=2 & climb.step=2
  result = below * 2;  %> climb.result=2 ; climb.result=4
end
top = climb(2);  %> - ; top=4
