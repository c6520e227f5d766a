package lynchet.server.mat;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import lynchet.core.mat.Block;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.server.keep.Changes;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Remembered;
import lynchet.server.map.MapStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps tracks, drill shapes and dated classes with their blocks. */
@Service
public class ClassStore {

    private final TrackRepository tracks;
    private final DrillRepository drills;
    private final ClassRepository classes;
    private final MapStore maps;
    private final Journal journal;
    private final Remembered<List<TrainingClass>> remembered = new Remembered<>();

    ClassStore(
            TrackRepository tracks, DrillRepository drills, ClassRepository classes, MapStore maps, Journal journal) {
        this.tracks = tracks;
        this.drills = drills;
        this.classes = classes;
        this.maps = maps;
        this.journal = journal;
    }

    @Transactional(readOnly = true)
    public List<Track> tracks() {
        return tracks.findAll().stream()
                .map(TrackRow::toCore)
                .sorted(Comparator.comparing(Track::id))
                .toList();
    }

    @Transactional(readOnly = true)
    public List<DrillShape> drills() {
        return drills.findAll().stream()
                .map(DrillRow::toCore)
                .sorted(Comparator.comparing(DrillShape::id))
                .toList();
    }

    @Transactional(readOnly = true)
    public List<TrainingClass> all() {
        return remembered.get(() -> sorted(classes.findAll()));
    }

    @Transactional(readOnly = true)
    public List<TrainingClass> between(LocalDate from, LocalDate to) {
        return sorted(classes.findByClassDateBetween(from, to));
    }

    @Transactional(readOnly = true)
    public TrainingClass one(String id) {
        return classes.findById(id).map(ClassRow::toCore).orElseThrow(() -> Refusal.missing("class", id));
    }

    /** Adds a class, or changes one that is still as the caller saw it. */
    @Transactional
    public TrainingClass put(TrainingClass changed, String ifMatch) {
        if (!tracks.existsById(changed.track())) {
            throw Refusal.bad("CLASS_TRACK", "/track", "There is no track " + changed.track() + ".");
        }
        for (Block block : changed.blocks()) {
            if (block.technique() != null
                    && maps.snapshot().map().technique(block.technique()).isEmpty()) {
                throw Refusal.bad(
                        "BLOCK_TECHNIQUE", "/blocks/" + block.id(), "There is no technique " + block.technique() + ".");
            }
        }
        remembered.changed();
        ClassRow row = classes.findById(changed.id()).orElse(null);
        if (row == null) {
            classes.save(new ClassRow(changed));
            journal.write("add", "class", changed.id(), null, changed);
        } else {
            TrainingClass before = row.toCore();
            ETags.match(ifMatch, before, changed.id());
            row.keep(changed);
            journal.write("change", "class", changed.id(), before, changed);
        }
        return changed;
    }

    private static List<TrainingClass> sorted(List<ClassRow> rows) {
        return rows.stream()
                .map(ClassRow::toCore)
                .sorted(Comparator.comparing(TrainingClass::date)
                        .thenComparing(TrainingClass::start)
                        .thenComparing(TrainingClass::id))
                .toList();
    }

    /** Writes what differs between two states in the caller's transaction; somebody has checked the new one. */
    public void rewrite(
            List<DrillShape> drillsBefore,
            List<DrillShape> drillsAfter,
            List<TrainingClass> classesBefore,
            List<TrainingClass> classesAfter) {
        remembered.changed();
        Changes<DrillShape> ofDrills = Changes.between("drill", drillsBefore, drillsAfter, DrillShape::id);
        ofDrills.keep(drills, DrillRow::new, DrillRow::keep, journal);
        ofDrills.remove(drills, journal);
        Changes<TrainingClass> ofClasses = Changes.between("class", classesBefore, classesAfter, TrainingClass::id);
        ofClasses.keep(classes, ClassRow::new, ClassRow::keep, journal);
        ofClasses.remove(classes, journal);
    }

    public void clear() {
        remembered.changed();
        classes.deleteAllInBatch();
        tracks.deleteAllInBatch();
        drills.deleteAllInBatch();
    }

    public void fill(List<Track> allTracks, List<DrillShape> allDrills, List<TrainingClass> allClasses) {
        drills.saveAll(allDrills.stream().map(DrillRow::new).toList());
        tracks.saveAll(allTracks.stream().map(TrackRow::new).toList());
        remembered.changed();
        classes.saveAll(allClasses.stream().map(ClassRow::new).toList());
        classes.flush();
    }
}
