package dobbin.still;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Calendar;
import java.util.GregorianCalendar;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** Writes a zip file part by part; the same parts give the same bytes, whenever and wherever that is done. */
public final class PlainZip {
    /** The same date for all files, so that equal content gives equal bytes; a zip has local times, from 1980 on. */
    private static final long THEN = new GregorianCalendar(1980, Calendar.FEBRUARY, 1).getTimeInMillis();

    private final ZipOutputStream zip;

    /** @param out receives the file and stays open */
    public PlainZip(OutputStream out) {
        this.zip = new ZipOutputStream(out);
    }

    /** Adds what deflating makes smaller. */
    public void packed(String name, byte[] bytes) throws IOException {
        begin(name);
        zip.write(bytes);
        zip.closeEntry();
    }

    /** Adds what is packed already, as pictures are. */
    public void stored(String name, byte[] bytes) throws IOException {
        CRC32 checksum = new CRC32();
        checksum.update(bytes);
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(THEN);
        entry.setMethod(ZipEntry.STORED);
        entry.setSize(bytes.length);
        entry.setCrc(checksum.getValue());
        zip.putNextEntry(entry);
        zip.write(bytes);
        zip.closeEntry();
    }

    /** @return where the bytes of a file go, of which it is not known how many there will be; the next one ends it */
    public OutputStream begin(String name) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(THEN);
        zip.putNextEntry(entry);
        return zip;
    }

    /** Writes what a zip ends with. */
    public void finish() throws IOException {
        zip.finish();
    }
}
