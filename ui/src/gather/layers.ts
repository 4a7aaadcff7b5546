import { questionOf } from './question'

/** Whether the layers of a layered file become one frame. */
export const layers = questionOf<boolean>(
  ({ file }) => file.type === 'image/openraster' || /\.ora$/i.test(file.name),
  (file, flattened) => ({ ...file, flattened }),
)
