package lynchet.server.keep;

import java.time.LocalDate;
import lynchet.core.rule.Limits;
import org.springframework.core.convert.converter.Converter;
import org.springframework.stereotype.Component;

/** A day in an address lies where every other day does: sums with days far off have no end. */
@Component
class DayParameter implements Converter<String, LocalDate> {

    @Override
    public LocalDate convert(String text) {
        LocalDate day = LocalDate.parse(text.strip());
        if (day.isBefore(Limits.FIRST_DAY) || day.isAfter(Limits.LAST_DAY)) {
            throw new IllegalArgumentException("no day between 1900 and 2199");
        }
        return day;
    }
}
