package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Base64;
import javax.imageio.ImageIO;
import org.springframework.jdbc.core.JdbcTemplate;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Photographs: which kinds, how large, and what is kept of them. */
public class PhotosTest extends WithDemo {

    /** One grey point as WebP; bytes from memory, read by the library in use. */
    private static final String WEBP = "UklGRiIAAABXRUJQVlA4IBYAAAAwAQCdASoBAAEADsD+JaQAA3AAAAAA";

    private Visitor owner;

    @BeforeClass
    public void open() throws Exception {
        owner = new Visitor(app.url()).signIn("runa", "lantern-harbour");
    }

    private static byte[] picture(String kind, int width, int height) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), kind, bytes);
        return bytes.toByteArray();
    }

    /** A PNG's beginning that says how large it is. */
    private static byte[] says(int width, int height) {
        return java.nio.ByteBuffer.allocate(33)
                .put(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0, 0, 13, 'I', 'H', 'D', 'R'})
                .putInt(width)
                .putInt(height)
                .put(new byte[] {8, 2, 0, 0, 0})
                .array();
    }

    @DataProvider
    public Object[][] sent() throws IOException {
        return new Object[][] {
            {"JPEG", picture("jpg", 300, 200), 200},
            {"PNG", picture("png", 300, 200), 200},
            {"WebP", Base64.getDecoder().decode(WEBP), 200},
            {"GIF", picture("gif", 30, 20), 422},
            {"BMP", picture("bmp", 30, 20), 422},
            {"nothing", new byte[0], 422},
            {"a header of 40 million and a few", says(8000, 5001), 422},
            {"a header of 40 million and no picture", says(8000, 5000), 422},
            {"text", "not a picture".getBytes(), 422},
        };
    }

    @Test(dataProvider = "sent")
    public void threeKindsAreRead(String what, byte[] bytes, int status) throws Exception {
        var answer = owner.postFile("/photos", "photo", "p", bytes, owner.csrf());
        assertEquals(answer.statusCode(), status, what + " " + answer.body());
    }

    @Test
    public void aLargePictureIsKeptSmall() throws Exception {
        var answer = owner.postFile("/photos", "photo", "p", picture("png", 6000, 3000), owner.csrf());
        assertEquals(answer.statusCode(), 200);
        String id = answer.body().replaceAll("[^0-9]", "");
        byte[] jpeg =
                app.bean(JdbcTemplate.class).queryForObject("select jpeg from photo where id = " + id, byte[].class);
        BufferedImage kept = ImageIO.read(new ByteArrayInputStream(jpeg));
        assertEquals(kept.getWidth(), 1200);
        assertEquals(kept.getHeight(), 600);
        assertTrue(jpeg.length < 50_000, "of one colour: " + jpeg.length);
    }
}
