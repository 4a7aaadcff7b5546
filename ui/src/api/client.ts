import createClient from 'openapi-fetch'
import type { paths } from './schema'
import { Problem } from './problem'
import type { Art, Draft } from './types'

/** Typed by the server's OpenAPI description, so that a call the server does not know does not compile. */
export const api = createClient<paths>({ baseUrl: '' })

/** @return the answer's body; @throws Problem for everything else */
export async function answer<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let result
  try {
    result = await call
  } catch (cause) {
    throw Problem.unreachable(cause)
  }
  if (!result.response.ok) {
    throw Problem.from(result.response.status, result.error)
  }
  return result.data as T
}

/** @return the part of a request that sends a file as it is; the description knows no type for bytes */
export const bytesOf = (
  file: Blob,
): { headers: Record<string, string>; body: never; bodySerializer: (body: unknown) => BodyInit } => ({
  headers: { 'Content-Type': 'application/octet-stream' },
  body: file as never,
  bodySerializer: (body) => body as Blob,
})

/**
 * Draws something that is not in the reel yet, as it would look there without cut-outs.
 *
 * @param alone without backdrop and border, too
 */
export async function drawnPicture(reel: string, draft: Draft, width: number, alone = false): Promise<Blob> {
  const picture = await answer(
    api.POST('/api/reels/{id}/drawings', {
      params: { path: { id: reel }, query: { width, alone } },
      body: draft,
      parseAs: 'blob',
    }),
  )
  return picture as Blob
}

/** Draws what no cut-out shows yet, alone. */
export async function drawnArt(reel: string, art: Art, width: number): Promise<Blob> {
  const picture = await answer(
    api.POST('/api/reels/{id}/arts', {
      params: { path: { id: reel }, query: { width } },
      body: { art },
      parseAs: 'blob',
    }),
  )
  return picture as Blob
}
