/**
 * Records a clip: a picture for each wait, which shows its number as bars and a disc; all repeats after `around` pictures. A
 * recorder works in real time: a clip whose pace a busy machine broke is recorded again.
 */
async ({ waits, around }) => {
  const [width, height, bits] = [160, 96, 8]
  const [latest, attempts] = [60, 6]
  const canvas = Object.assign(document.createElement('canvas'), { width, height })
  const pen = canvas.getContext('2d', { alpha: false })
  const draw = (number) => {
    pen.fillStyle = '#2b6a80'
    pen.fillRect(0, 0, width, height)
    for (let bit = 0; bit < bits; bit++) {
      pen.fillStyle = ((number % around) >> bit) & 1 ? '#ffffff' : '#000000'
      pen.fillRect((bit * width) / bits, 0, width / bits, 16)
    }
    pen.fillStyle = '#e0b04a'
    pen.beginPath()
    pen.arc(80 + 60 * Math.cos((2 * Math.PI * number) / around), 58 + 28 * Math.sin((2 * Math.PI * number) / around), 10, 0, 7)
    pen.fill()
  }
  const record = async () => {
    const stream = canvas.captureStream(0)
    const [track] = stream.getVideoTracks()
    const recorder = new MediaRecorder(stream, { mimeType: 'video/webm;codecs=vp8', videoBitsPerSecond: 4e6 })
    const [parts, times] = [[], []]
    recorder.ondataavailable = ({ data }) => parts.push(data)
    recorder.start()
    for (const [number, wait] of [...waits, 0].entries()) {
      draw(number)
      track.requestFrame()
      times.push(performance.now())
      await new Promise((resolve) => setTimeout(resolve, wait))
    }
    recorder.stop()
    await new Promise((resolve) => (recorder.onstop = resolve))
    return { parts, times: times.slice(0, -1), inTime: waits.every((wait, i) => times[i + 1] - times[i] < wait + latest) }
  }
  let clip = await record()
  for (let again = 1; again < attempts && !clip.inTime; again++) clip = await record()
  const { parts, times } = clip
  const bytes = new Uint8Array(await new Blob(parts).arrayBuffer())
  return { file: btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join('')), times }
}
