package dobbin.cli;

import dobbin.raster.Raster;
import dobbin.render.Pictures;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Pictures that are in memory; smaller copies of them are made when first asked for. */
final class Copies {
    private Copies() {}

    static Pictures of(Map<String, Raster> rasters) {
        Map<String, Raster> copies = new ConcurrentHashMap<>();
        return (picture, level) -> copies.computeIfAbsent(picture + level, missing -> level.of(rasters.get(picture)));
    }
}
