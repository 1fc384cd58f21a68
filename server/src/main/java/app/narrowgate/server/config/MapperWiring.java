package app.narrowgate.server.config;

import org.mybatis.spring.mapper.MapperFactoryBean;
import org.mybatis.spring.mapper.MapperScannerConfigurer;
import org.springframework.aot.generate.GenerationContext;
import org.springframework.beans.factory.aot.BeanRegistrationAotContribution;
import org.springframework.beans.factory.aot.BeanRegistrationAotProcessor;
import org.springframework.beans.factory.aot.BeanRegistrationCode;
import org.springframework.beans.factory.aot.BeanRegistrationCodeFragments;
import org.springframework.beans.factory.aot.BeanRegistrationCodeFragmentsDecorator;
import org.springframework.beans.factory.aot.BeanRegistrationExcludeFilter;
import org.springframework.beans.factory.support.InstanceSupplier;
import org.springframework.beans.factory.support.RegisteredBean;
import org.springframework.beans.factory.support.RootBeanDefinition;
import org.springframework.core.ResolvableType;
import org.springframework.javapoet.ClassName;
import org.springframework.javapoet.CodeBlock;

/**
 * What the build works out of the mappers' wiring, so that a server need not look for them when it starts. A mapper is seen in its package only: what
 * is written for it goes there. Named in {@code META-INF/spring/aot.factories}.
 */
class MapperWiring implements BeanRegistrationAotProcessor, BeanRegistrationExcludeFilter {

    @Override
    public BeanRegistrationAotContribution processAheadOfTime(RegisteredBean bean) {
        if (!isA(MapperFactoryBean.class, bean)) {
            return null;
        }
        Class<?> mapper = bean.getBeanFactory().getType(bean.getBeanName());
        return BeanRegistrationAotContribution.withCustomCodeFragments(usual -> new OfMapper(usual, mapper));
    }

    /** What looks for mappers is not wanted where they are known. */
    @Override
    public boolean isExcludedFromAotProcessing(RegisteredBean bean) {
        return isA(MapperScannerConfigurer.class, bean);
    }

    private static boolean isA(Class<?> type, RegisteredBean bean) {
        RootBeanDefinition definition = bean.getMergedBeanDefinition();
        return definition.hasBeanClass() && definition.getBeanClass() == type;
    }

    /** In the mapper's package, and telling what it makes. */
    private static class OfMapper extends BeanRegistrationCodeFragmentsDecorator {

        private final Class<?> mapper;

        OfMapper(BeanRegistrationCodeFragments usual, Class<?> mapper) {
            super(usual);
            this.mapper = mapper;
        }

        @Override
        public ClassName getTarget(RegisteredBean bean) {
            return ClassName.get(mapper);
        }

        @Override
        public CodeBlock generateNewBeanDefinitionCode(GenerationContext context, ResolvableType type, BeanRegistrationCode code) {
            return super.generateNewBeanDefinitionCode(context, ResolvableType.forClassWithGenerics(MapperFactoryBean.class, mapper), code);
        }

        /** Its interface is told as a property, too; as an argument it is text, which is not taken for a class here. */
        @Override
        public CodeBlock generateInstanceSupplierCode(GenerationContext context, BeanRegistrationCode code, boolean direct) {
            return CodeBlock.of("$T.using($T::new)", InstanceSupplier.class, MapperFactoryBean.class);
        }
    }
}
