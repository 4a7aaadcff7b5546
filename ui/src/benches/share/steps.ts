/** The frames of a file, decoded by the browser one at a time: which shows at a time, and what it looks like. */
export interface Steps {
  /** How long one play takes, in milliseconds. */
  millis: number
  /** @return the frame that shows so many milliseconds after the start; it plays on without end */
  at(millis: number): number
  /** @return the frame; whoever has it closes it */
  picture(frame: number): Promise<VideoFrame>
  close(): void
}

/** Not every browser hands out the frames of pictures. */
export const canStep = typeof ImageDecoder !== 'undefined'

export async function stepsOf(url: string): Promise<Steps> {
  const answered = await fetch(url)
  const decoder = new ImageDecoder({ data: await answered.arrayBuffer(), type: 'image/gif' })
  await decoder.tracks.ready
  await decoder.completed
  const count = decoder.tracks.selectedTrack?.frameCount ?? 0
  /** When each frame ends. */
  const ends: number[] = []
  for (let frameIndex = 0; frameIndex < count; frameIndex++) {
    const { image } = await decoder.decode({ frameIndex })
    ends.push((ends.at(-1) ?? 0) + Math.max(1, (image.duration ?? 0) / 1000))
    image.close()
  }
  const millis = ends.at(-1) ?? 1
  return {
    millis,
    at: (when) =>
      Math.max(
        0,
        ends.findIndex((end) => when % millis < end),
      ),
    picture: async (frameIndex) => (await decoder.decode({ frameIndex })).image,
    close: () => decoder.close(),
  }
}
