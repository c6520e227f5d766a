package lynchet.server.people;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import lynchet.core.people.Condition;
import lynchet.core.people.Promotion;
import lynchet.core.people.PromotionBuilder;
import lynchet.core.people.Readiness;
import lynchet.server.keep.Row;

@Entity
@Table(name = "promotion")
class PromotionRow extends Row<Promotion> {

    private String student;

    private String ladder;

    private String fromRank;

    private String toRank;

    private int stripes;

    private LocalDate givenOn;

    private boolean fromBefore;

    @Enumerated(EnumType.STRING)
    private Readiness.Verdict verdict;

    private String reason;

    private String grading;

    private Instant at;

    @Column(name = "by_account")
    private String by;

    @Column(name = "announced_on")
    private LocalDate announced;

    private String corrects;

    @ElementCollection
    @CollectionTable(name = "promotion_figure", joinColumns = @JoinColumn(name = "promotion"))
    @OrderColumn(name = "place")
    private List<FigureRow> figures = new ArrayList<>();

    protected PromotionRow() {}

    PromotionRow(Promotion value) {
        super(value.id());
        keep(value);
    }

    @Override
    public void keep(Promotion value) {
        student = value.student();
        ladder = value.ladder();
        fromRank = value.from();
        toRank = value.to();
        stripes = value.stripes();
        givenOn = value.date();
        fromBefore = value.fromBefore();
        verdict = value.verdict();
        reason = value.reason();
        grading = value.grading();
        at = value.at();
        by = value.by();
        announced = value.announced();
        corrects = value.corrects();
        figures.clear();
        value.figures().forEach(figure -> figures.add(new FigureRow(figure)));
    }

    @Override
    public Promotion toCore() {
        return PromotionBuilder.builder()
                .id(getId())
                .student(student)
                .ladder(ladder)
                .from(fromRank)
                .to(toRank)
                .stripes(stripes)
                .date(givenOn)
                .fromBefore(fromBefore)
                .verdict(verdict)
                .figures(figures.stream().map(FigureRow::toCore).toList())
                .reason(reason)
                .grading(grading)
                .at(at)
                .by(by)
                .announced(announced)
                .corrects(corrects)
                .build();
    }

    /** One condition as it stood. */
    @Embeddable
    static class FigureRow {

        @Enumerated(EnumType.STRING)
        private Condition.Code code;

        private String label;

        private String have;

        private String need;

        private boolean met;

        protected FigureRow() {}

        FigureRow(Promotion.Figure figure) {
            code = figure.code();
            label = figure.label();
            have = figure.have();
            need = figure.need();
            met = figure.met();
        }

        Promotion.Figure toCore() {
            return new Promotion.Figure(code, label, have, need, met);
        }
    }
}
