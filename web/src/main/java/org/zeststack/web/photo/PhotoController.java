package org.zeststack.web.photo;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.Iterator;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.zeststack.app.Missing;
import org.zeststack.store.Stamp;
import org.zeststack.store.photo.Photos;
import org.zeststack.web.security.SignedIn;

/** Takes and gives photographs. What comes is decoded and encoded anew, so that nothing but pixels is kept. */
@RestController
class PhotoController {

    private static final long MOST_PIXELS = 40_000_000;
    private static final int LONGEST_SIDE = 1200;
    private static final Duration KEPT = Duration.ofDays(365);

    private static final Set<String> KINDS = Set.of("jpeg", "png", "webp");
    private static final int WAIT_SECONDS = 10;

    private final Semaphore decoding = new Semaphore(1, true);
    private final Photos photos;
    private final Clock clock;

    PhotoController(Photos photos, Clock clock) {
        this.photos = photos;
        this.clock = clock;
    }

    @PostMapping("/photos")
    ResponseEntity<Map<String, Object>> add(
            @RequestParam("photo") MultipartFile file, @AuthenticationPrincipal SignedIn me) throws IOException {
        BufferedImage image;
        try {
            image = oneAtATime(file);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                    .body(Map.of("message", "other photographs are being read: send it again"));
        }
        if (image == null) {
            return ResponseEntity.unprocessableContent()
                    .body(Map.of("message", "not a JPEG, PNG or WebP picture of at most 40 million pixels"));
        }
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        ImageIO.write(image, "jpg", jpeg);
        Stamp stamp = new Stamp(me.name(), clock.instant());
        long id = photos.add(jpeg.toByteArray(), image.getWidth(), image.getHeight(), stamp);
        return ResponseEntity.ok(Map.of("id", id));
    }

    /** Reading takes memory by the pixel: one picture after the other, however many come. */
    private BufferedImage oneAtATime(MultipartFile file) throws IOException, InterruptedException {
        if (!decoding.tryAcquire(WAIT_SECONDS, TimeUnit.SECONDS)) {
            throw new InterruptedException();
        }
        try {
            return decode(file.getBytes());
        } finally {
            decoding.release();
        }
    }

    /** The picture without its meta data and no larger than needed; null where it is none. Size is looked at first. */
    private static BufferedImage decode(byte[] bytes) throws IOException {
        try (ImageInputStream stream = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
            if (!readers.hasNext()) {
                return null;
            }
            ImageReader reader = readers.next();
            try {
                if (!KINDS.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
                    return null;
                }
                reader.setInput(stream, true, true);
                int width = reader.getWidth(0);
                int height = reader.getHeight(0);
                if (width < 1 || height < 1 || (long) width * height > MOST_PIXELS) {
                    return null;
                }
                // Every so manieth pixel while it is read, twice as many as are kept.
                int every = Math.max(1, Math.max(width, height) / (2 * LONGEST_SIDE));
                ImageReadParam param = reader.getDefaultReadParam();
                param.setSourceSubsampling(every, every, 0, 0);
                return smaller(reader.read(0, param));
            } catch (IOException | RuntimeException broken) {
                return null;
            } finally {
                reader.dispose();
            }
        }
    }

    private static BufferedImage smaller(BufferedImage image) {
        double scale = Math.min(1, LONGEST_SIDE / (double) Math.max(image.getWidth(), image.getHeight()));
        int width = Math.max(1, (int) Math.round(image.getWidth() * scale));
        int height = Math.max(1, (int) Math.round(image.getHeight() * scale));
        BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = small.createGraphics();
        graphics.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        graphics.drawImage(image, 0, 0, width, height, null);
        graphics.dispose();
        return small;
    }

    @GetMapping("/photos/{id}")
    ResponseEntity<byte[]> photo(@PathVariable long id) {
        byte[] jpeg = photos.jpeg(id).orElseThrow(() -> new Missing("This photograph"));
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.maxAge(KEPT).cachePrivate().immutable())
                .body(jpeg);
    }
}
