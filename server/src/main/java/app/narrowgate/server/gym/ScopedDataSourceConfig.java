package app.narrowgate.server.gym;

import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Puts the scope before the pool, whatever asks for a connection. */
@Configuration(proxyBeanMethods = false)
class ScopedDataSourceConfig {

    @Bean
    static BeanPostProcessor scopedDataSource() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof DataSource pool && name.equals("dataSource") ? new ScopedDataSource(pool) : bean;
            }
        };
    }
}
