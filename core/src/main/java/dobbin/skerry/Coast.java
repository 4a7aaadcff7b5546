package dobbin.skerry;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.LinearGradientPaint;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;

/**
 * The view from the ferry: sky, sea, the rock and its lighthouse, at some moment between night (0) and day (1). Sizes are
 * shares of the picture, so that it can be drawn at any.
 */
final class Coast {
    private static final float HORIZON = 0.64f;
    private static final float SUN_RADIUS = 0.043f;

    private final int width;
    private final int height;
    private final float day;
    private final float moment;
    private final float sunX = 0.30f;
    private final float sunY;

    /**
     * @param day 0 night to 1 day: the light
     * @param moment where clouds and waves are; any number
     */
    Coast(int width, int height, float day, float moment) {
        this.width = width;
        this.height = height;
        this.day = day;
        this.moment = moment;
        this.sunY = HORIZON + 0.07f - 0.42f * day;
    }

    BufferedImage draw() {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < height; y++) {
            float v = (y + 0.5f) / height;
            for (int x = 0; x < width; x++) {
                float u = (x + 0.5f) / width;
                image.setRGB(x, y, (v < HORIZON ? sky(u, v) : sea(u, v)).rgb());
            }
        }
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        drawRock(pen);
        drawLighthouse(pen);
        pen.dispose();
        return image;
    }

    private LinearColor sky(float u, float v) {
        float distance = fromSun(u, v);
        float edge = 1.5f / height;
        float inside = Math.max(0, Math.min(1, (SUN_RADIUS - distance) / edge + 0.5f));
        LinearColor color = air(u, v).mix(LinearColor.along(day, 0xFF7A4A, 0xFFD08A, 0xFFF1C8, 0xFFFBEA), inside);
        return star(u, v, color);
    }

    /** The sky without sun and stars. */
    private LinearColor air(float u, float v) {
        float up = 1 - v / HORIZON;
        LinearColor zenith = LinearColor.along(day, 0x0B1230, 0x27305F, 0x3F5C97, 0x4F86C4);
        LinearColor middle = LinearColor.along(day, 0x1A1E48, 0x7A4A7C, 0xC98A8C, 0x9CC3E0);
        LinearColor low = LinearColor.along(day, 0x3A2A52, 0xE0684E, 0xF7A75E, 0xF6DDB4);
        LinearColor color = up < 0.45f ? low.mix(middle, up / 0.45f) : middle.mix(zenith, (up - 0.45f) / 0.55f);

        float distance = fromSun(u, v);
        LinearColor warm = LinearColor.along(day, 0xC24A3A, 0xFF9A52, 0xFFC877, 0xFFF0CC);
        color = color.plus(warm, 0.55f * (float) Math.exp(-distance * 4.2f) * (0.35f + 0.65f * day));

        float cloud = Noise.cloudy(u * 3.2f + moment * 0.05f, v * 13f, 7);
        float cover = Math.max(0, Math.min(1, (cloud - 0.52f) * 4.5f)) * (0.25f + 0.75f * (1 - up));
        LinearColor lit = LinearColor.along(day, 0x2B2752, 0xF08A6A, 0xFFD09A, 0xFFF6E6)
                .plus(warm, 0.3f * (float) Math.exp(-distance * 3));
        return color.mix(lit, 0.62f * cover);
    }

    private float fromSun(float u, float v) {
        float dx = (u - sunX) * width / height;
        float dy = v - sunY;
        return (float) Math.sqrt(dx * dx + dy * dy);
    }

    private LinearColor star(float u, float v, LinearColor color) {
        float dark = Math.max(0, 1 - day * 4);
        if (dark == 0) {
            return color;
        }
        int cellX = (int) (u * 90);
        int cellY = (int) (v * 60);
        float chance = Noise.at(cellX, cellY, 31);
        float dx = u * 90 - cellX - 0.2f - 0.6f * Noise.at(cellX, cellY, 32);
        float dy = v * 60 - cellY - 0.2f - 0.6f * Noise.at(cellX, cellY, 33);
        float shine = chance > 0.93f ? (float) Math.exp(-(dx * dx + dy * dy) * 90) : 0;
        return color.plus(LinearColor.of(0xFFF4DC), 0.9f * shine * dark * Math.min(1, 2 - 2 * v / HORIZON));
    }

    /** Waves lie in perspective: the farther, the flatter and closer, until only the sky's light is left of them. */
    private LinearColor sea(float u, float v) {
        float depth = (v - HORIZON) / (1 - HORIZON);
        float away = 1 / (0.07f + depth);
        float across = (u - 0.45f) * away * 7;
        float ripple = Noise.cloudy(across + moment * 0.25f, away * 26 + moment * 0.8f, 11) - 0.5f;
        float swell = Noise.smooth(across * 0.35f - moment * 0.2f, away * 9 + moment * 0.5f, 17) - 0.5f;
        float height = (1.5f * ripple + swell) * Math.min(1, depth * 5 + 0.25f);
        LinearColor mirrored =
                air(u, HORIZON * (1 - 0.8f * depth) + 0.05f * height - 0.03f).times(0.8f);
        LinearColor deep = LinearColor.along(day, 0x081024, 0x14294A, 0x1C4A63, 0x2B6F86);
        LinearColor color = deep.mix(mirrored, 0.62f - 0.40f * depth + 0.42f * height);

        float up = Math.max(0, Math.min(1, (HORIZON + 0.02f - sunY) * 8));
        float aside = (u - sunX) / (0.022f + 0.15f * depth);
        float glitter = (float) Math.exp(-aside * aside) * Math.max(0, 0.25f + 2.2f * height);
        return color.plus(LinearColor.along(day, 0xE0603C, 0xFFAE62, 0xFFDFA0, 0xFFF4D6), 1.6f * up * glitter);
    }

    private void drawRock(Graphics2D pen) {
        float lit = 0.35f + 0.65f * day;
        Path2D far = shape(0.02f, 0.640f, 0.06f, 0.627f, 0.13f, 0.622f, 0.17f, 0.631f, 0.23f, 0.640f);
        pen.setColor(shade(0x4A5670, 0.3f + 0.5f * lit));
        pen.fill(far);
        Path2D rock = shape(
                0.600f, 0.715f, 0.622f, 0.690f, 0.655f, 0.668f, 0.672f, 0.642f, 0.712f, 0.618f, 0.752f, 0.606f, 0.800f,
                0.590f, 0.856f, 0.588f, 0.905f, 0.600f, 0.944f, 0.622f, 1.01f, 0.648f, 1.01f, 0.800f, 0.930f, 0.786f,
                0.860f, 0.772f, 0.760f, 0.762f, 0.680f, 0.748f, 0.630f, 0.735f);
        pen.setPaint(new LinearGradientPaint(
                0, 0.585f * height, 0, 0.80f * height, new float[] {0f, 0.35f, 1f}, new Color[] {
                    shade(0x5E6B4E, lit), shade(0x453F3C, lit), shade(0x1D1F26, 0.5f + 0.5f * lit)
                }));
        pen.fill(rock);
        pen.setClip(rock);
        for (int i = 0; i < 46; i++) {
            float x = 0.60f + 0.42f * Noise.at(i, 1, 51);
            float y = 0.615f + 0.17f * Noise.at(i, 2, 51);
            float length = 0.02f + 0.05f * Noise.at(i, 3, 51);
            pen.setColor(shade(i % 3 == 0 ? 0x8A7F6E : 0x23242A, lit * 0.8f, 120));
            pen.setStroke(new BasicStroke(height * (0.0018f + 0.003f * Noise.at(i, 4, 51))));
            pen.draw(line(x, y, x + length, y - 0.006f + 0.02f * Noise.at(i, 5, 51)));
        }
        pen.setClip(null);
        drawFoam(pen, lit);
    }

    private void drawFoam(Graphics2D pen, float lit) {
        for (int i = 0; i < 40; i++) {
            float along = i / 40f;
            float x = 0.592f + 0.42f * along;
            float y = 0.722f + 0.078f * along + 0.008f * (float) Math.sin(i * 1.7 + moment * 3);
            float shows = 0.35f + 0.65f * Noise.smooth(i * 0.9f, moment * 1.4f, 61);
            pen.setColor(shade(0xF2F4F0, 0.35f + 0.65f * lit, Math.round(150 * shows)));
            pen.fill(new Ellipse2D.Float(x * width, y * height, 0.022f * width * shows, 0.007f * height * shows));
        }
    }

    private void drawLighthouse(Graphics2D pen) {
        float foot = 0.592f;
        float top = 0.235f;
        float center = 0.828f;
        float halfFoot = 0.030f;
        float halfTop = 0.0195f;
        float lit = 0.42f + 0.58f * day;
        int bands = 6;
        for (int band = 0; band < bands; band++) {
            float lower = foot + (top - foot) * band / bands;
            float upper = foot + (top - foot) * (band + 1) / bands;
            float halfLower = halfFoot + (halfTop - halfFoot) * band / bands;
            float halfUpper = halfFoot + (halfTop - halfFoot) * (band + 1) / bands;
            int color = band % 2 == 0 ? 0xF1EBDD : 0xB5392A;
            pen.setPaint(new LinearGradientPaint(
                    (center - halfLower) * width,
                    0,
                    (center + halfLower) * width,
                    0,
                    new float[] {0f, 0.38f, 1f},
                    new Color[] {shade(color, lit * 0.95f), shade(color, lit), shade(color, lit * 0.45f)}));
            pen.fill(shape(
                    center - halfLower,
                    lower + 0.001f,
                    center - halfUpper,
                    upper,
                    center + halfUpper,
                    upper,
                    center + halfLower,
                    lower + 0.001f));
        }
        pen.setColor(shade(0x2A2F38, lit));
        pen.fill(shape(
                center - 0.030f,
                top + 0.012f,
                center - 0.030f,
                top,
                center + 0.030f,
                top,
                center + 0.030f,
                top + 0.012f));
        drawLamp(pen, center, top, lit);
        pen.setColor(shade(0x2A2F38, lit * 0.9f));
        for (float y : new float[] {0.50f, 0.40f, 0.31f}) {
            pen.fill(new Rectangle2D.Float((center - 0.005f) * width, y * height, 0.008f * width, 0.022f * height));
        }
        drawCottage(pen, lit);
    }

    private void drawLamp(Graphics2D pen, float center, float top, float lit) {
        float on = Math.max(0, 1 - day * 1.5f);
        LinearColor glass = LinearColor.of(0xC9D6DC).times(lit).mix(LinearColor.of(0xFFF0B8), 0.35f + 0.65f * on);
        pen.setColor(new Color(glass.rgb()));
        pen.fill(shape(
                center - 0.014f,
                top,
                center - 0.014f,
                top - 0.045f,
                center + 0.014f,
                top - 0.045f,
                center + 0.014f,
                top));
        pen.setColor(shade(0x2A2F38, lit));
        pen.setStroke(new BasicStroke(0.0022f * width));
        for (float x : new float[] {-0.014f, -0.0047f, 0.0047f, 0.014f}) {
            pen.draw(line(center + x, top, center + x, top - 0.045f));
        }
        pen.setColor(shade(0xB5392A, lit));
        pen.fill(shape(center - 0.019f, top - 0.043f, center, top - 0.088f, center + 0.019f, top - 0.043f));
        pen.setColor(shade(0x2A2F38, lit));
        pen.draw(line(center, top - 0.084f, center, top - 0.112f));
    }

    private void drawCottage(Graphics2D pen, float lit) {
        pen.setColor(shade(0xE9E2D2, lit * 0.9f));
        pen.fill(shape(0.872f, 0.597f, 0.872f, 0.556f, 0.924f, 0.556f, 0.924f, 0.607f));
        pen.setColor(shade(0x6B3A33, lit));
        pen.fill(shape(0.866f, 0.559f, 0.880f, 0.524f, 0.916f, 0.524f, 0.930f, 0.559f));
        pen.setColor(new Color(LinearColor.of(0x4C5A66)
                .times(lit)
                .mix(LinearColor.of(0xFFCF70), Math.max(0, 1 - day * 1.6f))
                .rgb()));
        pen.fill(new Rectangle2D.Float(0.884f * width, 0.568f * height, 0.010f * width, 0.018f * height));
        pen.fill(new Rectangle2D.Float(0.903f * width, 0.568f * height, 0.010f * width, 0.018f * height));
    }

    private Path2D shape(float... points) {
        Path2D path = new Path2D.Float();
        path.moveTo(points[0] * width, points[1] * height);
        for (int i = 2; i < points.length; i += 2) {
            path.lineTo(points[i] * width, points[i + 1] * height);
        }
        path.closePath();
        return path;
    }

    private Shape line(float x1, float y1, float x2, float y2) {
        return new Line2D.Float(x1 * width, y1 * height, x2 * width, y2 * height);
    }

    /** A surface's color in this light: dimmed, and tinted by the sky around the horizon. */
    private Color shade(int rgb, float strength) {
        return shade(rgb, strength, 255);
    }

    private Color shade(int rgb, float strength, int alpha) {
        LinearColor tint = LinearColor.along(day, 0x2A3060, 0xD77A62, 0xF3B27A, 0xFFFFFF);
        LinearColor color = LinearColor.of(rgb).times(strength * strength);
        LinearColor tinted =
                new LinearColor(color.red() * tint.red(), color.green() * tint.green(), color.blue() * tint.blue());
        int mixed = color.mix(tinted, 0.55f).rgb();
        return new Color(mixed >> 16 & 0xFF, mixed >> 8 & 0xFF, mixed & 0xFF, alpha);
    }
}
