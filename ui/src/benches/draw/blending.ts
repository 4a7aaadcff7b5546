import type { Pen } from '@/api/types'
import type { Box, Coverage } from './sweep'

/** How ink lies on ink, in linear light, as `dobbin.draw.Layer` does it; shown until the server's picture is there. */
const FINE = 1 << 16
const LINEAR = Float32Array.from({ length: 256 }, (_, value) => decode(value / 255))
const ENCODED = Uint8Array.from({ length: FINE + 1 }, (_, step) => Math.round(encode(step / FINE) * 255))

function decode(encoded: number): number {
  return encoded <= 0.04045 ? encoded / 12.92 : ((encoded + 0.055) / 1.055) ** 2.4
}

function encode(linear: number): number {
  return linear <= 0.0031308 ? linear * 12.92 : 1.055 * linear ** (1 / 2.4) - 0.055
}

/** Puts what is covered on `base` into `shown`, both as a browser holds pixels: red, green, blue, alpha. */
export function blend(
  base: Uint8ClampedArray,
  shown: Uint8ClampedArray,
  coverage: Coverage,
  extra: Coverage | null,
  pen: Pen,
  box: Box,
): void {
  const color = [0, 2, 4].map((at) => parseInt(pen.color.slice(at, at + 2), 16))
  const opacity = pen.opacity / 100
  for (let y = box.top; y < box.bottom; y++) {
    for (let x = box.left; x < box.right; x++) {
      const at = y * coverage.width + x
      const covers = Math.max(coverage.values[at] as number, extra ? (extra.values[at] as number) : 0)
      const share = (opacity * covers) / 255
      if (pen.erases) {
        erase(base, shown, 4 * at, share)
      } else {
        paint(base, shown, 4 * at, share, color)
      }
    }
  }
}

function erase(base: Uint8ClampedArray, shown: Uint8ClampedArray, at: number, share: number): void {
  const left = Math.max(0, (base[at + 3] as number) - Math.round(255 * share))
  for (let channel = 0; channel < 3; channel++) {
    shown[at + channel] = left === 0 ? 0 : (base[at + channel] as number)
  }
  shown[at + 3] = left
}

function paint(base: Uint8ClampedArray, shown: Uint8ClampedArray, at: number, share: number, color: number[]): void {
  const rest = ((1 - share) * (base[at + 3] as number)) / 255
  const all = share + rest
  const part = all > 0 ? share / all : 0
  for (let channel = 0; channel < 3; channel++) {
    const below = base[at + channel] as number
    const above = color[channel] as number
    shown[at + channel] =
      share === 0 || below === above
        ? share === 0
          ? below
          : above
        : (ENCODED[
            Math.floor((part * (LINEAR[above] as number) + (1 - part) * (LINEAR[below] as number)) * FINE + 0.5)
          ] as number)
  }
  shown[at + 3] = share === 0 ? (base[at + 3] as number) : Math.round(255 * all)
}
