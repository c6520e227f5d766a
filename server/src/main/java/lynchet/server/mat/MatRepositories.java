package lynchet.server.mat;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrackRepository extends JpaRepository<TrackRow, String> {}

interface DrillRepository extends JpaRepository<DrillRow, String> {}

interface ClassRepository extends JpaRepository<ClassRow, String> {
    List<ClassRow> findByClassDateBetween(LocalDate from, LocalDate to);
}

interface AttendanceRepository extends JpaRepository<AttendanceRow, String> {
    Optional<AttendanceRow> findByStudentAndClassId(String student, String classId);

    List<AttendanceRow> findByClassId(String classId);

    List<AttendanceRow> findByStudent(String student);
}

interface PracticeRepository extends JpaRepository<PracticeRow, String> {
    List<PracticeRow> findByClassId(String classId);

    List<PracticeRow> findByClassIdIn(Collection<String> classIds);
}

interface MarkRepository extends JpaRepository<MarkRow, String> {
    List<MarkRow> findByStudent(String student);
}
