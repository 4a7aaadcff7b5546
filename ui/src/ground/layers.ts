import { onScopeDispose, shallowReactive, watch } from 'vue'
import type { Ref } from 'vue'

/** Menus and dialogs that lie over the page. While there is one, keys are its own. */
const open = shallowReactive(new Set<Ref<boolean>>())

export const isCovered = (): boolean => open.size > 0

/** Counts a menu or a dialog among them while it is shown. */
export function useLayer(shown: Ref<boolean>): void {
  watch(shown, (now) => void (now ? open.add(shown) : open.delete(shown)), { immediate: true, flush: 'sync' })
  onScopeDispose(() => open.delete(shown))
}
