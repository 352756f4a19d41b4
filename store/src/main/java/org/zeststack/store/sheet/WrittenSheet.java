package org.zeststack.store.sheet;

import org.jooq.JSONB;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.json.StoredJson;
import tools.jackson.databind.node.ObjectNode;

/** Writes run sheets, and reads those of every release. */
public final class WrittenSheet {

    /** The form that is written today. */
    public static final int VERSION = 5;

    /** From here on a sheet says all that it knows; what a form of before left out is in its reader. */
    private static final int SAYS_ALL = 4;

    private static final String SAYS = "schemaVersion";

    private WrittenSheet() {}

    public static JSONB write(RunSheet sheet) {
        ObjectNode written = StoredJson.tree(StoredJson.write(sheet));
        written.put(SAYS, VERSION);
        return JSONB.valueOf(written.toString());
    }

    /**
     * The sheet in today's words.
     *
     * @throws NewerSheet where a newer release wrote it
     */
    public static RunSheet read(JSONB json) {
        ObjectNode written = StoredJson.tree(json);
        int version = written.remove(SAYS).asInt();
        if (version > VERSION) {
            throw new NewerSheet(version);
        }
        if (version < SAYS_ALL) {
            FormBefore4.complete(written);
        }
        if (version < VERSION) {
            Form4.regroup(written);
        }
        return StoredJson.read(written, RunSheet.class);
    }
}
