package dobbin.server.reels;

import dobbin.document.ReelDocument;
import dobbin.document.Work;
import dobbin.reel.Reel;
import dobbin.server.data.DataStore;
import dobbin.server.people.SignedIn;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.typefaces.TypefaceStore;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Reels with all they are made of, to be saved as files and opened from them. */
@Service
public class Works {
    private final ReelStore store;
    private final Reels reels;
    private final Cards cards;
    private final PictureLibrary pictures;
    private final TypefaceStore typefaces;
    private final DataStore data;
    private final TransactionTemplate change;
    /** Sees all as it is when it begins, whatever others change meanwhile. */
    private final TransactionTemplate look;

    Works(
            ReelStore store,
            Reels reels,
            Cards cards,
            PictureLibrary pictures,
            TypefaceStore typefaces,
            DataStore data,
            TransactionTemplate change) {
        this.store = store;
        this.reels = reels;
        this.cards = cards;
        this.pictures = pictures;
        this.typefaces = typefaces;
        this.data = data;
        this.change = change;
        this.look = new TransactionTemplate(change.getTransactionManager());
        look.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    }

    /** Reads a work within one transaction. */
    public interface Use {
        void use(Work work) throws IOException;
    }

    /**
     * @param withPast whether what was done to it comes along
     * @throws IOException from {@code use}
     */
    public void use(String id, boolean withPast, Use use) throws IOException {
        within(look, () -> {
            OpenReel open = reels.open(id);
            use.use(new Stored(open.reel(), withPast ? Optional.of(new StoredPast(id)) : Optional.empty()));
        });
    }

    /**
     * Puts a reel on the shelf with its past, where that comes along. Its pictures and typefaces are here already.
     *
     * @return its id
     * @throws IOException from {@code work}; then nothing of it is there
     */
    public String keep(Work work) throws IOException {
        Optional<Work.Past> past = work.past();
        if (past.isEmpty()) {
            return reels.create(work.reel()).id();
        }
        String id = UUID.randomUUID().toString();
        within(change, () -> insert(id, work.reel(), past.get()));
        data.force();
        return id;
    }

    private void insert(String id, Reel reel, Work.Past past) throws IOException {
        store.insert(id, past.current(), cards.write(ReelSnapshot.of(reel)), SignedIn.name());
        Set<String> named = new HashSet<>();
        for (int step = 0; step < past.steps().size(); step++) {
            Work.Step told = past.steps().get(step);
            Reel then = past.reel(step);
            Set<String> fresh = new HashSet<>(then.fileNames());
            fresh.removeIf(name -> !named.add(name));
            store.insertStep(id, step, told.title(), ReelDocument.write(then), told.made(), fresh);
        }
    }

    private interface Action {
        void run() throws IOException;
    }

    private static void within(TransactionTemplate transaction, Action action) throws IOException {
        try {
            transaction.executeWithoutResult(status -> {
                try {
                    action.run();
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    private final class Stored implements Work {
        private final Reel reel;
        private final Optional<Past> past;

        Stored(Reel reel, Optional<Past> past) {
            this.reel = reel;
            this.past = past;
        }

        @Override
        public Reel reel() {
            return reel;
        }

        @Override
        public Optional<Past> past() {
            return past;
        }

        @Override
        public byte[] picture(String name) {
            return pictures.file(name);
        }

        @Override
        public byte[] typeface(String name) {
            return typefaces.file(name);
        }
    }

    private final class StoredPast implements Work.Past {
        private final String id;
        private final History history;

        StoredPast(String id) {
            this.id = id;
            this.history = reels.history(id);
        }

        @Override
        public int current() {
            return history.current();
        }

        @Override
        public List<Work.Step> steps() {
            return history.steps().stream()
                    .map(step -> new Work.Step(step.title(), step.made()))
                    .toList();
        }

        @Override
        public Reel reel(int step) {
            return ReelDocument.read(store.document(id, step).orElseThrow());
        }
    }
}
