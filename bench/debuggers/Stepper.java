import com.sun.jdi.Bootstrap;
import com.sun.jdi.LocalVariable;
import com.sun.jdi.StackFrame;
import com.sun.jdi.VirtualMachine;
import com.sun.jdi.connect.Connector;
import com.sun.jdi.connect.LaunchingConnector;
import com.sun.jdi.event.ClassPrepareEvent;
import com.sun.jdi.event.Event;
import com.sun.jdi.event.EventSet;
import com.sun.jdi.event.LocatableEvent;
import com.sun.jdi.event.StepEvent;
import com.sun.jdi.event.VMDeathEvent;
import com.sun.jdi.event.VMDisconnectEvent;
import com.sun.jdi.request.StepRequest;
import java.util.Map;

/** The bare debugger of Java: steps through every line of class Main and reads the locals that can be seen. Prints the number of steps. */
public final class Stepper {
  public static void main(String[] arguments) throws Exception {
    LaunchingConnector connector = Bootstrap.virtualMachineManager().defaultConnector();
    Map<String, Connector.Argument> settings = connector.defaultArguments();
    settings.get("main").setValue("Main");
    settings.get("options").setValue("-cp " + arguments[0]);
    VirtualMachine machine = connector.launch(settings);
    var prepare = machine.eventRequestManager().createClassPrepareRequest();
    prepare.addClassFilter("Main");
    prepare.enable();
    int steps = 0;
    boolean going = true;
    while (going) {
      EventSet events = machine.eventQueue().remove();
      for (Event event : events) {
        if (event instanceof ClassPrepareEvent) {
          var main = ((ClassPrepareEvent) event).referenceType().methodsByName("main").get(0);
          machine.eventRequestManager().createBreakpointRequest(main.location()).enable();
        } else if (event instanceof LocatableEvent) {
          if (!(event instanceof StepEvent)) {
            StepRequest request = machine.eventRequestManager().createStepRequest(((LocatableEvent) event).thread(), StepRequest.STEP_LINE, StepRequest.STEP_INTO);
            request.addClassFilter("Main");
            request.enable();
          }
          steps++;
          StackFrame frame = ((LocatableEvent) event).thread().frame(0);
          for (LocalVariable variable : frame.visibleVariables()) frame.getValue(variable);
        } else if (event instanceof VMDeathEvent || event instanceof VMDisconnectEvent) going = false;
      }
      events.resume();
    }
    System.out.println(steps);
  }
}
