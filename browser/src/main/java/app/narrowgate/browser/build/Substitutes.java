package app.narrowgate.browser.build;

import java.util.Map;
import org.teavm.model.BasicBlock;
import org.teavm.model.ClassHolder;
import org.teavm.model.ClassHolderTransformer;
import org.teavm.model.ClassHolderTransformerContext;
import org.teavm.model.Instruction;
import org.teavm.model.MethodDescriptor;
import org.teavm.model.MethodHolder;
import org.teavm.model.MethodReference;
import org.teavm.model.Program;
import org.teavm.model.ValueType;
import org.teavm.model.Variable;
import org.teavm.model.instructions.ExitInstruction;
import org.teavm.model.instructions.InvocationType;
import org.teavm.model.instructions.InvokeInstruction;
import org.teavm.model.instructions.StringConstantInstruction;
import org.teavm.vm.spi.TeaVMHost;
import org.teavm.vm.spi.TeaVMPlugin;

/**
 * Puts a few calls of our classes to the browser's own means in the place of the class library's: those of formatting,
 * normalization and character classes would be larger than everything else that is compiled. Records and vectors lose the texts that
 * they have made of themselves. Of the class library nothing is touched but how a number writes itself.
 */
public final class Substitutes implements TeaVMPlugin {

    private static final String OURS = "app.narrowgate.";
    private static final String PLATFORM = "app.narrowgate.browser.Platform";
    private static final String VECTOR = "org.apache.commons.geometry.euclidean.threed.Vector3D";
    private static final ValueType TEXT = ValueType.object("java.lang.String");

    private static final MethodDescriptor TO_STRING = new MethodDescriptor("toString", TEXT);
    private static final Map<MethodReference, MethodReference> BY = Map.of(
            method("java.lang.String", "formatted", ValueType.arrayOf(ValueType.object("java.lang.Object")), TEXT),
            method(PLATFORM, "formatted", TEXT, ValueType.arrayOf(ValueType.object("java.lang.Object")), TEXT),
            method("app.narrowgate.core.check.Composed", "of", TEXT, TEXT), method(PLATFORM, "composed", TEXT, TEXT),
            method("java.lang.Character", "getType", ValueType.INTEGER, ValueType.INTEGER),
            method(PLATFORM, "type", ValueType.INTEGER, ValueType.INTEGER),
            method("java.lang.Double", "toString", ValueType.DOUBLE, TEXT), method(PLATFORM, "number", ValueType.DOUBLE, TEXT));

    private static MethodReference method(String owner, String name, ValueType... signature) {
        return new MethodReference(owner, name, signature);
    }

    @Override
    public void install(TeaVMHost host) {
        host.add(new ClassHolderTransformer() {
            @Override
            public void transformClass(ClassHolder type, ClassHolderTransformerContext context) {
                if (type.getName().startsWith(OURS) || type.getName().equals("java.lang.Double")) {
                    type.getMethods().forEach(method -> redirect(type, method));
                } else if (type.getName().equals(VECTOR)) {
                    type.getMethod(TO_STRING).setProgram(name(type));
                }
            }
        });
    }

    private static void redirect(ClassHolder type, MethodHolder method) {
        if (method.getProgram() == null) {
            return;
        }
        if (isTextOfARecord(type, method)) {
            method.setProgram(name(type));
        }
        for (BasicBlock block : method.getProgram().getBasicBlocks()) {
            for (Instruction instruction : block) {
                if (instruction instanceof InvokeInstruction call) {
                    redirect(call);
                }
            }
        }
    }

    private static boolean isTextOfARecord(ClassHolder type, MethodHolder method) {
        if (!"java.lang.Record".equals(type.getParent()) || !method.getDescriptor().equals(TO_STRING)) {
            return false;
        }
        String begun = type.getName().substring(type.getName().lastIndexOf(type.getName().contains("$") ? '$' : '.') + 1) + "[";
        for (BasicBlock block : method.getProgram().getBasicBlocks()) {
            for (Instruction instruction : block) {
                if (instruction instanceof StringConstantInstruction text && text.getConstant().startsWith(begun)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** What a record calls itself where it has not said how: its name, without its figures, of which nobody reads any here. */
    private static Program name(ClassHolder type) {
        Program program = new Program();
        program.createVariable();
        Variable text = program.createVariable();
        StringConstantInstruction name = new StringConstantInstruction();
        name.setConstant(type.getName());
        name.setReceiver(text);
        ExitInstruction exit = new ExitInstruction();
        exit.setValueToReturn(text);
        BasicBlock block = program.createBasicBlock();
        block.add(name);
        block.add(exit);
        return program;
    }

    private static void redirect(InvokeInstruction call) {
        if (BY.containsKey(call.getMethod())) {
            if (call.getInstance() != null) {
                Variable[] all = new Variable[call.getArguments().size() + 1];
                all[0] = call.getInstance();
                for (int i = 1; i < all.length; i++) {
                    all[i] = call.getArguments().get(i - 1);
                }
                call.setArguments(all);
            }
            call.setInstance(null);
            call.setType(InvocationType.SPECIAL);
            call.setMethod(BY.get(call.getMethod()));
        }
    }
}
