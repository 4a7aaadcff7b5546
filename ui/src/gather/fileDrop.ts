import { onBeforeUnmount, onMounted, ref } from 'vue'
import { gatherable } from './gatherable'
import type { Gatherable } from './gatherable'

/**
 * Takes files that are dropped on an element or pasted anywhere on its page; folders are walked through. Bind
 * `listeners` to the element, show something while `over`.
 *
 * @param hover is told where files are held, and with null that they are no longer
 */
export function useFileDrop(take: (files: Gatherable[]) => void, hover?: (event: DragEvent | null) => void) {
  const over = ref(false)
  let depth = 0

  const listeners = {
    dragenter(event: DragEvent): void {
      if (carriesFiles(event)) {
        event.preventDefault()
        over.value = ++depth > 0
      }
    },
    dragover(event: DragEvent): void {
      if (carriesFiles(event)) {
        event.preventDefault()
        hover?.(event)
      }
    },
    dragleave(event: DragEvent): void {
      if (carriesFiles(event)) {
        over.value = --depth > 0
        if (!over.value) {
          hover?.(null)
        }
      }
    },
    async drop(event: DragEvent): Promise<void> {
      depth = 0
      over.value = false
      if (carriesFiles(event) && event.dataTransfer) {
        event.preventDefault()
        take(await filesOf(event.dataTransfer))
        hover?.(null)
      }
    },
  }

  function onPaste(event: ClipboardEvent): void {
    const files = [...(event.clipboardData?.files ?? [])]
    if (files.length > 0) {
      event.preventDefault()
      take(files.map((file) => gatherable(file)))
    }
  }

  onMounted(() => window.addEventListener('paste', onPaste))
  onBeforeUnmount(() => window.removeEventListener('paste', onPaste))
  return { over, listeners }
}

function carriesFiles(event: DragEvent): boolean {
  return event.dataTransfer?.types.includes('Files') ?? false
}

async function filesOf(dropped: DataTransfer): Promise<Gatherable[]> {
  const entries = [...dropped.items].map((item) => item.webkitGetAsEntry()).filter((entry) => entry !== null)
  if (entries.length === 0) {
    return [...dropped.files].map((file) => gatherable(file))
  }
  return (await Promise.all(entries.map((entry) => filesIn(entry, '')))).flat()
}

async function filesIn(entry: FileSystemEntry, folder: string): Promise<Gatherable[]> {
  if (entry.isFile) {
    const file = await new Promise<File>((resolve, reject) => (entry as FileSystemFileEntry).file(resolve, reject))
    return [gatherable(file, folder)]
  }
  const reader = (entry as FileSystemDirectoryEntry).createReader()
  const found: Gatherable[] = []
  for (;;) {
    // A folder is told in portions, until an empty one.
    const portion = await new Promise<FileSystemEntry[]>((resolve, reject) => reader.readEntries(resolve, reject))
    if (portion.length === 0) {
      return found
    }
    found.push(...(await Promise.all(portion.map((each) => filesIn(each, entry.name)))).flat())
  }
}
