import { onBeforeUnmount, onMounted } from 'vue'

/** Calls back before each repaint with the milliseconds since the last one, for as long as the component lives. */
export function useAnimationFrames(callback: (elapsed: number) => void): void {
  let last = 0
  let handle = 0

  function tick(now: number): void {
    callback(last === 0 ? 0 : now - last)
    last = now
    handle = requestAnimationFrame(tick)
  }

  onMounted(() => (handle = requestAnimationFrame(tick)))
  onBeforeUnmount(() => cancelAnimationFrame(handle))
}
