/** Files that move, put together of what the browser encodes; and what the browser makes of them, frame by frame. */
({
  base64: (bytes) => btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join('')),

  bytesOf: (text) => Uint8Array.from(text, (letter) => letter.charCodeAt(0)),

  joined: (parts) => {
    const all = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0))
    parts.reduce((at, part) => (all.set(part, at), at + part.length), 0)
    return all
  },

  number: (value, length, little) => {
    const bytes = Array.from({ length }, (_, i) => (value >>> (8 * i)) & 0xff)
    return Uint8Array.from(little ? bytes : bytes.reverse())
  },

  /** A disc on nothing, half of it see-through. */
  async encoded(width, height, color, type) {
    const canvas = new OffscreenCanvas(width, height)
    const pen = canvas.getContext('2d')
    pen.fillStyle = color
    pen.fillRect(0, 0, width, height / 2)
    pen.globalAlpha = 0.5
    pen.beginPath()
    pen.arc(width / 2, height / 2, height / 2, 0, 7)
    pen.fill()
    return new Uint8Array(await (await canvas.convertToBlob({ type, quality: 1 })).arrayBuffer())
  },

  checksum(bytes) {
    let crc = -1
    for (const byte of bytes) {
      crc ^= byte
      for (let bit = 0; bit < 8; bit++) crc = (crc >>> 1) ^ (crc & 1 ? 0xedb88320 : 0)
    }
    return ~crc >>> 0
  },

  chunk(type, data) {
    const body = this.joined([this.bytesOf(type), data])
    return this.joined([this.number(data.length, 4), body, this.number(this.checksum(body), 4)])
  },

  /** @return of the chunks of a PNG, the data of those of a type */
  chunksOf(png, type) {
    const found = []
    const view = new DataView(png.buffer)
    for (let at = 8; at < png.length; at += 12 + view.getUint32(at)) {
      if (String.fromCharCode(...png.slice(at + 4, at + 8)) === type) found.push(png.slice(at + 8, at + 8 + view.getUint32(at)))
    }
    return found
  },

  /** @param frames with x, y, width, height, color, delay and parts of a second, disposal and blending as the format has them */
  async png(width, height, plays, frames) {
    let sequence = 0
    const parts = []
    for (const [i, frame] of frames.entries()) {
      const png = await this.encoded(frame.width, frame.height, frame.color, 'image/png')
      if (i === 0) {
        parts.push(png.slice(0, 33), this.chunk('acTL', this.joined([this.number(frames.length, 4), this.number(plays, 4)])))
      }
      const place = [sequence++, frame.width, frame.height, frame.x, frame.y].map((value) => this.number(value, 4))
      const time = [frame.delay, frame.parts].map((value) => this.number(value, 2))
      parts.push(this.chunk('fcTL', this.joined([...place, ...time, Uint8Array.of(frame.disposal, frame.blending)])))
      for (const data of this.chunksOf(png, 'IDAT')) {
        parts.push(i === 0 ? this.chunk('IDAT', data) : this.chunk('fdAT', this.joined([this.number(sequence++, 4), data])))
      }
    }
    return this.joined([...parts, this.chunk('IEND', new Uint8Array(0))])
  },

  /** @return the parts of a WebP still that are of some types, whole */
  partsOf(still, types) {
    const found = []
    const view = new DataView(still.buffer)
    for (let at = 12; at < still.length; ) {
      const length = view.getUint32(at + 4, true)
      const whole = 8 + length + (length % 2)
      if (types.includes(String.fromCharCode(...still.slice(at, at + 4)))) found.push(still.slice(at, at + whole))
      at += whole
    }
    return this.joined(found)
  },

  /** @param frames with color and delay in milliseconds, each as large as the canvas */
  async webp(width, height, plays, frames) {
    const little = (value, length) => this.number(value, length, true)
    const part = (type, data) => this.joined([this.bytesOf(type), little(data.length, 4), data, new Uint8Array(data.length % 2)])
    const parts = [
      part('VP8X', this.joined([Uint8Array.of(0x12, 0, 0, 0), little(width - 1, 3), little(height - 1, 3)])),
      part('ANIM', this.joined([new Uint8Array(4), little(plays, 2)])),
    ]
    for (const { color, delay } of frames) {
      const still = await this.encoded(width, height, color, 'image/webp')
      const data = this.partsOf(still, ['ALPH', 'VP8 ', 'VP8L'])
      const place = [0, 0, width - 1, height - 1, delay].map((value) => little(value, 3))
      // Replaces what is there.
      parts.push(part('ANMF', this.joined([...place, Uint8Array.of(2), data])))
    }
    const body = this.joined([this.bytesOf('WEBP'), ...parts])
    return this.joined([this.bytesOf('RIFF'), little(body.length, 4), body])
  },

  bytes: (base64) => Promise.resolve(Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0))),

  /** @return what the browser shows: for each frame its pixels, red, green, blue and alpha, and its time in milliseconds */
  async shown(file, type) {
    const decoder = new ImageDecoder({ data: file, type })
    await decoder.tracks.ready
    await decoder.completed
    const frames = []
    for (let frameIndex = 0; frameIndex < decoder.tracks.selectedTrack.frameCount; frameIndex++) {
      const { image } = await decoder.decode({ frameIndex })
      const pixels = new Uint8Array(image.displayWidth * image.displayHeight * 4)
      await image.copyTo(pixels, { format: 'RGBA', layout: [{ offset: 0, stride: image.displayWidth * 4 }] })
      frames.push({ pixels: this.base64(pixels), delay: Math.round(image.duration / 1000) })
    }
    return { file: this.base64(file), frames }
  },
})
