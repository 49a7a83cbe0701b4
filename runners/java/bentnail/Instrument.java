package bentnail;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.ClassNode;
import org.objectweb.asm.tree.FieldInsnNode;
import org.objectweb.asm.tree.FieldNode;
import org.objectweb.asm.tree.IincInsnNode;
import org.objectweb.asm.tree.InsnList;
import org.objectweb.asm.tree.InsnNode;
import org.objectweb.asm.tree.IntInsnNode;
import org.objectweb.asm.tree.JumpInsnNode;
import org.objectweb.asm.tree.LabelNode;
import org.objectweb.asm.tree.LdcInsnNode;
import org.objectweb.asm.tree.LineNumberNode;
import org.objectweb.asm.tree.LocalVariableNode;
import org.objectweb.asm.tree.MethodInsnNode;
import org.objectweb.asm.tree.MethodNode;
import org.objectweb.asm.tree.TryCatchBlockNode;
import org.objectweb.asm.tree.VarInsnNode;

/**
 * Puts calls of the Recorder into translated classes: at every line, after every store into a variable, field or element, at the
 * entry and at every way out of a method. Line tables, names and stack traces stay as they were.
 */
final class Instrument {
  private static final String RECORDER = "bentnail/Recorder";

  private final Map<String, byte[]> classes;
  private final Map<String, ClassNode> nodes = new HashMap<>();
  private final Map<String, Integer> files = new HashMap<>();
  private final List<String[]> texts = new ArrayList<>();
  private int topClasses;
  private StepChange change;

  private Instrument(Map<String, byte[]> classes) {
    this.classes = classes;
  }

  /** All classes, instrumented. `sources` are the files in order; a file's place is its number in the recording. `change`: what is put in, or null. */
  static Map<String, byte[]> all(Map<String, byte[]> classes, List<Translator.Source> sources, StepChange change) {
    Instrument work = new Instrument(classes);
    work.change = change;
    for (Translator.Source source : sources) {
      work.files.put(source.getName().replaceAll(".*/", ""), work.texts.size());
      String[] lines = source.text.split("\r\n|\n|\r", -1);
      for (int at = 0; at < lines.length; at++) lines[at] = withoutComment(lines[at]);
      work.texts.add(lines);
    }
    for (Map.Entry<String, byte[]> each : classes.entrySet()) {
      ClassNode node = new ClassNode();
      new ClassReader(each.getValue()).accept(node, ClassReader.SKIP_FRAMES);
      work.nodes.put(each.getKey(), node);
      if (!each.getKey().contains("$")) work.topClasses++;
    }
    Map<String, byte[]> made = new LinkedHashMap<>();
    for (String name : classes.keySet()) made.put(name, work.instrument(work.nodes.get(name)));
    return made;
  }

  /** A line up to its comment. A comment begins behind an even number of quotation marks. */
  private static String withoutComment(String text) {
    for (int at = text.indexOf("//"); at >= 0; at = text.indexOf("//", at + 1)) {
      if (text.substring(0, at).chars().filter(each -> each == '"').count() % 2 == 0) return text.substring(0, at);
    }
    return text;
  }

  private byte[] instrument(ClassNode node) {
    Integer file = files.get(node.sourceFile);
    if (file != null) {
      for (MethodNode method : node.methods) {
        boolean made = (method.access & (Opcodes.ACC_SYNTHETIC | Opcodes.ACC_BRIDGE)) != 0 && !method.name.startsWith("lambda$");
        boolean enumeration = (node.access & Opcodes.ACC_ENUM) != 0 && (method.name.equals("values") || method.name.equals("valueOf") || method.name.equals("<clinit>") || method.name.equals("<init>"));
        if (!made && !enumeration && method.instructions.size() > 0) instrument(node, method, file);
      }
    }
    ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_FRAMES | ClassWriter.COMPUTE_MAXS) {
      @Override
      protected String getCommonSuperClass(String one, String other) {
        return commonParent(one, other);
      }
    };
    try {
      node.accept(writer);
      return writer.toByteArray();
    } catch (RuntimeException tooLarge) {
      return classes.get(node.name);
    }
  }

  private String commonParent(String one, String other) {
    Set<String> parents = new HashSet<>();
    for (String name = one; name != null; name = parentOf(name)) parents.add(name);
    for (String name = other; name != null; name = parentOf(name)) if (parents.contains(name)) return name;
    return "java/lang/Object";
  }

  private String parentOf(String name) {
    ClassNode node = nodes.get(name);
    if (node != null) return (node.access & Opcodes.ACC_INTERFACE) != 0 ? "java/lang/Object" : node.superName;
    if (name.equals("java/lang/Object")) return null;
    try {
      Class<?> known = Class.forName(name.replace('/', '.'), false, ClassLoader.getPlatformClassLoader());
      return known.isInterface() || known.getSuperclass() == null ? "java/lang/Object" : known.getSuperclass().getName().replace('.', '/');
    } catch (ClassNotFoundException | LinkageError unknown) {
      return "java/lang/Object";
    }
  }

  /** The line with the method's name and its bracket, upwards from its first statement. */
  private int headerLine(ClassNode node, MethodNode method, int file, int first) {
    if (method.name.equals("<clinit>") || method.name.startsWith("lambda$") || isStart(node, method, file)) return first;
    String name = method.name.equals("<init>") ? node.name.replaceAll(".*[/$]", "") : method.name;
    Pattern pattern = Pattern.compile("(?<![.\\w])" + Pattern.quote(name) + "\\s*(\\(|\\{)");
    String[] text = texts.get(file);
    for (int line = Math.min(first, text.length); line > 0; line--) {
      if (pattern.matcher(text[line - 1]).find() && !text[line - 1].contains("new " + name)) return line;
    }
    return first;
  }

  /** True for the class that a drawing sketch is: its object is never seen, its fields are the variables outside of the functions. */
  private static boolean isSketch(ClassNode node) {
    return node.superName.equals("bentnail/sketch/Drawing");
  }

  /** True for what a sketch does outside of its functions: values that its variables begin with, and all of one that has no functions. */
  private boolean isStart(ClassNode node, MethodNode method, int file) {
    return isSketch(node) && (method.name.equals("<init>") || (method.name.equals("setup") && texts.get(file)[0].contains("Drawing { /**/public void setup() {")));
  }

  private String shownName(ClassNode node, MethodNode method, int file) {
    if (isStart(node, method, file)) return Recorder.START;
    if (method.name.equals("<clinit>")) return "static";
    if (method.name.equals("<init>")) return node.name.replaceAll(".*[/$]", "");
    return method.name.startsWith("lambda$") ? "lambda" : method.name;
  }

  /** The line of a method's first statement; 0 where it has none. What a sketch's variables begin with stands behind the call of the parent. */
  private static int firstLine(MethodNode method, boolean ofSketch) {
    int any = 0;
    boolean begun = !ofSketch;
    boolean gives = !ofSketch;
    int first = 0;
    for (AbstractInsnNode each : method.instructions) {
      if (each instanceof LineNumberNode && any == 0) any = ((LineNumberNode) each).line;
      if (each instanceof LineNumberNode && begun && first == 0) first = ((LineNumberNode) each).line;
      if (each instanceof MethodInsnNode && ((MethodInsnNode) each).name.equals("<init>")) begun = true;
      if (ofSketch && each.getOpcode() == Opcodes.PUTFIELD) {
        // The first line has its number before the call of the parent.
        if (!gives && first == 0) first = any;
        gives = true;
      }
    }
    return gives ? first : 0;
  }

  private void instrument(ClassNode node, MethodNode method, int file) {
    boolean ofSketch = isSketch(node) && method.name.equals("<init>");
    int first = firstLine(method, ofSketch);
    if (first == 0) return;
    int frame = method.maxLocals;
    int temporary = frame + 1;
    int index = frame + 3;
    method.maxLocals += 4;
    AbstractInsnNode begin = afterParent(method);
    Map<AbstractInsnNode, Integer> places = new HashMap<>();
    int place = 0;
    for (AbstractInsnNode each : method.instructions) places.put(each, place++);
    List<LocalVariableNode> variables = method.localVariables == null ? List.of() : method.localVariables;
    Set<LabelNode> handlers = new HashSet<>();
    for (TryCatchBlockNode block : method.tryCatchBlocks) handlers.add(block.handler);

    boolean started = begin == null;
    int header = headerLine(node, method, file, first);
    int line = 0;
    AbstractInsnNode[] all = method.instructions.toArray();
    Map<JumpInsnNode, LabelNode> jumps = new HashMap<>();
    Map<AbstractInsnNode, LabelNode> tops = topsOfOneLineLoops(all, places, jumps);
    for (AbstractInsnNode each : all) {
      if (each == begin) started = true;
      if (each instanceof LineNumberNode) {
        line = ((LineNumberNode) each).line;
        boolean counts = started ? each != begin : line != header && !ofSketch;
        if (counts && !onlyBrace(file, line)) {
          InsnList call = lineCall(frame, line);
          if (change != null && file == 0 && line == change.line) call.add(putIn(node, method, frame, variables, places.get(each), places));
          if (tops.containsKey(each)) call.add(tops.get(each));
          method.instructions.insert(each, call);
        }
        continue;
      }
      if (!started) continue;
      if (each instanceof LabelNode && handlers.contains(each)) {
        AbstractInsnNode at = each;
        while (at.getNext() instanceof LineNumberNode || at.getNext() instanceof LabelNode) {
          if (at.getNext() instanceof LineNumberNode) break;
          at = at.getNext();
        }
        InsnList call = new InsnList();
        call.add(new InsnNode(Opcodes.DUP));
        call.add(new VarInsnNode(Opcodes.ILOAD, frame));
        call.add(new InsnNode(Opcodes.SWAP));
        call.add(recorder("caught", "(ILjava/lang/Throwable;)V"));
        method.instructions.insert(at, call);
      } else if (each instanceof JumpInsnNode) {
        JumpInsnNode jump = (JumpInsnNode) each;
        Integer target = places.get(jump.label);
        boolean back = target != null && target < places.get(each) && jump.getOpcode() == Opcodes.GOTO;
        int top = back ? lineAt(all, target) : 0;
        if (top > 0 && top != line) method.instructions.insertBefore(each, lineCall(frame, top));
        if (back && !onlyBrace(file, line) && onOneLine(all, target, places.get(each), line)) method.instructions.insert(passBegin(all, target, places.get(each)), lineCall(frame, line));
      } else if (each instanceof VarInsnNode && each.getOpcode() >= Opcodes.ISTORE && each.getOpcode() <= Opcodes.ASTORE) {
        LocalVariableNode variable = variableAt(variables, ((VarInsnNode) each).var, places.get(each), places);
        if (variable != null) method.instructions.insert(each, localCall(frame, variable));
      } else if (each instanceof IincInsnNode) {
        LocalVariableNode variable = variableAt(variables, ((IincInsnNode) each).var, places.get(each), places);
        if (variable != null) method.instructions.insert(each, localCall(frame, variable));
      } else if (each instanceof FieldInsnNode && each.getOpcode() == Opcodes.PUTSTATIC) {
        putStatic(method, (FieldInsnNode) each, frame);
      } else if (each instanceof FieldInsnNode && each.getOpcode() == Opcodes.PUTFIELD) {
        putField(method, (FieldInsnNode) each, frame, temporary);
      } else if (each instanceof MethodInsnNode && takesArray((MethodInsnNode) each)) {
        InsnList call = new InsnList();
        call.add(new VarInsnNode(Opcodes.ILOAD, frame));
        call.add(recorder("through", "(I)V"));
        method.instructions.insert(each, call);
      } else if (each.getOpcode() >= Opcodes.IASTORE && each.getOpcode() <= Opcodes.SASTORE) {
        arrayStore(method, each, frame, temporary, index);
      } else if (each.getOpcode() >= Opcodes.IRETURN && each.getOpcode() <= Opcodes.RETURN) {
        method.instructions.insertBefore(each, returnCall(method, each.getOpcode(), frame));
      }
    }
    jumps.forEach((jump, label) -> {
      if (method.instructions.contains(label)) jump.label = label;
    });
    for (LocalVariableNode variable : variables) ended(method, frame, variable);
    enter(node, method, file, header, frame, begin, variables);
  }

  /**
   * The line numbers at the tops of loops that are written on one line, each with a new label behind: such a line begins once and then each
   * pass, so the jumps back go to the label.
   */
  private static Map<AbstractInsnNode, LabelNode> topsOfOneLineLoops(AbstractInsnNode[] all, Map<AbstractInsnNode, Integer> places, Map<JumpInsnNode, LabelNode> jumps) {
    Map<AbstractInsnNode, LabelNode> tops = new HashMap<>();
    for (AbstractInsnNode each : all) {
      if (each.getOpcode() != Opcodes.GOTO) continue;
      Integer target = places.get(((JumpInsnNode) each).label);
      if (target == null || target >= places.get(each)) continue;
      for (int at = target; at < all.length && all[at].getOpcode() < 0; at++) {
        if (!(all[at] instanceof LineNumberNode) || !onOneLine(all, at, places.get(each), ((LineNumberNode) all[at]).line)) continue;
        jumps.put((JumpInsnNode) each, tops.computeIfAbsent(all[at], top -> new LabelNode()));
      }
    }
    return tops;
  }

  /** The line of a loop's top that a jump back comes to without passing its number, as in a loop over a collection; 0 where the number is passed. */
  private static int lineAt(AbstractInsnNode[] all, int target) {
    for (int at = target; at < all.length && all[at].getOpcode() < 0; at++) if (all[at] instanceof LineNumberNode) return 0;
    for (int at = target; at >= 0; at--) if (all[at] instanceof LineNumberNode) return ((LineNumberNode) all[at]).line;
    return 0;
  }

  /** True for a call of the library that is given an array: it may sort, fill or copy into it. */
  private boolean takesArray(MethodInsnNode call) {
    if (nodes.containsKey(call.owner)) return false;
    return call.desc.substring(0, call.desc.indexOf(')')).contains("[") || call.name.equals("arraycopy");
  }

  /** Says where the scope of a variable that can hold an object ends: what becomes of the object later is not the variable's any more. */
  private static void ended(MethodNode method, int frame, LocalVariableNode variable) {
    if (variable.desc.length() == 1 || variable.name.equals("this")) return;
    AbstractInsnNode at = variable.end;
    while (at.getNext() != null && at.getNext().getOpcode() < 0) at = at.getNext();
    if (at.getNext() == null) return;
    InsnList call = new InsnList();
    call.add(new VarInsnNode(Opcodes.ILOAD, frame));
    call.add(new LdcInsnNode(variable.name));
    call.add(recorder("ended", "(ILjava/lang/String;)V"));
    method.instructions.insert(at, call);
  }

  /** In a constructor a label after the call of the parent's or of another constructor; null elsewhere. */
  private static AbstractInsnNode afterParent(MethodNode method) {
    if (!method.name.equals("<init>")) return null;
    int open = 0;
    for (AbstractInsnNode each : method.instructions) {
      if (each.getOpcode() == Opcodes.NEW) open++;
      if (each instanceof MethodInsnNode && ((MethodInsnNode) each).name.equals("<init>") && open-- == 0) {
        LabelNode label = new LabelNode();
        method.instructions.insert(each, label);
        return label;
      }
    }
    return null;
  }

  /** The method's entry. A constructor is entered before its parent's, and has its object after that. */
  private void enter(ClassNode node, MethodNode method, int file, int header, int frame, AbstractInsnNode begin, List<LocalVariableNode> variables) {
    InsnList entry = new InsnList();
    push(entry, file);
    push(entry, header);
    entry.add(new LdcInsnNode(shownName(node, method, file)));
    entry.add(recorder("enter", "(IILjava/lang/String;)I"));
    entry.add(new VarInsnNode(Opcodes.ISTORE, frame));
    InsnList body = begin == null ? entry : new InsnList();
    int parameters = (method.access & Opcodes.ACC_STATIC) != 0 ? 0 : 1;
    for (Type type : Type.getArgumentTypes(method.desc)) parameters += type.getSize();
    int slot = (method.access & Opcodes.ACC_STATIC) != 0 ? 0 : 1;
    for (LocalVariableNode variable : variables) {
      boolean parameter = variable.index >= slot && variable.index < parameters && isStart(method, variable.start);
      // An inner object's way to the outer one is nothing that was written.
      if (variable.name.startsWith("this$") || (variable.name.equals("this") && slot == 1 && isSketch(node))) continue;
      if (variable.name.equals("this") && slot == 1) body.add(localCall(frame, variable));
      else if (parameter && !(method.name.equals("main") && variable.desc.equals("[Ljava/lang/String;"))) entry.add(localCall(frame, variable));
    }
    LabelNode from = new LabelNode();
    LabelNode to = new LabelNode();
    LabelNode handler = new LabelNode();
    body.add(from);
    if (begin != null) method.instructions.insertBefore(begin, body);
    method.instructions.insert(entry);
    InsnList end = new InsnList();
    end.add(to);
    end.add(handler);
    end.add(new InsnNode(Opcodes.DUP));
    end.add(new VarInsnNode(Opcodes.ILOAD, frame));
    end.add(new InsnNode(Opcodes.SWAP));
    end.add(recorder("thrown", "(ILjava/lang/Throwable;)V"));
    end.add(new InsnNode(Opcodes.ATHROW));
    method.instructions.add(end);
    method.tryCatchBlocks.add(new TryCatchBlockNode(from, to, handler, null));
  }

  private static boolean isStart(MethodNode method, LabelNode label) {
    for (AbstractInsnNode each = method.instructions.getFirst(); each != null; each = each.getNext()) {
      if (each == label) return true;
      if (each.getOpcode() >= 0) return false;
    }
    return false;
  }

  private boolean onlyBrace(int file, int line) {
    String[] text = texts.get(file);
    return line <= text.length && text[line - 1].trim().matches("[{}]+;?\\s*(//.*)?");
  }

  /** True if nothing between two places lies on another line: a loop that is written on one line. */
  private static boolean onOneLine(AbstractInsnNode[] all, int from, int to, int line) {
    for (int at = from; at < to; at++) if (all[at] instanceof LineNumberNode && ((LineNumberNode) all[at]).line != line) return false;
    return true;
  }

  /** Where a pass of a loop begins: after the jump that would leave it, or at its top. */
  private AbstractInsnNode passBegin(AbstractInsnNode[] all, int from, int to) {
    for (int at = from; at < to; at++) {
      if (all[at] instanceof JumpInsnNode && all[at].getOpcode() != Opcodes.GOTO) {
        for (int after = to + 1; after < all.length; after++) if (all[after] == ((JumpInsnNode) all[at]).label) return all[at];
      }
    }
    return all[from];
  }

  private static InsnList lineCall(int frame, int line) {
    InsnList call = new InsnList();
    call.add(new VarInsnNode(Opcodes.ILOAD, frame));
    push(call, line);
    call.add(recorder("line", "(II)V"));
    return call;
  }

  /** Puts the value in, where the step is the one: into a variable, a field of the own object, a field of a class, or into a part of what one of them holds. */
  private InsnList putIn(ClassNode node, MethodNode method, int frame, List<LocalVariableNode> variables, int place, Map<AbstractInsnNode, Integer> places) {
    LabelNode skip = new LabelNode();
    InsnList put = new InsnList();
    put.add(new VarInsnNode(Opcodes.ILOAD, frame));
    put.add(recorder("puts", "(I)Z"));
    put.add(new JumpInsnNode(Opcodes.IFEQ, skip));
    try {
      if (!change.name.isEmpty()) put.add(putAt(node, method, frame, seenAt(variables, place, places)));
    } catch (IllegalArgumentException problem) {
      put.add(new LdcInsnNode(problem.getMessage()));
      put.add(recorder("notChanged", "(Ljava/lang/String;)V"));
    }
    put.add(skip);
    return put;
  }

  /** The variable with the name that can be seen at a place; null where there is none. */
  private LocalVariableNode seenAt(List<LocalVariableNode> variables, int place, Map<AbstractInsnNode, Integer> places) {
    for (LocalVariableNode variable : variables) {
      if (variable.name.equals(change.name) && places.get(variable.start) <= place + 1 && place < places.get(variable.end)) return variable;
    }
    return null;
  }

  private InsnList putAt(ClassNode node, MethodNode method, int frame, LocalVariableNode variable) {
    InsnList put = new InsnList();
    if (variable != null && change.rest.isEmpty()) {
      Type type = Type.getType(variable.desc);
      constant(put, type);
      put.add(new VarInsnNode(type.getOpcode(Opcodes.ISTORE), variable.index));
      put.add(localCall(frame, variable));
      return put;
    }
    if (variable != null) {
      if (variable.desc.length() == 1) throw new IllegalArgumentException(change.name + " has no parts.");
      put.add(new VarInsnNode(Opcodes.ALOAD, variable.index));
      put.add(recorder("putInto", "(Ljava/lang/Object;)V"));
      return put;
    }
    for (FieldNode field : node.fields) {
      if (!field.name.equals(change.name)) continue;
      boolean ofClass = (field.access & Opcodes.ACC_STATIC) != 0;
      if (!ofClass && (method.access & Opcodes.ACC_STATIC) != 0) break;
      if (!ofClass) put.add(new VarInsnNode(Opcodes.ALOAD, 0));
      if (!change.rest.isEmpty()) {
        put.add(new FieldInsnNode(ofClass ? Opcodes.GETSTATIC : Opcodes.GETFIELD, node.name, field.name, field.desc));
        put.add(recorder("putInto", "(Ljava/lang/Object;)V"));
        return put;
      }
      Type type = Type.getType(field.desc);
      constant(put, type);
      put.add(new FieldInsnNode(ofClass ? Opcodes.PUTSTATIC : Opcodes.PUTFIELD, node.name, field.name, field.desc));
      // It is told as any field is that gets a value.
      boolean isGlobal = ofClass || isSketch(node);
      if (!isGlobal) put.add(new VarInsnNode(Opcodes.ALOAD, 0));
      if (isGlobal) put.add(new VarInsnNode(Opcodes.ILOAD, frame));
      constant(put, type);
      box(put, type);
      if (!isGlobal) put.add(new VarInsnNode(Opcodes.ILOAD, frame));
      put.add(new LdcInsnNode(ofClass && topClasses > 1 ? node.name.replaceAll(".*[/$]", "") + "." + field.name : field.name));
      put.add(isGlobal ? recorder("global", "(ILjava/lang/Object;Ljava/lang/String;)V") : recorder("field", "(Ljava/lang/Object;Ljava/lang/Object;ILjava/lang/String;)V"));
      return put;
    }
    throw new IllegalArgumentException("There is no variable " + change.name + " here.");
  }

  /** The value as it is written, of a type. */
  private void constant(InsnList list, Type type) {
    Object value = Literal.of(type.getDescriptor(), change.value);
    if (value == null) list.add(new InsnNode(Opcodes.ACONST_NULL));
    else if (value instanceof Boolean) push(list, (Boolean) value ? 1 : 0);
    else if (value instanceof Character) push(list, (Character) value);
    else if (value instanceof Byte || value instanceof Short) push(list, ((Number) value).intValue());
    else list.add(new LdcInsnNode(value));
    if (value == null || type.getSort() != Type.OBJECT || value instanceof String) return;
    Type plain = Type.getType(value instanceof Integer ? "I" : value instanceof Long ? "J" : value instanceof Double ? "D" : value instanceof Boolean ? "Z" : "C");
    box(list, plain);
  }

  /** The variable of a slot that can be seen right after an instruction. */
  private static LocalVariableNode variableAt(List<LocalVariableNode> variables, int slot, int place, Map<AbstractInsnNode, Integer> places) {
    LocalVariableNode best = null;
    for (LocalVariableNode variable : variables) {
      if (variable.index != slot) continue;
      int from = places.get(variable.start);
      int to = places.get(variable.end);
      if (place + 1 >= from - 2 && place < to && from <= place + 3) best = variable;
      else if (from <= place && place < to) return variable;
    }
    return best;
  }

  private static InsnList localCall(int frame, LocalVariableNode variable) {
    InsnList call = new InsnList();
    Type type = Type.getType(variable.desc);
    call.add(new VarInsnNode(Opcodes.ILOAD, frame));
    call.add(new VarInsnNode(type.getOpcode(Opcodes.ILOAD), variable.index));
    box(call, type);
    call.add(new LdcInsnNode(variable.name));
    call.add(recorder("local", "(ILjava/lang/Object;Ljava/lang/String;)V"));
    return call;
  }

  private void putStatic(MethodNode method, FieldInsnNode each, int frame) {
    ClassNode owner = nodes.get(each.owner);
    if (owner == null || synthetic(owner, each.name)) return;
    Type type = Type.getType(each.desc);
    method.instructions.insertBefore(each, new InsnNode(type.getSize() == 2 ? Opcodes.DUP2 : Opcodes.DUP));
    InsnList call = new InsnList();
    box(call, type);
    call.add(new VarInsnNode(Opcodes.ILOAD, frame));
    call.add(new InsnNode(Opcodes.SWAP));
    call.add(new LdcInsnNode(topClasses > 1 ? each.owner.replaceAll(".*[/$]", "") + "." + each.name : each.name));
    call.add(recorder("global", "(ILjava/lang/Object;Ljava/lang/String;)V"));
    method.instructions.insert(each, call);
  }

  private static boolean synthetic(ClassNode owner, String name) {
    for (FieldNode field : owner.fields) if (field.name.equals(name)) return (field.access & Opcodes.ACC_SYNTHETIC) != 0;
    return false;
  }

  private void putField(MethodNode method, FieldInsnNode each, int frame, int temporary) {
    ClassNode owner = nodes.get(each.owner);
    if (owner == null || synthetic(owner, each.name)) return;
    Type type = Type.getType(each.desc);
    InsnList before = new InsnList();
    before.add(new VarInsnNode(type.getOpcode(Opcodes.ISTORE), temporary));
    before.add(new InsnNode(Opcodes.DUP));
    before.add(new VarInsnNode(type.getOpcode(Opcodes.ILOAD), temporary));
    method.instructions.insertBefore(each, before);
    InsnList after = new InsnList();
    if (isSketch(owner)) {
      after.add(new InsnNode(Opcodes.POP));
      after.add(new VarInsnNode(Opcodes.ILOAD, frame));
      after.add(new VarInsnNode(type.getOpcode(Opcodes.ILOAD), temporary));
      box(after, type);
      after.add(new LdcInsnNode(each.name));
      after.add(recorder("global", "(ILjava/lang/Object;Ljava/lang/String;)V"));
      method.instructions.insert(each, after);
      return;
    }
    after.add(new VarInsnNode(type.getOpcode(Opcodes.ILOAD), temporary));
    box(after, type);
    after.add(new VarInsnNode(Opcodes.ILOAD, frame));
    after.add(new LdcInsnNode(each.name));
    after.add(recorder("field", "(Ljava/lang/Object;Ljava/lang/Object;ILjava/lang/String;)V"));
    method.instructions.insert(each, after);
  }

  private static void arrayStore(MethodNode method, AbstractInsnNode each, int frame, int temporary, int index) {
    Type[] kinds = {Type.INT_TYPE, Type.LONG_TYPE, Type.FLOAT_TYPE, Type.DOUBLE_TYPE, Type.getType(Object.class), Type.BYTE_TYPE, Type.CHAR_TYPE, Type.SHORT_TYPE};
    Type type = kinds[each.getOpcode() - Opcodes.IASTORE];
    InsnList before = new InsnList();
    before.add(new VarInsnNode(type.getOpcode(Opcodes.ISTORE), temporary));
    before.add(new VarInsnNode(Opcodes.ISTORE, index));
    before.add(new InsnNode(Opcodes.DUP));
    before.add(new VarInsnNode(Opcodes.ILOAD, index));
    before.add(new VarInsnNode(type.getOpcode(Opcodes.ILOAD), temporary));
    method.instructions.insertBefore(each, before);
    InsnList after = new InsnList();
    after.add(new VarInsnNode(Opcodes.ILOAD, index));
    // The element is read back: a byte array may be one of booleans, and values are cut to the element's size.
    after.add(new InsnNode(Opcodes.DUP2));
    after.add(recorder("elementOf", "(Ljava/lang/Object;I)Ljava/lang/Object;"));
    after.add(new VarInsnNode(Opcodes.ILOAD, frame));
    after.add(recorder("element", "(Ljava/lang/Object;ILjava/lang/Object;I)V"));
    method.instructions.insert(each, after);
  }

  private static InsnList returnCall(MethodNode method, int opcode, int frame) {
    InsnList call = new InsnList();
    if (opcode == Opcodes.RETURN) {
      call.add(new VarInsnNode(Opcodes.ILOAD, frame));
      call.add(recorder("returned", "(I)V"));
      return call;
    }
    Type type = Type.getReturnType(method.desc);
    call.add(new InsnNode(type.getSize() == 2 ? Opcodes.DUP2 : Opcodes.DUP));
    box(call, type);
    call.add(new VarInsnNode(Opcodes.ILOAD, frame));
    call.add(new InsnNode(Opcodes.SWAP));
    call.add(recorder("returned", "(ILjava/lang/Object;)V"));
    return call;
  }

  private static MethodInsnNode recorder(String name, String descriptor) {
    return new MethodInsnNode(Opcodes.INVOKESTATIC, RECORDER, name, descriptor, false);
  }

  private static void push(InsnList list, int number) {
    if (number >= Short.MIN_VALUE && number <= Short.MAX_VALUE) list.add(new IntInsnNode(Opcodes.SIPUSH, number));
    else list.add(new LdcInsnNode(number));
  }

  private static void box(InsnList list, Type type) {
    String[] owner = {null, "Boolean", "Character", "Byte", "Short", "Integer", "Float", "Long", "Double"};
    int sort = type.getSort();
    if (sort < Type.BOOLEAN || sort > Type.DOUBLE) return;
    String name = "java/lang/" + owner[sort];
    list.add(new MethodInsnNode(Opcodes.INVOKESTATIC, name, "valueOf", "(" + type.getDescriptor() + ")L" + name + ";", false));
  }
}
