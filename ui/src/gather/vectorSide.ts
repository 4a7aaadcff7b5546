import { questionOf } from './question'

/** How large drawings become that can be drawn at any size. */
export const vectorSide = questionOf<number>(
  ({ file }) => file.type === 'image/svg+xml' || /\.svg$/i.test(file.name),
  (file, side) => ({ ...file, side }),
)
