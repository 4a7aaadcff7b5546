import { shallowRef } from 'vue'

/** A picture of one's own that files are looked at on. It stays in the browser, until the page is left. */
const picture = shallowRef('')

export function usePagePicture() {
  return {
    picture,
    show(file: Blob): void {
      forget()
      picture.value = URL.createObjectURL(file)
    },
  }
}

function forget(): void {
  if (picture.value) {
    URL.revokeObjectURL(picture.value)
  }
}
