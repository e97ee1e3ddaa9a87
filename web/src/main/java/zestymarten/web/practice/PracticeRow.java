package zestymarten.web.practice;

import org.jspecify.annotations.Nullable;

/** A session: of an exercise by its name, or of a unit by chance on a revision of an assembly; points once it is over. */
record PracticeRow(
        long id,
        String trainee,
        @Nullable String exercise,
        @Nullable Long revisionId,
        @Nullable Long seed,
        @Nullable Integer points) {}
