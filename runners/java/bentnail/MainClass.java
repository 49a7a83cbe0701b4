package bentnail;

import java.util.Map;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/** Finds the class that a program starts in. */
final class MainClass {
  private MainClass() {}

  /** The first class of the main file with a main method, public ones first; else of any file; else the first class. Names with dots; "" if there is none. */
  static String find(Map<String, byte[]> classes, String mainFile) {
    String best = "";
    int bestRank = -1;
    for (Map.Entry<String, byte[]> each : classes.entrySet()) {
      int[] rank = {0};
      new ClassReader(each.getValue())
          .accept(
              new ClassVisitor(Opcodes.ASM9) {
                @Override
                public void visit(int version, int access, String name, String signature, String parent, String[] interfaces) {
                  if ((access & Opcodes.ACC_PUBLIC) != 0) rank[0] += 1;
                }

                @Override
                public void visitSource(String source, String debug) {
                  if (mainFile.equals(source) || mainFile.endsWith("/" + source)) rank[0] += 2;
                }

                @Override
                public MethodVisitor visitMethod(int access, String name, String descriptor, String signature, String[] exceptions) {
                  int wanted = Opcodes.ACC_PUBLIC | Opcodes.ACC_STATIC;
                  if (name.equals("main") && descriptor.equals("([Ljava/lang/String;)V") && (access & wanted) == wanted) rank[0] += 4;
                  return null;
                }
              },
              ClassReader.SKIP_CODE | ClassReader.SKIP_FRAMES);
      if (rank[0] > bestRank) {
        best = each.getKey().replace('/', '.');
        bestRank = rank[0];
      }
    }
    return best;
  }
}
