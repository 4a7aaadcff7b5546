import type { EncodedPacket, EncodedPacketSink } from 'mediabunny'
import { canvasOf, MICROS } from './clip'
import type { Clip } from './clip'

const TIMES_ONLY = { metadataOnly: true } as const

/** @return the clip, read picture by picture with the browser's own decoder; null where it has none for that */
export async function byDecoder(file: File): Promise<Clip | null> {
  if (typeof VideoDecoder === 'undefined') {
    return null
  }
  const { ALL_FORMATS, BlobSource, EncodedPacketSink, Input, VideoSampleSink } = await import('mediabunny')
  const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS })
  const track = await input.getPrimaryVideoTrack()
  if (!track || !(await track.canDecode())) {
    return null
  }
  const packets = new EncodedPacketSink(track)
  const samples = new VideoSampleSink(track)
  const seconds = (await track.getDurationFromMetadata()) ?? (await track.computeDuration(TIMES_ONLY))
  return {
    name: file.name,
    size: { width: await track.getDisplayWidth(), height: await track.getDisplayHeight() },
    length: Math.round(seconds * MICROS),
    exact: true,
    times: (from, to) => timesOf(packets, from, to),
    async *pictures(times, size) {
      // A time in the middle between two microseconds is never just before the picture's own.
      for await (const sample of samples.samplesAtTimestamps(times.map((time) => (time + 0.5) / MICROS))) {
        if (sample) {
          const [canvas, pen] = canvasOf(size)
          sample.draw(pen, 0, 0, size.width, size.height)
          sample.close()
          yield canvas
        }
      }
    },
    close: () => input.dispose(),
  }
}

/** Pictures are stored in another order than they show; after a key picture, none shows before it. */
async function timesOf(packets: EncodedPacketSink, from: number, to: number): Promise<number[]> {
  const start = (await packets.getKeyPacket(from / MICROS, TIMES_ONLY)) ?? (await packets.getFirstPacket(TIMES_ONLY))
  const times: number[] = []
  for (
    let packet: EncodedPacket | null = start;
    packet && !(packet.type === 'key' && micros(packet) >= to);
    packet = await packets.getNextPacket(packet, TIMES_ONLY)
  ) {
    times.push(micros(packet))
  }
  times.sort((a, b) => a - b)
  const first = Math.max(
    0,
    times.findLastIndex((time) => time <= from),
  )
  return times.slice(first).filter((time, i) => i === 0 || time < to)
}

const micros = (packet: EncodedPacket): number => Math.round(packet.timestamp * MICROS)
