package app.narrowgate.server.odds;

import jakarta.validation.Validator;
import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.beans.BeanUtils;
import org.springframework.core.MethodParameter;
import org.springframework.core.convert.ConversionException;
import org.springframework.core.convert.ConversionService;
import org.springframework.core.convert.support.DefaultConversionService;
import org.springframework.stereotype.Component;
import org.springframework.validation.BeanPropertyBindingResult;
import org.springframework.validation.BindingResult;
import org.springframework.validation.FieldError;
import org.springframework.validation.MapBindingResult;
import org.springframework.validation.beanvalidation.SpringValidatorAdapter;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Reads an {@link OddsQuestion} from the parameters of a request, and checks it.
 *
 * <p>It stands in for Spring's own binding of records, which parses the annotations of the whole constructor anew for
 * each of its parameters at every request. With sixteen of them that took longer than solving the map, under a hand on
 * a slider.
 */
@Component
class OddsQuestionResolver implements HandlerMethodArgumentResolver, WebMvcConfigurer {

    private static final String NAME = "question";
    private static final RecordComponent[] PARTS = OddsQuestion.class.getRecordComponents();
    private static final Constructor<OddsQuestion> CONSTRUCTOR = BeanUtils.getResolvableConstructor(OddsQuestion.class);

    private final ConversionService conversion = DefaultConversionService.getSharedInstance();
    private final SpringValidatorAdapter validator;
    private final Pairs pairs;

    OddsQuestionResolver(Validator validator, Pairs pairs) {
        this.pairs = pairs;
        this.validator = new SpringValidatorAdapter(validator);
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == OddsQuestion.class;
    }

    @Override
    public OddsQuestion resolveArgument(MethodParameter parameter, ModelAndViewContainer container,
            NativeWebRequest request, WebDataBinderFactory binders) throws MethodArgumentNotValidException {
        BindingResult unreadable = new MapBindingResult(Map.of(), NAME);
        Object[] values = Arrays.stream(PARTS).map(part -> read(part, request, unreadable)).toArray();
        refuse(parameter, unreadable);
        OddsQuestion question = BeanUtils.instantiateClass(CONSTRUCTOR, values);
        BindingResult outside = new BeanPropertyBindingResult(question, NAME);
        validator.validate(question, outside);
        refuse(parameter, outside);
        return pairs.put(question);
    }

    private Object read(RecordComponent part, NativeWebRequest request, BindingResult unreadable) {
        String[] written = request.getParameterValues(part.getName());
        if (written == null) {
            return null;
        }
        Object value = written.length == 1 ? written[0] : written;
        try {
            return conversion.convert(value, part.getType());
        } catch (ConversionException e) {
            unreadable.addError(new FieldError(NAME, part.getName(), value, true, null, null, e.getMessage()));
            return null;
        }
    }

    private static void refuse(MethodParameter parameter, BindingResult faults) throws MethodArgumentNotValidException {
        if (faults.hasErrors()) {
            throw new MethodArgumentNotValidException(parameter, faults);
        }
    }
}
